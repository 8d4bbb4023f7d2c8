"""Repeatable measurements; each prints its ratio to a named baseline in the same run. Not part of the tests."""
