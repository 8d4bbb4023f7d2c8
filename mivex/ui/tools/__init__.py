"""What the mouse does in a proof."""
