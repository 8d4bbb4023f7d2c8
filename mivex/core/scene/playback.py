"""What moves: which frame of a sheet a placement shows, and what effects put on the stage, at the time that is seen."""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from typing import Any

import numpy as np

from mivex.core.base.kept import memoized_on, serial
from mivex.core.base.lazy import Lazy
from mivex.core.base.memory import no_collecting
from mivex.core.motion.bounds import Bounds, bounds_of
from mivex.core.motion.facing import frames as frame_numbers
from mivex.core.motion.facing import mesh_of
from mivex.core.motion.model import Effect, Emitter, whole
from mivex.core.motion.simulate import EmitterSimulation, Particles
from mivex.core.motion.solids import NOTHING, Solids, solids_of
from mivex.core.motion.travel import offset_at
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import FrameRect
from mivex.core.pixels.blends import GROUPS
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.material_binding import Pictures, flowing, order_key, read_by, shading_inputs
from mivex.core.sheet.celled import frame_values
from mivex.core.sheet.flow import vector_picture
from mivex.core.sheet.hull import Hull, hulls
from mivex.core.sheet.model import Sheet
from mivex.core.sheet.playing import at_time
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.lights import PointLamp
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.surroundings import World

_move = Lazy("mivex.core.motion.kernels.move")

MOST_FLOWS = 256


@dataclass(frozen=True)
class SheetFrame:
    """The frame that a placement of a sheet shows: its cell, and the step to the next with that one's share."""

    cell: FrameRect = (0.0, 0.0, 1.0, 1.0)
    step: tuple[float, float] = (0.0, 0.0)
    share: float = 0.0


def shown_frame(sheet: Sheet, cells: tuple[FrameRect, ...], time: float, number: int) -> SheetFrame:
    """The frame of a placement at a time; ``number`` counts the placements, of which each may show another."""
    if not cells:
        return SheetFrame()
    if sheet.play == "random":
        return SheetFrame(cells[(number * 7 + 3) % len(cells) if number else 0])
    first, after, share = at_time(len(cells), sheet.play, sheet.rate, time, blend=sheet.blend)
    a, b = cells[first], cells[after]
    return SheetFrame(a, (b[0] - a[0], b[1] - a[1]), share)


def hull_key(sheet: Sheet) -> tuple[object, ...]:
    """Name under which a texture's outlines are kept."""
    return "hulls", sheet.hull, sheet.hull_limit, sheet.hull_each


def hulls_of(overlay: Overlay, texture: Texture) -> list[Hull] | None:
    """The polygons of a sheet's frames, or of a picture; None where whole cells are drawn."""
    s = overlay.sheet
    if s.hull < 4:
        return None
    alphas = (
        [v[..., 3] for v in frame_values(texture.values, texture.traits.cells)] if texture.traits.cells else [texture.alpha]
    )
    return memoized_on(texture, hull_key(s), lambda: hulls(alphas, s.hull, s.hull_limit, each=s.hull_each))


def frame_vectors(sheet: Sheet, texture: Texture) -> tuple[MipChain, float] | None:
    """What a sheet's frames are moved along where it blends them so, as `ShadingInputs.vectors`; kept with the texture."""
    if not (sheet.blend and sheet.vectors and len(texture.traits.cells) > 1):
        return None

    def make() -> tuple[MipChain, float]:
        found = vector_picture(texture, sheet.play)
        rest = np.broadcast_to(np.array([0, 1], np.float32), (*found.values.shape[:2], 2))
        return build_chain(np.concatenate([found.values, rest], axis=2).astype(np.float32)), found.scale

    return memoized_on(texture, ("vector_chain", sheet.play == "loop"), make)


def lamp_at(effect: Effect, time: float) -> PointLamp | None:
    """An effect's lamp as it is at a time; it flickers with a noise of its own."""
    lamp = effect.lamp
    if not lamp.on or lamp.strength <= 0:
        return None
    from mivex.core.motion.emitter_shapes import axes_of

    there = offset_at(effect.travel, np.array([time]))[0][0] + np.array([0.0, lamp.above, 0.0])
    at = np.array(effect.at) + axes_of(effect).turn @ there * effect.scale
    # Two octaves, brought to 0 to 1.
    n, fast = (_move.noise(time * lamp.rate * k, 0.5, 0.5, effect.seed + i) for i, k in enumerate((1.0, 2.3)))
    n += 0.5 * fast
    strength = lamp.strength * (1 - lamp.flicker * (0.5 + n / 3))
    rgb = to_linear(np.array(lamp.colour, np.float32)) * np.float32(strength)
    return PointLamp((float(at[0]), float(at[1]), float(at[2])), lamp.reach, (float(rgb[0]), float(rgb[1]), float(rgb[2])))


