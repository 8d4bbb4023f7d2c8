"""Checks of sprite sheets."""
