"""Ways to judge: coverage, far sizes, layouts, histogram, light on normals; and the findings of this step."""

import json
import math
from dataclasses import replace

import numpy as np
import pytest
from scipy import ndimage
from sprites import disc, paint, rgba, srgb_decode, srgb_encode

from mivex.core.base.errors import MivexError
from mivex.core.deliver.deliver import deliver
from mivex.core.findings import Subject, examine
from mivex.core.findings.facts import facts_of
from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_levels, read_picture
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.pixels.coverage import best_cutoff, coverage, coverage_figures, keep_coverage
from mivex.core.pixels.mips import build_chain
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Surface
from mivex.core.project.document import Delivery, Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.proof import captions, layouts
from mivex.core.proof.flat import LAYOUTS, SURROUND, FlatView
from mivex.core.proof.histogram import histogram
from mivex.core.proof.layouts import draw_flat
from mivex.core.proof.lit import lit
from mivex.core.proof.samples import step_pictures


def step(word, /, **settings):
    return STEPS[word].params.model_validate({"step": word, **settings})


def texture(values, **more):
    return Texture(quantise(np.asarray(values, np.float32), 8), **more)


def screen(n=256):
    """A leafless, seeded mask: twigs of noise, two thirds of it holes."""
    rng = np.random.default_rng(11)
    field = ndimage.gaussian_filter(rng.random((n, n)), 2.2, mode="wrap")
    field = (field - field.mean()) / field.std()
    return np.clip((0.16 - np.abs(field)) * 6 + 0.5, 0, 1)


# Coverage ----------------------------------------------------------------------------------------------------


def test_keep_coverage_holds_within_one_percent_down_to_8x8():
    t = texture(rgba(np.full((256, 256, 3), 0.5), screen()))
    plain = build_chain(t.linear)
    wanted = coverage(t.alpha, 0.5)
    assert wanted == pytest.approx(float((t.alpha >= 0.5).sum()) / 65536)
    kept = keep_coverage(plain, 0.5)
    assert np.array_equal(kept.level(0), plain.level(0))
    drift = []
    for i in range(1, plain.levels):
        a = kept.level(i)[..., 3]
        if min(a.shape) >= 8:
            assert abs(coverage(a, 0.5) - wanted) < 0.01
            drift.append(abs(coverage(plain.level(i)[..., 3], 0.5) - wanted))
        assert np.array_equal(kept.level(i)[..., :3], plain.level(i)[..., :3]) and a.max() <= 1
    assert max(drift) > 0.12  # without it the mask is gone
    rows = coverage_figures(plain, 0.5)
    assert rows[3].plain == coverage(plain.level(3)[..., 3], 0.5) and abs(rows[3].kept - wanted) < 0.01
    # The one cutoff for all levels is the best of many tried one by one.
    best = best_cutoff(plain, 0.5)

    def off(c):
        return sum(abs(coverage(plain.level(i)[..., 3], c) - wanted) for i in range(plain.levels) if plain.widths[i] >= 8)

    assert off(best) <= min(off(c) for c in np.linspace(0.05, 0.95, 61)) + 0.01


def test_scaled_levels_are_delivered_where_the_file_holds_them_and_the_cutoff_is_told_elsewhere(tmp_path):
    write_picture(tmp_path / "m.png", rgba(paint(64), screen(64)), 8)
    o = Overlay(
        id="o",
        name="Mesh",
        source=Source(path="m.png"),
        material=Material(blend="Cutout", depth_write=True),
        steps=(step("keep-coverage"),),
        delivery=Delivery(format="tif"),
    )
    evaluator = Evaluator(tmp_path)
    t = evaluator.texture(o)
    assert t.coverage == 0.5
    sheet = json.loads(deliver([o], lambda _: t, tmp_path / "out")[0].sheet.read_text())
    pages = read_levels(tmp_path / "out" / "Mesh.tif")
    assert sheet["texture"]["levels"] == len(pages) == 7 and sheet["mip_coverage"]["held_by_levels"]
    for i, page in enumerate(pages[1:4], 1):
        assert coverage(page[..., 3], 0.5) == pytest.approx(coverage(t.alpha, 0.5), abs=0.02)
        assert np.abs(page - np.dstack([srgb_encode(t.mips.level(i)[..., :3]), t.mips.level(i)[..., 3]])).max() < 0.6 / 255
    assert np.array_equal(read_picture(tmp_path / "out" / "Mesh.tif").values, t.values)
    png = o.model_copy(update={"delivery": Delivery(format="png")})
    plain = evaluator.texture(png)
    # The receiver will build the levels itself: what is shown is what it will see.
    assert plain.coverage == 0 and np.array_equal(plain.mips.texels, build_chain(plain.linear).texels)
    sheet = json.loads(deliver([png], lambda _: plain, tmp_path / "out")[0].sheet.read_text())
    assert sheet["texture"]["levels"] == 1 and not sheet["mip_coverage"]["held_by_levels"]
    assert sheet["mip_coverage"]["best_single_cutoff"] == best_cutoff(build_chain(plain.linear), 0.5)


