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
from mivex.core.base.limits import check_size
from mivex.core.base.memory import kept_bytes
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import read_bytes
from mivex.core.base.types import Floats
from mivex.core.layers.masks import LayerInputs
from mivex.core.layers.model import Relief, Stack
from mivex.core.layers.nodes import state_nodes
from mivex.core.layers.stack import Planes, finished, guard_of, on_base, surface_of
from mivex.core.picture.files import LARGEST_FILE, read_picture
from mivex.core.picture.formats import READABLE
from mivex.core.picture.picture import Picture, guess_meaning, quantise
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, StepParams, Surface
from mivex.core.prepare.drawing import drawn_beneath
from mivex.core.prepare.resample import picture_resized
from mivex.core.project.channel_textures import channel_textures
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import absolute
from mivex.core.project.layering import LARGE, NO_ASK, EvaluationRequest, outside_of
from mivex.core.sheet.celled import by_cells
from mivex.core.stage.meshes import LoadedMesh, files_of, read_mesh

PROXY_SIDE = 512
HOLDS_LEVELS = ("tif", "ktx2")
"""Delivery formats that hold mip levels of their own."""


class Evaluator:
    """Loads pictures and runs recipes for one project folder.

    Parameters
    ----------
    folder : str or Path
        What relative picture paths are relative to.
    limit : int, optional
        Bytes of pictures, intermediate results and textures to keep; none: a quarter of the machine's, from 3 to 8 GB.
    """

    def __init__(self, folder: str | Path = ".", limit: int | None = None) -> None:
        self.folder = str(folder)
        self.graph = Graph(kept_bytes() if limit is None else limit)
        self.history: dict[str, tuple[tuple[str, ...], int]] = {}
        """By slot, what the rows of large stacks were made of when they were last asked for; see `state_nodes`."""
        self.bakes: Path | None = None
        """Where masks from meshes are kept; None: nowhere but in memory."""

    def _read(self, path: str, read: Callable[[Path], Any], size: Callable[[Any], int]) -> Any:
        """What a file holds, from the cache as long as the file is unchanged."""
        whole = Path(absolute(path, self.folder))
        return self.graph.value(Node(f"{read.__name__} {self.file_mark(path)}", lambda: read(whole), size=size))

    def file_mark(self, path: str) -> str:
        """Names a file as it is now, with those beside it that are read with it."""
        marks = []
        for one in files_of(absolute(path, self.folder)):
            marks.append(str(one))
            # A file that cannot be looked at has no mark; reading it says why.
            with contextlib.suppress(OSError):
                seen = one.stat()
                marks.append(f"{seen.st_mtime_ns} {seen.st_size}")
        return " ".join(marks)

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

    def texture(
        self,
        overlay: Overlay,
        doc: Document | None = None,
        *,
        proxy: bool = False,
        side: int = 0,
        until: int | None = None,
        bare: bool = False,
        stop: Callable[[], bool] = lambda: False,
        tell: Callable[[str], None] = lambda _: None,
    ) -> Texture:
        """The prepared texture of an overlay.

        Parameters
        ----------
        overlay : Overlay
        doc : Document, optional
            Where its layers find other overlays.
        proxy : bool
            Work on a picture of at most 512 texels a side, for speed.
        side : int
            Work on a picture whose longer side has so many texels; 0: on its own.
        until : int, optional
            Run only the first so many steps (0: the layers' result).
        bare : bool
            The source as it came, without layers and steps.
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
        if bare:
            return self.prepare(self.start_of(overlay), overlay.source, (), d.bits, proxy=proxy, stop=stop, tell=tell)
        ask = EvaluationRequest(stop, tell, doc, proxy, side)
        node = self.node_of(overlay, ask, until)
        return self._textured(
            node,
            self.start_of(overlay),
            d.bits,
            overlay.layers.relief,
            f"{self.slot(overlay, ask)} {until}",
            levels=d.format in HOLDS_LEVELS,
            weighed=d.format == "ktx2",
            stop=stop,
            tell=tell,
        )

    def node_of(self, overlay: Overlay, ask: EvaluationRequest = NO_ASK, until: int | None = None) -> Node:
        """The node of an overlay's surface after its layers and its first ``until`` steps; raises MivexError."""
        node = self._celled(self.states_of(overlay, ask)[-1], overlay)
        # What is drawn beneath the layers has been drawn already: its steps are not run again behind them.
        before = drawn_beneath(overlay.steps)
        return self._stepped(node, tuple(s for s in overlay.steps[:until] if s not in before), self.slot(overlay, ask))

    def _celled(self, node: Node, overlay: Overlay) -> Node:
        """The same surface, knowing its cells; raises MivexError where they do not fit."""
        if not overlay.sheet.grids:
            return node
        start = self.start_of(overlay)
        cells = overlay.sheet.cells(start.width, start.height)

        def make(worked: StepResult) -> StepResult:
            return StepResult(worked.surface.but(cells=cells), worked.notes)

        return Node(hashed(node.key, str(cells)), make, (node,), StepResult.size)

    def states_of(self, overlay: Overlay, ask: EvaluationRequest = NO_ASK) -> list[Node]:
        """Nodes of `StepResult` surfaces: the start, and the layers' result where there are layers."""
        start, empty = self.begun(overlay, ask)
        if overlay.layers == Stack():
            return [start]
        nodes = self.layer_states(overlay, ask)
        stack = overlay.layers
        key = hashed(
            nodes[-1].key,
            stack.guard.model_dump_json(),
            json.dumps({k: v.model_dump(mode="json") for k, v in stack.levels.items()}, sort_keys=True),
            str(empty),
        )

        outside = self.outside(overlay, ask)

        def whole(planes: Planes) -> StepResult:
            made = finished(planes, stack, guard_of(stack, outside) if stack.guard.on else None)
            return StepResult(surface_of(made), made.notes)

        return [
            start,
            Node(key, whole, (nodes[-1],), StepResult.size, slot=Message("{slot} layers", slot=self.slot(overlay, ask))),
        ]

    def layer_states(self, overlay: Overlay, ask: EvaluationRequest = NO_ASK) -> list[Node]:
        """Nodes of `Planes`: the start, and the state after every row that is on."""
        start, empty = self.begun(overlay, ask)
        size = canvas_size(self.start_of(overlay), ask)
        return state_nodes(
            overlay.layers,
            start,
            lambda worked: worked.surface,  # type: ignore[attr-defined]
            self.outside(overlay, ask),  # type: ignore[attr-defined]
            empty=empty,
            kept=size[0] * size[1] < LARGE,
            slot=self.slot(overlay, ask),
            history=self.history,
        )

    def begun(self, overlay: Overlay, ask: EvaluationRequest) -> tuple[Node, bool]:
        """What an overlay's layers lie on, and whether that is an empty canvas; what is drawn beneath them is on it."""
        start, empty = self._started(self.start_of(overlay), overlay.source, ask), not overlay.source.path
        drawn = drawn_beneath(overlay.steps)
        if not drawn:
            return start, empty
        if empty:
            base = overlay.layers.base
            key = hashed(start.key, base.model_dump_json(), "base")
            start = Node(key, lambda s: StepResult(on_base(s.surface, base)), (start,), StepResult.size)
        return self._stepped(start, drawn, f"{self.slot(overlay, ask)} beneath"), False

    @staticmethod
    def slot(overlay: Overlay, ask: EvaluationRequest) -> str:
        """Names an overlay at a size: a newer state of it takes the place of an older one."""
        return f"{overlay.id} {ask.proxy} {ask.side}"

    def outside(self, overlay: Overlay, ask: EvaluationRequest = NO_ASK) -> LayerInputs:
        """What an overlay's layers read from outside, at the size of their canvas."""
        return outside_of(self, overlay, canvas_size(self.start_of(overlay), ask), ask)

    def start_of(self, overlay: Overlay) -> Picture:
        """The picture that an overlay starts from, or its empty canvas; raises MivexError."""
        if overlay.source.path:
            return self.picture(overlay.source.path)
        if overlay.source.canvas[0] < 1:
            raise MivexError(Message("“{name}” has no picture yet.", name=overlay.name))
        w, h = overlay.source.canvas
        made: Picture = self.graph.value(Node(Message("canvas {w} {h}", w=w, h=h), lambda: _canvas(w, h)))
        return made

    def prepare(
        self,
        picture: Picture,
        source: Source,
        steps: tuple[StepParams, ...],
        bits: int = 8,
        *,
        proxy: bool = False,
        levels: bool = False,
        stop: Callable[[], bool] = lambda: False,
        tell: Callable[[str], None] = lambda _: None,
    ) -> Texture:
        """Run steps on a picture and quantise to ``bits``; see `texture`.

        ``levels`` says that the file will hold its own mip levels; otherwise the
        receiver builds them, and ``keep-coverage`` cannot show in the texture.
        """
        node = self._stepped(self._started(picture, source, EvaluationRequest(proxy=proxy)), steps)
        return self._textured(node, picture, bits, Relief(), "", levels=levels, stop=stop, tell=tell)

    def _started(self, picture: Picture, source: Source, ask: EvaluationRequest) -> Node:
        meaning = guess_meaning(picture)[0] if source.meaning == "guess" else source.meaning
        scale = _scale_of(picture, ask)
        # The scale in six digits: two sizes that round to the same canvas are the same start.
        key = hashed(picture.key, meaning, source.alpha_stored, f"{scale:.6f}")
        return Node(key, lambda: StepResult(_start(picture, meaning, source.alpha_stored, scale)), size=StepResult.size)

    def _stepped(self, node: Node, steps: tuple[StepParams, ...], slot: str = "") -> Node:
        context = Context(self.picture, lambda path: absolute(path, self.folder))
        for k, step in enumerate(s for s in steps if s.on):
            node = self._step(node, step, context, slot and f"{slot} step {k}")
        return node

    def _textured(
        self,
        node: Node,
        picture: Picture,
        bits: int,
        relief: Relief,
        slot: str,
        *,
        levels: bool,
        weighed: bool = False,
        stop: Callable[[], bool],
        tell: Callable[[str], None],
    ) -> Texture:
        whole = Node(
            hashed(node.key, str(bits), f"{levels}{weighed}", relief.model_dump_json(), "texture"),
            lambda worked: _finished(worked, picture, bits, (levels, weighed), whole.key, relief),
            (node,),
            # Its mip chain, with its linear texels, will join it: count it in.
            size=lambda made: int(made.values.nbytes * 2.4) * (1 + len({id(c) for c in made.channels.values()})),
            slot=slot and f"{slot} texture {bits} {levels}",
        )
        done: Texture = self.graph.value(whole, stop, tell)
        return done

    def _step(self, before: Node, params: StepParams, context: Context, slot: str = "") -> Node:
        step = STEPS[params.step]

        def make(worked: StepResult) -> StepResult:
            notes = worked.notes
            if (words := step.note(worked.surface, params)) and worked.surface.scale == 1:
                notes = (*notes, Message("{label}: {words}", label=term(step.label), words=term(words)))
            if worked.surface.traits.cells:
                # Cell by cell, so that no filter reaches across a border.
                made = by_cells(worked.surface, lambda s: step.apply(s, params, context), step.label)
                return StepResult(made, notes)
            return StepResult(step.apply(worked.surface, params, context), notes)

        return Node(hashed(before.key, self._mark(params)), make, (before,), StepResult.size, step.label, slot)

    def _mark(self, step: StepParams) -> str:
        others = [self._content(f) for f in STEPS[step.step].files(step)]
        return json.dumps(step.model_dump(mode="json"), sort_keys=True) + "".join(others)

    def _content(self, path: str) -> str:
        """Names what a file that a step reads holds, picture or not."""
        whole = Path(absolute(path, self.folder))
        if whole.suffix.lower() in READABLE:
            return self.picture(path).key
        return hashlib.blake2b(read_bytes(whole, LARGEST_FILE), digest_size=16).hexdigest()


