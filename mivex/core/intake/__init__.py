"""The intake: a small stand-in for a game's runtime, which loads only what was delivered and draws it on the stage."""
