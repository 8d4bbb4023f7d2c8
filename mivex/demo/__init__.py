"""The demo: overlays of the research submersible Nerite, all made up, drawn by `tools/demo`."""

from pathlib import Path

FOLDER = Path(__file__).parent / "nerite"
PROJECT = FOLDER / "nerite.mivex"
