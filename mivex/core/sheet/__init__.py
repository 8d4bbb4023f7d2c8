"""Sprite sheets: where their frames lie, which is shown when, how they are guessed, built, outlined and measured."""
