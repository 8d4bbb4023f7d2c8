"""The open project and what runs in the background for it."""
