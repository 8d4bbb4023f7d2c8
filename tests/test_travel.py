"""Effects that move, and what they have born."""

import numpy as np
import pytest
from test_motion import effect

from mivex.core.motion.bounds import bounds_of
from mivex.core.motion.curves import Curve
from mivex.core.motion.model import (
    Effect,
    Lamp,
    Travel,
    whole,
)
from mivex.core.motion.simulate import EmitterSimulation
from mivex.core.project.document import Document
from mivex.core.scene.playback import lamp_at


@pytest.mark.parametrize("path", ["swing", "circle"])
def test_an_effect_that_moves_leaves_its_particles_where_they_were_born(path):
    """Its own closed form: without forces a particle born at t stands where the emitter was, plus its own way since."""
    e = effect({"rate": 50, "along": (1, 0, 0)}, {"speed": (0.5, 0.5), "life": (1.5, 1.5)}, {"gravity": 0})
    way = Travel(path=path, reach_x=0.4, reach_y=0.1, reach_z=-0.2, period=1.3, turning=120.0, carried=1.0)
    e = e.model_copy(update={"travel": way, "yaw": 30.0, "scale": 2.0, "pitch": 60.0})
    flow = EmitterSimulation(e, e.parts[0])
    still = EmitterSimulation(e.model_copy(update={"travel": Travel()}), e.parts[0])
    turn, time = flow.axes.turn, 2.37
    got = flow.at(time)
    assert len(got) == len(still.at(time)) > 60
    born, w = time - got.age, 2 * np.pi / 1.3
    s, c = np.sin(w * born), np.cos(w * born)
    reach = np.array([0.4, 0.1, -0.2])
    place = np.stack([s if path == "swing" else c, s, s], axis=1) * reach
    quick = np.stack([c if path == "swing" else -s, c, c], axis=1) * reach * w
    angle = np.radians(120.0) * born
    out = np.stack([np.cos(angle), 0 * angle, -np.sin(angle)], axis=1)  # the one way, turned about +y
    due = np.array(e.at) + 2 * (place + (out * 0.5 + quick) * got.age[:, None]) @ turn.T
    assert np.abs(got.position - due).max() < 1e-9
    # Played, jumped to and scrubbed back to it is the same to the bit; the box is never left; what stands still is as ever.
    fresh = EmitterSimulation(e, e.parts[0])
    for t in np.arange(0, 2.37, 1 / 24):
        fresh.at(float(t))
    assert np.array_equal(fresh.at(time).position, got.position)
    b = bounds_of(flow)
    seen = np.concatenate([flow.at(float(t)).position for t in np.linspace(0, 9, 200)])
    assert (b.low <= seen.min(axis=0)).all() and (b.high >= seen.max(axis=0)).all()
    assert not Travel().moves and Travel(turning=1).moves and not Travel(path="swing", reach_x=0).moves
    # The lamp goes along; a copy moves as its original does; the file keeps it.
    lit = e.model_copy(update={"lamp": Lamp(on=True, flicker=0.0, above=0.0)})
    there = np.array(lamp_at(lit, 0.5).at) - np.array(e.at)
    at = np.array([np.sin(w * 0.5) if path == "swing" else np.cos(w * 0.5), np.sin(w * 0.5), np.sin(w * 0.5)]) * reach
    assert np.abs(there - 2 * turn @ at).max() < 1e-6
    assert whole(Effect(id="c", name="C", copy_of="e"), (e,)).travel == way
    assert Document.model_validate_json(Document(effects=(e,)).model_dump_json()).effects[0].travel == way


def test_what_is_born_on_a_turning_mesh_follows_its_turning():
    """A screw: particles set out from its blades as these stand when they are born."""
    e = effect({"rate": 40, "form": "line", "size": (1.0, 0, 0), "way": "given", "along": (0, 1, 0)}, {"speed": (0, 0)})
    e = e.model_copy(update={"travel": Travel(turning=90.0)})
    flow = EmitterSimulation(e, e.parts[0])
    got = flow.at(1.9)
    local = (got.position - np.array(e.at)) @ flow.axes.turn
    angle = np.degrees(np.arctan2(-local[:, 2], local[:, 0])) % 180
    far = np.hypot(local[:, 0], local[:, 2]) > 0.02
    off = (angle - 90.0 * (1.9 - got.age)) % 180
    assert far.sum() > 40 and np.minimum(off, 180 - off)[far].max() < 1e-6


SOUND = {
    "birth": {"width": (0.1, 0.2), "turn": (-180, 180), "speed": (0.5, 1)},
    "life": {"opacity": Curve(points=((0, 0), (0.2, 1), (1, 0)))},
}