def test_a_file_without_alpha_is_for_solid_only_and_sheets_tell_what_was_packed(tmp_path):
    write_picture(tmp_path / "m.png", rgba(paint(16), disc(16)), 8)
    o = Overlay(
        id="o",
        name="P",
        source=Source(path="m.png"),
        delivery=Delivery(format="tga24"),
        steps=(step("pack", name="core, outer", red={"name": "core"}), step("signed-distance", spread=3)),
    )
    evaluator = Evaluator(tmp_path)
    with pytest.raises(MivexError, match="no alpha"):
        deliver([o], lambda _: evaluator.texture(o), tmp_path)[0]
    solid = o.model_copy(update={"material": Material(blend="Solid", depth_write=True)})
    done = deliver([solid], lambda _: evaluator.texture(solid), tmp_path)[0]
    back = read_picture(done.picture)
    assert done.picture.suffix == ".tga" and not back.has_alpha and back.channels == 3
    assert np.array_equal(back.values[..., :3], evaluator.texture(solid).values[..., :3])
    sheet = json.loads(done.sheet.read_text())
    assert sheet["packing"] == {"name": "core, outer", "red": "core", "green": "", "blue": "", "alpha": ""}
    assert sheet["signed_distance"] == {"spread_texels": 3.0, "outline": 0.5} and sheet["texture"]["holds"] == "data"


# Layouts -------------------------------------------------------------------------------------------------------


def test_far_sizes_show_straight_premultiplied_and_their_difference():
    v = rgba(np.full((64, 64, 3), 0.9), disc(64))
    v[v[..., 3] == 0, :3] = 0
    t = texture(v)
    view = FlatView(backdrop="white")
    # What premultiplied filtering gives over white at level 3, worked out from the texels.
    C, a = srgb_decode(t.values[..., :3].astype(float)), t.values[..., 3:].astype(float)
    P = (C * a).reshape(8, 8, 8, 8, 3).mean(axis=(1, 3))
    mean_a = a.reshape(8, 8, 8, 8, 1).mean(axis=(1, 3))
    S = C.reshape(8, 8, 8, 8, 3).mean(axis=(1, 3))
    want = {"true": srgb_encode(P + 1 - mean_a) * 255, "straight": srgb_encode(S * mean_a + 1 - mean_a) * 255}
    got = {
        k: draw_flat(x, replace(view, level=3, zoom=1.0), 64, 64)[4::8, 4::8]
        for k, x in (("true", layouts.truth(t)), ("straight", t))
    }
    for k, picture in got.items():
        assert np.abs(picture - want[k]).max() < 1
    assert np.abs(want["true"] - want["straight"]).max() > 4
    w, h = 700, 500
    spots, below, side, columns, top = layouts.far_boxes(t, w, h)
    drawn = draw_flat(t, replace(view, layout="far"), w, h)
    row = side + layouts._GAP + layouts._LABEL
    gap = drawn[top + 2 * row : top + 2 * row + side, columns[0] : columns[0] + side]
    upper = drawn[top : top + side, columns[0] : columns[0] + side].astype(int)
    lower = drawn[top + row : top + row + side, columns[0] : columns[0] + side].astype(int)
    assert np.array_equal(gap, np.clip(np.abs(upper - lower) * layouts.DIFFERENCE_GAIN, 0, 255)) and gap.max() > 10
    clean = texture(STEPS["spread"].run(Surface(t.values), step("spread"), None).values)
    calm = draw_flat(clean, replace(view, layout="far"), w, h)
    assert calm[top + 2 * row : top + 2 * row + side, columns[0] : columns[0] + side].max() <= 4
    assert spots[0][0] == 0 and drawn[spots[0][2] + 32, spots[0][1] + 32].tolist() == pytest.approx([230] * 3, abs=1)
    level, x, y = spots[3]
    assert level == 3 and np.abs(drawn[y : y + 8, x : x + 8] - want["straight"]).max() < 1
    assert np.abs(drawn[y + below : y + below + 8, x : x + 8] - want["true"]).max() < 1


