"""What checks of effects share."""

from mivex.core.base.messages import Message
from mivex.core.findings.base import MotionSubject
from mivex.core.findings.finding import Finding, Moment, Repair
from mivex.core.motion.model import Effect, Emitter
from mivex.core.project.document import Overlay
from mivex.core.project.edits import SetPart


def parts_of(s: MotionSubject) -> list[tuple[Effect, int, Emitter, Overlay]]:
    """Every part that can be seen: its effect, its number, itself, and its overlay."""
    rows = []
    for effect in s.effects:
        for i, p in enumerate(effect.parts):
            o = s.doc.overlay(p.overlay)
            if not p.muted and o is not None and o.id in s.textures:
                rows.append((effect, i, p, o))
    return rows


def words_of(effect: Effect, part: Emitter) -> str:
    """The name of an emitter as findings write it: of its effect, and its own where there are several."""
    return (
        Message("“{name}”, {name2}", name=effect.name, name2=part.name)
        if len(effect.parts) > 1
        else Message("“{name}”", name=effect.name)
    )


def found(  # noqa: PLR0913
    check: str,
    effect: Effect,
    part: Emitter,
    overlay: Overlay,
    figure: float,
    unit: str,
    message: str,
    why: str,
    *,
    at: float = 0.0,
    repair: Repair | None = None,
    weight: float = 1.0,
    **details: object,
) -> Finding:
    """A finding about a part of an effect, at a time of its clock."""
    return Finding(
        check,
        effect.name,
        figure,
        unit,
        message,
        why,
        Moment(effect.name, round(at, 4)),
        repair,
        {"effect": effect.name, "part": part.name, **details},
        (overlay.id,),
        weight,
    )


def edit_of(effect: Effect, index: int, group: str, **values: object) -> SetPart:
    """An edit of a group of a part; of a copy, on the effect that it is a copy of."""
    return SetPart(effect.copy_of or effect.id, index, group, tuple(values.items()))
