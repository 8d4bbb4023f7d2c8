"""The stage for the screen: what is there already is not drawn again."""

from collections.abc import Sequence
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.types import Doubles, Floats
from mivex.core.stage.buffers import Box, Buffers, Screen
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.lighting import Shadows, casts, shadows_of
from mivex.core.stage.lights import Lighting, PointLamp
from mivex.core.stage.passes import RenderPlan, run
from mivex.core.stage.transmission import reach

BEFORE_LIGHT = ("solid", "decals", "light")
AFTER_LIGHT = ("blended", "front")
FAINT = 0.004
"""Linear light of a lamp of strength one whose flickering is not seen."""


class Painter:
    """Draws for the screen, keeping from one picture to the next what has not changed.

    As long as view, light and size stay, only the part of the picture is drawn that a changed draw touched or
    touches now; and where all that changed is drawn after the light, what lies behind is taken as it was. Draws count
    as the same only if they are the same objects.
    """

    def __init__(self) -> None:
        self._draws: list[DrawCall] = []
        self._shot: RenderPlan | None = None
        self._lighting = Lighting()
        self._shadows: Shadows | None = None
        self._shadow_key: tuple[object, ...] = ()
        self._buffers: Buffers | None = None
        self._behind: Buffers | None = None
        self._tight: dict[PointLamp, Box | None] = {}
        self._lamps: dict[PointLamp, tuple[Box, Floats]] = {}
        """Of every lamp near by, at a strength of one: where it falls, and what it adds there (rows, columns, 3)."""
        self._codes: NDArray[np.uint8] = np.empty((0, 0, 3), np.uint8)
        self.drawn: tuple[Box, ...] = ()
        """What the last picture redrew."""

    def paint(self, draws: Sequence[DrawCall], view: View, lighting: Lighting) -> NDArray[np.uint8]:
        """Display codes (height, width, 3) of draws in their order."""
        rows = list(draws)
        old_shot, old_draws = self._shot, self._draws
        shot = (
            old_shot
            if old_shot is not None and _same(rows, old_draws) and _from(old_shot.view, view)
            else RenderPlan(rows, view, old_shot)
        )
        full = (
            old_shot is None
            or self._buffers is None
            or not _from(old_shot.view, view)
            or self._lighting.shading != lighting.shading
            or old_shot.lit_surfaces != shot.lit_surfaces
        )
        shown_otherwise = (self._lighting.exposure, self._lighting.curve) != (lighting.exposure, lighting.curve)
        changed = {id(d) for d in rows} ^ {id(d) for d in old_draws}
        boxes: list[Box] = []
        behind: list[Box] = []
        """Where what is drawn before the light has changed too."""
        if not full and old_shot is not None:
            boxes = shot.boxes(rows, changed) + old_shot.boxes(old_draws, changed)
            those = [d for d in rows + old_draws if id(d) in changed]
            early = {id(d) for d in those if d.before_light}
            behind = shot.boxes(rows, early) + old_shot.boxes(old_draws, early)
            if shot.lit and shot.lamps != old_shot.lamps:
                boxes += [b for lamp in set(shot.lamps) ^ set(old_shot.lamps) if (b := self._seen_of(lamp, view))]
            if shot.lit and lighting.shadows and lighting.lamp > 0:
                behind += [b for d in those if casts(d) and (b := _shaded(d, [*rows, d], lighting, view))]
        old_shadows = self._shadows
        shadows = self._shadows_for(rows, lighting, shot.lit)
        if not full and shadows is not old_shadows and not _alike(shadows, old_shadows):
            # What the lamp sees has another size: every shadow's edge is drawn from other texels.
            behind = [(0, view.height, 0, view.width)]
        if full or self._buffers is None or self._behind is None:
            self._buffers, self._behind = Buffers.of(view), Buffers.of(view)
            self._codes = np.empty((view.height, view.width, 3), np.uint8)
            behind = [(0, view.height, 0, view.width)]
        boxes += behind
        behind = apart(behind)
        boxes = _with_readers(shot, boxes) if boxes and shot.reads else apart(boxes)
        self._follow_lamps(shot, lighting, shadows, full)
        screen = Screen(self._codes, lighting)
        if full and not self._lamps:
            self._draw_at_once(shot, lighting, shadows, screen)
        else:
            for box in behind:
                self._draw_behind(shot, lighting, shadows, box)
            for box in boxes:
                self._draw_before(shot, lighting, shadows, box, screen)
        if shown_otherwise and not full:
            screen.write(self._buffers.colour, (0, view.height, 0, view.width))
        self._draws, self._shot, self._lighting, self.drawn = rows, shot, lighting, tuple(boxes)
        return self._codes.copy()

    def _draw_at_once(self, shot: RenderPlan, lighting: Lighting, shadows: Shadows | None, screen: Screen) -> None:
        """All of the picture in one go; what is there once the light is, is put aside."""
        buffers, behind = self._buffers, self._behind
        assert buffers is not None and behind is not None

        def keep(b: Box) -> None:
            part = slice(b[0], b[1]), slice(b[2], b[3])
            behind.colour[part], behind.depth[part] = buffers.colour[part], buffers.depth[part]

        run(shot, buffers, lighting, shadows, after_light=keep, screen=screen)

    def _draw_behind(self, shot: RenderPlan, lighting: Lighting, shadows: Shadows | None, box: Box) -> None:
        """What comes before the light, in a box: without the lamps near by, and then what each of these adds."""
        assert self._behind is not None
        run(shot, self._behind, lighting, shadows, box=box, skip=AFTER_LIGHT, lamps=())
        for lamp in self._lamps:
            self._lamp_layer(shot, lighting, shadows, lamp, box)

    def _draw_before(self, shot: RenderPlan, lighting: Lighting, shadows: Shadows | None, box: Box, screen: Screen) -> None:
        """What comes after the light, in a box, over what lies behind as it is kept."""
        buffers, behind = self._buffers, self._behind
        assert buffers is not None and behind is not None
        near = [(lamp, *self._lamps[lamp.unit]) for lamp in (shot.lamps if shot.lit else ())]

        def rows(first: int, last: int) -> None:
            strip = (box[0] + first, box[0] + last, box[2], box[3])
            part = slice(strip[0], strip[1]), slice(strip[2], strip[3])
            buffers.colour[part], buffers.depth[part] = behind.colour[part], behind.depth[part]
            for lamp, where, adds in near:
                if (b := _both(where, strip)) is not None:
                    inside = adds[b[0] - where[0] : b[1] - where[0], b[2] - where[2] : b[3] - where[2]]
                    buffers.colour[b[0] : b[1], b[2] : b[3], :3] += inside * np.float32(lamp.strength)

        run_bands(box[1] - box[0], rows, per_worker=1)
        run(shot, buffers, lighting, shadows, box=box, skip=BEFORE_LIGHT, screen=screen)

    def _follow_lamps(self, shot: RenderPlan, lighting: Lighting, shadows: Shadows | None, fresh: bool) -> None:
        """Work out what lamps near by add that were not there before; light is added up, so each is kept by itself."""
        lamps = shot.lamps if shot.lit else ()
        wanted = {lamp.unit: _lit_by(lamp, shot.view) or (0, 0, 0, 0) for lamp in lamps}
        if fresh:
            self._lamps.clear()
        for lamp in [k for k in self._lamps if k not in wanted]:
            del self._lamps[lamp]
        new = {k: b for k, b in wanted.items() if k not in self._lamps}
        for lamp, b in new.items():
            self._lamps[lamp] = b, np.zeros((b[1] - b[0], b[3] - b[2], 3), np.float32)
        if new and not fresh and self._behind is not None:
            for lamp, b in new.items():
                # What lay there was drawn without lamps, or with others: it is drawn anew without.
                run(shot, self._behind, lighting, shadows, box=b, skip=AFTER_LIGHT, lamps=())
                self._lamp_layer(shot, lighting, shadows, lamp, b)

    def _seen_of(self, lamp: PointLamp, view: View) -> Box | None:
        """Part of the picture in which a lamp is seen to fall; of one that is new, all that it can reach."""
        held = self._lamps.get(lamp.unit)
        if held is None:
            return _lit_by(lamp, view)
        if lamp.unit in self._tight:
            return self._tight[lamp.unit]
        found = self._tight[lamp.unit] = self._tight_box(*held)
        return found

    @staticmethod
    def _tight_box(where: Box, adds: Floats) -> Box | None:
        """Where a lamp adds something to be seen."""
        seen = adds.max(axis=2) > FAINT
        rows, columns = np.flatnonzero(seen.any(axis=1)), np.flatnonzero(seen.any(axis=0))
        if not rows.size:
            return None
        return (
            where[0] + int(rows[0]),
            where[0] + int(rows[-1]) + 1,
            where[2] + int(columns[0]),
            where[2] + int(columns[-1]) + 1,
        )

    def _lamp_layer(self, shot: RenderPlan, lighting: Lighting, shadows: Shadows | None, lamp: PointLamp, box: Box) -> None:
        """What a lamp adds in a box: the picture with it less the picture without."""
        where, adds = self._lamps[lamp]
        b = _both(where, box)
        if b is None or self._behind is None:
            return
        self._tight.pop(lamp, None)
        lit = Buffers.of(shot.view)
        run(shot, lit, lighting, shadows, box=b, skip=AFTER_LIGHT, lamps=(lamp,))
        part = slice(b[0], b[1]), slice(b[2], b[3])
        adds[b[0] - where[0] : b[1] - where[0], b[2] - where[2] : b[3] - where[2]] = (
            lit.colour[part] - self._behind.colour[part]
        )[..., :3]

    def _shadows_for(self, draws: list[DrawCall], lighting: Lighting, lit: bool) -> Shadows | None:
        if not (lit and lighting.shadows and lighting.lamp > 0):
            return None
        casters = [d for d in draws if casts(d)]
        # Not the draws themselves: these are others whenever the camera, and with it the order, changes.
        key = (lighting.lamp_turn, lighting.lamp_height, *[(id(d.mesh), id(d.mask), id(d.transform)) for d in casters])
        if key != self._shadow_key or self._shadows is None:
            self._shadows, self._shadow_key = shadows_of(casters, lighting.towards_lamp), key
            self._casters = casters  # held, so that their ids stay theirs
        return self._shadows


