"""Order: exact order and ledger against brute force written out here, looks, and the adviser against all permutations."""

import itertools
import time
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest

import mivex.demo
from mivex.core.advice.inspection import Stage
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.scene.draw_calls import Scene
from mivex.core.stage.buffers import GROUND
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, ShadingInputs
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.ledger import FragmentQuery, account_of
from mivex.core.stage.lights import Lighting
from mivex.core.stage.looks import look_at, tallied
from mivex.core.stage.mesh import Mesh, nearest_point, quad
from mivex.core.stage.overlay_fragments import fragments_of
from mivex.core.stage.passes import RenderPlan, draw_all
from mivex.core.stage.placements_model import Around, PanelPlace

VIEW = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 24, 18)
BLEND_NAMES = ("Translucent", "Premultiplied", "Additive", "Multiply")


def tone(rgba):
    """A texture of one colour, near a linear one: whole 255ths, as a file holds it."""
    rgba = np.asarray(rgba, float)
    code = np.where(rgba <= 0.0031308, rgba * 12.92, 1.055 * rgba ** (1 / 2.4) - 0.055)
    code[3] = rgba[3]
    return Texture(np.tile((np.round(code * 255) / 255).astype(np.float32), (2, 2, 1)))


def held(rgba):
    """The linear colour that `tone` gives."""
    code = tone(rgba).values[0, 0].astype(float)
    return np.append(np.where(code[:3] <= 0.04045, code[:3] / 12.92, ((code[:3] + 0.055) / 1.055) ** 2.4), code[3])


def panel(number, rgba, corners, **material):
    m = Material(**{"lit": False, "group": "Blended", **material})
    return DrawCall(
        f"p{number}",
        quad(corners),
        ShadingInputs(tone(rgba).mips),
        m,
        (4, m.nudge, float(number)),
        owner=f"o{number}",
        part="1",
    )


def tilted(rng, z):
    """A large panel through depth ``z`` that leans, so that panels cut through each other."""
    lean = rng.uniform(-0.8, 0.8, 2)
    flat = np.array([(-6, 5), (6, 5), (6, -5), (-6, -5)], float)
    return np.column_stack([flat, z + flat @ lean * 0.12])


def depths(corners):
    """Distance along the view of a panel's plane at every pixel, in double precision."""
    y, x = np.mgrid[: VIEW.height, : VIEW.width] + 0.5
    focal = min(VIEW.height, VIEW.width / 1.25) / 2 / np.tan(np.radians(30))
    rays = np.stack([(x - VIEW.width / 2) / focal, (VIEW.height / 2 - y) / focal, -np.ones_like(x)], axis=-1)
    n = np.cross(corners[1] - corners[0], corners[3] - corners[0])
    eye = np.array([0, 0, 4.0])
    return ((corners[0] - eye) @ n) / (rays @ n)


def blended(name, c, a, opacity, below):
    """One blend by its equation, colour and alpha."""
    a, rgb, back = a * opacity, np.asarray(c, float), below[:3]
    if name == "Translucent":
        return np.append(rgb * a + back * (1 - a), a + below[3] * (1 - a))
    if name == "Premultiplied":
        return np.append(rgb * opacity + back * (1 - a), a + below[3] * (1 - a))
    if name == "Additive":
        return np.append(rgb * a + back, below[3])
    if name == "Multiply":
        return np.append(back * (1 - a + rgb * a), below[3])
    return np.append(rgb, 1.0)


@pytest.mark.parametrize("seed", range(6))
def test_exact_order_against_brute_force_of_thirty_fragments(seed):
    rng = np.random.default_rng(seed)
    rows, facts = [], []
    for k in range(31):
        rgba, blend = rng.random(4), str(rng.choice(BLEND_NAMES))
        corners = tilted(rng, rng.uniform(-3, 2.4))
        more = {
            "opacity": float(rng.uniform(0.2, 1)),
            "nudge": int(rng.integers(-3, 4)),
            "depth_write": bool(rng.random() < 0.3),
            "group": str(rng.choice(["Blended", "Blended", "Solid"])),
        }
        if k == 30:
            blend, more = "Solid", {"depth_write": True, "group": "Solid"}
        if blend in ("Additive", "Premultiplied"):
            rgba[:3] *= 0.2
        d = panel(k, rgba, corners, blend=blend, **more)
        group = 1 if more["group"] == "Solid" else 4
        rows.append(DrawCall(d.name, d.mesh, d.coat, d.material, (group, d.material.nudge, float(k)), owner=d.owner))
        facts.append((depths(corners), blend, held(rgba), d.material.opacity))
    got = draw_exact(sorted(rows, key=lambda d: d.order), VIEW).colour
    wall = facts[30]
    for y, x in itertools.product(range(VIEW.height), range(VIEW.width)):
        c = np.append(wall[2][:3], 1.0)
        over = [f for f in facts[:30] if f[0][y, x] <= wall[0][y, x]]
        near = sorted(f[0][y, x] for f in over)
        for z, blend, rgba, opacity in sorted(over, key=lambda f: -f[0][y, x]):
            del z
            c = blended(blend, rgba[:3], rgba[3], opacity, c)
        if min(np.diff([*near, wall[0][y, x]]), default=1) > 1e-5:
            assert np.allclose(got[y, x], c, rtol=2e-4, atol=2e-4), (y, x)


