"""What stands round the overlays: solid things, whatever they are."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, field, replace

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.material.material import Material
from mivex.core.pixels.blends import GROUPS
from mivex.core.pixels.mips import build_chain
from mivex.core.stage.draw import DrawCall, Input, ShadingInputs
from mivex.core.stage.mesh import Mesh, crossing
from mivex.core.stage.placements_model import Around
from mivex.core.stage.primitives import person


@dataclass(frozen=True, eq=False)
class Surroundings:
    """Solid things that overlays stand among and lie on.

    Attributes
    ----------
    name : str
    solids : tuple of DrawCall
        In their order, the nearest first where that is known: what they hide is then never shaded.
    """

    name: str
    solids: tuple[DrawCall, ...]

    @property
    def meshes(self) -> list[Mesh]:
        """The meshes of its solids."""
        return [s.mesh for s in self.solids]

    def meet(self, origin: Doubles, ray: Doubles) -> tuple[float, Doubles, Doubles] | None:
        """Where a ray first meets a solid: distance, place and unit normal there; None where it meets nothing."""
        best: tuple[float, Doubles, Doubles] | None = None
        for s in self.solids:
            found = crossing(s.mesh, origin, ray)
            if found and (best is None or found[0] < best[0]):
                t, i, w = found
                n = w @ s.mesh.normal[s.mesh.index[i]]
                best = t, origin + ray * t, n / max(float(np.linalg.norm(n)), 1e-12)
        return best


SOLID = Material(blend="Solid", group="Solid", depth_write=True, both_faces=True)
FIRST = (GROUPS.index("Solid"), -100, 0.0)
"""Order of what stands round the overlays: before all of them in its group."""


@dataclass(frozen=True, eq=False)
class World:
    """Everything that placements may need to find their place.

    Attributes
    ----------
    surroundings : Surroundings
    meshes : mapping of path to Mesh
        Meshes from files, as far as they are there.
    """

    surroundings: Surroundings
    meshes: Mapping[str, Mesh] = field(default_factory=dict)


def with_person(around: Surroundings) -> Surroundings:
    """The same with a figure of a person's height at its left, towards the viewer."""
    bounds = [m.bounds for m in around.meshes]
    left = max(min((float(low[0]) for low, _ in bounds), default=-2.0), -3.2)
    floor = min((float(low[1]) for low, _ in bounds), default=0.0)
    placed = person().transformed(np.array([[1, 0, 0, left + 0.3], [0, 1, 0, floor], [0, 0, 1, 0.6]], np.float64))
    grey = build_chain(np.array([[[0.35, 0.35, 0.35, 1.0]]], np.float32))
    figure = DrawCall("person", placed, ShadingInputs(grey, rough=Input(0.8)), SOLID, FIRST)
    return replace(around, solids=(*around.solids, figure))


def of_mesh(mesh: Mesh, around: Around) -> Surroundings:
    """Surroundings of one mesh, standing on the floor at the middle."""
    t = math.radians(around.turn)
    c, s = math.cos(t) * around.scale, math.sin(t) * around.scale
    placed = mesh.transformed(np.array([[c, 0, s, 0], [0, around.scale, 0, 0], [-s, 0, c, 0]]))
    grey = build_chain(np.array([[[around.grey, around.grey, around.grey, 1.0]]], np.float32))
    return Surroundings(
        "mesh", (DrawCall("surroundings", placed, ShadingInputs(grey, rough=Input(around.rough)), SOLID, FIRST),)
    )
