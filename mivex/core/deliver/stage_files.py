"""The stage of a delivery: what overlays were proved on, its light, and pictures to compare with."""

import io
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np

from mivex.core.base.settings import written_out
from mivex.core.base.store import Batch
from mivex.core.picture.encode import picture_bytes
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.draw_calls import codes_of, load_scene_inputs, render
from mivex.core.stage.camera import View
from mivex.core.stage.environment import atlas, environment, reflectance_table

AROUND = "surroundings.glb"
SKY, TABLE = "environment.npy", "reflectance.npy"
_SIZE = (320, 200)


def stage_words(doc: Document) -> dict[str, Any]:
    """What the delivery was proved on: cameras, light, surroundings, air; every value written out."""
    around = doc.around.model_copy(update={"path": AROUND if doc.around.path else ""})
    return {
        "cameras": [written_out(c) for c in doc.cameras],
        "lighting": written_out(doc.lighting),
        "surroundings": written_out(around),
        "geometry": None,
        "light_maps": None,
        "pictures": [],
        "wind": list(doc.air.wind),
    }


def stage_light_maps(batch: Batch, where: Path, doc: Document) -> dict[str, Any]:
    """Stage the prefiltered environment and the table of reflectance, for whoever lights a delivery anew."""
    maps, levels = atlas(environment(doc.lighting.environment))
    for name, values in ((SKY, maps), (TABLE, reflectance_table())):
        held = io.BytesIO()
        np.save(held, values.astype(np.float32))
        batch.stage(where / name, held.getvalue())
    return {"file": SKY, "table": TABLE, "levels": levels[:-1], "even": levels[-1]}


def picture_rows(doc: Document) -> list[dict[str, Any]]:
    """Pictures to compare with: one of every camera, at the beginning of the clock, without effects."""
    size = {"width": _SIZE[0], "height": _SIZE[1]}
    return [{"camera": c.name, "file": f"check_{k}.png", **size} for k, c in enumerate(doc.cameras, 1)]


def stage_pictures(
    batch: Batch, where: Path, doc: Document, evaluator: Evaluator, stop: Callable[[], bool]
) -> list[dict[str, Any]]:
    """Stage the pictures to compare with; what `picture_rows` gives. Raises Stopped."""
    still = doc.model_copy(update={"effects": ()})
    textures, meshes = load_scene_inputs(still, evaluator)
    rows = picture_rows(doc)
    for row, camera in zip(rows, doc.cameras, strict=True):
        codes = codes_of(render(still, textures, View(camera, *_SIZE), meshes, stop), still)
        batch.stage(where / row["file"], picture_bytes(".png", codes.astype(np.float32) / np.float32(255), 8))
    return rows
