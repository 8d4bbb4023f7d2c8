"""What a check is, what it looks at, and what it reports."""

from collections.abc import Callable
from dataclasses import dataclass, field
from functools import cached_property
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.material.material import Material
from mivex.core.picture.fringes import LevelFringe, fringe_figures
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import StepParams
from mivex.core.project.document import Delivery, Overlay


@dataclass(frozen=True, eq=False)
class Cost:
    """What a repair changes of what is already right.

    Attributes
    ----------
    figure : float
        Largest change of a seen texel at full size, of 255.
    share : float
        Share of the seen texels that it changes visibly.
    picture : uint8 array (height, width, 3)
        The worst place: before, after, and where they differ.
    """

    figure: float
    share: float
    picture: NDArray[np.uint8]


@dataclass(frozen=True)
class Repair:
    """An edit that mends a finding; see `mivex.core.findings.apply_repair`.

    Attributes
    ----------
    label : str
        What the button says.
    steps : tuple of StepParams
        Put at the end of the recipe.
    material, source, delivery : dict
        Fields to set.
    first : bool
        The steps go to the start of the recipe instead.
    cost : Cost, optional
        Where it changes what shows at full size.
    """

    label: str
    steps: tuple[StepParams, ...] = ()
    material: dict[str, Any] = field(default_factory=dict)
    first: bool = False
    source: dict[str, Any] = field(default_factory=dict)
    delivery: dict[str, Any] = field(default_factory=dict)
    cost: Cost | None = field(default=None, compare=False)


@dataclass(frozen=True)
class Finding:
    """One measured fault.

    Attributes
    ----------
    id : str
        Which check: ``fringe``, ``matte``, …
    subject : str
        Name of the overlay, or path of the picture.
    figure : float
        How much.
    unit : str
        Of the figure.
    message : str
        What is wrong, in one sentence with the figure.
    why : str
        What it does to the picture in the game.
    place : (x, y, width, height) or None
        Where, in texels of level 0.
    repair : Repair or None
    details : dict
        Further figures, for the ``--json`` output.
    overlay : str
        Id of the overlay, where there is one.
    weight : float
        What it does on screen: difference of 255 times the share of the picture that shows it. Findings are
        ordered by it.
    """

    id: str
    subject: str
    figure: float
    unit: str
    message: str
    why: str
    place: tuple[int, int, int, int] | None = None
    repair: Repair | None = None
    details: dict[str, Any] = field(default_factory=dict)
    overlay: str = ""
    weight: float = 0.0


@dataclass(frozen=True, eq=False)
class Subject:
    """What checks look at: a prepared texture and, in a project, its material.

    Attributes
    ----------
    name : str
        The overlay's name or the picture's path.
    texture : Texture
    material : Material or None
        None for a picture on its own.
    overlay : str
        Id of the overlay, or empty.
    steps : tuple of StepParams
        Its recipe.
    delivery : Delivery or None
        How it leaves.
    """

    name: str
    texture: Texture
    material: Material | None = None
    overlay: str = ""
    steps: tuple[StepParams, ...] = ()
    delivery: Delivery | None = None

    @classmethod
    def of(cls, overlay: Overlay, texture: Texture) -> "Subject":
        """An overlay of a project with its prepared texture."""
        return cls(overlay.name, texture, overlay.material, overlay.id, overlay.steps, overlay.delivery)

    @property
    def wraps(self) -> bool:
        """It repeats, so that its borders meet."""
        return bool(self.material and self.material.tiling)

    @cached_property
    def fringes(self) -> list[LevelFringe]:
        """The fringe of every level; measured once."""
        return fringe_figures(self.texture, wrap=self.wraps)

    def has_step(self, *names: str) -> bool:
        """Whether any of these steps is in force."""
        return any(s.on and s.step in names for s in self.steps)

    @property
    def uses_alpha(self) -> bool:
        """False for an overlay drawn solid, whose alpha nothing looks at."""
        return self.material is None or self.material.blend != "Solid"

    @cached_property
    def flat_alpha(self) -> bool:
        """Alpha is missing or the same everywhere; other checks of alpha then make no sense."""
        a = self.texture.alpha
        return not self.texture.has_alpha or float(a.min()) == float(a.max())


@dataclass(frozen=True)
class Check:
    """A registered check.

    Attributes
    ----------
    id, title : str
    measure : callable
        ``measure(subject) -> list[Finding]``.
    """

    id: str
    title: str
    measure: Callable[[Subject], list[Finding]]
