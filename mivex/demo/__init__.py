"""The demo: overlays of the research submersible Nerite, all made up, all drawn by `make`."""

from pathlib import Path

FOLDER = Path(__file__).parent / "nerite"
PROJECT = FOLDER / "nerite.mivex"
