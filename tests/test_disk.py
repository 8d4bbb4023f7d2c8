"""Files on disk: full disks, what is no file, names, leftovers, deliveries as a whole, and what writers put in."""

import contextlib
import fcntl
import json
import os
import subprocess
import sys
import textwrap
import time
from pathlib import Path

import numpy as np
import pytest
from sprites import disc, paint, rgba
from test_project import mivex_run

from mivex.core.base import paths, store
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.limits import MAX_SIDE, MAX_TEXELS, fits
from mivex.core.deliver.deliver import deliver
from mivex.core.deliver.planning import file_name
from mivex.core.deliver.project import deliver_project
from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.formats import WRITABLE
from mivex.core.picture.texture import Texture
from mivex.core.prepare import STEPS
from mivex.core.project.document import Delivery, Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project

HERE = Path(__file__).parent
VALUES = np.random.default_rng(4).integers(0, 256, (40, 36, 4)).astype(np.float32) / 255


def limited(code, most):
    """Run code in a process whose files may hold so many bytes and no more, as on a full disk; returns what it printed."""
    script = textwrap.dedent(f"""
        import resource, sys
        sys.path.insert(0, {str(HERE)!r})
        resource.setrlimit(resource.RLIMIT_FSIZE, ({most}, {most}))
    """) + textwrap.dedent(code)
    done = subprocess.run(
        [sys.executable, "-c", script],
        capture_output=True,
        text=True,
        check=False,
        env=os.environ | {"QT_QPA_PLATFORM": "offscreen", "DISPLAY": ""},
    )
    assert "Traceback" not in done.stderr, done.stderr
    return done


def test_no_writer_harms_what_is_there_when_the_disk_is_full(tmp_path):
    """Every kind of file, written over a good one."""
    kinds = {"a.png": 8, "b.png": 16, "a.tga": 8, "a.tif": 8, "b.tif": 16, "a.exr": 32}
    for name, bits in kinds.items():
        write_picture(tmp_path / name, VALUES * 0.5, bits)
    write_project(tmp_path / "p.mivex", Document())
    before = {p.name: p.read_bytes() for p in tmp_path.iterdir()}
    done = limited(
        f"""
        from test_disk import VALUES
        from mivex.core.picture.encode import write_picture
        from mivex.core.project.file import write_project, read_project
        from mivex.core.project.document import Document, Overlay
        from mivex.core.base.errors import MivexError
        for name, bits in {kinds!r}.items():
            try:
                write_picture({str(tmp_path)!r} + "/" + name, VALUES, bits)
                print("done", name)
            except MivexError as e:
                print("refused", name, e)
        try:
            rows = tuple(Overlay(name=f"o{{i}}") for i in range(40))
            write_project({str(tmp_path)!r} + "/p.mivex", Document(overlays=rows))
        except MivexError as e:
            print("refused p.mivex", e)
    """,
        2000,
    )
    assert done.stdout.count("refused") == 7 and "done" not in done.stdout
    assert done.stdout.count("cannot be written") + done.stdout.count("could not be stored") == 7
    assert {p.name: p.read_bytes() for p in tmp_path.iterdir()} == before


def test_the_command_line_says_so_when_the_disk_is_full(tmp_path, small_demo):
    (tmp_path / "v.png").write_bytes(b"old")
    done = limited(
        f"""
        sys.argv = ["mivex", "render", {str(small_demo())!r}, {str(tmp_path / "v.png")!r}, "--size", "200x120"]
        from mivex.cli import main
        main()
    """,
        3000,
    )
    assert done.returncode == 2 and (tmp_path / "v.png").read_bytes() == b"old"
    assert len(done.stderr.strip().splitlines()) == 1 and "cannot be written" in done.stderr
    assert [p.name for p in tmp_path.iterdir()] == ["v.png"]


