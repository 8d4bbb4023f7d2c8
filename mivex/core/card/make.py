"""Delivering the test card: pictures, blend sheets, one glTF of all of it, how it should look, and what to do with it."""

from collections.abc import Callable
from pathlib import Path

import numpy as np

from mivex.core.base.errors import Stopped
from mivex.core.base.store import Batch, encoded
from mivex.core.card.layout import STEPS
from mivex.core.card.patches import CAMERA, LEVELS_RECIPE, PLAIN_RECIPE, Patch, card_document, normals_of, patches
from mivex.core.deliver.compared import Delivered
from mivex.core.deliver.deliver import deliver, stage_json
from mivex.core.deliver.gltf import scene_gltf
from mivex.core.deliver.planning import Bench, Planned
from mivex.core.deliver.project import LIST, listing_words
from mivex.core.deliver.sources import Surfaces
from mivex.core.deliver.stage_files import stage_words
from mivex.core.picture.encode import picture_bytes
from mivex.core.picture.texture import Texture
from mivex.core.project.delivery import STOCK, DeliveryRecipe
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.draw_calls import build_environment, codes_of, lasting_mesh, render
from mivex.core.stage.camera import View

GEOMETRY, PICTURE, WORDS = "card.glb", "card.png", "card.txt"
_SIZE = (1280, 800)


def card_textures(rows: list[Patch]) -> dict[str, Texture]:
    """Textures of the card's overlays by their ids, and of the normal maps that they read."""
    made = {p.name: p.texture() for p in rows}
    bumps = ((p.name, normals_of(p.name)) for p in rows)
    return made | {f"{name} normals": t for name, t in bumps if t is not None}


def _recipes() -> tuple[DeliveryRecipe, ...]:
    files = [f for f in STOCK["surface"].files if f.pattern in ("{name}", "{name}_normal")]
    plain = DeliveryRecipe(
        name=PLAIN_RECIPE, files=tuple(f.model_copy(update={"format": "png"}) for f in files), gltf="none"
    )
    own = tuple(f.model_copy(update={"format": "ktx2"}) for f in files[:1])
    return plain, DeliveryRecipe(name=LEVELS_RECIPE, files=own, gltf="none")


def make_card(
    folder: str | Path,
    *,
    levels: bool = True,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[str], None] = lambda _: None,
) -> list[Path]:
    """Deliver the test card into a folder.

    Parameters
    ----------
    folder : str or Path
        Made if missing.
    levels : bool
        The patch that asks for mip levels is a KTX 2 file; else PNG, for receivers that read no KTX 2.
    stop : callable
        Asked between files; true raises Stopped.
    tell : callable
        Told what is being done.

    Returns
    -------
    list of Path
        What was written, the picture of how it should look first.

    Raises
    ------
    MivexError
        A file cannot be written; what lay in the folder before is untouched.
    """
    rows = patches()
    textures = card_textures(rows)
    doc = card_document(rows).model_copy(update={"deliveries": _recipes()})
    kept = {p.name: LEVELS_RECIPE if p.levels and levels else PLAIN_RECIPE for p in rows}
    doc = doc.model_copy(update={"overlays": tuple(_by_recipe(o, kept[o.id]) for o in doc.overlays)})
    where = Path(folder)

    def texture_of(o: Overlay) -> Texture:
        t = textures[o.id]
        if t.traits.weighed and kept[o.id] == PLAIN_RECIPE:
            return Texture(t.values, traits=t.traits.but(weighed=False), bits=t.bits)
        return t

    def more(batch: Batch, where: Path, planned: list[Planned], done: list[Delivered]) -> None:
        if stop():
            raise Stopped
        tell("Writing the geometry of the card")
        world = build_environment(doc, {})
        surfaces = Surfaces(doc, texture_of, textures, lambda _o, _n: np.zeros((1, 1), np.float32), lambda _o: None)
        shapes = [(o, [(1, lasting_mesh(o, o.places[0], textures[o.id], world))]) for o in doc.overlays]
        batch.stage(where / GEOMETRY, scene_gltf(doc, surfaces, shapes))
        tell("Drawing how it should look")
        codes = codes_of(render(doc, textures, View(CAMERA, *_SIZE), {}, stop), doc)
        batch.stage(where / PICTURE, picture_bytes(".png", codes.astype(np.float32) / np.float32(255), 8))
        batch.stage(where / WORDS, encoded(_words(doc), where / WORDS))
        words = listing_words(where, doc, planned, done, [], [], stage_words(doc))
        stage_json(batch, where / LIST, words | {"made_of": {}})

    done = deliver(doc.overlays, texture_of, where, tell, bench=Bench(doc, textures, stop=stop), more=more)
    return [where / n for n in (PICTURE, GEOMETRY, WORDS, LIST)] + [p for d in done for p in (*d.files, d.sheet)]


def _by_recipe(o: Overlay, recipe: str) -> Overlay:
    form = "ktx2" if recipe == LEVELS_RECIPE else "png"
    return o.model_copy(update={"delivery": o.delivery.model_copy(update={"recipe": recipe, "format": form})})


def _words(doc: Document) -> str:
    """What to do with the card, in plain sentences, and every setting that glTF cannot say."""
    names = {"geometry": GEOMETRY, "picture": PICTURE}
    lines = [f"{k}. {s.format_map(names)}" for k, s in enumerate(STEPS, 1)] + [""]
    for o in doc.overlays:
        m = o.material
        parts: list[str] = [m.blend, m.group]
        if m.nudge:
            parts.append(f"nudge {m.nudge:+d}")
        parts.append("writes depth" if m.depth_write else "writes no depth")
        parts.append("lit" if m.lit else "unlit")
        if m.blend == "Cutout":
            parts.append(f"cutoff {m.cutoff:g}")
        if not m.both_faces:
            parts.append("front faces only")
        if m.tint != (1.0, 1.0, 1.0):
            parts.append(f"tint {m.tint[0]:g}")
        lines.append(f"{o.name}: {', '.join(parts)}")
    return "\n".join(lines) + "\n"
