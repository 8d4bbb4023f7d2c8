"""Files that mean harm, or are only broken: one sentence each, no traceback, no hang, and nothing else is taken along."""

import base64
import json
import os
import struct
import sys
import time
import zlib
from io import BytesIO

import numpy as np
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from PIL import Image
from sprites import disc, paint, rgba
from test_project import mivex_run

from mivex.core.base import guarded
from mivex.core.base.errors import MivexError
from mivex.core.checking import batch as report
from mivex.core.picture import svg
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.svg import draw_svg, look_through
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface
from mivex.core.project.file import dumps, loads, read_project
from mivex.core.project.recipe import parse_recipe, read_recipe
from mivex.demo import PROJECT

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 64 32">'
PATTERN = (
    '<pattern id="p" patternUnits="userSpaceOnUse" {}><rect width="9" height="9"/></pattern>'
    '<rect width="64" height="32" fill="url(#p)"/></svg>'
)


def png(w, h):
    """A tiny file that says it is large."""

    def chunk(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    return base64.b64encode(
        b"\x89PNG\r\n\x1a\n"
        + chunk(b"IHDR", struct.pack(">IIBBBBB", w, h, 8, 6, 0, 0, 0))
        + chunk(b"IDAT", zlib.compress(b"\0" * 100))
        + chunk(b"IEND", b"")
    ).decode()


DRAWINGS = {
    "deep": (HEAD + "<g>" * 1000 + "</g>" * 1000 + "</svg>", "64 deep"),
    "pattern": (HEAD + PATTERN.format('width="60000" height="60000"'), "pattern of more than 8192"),
    "scaled pattern": (HEAD + PATTERN.format('width="8000" height="8000" patternTransform="scale(100)"'), "memory or time"),
    "scale": (HEAD + '<g transform="scale(1e30)"><rect width="9" height="9"/></g></svg>', "number beyond"),
    "octaves": (HEAD + '<filter id="f"><feTurbulence numOctaves="1000000000"/></filter></svg>', "octaves"),
    "letters": (HEAD + "<text>" + "a" * 1_000_000 + "</text></svg>", "letters"),
    "parts": (HEAD + "<g/>" * 100_001 + "</svg>", "parts"),
    "outside": (HEAD + '<image width="9" height="9" href="/etc/hostname"/></svg>', "outside itself"),
    "outside, old": (HEAD + '<image width="9" height="9" xlink:href="file:///etc/x.png"/></svg>', "outside itself"),
    "filter outside": (HEAD + '<filter id="f"><feImage href="x.png"/></filter></svg>', "outside itself"),
    "drawing inside": (HEAD + '<image href="data:image/svg+xml;base64,PHN2Zy8+"/></svg>', "outside itself"),
    "large inside": (HEAD + f'<image href="data:image/png;base64,{png(20000, 20000)}"/></svg>', "20000 × 20000"),
    "two points": ('<svg xmlns="http://www.w3.org/2000/svg" width="1.2.3" height="4"/>', "width is no number"),
    "400 digits": ('<svg xmlns="http://www.w3.org/2000/svg" width="' + "9" * 400 + '" height="4"/>', "number beyond"),
    "three in a box": ('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4"/>', "four numbers"),
    "entities": ('<!DOCTYPE svg [<!ENTITY a "b">]>' + HEAD + "&a;</svg>", "entities"),
    "cut short": (HEAD + "<g>", "broken"),
    "empty element": ("<svg", "broken"),
    "page": ("<html/>", "not really"),
}


@pytest.mark.parametrize("name", DRAWINGS)
def test_a_drawing_beyond_the_limits_is_refused_in_a_sentence(tmp_path, name):
    text, words = DRAWINGS[name]
    path = tmp_path / "a.svg"
    path.write_text(text)
    with pytest.raises(MivexError, match=words) as e:
        draw_svg(path, 32, 16)
    assert "a.svg" in str(e.value) and str(e.value).endswith(".")


def test_a_drawing_that_never_ends_is_given_up(tmp_path, monkeypatch):
    monkeypatch.setattr(svg, "SECONDS", 0)
    monkeypatch.setattr(guarded, "MARGIN", 0.3)
    child = tmp_path / "child.py"
    child.write_text("import time; time.sleep(60)")
    monkeypatch.setattr(svg, "_CHILD", child)
    (tmp_path / "a.svg").write_text(HEAD + "</svg>")
    begun = time.perf_counter()
    with pytest.raises(MivexError, match="gave it up"):
        draw_svg(tmp_path / "a.svg", 8, 8)
    assert time.perf_counter() - begun < 30
    for code, words in (
        ("import os, signal; os.kill(os.getpid(), signal.SIGSEGV)", "more memory or time"),
        ("import sys; sys.exit(3)", "not really an SVG"),
        ("print('no picture')", "could not be drawn"),
    ):
        child.write_text(code)
        monkeypatch.setattr(guarded, "MARGIN", 20)
        with pytest.raises(MivexError, match=words):
            draw_svg(tmp_path / "a.svg", 8, 8)


def test_what_is_harmless_is_drawn(tmp_path):
    dot = BytesIO()
    Image.new("RGBA", (2, 2), (255, 0, 0, 255)).save(dot, "PNG")
    inside = base64.b64encode(dot.getvalue()).decode()
    path = tmp_path / "a.svg"
    path.write_text(
        '<?xml version="1.0"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "svg11.dtd">\n<!-- > -->'
        f'<s:svg xmlns:s="http://www.w3.org/2000/svg" width="64px" height=\'32\'><s:a href="http://x">'
        f'<s:image width="64" height="32" preserveAspectRatio="none" href="data:image/png;base64,{inside}"/>'
        "</s:a></s:svg>"
        "<!-- end -->"
    )
    drawn = draw_svg(path, 64, 32)
    assert drawn[..., 3].min() == 1 and drawn[16, 32, 0] > 0.99 and drawn[16, 32, 1] < 0.01
    assert look_through(path.read_bytes(), "a").width == 64


def test_an_svg_is_placed_to_a_fraction_of_a_texel(tmp_path):
    """The centre of gravity follows the shift, in both directions, at any size and in a proxy."""
    path = tmp_path / "a.svg"
    path.write_text('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 20"><circle cx="10" cy="10" r="6"/></svg>')

    def middle(a):
        y, x = np.mgrid[: a.shape[0], : a.shape[1]] + 0.5
        return (a * x).sum() / a.sum(), (a * y).sum() / a.sum()

    for shift in ((0.0, 0.0), (0.3, -0.45), (2.75, 1.1)):
        for fine in (1, 4):
            got = middle(draw_svg(path, 40, 41, fine, shift, 0.8)[..., 3])
            assert got == pytest.approx((20 + shift[0], 20.5 + shift[1]), abs=0.03)
    step = STEPS["shape"]
    params = step.params(step="shape", file="a.svg", size=0.5, x=0.13, y=-0.07)
    context = Context(read_picture, lambda p: str(tmp_path / p))
    full = step.run(Surface(np.zeros((256, 256, 4), np.float32)), params, context)
    proxy = step.run(Surface(np.zeros((100, 100, 4), np.float32), scale=100 / 256, full=(256, 256)), params, context)
    assert np.array(middle(proxy.alpha)) / 100 == pytest.approx(np.array(middle(full.alpha)) / 256, abs=4e-4)


# Texts ----------------------------------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("content", "words"),
    [
        ('{"mivex": true}', "version"),
        ('{"mivex": 0}', "version"),
        ('{"mivex": -5}', "version"),
        ('{"mivex": 1.5}', "version"),
        ('{"mivex": 99}', "newer"),
        ("[]", "not a Mivex project"),
        ('{"mivex": 1, "overlays": [{"name": "\\ud800"}]}', "surrogate"),
        ('{"mivex": 1, "later": "\\udfff"}', "surrogate"),
        ('{"mivex": ' + "9" * 5000 + "}", "not a JSON"),
        ("[" * 100_000, "not a JSON"),
        ("", "empty"),
        ('{"mivex": 1, "overlays": [{"id": "a", "name": "x"}, {"id": "a", "name": "y"}]}', "same id"),
        ('{"mivex": 1, "overlays": [{"name": "x", "material": {"opacity": 1e999}}]}', "opacity"),
        ('{"mivex": 1, "cameras": [{"name": "c", "distance": NaN}]}', "distance"),
    ],
)
def test_a_project_that_cannot_be_says_why(tmp_path, content, words):
    path = tmp_path / "p.mivex"
    path.write_text(content)
    with pytest.raises(MivexError, match=words) as e:
        read_project(path)
    assert "p.mivex" in str(e.value)
    assert mivex_run("check", "p.mivex", cwd=tmp_path).returncode == 2


