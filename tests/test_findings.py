"""Each finding: found where the fault is, silent where it is not, gone after its repair."""

import numpy as np
import pytest
from sprites import cut_from, disc, paint, rgba, srgb_decode, srgb_encode

from mivex.core.findings import Subject, examine
from mivex.core.findings.texture.matte import holds
from mivex.core.findings.texture.matte_fit import fit_matte
from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.fringes import fringe_figures, fringe_map
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.premultiply import Premultiply
from mivex.core.prepare.premultiply import run as premultiply
from mivex.core.prepare.spread import Spread
from mivex.core.prepare.spread import run as spread
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator

CONTEXT = Context(read_picture)


def texture(values, **more):
    return Texture(quantise(np.asarray(values, np.float32), 8), **more)


def sprite_on_black(n=128):
    v = rgba(np.full((n, n, 3), 0.9), disc(n))
    v[v[..., 3] == 0, :3] = 0
    return v


def slow_fringe(t, level):
    """The figure's definition, texel by texel, in double precision."""
    chain = [srgb_decode(t.values[..., :3].astype(float)), t.values[..., 3].astype(float)]
    straight, alpha = chain
    true = straight * alpha[..., None]
    n = 2**level

    def box(a):
        h, w = a.shape[0] // n, a.shape[1] // n
        return a.reshape(h, n, w, n, *a.shape[2:]).mean(axis=(1, 3))

    if level == 0:

        def box(a):
            a = np.pad(a, [(0, 1), (0, 1)] + [(0, 0)] * (a.ndim - 2), mode="edge")
            return (a[:-1, :-1] + a[:-1, 1:] + a[1:, :-1] + a[1:, 1:]) / 4

    C, P, a = box(straight), box(true), box(alpha)[..., None]
    worst = np.zeros(a.shape[:2])
    for back in (0.0, float(srgb_decode(0.5)), 1.0):
        seen = [np.clip(k + (1 - a) * back, 0, 1) for k in (C * a, P)]
        worst = np.maximum(worst, np.abs(srgb_encode(seen[0]) - srgb_encode(seen[1])).max(axis=-1))
    return np.where(a[..., 0] > 0, worst * 255, -1)


def test_fringe_is_what_its_definition_says_and_falls_twentyfold_after_spread():
    t = texture(sprite_on_black())
    for level in (0, 1, 3, 5):
        assert np.abs(fringe_map(t, level) - slow_fringe(t, level)).max() < 0.02
    before = fringe_figures(t)
    repaired = spread(Surface(t.values), Spread(), CONTEXT)
    after = fringe_figures(texture(repaired.values))
    assert max(r.p99 for r in before) > 20
    for b, a in zip(before, after, strict=True):
        assert a.maximum <= b.maximum / 20 and a.p99 <= max(b.p99 / 20, 1e-3)
    multiplied = premultiply(Surface(t.values), Premultiply(), CONTEXT)
    assert max(r.maximum for r in fringe_figures(texture(multiplied.values, premultiplied=True))) == 0


@pytest.mark.parametrize("space", ["display", "linear"])
@pytest.mark.parametrize("matte", [(0.0, 0.0, 0.0), (1.0, 1.0, 1.0), (0.1, 0.7, 0.2)])
@pytest.mark.parametrize("kind", ["plain", "varied"])
def test_a_matte_is_found_named_and_removed(matte, space, kind):
    alpha = disc()
    rgb = paint() if kind == "varied" else np.broadcast_to([0.8, 0.5, 0.3], (128, 128, 3))
    t = texture(rgba(cut_from(rgb, alpha, matte, space), alpha))
    found = [f for f in examine(Subject("s", t)) if f.id == "matte"]
    assert len(found) == 1
    step = found[0].repair.steps[0]
    assert found[0].details["share"] > 0.9
    # Compared in the values in which the blend was made.
    named, true = np.array(found[0].details["matte"]), np.array(matte)
    assert np.abs(named - true if space == "display" else srgb_decode(named) - srgb_decode(true)).max() < 0.05
    assert found[0].details["space"] == space
    from mivex.core.prepare.unmatte import run as unmatte

    mended = unmatte(Surface(t.values), step, CONTEXT)
    seen = alpha > 0.25
    error_before = np.abs(t.values[..., :3] - rgb)[seen].mean()
    assert np.abs(mended.values[..., :3] - rgb)[seen].mean() < error_before / 4
    assert not [f for f in examine(Subject("s", texture(mended.values))) if f.id == "matte"]


def test_a_clean_sprite_has_no_matte(rng):
    alpha = disc()
    two = np.where((np.arange(128) > 64)[None, :, None], [0.9, 0.2, 0.2], [0.2, 0.3, 0.9]) * np.ones((128, 128, 1))
    grain = np.clip(paint() + rng.normal(0, 0.05, (128, 128, 3)), 0, 1)
    for rgb in (np.full((128, 128, 3), 0.7), paint(), two, grain):
        for hidden in (None, 0.0, 1.0):
            v = rgba(rgb, alpha)
            if hidden is not None:
                v[alpha == 0, :3] = hidden
            fit = fit_matte(texture(v))
            assert fit is None or not holds(fit)


def overlay_project(tmp_path, values, bits=8, **material):
    write_picture(tmp_path / "a.png", np.asarray(values, np.float32), bits)
    o = Overlay(id="o", name="Probe", source=Source(path="a.png", meaning="colour"), material=Material(**material))
    return Document(overlays=(o,)), Evaluator(tmp_path)


