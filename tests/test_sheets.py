"""Sheets: where cells lie, what steps do to them, which frame is shown, outlines, bleed, findings, the command line."""

import json
from itertools import pairwise

import drawn_sheets
import numpy as np
import pytest
import sheets
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.deliver.deliver import deliver
from mivex.core.findings import examine_sheet
from mivex.core.findings.base import Subject
from mivex.core.picture.animated import read_frames, write_webp
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.mips import build_chain
from mivex.core.prepare.blur import Blur
from mivex.core.prepare.move import Trim
from mivex.core.prepare.resize import Resize
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.draw_calls import render
from mivex.core.sheet.bleed import cell_texels, measure
from mivex.core.sheet.build import Layout, build
from mivex.core.sheet.guess import guess
from mivex.core.sheet.hull import area_of, hull_of
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.sheet.playing import at_time, lasts, over_life
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.placements_model import Around, PanelPlace, ShapePlace


@pytest.mark.parametrize("number", range(len(sheets.SHEETS)))
def test_grids_are_found_with_or_without_gutters_lines_and_unused_cells(number):
    draw, cols, rows, cw, ch, more = sheets.SHEETS[number]
    found = guess(sheets.sheet(100 + number, draw, cols, rows, cw, ch, **more))
    assert [(g.columns, g.rows) for g in found.grids] == [(cols, rows)] and 0.4 < found.confidence <= 1
    g = found.grids[0]
    line = more.get("line", 0)
    w, h = cols * cw + (cols - 1) * line, rows * ch + (rows - 1) * line
    rim = 2 * line * more.get("rim", False)
    assert np.allclose(g.size(w + rim, h + rim), (cw, ch), atol=1) and abs(g.gutter - line) <= 1
    frames = g.cells(w + rim, h + rim)
    assert len(frames) == more.get("count", cols * rows)


@pytest.mark.parametrize(
    ("cols", "rows", "c", "gutter", "margin"), [(6, 4, 40, 3, 0), (5, 5, 48, 4, 4), (6, 6, 300, 4, 0), (4, 3, 64, 0, 0)]
)
@pytest.mark.parametrize("ground", [None, 0.0, 1.0])
def test_clear_gutters_margins_and_plain_grounds_are_found_to_the_texel(cols, rows, c, gutter, margin, ground):
    frames = sheets.sheet(11, sheets.puff, cols, rows, c, c)
    w, h = (n * (c + gutter) - gutter + 2 * margin for n in (cols, rows))
    picture = np.zeros((h, w, 4), np.float32)
    for y in range(rows):
        for x in range(cols):
            top, left = margin + y * (c + gutter), margin + x * (c + gutter)
            picture[top : top + c, left : left + c] = frames[y * c : y * c + c, x * c : x * c + c]
    if ground is not None:
        a = picture[..., 3:]
        picture = np.concatenate([(1 - ground * 2) * picture[..., :3] * a + ground, np.ones_like(a)], axis=2).clip(0, 1)
    (g,) = guess(picture.astype(np.float32)).grids
    assert (g.columns, g.rows, g.left, g.top, g.gutter) == (cols, rows, margin, margin, gutter)
    assert g.size(w, h) == (c, c)


def test_pictures_that_are_no_sheets_are_not_cut_up_and_two_grids_are_told_apart():
    for name, picture in sheets.singles().items():
        assert not guess(picture.astype(np.float32)).grids, name
    flames, puffs = sheets.sheet(5, sheets.flame, 8, 1, 64, 128), sheets.sheet(6, sheets.puff, 4, 2, 128, 128)
    found = guess(np.concatenate([flames, puffs]))
    assert [(g.columns, g.rows, g.top) for g in found.grids] == [(8, 1, 0), (4, 2, 128)]
    cells = Sheet(grids=found.grids).cells(512, 384)
    assert len(cells) == 16 and cells[8] == (0.0, 128 / 384, 0.25, 256 / 384)


