"""Which frame is shown when."""

import math

from mivex.core.sheet.model import Play


def at_time(count: int, play: Play, rate: float, time: float, *, blend: bool = False) -> tuple[int, int, float]:
    """The frame shown at a time, the one after it, and that one's share.

    Parameters
    ----------
    count : int
        Frames, at least 1.
    play : str
        See `PLAYS`; ``random`` shows the first: which one is chosen is the particle's.
    rate : float
        Frames a second.
    time : float
        Seconds since it began.
    blend : bool
        Fade to the next; else its share is 0.
    """
    t = max(time * rate, 0.0)
    if count <= 1 or play == "random":
        return 0, 0, 0.0
    k, share = math.floor(t), t - math.floor(t)
    if play == "once":
        first, after = min(k, count - 1), min(k + 1, count - 1)
    elif play == "loop":
        first, after = k % count, (k + 1) % count
    else:
        turn = 2 * (count - 1)
        first, after = (min(j % turn, turn - j % turn) for j in (k, k + 1))
    return first, after, share if blend else 0.0


def over_life(count: int, share: float) -> int:
    """The frame at a share of a life: 0 at birth, the last at death, never one past it."""
    return min(max(math.floor(share * count), 0), count - 1)


def lasts(count: int, play: Play, rate: float) -> float:
    """Seconds until every frame has been shown."""
    return 0.0 if play == "random" else (2 * count - 2 if play == "fro" else count) / rate
