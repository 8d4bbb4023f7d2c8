"""Drawn pictures to learn by: sprites of many kinds from chance alone, and copies with one fault each.

Limits of the checks are set by these; they are judged by pictures that nobody here made (``docs/checks.md``), which are no
part of the project.
"""

import cv2
import numpy as np

SHAPES = ("blob", "polygon", "ring", "leaves", "letters", "smoke", "glow", "spark", "grass", "frame")


def _noise(rng, h, w, cells, octaves=4):
    out = np.zeros((h, w), np.float32)
    for k in range(octaves):
        n = max(2, int(cells * 2**k))
        grid = rng.random((n + 1, n + 1)).astype(np.float32)
        out += cv2.resize(grid, (w, h), interpolation=cv2.INTER_CUBIC) * 0.5**k
    return (out - out.min()) / max(float(np.ptp(out)), 1e-6)


def _mask(rng, shape, h, w):
    """A shape four times finer, averaged down: edges as a drawing program gives them."""
    big = np.zeros((4 * h, 4 * w), np.uint8)
    c = np.array([2 * w, 2 * h])
    r = 1.5 * min(h, w)
    if shape in ("blob", "polygon"):
        n = int(rng.integers(5, 14))
        turn = np.sort(rng.random(n)) * 2 * np.pi
        far = r * rng.uniform(0.5, 1.0, n)
        pts = (c + np.stack([np.cos(turn), np.sin(turn)], 1) * far[:, None]).astype(np.int32)
        cv2.fillPoly(big, [pts], 255)
        if shape == "blob":
            big = (cv2.GaussianBlur(big, (0, 0), r / 12) > 110).astype(np.uint8) * 255
    elif shape == "ring":
        cv2.circle(big, c.tolist(), int(r), 255, -1)
        cv2.circle(big, c.tolist(), int(r * rng.uniform(0.4, 0.85)), 0, -1)
    elif shape in ("leaves", "grass"):
        for _ in range(int(rng.integers(12, 50))):
            at = c + rng.normal(0, r / 3, 2)
            size = (int(r * rng.uniform(0.08, 0.3)), int(r * rng.uniform(0.01, 0.05)) + 2)
            angle = float(rng.uniform(0, 360)) if shape == "leaves" else float(rng.normal(90, 15))
            cv2.ellipse(big, at.astype(int).tolist(), size, angle, 0, 360, 255, -1)
    elif shape == "letters":
        word = "".join(rng.choice(list("ABCDEGKMNPRSTW3478"), 3))
        cv2.putText(big, word, (w // 3, int(2.6 * h)), cv2.FONT_HERSHEY_DUPLEX, w / 24, 255, max(3, w // 8), cv2.LINE_AA)
    elif shape == "frame":
        cv2.rectangle(big, (w // 3, h // 3), (int(3.7 * w), int(3.7 * h)), 255, int(rng.uniform(0.1, 0.5) * w))
    return cv2.resize(big, (w, h), interpolation=cv2.INTER_AREA).astype(np.float32) / 255


def _colours(rng, h, w):
    """A fill: flat, shaded, grainy or many-coloured."""
    a, b = rng.random(3), rng.random(3)
    kind = rng.integers(4)
    if kind == 0:
        fill = np.broadcast_to(a, (h, w, 3)).copy()
    else:
        n = _noise(rng, h, w, rng.uniform(1, 12), 1 if kind == 1 else 5)[..., None]
        fill = a + (b - a) * n
        if kind == 3:
            fill = fill * (0.5 + _noise(rng, h, w, 8)[..., None]) + 0.15 * (np.stack([_noise(rng, h, w, 5)] * 3, 2) - 0.5)
    y = np.linspace(-1, 1, h)[:, None, None]
    fill = fill * (1 - rng.uniform(0, 0.4) * y)
    return np.clip(fill + rng.normal(0, rng.choice([0, 0, 0.01, 0.03]), (h, w, 1)), 0, 1).astype(np.float32)


def _spread(rgb, alpha):
    """Colour of the nearest solid texel under clear ones, as a careful artist leaves it."""
    _, index = cv2.distanceTransformWithLabels(
        (alpha < 0.6).astype(np.uint8), cv2.DIST_L2, 3, labelType=cv2.DIST_LABEL_PIXEL
    )
    seat = np.zeros((int(index.max()) + 1, 3), np.float32)
    solid = alpha >= 0.6
    seat[index[solid]] = rgb[solid]
    return np.where(solid[..., None], rgb, seat[index])


def drawn(seed):
    """One clean sprite.

    Returns
    -------
    values : float32 (height, width, 4), straight, display values, on the codes of 8 bits
    shape : str
    """
    rng = np.random.default_rng(seed)
    h, w = (int(v) for v in rng.choice([48, 64, 96, 128, 200, 256], 2))
    shape = str(rng.choice(SHAPES))
    rgb = _colours(rng, h, w)
    y, x = (np.mgrid[:h, :w] + 0.5) / [[[h]], [[w]]] * 2 - 1
    far = np.hypot(x, y)
    if shape == "smoke":
        alpha = np.clip(1.1 - far, 0, 1) * _noise(rng, h, w, 3, 5) ** rng.uniform(0.6, 1.6)
    elif shape == "glow":
        alpha = np.clip(1 - far, 0, 1) ** rng.uniform(1, 3)
        rgb = rgb + (rng.random(3) - rgb) * np.clip(far, 0, 1)[..., None] * rng.uniform(0, 0.8)  # a halo of its own colour
    elif shape == "spark":
        alpha = np.clip(1 - np.minimum(np.abs(x), np.abs(y)) * 6 - far, 0, 1) + np.clip(0.5 - 2 * far, 0, 1)
    else:
        alpha = _mask(rng, shape, h, w)
        soft = rng.choice([0, 0, 0.6, 1.5, 4])
        if soft:
            alpha = cv2.GaussianBlur(alpha, (0, 0), float(soft))
        if rng.random() < 0.45:  # an outline of another colour, usually dark
            wide = int(rng.integers(1, 5))
            inner = cv2.erode(alpha, np.ones((2 * wide + 1, 2 * wide + 1)))
            line = rng.uniform(0, 0.25, 3) if rng.random() < 0.8 else rng.uniform(0.7, 1, 3)
            rgb = line + (rgb - line) * inner[..., None]
        if rng.random() < 0.3:  # a shadow or a glow behind, at every alpha of its own colour
            shift = rng.integers(-4, 8, 2)
            under = cv2.GaussianBlur(np.roll(alpha, tuple(shift), (0, 1)), (0, 0), rng.uniform(1, 6)) * rng.uniform(
                0.3, 0.9
            )
            tone = np.zeros(3) if rng.random() < 0.7 else rng.random(3)
            whole = alpha + under * (1 - alpha)
            rgb = (rgb * alpha[..., None] + tone * (under * (1 - alpha))[..., None]) / np.maximum(whole, 1e-6)[..., None]
            alpha = whole
    alpha = np.clip(alpha, 0, 1) * (rng.uniform(0.5, 0.95) if rng.random() < 0.1 else 1)
    edge = np.minimum.reduce([np.arange(h)[:, None], h - 1 - np.arange(h)[:, None], np.full((h, 1), 99)])
    edge = np.minimum(edge, np.minimum(np.arange(w), w - 1 - np.arange(w))[None])
    alpha = alpha * np.clip((edge - 1) / 3, 0, 1)
    alpha = np.rint(alpha * 255) / 255
    clear = alpha <= 0
    how = rng.integers(5)
    if how == 0:
        rgb = np.where(clear[..., None], 0, rgb)
    elif how == 1:
        rgb = np.where(clear[..., None], 1, rgb)
    elif how == 2 and (alpha >= 0.6).any():
        rgb = np.where(clear[..., None], _spread(rgb, alpha), rgb)
    elif how == 3:
        rgb = np.where(clear[..., None], rng.random(3), rgb)
    values = np.concatenate([rgb, alpha[..., None]], 2)
    return (np.rint(np.clip(values, 0, 1) * 255) / 255).astype(np.float32), shape


def with_matte(values, seed):
    """A copy that was cut from a backdrop, or None where the matte would not be seen by a person."""
    rng = np.random.default_rng(seed)
    back = [np.zeros(3), np.ones(3), rng.random(3), np.full(3, rng.random())][rng.integers(4)]
    share = rng.uniform(0.3, 1.0)
    a = values[..., 3:].astype(np.float64)
    mixed = values[..., :3] + share * (1 - a) * (back - values[..., :3])
    seen = np.abs(a * (mixed - values[..., :3])).max(2) * 255
    soft = (a[..., 0] > 0.03) & (a[..., 0] < 0.97)
    if soft.sum() < 60 or np.percentile(seen[soft], 95) < 14:
        return None
    hidden = [back, values[..., :3], rng.random(3), np.zeros(3)][rng.choice(4, p=[0.55, 0.25, 0.1, 0.1])]
    mixed = np.where(a > 0, mixed, hidden)
    made = np.concatenate([mixed, values[..., 3:]], 2)
    return (np.rint(made * 255) / 255).astype(np.float32)
