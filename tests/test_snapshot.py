"""The snapshot of the scene: when two are the same, and that everything in the window reads the same one."""

import gc

import drive
import numpy as np
import pytest
from sprites import disc, paint, rgba

from mivex.core.base.kept import serial
from mivex.core.motion.starters import started
from mivex.core.picture.encode import write_picture
from mivex.core.picture.texture import Texture
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.scene.snapshot import SceneSnapshot
from mivex.core.sheet.model import Grid, Sheet
from mivex.ui.shell.app import wait_until_idle


def scene():
    doc, key = edits.add_blank(Document(), "Puff", "sprite", (16, 16))
    texture = Texture(np.ascontiguousarray(rgba(paint(16), disc(16))))
    return SceneSnapshot(doc.model_copy(update={"effects": (started("plume", "Plume", key),)}), {key: texture}), key


CHANGES = {
    "material": lambda d, k: edits.set_fields(d, k, "material", opacity=0.4),
    "sheet": lambda d, k: edits.set_fields(d, k, "sheet", grids=(Grid(columns=2, rows=2),)),
    "name": lambda d, k: edits.set_fields(d, k, "", name="Other"),
    "effect": lambda d, k: edits.set_effect(d, d.effects[0].id, seed=7),
    "light": lambda d, k: edits.set_lighting(d, exposure=1.0),
    "budget": lambda d, k: d.model_copy(update={"overdraw": 3.0}),
}


@pytest.mark.parametrize("what", CHANGES)
def test_whatever_a_picture_shows_is_in_the_key(what):
    seen, key = scene()
    same = SceneSnapshot(Document.model_validate(seen.doc.model_dump()), dict(seen.textures))
    assert same.key == seen.key  # equal content, another object
    other = SceneSnapshot(CHANGES[what](seen.doc, key), seen.textures)
    assert other.key != seen.key


def test_a_texture_that_takes_the_address_of_another_is_not_that_one():
    seen, key = scene()
    keys, serials = {seen.key}, {serial(seen.textures[key])}
    addresses = []
    for _ in range(200):
        texture = Texture(np.zeros((4, 4, 4), np.float32))
        keys.add(SceneSnapshot(seen.doc, {key: texture}).key)
        serials.add(serial(texture))
        addresses.append(id(texture))
        del texture
        gc.collect(0)
    assert len(set(addresses)) < 200  # addresses do come back
    assert len(keys) == len(serials) == 201


def test_only_what_moves_follows_the_clock():
    seen, key = scene()
    still = SceneSnapshot(seen.doc.model_copy(update={"effects": ()}), seen.textures)
    assert seen.moves and not still.moves
    sheet = Sheet(grids=(Grid(columns=2, rows=2),))
    assert SceneSnapshot(edits.set_fields(still.doc, key, "", sheet=sheet), seen.textures).moves


def test_the_ledger_follows_an_effect_that_is_changed(window, tmp_path):
    """Pinned under a dense plume, the account is made anew when only the effect has changed."""
    write_picture(tmp_path / "puff.png", np.full((16, 16, 4), 0.7, np.float32))
    window.add_pictures([str(tmp_path / "puff.png")])
    wait_until_idle(window)
    key, stage, page = window.session.overlay_id, window.stage.canvas, window.tray.ledger
    effect = started("plume", "Plume", key, (0.0, 1.2, 0.8))
    # Chances go by the part's id: a new one each time would leave a gap at that pixel now and then.
    effect = effect.model_copy(update={"parts": tuple(p.model_copy(update={"id": "plume"}) for p in effect.parts)})
    window.session.apply(
        "effect",
        lambda d: edits.map_overlay(d, key, lambda o: o.model_copy(update={"places": ()})).model_copy(
            update={"effects": (effect,)}
        ),
    )
    wait_until_idle(window)
    window.tray.show_page("ledger")
    wait_until_idle(window)
    x, y, _ = stage.view.on_screen(np.array([[0.0, 1.7, 0.8]]))[0]
    page.point(float(x), float(y))
    wait_until_idle(window)
    before = [r for r in page.account.set if r.owner]
    assert before
    drive.click(page.pin)
    window.session.apply("fewer", lambda d: edits.set_effect(d, effect.id, shown=False))
    wait_until_idle(window)
    assert not [r for r in page.account.set if r.owner] and page.account.pixel == (int(x), int(y))
