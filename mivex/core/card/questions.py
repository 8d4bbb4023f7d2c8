"""What a picture of the test card says about the receiver: for each question the answer that explains best what is seen.

Every answer predicts display values for some places of the card. What the receiver's view (exposure, curve, a colour
cast) makes of them is read off the greys that are no textures, channel by channel. The answer whose prediction lies
nearest is given where it fits, and the next best clearly does not; else the question stays open.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.types import Doubles
from mivex.core.card.layout import BANDS, HALF, SIDES, STRIPES, TINTS, cell
from mivex.core.card.locate import Found
from mivex.core.pixels.colour import to_display, to_linear

UNKNOWN = "unknown"
FITS, APART = 16.0, 9.0
"""Codes of 255, root of the mean square: how far off an answer may be, and how much farther the next must be."""
Rgb = Sequence[float]
Prediction = list[tuple[tuple[float, float, float], Rgb]]
"""Places of a cell (u, v, share of it), each with the display colour that is expected there."""


@dataclass(frozen=True)
class Answer:
    """What was found out.

    Attributes
    ----------
    question, value : str
        Ids; the value `UNKNOWN` where nothing can be said.
    sure : float
        0 to 1: how much better it explains what is seen than the next answer does.
    off : float
        Codes of 255 by which what is seen differs from what it predicts.
    """

    question: str
    value: str
    sure: float = 0.0
    off: float = 0.0


def _display(linear: float) -> float:
    return float(to_display(np.array([min(max(linear, 0.0), 1.0)], np.float32))[0])


def _light(display: float) -> float:
    return float(to_linear(np.array([display], np.float32))[0])


def _grey(value: float) -> Rgb:
    return (value, value, value)


class Reading:
    """A card that was found, with the answers so far.

    Parameters
    ----------
    found : Found

    Raises
    ------
    MivexError
        The greys by which everything is judged are not in the picture, or are no ramp.
    """

    def __init__(self, found: Found) -> None:
        self.found = found
        self.answers: dict[str, Answer] = {}
        # Six tenths of the patch: its border may be smoothed by the picture's own resize.
        seen = [found.seen(cell(f"grey {k}").spot(0.5, 0.5, 0.6)) for k in range(len(TINTS))]
        if any(s is None for s in seen):
            raise MivexError(
                "The greys of the test card are cut off; they must be in the picture to judge the rest by them."
            )
        # A view never falls: what does is noise, which would make two values of one.
        self.view: Doubles = np.maximum.accumulate(np.stack([s for s in seen if s is not None]), axis=0)
        """What becomes of the known greys, (greys, 3)."""
        # Two greys alike may be cut off at white; more, or a short range, and nothing can be told by them.
        if (np.diff(self.view, axis=0).mean(axis=1) <= 0.004).sum() > 1 or (self.view[-1] - self.view[0]).min() < 0.2:
            raise MivexError(
                "The greys of the test card cannot be told from one another: the picture is too bright, too dark, or shows "
                "another card. They are plain surfaces whose tint is a number, and need no light."
            )

    def shown(self, rgb: Rgb) -> Doubles:
        """What the receiver's view makes of a display colour."""
        return np.array([np.interp(v, TINTS, self.view[:, k]) for k, v in enumerate(rgb)])

    def off(self, seen: Doubles, rgb: Rgb) -> Doubles:
        """Codes of 255 by which what is seen differs from a display colour as the view shows it, channel by channel."""
        low = self.shown(rgb)
        # Where the view may be cut off at white between two known greys, it can go on up to there as it did before.
        upper = np.clip(np.searchsorted(TINTS, rgb), 2, len(TINTS) - 1)
        k = range(3)
        before, at = self.view[upper - 2, k], self.view[upper - 1, k]
        t = np.array(TINTS)
        slope = (at - before) / (t[upper - 1] - t[upper - 2])
        on = np.minimum(at + slope * (np.array(rgb) - t[upper - 1]), self.view[-1])
        high = np.where(self.view[upper, k] >= self.view[-1] - 0.008, np.maximum(low, on), low)
        return np.maximum(low - seen, 0) * 255 - np.maximum(seen - high, 0) * 255

    def value_of(self, seen: Doubles) -> Doubles:
        """The display colour that the receiver's view shows like this."""
        steady = self.view + np.arange(len(TINTS))[:, None] * 1e-9
        return np.array([np.interp(seen[k], steady[:, k], TINTS) for k in range(3)])

    def look(self, name: str, u: float = 0.5, v: float = 0.5, share: float = 0.5) -> Doubles | None:
        """What is seen of a part of a cell, display values; None where it is cut off."""
        return self.found.seen(cell(name).spot(u, v, share))

    @property
    def spaces(self) -> tuple[str, ...]:
        """What may be summed, as far as is known: linear light, display values, or either."""
        known = self.said("blending")
        if self.said("transparency") == "off":
            # Nothing is mixed where nothing is seen through; the space makes no difference then.
            return ("linear",)  # nothing is summed: either would do
        return ("linear", "display") if known == UNKNOWN else (known,)

    def choose(self, question: str, *readings: Mapping[str, Mapping[str, Prediction]]) -> Answer:
        """The answer whose predictions, by cell, come nearest in any of the readings; it is kept and given."""
        errors: dict[str, float] = {}
        for answers in readings:
            for value, cells in answers.items():
                off = []
                for name, places in cells.items():
                    for (u, v, share), rgb in places:
                        seen = self.look(name, u, v, share)
                        if seen is None:
                            return self.keep(Answer(question, UNKNOWN))
                        off.append(self.off(seen, rgb))
                # The root of the mean square: one patch that is far off counts more than several that are a little.
                errors[value] = min(errors.get(value, np.inf), float(np.sqrt(np.mean(np.square(off)))))
        ranked = sorted(errors, key=errors.__getitem__)
        best, others = errors[ranked[0]], [errors[k] for k in ranked[1:]]
        second = others[0] if others else 255.0
        # Neither a poor fit nor a close second gives an answer: "cannot tell" costs nothing, a wrong answer a recipe.
        if best > FITS or second - best < APART:
            return self.keep(Answer(question, UNKNOWN, 0.0, best))
        return self.keep(Answer(question, ranked[0], float((second - best) / (second + best)), best))

    def keep(self, answer: Answer) -> Answer:
        """Note an answer."""
        self.answers[answer.question] = answer
        return answer

    def said(self, question: str) -> str:
        """The answer so far."""
        return self.answers[question].value if question in self.answers else UNKNOWN


