"""A page that draws a scene in any browser: what it is told, and how it is put together."""
