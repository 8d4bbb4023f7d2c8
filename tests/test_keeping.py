"""Not losing work: saving in the background, files changed by others, locks, and what a crash leaves."""

import json
import os
import signal
import subprocess
import sys
import textwrap
import time
from pathlib import Path

import pytest
from PySide6.QtWidgets import QFileDialog, QMessageBox

from mivex.core.base import store
from mivex.core.base.errors import MivexError
from mivex.core.base.log import state_folder
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.file import ChangedOnDisk, Stamp, open_project, read_project, write_project
from mivex.core.project.keeping import Keeper, give_up, left_behind, project_lock
from mivex.ui.shell.app import application, wait_until_idle
from mivex.ui.shell.saving import beside
from mivex.ui.shell.window import Window


def document(name="Pane", count=1):
    doc = Document()
    for i in range(count):
        doc, _ = edits.add_blank(doc, f"{name} {i}", "glass", (32, 32))
    return doc


@pytest.fixture
def windows():
    """Makes windows, and closes them whatever becomes of the test."""
    made = []

    def make():
        application()
        w = Window()
        w.ask_unsaved = lambda: "discard"
        w.show()
        wait_until_idle(w)
        made.append(w)
        return w

    yield make
    for w in made:
        w.close()


def rename(window, to):
    key = window.session.doc.overlays[0].id
    window.session.apply("Rename", lambda d: edits.set_fields(d, key, "", name=to))


def names(path):
    return [o.name for o in read_project(path).overlays]


def test_a_project_is_written_only_over_the_one_that_was_read(tmp_path):
    path = tmp_path / "dock.mivex"
    stamp = write_project(path, document())
    doc, seen = open_project(path)
    assert seen == stamp and doc.overlays[0].name == "Pane 0"
    theirs = write_project(path, document("Theirs"))
    with pytest.raises(ChangedOnDisk, match="changed on disk"):
        write_project(path, document("Mine"), seen)
    assert names(path) == ["Theirs 0"]
    assert write_project(path, document("Mine"), theirs) == Stamp.on_disk(path)
    # A file that has gone is nobody's work.
    path.unlink()
    write_project(path, document("Mine"), theirs)
    assert names(path) == ["Mine 0"]
    assert beside(path).name == "dock 2.mivex"


@pytest.mark.parametrize("answer", ["save", "discard", "keep", ""])
def test_one_close_closes_the_window_unless_it_is_kept(windows, tmp_path, answer):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    w = windows()
    w.open(str(path))
    wait_until_idle(w)
    if answer:
        rename(w, "Mine")
        w.ask_unsaved = lambda: answer
    w.close()
    if answer == "save":
        end = time.monotonic() + 20
        while w.isVisible() and time.monotonic() < end:
            application().processEvents()
    assert w.isVisible() == (answer == "keep")
    assert names(path) == ["Mine" if answer == "save" else "Pane 0"]
    w.ask_unsaved = lambda: "discard"


@pytest.mark.parametrize("answer", ["beside", "theirs", "overwrite", "keep"])
def test_saving_asks_when_somebody_else_has_saved(windows, tmp_path, answer):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    w = windows()
    w.open(str(path))
    wait_until_idle(w)
    rename(w, "Mine")
    write_project(path, document("Theirs"))
    asked = []
    w.ask_changed = lambda p: asked.append(p) or answer
    w.save()
    wait_until_idle(w)
    assert asked == [path]
    if answer == "beside":
        assert names(path) == ["Theirs 0"] and names(tmp_path / "dock 2.mivex") == ["Mine"]
        assert w.session.path == tmp_path / "dock 2.mivex" and w.session.saved
    elif answer == "theirs":
        assert w.session.doc.overlays[0].name == "Theirs 0" and w.session.saved
        w.session.undo()  # one's own version is a step back
        assert w.session.doc.overlays[0].name == "Mine" and not w.session.saved
        w.save()
        wait_until_idle(w)
        assert names(path) == ["Mine"] and len(asked) == 1
    elif answer == "overwrite":
        assert names(path) == ["Mine"] and w.session.saved
    else:
        assert names(path) == ["Theirs 0"] and not w.session.saved


