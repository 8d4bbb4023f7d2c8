"""What is known of each overlay, and what has to be evaluated anew."""