def told(drawn, rng):
    """Whether every cell that holds something is found to half a texel, how many grids are said, and how surely."""
    picture, cells = drawn(rng)
    picture = np.round(picture * 255).astype(np.float32) / 255
    h, w = picture.shape[:2]
    found = guess(picture)
    boxes = [np.array(c) * (w, h, w, h) for c in Sheet(grids=found.grids).cells(w, h)] if found.grids else []
    seen = [(x, y, x + n, y + n) for x, y, n in cells if picture[y : y + n, x : x + n, 3].max() > 0.03]
    right = bool(boxes) and all(min(np.abs(b - np.array(c)).max() for b in boxes) < 0.5 for c in seen)
    return right, len(found.grids), found.confidence


def test_one_grid_and_two_drawn_by_chance_are_told_and_what_is_wrong_is_not_sure():
    """Twelve makes of frames that nobody made for it; the seeds set no limit."""
    rng = np.random.default_rng(77)
    two = [told(drawn_sheets.two_grids, rng) for _ in range(40)]
    one = [told(drawn_sheets.one_grid, rng) for _ in range(40)]
    assert sum(right for right, _, _ in two) >= 28 and sum(right for right, _, _ in one) >= 34
    assert sum(n > 1 for _, n, _ in one) <= 1
    assert sum(not right and sure >= 0.8 for right, _, sure in (*two, *one)) <= 6


def test_cells_say_where_they_lie_and_what_does_not_fit_is_refused():
    g = Grid(columns=3, rows=2, left=4, top=2, width=10, height=8, gutter=2, count=5, unused=(1,))
    assert [cell_texels(c, 40, 20) for c in g.cells(40, 20)] == [
        (4, 2, 14, 10),
        (28, 2, 38, 10),
        (4, 12, 14, 20),
        (16, 12, 26, 20),
    ]
    with pytest.raises(MivexError, match="do not fit"):
        g.cells(37, 20)
    # A grid that does not divide the picture: the cells are parts of texels, and together cover all of it.
    odd = [cell_texels(c, 100, 10) for c in Grid(columns=7).cells(100, 10)]
    assert odd[0][0] == 0 and odd[-1][2] == 100 and all(a[2] == b[0] for a, b in pairwise(odd))


def test_which_frame_is_shown_at_exact_boundaries():
    # A sheet of 8 by 8: index 0 at birth, 63 at death, never 64.
    assert [over_life(64, t) for t in (0.0, 1 / 64, 1 / 64 - 1e-9, 0.5, 1 - 1e-9, 1.0, 2.0)] == [0, 1, 0, 32, 63, 63, 63]
    assert [at_time(4, "loop", 10, t)[:2] for t in (0, 0.1, 0.3999, 0.4, 1.05)] == [(0, 1), (1, 2), (3, 0), (0, 1), (2, 3)]
    assert [at_time(4, "once", 10, t)[0] for t in (0, 0.35, 0.4, 9)] == [0, 3, 3, 3]
    assert [at_time(4, "fro", 10, t / 10 + 1e-6)[0] for t in range(9)] == [0, 1, 2, 3, 2, 1, 0, 1, 2]
    assert at_time(4, "loop", 10, 0.125, blend=True)[2] == pytest.approx(0.25) and at_time(4, "loop", 10, 0.125)[2] == 0
    assert (lasts(16, "once", 8), lasts(16, "fro", 8), lasts(16, "random", 8)) == (2.0, 3.75, 0.0)


def _write(folder, values, name="s.png"):
    write_picture(folder / name, values, 8)
    return Overlay(id="s", name="s", source=Source(path=str(folder / name), meaning="colour"))


