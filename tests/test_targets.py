"""Where things are written: targets that are looked at first, kernels that are kept, settings that wait for their field."""

import os
import stat

import pytest

from mivex.core.base import compiled, store
from mivex.core.base.errors import MivexError
from mivex.core.base.store import Batch, check_folder, check_target, protect, unprotect
from mivex.core.layers.model import Layer
from mivex.core.prepare.blur import Blur
from mivex.core.prepare.tones import Smoothstep
from mivex.core.project import delivery_edits, edits, effect_edits, layer_edits
from mivex.core.project.delivery import Feed, recipe_named
from mivex.core.project.document import Document
from mivex.core.project.file import write_project


def test_a_target_says_before_anything_is_computed_why_it_cannot_be_written(tmp_path):
    (tmp_path / "there.png").write_bytes(b"old")
    (tmp_path / "folder.png").mkdir()
    os.mkfifo(tmp_path / "pipe.png")
    (tmp_path / "link.png").symlink_to(tmp_path / "there.png")
    for good in ("new.png", "there.png", "link.png"):
        check_target(tmp_path / good)
    for bad, words in (
        ("folder.png", "a folder has that name"),
        ("pipe.png", "device, pipe or socket"),
        ("gone/new.png", "no such file or directory"),
        ("there.png/new.png", "cannot be written"),
        ("x\0.png", "NUL"),
        ("x" * 300 + ".png", "too long"),
    ):
        with pytest.raises(MivexError, match=words):
            check_target(tmp_path / bad)
    assert (tmp_path / "there.png").read_bytes() == b"old"
    check_folder(tmp_path / "made" / "later")
    with pytest.raises(MivexError, match="is a file"):
        check_folder(tmp_path / "there.png" / "x")
    protect([tmp_path / "there.png"])
    try:
        for name in ("there.png", "link.png"):
            with pytest.raises(MivexError, match="written over"):
                check_target(tmp_path / name)
    finally:
        unprotect()


@pytest.mark.parametrize("number", range(1, 6))
def test_whichever_rename_is_refused_everything_is_as_it_was(tmp_path, monkeypatch, number):
    """Five files, two of them new, in two folders."""
    (tmp_path / "other").mkdir()
    for k in range(3):
        (tmp_path / f"f{k}").write_text(f"old {k}")
        os.chmod(tmp_path / f"f{k}", 0o640)
    places = [tmp_path / "f0", tmp_path / "new", tmp_path / "f1", tmp_path / "other" / "new", tmp_path / "f2"]
    real, count = os.replace, [0]

    def refuse(a, b):
        if not str(a).endswith(".old"):
            count[0] += 1
            if count[0] == number:
                raise OSError(28, "No space left on device")
        return real(a, b)

    monkeypatch.setattr(store.os, "replace", refuse)
    with pytest.raises(MivexError, match="nothing was changed"), Batch() as batch:
        for k, path in enumerate(places):
            batch.stage(path, f"new {k}".encode())
        batch.commit()
    monkeypatch.setattr(store.os, "replace", real)
    assert sorted(p.name for p in tmp_path.iterdir()) == ["f0", "f1", "f2", "other"]
    assert not list((tmp_path / "other").iterdir())
    for k in range(3):
        path = tmp_path / f"f{k}"
        assert path.read_text() == f"old {k}" and stat.S_IMODE(path.stat().st_mode) == 0o640 and path.stat().st_nlink == 1


def fresh(monkeypatch, **env):
    """Forget what was found out about folders, as another start would."""
    for name in ("NUMBA_CACHE_DIR", "XDG_CACHE_HOME"):
        monkeypatch.delenv(name, raising=False)
    for name, value in env.items():
        monkeypatch.setenv(name, str(value))
    compiled.folder.cache_clear()


