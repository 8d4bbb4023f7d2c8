"""The fragments of overlays at the pixels where several meet, and what orders make of them."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.pixels.blends import BLENDS
from mivex.core.stage.buffers import NO_SURFACES, Buffers, sink_of
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import SORTED, in_lists
from mivex.core.stage.lighting import light_record, shadows_for
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import RenderPlan, blended_frame, run
from mivex.core.stage.polygon_order import mixes

_paint = Lazy("mivex.core.stage.kernels.paint")


_settle = Lazy("mivex.core.stage.kernels.settle")


_effect = Lazy("mivex.core.stage.kernels.effects")


_orders = Lazy("mivex.core.stage.kernels.orders")


_pairs = Lazy("mivex.core.stage.kernels.pairs")


@dataclass(frozen=True, eq=False)
class Fragments:
    """All fragments of see-through overlays in one view, pixel by pixel, in drawing order.

    Attributes
    ----------
    colours : float32 array (n, 4)
    state : float32 array (n, 2)
    kinds : int64 array (n, 2)
    draws : int64 array (n,)
        Which draw each comes from.
    overlays : int64 array (n,)
        Which overlay.
    starts : int64 array (pixels + 1,)
    below, truth : float32 arrays (pixels, 4)
    solid : float32 array (pixels,)
    gain : float32
    display : int
        Blends work on display values.
    at : int64 array (pixels,)
        Places of the pixels, row by row.
    away : float64 array (n,)
        Metres from the eye by which particles take their place one by one; nan for fragments of wholes.
    """

    colours: Floats
    state: Floats
    kinds: NDArray[np.int64]
    draws: NDArray[np.int64]
    overlays: NDArray[np.int64]
    starts: NDArray[np.int64]
    below: Floats
    truth: Floats
    solid: Floats
    gain: np.float32
    display: int
    at: NDArray[np.int64]
    away: Doubles

    def part(self, pixels: NDArray[np.int64], which: NDArray[np.bool_] | None = None) -> "Fragments":
        """Some pixels, and of these only some fragments; the truth is worked out anew where fragments are left out."""
        lengths = self.starts[pixels + 1] - self.starts[pixels]
        at = np.repeat(self.starts[pixels] - np.concatenate([[0], np.cumsum(lengths)[:-1]]), lengths) + np.arange(
            lengths.sum()
        )
        pixel_of = np.repeat(np.arange(len(pixels)), lengths)
        if which is not None:
            keep = which[at]
            at, pixel_of = at[keep], pixel_of[keep]
        starts = np.searchsorted(pixel_of, np.arange(len(pixels) + 1)).astype(np.int64)
        made = Fragments(
            self.colours[at],
            self.state[at],
            self.kinds[at],
            self.draws[at],
            self.overlays[at],
            starts,
            self.below[pixels],
            self.truth[pixels],
            self.solid[pixels],
            self.gain,
            self.display,
            self.at[pixels],
            self.away[at],
        )
        return made if which is None else replace(made, truth=made.exact())

    def only(self, *overlays: int) -> "Fragments":
        """The same pixels with the fragments of some overlays alone."""
        return self.part(np.arange(len(self.starts) - 1), np.isin(self.overlays, overlays))

    def exact(self) -> Floats:
        """What exact order gives, (pixels, 4)."""
        out = np.empty((len(self.starts) - 1, 4), np.float32)
        _orders.exact_of(self.colours, self.state, self.kinds, self.starts, self.below, self.display, out)
        return out

    def errors(self, orders: NDArray[np.int64], who: NDArray[np.int64]) -> NDArray[np.float64]:
        """Error under each order, summed over the pixels."""
        out = np.zeros(len(orders))
        _orders.errors_of(
            self.colours,
            self.state,
            self.kinds,
            who,
            self.starts,
            self.below,
            self.solid,
            self.truth,
            orders,
            self.gain,
            self.display,
            out,
        )
        return out

    def pair_errors(self, count: int) -> NDArray[np.float64]:
        """Error of drawing all of one overlay before all of another, summed over the pixels that both are at.

        Parameters
        ----------
        count : int
            How many overlays there are.

        Returns
        -------
        float64 array (count, count)
            First and second; nothing else is drawn at these pixels.
        """
        out = np.zeros((count, count))
        _pairs.pair_errors_of(*self._arrays(), out)
        return out

    def _arrays(self) -> tuple[Any, ...]:
        """What the kernels of pairs take, in their order."""
        return (
            self.colours,
            self.state,
            self.kinds,
            self.overlays,
            self.starts,
            self.below,
            self.solid,
            self.gain,
            self.display,
        )

    def inverted(self, bad: NDArray[np.int64]) -> tuple[NDArray[np.int64], Floats]:
        """Pairs of overlays of which the first is drawn before the second though it is nearer, at some pixels.

        Parameters
        ----------
        bad : int64 array
            The pixels.

        Returns
        -------
        int64 array (n, 3), float32 array (n,)
            First and second overlay and pixel; the error that the two make there by themselves.
        """
        # How many pairs there are is known only when they are counted: a second call has room for all.
        room = 2 * len(bad) + 16
        while True:
            rows, errors = np.zeros((room, 3), np.int64), np.zeros(room, np.float32)
            n = _pairs.inverted_of(*self._arrays(), bad, rows, errors)
            if n <= room:
                return rows[:n], errors[:n]
            room = n

    def as_drawn(self) -> Floats:
        """Error of every pixel in the order in which the fragments stand."""
        out = np.zeros(len(self.starts) - 1, np.float32)
        _orders.as_drawn(
            self.colours,
            self.state,
            self.kinds,
            self.starts,
            self.below,
            self.solid,
            self.truth,
            self.gain,
            self.display,
            out,
        )
        return out


def _counts(pixel: NDArray[np.int64], own: NDArray[np.int64], iw: Floats, draws: Sequence[DrawCall]) -> NDArray[np.bool_]:
    """Which fragments count: of what lays its depth first only the nearest of a pixel, in either order."""
    first = np.array([d.material.depth_first and d.material.depth_test for d in draws] or [False])[own]
    keep = np.ones(len(pixel), bool)
    if first.any():
        at = np.flatnonzero(first)
        # Nearest first among the fragments of one draw at one pixel; those behind it are never seen.
        ranked = at[np.lexsort((-iw[at], own[at], pixel[at]))]
        same = (np.diff(pixel[ranked]) == 0) & (np.diff(own[ranked]) == 0)
        keep[ranked[1:][same]] = False
    return keep


def fragments_of(
    draws: list[DrawCall], view: View, lighting: Lighting, owners: Sequence[str], *, nudged: bool = False
) -> Fragments:
    """Gather the fragments of a view; ``owners`` numbers the overlays. Nudges count only where ``nudged`` is set."""
    if nudged:
        rows = in_lists(draws, nudged=True)
    else:
        # Level nudges: orders are tried against distance alone, not against what somebody has set.
        rows = in_lists(replace(d, order=(d.order[0], 0, d.order[2])) for d in draws)
    shot = RenderPlan(rows, view)
    shadows = shadows_for(rows, lighting, lit=shot.lit)
    buffers = Buffers.of(view)
    run(shot, buffers, lighting, shadows, skip=SORTED)
    light, held = light_record(lighting, shadows, shot.lamps)
    frame, scene = blended_frame(shot, buffers, lighting)
    steps = [p for p in shot.plan if p.name == "blended"]
    shot.records.draws["special"] &= ~_effect.REFRACTS  # judged by what lies straight behind
    where = np.array([0, view.height, 0, view.width, steps[0].first, steps[-1].last], np.int64)
    room = _settle.room_for(shot.polys, where, view.width)
    sink = sink_of(_paint.KEPT, 0, view.height, view.width, max(room, 1))
    _paint.paint(frame, light, shot.records.draws, shot.polys, where, NO_SURFACES, sink)
    n = int(sink[5][0])
    pixel = np.empty(n, np.int64)
    _settle.pixels_of(sink[2], sink[3], pixel)
    own = shot.polys["draw"][sink[3][:n, 1]]
    order = np.argsort(pixel, kind="stable")  # they were put down in drawing order
    order = order[_counts(pixel[order], own[order], sink[4][:n, 7][order], rows)]
    # Sorted by pixel already: the first index of each is where its fragments begin.
    there, first = np.unique(pixel[order], return_index=True)
    which = own[order]
    m = [d.material for d in rows]
    number = {o: i for i, o in enumerate(owners)}
    kind = np.array(
        [(BLENDS[x.blend].code, x.depth_test + 2 * (x.depth_write or (x.depth_first and x.depth_test))) for x in m]
        or [(0, 0)],
        np.int64,
    )
    weight = np.array([x.opacity for x in m] or [0], np.float32)
    facts = sink[4][:n][order]
    y, x = np.divmod(there, view.width)
    overlays = np.array([number.get(d.owner, -1) for d in rows] or [0], np.int64)[which]
    starts = np.concatenate([first, [len(order)]]).astype(np.int64)
    made = Fragments(
        np.ascontiguousarray(facts[:, :4]),
        np.stack([facts[:, 7], weight[which]], axis=1),
        kind[which],
        which,
        overlays,
        starts,
        buffers.colour[y, x].copy(),
        # Filled below: exact order is worked out from these very fragments.
        np.zeros((0, 4), np.float32),
        buffers.depth[y, x].copy(),
        np.float32(2.0**lighting.exposure),
        int(lighting.blending == "display"),
        there,
        np.where(np.array([mixes(d) for d in rows] or [False])[own], shot.polys["away"][sink[3][:n, 1]], np.nan)[order],
    )
    del held, scene
    return replace(made, truth=made.exact())