@pytest.mark.parametrize("seed", range(100))
def test_exact_order_with_front_and_depth_writes_against_brute_force(seed):
    """Level panels, so that each pixel is the same sum: sorted in Blended, then Front over it, behind what wrote depth."""
    rng = np.random.default_rng(seed)
    flat = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
    places = rng.permutation(np.linspace(-3, 2.4, 9))
    rows, facts = [], []
    for k, z in enumerate(places):
        rgba, blend = rng.random(4), str(rng.choice([b for b in BLEND_NAMES if b not in ("Cutout", "Dithered", "Solid")]))
        rgba[:3] *= 0.3 if blend in ("Additive", "Premultiplied") else 1
        group = str(rng.choice(["Blended", "Blended", "Front", "Solid"]))
        more = {"nudge": int(rng.integers(-3, 4)), "depth_write": bool(rng.random() < 0.35), "group": group}
        d = panel(k, rgba, flat + np.array([0, 0, z]), blend=blend, **more)
        order = ({"Solid": 1, "Blended": 4, "Front": 5}[group], d.material.nudge, float(k))
        rows.append(replace(d, order=order))
        facts.append((z, group, blend, held(rgba), more["depth_write"]))
    display = bool(seed % 2)
    lighting = Lighting(blending="display" if display else "linear")
    got = draw_exact(sorted(rows, key=lambda d: d.order), VIEW, lighting).colour[9, 12]
    c = np.append(np.full(3, GROUND), 0.0)

    def over(c, fact):
        _, _, blend, rgba, _ = fact
        if not display:
            return blended(blend, rgba[:3], rgba[3], 1.0, c)
        codes = [np.append(to_display(np.asarray(v[:3], np.float32)), v[3]) for v in (rgba, c)]
        out = blended(blend, codes[0][:3], rgba[3], 1.0, codes[1])
        return np.append(to_linear(out[:3].astype(np.float32)), out[3])

    wrote = -np.inf
    for fact in sorted((f for f in facts if f[1] != "Front"), key=lambda f: f[0]):
        c = over(c, fact)
        wrote = max(wrote, fact[0]) if fact[4] else wrote
    for fact in sorted((f for f in facts if f[1] == "Front" and f[0] >= wrote), key=lambda f: f[0]):
        c = over(c, fact)
    assert np.allclose(got, c, rtol=3e-4, atol=3e-4)


def test_a_thousand_fragments_at_a_pixel_are_sorted_in_any_order_of_arrival():
    flat = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
    rng = np.random.default_rng(4)
    z = np.linspace(-3, 2.4, 1000)
    tones = rng.random((1000, 4)) * (1, 1, 1, 0.05)
    for arrival in (np.arange(1000), np.arange(1000)[::-1], rng.permutation(1000)):
        rows = [
            replace(panel(k, tones[i], flat + np.array([0, 0, z[i]])), order=(4, 0, float(k)))
            for k, i in enumerate(arrival)
        ]
        got = draw_exact(rows, VIEW).colour[9, 12]
        c = np.append(np.full(3, GROUND), 0.0)
        for i in range(1000):
            rgba = held(tones[i])
            c = blended("Translucent", rgba[:3], rgba[3], 1.0, c)
        assert np.allclose(got, c, atol=2e-5)


