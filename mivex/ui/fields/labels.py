"""Lines of text in the look of the window."""

from PySide6.QtWidgets import QLabel


def label(text: str, name: str = "", *, wrap: bool = False) -> QLabel:
    """A line of text; ``name`` chooses its style (title, section, soft, figure, equation)."""
    made = QLabel(text)
    if name:
        made.setObjectName(name)
    made.setWordWrap(wrap)
    return made


KINDS = {"glass": "Glass", "decal": "Decal", "logo": "Logo", "sprite": "Sprite", "cloth": "Cloth or screen"}
"""Kinds of overlays, in words."""
