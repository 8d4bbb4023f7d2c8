"""The proof sheet: one self-contained page of a delivery, with pictures, settings, findings and figures."""

import base64
import contextlib
from collections.abc import Callable, Mapping, Sequence
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex import __version__
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.deliver.compared import Delivered
from mivex.core.deliver.planning import Planned
from mivex.core.findings import CHECKS, Subject, examine
from mivex.core.findings.finding import Finding
from mivex.core.page.page import PAGES, viewer
from mivex.core.page.scene import Compared, page_scene
from mivex.core.picture.encode import picture_bytes
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat
from mivex.core.scene.draw_calls import codes_of, load_scene_inputs, render
from mivex.core.stage.camera import View

_STAGE = (560, 350)
_SHOWN = (
    ("backdrops", "over every backdrop", 360, 280, 360),
    ("far", "at far sizes: as sampled, as it should be, and where they differ", 360, 280, 640),
    ("single", "its alpha", 280, 280, 280),
)
"""Layout, caption, size that is drawn, and the widest that is shown: far sizes are small, and need every pixel."""


def png_uri(codes: NDArray[np.uint8]) -> str:
    """Display codes (height, width, 3) as the address of a picture that is in the page itself."""
    made = picture_bytes(".png", codes.astype(np.float32) / np.float32(255), 8)
    return "data:image/png;base64," + base64.b64encode(made).decode()


def _flat(o: Overlay, t: Texture, layout: str, width: int, height: int, *, display: bool) -> NDArray[np.uint8]:
    m = o.material
    zoom = min(width / t.width, height / t.height)
    view = FlatView(
        show="alpha" if layout == "single" else "over",
        layout=layout,  # type: ignore[arg-type]
        zoom=zoom,  # type: ignore[arg-type]
        left=(width - t.width * zoom) / 2,
        top=(height - t.height * zoom) / 2,
        blend=m.blend,
        opacity=m.opacity,
        cutoff=m.cutoff,
        tint=m.tint,
        wrap=m.tiling,
        display=display,
    )
    made = draw_flat(t, view, width, height)
    if layout == "single":
        return made
    # What is round it says nothing; small ones are shown twice as large, texel by texel.
    there = (made != made[0, 0]).any(axis=2)
    if not there.any():
        return made
    rows, columns = np.flatnonzero(there.any(axis=1)), np.flatnonzero(there.any(axis=0))
    part = made[max(rows[0] - 6, 0) : rows[-1] + 7, max(columns[0] - 6, 0) : columns[-1] + 7]
    return np.ascontiguousarray(part.repeat(2, axis=0).repeat(2, axis=1) if part.shape[1] * 2 <= 720 else part)


def _settings(o: Overlay) -> list[tuple[str, str]]:
    m = o.material
    rows = [
        ("Blend", m.blend + (Message(", cutoff {cutoff:g}", cutoff=m.cutoff) if m.blend == "Cutout" else "")),
        ("Opacity", f"{m.opacity:g}"),
        ("Light", "lit" if m.lit else "shines by itself"),
        (
            "Depth",
            f"{'tested' if m.depth_test else 'not tested'}, {'written' if m.depth_write else 'not written'}"
            + (Message(", bias {depth_bias:g} mm", depth_bias=m.depth_bias) if m.depth_bias else ""),
        ),
        ("Faces", "both" if m.both_faces else "front only"),
        ("Draw group", Message("{group}, nudge {nudge:+d}", group=term(m.group), nudge=m.nudge)),
    ]
    if o.steps:
        rows.append(("Steps", ", ".join(s.step for s in o.steps if s.on)))
    return rows


def _versions(o: Overlay, found: Sequence[Finding], doc: Document, evaluator: Evaluator) -> Compared | None:
    """What an overlay is shown beside: mended, where a likely fault is left that steps cure; else as it came."""
    fault = next((f for f in found if f.certainty == "likely" and f.repair is not None and f.repair.steps), None)
    with contextlib.suppress(MivexError):
        if fault is not None and fault.repair is not None:
            mended = o.model_copy(update={"steps": (*o.steps, *fault.repair.steps)})
            title = InSentence(CHECKS[fault.id].title)
            words = (
                Message("As delivered: {title}", title=title),
                Message("Mended: {label}", label=InSentence(fault.repair.label)),
            )
            return Compared(evaluator.texture(mended, doc), False, words)
        if o.source.path and (any(s.on for s in o.steps) or not o.layers.idle):
            return Compared(evaluator.texture(o, doc, bare=True), True, ("As it came", "As delivered"))
    return None


