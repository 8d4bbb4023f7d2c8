"""Delivering: the texture file and its blend sheet, written, read back and compared.

An overlay counts as delivered only once what lies on disk has been read again
and holds the same texels, bit for bit, and the same settings.
"""

import json
import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np

from mivex import __version__
from mivex.core.base.errors import MivexError
from mivex.core.base.store import NAME_BYTES, Batch, check_path, encoded, reason
from mivex.core.material.material import Material
from mivex.core.picture.encode import stage_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.coverage import best_cutoff
from mivex.core.pixels.mips import build_chain
from mivex.core.prepare.base import StepParams
from mivex.core.prepare.channels import CHANNELS, Pack
from mivex.core.prepare.keep_coverage import KeepCoverage
from mivex.core.prepare.signed_distance import SignedDistance
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Workshop

SHEET_VERSION = 1
WRITABLE = {"png": (8, 16), "tga": (8,), "tga24": (8,), "tif": (8, 16), "tiff": (8, 16)}
"""Formats and their depths; all but ``tga24`` hold straight alpha."""
NO_ALPHA = ("tga24",)
_REFUSED = {
    "jpg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "jpeg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "webp": "WebP discards the colour under clear texels when it is written; choose PNG, TGA or TIFF.",
    "exr": "OpenEXR stores alpha associated, which loses the colour under clear texels; choose PNG, TGA or "
           "TIFF.",
    "bmp": "BMP has no dependable alpha channel; choose PNG, TGA or TIFF.",
}


@dataclass(frozen=True)
class Delivered:
    """What was written for one overlay, after it was read back and found the same."""

    overlay: str
    picture: Path
    sheet: Path


def check_format(suffix: str, bits: int, *, uses_alpha: bool = True) -> None:
    """Refuse a format that would lose alpha or depth; raises MivexError with the reason."""
    kind = suffix.lower().lstrip(".")
    if kind not in WRITABLE:
        raise MivexError(_REFUSED.get(kind, f"Mivex does not deliver “.{kind}” files; choose PNG, TGA or TIFF."))
    if kind in NO_ALPHA and uses_alpha:
        raise MivexError("A TGA of 24 bit has no alpha channel, and this blend needs one; choose PNG, TGA of 32 bit or "
                         "TIFF.")
    if bits not in WRITABLE[kind]:
        raise MivexError(f"{kind.upper().removesuffix('24')} holds 8 bits a channel, not {bits}; choose PNG or TIFF for "
                         f"{bits} bits.")


def file_name(overlay: Overlay) -> str:
    """Name of the delivered file without ending: letters, digits, ``-`` and ``_``, whatever the overlay is called."""
    for wish in (overlay.delivery.name or overlay.name, f"overlay_{overlay.id}"):
        if clean := re.sub(r"[^\w-]+", "_", wish.strip(), flags=re.ASCII).strip("_"):
            return clean
    return "overlay"


def blend_sheet(name: str, picture: str, material: Material, texture: Texture, kind: str = "",
                steps: tuple[StepParams, ...] = ()) -> dict[str, Any]:
    """The material as plain JSON for a renderer; see ``docs/blend-sheet.md``.

    Parameters
    ----------
    name : str
        The overlay's name.
    picture : str
        File name of the texture beside the sheet.
    material : Material
    texture : Texture
    kind : str
        Kind of overlay.
    steps : tuple of StepParams
        Its recipe: packing and signed distance are told to the receiver.
    """
    b = BLENDS[material.blend]
    tint = to_linear(np.array(material.tint, np.float32))
    on = {s.step: s for s in steps if s.on}
    more: dict[str, Any] = {}
    if isinstance(pack := on.get("pack"), Pack):
        more["packing"] = {"name": pack.name} | {c: getattr(pack, c).name for c in CHANNELS}
    if isinstance(sdf := on.get("signed-distance"), SignedDistance):
        more["signed_distance"] = {"spread_texels": sdf.spread, "outline": 0.5}
    if isinstance(kept := on.get("keep-coverage"), KeepCoverage):
        plain = build_chain(texture.linear)
        more["mip_coverage"] = {"cutoff": kept.cutoff, "held_by_levels": texture.coverage > 0,
                                "best_single_cutoff": best_cutoff(plain, kept.cutoff)}
    return {
        "blend_sheet": SHEET_VERSION, "written_by": f"Mivex {__version__}", "name": name, "kind": kind,
        "texture": {"file": picture, "width": texture.width, "height": texture.height, "bits": texture.bits,
                    "holds": texture.meaning, "encoding": "srgb" if texture.meaning == "colour" else "linear",
                    "alpha": "premultiplied" if texture.premultiplied else "straight",
                    "address": "repeat" if material.tiling else "clamp",
                    "pivot": [round(v, 6) for v in texture.pivot], "extent": [round(v, 6) for v in texture.extent],
                    "levels": texture.mips.levels if texture.coverage > 0 else 1},
        "blend": {"name": b.name,
                  "colour": {"source": b.colour_factors[0], "destination": b.colour_factors[1]},
                  "alpha": {"source": b.alpha_factors[0], "destination": b.alpha_factors[1]},
                  "equation": b.equation, "space": "linear"},
        "cutoff": material.cutoff if b.name == "Cutout" else None,
        "opacity": material.opacity, "tint_linear": [round(float(v), 6) for v in tint], "lit": material.lit,
        "depth": {"test": material.depth_test, "write": material.depth_write,
                  "bias_metres": material.depth_bias / 1000},
        "faces": "both" if material.both_faces else "front",
        "draw_group": material.group, "order_nudge": material.nudge, **more,
    }


