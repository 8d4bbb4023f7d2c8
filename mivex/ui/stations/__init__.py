"""One page of controls a station."""
