"""(e) Every preparation step on 1024² and 4096², beside the nearest thing Pillow, OpenCV or SciPy does."""

from collections.abc import Callable
from functools import partial
from typing import Any

import cv2
import numpy as np
from PIL import Image, ImageChops, ImageDraw, ImageFilter, ImageOps
from scipy import ndimage

from benchmarks.timing import line, medians
from mivex.core.picture.files import read_picture
from mivex.core.pixels.coverage import keep_coverage
from mivex.core.pixels.mips import build_chain
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface

SETTINGS: dict[str, dict[str, Any]] = {
    "levels": {"black": 0.1, "gamma": 1.6},
    "curve": {"points": ((0.0, 0.0), (0.4, 0.7), (1.0, 1.0))},
    "grow": {"by": 6.0},
    "feather": {"width": 12.0},
    "blur": {"what": "both", "radius": 6.0},
    "offset": {"x": 300, "y": 77},
    "tint": {"colour": (0.5, 0.7, 0.9)},
    "glow": {"radius": 8.0},
    "text": {"text": "NR-04", "size": 0.4},
    "trim": {"margin": 8},
    "pad": {"left": 64},
    "combine": {"take": "green"},
    "unmatte": {"matte": (0.1, 0.2, 0.3)},
    "recolour": {"glow_gain": 0.5},
    "noise": {"cells": 8},
}


def picture(n: int) -> np.ndarray:
    """Soft shape on varying colour, display values."""
    y, x = np.mgrid[:n, :n].astype(np.float32) / n
    alpha = np.clip((0.4 - np.hypot(y - 0.5, x - 0.48)) / 0.02, 0, 1)
    return np.dstack([x, y, 0.5 + 0.3 * np.sin(x * 9), alpha]).astype(np.float32)