def test_only_regular_files_are_read_and_their_size_is_looked_at_first(tmp_path):
    os.mkfifo(tmp_path / "pipe.png")
    (tmp_path / "zero.png").symlink_to("/dev/zero")
    (tmp_path / "folder.png").mkdir()
    (tmp_path / "gone.png").symlink_to(tmp_path / "nothing")
    with (tmp_path / "huge.json").open("wb") as f:
        f.truncate(65 << 20)
    for name, words in (("pipe.png", "pipe"), ("zero.png", "device"), ("folder.png", "folder"), ("gone.png", "no file")):
        with pytest.raises(MivexError, match=words):
            read_picture(tmp_path / name)
        with pytest.raises(MivexError, match=words):
            paths.read_bytes(tmp_path / name)
    with pytest.raises(MivexError, match="larger"):
        paths.read_bytes(tmp_path / "huge.json")
    with pytest.raises(MivexError, match="NUL"):
        read_picture("a\0b.png")
    with pytest.raises(MivexError, match="UTF-8"):
        read_picture(os.fsdecode(b"/tmp/caf\xe9.png"))
    for name in ("pipe.png", "folder.png"):
        assert mivex_run("check", name, cwd=tmp_path).returncode == 2


def test_what_is_no_file_is_never_replaced_and_links_are_followed(tmp_path):
    (tmp_path / "real").mkdir()
    write_picture(tmp_path / "real" / "a.png", VALUES)
    (tmp_path / "a.png").symlink_to("real/a.png")
    write_picture(tmp_path / "a.png", VALUES * 0.5)
    assert (tmp_path / "a.png").is_symlink()
    dark = np.floor(VALUES * 127.5 + 0.5) / np.float32(255)
    assert np.array_equal(read_picture(tmp_path / "real" / "a.png").values, dark)
    os.mkfifo(tmp_path / "pipe.png")
    (tmp_path / "folder.png").mkdir()
    for name in ("pipe.png", "folder.png"):
        with pytest.raises(MivexError, match="cannot be written"):
            write_picture(tmp_path / name, VALUES)
    with pytest.raises(MivexError, match="device"):
        store.write_bytes("/dev/null", b"x")
    assert Path("/dev/null").is_char_device()
    with pytest.raises(MivexError, match="no character"):
        store.write_text(tmp_path / "t.json", "a\ud800")
    with pytest.raises(MivexError, match="cannot be written"):
        store.write_bytes(tmp_path / ("n" * 300), b"x")
    old = tmp_path / "mode.json"
    old.write_text("{}")
    old.chmod(0o640)
    store.write_text(old, "[]")
    assert old.stat().st_mode & 0o777 == 0o640


def test_leftovers_of_killed_runs_are_cleared_and_those_of_living_ones_stay(tmp_path):
    for name in (".mivex-dead.png", ".mivex-alive.png", ".other"):
        (tmp_path / name).write_bytes(b"x")
    with (tmp_path / ".mivex-alive.png").open("rb") as f:
        fcntl.flock(f, fcntl.LOCK_EX)
        store.write_bytes(tmp_path / "a.json", b"{}")
        assert sorted(p.name for p in tmp_path.iterdir()) == [".mivex-alive.png", ".other", "a.json"]
    assert store.sweep(tmp_path) == 1 and store.sweep(tmp_path / "none") == 0


def test_a_batch_is_put_in_place_whole_or_not_at_all(tmp_path):
    (tmp_path / "a").write_bytes(b"old")
    with store.Batch() as batch:
        batch.stage(tmp_path / "a", b"new")
        batch.stage(tmp_path / "b", b"new")
        assert (tmp_path / "a").read_bytes() == b"old" and not (tmp_path / "b").exists()
    assert [p.name for p in tmp_path.iterdir()] == ["a"] and (tmp_path / "a").read_bytes() == b"old"

    def wrong(_path):
        raise MivexError("It holds something else.")

    with contextlib.suppress(MivexError), store.Batch() as batch:
        batch.stage(tmp_path / "b", b"new")
        batch.stage(tmp_path / "a", b"new", wrong)
        batch.commit()
    assert [p.name for p in tmp_path.iterdir()] == ["a"] and (tmp_path / "a").read_bytes() == b"old"
    with store.Batch() as batch:
        batch.stage(tmp_path / "a", b"new")
        batch.stage(tmp_path / "b", b"")
        batch.commit()
    assert (tmp_path / "a").read_bytes() == b"new" and (tmp_path / "b").read_bytes() == b""


