"""Drawing a document's scene: draw calls, what materials read, playback of sheets and effects."""
