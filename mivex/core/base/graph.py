"""A graph of nodes, each named by the hash of what it is made of: whatever was made once is not made again."""

import hashlib
import threading
from collections import OrderedDict
from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any

from mivex.core.base.bands import stoppable
from mivex.core.base.errors import Stopped
from mivex.core.base.memory import room


def hashed(*parts: str) -> str:
    """A name for what is made of these parts, in this order."""
    return hashlib.blake2b("\0".join(parts).encode(), digest_size=16).hexdigest()


class Cache:
    """Keeps the most recently used results up to a number of bytes. Safe between threads.

    What stands in one slot replaces what stood there: a setting that is dragged would else fill the memory with states
    that nobody looks at again, each in pages that have to be made anew. The last but one stays, for looking to and fro.
    """

    SLOT = 2

    def __init__(self, limit: int) -> None:
        self._slots: dict[str, list[str]] = {}
        self._limit = limit
        self._rows: OrderedDict[str, tuple[object, int]] = OrderedDict()
        self._used = 0
        self._lock = threading.Lock()

    def get(self, key: str) -> object | None:
        """The result kept under ``key``, or None."""
        with self._lock:
            row = self._rows.get(key)
            if row is None:
                return None
            self._rows.move_to_end(key)
            return row[0]

    def put(self, key: str, value: object, size: int, slot: str = "") -> None:
        """Keep a result of ``size`` bytes, dropping what its slot held before and the oldest beyond the limit."""
        with self._lock:
            self._drop(key)
            if slot:
                held = self._slots.setdefault(slot, [])
                if key in held:
                    held.remove(key)
                held.append(key)
                while len(held) > self.SLOT:
                    self._drop(held.pop(0))
            self._rows[key] = (value, size)
            self._used += size
            limit = room(self._used, self._limit)
            while self._used > limit and len(self._rows) > 1:
                _, (_, gone) = self._rows.popitem(last=False)
                self._used -= gone

    def clear(self) -> None:
        """Forget every value that is kept; what is asked for next is computed again."""
        with self._lock:
            self._rows.clear()
            self._slots.clear()
            self._used = 0

    def _drop(self, key: str) -> None:
        if (row := self._rows.pop(key, None)) is not None:
            self._used -= row[1]


@dataclass(frozen=True, eq=False)
class Node:
    """Something that can be made.

    Attributes
    ----------
    key : str
        Name of all that it is made of, `hashed` from its own settings and the keys of its inputs.
    make : callable
        ``make(*inputs)``; pure, never returns None.
    inputs : tuple of Node
    size : callable
        Bytes of what was made.
    label : str
        What is said while it is being made; empty: nothing.
    slot : str
        Whose state it is: it replaces older ones of the same slot. Empty: it is kept as long as there is room.
    """

    key: str
    make: Callable[..., Any]
    inputs: "tuple[Node, ...]" = ()
    size: Callable[[Any], int] = field(default=lambda made: int(made.values.nbytes))
    label: str = ""
    slot: str = ""


class Graph:
    """Makes nodes, and keeps what was made.

    Parameters
    ----------
    limit : int
        Bytes to keep.
    """

    def __init__(self, limit: int) -> None:
        self.cache = Cache(limit)

    def value(
        self, node: Node, stop: Callable[[], bool] = lambda: False, tell: Callable[[str], object] = lambda _: None
    ) -> Any:
        """What a node is; its inputs are made only where it is not kept.

        Parameters
        ----------
        node : Node
        stop : callable
            Asked before each node is made; true raises Stopped.
        tell : callable
            Told each label before its node is made.
        """
        found = self.cache.get(node.key)
        if found is not None:
            return found
        inputs = [self.value(i, stop, tell) for i in node.inputs]
        if stop():
            raise Stopped
        if node.label:
            tell(node.label)
        with stoppable(stop):
            made = node.make(*inputs)
        self.cache.put(node.key, made, node.size(made), node.slot)
        return made
