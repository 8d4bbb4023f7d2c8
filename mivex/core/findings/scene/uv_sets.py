"""A picture that reads a UV set in which its mesh has nothing."""

from mivex.core.base.messages import Message
from mivex.core.findings.base import Check, SceneSubject
from mivex.core.findings.finding import Finding, Look, Pixel, Repair
from mivex.core.project.edits import SetFields
from mivex.core.stage.camera import View
from mivex.core.stage.placement_geometry import middle


def _missing(scene: SceneSubject) -> list[Finding]:
    rows = []
    view = View(scene.doc.cameras[0], 640, 512)
    for o in scene.doc.overlays:
        if o.material.mapping.uv_set == 0 or not o.shown:
            continue
        for p in o.places:
            if scene.mesh(p).uv1 is not None:
                continue
            x, y, depth = view.on_screen(middle(p, view)[None])[0]
            usual = o.material.mapping.model_copy(update={"uv_set": 0})
            rows.append(
                Finding(
                    "uv-missing",
                    o.name,
                    1,
                    "UV set",
                    Message("“{name}” reads the second UV set, and what it lies on has only one.", name=o.name),
                    "Everywhere on the mesh the same texel is read: the picture vanishes, or covers it in one colour.",
                    Pixel(view.camera.name, float(x) / view.width, float(y) / view.height) if depth > 0 else None,
                    Repair("Read the first UV set", (SetFields(o.id, "material", (("mapping", usual),)),)),
                    overlays=(o.id,),
                    weight=60.0,
                )
            )
            break
    return rows


CHECKS = (Check("uv-missing", "Second UV set is empty", _missing, "blend", Look("stage"), "scene"),)
"""Registered."""
