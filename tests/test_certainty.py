"""How certain a finding is: learned from drawn pictures, told apart in the output, folded in the window."""

import json

import numpy as np
import pytest
from drawn_art import drawn, with_matte
from sprites import disc, paint, rgba
from test_project import mivex_run

from mivex.core.checking.batch import report_on
from mivex.core.checking.limit_rules import junit
from mivex.core.checking.mending import SEEN, seen_change
from mivex.core.findings import Subject, examine, likely
from mivex.core.findings.texture.matte_evidence import matte_evidence
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface
from mivex.ui.shell.app import wait_until_idle

CONTEXT = Context(read_picture)


def found(values, **more):
    return {f.id: f for f in examine(Subject("p", Texture(np.asarray(values, np.float32), **more)))}


def mended(values, finding):
    surface = Surface(np.asarray(values, np.float32))
    for s in finding.repair.steps:
        surface = STEPS[s.step].run(surface, s, CONTEXT)
    return surface.values


def test_a_matte_is_told_from_clean_art_on_pictures_that_were_not_learned_from():
    clean, faulty = [], []
    for seed in range(20000, 20090):
        values, _ = drawn(seed)
        clean.append(found(values).get("matte"))
        if (cut := with_matte(values, seed)) is not None:
            faulty.append(found(cut).get("matte"))
    sure = [sum(f is not None and f.certainty == "likely" for f in rows) / len(rows) for rows in (clean, faulty)]
    said = sum(f is not None for f in faulty) / len(faulty)
    assert sure[0] <= 0.06 and sure[1] >= 0.35 and said >= 0.85 and len(faulty) > 30, (sure, said)


@pytest.mark.parametrize("size", [(24, 24), (600, 9), (64, 1000)])
def test_evidence_is_the_same_each_time_and_bears_any_shape(size, rng):
    h, w = size
    y, x = (np.mgrid[:h, :w] + 0.5) / [[[h]], [[w]]] * 2 - 1
    alpha = np.clip(1.4 - 1.5 * np.hypot(x, y), 0, 1)
    values = rgba(rng.random((h, w, 3)), alpha)
    texture = Texture(values.astype(np.float32))
    first, second = matte_evidence(texture), matte_evidence(texture)
    assert first.odds == second.odds and np.isfinite(first.odds) and all(np.isfinite(v) for v in first.figures.values())
    assert matte_evidence(Texture(rgba(paint(32), np.ones((32, 32))).astype(np.float32))) is None
    bright = values.copy()
    bright[..., :3] *= 40 * rng.random((h, w, 1))
    assert np.isfinite(matte_evidence(Texture(bright.astype(np.float32))).odds)
    assert all(0 <= v <= 1 for f in [found(bright).get("matte")] if f for v in f.details["matte"])


def test_what_is_only_possible_is_said_and_fails_no_build(tmp_path):
    """A frame that stands round a flat clear middle: turned round, or meant so."""
    alpha = np.ones((64, 64), np.float32)
    alpha[12:52, 12:52] = 0
    grain = np.random.default_rng(1).normal(0.2, 0.01, (64, 64, 1))
    rgb = np.where(alpha[..., None] > 0, grain, np.linspace([0.3] * 3, [0.34] * 3, 64)[None]).astype(np.float32)
    write_picture(tmp_path / "frame.png", rgba(rgb, alpha), 8)
    done = mivex_run("check", "frame.png", "--json", cwd=tmp_path)
    rows = {f["id"]: f for f in json.loads(done.stdout)["findings"]}
    assert rows["inverted"]["certainty"] == "possible" and done.returncode == 0
    assert "1 possible" in mivex_run("check", "frame.png", cwd=tmp_path).stdout
    assert b"<failure" not in junit([report_on(str(tmp_path / "frame.png"))])
    drawing = rgba(np.where(alpha[..., None] > 0, 0.2, rng_colours()), alpha)
    write_picture(tmp_path / "turned.png", drawing, 8)
    assert mivex_run("check", "turned.png", cwd=tmp_path).returncode == 1
    assert np.array_equal(mended(drawing, found(drawing)["inverted"])[..., 3], 1 - alpha)