def solids_in(world: World) -> Solids:
    """What particles can meet: the surroundings."""
    meshes = world.surroundings.meshes
    if not meshes:
        return NOTHING
    return memoized_on(world, "solids", lambda: solids_of(np.concatenate([m.corners for m in meshes])))


class EmitterSimulations:
    """Emitters that are being followed, each kept as long as nothing of it changes."""

    def __init__(self) -> None:
        self._rows: dict[object, EmitterSimulation] = {}
        self._drawn_last: dict[tuple[str, int], tuple[tuple[object, ...], DrawCall]] = {}
        """By effect and part what was drawn last, and from what: the same again is the same object."""

    def flow(self, doc: Document, effect: Effect, emitter: Emitter, world: World) -> EmitterSimulation:
        """The flow of an emitter of a whole effect."""
        # What does not change where particles are is left out: the lamp, the name.
        key = (
            effect.at,
            effect.yaw,
            effect.pitch,
            effect.roll,
            effect.scale,
            effect.seed,
            effect.dials,
            effect.travel,
            emitter,
            doc.air.wind,
            serial(world),
        )
        if key not in self._rows:
            solids = solids_in(world) if emitter.life.solids != "through" else NOTHING
            self._rows[key] = EmitterSimulation(
                effect, emitter, doc.air.wind, solids, world.meshes.get(emitter.emission.mesh)
            )
            if len(self._rows) > MOST_FLOWS:
                self._rows.pop(next(iter(self._rows)))
        return self._rows[key]

    def particles(self, doc: Document, effect: Effect, emitter: Emitter, world: World, time: float) -> Particles:
        """Particles of an emitter of a whole effect at a time; raises MivexError."""
        return self.flow(doc, effect, emitter, world).at(time)

    def bounds(self, doc: Document, effect: Effect, world: World) -> Bounds | None:
        """The box of a whole effect's particles; None where it has no parts. Raises MivexError."""
        boxes = [bounds_of(self.flow(doc, effect, p, world)) for p in effect.parts]
        if not boxes:
            return None
        return Bounds(
            np.min([b.low for b in boxes], axis=0), np.max([b.high for b in boxes], axis=0), max(b.margin for b in boxes)
        )

    def draws(self, doc: Document, textures: Mapping[str, Texture], view: View, world: World) -> list[DrawCall]:
        """Everything that effects put on the stage at the view's time; raises MivexError."""
        rows: list[DrawCall] = []
        for e in doc.effects:
            if not e.shown:
                continue
            effect = whole(e, doc.effects)
            lamp = lamp_at(effect, view.time)
            for number, emitter in enumerate(effect.parts, 1):
                overlay = doc.overlay(emitter.overlay)
                texture = textures.get(emitter.overlay)
                if emitter.muted or overlay is None or texture is None or not overlay.shown:
                    continue
                read = tuple(serial(t) if (t := textures.get(k)) is not None else 0 for k in read_by(overlay.material))
                made_of = effect, emitter, overlay.name, overlay.material, overlay.sheet, serial(texture), read
                key = (*made_of, view.camera, view.time, doc.air.wind, serial(world), lamp)

                def make(
                    effect: Effect = effect,
                    number: int = number,
                    emitter: Emitter = emitter,
                    overlay: Overlay = overlay,
                    texture: Texture = texture,
                    lamp: PointLamp | None = lamp,
                ) -> DrawCall:
                    found = self.particles(doc, effect, emitter, world, view.time)
                    return self._drawn(effect, number, emitter, overlay, texture, found, textures, view, lamp)

                rows.append(self._again((e.id, number), key, make))
                lamp = None
            if lamp is not None:
                rows.append(self._again((e.id, 0), (effect, lamp), lambda e=effect, lamp=lamp: _bare(e, lamp)))  # type: ignore[misc]
        there = {e.id for e in doc.effects}
        for gone in [k for k in self._drawn_last if k[0] not in there]:
            del self._drawn_last[gone]
        return rows

    def _again(self, which: tuple[str, int], key: tuple[object, ...], make: Callable[[], DrawCall]) -> DrawCall:
        """What was drawn last, where it was made of the same."""
        held = self._drawn_last.get(which)
        if held is None or held[0] != key:
            held = self._drawn_last[which] = key, make()
        return held[1]

    @staticmethod
    def _drawn(
        effect: Effect,
        number: int,
        emitter: Emitter,
        overlay: Overlay,
        texture: Texture,
        found: Particles,
        textures: Mapping[str, Texture],
        view: View,
        lamp: PointLamp | None,
    ) -> DrawCall:
        m = flowing(overlay.material, view.time)
        if not m.takes_tint:
            found = replace(found, tint=np.ones_like(found.tint))
        mesh = mesh_of(
            found,
            emitter.facing,
            view,
            sheet=overlay.sheet,
            cells=texture.traits.cells,
            hulls=hulls_of(overlay, texture),
            pivot=texture.pivot,
            extent=texture.extent,
        )
        at = found.position.mean(axis=0) if len(found) else np.array(effect.at)
        if m.distance == "nearest" and len(found):
            at = found.position[np.argmin(np.linalg.norm(found.position - view.eye, axis=1))]
        # The part's own nudge stands in the order alone: the material, and what is said of it, stay the overlay's.
        group, nudge, far = order_key(m, at, view.eye)
        return DrawCall(
            overlay.name,
            mesh,
            replace(shading_inputs(m, Pictures(texture, textures)), vectors=frame_vectors(overlay.sheet, texture)),
            m,
            (group, max(-999, min(999, nudge + emitter.facing.nudge)), far),
            owner=overlay.id,
            part=f"{effect.name} {number}",
            lamp=lamp,
            moving=True,
        )