def _all(name: str, rgb: Rgb) -> dict[str, Prediction]:
    return {name: [((0.5, 0.5, 0.5), rgb)]}


def _ask_encoding(r: Reading) -> None:
    places = [((2 * k + 1) / 6, 0.5, 0.15) for k in range(3)]
    r.choose(
        "encoding",
        {
            "decoded": {"bands": [(p, _grey(v)) for p, v in zip(places, BANDS, strict=True)]},
            "as-data": {"bands": [(p, _grey(_display(v))) for p, v in zip(places, BANDS, strict=True)]},
        },
    )


def _ask_blending(r: Reading) -> None:
    """Which values are summed, what becomes of straight alpha, and whether there is transparency at all."""
    answers: dict[str, dict[str, Prediction]] = {}
    for space in ("linear", "display"):
        shown = _display if space == "linear" else float
        over_white = shown(1 - HALF)
        for alpha, light in (("straight", HALF), ("twice", HALF * HALF), ("taken-as-premultiplied", 1.0)):
            # Twice: alpha has been multiplied in by the importer and again by the blend.
            answers[f"{space} {alpha}"] = _all("over white", _grey(over_white)) | _all("over black", _grey(shown(light)))
    answers["off off"] = _all("over white", _grey(0.0)) | _all("over black", _grey(1.0))
    found = r.choose("blending", answers)
    space, alpha = found.value.split() if found.value != UNKNOWN else (UNKNOWN, UNKNOWN)
    off = space == "off"
    r.keep(Answer("transparency", "off" if off else UNKNOWN if space == UNKNOWN else "on", found.sure, found.off))
    r.keep(Answer("blending", UNKNOWN if off else space, 0.0 if off else found.sure, found.off))
    r.keep(Answer("alpha", UNKNOWN if off else alpha, 0.0 if off else found.sure, found.off))


def _mixed(space: str, top: Rgb, behind: Rgb, alpha: float) -> Rgb:
    """One display colour over another."""
    if space == "display":
        return [alpha * t + (1 - alpha) * b for t, b in zip(top, behind, strict=True)]
    return [_display(alpha * _light(t) + (1 - alpha) * _light(b)) for t, b in zip(top, behind, strict=True)]


def _additive(space: str) -> dict[str, dict[str, Prediction]]:
    a, behind = 77 / 255, 0.735
    added = min(a + behind, 1.0) if space == "display" else _display(a + _light(behind))
    return {
        "added": _all("additive", _grey(added)),
        "blended": _all("additive", _mixed(space, _grey(1.0), _grey(behind), a)),
        "solid": _all("additive", _grey(1.0)),
    }