def test_steps_work_cell_by_cell_and_no_cell_loses_its_place(tmp_path):
    values = sheets.sheet(3, sheets.puff, 4, 2, 32, 32, line=2)
    o = _write(tmp_path, values).model_copy(update={"sheet": guess(values).grids and Sheet(grids=guess(values).grids)})
    evaluator = Evaluator(tmp_path)
    made = evaluator.texture(o.model_copy(update={"steps": (Blur(size=6.0),)}))
    alone = [
        evaluator.texture(
            _write(tmp_path, values[top:low, left:right], f"{i}.png").model_copy(update={"steps": (Blur(size=6.0),)})
        )
        for i, (left, top, right, low) in enumerate(cell_texels(c, *values.shape[1::-1]) for c in made.traits.cells)
    ]
    for cell, single in zip(made.traits.cells, alone, strict=True):
        left, top, right, low = cell_texels(cell, made.width, made.height)
        assert np.array_equal(made.values[top:low, left:right], single.values)
    # The drawn line between them is as it was.
    assert np.array_equal(made.values[:, 32:34], values[:, 32:34])
    half = evaluator.texture(o.model_copy(update={"steps": (Resize(to="size", width=16, height=16),)}))
    assert half.traits.cells and {
        (c - a, d - b) for a, b, c, d in (cell_texels(k, half.width, half.height) for k in half.traits.cells)
    } == {(16, 16)}
    with pytest.raises(MivexError, match="different sizes"):
        evaluator.texture(o.model_copy(update={"steps": (Trim(),)}))


def test_built_frames_are_aligned_fitted_and_held_in_their_gutters():
    rng = np.random.default_rng(1)
    frames = []
    for dx, dy in ((0, 0), (3, -2), (-4, 5)):
        f = np.zeros((24, 30, 4), np.float32)
        f[8 + dy : 14 + dy, 10 + dx : 19 + dx] = (*rng.random(3), 1)
        frames.append(f)
    values, grid = build(frames, Layout(cell=(20, 16), columns=2, gutter=3, fit="none", align="box"))
    assert (grid.columns, grid.rows, grid.count) == (2, 2, 3) and values.shape == (2 * 19 + 3, 2 * 23 + 3, 4)
    h, w = values.shape[:2]
    for cell in grid.cells(w, h):
        left, top, right, low = cell_texels(cell, w, h)
        y, x = np.nonzero(values[top:low, left:right, 3])
        assert ((x.min() + x.max() + 1) / 2, (y.min() + y.max() + 1) / 2) in ((10, 8), (9.5, 8), (10.5, 8))
    full, _ = build([np.full((8, 8, 4), v, np.float32) for v in (0.25, 0.75)], Layout(gutter=4, columns=2))
    assert set(np.unique(full[:, :14])) == {0.25} and set(np.unique(full[:, 14:])) == {0.75}  # each its half of the gutter
    # Fitted: as large as fits, by one factor for all, and its light stays where it was.
    small, _ = build(frames, Layout(cell=(15, 12), columns=3))
    share = [small[..., 3][:, k * 15 : (k + 1) * 15].sum() * 4 for k in range(3)]
    assert np.allclose(share, 54, atol=1.0)
    with pytest.raises(MivexError, match="no frames"):
        build([], Layout())


def test_outlines_hold_every_texel_above_the_limit_and_are_smaller_than_the_cell():
    rng = np.random.default_rng(2)
    for draw in (sheets.puff, sheets.flame, sheets.drop, sheets.leaf):
        for corners in (4, 5, 8):
            a = draw(rng, 48, 40, 0.2)[..., 3].astype(np.float32)
            found = hull_of(a, corners, 0.02)
            p = found.corners * (40, 48)
            assert 3 <= len(p) <= corners and found.area < 1 and abs(found.area - area_of(found.corners)) < 1e-9
            y, x = np.nonzero(a > 0.02)
            for i, j in ((0, 0), (0, 1), (1, 0), (1, 1)):  # the corners of every such texel lie on one side of every edge
                for a0, b0 in zip(p, np.roll(p, -1, axis=0), strict=True):
                    side = (b0[0] - a0[0]) * (y + j - a0[1]) - (b0[1] - a0[1]) * (x + i - a0[0])
                    assert side.min() > -1e-6
    y, x = np.mgrid[:64, :64]
    disc = (np.hypot(x - 31.5, y - 31.5) < 22).astype(np.float32)
    # Round a disc, n corners hold n tan(π / n) r²; texels are square.
    for corners in (5, 6, 8):
        found = hull_of(disc, corners, 0.5)
        assert len(found.corners) == corners and found.area < 1.06 * corners * np.tan(np.pi / corners) * 22.5**2 / 64**2
    assert all(hull_of(np.full((8, 8), v, np.float32), 6, 0.1).area == 1 for v in (0, 1))