def _with_readers(shot: RenderPlan, boxes: list[Box]) -> list[Box]:
    """Boxes that do not meet, each with all that the refracting things in it read: these read from what is drawn anew."""
    view, waiting = shot.view, []
    for p in shot.plan:
        own = shot.box(p.first, p.last) if p.reads else None
        if own is None:
            continue
        far = reach(shot.draws[int(shot.polys["draw"][p.first])], view)
        wide = round(min(far, view.width + view.height))
        waiting.append(
            (max(0, own[0] - wide), min(view.height, own[1] + wide), max(0, own[2] - wide), min(view.width, own[3] + wide))
        )
    while True:
        boxes = _joined(boxes)
        met = [r for r in waiting if any(_both(r, b) for b in boxes)]
        if not met:
            return boxes
        waiting = [r for r in waiting if r not in met]
        boxes += met


def _joined(boxes: list[Box]) -> list[Box]:
    """The boxes round those that meet, as few as it takes until none meets another."""
    done: list[Box] = []
    for box in boxes:
        now = box
        while hit := next((b for b in done if _both(b, now)), None):
            done.remove(hit)
            now = min(hit[0], now[0]), max(hit[1], now[1]), min(hit[2], now[2]), max(hit[3], now[3])
        done.append(now)
    return done


def _from(a: View, b: View) -> bool:
    """Whether two views are the same, whatever the time."""
    return (a.camera, a.width, a.height) == (b.camera, b.width, b.height)


