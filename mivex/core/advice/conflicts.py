"""What no drawing order settles: the smallest set of overlays that want each other's place, and what was tried against it.

Overlays conflict where one must be drawn before another at some pixels and after it, directly or by way of others, at other
pixels. Such a circle is looked for in what pairs of overlays demand, from the pair that stays wrong in the order that is
proposed; the shortest one is named. Every remedy is rendered before it is named: what it gains, and what it changes of the
look, stand beside it.
"""

from collections import deque
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from mivex.core.advice.remedies import attempts, stepped
from mivex.core.base.errors import Stopped
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document
from mivex.core.project.edits import FrozenEdit
from mivex.core.project.variants import synced
from mivex.core.stage.adviser import SEEN, SLIGHT
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.looks import display_codes
from mivex.core.stage.overlay_fragments import Fragments, fragments_of
from mivex.core.stage.passes import draw_all

CAMERAS, MOST = 3, 3
"""Cameras from which a remedy is judged, those that see most of the conflict; conflicts that are looked at so closely."""
Draws = Callable[[Document, View, Mapping[str, Texture]], list[DrawCall]]
NOTHING: Mapping[str, Texture] = {}
HARMLESS = 8.0
"""Codes by which a remedy may change the look (99 % of the pixels that it changes) and still be the first to be named."""


@dataclass(frozen=True)
class Remedy:
    """One change that was tried.

    Attributes
    ----------
    name : str
        What it is called.
    overlay : str
        Id of the overlay that it changes.
    edits : tuple of FrozenEdit
    gain : float
        How much smaller the mean error is with it, over all pixels of the cameras that see the conflict, in codes.
    look : float
        By how much it changes what exact order shows: the 99th percentile over the pixels that it changes, in codes.
    share : float
        Part of the pictures that it changes by a code or more.
    """

    name: str
    overlay: str
    edits: tuple[FrozenEdit, ...]
    gain: float
    look: float
    share: float


@dataclass(frozen=True)
class Conflict:
    """Overlays that no order satisfies.

    Attributes
    ----------
    overlays : tuple of str
        Ids; each must be over the next somewhere, and the last over the first. One: with itself.
    pixels : int
        Where an error is seen, over all cameras.
    error : float
        Mean over all pixels of all cameras, in codes.
    camera : Camera
        The one that sees most of it.
    at : (x, y)
        A pixel of it there, as shares of the picture.
    remedies : tuple of Remedy
        Those that gain something: what changes the look least first.
    tried : bool
        Remedies were tried: so only of the worst conflicts.
    """

    overlays: tuple[str, ...]
    pixels: int
    error: float
    camera: Camera
    at: tuple[float, float]
    remedies: tuple[Remedy, ...] = ()
    tried: bool = False


@dataclass(eq=False)
class _Wrong:
    """Pixels at which one overlay is drawn before another that is behind it, camera by camera."""

    error: float
    pixels: dict[int, NDArray[np.int64]]

    @property
    def count(self) -> int:
        return sum(len(p) for p in self.pixels.values())


def _wrong(gathered: Sequence[Fragments]) -> dict[tuple[int, int], _Wrong]:
    """Every pair that is seen to be wrong, with the error that it makes by itself at its pixels."""
    rows: dict[tuple[int, int], _Wrong] = {}
    for number, f in enumerate(gathered):
        found, alone = f.inverted(np.flatnonzero(f.as_drawn() > SEEN))
        # One pair after the other: sorted by pair, pixels stay in their order.
        order = np.lexsort((found[:, 1], found[:, 0]))
        found, alone = found[order], alone[order]
        turns = np.flatnonzero((np.diff(found[:, :2], axis=0) != 0).any(axis=1)) + 1
        begin = 0
        for end in (*turns.tolist(), len(found)) if len(found) else ():
            pixels, errors = found[begin:end, 2], alone[begin:end]
            row = rows.setdefault((int(found[begin, 0]), int(found[begin, 1])), _Wrong(0.0, {}))
            row.error += float(errors.sum(dtype=np.float64))
            row.pixels[number] = pixels[errors > SEEN] if (errors > SEEN).any() else pixels
            begin = end
    return rows


def _circle(start: int, end: int, before: Mapping[int, set[int]]) -> tuple[int, ...]:
    """The shortest way from ``start`` to ``end`` along “must be drawn before”; empty where there is none."""
    came: dict[int, int] = {start: start}
    waiting = deque([start])
    while waiting:
        at = waiting.popleft()
        for nxt in sorted(before.get(at, ())):
            if nxt in came:
                continue
            came[nxt] = at
            if nxt == end:
                way = [nxt]
                while way[-1] != start:
                    way.append(came[way[-1]])
                return tuple(reversed(way))
            waiting.append(nxt)
    return ()


