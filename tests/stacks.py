"""What tests of layers share: a document of one stack, its surface, the transfer curve written out."""

from mivex.core.layers.model import Stack, base_for
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.layering import EvaluationRequest


def stacked(rows, side=64, kind="glass", **stack):
    """A document of one overlay on an empty canvas with these rows."""
    doc, key = edits.add_blank(Document(), "Pane", kind, (side, side))
    layers = Stack.model_validate({"base": base_for(kind).model_dump(), "rows": rows, **stack})
    return edits.map_overlay(doc, key, lambda o: o.model_copy(update={"layers": layers}))


def surface(doc, **ask):
    evaluator = Evaluator()
    return evaluator.graph.value(evaluator.node_of(doc.overlays[0], EvaluationRequest(doc=doc, **ask))).surface


def linear(v):
    return v / 12.92 if v <= 0.04045 else ((v + 0.055) / 1.055) ** 2.4


def display(v):
    return 12.92 * v if v <= 0.0031308 else 1.055 * v ** (1 / 2.4) - 0.055


def line(**more):
    tip = Tip(form="hard", size=0.25, spacing=0.05, presses="nothing")
    return PaintStroke.model_validate(
        {"points": ((0.1, 0.5, 1), (0.9, 0.5, 1)), "tip": tip, "values": {"opacity": 0.0}, **more}
    )
