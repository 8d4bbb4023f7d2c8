"""Damaged pictures of every format by the hundred, and folders that belong to others, go away, or are killed in."""

import json
import os
import random
import shutil
import subprocess
import sys
from pathlib import Path

import numpy as np
import OpenImageIO as oiio
import pytest
from PIL import Image

sys.path.insert(0, str(Path(__file__).parent / "hostile"))
import made
from test_hostile_files import LINE, ROOT, meet  # noqa: F401

from mivex.core.base.errors import MivexError
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.formats import READABLE

FORMATS = sorted(set(READABLE) - {".tiff", ".jpeg"})
NUMBERS = (b"\x00" * 4, b"\xff" * 4, b"\x7f\xff\xff\xff", b"\xff\xff\xff\x7f", b"\x00\x00\x00\x80", b"\x01\x00\x00\x00")


def honest(path: Path, side: int) -> bytes:
    """A small whole picture of that format; its bytes."""
    y, x = np.mgrid[:side, :side] / np.float32(side)
    rgba = np.stack([x, y, 1 - x, np.clip(2 - 4 * np.hypot(x - 0.5, y - 0.5), 0, 1)], -1).astype(np.float32)
    if path.suffix == ".jpg":
        Image.fromarray((rgba[..., :3] * 255).astype(np.uint8)).save(path)
    else:
        write_picture(path, np.round(rgba * 255) / np.float32(255), 32 if path.suffix == ".exr" else 8)
    return path.read_bytes()


def damaged(data: bytes, rng: random.Random) -> bytes:
    """One to four pieces cut, flipped, repeated, or replaced by numbers that reach beyond; mostly in the head."""
    b = bytearray(data)
    for _ in range(rng.randint(1, 4)):
        at = int(rng.random() ** 3 * len(b)) if b else 0
        how = rng.randrange(5)
        if how == 0:
            del b[at : at + rng.choice([1, 4, 60, 10**6])]
        elif how == 1:
            b[at : at + 4] = rng.choice(NUMBERS)
        elif how == 2 and b:
            b[at] ^= 1 << rng.randrange(8)
        elif how == 3:
            b[at:at] = b[at : at + 40] * rng.choice([1, 3, 200])
        else:
            b[at : at + 1] = rng.randbytes(rng.choice([1, 7, 300]))
    return bytes(b)


@pytest.mark.parametrize("kind", FORMATS)
def test_damaged_pictures_are_read_or_refused_in_a_sentence(kind, meet, tmp_path):  # noqa: F811
    rng = random.Random(f"{kind}81")
    whole = honest(tmp_path / f"whole{kind}", 37)
    folder = tmp_path / "damaged"
    folder.mkdir()
    for k in range(40):
        (folder / f"{k:02d}{kind}").write_bytes(damaged(whole, rng))
    shutil.copy(tmp_path / f"whole{kind}", folder / f"whole{kind}")
    code, out, err, _ = meet(["check", *sorted(folder.iterdir()), "--json"], tmp_path)
    assert code in (0, 1, 2) and "Traceback" not in err and "inside Mivex" not in err + out, err[-500:]
    pictures = json.loads(out)["pictures"]
    assert len(pictures) == 41
    for row in pictures:
        assert not row.get("problem") or (len(row["problem"]) <= LINE and row["problem"].endswith("."))
    assert not next(r for r in pictures if r["path"].endswith(f"whole{kind}")).get("problem")


def test_parts_of_an_openexr_file_are_refused_or_read_as_the_first(tmp_path):
    path = str(tmp_path / "parts.exr")
    specs = []
    for name, side in (("beauty", 8), ("mask", 4000), ("depth", 8)):
        spec = oiio.ImageSpec(side, side, 4, "half")
        spec.attribute("name", name)
        specs.append(spec)
    out = oiio.ImageOutput.create(path)
    out.open(path, specs)
    for k, spec in enumerate(specs):
        if k:
            out.open(path, spec, "AppendSubimage")
        out.write_image(np.full((spec.height, spec.width, 4), 0.25 * (k + 1), np.float32))
    out.close()
    try:
        picture = read_picture(path)
    except MivexError as e:
        assert "part" in str(e)
    else:
        assert picture.rgba.shape == (8, 8, 4)


OTHERS = os.geteuid() == 0 and shutil.which("setpriv")


@pytest.mark.skipif(not OTHERS, reason="only the system's keeper can stand for somebody else")
def test_folders_and_files_of_somebody_else_are_a_sentence(tmp_path):
    mine = tmp_path / "mine"
    mine.mkdir()
    p = made.project(mine)
    shutil.copy(mine / "a.png", mine / "shut.png")
    os.chmod(mine / "shut.png", 0o600)
    for folder in (tmp_path, *tmp_path.parents):
        if folder.stat().st_mode & 0o005 != 0o005 and str(folder).startswith("/tmp/"):
            os.chmod(folder, 0o755)
    closed = mine / "closed"
    closed.mkdir(0o700)
    made.picture(closed / "b.png")
    before = {f: f.read_bytes() for f in mine.rglob("*") if f.is_file()}
    for args in (
        ["check", mine / "shut.png"],
        ["check", closed],
        ["deliver", p, mine / "out"],
        ["render", p, mine / "o.png", "--size", "32x32"],
        ["render", p, mine / "a.png", "--size", "32x32"],
        ["check", closed / "b.png"],
    ):
        done = subprocess.run(
            [
                "setpriv",
                "--reuid",
                "65534",
                "--regid",
                "65534",
                "--clear-groups",
                sys.executable,
                "-m",
                "mivex",
                *map(str, args),
            ],
            cwd=ROOT,
            capture_output=True,
            text=True,
            check=False,
            env=os.environ | {"HOME": "/nonexistent", "XDG_STATE_HOME": "/nonexistent"},
        )
        assert done.returncode == 2, (args, done)
        lines = done.stderr.strip().split("\n")
        assert len(lines) == 1 and lines[0].startswith("mivex: ") and len(lines[0]) <= LINE, (args, done.stderr)
        assert "inside Mivex" not in lines[0] and ("“" in lines[0] or "may not" in lines[0])
    assert {f: f.read_bytes() for f in mine.rglob("*") if f.is_file()} == before