def test_a_text_of_bars_only_draws_nothing():
    blank = Surface(np.zeros((16, 16, 4), np.float32))
    for text in ("|", "||| |", " ", "", "\u200b"):
        out = STEPS["text"].run(blank, STEPS["text"].params(step="text", text=text), None)
        assert out.alpha.max() == 0


def test_byte_order_marks_and_names_that_cannot_be_printed(tmp_path):
    (tmp_path / "r.json").write_bytes(b"\xef\xbb\xbf" + b'{"steps": []}')
    assert read_recipe(tmp_path / "r.json").steps == ()
    name = os.fsdecode(b"caf\xe9.png")
    write_picture(tmp_path / "a.png", rgba(paint(8), disc(8)))
    os.rename(tmp_path / "a.png", os.fsencode(tmp_path) + b"/caf\xe9.png")
    done = mivex_run("check", name, "a\nb.png", cwd=tmp_path, process=True)
    assert done.returncode == 2 and "Traceback" not in done.stderr and len(done.stderr.strip().splitlines()) == 1


# Many pictures --------------------------------------------------------------------------------------------------------


def test_many_pictures_are_examined_in_order_with_the_bad_ones_in_the_list(tmp_path):
    good = rgba(np.full((32, 32, 3), 0.5), disc(32))
    names = [f"p{i}.png" for i in range(7)]
    for i, name in enumerate(names):
        if i in (2, 5):
            (tmp_path / name).write_bytes(b"\x89PNG\r\n\x1a\nbroken")
        else:
            write_picture(tmp_path / name, good)
    paths = [str(tmp_path / n) for n in names]
    done = mivex_run("check", *paths, "--json", process=True)
    told = json.loads(done.stdout)
    assert [p["path"] for p in told["pictures"]] == paths and done.returncode == 2
    assert [i for i, p in enumerate(told["pictures"]) if "problem" in p] == [2, 5]
    assert paths[2] in done.stderr and "1 more" in done.stderr and len(done.stderr.strip().splitlines()) == 1
    one = [report.report_on(p) for p in paths]
    assert told["pictures"] == [p for r in one for p in r.pictures]


