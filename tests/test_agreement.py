"""What must agree: proxy and full size, flat proof and finding, window and command line, figures and formulas."""

import json
import subprocess
import sys

import numpy as np
import pytest
from sprites import disc, paint, rgba, srgb_decode, srgb_encode
from test_project import mivex_run

from mivex.core.base.errors import Stopped
from mivex.core.base.graph import Graph, Node
from mivex.core.findings import Subject, examine
from mivex.core.findings.facts import facts_of
from mivex.core.material.material import Material
from mivex.core.picture import fringes
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.fringes import fringe_figures, fringe_map, true_levels
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.mips import build_chain, halve
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.tones import through
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import PROXY_SIDE, Evaluator
from mivex.core.project.file import write_project
from mivex.core.project.keeping import project_lock
from mivex.core.proof.cost import change_of
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat


def middle(a):
    y, x = (np.mgrid[: a.shape[0], : a.shape[1]] + 0.5) / np.array([[[a.shape[0]]], [[a.shape[1]]]])
    return np.array([(a * x).sum(), (a * y).sum()]) / a.sum()


@pytest.mark.parametrize(
    ("step", "settings"),
    [
        ("offset", {"x": 101, "y": -77, "border": "clear"}),
        ("pad", {"left": 301, "right": 44, "top": 13, "bottom": 207}),
        ("pad", {"to": "power"}),
        ("pad", {"to": "square"}),
        ("trim", {"margin": 21}),
        ("centre", {"find": "box"}),
        ("resize", {"to": "size", "width": 777, "height": 401}),
    ],
)
def test_a_proxy_lies_where_the_full_picture_lies(step, settings):
    """Sides that the proxy's scale does not divide: the middle stays within what rounding the proxy's own frame leaves."""
    h, w = 700, 1003
    y, x = np.mgrid[:h, :w]
    alpha = np.clip(1 - np.hypot(y - 300, x - 620) / 180, 0, 1)
    from mivex.core.picture.picture import Picture

    picture = Picture(rgba(np.full((h, w, 3), 0.5), alpha))
    evaluator = Evaluator()
    params = (STEPS[step].params.model_validate({"step": step, **settings}),)
    full = evaluator.prepare(picture, Source(meaning="colour"), params)
    proxy = evaluator.prepare(picture, Source(meaning="colour"), params, proxy=True)
    assert proxy.scale == PROXY_SIDE / w
    slack = 1 / proxy.scale * 1.01 if step == "trim" else 0  # a proxy finds the box to its own texels
    assert np.abs(np.array(proxy.full_size) - (full.width, full.height)).max() <= 2 * slack
    place = 0.4 / PROXY_SIDE if step != "trim" else 3 / PROXY_SIDE
    assert middle(proxy.alpha) == pytest.approx(middle(full.alpha), abs=place)
    assert proxy.pivot == pytest.approx(full.pivot, abs=place) and proxy.extent == pytest.approx(full.extent, abs=2 * place)


def test_levels_of_the_truth_are_those_of_the_premultiplied_chain(rng):
    for h, w in ((64, 64), (37, 50), (1, 9), (16, 3)):
        v = rng.random((h, w, 4)).astype(np.float32)
        dense = np.concatenate([v[..., :3] * v[..., 3:], v[..., 3:]], axis=2)
        chain = build_chain(dense)
        levels = list(true_levels(v))
        assert len(levels) == chain.levels - 1
        for i, level in enumerate(levels, 1):
            assert np.abs(level - chain.level(i)).max() < 2e-6
        assert np.array_equal(halve(v), halve(v, weigh=False))


