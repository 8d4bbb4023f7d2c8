"""What the station Motion does besides setting numbers: begins effects, copies them, keeps curves, works out bounds."""

from typing import Any

from mivex.core.base.messages import InSentence, Message
from mivex.core.motion.curves import Curve, Ramp
from mivex.core.motion.starters import STARTERS
from mivex.core.project import edits, effect_edits
from mivex.core.scene.draw_calls import build_environment
from mivex.core.scene.playback import EmitterSimulations
from mivex.ui.session.worker import Work
from mivex.ui.stations.base import Page
from mivex.ui.tools.lanes import BY_KEY


def begin(c: Page, overlay_id: str, key: str) -> None:
    """Begin an effect by its purpose, with an overlay."""
    made: list[str] = []

    def edit(d: Any) -> Any:
        at = (round(-0.5 + 0.35 * (len(d.effects) % 5), 3), STARTERS[key].height, 1.0)
        d, name = effect_edits.begun(d, key, overlay_id, at)
        made.append(name)
        return d

    c.session.apply("Begin an effect", edit)
    c.desk.choose(made[0])
    c.desk.choose_group("stream")
    c.desk.go_to(0.0)
    c.desk.play(True)


def copy(c: Page) -> None:
    """Copy the chosen effect: the copy differs in its place, its seed and what is left open."""
    made: list[str] = []

    def edit(d: Any) -> Any:
        d, name = effect_edits.copied(d, c.desk.effect_id)
        made.append(name)
        return d

    c.session.apply("Copy an effect", edit)
    if made and made[0]:
        c.desk.choose(made[0])
        c.desk.choose_group("effect")


def add_part(c: Page, overlay_id: str) -> None:
    """Give the chosen effect one more part, which shows an overlay."""
    key, like = c.desk.own_id, c.desk.emitter
    c.session.apply("Add a part", lambda d: effect_edits.with_part(d, key, overlay_id, like))
    effect = c.desk.effect
    if effect is not None:
        c.desk.choose(effect.id if not effect.copy_of else c.desk.effect_id, len(effect.parts) - 1)


def put_lane(c: Page, value: Curve | Ramp | None) -> None:
    """Set the chosen lane, or take it away."""
    key, part, lane = c.desk.own_id, c.desk.part, c.desk.lane
    words = (
        Message("Take the lane {title} away", title=InSentence(BY_KEY[lane].title))
        if value is None
        else Message("Change {title}", title=InSentence(BY_KEY[lane].title))
    )
    c.session.apply(words, lambda d: edits.set_part(d, key, part, "life", **{lane: value}))


def keep_lane(c: Page, value: Curve | Ramp) -> None:
    """Keep a curve, so that it can be put into another lane."""
    c.desk.kept = value
    c.desk.told.emit()


def frames_of(c: Page, overlay_id: str) -> int:
    """Frames of an overlay's sheet; 1 for a picture."""
    t = c.engine.get(overlay_id).texture
    return max(1, len(t.traits.cells)) if t is not None else 1


def choose_mesh(c: Page) -> None:
    """Ask for the mesh on whose surface particles are born."""
    if path := c.choose_file("mesh"):
        key, part = c.desk.own_id, c.desk.part
        c.session.apply("Choose a mesh", lambda d: edits.set_part(d, key, part, "emission", mesh=path))


def set_bounds(c: Page) -> None:
    """Set the chosen effect's bounds as its motion says, or take them away."""
    effect = c.desk.effect
    found = c.session.doc.effect(c.desk.effect_id)
    if effect is None or found is None:
        return
    key = found.id
    if found.bounds is not None:
        c.session.apply("Take the bounds away", lambda d: edits.set_effect(d, key, bounds=None))
        return

    def begin() -> Work:
        doc, meshes = c.session.doc, c.engine.results.meshes()

        def work(_report: Any, _stop: Any) -> object:
            box = EmitterSimulations().bounds(doc, effect, build_environment(doc, meshes))
            bounds = tuple(tuple(round(float(v), 3) for v in e) for e in (box.low, box.high)) if box else None
            return lambda: c.session.apply("Set bounds", lambda d: edits.set_effect(d, key, bounds=bounds))

        return work

    c.session.jobs.ask(None, begin)
