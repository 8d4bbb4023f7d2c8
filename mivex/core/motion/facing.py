"""From particles to triangles: how each stands, which frame it shows, and which comes first."""

import math

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.motion.model import Facing
from mivex.core.motion.simulate import Particles
from mivex.core.picture.traits import FrameRect
from mivex.core.sheet.hull import Hull
from mivex.core.sheet.model import Sheet
from mivex.core.sheet.playing import at_time
from mivex.core.stage.camera import View
from mivex.core.stage.mesh import FACTS, Mesh

_SQUARE = np.array([(0.0, 0.0), (1.0, 0.0), (1.0, 1.0), (0.0, 1.0)])
_WHOLE: tuple[FrameRect, ...] = ((0.0, 0.0, 1.0, 1.0),)


def ranked(p: Particles, facing: Facing, eye: Doubles) -> np.ndarray:
    """The order in which particles are drawn."""
    if facing.order in ("far", "apart"):
        return np.argsort(-np.linalg.norm(p.position - eye, axis=1), kind="stable")
    return np.argsort(-p.age if facing.order == "oldest" else p.age, kind="stable")


def axes(p: Particles, facing: Facing, view: View) -> list[tuple[Doubles, Doubles]]:
    """Unit vectors to the right and upwards of every particle, (n, 3) each; two pairs where panels cross."""
    n = len(p)
    right, up = np.tile(view.axes[0], (n, 1)), np.tile(view.axes[1], (n, 1))
    if facing.facing == "stretched":
        speed = np.linalg.norm(p.velocity, axis=1, keepdims=True)
        goes = speed[:, 0] > 1e-6
        way = p.velocity / np.maximum(speed, 1e-6)
        side = np.cross(way, view.eye - p.position)
        length = np.linalg.norm(side, axis=1, keepdims=True)
        # Seen along its way there is no side to stand on: then it faces the camera.
        goes &= length[:, 0] > 1e-6
        return [(np.where(goes[:, None], side / np.maximum(length, 1e-9), right), np.where(goes[:, None], way, up))]
    turn = np.radians(p.turn)
    c, s = np.cos(turn)[:, None], np.sin(turn)[:, None]
    if facing.facing == "crossed":
        upright = np.tile([0.0, 1.0, 0.0], (n, 1))
        x, z = np.array([1.0, 0.0, 0.0]), np.array([0.0, 0.0, 1.0])
        return [(x * c + z * s, upright), (z * c - x * s, upright)]
    if facing.facing == "upright":
        up = np.tile([0.0, 1.0, 0.0], (n, 1))
    elif facing.facing == "fixed":
        yaw, pitch = math.radians(facing.yaw), math.radians(facing.pitch)
        across = np.array([math.cos(yaw), 0.0, -math.sin(yaw)])
        out = np.array([math.sin(yaw) * math.cos(pitch), math.sin(pitch), math.cos(yaw) * math.cos(pitch)])
        right, up = np.tile(across, (n, 1)), np.tile(np.cross(out, across), (n, 1))
    return [(right * c + up * s, up * c - right * s)]


def frames(p: Particles, sheet: Sheet, count: int) -> tuple[np.ndarray, np.ndarray, Doubles]:
    """Of every particle the frame, the one after it and that one's share."""
    if count <= 1:
        zero = np.zeros(len(p), np.int64)
        return zero, zero, np.zeros(len(p))
    if sheet.play == "random":
        chosen = np.minimum((p.look * count).astype(np.int64), count - 1)
        return chosen, chosen, np.zeros(len(p))
    played = p.frame < 0
    first, after, share = (np.zeros(len(p), t) for t in (np.int64, np.int64, np.float64))
    x = p.frame * count
    first[:] = np.clip(np.floor(x), 0, count - 1)
    after[:] = np.minimum(first + 1, count - 1)
    share[:] = np.clip(x - first, 0, 1) if sheet.blend else 0.0
    for i in np.flatnonzero(played):
        first[i], after[i], share[i] = at_time(count, sheet.play, sheet.rate, -1 - p.frame[i], blend=sheet.blend)
    return first, after, share