def baselines(v: np.ndarray) -> dict[str, tuple[str, Callable[[], object]]]:
    """What other libraries do that comes nearest, on the same picture."""
    codes = (v * 255).astype(np.uint8)
    image, alpha8 = Image.fromarray(codes, "RGBA"), Image.fromarray(codes[..., 3])
    a, rgb = np.ascontiguousarray(v[..., 3]), np.ascontiguousarray(v[..., :3])
    n = len(v)
    disc = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (13, 13))
    solid = (a >= 0.5).astype(np.uint8)
    lut = np.arange(256, dtype=np.uint8)[::-1].copy()
    grey8 = Image.fromarray(codes[..., 0])

    def chain() -> None:
        level = v
        while min(level.shape[:2]) > 1:
            level = cv2.resize(level, (level.shape[1] // 2, level.shape[0] // 2), interpolation=cv2.INTER_AREA)

    def tiled() -> Image.Image:
        return Image.composite(image, ImageChops.offset(image, n // 2, n // 2), alpha8)

    def glow() -> Image.Image:
        flat = image.convert("RGB")
        return ImageChops.screen(flat, flat.filter(ImageFilter.GaussianBlur(8)))

    def written() -> None:
        ImageDraw.Draw(Image.new("L", (n, n))).text((n // 8, n // 3), "NR-04", fill=255, font_size=n * 0.4)

    return {
        "alpha-from": ("OpenCV grey", lambda: cv2.cvtColor(rgb, cv2.COLOR_RGB2GRAY)),
        "key-colour": (
            "OpenCV distance to a colour",
            lambda: cv2.sqrt(cv2.transform(cv2.absdiff(rgb, np.full_like(rgb, 0.3)) ** 2, np.ones((1, 3), np.float32))),
        ),
        "combine": ("OpenCV multiply", lambda: cv2.multiply(a, rgb[..., 1])),
        "levels": ("Pillow point", lambda: alpha8.point(list(lut))),
        "curve": ("OpenCV LUT", lambda: cv2.LUT(codes, lut)),
        "threshold": ("OpenCV threshold", lambda: cv2.threshold(a, 0.5, 1, cv2.THRESH_BINARY)),
        "smoothstep": ("Pillow point", lambda: alpha8.point(list(lut))),
        "invert-alpha": ("OpenCV subtract", lambda: cv2.subtract(1.0, a)),
        "grow": ("OpenCV dilate by a disc", lambda: cv2.dilate(a, disc)),
        "feather": ("SciPy distance transform", lambda: ndimage.distance_transform_edt(solid)),
        "fall-off": ("Pillow radial gradient", lambda: Image.radial_gradient("L").resize((n, n))),
        "blur": ("OpenCV Gaussian", lambda: cv2.GaussianBlur(v, (0, 0), 6)),
        "offset": ("Pillow offset", lambda: ImageChops.offset(image, 300, 77)),
        "centre": ("SciPy centre of mass", lambda: ndimage.center_of_mass(a)),
        "trim": ("Pillow bounding box and crop", lambda: image.crop(alpha8.getbbox())),
        "pad": ("Pillow expand", lambda: ImageOps.expand(image, 64)),
        "resize": ("OpenCV area", lambda: cv2.resize(v, (n * 3 // 4, n * 3 // 4), interpolation=cv2.INTER_AREA)),
        "clear-border": ("OpenCV border", lambda: cv2.copyMakeBorder(v[2:-2, 2:-2], 2, 2, 2, 2, cv2.BORDER_CONSTANT)),
        "gradient-map": ("Pillow colorize", lambda: ImageOps.colorize(grey8, "#102030", "#f0f0e0", "#608080")),
        "tint": ("OpenCV multiply", lambda: cv2.multiply(rgb, (0.5, 0.7, 0.9, 0))),
        "add-tint": ("Pillow add", lambda: ImageChops.add(image, image)),
        "glow": ("Pillow blur and screen", glow),
        "recolour": ("OpenCV transform", lambda: cv2.transform(v, np.eye(3, 4, dtype=np.float32))),
        "take-channel": ("OpenCV extract and merge", lambda: cv2.merge([cv2.extractChannel(v, 0)] * 3)),
        "pack": ("OpenCV split and merge", lambda: cv2.merge(cv2.split(v))),
        "normal-from-height": ("OpenCV Scharr", lambda: (cv2.Scharr(a, cv2.CV_32F, 1, 0), cv2.Scharr(a, cv2.CV_32F, 0, 1))),
        "premultiply": ("Pillow RGBa", lambda: image.convert("RGBa")),
        "unmatte": ("OpenCV divide", lambda: cv2.divide(rgb, cv2.merge([a + 0.01] * 3))),
        "spread": ("SciPy distance transform", lambda: ndimage.distance_transform_edt(a <= 0, return_indices=True)),
        "signed-distance": (
            "SciPy distance transform, both sides",
            lambda: (ndimage.distance_transform_edt(solid), ndimage.distance_transform_edt(1 - solid)),
        ),
        "make-tile": ("Pillow offset and composite", tiled),
        "noise": ("Pillow noise", lambda: Image.effect_noise((n, n), 64)),
        "text": ("Pillow text", written),
        "keep-coverage": ("OpenCV mip chain", chain),
    }


def _kept(v: np.ndarray) -> object:
    return keep_coverage(build_chain(v), 0.5)


def main() -> None:
    """Measure."""
    for n, rounds in ((1024, 7), (4096, 1)):
        v = picture(n)
        surface, context, others = Surface(v), Context(read_picture), baselines(v)
        print(f"  {n} × {n}")
        for name, step in STEPS.items():
            if name not in others:
                continue
            more = {"to": "size", "width": n * 3 // 4, "height": n * 3 // 4} if name == "resize" else SETTINGS.get(name, {})
            params = step.params.model_validate({"step": name, **more})

            ours = partial(step.run, surface, params, context)
            if name == "keep-coverage":
                ours = partial(_kept, v)
            mine, theirs = medians(rounds, ours, others[name][1])
            line(f"`{name}`, {n}²", mine, others[name][0], theirs, "50 ms" if n == 1024 else "–")
