"""Delivering: pictures by a recipe, blend sheets, geometry and motion, written, read back and compared.

An overlay counts as delivered only once what lies on disk has been read again
and holds the same texels, bit for bit, and the same settings.
"""

import json
import re
import threading
from collections.abc import Callable, Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

import numpy as np

from mivex.core.base.bands import WORKERS
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message, term
from mivex.core.base.store import NAME_BYTES, Batch, check_folder, check_path, encoded, reason
from mivex.core.base.types import Floats
from mivex.core.deliver.blend_sheet import Written, blend_sheet
from mivex.core.deliver.sources import Surfaces
from mivex.core.picture.encode import ReadBack, stage_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.delivery import DEPTHS, USUAL, DeliveryRecipe, FilePlan, recipe_named
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.playback import hulls_of

WRITABLE = {**{k: v for k, v in DEPTHS.items() if k != "exr"}, "tga24": (8,), "tiff": (8, 16)}
"""Formats and their depths; all but ``tga24`` hold straight alpha."""
NO_ALPHA = ("tga24",)
SIDE_BY_SIDE = 2 * 4096 * 4096
"""Texels of an overlay's files that are encoded at the same time."""
_REFUSED = {
    "jpg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "jpeg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "exr": "OpenEXR stores alpha associated, which loses the colour under clear texels; choose PNG, TGA or TIFF.",
    "bmp": "BMP has no dependable alpha channel; choose PNG, TGA or TIFF.",
}


@dataclass(frozen=True)
class Compared:
    """One channel of a delivered file, read again and compared with what was meant.

    Attributes
    ----------
    overlay, file, channel : str
    source : str
        What fills it, in words.
    back : ReadBack
    number : int
        Which of the file's channels.
    low, high : float
        Least and greatest value that it holds.
    """

    overlay: str
    file: str
    channel: str
    source: str
    back: ReadBack
    number: int
    low: float
    high: float

    @property
    def difference(self) -> float:
        """Largest difference in codes."""
        return self.back.differences[self.number] if self.number < len(self.back.differences) else 0.0


