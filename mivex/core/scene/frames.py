"""Frames made from an overlay itself: its result under other seeds, or its animation baked."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np
from pydantic import BaseModel

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.material_binding import Pictures, shading_inputs
from mivex.core.stage.buffers import GROUND
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.mesh import quad
from mivex.core.stage.passes import draw_all

LARGEST = 1024
"""Texels a side of a baked frame."""


def reseeded(value: Any, by: int) -> Any:
    """A model, or what holds models, with every seed raised; nothing else changes."""
    if isinstance(value, BaseModel):
        change = {}
        for key in type(value).model_fields:
            old = getattr(value, key)
            new = (old + by) % 100_000 if key == "seed" and isinstance(old, int) else reseeded(old, by)
            if new is not old:
                change[key] = new
        return value.model_copy(update=change) if change else value
    if isinstance(value, tuple):
        made = tuple(reseeded(v, by) for v in value)
        return made if any(a is not b for a, b in zip(made, value, strict=True)) else value
    if isinstance(value, dict):
        rows = {k: reseeded(v, by) for k, v in value.items()}
        return rows if any(rows[k] is not value[k] for k in rows) else value
    return value


def by_seeds(
    evaluator: Evaluator, doc: Document, overlay: Overlay, count: int, stop: Callable[[], bool] = lambda: False
) -> list[Floats]:
    """Results of an overlay under so many seeds; raises MivexError where nothing of it has a seed."""
    frames: list[Floats] = []
    for k in range(count):
        if stop():
            raise Stopped
        other = overlay.model_copy(update={"layers": reseeded(overlay.layers, k), "steps": reseeded(overlay.steps, k)})
        frames.append(evaluator.texture(other, doc, stop=stop).values.copy())
        if k == 1 and np.array_equal(frames[0], frames[1]):
            raise MivexError(
                Message("Nothing that is seen of “{name}” has a seed: no noise, no seeded pattern.", name=overlay.name)
            )
    return frames


@dataclass(frozen=True)
class Baking:
    """What moves while frames are baked.

    Attributes
    ----------
    wears : bool
        Erosion goes from nothing to everything; of a material without erosion, softly.
    seconds : float
        Of the flow's movement.
    degrees : float
        It turns by so much.
    """

    wears: bool = False
    seconds: float = 0.0
    degrees: float = 0.0


def baked(
    overlay: Overlay, texture: Texture, count: int, what: Baking, stop: Callable[[], bool] = lambda: False
) -> list[Floats]:
    """Frames of an overlay's own animation, as its material shows it flat and unlit; straight RGBA as stored.

    Parameters
    ----------
    overlay : Overlay
    texture : Texture
    count : int
    what : Baking
    stop : callable
        Asked between frames; true raises Stopped.
    """
    scale = min(1.0, LARGEST / max(texture.width, texture.height))
    w, h = max(1, round(texture.width * scale)), max(1, round(texture.height * scale))
    view = View(Camera(name="bake", target=(0, 0, 0), yaw=0, pitch=0, distance=2, fov=40), w, h)
    # A panel that fills the picture texel for pixel.
    half = np.array([w, h]) / view.focal
    plain = overlay.material.model_copy(
        update={
            "blend": "Translucent",
            "lit": False,
            "opacity": 1.0,
            "depth_write": False,
            "depth_test": False,
            "group": "Blended",
        }
    )
    frames = []
    for k in range(count):
        if stop():
            raise Stopped
        share = k / max(count - 1, 1) if what.wears else k / count
        m = plain
        if what.wears:
            e = m.erosion
            m = m.model_copy(
                update={
                    "erosion": e.model_copy(
                        update={"form": e.form if e.form != "none" else "soft", "by": "slider", "amount": share}
                    )
                }
            )
        if what.seconds and m.flow.strength > 0:
            m = m.model_copy(update={"flow": m.flow.model_copy(update={"time": m.flow.time + what.seconds * k / count})})
        t = np.radians(what.degrees * k / count)
        turn = np.array([[np.cos(t), np.sin(t)], [-np.sin(t), np.cos(t)]])
        corners = np.array([(-1, 1), (1, 1), (1, -1), (-1, -1)], np.float64) @ turn.T
        mesh = quad(np.column_stack([corners * half, np.zeros(4)]))
        drawn = draw_all([DrawCall("bake", mesh, shading_inputs(m, Pictures(texture, {})), m, (4, 0, 0.0))], view).colour
        a = drawn[..., 3:]
        rgb = np.divide(drawn[..., :3] - GROUND * (1 - a), a, out=np.zeros_like(drawn[..., :3]), where=a > 1e-4)
        rgb = np.clip(rgb, 0, 1)
        stored = rgb if texture.data else to_display(rgb)
        frames.append(np.concatenate([stored, np.clip(a, 0, 1)], axis=2).astype(np.float32))
    return frames
