"""One channel of an overlay as a picture of its own, for the command line and for delivery."""

from pathlib import Path

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.layers.views import channel_picture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.layering import EvaluationRequest, bakes_folder

CHANNEL_NAMES = ("colour", "opacity", "roughness", "metal", "height", "normal", "occlusion", "emissive", "alpha")


def channel_of_overlay(
    project: str, doc: Document, overlay: Overlay, channel: str, side: int = 0, *, steps: bool = True
) -> tuple[Floats, tuple[str, ...]]:
    """A channel after layers and steps, float32 (h, w, 3), and what is to be said of it; raises MivexError.

    Parameters
    ----------
    project : str
        Path of the project; pictures are relative to it, bakes lie beside it.
    doc : Document
    overlay : Overlay
    channel : str
        One of `CHANNEL_NAMES`; heights lie about one half, colours are display values.
    side : int
        Longer side in texels; 0: the overlay's own.
    steps : bool
        After the steps as well.
    """
    evaluator = Evaluator(Path(project).resolve().parent, limit=1 << 30)
    evaluator.bakes = bakes_folder(Path(project).resolve())
    node = evaluator.node_of(overlay, EvaluationRequest(doc=doc, side=side), None if steps else 0)
    worked = evaluator.graph.value(node)
    values = channel_picture(worked.surface, channel, overlay.layers.relief)
    return np.ascontiguousarray(np.clip(values, 0, 1), np.float32), worked.notes