def _same(a: list[DrawCall], b: list[DrawCall]) -> bool:
    return len(a) == len(b) and all(x is y for x, y in zip(a, b, strict=True))


def _alike(a: Shadows | None, b: Shadows | None) -> bool:
    """Whether two pictures of what the lamp sees have the same frame, so that only their casters differ."""
    return a is not None and b is not None and np.array_equal(a.rows, b.rows)


def _both(a: Box, b: Box) -> Box | None:
    """The box that two boxes have in common (rows, then columns); empty where they do not meet."""
    c = max(a[0], b[0]), min(a[1], b[1]), max(a[2], b[2]), min(a[3], b[3])
    return c if c[0] < c[1] and c[2] < c[3] else None


def _area(b: Box) -> int:
    return (b[1] - b[0]) * (b[3] - b[2])


WASTE = 1.25
"""What two pieces may cost more as one."""


def apart(boxes: list[Box]) -> list[Box]:
    """Boxes that cover the same, or little more, and do not meet.

    The picture is cut into strips where a box begins or ends; in each, columns that meet are one piece; and pieces one
    above the other are one where that costs little more.
    """
    cuts = sorted({y for b in boxes for y in b[:2]})
    done: list[Box] = []
    above: list[Box] = []
    for top, low in pairwise(cuts):
        joined: list[list[int]] = []
        for left, right in sorted((b[2], b[3]) for b in boxes if b[0] <= top and b[1] >= low):
            if joined and left <= joined[-1][1] + 8:
                joined[-1][1] = max(joined[-1][1], right)
            else:
                joined.append([left, right])
        rows = [(top, low, left, right) for left, right in joined]
        for k, row in enumerate(rows):
            touching = [o for o in above if o[1] == top and o[2] < row[3] and row[2] < o[3]]
            if len(touching) != 1:
                continue
            o = touching[0]
            both = (o[0], low, min(o[2], row[2]), max(o[3], row[3]))
            if _area(both) <= WASTE * (_area(o) + _area(row)) and all(
                _both(both, r) is None for r in (*done, *above, *rows) if r is not o and r is not row
            ):
                above.remove(o)
                rows[k] = both
        done += above
        above = rows
    return done + above


