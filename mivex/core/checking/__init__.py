"""Checking many pictures and projects: batches, limits, recipes with parameters."""
