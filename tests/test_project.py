"""Project file, recipes, delivery and the command line."""

import contextlib
import io
import json
import os
import subprocess
import sys
from pathlib import Path

import numpy as np
import pytest
from sprites import cut_from, disc, paint, rgba

import mivex.core
from mivex.cli import run
from mivex.core.base.errors import MivexError
from mivex.core.deliver.deliver import write_texture
from mivex.core.deliver.planning import check_format
from mivex.core.deliver.project import deliver_project
from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.formats import FORMATS
from mivex.core.picture.texture import Texture
from mivex.core.prepare import STEPS
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import dumps, loads, read_project, relocated, write_project
from mivex.core.project.recipe import parse_recipe
from mivex.demo import PROJECT


def mivex_run(*args, cwd=None, env=None, process=False):
    """Run the command line: here, which is quick, or once as a process of its own."""
    settings = {"QT_QPA_PLATFORM": "offscreen", "DISPLAY": "", **(env or {})}
    if process:
        return subprocess.run(
            [sys.executable, "-m", "mivex", *map(str, args)],
            capture_output=True,
            text=True,
            cwd=cwd,
            env={**os.environ, **settings},
            check=False,
        )
    out, err = io.StringIO(), io.StringIO()
    here = os.getcwd()
    with pytest.MonkeyPatch.context() as patch, contextlib.redirect_stdout(out), contextlib.redirect_stderr(err):
        for key, value in settings.items():
            patch.setenv(key, value)
        patch.setattr(sys, "argv", ["mivex", *map(str, args)])
        os.chdir(cwd or here)
        try:
            code = run()
        finally:
            os.chdir(here)
    return subprocess.CompletedProcess(args, code, out.getvalue(), err.getvalue())


def refused(result):
    """Exit 2 with one line on standard error and no traceback."""
    lines = result.stderr.strip().splitlines()
    return (
        result.returncode == 2
        and len(lines) == 1
        and lines[0].startswith("mivex: ")
        and (not result.stdout or result.args[0] == "check")
    )


def test_a_project_survives_a_round_trip_with_keys_it_does_not_know(tmp_path):
    text = json.loads(PROJECT.read_text())
    text["later"] = {"a": 1}
    text["overlays"][0]["mood"] = "calm"
    text["overlays"][0]["steps"][0]["extra"] = [1, 2]
    text["overlays"][0]["places"][0]["tag"] = "x"
    doc = loads(text, "p")
    assert json.loads(dumps(doc)) == text  # the demo's file holds every key there is
    write_project(tmp_path / "p.mivex", doc)
    assert read_project(tmp_path / "p.mivex") == doc
    elsewhere = relocated(doc, PROJECT.parent, PROJECT.parent.parent)
    assert elsewhere.overlays[0].source.path == "nerite/porthole_pane.png"
    assert relocated(elsewhere, PROJECT.parent.parent, PROJECT.parent) == doc
    packed = next(o for o in elsewhere.overlays if o.id == "packed").steps[0]
    assert (packed.green.file, packed.red.file) == ("nerite/mote_halo.png", "")
    assert next(o for o in elsewhere.overlays if o.id == "emblem").steps[0].file == "nerite/emblem.svg"


@pytest.mark.parametrize(
    ("content", "words"),
    [
        ('{"mivex": 2}', "newer"),
        ("[]", "not a Mivex project"),
        ('{"mivex": "x"}', "version"),
        ("{", "cut short"),
        ('{"mivex": 1, "overlays": [{"name": "a", "steps": [{"step": "frobnicate"}]}]}', "frobnicate"),
        ('{"mivex": 1, "overlays": [{"name": "a", "material": {"opacity": 7}}]}', "opacity"),
        ('{"mivex": 1, "overlays": [{"name": "a", "id": "1"}, {"name": "b", "id": "1"}]}', "same id"),
    ],
)
def test_bad_projects_are_refused_in_words(tmp_path, content, words):
    path = tmp_path / "p.mivex"
    path.write_text(content)
    with pytest.raises(MivexError, match=words):
        read_project(path)
    assert refused(mivex_run("render", path, tmp_path / "o.png"))
    assert path.read_text() == content and not (tmp_path / "o.png").exists()


