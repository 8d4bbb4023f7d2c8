"""Writing deliveries and proving what was written."""
