"""Delivered against stage, in figures; and which switches each overlay of a delivery survives."""

import threading
from collections.abc import Callable, Mapping
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, field
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import WORKERS
from mivex.core.base.errors import Stopped
from mivex.core.intake.loader import Received
from mivex.core.intake.switches import SMALLER, SWITCHES, switched
from mivex.core.motion.model import Lamp
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.draw_calls import Scene, codes_of, render
from mivex.core.stage.buffers import Buffers
from mivex.core.stage.camera import View
from mivex.core.stage.part import render_into

SAME = 2
"""Codes of 255 within which two pictures count as the same."""
HOLDS = 8.0
"""Codes of 255 up to which an overlay is said to survive a switch."""
_SMALL, _SIZE = (160, 100), (512, 320)
_SEEN = 12
"""Pixels of the small picture from which a camera counts as seeing an overlay."""


@dataclass(frozen=True, eq=False)
class Difference:
    """How two pictures differ.

    Attributes
    ----------
    codes : uint8 array (height, width)
        Largest difference of a channel, per pixel.
    """

    codes: NDArray[np.uint8]

    @property
    def figures(self) -> dict[str, float]:
        """Share of pixels within `SAME`, mean and largest difference, codes of 255."""
        return {
            "within": float((self.codes <= SAME).mean()),
            "mean": float(self.codes.mean()),
            "largest": float(self.codes.max(initial=0)),
        }


def difference(a: NDArray[np.uint8], b: NDArray[np.uint8]) -> Difference:
    """The difference of two pictures of codes (height, width, 3)."""
    return Difference(np.abs(a.astype(np.int16) - b.astype(np.int16)).max(axis=2).astype(np.uint8))


def only_delivered(doc: Document, r: Received) -> Document:
    """A project's stage with nothing on it but what a delivery holds."""
    there, moving = {o.name for o in r.doc.overlays}, {e.name for e in r.doc.effects}
    return doc.model_copy(
        update={
            "overlays": tuple(o if o.name in there else o.model_copy(update={"shown": False}) for o in doc.overlays),
            "effects": tuple(e if e.name in moving else e.model_copy(update={"shown": False}) for e in doc.effects),
        }
    )


def draw(r: Received, view: View, stop: Callable[[], bool] = lambda: False) -> NDArray[np.uint8]:
    """A delivery on the stage, display codes (height, width, 3)."""
    return codes_of(render(r.doc, r.textures, view, r.meshes, stop), r.doc)


@dataclass(frozen=True)
class Row:
    """What becomes of one overlay under every switch.

    Attributes
    ----------
    overlay : str
    figures : mapping of switch to float
        99th percentile of the difference over the pixels that it changes, codes of 255.
    pixels : int
        How many pixels those are; 0: no camera sees it.
    """

    overlay: str
    figures: Mapping[str, float] = field(default_factory=dict)
    pixels: int = 0

    def survives(self, key: str) -> bool:
        """Whether a figure is no larger than what still counts as the same (`HOLDS`)."""
        return self.figures.get(key, 0.0) <= HOLDS


def _alone(doc: Document, ident: str) -> Document:
    """The stage with one overlay, and the effects that show it."""
    # Without their lamps, whose light would count as the overlay's.
    effects = tuple(
        e.model_copy(update={"lamp": Lamp(), "parts": tuple(p for p in e.parts if p.overlay == ident)})
        for e in doc.effects
        if any(p.overlay == ident for p in e.parts)
    )
    return doc.model_copy(
        update={"effects": effects, "overlays": tuple(o.model_copy(update={"shown": o.id == ident}) for o in doc.overlays)}
    )


