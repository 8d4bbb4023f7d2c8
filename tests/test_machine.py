"""Edits with undo and redo under every order of use; background work; caches; the engine when something fails."""

import threading
import time

import pytest
from hypothesis import HealthCheck, settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, invariant, precondition, rule

from mivex.core.base import log
from mivex.core.base.bands import LONG, run_bands
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.prepare import STEPS
from mivex.core.project import edits
from mivex.core.project.file import dumps, loads
from mivex.core.stage.camera import Camera
from mivex.core.stage.placements_model import BillboardPlace, HullPlace, PanelPlace
from mivex.ui.session.session import HISTORY, Session
from mivex.ui.session.worker import Workers
from mivex.ui.shell.app import application


class Bench(RuleBasedStateMachine):
    """A session edited at random, beside a plain list of the documents that were."""

    @initialize()
    def begin(self):
        application()
        self.session = Session()
        self.past, self.future = [], []

    def made(self, before):
        """An edit was made: what could be redone is gone."""
        if self.session.doc != before:
            self.past.append(before)
            self.future = []

    def edit(self, change, merge=""):
        before = self.session.doc
        self.session.apply("edit", change, merge)
        self.made(before)

    @property
    def keys(self):
        return [o.id for o in self.session.doc.overlays]

    @rule(kind=st.sampled_from(["glass", "decal", "logo", "sprite"]), name=st.sampled_from(["Pane", "Mark", "Puff"]))
    def add(self, kind, name):
        self.edit(lambda d: edits.add_blank(d, name, kind, (16, 8))[0])

    @precondition(lambda self: self.keys)
    @rule(data=st.data())
    def change_one(self, data):
        key = data.draw(st.sampled_from(self.keys))
        o = self.session.doc.overlay(key)
        steps = len(o.steps)
        choice = data.draw(st.sampled_from(["copy", "remove", "move", "step", "place", "blend", "kind", "hide", "split"]))
        if choice == "copy":
            self.edit(lambda d: edits.copy_overlay(d, key)[0])
        elif choice == "remove":
            self.edit(lambda d: edits.remove_overlay(d, key))
        elif choice == "move":
            self.edit(lambda d: edits.move_overlay(d, key, data.draw(st.integers(-3, 3))))
        elif choice == "split":
            self.edit(lambda d: edits.split_channels(d, key, ["red", "alpha"]))
        elif choice == "step":
            name = data.draw(st.sampled_from(sorted(STEPS)))
            self.edit(lambda d: edits.add_step(d, key, STEPS[name].params(step=name), data.draw(st.integers(0, steps))))
        elif choice == "place":
            place = data.draw(st.sampled_from([PanelPlace, HullPlace, BillboardPlace]))()
            self.edit(lambda d: edits.add_place(d, key, place))
        elif choice == "blend":
            blend = data.draw(st.sampled_from(["Solid", "Cutout", "Translucent", "Additive"]))
            self.edit(lambda d: edits.set_fields(d, key, "material", blend=blend))
        elif choice == "kind":
            self.edit(lambda d: edits.set_kind(d, key, data.draw(st.sampled_from(["glass", "sprite"]))))
        else:
            self.edit(lambda d: edits.set_fields(d, key, "", shown=not o.shown))

    @precondition(lambda self: any(o.steps for o in self.session.doc.overlays))
    @rule(data=st.data())
    def change_a_step(self, data):
        o = data.draw(st.sampled_from([o for o in self.session.doc.overlays if o.steps]))
        i = data.draw(st.integers(0, len(o.steps) - 1))
        change = data.draw(
            st.sampled_from(
                [
                    lambda d: edits.remove_step(d, o.id, i),
                    lambda d: edits.move_step(d, o.id, i, 1),
                    lambda d: edits.move_step(d, o.id, i, -9),
                    lambda d: edits.set_step(d, o.id, i, on=not o.steps[i].on),
                ]
            )
        )
        self.edit(change)

    @precondition(lambda self: any(o.places for o in self.session.doc.overlays))
    @rule(data=st.data())
    def change_a_place(self, data):
        o = data.draw(st.sampled_from([o for o in self.session.doc.overlays if o.places]))
        p = data.draw(st.sampled_from(o.places))
        roll = data.draw(st.floats(-180, 180))
        self.edit(
            data.draw(
                st.sampled_from(
                    [lambda d: edits.remove_place(d, o.id, p.id), lambda d: edits.set_place(d, o.id, p.id, roll=roll)]
                )
            )
        )

    @rule(yaw=st.floats(-90, 90))
    def keep_a_view(self, yaw):
        self.edit(lambda d: edits.set_camera(d, Camera(name="Mine", yaw=yaw)))

    @precondition(lambda self: self.keys)
    @rule(values=st.lists(st.floats(0, 1), min_size=1, max_size=5), data=st.data())
    def drag_a_slider(self, values, data):
        key = data.draw(st.sampled_from(self.keys))
        before = self.session.doc
        entries = len(self.session._back)
        for v in values:
            self.session.apply("drag", lambda d, v=v: edits.set_fields(d, key, "material", opacity=v), merge="slider")
        self.session.end_merge()
        assert len(self.session._back) <= entries + 1
        if len(self.session._back) > entries:  # however it ends, it is one entry, and the way back is free
            self.past.append(before)
            self.future = []

    @rule()
    def undo(self):
        if self.past:
            self.future.append(self.session.doc)
            expected = self.past.pop()
            self.session.undo()
            assert self.session.doc == expected
        else:
            self.session.undo()

    @rule()
    def redo(self):
        if self.future:
            self.past.append(self.session.doc)
            expected = self.future.pop()
            self.session.redo()
            assert self.session.doc == expected
        else:
            self.session.redo()

    @invariant()
    def what_is_chosen_exists_and_the_file_keeps_it_all(self):
        s = self.session
        assert (s.overlay is not None) == bool(s.doc.overlays)
        if s.overlay is not None and s.place_id:
            assert s.place_id in [p.id for p in s.overlay.places]
        assert len(self.past) == len(s._back) <= HISTORY and len(self.future) == len(s._forward)
        assert loads(__import__("json").loads(dumps(s.doc)), "p") == s.doc
        assert s.saved == (s.doc == s._saved)