def mesh_of(
    p: Particles,
    facing: Facing,
    view: View,
    *,
    sheet: Sheet | None = None,
    cells: tuple[FrameRect, ...] = (),
    hulls: list[Hull] | None = None,
    pivot: tuple[float, float] = (0.5, 0.5),
    extent: tuple[float, float] = (1.0, 1.0),
) -> Mesh:
    """The triangles of particles, the first to be drawn first.

    Parameters
    ----------
    p : Particles
    facing : Facing
    view : View
    sheet : Sheet, optional
        How frames are played.
    cells : tuple of FrameRect
        Where they lie; none: the whole picture.
    hulls : list of Hull, optional
        Of every frame; else the whole cell is drawn.
    pivot, extent : (x, y)
        Of the picture, or of a frame.
    """
    if not len(p):
        return Mesh(
            np.zeros((1, 3)),
            np.tile([0.0, 0.0, 1.0], (1, 1)),
            np.zeros((1, 2)),
            np.zeros((0, 3), np.int64),
            tint=np.ones((1, 4)),
            facts=np.zeros((0, len(FACTS))),
        )
    order = ranked(p, facing, view.eye)
    away = np.linalg.norm(p.position[order] - view.eye, axis=1) if facing.order == "far" else None
    boxes = np.array(cells or _WHOLE)
    first, after, share = (v[order] for v in frames(p, sheet or Sheet(), len(boxes)))
    size = p.size[order] * extent
    if facing.facing == "stretched":
        size = size + np.stack([np.zeros(len(p)), np.linalg.norm(p.velocity[order], axis=1) * facing.stretch], axis=1)
    outlines = [h.corners for h in hulls] if hulls else [_SQUARE]
    k = max(len(o) for o in outlines)
    # Polygons of fewer corners repeat their last: triangles without area.
    table = np.stack([np.concatenate([o, np.repeat(o[-1:], k - len(o), axis=0)]) for o in outlines])
    local = table[first if hulls else np.zeros(len(p), np.int64)]
    held = np.array([pivot[0] + facing.pivot[0] - 0.5, pivot[1] + facing.pivot[1] - 0.5])
    off = (local - held) * size[:, None, :]
    box = boxes[first]
    uv = box[:, None, :2] + local * (box[:, None, 2:] - box[:, None, :2])
    tint = np.concatenate([p.tint, p.opacity[:, None]], axis=1)[order]
    step = boxes[after][:, :2] - box[:, :2]
    cell = np.concatenate([box[:, :2], box[:, 2:] - box[:, :2]], axis=1)
    facts = np.concatenate([np.stack([p.erosion[order], p.look[order]], axis=1), step, share[:, None], cell], axis=1)
    # From the last corner to the first, so that the halves of a cell follow one another as one face.
    fan = np.array([(0, i + 1, i) for i in range(k - 2, 0, -1)], np.int64)
    rows = []
    for right, up in axes(p, facing, view):
        r, u = right[order], up[order]
        at = p.position[order][:, None, :] + off[..., :1] * r[:, None, :] - off[..., 1:] * u[:, None, :]
        normal = np.repeat(np.cross(r, u)[:, None, :], k, axis=1)
        index = np.arange(len(p))[:, None, None] * k + fan[None]
        rows.append((at, normal, index))
    if len(rows) == 1:
        at, normal, index = rows[0]
        return Mesh(
            at.reshape(-1, 3),
            normal.reshape(-1, 3),
            uv.reshape(-1, 2),
            index.reshape(-1, 3),
            tint=np.repeat(tint, k, axis=0),
            facts=np.repeat(facts, len(fan), axis=0),
            away=None if away is None else np.repeat(away, len(fan)),
        )
    # Both panels of a particle follow one another.
    at, normal = (np.stack([r[j] for r in rows], axis=1).reshape(-1, 3) for j in (0, 1))
    n = 2 * len(p)
    index = (np.arange(n)[:, None, None] * k + fan[None]).reshape(-1, 3)
    return Mesh(
        at,
        normal,
        np.repeat(uv, 2, axis=0).reshape(-1, 2),
        index,
        tint=np.repeat(tint, 2 * k, axis=0),
        facts=np.repeat(facts, 2 * len(fan), axis=0),
        away=None if away is None else np.repeat(away, 2 * len(fan)),
    )
