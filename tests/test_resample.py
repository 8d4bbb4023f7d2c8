"""One way to make a picture smaller or to lay it: against double precision, in every place that does so."""

import json

import cv2
import numpy as np
import pytest
from test_project import mivex_run

from mivex.core.layers.laying import colour_laid, laid
from mivex.core.layers.model import ChannelSource, Layer, Stack, UvTransform
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.prepare.resample import picture_resized
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.sheet.build import Layout, build


def light(v):
    v = np.asarray(v, float)
    return np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4)


def display(v):
    return np.where(v <= 0.0031308, v * 12.92, 1.055 * np.maximum(v, 0) ** (1 / 2.4) - 0.055)


def disc(h, w, rgb=(1.0, 0.0, 0.0)):
    """A shape with a soft rim on clear black, as most files hold it."""
    y, x = np.mgrid[:h, :w] + 0.5
    a = np.clip((0.4 * min(h, w) - np.hypot(x - w / 2, y - h / 2)) / 2 + 0.5, 0, 1)
    return np.dstack([np.where(a[..., None] > 0, np.array(rgb), 0.0), a]).astype(np.float32)


def shrunk(values, k):
    """Averaged over blocks, in double precision: colour times alpha as light, divided again."""
    a = values[..., 3:].astype(float)
    sums = np.concatenate([light(values[..., :3]) * a, a], axis=2)
    h, w = values.shape[0] // k, values.shape[1] // k
    m = sums[: h * k, : w * k].reshape(h, k, w, k, 4).mean((1, 3))
    rgb = np.divide(m[..., :3], m[..., 3:], out=np.zeros_like(m[..., :3]), where=m[..., 3:] > 1e-6)
    return np.concatenate([display(rgb), m[..., 3:]], axis=2)


