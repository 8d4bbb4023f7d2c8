"""What can stand beside the picture in the flat proof, and the texture that then does."""

from mivex.core.base.messages import Message, term
from mivex.core.picture.texture import Texture
from mivex.core.prepare import STEPS
from mivex.core.project.document import Overlay
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

Against = tuple[str, str]
"""What stands before: ``source``, ``step`` (its number), ``overlay`` (its id), ``reference``, ``below`` or ``upto``."""

SIDES = {
    "reference": ("Reference", "Result"),
    "below": ("Below it", "Result"),
    "upto": ("Up to it", "Result"),
    "overlay": ("The other", "This one"),
}
"""Words over both sides of the divider, where they are not before and after."""


def offered(session: Session, engine: Engine) -> list[tuple[str, Against]]:
    """What the chosen overlay can be compared with, each in words."""
    o = session.overlay
    rows: list[tuple[str, Against]] = [("With the source", ("source", ""))]
    if o is not None:
        row = o.layers.row(session.row_id)
        if row is not None:
            rows.append((Message("With what lies below “{name}”", name=row.name), ("below", "")))
            rows.append((Message("With the layers up to “{name}”", name=row.name), ("upto", "")))
        if o.reference:
            rows.append((Message("With “{rsplit}”, pinned", rsplit=o.reference.rsplit("/", 1)[-1]), ("reference", "")))
        rows += [
            (Message("With before “{label}”", label=term(STEPS[s.step].label)), ("step", str(i)))
            for i, s in enumerate(o.steps)
            if i
        ]
        rows += [
            (Message("With “{name}”", name=other.name), ("overlay", other.id))
            for other in session.doc.overlays
            if other.id != o.id and engine.get(other.id).texture is not None
        ]
    return rows


def texture_before(session: Session, engine: Engine, o: Overlay, against: Against, *, magnified: bool) -> Texture | None:
    """The texture on the left of the divider, or None: the source, a step's input, layers, a reference, another overlay."""
    if magnified:
        at = max((i for i, s in enumerate(o.steps) if s.on and s.step == "signed-distance"), default=-1)
        return engine.input_of(o.id, at) if at >= 0 else None
    kind, value = against
    if kind == "step" and int(value) < len(o.steps):
        return engine.input_of(o.id, int(value))
    if kind == "reference":
        return engine.reference_of(o) or engine.get(o.id).before
    if kind in ("below", "upto") and o.layers.row(session.row_id) is not None:
        found = engine.view_of(o.id, f"{kind}:{session.row_id}").texture
        return found or engine.get(o.id).before
    if kind == "overlay" and value != o.id and engine.get(value).texture is not None:
        return engine.get(value).texture
    return engine.get(o.id).before