def conflicts(
    draws_of: Draws,
    textures: Mapping[str, Texture],
    doc: Document,
    cameras: Sequence[Camera],
    demands: Mapping[tuple[str, str], float],
    size: tuple[int, int],
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[float], object] = lambda _: None,
) -> tuple[Conflict, ...]:
    """Find what stays wrong in a document's order and why, and try what could be done about it.

    Parameters
    ----------
    draws_of : callable
        ``draws_of(document, view, textures)``: what is drawn of a document; ``textures`` stand in place of its own.
    textures : mapping of overlay id to Texture
    doc : Document
        With the proposed order.
    cameras : sequence of Camera
    demands : mapping of (overlay id, overlay id) to float
        Error of drawing the first before the second, summed over the pixels that both are at.
    size : (width, height)
        Of the pictures that are judged.
    stop, tell : callable

    Returns
    -------
    tuple of Conflict, the worst first
    """
    views = [View(c, *size) for c in cameras]
    rows = [draws_of(doc, v, NOTHING) for v in views]
    owners = list(dict.fromkeys(d.owner for draws in rows for d in draws if d.owner))
    gathered = []
    for draws, view in zip(rows, views, strict=True):
        if stop():
            raise Stopped
        gathered.append(fragments_of(draws, view, doc.lighting, owners, nudged=True))
    slight = SLIGHT * size[0] * size[1] * max(len(cameras), 1)
    before: dict[int, set[int]] = {}
    number = {o: i for i, o in enumerate(owners)}
    for (first, second), error in demands.items():
        # Wrong when the first is drawn before the second: the second must be drawn before it.
        if error > slight and first in number and second in number and first != second:
            before.setdefault(number[second], set()).add(number[first])
    found: dict[frozenset[int], tuple[tuple[int, ...], _Wrong]] = {}
    for (a, b), wrong in sorted(_wrong(gathered).items(), key=lambda kv: -kv[1].error):
        if wrong.error <= slight:
            continue
        # a is drawn before b, and b must be drawn before a: why does a stand there?
        way: tuple[int, ...] = (a,) if a == b else _circle(a, b, before)
        if not way:
            continue
        members: tuple[int, ...] = tuple(reversed(way))
        key: frozenset[int] = frozenset(members)
        if key not in found:
            found[key] = members, wrong
        else:
            _, had = found[key]
            had.error += wrong.error
            for k, pixels in wrong.pixels.items():
                had.pixels[k] = np.union1d(had.pixels[k], pixels) if k in had.pixels else pixels
    kept = sorted(found.values(), key=lambda row: -row[1].error)
    # A larger circle through overlays that conflict already says nothing new.
    kept = [r for i, r in enumerate(kept) if not any(set(s[0]) < set(r[0]) for j, s in enumerate(kept) if j != i)]
    made = []
    for k, (members, wrong) in enumerate(kept):
        tell(k / len(kept))
        order = sorted(wrong.pixels, key=lambda n: -len(wrong.pixels[n]))
        best = order[0]
        pixel = int(gathered[best].at[wrong.pixels[best][len(wrong.pixels[best]) // 2]])
        y, x = divmod(pixel, size[0])
        conflict = Conflict(
            tuple(owners[m] for m in members),
            wrong.count,
            wrong.error / (size[0] * size[1] * len(cameras)),
            cameras[best],
            ((x + 0.5) / size[0], (y + 0.5) / size[1]),
        )
        if k < MOST:
            asked = [cameras[n] for n in order[:CAMERAS]]
            conflict = replace(
                conflict, remedies=_tried(draws_of, textures, doc, conflict.overlays, asked, size, stop), tried=True
            )
        made.append(conflict)
    return tuple(made)


def _tried(
    draws_of: Draws,
    textures: Mapping[str, Texture],
    doc: Document,
    members: Sequence[str],
    cameras: Sequence[Camera],
    size: tuple[int, int],
    stop: Callable[[], bool],
) -> tuple[Remedy, ...]:
    """Render each remedy of each overlay; those that gain something."""
    views = [View(c, *size) for c in cameras]

    def pictures(d: Document, more: Mapping[str, Texture] = NOTHING) -> tuple[list[NDArray[np.int16]], float]:
        exact, errors = [], []
        for v in views:
            if stop():
                raise Stopped
            draws = draws_of(d, v, more)
            seen = display_codes(draw_all(draws, v, d.lighting), d.lighting).astype(np.int16)
            exact.append(display_codes(draw_exact(draws, v, d.lighting), d.lighting).astype(np.int16))
            errors.append(float(np.abs(seen - exact[-1]).mean()))
        return exact, float(np.mean(errors))

    meant, error = pictures(doc)
    rows = []
    for key in members:
        texture = textures.get(key)
        for a in attempts(doc, key, [m for m in members if m != key], texture):
            made = doc
            for edit in a.edits:
                made = edit(made)
            more = {key: stepped(texture, a.steps)} if a.steps and texture is not None else NOTHING
            exact, left = pictures(synced(doc, made), more)
            if error - left <= SLIGHT:
                continue
            apart = np.concatenate([np.abs(a - b).max(axis=2).ravel() for a, b in zip(exact, meant, strict=True)])
            changed = apart[apart >= 1]
            look = float(np.percentile(changed, 99)) if changed.size else 0.0
            rows.append(Remedy(a.name, key, a.edits, error - left, look, changed.size / apart.size))
    return tuple(sorted(rows, key=lambda r: (r.look > HARMLESS, -r.gain if r.look <= HARMLESS else r.look)))
