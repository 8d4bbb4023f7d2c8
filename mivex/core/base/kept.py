"""Figures that belong to a value and are measured once: kept as long as the value itself, and nowhere on it."""

import threading
from collections.abc import Callable, Hashable
from itertools import count
from typing import TypeVar
from weakref import WeakKeyDictionary

T = TypeVar("T")
_rows: "WeakKeyDictionary[object, dict[Hashable, object]]" = WeakKeyDictionary()
_lock = threading.Lock()
_numbers = count(1)


def memoized_on(owner: object, name: Hashable, make: Callable[[], T]) -> T:
    """What ``make`` gave for this owner and name; called the first time only.

    Parameters
    ----------
    owner : object
        Compared by identity; what is kept goes when it goes. ``make`` must not hold on to it for good.
    name : hashable
    make : callable
        Two threads may call it at the same time; one result stays.
    """
    with _lock:
        row = _rows.setdefault(owner, {})
        if name in row:
            return row[name]  # type: ignore[return-value]
    made = make()
    with _lock:
        return row.setdefault(name, made)  # type: ignore[return-value]


def cached_or_none(owner: object, name: Hashable) -> object | None:
    """What is kept for an owner and a name already, or None; nothing is worked out."""
    with _lock:
        return _rows.get(owner, {}).get(name)


def serial(of: object) -> int:
    """A number of an object that no other one has or will have: an address may be given to another when it is gone."""
    return memoized_on(of, "serial", lambda: next(_numbers))
