"""Pictures: files, colour transfer, mip chains, sampling."""
