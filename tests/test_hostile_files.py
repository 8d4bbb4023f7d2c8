"""Files that mean harm, met from the command line: an exit code, one line, a limit of memory and of time, nothing lost."""

import json
import os
import shutil
import signal
import subprocess
import sys
import time
from pathlib import Path

import numpy as np
import pytest

sys.path.insert(0, str(Path(__file__).parent / "hostile"))
import made

from mivex.core.base import store
from mivex.core.base.errors import MivexError
from mivex.core.base.store import JOURNAL, Batch, finish
from mivex.core.installation.desktop_entry import exec_word, install
from mivex.core.picture.files import read_levels
from mivex.core.project.file import loads
from mivex.core.stage.mesh import Mesh, checked

ROOT = Path(__file__).parent.parent
SECONDS, MEGABYTES, LINE = 60, 1000, 300


class Zygote:
    """A process that has loaded the command line, and forks for every command."""

    def __init__(self):
        script = str(ROOT / "tests" / "hostile" / "zygote.py")
        self.process = subprocess.Popen(
            [sys.executable, script],
            cwd=ROOT,
            text=True,
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            env=os.environ | {"PYTHONPATH": str(ROOT)},
        )

    def meet(self, args, home):
        """Exit code, output, complaint, and megabytes at the peak of all its processes."""
        busy = max(1.0, os.getloadavg()[0] / (os.cpu_count() or 1))  # a machine that others use gives less of itself
        asked = {"args": [str(a) for a in args], "home": str(home), "seconds": SECONDS * busy, "most": MEGABYTES}
        self.process.stdin.write(json.dumps(asked) + "\n")
        self.process.stdin.flush()
        return json.loads(self.process.stdout.readline())


@pytest.fixture(scope="module")
def meet():
    """Runs ``mivex`` as a process of its own."""
    zygote = Zygote()
    yield zygote.meet
    zygote.process.stdin.close()
    assert zygote.process.wait(30) == 0


@pytest.mark.parametrize("name", made.CASES)
def test_every_hostile_file_ends_in_an_exit_code_and_one_line(name, meet, tmp_path):
    args = made.CASES[name](tmp_path)
    before = {p: p.read_bytes() for p in tmp_path.rglob("*") if p.is_file()}
    code, out, err, peak = meet(args, tmp_path / "home")
    assert code in (0, 1, 2), (code, peak, err[-300:])
    assert "Traceback" not in err and "inside Mivex" not in err, err[-600:]
    lines = err.strip("\n").split("\n")
    assert code != 2 or (len(lines) == 1 and lines[0].startswith("mivex: ")), err
    assert max(map(len, lines)) <= LINE
    assert all(c in "\n\t" or (ord(c) >= 32 and not 127 <= ord(c) < 160) for c in out + err)
    assert {p: p.read_bytes() for p in before} == before


def test_what_is_odd_but_honest_is_taken(meet, tmp_path):
    for name in ("one texel wide", "a single texel"):
        d = tmp_path / name.replace(" ", "")
        d.mkdir()
        assert meet(made.CASES[name](d), tmp_path)[0] in (0, 1), name
    d = tmp_path / "groups"
    d.mkdir()
    (d / "m.obj").write_text(made.QUAD + made.UVS + "".join(f"g x{k}\n{made.FACES}" for k in range(50)))
    assert meet(made.on_mesh(d, "m.obj"), tmp_path)[0] == 0


def test_nothing_of_the_project_is_written_over_whatever_makes_the_file(meet, tmp_path):
    mesh = made.QUAD + made.UVS + made.FACES
    (tmp_path / "surroundings.obj").write_text(mesh)
    picture, other = tmp_path / "Thing_1.png", tmp_path / "a.png"
    p = made.project(tmp_path, made.overlay(1, source={"path": "Thing_1.png"}), around={"path": "surroundings.obj"})
    shutil.copy(other, picture)
    whole = picture.read_bytes()
    for args in (
        ["deliver", str(p), str(tmp_path)],
        ["render", str(p), str(picture), "--size", "32x32"],
        ["layers", str(p), "Thing 1", str(picture)],
    ):
        code, _, err, _ = meet(args, tmp_path)
        assert code == 2 and "written over" in err, (args, err)
        assert picture.read_bytes() == whole and (tmp_path / "surroundings.obj").read_text() == mesh
    out = tmp_path / "out"
    assert meet(["deliver", str(p), str(out)], tmp_path)[0] == 0
    # A link in the target leads elsewhere: it is refused, not followed.
    (out / "Thing_1.png").unlink()
    elsewhere = tmp_path / "mine.png"
    shutil.copy(other, elsewhere)
    for there in (elsewhere, picture):
        (out / "Thing_1.png").unlink(missing_ok=True)
        (out / "Thing_1.png").symlink_to(there)
        code, _, err, _ = meet(["deliver", str(p), str(out)], tmp_path)
        assert code == 2 and ("is a link" in err or "written over" in err)
        assert picture.read_bytes() == whole == elsewhere.read_bytes()


