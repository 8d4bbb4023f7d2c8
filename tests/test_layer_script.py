"""Lists of edits to layers: what each does, on one overlay and on a hundred, and what is said of wrong ones."""

import json

import numpy as np
import pytest
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.layers.model import Group
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project
from mivex.core.project.layer_script import apply_edits, read_edits

FILM = {"id": "film", "name": "Film", "cells": {"roughness": {"number": 0.3}}}


def panes(count=3):
    doc = Document()
    for k in range(count):
        doc, _ = edits.add_blank(doc, f"Pane {k}", "glass" if k % 3 else "decal", (48, 48))
    return doc


def test_each_edit_does_what_the_window_does():
    doc = panes()
    key = doc.overlays[1].id
    made, count = apply_edits(
        doc,
        [
            {"do": "add", "overlay": "*", "row": FILM},
            {"do": "build", "overlay": "Pane 1", "name": "Iced pane", "dials": {"frost": 0.4}, "strength": 0.7},
            {"do": "set", "overlay": key, "row": "Film", "at": "cells.roughness.number", "to": 0.9},
            {"do": "move", "overlay": key, "row": "Film", "by": 1},
            {"do": "remove", "overlay": {"kind": "decal"}, "row": "film"},
        ],
    )
    assert count == 3 + 1 + 1 + 1 + 1
    assert not made.overlays[0].layers.rows and len(made.overlays[2].layers.rows) == 1
    ice, film = made.overlays[1].layers.rows
    assert isinstance(ice, Group) and ice.strength == 0.7 and ice.rows[1].strength == 0.4
    assert film.cells["roughness"].number == 0.9 and doc.overlays[1].layers.rows == ()
    # The same by hand gives the same picture.
    hand = layer_edits.add_row(made, key, film.model_copy(update={"id": "film2"}))
    hand = layer_edits.remove_row(hand, key, "film")
    a, b = (Evaluator().texture(d.overlays[1], d).values for d in (made, hand))
    assert np.array_equal(a, b)
    # A row twice on one overlay gets an id of its own.
    twice, _ = apply_edits(doc, [{"do": "add", "overlay": key, "row": FILM}] * 2)
    assert len({r.id for r in twice.overlays[1].layers.rows}) == 2


@pytest.mark.parametrize(
    ("edit", "words"),
    [
        ({}, "there are"),
        ({"do": "paint", "overlay": "*"}, "paint"),
        ({"do": "add", "overlay": "*"}, "needs “row”"),
        ({"do": "add", "overlay": "*", "row": FILM, "colour": 1}, "has no “colour”"),
        ({"do": "add", "overlay": "nobody", "row": FILM}, "no overlay “nobody”"),
        ({"do": "add", "overlay": "*", "row": {"cells": {"roughness": {"number": 7}}}}, "less than or equal to 1"),
        ({"do": "add", "overlay": "*", "row": 3}, "Edit 1"),
        ({"do": "set", "overlay": "*", "row": "nothing", "at": "strength", "to": 1}, "has no layer"),
        ({"do": "set", "overlay": "Pane 1", "row": "Film", "at": "cells.metal.number", "to": 1}, "nothing at"),
        ({"do": "set", "overlay": "Pane 1", "row": "Film", "at": "", "to": 1}, "nothing at"),
        ({"do": "set", "overlay": "Pane 1", "row": "Film", "at": "strenght", "to": 1}, "nothing at"),
        ({"do": "set", "overlay": "Pane 1", "row": "Film", "at": "mask.parts.3.value", "to": 1}, "nothing at"),
        ({"do": "set", "overlay": "Pane 1", "row": "Film", "at": "id", "to": "x"}, "cannot be set"),
        ({"do": "set", "overlay": "Pane 1", "row": "Film", "at": "strength", "to": "much"}, "number"),
        ({"do": "build", "overlay": "*", "name": "No such"}, "No such"),
        ({"do": "build", "overlay": "*", "name": "Iced pane", "dials": {"Heat": 1}}, "Clear middle"),
        ({"do": "move", "overlay": "Pane 1", "row": "Film", "by": "up"}, "whole number"),
        ({"do": "move", "overlay": "Pane 1", "row": ["Film"], "by": 1}, "has no layer"),
    ],
)
def test_what_is_wrong_with_an_edit_is_one_sentence_and_nothing_is_done(edit, words):
    doc, _ = apply_edits(panes(), [{"do": "add", "overlay": "Pane 1", "row": FILM}])
    with pytest.raises(MivexError, match=words):
        apply_edits(doc, [edit])


def test_overlays_cannot_be_made_to_use_each_other():
    doc = panes(2)
    a, b = (o.id for o in doc.overlays)
    over = [{"do": "add", "overlay": x, "row": {"id": x, "laid_over": y}} for x, y in ((a, b), (b, a))]
    with pytest.raises(MivexError, match="neither can come first"):
        apply_edits(doc, over)


def test_a_hundred_panes_are_dirtied_from_the_command_line(tmp_path):
    project, out = tmp_path / "panes.mivex", tmp_path / "there" / "dirty.mivex"
    out.parent.mkdir()
    write_project(project, panes(100))
    (tmp_path / "e.json").write_text(
        json.dumps({"edits": [{"do": "build", "overlay": {"kind": "glass"}, "name": "Dirty porthole"}]})
    )
    before = project.read_bytes()
    done = mivex_run("layers", project, "--edit", tmp_path / "e.json", "--out", out)
    assert done.returncode == 0 and "66 edits" in done.stdout and project.read_bytes() == before
    made = read_project(out)
    assert [len(o.layers.rows) for o in made.overlays] == [1 if k % 3 else 0 for k in range(100)]
    for args in (
        ("layers", project),
        ("layers", project, "--edit", tmp_path / "e.json"),
        ("layers", project, "Pane 1", "--edit", tmp_path / "e.json", "--out", out),
        ("layers", project, "--edit", tmp_path / "e.json", "--out", project),
        ("layers", project, "--edit", tmp_path / "none.json", "--out", out),
        ("layers", project, "--edit", project, "--out", out),
    ):
        done = mivex_run(*args)
        assert done.returncode == 2 and done.stderr.count("\n") == 1 and "Traceback" not in done.stderr, args
    (tmp_path / "cut.json").write_text("[{")
    with pytest.raises(MivexError, match="cut short"):
        read_edits(tmp_path / "cut.json")
