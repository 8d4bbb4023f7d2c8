"""Fewer, larger: the rate and size with which fewer sprites cover as much."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message
from mivex.core.motion.model import Effect, whole
from mivex.core.motion.simulate import gone_at
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document
from mivex.core.project.edits import set_effect
from mivex.core.scene.playback import EmitterSimulations
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.looks import display_codes, tallied
from mivex.core.stage.passes import draw_all
from mivex.core.stage.surroundings import Surroundings, World

SIDE = 192
"""Pixels of a picture that is measured."""
MOMENTS = 5
"""Times that are looked at."""
BLOCKS = 24
"""Blocks along a side, over which looks are compared."""
PARTS = (1.0, 0.7, 0.5, 0.35)
"""Of the greatest number that is allowed: numbers that are tried, until one is cheaper."""
SAVES = 0.02
"""Share of the fragments that a proposal saves at least."""
COVERED = 0.02
"""Alpha from which a pixel counts as covered."""
CLOSE = 0.02
"""Share by which the covered area may differ."""


@dataclass(frozen=True, eq=False)
class Covering:
    """What an effect covers and costs.

    Attributes
    ----------
    count : float
        Particles at once, in the mean over the times that are looked at.
    area : float
        Share of the picture that is covered, in the mean.
    fragments, worst : float
        Of a picture, in the mean and at most.
    overdraw : float
        Fragments of a covered pixel, in the mean.
    picture : uint8 array (SIDE, SIDE, 3)
        At the middle of these times.
    look : float32 array (BLOCKS, BLOCKS, 3)
        Codes in the mean over blocks and over these times: how it looks, whichever particle is where.
    """

    count: float
    area: float
    fragments: float
    worst: float
    overdraw: float
    picture: NDArray[np.uint8]
    look: NDArray[np.float32]
    box: tuple[int, int, int, int] = (0, 0, SIDE, SIDE)
    """Left, top, right and lower edge of what is ever covered, in pixels."""


@dataclass(frozen=True, eq=False)
class ParticleReduction:
    """The answer: the dials, and what the effect covers before and after. Only what is cheaper is a proposal."""

    rate: float
    size: float
    before: Covering
    after: Covering

    @property
    def cost(self) -> tuple[float, float]:
        """Shares of the present fragments that it takes, in the mean and at the worst moment."""
        return self.after.fragments / max(self.before.fragments, 1.0), self.after.worst / max(self.before.worst, 1.0)

    @property
    def cheaper(self) -> bool:
        """It saves fragments in the mean, and takes no more at the worst moment."""
        share, worst = self.cost
        return share <= 1 - SAVES and worst <= 1.0

    @property
    def apart(self) -> float:
        """How far the looks are apart, in codes, in the mean over the blocks that either covers."""
        a, b = self.before.look, self.after.look
        away = np.abs(a - b).max(axis=2)
        # The first block is outside of the box that the camera was set by: nothing is ever in it.
        ground = a[0, 0]
        # One code: below it is the ground's own rounding.
        there = (np.abs(a - ground).max(axis=2) > 1) | (np.abs(b - ground).max(axis=2) > 1)
        return float(away[there].mean()) if there.any() else 0.0


def _camera(doc: Document, effect: Effect, flows: EmitterSimulations, world: World, times: list[float]) -> Camera:
    spots = [
        p.position
        for t in times
        for part in effect.parts
        if not part.muted
        for p in (flows.particles(doc, effect, part, world, t),)
        if len(p)
    ]
    if not spots:
        raise MivexError(Message("“{name}” has no particles to judge.", name=effect.name))
    at = np.concatenate(spots)
    low, high = at.min(axis=0), at.max(axis=0)
    # Room for whole sprites round the places: positions are those of their middles.
    wide = max(float((high - low).max()), 0.05) + 2 * max(part.birth.width[1] for part in effect.parts) * effect.scale
    x, y, z = (float(v) for v in (low + high) / 2)
    return Camera(name="judge", target=(x, y, z), yaw=0.0, pitch=0.0, distance=wide * 1.9, fov=40.0)


def times_of(effect: Effect) -> list[float]:
    """Times at which an effect is judged: of a stream, once it is full; else over all it lasts."""
    end = gone_at(effect)
    longest = max((p.birth.life[1] for p in effect.parts), default=1.0)
    if np.isinf(end):
        # From the longest life on as many die as are born.
        begin = max(p.emission.delay + p.birth.life[1] for p in effect.parts)
        # Four seconds at most: longer streams repeat themselves.
        return [float(t) for t in begin + np.linspace(0, min(longest, 4.0), MOMENTS)]
    # Neither the first spark nor the last wisp says what the effect costs.
    return [float(t) for t in np.linspace(0.15 * end, 0.85 * end, MOMENTS)]


def covering(
    doc: Document,
    effect: Effect,
    textures: Mapping[str, Texture],
    world: World,
    camera: Camera,
    times: list[float],
    flows: EmitterSimulations | None = None,
) -> Covering:
    """Measure what an effect covers by itself, seen by a camera at some times."""
    flows = flows or EmitterSimulations()
    # A copy would read its dials from its original, and not those that are tried.
    alone = doc.model_copy(update={"effects": (effect.model_copy(update={"shown": True, "copy_of": ""}),)})
    empty = (
        # Without the surroundings where nothing is met: they would only cost.
        World(Surroundings("nothing", ()), world.meshes) if all(p.life.solids == "through" for p in effect.parts) else world
    )
    counts, area, fragments, picture = [], [], [], None
    look = np.zeros((BLOCKS, BLOCKS, 3), np.float32)
    ever = np.zeros((SIDE, SIDE), bool)
    for k, t in enumerate(times):
        view = View(camera, SIDE, SIDE, t)
        draws = flows.draws(alone, textures, view, empty)
        counts.append(sum(len(flows.particles(alone, effect, p, empty, t)) for p in effect.parts if not p.muted))
        # Its lamp lights the ground, which would count as covered.
        drawn = draw_all([replace(d, lamp=None) for d in draws], view, doc.lighting)
        seen, _ = tallied(draws, view, doc.lighting)
        # Light covers too: what it adds to the ground counts as alpha does.
        light = np.abs(drawn.colour[..., :3] - 0.18).max(axis=2)
        covered = np.maximum(drawn.colour[..., 3], np.where(seen > 0, light, 0)) > COVERED
        ever |= covered
        area.append(float(covered.mean()))
        fragments.append(float(seen.sum()))
        # By blocks: sprites lie elsewhere when there are fewer, and texel by texel no two pictures would be alike.
        codes = display_codes(drawn, doc.lighting)
        look += codes.reshape(BLOCKS, SIDE // BLOCKS, BLOCKS, SIDE // BLOCKS, 3).mean(axis=(1, 3), dtype=np.float32)
        if k == len(times) // 2:
            picture = codes
    mean = float(np.mean(area))
    assert picture is not None
    return Covering(
        float(np.mean(counts)),
        mean,
        float(np.mean(fragments)),
        float(np.max(fragments)),
        float(np.mean(fragments)) / max(mean * SIDE * SIDE, 1.0),
        picture,
        look / np.float32(len(times)),
        _box(ever),
    )


def _box(ever: NDArray[np.bool_]) -> tuple[int, int, int, int]:
    rows, columns = np.flatnonzero(ever.any(axis=1)), np.flatnonzero(ever.any(axis=0))
    if not len(rows):
        return 0, 0, SIDE, SIDE
    return int(columns[0]), int(rows[0]), int(columns[-1]) + 1, int(rows[-1]) + 1


def _closer(camera: Camera, seen: Covering) -> Camera:
    """A camera for which the effect fills four fifths of the picture, so that both pictures can be judged.

    The rest is for larger particles at the rim.
    """
    left, top, right, low = seen.box
    share = max(right - left, low - top) / SIDE
    if not 0 < share < 0.75:
        return camera
    view = View(camera, SIDE, SIDE)
    step = view.metres_per_pixel(np.array(camera.target))
    shift = (view.axes[0] * ((left + right) / 2 - SIDE / 2) - view.axes[1] * ((top + low) / 2 - SIDE / 2)) * step
    x, y, z = (float(v) for v in np.array(camera.target) + shift)
    # Four fifths: some room is left for what grows beyond in the trial.
    return camera.model_copy(update={"target": (x, y, z), "distance": camera.distance * share / 0.8})


def reduce_particles(
    doc: Document,
    effect_id: str,
    most: int,
    textures: Mapping[str, Texture],
    world: World,
    *,
    stop: Callable[[], bool] = lambda: False,
) -> ParticleReduction:
    """Find the dials with which an effect covers as much with fewer, larger particles.

    Parameters
    ----------
    doc : Document
    effect_id : str
    most : int
        Particles that may live at once, in the mean.
    textures, world :
        As for drawing.
    stop : callable
        Asked between trials; true raises Stopped.

    Raises
    ------
    MivexError
        There is no such effect, it has no particles, or no size brings the area back.

    Returns
    -------
    ParticleReduction
        Where nothing that was tried is cheaper, the cheapest of it, to be shown and not to be taken.
    """
    found = doc.effect(effect_id)
    if found is None:
        raise MivexError("There is no such effect.")
    effect = whole(found, doc.effects)
    flows, times = EmitterSimulations(), times_of(effect)
    camera = _camera(doc, effect, flows, world, times)
    before = covering(doc, effect, textures, world, camera, times, flows)
    closer = _closer(camera, before)
    if closer != camera:
        camera = closer
        before = covering(doc, effect, textures, world, camera, times, flows)
    if before.count < 1 or before.area == 0:
        raise MivexError(Message("“{name}” covers nothing that could be judged.", name=effect.name))
    if most < 1:
        raise MivexError("At least one particle has to live.")
    if most >= before.count:
        raise MivexError(Message("There are only {count:.0f} at once already.", count=before.count))

    def tried(rate: float, size: float) -> Covering:
        if stop():
            raise Stopped
        dials = effect.dials.model_copy(update={"rate": rate, "size": size})
        return covering(doc, effect.model_copy(update={"dials": dials}), textures, world, camera, times, flows)

    least: ParticleReduction | None = None
    for part in PARTS if most > 1 else (1.0,):
        # By the ratio of the counts: births go with the rate, and the count with them.
        rate = round(effect.dials.rate * max(most * part, 1.0) / before.count, 6)
        size = _size_for(before, effect.dials.size, lambda size, rate=rate: tried(rate, size))  # type: ignore[misc]
        if size is None:
            continue
        found_ = ParticleReduction(rate, size, before, tried(rate, size))
        if found_.cheaper:
            return found_
        least = found_ if least is None or found_.cost < least.cost else least
    if least is None:
        raise MivexError(Message("{most} particles cannot cover as much at any size.", most=most))
    return least


def _size_for(before: Covering, size: float, tried: Callable[[float], Covering]) -> float | None:
    """The size with which as much is covered as before, by halving; None where no size does."""
    low, high = size, size * 2
    after = tried(high)
    # Cover grows with size but not evenly (sprites overlap): bracketed first, halved afterwards.
    # Sixty-four times the size is a sprite as large as the effect; beyond it nothing is won.
    while after.area < before.area and high < size * 64:
        low, high = high, high * 1.6
        after = tried(high)
    if after.area < before.area * (1 - CLOSE):
        return None
    best = high, after
    # Fourteen halvings bring a bracket of sixty per cent to a ten-thousandth.
    for _ in range(14):
        middle = (low + high) / 2
        after = tried(middle)
        if abs(after.area - before.area) < abs(best[1].area - before.area):
            best = middle, after
        # Much closer than what is asked for would be an accuracy of the sample, not of the effect.
        if abs(after.area / before.area - 1) < CLOSE / 4:
            break
        low, high = (middle, high) if after.area < before.area else (low, middle)
    return round(best[0], 4)


def with_reduction(doc: Document, effect_id: str, found: ParticleReduction) -> Document:
    """The document with a proposal taken.

    A copy takes the dials that it may set for itself; what it may not, its original takes, and with it all its copies.
    """
    effect = doc.effect(effect_id)
    if effect is None:
        return doc
    of = doc.effect(effect.copy_of) if effect.copy_of else None
    for key, value in (("rate", found.rate), ("size", found.size)):
        whose = effect_id if of is None or key in of.opened else of.id
        doc = set_effect(doc, whose, dials=_effect(doc, whose).dials.model_copy(update={key: value}))
    return doc


def shared_dials(doc: Document, effect_id: str) -> list[str]:
    """Dials of a proposal that a copy cannot set for itself: taken, they change its original and all copies of that."""
    effect = doc.effect(effect_id)
    of = doc.effect(effect.copy_of) if effect is not None and effect.copy_of else None
    return [k for k in ("rate", "size") if of is not None and k not in of.opened]


def _effect(doc: Document, effect_id: str) -> Effect:
    found = doc.effect(effect_id)
    assert found is not None
    return found