@dataclass(frozen=True)
class Delivered:
    """What was written for one overlay, after it was read back and found the same."""

    overlay: str
    files: tuple[Path, ...]
    sheet: Path
    table: tuple[Compared, ...] = ()
    left_out: tuple[str, ...] = ()
    others: tuple[Path, ...] = ()

    @property
    def picture(self) -> Path:
        """The main picture."""
        return self.files[0]


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
    if kind not in WRITABLE:
        raise MivexError(
            _REFUSED.get(kind, Message("Mivex does not deliver “.{kind}” files; choose PNG, TGA or TIFF.", kind=term(kind)))
        )
    if kind in NO_ALPHA and uses_alpha:
        raise MivexError(
            "A TGA of 24 bit has no alpha channel, and this blend needs one; choose PNG, TGA of 32 bit or TIFF."
        )
    if bits not in WRITABLE[kind]:
        raise MivexError(
            Message(
                "{kind} holds {writable} bits a channel, not {bits}; choose PNG or TIFF for {bits} bits.",
                kind=kind.upper().removesuffix("24"),
                writable=term(WRITABLE[kind][0]),
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


def stage_texture(batch: Batch, path: str | Path, texture: Texture, *, lanes: int = 4, bits: int = 0) -> ReadBack:
    """Write a texture beside its place and prove it; `Batch.commit` puts it in place.

    Parameters
    ----------
    batch : Batch
    path : str or Path
    texture : Texture
        TIFF holds all its mip levels where it keeps coverage, KTX 2 always.
    lanes : int
        Channels that are written: 1, 3 or 4.
    bits : int
        8, 16 or 32; 0: the texture's own.

    Raises
    ------
    MivexError
        The format cannot hold it, the file cannot be written, or what came
        back differs; what was there before is untouched.
    """
    path = Path(path)
    kind = path.suffix.lower()
    bits = bits or texture.bits
    if kind != ".exr" or lanes == 4:
        check_format("tga24" if lanes < 4 and kind == ".tga" else kind, bits, uses_alpha=lanes == 4)
    values = texture.values if lanes == 4 else np.ascontiguousarray(texture.values[..., :lanes])
    if kind == ".exr" and not texture.data:
        # Its standard asks for linear light, and for colour that is multiplied by alpha.
        values = np.ascontiguousarray(texture.linear[..., :lanes])
    if kind == ".ktx2" or (kind in (".tif", ".tiff") and texture.coverage > 0):
        levels = [v if lanes == 4 else np.ascontiguousarray(v[..., :lanes]) for v in texture.stored_levels]
    else:
        levels = []
    return stage_picture(
        batch, path, values, bits, premultiplied=texture.premultiplied, levels=levels, data=texture.meaning == "data"
    )


def write_texture(path: str | Path, texture: Texture, *, alpha: bool = True) -> None:
    """Write one texture, proved before it replaces anything; see `stage_texture`."""
    with Batch() as batch:
        stage_texture(batch, path, texture, lanes=4 if alpha else 3)
        batch.commit()


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


def deliver(
    overlays: Sequence[Overlay],
    texture_of: Callable[[Overlay], Texture],
    folder: str | Path,
    tell: Callable[[str], None] = lambda _: None,
    *,
    recipe: DeliveryRecipe | None = None,
    bench: Bench | None = None,
    more: Callable[[Batch, Path, list[Planned], list[Delivered]], None] | None = None,
) -> list[Delivered]:
    """Write pictures and blend sheets, prove every one of them, and only then put them in place.

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
    recipe : DeliveryRecipe, optional
        For all of them; none: each its own.
    bench : Bench, optional
        The project they belong to.
    more : callable
        Stages whatever else belongs to the delivery.

    Raises
    ------
    MivexError
        As `plan`, or a file cannot be written or differs when it is read back. Nothing is delivered then,
        and what lay in the folder before is untouched.
    """
    bench = bench or Bench(Document(overlays=tuple(overlays)))
    rows = plan(overlays, folder, recipe, bench)
    try:
        Path(folder).mkdir(parents=True, exist_ok=True)
    except OSError as e:
        raise MivexError(Message("The folder “{folder}” cannot be made: {e}.", folder=folder, e=term(reason(e)))) from None
    kept: dict[str, Texture] = {}
    lock = threading.Lock()

    def texture(o: Overlay) -> Texture:
        # Only for as long as one overlay is being worked on: a delivery may hold more than memory does.
        with lock:
            if o.id not in kept:
                kept[o.id] = texture_of(o)
            return kept[o.id]

    surfaces = Surfaces(bench.doc, texture, bench.others, bench.mask, bench.height_of)
    failed = threading.Event()
    with Batch(follow=False, avoid=bench.avoid) as batch:

        def one(row: Planned) -> Delivered:
            if bench.stop() or failed.is_set():
                raise Stopped
            tell(Message("Delivering “{name}”", name=row.overlay.name))
            try:
                return _one(row, texture, surfaces, batch, bench)
            except BaseException:
                failed.set()
                raise
            finally:
                with lock:
                    kept.pop(row.overlay.id, None)

        with ThreadPoolExecutor(max(1, min(WORKERS, 4))) as pool:
            jobs = [pool.submit(one, row) for row in rows]
            errors = [wrong for j in jobs if (wrong := j.exception()) is not None]
        if errors:
            raise next((wrong for wrong in errors if not isinstance(wrong, Stopped)), errors[0])
        done = [j.result() for j in jobs]
        if more is not None:
            more(batch, Path(folder), rows, done)
        batch.commit()
    return done


def _one(
    row: Planned, texture_of: Callable[[Overlay], Texture], surfaces: Surfaces, batch: Batch, bench: Bench
) -> Delivered:
    o = row.overlay
    texture = texture_of(o)
    if texture.scale < 1:
        raise MivexError(Message("“{name}” is still being computed at full size.", name=o.name))
    written: list[tuple[Written, Path]] = []
    for f, path, bits in row.files:
        made = surfaces.file(o, f, bits)
        if made is not None:
            written.append((Written(f, path.name, made, bits), path))
    if not written:
        raise MivexError(
            Message("“{name}”: nothing of its recipe “{name2}” can be filled from it.", name=o.name, name2=row.recipe.name)
        )
    sheet = blend_sheet(
        o,
        texture,
        [w for w, _ in written],
        hulls_of(o, texture),
        row.geometry.name if row.geometry else "",
        bench.doc.lighting.blending,
    )
    # The sheet first: a texture never arrives without it.
    stage_json(batch, row.sheet, sheet)

    def one(w: Written, path: Path) -> list[Compared]:
        if bench.stop():
            raise Stopped
        lanes = len(w.plan.lanes)
        if o.delivery.format in NO_ALPHA and w.plan.format == "own":
            lanes = min(lanes, 3)
        back = stage_texture(batch, path, w.texture, lanes=lanes, bits=w.bits)
        low, high = w.texture.values.min(axis=(0, 1)), w.texture.values.max(axis=(0, 1))
        return [
            Compared(o.name, path.name, lane, w.plan.channels[lane].words, back, k, float(low[k]), float(high[k]))
            for k, lane in enumerate(w.plan.lanes[:lanes])
        ]

    # Encoding takes several times a picture's memory: very large ones go one after the other.
    texels = max(w.texture.width * w.texture.height for w, _ in written)
    with ThreadPoolExecutor(max(1, min(WORKERS, SIDE_BY_SIDE // texels, len(written)))) as pool:
        table = [c for rows in pool.map(one, *zip(*written, strict=True)) for c in rows]
    return Delivered(
        o.name,
        tuple(p for _, p in written),
        row.sheet,
        tuple(table),
        tuple(sheet["left_out"]),
        (row.geometry,) if row.geometry else (),
    )


def stage_json(batch: Batch, path: Path, tree: Mapping[str, Any]) -> None:
    """Stage a JSON text."""
    batch.stage(path, encoded(json.dumps(tree, indent=2, ensure_ascii=False) + "\n", path))