def test_what_the_depth_buffer_settles_stays_and_depth_first_shows_one_surface():
    flat = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
    up = np.array([0, 0, 1.0])
    near, far = panel(1, (1, 0, 0, 0.6), flat + up), panel(0, (0, 1, 0, 0.6), flat - up)
    # Drawn in the wrong order by a nudge; exact order does not care.
    wrong = [near, far]
    a, b = draw_all(wrong, VIEW).colour[9, 12], draw_exact(wrong, VIEW).colour[9, 12]
    g = GROUND
    assert np.allclose(a[:3], [(0.4 * g + 0.6) * 0.4, 0.16 * g + 0.6, 0.16 * g], atol=1e-5)
    assert np.allclose(b[:3], [0.16 * g + 0.6, (0.4 * g + 0.6) * 0.4, 0.16 * g], atol=1e-5)
    # Both panels as one figure whose depth is laid first: only the nearer shows, whatever the order of its faces.
    both = Mesh(
        *(np.concatenate([getattr(near.mesh, k), getattr(far.mesh, k)]) for k in ("position", "normal", "uv0")),
        np.concatenate([near.mesh.index, far.mesh.index + 4]),
    )
    figure = DrawCall("f", both, near.coat, Material(lit=False, depth_first=True), (4, 0, 0.0), owner="f", part="1")
    for draw in (draw_all, draw_exact):
        assert np.allclose(draw([figure], VIEW).colour[9, 12, :3], [0.4 * g + 0.6, 0.4 * g, 0.4 * g], atol=1e-5)
    # By triangles the far one comes first, and so do faces seen from behind.
    by = [DrawCall("f", both, near.coat, Material(lit=False, **m), (4, 0, 0.0)) for m in ({}, {"distance": "triangle"})]
    plain, sorted_ = (account_of([d], VIEW, 12, 9).set for d in by)
    assert [round(r.depth) for r in plain] == [3, 5] and [round(r.depth) for r in sorted_] == [5, 3]
    turned = Mesh(both.position, both.normal, both.uv0, np.concatenate([both.index[:2], both.index[2:, ::-1]]))
    first = DrawCall("f", turned, near.coat, Material(lit=False, back_first=True), (4, 0, 0.0))
    assert [round(r.depth) for r in account_of([first], VIEW, 12, 9).set] == [5, 3]


def test_nearest_points_of_triangles(rng):
    corners = rng.normal(size=(20, 3, 3))
    mesh = Mesh(corners.reshape(-1, 3), np.zeros((60, 3)), np.zeros((60, 2)), np.arange(60).reshape(20, 3))
    w = np.concatenate([np.eye(3), rng.dirichlet((0.7, 0.7, 0.7), 40000)])
    for eye in rng.normal(size=(8, 3)) * 3:
        tried = np.linalg.norm(np.einsum("nk,tkc->tnc", w, corners) - eye, axis=-1).min()
        got = np.linalg.norm(nearest_point(mesh, eye) - eye)
        assert tried * 0.98 - 0.02 <= got <= tried + 1e-9


@pytest.fixture(scope="module")
def demo():
    return Stage.read(str(Path(mivex.demo.__file__).parent / "nerite" / "nerite.mivex"))


def test_the_ledger_ends_in_the_pixel_of_the_picture_bit_for_bit(demo):
    rng = np.random.default_rng(5)
    for camera in demo.doc.cameras:
        view = View(camera, 320, 200)
        draws = demo.draws(view)
        a, b = draw_all(draws, view, demo.doc.lighting), draw_exact(draws, view, demo.doc.lighting)
        book = FragmentQuery(draws, view, demo.doc.lighting)
        for x, y in zip(rng.integers(0, 320, 50), rng.integers(0, 200, 50), strict=True):
            found = book.account(int(x), int(y))
            assert np.array_equal(np.array(found.end(), np.float32), a.colour[y, x])
            assert np.array_equal(np.array(found.end("exact"), np.float32), b.colour[y, x])
            for before, row in zip((found.background, *(r.after for r in found.set)), found.set, strict=False):
                assert row.code == 0 or row.after == before


def test_the_ledger_is_the_pixel_of_exact_order_where_sprites_are_drawn_as_they_come():
    """Magnified sprites and leaning panels under four blends: bit for bit, however exact order was drawn."""
    rng = np.random.default_rng(3)
    rows = []
    for k in range(40):
        z = float(rng.uniform(-2, 2))
        at = np.array([*rng.uniform(-0.8, 0.8, 2), z])
        lean = rng.uniform(-0.6, 0.6) if k % 3 == 0 else 0.0
        corners = at + np.array([(-0.9, 0.9, -lean), (0.9, 0.9, lean), (0.9, -0.9, lean), (-0.9, -0.9, -lean)])
        texture = Texture(rng.random((8, 8, 4)).astype(np.float32))
        blend = ("Translucent", "Additive", "Premultiplied", "Multiply")[k % 4]
        d = panel(k, (0.5, 0.5, 0.5, 0.5), corners, blend=blend)
        rows.append(replace(d, coat=ShadingInputs(texture.mips), order=(4, 0, float(rng.random()))))
    rows.sort(key=lambda d: d.order)
    view = View(VIEW.camera, 480, 360)
    got, query = draw_exact(rows, view).colour, FragmentQuery(rows, view)
    apart = query.apart
    assert apart.any() and not apart.all()
    for y, x in itertools.product(range(40, 320, 36), range(60, 420, 44)):
        account = query.account(x, y)
        end = account.exact[-1].after if account.exact else account.background
        assert np.array_equal(np.float32(end), got[y, x]), (y, x)


