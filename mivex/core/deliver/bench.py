"""What delivering needs of a project besides the overlays themselves."""

import threading
from collections.abc import Callable, Iterable, Iterator, Mapping
from pathlib import Path

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.deliver.planning import Bench
from mivex.core.layers.masks import Values
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import absolute, paths_of
from mivex.core.project.layering import EvaluationRequest
from mivex.core.project.looking import planes_below
from mivex.core.scene.material_binding import file_key, picture_files_read, read_by


def unrounded(o: Overlay) -> Overlay:
    """An overlay as it is delivered from: each file rounds once, to the depth that its recipe asks for."""
    return o.model_copy(update={"delivery": o.delivery.model_copy(update={"bits": 32})})


class WhenAsked(Mapping[str, Texture]):
    """Textures that are made when they are first asked for: an unchanged delivery asks for none."""

    def __init__(self, keys: Iterable[str], make: Callable[[str], Texture]) -> None:
        self._keys, self._make, self._made = dict.fromkeys(sorted(keys)), make, dict[str, Texture]()
        self._lock = threading.Lock()

    def __getitem__(self, key: str) -> Texture:
        if key not in self._keys:
            raise KeyError(key)
        with self._lock:
            if key not in self._made:
                self._made[key] = self._make(key)
            return self._made[key]

    def __iter__(self) -> Iterator[str]:
        return iter(self._keys)

    def __len__(self) -> int:
        return len(self._keys)


def bench_of(doc: Document, evaluator: Evaluator, stop: Callable[[], bool] = lambda: False) -> Bench:
    """What delivering needs of a project; raises MivexError where something cannot be read."""
    reads = {file_key(p, m): (p, m) for p, m in picture_files_read(doc)}

    def other(key: str) -> Texture:
        if key in reads:
            return evaluator.file_texture(*reads[key])
        found = doc.overlay(key)
        if found is None or not found.source.ready:
            raise KeyError(key)
        return evaluator.texture(unrounded(found), doc, stop=stop)

    named = {k for o in doc.overlays for k in read_by(o.material) if (x := doc.overlay(k)) is not None and x.source.ready}
    others: Mapping[str, Texture] = WhenAsked({*reads, *named}, other)

    def mask_of(o: Overlay, number: int) -> Floats:
        rows = [r for r in o.layers.walk()]
        if number > len(rows):
            return np.zeros((1, 1), np.float32)  # overlays of one recipe have layers in different numbers
        ask = EvaluationRequest(stop, doc=doc)
        start = evaluator.start_of(o)
        row = rows[number - 1]
        found = Values(o.layers, evaluator.outside(o, ask)).mask(row, planes_below(evaluator, o, ask, row.id).get)
        return np.clip(np.broadcast_to(found, (start.height, start.width)), 0, 1)

    def height_of(o: Overlay) -> Floats | None:
        height = evaluator.graph.value(evaluator.node_of(o, EvaluationRequest(stop, doc=doc)), stop).surface.channels.get(
            "height"
        )
        return None if height is None else height[..., 0]

    avoid = frozenset(Path(absolute(p, evaluator.folder)).resolve() for p in paths_of(doc))
    return Bench(doc, others, mask_of, height_of, stop, avoid)