def slow_bleed(texture, cell, level):
    """Twin: the whole picture with everything but the cell replaced by the cell's border, its whole chain built anew."""
    h, w = texture.height, texture.width
    left, top, right, low = cell_texels(cell, w, h)
    held = np.pad(texture.mips.level(0)[top:low, left:right], ((top, h - low), (left, w - right), (0, 0)), mode="edge")
    a, b = build_chain(texture.mips.level(0)).level(level), build_chain(held).level(level)

    def read(chain, x, y):
        lh, lw = chain.shape[:2]
        x, y = x * lw / w - 0.5, y * lh / h - 0.5
        x0, y0 = int(np.floor(x)), int(np.floor(y))
        total = np.zeros(4)
        for j in (0, 1):
            for i in (0, 1):
                share = (1 - abs(x - x0 - i)) * (1 - abs(y - y0 - j))
                total += share * chain[min(max(y0 + j, 0), lh - 1), min(max(x0 + i, 0), lw - 1)]
        return total

    def seen(c):
        out = np.clip([c[:3] * c[3] + g * (1 - c[3]) for g in (0, 0.2140411, 1)], 0, 1)
        return np.where(out <= 0.0031308, out * 12.92, 1.055 * out ** (1 / 2.4) - 0.055)

    n = max(1, (right - left) >> level), max(1, (low - top) >> level)
    xs, ys = (
        [k0, *(k0 + (np.arange(m) + 0.5) / m * s), k0 + s]
        for k0, m, s in ((left, n[0], right - left), (top, n[1], low - top))
    )
    return max(np.abs(seen(read(a, x, y)) - seen(read(b, x, y))).max() for x in xs for y in ys) * 255


def test_bleed_agrees_with_a_slow_twin_and_a_gutter_cures_it():
    values = sheets.sheet(4, sheets.puff, 3, 2, 16, 16, wide=2.0)
    cells = tuple(Grid(columns=3, rows=2).cells(48, 32))
    texture = Texture(values, cells=cells)
    found = measure(texture)
    for level in (0, 1, 2):
        assert abs(found.levels[level] - max(slow_bleed(texture, c, level) for c in cells)) < 0.6
    assert found.safe == -1 and found.levels[0] > 20
    frames = [values[top:low, left:right] for left, top, right, low in (cell_texels(c, 48, 32) for c in cells)]
    wide, grid = build(frames, Layout(gutter=8, columns=3))
    held = measure(Texture(wide, cells=tuple(grid.cells(*wide.shape[1::-1]))))
    assert held.levels[0] < 1 and held.levels[1] < 1 and held.safe >= 1


def test_a_placement_plays_its_sheet_on_the_stage():
    values = np.zeros((8, 32, 4), np.float32)
    for k in range(4):
        values[:, 8 * k : 8 * k + 8] = (k / 3, 0.2, 1 - k / 3, 1)
    cells = tuple(Grid(columns=4).cells(32, 8))
    t = Texture(values, cells=cells)
    o = Overlay(
        id="o",
        name="o",
        sheet=Sheet(grids=(Grid(columns=4),), rate=10),
        places=(PanelPlace(at=(0, 0, 0)),),
        source=Source(canvas=(32, 8)),
    )
    o = o.model_copy(update={"material": o.material.model_copy(update={"lit": False})})
    c = Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=3)

    def middle(time, **sheet):
        s = o.sheet.model_copy(update=sheet)
        doc = Document(overlays=(o.model_copy(update={"sheet": s}),), around=Around(path="none.obj"))
        return render(doc, {"o": t}, View(c, 24, 20, time)).colour[10, 12, :3]

    for k, time in enumerate((0.0, 0.15, 0.29, 0.35)):
        assert np.allclose(middle(time), t.mips.level(0)[4, 8 * k + 4, :3], atol=1e-5)
    a, b = t.mips.level(0)[4, 4, :3], t.mips.level(0)[4, 12, :3]
    assert np.allclose(middle(0.025, blend=True), a * 0.75 + b * 0.25, atol=1e-5)
    assert np.allclose(middle(5.0, play="once"), t.mips.level(0)[4, 28, :3], atol=1e-5)
    # Its outline is drawn in place of the cell, and shows the same.
    assert np.allclose(middle(0.15, hull=6), b, atol=1e-5)


