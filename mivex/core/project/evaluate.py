"""Running recipes, with a cache: only what changed is computed again."""

import contextlib
import hashlib
import json
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any, Literal

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.graph import Graph, Node, hashed
from mivex.core.base.lazy import Lazy
from mivex.core.base.limits import check_size
from mivex.core.base.types import Floats
from mivex.core.picture.files import READABLE, read_picture
from mivex.core.picture.picture import Picture, guess_meaning, quantise
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, StepParams, Surface
from mivex.core.project.document import Overlay, Source
from mivex.core.project.file import absolute
from mivex.core.stage.meshes import LoadedMesh, read_mesh

cv2 = Lazy("cv2")

PROXY_SIDE = 512
HOLDS_LEVELS = ("tif",)
"""Delivery formats that hold mip levels of their own."""


class Workshop:
    """Loads pictures and runs recipes for one project folder.

    Parameters
    ----------
    folder : str or Path
        What relative picture paths are relative to.
    limit : int
        Bytes of pictures, intermediate results and textures to keep.
    """

    def __init__(self, folder: str | Path = ".", limit: int = 3 << 30) -> None:
        self.folder = str(folder)
        self.graph = Graph(limit)

    def _read(self, path: str, read: Callable[[Path], Any], size: Callable[[Any], int]) -> Any:
        """What a file holds, from the cache as long as the file is unchanged."""
        whole = Path(absolute(path, self.folder))
        key = f"{read.__name__} {whole}"
        with contextlib.suppress(OSError):
            seen = whole.stat()
            key += f" {seen.st_mtime_ns} {seen.st_size}"
        return self.graph.value(Node(key, lambda: read(whole), size=size))

    def picture(self, path: str) -> Picture:
        """Read a picture, or take it from the cache if the file is unchanged; raises MivexError."""
        found: Picture = self._read(path, read_picture, lambda p: int(p.values.nbytes))
        return found

    def mesh(self, path: str) -> LoadedMesh:
        """Read a mesh, or take it from the cache if the file is unchanged; raises MivexError."""
        found: LoadedMesh = self._read(path, read_mesh, lambda m: int(m.mesh.position.nbytes) * 4)
        return found

    def file_texture(self, path: str, meaning: Literal["colour", "data"]) -> Texture:
        """A picture file as materials read it; raises MivexError."""
        picture = self.picture(path)
        return self.prepare(picture, Source(path=path, meaning=meaning), (), 16 if picture.bits > 8 else 8)

    def texture(self, overlay: Overlay, *, proxy: bool = False, until: int | None = None,
                stop: Callable[[], bool] = lambda: False, tell: Callable[[str], None] = lambda _: None) -> Texture:
        """The prepared texture of an overlay.

        Parameters
        ----------
        overlay : Overlay
        proxy : bool
            Work on a picture of at most 512 texels a side, for speed.
        until : int, optional
            Run only the first so many steps (0: the source as it came).
        stop : callable
            Asked between steps; true raises Stopped.
        tell : callable
            Told the label of each step before it is computed.

        Raises
        ------
        MivexError
            No source, or a picture cannot be read.
        """
        d = overlay.delivery
        return self.prepare(self.start_of(overlay), overlay.source, overlay.steps[:until], d.bits, proxy=proxy,
                            levels=d.format in HOLDS_LEVELS, stop=stop, tell=tell)

    def start_of(self, overlay: Overlay) -> Picture:
        """The picture that an overlay starts from, or its empty canvas; raises MivexError."""
        if overlay.source.path:
            return self.picture(overlay.source.path)
        if overlay.source.canvas[0] < 1:
            raise MivexError(f"“{overlay.name}” has no picture yet.")
        w, h = overlay.source.canvas
        return Picture(np.zeros((h, w, 4), np.float32))

    def prepare(self, picture: Picture, source: Source, steps: tuple[StepParams, ...], bits: int = 8, *,
                proxy: bool = False, levels: bool = False, stop: Callable[[], bool] = lambda: False,
                tell: Callable[[str], None] = lambda _: None) -> Texture:
        """Run steps on a picture and quantise to ``bits``; see `texture`.

        ``levels`` says that the file will hold its own mip levels; otherwise the
        receiver builds them, and ``keep-coverage`` cannot show in the texture.
        """
        meaning = guess_meaning(picture)[0] if source.meaning == "guess" else source.meaning
        scale = min(1.0, PROXY_SIDE / max(picture.width, picture.height)) if proxy else 1.0
        key = hashed(picture.key, meaning, source.alpha_stored, f"{scale:.6f}")
        node = Node(key, lambda: _Worked(_start(picture, meaning, source.alpha_stored, scale)), size=_Worked.size)
        context = Context(self.picture, lambda path: absolute(path, self.folder))
        for step in (s for s in steps if s.on):
            node = self._step(node, step, context)
        whole = Node(hashed(node.key, str(bits), str(levels), "texture"),
                     lambda worked: _finished(worked, picture, bits, levels, whole.key), (node,),
                     # Its mip chain and linear texels will join it: count them in.
                     size=lambda made: int(made.values.nbytes) * 4)
        done: Texture = self.graph.value(whole, stop, tell)
        return done

    def _step(self, before: Node, params: StepParams, context: Context) -> Node:
        step = STEPS[params.step]

        def make(worked: _Worked) -> _Worked:
            notes = worked.notes
            if (words := step.note(worked.surface, params)) and worked.surface.scale == 1:
                notes = (*notes, f"{step.label}: {words}")
            return _Worked(step.apply(worked.surface, params, context), notes)

        return Node(hashed(before.key, self._mark(params)), make, (before,), _Worked.size, step.label)

    def _mark(self, step: StepParams) -> str:
        others = [self._content(f) for f in STEPS[step.step].files(step)]
        return json.dumps(step.model_dump(mode="json"), sort_keys=True) + "".join(others)

    def _content(self, path: str) -> str:
        """Names what a file that a step reads holds, picture or not."""
        whole = Path(absolute(path, self.folder))
        if whole.suffix.lower() in READABLE:
            return self.picture(path).key
        try:
            return hashlib.blake2b(whole.read_bytes(), digest_size=16).hexdigest()
        except OSError as e:
            raise MivexError(f"“{whole.name}” cannot be read: {(e.strerror or str(e)).lower()}.") from None