def _multiply(space: str) -> dict[str, dict[str, Prediction]]:
    grey, left, right = 0.5, (0.25, 0.5, 0.3), (0.75, 0.5, 0.3)
    half = (1 - HALF) * grey if space == "display" else _display((1 - HALF) * _light(grey))
    return {
        "multiplied": {"multiply": [(left, _grey(grey)), (right, _grey(half))]},
        "blended": {"multiply": [(left, _grey(1.0)), (right, _mixed(space, _grey(0.0), _grey(grey), HALF))]},
        "solid": {"multiply": [(left, _grey(1.0)), (right, _grey(0.0))]},
    }


def _opacity(space: str) -> dict[str, dict[str, Prediction]]:
    half = _mixed(space, _grey(1.0), _grey(0.0), 0.5)
    return {"multiplies": _all("opacity", half), "ignored": _all("opacity", _grey(1.0))}


def _ask_blends(r: Reading) -> None:
    rows = [_additive(s) for s in r.spaces]
    if r.said("transparency") != "off":
        # Added display values come out white as well; a receiver that blends elsewhere draws nothing solid here.
        rows = [{k: v for k, v in row.items() if k != "solid"} for row in rows]
    r.choose("additive", *rows)
    r.choose("multiply", *(_multiply(s) for s in r.spaces))
    r.choose("premultiplied", {"added": _all("premultiplied", (1, 0, 0)), "not-seen": _all("premultiplied", (0, 0, 0))})
    r.choose("opacity", *(_opacity(s) for s in r.spaces))


def _ask_levels(r: Reading) -> None:
    r.choose("levels", {"of-the-file": _all("levels", (0, 0, 1)), "own": _all("levels", (1, 0, 0))})
    seen = r.look("hidden")
    if seen is None:
        r.keep(Answer("hidden", UNKNOWN))
        return
    red, green, _ = (float(v) for v in to_linear(r.value_of(seen).astype(np.float32)))
    if red < 0.05:
        r.keep(Answer("hidden", UNKNOWN))
        return
    # Half red and half green are filtered: of hidden green a share comes in, of spread red none.
    share = green / red
    value = "shows" if share > 0.5 else "does-not-show" if share < 0.15 else UNKNOWN
    r.keep(Answer("hidden", value, min(abs(share - 0.32) / 0.32, 1.0)))


def _ask_size(r: Reading) -> None:
    """The longest side whose stripes are still there; all wider ones must be, and none of the finer."""
    there: list[float] = []
    for side in SIDES:
        rows = [r.look(f"side {side}", (k + 0.5) / STRIPES, 0.5, 0.4 / STRIPES) for k in range(STRIPES)]
        if any(s is None for s in rows):
            r.keep(Answer("size", UNKNOWN))
            return
        light = [float(to_linear(r.value_of(s).astype(np.float32)).mean()) for s in rows if s is not None]
        # Even against odd stripes: what is left of their difference tells whether they are there at all.
        there.append(abs(float(np.mean(light[0::2]) - np.mean(light[1::2]))))
    clear = [t > 0.35 for t in there]
    unclear = any(0.15 < t <= 0.35 for t in there)
    first = clear.index(True) if any(clear) else len(SIDES)
    if unclear or not all(clear[first:]):
        r.keep(Answer("size", UNKNOWN))
        return
    margin = min(abs(t - 0.25) / 0.25 for t in there)
    value = "any" if first == 0 else str(SIDES[first]) if first < len(SIDES) else "64"
    r.keep(Answer("size", value, min(margin, 1.0)))


def _ask_blocks(r: Reading) -> None:
    colours = {(0.25, 0.25): (1, 0, 0), (0.75, 0.25): (0, 1, 0), (0.25, 0.75): (0, 0, 1), (0.75, 0.75): (1, 1, 1)}
    off = []
    for (u, v), rgb in colours.items():
        seen = r.look("blocks", u, v, 0.16)
        if seen is None:
            r.keep(Answer("blocks", UNKNOWN))
            return
        off.append(np.abs(r.off(seen, rgb)))
    worst = float(np.mean(off))
    value = "none" if worst < 18 else "compressed" if worst > 30 else UNKNOWN
    r.keep(Answer("blocks", value, min(abs(worst - 24) / 24, 1.0), worst))


def _ask_cutout(r: Reading) -> None:
    places = [((2 * k + 1) / 8, 0.5, 0.1) for k in range(4)]
    alphas = [p[0] for p in places]
    answers: dict[str, Mapping[str, Prediction]] = {}
    for name, at in (("at-half", 0.5), ("lower", 0.25), ("higher", 0.75), ("solid", 0.0)):
        answers[name] = {"cutout": [(p, _grey(float(a > at))) for p, a in zip(places, alphas, strict=True)]}
    blended = [[_mixed(s, _grey(1.0), _grey(0.0), a) for a in alphas] for s in r.spaces]
    r.choose("cutout", answers, *({"blended": {"cutout": list(zip(places, row, strict=True))}} for row in blended))


