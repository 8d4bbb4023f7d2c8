"""Blend states and material settings."""