# Deliveries -----------------------------------------------------------------------------------------------------------


def overlays(*rows):
    return [Overlay(name=n, source=Source(canvas=(8, 8), meaning="colour"), **more) for n, more in rows]


def test_a_delivery_is_checked_as_a_whole_before_anything_is_written(tmp_path):
    evaluator = Evaluator(tmp_path)
    (tmp_path / "out").mkdir()
    (tmp_path / "out" / "Mask.png").mkdir()
    solid = {"material": Material(blend="Solid", depth_write=True)}
    for rows, words in (
        (overlays(("Good", {}), ("x" * 400, {})), "too long"),
        (overlays(("Good", {}), ("good", {})), "both"),
        (overlays(("Good", {}), ("Mask", {})), "folder has that name"),
        (overlays(("Good", {}), ("Deep", {"delivery": Delivery(format="tga", bits=16)})), "8 bits"),
        ([], "nothing to deliver"),
        ([Overlay(name="Empty")], "nothing to deliver"),
    ):
        with pytest.raises(MivexError, match=words):
            deliver(rows, evaluator.texture, tmp_path / "out")
        assert sorted(p.name for p in (tmp_path / "out").iterdir()) == ["Mask.png"]
    (tmp_path / "file").write_text("")
    with pytest.raises(MivexError, match="is a file"):
        deliver(overlays(("Good", {})), evaluator.texture, tmp_path / "file")
    # An id cannot lead out of the folder, and what is left of a name decides.
    evil = Overlay(id="/../../x", name="§§", source=Source(canvas=(8, 8), meaning="colour"), **solid)
    assert file_name(evil) == "overlay__x" and file_name(evil.model_copy(update={"id": "/"})) == "overlay"
    done = deliver([evil], evaluator.texture, tmp_path / "out" / "deeper")
    assert done[0].picture.parent == tmp_path / "out" / "deeper"


def test_a_delivery_that_stops_half_way_delivers_nothing(tmp_path, monkeypatch):
    rows = overlays(("One", {}), ("Two", {}), ("Three", {}))
    evaluator = Evaluator(tmp_path)
    deliver(rows[:1], evaluator.texture, tmp_path)
    before = {p.name: p.read_bytes() for p in tmp_path.iterdir()}
    darker = [o.model_copy(update={"material": Material(tint=(0.5, 0.5, 0.5))}) for o in rows]

    def stopped_at(number):
        seen = []

        def texture_of(o):
            seen.append(o)
            if len(seen) == number:
                raise Stopped
            return evaluator.texture(o)

        return texture_of

    for number in (1, 2, 3):
        with pytest.raises(Stopped):
            deliver(darker, stopped_at(number), tmp_path)
        assert {p.name: p.read_bytes() for p in tmp_path.iterdir()} == before
    # Interrupted between two renames: those before are taken back.
    real, count = os.replace, []

    def replace(a, b):
        count.append(b)
        if len(count) == 2:
            raise KeyboardInterrupt
        real(a, b)

    monkeypatch.setattr(store.os, "replace", replace)
    with pytest.raises(KeyboardInterrupt):
        deliver(darker[1:2], evaluator.texture, tmp_path)
    assert len(count) > 1 and {p.name: p.read_bytes() for p in tmp_path.iterdir()} == before


