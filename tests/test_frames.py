"""Runs of frames: those out of place are found, sheets made of one overlay, motion between frames."""

import itertools
import json

import drawn_sheets
import numpy as np
import pytest
from scipy.ndimage import map_coordinates
from test_project import mivex_run
from test_sheets import subject

from mivex.core.base.errors import MivexError
from mivex.core.deliver.project import deliver_project
from mivex.core.findings import examine_sheet
from mivex.core.intake.loader import load
from mivex.core.layers.builds import changed_at
from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_linear
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project
from mivex.core.scene.draw_calls import render
from mivex.core.scene.varied import by_setting, varied_settings
from mivex.core.sheet.celled import frame_values
from mivex.core.sheet.flow import Halving, between, halving, moved, vector_picture, vectors_of
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.placements_model import Around, PanelPlace
from mivex.demo import PROJECT


def test_frames_out_of_place_are_found_on_sheets_that_set_no_limit():
    """Twelve makes, each as it should be and with each fault; seeds that the limits were not set by."""
    hit = missed = wrong = clean = 0
    for make, seed in itertools.product(drawn_sheets.MAKES, (31, 32)):
        rng = np.random.default_rng([seed, drawn_sheets.MAKES.index(make)])
        for fault in ("", "", "", "", *drawn_sheets.FAULTS):
            made = drawn_sheets.plays(rng, make, fault)
            if made is None:
                continue
            frames, how, due = made
            found = {f.id for f in examine_sheet(subject(frames, how))} & {"sheet-jump", "sheet-loop"}
            clean += not due
            hit += bool(due) and due in found
            missed += bool(due) and due not in found
            wrong += not due and bool(found)
    assert hit >= 0.9 * (hit + missed) and hit + missed > 90, (hit, missed)
    assert hit >= 0.95 * (hit + wrong) and clean == 96 and wrong <= 4, (wrong, clean)


def test_what_is_wrong_with_a_run_of_frames_is_named_with_its_frame():
    rng = np.random.default_rng(5)
    _, frames = drawn_sheets.orbit(rng, 48, 16, np.ones(3))

    def said(frames, play="loop"):
        rows = [f for f in examine_sheet(subject(frames, play)) if f.id in ("sheet-jump", "sheet-loop")]
        return [(f.id, f.details.get("kind"), f.details.get("frame")) for f in rows]

    assert said(frames) == []
    near = [*frames[:6], frames[7], frames[6], *frames[8:]]
    assert said(near) == [("sheet-jump", "exchanged", 6)]
    lined = [f.copy() for f in frames]
    lined[9][20:22, 4:-4] = 1
    assert said(lined) == [("sheet-jump", "line", 9)]
    far = [f.copy() for f in frames]
    far[4] = np.roll(far[4], (9, -14), axis=(0, 1))
    assert said(far) == [("sheet-jump", "place", 4)]
    _, eaten = drawn_sheets.dissolve(rng, 48, 24, np.ones(3))
    assert said(eaten, "once") == []
    assert said(eaten[:5] + eaten[11:], "once") == [("sheet-jump", "step", 5)]
    assert said(frames[:11]) == [("sheet-loop", None, None)]
    # Neither colour nor size in the cell matters: dark, and small in a large cell.
    dark = [np.dstack([f[..., :3] * 0.04, f[..., 3:]]) for f in near]
    small = [np.pad(f, ((70, 70), (70, 70), (0, 0))) for f in near]
    assert said(dark) == said(small) == said(near)
    assert said([frames[0]] * 12) == [] and said([np.zeros((16, 16, 4))] * 8) == [] and said(frames[:3], "once") == []


