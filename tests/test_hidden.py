"""Colour not meant to be seen: read the wrong way, left by a resize, smeared by blocks; and findings of one cause."""

import json

import numpy as np
import pytest
from drawn_art import drawn, with_matte
from sprites import paint, rgba
from test_project import mivex_run

from mivex.core.findings import Subject, examine, likely
from mivex.core.findings.causes import with_steps
from mivex.core.picture.encode import write_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blocks import compressed
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.ranks import percentile
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.ui.shell.app import wait_until_idle


def subject(values, **more):
    return Subject("p", Texture(np.ascontiguousarray(values, np.float32)), **more)


def found(values, **more):
    return {f.id: f for f in examine(subject(values, **more))}


def soft(n=128, core=0.3, width=0.6):
    y, x = (np.mgrid[:n, :n] + 0.5) / n * 2 - 1
    t = np.clip((core + width - np.hypot(x, y)) / width, 0, 1)
    return (t * t * (3 - 2 * t)).astype(np.float32)


def test_straight_art_that_is_read_as_premultiplied_is_found_and_read_right_again(tmp_path):
    art = rgba(paint(128) * np.array([1.0, 0.8, 0.6]), soft())
    write_picture(tmp_path / "puff.png", art, 8)
    doc, key = edits.add_overlay(Document(), "Puff", "sprite", "puff.png")
    wrong = edits.set_fields(doc, key, "source", alpha_stored="premultiplied")
    evaluator = Evaluator(tmp_path)

    def ids(d):
        o = d.overlay(key)
        return {f.id: f for f in examine(Subject.of(o, evaluator.texture(o, d)))}

    f = ids(wrong)["not-premultiplied"]
    assert f.certainty == "likely" and f.figure > 20 and "not-premultiplied" not in ids(doc)
    mended = f.repair(wrong)
    assert mended.overlay(key).source.alpha_stored == "straight" and "not-premultiplied" not in ids(mended)
    # Art that is what it is said to be: nothing is beyond its alpha.
    multiplied = art.copy()
    multiplied[..., :3] = to_display(to_linear(art[..., :3].copy()) * art[..., 3:])
    write_picture(tmp_path / "puff.png", multiplied, 16)
    evaluator = Evaluator(tmp_path)
    assert "not-premultiplied" not in ids(wrong)


@pytest.mark.parametrize(("ground", "certain"), [(0.97, "likely"), (0.5, "likely"), (0.02, "possible")])
def test_alpha_that_was_resized_without_its_colour_wears_a_rim_of_the_ground(ground, certain):
    alpha = soft(128, 0.72, 0.09)
    rgb = np.where(alpha[..., None] > 0.6, paint(128), np.float32(ground))
    f = found(rgba(rgb, alpha))["ground-rim"]
    assert f.certainty == certain
    after = with_steps(subject(rgba(rgb, alpha)), f.repair.steps).texture.values
    rim = (alpha > 0.1) & (alpha < 0.6)
    # The repair gives the rim the colour of the shape beside it, and leaves alpha alone.
    assert np.abs(after[rim][:, :3] - paint(128)[rim]).max() < 0.1 and np.abs(after[..., 3] - alpha).max() <= 0.51 / 255


@pytest.mark.parametrize("apart", [0.04, 0.2])
def test_a_ground_that_hardly_differs_shows_no_rim(apart):
    alpha = soft(128, 0.72, 0.09)
    base = np.full((128, 128, 3), 0.5, np.float32)
    rgb = np.where(alpha[..., None] > 0.6, base, base + np.float32(apart))
    assert ("ground-rim" in found(rgba(rgb, alpha))) == (apart > 0.15)


@pytest.mark.parametrize("seed", range(30000, 30012))
def test_clean_drawn_art_has_none_of_the_three(seed):
    values, _ = drawn(seed)
    assert not {"not-premultiplied", "ground-rim", "block-smear"} & {f.id for f in likely(examine(subject(values)))}


