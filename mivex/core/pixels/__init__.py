"""Arrays to arrays: colour transfer, mip chains, sampling, distance, coverage, the seven blends."""
