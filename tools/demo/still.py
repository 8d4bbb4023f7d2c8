"""Pictures and meshes of the demo's overlays that stand still."""

import cv2
import numpy as np

from mivex.core.base.store import write_text
from mivex.core.base.types import Floats
from mivex.core.picture.svg import draw_svg
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.shapes import box, circle, filled, grid, noise, over, segment
from mivex.core.stage import primitives as forms
from mivex.core.stage.mesh import Mesh, joined
from mivex.demo import FOLDER
from tools.demo.drawn import flat, letters, save


def porthole() -> None:
    """Porthole pane, clean: a disc of dark glass with a lighter edge. Salt, scratches and smears are layers over it."""
    n = 512
    y, x = grid(n, n)
    c, r = n / 2, 236.0
    d = circle(y, x, c, c, r)
    rho = np.hypot(y - c, x - c) / r
    inside = filled(d)
    edge = np.clip((rho - 0.94) / 0.06, 0, 1)[..., None]
    rgb = flat(n, n, (0.10, 0.13, 0.14)) * (1 - edge) + np.array((0.42, 0.55, 0.52), np.float32) * edge
    save("porthole_pane.png", rgb, (0.26 + 0.3 * edge[..., 0]) * inside)


def reference() -> None:
    """The pane as it might have been photographed, to be matched by layers: salt, a wiped arc, scratches, smears."""
    n = 512
    y, x = grid(n, n)
    c, r = n / 2, 236.0
    d = circle(y, x, c, c, r)
    rho = np.hypot(y - c, x - c) / r
    cloud = noise(n, n, 120, 101, 5)
    grain = noise(n, n, 5, 102, 2)
    salt = np.clip((rho - 0.42) * 1.1 + (cloud - 0.5) * 0.9, 0, 1) * (0.55 + 0.45 * grain)
    # Wiped once with a sleeve: an arc through the film.
    arc = np.abs(np.hypot(y - (c + 260), x - (c - 40)) - 300) - 46
    streaks = noise(n, n, 60, 103, 3) * 0.5 + cv2.GaussianBlur(noise(n, n, 6, 104, 2), (61, 1), 0)
    salt = salt * (1 - filled(arc, 46) * np.clip(streaks * 1.1, 0.25, 0.95))
    # Crystals: specks that catch the light.
    rng = np.random.default_rng(105)
    specks: Floats = np.zeros((n, n), np.float32)
    for _ in range(700):
        a, q = rng.uniform(0, 2 * np.pi), np.sqrt(rng.uniform(0.2, 0.95)) * r
        py, px = int(c + np.sin(a) * q), int(c + np.cos(a) * q)
        specks[py : py + rng.integers(1, 3), px : px + rng.integers(1, 3)] = rng.uniform(0.3, 1)
    specks = cv2.GaussianBlur(specks, (0, 0), 0.8) * np.clip((rho - 0.35) * 2, 0, 1)
    scratch = np.zeros((n, n), np.float32)
    for _ in range(34):
        a, q = rng.uniform(0, 2 * np.pi), np.sqrt(rng.uniform(0, 0.85)) * r
        s = (c + np.sin(a) * q, c + np.cos(a) * q)
        b, length = rng.normal(0.5, 0.5), rng.uniform(20, 130)
        e = (s[0] + np.sin(b) * length, s[1] + np.cos(b) * length)
        scratch = np.maximum(scratch, filled(segment(y, x, s, e, 0.25), 1.6) * np.float32(rng.uniform(0.12, 0.5)))
    smear = np.zeros((n, n), np.float32)
    for k in range(4):
        tip = (150 + 9 * abs(k - 1), 206 + 34 * k)
        end = (tip[0] + 96 + 14 * k, tip[1] + 16 - 5 * k)
        body = filled(segment(y, x, tip, end, 12), 8)
        fade = np.clip(1 - (y - tip[0]) / 130, 0, 1)
        ridges = 0.6 + 0.4 * np.sin(np.hypot(y - tip[0] - 4, (x - tip[1]) * 1.2) * 1.5)
        smear = np.maximum(smear, body * fade * np.where(y < tip[0] + 22, ridges, 0.55).astype(np.float32))
    gleam = np.exp(-(((rho - 0.955) / 0.035) ** 2)) * (0.35 + 0.65 * np.clip((c - y + (c - x) * 0.6) / r, 0, 1))
    base = 0.10 + 0.05 * rho**3
    alpha = 1 - (1 - base) * (1 - 0.62 * salt) * (1 - 0.8 * specks) * (1 - 0.55 * scratch) * (1 - 0.30 * smear) * (
        1 - 0.75 * gleam
    )
    glass = flat(n, n, (0.30, 0.42, 0.42))
    rgb = over(glass, (0.86, 0.87, 0.84), np.clip(0.9 * salt + specks, 0, 1))
    rgb = over(rgb, (0.80, 0.84, 0.84), scratch)
    rgb = over(rgb, (0.72, 0.74, 0.70), smear * np.float32(0.8))
    rgb = over(rgb, (0.97, 0.98, 0.96), gleam.astype(np.float32))
    inside = filled(d)
    rgb = np.where((inside > 0)[..., None], rgb, np.float32(0.0))
    save("pane_reference.png", rgb, alpha * inside)