def _killed_at(rename, folder, rows):
    """A process that puts rows in place and is killed at its n-th rename."""
    code = (
        f"import os\nfrom mivex.core.base.store import Batch\nreal, n = os.replace, [0]\n"
        f"def cut(*a):\n    n[0] += 1\n    if n[0] == {rename}: os.kill(os.getpid(), 9)\n    return real(*a)\n"
        f"os.replace = cut\nwith Batch() as b:\n"
        f"    for name, text in {rows!r}: b.stage({str(folder)!r} + '/' + name, text.encode())\n    b.commit()\n"
    )
    done = subprocess.run([sys.executable, "-c", code], cwd=ROOT, check=False)
    assert done.returncode == -signal.SIGKILL


@pytest.mark.parametrize("rename", range(1, 6))
def test_killed_between_two_renames_the_next_one_finishes(tmp_path, rename):
    names = [f"f{k}.txt" for k in range(5)]
    for n in names:
        (tmp_path / n).write_text("old")
    _killed_at(rename, tmp_path, [(n, "new") for n in names])
    assert (tmp_path / JOURNAL).exists() and {(tmp_path / n).read_text() for n in names} >= {"old"}
    assert finish(tmp_path) and not finish(tmp_path)
    assert {(tmp_path / n).read_text() for n in names} == {"new"}
    assert sorted(p.name for p in tmp_path.iterdir()) == names  # nothing is left lying
    # One that was killed before it had anything to rename leaves the old, and the next run clears up.
    (tmp_path / JOURNAL).write_text('[["cut')
    assert not finish(tmp_path) and not (tmp_path / JOURNAL).exists()
    with Batch() as batch:
        batch.stage(tmp_path / "f0.txt", b"once more")
        batch.stage(tmp_path / "f1.txt", b"once more")
        batch.commit()
    assert sorted(p.name for p in tmp_path.iterdir()) == names


def test_a_journal_waits_for_its_writer_and_trusts_no_path(tmp_path, monkeypatch):
    import fcntl

    handle = os.open(tmp_path / JOURNAL, os.O_RDWR | os.O_CREAT)
    fcntl.flock(handle, fcntl.LOCK_EX)
    begun = time.monotonic()
    with pytest.raises(MivexError, match="being written at this moment"):
        finish(tmp_path, patience=0.2)
    assert time.monotonic() - begun < 20
    os.close(handle)
    (tmp_path / "inside").mkdir()
    (tmp_path / "secret").write_text("kept")
    rows = [["../secret", "x"], [f"{store.PREFIX}a", "../secret"], ["secret", "y"]]
    (tmp_path / "inside" / f"{store.PREFIX}a").write_text("evil")
    (tmp_path / "inside" / JOURNAL).write_text(json.dumps(rows))
    finish(tmp_path / "inside")
    assert (tmp_path / "secret").read_text() == "kept" and not (tmp_path / "inside" / "x").exists()


def test_a_delivery_killed_on_its_way_is_old_or_new_to_a_reader(meet, tmp_path):
    p = made.project(tmp_path, made.overlay(1, delivery={"recipe": "scene"}), made.overlay(2))
    out, home = tmp_path / "out", tmp_path / "home"
    assert meet(["deliver", str(p), str(out)], home)[0] == 0
    old = {f.name: f.read_bytes() for f in out.iterdir()}
    tree = json.loads(p.read_text())
    for o in tree["overlays"]:
        o["material"]["opacity"] = 0.5
    p.write_text(json.dumps(tree))
    shutil.copytree(out, tmp_path / "fresh")
    assert meet(["deliver", str(p), str(tmp_path / "fresh")], home)[0] == 0
    new = {f.name: f.read_bytes() for f in (tmp_path / "fresh").iterdir()}
    differ = [n for n in new if new[n] != old.get(n)]
    assert len(differ) >= 2
    for rename in (1, 2, len(differ)):
        code = (
            "import os, sys; from mivex.cli import run; real, n = os.replace, [0]\n"
            f"def cut(*a):\n    n[0] += 1\n    if n[0] == {rename}: os.kill(os.getpid(), 9)\n    return real(*a)\n"
            f"os.replace = cut; sys.argv = ['mivex', 'deliver', {str(p)!r}, {str(out)!r}]; run()"
        )
        subprocess.run(
            [sys.executable, "-c", code],
            cwd=ROOT,
            check=False,
            capture_output=True,
            env=os.environ | {"XDG_STATE_HOME": str(home)},
        )
        assert meet(["intake", str(out), str(tmp_path / "i.png"), "--size", "32x24"], home)[0] == 0
        now = {f.name: f.read_bytes() for f in out.iterdir()}
        assert {n: now[n] for n in new} == new or {n: now.get(n) for n in old} == old
        for n, data in old.items():
            (out / n).write_bytes(data)


