"""Background work, and the one way in for whatever it brings: the window's thread never computes and never reads files.

The rule for everything that arrives later than it was asked for:

- what arrives is an edit made on the document of that moment, never on the one that was open when it was asked for;
- jobs that matter (reading what was dropped, opening, saving, delivering) wait in a `Queue`: each is begun only when the
  window has taken what the one before it brought, so that they arrive in the order in which they were asked for;
- only looks (pictures, figures, hints) are replaced by newer looks: a `LatestOnlyWorker` has one waiting place.

Every worker stands in one registry, `Workers`, which gives it a failure that reaches the artist, tells whether anything
is still being done, and ends them all within a time limit.
"""

import threading
import time
from collections import deque
from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QObject, Qt, Signal

from mivex.core.base.bands import stoppable
from mivex.core.base.errors import Stopped
from mivex.core.base.log import sentence

Work = Callable[[Callable[[object], None], Callable[[], bool]], object]
"""``work(report, stopped)``: may call ``report(value)`` with partial results, asks ``stopped()`` now and then."""
Begin = Callable[[], Work | None]
"""Called in the window's thread when a job's turn comes; gives the work, or None where there is nothing left to do."""
CLOSING = 0.4
"""Seconds that the window waits for its workers when it closes."""


class Worker(QObject):
    """One background thread. Made by `Workers`, never by itself.

    Its signals are all emitted in the window's thread. The thread starts with the first work.

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
    failed = Signal(object, object)
    busy = Signal(bool)
    said = Signal(object)  # a Message; as str it would lose its template
    _came = Signal(str, object, object, int)

    def __init__(self, name: str, parent: QObject, *, finishes: bool = False) -> None:
        super().__init__(parent)
        self.name = name
        self.finishes = finishes
        self._wake = threading.Condition()
        self._next: tuple[object, Work, int] | None = None
        self._halt = threading.Event()
        self._ending = False
        self._under_way = 0  # works handed over whose end the window has not taken yet
        self._round = 0  # what was begun in an earlier round is no longer wanted
        self._thread: threading.Thread | None = None
        self._came.connect(self._take, Qt.ConnectionType.QueuedConnection)

    def halt(self) -> None:
        """Ask the running work to stop."""
        with self._wake:
            self._halt.set()

    def tell(self, words: str) -> None:
        """Say from within the work what is being done."""
        self._emit("said", None, words, self._round)

    def complain(self, words: str) -> None:
        """Say from within the work that a part of it failed; the rest goes on."""
        self._emit("complained", None, words, self._round)

    @property
    def idle(self) -> bool:
        """Nothing runs, nothing waits, and the window has taken what there was."""
        with self._wake:
            return self._next is None and self._under_way == 0

    def stop_all(self) -> None:
        """Begin to end: nothing more is begun, and nothing that still comes is taken."""
        with self._wake:
            self._ending = True
            self._next = None
            if not self.finishes:
                self._halt.set()
            self._wake.notify_all()

    def join(self, seconds: float) -> bool:
        """Wait for the thread; false where it still works."""
        if self._thread is None:
            return True
        self._thread.join(max(seconds, 0.0))
        return not self._thread.is_alive()

    def _hand(self, token: object, work: Work) -> None:
        with self._wake:
            if self._ending:
                return
            if self._next is None:
                self._under_way += 1
            self._next = (token, work, self._round)
            if self._thread is None:
                self._thread = threading.Thread(target=self._run, name=f"mivex-{self.name}", daemon=True)
                self._thread.start()
            self._wake.notify()

    def _emit(self, kind: str, token: object, value: object, number: int) -> None:
        if not self._ending:
            self._came.emit(kind, token, value, number)

    def _take(self, kind: str, token: object, value: object, number: int) -> None:
        """In the window's thread: pass on what the thread has sent."""
        if self._ending:
            return
        wanted = number == self._round
        if kind == "begun":
            self.busy.emit(True)
        elif kind == "said":
            self.said.emit(str(value))
        elif kind == "reported":
            if wanted:
                self.reported.emit(token, value)
        elif kind == "complained":
            self.failed.emit(token, str(value))
        else:
            try:
                if kind == "done" and wanted:
                    self.done.emit(token, value)
                elif kind == "failed":
                    self.failed.emit(token, str(value))
            finally:
                with self._wake:
                    self._under_way -= 1
                self._ended(token, kind, value)
                self.busy.emit(False)

    def _ended(self, token: object, kind: str, value: object) -> None:
        """A work has come to its end and was taken."""

    def _run(self) -> None:
        while True:
            with self._wake:
                while self._next is None and not self._ending:
                    self._wake.wait()
                if self._next is None:
                    return
                token, work, number = self._next
                self._next = None
                self._halt.clear()
            self._emit("begun", token, None, number)
            try:
                # Kernels and steps ask between their bands, checks between one another: all of it can be stopped.
                with stoppable(self._halt.is_set):
                    value = work(
                        lambda part, t=token, n=number: self._emit("reported", t, part, n),  # type: ignore[misc]
                        self._halt.is_set,
                    )
                self._emit("done", token, value, number)
            except Stopped:
                self._emit("stopped", token, None, number)
            except BaseException as e:
                # No error of any class ends a worker: bindings raise some that are no Exception.
                self._emit("failed", token, sentence(e, self._thread.name if self._thread else self.name), number)


