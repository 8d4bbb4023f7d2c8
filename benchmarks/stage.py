"""(b) The demo stage at 1280×800: drawn whole, after an edit of one overlay, and while the camera moves."""

from benchmarks.timing import line, medians
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage.camera import View, orbit
from mivex.demo import PROJECT


def main() -> None:
    """Measure."""
    doc, evaluator = read_project(PROJECT), Evaluator(PROJECT.parent)
    textures = {o.id: evaluator.texture(o) for o in doc.overlays}
    kept, moving = StagePainter(), StagePainter()
    painters = {name: StagePainter() for name in ("bubble", "registry", "blend")}
    state = {"n": 0}

    def whole(view: View) -> None:
        # A fresh painter keeps nothing, but the draws and the lamp's shadows are there, as in a redraw after a resize.
        painter = StagePainter()
        painter.scene = kept.scene
        painter.painter._shadows, painter.painter._shadow_key = kept.painter._shadows, kept.painter._shadow_key
        painter.paint(doc, textures, view)

    def edit(view: View, overlay: str, blends: bool = False) -> None:
        state["n"] += 1
        state["blend"] = 1 - state.get("blend", 0) if blends else state.get("blend", 0)
        values = (
            {"blend": ("Translucent", "Premultiplied")[state["blend"]]}
            if blends
            else {"opacity": 0.5 + 0.4 * (state["n"] % 7) / 7}
        )
        painter = painters["blend" if blends else overlay]
        painter.paint(edits.set_fields(doc, overlay, "material", **values), textures, view)

    def turn(view: View) -> None:
        state["n"] += 1
        camera = orbit(view.camera, 0.5 * (state["n"] % 20), 0)
        moving.paint(doc, textures, View(camera, view.width, view.height), moving=True)

    for camera in doc.cameras:
        view = View(camera, 1280, 800)
        kept.paint(doc, textures, view)
        moving.paint(doc, textures, view)
        for painter in painters.values():
            painter.paint(doc, textures, view)
        full, bare, bubble, decal, blend, move = medians(
            9,
            lambda v=view: whole(v),
            lambda v=view: StagePainter().paint(Document(), {}, v),  # type: ignore[misc]
            lambda v=view: edit(v, "bubble"),
            lambda v=view: edit(v, "registry"),  # type: ignore[misc]
            lambda v=view: edit(v, "bubble", True),
            lambda v=view: turn(v),
        )  # type: ignore[misc]
        name = f"camera {camera.name}"
        line(f"{name}, drawn whole", full, "the dock without overlays", bare, "–")
        line(f"{name}, a sprite's opacity", bubble, "drawn whole", full, "0.15")
        line(f"{name}, a decal's opacity", decal, "drawn whole", full, "0.15")
        line(f"{name}, a sprite's blend", blend, "drawn whole", full, "0.15")
        line(f"{name}, while it moves", move, "drawn whole", full, "33 ms")
