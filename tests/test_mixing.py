"""Particles among others: each takes its place in the order by itself, as if it were a placement of its own."""

from dataclasses import replace

import numpy as np
import pytest
from test_motion import effect, puff

from mivex.core.advice.nudge_model import NudgeModel
from mivex.core.advice.order import applied
from mivex.core.material.material import Material
from mivex.core.motion.model import Facing
from mivex.core.pixels.colour import to_display
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.scene.draw_calls import Scene, draw_list, render
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.ledger import FragmentQuery
from mivex.core.stage.lights import Lighting
from mivex.core.stage.painter import Painter
from mivex.core.stage.passes import RenderPlan, draw_all
from mivex.core.stage.placements_model import Around, PanelPlace

VIEW = View(Camera(name="c", target=(0, 0, 0), yaw=10, pitch=5, distance=4), 192, 120, 1.7)
BLENDS = ("Translucent", "Premultiplied", "Additive", "Multiply")


def drawn_scene(seed: int) -> Document:
    """Two to four parts in the same room, panes between them, one part drawn by itself now and then."""
    rng = np.random.default_rng(seed)
    rows, effects = [], []
    for k in range(int(rng.integers(2, 5))):
        tint = tuple(float(v) for v in rng.uniform(0, 1, 3))
        more = {"opacity": 0.8, "nudge": int(rng.integers(0, 2)) if seed % 3 == 0 else 0}
        if rng.random() < 0.2:
            more["glass"] = {"on": True, "thickness": 0.1}  # it reads what is behind it: a whole
        m = Material(lit=bool(rng.random() < 0.3), blend=str(rng.choice(BLENDS)), **more)
        rows.append(Overlay(id=f"o{k}", name=f"O{k}", source=Source(canvas=(64, 64)), material=m))
        e = effect(
            {"form": "sphere", "size": (2, 2, 2), "rate": float(rng.uniform(4, 25)), "way": "round"},
            {"speed": (0, 0.3), "width": (0.3, 0.7), "tint": (tint, tint), "opacity": (0.5, 1.0)},
            facing={
                "facing": str(rng.choice(["camera", "crossed", "fixed", "stretched"])),
                "order": str(rng.choice(["far", "far", "far", "apart", "oldest"])),
                "nudge": 2 if seed % 4 == 0 and k else 0,
            },
            at=tuple(float(v) for v in rng.uniform(-0.3, 0.3, 3)),
        )
        part = e.parts[0].model_copy(update={"overlay": f"o{k}"})
        effects.append(e.model_copy(update={"id": f"e{k}", "name": f"E{k}", "seed": seed + k, "parts": (part,)}))
    for k in range(int(rng.integers(0, 4))):
        place = PanelPlace(at=(0.0, 0.0, float(rng.uniform(-0.9, 0.9))), width=2, height=2, yaw=float(rng.uniform(-20, 20)))
        m = Material(lit=False, opacity=0.6, blend=str(rng.choice(BLENDS)))
        rows.append(Overlay(id=f"p{k}", name=f"P{k}", source=Source(canvas=(64, 64)), material=m, places=(place,)))
    return Document(overlays=tuple(rows), effects=tuple(effects), around=Around(path="none.obj"))


def textures_of(doc: Document) -> dict:
    return {o.id: puff() for o in doc.overlays}


def one_by_one(draws: list[DrawCall], view: View) -> list[DrawCall]:
    """The slow twin: every particle a draw of its own, sorted as placements are."""
    rows = []
    for d in draws:
        if d.mesh.away is None or d.material.glass.on:
            rows.append(d)
            continue
        ends = np.flatnonzero(np.diff(d.mesh.away, append=np.nan) != 0) + 1
        for a, b in zip([0, *ends[:-1]], ends, strict=True):
            m = d.mesh
            facts = None if m.facts is None else m.facts[a:b]
            mesh = replace(m, index=m.index[a:b], facts=facts, away=None)
            rows.append(replace(d, mesh=mesh, order=(*d.order[:2], -float(m.away[a]))))
    return sorted(rows, key=lambda d: d.order)


@pytest.mark.parametrize("seed", range(12))
def test_mixing_particles_are_drawn_as_if_each_were_a_placement(seed: int) -> None:
    doc = drawn_scene(seed)
    draws = draw_list(doc, textures_of(doc), VIEW)
    twin = one_by_one(draws, VIEW)
    got, due = draw_all(draws, VIEW), draw_all(twin, VIEW)
    assert np.array_equal(got.colour, due.colour)
    # Exact order does not depend on who comes first but where depths are level.
    exact = draw_exact(draws, VIEW).colour
    assert np.abs(exact - draw_exact(twin, VIEW).colour).max() < 2e-6
    # The ledger lists them as they are drawn, and ends where the pictures do.
    query = FragmentQuery(draws, VIEW, Lighting())
    for x, y in np.random.default_rng(seed).integers((40, 20), (150, 100), (6, 2)).tolist():
        account = query.account(x, y)
        assert np.abs(np.array(account.end("set")) - got.colour[y, x]).max() < 2e-6
        assert np.abs(np.array(account.end("exact")) - exact[y, x]).max() < 2e-6
        assert {r.face for r in account.exact} <= {r.face for r in account.set}