def dying(path, receiver=""):
    """Examines nothing; one name ends the process at once."""
    if path == "bad":
        os._exit(9)
    return report.Report(path, [{"path": path}])


def test_a_picture_that_ends_its_process_takes_no_other_with_it(monkeypatch):
    monkeypatch.setattr(report, "report_on", dying)
    monkeypatch.setattr(report, "WORKERS", 2)
    told = []
    rows = list(report.report_all(["a", "b", "bad", "c", "bad", "d"], lambda done, of: told.append((done, of))))
    assert [r.path for r in rows] == ["a", "b", "bad", "c", "bad", "d"]
    assert [bool(r.problem) for r in rows] == [False, False, True, False, True, False]
    assert told[-1] == (6, 6)


# Mutations ------------------------------------------------------------------------------------------------------------


def mutated(rng, data):
    """Bytes changed, cut, or replaced, as a seeded generator has it."""
    data = bytearray(data)
    kind = rng.integers(0, 4)
    if kind == 0:
        return bytes(data[: rng.integers(0, len(data))])
    if kind == 3:
        at = int(rng.integers(0, len(data)))
        data[at : at + int(rng.integers(1, 40))] = bytes(rng.integers(0, 256, int(rng.integers(0, 40)), dtype=np.uint8))
        return bytes(data)
    for _ in range(rng.integers(1, 8)):
        data[rng.integers(0, len(data) if kind == 1 else min(len(data), 200))] = rng.integers(0, 256)
    return bytes(data)


