"""Fields and editors of single settings."""