def test_a_sheet_is_made_from_one_overlay_under_a_setting_that_changes(tmp_path):
    """Frame k is the very result at that value; whole numbers are rounded; what may not be is refused in a sentence."""
    rows = (
        {"id": "a", "name": "Spots", "cells": {"opacity": {"number": 1.0}, "colour": {"colour": (1, 0, 0)}},
         "mask": {"parts": [{"source": "pattern", "pattern": {"kind": "droplets"}}]}},
    )  # fmt: skip
    o = Overlay.model_validate(
        {"id": "o", "name": "Drops", "source": {"canvas": (48, 32)}, "layers": {"rows": rows},
         "steps": [{"step": "blur", "radius": 1.0}]}
    )  # fmt: skip
    evaluator, doc = Evaluator(tmp_path), Document(overlays=(o,))
    names = {s.at: s for s in varied_settings(o)}
    assert {"layers.rows.0.strength", "layers.rows.0.mask.parts.0.pattern.seed", "steps.0.radius"} <= set(names)
    frames = by_setting(evaluator, doc, o, 5, "layers.rows.0.strength", (0.0, 1.0))
    for k, f in enumerate(frames):
        row = o.layers.rows[0].model_copy(update={"strength": k / 4})
        same = o.model_copy(update={"layers": o.layers.model_copy(update={"rows": (row,)})})
        assert np.array_equal(f, Evaluator(tmp_path).texture(same, doc).values)
    assert frames[0][..., 3].max() == 0 and [f[..., 3].mean() for f in frames] == sorted(f[..., 3].mean() for f in frames)
    twelve = by_setting(evaluator, doc, o, 12, "layers.rows.0.mask.parts.0.pattern.seed", (1, 12))
    assert len({f.tobytes() for f in twelve}) == 12
    blurred = by_setting(evaluator, doc, o, 2, "steps.0.radius", (0.0, 4.0))
    assert blurred[1][..., 3].std() < blurred[0][..., 3].std()
    for at, ends, words in (("steps.9.radius", (0, 1), "no number"), ("layers.rows.0.strength", (0, 3), "0 to 1, not 3")):
        with pytest.raises(MivexError, match=words):
            by_setting(evaluator, doc, o, 3, at, ends)
    write_project(tmp_path / "p.mivex", doc)
    words = ["sheet", "vary", str(tmp_path / "p.mivex"), "Drops", str(tmp_path / "s.png")]
    listed = mivex_run(*words)
    assert listed.returncode == 0 and "layers.rows.0.strength   Spots: strength   1   0:1" in listed.stdout
    done = mivex_run(
        *words, "--setting", "layers.rows.0.strength", "--from", "0:1", "--frames", "6", "--columns", "3", "--json"
    )
    told = json.loads(done.stdout)
    assert done.returncode == 0 and (told["width"], told["height"], len(told["frames"])) == (144, 64, 6)
    made = read_picture(tmp_path / "s.png").values
    assert np.array_equal(made[:32, :48], np.zeros((32, 48, 4))) or made[:32, :48, 3].max() == 0
    assert made[32:, 96:, 3].mean() > made[32:, :48, 3].mean() > 0
    refused = mivex_run(*words, "--setting", "nowhere")
    assert refused.returncode == 2 and "no number" in refused.stderr and refused.stderr.count("\n") == 1


def test_half_as_many_frames_moved_along_vectors_come_near_the_true_run():
    """A ripple that widens: its motion is known in closed form, and what lies between two frames is one more of them."""
    n, count = 96, 9
    y, x = (np.mgrid[:n, :n] + 0.5) / n - 0.5
    r = np.hypot(x, y)

    def ripple(t):
        return (
            np.dstack([np.ones((n, n, 3)), 1.2 * np.exp(-(((r - 0.12 - 0.25 * t) / 0.05) ** 2))])
            .clip(0, 1)
            .astype(np.float32)
        )

    frames = [ripple(k / (count - 1)) for k in range(count)]
    v = between(frames[2], frames[3])
    on = frames[2][..., 3] > 0.5
    # Outwards by 0.25 / 8 of the frame.
    along = (v[..., 0] * x + v[..., 1] * y)[on] / r[on]
    assert (
        abs(np.median(along) - 0.25 / 8) < 0.004 and np.abs(v[..., 0] * y - v[..., 1] * x)[on].mean() / r[on].mean() < 0.004
    )
    true = ripple(2.5 / 8)
    made = moved(frames[2], frames[3], v, 0.5)
    faded = moved(frames[2], frames[3], np.zeros_like(v), 0.5)
    off = [np.abs(m[..., 3] - true[..., 3])[true[..., 3] > 0.1].mean() for m in (made, faded)]
    assert off[0] < 0.03 and off[0] < off[1] / 3
    for share, frame in ((0.0, frames[2]), (1.0, frames[3])):
        assert np.abs(moved(frames[2], frames[3], v, share)[..., 3] - frame[..., 3]).max() < 1e-3
    s = subject(frames, "once")
    h = halving(s.texture, "once")
    assert h.moved < 0.35 * h.faded < h.stepped and halving(subject(frames[:4]).texture, "once") is None
    # As a picture: in the cells, ½ where nothing moves, and back again by its scale.
    p = vector_picture(s.texture, "once")
    back = (p.values[:, 2 * n : 3 * n] - 0.5) * 2 * p.scale
    assert np.abs(back - v).max() < 1e-6 and (p.values[:, -n:] == 0.5).all() and p.values.max() <= 1
    assert (vector_picture(s.texture, "loop").values[:, -n:] != 0.5).any()
    still = subject([frames[0]] * 6)
    assert (
        np.abs(vector_picture(still.texture, "loop").values - 0.5).max() < 0.02
        and halving(still.texture, "loop").moved < 0.5
    )
    assert halving(subject([np.zeros((8, 8, 4))] * 6).texture, "loop") == Halving(0, 0, 0)
    with pytest.raises(MivexError, match="no sheet"):
        vector_picture(Texture(frames[0]), "loop")