def test_two_parts_in_one_room_mix_and_a_pane_parts_them() -> None:
    """Red and green on one line of sight, by turns, and a pane: the order follows from the distances alone."""
    doc = drawn_scene(1)
    rows = [o.model_copy(update={"material": Material(lit=False, opacity=0.5), "places": ()}) for o in doc.overlays[:2]]
    pane = PanelPlace(at=(0, 0, -0.2), width=3, height=3)
    glass = Overlay(
        id="p", name="P", source=Source(canvas=(64, 64)), material=Material(lit=False, opacity=0.5), places=(pane,)
    )
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=4), 64, 64, 1.0)
    parts = []
    for k, o in enumerate(rows):
        # One particle every second, of no speed: three each stand where a slow drift along z has brought them.
        e = effect(
            {"rate": 2, "way": "given", "along": (0, 0, 1)},
            {"speed": (0.5, 0.5), "width": (1, 1), "life": (3, 3)},
            at=(0, 0, -0.55 + 0.11 * k),
        )
        part = e.parts[0].model_copy(update={"overlay": o.id})
        parts.append(e.model_copy(update={"id": f"e{k}", "name": f"E{k}", "parts": (part,)}))
    doc = Document(overlays=(*rows, glass), effects=tuple(parts), around=Around(path="none.obj"))
    draws = draw_list(doc, textures_of(doc), view)
    shot = RenderPlan(draws, view)
    names = [draws[int(p["draw"])].name for p in shot.polys[: shot.count]]
    z = sorted(
        [(e.at[2] + 0.5 * age, e.parts[0].overlay) for e in parts for age in np.arange(0, 1.0001, 0.5)] + [(-0.2, "p")]
    )
    # Births at 0, 0.5 and 1 second: what is born this instant may or may not be there yet.
    due = [{"o0": "O0", "o1": "O1", "p": "P"}[who] for _, who in z]
    assert names in (due, [n for (at, _), n in zip(z, due, strict=True) if at > -0.44 + 1e-9])
    assert "P" in names and names.index("P") not in (0, len(names) - 1)
    # By themselves they are wholes again: all of one, then all of the other, as their middles lie.
    alone = tuple(
        e.model_copy(update={"parts": (e.parts[0].model_copy(update={"facing": Facing(order="apart")}),)}) for e in parts
    )
    whole = draw_list(doc.model_copy(update={"effects": alone}), textures_of(doc), view)
    order = RenderPlan(whole, view)
    names = [whole[int(p["draw"])].name for p in order.polys[: order.count]]
    assert names == sorted(names, key=names.index) and len(set(names)) == 3


@pytest.mark.parametrize("seed", (3, 4, 5))
def test_edits_redraw_what_they_touch_where_particles_mix(seed: int) -> None:
    """Played and edited through one painter, the picture is the one that is drawn afresh."""
    doc, rng = drawn_scene(seed), np.random.default_rng(seed)
    scene, painter, textures = Scene(), Painter(), textures_of(doc)
    for step in range(6):
        view = replace(VIEW, time=1.0 + 0.1 * (step // 2))
        if step % 2:
            k = int(rng.integers(len(doc.overlays)))
            o = doc.overlays[k]
            o = o.model_copy(update={"material": o.material.model_copy(update={"opacity": float(rng.uniform(0.2, 1))})})
            doc = doc.model_copy(update={"overlays": (*doc.overlays[:k], o, *doc.overlays[k + 1 :])})
        got = painter.paint(scene.draws(doc, textures, view), view, doc.lighting)
        due = Painter().paint(Scene().draws(doc, textures, view), view, doc.lighting)
        assert np.abs(got.astype(int) - due.astype(int)).max() <= 1, step
    assert render(doc, textures, VIEW).colour[..., 3].any()


@pytest.mark.parametrize("seed", (1, 2, 4, 7, 8))
def test_the_adviser_s_model_knows_that_particles_mix(seed: int) -> None:
    """What it says of other nudges is what a render shows, with parts in one room and panes between them."""
    doc = drawn_scene(seed)
    rng, size, textures = np.random.default_rng(seed), (64, 40), textures_of(doc)
    # Bent light is judged by what lies straight behind: here nothing bends it.
    rows = tuple(
        o.model_copy(update={"material": o.material.model_copy(update={"glass": Material().glass, "lit": False})})
        for o in doc.overlays
    )
    view = View(VIEW.camera, *size, VIEW.time)
    doc = doc.model_copy(update={"overlays": rows, "cameras": (VIEW.camera,)})

    def rendered(nudges: dict[str, int]) -> float:
        draws = draw_list(applied(doc, nudges, ()), textures, view)
        exact = draw_exact(draws, view).colour
        codes = [np.rint(to_display(np.clip(c[..., :3], 0, 1)) * 255) for c in (draw_all(draws, view).colour, exact)]
        return float(np.abs(codes[0] - codes[1]).mean())

    model = NudgeModel([(draw_list(doc, textures, view), view)], doc.lighting)
    assert abs(model.error - rendered({})) < 0.03 + 0.02 * model.error
    for _ in range(6):
        tried = {str(o): int(rng.integers(-2, 3)) for o in rng.choice([o.id for o in doc.overlays], 2)}
        want = rendered(tried)
        assert abs(model.would_be(tried) - want) < 0.03 + 0.02 * want, tried