def test_the_same_delivery_twice_gives_the_same_bytes(tmp_path, small_demo):
    path = small_demo("porthole", "chevrons", "mote", "pane_left", "packed", "bubbles_sheet")
    doc = read_project(path)
    first = deliver_project(doc, Evaluator(path.parent), tmp_path / "a").overlays
    for row in first:
        os.utime(row.picture, (0, 0))
    deliver_project(doc, Evaluator(path.parent), tmp_path / "b")
    everything = {p.name: p.read_bytes() for p in (tmp_path / "a").iterdir()}
    assert everything == {p.name: p.read_bytes() for p in (tmp_path / "b").iterdir()}
    for row in first:
        for path in (row.picture, row.sheet):
            assert path.read_bytes() == (tmp_path / "b" / path.name).read_bytes(), path.name
            assert b"2026" not in path.read_bytes()[-2000:] or path.suffix == ".png"


# Reading --------------------------------------------------------------------------------------------------------------


# Limits ---------------------------------------------------------------------------------------------------------------


def test_one_limit_holds_for_reading_steps_canvases_and_writing(tmp_path):
    assert (MAX_SIDE, MAX_TEXELS) == (16384, 8192 * 8192)
    assert fits(16384, 4096) and fits(8192, 8192) and not fits(16384, 4097) and not fits(16385, 1) and not fits(0, 5)
    evaluator = Evaluator(tmp_path)
    write_picture(tmp_path / "a.png", rgba(paint(64), disc(64)))
    picture = evaluator.picture("a.png")
    pad = STEPS["pad"].params(step="pad", left=4096, right=4096, top=4096, bottom=4096)
    big = STEPS["resize"].params(step="resize", to="size", width=16384, height=16384)
    for steps in ((pad,) * 8, (big,), (pad, big)):
        for proxy in (False, True):
            with pytest.raises(MivexError, match="16384 and 67108864 texels"):
                evaluator.prepare(picture, Source(), steps, proxy=proxy)
    (tmp_path / "r.json").write_text(json.dumps({"steps": [pad.model_dump(mode="json")] * 8}))
    done = mivex_run("prepare", "a.png", "o.png", "--recipe", "r.json", cwd=tmp_path)
    assert done.returncode == 2 and sorted(p.name for p in tmp_path.iterdir()) == ["a.png", "r.json"]
    for size in ((16384, 4097), (0, 5), (-1, -1)):
        with pytest.raises(ValueError, match="width and height"):
            Source(canvas=size)
    assert Source(canvas=(16384, 4096)).ready and not Source(canvas=(0, 0)).ready


def test_an_opaque_picture_is_written_without_the_channel(tmp_path):
    write_picture(tmp_path / "a.png", rgba(paint(16), np.ones((16, 16))))
    told = json.loads(mivex_run("check", "a.png", "--json", cwd=tmp_path).stdout)
    steps = next(f for f in told["findings"] if f["id"] == "constant-alpha")["repair"]["steps"]
    (tmp_path / "r.json").write_text(json.dumps({"steps": steps}))
    for out in ("b.png", "b.tga", "b.tif"):
        assert mivex_run("prepare", "a.png", out, "--recipe", "r.json", cwd=tmp_path).returncode == 0
        back = read_picture(tmp_path / out)
        assert not back.has_alpha and back.channels == 3
        assert np.array_equal(back.values, read_picture(tmp_path / "a.png").values)
    assert Texture(back.values, has_alpha=back.has_alpha).alpha.min() == 1


def test_no_file_holds_the_time_at_which_it_was_written(tmp_path, rng):
    values = rng.random((12, 20, 4)).astype(np.float32)
    written = []
    for folder in (tmp_path / "a", tmp_path / "b"):
        folder.mkdir()
        for suffix in WRITABLE:
            write_picture(folder / f"p{suffix}", values, 32 if suffix == ".exr" else 8)
        written.append({p.name: p.read_bytes() for p in folder.iterdir()})
        time.sleep(1.1)
    assert written[0] == written[1] and len(written[0]) == len(WRITABLE)
