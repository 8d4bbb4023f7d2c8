"""Name the system libraries that Qt needs and that are missing, in one line with the command."""

import ctypes
import sys

# Library -> Debian package. The second list is needed only for a real window (X11).
ALWAYS = {
    "libEGL.so.1": "libegl1",
    "libGL.so.1": "libgl1",
    "libfontconfig.so.1": "libfontconfig1",
    "libdbus-1.so.3": "libdbus-1-3",
    "libxkbcommon.so.0": "libxkbcommon0",
    "libglib-2.0.so.0": "libglib2.0-0",
}
WINDOW = {
    "libxcb-cursor.so.0": "libxcb-cursor0",
    "libxcb-icccm.so.4": "libxcb-icccm4",
    "libxcb-image.so.0": "libxcb-image0",
    "libxcb-keysyms.so.1": "libxcb-keysyms1",
    "libxcb-randr.so.0": "libxcb-randr0",
    "libxcb-render-util.so.0": "libxcb-render-util0",
    "libxcb-shape.so.0": "libxcb-shape0",
    "libxcb-xkb.so.1": "libxcb-xkb1",
    "libxkbcommon-x11.so.0": "libxkbcommon-x11-0",
}


def missing(libraries: dict[str, str]) -> list[str]:
    """Packages whose library cannot be loaded."""
    packages = []
    for library, package in libraries.items():
        try:
            ctypes.CDLL(library)
        except OSError:
            packages.append(package)
    return packages


if __name__ == "__main__":
    wanted, nice = missing(ALWAYS), missing(WINDOW)
    if wanted or nice:
        command = "sudo apt-get install -y " + " ".join(wanted + nice)
        print(f"mivex: system libraries are missing; install them with: {command}", file=sys.stderr)
    sys.exit(1 if wanted else 0)
