"""Pointing at the stage means what is seen there: against renders with and without each overlay."""

import numpy as np
import pytest

from mivex.core.material.effects import Erosion
from mivex.core.material.material import Mapping, Material
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.scene.draw_calls import draw_list, render
from mivex.core.scene.picking import pick, touched_at
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.ledger import account_of
from mivex.core.stage.pixel_history import DRAWN
from mivex.core.stage.placements_model import Around, BillboardPlace, PanelPlace, ShapePlace

W, H = 56, 44
NOTHING = Around(path="none.obj")


def texture(rng, columns, rows):
    """Blocks that are opaque or clear, each of a bright colour of its own; a sheet where there is more than one cell."""
    h, w = 16 * rows, 24 * columns
    values = np.zeros((h, w, 4), np.float32)
    values[..., :3] = np.kron(rng.uniform(0.6, 1.0, (h // 4, w // 4, 3)), np.ones((4, 4, 1)))
    values[..., 3] = np.kron(rng.random((h // 4, w // 4)) < 0.5, np.ones((4, 4)))
    cells = tuple(Grid(columns=columns, rows=rows).cells(w, h)) if columns * rows > 1 else ()
    return Texture(values, cells=cells)


def overlay(rng, key):
    """An overlay with everything that moves, cuts or eats its picture drawn by lot, and its texture."""
    columns, rows = rng.choice([1, 1, 3]), rng.choice([1, 2])
    tiled = columns * rows == 1
    mapping = (
        Mapping(
            across=rng.choice([1.0, 2.5, -1.0]),
            down=rng.choice([1.0, 0.6]),
            right=rng.choice([0.0, 0.5, -0.23]),
            low=rng.choice([0.0, 0.31]),
            turn=rng.choice([0.0, 90.0, 33.0]),
        )
        if tiled
        else Mapping()
    )
    blend = str(rng.choice(["Translucent", "Cutout", "Additive", "Premultiplied"]))
    material = Material(
        blend=blend,
        lit=False,
        mapping=mapping,
        tiling=bool(tiled and rng.random() < 0.5),
        both_faces=bool(rng.random() < 0.6),
        erosion=Erosion(form="erode", amount=0.3) if rng.random() < 0.2 else Erosion(),
    )
    at = tuple(float(v) for v in rng.uniform(-0.5, 0.5, 3))
    kind = rng.integers(3)
    if kind == 0:
        place = BillboardPlace(id="p", at=at, width=1.1, height=0.9, roll=float(rng.uniform(-180, 180)))
    elif kind == 1:
        place = PanelPlace(id="p", at=at, width=1.2, height=0.8, yaw=float(rng.uniform(-180, 180)), pitch=20.0)
    else:
        place = ShapePlace(id="p", form="box", at=at, width=0.7, height=0.7)
    sheet = Sheet(grids=(Grid(columns=columns, rows=rows),) if columns * rows > 1 else (), rate=8.0)
    return Overlay(
        id=key, name=key, material=material, places=(place,), sheet=sheet, source=Source(canvas=(24 * columns, 16 * rows))
    ), texture(rng, int(columns), int(rows))


@pytest.mark.parametrize("seed", range(12))
def test_what_is_pointed_at_is_what_is_seen(seed):
    rng = np.random.default_rng(4000 + seed)
    made = [overlay(rng, f"o{k}") for k in range(1 + seed % 3)]
    rows, textures = tuple(o for o, _ in made), {o.id: t for o, t in made}
    doc = Document(overlays=rows, around=NOTHING)
    view = View(
        Camera(name="c", target=(0, 0, 0), yaw=float(rng.uniform(-40, 40)), pitch=10, distance=3),
        W,
        H,
        float(rng.choice([0.0, 0.3, 1.1])),
    )
    empty = render(Document(around=NOTHING), {}, view).colour
    alone, depths = {}, {}
    for o in rows:
        one = doc.model_copy(update={"overlays": (o,)})
        alone[o.id] = np.abs(render(one, textures, view).colour - empty).max(axis=2)
        depths[o.id] = {}
    draws = draw_list(doc, textures, view)
    right = wrong = 0
    for y in range(1, H, 3):
        for x in range(1, W, 3):
            strength = {k: a[y, x] for k, a in alone.items()}
            if any(0 < v < 0.3 for v in strength.values()):
                continue  # between two blocks: neither clear nor opaque
            there = {k for k, v in strength.items() if v}
            found = pick(doc, draws, view, x + 0.5, y + 0.5)
            lines = [r for r in account_of(draws, view, x, y).set if r.code == DRAWN and r.owner in there]
            hidden = {r.owner for r in account_of(draws, view, x, y).set if r.code != DRAWN} - {r.owner for r in lines}
            there -= hidden
            good = (found is None) == (not there) and (found is None or found[0] in there)
            if good and len(there) == 1:
                good = found == (next(iter(there)), "p")
            right, wrong = right + good, wrong + (not good)
    assert right > 60 and wrong == 0


def test_the_nearest_of_several_is_meant_and_what_hides_them_counts():
    t = {k: Texture(np.ones((4, 4, 4), np.float32)) for k in "abc"}
    rows = tuple(
        Overlay(
            id=k,
            name=k,
            material=Material(lit=False, blend=blend, depth_write=blend == "Cutout"),
            source=Source(canvas=(4, 4)),
            places=(PanelPlace(id=f"{k}{j}", at=(0, 0, z + 0.01 * j), width=1, height=1) for j in range(2)),
        )
        for k, z, blend in (("a", 0.0, "Translucent"), ("b", 0.5, "Cutout"), ("c", 1.0, "Additive"))
    )
    view = View(Camera(name="c", target=(0, 0, 0), distance=4), W, H)

    def found(overlays):
        doc = Document(overlays=overlays, around=NOTHING)
        return pick(doc, draw_list(doc, t, view), view, W / 2, H / 2)

    assert found(rows) == ("c", "c1") and found(rows[:2]) == ("b", "b1") and found(rows[:1]) == ("a", "a1")
    assert found(()) is None
    doc = Document(overlays=rows, around=NOTHING)
    for x, y in ((-1, 5), (5, -1), (W, 5), (5, H), (1e9, 0)):
        assert pick(doc, draw_list(doc, t, view), view, x, y) is None


@pytest.mark.parametrize("seed", range(6))
def test_painting_on_the_stage_and_the_ledger_mean_the_same_texel(seed):
    rng = np.random.default_rng(seed)
    o, t = overlay(rng, "o")
    plain = {"blend": "Translucent", "both_faces": True, "tiling": True, "erosion": Erosion()}
    o = o.model_copy(update={"material": o.material.model_copy(update=plain)})
    doc = Document(overlays=(o,), around=NOTHING)
    view = View(Camera(name="c", target=(0, 0, 0), yaw=15, pitch=10, distance=3), W, H, 0.55)
    draws, met = draw_list(doc, {"o": t}, view), 0
    for y in range(2, H, 3):
        for x in range(2, W, 3):
            lines = [r for r in account_of(draws, view, x, y).set if r.owner]
            touched = touched_at(doc, o, t, view, (x + 0.5, y + 0.5))
            if not lines:
                continue
            near = min(lines, key=lambda r: r.depth)
            off = [abs(a - b) for a, b in zip((touched.u, touched.v), near.texel, strict=True)]
            if not t.traits.cells:
                off = [min(v % 1, 1 - v % 1) for v in off]  # as it repeats
            assert max(off) < 2e-3, (x, y, touched, near.texel)
            met += 1
    assert met > 8