def test_the_flat_proof_shows_the_fringe_that_the_finding_measured(tmp_path):
    """A texture that repeats: its borders meet, in the picture, in the finding and on the command line."""
    x = np.mgrid[:32, :32][1]
    alpha = np.where(x < 16, 1.0, 0.0)
    v = rgba(np.where((alpha > 0)[..., None], 230 / 255, 0.0) * np.ones(3), alpha)
    t = Texture(v)
    # Half a texel of code 230 at alpha 1 and half of black at 0: a quarter of its light where it should be a half.
    light = srgb_decode(v[0, 0, 0])
    seen = [
        max(abs(srgb_encode(light * k + back / 2) - srgb_encode(light / 2 + back / 2)) for k in (0.25,))
        for back in (0.0, float(srgb_decode(0.5)), 1.0)
    ]
    assert fringe_map(t, 0, wrap=True)[:, 31] == pytest.approx(max(seen) * 255, abs=0.05)
    assert fringe_map(t, 0)[:, 31].max() <= 0
    for wrap in (True, False):
        codes = draw_flat(t, FlatView(show="fringe", zoom=4, wrap=wrap), 128, 128)[64, :, 0]
        assert (codes[124:128].max() > 100) == wrap
    write_picture(tmp_path / "a.png", v)
    o = Overlay(name="A", source=Source(path="a.png", meaning="colour"), material=Material(tiling=True))
    write_project(tmp_path / "p.mivex", Document(overlays=(o,)))
    told = json.loads(mivex_run("check", "p.mivex", "--json", cwd=tmp_path).stdout)
    subject = Subject.of(o, Evaluator(tmp_path).texture(o))
    rows = told["pictures"][0]["fringe"]
    assert (
        [r["p99"] for r in rows]
        == [round(r.p99, 4) for r in subject.fringes]
        == [round(r.p99, 4) for r in facts_of(subject).fringes]
    )
    assert rows[0]["p99"] != round(fringe_figures(t)[0].p99, 4) or rows[0]["mean"] != round(fringe_figures(t)[0].mean, 4)


def test_figures_are_measured_once(monkeypatch):
    calls = []
    real = fringes._level_map
    monkeypatch.setattr(fringes, "_level_map", lambda *a, **k: (calls.append(1), real(*a, **k))[1])
    subject = Subject("s", Texture(rgba(np.full((64, 64, 3), 0.5), disc(64))))
    examine(subject)
    facts_of(subject)
    assert len(calls) == subject.texture.mips.levels


def test_what_a_change_costs_is_its_definition(rng):
    a = rgba(paint(40), disc(40))
    b = a.copy()
    b[10:20, 15:25, :3] = np.clip(b[10:20, 15:25, :3] + 0.2, 0, 1)
    got = change_of(Texture(a), Texture(b))
    worst = np.zeros((40, 40))
    for back in (0.0, 0.5, 1.0):
        seen = [srgb_encode(srgb_decode(v[..., :3]) * v[..., 3:] + (1 - v[..., 3:]) * srgb_decode(back)) for v in (a, b)]
        worst = np.maximum(worst, np.abs(seen[0] - seen[1]).max(axis=2))
    assert got.figure == pytest.approx(worst.max() * 255, abs=0.05)
    assert got.share == pytest.approx((worst[a[..., 3] > 0] > 4 / 255).mean(), abs=1e-6)
    assert change_of(Texture(a), Texture(a)).figure == 0


def test_a_curve_has_the_slopes_that_its_document_names():
    """The weighted harmonic mean of the chords' slopes (Fritsch and Butland 1984), and Hermite's cubic between."""
    points = ((0.0, 0.1), (0.2, 0.15), (0.55, 0.8), (0.7, 0.82), (1.0, 0.95))
    x, y = np.array(points).T
    h, d = np.diff(x), np.diff(y) / np.diff(x)
    w1, w2 = 2 * h[1:] + h[:-1], h[1:] + 2 * h[:-1]
    slope = (w1 + w2) / (w1 / d[:-1] + w2 / d[1:])
    for k in (1, 2):  # the inner pieces, whose slopes need no rule for the ends
        t = np.linspace(0, 1, 21)
        m0, m1 = slope[k - 1] * h[k], slope[k] * h[k]
        meant = (
            (2 * t**3 - 3 * t**2 + 1) * y[k]
            + (t**3 - 2 * t**2 + t) * m0
            + (-2 * t**3 + 3 * t**2) * y[k + 1]
            + (t**3 - t**2) * m1
        )
        assert np.abs(through(points, (x[k] + t * h[k]).astype(np.float32)) - meant).max() < 2e-6