def buoy() -> None:
    """A mooring buoy as a mesh: a profile turned about the upright axis, with UVs round and down it."""
    profile = np.array(
        [
            (0.0, 0.5),
            (0.05, 0.5),
            (0.06, 0.44),
            (0.05, 0.38),
            (0.12, 0.355),
            (0.24, 0.30),
            (0.33, 0.20),
            (0.36, 0.10),
            (0.36, 0.04),
            (0.40, 0.03),
            (0.40, -0.03),
            (0.36, -0.04),
            (0.35, -0.14),
            (0.28, -0.27),
            (0.16, -0.36),
            (0.08, -0.40),
            (0.07, -0.47),
            (0.0, -0.5),
        ]
    )
    way = np.concatenate([[0], np.cumsum(np.hypot(*np.diff(profile, axis=0).T))])
    fine = np.linspace(0, way[-1], 57)
    r, y = (np.interp(fine, way, profile[:, k]) for k in (0, 1))
    turns = 40
    a = np.linspace(0, 2 * np.pi, turns + 1)
    rows = [f"v {ri * np.sin(t):.5f} {yi:.5f} {ri * np.cos(t):.5f}" for ri, yi in zip(r, y, strict=True) for t in a]
    nr, ny = -np.gradient(y), np.gradient(r)
    long = np.maximum(np.hypot(nr, ny), 1e-9)
    rows += [
        f"vn {m * np.sin(t):.4f} {q:.4f} {m * np.cos(t):.4f}" for m, q in zip(nr / long, ny / long, strict=True) for t in a
    ]
    rows += [f"vt {t / (2 * np.pi):.5f} {1 - s / way[-1]:.5f}" for s in fine for t in a]
    for i in range(len(fine) - 1):
        for k in range(turns):
            p = i * (turns + 1) + k + 1
            q = p + turns + 1
            rows += ["f " + " ".join(f"{v}/{v}/{v}" for v in corners) for corners in ((p, q, q + 1), (p, q + 1, p + 1))]
    write_text(FOLDER / "buoy.obj", "\n".join(rows) + "\n")


