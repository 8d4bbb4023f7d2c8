"""Advice on a scene: drawing order, variants of the blend, fewer particles, accounts of pixels."""