@dataclass(frozen=True, eq=False)
class StepResult:
    """A surface somewhere in a recipe, and what is to be said of the way to it."""

    surface: Surface
    notes: tuple[str, ...] = ()

    def size(self) -> int:
        """Bytes."""
        return int(self.surface.values.nbytes) + sum(int(c.nbytes) for c in self.surface.channels.values())


def _canvas(w: int, h: int) -> Picture:
    """An empty canvas; its name need not be worked out from its texels."""
    made = Picture(np.zeros((h, w, 4), np.float32))
    made.__dict__["key"] = hashed("canvas", str(w), str(h))
    return made


def _scale_of(picture: Picture, ask: EvaluationRequest) -> float:
    longer = max(picture.width, picture.height)
    # A first look never enlarges; a side that is asked for may.
    return min(1.0, PROXY_SIDE / longer) if ask.proxy else ask.side / longer if ask.side else 1.0


def canvas_size(picture: Picture, ask: EvaluationRequest) -> tuple[int, int]:
    """Height and width of the canvas of a picture's layers."""
    scale = _scale_of(picture, ask)
    return max(1, round(picture.height * scale)), max(1, round(picture.width * scale))


def _finished(
    worked: StepResult, picture: Picture, bits: int, levels: tuple[bool, bool], key: str, relief: Relief
) -> Texture:
    """The texture at the end of a recipe, quantised; ``levels``: the file holds its own, and they are weighed."""
    surface = worked.surface
    check_size(*surface.full_size, "The prepared picture")
    # The very texels of the file where nothing was done: no rounding, and no second copy of a large picture.
    whole = surface.values is picture.values and picture.bits == bits and bits < 32
    values = picture.values if whole else quantise(np.clip(surface.values, 0, 1), bits)
    traits = surface.traits.but(full=surface.full_size, coverage=surface.coverage if levels[0] else 0.0, weighed=levels[1])
    channels = channel_textures(surface, relief, bits, key) if surface.channels else {}
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
            # Divided in linear light where colour was multiplied so; what is clear keeps the colour that it has.
            straight = to_display(straight)
        values[..., :3] = np.where(a > 0, np.clip(straight, 0, None), values[..., :3])
    if picture.linear and meaning == "colour":
        values = values.copy()
        values[..., :3] = to_display(values[..., :3])
    if scale != 1:
        size = (max(1, round(picture.width * scale)), max(1, round(picture.height * scale)))
        values = picture_resized(values, *size, data=meaning == "data")
    return Surface(values, meaning == "data", traits=picture.traits, scale=scale)
