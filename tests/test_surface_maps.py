"""Maps of the surface: UVs that are tiled, turned and moved, second sets, eight pictures."""

import numpy as np
import pytest
from test_light import DARK, OPAQUE, PANEL, VIEW, drawn

from mivex.core.material.material import Channel, Finish, Mapping, Material, Normals
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.draw_calls import overlay_draw
from mivex.core.scene.material_binding import Pictures, shading_inputs
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall, Records, ShadingInputs
from mivex.core.stage.mesh import Mesh, quad
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import BillboardPlace, PanelPlace


def test_a_map_of_the_uvs_tiles_turns_and_moves_a_picture():
    ramp = np.zeros((1, 64, 4), np.float32)
    ramp[..., 0], ramp[..., 3] = np.linspace(0, 1, 64), 1
    t = Texture(np.repeat(ramp, 64, axis=0), meaning="data")
    place = PanelPlace(at=(0, 0, 0), width=2, height=2)

    def row(**mapping):
        m = Material(lit=False, blend="Solid", group="Solid", tiling=True, mapping=Mapping(**mapping))
        o = Overlay(id="o", name="o", material=m, places=(place,))
        return draw_all([overlay_draw(o, place, t, VIEW)], VIEW).colour[..., 0]

    plain = row()
    assert row(turn=180)[24, 20] == pytest.approx(plain[24, 39], abs=0.02)  # turned round its middle
    assert row(turn=90)[16, 30] == pytest.approx(plain[24, 38], abs=0.03) or row(turn=90)[16, 30] == pytest.approx(
        plain[24, 21], abs=0.03
    )
    twice = row(across=2)
    assert twice[24, 33] - twice[24, 31] == pytest.approx(2 * (plain[24, 33] - plain[24, 31]), rel=0.05)
    assert row(right=0.1)[24, 33] == pytest.approx(plain[24, 33] - 0.1, abs=0.02)


def test_a_second_uv_set_is_read_and_a_missing_one_is_nowhere():
    m = quad(PANEL)
    two = Mesh(m.position, m.normal, m.uv0, m.index, uv1=m.uv0[:, ::-1].copy())
    ramp = np.zeros((64, 64, 4), np.float32)
    ramp[..., 0], ramp[..., 1], ramp[..., 3] = np.linspace(0, 1, 64)[None], np.linspace(0, 1, 64)[:, None], 1
    t = Texture(ramp, meaning="data").mips
    flat = OPAQUE.model_copy(update={"lit": False})
    first, second = (
        draw_all([DrawCall("p", two, ShadingInputs(t, uv_set=k), flat, (1, 0, 0.0))], VIEW).colour for k in (0, 1)
    )
    assert first[20, 36, 0] == pytest.approx(second[20, 36, 1], abs=1e-5)
    assert drawn(ShadingInputs(t, uv_set=1), material=flat)[0] == pytest.approx(0.0)


