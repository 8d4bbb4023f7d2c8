"""Matte: soft texels that still carry the backdrop they were cut from; see `mivex.core.findings.texture.matte_fit`."""

from dataclasses import replace

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look
from mivex.core.findings.texture.matte_evidence import Evidence, matte_evidence
from mivex.core.findings.texture.matte_fit import MatteFit, fit_matte
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import hex_of, to_linear
from mivex.core.prepare.base import Space
from mivex.core.prepare.unmatte import Unmatte

SHOWS, LIMIT = 6.0, 8.0
"""95th percentile of the error on screen, of 255, from which a matte is worth a finding: as the outline says, and as an
exact fit says."""
LEAST_ERROR = 5.0
"""An error below this is not worth a word, however sure."""
LIKELY, FITTED, POSSIBLE, ASKED = 1.8, 1.5, -1.6, -2.0
"""Odds (natural logarithm) of `matte_evidence` from which a matte is likely, likely where the exact fit agrees, possible,
and possible where the exact fit agrees. Of drawn pictures without a matte 2, 3, 27 and 36 in a hundred are above; of
those with one 54, 60, 96 and 99."""
OTHER, DARK = 2.7, 0.2
"""Odds from which another colour than black, white or nearly black is likely; what counts as nearly black."""
PLAIN_TO_SEE = 25.0
"""A black or white matte that shows by so much on screen is likely at the odds of one that the exact fit holds for."""
SCREEN, SCREEN_LIKELY, WIDE_SCREEN = 0.2, 1.0, 2.4
"""How much more green than red or blue a backdrop is that somebody keyed; odds from which such a one is likely, and where
the soft part is wide: few rims are of that colour by themselves."""
EXACT, ENOUGH, WHOLE = 0.9, 100, 0.95
"""An exact fit that explains so much, of so many soft texels, and of a whole matte, is likely at even odds: less of a
backdrop than that is how a glow is drawn."""
LEAST_SHARE = 0.2
LEAST_EXPLAINED, SURELY = 0.7, 0.9
MOST_IMPOSSIBLE = 0.13
UNSURE = 0.1
"""A share known no better than this might be mended the wrong way."""


def holds(fit: MatteFit) -> bool:
    """Whether it is large, one matte, and follows alpha; a coloured one only where nearly every soft texel agrees."""
    if fit.error < LIMIT or fit.share < LEAST_SHARE or fit.impossible > MOST_IMPOSSIBLE:
        # Each limit stands alone: an error to be seen, a share that is no drawn shading, and colours that could have
        # been there.
        return False
    # Compared by what they leave unexplained: near 1 a difference in what is explained says little.
    if (1 - fit.explained) >= 0.5 * (1 - max(fit.plain, fit.own)):
        return False  # a colour of its own explains it nearly as well: a shadow, an outline, shading
    if fit.neutral:
        return fit.explained >= LEAST_EXPLAINED and fit.outline >= LEAST_EXPLAINED - 0.1 and fit.agreed >= 0.6
    # A screen that is keyed is green or blue; a glow may well have a rim of another colour than its core.
    r, g, b = fit.matte
    screen = g > max(r, b) + 0.2 or (fit.narrow and max(r, g, b) - min(r, g, b) > 0.25)
    return screen and fit.explained >= SURELY and fit.outline >= SURELY - 0.05 and fit.agreed >= SURELY - 0.05


def rough_fit(said_by: Evidence) -> MatteFit:
    """What is known of the matte where no exact fit holds."""
    f = said_by.figures
    return MatteFit(
        said_by.backdrop,
        round(said_by.share, 2),
        0.2,
        max(f["explained"], f["step_explained"]),
        # A fit needs numbers that the outline cannot give: this one says "unsure", so that the repair is only tried.
        f["one_lift"],
        f["own_colour"],
        f["nearer"],
        "display",
        said_by.error,
        f["explained"],
        f["impossible"],
        True,
    )


def premultiplied_in(t: Texture) -> Space | None:
    """In which values a picture looks multiplied by its alpha; None where it does not.

    No colour is brighter than its alpha, clear texels are black, and the shape itself is bright. Such a picture looks like
    one cut from black, and taking the black out divides by alpha: in display values, as paint programs multiply, or in
    linear light, as Mivex reads what is marked as premultiplied.
    """
    most, solid = t.values[..., :3].max(axis=2), t.alpha > 0.95
    if not solid.any():
        return None
    # The upper quartile of solid colour: of a dark picture every colour lies below its alpha, and that says
    # nothing.
    bright = float(np.percentile(most[solid], 75))
    # One code and a half of slack for what was rounded to eight bits.
    limit = t.alpha + np.float32(1.5 / 255)
    if bright > 0.5 and (most <= limit).mean() > 0.999:
        return "display"
    return "linear" if bright > 0.65 and (to_linear(most) <= limit + np.float32(2.5 / 255)).mean() > 0.999 else None


