"""Checks of the whole scene: what overlays do to one another and to what they lie on."""
