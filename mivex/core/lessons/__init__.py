"""Lessons: for every finding a small case that has the fault and one that has not, drawn, and why it matters.

The same pages are shown in the window and stand in ``docs/findings.md`` (`python -m mivex.core.lessons.pages`).
"""