def subject(frames, play="loop", **material):
    values = np.concatenate(frames, axis=1).astype(np.float32)
    h, w = values.shape[:2]
    g = Grid(columns=len(frames))
    return Subject("s", Texture(values, cells=tuple(g.cells(w, h))), sheet=Sheet(grids=(g,), play=play))


def ball(x=0.5, y=0.5, r=0.25, a=1.0, n=32):
    yy, xx = (np.mgrid[:n, :n] + 0.5) / n
    return np.dstack([np.ones((n, n, 3)), a * np.clip((r - np.hypot(xx - x, yy - y)) * n / 3, 0, 1)])


def test_findings_of_frames_are_found_and_do_not_cry_wolf():
    def ids(frames, play="loop"):
        return {f.id for f in examine_sheet(subject(frames, play))} - {"sheet-bleed"}

    turning = [ball(0.5 + 0.1 * np.cos(t), 0.5 + 0.1 * np.sin(t)) for t in np.linspace(0, 2 * np.pi, 13)[:-1]]
    assert ids(turning) == set()
    assert ids([ball(r=0.1 + 0.02 * k) for k in range(10)], "once") == set()
    assert ids([ball(r=0.1 + 0.03 * k) for k in range(10)]) == {"sheet-loop"}
    assert ids([*turning[:5], ball(0.3, 0.3, 0.28), *turning[6:]]) == {"sheet-jump"}
    assert ids([ball(0.35 + 0.03 * k) for k in range(10)], "once") == {"sheet-drift"}
    assert ids([*turning[:4], ball(a=0), *turning[5:]]) >= {"sheet-empty"}
    past = [f for f in examine_sheet(subject([*turning, ball(a=0), ball(a=0)])) if f.id == "sheet-past"]
    assert past and past[0].details == {"last": 11, "count": 14}
    assert ids([ball(0.5, 0.5, 0.6) for _ in range(4)]) == {"sheet-border"}
    wide = [f for f in examine_sheet(subject([ball(0.5, 0.5, 0.6), *[ball() for _ in range(3)]], "random"))]
    assert {f.id for f in wide} == {"sheet-border", "sheet-bleed"}
    assert next(f for f in wide if f.id == "sheet-border").place[:2] == (0, 0)


