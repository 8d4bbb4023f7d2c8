"""Faults of order and depth: drawn in the wrong order, through itself, fighting, hidden by what is seen through, by chance.

Measured on pictures of 256 by 160 from every camera of the project; figures are of the camera where it is worst.
"""

from collections import defaultdict

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, SceneSubject
from mivex.core.findings.finding import Finding, Look, Repair
from mivex.core.findings.scene.common import LEAST, TOTAL, pixel_of
from mivex.core.findings.scene.depth_fight import fighting, level_nudge
from mivex.core.findings.seen import Seen, VisibleDraws, see_through
from mivex.core.pixels.blends import BLENDS, commute
from mivex.core.project.edits import SetFields

WRONG = 3
"""Codes of 255 from which a pixel counts as wrong."""


def _inverted(shown: VisibleDraws) -> dict[tuple[int, int], list[int]]:
    """Draws of which the first is drawn after the second though it lies behind it: their pixels, where it shows."""
    s: Seen = shown.fragments
    out: dict[tuple[int, int], list[int]] = defaultdict(list)
    through = np.array([see_through(d) for d in shown.draws] or [False])
    wrong = (shown.error >= WRONG).ravel()
    # Only what was drawn, what is seen through, what shows, and where the picture is off at all.
    use = np.flatnonzero((s.verdict == 0) & through[s.draw] & (s.alpha > 0.01) & wrong[s.pixel] & (s.hidden_by < 0))
    pixel, draw, iw = s.pixel[use], s.draw[use], s.iw[use]
    starts = np.flatnonzero(np.diff(pixel, prepend=-1))
    for a, b in zip(starts, [*starts[1:], len(pixel)], strict=True):
        for i in range(a, b):
            for j in range(i + 1, b):
                # A millionth nearer: what lies in one plane is no wrong order.
                if iw[j] < iw[i] * (1 - 1e-6):
                    out[int(draw[j]), int(draw[i])].append(int(pixel[j]))
    return out


def _wrong_order(scene: SceneSubject) -> list[Finding]:
    worst: dict[tuple[str, str], tuple[VisibleDraws, list[int]]] = {}
    for shown in scene.seen:
        if not (shown.error >= WRONG).any():
            continue
        pairs: dict[tuple[str, str], list[int]] = defaultdict(list)
        for (i, j), pixels in _inverted(shown).items():
            da, db = shown.draws[i], shown.draws[j]
            harmless = commute(da.material.blend, db.material.blend)
            if da.owner != db.owner and da.owner and db.owner and not harmless and not (da.moving and db.moving):
                pairs[da.owner, db.owner] += pixels
        for pair, pixels in pairs.items():
            if len(pixels) >= LEAST and (pair not in worst or len(pixels) > len(worst[pair][1])):
                worst[pair] = shown, pixels
    rows = []
    for late, early in tuple(worst):
        a, b = scene.doc.overlay(late), scene.doc.overlay(early)
        # Seen the wrong way round from both sides: no order can be right, and another repair is due.
        both = (early, late) in worst
        if a is None or b is None or (both and early < late):
            continue
        shown, pixels = max((worst[late, early], worst.get((early, late), worst[late, early])), key=lambda w: len(w[1]))
        mean = float(shown.error.ravel()[pixels].mean())
        share = Message(
            "{count:.1%} of the picture of camera {name} is off by {mean:.0f} of 255.",
            count=len(pixels) / TOTAL,
            name=shown.camera.name,
            mean=mean,
        )
        at = max(pixels, key=lambda p: int(shown.error.ravel()[p]))
        # A nudge is what mostly stands in the way; without one there is nothing to take back.
        edits = [] if both else [e for o in (a, b) if (e := level_nudge(o)) is not None]
        rows.append(
            Finding(
                "order",
                a.name,
                len(pixels) / TOTAL * 100,
                "% of the picture",
                Message(
                    "“{name}” and “{name2}” stand through each other or swap with the camera; neither "
                    "order is right: {share}",
                    name=a.name,
                    name2=b.name,
                    share=share,
                )
                if both
                else Message(
                    "“{name}” is drawn over “{name2}” though it lies behind it: {share}",
                    name=a.name,
                    name2=b.name,
                    share=share,
                ),
                "What is farther away seems to lie in front; it flips as the camera moves.",
                pixel_of(shown, at),
                Repair("Draw both by their distance", tuple(edits)) if edits else None,
                {"pair": [a.name, b.name], "pixels": len(pixels), "error": mean, "camera": shown.camera.name, "both": both},
                (a.id, b.id),
                mean * len(pixels) / TOTAL * 10,
            )
        )
    return rows