def test_all_backdrops_are_composited_each_over_its_own():
    t = texture(rgba(np.full((32, 32, 3), 0.8), np.full((32, 32), 0.5)))
    w, h = 400, 500
    drawn = draw_flat(t, FlatView(layout="backdrops"), w, h)
    bright, dark = layouts.scene_crops()
    assert bright.mean() > 3 * dark.mean()
    boxes = layouts._grid(6, w, h, 1.0)
    c = float(srgb_decode(0.8))
    for (key, _), (x, y, bw, bh) in zip(layouts.BACKDROP_ORDER, boxes, strict=True):
        part = drawn[y : y + bh, x : x + bw].astype(float)
        below = {"black": 0.0, "grey": float(srgb_decode(0.5)), "white": 1.0}.get(key)
        if below is not None:
            assert np.abs(part - srgb_encode(c / 2 + below / 2) * 255).max() < 1
        else:
            assert part.std() > 1  # something is to be seen through it
    parts = [drawn[y : y + bh, x : x + bw].mean() for x, y, bw, bh in boxes]
    assert parts[4] > parts[5] + 20


def test_tiles_border_and_every_layout_at_every_size():
    y, x = np.mgrid[:16, :16]
    v = rgba(np.dstack([x / 15, y / 15, x * 0 + 0.5]), np.ones((16, 16)))
    drawn = draw_flat(texture(v), FlatView(layout="tiles", show="colour"), 308, 308)
    third = 96
    a = drawn[10 : 10 + third, 10 : 10 + third]
    assert np.array_equal(a, drawn[10 + third : 10 + 2 * third, 10 + 2 * third : 10 + 3 * third])
    # The border view marks just the outermost texels that hold alpha, even a faint trace in a large picture.
    alpha = np.zeros((512, 512), np.float32)
    alpha[200:300, 200:300], alpha[0, 100] = 1, 2 / 255
    t = texture(rgba(np.full((512, 512, 3), 0.5), alpha))
    seen = draw_flat(t, FlatView(layout="border"), 400, 400)
    px, py, pw, _ph, _ = layouts.border_frame(t, 400, 400)
    marked = np.argwhere((seen == np.array(layouts._MARK)).all(axis=-1))
    assert len(marked) and (marked[:, 0] < py).all() and abs(marked[:, 1].mean() - (px + pw * 100.5 / 512)) < 2
    for size in ((1, 1), (3, 700), (300, 2)):
        small = texture(np.random.default_rng(1).random((*size, 4)))
        for layout in LAYOUTS:
            for area in ((370, 470), (60, 40)):
                picture = draw_flat(small, FlatView(layout=layout), *area)
                assert picture.shape == (area[1], area[0], 3) and picture.dtype == np.uint8
                for note in captions.labels(small, layout, *area):
                    assert note.text
    assert (draw_flat(t, FlatView(left=900), 40, 40) == SURROUND).all()


def test_magnified_distance_is_crisp_where_plain_alpha_is_not(tmp_path):
    n = 256
    y, x = np.mgrid[:n, :n] + 0.5
    a = np.clip(0.5 - (np.hypot(y - 128, x - 128) - 80), 0, 1)
    write_picture(tmp_path / "d.png", rgba(np.full((n, n, 3), 0.5), a), 8)
    o = Overlay(id="o", name="D", source=Source(path="d.png"), steps=(step("signed-distance", spread=6, reduce=8),))
    evaluator = Evaluator(tmp_path)
    t, plain = evaluator.texture(o), evaluator.texture(o, until=0)
    w, h = 400, 460
    drawn = draw_flat(t, FlatView(layout="magnify"), w, h, plain)
    boxes = layouts.magnify_boxes(w, h)

    def between(i):
        bx, by, bw, bh = boxes[i]
        part = drawn[by : by + bh, bx : bx + bw, 0].astype(int)
        return ((part > 60) & (part < 210) & (part != SURROUND)).mean()

    assert between(4) < between(5) / 4  # at 16 times
    f = facts_of(Subject.of(o, t), plain)
    assert f.outline is not None and f.plain_outline is not None
    assert f.outline[1] < 0.1 and f.plain_outline[0] > f.outline[0]


