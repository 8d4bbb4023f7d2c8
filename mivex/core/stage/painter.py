"""The stage for the screen: what is there already is not drawn again."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Doubles
from mivex.core.stage.camera import View
from mivex.core.stage.draw import Draw
from mivex.core.stage.lighting import Shadows, casts, shadows_of
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import Box, Buffers, Screen, Shot, run

BEFORE_LIGHT = ("solid", "decals", "light")


class Painter:
    """Draws for the screen, keeping from one picture to the next what has not changed.

    As long as view, light and size stay, only the part of the picture is drawn that a changed draw touched or
    touches now; and where all that changed is drawn after the light, what lies behind is taken as it was. Draws count
    as the same only if they are the same objects.
    """

    def __init__(self) -> None:
        self._draws: list[Draw] = []
        self._shot: Shot | None = None
        self._lighting = Lighting()
        self._shadows: Shadows | None = None
        self._shadow_key: tuple[object, ...] = ()
        self._buffers: Buffers | None = None
        self._behind: Buffers | None = None
        self._codes: NDArray[np.uint8] = np.empty((0, 0, 3), np.uint8)
        self.drawn: tuple[Box, ...] = ()
        """What the last picture redrew."""

    def paint(self, draws: Sequence[Draw], view: View, lighting: Lighting) -> NDArray[np.uint8]:
        """Display codes (height, width, 3) of draws in their order."""
        rows = list(draws)
        old_shot, old_draws = self._shot, self._draws
        shot = old_shot if old_shot is not None and _same(rows, old_draws) and old_shot.view == view else Shot(rows, view)
        full = (old_shot is None or self._buffers is None or old_shot.view != view
                or self._lighting.shading != lighting.shading or old_shot.lit_surfaces != shot.lit_surfaces)
        shown_otherwise = (self._lighting.exposure, self._lighting.curve) != (lighting.exposure, lighting.curve)
        changed = {id(d) for d in rows} ^ {id(d) for d in old_draws}
        boxes: list[Box] = []
        behind_changed = full
        if not full and old_shot is not None:
            boxes = shot.boxes(rows, changed) + old_shot.boxes(old_draws, changed)
            those = [d for d in rows + old_draws if id(d) in changed]
            behind_changed = any(d.before_light for d in those)
            if shot.lit and lighting.shadows and lighting.lamp > 0:
                boxes += [b for d in those if casts(d) and (b := _shaded(d, [*rows, d], lighting, view))]
                behind_changed = behind_changed or any(casts(d) for d in those)
        old_shadows = self._shadows
        shadows = self._shadows_for(rows, lighting, shot.lit)
        if not full and shadows is not old_shadows and not _alike(shadows, old_shadows):
            # What the lamp sees has another size: every shadow's edge is drawn from other texels.
            boxes, behind_changed = [(0, view.height, 0, view.width)], True
        if full or self._buffers is None or self._behind is None:
            self._buffers, self._behind = Buffers.of(view), Buffers.of(view)
            self._codes = np.empty((view.height, view.width, 3), np.uint8)
            boxes = [(0, view.height, 0, view.width)]
        if boxes and shot.reads:
            # What refracts reads from anywhere.
            boxes = [(0, view.height, 0, view.width)]
        boxes = apart(boxes)
        screen = Screen(self._codes, lighting)
        for box in boxes:
            self._draw(shot, lighting, shadows, box, behind_changed, screen)
        if shown_otherwise and not full:
            screen.write(self._buffers.colour, (0, view.height, 0, view.width))
        self._draws, self._shot, self._lighting, self.drawn = rows, shot, lighting, tuple(boxes)
        return self._codes.copy()

    def _draw(self, shot: Shot, lighting: Lighting, shadows: Shadows | None, box: Box, behind_changed: bool,
              screen: Screen) -> None:
        buffers, behind = self._buffers, self._behind
        assert buffers is not None and behind is not None

        def keep(b: Box) -> None:
            part = slice(b[0], b[1]), slice(b[2], b[3])
            behind.colour[part], behind.depth[part] = buffers.colour[part], buffers.depth[part]

        if behind_changed:
            run(shot, buffers, lighting, shadows, box=box, after_light=keep, screen=screen)
            return
        part = slice(box[0], box[1]), slice(box[2], box[3])
        buffers.colour[part], buffers.depth[part] = behind.colour[part], behind.depth[part]
        run(shot, buffers, lighting, shadows, box=box, skip=BEFORE_LIGHT, screen=screen)

    def _shadows_for(self, draws: list[Draw], lighting: Lighting, lit: bool) -> Shadows | None:
        if not (lit and lighting.shadows and lighting.lamp > 0):
            return None
        casters = [d for d in draws if casts(d)]
        # Not the draws themselves: these are others whenever the camera, and with it the order, changes.
        key = (lighting.lamp_turn, lighting.lamp_height, *[(id(d.mesh), id(d.mask), id(d.transform)) for d in casters])
        if key != self._shadow_key or self._shadows is None:
            self._shadows, self._shadow_key = shadows_of(casters, lighting.towards_lamp), key
            self._casters = casters  # held, so that their ids stay theirs
        return self._shadows


def _same(a: list[Draw], b: list[Draw]) -> bool:
    return len(a) == len(b) and all(x is y for x, y in zip(a, b, strict=True))


def _alike(a: Shadows | None, b: Shadows | None) -> bool:
    """Whether two pictures of what the lamp sees have the same frame, so that only their casters differ."""
    return a is not None and b is not None and np.array_equal(a.rows, b.rows)


def _area(b: Box) -> int:
    return (b[1] - b[0]) * (b[3] - b[2])


def apart(boxes: list[Box]) -> list[Box]:
    """Boxes that cover the same and do not meet; two that are cheaper to draw as one are one."""
    rows: list[Box] = []
    for box in boxes:
        b = box
        while True:
            for i, r in enumerate(rows):
                both = (min(b[0], r[0]), max(b[1], r[1]), min(b[2], r[2]), max(b[3], r[3]))
                meet = b[0] < r[1] and r[0] < b[1] and b[2] < r[3] and r[2] < b[3]
                if meet or _area(both) <= 1.3 * (_area(b) + _area(r)):
                    b = both
                    rows.pop(i)
                    break
            else:
                break
        rows.append(b)
    return rows


def _shaded(draw: Draw, draws: list[Draw], lighting: Lighting, view: View) -> Box | None:
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


def _box_of(points: Doubles, view: View) -> Box | None:
    on = view.on_screen(points)
    if (on[:, 2] < 0.05).any():
        return 0, view.height, 0, view.width
    margin = 12  # the shadow's own softness
    box = (max(0, int(on[:, 1].min()) - margin), min(view.height, int(on[:, 1].max()) + margin),
           max(0, int(on[:, 0].min()) - margin), min(view.width, int(on[:, 0].max()) + margin))
    return box if box[0] < box[1] and box[2] < box[3] else None