def _shaded(draw: DrawCall, draws: list[DrawCall], lighting: Lighting, view: View) -> Box | None:
    """Part of the picture that a caster's shadow can fall on: its corners, carried on by the lamp's rays."""
    mesh = draw.mesh if draw.transform is None else draw.mesh.transformed(draw.transform)
    low, high = (np.array(v) for v in zip(*(d.mesh.bounds for d in draws if d.transform is None), strict=True))
    span = float(np.linalg.norm(high.max(axis=0) - low.min(axis=0)))
    a, b = mesh.bounds
    corners = np.array([[(a, b)[i][0], (a, b)[j][1], (a, b)[k][2]] for i in (0, 1) for j in (0, 1) for k in (0, 1)])
    # Beyond the lowest thing of all there is nothing to fall on.
    to = lighting.towards_lamp
    floor = float(low[:, 1].min())
    reach = np.minimum(span, np.maximum(corners[:, 1] - floor, 0) / max(to[1], 1e-3) + 0.1)
    return _box_of(np.concatenate([corners, corners - to * reach[:, None]]), view)


def _lit_by(lamp: PointLamp, view: View) -> Box | None:
    """Part of the picture that a lamp near by can fall on: the box round its reach."""
    sides = np.array([(i, j, k) for i in (-1, 1) for j in (-1, 1) for k in (-1, 1)]) * lamp.reach
    return _box_of(np.array(lamp.at) + sides, view)


def _box_of(points: Doubles, view: View) -> Box | None:
    on = view.on_screen(points)
    if (on[:, 2] < 0.05).any():
        return 0, view.height, 0, view.width
    margin = 12  # the shadow's own softness
    box = (
        max(0, int(on[:, 1].min()) - margin),
        min(view.height, int(on[:, 1].max()) + margin),
        max(0, int(on[:, 0].min()) - margin),
        min(view.width, int(on[:, 0].max()) + margin),
    )
    return box if box[0] < box[1] and box[2] < box[3] else None