Bench.TestCase.settings = settings(
    max_examples=25, stateful_step_count=25, deadline=None, derandomize=True, suppress_health_check=list(HealthCheck)
)
TestBench = Bench.TestCase


# Workers --------------------------------------------------------------------------------------------------------------


class Heard:
    """What a worker said, gathered in the window's thread."""

    def __init__(self, worker):
        self.done, self.failed, self.reported, self.busy = [], [], [], []
        worker.done.connect(lambda t, v: self.done.append((t, v)))
        worker.failed.connect(lambda t, w: self.failed.append((t, w)))
        worker.reported.connect(lambda t, v: self.reported.append((t, v)))
        worker.busy.connect(self.busy.append)

    def until(self, condition):
        app = application()
        for _ in range(20_000):
            app.processEvents()
            if condition():
                return
            threading.Event().wait(0.0005)
        raise AssertionError("it never came")


@pytest.fixture
def worker():
    application()
    workers = Workers()
    yield workers.latest("probe")
    assert workers.end(10) == []


def test_a_worker_drops_what_waits_halts_what_runs_and_outlives_every_error(worker):
    heard = Heard(worker)
    started, go = threading.Event(), threading.Event()

    def slow(report, stopped):
        started.set()
        report("half")
        go.wait(10)
        if stopped():
            raise Stopped
        return "slow"

    worker.ask(1, slow)
    started.wait(10)
    for token in (2, 3, 4):
        worker.ask(token, lambda _r, _s, t=token: t)  # 2 and 3 are never begun
    assert not worker.idle
    go.set()
    heard.until(lambda: worker.idle and len(heard.done) == 2)
    assert heard.done == [(1, "slow"), (4, 4)] and heard.reported == [(1, "half")]
    # A newer request may ask the running one to stop.
    started.clear()
    go.clear()
    worker.ask(5, slow)
    started.wait(10)
    worker.ask(6, lambda _r, _s: "new", halt=True)
    go.set()
    heard.until(lambda: (6, "new") in heard.done)
    assert (5, "slow") not in heard.done and not heard.failed

    class Panic(BaseException):
        """As a binding may raise."""

    for token, error, words in (
        (7, MivexError("That cannot be."), "That cannot be."),
        (8, MemoryError(), "memory"),
        (9, ValueError("odd"), "odd"),
        (10, Panic("at the disco"), "Panic"),
        (11, SystemExit(3), "3"),
    ):

        def fail(_r, _s, error=error):
            raise error

        worker.ask(token, fail)
        heard.until(lambda t=token: any(k == t for k, _ in heard.failed))
        assert words in dict(heard.failed)[token]
    worker.ask(12, lambda _r, _s: "alive")
    heard.until(lambda: (12, "alive") in heard.done and heard.busy.count(True) == heard.busy.count(False))
    written = (log.state_folder() / "mivex.log").read_text()
    assert "Panic: at the disco" in written and "ValueError" in written and "That cannot be" not in written


