"""Draws the pictures and meshes of the demo; its project is `mivex/demo/nerite/nerite.mivex`, edited in Mivex itself."""