def test_the_ledger_says_why():
    flat = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
    up = np.array([0, 0, 1.0])
    rows = [
        panel(0, (0, 0, 1, 1), flat - 2 * up, blend="Solid", group="Solid", depth_write=True),
        panel(1, (0, 1, 0, 0.2), flat, blend="Cutout", cutoff=0.5),
        panel(2, (1, 0, 0, 0.5), flat + up, depth_write=True),
        panel(3, (1, 1, 0, 0.6), flat - up),
        panel(4, (1, 1, 1, 0.2), flat + 2 * up, blend="Additive"),
    ]
    found = account_of(rows, VIEW, 3, 4)
    assert [r.verdict for r in found.set] == [
        "drawn, wrote depth",
        "discarded by cutoff",
        "drawn, wrote depth and so hid p3",
        "hidden by p2",
        "drawn",
    ]
    assert [r.name for r in found.exact if r.code == 0] == ["p0", "p3", "p2", "p4"]
    assert {rows[int(r.owner[1])].name for r in found.set if r.face in found.elsewhere} >= {"p2", "p3"}
    assert found.set[2].factors == ("As", "1-As") and abs(found.set[2].depth - 3) < 1e-5 and found.set[2].level == 0
    # A line switched off: what it gave is gone.
    book = FragmentQuery(rows, VIEW)
    less = book.account(3, 4, off=[("o2", "1")])
    assert [r.verdict for r in less.set][2:] == ["drawn", "drawn"] and len(less.exact) == len(found.exact) - 1
    assert np.allclose(np.array(less.end())[:3], [0.6 + 0.2, 0.6 + 0.2, 0.4 + 0.2], atol=1e-5)


def test_looks_have_the_figures_of_a_scene_worked_out_by_hand():
    half = np.array([(-6, 5, 0), (0, 5, 0), (0, -5, 0), (-6, -5, 0)], float)
    up = np.array([0, 0, 1.0])
    rows = [panel(0, (0, 1, 0, 0.5), half - up), panel(1, (1, 0, 0, 0.5), half), panel(2, (1, 0, 0, 0.0), half + up)]
    counts, vain = tallied(rows, VIEW, Lighting())
    assert (counts[:, :12] == 3).all() and not counts[:, 12:].any() and (vain[:, :12] == 1).all()
    over = look_at("overdraw", rows, VIEW, budget=2)
    assert over.figures["mean"] == 1.5 and over.figures["above"] == 0.5 and abs(over.figures["vain"] - 1 / 3) < 1e-6
    assert over.counts[0] == over.counts[3] == 24 * 18 / 2
    assert look_at("order", rows, VIEW).figures["max"] == 0
    assert look_at("order", rows[::-1], VIEW).figures["share"] == 0.5
    walls = [panel(0, (0, 1, 0, 1), half - up, blend="Solid", depth_write=True, group="Solid")]
    depth = look_at("depth", walls, VIEW)
    assert abs(depth.values[5, 5] - 5) < 1e-5 and depth.figures["empty"] == 0.5
    normal = look_at("normals", walls, VIEW).codes
    assert tuple(normal[5, 5]) == (128, 128, 255) and not normal[5, 20].any()
    assert look_at("alpha", walls, VIEW).figures == {"clear": 0.5, "solid": 0.5}
    fine = Texture(np.ones((256, 256, 4), np.float32))
    sharp = DrawCall("f", quad(half), ShadingInputs(fine.mips), Material(lit=False), (4, 0, 0.0))
    # 256 texels over 6 m at 4 m: texels per pixel by the focal length.
    focal = min(18, 24 / 1.25) / 2 / np.tan(np.radians(30))
    rho = max(256 / 6, 256 / 10) * 4 / focal
    assert abs(look_at("mip", [sharp], VIEW).values[5, 5] - np.log2(rho)) < 0.02


