"""The window: rack, track, controls, tray, menus."""
