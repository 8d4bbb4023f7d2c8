"""Delivering: pictures by a recipe, blend sheets, geometry and motion, written, read back and compared.

An overlay counts as delivered only once what lies on disk has been read again
and holds the same texels, bit for bit, and the same settings.
"""

import json
import threading
from collections.abc import Callable, Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from typing import Any

import numpy as np

from mivex.core.base.bands import WORKERS
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import reason
from mivex.core.base.store import Batch, encoded
from mivex.core.deliver.blend_sheet import Written, blend_sheet
from mivex.core.deliver.compared import Compared, Delivered
from mivex.core.deliver.planning import NO_ALPHA, Bench, Planned, check_format, plan
from mivex.core.deliver.sources import Surfaces
from mivex.core.picture.encode import ReadBack, stage_picture
from mivex.core.picture.texture import Texture
from mivex.core.project.delivery import DeliveryRecipe
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.playback import hulls_of

SIDE_BY_SIDE = 2 * 4096 * 4096
"""Texels of an overlay's files that are encoded at the same time."""


def stage_texture(batch: Batch, path: str | Path, texture: Texture, *, lanes: int = 4, bits: int = 0) -> ReadBack:
    """Write a texture beside its place and prove it; `Batch.commit` puts it in place.

    Parameters
    ----------
    batch : Batch
    path : str or Path
    texture : Texture
        TIFF and KTX 2 hold all its mip levels.
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
    # The recipe's depth counts, not the overlay's; the texture's own where the recipe says nothing.
    bits = bits or texture.bits
    if kind == ".ktx2" and lanes == 3:
        lanes = 4  # few readers know formats of three channels; alpha is 1
    if kind != ".exr" or lanes == 4:
        check_format("tga24" if lanes < 4 and kind == ".tga" else kind, bits, uses_alpha=lanes == 4)
    values = texture.values if lanes == 4 else np.ascontiguousarray(texture.values[..., :lanes])
    if kind == ".exr" and not texture.data:
        # Its standard asks for linear light, and for colour that is multiplied by alpha.
        values = np.ascontiguousarray(texture.linear[..., :lanes])
    # Formats that hold levels get those that were judged; for others receivers make their own.
    if kind in (".ktx2", ".tif", ".tiff"):
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


def deliver(
    overlays: Sequence[Overlay],
    texture_of: Callable[[Overlay], Texture],
    folder: str | Path,
    tell: Callable[[str], None] = lambda _: None,
    *,
    recipe: DeliveryRecipe | None = None,
    bench: Bench | None = None,
    more: Callable[[Batch, Path, list[Planned], list[Delivered]], None] | None = None,
    kept: Callable[[Planned], Delivered | None] = lambda _: None,
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
    kept : callable
        Gives what was delivered of an overlay before, where nothing of it has changed.

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
    textures: dict[str, Texture] = {}
    lock = threading.Lock()

    def texture(o: Overlay) -> Texture:
        # Only for as long as one overlay is being worked on: a delivery may hold more than memory does.
        with lock:
            if o.id not in textures:
                textures[o.id] = texture_of(o)
            return textures[o.id]

    surfaces = Surfaces(bench.doc, texture, bench.others, bench.mask, bench.height_of)
    failed = threading.Event()
    # Nothing is put in place before all of it is proved: a delivery that fails half way leaves the folder as it
    # was.
    with Batch(follow=False, avoid=bench.avoid) as batch:

        def one(row: Planned) -> Delivered:
            # One overlay's failure ends the others' work too: what they wrote would be thrown away.
            if bench.stop() or failed.is_set():
                raise Stopped
            if (before := kept(row)) is not None:
                return before
            tell(Message("Delivering “{name}”", name=row.overlay.name))
            try:
                return _one(row, texture, surfaces, batch, bench)
            except BaseException:
                failed.set()
                raise
            finally:
                with lock:
                    textures.pop(row.overlay.id, None)

        # Four at most: each holds an overlay's pictures, and memory is what ends deliveries.
        with ThreadPoolExecutor(max(1, min(WORKERS, 4))) as pool:
            jobs = [pool.submit(one, row) for row in rows]
            errors = [wrong for j in jobs if (wrong := j.exception()) is not None]
        # The first real error is told; that others were stopped because of it says nothing.
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
        # What the planned values reach: a read-back that is right tells nothing of a channel that was empty from the
        # start.
        low, high = w.texture.values.min(axis=(0, 1)), w.texture.values.max(axis=(0, 1))
        return [
            Compared(o.name, path.name, lane, w.plan.channels[lane].words, back, k, float(low[k]), float(high[k]))
            for k, lane in enumerate(w.plan.lanes[:lanes])
        ]

    # Encoding takes several times a picture's memory: very large ones go one after the other, by the largest of them.
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
