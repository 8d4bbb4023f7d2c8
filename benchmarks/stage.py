"""(b) A full redraw of the demo stage at 1280×800, from document to display codes."""

from benchmarks.timing import line, medians
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Workshop
from mivex.core.project.file import read_project
from mivex.core.scene import StagePainter
from mivex.core.stage.camera import View
from mivex.demo import PROJECT


def main() -> None:
    """Measure."""
    doc, shop = read_project(PROJECT), Workshop(PROJECT.parent)
    textures = {o.id: shop.texture(o) for o in doc.overlays}
    painter = StagePainter()
    for camera in doc.cameras:
        view = View(camera, 1280, 800)
        full, bare = medians(15, lambda v=view: painter.paint(doc, textures, v),  # type: ignore[misc]
                             lambda v=view: painter.paint(Document(), {}, v))  # type: ignore[misc]
        line(f"camera {camera.name}", full, "the dock without overlays", bare, "50 ms")