def test_the_questions_offer_every_way_out(windows, tmp_path, monkeypatch):
    w = windows()
    seen = []

    def take(word):
        def run(box):
            seen.append(([b.text() for b in box.buttons()], box.text()))
            monkeypatch.setattr(QMessageBox, "clickedButton", lambda b: next(k for k in b.buttons() if k.text() == word))

        return run

    for word, got in (("Take theirs", "theirs"), ("Overwrite theirs", "overwrite"), ("Keep mine beside it", "beside")):
        monkeypatch.setattr(QMessageBox, "exec", take(word))
        assert w.ask_changed(tmp_path / "dock.mivex") == got
    assert "dock.mivex" in seen[0][1] and len(seen[0][0]) == 4
    monkeypatch.setattr(QMessageBox, "exec", take("Save"))
    assert Window.ask_unsaved(w) == "save"


def test_saving_follows_a_name_and_leaving_waits_for_the_disk(windows, tmp_path, monkeypatch):
    w = windows()
    w.add_blank()
    wait_until_idle(w)
    monkeypatch.setattr(QFileDialog, "getSaveFileName", staticmethod(lambda *a, **k: (str(tmp_path / "new"), "")))
    w.ask_unsaved = lambda: "save"
    w.new()  # asks, saves under a name, and only then begins anew
    wait_until_idle(w)
    assert names(tmp_path / "new.mivex") == ["Drawn"]
    assert w.session.doc.overlays == () and w.session.path is None
    # Edits made while the file is being written stay unsaved.
    w.open(str(tmp_path / "new.mivex"))
    wait_until_idle(w)
    rename(w, "One")
    w.save()
    rename(w, "Two")
    wait_until_idle(w)
    assert names(tmp_path / "new.mivex") == ["One"] and not w.session.saved
    # A save that fails changes nothing and says why.
    (tmp_path / "no").mkdir()
    monkeypatch.setattr(store.os, "fsync", lambda _h: (_ for _ in ()).throw(OSError(28, "No space left on device")))
    w.save()
    wait_until_idle(w)
    assert names(tmp_path / "new.mivex") == ["One"] and not w.session.saved and "no space" in w.notice.text()


def test_a_second_window_is_told_and_keeps_its_own_unsaved_work(windows, tmp_path):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    one, two = windows(), windows()
    for w in (one, two):
        w.open(str(path))
        wait_until_idle(w)
    assert not one.session.elsewhere and two.session.elsewhere and "another window" in two.notice.text()
    assert "another window" in two.windowTitle()
    rename(one, "One")
    rename(two, "Two")
    one.recovery.keep()
    two.recovery.keep()
    wait_until_idle(one)
    wait_until_idle(two)
    assert one.recovery.keeper.file != two.recovery.keeper.file
    one.save()
    wait_until_idle(one)
    # The other's kept work is still there, and is nobody's to offer while it lives.
    assert two.recovery.keeper.file.exists() and not one.recovery.keeper.file.exists()
    assert left_behind() == []
    two.recovery.keeper._lock.free()  # as if its process had died
    assert [k.doc.overlays[0].name for k in left_behind(str(path))] == ["Two"]
    assert left_behind(str(tmp_path / "other.mivex")) == []
    one.session.new()
    lock = project_lock(path)
    assert lock.take()
    lock.free()


def crash(folder: Path, project: str) -> None:
    """A process that keeps work aside and is killed."""
    script = textwrap.dedent(f"""
        import os, signal, sys
        sys.path.insert(0, {str(Path(__file__).parent)!r})
        from mivex.core.project.keeping import Keeper
        from mivex.core.project.file import Stamp
        from test_keeping import document
        Keeper().keep(document("Lost"), {project!r}, {str(folder)!r}, Stamp.on_disk({project!r}))
        os.kill(os.getpid(), signal.SIGKILL)
    """)
    done = subprocess.run([sys.executable, "-c", script], env=os.environ | {"QT_QPA_PLATFORM": "offscreen"}, check=False)
    assert done.returncode == -signal.SIGKILL


