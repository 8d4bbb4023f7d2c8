"""What is done once on a machine: compiling kernels, the desktop entry."""
