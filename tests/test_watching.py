"""A watched folder: what is told of it, when, and what is then checked and delivered."""

import json
import os
import shutil
import signal
import subprocess
import sys
import threading
import time
from contextlib import ExitStack
from pathlib import Path

import numpy as np
import pytest
from test_project import mivex_run

import mivex.demo
from mivex.core.base.errors import MivexError
from mivex.core.checking.limit_rules import read_limits
from mivex.core.checking.watching import SETTLES, FolderWatch, affected, handled, said, watched
from mivex.core.picture.encode import write_picture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import write_project
from mivex.core.stage.meshes import files_of
from mivex.core.stage.placements_model import MeshPlace


def picture(path, alpha=1.0, side=32):
    v = np.full((side, side, 4), 0.5, np.float32)
    v[..., 3] = 0
    v[4:-4, 4:-4, 3] = alpha
    path.parent.mkdir(exist_ok=True)
    write_picture(path, v)
    return path


def test_what_changes_is_told_once_it_is_written_and_nothing_else(tmp_path):
    old = picture(tmp_path / "old.png")
    (tmp_path / "out").mkdir()
    with FolderWatch(tmp_path, tmp_path / "out") as watch:
        assert watch.changed(0.3) == [] and watch.there() == [old]
        old.read_bytes()
        (tmp_path / "notes.txt").write_text("x")
        picture(tmp_path / ".half.png")
        picture(tmp_path / "out" / "result.png")
        assert watch.changed(SETTLES + 0.4) == []
        # A file that is written for a while is told when it has come to rest; many at once come together.
        data = old.read_bytes()
        with (tmp_path / "slow.png").open("wb") as f:
            for k in range(4):
                f.write(data[k * len(data) // 4 : (k + 1) * len(data) // 4])
                f.flush()
                assert watch.changed(SETTLES / 2) == []
        begun = time.monotonic()
        assert watch.changed(10) == [tmp_path / "slow.png"] and time.monotonic() - begun < 5
        # Written beside and renamed, as careful programs do; in a folder that was not there before.
        (tmp_path / "deep").mkdir()
        time.sleep(0.3)
        os.replace(picture(tmp_path / "deep" / ".tmp.png"), tmp_path / "deep" / "new.png")
        picture(old, 0.7)
        found = watch.changed(10)
        found += watch.changed(10) if len(found) < 2 else []
        assert sorted(found) == [tmp_path / "deep" / "new.png", old]
        # What is gone again before it has come to rest is not told.
        picture(tmp_path / "brief.png").unlink()
        assert watch.changed(SETTLES + 0.4) == []
        assert watch.name_of(tmp_path / "deep" / "new.png") == Path("deep/new")
    for wrong in (tmp_path / "nowhere", old):
        with pytest.raises(MivexError, match="no folder"):
            FolderWatch(wrong)


def test_a_project_follows_the_pictures_that_it_reads(tmp_path):
    a, b = picture(tmp_path / "a.png"), picture(tmp_path / "b.png")
    project, broken = tmp_path / "p.mivex", tmp_path / "q.mivex"
    write_project(project, Document(overlays=(Overlay(id="o", name="A", source=Source(path="a.png")),)))
    broken.write_text("{")
    assert affected([a], [project, broken]) == [a, project]
    assert affected([b], [project, broken]) == [b]
    assert affected([project, a], [project]) == [a, project]


def test_a_project_follows_its_meshes_and_their_buffers(tmp_path):
    """A mesh that changes is not checked itself; the projects that read it are."""
    project, shape = tmp_path / "p.mivex", tmp_path / "shape.gltf"
    shape.write_text(json.dumps({"asset": {"version": "2.0"}, "buffers": [{"uri": "shape.bin", "byteLength": 4}]}))
    (tmp_path / "shape.bin").write_bytes(b"1234")
    place = MeshPlace(id="m", path="shape.gltf")
    write_project(project, Document(overlays=(Overlay(id="o", name="A", places=(place,)),)))
    for file in (shape, tmp_path / "shape.bin"):
        assert affected([file], [project]) == [project]
    assert affected([tmp_path / "other.bin"], [project]) == []
    with FolderWatch(tmp_path) as watch:
        assert watch.there() == [project]
        (tmp_path / "shape.bin").write_bytes(b"5678")
        assert watch.changed(10) == [tmp_path / "shape.bin"]
    evaluator = Evaluator(tmp_path)
    before = evaluator.file_mark("shape.gltf")
    (tmp_path / "shape.bin").write_bytes(b"56789")
    assert evaluator.file_mark("shape.gltf") != before
    for broken in ("{", "[]", '{"buffers": [1]}', '{"buffers": [{"uri": "../x.bin"}]}'):
        shape.write_text(broken)
        assert files_of(shape) == (shape,)


def test_each_is_checked_by_limits_and_delivered_or_says_why_not(tmp_path):
    good, bad = picture(tmp_path / "good.png"), tmp_path / "bad.png"
    bad.write_bytes(b"\x89PNG\r\n\x1a\nno")
    report, files = handled(good, None, tmp_path / "out" / "good", "surface")
    assert files == ["good.png"] and (tmp_path / "out" / "good" / "good.png").is_file() and not report.problem
    report, files = handled(bad, None, tmp_path / "out" / "bad", "surface")
    assert report.problem and not files and not (tmp_path / "out" / "bad").exists()
    assert str(said(report, files)).startswith("bad.png: problem: ")
    report, _ = handled(good, None, tmp_path / "out" / "x", "no such recipe")
    assert "no such recipe" in report.problem
    # Soft alpha that runs out of the picture: a finding, which limits may allow.
    shutil.copy(Path(mivex.demo.__file__).parent / "nerite" / "bubble_sheet_tight.png", tmp_path / "cut.png")
    report, _ = handled(tmp_path / "cut.png")
    assert "border" in str(said(report, []))
    (tmp_path / "limits.toml").write_text('allow = ["border"]\n')
    rules = read_limits(tmp_path / "limits.toml")
    report, _ = handled(tmp_path / "cut.png", rules)
    assert "border" not in str(said(report, []))


def test_everything_first_then_what_changes(tmp_path):
    a = picture(tmp_path / "a.png")
    with FolderWatch(tmp_path) as watch:
        late = threading.Timer(0.4, lambda: picture(tmp_path / "b.png"))
        late.start()
        assert list(watched(watch, 4.0, everything=True)) == [a, tmp_path / "b.png"]
        late.join()


def test_from_the_command_line_until_it_is_interrupted(tmp_path):
    """One line an event; the second change of a file delivers it anew."""
    folder, out = tmp_path / "in", tmp_path / "in" / "out"
    picture(folder / "a.png", 1.0)
    out.mkdir()
    env = {**os.environ, "QT_QPA_PLATFORM": "offscreen", "DISPLAY": ""}
    args = [
        sys.executable,
        "-m",
        "mivex",
        "watch",
        str(folder),
        "--out",
        str(out),
        "--recipe",
        "surface",
        "--all",
        "--json",
    ]
    pipes = {"stdout": subprocess.PIPE, "stderr": subprocess.PIPE, "text": True}
    # Where the tests run in the background, SIGINT is ignored, and what they start would inherit that.
    heard = {"preexec_fn": lambda: signal.signal(signal.SIGINT, signal.SIG_DFL)}
    with subprocess.Popen(args, env=env, **pipes, **heard) as run, ExitStack() as whatever:
        whatever.callback(run.kill)
        first = json.loads(run.stdout.readline())
        assert first["path"].endswith("a.png") and first["delivered"] == ["a.png"] and not first["problem"]
        before = (out / "a" / "a.png").read_bytes()
        picture(folder / "a.png", 0.5)
        second = json.loads(run.stdout.readline())
        assert second["delivered"] == ["a.png"] and (out / "a" / "a.png").read_bytes() != before
        run.send_signal(signal.SIGINT)
        assert run.wait(60) == 0 and run.stderr.read() == ""
    assert mivex_run("watch", folder, "--seconds", "0.1").returncode == 0
    for wrong in (
        ("watch", tmp_path / "no"),
        ("watch", folder, "--recipe", "surface"),
        ("watch", folder, "--seconds", "-1"),
    ):
        done = mivex_run(*wrong)
        assert done.returncode == 2 and done.stderr.count("\n") == 1, wrong
