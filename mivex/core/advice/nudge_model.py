"""What nudges would make of the picture, from the fragments that were drawn once: many trials without a render.

The fragments of every pixel are kept with the draw that they come from. Other nudges bring the draws into another order,
and with them the fragments of the pixels where the moved overlays meet others; only these pixels are blended anew.
Refraction and what group Front covers are left out, so that whoever asks holds the figure against a render before it is
believed.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import Stopped
from mivex.core.base.types import Floats
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import in_lists
from mivex.core.stage.lights import Lighting
from mivex.core.stage.overlay_fragments import Fragments, fragments_of

_NONE = np.zeros(0, np.int64)


@dataclass(eq=False)
class _Seen:
    """The fragments of one camera.

    Attributes
    ----------
    owners : int64 array (draws,)
        Number of the overlay of each draw, in the order in which they were drawn; −1: none. `Fragments.draws` counts them.
    group, nudge, distance : arrays (draws,)
        What they are ordered by, the distance as it counts in the order.
    more : int64 array (draws,)
        What parts of effects add to their overlay's nudge.
    f : Fragments
    meets : list of int64 arrays
        For each overlay the pixels at which it meets another.
    errors : float32 array (pixels,)
        Of the nudges that stand now.
    """

    owners: NDArray[np.int64]
    group: NDArray[np.int64]
    nudge: NDArray[np.int64]
    more: NDArray[np.int64]
    distance: NDArray[np.float64]
    f: Fragments
    meets: list[NDArray[np.int64]]
    errors: Floats


class NudgeModel:
    """The error of any nudges, over several cameras.

    Parameters
    ----------
    views : sequence of (draws, view)
        The scene as it is set, from each camera.
    lighting : Lighting
    stop : callable
        Asked between cameras; true raises Stopped.
    """

    def __init__(
        self, views: Sequence[tuple[list[DrawCall], View]], lighting: Lighting, stop: Callable[[], bool] = lambda: False
    ) -> None:
        self.owners = list(dict.fromkeys(d.owner for rows, _ in views for d in rows if d.owner))
        self._number = {o: i for i, o in enumerate(self.owners)}
        self._pixels = max(sum(v.width * v.height for _, v in views), 1)
        self.nudges = {d.owner: d.material.nudge for rows, _ in views for d in rows if d.owner}
        self._cameras: list[_Seen] = []
        for rows, view in views:
            if stop():
                raise Stopped
            f = fragments_of(rows, view, lighting, self.owners, nudged=True)
            self._cameras.append(self._seen(in_lists(rows, nudged=True), f))

    def _seen(self, rows: list[DrawCall], f: Fragments) -> _Seen:
        pixel_of = np.repeat(np.arange(len(f.starts) - 1), np.diff(f.starts))
        # An overlay meets another where it has fragments and is not the only one.
        count = len(self.owners) + 1
        pairs = np.unique((f.overlays + 1) * len(f.starts) + pixel_of)
        who, where = pairs // len(f.starts), pairs % len(f.starts)
        shared = np.bincount(where, minlength=len(f.starts))[where] > 1
        who, where = who[shared], where[shared]
        ends = np.searchsorted(who, np.arange(1, count + 1))
        meets = [where[ends[i] : ends[i + 1]] for i in range(count - 1)]
        order = np.array([d.order for d in rows] or [(0, 0, 0.0)], np.float64)
        owners = np.array([self._number.get(d.owner, -1) for d in rows] or [-1], np.int64)
        group, nudge = order[:, 0].astype(np.int64), order[:, 1].astype(np.int64)
        more = nudge - np.array([d.material.nudge for d in rows] or [0], np.int64)
        return _Seen(owners, group, nudge, more, order[:, 2], f, meets, f.as_drawn())

    @property
    def error(self) -> float:
        """Mean error over all pixels of all cameras with the nudges that stand now, in codes."""
        return float(sum(float(c.errors.sum(dtype=np.float64)) for c in self._cameras)) / self._pixels

    def _tried(self, nudges: Mapping[str, int]) -> list[tuple[NDArray[np.int64], Floats]]:
        """Pixels that change from what stands now, camera by camera, with their errors."""
        moved = [self._number[o] for o, n in nudges.items() if o in self._number and self.nudges[o] != n]
        made = []
        for c in self._cameras:
            at = c.meets[moved[0]] if len(moved) == 1 else np.unique(np.concatenate([c.meets[m] for m in moved] or [_NONE]))
            if not at.size:
                made.append((at, np.zeros(0, np.float32)))
                continue
            rank = np.empty(len(c.owners), np.int64)
            # As `in_lists` does it: what is level stays as it stands.
            rank[np.lexsort((c.distance, self._nudged(c, nudges), c.group))] = np.arange(len(c.owners))
            part = c.f.part(at)
            pixel_of = np.repeat(np.arange(len(at)), np.diff(part.starts))
            own = part.draws
            if (single := ~np.isnan(part.away)).any():
                # Particles that mix: each by its own distance, among whatever then has its group and nudge.
                far = np.where(single, -part.away, c.distance[own])
                order = np.lexsort((far, self._nudged(c, nudges)[own], c.group[own], pixel_of))
            else:
                order = np.argsort(pixel_of * len(rank) + rank[own], kind="stable")
            part = replace(part, colours=part.colours[order], state=part.state[order], kinds=part.kinds[order])
            made.append((at, part.as_drawn()))
        return made

    def _nudged(self, camera: _Seen, nudges: Mapping[str, int]) -> NDArray[np.int64]:
        """The nudge of every draw when these are set."""
        made = camera.nudge.copy()
        for o, n in nudges.items():
            if o in self._number:
                mine = camera.owners == self._number[o]
                made[mine] = np.clip(n + camera.more[mine], -999, 999)
        return made

    def would_be(self, nudges: Mapping[str, int]) -> float:
        """Mean error with these nudges; an overlay that is not named keeps what stands now."""
        total = 0.0
        for c, (at, errors) in zip(self._cameras, self._tried(nudges), strict=True):
            total += float(errors.sum(dtype=np.float64)) - float(c.errors[at].sum(dtype=np.float64))
        return self.error + total / self._pixels

    def take(self, nudges: Mapping[str, int]) -> None:
        """Let these nudges stand."""
        for c, (at, errors) in zip(self._cameras, self._tried(nudges), strict=True):
            c.errors[at] = errors
            c.nudge = self._nudged(c, nudges)
        self.nudges |= {o: n for o, n in nudges.items() if o in self.nudges}