def test_histogram_counts_every_texel(rng):
    v = quantise(rng.random((70, 50, 4)).astype(np.float32), 8)
    v[:10, :, 3], v[10:15, :, 3] = 0, 1
    h = histogram(texture(v))
    for c in range(4):
        assert np.array_equal(h.counts[c], np.bincount(np.rint(v[..., c] * 255).astype(int).ravel(), minlength=256))
    assert (h.clear, h.solid) == ((v[..., 3] == 0).mean(), (v[..., 3] == 1).mean())
    assert h.soft == pytest.approx(1 - h.clear - h.solid) and h.mean == pytest.approx(v[..., 3].mean(), abs=1e-6)


def test_normals_are_lit_from_where_the_pointer_is():
    u, v = np.meshgrid(np.linspace(0, 1, 21), np.linspace(0, 1, 21))
    flat = np.broadcast_to(np.float32([0.5, 0.5, 1.0]), (21, 21, 3))
    grey = lit(flat, u, v, (0.25, 0.75), 1.0)
    assert np.unravel_index(grey.argmax(), grey.shape) == (15, 5)
    right = np.broadcast_to(np.float32([0.5 + 0.5 * math.sin(0.6), 0.5, 0.5 + 0.5 * math.cos(0.6)]), (21, 21, 3))
    centre = {x: lit(right, u, v, (x, 0.5), 1.0)[10, 10] for x in (0.1, 0.9)}
    assert centre[0.9] > 2 * centre[0.1]  # a slope that faces right is lit from the right
    up = np.broadcast_to(np.float32([0.5, 0.5 + 0.5 * math.sin(0.6), 0.5 + 0.5 * math.cos(0.6)]), (21, 21, 3))
    assert lit(up, u, v, (0.5, 0.1), 1.0)[10, 10] > 2 * lit(up, u, v, (0.5, 0.9), 1.0)[10, 10]
    shown = draw_flat(
        texture(np.dstack([right, np.ones((21, 21))]), meaning="data"),
        FlatView(show="lit", zoom=4, left=10, top=6, light=(0.9, 0.5)),
        120,
        120,
    )
    assert shown[6:90, 10:94].min() != SURROUND and (shown[:6] == SURROUND).all() and (shown[:, 94:] == SURROUND).all()


@pytest.mark.parametrize("name", STEPS)
def test_every_step_has_a_picture_of_what_it_does(name):
    before, after = step_pictures(name, 48)
    assert before.shape == after.shape == (48, 48, 3)
    assert (np.abs(before.astype(int) - after).max(axis=-1) > 6).mean() > 0.01


# Frame and stage -------------------------------------------------------------------------------------------------


# Findings ------------------------------------------------------------------------------------------------------------


def banded(n=64, levels=6):
    y, x = np.mgrid[:n, :n] + 0.5
    a = np.clip(1.1 - np.hypot(y - n / 2, x - n / 2) / (n / 2.3), 0, 1)
    return np.round(a * levels) / levels * 0.9


def holed(n=128, pitch=4):
    y, x = np.mgrid[:n, :n]
    a = ((y % pitch < pitch / 2) | (x % pitch < pitch / 2)).astype(float)
    a[:2], a[-2:], a[:, :2], a[:, -2:] = 1, 1, 1, 1
    return a


GREY = np.full((64, 64, 3), 0.5)
TILT = 0.5 * np.sin(np.mgrid[:64, :64][1] / 5)
NORMALS = np.dstack([0.5 + 0.5 * np.sin(TILT), np.full((64, 64), 0.5), 0.5 + 0.5 * np.cos(TILT)])
CASES = {
    "inverted": (rgba(np.where(disc(64)[..., None] > 0, paint(64), GREY), 1 - disc(64)), {}, {}, {}),
    "two-valued": (rgba(GREY, (disc(64) > 0.5) * 1.0), {}, {}, {}),
    "soft-cutout": (rgba(GREY, disc(64, 0.15, 0.6)), {"blend": "Cutout", "depth_write": True}, {}, {}),
    "banding": (rgba(GREY, banded()), {}, {}, {}),
    "specks": (
        rgba(
            GREY,
            np.maximum(
                disc(64, 0.3, 0.2),
                0.08
                * ((np.mgrid[:64, :64].sum(0) % 7 == 0) & (np.mgrid[:64, :64][0] % 7 == 3) & (np.mgrid[:64, :64][1] > 2)),
            ),
        ),
        {},
        {},
        {},
    ),
    "empty-margin": (rgba(GREY, np.roll(np.pad(disc(24), 20), 7, 1)), {}, {}, {}),
    "budget": (rgba(GREY, disc(64)), {}, {}, {"budget": 32}),
    "alpha-lost": (rgba(GREY, disc(64)), {}, {}, {"format": "tga24"}),
    "meaning": (rgba(NORMALS, disc(64)), {}, {"meaning": "colour"}, {}),
    "seam": (
        rgba(np.dstack([np.mgrid[:64, :64][1] / 80] * 3), np.ones((64, 64)) - 0.5 * np.mgrid[:64, :64][1] / 64),
        {"tiling": True},
        {},
        {},
    ),
    "holes": (rgba(np.full((128, 128, 3), 0.5), holed()), {"blend": "Cutout", "depth_write": True}, {}, {}),
}