# Blends may have been found for one space only; otherwise both are tried.


def _three(space: str, name: str, far_first: str, near_first: str, hidden: str) -> dict[str, Mapping[str, Prediction]]:
    """Red near, blue far, both half there: what each order, and hiding by depth, makes of them."""
    red, blue, none = (1.0, 0.0, 0.0), (0.0, 0.0, 1.0), (0.0, 0.0, 0.0)
    return {
        far_first: _all(name, _mixed(space, red, _mixed(space, blue, none, HALF), HALF)),
        near_first: _all(name, _mixed(space, blue, _mixed(space, red, none, HALF), HALF)),
        hidden: _all(name, _mixed(space, red, none, HALF)),
    }


def _ask_order(r: Reading) -> None:
    if r.said("transparency") == "off":
        # Whatever is solid hides what lies behind it, in any order.
        for question in ("order", "nudge", "write", "blended-depth"):
            r.keep(Answer(question, UNKNOWN))
        return
    r.choose("order", *(_three(s, "order", "far-to-near", "as-listed", "hides") for s in r.spaces))
    r.choose("nudge", *(_three(s, "nudge", "ignored", "followed", "hides") for s in r.spaces))
    r.choose("write", *(_three(s, "write", "order-differs", "ignored", "followed") for s in r.spaces))
    hides = {r.said("order"), r.said("nudge")}
    sure = max(r.answers["order"].sure, r.answers["nudge"].sure)
    plain = r.said("nudge") == "followed" or r.said("order") == "as-listed"
    value = "writes" if "hides" in hides else "does-not-write" if plain else UNKNOWN
    r.keep(Answer("blended-depth", value, sure if value != UNKNOWN else 0.0))


def _ask_green(r: Reading) -> None:
    seen = [r.look(n, 0.5, 0.5, 0.4) for n in ("turned up", "turned down", "bump up", "bump down")]
    if any(s is None for s in seen):
        r.keep(Answer("green", UNKNOWN))
        return
    up, down, bump_up, bump_down = (
        float(to_linear(r.value_of(s).astype(np.float32)).mean()) for s in seen if s is not None
    )
    turned, bumps = up - down, bump_up - bump_down
    # Light that comes level says nothing of up and down.
    if abs(turned) < 0.03:
        r.keep(Answer("green", UNKNOWN))
        return
    ratio = bumps / turned
    value = "up" if ratio > 0.4 else "down" if ratio < -0.4 else "flat" if abs(ratio) < 0.12 else UNKNOWN
    r.keep(Answer("green", value, min(abs(ratio), 1.0) if value != "flat" else 1 - abs(ratio) / 0.12))


def _ask_faces(r: Reading) -> None:
    white, black = (1.0, 1.0, 1.0), (0.0, 0.0, 0.0)
    answers: dict[str, Mapping[str, Prediction]] = {
        name: _all("both faces", a) | _all("front face", b)
        for name, a, b in (
            ("as-said", white, black),
            ("all-both", white, white),
            ("all-front", black, black),
        )
    }
    r.choose("faces", answers)


def _ask_repeat(r: Reading) -> None:
    places = [((2 * k + 1) / 8, 0.5, 0.1) for k in range(4)]
    red, blue = (1.0, 0.0, 0.0), (0.0, 0.0, 1.0)
    told = {"repeats": (blue, red, blue, red), "held-or-not-tiled": (red, red, blue, blue)}
    r.choose("repeat", {k: {"repeat": list(zip(places, rgb, strict=True))} for k, rgb in told.items()})


_QUESTIONS = (
    _ask_encoding,
    _ask_blending,
    _ask_blends,
    _ask_levels,
    _ask_size,
    _ask_blocks,
    _ask_cutout,
    _ask_order,
    _ask_green,
    _ask_faces,
    _ask_repeat,
)


def read_answers(found: Found) -> dict[str, Answer]:
    """Every question's answer, by its id.

    Parameters
    ----------
    found : Found

    Raises
    ------
    MivexError
        The greys by which everything is judged cannot be read.
    """
    r = Reading(found)
    for ask in _QUESTIONS:
        ask(r)
    return r.answers


def answer_row(a: Answer) -> dict[str, Any]:
    """An answer as it is printed."""
    return {"question": a.question, "answer": a.value, "sure": round(a.sure, 3), "off": round(a.off, 2)}
