"""The pictures of a table's cells."""

from typing import Any

import numpy as np
from PySide6.QtGui import QImage

from mivex.core.project.document import Document, Overlay
from mivex.core.project.layering import EvaluationRequest
from mivex.core.project.looking import cell_pictures


def image_of(rgb: np.ndarray) -> QImage:
    """A small picture as the table draws it."""
    h, w = rgb.shape[:2]
    return QImage(rgb.data, w, h, w * 3, QImage.Format.Format_RGB888).copy()


def cells_of(evaluator: Any, o: Overlay, doc: Document) -> dict[tuple[str, str], QImage]:
    """The pictures of all cells; in the background."""
    return {k: image_of(v) for k, v in cell_pictures(evaluator, o, EvaluationRequest(doc=doc)).items()}