def _measure(subject: Subject) -> list[Finding]:
    t = subject.texture
    # Data has no colour to be cut from anything; distances and premultiplied colour follow alpha by nature.
    if not subject.uses_alpha or subject.flat_alpha or t.premultiplied or t.distance > 0 or t.meaning == "data":
        return []
    said_by = matte_evidence(t)
    if said_by is None or said_by.odds < ASKED or (said_by.error < LEAST_ERROR and said_by.odds < 0):
        return []
    fit = fit_matte(t)
    fits = fit is not None and holds(fit)
    if said_by.error < LEAST_ERROR and not (fits and fit is not None and fit.explained >= EXACT):
        return []
    if not fits and said_by.odds < POSSIBLE:
        return []
    if fit is None or not fits:
        # The regression saw a matte where no single backdrop fits: grain, or several backdrops. Its figures stand in.
        # What the neighbours along the outline say; how much of it there is cannot be told as well.
        fit = rough_fit(said_by)
    light = 0.2126 * fit.matte[0] + 0.7152 * fit.matte[1] + 0.0722 * fit.matte[2]
    if subject.material and subject.material.blend in ("Additive", "Premultiplied") and light > 0.1:
        # A glow whose halo has another colour than its core is how light looks, not a backdrop.
        return []
    associated = premultiplied_in(t) if max(fit.matte) <= 0.02 else None
    if associated:
        fit, fits = replace(fit, matte=(0.0, 0.0, 0.0), share=1.0, unsure=0.0, explained=1.0, space=associated), True
    elif fit.share > 0.97:
        # Within three hundredths of all of it: artists cut from whole backdrops, and a repair of 0.98 leaves a rim of
        # 0.02.
        fit = replace(fit, share=1.0)
    count = int(((t.alpha > 0.02) & (t.alpha < 0.96)).sum())
    exact = (
        (fits and fit.explained >= EXACT and fit.unsure <= UNSURE and count >= ENOUGH)
        and fit.share >= WHOLE
        and said_by.odds >= 0
    )
    # A glow may well have a halo of another colour than its core, glass a rim, and a bubble its own shading.
    halo = said_by.wide and float(np.ptp(fit.matte)) > 0.1
    least = FITTED if fits else LIKELY if fit.neutral or max(fit.matte) < DARK else OTHER
    if not fits and least == LIKELY and said_by.error >= PLAIN_TO_SEE:
        least = FITTED
    if fit.matte[1] > 1.5 * max(fit.matte[0], fit.matte[2]) + SCREEN:
        halo, least = False, WIDE_SCREEN if said_by.wide else SCREEN_LIKELY
    certain = exact or (not halo and said_by.error >= SHOWS and said_by.odds >= least)
    # What layers draw was cut from nothing; their colour and opacity may come from one pattern.
    certain = certain and (fits or not subject.layered)
    sure = certain and fits and fit.unsure <= UNSURE and (fit.share == 1.0 or fit.explained >= LEAST_EXPLAINED + 0.05)
    if not certain and subject.has_step("unmatte"):
        return []  # it has been taken out; what is left is a doubt that the artist has settled
    # Neither clear nor solid texels hold a matte that shows; both ends are left out of the place that is marked.
    soft = (t.alpha > 0.02) & (t.alpha < 0.96)
    rows, cols = np.flatnonzero(soft.any(axis=1)), np.flatnonzero(soft.any(axis=0))
    place = (int(cols[0]), int(rows[0]), int(cols[-1] - cols[0] + 1), int(rows[-1] - rows[0] + 1))
    tone = "dark" if light < 0.25 else "bright" if light > 0.75 else "coloured"
    if sure:
        clipped = Message(
            "; {impossible:.1%} of the soft texels would be clipped when it is taken out", impossible=fit.impossible
        )
        said = Message(
            "Soft parts still hold {share:.0%} of a {tone} backdrop, {hex_of}; on screen it "
            "shows by up to {error:.0f} of 255{clipped}.",
            clipped=clipped if fit.impossible > 0.005 else "",
            share=fit.share,
            tone=term(tone),
            hex_of=hex_of(fit.matte),
            error=fit.error,
        )
    else:
        said = Message(
            "Soft parts may hold some of a {tone} backdrop, {hex_of}, by up to {error:.0f} of "
            "255; how much cannot be told from the picture's own texture (about {share:.0%}, "
            "give or take {unsure:.0%}).",
            tone=term(tone),
            hex_of=hex_of(fit.matte),
            error=fit.error,
            share=fit.share,
            unsure=fit.unsure,
        )
    step = Unmatte(matte=fit.matte, share=fit.share, space=fit.space)
    if associated:
        said += "  No colour is brighter than its alpha: it may well be premultiplied, and read as straight."
    if associated == "linear" and subject.overlay and not subject.steps:
        repair = mend(subject, "Read it as premultiplied", source={"alpha_stored": "premultiplied"})
    else:
        label = "Remove the matte" if sure or associated else "Try to remove a matte"
        repair = mend(subject, label, (step,))
    return [
        Finding(
            "matte",
            subject.name,
            fit.error,
            "of 255",
            said,
            Message(
                "The picture was cut from a backdrop without taking its colour out: a {tone} rim on "
                "anything of another colour, even unfiltered.",
                tone=term(tone),
            ),
            place,
            repair,
            {
                "matte": list(fit.matte),
                "share": fit.share,
                "unsure": round(fit.unsure, 3),
                "error": fit.error,
                "space": fit.space,
                "explained": fit.explained,
                "clipped": fit.impossible,
                "limit": LIMIT,
                "odds": round(said_by.odds, 2),
                "premultiplied": associated or False,
            },
            # By the share of what is seen: a rim of a large picture weighs no more than that of a small one.
            weight=fit.error * float(soft.sum()) / max(int((t.alpha > 0).sum()), 1),
            certainty="likely" if certain else "possible",
        )
    ]


def _look(finding: Finding) -> Look:
    # A dark matte shows on white, a bright one on black.
    return Look(show="over", backdrop="white" if sum(finding.details["matte"]) < 1.5 else "black")


CHECKS = (Check("matte", "Matte left in soft parts", _measure, "edges", _look),)
