"""Which files an overlay becomes, and under which names."""

import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import check_path
from mivex.core.base.store import NAME_BYTES, check_folder
from mivex.core.base.types import Floats
from mivex.core.picture.formats import BY_ENDING, DEPTHS
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.delivery import USUAL, DeliveryRecipe, FilePlan, recipe_named
from mivex.core.project.document import Document, Overlay

_DEPTHS = {e[1:]: f.depths for e, f in BY_ENDING.items() if f.depths and f.straight} | {"tga24": (8,)}
"""Formats and their depths; all but ``tga24`` hold straight alpha."""


NO_ALPHA = ("tga24",)


_REFUSED = {
    "jpg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "jpeg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "exr": "OpenEXR stores alpha associated, which loses the colour under clear texels; choose PNG, TGA or TIFF.",
    "bmp": "BMP has no dependable alpha channel; choose PNG, TGA or TIFF.",
}


@dataclass(frozen=True, eq=False)
class Bench:
    """What delivering needs of a project besides the overlays' textures.

    Attributes
    ----------
    doc : Document
    others : mapping
        Textures that materials read, by overlay id and file.
    mask_of, height_of : callable
        See `mivex.core.deliver.sources.Surfaces`.
    stop : callable
        Asked between files; true raises Stopped.
    avoid : frozenset of Path
        Files that the project is made of: never written over.
    """

    doc: Document
    others: Mapping[str, Texture] = field(default_factory=dict)
    mask_of: Callable[[Overlay, int], Floats] | None = None
    height_of: Callable[[Overlay], Floats | None] = lambda _o: None
    stop: Callable[[], bool] = lambda: False
    avoid: frozenset[Path] = frozenset()

    def mask(self, overlay: Overlay, number: int) -> Floats:
        """The mask of a layer; raises MivexError."""
        if self.mask_of is None:
            raise MivexError(Message("“{name}” has no layers whose masks could be delivered.", name=overlay.name))
        return self.mask_of(overlay, number)


def check_format(suffix: str, bits: int, *, uses_alpha: bool = True) -> None:
    """Refuse a format that would lose alpha or depth; raises MivexError with the reason."""
    kind = suffix.lower().lstrip(".")
    if kind not in _DEPTHS:
        raise MivexError(
            _REFUSED.get(kind, Message("Mivex does not deliver “.{kind}” files; choose PNG, TGA or TIFF.", kind=term(kind)))
        )
    if kind in NO_ALPHA and uses_alpha:
        raise MivexError(
            "A TGA of 24 bit has no alpha channel, and this blend needs one; choose PNG, TGA of 32 bit or TIFF."
        )
    if bits not in _DEPTHS[kind]:
        raise MivexError(
            Message(
                "{kind} holds {writable} bits a channel, not {bits}; choose PNG or TIFF for {bits} bits.",
                kind=kind.upper().removesuffix("24"),
                writable=term(_DEPTHS[kind][0]),
                bits=bits,
            )
        )


def file_name(overlay: Overlay) -> str:
    """Name of the delivered file without ending: letters, digits, ``-`` and ``_``, whatever the overlay is called."""
    for wish in (overlay.delivery.name or overlay.name, f"overlay_{overlay.id}"):
        if clean := _clean(wish):
            return clean
    return "overlay"


def _clean(text: str) -> str:
    return re.sub(r"[^\w-]+", "_", text.strip(), flags=re.ASCII).strip("_")


@dataclass(frozen=True)
class Planned:
    """Where one overlay will be delivered: each picture of its recipe with its path and depth."""

    overlay: Overlay
    recipe: DeliveryRecipe
    files: tuple[tuple[FilePlan, Path, int], ...]
    sheet: Path
    geometry: Path | None

    @property
    def paths(self) -> list[Path]:
        """Everything that may be written for it."""
        more = [self.geometry] if self.geometry else []
        return [p for _, p, _ in self.files] + [self.sheet, *more]


def _form(o: Overlay, plan: FilePlan) -> tuple[str, int]:
    """Ending and depth of a file; raises MivexError where it cannot hold what is meant."""
    kind = o.delivery.format if plan.format == "own" else plan.format
    depth = plan.bits or (
        o.delivery.bits if kind in ("own", o.delivery.format) or o.delivery.bits in DEPTHS[kind] else DEPTHS[kind][0]
    )
    has_alpha = "alpha" in plan.channels
    if kind == "exr":
        if has_alpha:
            raise MivexError(_REFUSED["exr"])
        depth = 32
    elif kind == "tga24" and not has_alpha:
        kind = "tga"
    else:
        check_format(kind, depth, uses_alpha=has_alpha and BLENDS[o.material.blend].uses_alpha)
    if kind == "ktx2" and plan.holds == "colour" and depth == 16:
        raise MivexError("KTX 2 holds encoded colour in 8 bits only; choose 8 bits, or another format.")
    return kind, depth


def plan(
    overlays: Sequence[Overlay], folder: str | Path, recipe: DeliveryRecipe | None = None, bench: Bench | None = None
) -> list[Planned]:
    """Check a delivery as a whole before anything is written.

    Parameters
    ----------
    overlays : sequence of Overlay
    folder : str or Path
    recipe : DeliveryRecipe, optional
        For all of them; none: each its own.
    bench : Bench, optional

    Raises
    ------
    MivexError
        Nothing to deliver, a format that cannot hold what is meant, a name that is too long, two overlays
        under one name, a folder that stands where a file shall be, or a file that the project is made of.
    """
    folder = check_path(folder)
    ready = [o for o in overlays if o.source.ready]
    if not ready:
        raise MivexError("There is nothing to deliver: no overlay has a picture.")
    own = bench.doc.deliveries if bench else ()
    seen: dict[str, str] = {}
    rows = []
    for o in ready:
        r = recipe or recipe_named(o.delivery.recipe or USUAL, own)
        name = file_name(o)
        if len(f"{name}.blend.json") > NAME_BYTES:
            raise MivexError(
                Message(
                    "“{name}…” would be written under a name of {count} letters, which is too long; give it a shorter one.",
                    name=o.name[:40],
                    count=len(name),
                )
            )
        files = []
        for f in r.files:
            kind, depth = _form(o, f)
            stem = _clean(f.pattern.replace("{name}", name).replace("{kind}", o.kind)) or name
            files.append((f, folder / f"{stem}.{'tga' if kind == 'tga24' else kind}", depth))
        row = Planned(
            o,
            r,
            tuple(files),
            folder / f"{name}.blend.json",
            folder / f"{name}.{r.gltf}" if r.gltf != "none" and o.places else None,
        )
        for path in row.paths:
            _claim(path, o, seen, bench)
        rows.append(row)
    check_folder(folder)
    return rows


def _claim(path: Path, o: Overlay, seen: dict[str, str], bench: Bench | None) -> None:
    key = path.name.lower()
    if key in seen:
        if seen[key] == o.name:
            raise MivexError(
                Message("Two files of “{name}” would both be written as “{name2}”.", name=o.name, name2=path.name)
            )
        raise MivexError(
            Message(
                "“{seen}” and “{name}” would both be written as “{split}”; give one of them another name.",
                seen=seen[key],
                name=o.name,
                split=path.name.split(".")[0],
            )
        )
    seen[key] = o.name
    if path.exists() and not path.is_file():
        raise MivexError(Message("“{path}” cannot be written: a folder has that name.", path=path))
    if bench is not None and path.resolve() in bench.avoid:
        raise MivexError(
            Message(
                "“{name}” would be written over a picture that the project is made of; deliver into another folder.",
                name=path.name,
            )
        )
