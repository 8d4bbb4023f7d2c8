"""Pictures of a texture on its own."""
