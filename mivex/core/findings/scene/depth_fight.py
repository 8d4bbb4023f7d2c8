"""Surfaces that fight for the same depth."""

import itertools

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.messages import Message
from mivex.core.findings.base import SceneSubject
from mivex.core.findings.finding import Finding, Repair
from mivex.core.findings.scene.common import LEAST, TOTAL, pixel_of
from mivex.core.findings.seen import SIZE, VisibleDraws
from mivex.core.project.document import Overlay
from mivex.core.project.edits import SetFields

LEVEL, LEAST_LEVEL, MOSTLY = 3e-5, 40, 0.3
"""Share of the distance by which two surfaces may differ to be level; pixels, and share of what is seen of one, from which
that is no line of a cut."""


SURROUNDED = 2e-3
"""The same for what is laid on the surroundings, which may sink into them by the width of their facets."""


def level_nudge(o: Overlay) -> SetFields | None:
    """What brings an overlay back to being drawn by its distance."""
    values: tuple[tuple[str, object], ...] = ()
    if o.material.group not in ("Blended", "Decal", "Front"):
        values += (("group", "Blended"),)
    if o.material.nudge != 0:
        values += (("nudge", 0),)
    return SetFields(o.id, "material", values) if values else None


def _flips_again(state: NDArray[np.int8]) -> int:
    """Changes between drawn (1) and hidden (2) along the rows, beyond the first of each."""
    # One change from drawn to hidden is the line where two planes cut; more along a row is fighting.
    turns = (state[:, 1:] * state[:, :-1]) == 2
    return int(np.maximum(turns.sum(axis=1) - 1, 0).sum())


def _level_solids(shown: VisibleDraws) -> dict[str, NDArray[np.int64]]:
    """Pixels where a solid overlay lies level with another one, by the one that is drawn later.

    Which of them is seen is chance: our own rasteriser may well settle it by order, another does not.
    """
    solid = shown.fragments.solid
    found: dict[str, NDArray[np.int64]] = {}
    for (_, one), (key, other) in itertools.combinations(shown.solid_depths.items(), 2):
        level = (one > 0) & (np.abs(one - other) < LEVEL * one) & (one >= solid * (1 - LEVEL))
        if level.sum() >= LEAST_LEVEL:
            found[key] = np.flatnonzero(level)
    return found


def fighting(scene: SceneSubject) -> list[Finding]:
    """Surfaces at one depth, of which now one and now the other is seen as the camera moves."""
    worst: dict[str, tuple[VisibleDraws, int, int]] = {}
    level: dict[str, tuple[VisibleDraws, int, int]] = {}
    for shown in scene.seen:
        s = shown.fragments
        behind = s.solid.ravel()[s.pixel]
        # Two overlays in one place fight only where they are level.
        # The dock's own curves are made of facets: what lies on them is a little in and out of them.
        most = np.where(behind == s.around.ravel()[s.pixel], SURROUNDED, LEVEL)
        near = (np.abs(s.iw - behind) < most * behind) & (s.verdict <= 1) & (behind > 0) & (s.alpha > 0.05)
        for i in np.unique(s.draw[near]):
            d = shown.draws[i]
            if not d.owner or not d.material.depth_test:
                continue
            mine = near & (s.draw == i)
            # In the plane of the surroundings: our own rasteriser may settle it, another does not.
            flat = mine & (most == SURROUNDED) & (np.abs(s.iw - behind) < LEVEL * behind)
            there = (s.draw == i) & (s.verdict <= 1) & (s.alpha > 0.05)
            if flat.sum() >= max(LEAST_LEVEL, MOSTLY * there.sum()) and (
                d.owner not in level or flat.sum() > level[d.owner][1]
            ):
                at = s.pixel[flat]
                level[d.owner] = shown, int(flat.sum()), int(at[len(at) // 2])
            # Drawn here and hidden beside it, again and again along a line: where two planes cut, it turns but once.
            state = np.zeros(SIZE[::-1], np.int8)
            state.ravel()[s.pixel[mine]] = np.where(s.verdict[mine] == 0, 1, 2)
            flips = _flips_again(state) + _flips_again(state.T)
            hidden = int((s.verdict[mine] == 1).sum())
            if hidden >= LEAST and flips >= LEAST and (d.owner not in worst or hidden > worst[d.owner][1]):
                at = s.pixel[mine & (s.verdict == 1)]
                worst[d.owner] = shown, hidden, int(at[len(at) // 2])
        for key, pixels in _level_solids(shown).items():
            if key not in level or len(pixels) > level[key][1]:
                level[key] = shown, len(pixels), int(pixels[len(pixels) // 2])
    rows = []
    for key, (shown, hidden, at) in (level | worst).items():
        o = scene.doc.overlay(key)
        if o is None:
            continue
        # Twice what it has, and 8 mm at least: far from the camera a bias must be larger than its rounding.
        bias = max(o.material.depth_bias * 2, 8.0)
        rows.append(
            Finding(
                "depth-fight",
                o.name,
                hidden / TOTAL * 100,
                "% of the picture",
                Message(
                    "“{name}” fights with the surface that it lies on: {hidden:.1%} of the picture of "
                    "camera {name2} is lost in patches."
                    if key in worst
                    else "“{name}” lies in the very plane of what is behind it, over {hidden:.1%} of the picture of camera "
                    "{name2}: here one of them is seen, elsewhere the other.",
                    name=o.name,
                    hidden=hidden / TOTAL,
                    name2=shown.camera.name,
                ),
                "Both have nearly the same depth, so chance decides pixel by pixel; it flickers as the camera moves.",
                pixel_of(shown, at),
                Repair(
                    Message("Bring it {bias:g} mm nearer", bias=bias),
                    (SetFields(o.id, "material", (("depth_bias", bias),)),),
                ),
                {"pixels": hidden, "camera": shown.camera.name},
                (o.id,),
                60 * hidden / TOTAL,
            )
        )
    return rows