def rng_colours():
    return np.random.default_rng(3).random((64, 64, 3)).astype(np.float32)


@pytest.mark.parametrize(
    ("steps", "certain"), [(3, "possible"), (7, "likely"), (9, "likely"), (14, "likely"), (120, None), (255, None)]
)
def test_alpha_rounded_to_few_levels_is_banded_and_a_fine_one_is_not(steps, certain):
    alpha = np.rint(disc(160, 0.05, 0.9) * steps) / steps
    f = found(rgba(paint(160), np.rint(alpha * 255) / 255)).get("banding")
    assert (f.certainty if f else None) == certain


@pytest.mark.parametrize(("codes", "certain"), [(0, None), (2, None), (6, "possible"), (120, "likely")])
def test_soft_alpha_that_runs_out_is_likely_and_a_faint_one_possible(codes, certain):
    y, x = np.mgrid[:64, :64]
    alpha = np.clip(1 - np.hypot(x - 32, y - 32) / 30, 0, 1).astype(np.float32)
    alpha[:, :20] = np.maximum(alpha[:, :20], codes / 255 * (np.abs(y[:, :20] - 32) < 16))
    f = found(rgba(paint(64), alpha)).get("border")
    assert (f.certainty if f else None) == certain
    cut = disc(96, 0.7, 0.02)[:, 30:]
    assert found(rgba(paint(96)[:, 30:], cut))["border"].certainty == "possible"


@pytest.mark.parametrize(("share", "certain"), [(0.05, None), (0.15, "possible"), (0.6, "likely")])
def test_a_veil_is_worth_a_word_by_what_it_costs_and_its_repair_clears_it(share, certain):
    alpha = disc(128, 0.2, 0.1)
    rows = round(share * 128)
    alpha[:rows] = np.maximum(alpha[:rows], np.float32(6 / 255))
    values = rgba(paint(128), alpha)
    f = found(values).get("veil")
    assert (f.certainty if f else None) == certain
    if f:
        assert f.figure == pytest.approx(100 * ((alpha > 0) & (alpha < 9 / 255)).mean(), abs=0.1)
        out = mended(values, f)
        assert out.shape[0] < 128 and "veil" not in found(out)


@pytest.mark.parametrize("linear", [False, True])
def test_a_premultiplied_picture_read_as_straight_is_told_and_read_right(window, tmp_path, linear):
    alpha = disc(64, 0.4, 0.5)[..., None]
    rgb = np.clip(paint(64) + 0.1, 0, 1).astype(np.float32)
    held = to_display(to_linear(rgb) * alpha) if linear else rgb * alpha
    write_picture(tmp_path / "p.png", rgba(held, alpha[..., 0]), 8)
    window.add_pictures([str(tmp_path / "p.png")])
    wait_until_idle(window)
    f = next(f for f in window.engine.all_findings() if f.id == "matte")
    assert f.details["premultiplied"] == ("linear" if linear else "display") and f.certainty == "likely"
    doc = f.repair(window.session.doc)
    texture = window.session.evaluator.texture(doc.overlays[0], doc)
    assert np.abs(texture.values[..., :3] - rgb)[alpha[..., 0] > 0.2].max() < 0.05
    assert f.repair.label == ("Read it as premultiplied" if linear else "Remove the matte")
    bright = found(rgba(rgb, alpha[..., 0]))
    assert "matte" not in bright or not bright["matte"].details["premultiplied"]


def test_the_list_folds_what_is_possible_and_counts_what_is_likely(window, tmp_path):
    alpha = np.ones((64, 64), np.float32)
    alpha[12:52, 12:52] = 0
    grain = np.random.default_rng(1).normal(0.2, 0.01, (64, 64, 1))
    rgb = np.where(alpha[..., None] > 0, grain, np.linspace([0.3] * 3, [0.34] * 3, 64)[None]).astype(np.float32)
    write_picture(tmp_path / "frame.png", rgba(rgb, alpha), 8)
    window.add_pictures([str(tmp_path / "frame.png")])
    wait_until_idle(window)
    tray = window.tray
    everything = window.engine.all_findings()
    sure = likely(everything)
    assert any(f.id == "inverted" and f.certainty == "possible" for f in everything)
    assert tray.list.count() == len(sure) + 1 and tray.lines[-1] is None
    tray.list.itemClicked.emit(tray.list.item(len(sure)))
    assert tray.list.count() == len(everything) + 1 and [f for f in tray.lines if f] == everything
    tray.list.setCurrentRow(tray.list.count() - 1)
    assert tray.current.certainty == "possible" and tray.repair.isVisibleTo(tray)
    tray.list.itemClicked.emit(tray.list.item(len(sure)))
    assert tray.list.count() == len(sure) + 1
    assert window.engine.results.finding_counts().get(window.session.overlay_id, 0) == len(sure)


