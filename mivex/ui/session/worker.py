"""Background work: the window's thread never computes and never reads files."""

import threading
from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QObject, Signal

from mivex.core.base.errors import Stopped
from mivex.core.base.log import sentence

Work = Callable[[Callable[[object], None], Callable[[], bool]], object]


class Latest(QObject):
    """A thread that always works on the newest request; an older one still waiting is dropped.

    A request is ``work(report, stopped)``: it may call ``report(value)`` with
    partial results, asks ``stopped()`` now and then, and returns its result.

    Signals
    -------
    reported(token, value)
        A partial result.
    done(token, value)
        The result of a request that ran to its end.
    failed(token, sentence)
        It could not be done; the sentence is for the artist.
    busy(bool)
        Work began or ended.
    said(words)
        What is being done at the moment.
    """

    reported = Signal(object, object)
    done = Signal(object, object)
    failed = Signal(object, str)
    busy = Signal(bool)
    said = Signal(str)

    def __init__(self, name: str, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._wake = threading.Condition()
        self._next: tuple[object, Work] | None = None
        self._halt = threading.Event()
        self._ending = False
        self._working = False
        self._thread = threading.Thread(target=self._run, name=f"mivex-{name}", daemon=True)
        self._thread.start()

    def ask(self, token: object, work: Work, *, halt: bool = False) -> None:
        """Request work; ``halt`` asks the running one to stop as well."""
        with self._wake:
            self._next = (token, work)
            if halt:
                self._halt.set()
            self._wake.notify()

    def halt(self) -> None:
        """Ask the running work to stop, and drop the waiting one."""
        with self._wake:
            self._next = None
            self._halt.set()

    def tell(self, words: str) -> None:
        """Say from within the work what is being done."""
        self._emit(self.said, words)

    def complain(self, words: str) -> None:
        """Say from within the work that a part of it failed; the rest goes on."""
        self._emit(self.failed, None, words)

    @property
    def idle(self) -> bool:
        """Nothing runs and nothing waits."""
        with self._wake:
            return self._next is None and not self._working

    def end(self) -> None:
        """Stop the thread; called when the window closes."""
        with self._wake:
            self._ending = True
            self._next = None
            self._halt.set()
            self._wake.notify()
        self._thread.join(timeout=5)

    def _emit(self, signal: Any, *values: object) -> None:
        if not self._ending:
            signal.emit(*values)

    def _run(self) -> None:
        while True:
            with self._wake:
                self._working = False
                while self._next is None and not self._ending:
                    self._wake.wait()
                if self._ending:
                    return
                assert self._next is not None
                token, work = self._next
                self._next = None
                self._working = True
                self._halt.clear()
            self._emit(self.busy, True)
            try:
                value = work(lambda part, t=token: self._emit(self.reported, t, part),  # type: ignore[misc]
                             self._halt.is_set)
                self._emit(self.done, token, value)
            except Stopped:
                pass
            except BaseException as e:
                # No error of any class ends a worker: bindings raise some that are no Exception.
                self._emit(self.failed, token, sentence(e, self._thread.name))
            finally:
                self._emit(self.busy, False)
