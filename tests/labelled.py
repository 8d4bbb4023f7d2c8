"""Pictures with known faults, drawn by script: what the findings are judged on. No two alike.

Each row is a name, straight RGBA as the file would hold it (or RGB), the faults
it truly has, and those about which one may think either way. Run as a script it
prints precision and recall per kind, as they stand in ``docs/checks.md``.
"""

import zlib
from dataclasses import dataclass, field

import cv2
import numpy as np
from labelled_shapes import ball, edge, flat, grid, hide, join, letters, lift, polygon, rect, shaded, smooth, spread, star
from scipy import ndimage
from sprites import cut_from

JUDGED = ("no-alpha", "constant-alpha", "inverted", "border", "specks", "banding", "matte", "fringe")


@dataclass(frozen=True)
class Row:
    """One picture and the truth about it."""

    name: str
    values: np.ndarray
    faults: frozenset = frozenset()
    either: frozenset = field(default_factory=frozenset)


# Drawing ------------------------------------------------------------------------------------------


# Clean --------------------------------------------------------------------------------------------

RED, BLUE, GREEN, SAND, DARK, PALE = (
    (0.8, 0.25, 0.2),
    (0.3, 0.45, 0.85),
    (0.25, 0.6, 0.3),
    (0.8, 0.7, 0.5),
    (0.1, 0.1, 0.12),
    (0.93, 0.95, 0.97),
)