def test_vectors_are_delivered_with_their_scale_and_written_by_the_command(tmp_path):
    rng = np.random.default_rng(4)
    _, frames = drawn_sheets.spin(rng, 48, 24, np.ones(3))
    write_picture(
        tmp_path / "s.png", np.concatenate([np.concatenate(frames[k : k + 4], axis=1) for k in range(0, 24, 4)]), 8
    )
    grid = Grid(columns=4, rows=6)
    o = Overlay(id="o", name="Orbit", source=Source(path=str(tmp_path / "s.png"), meaning="colour"))
    for vectors in (False, True):
        one = o.model_copy(update={"sheet": Sheet(grids=(grid,), blend=True, vectors=vectors)})
        deliver_project(Document(overlays=(one,)), Evaluator(tmp_path), tmp_path / str(vectors))
        sheet = json.loads((tmp_path / str(vectors) / "Orbit.blend.json").read_text())["sheet"]
        assert ("vectors" in sheet) == vectors == (tmp_path / str(vectors) / "Orbit_vectors.png").is_file()
    stored = read_picture(tmp_path / "True" / sheet["vectors"]["file"]).values
    texture = Evaluator(tmp_path).texture(one)
    meant = vectors_of(texture, "loop")[5]
    h, w = meant.shape[:2]
    read = (stored[h : 2 * h, w : 2 * w, :2] - 0.5) * 2 * sheet["vectors"]["scale"]
    assert np.abs(read - meant).max() <= sheet["vectors"]["scale"] / 255 * 1.01
    words = ["sheet", "vectors", str(tmp_path / "s.png"), str(tmp_path / "v.png"), "--columns", "4", "--rows", "6"]
    words.append("--json")
    done = mivex_run(*words, "--half", str(tmp_path / "half.png"))
    told = json.loads(done.stdout)
    assert done.returncode == 0 and told["halved"]["moved"] < 0.5 * told["halved"]["faded"]
    half = read_picture(tmp_path / "half.png")
    g = Grid.model_validate(told["half"]["grids"][0])
    cut = [f[..., 3] for f in frame_values(half.values, tuple(g.cells(half.width, half.height)))]
    assert len(cut) == 12 and np.abs(cut[2] - frames[4][..., 3]).max() < 0.003
    assert (
        read_picture(tmp_path / "v.png").bits == 16
        and read_picture(tmp_path / "v.png").values.shape[:2] == half.values.shape[:2]
    )
    refused = mivex_run("sheet", "vectors", str(tmp_path / "s.png"), str(tmp_path / "v.png"), "--play", "random")
    assert refused.returncode == 2 and "loop, once or fro" in refused.stderr


