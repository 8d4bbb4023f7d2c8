"""Controls of the station Colour: its steps."""

from mivex.ui.stations.base import Station, has_steps
from mivex.ui.stations.steps import build_steps, steps_shape

STATION = Station(
    "colour",
    "Colour",
    "What hue its soft parts have; alpha stays apart.",
    20,
    lambda c, o: build_steps(c, o, "colour"),
    has_steps("colour"),
    steps_shape,
)
"""Registered."""
