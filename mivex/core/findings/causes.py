"""Findings of one cause: what goes away with the repair of another stands under it.

Which may be due to which is written down; that it *is* so is tried. The repair of the cause is made on a copy of the
texture and the other check is asked again, first with that repair alone, then with its own steps behind it, which then
become part of the cause's repair. So one click mends both, or they stay two findings.
"""

from collections.abc import Mapping
from dataclasses import replace

from mivex.core.base.errors import MivexError
from mivex.core.findings.base import Check, Subject
from mivex.core.findings.finding import Finding, Repair
from mivex.core.picture.files import read_picture
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, StepParams, Surface
from mivex.core.project.edits import AddSteps

MAY_CAUSE: dict[str, tuple[str, ...]] = {
    "inverted": ("border", "matte", "veil", "specks", "fringe", "ground-rim", "empty-margin"),
    "matte": ("fringe", "ground-rim", "block-smear"),
    "ground-rim": ("fringe", "block-smear"),
    "specks": ("veil", "empty-margin", "fringe"),
    "veil": ("empty-margin",),
}
"""What may be due to what: the first is mended, the others are asked again."""


def with_steps(subject: Subject, steps: tuple[StepParams, ...]) -> Subject:
    """A subject whose texture has some more steps behind it; raises MivexError where one cannot be made."""
    t = subject.texture
    surface = Surface(t.values, t.meaning == "data", traits=t.traits)
    for s in steps:
        surface = STEPS[s.step].run(surface, s, Context(read_picture))
    values = quantise(surface.values.clip(0, 1), t.bits) if t.bits < 32 else surface.values
    texture = Texture(values, t.meaning, traits=surface.traits, bits=t.bits)
    return replace(subject, texture=texture, steps=(*subject.steps, *steps))


def _steps_of(repair: Repair | None) -> tuple[StepParams, ...]:
    """The steps of a repair that does nothing but add steps; none of any other."""
    whole = repair is not None and all(isinstance(e, AddSteps) for e in repair.edits)
    return repair.steps if repair is not None and whole else ()


def gathered(subject: Subject, rows: list[Finding], checks: Mapping[str, Check]) -> list[Finding]:
    """Put findings under the one that causes them.

    Parameters
    ----------
    subject : Subject
    rows : list of Finding
        Of this texture, in their order.
    checks : mapping of str to Check

    Returns
    -------
    list of Finding
        The same findings; those that another causes have its id in ``under`` and stand right behind it.
    """
    here = {f.id: f for f in rows}
    for cause, others in MAY_CAUSE.items():
        first = here.get(cause)
        if first is None or first.certainty != "likely" or first.under or not (steps := _steps_of(first.repair)):
            continue
        for other in others:
            found = here.get(other)
            if found is None or found.under:
                continue
            more = tuple(s for s in _steps_of(found.repair) if s not in steps)
            cured = next((s for s in (steps, (*steps, *more)) if _gone(subject, s, checks[other])), None)
            if cured is None:
                continue
            here[other] = replace(found, under=cause)
            if cured != steps and first.repair is not None:
                steps = cured
                key = first.repair.edits[0].overlay  # type: ignore[union-attr]
                first = replace(first, repair=replace(first.repair, edits=(AddSteps(key, steps),)))
                here[cause] = first
    order = [here[f.id] for f in rows if not here[f.id].under]
    return [g for f in order for g in (f, *(here[r.id] for r in rows if here[r.id].under == f.id))]


def _gone(subject: Subject, steps: tuple[StepParams, ...], check: Check) -> bool:
    try:
        after = with_steps(subject, steps)
    except MivexError:
        return False
    return not any(f.id == check.id for f in check.measure(after))