def test_sheets_on_the_command_line(tmp_path):
    rng = np.random.default_rng(5)
    frames = [(np.round(sheets.puff(rng, 40, 40, k / 5) * 255)).astype(np.uint8) for k in range(6)]
    write_webp(tmp_path / "a.webp", frames, 12)
    back, seconds = read_frames(tmp_path / "a.webp")
    assert len(back) == 6 and np.isclose(sum(seconds), 0.5)
    seen = frames[3][..., 3] > 0
    assert np.array_equal(np.round(back[3] * 255).astype(np.uint8)[seen], frames[3][seen])
    done = mivex_run(
        "sheet", "build", str(tmp_path / "s.png"), str(tmp_path / "a.webp"), "--columns", "3", "--gutter", "4", "--json"
    )
    made = json.loads(done.stdout)
    assert done.returncode == 0 and [f["index"] for f in made["frames"]] == list(range(6))
    values = read_picture(tmp_path / "s.png").values
    x, y = made["frames"][4]["x"], made["frames"][4]["y"]
    assert np.allclose(values[y : y + 40, x : x + 40], back[4], atol=1 / 255)
    assert json.loads((tmp_path / "s.sheet.json").read_text()) == made
    grid = ("--columns", "3", "--rows", "2", "--cell", "40x40", "--left", "4", "--top", "4", "--gutter", "4")
    done = mivex_run("sheet", "slice", str(tmp_path / "s.png"), *grid, "--frames", str(tmp_path / "f"), "--json")
    found = json.loads(done.stdout)
    assert found["frames"] == made["frames"] and len(list((tmp_path / "f").glob("*.png"))) == 6
    (tmp_path / "r.json").write_text('{"mivex": 1, "steps": [{"step": "clear-border", "width": 3, "soft": 0}]}')
    done = mivex_run(
        "sheet",
        "slice",
        str(tmp_path / "s.png"),
        *grid,
        "--recipe",
        str(tmp_path / "r.json"),
        "--out",
        str(tmp_path / "m.png"),
    )
    assert done.returncode == 0, done.stderr
    mended = read_picture(tmp_path / "m.png").values
    assert mended[y : y + 40, x : x + 2, 3].max() == 0
    done = mivex_run("sheet", "check", str(tmp_path / "s.png"), "--columns", "7", "--rows", "2", "--play", "once", "--json")
    assert done.returncode in (0, 1) and json.loads(done.stdout)["frames"] == 14
    for bad in (
        ("build", str(tmp_path / "x.png"), str(tmp_path / "r.json")),
        ("slice", str(tmp_path / "none.png")),
        ("slice", str(tmp_path / "s.png"), "--columns", "99"),
        ("build", str(tmp_path / "x.png"), str(tmp_path / "b.gif")),
    ):
        (tmp_path / "b.gif").write_bytes(b"GIF89a" + bytes(30))
        done = mivex_run("sheet", *bad)
        assert done.returncode == 2 and done.stderr.count("\n") == 1 and "Traceback" not in done.stderr


def test_cells_are_not_changed_by_scaling_a_proxy(tmp_path):
    values = sheets.sheet(6, sheets.puff, 8, 8, 128, 128)
    o = _write(tmp_path, values).model_copy(
        update={"sheet": Sheet(grids=(Grid(columns=8, rows=8),)), "steps": (Blur(size=2),)}
    )
    proxy = Evaluator(tmp_path).texture(o, proxy=True)
    assert proxy.width == 512 and [cell_texels(c, 512, 512) for c in proxy.traits.cells][9] == (64, 64, 128, 128)


def test_a_stack_shows_the_frames_of_a_sheet_and_they_are_delivered(tmp_path):
    values = np.zeros((8, 24, 4), np.float32)
    for k, rgb in enumerate(((1, 0, 0), (0, 1, 0), (0, 0, 1))):
        values[:, 8 * k : 8 * k + 8] = (*rgb, 1)
        values[0, 8 * k : 8 * k + 8, 3] = values[-1, 8 * k : 8 * k + 8, 3] = 0
    o = _write(tmp_path, values)
    place = ShapePlace(form="stack", count=3, depth=2.0, slices="frames", at=(0, 0, 0))
    o = o.model_copy(
        update={
            "sheet": Sheet(grids=(Grid(columns=3),), hull=4),
            "places": (place,),
            "material": o.material.model_copy(update={"lit": False, "blend": "Solid", "depth_write": True}),
        }
    )
    doc = Document(overlays=(o,), around=Around(path="none.obj"))
    t = {"s": Evaluator(tmp_path).texture(o)}

    def middle(yaw):
        c = Camera(name="c", target=(0, 0, 0), yaw=yaw, pitch=0, distance=4)
        return render(doc, t, View(c, 24, 20)).colour[10, 12, :3]

    # The farthest panel shows the first frame: from the front the last is seen, from behind the first.
    assert np.allclose(middle(0), (0, 0, 1), atol=1e-5) and np.allclose(middle(180), (1, 0, 0), atol=1e-5)
    deliver([o], lambda _o: t["s"], tmp_path / "out")
    told = json.loads(next((tmp_path / "out").glob("*.blend.json")).read_text())["sheet"]
    assert [(f["index"], f["x"], f["width"]) for f in told["frames"]] == [(0, 0, 8), (1, 8, 8), (2, 16, 8)]
    assert told["frames"][1]["hull"] == [[0, 0.125], [1, 0.125], [1, 0.875], [0, 0.875]] and told["play"] == "loop"