def registration(name: str, margin: float) -> None:
    """NR-04 in worn dark paint; ``margin`` in pixels decides whether it clears the border."""
    h, w = 256, 1024
    y, x = grid(h, w)
    size = h - 2 * margin
    _, width = letters(y[:2, :2], x[:2, :2], size, margin, 0)
    d, _ = letters(y, x, size, margin, (w - width) / 2)
    worn = noise(h, w, 18, 111, 4) * 0.65 + noise(h, w, 110, 112, 3) * 0.45
    paint = filled(d + (worn - 0.5) * 1.5, 1.4)
    chips = np.clip((worn - 0.70) * 12, 0, 1)
    dust = np.clip((noise(h, w, 4, 113, 2) - 0.66) * 6, 0, 1)
    alpha = paint * (0.97 - 0.75 * chips) * (1 - 0.35 * dust)
    if margin <= 0:
        # Overspray beyond the stencil, cut off by the picture's side.
        alpha = np.maximum(alpha, 0.22 * np.clip(1 - d / 26, 0, 1) * worn * 1.4)
    rgb = flat(h, w, (0.10, 0.16, 0.24)) * (0.85 + 0.3 * noise(h, w, 60, 114)[..., None])
    rgb = np.where((alpha > 0)[..., None], rgb, np.float32(1.0))
    save(name, rgb, alpha)


def chevrons() -> None:
    """Hazard chevrons, painted by hand over tape: black and dull yellow, scuffed."""
    h, w = 256, 1024
    y, x = grid(h, w)
    band = box(y, x, h / 2, w / 2, 96, 488, 8)
    fold = np.abs(y - h / 2) * 0.8
    stripes = np.abs((x - fold) % 140 - 70) - 35
    yellow = filled(stripes.astype(np.float32), 1.6)
    worn = noise(h, w, 26, 121, 5)
    rgb = flat(h, w, (0.09, 0.09, 0.085))
    rgb = over(rgb, (0.82, 0.62, 0.13), yellow)
    rgb = rgb * (0.82 + 0.3 * noise(h, w, 90, 122)[..., None])
    scuff = np.clip(cv2.GaussianBlur(noise(h, w, 7, 123, 3), (41, 1), 0) * 5 - 2.6, 0, 1)
    rgb = over(rgb.astype(np.float32), (0.45, 0.44, 0.42), scuff * np.float32(0.4))
    edge = np.clip(-band / 10, 0, 1)
    alpha = filled(band + (worn - 0.5) * 7, 1.8) * (1 - np.clip((worn - 0.62) * 7, 0, 0.9) * (1 - 0.55 * edge))
    rgb = np.where((alpha > 0)[..., None], rgb, np.float32(1.0))
    save("hazard_chevrons.png", rgb, alpha)


def _bubble() -> tuple[Floats, Floats]:
    n = 256
    y, x = grid(n, n)
    c, r = n / 2, 108.0
    d = circle(y, x, c, c, r)
    rho = np.clip(np.hypot(y - c, x - c) / r, 0, 1.2)
    rim = np.exp(-(((rho - 0.94) / 0.055) ** 2))
    shell = 0.06 + 0.30 * rho**5
    ny, nx = (y - c) / r, (x - c) / r
    key = np.exp(-(((ny + 0.46) / 0.13) ** 2 + ((nx + 0.40) / 0.16) ** 2))
    bounce = np.exp(-(((rho - 0.78) / 0.09) ** 2)) * np.clip((ny * 0.75 + nx * 0.62), 0, 1) ** 3
    glint = np.exp(-(((ny + 0.20) / 0.035) ** 2 + ((nx + 0.58) / 0.035) ** 2))
    inside = np.clip((r - np.hypot(y - c, x - c)) / 5 + 0.2, 0, 1)
    clear = (1 - shell) * (1 - 0.62 * rim) * (1 - 0.97 * key) * (1 - 0.6 * bounce) * (1 - 0.9 * glint)
    alpha = np.clip(1 - clear, 0, 1) * inside * filled(d, 2)
    rgb = flat(n, n, (0.52, 0.72, 0.74))
    rgb = over(rgb, (0.80, 0.90, 0.90), rim.astype(np.float32))
    rgb = over(rgb, (0.98, 1.0, 0.99), np.clip(key + glint, 0, 1).astype(np.float32))
    rgb = over(rgb, (0.88, 0.96, 0.90), bounce.astype(np.float32))
    return rgb, alpha.astype(np.float32)