def test_what_is_drawn_in_parts_is_what_is_drawn_whole(rng):
    """Edits of every kind, one after the other: the kept picture is the fresh one, to the bit."""
    values = np.dstack([rng.random((32, 32, 3)), np.clip(rng.random((32, 32)) * 1.5, 0, 1)]).astype(np.float32)
    textures = {k: Texture(values, meaning="data", key=k) for k in "abc"}
    rows = [
        Overlay(id="a", name="a", material=Material(group="Decal"), places=(PanelPlace(at=(-0.8, 1.2, -0.9)),)),
        Overlay(
            id="b",
            name="b",
            material=Material(blend="Cutout", group="Cutout", depth_write=True),
            places=(PanelPlace(at=(0.9, 0.8, 0.6)),),
        ),
        Overlay(id="c", name="c", material=Material(lit=False), places=(BillboardPlace(at=(0.2, 1.1, 1.2)),)),
    ]
    doc = Document(overlays=tuple(rows))
    view = View(doc.cameras[0], 200, 140)
    kept = StagePainter()
    kept.paint(doc, textures, view)

    def changed(i, **update):
        o = doc.overlays[i]
        fresh = o.model_copy(update={"material": o.material.model_copy(update=update)})
        return doc.model_copy(update={"overlays": tuple(fresh if k == i else p for k, p in enumerate(doc.overlays))})

    for i, update in (
        (2, {"opacity": 0.5}),
        (2, {"blend": "Additive"}),
        (0, {"opacity": 0.4}),
        (1, {"cutoff": 0.7}),
        (1, {"blend": "Dithered"}),
        (2, {"group": "Front", "depth_test": False}),
        (1, {"blend": "Translucent", "group": "Blended", "depth_write": False}),
        (0, {"lit": False}),
    ):
        doc = changed(i, **update)
        assert np.array_equal(kept.paint(doc, textures, view), StagePainter().paint(doc, textures, view)), (i, update)
    whole = doc
    far = doc.overlays[1].model_copy(
        update={
            "places": (PanelPlace(at=(9.0, 9.0, 9.0)),),
            "material": Material(blend="Cutout", group="Cutout", depth_write=True),
        }
    )
    doc = doc.model_copy(update={"overlays": (doc.overlays[0], far, doc.overlays[2])})  # beyond all the lamp saw so far
    assert np.array_equal(kept.paint(doc, textures, view), StagePainter().paint(doc, textures, view))
    doc = whole
    kept.paint(doc, textures, view)
    doc = changed(2, opacity=0.3)
    kept.paint(doc, textures, view)
    part = kept.painter.drawn
    assert part and sum((b[1] - b[0]) * (b[3] - b[2]) for b in part) < 200 * 140 / 3
    shown = doc.model_copy(update={"lighting": doc.lighting.model_copy(update={"exposure": 1.0, "curve": "soft"})})
    assert np.array_equal(kept.paint(shown, textures, view), StagePainter().paint(shown, textures, view))


def test_normals_say_what_reads_them():
    f = Finish(normal=Normals(source="overlay", overlay="n", strength=-1, green="down"))
    t = Texture(np.full((2, 2, 4), 0.5, np.float32), meaning="data")
    coat = shading_inputs(Material(finish=f), Pictures(t, {"n": t}))
    assert coat.normal is t.mips and coat.normal_strength == -1 and not coat.green_up


def test_a_material_may_read_eight_pictures_and_reads_each_as_itself():
    """One for every name there is, all different: what shines is what the eighth holds."""

    def flat(*rgba):
        return Texture(np.broadcast_to(np.array(rgba, np.float32), (4, 4, 4)).copy(), "data")

    def channel(name, lane="red"):
        return Channel(source="overlay", overlay=name, channel=lane)

    others = {
        "rough": flat(0.3, 0, 0, 1),
        "metal": flat(0, 0, 0, 1),
        "occ": flat(0.9, 0, 0, 1),
        "cover": flat(1, 1, 1, 1),
        "mask": flat(1, 0, 0, 1),
        "bumps": flat(0.5, 0.5, 1, 1),
        "glow": Texture(np.broadcast_to(np.array([0, 1, 0, 1], np.float32), (4, 4, 4)).copy()),
    }
    finish = Finish(
        opacity=channel("cover"),
        roughness=channel("rough"),
        metal=channel("metal"),
        occlusion=channel("occ"),
        normal=Normals(source="overlay", overlay="bumps"),
        glow={"source": "overlay", "overlay": "glow", "strength": 2.0, "colour": (1, 1, 1)},
    )
    m = Material(blend="Translucent", finish=finish, breakup={"amount": 0.01, "mask": channel("mask")})
    own = Texture(np.broadcast_to(np.array([0.5, 0.5, 0.5, 1], np.float32), (4, 4, 4)).copy())
    doc = Document(overlays=(Overlay(id="o", name="o", material=m, places=(PanelPlace(at=(0, 0, 0), width=2, height=2),)),))
    draw = overlay_draw(doc.overlays[0], doc.overlays[0].places[0], own, VIEW, others)
    assert Records([draw]).draws[0]["slots"] == 8
    seen = draw_all([draw], VIEW, DARK.model_copy(update={"lamp": 0.0})).colour[24, 30]
    assert seen[:3] == pytest.approx([0, 2, 0], abs=1e-4)