def _through_itself(scene: SceneSubject) -> list[Finding]:
    worst: dict[str, tuple[VisibleDraws, list[int]]] = {}
    for shown in scene.seen:
        if not (shown.error >= WRONG).any():
            continue
        own: dict[str, list[int]] = defaultdict(list)
        for (late, early), pixels in _inverted(shown).items():
            d = shown.draws[late]
            # Particles cross each other all the time; they are sorted one by one.
            if d.owner and late == early and not d.material.depth_first and not d.moving:
                own[d.owner] += pixels
        for key, pixels in own.items():
            if len(pixels) >= LEAST and (key not in worst or len(pixels) > len(worst[key][1])):
                worst[key] = shown, pixels
    rows = []
    for key, (shown, pixels) in worst.items():
        o = scene.doc.overlay(key)
        if o is None:
            continue
        mean = float(shown.error.ravel()[pixels].mean())
        rows.append(
            Finding(
                "through-itself",
                o.name,
                len(pixels) / TOTAL * 100,
                "% of the picture",
                Message(
                    "“{name}” shows through itself: its far side is drawn over its near one in "
                    "{count:.1%} of the picture of camera {name2}.",
                    name=o.name,
                    count=len(pixels) / TOTAL,
                    name2=shown.camera.name,
                ),
                "Parts of a figure flicker through other parts, by the order of its triangles.",
                pixel_of(shown, pixels[len(pixels) // 2]),
                Repair("Lay its depth first", (SetFields(o.id, "material", (("depth_first", True),)),)),
                {"pixels": len(pixels), "camera": shown.camera.name},
                (o.id,),
                mean * len(pixels) / TOTAL * 10,
            )
        )
    return rows


def _hidden_by_writer(scene: SceneSubject) -> list[Finding]:
    worst: dict[tuple[str, str], tuple[VisibleDraws, int, int]] = {}
    for shown in scene.seen:
        s = shown.fragments
        # What is as good as clear is not missed where it is hidden.
        lost = (s.hidden_by >= 0) & (s.alpha > 0.02)
        pairs: dict[tuple[str, str], list[int]] = defaultdict(list)
        for i, by, p in zip(s.draw[lost], s.hidden_by[lost], s.pixel[lost], strict=True):
            a, b = shown.draws[i], shown.draws[by]
            # What is not seen through may hide: that is what depth is for.
            if a.owner and b.owner and a.owner != b.owner and see_through(b):
                pairs[a.owner, b.owner].append(int(p))
        for pair, pixels in pairs.items():
            # Hidden, and the picture is off there: what was hidden behind something covering is missed by nobody.
            visible = [p for p in pixels if shown.error.ravel()[p] >= WRONG]
            if len(visible) >= LEAST and (pair not in worst or len(visible) > worst[pair][1]):
                worst[pair] = shown, len(visible), visible[len(visible) // 2]
    rows = []
    for (lost_id, by_id), (shown, count, at) in worst.items():
        a, b = scene.doc.overlay(lost_id), scene.doc.overlay(by_id)
        if a is None or b is None:
            continue
        rows.append(
            Finding(
                "hidden",
                a.name,
                count / TOTAL * 100,
                "% of the picture",
                Message(
                    "“{name}” is hidden by “{name2}”, which is seen through and yet writes depth: "
                    "{count:.1%} of the picture of camera {name3}.",
                    name=a.name,
                    name2=b.name,
                    count=count / TOTAL,
                    name3=shown.camera.name,
                ),
                "A hole in the shape of the nearer panel, even where that one is clear.",
                pixel_of(shown, at),
                Repair(
                    Message("Switch off depth write of “{name}”", name=b.name),
                    (SetFields(b.id, "material", (("depth_write", False),)),),
                ),
                {"pair": [a.name, b.name], "pixels": count, "camera": shown.camera.name},
                (b.id, a.id),
                120 * count / TOTAL,
            )
        )
    return rows


def _by_chance(scene: SceneSubject) -> list[Finding]:
    rows, said = [], set()
    for shown in scene.seen:
        sorted_ = [(i, d) for i, d in enumerate(shown.draws) if d.owner and see_through(d)]
        s = shown.fragments
        for k, (i, a) in enumerate(sorted_):
            for j, b in sorted_[k + 1 :]:
                pair = tuple(sorted((a.owner, b.owner)))
                if (
                    a.owner == b.owner
                    or pair in said
                    or a.order[:2] != b.order[:2]
                    # A tenth of a millimetre: less than a camera moves between two pictures.
                    or abs(a.order[2] - b.order[2]) > 1e-4
                    or commute(a.material.blend, b.material.blend)
                ):
                    continue
                # Equal distance alone is no fault where the two are never seen over each other.
                both = np.intersect1d(s.pixel[(s.draw == i) & (s.alpha > 0.02)], s.pixel[(s.draw == j) & (s.alpha > 0.02)])
                if len(both) < LEAST:
                    continue
                said.add(pair)
                first, second = scene.doc.overlay(a.owner), scene.doc.overlay(b.owner)
                if first is None or second is None:
                    continue
                rows.append(
                    Finding(
                        "chance",
                        second.name,
                        len(both) / TOTAL * 100,
                        "% of the picture",
                        Message(
                            "“{name}” and “{name2}” are equally far away from camera {name3}: which of them is "
                            "drawn last is chance.",
                            name=first.name,
                            name2=second.name,
                            name3=shown.camera.name,
                        ),
                        "They swap at the least movement of the camera.",
                        pixel_of(shown, int(both[len(both) // 2])),
                        Repair(
                            Message("Draw “{name}” later", name=second.name),
                            (SetFields(second.id, "material", (("nudge", min(first.material.nudge + 1, 99)),)),),
                        ),
                        {"pair": [first.name, second.name], "pixels": len(both), "camera": shown.camera.name},
                        (second.id, first.id),
                        20 * len(both) / TOTAL,
                    )
                )
    return rows


def _cutout_same(scene: SceneSubject) -> list[Finding]:
    from mivex.core.findings.seen import changed
    from mivex.core.material.material import with_blend

    rows = []
    for o in scene.doc.overlays:
        if (
            not (o.shown and o.places and o.material.blend == "Translucent" and o.id in scene.textures)
            or o.material.group == "Decal"
            or o.material.opacity < 1
        ):
            continue
        alpha = scene.textures[o.id].alpha
        # Softness of more than a fiftieth is seen when it is cut off; without anything solid there is nothing to cut out.
        if float(((alpha > 0.1) & (alpha < 0.9)).mean()) > 0.02 or float(alpha.max()) < 0.99:
            continue
        cut = with_blend(o.material, "Cutout")
        other = changed(scene.doc, o.id, **{k: getattr(cut, k) for k in ("blend", "group", "depth_write")})
        seen, apart = 0, 0
        for shown in scene.seen:
            seen += sum(int((shown.fragments.draw == i).sum()) for i, d in enumerate(shown.draws) if d.owner == o.id)
            # By a render, not by alpha alone: light, tint and what lies behind decide what is seen.
            apart = max(apart, int(np.abs(shown.otherwise(other) - shown.codes).max()))
        if seen >= LEAST and apart <= 1:
            rows.append(
                Finding(
                    "cutout-does",
                    o.name,
                    apart,
                    "of 255",
                    Message(
                        "“{name}” looks the same as Cutout, to within {apart} of 255, and as Cutout it needs no sorting.",
                        name=o.name,
                        apart=apart,
                    ),
                    Message("{why} As Translucent it can be drawn in the wrong order.", why=term(BLENDS["Cutout"].why)),
                    None,
                    Repair(
                        "Make it Cutout",
                        (
                            SetFields(
                                o.id, "material", tuple((k, getattr(cut, k)) for k in ("blend", "group", "depth_write"))
                            ),
                        ),
                    ),
                    {},
                    (o.id,),
                    0.05,
                )
            )
    return rows


CHECKS = (
    Check("order", "Drawn in the wrong order", _wrong_order, "blend", Look("stage"), "scene"),
    Check("through-itself", "Shows through itself", _through_itself, "blend", Look("stage"), "scene"),
    Check("depth-fight", "Fights with its surface", fighting, "blend", Look("stage"), "scene"),
    Check("hidden", "Hidden by what is seen through", _hidden_by_writer, "blend", Look("stage"), "scene"),
    Check("chance", "Order is chance", _by_chance, "blend", Look("stage"), "scene"),
    Check("cutout-does", "Cutout would do", _cutout_same, "blend", Look("stage"), "scene"),
)
"""Registered."""
