"""Draws one SVG in a process of its own, under limits; started by `mivex.core.picture.svg`, never imported.

Standard input: a line of JSON, then the SVG. Standard output: the picture as PNG.
Whatever the drawing library does with a hostile file, it does it here.
"""

import json
import resource
import sys


def main() -> int:
    """Draw; exit 0 with a picture, 3 where it is no SVG."""
    settings = json.loads(sys.stdin.buffer.readline())
    memory, seconds = settings.pop("memory"), settings.pop("seconds")
    resource.setrlimit(resource.RLIMIT_AS, (memory, memory))
    resource.setrlimit(resource.RLIMIT_CPU, (seconds, seconds))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
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