def test_kernels_are_kept_where_they_can_be_and_only_where_nobody_else_writes(tmp_path, monkeypatch):
    fresh(monkeypatch)
    assert compiled.folder() is None and compiled.can_keep()  # a checkout: beside them
    fresh(monkeypatch, NUMBA_CACHE_DIR=tmp_path / "mine")
    assert compiled.folder() == tmp_path / "mine"
    # The program's folder belongs to somebody else: with the user's own, under a name that holds the sources' hash.
    closed = [compiled.CORE]
    monkeypatch.setattr(compiled, "_writable", lambda p: not any(c in (p, *p.parents) for c in closed))
    fresh(monkeypatch, XDG_CACHE_HOME=tmp_path / "cache")
    own = compiled.folder()
    assert own.is_relative_to(tmp_path / "cache") and own.name == f"kernels-{compiled.sources_mark()}"
    # No home either: below the folder for temporary files, for this user alone.
    closed.append(tmp_path / "cache")
    monkeypatch.setattr(compiled.tempfile, "gettempdir", lambda: str(tmp_path / "tmp"))
    fresh(monkeypatch, XDG_CACHE_HOME=tmp_path / "cache")
    spare = compiled.folder()
    assert spare.parent == tmp_path / "tmp" and stat.S_IMODE(spare.stat().st_mode) == 0o700
    # Somebody may have been there before: open to others, or a link to elsewhere, it is not used.
    os.chmod(spare, 0o777)
    fresh(monkeypatch, XDG_CACHE_HOME=tmp_path / "cache")
    assert compiled.folder() is None and not compiled.can_keep()
    spare.rmdir()
    (tmp_path / "evil").mkdir(0o700)
    spare.symlink_to(tmp_path / "evil")
    fresh(monkeypatch, XDG_CACHE_HOME=tmp_path / "cache")
    assert compiled.folder() is None
    fresh(monkeypatch)


def test_a_setting_of_a_step_that_is_another_by_now_changes_nothing():
    doc, key = edits.add_overlay(Document(), "A", "sprite", "a.png")
    doc = edits.set_steps(doc, key, (Blur(), Smoothstep()))
    assert edits.set_step(doc, key, 0, radius=3.0).overlay(key).steps[0].radius == 3.0
    swapped = edits.set_steps(doc, key, (Smoothstep(),))
    for index, values in ((0, {"radius": 3.0}), (1, {"low": 0.2}), (-1, {"low": 0.2}), (7, {})):
        assert edits.set_step(swapped, key, index, **values) == swapped
    # The same of everything else that is told by its number: steps moved or removed, parts of masks and effects, files.
    doc = layer_edits.add_row(swapped, key, Layer(id="r", name="R"))
    doc, effect = effect_edits.begun(doc, "motes", key, (0.0, 1.0, 0.0))
    recipe = recipe_named("scene", ())
    for index in (-1, 7):
        assert edits.move_step(doc, key, index, 1) == doc == edits.remove_step(doc, key, index)
        assert layer_edits.set_part(doc, key, "r", index, inverted=True) == doc
        assert edits.set_part(doc, effect, index, "life", drag=2.0) == doc
        assert effect_edits.without_part(doc, effect, index) == doc
        assert delivery_edits.with_file(recipe, index, bits=16) == recipe
        assert delivery_edits.with_feed(recipe, index, "red", Feed(take="opacity")) == recipe
        assert delivery_edits.without_file(recipe, index) == recipe


def test_a_save_that_changes_nothing_is_a_save(tmp_path):
    """The bytes are the same, the file is the same one, and it says when it was saved."""
    doc, _ = edits.add_overlay(Document(), "A", "sprite", "a.png")
    path = tmp_path / "p.mivex"
    first = write_project(path, doc)
    os.utime(path, (1000, 1000))
    before = path.stat().st_ino, path.read_bytes()
    assert write_project(path, doc, first) == first
    assert (path.stat().st_ino, path.read_bytes()) == before and path.stat().st_mtime > 1e9