def test_mutated_pictures_are_read_the_same_twice_or_refused_in_a_sentence(tmp_path, rng):
    values = rgba(paint(24), disc(24))
    sources = {}
    for name, bits in (
        ("a.png", 8),
        ("b.png", 16),
        ("a.tga", 8),
        ("a.tif", 8),
        ("b.tif", 16),
        ("a.exr", 32),
        ("a.ktx2", 8),
    ):
        write_picture(tmp_path / name, values, bits)
        sources[name] = (tmp_path / name).read_bytes()
    Image.fromarray(np.rint(values * 255).astype(np.uint8)).save(tmp_path / "a.webp", lossless=True)
    Image.fromarray(np.rint(values[..., :3] * 255).astype(np.uint8)).save(tmp_path / "a.jpg")
    for name in ("a.webp", "a.jpg"):
        sources[name] = (tmp_path / name).read_bytes()
    read = 0
    for i in range(3600):
        name = list(sources)[i % len(sources)]
        path = tmp_path / f"m_{name}"
        path.write_bytes(mutated(rng, sources[name]))
        try:
            first = read_picture(path)
        except MivexError as e:
            assert "\n" not in str(e) and str(e).endswith(".")
            continue
        read += 1
        assert np.isfinite(first.values).all() and first.values[..., 3].min() >= 0 and first.values[..., 3].max() <= 1
        assert np.array_equal(first.values, read_picture(path).values)  # no memory that nobody wrote
    assert read > 50


WILD = st.recursive(
    st.none() | st.booleans() | st.integers(-(2**40), 2**40) | st.floats(allow_nan=True) | st.text(max_size=8),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=5), inner, max_size=3),
    max_leaves=6,
)


@settings(max_examples=400, deadline=None, suppress_health_check=list(HealthCheck), derandomize=True)
@given(st.data())
def test_projects_and_recipes_with_anything_in_them_are_taken_or_refused(data):
    project = json.loads(PROJECT.read_text())
    overlay = project["overlays"][data.draw(st.integers(0, len(project["overlays"]) - 1))]
    targets = [
        project,
        overlay,
        overlay["source"],
        overlay["material"],
        overlay["delivery"],
        *overlay["steps"],
        *overlay["places"],
    ]
    for _ in range(data.draw(st.integers(1, 3))):
        target = data.draw(st.sampled_from(targets))
        target[data.draw(st.sampled_from(sorted(target)))] = data.draw(WILD)
    try:
        doc = loads(project, "“p”")
        assert loads(json.loads(dumps(doc)), "“p”") == doc
    except MivexError as e:
        assert str(e).startswith("“p”")
    try:
        parse_recipe({"steps": overlay["steps"]}, "“r”")
    except MivexError as e:
        assert str(e).startswith("“r”")


def test_mutated_texts_are_taken_or_refused(tmp_path, rng):
    drawing = (PROJECT.parent / "emblem.svg").read_bytes()
    project = PROJECT.read_bytes()
    for i in range(1000):
        path = tmp_path / ("a.svg" if i % 2 else "p.mivex")
        path.write_bytes(mutated(rng, drawing if i % 2 else project))
        try:
            if i % 2:
                look_through(path.read_bytes(), "a.svg")
            else:
                read_project(path)
        except MivexError as e:
            assert str(e).endswith(".") and "\n" not in str(e)


def test_the_command_line_prints_nothing_but_its_own_words(tmp_path, small_demo):
    """No leak report of a binding at exit, no warning of a library, in any command."""
    write_picture(tmp_path / "a.exr", np.full((8, 8, 4), 1e-30, np.float32), 32)
    write_picture(tmp_path / "a.png", rgba(paint(16), disc(16)))
    (tmp_path / "r.json").write_text('{"steps": [{"step": "text", "text": "N"}]}')
    for args in (
        ("check", "a.exr"),
        ("check", "a.png"),
        ("prepare", "a.png", "b.png", "--recipe", "r.json"),
        ("render", small_demo(), "v.png", "--size", "64x40"),
        ("schema",),
    ):
        done = mivex_run(*args, cwd=tmp_path, process=True)
        assert done.stderr == "" and done.returncode in (0, 1), (args, done.stderr)
    done = mivex_run("check", "gone.png", cwd=tmp_path, process=True, env={"PYTHONWARNINGS": "default"})
    assert done.stderr.count("\n") == 1 and sys.version_info >= (3, 11)
