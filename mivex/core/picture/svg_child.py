"""Draws one SVG in a process of its own, under limits; started by `mivex.core.picture.svg`, never imported.

Standard input: a line of JSON, then the SVG. Standard output: the picture as PNG.
Whatever the drawing library does with a hostile file, it does it here.
"""

import json
import resource
import sys

MEMORY = 3 << 30
SECONDS = 30


def main() -> int:
    """Draw; exit 0 with a picture, 3 where it is no SVG."""
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))
    resource.setrlimit(resource.RLIMIT_CPU, (SECONDS, SECONDS))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
    settings = json.loads(sys.stdin.buffer.readline())
    text = sys.stdin.buffer.read().decode("utf-8")
    import resvg_py

    try:
        png = resvg_py.svg_to_bytes(svg_string=text, skip_system_fonts=True, **settings)
    except ValueError:
        return 3
    sys.stdout.buffer.write(bytes(png))
    sys.stdout.buffer.flush()
    return 0


if __name__ == "__main__":
    sys.exit(main())
