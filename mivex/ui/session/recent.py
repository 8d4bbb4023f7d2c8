"""The projects that were opened lately, kept in the user's settings."""

from pathlib import Path
from typing import Any

from PySide6.QtCore import QSettings

MOST = 8
"""How many are remembered."""


def recent_projects() -> list[str]:
    """Absolute paths, newest first."""
    found: Any = QSettings("mivex", "mivex").value("recent", [])
    rows = [found] if isinstance(found, str) else list(found or [])  # one entry comes back as a plain string
    return [str(r) for r in rows]


def remember_project(path: Path) -> None:
    """Put a project first; another window that is opened now knows it already."""
    rows = [str(path)] + [r for r in recent_projects() if r != str(path)]
    settings = QSettings("mivex", "mivex")
    settings.setValue("recent", rows[:MOST])
    settings.sync()
