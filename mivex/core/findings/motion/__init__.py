"""Checks of effects and their particles."""