def bubbles() -> None:
    """A bubble with clean colour, and its faulty twin: cut from a black backdrop without taking it out."""
    rgb, alpha = _bubble()
    save("bubble.png", np.where((alpha > 0)[..., None], rgb, np.float32(0)), alpha)
    save("bubble_cut_from_black.png", rgb * alpha[..., None], alpha)


EMBLEM = """<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 512 512">
  <mask id="letters">
    <circle cx="256" cy="256" r="240" fill="#fff"/>
    <circle cx="256" cy="256" r="162" fill="#000"/>
    <path id="upper" d="M71 256a185 185 0 0 1 370 0" fill="none"/>
    <path id="lower" d="M39 256a217 217 0 0 0 434 0" fill="none"/>
    <text font-family="Inter" font-weight="600" font-size="50" letter-spacing="4" fill="#000" text-anchor="middle">
      <textPath href="#upper" startOffset="50%">HALDEN TRENCH</textPath></text>
    <text font-family="Inter" font-weight="600" font-size="50" letter-spacing="9" fill="#000" text-anchor="middle">
      <textPath href="#lower" startOffset="50%">SURVEY</textPath></text>
    <circle cx="64" cy="316" r="9" fill="#000"/>
    <circle cx="448" cy="316" r="9" fill="#000"/>
  </mask>
  <rect width="512" height="512" fill="#16323f" mask="url(#letters)"/>
  <circle cx="256" cy="256" r="150" fill="#e9dfc2"/>
  <clipPath id="disc"><circle cx="256" cy="256" r="144"/></clipPath>
  <g clip-path="url(#disc)">
    <rect x="100" y="100" width="312" height="312" fill="#2f6f7d"/>
    <path d="M100 262c26-18 52-18 78 0s52 18 78 0 52-18 78 0 52 18 78 0v160H100z" fill="#1f5361"/>
    <path d="M100 320l44 26 34-10 30 44 26 60 22-8 24 6 28-62 30-40 36 10 38-28v120H100z" fill="#16323f"/>
    <path d="M256 196l-58 168h116z" fill="#e3b04a" opacity="0.55"/>
    <rect x="196" y="164" width="120" height="50" rx="25" fill="#e9dfc2"/>
    <path d="M232 164l8-20h32l8 20z" fill="#e9dfc2"/>
    <path d="M316 178l26-14v50l-26-14z" fill="#e9dfc2"/>
    <circle cx="226" cy="189" r="11" fill="#16323f"/>
    <circle cx="260" cy="189" r="11" fill="#16323f"/>
    <circle cx="292" cy="189" r="11" fill="#16323f"/>
  </g>
</svg>
"""


def emblem() -> None:
    """The survey's emblem as outlines; and its faulty twin, whose alpha is turned round."""
    write_text(FOLDER / "emblem.svg", EMBLEM)
    drawn = draw_svg(FOLDER / "emblem.svg", 256, 256)
    save("emblem_inside_out.png", np.where(drawn[..., 3:] > 0, drawn[..., :3], np.float32(0.09)), 1 - drawn[..., 3])


def mote_masks() -> None:
    """The mote's parts as three greys, to be packed and coloured later."""
    n = 128
    y, x = grid(n, n)
    c = n / 2
    rho = np.hypot(y - c, x - c) / (n / 2)
    fade = np.clip((0.96 - rho) / 0.25, 0, 1)
    turn = np.arctan2(y - c, x - c)
    core = np.exp(-((rho / 0.13) ** 2))
    halo = np.exp(-((rho / 0.42) ** 2)) * (0.8 + 0.2 * noise(n, n, 18, 141))
    rays = np.abs(np.cos(turn * 4 + 0.4)) ** 22 * np.exp(-rho / 0.30) + np.abs(np.cos(turn * 2)) ** 60 * np.exp(-rho / 0.42)
    for name, part in (("core", core), ("halo", halo), ("rays", rays)):
        grey = np.clip(part * fade, 0, 1).astype(np.float32)
        save(f"mote_{name}.png", np.repeat(grey[..., None], 3, axis=2))


