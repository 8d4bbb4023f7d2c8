"""Parts of the window are brought up to date once, a little later, and never too many of them at once."""

import time
from collections.abc import Callable

from PySide6.QtCore import QObject, QTimer

AT_ONCE = 0.02
"""Seconds of CPU after which the rest waits for the next turn of the event loop: keys, mouse and pictures come first."""


class Refresher(QObject):
    """Asked to refresh a part, calls it with the next turn of the event loop; asked again before that, once.

    An edit concerns a dozen parts, and pictures that were read arrive thirty at a time: each part is refreshed once for all
    of it, in the order in which the parts were first asked for, and events in between are not held up.
    """

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._waiting: dict[Callable[[], object], None] = {}
        self._timer = QTimer(self, singleShot=True, interval=0)
        self._timer.timeout.connect(self._turn)

    def ask(self, part: Callable[[], object]) -> None:
        """Refresh a part soon; bound methods of one object are one part."""
        self._waiting.setdefault(part)
        if not self._timer.isActive():
            self._timer.start()

    def later(self, part: Callable[[], object]) -> Callable[..., None]:
        """A slot for any signal that asks for a part."""
        return lambda *_: self.ask(part)

    @property
    def idle(self) -> bool:
        """Everything asked for is up to date."""
        return not self._waiting

    def flush(self) -> None:
        """Refresh now whatever waits."""
        while self._waiting:
            self._next()

    def _next(self) -> None:
        part = next(iter(self._waiting))
        del self._waiting[part]
        part()

    def _turn(self) -> None:
        begun = time.thread_time()
        try:
            while self._waiting and time.thread_time() - begun < AT_ONCE:
                self._next()
        finally:
            if self._waiting:
                self._timer.start()
