"""What a finding says, where it is, and how it is repaired."""

from collections.abc import Iterable
from dataclasses import dataclass, field
from typing import Any, Literal, NamedTuple

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.messages import Message, term
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import StepParams
from mivex.core.project.document import Document
from mivex.core.project.edits import AddSteps, FrozenEdit

Certainty = Literal["likely", "possible"]
"""A fault in all likelihood; or what may as well be meant so."""


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
    """Edits that mend a finding, made like any others and undone as one.

    Attributes
    ----------
    label : str
        What the button says.
    edits : tuple of FrozenEdit
        In their order.
    cost : Cost, optional
        Where it changes what shows at full size.
    """

    label: str
    edits: tuple[FrozenEdit, ...]
    cost: Cost | None = field(default=None, compare=False)

    @property
    def steps(self) -> tuple[StepParams, ...]:
        """Every step that it adds, as ``prepare`` takes them."""
        return tuple(s for e in self.edits if isinstance(e, AddSteps) for s in e.steps)

    def __call__(self, doc: Document) -> Document:
        """The document after the repair's edits."""
        for edit in self.edits:
            doc = edit(doc)
        return doc


class Texels(NamedTuple):
    """A place in a texture, at level 0."""

    x: int
    y: int
    width: int
    height: int


def whole(texture: Texture) -> Texels:
    """All of a texture."""
    return Texels(0, 0, texture.width, texture.height)


class Pixel(NamedTuple):
    """A place on the stage as a camera sees it, as shares of its picture."""

    camera: str
    x: float
    y: float


class Moment(NamedTuple):
    """A time of an effect, seconds."""

    effect: str
    seconds: float


Place = Texels | Pixel | Moment


@dataclass(frozen=True)
class Look:
    """How the place of a finding is shown.

    Attributes
    ----------
    proof : {"flat", "stage"}
    show, layout, backdrop : str, optional
        What the flat proof is set to; None leaves it.
    level : int
        Mip level.
    """

    proof: Literal["flat", "stage"] = "flat"
    show: str | None = None
    layout: str | None = "single"
    backdrop: str | None = None
    level: int = 0


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
    place : Texels, Pixel, Moment or None
        Where; a check of a texture may give plain numbers.
    repair : Repair or None
    details : dict
        Further figures, for the ``--json`` output.
    overlays : tuple of str
        Ids of the overlays that it is about; empty for a picture on its own.
    weight : float
        What it does on screen: difference of 255 times the share of the picture that shows it. Findings are
        ordered by it.
    certainty : {"likely", "possible"}
        Whether it was a mistake: shown and counted, or folded away and not counted.
    under : str
        Id of the finding that causes it and whose repair mends it, too; such a one is shown below that and not counted.
    """

    id: str
    subject: str
    figure: float
    unit: str
    message: str
    why: str
    place: Place | tuple[int, int, int, int] | None = None
    repair: Repair | None = None
    details: dict[str, Any] = field(default_factory=dict)
    overlays: tuple[str, ...] = ()
    weight: float = 0.0
    certainty: Certainty = "likely"
    under: str = ""

    @property
    def overlay(self) -> str:
        """The overlay that it is mended on, or empty."""
        return self.overlays[0] if self.overlays else ""

    @property
    def words(self) -> str:
        """The figure with its unit, as one reads it out."""
        figure = (
            Message("{figure:.0f}", figure=self.figure)
            if self.figure >= 100 or self.figure == int(self.figure)
            else Message("{figure:.3g}", figure=self.figure)
        )
        if self.unit.startswith("from "):
            return Message("{unit} {figure}", unit=term(self.unit), figure=term(figure))
        return Message(
            "{figure}{ending}{unit}",
            figure=term(figure),
            ending=term("" if self.unit.startswith("%") else " "),
            unit=term(self.unit),
        )


def likely(findings: Iterable[Finding]) -> list[Finding]:
    """Give those that are faults in all likelihood and not due to another: what is counted."""
    return [f for f in findings if f.certainty == "likely" and not f.under]