@pytest.mark.parametrize("blend", ["Translucent", "Additive", "Premultiplied"])
def test_the_stage_and_what_is_taken_in_move_frames_as_the_formula_says(blend, tmp_path):
    """A panel that shows one cell texel for texel, between two frames, against the formula in NumPy."""
    n = 48
    _, frames = drawn_sheets.orbit(np.random.default_rng(9), n, 8, np.array([0.9, 0.6, 0.2]))
    # Clear texels hold another colour: it must not come in where one frame is clear.
    for f in frames:
        f[f[..., 3] == 0, :3] = (0.0, 1.0, 0.0)
        if blend == "Premultiplied":
            f[..., :3] *= f[..., 3:]
    rows = [np.concatenate(frames[k : k + 4], axis=1) for k in (0, 4)]
    write_picture(tmp_path / "s.png", np.concatenate(rows), 16)
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=2, fov=40), n, n, 0.35)
    side = n / view.focal * 2
    o = Overlay(
        id="o",
        name="Orbit",
        source=Source(path="s.png", meaning="colour"),
        sheet=Sheet(grids=(Grid(columns=4, rows=2),), play="loop", rate=10.0, blend=True, vectors=True),
        material=Material(lit=False, blend=blend, depth_test=False),
        places=(PanelPlace(at=(0, 0, 0), width=side, height=side),),
    )
    doc, evaluator = Document(overlays=(o,), around=Around(path="none.obj")), Evaluator(tmp_path)
    texture = evaluator.texture(o, doc)
    seen = render(doc, {"o": texture}, view).colour
    cells = frame_values(texture.values, texture.traits.cells)
    v = vectors_of(texture, "loop")[3]
    y, x = (np.mgrid[:n, :n] + 0.5) / n
    light = [np.dstack([to_linear(c[..., :3].copy()), c[..., 3]]) for c in (cells[3], cells[4])]

    def read(c, dx, dy):
        at = [np.clip((p + d) * n - 0.5, 0, n - 1) for p, d in ((y, dy), (x, dx))]
        return np.dstack([map_coordinates(c[..., k], at, order=1) for k in range(4)])

    t = 0.5
    parts = read(light[0], -t * v[..., 0], -t * v[..., 1]), read(light[1], (1 - t) * v[..., 0], (1 - t) * v[..., 1])
    alpha = (parts[0][..., 3] + parts[1][..., 3]) / 2
    if blend == "Premultiplied":
        rgb = (parts[0][..., :3] + parts[1][..., :3]) / 2
    else:
        rgb = (parts[0][..., :3] * parts[0][..., 3:] + parts[1][..., :3] * parts[1][..., 3:]) / 2
    due = rgb + 0.18 * (1 if blend == "Additive" else (1 - alpha[..., None]))
    assert np.abs(seen[..., :3] - due).max() < 2e-3
    faded = o.model_copy(update={"sheet": o.sheet.model_copy(update={"vectors": False})})
    other = render(doc.model_copy(update={"overlays": (faded,)}), {"o": texture}, view).colour
    assert np.abs(other - seen).max() > 0.2
    deliver_project(Document(overlays=(o,)), evaluator, tmp_path / "out")
    got = load(tmp_path / "out")
    assert got.doc.overlays[0].sheet.vectors
    alone = got.doc.model_copy(update={"around": doc.around, "lighting": doc.lighting})
    again = render(alone, got.textures, view, got.meshes).colour
    assert np.abs(again[..., :3] - due).max() < 0.03 and np.abs(again[..., :3] - due).mean() < 0.003


def test_every_number_that_is_offered_takes_its_ends():
    """Of all overlays of the demo; what is one of a few, as a divisor, is not offered."""
    offered = [(o, s) for o in read_project(PROJECT).overlays for s in varied_settings(o)]
    assert len(offered) > 500 and not any(s.at.endswith("reduce") for _, s in offered)
    for overlay, setting in offered:
        for value in (setting.low, setting.high):
            changed_at(overlay, setting.at, round(value) if setting.whole else value)


def test_what_a_sheet_is_made_of_is_never_written_over(tmp_path):
    """Source, project and frames stay as they were; a file gets the depth that it can have."""
    own = tmp_path / "own.png"
    write_picture(own, np.random.default_rng(4).random((16, 32, 4)).astype(np.float32), 16)
    before = own.read_bytes()
    grid = ("--columns", "2", "--rows", "1")
    o = Overlay(name="Own", source=Source(path="own.png"))
    write_project(tmp_path / "p.mivex", Document(overlays=(o,)))
    at = varied_settings(o)[0].at if varied_settings(o) else "layers.rows.0.strength"
    for words in (
        ("vectors", own, own, *grid),
        ("vectors", own, tmp_path / "v.png", *grid, "--half", tmp_path / "v.png"),
        ("build", own, own, own),
        ("vary", tmp_path / "p.mivex", "Own", own, "--setting", at),
    ):
        done = mivex_run("sheet", *map(str, words))
        assert done.returncode == 2 and len(done.stderr.splitlines()) == 1 and own.read_bytes() == before, words
    for ending, bits in (("webp", 8), ("tga", 8), ("png", 16), ("ktx2", 16)):
        assert mivex_run("sheet", "build", str(tmp_path / f"s.{ending}"), str(own), str(own)).returncode == 0
        if ending != "ktx2":
            assert read_picture(tmp_path / f"s.{ending}").bits == bits