def silt() -> None:
    """A puff of silt whose alpha was kept in a handful of levels: the faulty twin of an even one."""
    n = 256
    y, x = grid(n, n)
    c = n / 2
    rho = np.hypot(y - c, x - c) / c
    billow = noise(n, n, 70, 151, 5)
    alpha = np.clip((0.92 - rho) * 1.5 - (0.50 - billow) * 1.3, 0, 1) * np.clip((0.97 - rho) * 6, 0, 1) * 0.85
    rgb = flat(n, n, (0.46, 0.41, 0.33)) * (0.8 + 0.4 * noise(n, n, 40, 152)[..., None])
    save("silt_banded.png", rgb, np.round(alpha * 9) / 9)


def plume() -> None:
    """A soft plume of silt with every level of alpha: thick below, drawn out above."""
    n = 256
    y, x = grid(n, n)
    c = n / 2
    u, v = (x - c) / c, (y - c) / c
    billow = noise(n, n, 60, 171, 5)
    wide = 0.34 + 0.42 * np.clip(0.9 - v, 0, 1.6) / 1.6
    body = np.clip(1.15 - np.abs(u + 0.14 * (billow - 0.5)) / wide, 0, 1) * np.clip((0.94 - np.abs(v)) * 2.4, 0, 1)
    alpha = np.clip(body * 1.2 - (0.55 - billow) * 1.1, 0, 1) * np.clip((0.97 - np.hypot(u, v)) * 5, 0, 1) * 0.8
    rgb = flat(n, n, (0.50, 0.45, 0.37)) * (0.75 + 0.5 * noise(n, n, 36, 172)[..., None])
    save("silt_plume.png", rgb, alpha)


def kelp() -> None:
    """A frond of kelp: a stem with blades to both sides, hard-edged and a little torn."""
    n = 256
    y, x = grid(n, n)
    sway = n / 2 + 14 * np.sin(y / n * 5.2)
    leaf: Floats = np.full((n, n), 1e3, np.float32)
    for k in range(9):
        foot, side = n * (0.93 - 0.095 * k), 1 if k % 2 else -1
        root = n / 2 + 14 * np.sin(foot / n * 5.2)
        long, lift = n * (0.36 - 0.018 * k), n * 0.16
        t = np.clip(side * (x - root) / long, 0, 1)
        middle = foot - lift * t - 10 * np.sin(t * 9 + k)
        thick = n * 0.05 * np.sqrt(np.clip(t * (1 - t) * 3.4, 0, 1)) + 1.2 * (1 - t)
        there = (side * (x - root) > -2) & (side * (x - root) < long)
        leaf = np.minimum(leaf, np.where(there, np.abs(y - middle) - thick, 1e3)).astype(np.float32)
    stem = np.abs(x - sway) - (3.2 - 1.6 * (1 - y / n))
    leaf = np.minimum(leaf, np.where((y > n * 0.06) & (y < n * 0.985), stem, 1e3)) + 3.0 * (noise(n, n, 14, 181) - 0.5)
    shade = 0.65 + 0.7 * noise(n, n, 30, 182)[..., None]
    rgb = flat(n, n, (0.30, 0.34, 0.10)) * shade
    rgb = over(rgb.astype(np.float32), (0.42, 0.32, 0.12), filled(stem, 1.0) * np.float32(0.8))
    save("kelp.png", rgb, filled(leaf, 1.2))