def test_slope_bias_grows_with_how_much_a_face_leans():
    def bias(yaw, slope, constant=0.0):
        t = np.radians(yaw)
        turn = np.array([[np.cos(t), 0, np.sin(t)], [0, 1, 0], [-np.sin(t), 0, np.cos(t)]])
        square = np.array([(-0.2, 0.2, 0), (0.2, 0.2, 0), (0.2, -0.2, 0), (-0.2, -0.2, 0)]) @ turn.T
        d = panel(0, (1, 1, 1, 1), square, slope_bias=slope, depth_bias=constant)
        shot = RenderPlan([d], VIEW)
        return float(shot.polys[0]["bias"])

    focal = min(18, 24 / 1.25) / 2 / np.tan(np.radians(30))
    assert bias(0, 2.0) == 0 and bias(40, 0.0) == 0
    for yaw in (20, 40, 60):
        # A plane z = x tan(yaw) seen from 4 m: depth changes by 4/focal · tan(yaw) from pixel to pixel at its middle.
        assert abs(bias(yaw, 2.0) - 2 * 4 / focal * np.tan(np.radians(yaw))) < 0.02 * bias(yaw, 2.0)
        assert abs(bias(yaw, 2.0, 5.0) - bias(yaw, 2.0) - 0.005) < 1e-6


@pytest.mark.parametrize("seed", range(60))
def test_set_exact_ledger_and_adviser_go_by_one_set_of_rules(seed):
    """Panels by chance over a lit or plain ground: the ledger bit for bit, the adviser's error, and order that is right."""
    rng = np.random.default_rng(seed)
    flat = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
    floor = panel(
        9, (0.5, 0.6, 0.3, 1), flat - np.array([0, 0, 3.5]), blend="Solid", group="Solid", lit=bool(rng.random() < 0.5)
    )
    rows = [replace(floor, order=(1, -9, 0.0))]
    early = seed % 3 == 0  # see-through ones among the solid, all in the right order: then nothing may differ
    places = rng.permutation(np.linspace(-3, 2.4, 5))
    for k, z in enumerate(np.sort(places) if early else places):
        blend = str(rng.choice(["Translucent", "Additive", "Premultiplied", "Multiply"]))
        rgba = rng.random(4) * ([0.3, 0.3, 0.3, 1] if blend in ("Additive", "Premultiplied") else 1)
        group = "Solid" if early and k < 3 else "Blended"
        more = {"lit": bool(rng.random() < 0.5), "depth_write": not early and bool(rng.random() < 0.3)}
        d = panel(k, rgba, flat + np.array([0, 0, z]), blend=blend, group=group, **more)
        rows.append(replace(d, order=({"Solid": 1, "Blended": 4}[group], 0, float(k))))
    lighting = Lighting(blending="display" if rng.random() < 0.5 else "linear")
    seen, truth = (draw(rows, VIEW, lighting).colour[9, 12] for draw in (draw_all, draw_exact))
    account = FragmentQuery(rows, VIEW, lighting).account(12, 9)
    assert np.array_equal(np.float32(account.end()), seen)
    assert np.array_equal(np.float32(account.end("exact")), truth)
    if early:
        assert np.allclose(seen, truth, rtol=2e-5, atol=2e-5)
        return
    found = fragments_of(rows, VIEW, lighting, [d.owner for d in rows], nudged=True)
    error = found.as_drawn()[np.flatnonzero(found.at == 9 * VIEW.width + 12)]
    codes = [to_display(np.clip(c[:3], 0, 1).astype(np.float32)) * 255 for c in (seen, truth)]
    assert float(error[0]) == pytest.approx(float(np.abs(codes[0] - codes[1]).mean()), abs=0.02)


def test_an_object_of_a_thousand_placements_has_one_distance_that_follows_each_of_them():
    rng = np.random.default_rng(2)
    at = rng.uniform(-1, 1, (1000, 3))
    places = tuple(PanelPlace(id=f"p{i}", at=tuple(p), width=0.1, height=0.1) for i, p in enumerate(at.tolist()))
    o = Overlay(
        id="o", name="o", source=Source(canvas=(2, 2)), places=places, material=Material(lit=False, distance="object")
    )
    scene, textures = Scene(), {"o": tone((1, 1, 1, 0.5))}
    around, eye = Around(path="none.obj"), VIEW.eye
    for moved in (0.0, 3.0):
        at[7, 2] += moved
        o = o.model_copy(update={"places": (*places[:7], places[7].model_copy(update={"at": tuple(at[7])}), *places[8:])})
        begun = time.process_time()
        draws = scene.draws(Document(overlays=(o,), around=around), textures, VIEW)
        # The square of their number was 17 s of work.
        assert len(draws) == 1000 and time.process_time() - begun < 8
        due = -float(np.linalg.norm(at.mean(axis=0) - eye))
        assert all(d.order[2] == pytest.approx(due, abs=1e-9) for d in draws)
