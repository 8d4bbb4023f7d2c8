"""Faults of what is seen: light clipped, nothing changed, black, lit flat, back or soft contact missing, mirrored."""

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, SceneSubject
from mivex.core.findings.finding import Finding, Look, Pixel, Repair
from mivex.core.findings.scene.common import LEAST, TOTAL, pixel_of
from mivex.core.findings.seen import SIZE, VisibleDraws, changed, see_through, without
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.document import Overlay
from mivex.core.project.edits import SetFields
from mivex.core.stage.placements_model import BillboardPlace


def _placed(scene: SceneSubject) -> list[Overlay]:
    return [o for o in scene.doc.overlays if o.shown and o.places and o.id in scene.textures]


def _pixels(shown: VisibleDraws, owner: str, least: float = 0.02) -> np.ndarray:  # type: ignore[type-arg]
    """Pixels where an overlay's fragments are drawn."""
    s = shown.fragments
    mine = np.array([d.owner == owner for d in shown.draws] or [False])
    # Twice seen counts once: panels of one overlay may lie over each other.
    return np.unique(s.pixel[mine[s.draw] & (s.verdict == 0) & (s.alpha > least)])


def _clipped(scene: SceneSubject) -> list[Finding]:
    rows = []
    for o in _placed(scene):
        if o.material.blend != "Additive":
            continue
        worst: tuple[float, VisibleDraws, int, int] | None = None
        hidden = without(scene.doc, o.id)
        for shown in scene.seen:
            mine = _pixels(shown, o.id)
            if mine.size < LEAST:
                continue
            now = shown.codes.reshape(-1, 3)[mine]
            # A quick look first: without so many white pixels the other picture need not be drawn.
            if (now >= 255).all(axis=1).mean() <= 0.08:
                continue
            before = shown.otherwise(hidden).reshape(-1, 3)[mine]
            # All its light is lost where a channel was far from white and is now beyond it in every channel.
            lost = (now >= 255).all(axis=1) & (before < 250).any(axis=1)
            share = float(lost.mean())
            if share > 0.08 and lost.sum() >= LEAST and (worst is None or share > worst[0]):
                worst = share, shown, int(mine[np.flatnonzero(lost)[len(np.flatnonzero(lost)) // 2]]), int(lost.sum())
        if worst:
            share, shown, at, count = worst
            rows.append(
                Finding(
                    "clipped",
                    o.name,
                    share * 100,
                    "% of it",
                    Message(
                        "{share:.0%} of “{name}” is clipped to plain white on the bright ground that camera {name2} sees.",
                        share=share,
                        name=o.name,
                        name2=shown.camera.name,
                    ),
                    "Added light has no shape where the ground is bright already: it becomes a white patch.",
                    pixel_of(shown, at),
                    Repair("Make it Premultiplied", (SetFields(o.id, "material", (("blend", "Premultiplied"),)),)),
                    {"pixels": count, "camera": shown.camera.name},
                    (o.id,),
                    100 * count / TOTAL,
                )
            )
    return rows


def _nothing(scene: SceneSubject) -> list[Finding]:
    rows = []
    for o in _placed(scene):
        # What multiplies may be there and change nothing; everything else is seen where it is drawn.
        if o.material.blend != "Multiply" and any(
            o.id in shown.opaque or _pixels(shown, o.id).size for shown in scene.seen
        ):
            continue
        hidden = without(scene.doc, o.id)
        if any((shown.otherwise(hidden) != shown.codes).any() for shown in scene.seen):
            continue
        a = scene.textures[o.id].alpha
        why = (
            "its alpha is 0 everywhere"
            if float(a.max()) == 0 or o.material.opacity == 0
            else "it lies behind something, or outside what the cameras see"
        )
        rows.append(
            Finding(
                "no-change",
                o.name,
                0,
                "pixels",
                Message("“{name}” changes no pixel of any camera: {why}.", name=o.name, why=term(why)),
                "It costs and shows nothing.",
                None,
                None,
                {},
                (o.id,),
                0.4,
            )
        )
    return rows


def _black(scene: SceneSubject) -> list[Finding]:
    rows = []
    emitted = {p.overlay for e in scene.doc.effects if e.shown for p in e.parts if not p.muted}
    for o in scene.doc.overlays:
        if not o.shown or o.id not in scene.textures or not (o.places or o.id in emitted):
            continue
        m, t = o.material, scene.textures[o.id]
        if m.lit or m.blend == "Multiply" or m.finish.glow.strength > 0 or m.halo.strength > 0 or "emissive" in t.channels:
            continue
        seen = t.alpha > 0.05
        if not seen.any():
            continue
        # The brightest seen texel, by the brightest channel of the tint: darker than that nothing can be drawn.
        brightest = float(t.values[..., :3][seen].max()) * (max(m.tint) if not m.tones.on else 1)
        if brightest < 8 / 255:
            rows.append(
                Finding(
                    "black",
                    o.name,
                    brightest * 255,
                    "of 255",
                    Message("“{name}” is unlit and gives off nothing: it is drawn black.", name=o.name),
                    "A black shape where light should fall or shine.",
                    None,
                    Repair("Let light fall on it", (SetFields(o.id, "material", (("lit", True),)),))
                    if BLENDS[m.blend].covers
                    else None,
                    {},
                    (o.id,),
                    1.0,
                )
            )
    return rows


def _lit_flat(scene: SceneSubject) -> list[Finding]:
    rows = []
    for o in _placed(scene):
        m, t = o.material, scene.textures[o.id]
        if (
            # Volumes and glass have a shape of their own; a sprite has none but its normals.
            o.kind != "sprite"
            or not m.lit
            or not BLENDS[m.blend].covers
            or m.finish.normal.source != "number"
            or "normal" in t.channels
            or not any(isinstance(p, BillboardPlace) for p in o.places)
        ):
            continue
        rows.append(
            Finding(
                "lit-flat",
                o.name,
                1,
                "sprite",
                Message("“{name}” is lit without normals: light falls on it as on a flat card.", name=o.name),
                "All sprites brighten and darken as one as the camera turns.",
                None,
                Repair("Leave it unlit", (SetFields(o.id, "material", (("lit", False),)),)),
                {},
                (o.id,),
                0.3,
            )
        )
    return rows


def _back(scene: SceneSubject) -> list[Finding]:
    rows = []
    for o in _placed(scene):
        if o.material.both_faces or o.material.group == "Decal":
            continue
        other = changed(scene.doc, o.id, both_faces=True)
        worst: tuple[int, VisibleDraws, int] | None = None
        for shown in scene.seen:
            # Six codes: the other face of something faint changes nothing that anybody sees.
            apart = (np.abs(shown.otherwise(other) - shown.codes).max(axis=2) > 6).ravel()
            if apart.sum() >= LEAST and (worst is None or apart.sum() > worst[0]):
                worst = int(apart.sum()), shown, int(np.flatnonzero(apart)[apart.sum() // 2])
        if worst:
            count, shown, at = worst
            rows.append(
                Finding(
                    "back-missing",
                    o.name,
                    count / TOTAL * 100,
                    "% of the picture",
                    Message(
                        "Camera {name} sees “{name2}” from behind, where it is not drawn: {count:.1%} of the picture.",
                        name=shown.camera.name,
                        name2=o.name,
                        count=count / TOTAL,
                    ),
                    "It is there from one side and gone from the other.",
                    pixel_of(shown, at),
                    Repair("Draw both faces", (SetFields(o.id, "material", (("both_faces", True),)),)),
                    {"pixels": count, "camera": shown.camera.name},
                    (o.id,),
                    30 * count / TOTAL,
                )
            )
    return rows


def _contact(scene: SceneSubject) -> list[Finding]:
    rows = []
    for o in _placed(scene):
        m = o.material
        if m.contact.distance > 0 or not m.depth_test or o.kind not in ("sprite",):
            continue
        worst: tuple[int, VisibleDraws, int] | None = None
        for shown in scene.seen:
            s = shown.fragments
            mine = np.array([d.owner == o.id and see_through(d) and not d.moving for d in shown.draws] or [False])[s.draw]
            rim = np.zeros(SIZE[::-1], bool)
            for i in np.unique(s.draw[mine]):
                # Alpha of an eighth: the faint rim of smoke may well end in a wall.
                f = (s.draw == i) & (s.alpha > 0.12)
                z = 1 / np.maximum(s.iw, 1e-6)
                solid = np.where(s.solid.ravel()[s.pixel] > 0, 1 / np.maximum(s.solid.ravel()[s.pixel], 1e-6), np.inf)
                drawn, gone = np.zeros(SIZE[::-1], bool), np.zeros(SIZE[::-1], bool)
                # Only where both meet: a nearer edge that merely covers it is no contact.
                close = np.abs(solid - z) < 0.12
                drawn.ravel()[s.pixel[f & (s.verdict == 0) & close]] = True
                gone.ravel()[s.pixel[f & (s.verdict == 1) & close]] = True
                # A drawn pixel beside one that is hidden, along either axis: that is where the card meets the wall.
                rim[:, 1:] |= drawn[:, 1:] & gone[:, :-1]
                rim[:, :-1] |= drawn[:, :-1] & gone[:, 1:]
                rim[1:] |= drawn[1:] & gone[:-1]
                rim[:-1] |= drawn[:-1] & gone[1:]
            length = int(rim.sum())
            if length >= LEAST and (worst is None or length > worst[0]):
                at = np.flatnonzero(rim.ravel())
                worst = length, shown, int(at[len(at) // 2])
        if worst:
            length, shown, at_ = worst
            # Pixels of a real screen, for the artist; measured on a small one.
            scale = 1280 / SIZE[0]
            rows.append(
                Finding(
                    "contact",
                    o.name,
                    round(length * scale),
                    "px",
                    Message(
                        "“{name}” cuts into what is solid along a hard line of about {length:.0f} pixels, "
                        "seen from camera {name2}.",
                        name=o.name,
                        length=length * scale,
                        name2=shown.camera.name,
                    ),
                    "The card that smoke is painted on shows as a straight edge where it meets the floor.",
                    pixel_of(shown, at_),
                    Repair(
                        "Fade it over 0.3 m",
                        (SetFields(o.id, "material", (("contact", m.contact.model_copy(update={"distance": 0.3})),)),),
                    ),
                    {"length": length * scale, "camera": shown.camera.name},
                    (o.id,),
                    60 * length / TOTAL,
                )
            )
    return rows


def _overdraw(scene: SceneSubject) -> list[Finding]:
    budget = scene.doc.overdraw
    worst: tuple[float, VisibleDraws, int] | None = None
    for shown in scene.seen:
        counts, _ = shown.counts
        share = float((counts > budget).mean())
        # Two pixels in a thousand over the budget are a corner, not a scene.
        if share > 0.002 and (worst is None or share > worst[0]):
            worst = share, shown, int(np.argmax(counts))
    if worst is None:
        return []
    share, shown, at = worst
    counts, vain = shown.counts
    spent: dict[str, int] = {}
    s = shown.fragments
    for i, n in zip(*np.unique(s.draw, return_counts=True), strict=True):
        spent[shown.draws[i].owner] = spent.get(shown.draws[i].owner, 0) + int(n)
    key = max((k for k in spent if k), key=lambda k: spent[k], default="")
    o = scene.doc.overlay(key)
    return [
        Finding(
            "overdraw",
            o.name if o else "Stage",
            float(counts.max()),
            "fragments",
            Message(
                "{share:.1%} of the picture of camera {name} takes more than {budget:g} fragments a "
                "pixel, {max:.0f} at most; “{name2}” spends most.",
                share=share,
                name=shown.camera.name,
                budget=budget,
                max=counts.max(),
                name2=term(o.name if o else "?"),
            ),
            "Each fragment is read, shaded and blended, seen or not: frames take longer.",
            pixel_of(shown, at),
            None,
            {"share": share, "vain": float(vain.sum() / max(float(counts.sum()), 1)), "camera": shown.camera.name},
            (o.id,) if o else (),
            2 * share,
        )
    ]


def _mirrored(scene: SceneSubject) -> list[Finding]:
    rows = []
    for o in _placed(scene):
        if o.kind not in ("logo", "decal"):
            continue
        (a, b, _), (d, e, _) = o.material.mapping.rows
        turn = np.array([[a, b], [d, e]])
        for p in o.places:
            mesh = scene.mesh(p)
            uv = mesh.uv(o.material.mapping.uv_set)[mesh.index] @ turn.T
            x = mesh.corners
            e1, e2, f1, f2 = x[:, 1] - x[:, 0], x[:, 2] - x[:, 0], uv[:, 1] - uv[:, 0], uv[:, 2] - uv[:, 0]
            det = f1[:, 0] * f2[:, 1] - f1[:, 1] * f2[:, 0]
            area = np.linalg.norm(np.cross(e1, e2), axis=1)
            # Weighed by area in space: a tiny mirrored face among large ones is an exporter's, not the artist's.
            weight = np.where(np.abs(det) > 1e-12, area, 0)
            if weight.sum() <= 0:
                continue
            # Counter-clockwise from the front and v downwards: the right way round has negative area in u, v.
            mirrored = float(weight[det > 0].sum() / weight.sum())
            safe = np.where(np.abs(det) > 1e-12, det, 1)[:, None]
            down = (e2 * f1[:, :1] - e1 * f2[:, :1]) / safe
            down /= np.maximum(np.linalg.norm(down, axis=1, keepdims=True), 1e-12)
            normal = np.cross(e1, e2) / np.maximum(area, 1e-12)[:, None]
            # Floors and ceilings have no "upside down": only faces that stand are asked.
            wall = weight * (np.abs(normal[:, 1]) < 0.8)
            over = float((wall * (down[:, 1] > 0.5)).sum() / wall.sum()) if wall.sum() > 0 else 0.0
            m = o.material.mapping
            if mirrored > 0.5:
                words, label, fresh = "mirrored", "Mirror it back", m.model_copy(update={"across": -m.across})
            elif over > 0.6:
                words, label, fresh = (
                    "upside down",
                    "Turn it round",
                    m.model_copy(update={"turn": m.turn - 180 if m.turn > 0 else m.turn + 180}),
                )
            else:
                continue
            rows.append(
                Finding(
                    "mirrored",
                    o.name,
                    round(100 * max(mirrored, over)),
                    "% of it",
                    Message("“{name}” lies {words} on its surface.", name=o.name, words=term(words)),
                    "Writing cannot be read, and an emblem is a different one.",
                    _middle(scene, o),
                    Repair(label, (SetFields(o.id, "material", (("mapping", fresh),)),)),
                    {"how": words},
                    (o.id,),
                    5.0,
                )
            )
            break
    return rows


def _middle(scene: SceneSubject, o: Overlay) -> Pixel | None:
    """Where an overlay is seen by the first camera that sees it."""
    for shown in scene.seen:
        mine = _pixels(shown, o.id)
        if mine.size:
            return pixel_of(shown, int(mine[mine.size // 2]))
    return None


CHECKS = (
    Check("clipped", "Added light clipped", _clipped, "blend", Look("stage"), "scene"),
    Check("no-change", "Changes no pixel", _nothing, "place", Look("stage"), "scene"),
    Check("black", "Unlit and black", _black, "blend", Look("stage"), "scene"),
    Check("lit-flat", "Lit without normals", _lit_flat, "blend", Look("stage"), "scene"),
    Check("back-missing", "Back not drawn", _back, "blend", Look("stage"), "scene"),
    Check("contact", "Hard contact line", _contact, "blend", Look("stage"), "scene"),
    Check("overdraw", "Too much drawn over", _overdraw, "blend", Look("stage"), "scene"),
    Check("mirrored", "Mirrored or upside down", _mirrored, "place", Look("stage"), "scene"),
)
"""Registered."""