@pytest.mark.parametrize("check", CASES)
def test_each_finding_is_found_placed_explained_and_mended(tmp_path, check):
    values, material, source, delivery = CASES[check]
    write_picture(tmp_path / "p.png", np.asarray(values, np.float32), 8)
    o = Overlay(
        id="o",
        name="O",
        source=Source.model_validate({"path": "p.png"} | source),
        material=Material.model_validate(material),
        delivery=Delivery.model_validate(delivery),
    )
    doc, evaluator = Document(overlays=(o,)), Evaluator(tmp_path)

    def found(d):
        return {f.id: f for f in examine(Subject.of(d.overlays[0], evaluator.texture(d.overlays[0])))}

    f = found(doc)[check]
    assert f.message.endswith(".") and f.why.endswith(".") and f.unit and f.place and f.place[2] > 0
    mended = f.repair(doc)
    assert mended != doc and check not in found(mended)
    # The sound twin has none of it.
    write_picture(tmp_path / "p.png", rgba(GREY, disc(64, 0.4, 0.15)), 8)
    sound = Document(overlays=(Overlay(id="o", name="O", source=Source(path="p.png")),))
    assert found(sound) == {}


def test_figures_of_the_findings_are_right(tmp_path):
    def only(values, check, **material):
        found = examine(Subject("s", texture(values), Material.model_validate(material)))
        return next((f for f in found if f.id == check), None)

    v = rgba(GREY, np.pad(np.full((16, 32), 1.0), ((10, 38), (20, 12))))
    f = only(v, "empty-margin")
    assert f.figure == pytest.approx(100 * (1 - 16 * 32 / 4096)) and f.place == (20, 10, 32, 16)
    a = (disc(64) > 0.5) * 1.0
    a[30, :20] = 0.5
    assert only(rgba(GREY, a), "two-valued").figure == pytest.approx(100 * 20 / 4096)
    assert only(rgba(GREY, a), "two-valued", blend="Additive") is None  # nothing is gained there
    assert only(rgba(GREY, banded(levels=6)), "banding").figure == 6
    a = np.pad(disc(48, 0.4, 0.1), 8)
    a[[1, 4, 60], 2:62:4] = 0.08
    assert only(rgba(GREY, a), "specks").figure == 45 and only(rgba(GREY, a * 0.9 + 0.06), "specks") is None
    ramp = np.dstack([np.mgrid[:64, :64][1] / 63] * 3)
    f = only(rgba(ramp, np.ones((64, 64)) - 1e-3 * (np.mgrid[:64, :64][0] == 5)), "seam", tiling=True)
    assert f.figure == pytest.approx(63, rel=0.02)
    assert f.details["left_and_right"]["across"] == pytest.approx(255 * 3 / 4, rel=0.02)
    f = only(rgba(np.full((128, 128, 3), 0.5), holed(pitch=16)), "holes", blend="Cutout", depth_write=True)
    assert f is None  # 8 texels across: still open at 32 × 32
    # A rim is named by what leaks: dark from black below, light from white.
    for hidden, tone in ((0.0, "dark"), (1.0, "light")):
        v = rgba(np.full((128, 128, 3), 0.5), disc())
        v[v[..., 3] == 0, :3] = hidden
        f = only(v, "fringe")
        assert f.details["rim"] == tone and f.details["hidden"] == ("#000000" if tone == "dark" else "#ffffff")
        assert f"A {tone} rim" in f.message
