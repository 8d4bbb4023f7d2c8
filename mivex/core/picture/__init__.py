"""Picture files, pictures and textures."""