def test_work_of_a_killed_window_is_offered_and_taken_or_given_up(windows, tmp_path):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    crash(tmp_path, str(path))
    crash(tmp_path, "")
    w = windows()
    asked = []

    def answer(word):
        def ask(kept):
            asked.append(kept.path)
            return word

        return ask

    # Opening a project offers what belongs to it, and only that; put off, it is offered again.
    w.ask_kept = answer("keep")
    w.open(str(path), offer=True)
    wait_until_idle(w)
    assert asked == [str(path)] and w.session.doc.overlays[0].name == "Pane 0"
    w.ask_kept = answer("restore")
    w.open(str(path), offer=True)
    wait_until_idle(w)
    assert w.session.doc.overlays[0].name == "Lost 0" and not w.session.saved and w.session.path == path
    assert w.recovery.keeper.file.exists()  # until it is saved, it is this window's to keep
    w.save()
    wait_until_idle(w)
    assert names(path) == ["Lost 0"] and not w.recovery.keeper.file.exists()
    # Started without a project, everything else is offered; given up, it is gone.
    asked.clear()
    w.ask_kept = answer("lose")
    w.offer_kept()
    wait_until_idle(w)
    assert asked == [""] and left_behind() == [] and w.session.path == path
    give_up_twice = Keeper()
    give_up_twice.keep(document(), "", str(tmp_path), Stamp())
    give_up_twice._lock.free()
    kept = left_behind()[0]
    give_up(kept)
    give_up(kept)


def test_an_autosave_that_fails_says_so_and_is_tried_again(windows, monkeypatch):
    w = windows()
    w.add_blank()
    real = w.recovery.keeper.keep

    def full(*_a):
        raise MivexError("“unsaved” cannot be written: no space left on device.")

    monkeypatch.setattr(w.recovery.keeper, "keep", full)
    w.recovery.keep()
    wait_until_idle(w)
    assert "tried again" in w.notice.text() and "no space" in w.notice.text()
    monkeypatch.setattr(w.recovery.keeper, "keep", real)
    w.recovery.keep()  # the next turn of the timer
    wait_until_idle(w)
    assert json.loads(w.recovery.keeper.file.read_text())["project"]["overlays"][0]["name"] == "Drawn"


def test_kept_work_that_is_broken_or_newer_is_left_alone(tmp_path):
    folder = state_folder() / "unsaved"
    folder.mkdir(parents=True)
    (folder / "a.json").write_text("{")
    (folder / "b.json").write_text(json.dumps({"folder": "", "path": "", "project": {"mivex": 99}}))
    assert left_behind() == [] and len(list(folder.glob("*.json"))) == 2


def test_killed_at_random_moments_the_last_saved_project_opens(tmp_path, rng):
    """Saving over and over, and killed at 200 random moments: what lies there is whole, and no leftovers pile up."""
    path = tmp_path / "dock.mivex"
    write_project(path, document(count=30))
    script = textwrap.dedent(f"""
        import os, random, signal, sys, time
        sys.path.insert(0, {str(Path(__file__).parent)!r})
        from mivex.core.project.file import read_project, write_project
        from test_keeping import document
        docs = [document(f"Round {{i}}", 30) for i in range(4)]
        chance, seen = random.Random({int(rng.integers(1 << 30))}), set()
        began = time.perf_counter()
        for _ in range(5):
            write_project({str(path)!r}, docs[3])
        longest = 3 * (time.perf_counter() - began) / 5
        for _ in range(200):
            i = chance.randrange(4)
            child = os.fork()
            if child == 0:
                while True:
                    write_project({str(path)!r}, docs[i % 4])
                    i += 1
            time.sleep(chance.uniform(0.0, longest))
            os.kill(child, signal.SIGKILL)
            os.waitpid(child, 0)
            doc = read_project({str(path)!r})
            assert len(doc.overlays) == 30
            seen.add(doc.overlays[0].name)
        print(len(seen))
    """)
    done = subprocess.run([sys.executable, "-c", script], capture_output=True, text=True, timeout=120, check=False)
    assert done.returncode == 0, done.stderr
    assert int(done.stdout) >= 3
    write_project(path, document())
    assert sorted(p.name for p in tmp_path.iterdir()) == ["dock.mivex"]