class LatestOnlyWorker(Worker):
    """Works on the newest request; an older one that still waits is dropped. For looks, never for what matters."""

    def ask(self, token: object, work: Work, *, halt: bool = False) -> None:
        """Request work; ``halt`` asks the running one to stop as well."""
        if halt:
            self.halt()
        self._hand(token, work)

    def halt(self) -> None:
        """Ask the running work to stop, and drop the waiting one."""
        with self._wake:
            if self._next is not None:
                self._next = None
                self._under_way -= 1
            self._halt.set()


class Queue(Worker):
    """Jobs that matter, done in the order in which they were asked for; none is dropped but by `clear`.

    What a job returns is taken in the window's thread before the next one is begun: a callable is called (an edit on the
    document of that moment), anything else goes to `done`.
    """

    def __init__(self, name: str, parent: QObject, *, finishes: bool = False) -> None:
        super().__init__(name, parent, finishes=finishes)
        self._waiting: deque[tuple[object, Begin]] = deque()
        self._held = 0

    def ask(self, token: object, begin: Begin) -> None:
        """Line a job up. ``begin()`` is called in the window's thread when its turn comes, and gives the work."""
        self._waiting.append((token, begin))
        self._advance()

    def hold(self) -> None:
        """Begin nothing more until `release`: the artist is being asked about what has just arrived."""
        self._held += 1

    def release(self) -> None:
        """Go on, once for each `hold`."""
        self._held -= 1
        self._advance()

    def clear(self) -> None:
        """Give up all of it: what waits is dropped, what runs is stopped and no longer taken."""
        self._waiting.clear()
        self._round += 1
        self.halt()

    @property
    def waiting(self) -> int:
        """Jobs that have not begun."""
        return len(self._waiting)

    @property
    def idle(self) -> bool:
        return not self._waiting and super().idle

    def stop_all(self) -> None:
        self._waiting.clear()
        super().stop_all()

    def _take(self, kind: str, token: object, value: object, number: int) -> None:
        if kind in ("done", "reported") and callable(value):
            act, value = value, None
            if number == self._round and not self._ending:
                try:
                    act()
                except Exception as e:
                    self.failed.emit(token, sentence(e, f"taking what {self.name} brought"))
            if kind == "reported":
                return
        super()._take(kind, token, value, number)

    def _ended(self, token: object, kind: str, value: object) -> None:
        self._advance()

    def _advance(self) -> None:
        while self._waiting and not self._held and super().idle and not self._ending:
            token, begin = self._waiting.popleft()
            try:
                work = begin()
            except Exception as e:
                self.failed.emit(token, sentence(e, f"beginning {self.name}"))
                continue
            if work is not None:
                self._hand(token, work)


class Workers(QObject):
    """Every worker of a window.

    Signals
    -------
    failed(sentence)
        A worker without a failure of its own could not do something.
    """

    failed = Signal(object)  # a Message; as str it would lose its template

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._rows: list[Worker] = []
        self._ended = False

    def latest(self, name: str, failed: Callable[[str], object] | None = None) -> LatestOnlyWorker:
        """A new worker for looks; ``failed`` is told why something could not be done, else the window is."""
        return self._add(LatestOnlyWorker(name, self), failed)

    def queue(self, name: str, failed: Callable[[str], object] | None = None, *, finishes: bool = False) -> Queue:
        """A new worker for jobs that matter. What is running in one that ``finishes`` is not cut off at the end."""
        return self._add(Queue(name, self, finishes=finishes), failed)

    def _add(self, worker: Any, failed: Callable[[str], object] | None) -> Any:
        told = failed or self.failed.emit
        worker.failed.connect(lambda _token, why: told(why))
        self._rows.append(worker)
        if self._ended:
            worker.stop_all()
        return worker

    def __iter__(self) -> Any:
        return iter(tuple(self._rows))

    def named(self, name: str) -> Worker:
        """The worker of that name; the newest where there are several."""
        return next(w for w in reversed(self._rows) if w.name == name)

    @property
    def busy(self) -> list[str]:
        """Names of those that have something to do."""
        return [w.name for w in self._rows if not w.idle]

    def drop(self, worker: Worker) -> None:
        """A dialog is closed: its worker ends by itself."""
        worker.stop_all()
        if worker in self._rows:
            self._rows.remove(worker)

    def end(self, seconds: float = CLOSING) -> list[str]:
        """Stop everything, and wait at most so long in all; returns the names of those that still work."""
        self._ended = True
        limit = time.monotonic() + seconds
        for w in self._rows:
            w.stop_all()
        return [w.name for w in self._rows if not w.join(limit - time.monotonic())]
