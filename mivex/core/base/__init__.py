"""What everything else stands on, and which knows nothing of pictures."""