def survival(
    r: Received,
    *,
    side: int = SMALLER,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[float], None] = lambda _: None,
) -> list[Row]:
    """What every switch does to every overlay, each alone on the stage.

    Parameters
    ----------
    r : Received
    side : int
        The size limit of that switch.
    stop : callable
        Asked between pictures; true raises Stopped.
    tell : callable
        Told the share that is done.
    """
    versions = {s.key: switched(r, frozenset({s.key}), side, stop) for s in SWITCHES}
    bare = _Bare(r)
    done = 0
    lock = threading.Lock()

    def one(o: Overlay) -> Row:
        nonlocal done
        row = _tried(r, o, versions, bare, stop)
        with lock:
            done += 1
            tell(done / len(r.doc.overlays))
        return row

    tell(0.0)
    # Half of the time goes into what is no kernel: another overlay's kernels run meanwhile.
    with ThreadPoolExecutor(WORKERS) as pool:
        jobs = [pool.submit(one, o) for o in r.doc.overlays]
        rows = [j.result() for j in jobs]
    tell(1.0)
    return rows


class _Bare:
    """The stage with nothing on it, from every camera that is asked for; each is drawn once."""

    def __init__(self, r: Received) -> None:
        self._r, self._doc = r, _alone(r.doc, "")
        self._held: dict[View, tuple[Buffers, NDArray[np.int16]]] = {}
        self._lock = threading.Lock()

    def of(self, view: View) -> tuple[Buffers, NDArray[np.int16]]:
        """The picture, and its codes."""
        with self._lock:
            if view not in self._held:
                # An empty stage is the same at all times.
                drawn = render(self._doc, self._r.textures, view, self._r.meshes)
                self._held[view] = drawn, codes_of(drawn, self._doc).astype(np.int16)
            return self._held[view]


def _tried(r: Received, o: Overlay, versions: Mapping[str, Received], bare: _Bare, stop: Callable[[], bool]) -> Row:
    """One overlay under every switch, seen by the camera that sees most of it."""
    doc = _alone(r.doc, o.id)
    times = (0.0,) if o.places else (1.5, 0.2, 0.6, 4.0)

    # Shadows stay while meshes and masks do: one scene for all cameras.
    scenes: dict[int, Scene] = {}

    def shot(view: View, doc: Document, version: Received) -> NDArray[np.int16]:
        if stop():
            raise Stopped
        draws = scenes.setdefault(id(version), Scene(2 * len(r.doc.cameras))).draws(
            doc, version.textures, view, version.meshes
        )
        drawn, box = render_into(bare.of(_still(view))[0], draws, view, doc.lighting, o.id)
        return bare.of(_still(view))[1] if box is None else codes_of(drawn, doc).astype(np.int16)

    best: tuple[int, View] | None = None
    for time in times:
        for camera in r.doc.cameras:
            small = View(camera, *_SMALL, time)
            seen = int((np.abs(shot(small, doc, r) - bare.of(_still(small))[1]).max(axis=2) > SAME).sum())
            if best is None or seen > best[0]:
                best = seen, View(camera, *_SIZE, time)
        if best is not None and best[0] >= _SEEN:
            break
    if best is None or best[0] < _SEEN:
        return Row(o.name)
    view = best[1]
    whole = shot(view, doc, r)
    mask = np.abs(whole - bare.of(_still(view))[1]).max(axis=2) > SAME
    figures = {}
    for s in SWITCHES:
        v = versions[s.key]
        if v.doc is r.doc and all(v.textures[k] is r.textures[k] for k in r.files[o.id]):
            figures[s.key] = 0.0
            continue
        off = np.abs(shot(view, _alone(v.doc, o.id), v) - whole).max(axis=2)
        # What it covers now as well: a solid pane covers more than a clear one.
        where = mask | (off > SAME)
        figures[s.key] = float(np.percentile(off[where], 99)) if where.any() else 0.0
    return Row(o.name, figures, int(mask.sum()))


def _still(view: View) -> View:
    return View(view.camera, view.width, view.height)


def row_words(row: Row) -> dict[str, Any]:
    """A row as it is printed."""
    return {
        "overlay": row.overlay,
        "pixels": row.pixels,
        "switches": {k: {"difference": round(v, 2), "survives": row.survives(k)} for k, v in row.figures.items()},
    }