def test_a_queue_drops_nothing_and_begins_each_job_when_the_one_before_has_arrived():
    application()
    workers = Workers()
    jobs, told, order = workers.queue("jobs"), [], []
    workers.failed.connect(told.append)
    heard = Heard(jobs)

    def job(name, error=None):
        def begin():
            order.append(f"begin {name}")

            def work(report, _stopped):
                report(lambda: order.append(f"part {name}"))
                if error:
                    raise error
                return lambda: order.append(f"take {name}")

            return work

        return begin

    jobs.ask(1, job("a"))
    for name in "bcd":
        jobs.ask(name, job(name, MivexError("No c.") if name == "c" else None))
    assert not jobs.idle and jobs.waiting == 3 and workers.busy == ["jobs"]
    heard.until(lambda: jobs.idle)
    assert order == [f"{what} {n}" for n in "abcd" for what in ("begin", "part", "take") if (n, what) != ("c", "take")]
    assert told == ["No c."] and heard.failed == [("c", "No c.")]
    # One that cannot be begun, or whose outcome cannot be taken, is told of; the next go on.
    order.clear()
    jobs.ask(2, lambda: 1 / 0)
    jobs.ask(3, lambda: lambda _r, _s: lambda: 1 / 0)
    jobs.ask(4, lambda: None)  # nothing left to do
    jobs.ask(5, job("e"))
    heard.until(lambda: jobs.idle)
    assert order[-1] == "take e" and [t for t, _ in heard.failed[1:]] == [2, 3] and len(told) == 3
    # Held, nothing more is begun; cleared, what runs is stopped and not taken, and what waits never begins.
    order.clear()
    running = threading.Event()

    def endless():
        def work(report, stopped):
            report(lambda: order.append("late part"))
            running.set()
            while not stopped():
                threading.Event().wait(0.002)
            return lambda: order.append("late")

        return work

    jobs.ask(6, endless)
    jobs.ask(7, job("f"))
    running.wait(10)
    jobs.clear()
    jobs.hold()
    jobs.ask(8, job("g"))
    heard.until(lambda: "late" not in order and super(type(jobs), jobs).idle)
    assert order == [] and jobs.waiting == 1
    jobs.release()
    heard.until(lambda: jobs.idle)
    assert order == ["begin g", "part g", "take g"]
    assert workers.end(10) == []


def test_the_registry_ends_all_workers_within_its_time_and_lets_a_save_finish():
    application()
    workers = Workers()
    deaf, saver, looks = workers.queue("deaf"), workers.queue("saver", finishes=True), workers.latest("looks")
    go, written, began = threading.Event(), [], [threading.Event() for _ in range(3)]

    def ignores(_report, _stopped):
        began[0].set()
        go.wait(20)

    def saves(_report, stopped):
        began[1].set()
        threading.Event().wait(0.2)
        written.append(stopped())

    def kernel(_report, _stopped):
        # Nothing here asks: what it calls does, between its bands.
        began[2].set()
        while True:
            run_bands(4 * LONG, lambda a, b: threading.Event().wait(0.001))

    deaf.ask(None, lambda: ignores)
    saver.ask(None, lambda: saves)
    looks.ask(None, kernel)
    assert all(e.wait(10) for e in began)
    begun = time.monotonic()
    assert workers.end(0.3) == ["deaf"]
    assert time.monotonic() - begun < 2
    assert saver.join(10) and written == [False] and looks.join(10)
    go.set()
    assert deaf.join(10)
    late = workers.latest("late")  # one that is made after the end does nothing
    late.ask(None, lambda _r, _s: written.append("late"))
    assert late.idle and written == [False]


def test_failures_are_told_in_full_where_one_asks_for_it(monkeypatch, capsys):
    monkeypatch.setenv("MIVEX_DEBUG", "1")
    words = log.sentence(KeyError("here"), "trying")
    assert "KeyError" in words and "log" in words and "/" not in words  # no private paths on the screen
    assert "KeyError" in capsys.readouterr().err
    monkeypatch.setattr(log, "state_folder", lambda: (_ for _ in ()).throw(OSError("read-only")))
    assert "MIVEX_DEBUG" in log.sentence(KeyError("here"), "trying")


# Caches and the engine ------------------------------------------------------------------------------------------------
