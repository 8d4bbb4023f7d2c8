"""A project's files collected and found again, earlier saves, work stopped inside a step, the desktop's entry."""

import configparser
import shutil
import threading
import time
from xml.etree import ElementTree

import numpy as np
import pytest
from sprites import disc, paint, rgba
from test_project import mivex_run

from mivex.core.base import bands
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.graph import Graph, Node
from mivex.core.material.material import Channel, Finish, Material
from mivex.core.motion.model import Effect, Emission, Emitter
from mivex.core.picture.encode import write_picture
from mivex.core.prepare import STEPS
from mivex.core.project.backups import KEPT, earlier_of, keep_earlier
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import dumps, paths_of, read_project, relocated, write_project
from mivex.core.project.gathering import collected, found_again, missing, outside, with_found
from mivex.core.stage.placements_model import Around, MeshPlace
from mivex.ui.shell.app import wait_until_idle


@pytest.fixture
def spread(tmp_path):
    """A project whose files lie all over: beside it, below it, elsewhere, twice under one name."""
    home, away, other = tmp_path / "dock", tmp_path / "away", tmp_path / "other"
    for folder in (home / "in", away, other):
        folder.mkdir(parents=True)
    good = rgba(paint(16), disc(16))
    write_picture(home / "in" / "near.png", good)
    write_picture(away / "far.png", good)
    write_picture(other / "far.png", 1 - good)
    (away / "boat.obj").write_text("v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 3\n")
    finish = Finish(roughness=Channel(source="file", path="../other/far.png"))
    doc = Document(
        overlays=(
            Overlay(id="a", name="A", source=Source(path="in/near.png"), reference=str(away / "far.png")),
            Overlay(
                id="b",
                name="B",
                source=Source(path="../away/far.png"),
                material=Material(finish=finish),
                steps=(STEPS["alpha-from"].params(step="alpha-from", source="file", file="../away/far.png"),),
                places=(MeshPlace(path="../away/boat.obj"),),
            ),
        ),
        effects=(Effect(name="E", parts=(Emitter(name="P", overlay="a", emission=Emission(mesh="../away/boat.obj")),)),),
        around=Around(path="../away/boat.obj"),
    )
    write_project(home / "p.mivex", doc)
    return home, doc, tmp_path


def test_files_are_collected_beside_the_project_and_found_again_when_they_move(spread, tmp_path):
    home, doc, top = spread
    assert set(outside(doc, home)) == {
        str(top / "away" / "far.png"),
        "../away/far.png",
        "../other/far.png",
        "../away/boat.obj",
    }
    made = collected(doc, home)
    fresh = with_found(doc, made.moved)
    assert made.copied == 3 and not made.missing and not outside(fresh, home)
    inside = sorted(p.name for p in (home / "pictures").iterdir())
    assert inside == ["boat.obj", "far.png", "far_2.png"], "the same bytes once, the same name with other bytes apart"
    assert set(paths_of(fresh)) == {"in/near.png", *(f"pictures/{n}" for n in inside)}
    assert fresh.effects[0].parts[0].emission.mesh == fresh.around.path == "pictures/boat.obj"
    assert (home / fresh.overlays[1].material.finish.roughness.path).read_bytes() == (
        top / "other" / "far.png"
    ).read_bytes()
    assert collected(fresh, home).copied == 0
    with pytest.raises(Stopped):
        collected(doc, home, lambda: True)
    # A project of another folder names the same files.
    there = relocated(doc, home, top / "away")
    assert "far.png" in paths_of(there) and there.effects[0].parts[0].emission.mesh == "boat.obj"
    # Moved: found below the project by name; of two of one name, the one in a folder called as before.
    shutil.move(home / "in" / "near.png", home / "near.png")
    (home / "deep" / "away").mkdir(parents=True)
    (home / "deep" / "other").mkdir()
    shutil.move(top / "away" / "far.png", home / "deep" / "away" / "far.png")
    shutil.move(top / "other" / "far.png", home / "deep" / "other" / "far.png")
    assert set(missing(doc, home)) == {"in/near.png", str(top / "away" / "far.png"), "../away/far.png", "../other/far.png"}
    moved = found_again(doc, home)
    assert moved["in/near.png"] == "near.png" and moved["../other/far.png"] == "deep/other/far.png"
    assert moved["../away/far.png"] == "deep/away/far.png" and not missing(with_found(doc, moved), home)
    shutil.move(home / "near.png", top / "hidden.png")
    assert "in/near.png" not in found_again(doc, home)
    (top / "else").mkdir()
    shutil.move(top / "hidden.png", top / "else" / "near.png")
    assert found_again(doc, home, [top / "else"])["in/near.png"] == str(top / "else" / "near.png")