def findings_of(doc, evaluator):
    o = doc.overlays[0]
    return {f.id: f for f in examine(Subject(o.name, evaluator.texture(o), o.material, o.id))}


solid = np.full((64, 64), 1.0)
CASES = {
    "no-alpha": (np.dstack([paint(64)]), {}),
    "constant-alpha": (rgba(paint(64), solid), {}),
    "fringe": (sprite_on_black(64), {}),
    "matte": (rgba(cut_from(paint(64), disc(64), (0, 0, 0)), disc(64)), {}),
    "border": (rgba(np.full((64, 64, 3), 0.5), np.maximum(disc(64), 0.3 * (np.mgrid[:64, :64][0] < 3))), {}),
    "size": (
        np.pad(
            rgba(np.full((60, 48, 3), 0.5), disc(64)[2:62, 8:56] * (np.mgrid[:60, :48][1] % 47 > 0)),
            ((0, 0), (0, 0), (0, 0)),
        ),
        {},
    ),
    "depth-write": (rgba(np.full((64, 64, 3), 0.5), disc(64)), {"depth_write": True}),
}


@pytest.mark.parametrize("check", CASES)
def test_each_finding_has_figure_place_reason_and_a_repair_that_mends_it(tmp_path, check):
    values, material = CASES[check]
    doc, evaluator = overlay_project(tmp_path, values, **material)
    f = findings_of(doc, evaluator)[check]
    assert f.message.endswith(".") and f.why.endswith(".") and f.unit and f.overlay == "o"
    t = evaluator.texture(doc.overlays[0])
    assert f.place and f.place[2] > 0 and f.place[0] < t.width and f.place[1] < t.height
    mended = f.repair(doc)
    assert mended != doc
    assert check not in findings_of(mended, evaluator)


def test_a_sound_overlay_has_no_findings(tmp_path):
    doc, evaluator = overlay_project(tmp_path, rgba(np.full((64, 64, 3), 0.5), disc(64)))
    assert findings_of(doc, evaluator) == {}
    border, evaluator = overlay_project(tmp_path, CASES["border"][0], blend="Solid", depth_write=True)
    assert findings_of(border, evaluator) == {}


def test_figures_are_right():
    v = rgba(np.full((64, 32, 3), 0.5), np.zeros((64, 32)))
    v[20:40, 10:20, 3] = 1
    v[:8, :6, 3] = 0.5
    f = {f.id: f for f in examine(Subject("s", texture(v), Material(depth_write=True)))}
    assert f["border"].figure == pytest.approx(100 * (8 + 5) / (2 * 32 + 2 * 62))
    assert f["border"].place == (0, 0, 1, 64)
    assert f["depth-write"].figure == pytest.approx(100 * (1 - 200 / 2048))


def test_a_crisp_shape_whose_edge_itself_holds_the_key_is_mended_from_within(tmp_path):
    """Green in the outermost texels cannot be cured by spreading from them; a faint shape's own colour stays its own."""
    alpha = disc(128, 0.3, 0.02)
    rgb = np.where((alpha > 0.6)[..., None], [0.8, 0.5, 0.3], [0.1, 0.8, 0.2])
    doc, evaluator = overlay_project(tmp_path, rgba(rgb, alpha))
    f = findings_of(doc, evaluator)["fringe"]
    assert f.repair.steps[0].solid_from == 0.5
    assert "fringe" not in findings_of(f.repair(doc), evaluator)
    y, x = np.mgrid[:128, :128]
    glass = 0.25 * (disc(128) > 0) + 0.7 * np.exp(-((y - 50.0) ** 2 + (x - 50.0) ** 2) / 60) * (disc(128) > 0)
    own = np.where((glass > 0.5)[..., None], [0.9, 0.95, 1.0], [0.2, 0.5, 0.5])
    assert "fringe" not in findings_of(*overlay_project(tmp_path, rgba(own, glass)))


def test_a_flat_backdrop_of_any_colour_is_taken_out_whole_and_its_fringe_is_mended(tmp_path):
    """The repairs one after the other on a brown shape over colours that no short decimal holds."""
    y, x = np.mgrid[:96, :128]
    cover = np.clip((1 - ((x - 64) / 48) ** 2 - ((y - 48) / 30) ** 2) * 6, 0, 1)[..., None]
    for backdrop in ((26, 191, 51), (7, 7, 7), (250, 1, 133)):
        shape = np.array((166, 77, 38)) * cover + np.array(backdrop) * (1 - cover)
        write_picture(tmp_path / "shape.png", (np.round(shape) / 255).astype(np.float32), 8)
        o = Overlay(id="a", name="Shape", kind="sprite", source=Source(path=str(tmp_path / "shape.png")))
        for wanted in ("no-alpha", "fringe"):
            doc = Document(overlays=(o,))
            found = {f.id: f for f in examine(Subject.of(o, Evaluator(tmp_path).texture(o, doc)))}
            if wanted in found:
                for edit in found[wanted].repair.edits:
                    doc = edit(doc)
                o = doc.overlays[0]
        texture = Evaluator(tmp_path).texture(o, Document(overlays=(o,)))
        # The least alpha that explains the shape's colour over the backdrop (Smith and Blinn 1996).
        least = max((c - b) / (255 - b) if c > b else (b - c) / b for c, b in zip((166, 77, 38), backdrop, strict=True))
        assert texture.alpha[:8].max() == 0 and abs(texture.alpha[48, 64] - least) < 1 / 255
        assert not {"no-alpha", "fringe"} & {f.id for f in examine(Subject.of(o, texture))}