def proof_sheet(
    doc: Document,
    wanted: Sequence[tuple[Planned, Delivered]],
    texture_of: Callable[[Overlay], Texture],
    evaluator: Evaluator,
    unsaid: Mapping[str, list[str]],
) -> str:
    """The page of a delivery, which opens from a file and asks for nothing else.

    Parameters
    ----------
    doc : Document
    wanted : sequence of (Planned, Delivered)
        What it shows.
    texture_of : callable
    evaluator : Evaluator
    unsaid : mapping of overlay name to list of str
        What its glTF cannot say.
    """
    from jinja2 import Environment, FileSystemLoader
    from markupsafe import Markup

    overlays: list[dict[str, Any]] = []
    compared: dict[str, Compared] = {}
    for row, done in wanted:
        o = row.overlay
        t = texture_of(o)
        subject = Subject.of(o, t)
        fringes = subject.fringes[:4]  # coarser ones are a few texels, as in the finding
        names: dict[str, list[str]] = {}
        for c in done.table:
            names.setdefault(c.file, []).append(f"{c.channel}: {c.source}")
        figures: list[tuple[str, str]] = [
            (
                "Alpha",
                Message(
                    "{min:.3f} to {max:.3f}, mean {mean:.3f}", min=t.alpha.min(), max=t.alpha.max(), mean=t.alpha.mean()
                ),
            )
        ]
        if fringes:
            worst = max(fringes, key=lambda f: f.mean)
            figures += [
                ("Fringe, largest", Message("{value:.1f} of 255", value=max(f.maximum for f in fringes))),
                (
                    "Fringe, mean at its worst level",
                    Message("{mean:.2f} (level {level})", mean=worst.mean, level=worst.level),
                ),
            ]
        if t.traits.cells:
            figures.append(("Frames", str(len(t.traits.cells))))
        found = examine(subject)
        if (two := _versions(o, found, doc, evaluator)) is not None:
            compared[o.id] = two
        display = doc.lighting.blending == "display"
        shown = [(words, _flat(o, t, layout, w, h, display=display), wide) for layout, words, w, h, wide in _SHOWN]
        overlays.append(
            {
                "name": o.name,
                "kind": o.kind,
                "blend": o.material.blend,
                "size": f"{t.width} × {t.height}",
                "pictures": [
                    {
                        "name": words,
                        "data": png_uri(codes),
                        "width": min(codes.shape[1], wide),
                        "height": round(codes.shape[0] * min(1.0, wide / codes.shape[1])),
                    }
                    for words, codes, wide in shown
                ],
                "files": [{"name": f, "words": ", ".join(words)} for f, words in names.items()],
                "settings": _settings(o),
                "figures": figures,
                "lost": done.left_out,
                "unsaid": unsaid.get(o.name, []),
                "findings": [{"message": f.message, "why": f.why} for f in found],
            }
        )
    textures, meshes = load_scene_inputs(doc, evaluator)
    stage = []
    for camera in doc.cameras:
        view = View(camera, *_STAGE)
        codes = codes_of(render(doc, textures, view, meshes), doc)
        stage.append({"name": camera.name, "data": png_uri(codes), "width": _STAGE[0], "height": _STAGE[1]})
    body, css = viewer(page_scene(doc, textures, meshes, compared))
    table = [c for _, d in wanted for c in d.table]
    env = Environment(loader=FileSystemLoader(PAGES), autoescape=True, trim_blocks=False)
    return (
        env.get_template("proof.html").render(
            title="Proof sheet",
            overlays=overlays,
            stage=stage,
            files=len({c.file for c in table}),
            largest=max((c.difference for c in table), default=0.0),
            viewer=Markup(body),
            css=Markup(css),
            written_by=Message("Mivex {version}", version=__version__),
        )
        + "\n"
    )