def test_a_folder_that_goes_away_on_the_way_is_a_sentence(tmp_path):
    p = made.project(tmp_path, made.overlay(1, delivery={"recipe": "scene"}), made.overlay(2))
    out = tmp_path / "out"
    for when in (1, 3):
        code = (
            "import os, shutil, sys; from mivex.cli import main; real, n = os.replace, [0]\n"
            f"def cut(*a):\n    n[0] += 1\n    if n[0] == {when}: shutil.rmtree({str(out)!r}, True)\n"
            f"    return real(*a)\nos.replace = cut; sys.argv = ['mivex', 'deliver', {str(p)!r}, {str(out)!r}]; main()"
        )
        done = subprocess.run(
            [sys.executable, "-c", code],
            cwd=ROOT,
            check=False,
            capture_output=True,
            text=True,
            env=os.environ | {"XDG_STATE_HOME": str(tmp_path / "home")},
        )
        assert done.returncode == 2 and done.stderr.count("\n") == 1 and "inside Mivex" not in done.stderr, done.stderr
        assert not list(out.rglob("*.png")) or (out / "delivery.json").exists()
    assert p.exists() and (tmp_path / "a.png").exists()


def test_two_deliveries_into_one_folder_take_turns(tmp_path):
    """At one time, by two processes: one is told to wait, or both are done; a reader finds one of them, whole."""
    projects = []
    for k, opacity in enumerate((0.4, 0.9)):
        (tmp_path / str(k)).mkdir()
        rows = [made.overlay(j, delivery={"recipe": "scene"}) for j in (1, 2, 3)]
        for row in rows:
            row["material"]["opacity"] = opacity
        projects.append(made.project(tmp_path / str(k), *rows))
    alone = []
    for p in projects:
        to = p.parent / "alone"
        subprocess.run(
            [sys.executable, "-m", "mivex", "deliver", str(p), str(to)], cwd=ROOT, check=True, capture_output=True
        )
        alone.append({f.name: f.read_bytes() for f in to.iterdir()})
    assert alone[0] != alone[1]
    out = tmp_path / "out"
    running = [
        subprocess.Popen(
            [sys.executable, "-m", "mivex", "deliver", str(p), str(out)],
            cwd=ROOT,
            text=True,
            stdout=subprocess.PIPE,
            stderr=subprocess.PIPE,
        )
        for p in projects
    ]
    codes = []
    for r in running:
        _, err = r.communicate(timeout=300)
        codes.append(r.returncode)
        assert r.returncode == 0 or (r.returncode == 2 and err.count("\n") == 1 and "inside Mivex" not in err), err
    assert 0 in codes
    assert {f.name: f.read_bytes() for f in out.iterdir()} in alone


def test_a_refused_rename_leaves_all_old_and_no_journal(tmp_path, monkeypatch):
    from mivex.core.base import store

    for k in range(3):
        (tmp_path / f"f{k}").write_text("old")
    real, count = os.replace, [0]

    def refuse(*paths):
        count[0] += 1
        if count[0] == 2:
            raise PermissionError(13, "Permission denied")
        return real(*paths)

    monkeypatch.setattr(store.os, "replace", refuse)
    with pytest.raises((MivexError, OSError)), store.Batch() as batch:
        for k in range(3):
            batch.stage(tmp_path / f"f{k}", b"new")
        batch.commit()
    monkeypatch.setattr(store.os, "replace", real)
    assert sorted(p.name for p in tmp_path.iterdir()) == ["f0", "f1", "f2"]
    assert {p.read_text() for p in tmp_path.iterdir()} == {"old"}
    with store.Batch() as batch:  # and nothing is held
        batch.stage(tmp_path / "f0", b"newer")
        batch.commit()
    assert (tmp_path / "f0").read_text() == "newer"


@pytest.mark.parametrize("kind", [".png", ".tga", ".tif", ".exr", ".webp", ".ktx2", ".jpg", ".gif", ""])
def test_a_layer_is_written_in_every_format_or_refused_by_its_name(kind, meet, tmp_path):  # noqa: F811
    p = made.project(tmp_path)
    code, _, err, _ = meet(["layers", str(p), "Thing 1", str(tmp_path / f"o{kind}")], tmp_path)
    good = kind in (".png", ".tga", ".tif", ".exr", ".webp", ".ktx2")
    assert code == (0 if good else 2) and "inside Mivex" not in err and (tmp_path / f"o{kind}").exists() == good, err
    assert good or ("written as" in err and err.count("\n") == 1)