def test_the_window_collects_finds_and_brings_back_earlier_saves(window, spread):
    home, doc, _ = spread
    path = home / "p.mivex"
    said, tell = [], window.tell
    window.tell = lambda words: (said.append(words), tell(words))
    shutil.move(home / "in" / "near.png", home / "near.png")
    window.open(str(path))
    wait_until_idle(window)
    s = window.session
    assert s.overlay.source.path == "near.png" and any("found again" in w for w in said) and not s.saved
    s.undo()
    assert s.overlay.source.path == "in/near.png"
    s.redo()
    window.collect()
    wait_until_idle(window)
    assert any("3 files copied" in w for w in said) and not outside(s.doc, home)
    window.save()
    wait_until_idle(window)
    first = read_project(path)
    s.apply("Rename", lambda d: d.model_copy(update={"overlays": d.overlays[:1]}))
    window.save()
    wait_until_idle(window)
    rows = earlier_of(path)
    assert len(rows) == 2 and read_project(rows[0].file) == first and read_project(rows[1].file) == doc
    window.open_earlier(rows[0])
    wait_until_idle(window)
    assert s.doc == first and not s.saved and s.undo_label == "Open an earlier save"
    path.write_text(dumps(Document()))
    window.look_at_disk()
    wait_until_idle(window)
    assert any("changed on disk" in w for w in said)


def test_earlier_saves_are_few_and_hinder_nothing(tmp_path, monkeypatch):
    path = tmp_path / "p.mivex"
    assert not keep_earlier(path) and earlier_of(path) == []
    for k in range(KEPT + 5):
        write_project(path, Document(overlays=(Overlay(name=f"O{k}"),)))
        assert keep_earlier(path) and keep_earlier(path)
    rows = earlier_of(path)
    assert len(rows) == KEPT and [r.saved for r in rows] == sorted((r.saved for r in rows), reverse=True)
    assert read_project(rows[0].file).overlays[0].name == f"O{KEPT + 4}"
    monkeypatch.setenv("XDG_STATE_HOME", "/proc/none")
    assert not keep_earlier(path)


def test_work_is_stopped_inside_a_step():
    begun, asked = threading.Event(), threading.Event()
    done = []

    def kernel(a, b):
        begun.set()
        asked.wait(5)
        time.sleep(0.25)
        done.append((a, b))

    graph = Graph(1 << 20)
    node = Node("long", lambda: bands.run_bands(100_000, kernel) or np.zeros(1), size=lambda _: 1)
    caught = []

    def work():
        try:
            graph.value(node, asked.is_set)
        except Stopped:
            caught.append(True)

    thread = threading.Thread(target=work)
    thread.start()
    begun.wait()
    asked.set()
    thread.join(5)
    # Of eight bands a core, those that ran, and those that were begun before the first was seen to end.
    assert caught and 0 < len(done) <= 3 * bands.WORKERS
    # Nothing is still being written to when it has ended.
    count = len(done)
    time.sleep(0.4)
    assert len(done) == count
    bands.run_bands(100_000, lambda a, b: done.append((a, b)))
    assert sum(b - a for a, b in done[count:]) == 100_000


def test_the_desktop_knows_mivex_and_forgets_it(tmp_path, monkeypatch):
    home = tmp_path / "data with space"
    monkeypatch.setenv("XDG_DATA_HOME", str(home))
    assert len(mivex_run("desktop", cwd=tmp_path).stdout.splitlines()) == 3
    entry = configparser.ConfigParser(interpolation=None)
    entry.optionxform = str
    entry.read(home / "applications" / "mivex.desktop")
    rows = entry["Desktop Entry"]
    kind = ElementTree.parse(home / "mime" / "packages" / "mivex.xml").getroot()[0]
    assert rows["Exec"].endswith("open %f") and "@" not in rows["Exec"] and kind.get("type") + ";" == rows["MimeType"]
    assert any(child.get("pattern") == "*.mivex" for child in kind)
    assert ElementTree.parse(home / "icons" / "hicolor" / "scalable" / "apps" / "mivex.svg").getroot().get("width") == "128"
    assert len(mivex_run("desktop", "--remove", cwd=tmp_path).stdout.splitlines()) == 3
    assert not list(home.rglob("mivex*"))
    monkeypatch.setenv("XDG_DATA_HOME", "/proc/none")
    result = mivex_run("desktop", cwd=tmp_path)
    assert result.returncode == 2 and "cannot be made" in result.stderr
    with pytest.raises(MivexError):
        from mivex.core.installation.desktop_entry import install

        install()