def test_recipes_name_what_is_wrong():
    good = {"steps": [{"step": "alpha-from", "source": "luminance"}, {"step": "spread", "method": "nearest"}]}
    assert [s.step for s in parse_recipe(good, "r").steps] == ["alpha-from", "spread"]
    for step, words in (
        ({"step": "spread", "metod": "mean"}, "metod"),
        ({"step": "levels", "gamma": 0}, "gamma"),
        ({"source": "red"}, "which step"),
        ({"step": "unmatte", "matte": [0, 2, 0]}, "matte"),
        ({"step": "levels", "white": float("nan")}, "white"),
    ):
        with pytest.raises(MivexError, match=words):
            parse_recipe({"steps": [step]}, "r")
    assert {"alpha-from", "invert-alpha", "levels", "spread", "unmatte"} <= set(STEPS)


def test_edits_are_functions_and_undoing_is_keeping_the_old_document():
    start = Document()
    doc, key = edits.add_overlay(start, "Smoke", "sprite", "s.png", 2.0)
    doc, twin = edits.copy_overlay(doc, key)
    assert [o.name for o in doc.overlays] == ["Smoke", "Smoke 2"] and start.overlays == ()
    assert edits.remove_overlay(edits.move_overlay(doc, twin, -1), key).overlays[0].id == twin
    place = doc.overlays[0].places[0]
    assert place.width / place.height == pytest.approx(2)
    with pytest.raises(ValueError, match="opacity"):
        edits.set_fields(doc, key, "material", opacity=2)


