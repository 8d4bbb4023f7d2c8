"""The computation of Mivex: no interface code, usable from a script."""