def stage_texture(batch: Batch, path: str | Path, texture: Texture, *, alpha: bool = True) -> None:
    """Write a texture beside its place and prove it; `Batch.commit` puts it in place.

    Parameters
    ----------
    batch : Batch
    path : str or Path
    texture : Texture
        One that keeps coverage is written with all its mip levels (TIFF only).
    alpha : bool
        False leaves the alpha channel out.

    Raises
    ------
    MivexError
        The format cannot hold it, the file cannot be written, or what came
        back differs; what was there before is untouched.
    """
    path = Path(path)
    kind = path.suffix.lower()
    check_format("tga24" if not alpha and kind == ".tga" else kind, texture.bits, uses_alpha=alpha)
    values = texture.values if alpha else np.ascontiguousarray(texture.values[..., :3])
    levels = texture.stored_levels if kind in (".tif", ".tiff") and texture.coverage > 0 else []
    stage_picture(batch, path, values, texture.bits, premultiplied=texture.premultiplied, levels=levels,
                  data=texture.meaning == "data")


def write_texture(path: str | Path, texture: Texture, *, alpha: bool = True) -> None:
    """Write one texture, proved before it replaces anything; see `stage_texture`."""
    with Batch() as batch:
        stage_texture(batch, path, texture, alpha=alpha)
        batch.commit()


@dataclass(frozen=True)
class Planned:
    """Where one overlay will be delivered."""

    overlay: Overlay
    picture: Path
    sheet: Path


def plan(overlays: Sequence[Overlay], folder: str | Path) -> list[Planned]:
    """Check a delivery as a whole before anything is written.

    Parameters
    ----------
    overlays : sequence of Overlay
    folder : str or Path

    Raises
    ------
    MivexError
        Nothing to deliver, a format that cannot hold what is meant, a name that is too long, two overlays
        under one name, or a folder that stands where a file shall be.
    """
    folder = check_path(folder)
    ready = [o for o in overlays if o.source.ready]
    if not ready:
        raise MivexError("There is nothing to deliver: no overlay has a picture.")
    seen: dict[str, str] = {}
    rows = []
    for o in ready:
        d = o.delivery
        check_format(d.format, d.bits, uses_alpha=o.material.blend != "Solid")
        name = file_name(o)
        if len(f"{name}.blend.json") > NAME_BYTES:
            raise MivexError(f"“{o.name[:40]}…” would be written under a name of {len(name)} letters, which is too long; "
                             "give it a shorter one.")
        if name.lower() in seen:
            raise MivexError(f"“{seen[name.lower()]}” and “{o.name}” would both be written as “{name}”; "
                             "give one of them another name.")
        seen[name.lower()] = o.name
        row = Planned(o, folder / f"{name}.{d.suffix}", folder / f"{name}.blend.json")
        for path in (row.picture, row.sheet):
            if path.exists() and not path.is_file():
                raise MivexError(f"“{path}” cannot be written: a folder has that name.")
        rows.append(row)
    if folder.exists() and not folder.is_dir():
        raise MivexError(f"“{folder}” is a file; a delivery goes into a folder.")
    return rows


def deliver(overlays: Sequence[Overlay], texture_of: Callable[[Overlay], Texture], folder: str | Path,
            tell: Callable[[str], None] = lambda _: None) -> list[Delivered]:
    """Write textures and blend sheets, prove every one of them, and only then put them in place.

    Parameters
    ----------
    overlays : sequence of Overlay
        Those without a picture are left out.
    texture_of : callable
        Gives the texture of an overlay at full size; may raise Stopped.
    folder : str or Path
        Created if missing.
    tell : callable
        Told what is being done.

    Raises
    ------
    MivexError
        As `plan`, or a file cannot be written or differs when it is read back. Nothing is delivered then,
        and what lay in the folder before is untouched.
    """
    rows = plan(overlays, folder)
    try:
        Path(folder).mkdir(parents=True, exist_ok=True)
    except OSError as e:
        raise MivexError(f"The folder “{folder}” cannot be made: {reason(e)}.") from None
    with Batch() as batch:
        for row in rows:
            o = row.overlay
            tell(f"Delivering “{o.name}”")
            texture = texture_of(o)
            if texture.scale < 1:
                raise MivexError(f"“{o.name}” is still being computed at full size.")
            sheet = blend_sheet(o.name, row.picture.name, o.material, texture, o.kind, o.steps)
            text = json.dumps(sheet, indent=2, ensure_ascii=False) + "\n"
            # The sheet first: a texture never arrives without it.
            batch.stage(row.sheet, encoded(text, row.sheet))
            stage_texture(batch, row.picture, texture, alpha=o.delivery.format not in NO_ALPHA)
        batch.commit()
    return [Delivered(r.overlay.name, r.picture, r.sheet) for r in rows]


def deliver_project(doc: Document, shop: Workshop, folder: str | Path) -> list[Delivered]:
    """Deliver every overlay that has a picture; see `deliver`."""
    return deliver(doc.overlays, lambda o: shop.texture(o, doc), folder)
