"""What stands round the overlays: solid things, whatever they are."""

from dataclasses import dataclass

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.stage.draw import Draw
from mivex.core.stage.mesh import crossing


@dataclass(frozen=True, eq=False)
class Surroundings:
    """Solid things that overlays stand among and lie on.

    Attributes
    ----------
    name : str
    solids : tuple of Draw
        In their order, the nearest first where that is known: what they hide is then never shaded.
    """

    name: str
    solids: tuple[Draw, ...]

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