def test_arrays_are_checked_as_the_kernels_index_them():
    good = Mesh(np.zeros((3, 3)), np.tile([0.0, 1.0, 0.0], (3, 1)), np.zeros((3, 2)), np.array([[0, 1, 2]]))
    assert checked(good, "It") is good
    from dataclasses import replace

    for values, words in (
        ({"index": np.array([[0, 1, 3]])}, "corners that are not there"),
        ({"index": np.array([[0, 1, -1]])}, "corners that are not there"),
        ({"uv0": np.full((3, 2), np.inf)}, "UVs"),
        ({"uv0": np.full((3, 2), 1e7)}, "UVs"),
        ({"uv0": np.zeros((2, 2))}, "do not fit"),
        ({"uv1": np.zeros((3, 3))}, "second set"),
        ({"normal": np.zeros((3, 2))}, "normals"),
        ({"tint": np.zeros((1, 4))}, "colours"),
        ({"position": np.full((3, 3), -2e6)}, "corners"),
        ({"position": np.full((3, 3), np.nan)}, "no numbers"),
    ):
        with pytest.raises(MivexError, match=words):
            checked(replace(good, **values), "It")


def test_limits_are_told_before_anything_is_made_of_them(tmp_path):
    deep: dict = {}
    at = deep
    for _ in range(200):
        at["rows"] = [{}]
        at = at["rows"][0]
    for tree, words in (
        ({"overlays": [made.overlay(k) for k in range(4097)]}, "4,097 overlays"),
        ({"overlays": [made.overlay(1, steps=[{"step": "spread"}] * 201)]}, "201 steps"),
        ({"overlays": [made.overlay(1, layers=deep)]}, "nested more than"),
    ):
        with pytest.raises(MivexError, match=words):
            loads({"mivex": 1, **tree}, "“p.mivex”")
    # Coarser pages of a TIFF are mip levels or they are not read.
    made._pages(tmp_path)
    assert [p.shape[:2] for p in read_levels(tmp_path / "a.tif")] == [(16, 16)]


def test_without_a_home_or_a_standard_output_there_is_a_sentence(tmp_path):
    p = made.project(tmp_path)
    code = "import sys; from mivex.cli import main; sys.argv[0] = 'mivex'; main()"
    bare = {k: v for k, v in os.environ.items() if k not in ("HOME", "XDG_STATE_HOME", "XDG_CONFIG_HOME", "XDG_DATA_HOME")}
    done = subprocess.run(
        [sys.executable, "-c", code, "check", str(p)], cwd=ROOT, capture_output=True, check=False, env=bare
    )
    assert done.returncode in (0, 1) and b"Traceback" not in done.stderr
    closed = subprocess.run(
        ["sh", "-c", f'exec "{sys.executable}" -c "{code}" check "{p}" >&-'], cwd=ROOT, capture_output=True, check=False
    )
    assert closed.returncode == 2 and closed.stderr.decode().strip().count("\n") == 0
    assert "nowhere to write" in closed.stderr.decode()


def test_the_desktop_entry_names_the_program_by_its_specification(tmp_path, monkeypatch):
    """Desktop Entry Specification 1.5: what a reader makes of the Exec line is the path again."""
    import configparser
    import re

    for path in ("/usr/bin/mivex", "/home/a b/mivex", '/x/"q"/mi$vex', "/100%/mivex", "/back\\slash/`x`/mivex"):
        text = exec_word(path)
        value = text.replace("\\\\", "\0").replace("\\n", "\n").replace("\0", "\\")  # the file's own escapes
        if value.startswith('"'):
            value = re.sub(r"\\(.)", r"\1", value[1:-1])  # within quotes a backslash takes the next character as it is
        assert value.replace("%%", "%") == path
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path))
    monkeypatch.setattr("mivex.core.installation.desktop_entry.program", lambda: "/opt/my tools/mivex")
    install()
    entry = configparser.RawConfigParser(strict=False)
    entry.optionxform = str
    entry.read(tmp_path / "applications" / "mivex.desktop")
    assert entry["Desktop Entry"]["TryExec"] == "/opt/my tools/mivex"
    assert entry["Desktop Entry"]["Exec"] == '"/opt/my tools/mivex" open %f'
