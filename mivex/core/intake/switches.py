"""What receivers do to textures and blends, each to be switched on for a delivery that was loaded."""

from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace

import numpy as np

from mivex.core.base.bands import WORKERS
from mivex.core.base.errors import Stopped
from mivex.core.base.kept import cached_or_none
from mivex.core.base.types import Floats
from mivex.core.intake.loader import HELD, Received
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.blocks import compressed
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document
from mivex.core.scene.material_binding import file_key

SMALLER = 256
"""Texels a side that the size limit leaves where nothing else is said."""


@dataclass(frozen=True)
class Switch:
    """One thing that a receiver may do.

    Attributes
    ----------
    key, title : str
    hint : str
        What it does, and what is seen of it.
    """

    key: str
    title: str
    hint: str


SWITCHES = (
    Switch(
        "own-mips",
        "Makes its own mip levels",
        "Levels in the files are ignored; new ones are averaged without weighing colour by alpha, and lose coverage.",
    ),
    Switch(
        "no-encoding",
        "Ignores the colour flag",
        "Colour is read as data, without decoding: everything is too bright and too pale.",
    ),
    Switch("green", "Flips green", "Normal maps are read the other way up: bumps become dents."),
    Switch("smaller", "Limits size to", "Textures are halved until no side is longer."),
    Switch("blocks", "Compresses in blocks", "4 × 4 texels share two colours and two alphas, as in most games."),
    Switch(
        "display",
        "Blends display values",
        "Sums are formed of display values instead of light: edges of see-through things change.",
    ),
    Switch("opaque", "Transparency left off", "Every overlay is drawn solid, whatever its blend."),
)
"""Every switch, in the order in which a receiver would do it."""
BY_KEY = {s.key: s for s in SWITCHES}


def _with(t: Texture, values: Floats, **traits: object) -> Texture:
    return Texture(np.ascontiguousarray(values, np.float32), traits=t.traits.but(**traits), bits=t.bits, notes=t.notes)


def own_mips(t: Texture) -> Texture:
    """Levels that the receiver builds itself; the very texture where nobody has made others."""
    if cached_or_none(t, HELD) is None and not t.traits.weighed and t.coverage == 0:
        return t
    return _with(t, t.values, weighed=False, coverage=0.0)


def no_encoding(t: Texture) -> Texture:
    """The texture of a receiver that reads colour as data, and so filters display values."""
    return own_mips(t) if t.data else _with(t, t.values, data=True, weighed=False, coverage=0.0)


def flipped(t: Texture) -> Texture:
    """The texture with its green channel upside down."""
    values = t.values.copy()
    values[..., 1] = 1 - values[..., 1]
    return _with(t, values)


def smaller(t: Texture, side: int = SMALLER) -> Texture:
    """Halved, straight as receivers do it, until no side is longer than ``side``."""
    if max(t.width, t.height) <= side:
        return t
    chain = t.mips
    k = next(i for i in range(chain.levels) if max(chain.widths[i], chain.heights[i]) <= side)
    level = chain.level(k).copy()
    if not t.data:
        level[..., :3] = to_display(level[..., :3])
    return _with(t, level)


def in_blocks(t: Texture) -> Texture:
    """As it comes back from 4 × 4 block compression of colour and alpha, every level by itself."""
    levels = [compressed(t.values), *(compressed(v) for v in t.stored_levels)]
    made = _with(t, levels[0])
    chain = t.mips
    rows = [
        v if t.data else np.concatenate([to_linear(np.ascontiguousarray(v[..., :3])), v[..., 3:]], axis=2) for v in levels
    ]
    texels = np.concatenate([r.reshape(-1, 4) for r in rows])
    made.__dict__["mips"] = MipChain(np.ascontiguousarray(texels, np.float32), chain.offsets, chain.widths, chain.heights)
    return made


def _solid(doc: Document) -> Document:
    # Whoever forgets transparency has opaque surfaces in every respect: they write depth and come with the solid ones.
    change = {"blend": "Solid", "depth_write": True, "group": BLENDS["Solid"].group}
    return doc.model_copy(
        update={
            "overlays": tuple(o.model_copy(update={"material": o.material.model_copy(update=change)}) for o in doc.overlays)
        }
    )


def normal_maps(doc: Document) -> set[str]:
    """Keys, among a document's textures, of those that are read as normal maps."""
    found = [o.material.finish.normal for o in doc.overlays]
    return {file_key(n.path, "data") for n in found if n.source == "file"} | {
        n.overlay for n in found if n.source == "overlay"
    }


def as_received(t: Texture, keys: frozenset[str], side: int = SMALLER, *, normals: bool = False) -> Texture:
    """A texture as a receiver with these switches has it.

    Parameters
    ----------
    t : Texture
    keys : frozenset of str
        Of `SWITCHES`.
    side : int
        The size limit.
    normals : bool
        It is a normal map.
    """
    if normals and "green" in keys:
        t = flipped(t)
    if "smaller" in keys:
        t = smaller(t, side)
    if "own-mips" in keys:
        t = own_mips(t)
    if "no-encoding" in keys:
        t = no_encoding(t)
    return in_blocks(t) if "blocks" in keys else t


def document_as_received(doc: Document, keys: frozenset[str]) -> Document:
    """A document as a receiver with these switches draws it."""
    if "display" in keys:
        doc = doc.model_copy(update={"lighting": doc.lighting.model_copy(update={"blending": "display"})})
    return _solid(doc) if "opaque" in keys else doc


def switched(r: Received, keys: frozenset[str], side: int = SMALLER, stop: Callable[[], bool] = lambda: False) -> Received:
    """A delivery as a receiver with these switches has it.

    Parameters
    ----------
    r : Received
    keys : frozenset of str
        Of `SWITCHES`.
    side : int
        The size limit.
    stop : callable
        Asked between textures; true raises Stopped.
    """
    normals = normal_maps(r.doc)
    # A picture that several materials read is one texture, and stays one.
    rows = {id(t): (t, key in normals) for key, t in r.textures.items()}

    def one(row: tuple[Texture, bool]) -> Texture:
        if stop():
            raise Stopped
        return as_received(row[0], keys, side, normals=row[1])

    with ThreadPoolExecutor(WORKERS) as pool:
        made = dict(zip(rows, pool.map(one, rows.values()), strict=True))
    textures = {key: made[id(t)] for key, t in r.textures.items()}
    return replace(r, doc=document_as_received(r.doc, keys), textures=textures)