def test_delivery_is_read_back_and_lossy_formats_are_refused(tmp_path, rng, monkeypatch):
    v = np.round(rng.random((16, 16, 4)) * 255).astype(np.float32) / np.float32(255)
    v[:8, :, 3] = 0
    write_picture(tmp_path / "a.png", v)
    rows = tuple(
        Overlay(
            name=f"A {fmt} {bits}",
            source=Source(path="a.png", meaning="colour"),
            material=Material(blend="Additive", nudge=3, tint=(0.5, 1, 1)),
            delivery={"format": fmt, "bits": bits},
        )
        for fmt, bits in ((f.name, b) for f in FORMATS.values() if f.straight for b in f.depths)
        if (fmt, bits) != ("ktx2", 16)  # encoded colour is held in 8 bits there
    )
    made = deliver_project(Document(overlays=rows), Evaluator(tmp_path), tmp_path / "out")
    for d in made.overlays:
        assert np.allclose(read_picture(d.picture).values, v, atol=1e-7)
        sheet = json.loads(d.sheet.read_text())
        assert sheet["blend"]["colour"] == {"source": "As", "destination": "1"}
        assert (sheet["draw_group"], sheet["order_nudge"], sheet["texture"]["alpha"]) == ("Blended", 3, "straight")
        assert sheet["tint_linear"][0] == pytest.approx(0.214041, abs=1e-5)
    for suffix, words in ((".jpg", "no alpha"), (".exr", "associated"), (".bmp", "alpha")):
        with pytest.raises(MivexError, match=words):
            write_texture(tmp_path / f"b{suffix}", Texture(v))
    with pytest.raises(MivexError, match="8 bits"):
        check_format("tga", 16)
    twice = Document(overlays=(rows[0], rows[0].model_copy(update={"id": "x"})))
    with pytest.raises(MivexError, match="both"):
        deliver_project(twice, Evaluator(tmp_path), tmp_path / "twice")
    assert not (tmp_path / "twice").exists()
    for bits, suffix in ((8, "png"), (16, "tif")):
        evaluator = Evaluator(tmp_path)
        steps = (STEPS["premultiply"].params(step="premultiply"),)
        t = evaluator.prepare(evaluator.picture("a.png"), Source(meaning="colour"), steps, bits)
        write_texture(tmp_path / f"pre.{suffix}", t)
    # A file that does not hold what it was given does not count as delivered.
    from mivex.core.picture import encode

    write_texture(tmp_path / "c.png", Texture(v))
    good = (tmp_path / "c.png").read_bytes()
    real = encode.WRITERS["png"]
    monkeypatch.setitem(encode.WRITERS, "png", lambda pages, *k: real([p // 2 for p in pages], *k))
    with pytest.raises(MivexError, match="other texels"):
        write_texture(tmp_path / "c.png", Texture(v))
    assert (tmp_path / "c.png").read_bytes() == good and not list(tmp_path.glob(".mivex-*"))


def test_command_line_from_picture_to_delivery(tmp_path):
    alpha = disc(64)
    write_picture(tmp_path / "smoke.png", rgba(cut_from(paint(64), alpha, (0, 0, 0)), alpha)[..., :3])
    result = mivex_run("check", "smoke.png", "--json", cwd=tmp_path, process=True)
    told = json.loads(result.stdout)
    assert result.returncode == 1 and set(told) == {"pictures", "findings"}
    row = told["pictures"][0]
    assert (row["path"], row["width"], row["height"], row["channels"], row["bits"]) == ("smoke.png", 64, 64, 3, 8)
    assert row["alpha"] == {"minimum": 1.0, "maximum": 1.0, "mean": 1.0}
    assert {"level", "maximum", "p99", "mean"} <= set(row["fringe"][0]) and len(row["fringe"]) == 7
    assert {"id", "path", "figure", "unit", "message"} <= set(told["findings"][0])
    assert told["findings"][0]["id"] == "no-alpha"
    recipe = {"steps": [{"step": "alpha-from", "source": "matte", "matte": [0, 0, 0]}, {"step": "spread"}]}
    (tmp_path / "r.json").write_text(json.dumps(recipe))
    assert mivex_run("prepare", "smoke.png", "out.tga", "--recipe", "r.json", cwd=tmp_path).returncode == 0
    result = mivex_run("check", "out.tga", cwd=tmp_path)
    assert result.returncode == 0 and "0 findings" in result.stdout
    write_project(tmp_path / "p.mivex", Document(overlays=(Overlay(name="Smoke", source=Source(path="out.tga")),)))
    assert mivex_run("render", "p.mivex", "v.exr", "--size", "64x40", "--camera", "Hull", cwd=tmp_path).returncode == 0
    assert read_picture(tmp_path / "v.exr").values.shape == (40, 64, 4)
    assert mivex_run("deliver", "p.mivex", "box", cwd=tmp_path).returncode == 0
    assert sorted(p.name for p in (tmp_path / "box").iterdir()) == ["Smoke.blend.json", "Smoke.png", "delivery.json"]
    schema = json.loads(mivex_run("schema").stdout)
    assert schema["properties"]["overlays"] and "Levels" in schema["$defs"]


def test_the_command_line_refuses_in_one_line(tmp_path, small_demo):
    project = small_demo()
    write_picture(tmp_path / "a.png", np.ones((4, 4, 4), np.float32))
    (tmp_path / "cut.png").write_bytes((tmp_path / "a.png").read_bytes()[:40])
    (tmp_path / "r.json").write_text('{"steps": [{"step": "alpha-from", "source": "file", "file": "gone.png"}]}')
    for args in (
        ("check", "cut.png"),
        ("check",),
        ("nonsense",),
        (),
        ("prepare", "a.png", "o.png", "--recipe", "r.json"),
        ("prepare", "a.png", "o.jpg", "--recipe", "r.json"),
        ("deliver", project, "/proc/none"),
        ("render", project, "o.png", "--camera", "Nowhere"),
        ("render", project, "o.png", "--size", "0x4"),
    ):
        assert refused(mivex_run(*args, cwd=tmp_path)), args
    assert sorted(p.name for p in tmp_path.iterdir()) == ["a.png", "cut.png", "r.json"]


def test_the_demo_shows_its_faults_and_only_these():
    told = json.loads(mivex_run("check", PROJECT, "--json").stdout)
    found = {(f["overlay"], f["id"]) for f in told["findings"] if f["certainty"] == "likely"}
    # Two panes that cut through each other, and a pane in a plume; silt is drawn over what stands before it on the bench.
    pairs = {frozenset(f["details"]["pair"]) for f in told["findings"] if f["id"] == "order"}
    assert pairs == {
        frozenset({"Hatch pane, left", "Hatch pane, right"}),
        frozenset({"Pane in the plume", "Silt plume"}),
        frozenset({"Silt, bright", "Bubble, cut from black"}),
    }
    assert {(o, check) for o, check in found if check != "order"} == {
        ("Kelp, see-through", "through-itself"),
        ("Bubble, cut from black", "matte"),
        ("Registration, to the border", "border"),
        ("Emblem, inside out", "inverted"),
        ("Silt, banded", "banding"),
        ("Guard mesh, too fine", "holes"),
        ("Pane that writes depth", "depth-write"),
        ("Lamp mote", "hidden"),
        # What moves: frames that touch, silt that appears, goes and cuts, motes that take no tint, flashes late in a run.
        ("Bubbles, cell to cell", "sheet-border"),
        ("Bubbles, cell to cell", "sheet-bleed"),
        ("Silt, banded", "motion-pop"),
        ("Silt, banded", "motion-contact"),
        ("Mote that takes no tint", "motion-tint"),
        ("Arc flash", "motion-alike"),
    }
    late = next(f for f in told["findings"] if f["id"] == "motion-alike")
    assert late["place"][0].startswith("Flashes") and 2.1 <= late["place"][1] <= 2.6


def test_what_is_only_possible_in_the_demo_is_no_more_than_this():
    told = json.loads(mivex_run("check", PROJECT, "--json").stdout)
    maybe = {(f["overlay"], f["id"]) for f in told["findings"] if f["certainty"] == "possible"}
    rims = {
        "Intake screen",
        "Bubble",
        "Packed mote",
        "Vent bubbles",
        "Jellyfish, eight frames",
        "Hologram of the boat",
        "Pilot flame",
        "Bubbles, cell to cell",
    }
    veils = {"Hull registration", "Lamp mote", "Packed mote", "Arc flash"}
    assert maybe <= {(o, "matte") for o in rims} | {(o, "veil") for o in veils}


def test_core_knows_no_interface_and_the_lock_no_addresses():
    root = Path(mivex.core.__file__).parent
    for path in root.rglob("*.py"):
        text = path.read_text()
        assert "PySide6" not in text and "mivex.ui" not in text, path
    lock = (root.parent.parent / "requirements.lock").read_text()
    assert "--hash=sha256:" in lock and "://" not in lock


@pytest.mark.parametrize("name", STEPS)
def test_every_step_runs_from_a_recipe_file(tmp_path, name):
    """With its defaults, on a real file, through the command line; what is written is what the core computes."""
    write_picture(tmp_path / "in.png", rgba(paint(32), disc(32)))
    (tmp_path / "r.json").write_text(json.dumps({"steps": [{"step": name}]}))
    done = mivex_run("prepare", "in.png", "out.tif", "--recipe", "r.json", cwd=tmp_path)
    assert done.returncode == 0 and not done.stderr, done.stderr
    want = Evaluator(tmp_path).prepare(
        read_picture(tmp_path / "in.png"),
        Source(path="in.png"),
        parse_recipe({"steps": [{"step": name}]}, "r").steps,
        8,
        levels=True,
    )
    back = read_picture(tmp_path / "out.tif")
    if not want.premultiplied:
        assert np.array_equal(back.values, want.values)
    switched = parse_recipe({"steps": [{"step": name, "on": False}]}, "r").steps
    assert np.array_equal(
        Evaluator(tmp_path).prepare(read_picture(tmp_path / "in.png"), Source(), switched, 8).values,
        read_picture(tmp_path / "in.png").values,
    )


@pytest.mark.parametrize(
    ("step", "words"),
    [
        ({"step": "pack", "green": {"sauce": "this"}}, "no setting “sauce”"),
        ({"step": "curve", "points": [[0, 0]]}, "two points"),
        ({"step": "gradient-map", "ramp": [[0, [0, 0, 2]], [1, [1, 1, 1]]]}, "between 0 and 1"),
        ({"step": "grow", "by": 1e9}, "less than or equal"),
        ({"step": "grow", "by": float("nan")}, "finite"),
        ({"step": "signed-distance", "reduce": 3}, "1, 2, 4, 8 or 16"),
        ({"step": "text", "font": "gothic"}, "regular"),
        ({"step": "shape", "file": "gone.svg"}, "gone.svg"),
        ({"step": "shape", "file": "broken.svg"}, "not really an SVG"),
        ({"step": "pack", "red": {"source": "file", "file": "gone.png"}}, "gone.png"),
        ({"step": "add-tint", "mask": "brush", "strokes": [{"points": [[0, 0]], "radius": -1}]}, "greater than 0"),
    ],
)
def test_recipes_that_cannot_be_are_refused_in_a_sentence(tmp_path, step, words):
    write_picture(tmp_path / "in.png", rgba(paint(16), disc(16)))
    (tmp_path / "broken.svg").write_text("<svg xmlns='http://www.w3.org/2000/svg'><rect")
    (tmp_path / "r.json").write_text(json.dumps({"steps": [step]}))
    done = mivex_run("prepare", "in.png", "out.png", "--recipe", "r.json", cwd=tmp_path)
    assert refused(done) and words in done.stderr, done.stderr
    assert not (tmp_path / "out.png").exists()
