"""Checks of one prepared texture."""
