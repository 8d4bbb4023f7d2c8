"""The flat proof and the stage."""
