"""Figures and findings of pictures and projects, as the command line prints them."""

from pathlib import Path
from typing import Any

from mivex.core.findings import Finding, Subject, examine
from mivex.core.image.fringes import fringe_figures
from mivex.core.image.picture import Picture, guess_meaning
from mivex.core.image.texture import Texture
from mivex.core.project.document import Document, Source
from mivex.core.project.evaluate import Workshop


def figures(path: str, texture: Texture, picture: Picture) -> dict[str, Any]:
    """Size, alpha and fringe of one texture; JSON-ready."""
    a = texture.alpha
    return {
        "path": path, "width": texture.width, "height": texture.height, "channels": picture.channels,
        "bits": picture.bits, "holds": texture.meaning,
        "alpha": {"minimum": float(a.min()), "maximum": float(a.max()), "mean": float(a.mean(dtype="float64"))},
        "fringe": [{"level": r.level, "width": r.width, "height": r.height, "maximum": round(r.maximum, 4),
                    "p99": round(r.p99, 4), "mean": round(r.mean, 4)} for r in fringe_figures(texture)],
    }


def finding_row(finding: Finding, key: str) -> dict[str, Any]:
    """A finding as JSON; ``key`` is ``path`` or ``overlay``."""
    return {"id": finding.id, key: finding.subject, "figure": round(finding.figure, 4), "unit": finding.unit,
            "message": finding.message, "why": finding.why,
            "place": list(finding.place) if finding.place else None,
            "repair": finding.repair.label if finding.repair else None, "details": finding.details}


def report_picture(path: str) -> tuple[dict[str, Any], list[dict[str, Any]]]:
    """Figures and findings of a picture file as it is; raises MivexError."""
    shop = Workshop(Path.cwd())
    picture = shop.picture(path)
    meaning, _ = guess_meaning(picture)
    texture = shop.prepare(picture, Source(path=path, meaning=meaning), (), 16 if picture.bits > 8 else 8)
    rows = [finding_row(f, "path") for f in examine(Subject(path, texture))]
    return figures(path, texture, picture), rows


def report_project(path: str, doc: Document) -> tuple[list[dict[str, Any]], list[dict[str, Any]]]:
    """Figures and findings of every overlay of a project; raises MivexError."""
    shop = Workshop(Path(path).resolve().parent)
    pictures, findings = [], []
    for o in doc.overlays:
        if not o.source.ready:
            continue
        texture = shop.texture(o)
        row = figures(o.source.path, texture, shop.start_of(o))
        pictures.append({"overlay": o.name, **row})
        findings += [finding_row(f, "overlay") for f in examine(Subject.of(o, texture))]
    return pictures, findings