@pytest.mark.parametrize(("h", "w", "k"), [(64, 64, 2), (96, 144, 3), (60, 240, 4), (128, 32, 8)])
def test_a_smaller_picture_has_no_rim_of_what_is_clear(h, w, k):
    v = disc(h, w)
    got, want = picture_resized(v, w // k, h // k, data=False), shrunk(v, k)
    seen = want[..., 3] > 0.004
    assert np.abs(got[..., 3] - want[..., 3]).max() < 1e-5 and np.abs(got - want)[seen].max() < 2e-3
    assert got[seen][:, 0].min() > 0.998
    # A checker of black and white is as bright as its parts; data are the mean of their numbers.
    checker = np.dstack([np.repeat(((np.indices((h, w)).sum(0) % 2)[..., None]), 3, axis=2), np.ones((h, w))]).astype(
        np.float32
    )
    if k % 2 == 0:
        assert np.abs(picture_resized(checker, w // k, h // k, data=False)[..., :3] - 0.7354).max() < 1e-3
        assert np.abs(picture_resized(checker, w // k, h // k, data=True)[..., :3] - 0.5).max() < 1e-6
    # Brighter than white stays so.
    bright = v * np.float32([3, 1, 1, 1])
    assert picture_resized(bright, w // k, h // k, data=False)[..., 0].max() > 2.9


@pytest.mark.parametrize("how", [(16, 16, 0), (40, 40, 30), (3, 40, 0), (40, 2, 75), (0.5, 0.5, 20)])
def test_what_is_laid_small_neither_shimmers_nor_darkens(how):
    """A tile of fine stripes, laid so often that they vanish, is one even tone; laid large it stays sharp."""
    stripes = np.zeros((64, 64, 4), np.float32)
    stripes[:, ::2, :3], stripes[..., 3] = 1, 1
    mono = np.ascontiguousarray(stripes[..., 0])
    placed = UvTransform(across=how[0], down=how[1], turn=how[2])
    rgb, alpha = colour_laid(stripes, placed, (120, 180))
    plain = laid(mono, placed, (120, 180))
    assert np.abs(alpha - 1).max() < 1e-5
    assert np.abs(rgb[..., 0] - plain).max() < 1e-5  # black and white are the same as light and as numbers
    c = abs(np.cos(np.radians(how[2])))
    step = how[0] * 64 / 180 * c  # texels across that one pixel goes over
    if step > 4:
        assert plain.std() < 0.06 and abs(plain.mean() - 0.5) < 0.02
    elif step < 0.5:
        assert plain.std() > 0.25
    # Against very many samples of the same map: a picture of blobs, with clear parts of another colour.
    rng = np.random.default_rng(3)
    noise = np.tile(rng.random((64, 64, 4)).astype(np.float32), (3, 3, 1))
    blobs = np.clip((cv2.GaussianBlur(noise, (0, 0), 3)[64:128, 64:128] - 0.5) * 6 + 0.5, 0, 1)
    rgb, alpha = colour_laid(blobs, placed, (60, 90))
    fine, k = (60 * 8, 90 * 8), 8
    many, more = colour_laid(blobs, placed, fine)
    sums = (many * more[..., None]).reshape(60, k, 90, k, 3).mean((1, 3))
    cover = more.reshape(60, k, 90, k).mean((1, 3))
    assert np.abs(alpha - cover).mean() < 0.04 and np.abs(rgb * alpha[..., None] - sums).mean() < 0.04


def test_proxies_layers_and_files_are_made_the_same_way(tmp_path):
    write_picture(tmp_path / "disc.png", disc(256, 384), 8)
    write_picture(tmp_path / "large.png", disc(1024, 2048), 8)
    o = Overlay(id="o", name="Disc", source=Source(path="disc.png"))
    evaluator = Evaluator(tmp_path)
    proxy = evaluator.texture(Overlay(source=Source(path="large.png"), name="L"), proxy=True)
    k = 2048 // proxy.values.shape[1]
    rim = proxy.values[proxy.alpha > 0.02]
    assert k >= 2 and rim[:, 0].min() > 0.99 and rim[:, 1:3].max() < 0.02
    assert np.abs(proxy.alpha - shrunk(disc(1024, 2048), k)[..., 3]).max() < 0.01
    canvas = Overlay(
        id="c",
        name="Canvas",
        source=Source(canvas=(96, 64), meaning="colour"),
        layers=Stack(
            rows=(
                Layer(
                    id="p",
                    cells={
                        "colour": ChannelSource(source="picture", path="disc.png"),
                        "opacity": ChannelSource(source="picture", path="disc.png", channel="alpha"),
                    },
                ),
            )
        ),
    )
    made = evaluator.texture(canvas, Document(overlays=(o, canvas))).values
    want = shrunk(disc(256, 384), 4)
    seen = want[..., 3] > 0.02
    assert np.abs(made[..., 3] - want[..., 3]).max() < 0.01
    assert made[seen][:, 0].min() > 0.99 and made[seen][:, 1:3].max() < 0.02


def test_a_sheet_keeps_depth_borders_places_and_directions(tmp_path):
    rng = np.random.default_rng(2)
    # Sixteen bits stay sixteen; eight in a file that holds no more are announced.
    deep = np.round(rng.random((20, 30, 4)) * 65535).astype(np.float32) / 65535
    for name in ("a", "b"):
        write_picture(tmp_path / f"{name}.png", deep, 16)
    done = mivex_run("sheet", "build", str(tmp_path / "s.png"), str(tmp_path / "a.png"), str(tmp_path / "b.png"), "--json")
    assert json.loads(done.stdout)["bits"] == 16
    sheet = read_picture(tmp_path / "s.png")
    assert sheet.bits == 16 and np.abs(sheet.values[:20, :30] - deep).max() < 1e-6
    done = mivex_run("sheet", "build", str(tmp_path / "s.tga"), str(tmp_path / "a.png"), "--columns", "1")
    assert done.returncode == 0 and "16 bits a channel, the sheet 8" in done.stdout
    # Enlarged, what reaches its border still does.
    solid = np.ones((8, 8, 4), np.float32)
    for cell in ((16, 16), (24, 24), (12, 12)):
        large, _ = build([solid], Layout(cell=cell))
        assert large.min() == 1
    # As large as it is: to the bit, in a cell of odd and of even sides.
    for cell in ((30, 21), (31, 20), (33, 27), (40, 40)):
        placed, _ = build([deep], Layout(cell=cell, fit="none"))
        assert (cv2.matchTemplate(placed[..., 0], deep[..., 0], cv2.TM_SQDIFF).min() if cell[0] >= 30 else 0) < 1e-5
        assert {tuple(t) for t in deep.reshape(-1, 4)} <= {tuple(t) for t in placed.reshape(-1, 4)} | (
            set() if cell[0] >= 30 and cell[1] >= 20 else {tuple(t) for t in deep.reshape(-1, 4)}
        )
    # Directions stay of length one, and are no colours.
    y, x = np.mgrid[:32, :32] / 16 - 1
    n = np.stack([x, y, np.full_like(x, 0.8)], axis=2)
    n /= np.linalg.norm(n, axis=2, keepdims=True)
    normals = np.dstack([n * 0.5 + 0.5, np.ones((32, 32))]).astype(np.float32)
    small, _ = build([normals], Layout(cell=(8, 8)), meaning="normal")
    back = small[..., :3] * 2 - 1
    assert np.abs(np.linalg.norm(back, axis=2) - 1).max() < 1e-5
    want = n.reshape(8, 4, 8, 4, 3).mean((1, 3))
    assert np.abs(back - want / np.linalg.norm(want, axis=2, keepdims=True)).max() < 1e-4
