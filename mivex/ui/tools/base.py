"""What the mouse does on a canvas: tools that are asked in turn, each with a generator for a drag.

A tool's ``begin`` looks at a press and gives a drag, or None where the press is not for it. The drag is a generator
that is sent every further place of the mouse, and closed when the button comes up; ``finally`` is its end.
"""

from collections.abc import Generator
from dataclasses import dataclass
from typing import Any

from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QMouseEvent


@dataclass(frozen=True)
class Mouse:
    """Where the mouse is, and with what.

    Attributes
    ----------
    at : QPointF
        Pixels of the canvas.
    button : Qt.MouseButton
        That was pressed; of a move, none.
    keys : Qt.KeyboardModifier
    """

    at: QPointF
    button: Qt.MouseButton
    keys: Qt.KeyboardModifier

    @classmethod
    def of(cls, event: QMouseEvent) -> "Mouse":
        """What a tool needs of a mouse event."""
        return cls(event.position(), event.button(), event.modifiers())

    def holds(self, key: Qt.KeyboardModifier) -> bool:
        """Whether a modifier is down."""
        return bool(self.keys & key)


Drag = Generator[None, Mouse, None]


class Tool:
    """One thing that the mouse can do on a canvas."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        """The drag that a press begins, or None."""
        raise NotImplementedError

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        """How the pointer looks where this tool would begin; None where it would not."""
        return None


class ToolDispatcher:
    """Carries a canvas's tools, the first of them first.

    Parameters
    ----------
    canvas : QWidget
    tools : tuple of Tool
    """

    def __init__(self, canvas: Any, tools: tuple[Tool, ...]) -> None:
        self.canvas, self.tools = canvas, tools
        self._drag: Drag | None = None

    @property
    def busy(self) -> bool:
        """Whether a drag is under way."""
        return self._drag is not None

    def press(self, event: QMouseEvent) -> None:
        """Give the press to the first tool that takes it."""
        # A press while a drag is under way ends that one first: a second button must not leave two.
        self.release()
        mouse = Mouse.of(event)
        for tool in self.tools:
            drag = tool.begin(self.canvas, mouse)
            if drag is not None:
                self._drag = drag
                # To its first yield: a generator runs nothing before it is asked for its first value.
                next(drag, None)
                return

    def move(self, event: QMouseEvent) -> None:
        """Go on with the drag; without one, show what a press would begin."""
        mouse = Mouse.of(event)
        if self._drag is not None:
            try:
                self._drag.send(mouse)
            except StopIteration:
                self._drag = None
            return
        shapes = (tool.cursor(self.canvas, mouse.at) for tool in self.tools)
        # The tool that would take the press also decides how the pointer looks: both go down the same list.
        self.canvas.setCursor(next((s for s in shapes if s is not None), Qt.CursorShape.ArrowCursor))

    def release(self) -> None:
        """End the drag."""
        if self._drag is not None:
            # Closing runs the generator's finally: whatever a drag has begun is ended there, also when it is cut off.
            self._drag.close()
            self._drag = None


def far(a: QPointF, b: QPointF) -> float:
    """Distance of two places by the shorter measure, across plus down."""
    return float((a - b).manhattanLength())
