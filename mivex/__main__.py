"""Run Mivex as ``python -m mivex``."""

from mivex.cli import main

main()