def test_a_lock_ends_with_the_process_that_held_it(tmp_path):
    path = tmp_path / "dock.mivex"
    script = (
        f"from mivex.core.project.keeping import project_lock; l = project_lock({str(path)!r})\n"
        "print(l.take(), flush=True); input()"
    )
    child = subprocess.Popen([sys.executable, "-c", script], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True)
    assert child.stdout.readline().strip() == "True"
    lock = project_lock(path)
    assert not lock.take()
    child.kill()
    child.wait()
    assert lock.take()
    lock.free()
    lock.free()  # free twice is free


def test_steps_that_move_texels_move_every_channel(rng):
    """A channel that says where each texel came from still says so after every step that moves texels."""
    y, x = (np.mgrid[:32, :48] + 0.5).astype(np.float32)
    alpha = np.zeros((32, 48), np.float32)
    alpha[6:28, 9:40] = 1
    values = np.dstack([x / 48, y / 32, 0 * x, alpha]).astype(np.float32)
    where = np.ascontiguousarray(values[..., :3])
    s = Surface(values, data=True, channels={"height": where})
    for name, settings in (
        ("offset", {"x": 5, "y": -3}),
        ("trim", {"margin": 1}),
        ("pad", {"left": 3, "top": 7}),
        ("centre", {}),
        ("resize", {"to": "size", "width": 24, "height": 16}),
    ):
        step = STEPS[name]
        out = step.apply(s, step.params.model_validate({"step": name, **settings}), Context(read_picture))
        moved, seen = out.channels["height"], out.alpha > 0.99
        assert moved.shape[:2] == out.alpha.shape and np.abs(moved - out.values[..., :3])[seen].max() < 1e-6, name
    # A step that changes colour leaves them alone; the finished texture has them, as data.
    tinted = STEPS["levels"].apply(s, STEPS["levels"].params(step="levels", gamma=0.5), Context(read_picture))
    assert tinted.channels["height"] is where


def test_a_node_is_made_once_and_its_inputs_only_when_it_has_to_be():
    made = []

    def node(key, *inputs):
        return Node(key, lambda *parts: made.append(key) or (key, *parts), inputs, size=lambda _: 10)

    graph = Graph(limit=25)
    a = node("a")
    top = node("c", node("b", a), a)
    assert graph.value(top) == ("c", ("b", ("a",)), ("a",)) and made == ["a", "b", "c"]
    graph.value(top)
    assert made == ["a", "b", "c"]
    graph.value(node("d", top))  # "a" and "b" had to make room; what is kept is not made anew for them
    assert made == ["a", "b", "c", "d"]
    with pytest.raises(Stopped):
        graph.value(node("e", node("f")), stop=lambda: True)


@pytest.mark.parametrize("blend", BLENDS)
def test_the_flat_proof_blends_as_the_project_does(blend, rng):
    """In linear light, or in display values as some receivers do: the equation by hand, over every backdrop's grey."""
    values = rng.uniform(0, 1, (8, 8, 4)).astype(np.float32).round(2)
    texture, back = Texture(values), 0.5
    for display in (False, True):
        view = FlatView(backdrop="grey", blend=blend, opacity=0.8, cutoff=0.4, display=display)
        got = draw_flat(texture, view, 8, 8).astype(float)

        def light(v, display=display):
            return v if display else np.asarray(srgb_decode(v))

        c, a, below = light(values[..., :3].astype(float)), values[..., 3:].astype(float) * 0.8, light(np.full(3, back))
        if blend == "Cutout":
            out = np.where(a >= 0.4, c, below)
        elif blend == "Solid":
            out = c
        elif blend == "Dithered":
            continue  # its matrix has tests of its own
        else:
            out = {
                "Translucent": c * a + below * (1 - a),
                "Premultiplied": c * 0.8 + below * (1 - a),
                "Additive": c * a + below,
                "Multiply": below * (c * a + 1 - a),
            }[blend]
        out = np.clip(out, 0, 1)
        want = (out if display else srgb_encode(out)) * 255
        assert np.abs(got - want).max() < 1.02, (display, np.abs(got - want).max())