@dataclass(frozen=True, eq=False)
class _Worked:
    """A surface somewhere in a recipe, and what is to be said of the way to it."""

    surface: Surface
    notes: tuple[str, ...] = ()

    def size(self) -> int:
        """Bytes."""
        return int(self.surface.values.nbytes) + sum(int(c.nbytes) for c in self.surface.channels.values())


def _finished(worked: _Worked, picture: Picture, bits: int, levels: bool, key: str) -> Texture:
    """The texture at the end of a recipe, quantised."""
    surface = worked.surface
    check_size(*surface.full_size, "The prepared picture")
    whole = surface.values is picture.values and picture.bits == bits and bits < 32
    values = picture.values if whole else quantise(np.clip(surface.values, 0, 1), bits)
    traits = surface.traits.but(full=surface.full_size, coverage=surface.coverage if levels else 0.0)
    channels = {name: Texture(np.dstack([quantise(np.clip(v, 0, 1), bits), np.ones(v.shape[:2], np.float32)]), "data",
                              bits=bits, key=hashed(key, name)) for name, v in surface.channels.items()}
    return Texture(values, traits=traits, bits=bits, key=key, notes=worked.notes, channels=channels)


def _start(picture: Picture, meaning: str, stored: str, scale: float) -> Surface:
    """A picture as the first step sees it: straight, display values for colour, at the working size."""
    values: Floats = picture.values
    if stored == "premultiplied" and picture.has_alpha:
        values = values.copy()
        a = values[..., 3:]
        lifted = values[..., :3] if picture.linear or meaning == "data" else to_linear(values[..., :3])
        straight = np.divide(lifted, a, out=lifted.copy(), where=a > 0)
        if not picture.linear and meaning == "colour":
            straight = to_display(straight)
        values[..., :3] = np.where(a > 0, np.clip(straight, 0, None), values[..., :3])
    if picture.linear and meaning == "colour":
        values = values.copy()
        values[..., :3] = to_display(values[..., :3])
    if scale < 1:
        size = (max(1, round(picture.width * scale)), max(1, round(picture.height * scale)))
        values = cv2.resize(values, size, interpolation=cv2.INTER_AREA)
    return Surface(values, meaning == "data", traits=picture.traits, scale=scale)