def boat() -> None:
    """The Nerite in small, as a mesh for her hologram: hull, bow and stern, tower, fins."""

    def turned(mesh: Mesh, *rows: tuple[float, ...]) -> Mesh:
        return mesh.transformed(np.array(rows, np.float64))

    lying = ((0, 1.0, 0, 0), (-1.0, 0, 0, 0), (0, 0, 1.0, 0))
    hull = turned(forms.cylinder(0.3, 0.7), *lying)
    bow = turned(forms.dome(0.3, 0.3, 0.15), (0, 0, 1, 0.35), (0, 1, 0, 0), (-1, 0, 0, 0))
    stern = turned(forms.dome(0.3, 0.3, 0.28), (0, 0, -1, -0.35), (0, 1, 0, 0), (1, 0, 0, 0))
    tower = turned(forms.box(0.2, 0.14, 0.1), (1, 0, 0, 0.08), (0, 1, 0, 0.19), (0, 0, 1, 0))
    fins = [
        turned(forms.box(0.12, 0.02, 0.34), (1, 0, 0, -0.5), (0, 1, 0, 0), (0, 0, 1, 0)),
        turned(forms.box(0.12, 0.34, 0.02), (1, 0, 0, -0.5), (0, 1, 0, 0), (0, 0, 1, 0)),
    ]
    whole = joined([hull, bow, stern, tower, *fins])
    rows = ["v {:.5f} {:.5f} {:.5f}".format(*p) for p in whole.position]
    rows += ["vn {:.4f} {:.4f} {:.4f}".format(*p) for p in whole.normal]
    rows += [f"vt {u:.5f} {1 - v:.5f}" for u, v in whole.uv0]
    rows += ["f " + " ".join(f"{k + 1}/{k + 1}/{k + 1}" for k in t) for t in whole.index]
    write_text(FOLDER / "boat.obj", "\n".join(rows) + "\n")


def mesh() -> None:
    """A guard of fine wire: its holes close up a few steps away."""
    n = 256
    y, x = grid(n, n)
    pitch = 10.0
    wire = np.minimum(np.abs((y + x) % pitch - pitch / 2), np.abs((y - x) % pitch - pitch / 2)) / np.float32(np.sqrt(2))
    rim = -box(y, x, n / 2, n / 2, n / 2 - 12, n / 2 - 12, 10)
    plate = box(y, x, n / 2, n / 2, n / 2 - 3, n / 2 - 3, 14)
    hole = filled(1.9 - wire, 0.7) * filled(-rim, 1.0)
    rgb = flat(n, n, (0.34, 0.35, 0.36)) * (0.8 + 0.4 * noise(n, n, 30, 161)[..., None])
    rgb = over(rgb.astype(np.float32), (0.62, 0.62, 0.60), np.clip(1 - wire / 0.9, 0, 1) * np.float32(0.5))
    save("guard_mesh.png", rgb, filled(plate, 1.4) * (1 - hole))


def mote() -> None:
    """A mote in the lamp's beam, photographed on black: no alpha of its own."""
    n = 128
    y, x = grid(n, n)
    c = n / 2
    rho = np.hypot(y - c, x - c) / (n / 2)
    core = np.exp(-((rho / 0.10) ** 2))
    halo = np.exp(-((rho / 0.34) ** 2)) * 0.42
    ring = np.exp(-(((rho - 0.52) / 0.05) ** 2)) * 0.07
    spokes = np.abs(np.cos(np.arctan2(y - c, x - c) * 3)) ** 24 * np.exp(-rho / 0.22) * 0.30
    light = (core + halo + ring + spokes) * np.clip((0.93 - rho) / 0.25, 0, 1)
    tint = np.stack([np.ones_like(rho), 0.86 - 0.18 * rho, 0.58 - 0.30 * rho], axis=-1)
    save("lamp_mote.png", to_display(np.clip(light[..., None] * to_linear(tint.astype(np.float32)), 0, 1)))


def draw() -> None:
    """Draw all of them into the demo's folder."""
    porthole()
    reference()
    buoy()
    registration("registration_nr04.png", 18)
    registration("registration_to_border.png", 0)
    chevrons()
    bubbles()
    mote()
    emblem()
    mote_masks()
    silt()
    plume()
    kelp()
    boat()
    mesh()
