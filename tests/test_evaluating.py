"""The cache, the graph's failures, and what is asked for again."""

import numpy as np
import pytest
from PySide6.QtCore import Qt
from sprites import disc, paint, rgba
from test_machine import Heard

from mivex.core.base.graph import Cache
from mivex.core.evaluation.targets import Target
from mivex.core.picture.encode import write_picture
from mivex.core.prepare import STEPS
from mivex.core.prepare.unmatte import Unmatte, clipped
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.shell.app import application


def test_the_cache_keeps_what_was_used_last_and_one_thing_at_least():
    cache = Cache(100)
    for key in "abc":
        cache.put(key, key, 40)
    assert [cache.get(k) for k in "abc"] == [None, "b", "c"]
    cache.get("b")
    cache.put("d", "d", 40)
    assert [cache.get(k) for k in "bcd"] == ["b", None, "d"]
    cache.put("b", "B", 10)  # the same again, smaller
    cache.put("e", "e", 50)
    assert [cache.get(k) for k in "bde"] == ["B", "d", "e"]
    cache.put("huge", "huge", 500)
    assert cache.get("huge") == "huge" and cache.get("b") is None and cache._used == 500


def test_what_was_dropped_is_computed_again_and_what_stays_is_not(tmp_path, monkeypatch):
    write_picture(tmp_path / "a.png", rgba(paint(64), disc(64)))
    runs = []
    step = STEPS["levels"]
    counted = type(step)(
        step.params, lambda s, p, c: (runs.append(p.gamma), step.run(s, p, c))[1], step.label, step.hint, step.station
    )
    monkeypatch.setitem(STEPS, "levels", counted)
    steps = tuple(step.params(step="levels", gamma=g) for g in (0.5, 0.9))
    for limit, again in ((1 << 28, []), (0, [0.5, 0.9])):
        evaluator = Evaluator(tmp_path, limit)
        o = Overlay(name="a", steps=steps, source={"path": "a.png"})
        first = evaluator.texture(o)
        assert runs == [0.5, 0.9]
        runs.clear()
        if limit == 0:
            evaluator.graph.cache.put("other", 1, 1)  # it drops everything else
        assert np.array_equal(evaluator.texture(o).values, first.values) and runs == again
        runs.clear()


def test_a_failing_step_is_that_overlays_problem_only_and_inputs_are_asked_for_again(tmp_path, monkeypatch):
    application()
    write_picture(tmp_path / "a.png", rgba(paint(32), disc(32)))
    step = STEPS["levels"]

    class Panic(BaseException):
        """As a binding may raise."""

    def run(surface, params, context):
        if params.gamma == 0.5:
            raise Panic("no way")
        return step.run(surface, params, context)

    monkeypatch.setitem(STEPS, "levels", type(step)(step.params, run, step.label, step.hint, step.station))
    session = Session()
    engine = Engine(session)
    noted = []
    engine.notice.connect(noted.append, Qt.ConnectionType.DirectConnection)
    heard = Heard(engine._prepare)
    try:
        rows = [
            Overlay(
                id=f"o{i}",
                name=f"Overlay {i}",
                source={"path": str(tmp_path / "a.png")},
                steps=(step.params(step="levels", gamma=g),),
            )
            for i, g in enumerate((0.9, 0.5, 0.8))
        ]
        session.apply("all", lambda d: d.model_copy(update={"overlays": tuple(rows)}))
        heard.until(
            lambda: (
                engine.idle and sum(bool(engine.get(f"o{i}").examined) for i in range(3)) == 2 and engine.get("o1").problem
            )
        )
        assert "no way" in engine.get("o1").problem and engine.get("o0").problem == engine.get("o2").problem == ""
        assert set(engine.results.overlays()) == {"o0", "o2"} and not noted
        # More inputs than are kept: the first was dropped, and is prepared again when it is asked for.
        many = tuple(step.params(step="levels", gamma=0.6 + i / 100) for i in range(14))
        session.apply("many", lambda d: edits.set_steps(d, "o0", many))
        heard.until(lambda: engine.idle)
        for i in range(14):
            engine.input_of("o0", i)
            heard.until(lambda i=i: engine.input_of("o0", i) is not None)
        assert engine.results.get(Target("o0", 0)).texture is None
        assert engine.input_of("o0", 0) is None
        heard.until(lambda: engine.input_of("o0", 0) is not None)
    finally:
        session.workers.end(10)


def test_a_check_that_fails_is_said_and_the_others_go_on(tmp_path, monkeypatch):
    application()
    from mivex.core.evaluation import results as module

    write_picture(tmp_path / "a.png", rgba(paint(32), disc(32)))
    real = module.examine
    monkeypatch.setattr(module, "examine", lambda s: real(s) if s.name != "Odd" else 1 / 0)
    session = Session()
    engine = Engine(session)
    heard = Heard(engine._examine)
    try:
        rows = tuple(Overlay(id=n, name=n, source={"path": str(tmp_path / "a.png")}) for n in ("Odd", "Even"))
        session.apply("all", lambda d: d.model_copy(update={"overlays": rows}))
        heard.until(lambda: engine.get("Even").examined and heard.failed)
        assert "ZeroDivisionError" in heard.failed[0][1] and engine.get("Odd").examined is None
    finally:
        session.workers.end(10)


def test_taking_a_matte_out_says_how_much_it_clips(tmp_path):
    """A white shape never lay over black: its soft texels would have to be brighter than white."""
    alpha = disc(64)
    white = rgba(np.ones((64, 64, 3)), alpha)
    from mivex.core.prepare.base import Surface

    soft = (alpha > 0.02) & (alpha < 1)
    share = clipped(Surface(white), Unmatte())
    # C/α with C = 1 leaves [0, 1] by more than rounding wherever α is below about 0.98.
    assert share == pytest.approx((soft & (alpha < 0.975)).sum() / soft.sum(), abs=0.03)
    assert clipped(Surface(rgba(alpha[..., None] * np.ones(3), alpha)), Unmatte()) == 0
    write_picture(tmp_path / "w.png", white)
    evaluator = Evaluator(tmp_path)
    t = evaluator.texture(Overlay(name="w", source={"path": "w.png"}, steps=(Unmatte(),)))
    assert len(t.notes) == 1 and "clipped" in t.notes[0] and "Remove matte" in t.notes[0]