def _clean(rng):
    yield "round icon", flat(a := edge(np.hypot(*grid(64)) - 0.8, 64), RED), a
    yield "button that fills its box", flat(a := rect(48, 160, 1.0, 3.33, 0.3), BLUE), a
    for n, name in ((96, "panel with a drop shadow"), (200, "large card with a drop shadow")):
        body = rect(n, n, 0.55, 0.6, 0.1, (-0.05, -0.05))
        cast = 0.6 * ndimage.gaussian_filter(rect(n, n, 0.55, 0.6, 0.1, (0.08, 0.08)), n / 24)
        a = body + cast * (1 - body)
        a[a < 0.004] = 0
        rgb = np.where(
            (body > 0)[..., None], (shaded(rng, a, PALE, 0.05) * body[..., None]) / np.maximum(a, 1e-6)[..., None], 0
        )
        yield name, spread(np.clip(rgb, 0, 1), a), a
    body = star(128, 5)
    cast = 0.7 * ndimage.gaussian_filter(np.roll(body, (5, 5), (0, 1)), 4)
    a = np.where((b := body + cast * (1 - body)) < 0.004, 0, b)
    yield "star with a shadow", spread(np.asarray(SAND) * (body / np.maximum(a, 1e-6))[..., None], a), a
    yield "blob of shadow", flat(a := 0.7 * ball(128, soft=0.7), (0, 0, 0)), a
    yield "lettering, thin", flat(a := letters(64, 256, ["NR-04 NERITE"], 0.9, 1), PALE), a
    yield "lettering, three lines", flat(a := letters(128, 256, ["keep clear", "of the", "hatch"], 0.8, 2), DARK), a
    yield "font sheet", flat(a := letters(256, 256, ["ABCDEFG", "HIJKLMN", "OPQRSTU", "0123456"], 1.2, 1), (1, 1, 1)), a
    a = np.zeros((256, 256))
    a[rng.integers(4, 252, 300), rng.integers(4, 252, 300)] = rng.uniform(0.2, 1, 300)
    yield "stars", flat(a, PALE), a
    a = np.zeros((256, 256))
    a[rng.integers(4, 252, 80), rng.integers(4, 252, 80)] = rng.uniform(0.4, 1, 80)
    yield (
        "few stars, with halos",
        flat(a := np.where((b := np.maximum(a, 3 * ndimage.gaussian_filter(a, 1.5))) < 0.02, 0, b), PALE),
        np.clip(a, 0, 1),
    )
    for n, name in ((64, "fence"), (128, "grate")):
        y, x = np.mgrid[:n, :n]
        a = (((x + y) % 16 < 3) | ((x - y) % 16 < 3) | (np.minimum.reduce([x, y, n - 1 - x, n - 1 - y]) < 3)).astype(float)
        yield name, shaded(rng, a, (0.5, 0.5, 0.52), 0.2), a
    a = 1 - rect(128, 128, 0.8, 0.8, 0.02)
    yield "window frame, black beneath", hide(shaded(rng, a, (0.45, 0.3, 0.2)), a, (0, 0, 0)), a, "fringe"
    a = 1 - rect(96, 160, 0.75, 1.3, 0.2)
    yield "picture frame, its colour beneath", shaded(rng, a, SAND), a
    y, x = grid(256)
    yield "vignette", flat(a := np.clip(np.hypot(y, x) - 0.5, 0, 1), (0, 0, 0)), a
    yield "puff", flat(a := ball(128) * (0.4 + 0.6 * smooth(rng, 128, 128, 9)), PALE), a
    yield "dark smoke", shaded(rng, a := ball(256, soft=0.7) * smooth(rng, 256, 256, 14), (0.25, 0.24, 0.23)), a
    yield "smoke, faint", flat(a := 0.3 * ball(128, soft=0.6) * smooth(rng, 128, 128, 8), PALE), a
    for n, core, rim, name in (
        (128, (1, 1, 0.9), (1, 0.5, 0.1), "glow, white to orange"),
        (64, (0.9, 1, 1), BLUE, "glow, blue"),
        (256, (1, 0.95, 0.8), (0.9, 0.2, 0.05), "ember"),
    ):
        a = ball(n, r=0.9, soft=0.85)
        yield name, np.asarray(rim) + (np.asarray(core) - rim) * a[..., None] ** 1.5, a
    y, x = grid(192, 96)
    a = np.clip(1 - (np.hypot(x * 1.6 * (1 + 0.3 * np.sin(5 * y)), y / 1.8) - 0.2) / 0.6, 0, 1) ** 1.3
    yield "flame", np.asarray((1, 0.35, 0.05)) + np.asarray((0, 0.6, 0.6)) * a[..., None], a
    y, x = grid(128)
    a = np.clip(0.012 / (np.abs(x * y) + 0.012) * (1 - np.hypot(y, x) / 0.95), 0, 1)
    yield "sparkle with four rays", flat(a, (1, 1, 1)), a
    yield "pane", flat(a := 0.3 * rect(128, 128, 0.8, 0.8, 0.05), (0.5, 0.6, 0.6)), a
    yield (
        "two panes",
        flat(
            a := 0.3 * rect(128, 128, 0.8, 0.3, 0.05, (0, -0.4)) + 0.5 * rect(128, 128, 0.8, 0.3, 0.05, (0, 0.4)),
            (0.5, 0.6, 0.6),
        ),
        a,
    )
    a = rect(96, 144, 0.85, 1.3, 0.0)
    yield (
        "pennant of three strengths",
        flat(a, RED),
        a * np.where(grid(96, 144)[0] < -0.3, 0.4, np.where(grid(96, 144)[0] < 0.3, 0.7, 1.0)),
    )
    a = cv2.resize((rng.random((16, 16)) > 0.5) * (ball(16, r=0.9, soft=0.1) > 0.5) * 1.0, (64, 64), interpolation=0)
    yield "blocky creature", hide(shaded(rng, a, GREEN, 0.6, 2), a, (0, 0, 0)), a, "fringe"
    cell = np.stack([ball(64, r=0.6 + 0.02 * i, soft=0.5) for i in range(16)])
    a = cell.reshape(4, 4, 64, 64).transpose(0, 2, 1, 3).reshape(256, 256)
    yield "sheet of growing puffs", flat(a, PALE), a
    cell = np.stack([ball(48, r=1.0, soft=0.9, at=(0.1 * np.sin(i), 0.1 * np.cos(i))) for i in range(16)])
    a = cell.reshape(4, 4, 48, 48).transpose(0, 2, 1, 3).reshape(192, 192)
    yield "sheet whose cells touch", flat(a, SAND), a, "border"
    for n, seed, name in ((128, 0, "leaf"), (96, 1, "broad leaf")):
        t = np.linspace(0, 2 * np.pi, 40)
        r = 0.8 * (1 - 0.5 * np.abs(np.cos(t + seed))) * (1 + 0.06 * np.sin(9 * t))
        a = polygon(n, np.stack([r * np.sin(t), r * np.cos(t)], axis=1))
        yield name, shaded(rng, a, GREEN), a
    y, x = np.mgrid[:64, :256]
    a = np.clip((y - 30 - 14 * np.sin(x * 2 * np.pi / 64) - 6 * np.sin(x * 2 * np.pi / 16)) / 2 + 0.5, 0, 1)
    yield "hedge that repeats", shaded(rng, a, GREEN), a
    yield "fog that repeats", flat(a := 0.6 * smooth(rng, 128, 128, 12), PALE), a
    a = np.clip(
        0.15 * (np.abs(((np.hypot(*grid(128)) * 6) % 1) - 0.5) < 0.06)
        + 0.2 * (np.abs(np.sin(4 * np.arctan2(*grid(128)))) < 0.03),
        0,
        1,
    ) * (np.hypot(*grid(128)) < 0.9)
    yield "cobweb", flat(a, PALE), a
    y, x = np.mgrid[:256, :64]
    a = np.zeros((256, 64))
    for _ in range(12):
        at, top = rng.integers(4, 60), rng.integers(10, 200)
        a[top : top + 40, at] = np.linspace(0.02, 0.4, 40)
    yield "rain", flat(a, PALE), a
    a = np.zeros((192, 192))
    for _ in range(60):
        cy, cx = rng.uniform(0.1, 0.9, 2) * 192
        a = np.maximum(
            a,
            rng.uniform(0.1, 0.4) * np.clip(1.5 - np.hypot(*(np.mgrid[:192, :192] - np.array([[[cy]], [[cx]]]))) / 2, 0, 1),
        )
    yield "dust, drawn", flat(a, PALE), a
    body = star(128, 7, 0.6)
    line = np.clip(ndimage.grey_dilation(body, 5) - body, 0, 1)
    a = np.clip(body + line, 0, 1)
    yield "drawn with a black outline", spread(np.asarray(SAND) * (body / np.maximum(a, 1e-6))[..., None], a), a
    a = edge(np.hypot(*grid(96)) - 0.75 + 0.06 * smooth(rng, 96, 96, 6), 96)
    yield (
        "rock, dark towards its rim",
        spread(np.clip((0.75 - 0.6 * np.hypot(*grid(96)) ** 2)[..., None] * np.ones(3), 0.05, 1), a),
        a,
    )
    yield "stone, grey", shaded(rng, a := edge(np.hypot(*grid(128)) - 0.7, 128), (0.5, 0.5, 0.5), 0.5), a
    yield "white mark", flat(a := star(96, 4, 0.3), (1, 1, 1)), a
    yield (
        "silhouette",
        flat(a := polygon(128, [(-0.6, 0.8), (-0.5, -0.2), (0, -0.8), (0.5, -0.2), (0.6, 0.8)]), (0, 0, 0)),
        a,
    )
    y, x = grid(128)
    yield "ring", flat(a := edge(np.abs(np.hypot(y, x) - 0.6) - 0.1, 128), BLUE), a
    yield (
        "lens rings",
        flat(a := 0.25 * np.exp(-(((np.hypot(y, x) - 0.5) / 0.06) ** 2)) * (np.hypot(y, x) < 0.8), (0.6, 0.8, 1)),
        a,
    )
    a = ((np.indices((64, 64)).sum(0) % 2) * (ball(64, r=0.9, soft=0.6) > 0.2)).astype(float)
    yield "dithered by hand", flat(a, SAND), a
    a = np.clip((grid(256)[0] + 0.8) / 1.6, 0, 1) * rect(256, 256, 0.9, 0.9, 0.02)
    yield "long even fade", flat(a, BLUE), a, "border"
    a = np.clip(0.2 + 0.1 * grid(256)[0], 0, 1) * rect(256, 256, 0.9, 0.9, 0.02)
    yield "tinted strip, slow fade", flat(a, BLUE), a
    yield "pointer", flat(a := polygon(32, [(-0.8, -0.8), (-0.8, 0.6), (-0.4, 0.2), (0.2, 0.3)]), DARK), a
    yield "tiny dot", flat(a := edge(np.hypot(*grid(16)) - 0.6, 16), RED), a
    a = np.clip(rect(64, 64, 0.2, 0.8, 0.1) + rect(64, 64, 0.8, 0.2, 0.1), 0, 1)
    yield "cross", flat(a, GREEN), a
    cloth = rect(160, 128, 1.0, 0.8, 0.0)
    holes = smooth(rng, 160, 128, 5) < 0.35
    yield "torn cloth, hanging from the top", shaded(rng, a := cloth * ~holes, SAND), a
    y, x = np.mgrid[:128, :128]
    a = 0.75 * (((x // 4) % 2) | ((y // 4) % 2))
    yield "net that repeats", shaded(rng, a, (0.6, 0.55, 0.4)), a
    a = edge(np.hypot(*grid(128)) - 0.6, 128)
    a = np.maximum(a, 0.5 * ball(128, r=0.95, soft=0.4))
    yield "lamp with a halo of its own colour", flat(a, (1, 0.9, 0.6)), a
    yield (
        "bubble: clear inside, bright rim",
        flat(
            a := np.clip(np.exp(-(((np.hypot(*grid(128)) - 0.7) / 0.08) ** 2)) + 0.1 * (np.hypot(*grid(128)) < 0.7), 0, 1)
            * (np.hypot(*grid(128)) < 0.9),
            PALE,
        ),
        a,
    )
    n = 96
    body = edge(np.hypot(*grid(n)) - 0.7, n)
    yield "ball, lit from above", spread(np.clip(0.55 - 0.45 * grid(n)[0], 0, 1)[..., None] * np.asarray(RED), body), body
    yield (
        "kelp",
        shaded(
            rng,
            a := edge(np.abs(grid(256, 64)[1] - 0.4 * np.sin(3 * grid(256, 64)[0])) - 0.25, 64)
            * (np.abs(grid(256, 64)[0]) < 3.7),
            (0.3, 0.4, 0.15),
        ),
        a,
    )
    a = np.clip(smooth(rng, 128, 128, 3) * 6 - 3.2, 0, 1) * ball(128, r=0.95, soft=0.2)
    yield "splash", flat(a, (0.7, 0.8, 0.9)), a
    yield "scratches", flat(a := letters(128, 256, ["/ //  / /", "// /  ///", "/  // /  /"], 1.0, 1) * 0.5, PALE), a
    a = edge(np.hypot(*grid(160)) - 0.85, 160) * (0.5 + 0.5 * (np.arctan2(*grid(160)) > 0))
    yield "half-covered dial", flat(a, BLUE), a


# Faulty -------------------------------------------------------------------------------------------


def _faulty(rng):
    leaf = star(128, 6, 0.5)
    puff = ball(128, soft=0.5)
    veil = ball(192, soft=0.6) * (0.3 + 0.7 * smooth(rng, 192, 192, 10))
    for i, (a, rgb, hidden) in enumerate(
        (
            (leaf, GREEN, (1, 1, 1)),
            (puff, PALE, (0, 0, 0)),
            (veil, PALE, (0, 0, 0)),
            (puff, RED, (0, 1, 0)),
            (leaf, SAND, (0, 0, 0)),
            (ball(64, soft=0.3), DARK, (1, 1, 1)),
            (letters(64, 128, ["NR-04"], 1.2, 3), PALE, (0, 0, 0)),
            (rect(96, 96, 0.6, 0.6, 0.2), BLUE, (1, 0, 1)),
            (ball(256, soft=0.9), (0.9, 0.9, 0.9), (0, 0, 0)),
        )
    ):
        # In a large, very soft shape it hardly shows: a figure, and no fault that one would mend.
        word = ("", "fringe") if i in (2, 8) else ("fringe",)
        yield f"hidden colour {i}", hide(shaded(rng, a, rgb, 0.1), a, hidden), a, *word
    for i, (a, rgb, matte, much) in enumerate(
        (
            (puff, PALE, (0, 0, 0), 0.0),
            (puff, RED, (1, 1, 1), 0.1),
            (veil, (0.7, 0.72, 0.75), (0, 0, 0), 0.15),
            (ball(96, soft=0.3), SAND, (1, 1, 1), 0.05),
            (leaf, GREEN, (1, 1, 1), 0.15),
            (ball(256, soft=0.8), (0.8, 0.8, 0.85), (0, 0, 0), 0.3),
            (ball(128, r=0.8, soft=0.4), BLUE, (0, 0, 0), 0.2),
            (rect(128, 128, 0.6, 0.6, 0.2), (0.9, 0.4, 0.3), (0, 0, 0), 0.0),
            (edge(np.hypot(*grid(160)) - 0.7, 50), SAND, (0, 0, 0), 0.1),
            (ball(160, soft=0.35), DARK, (1, 1, 1), 0.1),
        )
    ):
        yield f"matte {i}", cut_from(shaded(rng, a, rgb, much), a, matte), a, "matte", "fringe"
    for i, (a, rgb) in enumerate(((puff, PALE), (ball(200, soft=0.4), RED))):
        full = shaded(rng, a, rgb, 0.1)
        yield f"half a matte {i}", 0.5 * full + 0.5 * cut_from(full, a, (0, 0, 0)), a, "matte", "fringe"
    yield "careless premultiply", lift(flat(veil, PALE), veil), veil, "matte", "fringe"
    for i, (w, hard) in enumerate(((3.0, leaf), (2.0, edge(np.hypot(*grid(128)) - 0.7, 128)))):
        a = ndimage.gaussian_filter(hard, w)
        a[a < 0.01] = 0
        yield f"green screen {i}", cut_from(shaded(rng, a, SAND, 0.1), a, (0.1, 0.75, 0.2)), a, "matte", "fringe"
    for i, (n, r, soft, at) in enumerate(
        (
            (128, 0.9, 0.8, (0.3, 0.0)),
            (64, 0.8, 0.6, (0.0, -0.45)),
            (256, 1.1, 0.9, (0.5, 0.2)),
            (128, 0.7, 0.5, (0.7, 0.7)),
            (96, 1.0, 0.8, (-0.4, 0.1)),
            (192, 0.95, 0.9, (0, 0.35)),
        )
    ):
        yield f"cut off {i}", flat(a := ball(n, r=r, soft=soft, at=at), PALE), a, "border"
    a = np.clip(1.2 - np.hypot(grid(192, 128)[1] * 2, np.maximum(0, -grid(192, 128)[0] - 0.6)), 0, 1) * (
        0.4 + 0.6 * smooth(rng, 192, 128, 8)
    )
    yield "plume cut at the floor", flat(a, (0.6, 0.6, 0.6)), a * np.clip((grid(192, 128)[0] + 1.4) / 0.8, 0, 1), "border"
    for i, (a, rgb, dens, top) in enumerate(
        (
            (puff, SAND, 0.01, 0.05),
            (leaf, GREEN, 0.02, 0.03),
            (star(256, 5), RED, 0.004, 0.08),
            (rect(200, 300, 0.5, 0.8, 0.2), BLUE, 0.01, 0.02),
            (edge(np.hypot(*grid(128)) - 0.5, 128), PALE, 0.015, 0.06),
            (ball(160, r=0.5, soft=0.2), DARK, 0.008, 0.04),
        )
    ):
        grain = (rng.random(a.shape) < dens) * rng.uniform(0.01, top, a.shape)
        yield f"specks {i}", flat(a, rgb), np.maximum(a, grain), "specks", "fringe border empty-margin"
    for i, (a, rgb) in enumerate(
        (
            (puff, SAND),
            (leaf, GREEN),
            (star(64, 5), RED),
            (ball(256, r=0.9, soft=0.3), PALE),
            (polygon(96, [(-0.6, 0.7), (0, -0.7), (0.6, 0.7)]), BLUE),
            (np.clip(letters(96, 160, ["NERITE"], 1.3, 8), 0, 1), DARK),
        )
    ):
        back = (0.2, 0.2, 0.25)
        seen = np.asarray(back) + (shaded(rng, a, rgb, 0.4) - back) * a[..., None]
        yield f"turned round {i}", seen, 1 - a, "inverted", "matte fringe"
    for i, (a, steps) in enumerate(
        (
            (ball(256, r=0.9, soft=0.85), 12),
            (ball(128, soft=0.6), 8),
            (veil, 10),
            (np.clip(0.5 + 0.55 * grid(128, 256)[1] / 2, 0, 1) * rect(128, 256, 0.9, 1.9, 0.1), 16),
            (ball(512, r=0.95, soft=0.9), 20),
            (ball(160, soft=0.6) * 0.6, 7),
            (ball(96, r=0.9, soft=0.8), 9),
        )
    ):
        yield f"few levels {i}", flat(a, PALE), np.rint(a * steps) / steps, "banding"
    for i, (rgb, value) in enumerate(((SAND, 1.0), (GREEN, 1.0), (BLUE, 0.5), (RED, 0.0), (DARK, 1.0), (PALE, 0.8))):
        h, w = (64, 128, 96, 32, 200, 48)[i], (64, 64, 160, 32, 100, 48)[i]
        yield f"one alpha {i}", shaded(rng, np.ones((h, w)), rgb, 0.4), np.full((h, w), value), "constant-alpha"
    for i, (a, rgb) in enumerate(
        ((puff, PALE), (leaf, RED), (veil, SAND), (star(96), BLUE), (ball(64), GREEN), (ball(48), DARK))
    ):
        back = ((0, 0, 0), (1, 1, 1), (0.2, 0.6, 0.3))[i % 3]
        yield f"no alpha {i}", cut_from(shaded(rng, a, rgb, 0.2), a, back), None, "no-alpha"


def rows(seed=0):
    """Every labelled picture; the same each time for one ``seed``, other grain for another."""
    made = []
    for kind, source in (("clean", _clean), ("faulty", _faulty)):
        rng = np.random.default_rng(zlib.crc32(kind.encode()) + seed)
        for name, rgb, alpha, *words in source(rng):
            if kind == "clean":
                faults, either = frozenset(), frozenset(words[0].split() if words else ())
            else:
                faults, either = frozenset(words[0].split()), frozenset(words[1].split() if len(words) > 1 else ())
            values = join(rgb, np.clip(alpha, 0, 1)) if alpha is not None else join(rgb, np.ones(rgb.shape[:2]))[..., :3]
            made.append(Row(name, values, faults, either))
    return made


def judge(found_in, seed=0):
    """Count, per kind, what ``found_in(row)`` found: right, wrongly found, missed; and the names behind the faults."""
    table = {k: {"right": 0, "wrong": [], "missed": []} for k in JUDGED}
    for row in rows(seed):
        found = set(found_in(row))
        for kind in JUDGED:
            if kind in row.either and kind not in row.faults:
                continue
            # What is there may be said with doubt; what is not there must not be said without.
            if kind in row.faults and found & {kind, kind + "?"}:
                table[kind]["right"] += 1
            elif kind in found:
                table[kind]["wrong"].append(row.name)
            elif kind in row.faults:
                table[kind]["missed"].append(row.name)
    return table


def scores(table):
    """Precision and recall per kind."""
    return {
        k: (v["right"] / max(v["right"] + len(v["wrong"]), 1), v["right"] / max(v["right"] + len(v["missed"]), 1))
        for k, v in table.items()
    }


def findings_of(row):
    """Ids of what Mivex finds in a row, taken for a picture file; what is only possible ends in “?”."""
    from mivex.core.findings import Subject, examine
    from mivex.core.picture.texture import Texture

    values = row.values
    alpha = values.shape[2] == 4
    if not alpha:
        values = np.dstack([values, np.ones(values.shape[:2], np.float32)])
    found = examine(Subject(row.name, Texture(values, has_alpha=alpha)))
    return [f.id + ("" if f.certainty == "likely" else "?") for f in found]


if __name__ == "__main__":
    found = judge(findings_of)
    every = rows()
    print(f"{sum(not r.faults for r in every)} clean and {sum(bool(r.faults) for r in every)} faulty pictures\n")
    print("| finding | right | wrongly found | missed | precision | recall |\n|---|---|---|---|---|---|")
    for key, (precision, recall) in scores(found).items():
        v = found[key]
        print(f"| {key} | {v['right']} | {len(v['wrong'])} | {len(v['missed'])} | {precision:.2f} | {recall:.2f} |")
    for key, v in found.items():
        for word in ("wrong", "missed"):
            if v[word]:
                print(f"\n{key}, {word}: {', '.join(v[word])}", end="")
    print()
