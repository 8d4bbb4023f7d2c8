"""The document, its edits, and its file."""