def woven(hidden):
    alpha = soft(256, 0.85, 0.06)
    y, x = np.mgrid[:256, :256]
    art = np.where(((x // 2 + y // 3) % 2)[..., None], [0.62, 0.35, 0.3], [0.3, 0.38, 0.62])
    return rgba(np.where(alpha[..., None] > 0, art, hidden), alpha).astype(np.float32)


def test_what_only_blocks_smear_is_said_by_how_much_and_mended():
    values = woven([0.2, 0.55, 0.3])
    rows = found(values)
    f = rows["block-smear"]
    assert f.certainty == "possible" and "fringe" not in rows
    # Worked out whole: every seen texel of every block, over black, in display values.
    back = compressed(np.rint(values * 255).astype(np.float32) / 255)
    alpha = values[..., 3]
    blocks = alpha.reshape(64, 4, 64, 4)
    mixed = ((blocks <= 0).any(axis=(1, 3)) & (blocks > 0.1).any(axis=(1, 3))).repeat(4, 0).repeat(4, 1)
    asked = mixed & (alpha > 0.02)
    a, worst = alpha[asked][:, None], np.zeros(int(asked.sum()))
    for ground in (0.0, 0.5, 1.0):
        behind = (1 - a) * to_linear(np.full(1, ground, np.float32))
        one, two = (to_display((to_linear(v[asked][:, :3].copy()) * a + behind).astype(np.float32)) for v in (values, back))
        worst = np.maximum(worst, np.abs(one - two).max(axis=1) * 255)
    assert f.figure > 12 and abs(f.figure - np.percentile(worst, 95)) < 0.1 * f.figure
    after = with_steps(subject(values), f.repair.steps)
    assert "block-smear" not in {g.id for g in examine(after)} and f.details["after"] < 0.5 * f.details["before"]
    # Hidden colour like the edge's own: nothing is smeared.
    assert "block-smear" not in found(woven([0.46, 0.365, 0.46]))


def test_a_percentile_is_numpys(rng):
    for n in (1, 2, 7, 1000):
        values = rng.random(n).astype(np.float32)
        for rank in (0, 50, 90, 95, 99, 100):
            assert abs(percentile(values, rank) - np.percentile(values.astype(np.float64), rank)) < 1e-6


def cut():
    """A drawn sprite cut from a backdrop that is still under its clear texels: a matte, and the fringe that comes of it."""
    return (np.rint(with_matte(drawn(40004)[0], 40004) * 255) / 255).astype(np.float32)


def test_what_a_matte_causes_stands_under_it_is_not_counted_and_goes_with_it(tmp_path):
    values = cut()
    rows = examine(subject(values))
    ids = [(f.id, f.under) for f in rows]
    assert ("matte", "") in ids and ("fringe", "matte") in ids
    at = ids.index(("matte", ""))
    assert ids[at + 1][1] == "matte" and "fringe" not in {f.id for f in likely(rows)}
    after = examine(with_steps(subject(values), rows[at].repair.steps))
    assert not {"matte", "fringe"} & {f.id for f in after}
    write_picture(tmp_path / "cut.png", values, 8)
    done = mivex_run("check", "cut.png", "--json", cwd=tmp_path)
    told = {f["id"]: f.get("under") for f in json.loads(done.stdout)["findings"]}
    assert told["fringe"] == "matte" and told["matte"] is None and done.returncode == 1
    assert "with matte: fringe" in mivex_run("check", "cut.png", cwd=tmp_path).stdout
    # Where limits let the cause pass, what it causes counts by itself.
    (tmp_path / "limits.toml").write_text('limits = 1\nallow = ["matte"]\n')
    judged = mivex_run("check", "cut.png", "--json", "--limits", "limits.toml", cwd=tmp_path)
    told = {f["id"]: f for f in json.loads(judged.stdout)["findings"]}
    assert told["matte"]["allowed"] and "under" not in told["fringe"] and judged.returncode == 1


def test_one_click_in_the_tray_mends_the_cause_and_what_stands_under_it(window, tmp_path):
    write_picture(tmp_path / "cut.png", cut(), 8)
    window.add_pictures([str(tmp_path / "cut.png")])
    wait_until_idle(window)
    tray = window.tray
    lines = [f for f in tray.lines if f is not None]
    matte = next(i for i, f in enumerate(lines) if f.id == "matte")
    assert lines[matte + 1].under == "matte"
    count = window.engine.results.finding_counts()[window.session.overlay_id]
    assert count == len(likely(window.engine.all_findings()))
    tray.list.setCurrentRow(matte)
    tray.mend()
    wait_until_idle(window)
    assert not {"matte", "fringe"} & {f.id for f in window.engine.all_findings()}
    assert window.session.undo_label == lines[matte].repair.label
    window.session.undo()
    wait_until_idle(window)
    assert {"matte", "fringe"} <= {f.id for f in window.engine.all_findings()}