def test_mending_all_that_is_sure_changes_nothing_seen_and_is_one_step_to_undo(window, tmp_path):
    alpha = disc(64, 0.5, 0.3)
    rgb = np.where(alpha[..., None] > 0, paint(64) * 0.5 + 0.5, 0.0)
    for name in ("one", "two"):
        write_picture(tmp_path / f"{name}.png", rgba(rgb, alpha), 8)
    window.add_pictures([str(tmp_path / "one.png"), str(tmp_path / "two.png")])
    wait_until_idle(window)
    before = window.session.doc
    assert {f.id for f in likely(window.engine.all_findings())} >= {"fringe"} and window.tray.mend_all.isVisibleTo(
        window.tray
    )
    window.tray.mend_all.click()
    wait_until_idle(window)
    doc, evaluator = window.session.doc, window.session.evaluator
    assert all(o.steps for o in doc.overlays) and not any(f.id == "fringe" for f in window.engine.all_findings())
    for a, b in zip(before.overlays, doc.overlays, strict=True):
        assert seen_change(evaluator.texture(a, before), evaluator.texture(b, doc)) <= SEEN
    window.session.undo()
    assert window.session.doc == before


def test_the_command_line_mends_copies_and_leaves_the_originals(tmp_path):
    alpha = disc(64, 0.5, 0.3)
    rgb = np.where(alpha[..., None] > 0, paint(64) * 0.5 + 0.5, 0.0)
    for folder in ("a", "b"):
        (tmp_path / folder).mkdir()
        write_picture(tmp_path / folder / "p.png", rgba(rgb, alpha), 8)
    write_picture(tmp_path / "clean.png", rgba(np.full((64, 64, 3), 0.6), np.ones((64, 64)))[..., :3], 8)
    bytes_before = (tmp_path / "a" / "p.png").read_bytes()
    done = mivex_run("check", "a/p.png", "b/p.png", "clean.png", "--mend", "out", "--json", cwd=tmp_path)
    rows = json.loads(done.stdout)["mended"]
    assert done.returncode == 1 and [r["path"] for r in rows] == ["a/p.png", "b/p.png"]
    assert sorted(p.name for p in (tmp_path / "out").iterdir()) == ["p.png", "p_2.png"]
    assert (tmp_path / "a" / "p.png").read_bytes() == bytes_before
    assert all(m["changed"] <= SEEN for r in rows for m in r["mended"])
    assert mivex_run("check", "out/p.png", cwd=tmp_path).returncode == 0
    assert mivex_run("check", "a/p.png", "--mend", "clean.png", cwd=tmp_path).returncode == 2
    # Once more gives the same names; into its own folder is refused; results of earlier are not mended.
    mivex_run("check", "a/p.png", "b/p.png", "--mend", "out", cwd=tmp_path)
    assert sorted(p.name for p in (tmp_path / "out").iterdir()) == ["p.png", "p_2.png"]
    told = mivex_run("check", "a/p.png", "--mend", "a", cwd=tmp_path)
    assert told.returncode == 2 and "written over itself" in told.stderr
    assert (tmp_path / "a" / "p.png").read_bytes() == bytes_before and len(list((tmp_path / "a").iterdir())) == 1
    (tmp_path / "r.json").write_text(mivex_run("check", "a/p.png", "--json", cwd=tmp_path).stdout)
    again = mivex_run("check", "r.json", "--mend", "none", "--json", cwd=tmp_path)
    assert json.loads(again.stdout)["mended"] == [] and not (tmp_path / "none").exists()
