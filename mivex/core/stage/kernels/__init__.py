"""Compiled kernels. They import nothing but each other; set-up compiles them anew when one of them changes."""
