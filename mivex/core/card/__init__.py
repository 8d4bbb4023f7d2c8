"""The test card: a small delivery that asks a receiver what it does to textures, and the reading of a picture of it."""