def sprite_draw(overlay: Overlay, texture: Texture, textures: Mapping[str, Texture]) -> DrawCall:
    """What particles that show an overlay are drawn by, with a single panel in place of theirs."""
    m = overlay.material
    corners = np.array([[-0.5, 0.5, 0.0], [0.5, 0.5, 0.0], [0.5, -0.5, 0.0], [-0.5, -0.5, 0.0]])
    uv = np.array([[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]])
    index = np.array([[0, 3, 2], [0, 2, 1]])
    panel = Mesh(corners, np.tile([0.0, 0.0, 1.0], (4, 1)), uv, index, tint=np.ones((4, 4)))
    coat = replace(shading_inputs(m, Pictures(texture, textures)), vectors=frame_vectors(overlay.sheet, texture))
    return DrawCall(overlay.name, panel, coat, m, (GROUPS.index(m.group), m.nudge, 0.0), owner=overlay.id, moving=True)


def _bare(effect: Effect, lamp: PointLamp) -> DrawCall:
    """A lamp of an effect that shows nothing else."""
    from mivex.core.material.material import Material
    from mivex.core.stage.draw import ShadingInputs

    nothing = Mesh(np.zeros((1, 3)), np.array([[0.0, 0.0, 1.0]]), np.zeros((1, 2)), np.zeros((0, 3), np.int64))
    white = ShadingInputs(build_chain(np.ones((1, 1, 4), np.float32)))
    return DrawCall(effect.name, nothing, white, Material(lit=False), (0, 0, -math.inf), lamp=lamp)


PRINTED = (
    "birth",
    "age",
    "life",
    "position",
    "velocity",
    "size",
    "turn",
    "tint",
    "opacity",
    "erosion",
    "frame",
)
"""What is printed of a particle, after its emitter."""


def particle_rows(
    doc: Document, effect: Effect, world: World, time: float, frames: Mapping[str, int]
) -> list[dict[str, Any]]:
    """The particles of an effect at a time as they are printed, part by part, in the order of their births.

    Parameters
    ----------
    doc : Document
    effect : Effect
    world : World
    time : float
        Seconds.
    frames : mapping of overlay id to int
        How many frames their sheets have.
    """
    found, flows, rows = whole(effect, doc.effects), EmitterSimulations(), []
    for emitter in found.parts:
        if emitter.muted:
            continue
        overlay = doc.overlay(emitter.overlay)
        p = flows.particles(doc, found, emitter, world, time)
        shown, _, _ = frame_numbers(p, overlay.sheet if overlay is not None else Sheet(), frames.get(emitter.overlay, 1))
        # Column by column first: numbers one by one out of arrays cost more than all the motion before.
        with no_collecting():
            columns = zip(
                p.number.tolist(),
                p.age.tolist(),
                p.life.tolist(),
                p.position.tolist(),
                p.velocity.tolist(),
                p.size.tolist(),
                p.turn.tolist(),
                p.tint.tolist(),
                p.opacity.tolist(),
                p.erosion.tolist(),
                shown.tolist(),
                strict=True,
            )
            rows += [{"emitter": emitter.name, **dict(zip(PRINTED, row, strict=True))} for row in columns]
    return rows
