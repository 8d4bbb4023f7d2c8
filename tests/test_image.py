"""Files, colour transfer, mip chains and sampling against independent figures."""

import os
import struct

import cv2
import numpy as np
import pytest
from PIL import Image
from sprites import srgb_decode, srgb_encode

from mivex.core.base import store
from mivex.core.base.errors import MivexError
from mivex.core.picture import files
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.picture import Picture, guess_meaning, quantise
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import SCREEN, luminance, to_display, to_linear
from mivex.core.pixels.mips import build_chain, halve
from mivex.core.pixels.sampling import sample


def codes(rng, bits, shape=(13, 21, 4)):
    """Random texels with hidden colour under many clear ones."""
    top = (1 << bits) - 1
    v = rng.integers(0, top + 1, shape).astype(np.float32)
    v[:6, :, 3], v[6, :, 3] = 0, 1
    return v / np.float32(top)


@pytest.mark.parametrize(("suffix", "bits"), [("png", 8), ("png", 16), ("tga", 8), ("tif", 8), ("tif", 16)])
def test_what_is_written_reads_back_bit_for_bit_with_hidden_colour(tmp_path, rng, suffix, bits):
    values = codes(rng, bits)
    path = tmp_path / f"a.{suffix}"
    write_picture(path, values, bits)
    back = read_picture(path)
    assert np.array_equal(back.values, values)
    assert (back.bits, back.channels, back.has_alpha) == (bits, 4, True)
    first = path.read_bytes()
    write_picture(path, back.values, bits)
    assert np.array_equal(read_picture(path).values, values)
    assert suffix == "tif" or path.read_bytes() == first  # TIFF stores the hour


def tga(values, *, rle, top_down, channels):
    """A TGA file by hand (Truevision TGA 2.0, types 2 and 10)."""
    v = (values[..., [2, 1, 0, 3][:channels] if channels == 4 else [2, 1, 0]] * 255 + 0.5).astype(np.uint8)
    h, w = v.shape[:2]
    head = struct.pack(
        "<BBBHHBHHHHBB",
        0,
        0,
        10 if rle else 2,
        0,
        0,
        0,
        0,
        0,
        w,
        h,
        channels * 8,
        (0x20 if top_down else 0) | (8 if channels == 4 else 0),
    )
    rows = v if top_down else v[::-1]
    if not rle:
        return head + rows.tobytes()
    body = bytearray()
    for row in rows:
        for i in range(0, w, 7):  # raw packets of up to 7, then one run packet would repeat texels: mix both
            part = row[i : i + 7]
            if (part == part[0]).all():
                body += bytes([0x80 | (len(part) - 1)]) + part[0].tobytes()
            else:
                body += bytes([len(part) - 1]) + part.tobytes()
    return head + bytes(body)


@pytest.mark.parametrize("channels", [3, 4])
@pytest.mark.parametrize("rle", [False, True])
@pytest.mark.parametrize("top_down", [False, True])
def test_every_kind_of_tga(tmp_path, rng, channels, rle, top_down):
    values = codes(rng, 8)
    values[3:5] = values[3, 0]
    path = tmp_path / "a.tga"
    path.write_bytes(tga(values, rle=rle, top_down=top_down, channels=channels))
    back = read_picture(path)
    assert back.has_alpha == (channels == 4)
    assert np.array_equal(back.values[..., :3], values[..., :3])
    assert np.array_equal(back.values[..., 3], values[..., 3] if channels == 4 else np.ones((13, 21)))


def test_webp_jpeg_grey_and_openexr(tmp_path, rng):
    values = codes(rng, 8)
    whole = (values * 255 + 0.5).astype(np.uint8)
    Image.fromarray(whole, "RGBA").save(tmp_path / "a.webp", lossless=True, exact=True)
    assert np.array_equal(read_picture(tmp_path / "a.webp").values, values)
    Image.fromarray(whole[..., :3], "RGB").save(tmp_path / "a.jpg", quality=95)
    jpeg = read_picture(tmp_path / "a.jpg")
    assert not jpeg.has_alpha and (jpeg.values[..., 3] == 1).all()
    Image.fromarray(whole[..., :2], "LA").save(tmp_path / "la.png")
    grey = read_picture(tmp_path / "la.png")
    assert np.array_equal(grey.values[..., 2], values[..., 0]) and np.array_equal(grey.values[..., 3], values[..., 1])
    # OpenEXR is associated by its standard: it is divided where alpha is above zero, kept where it is not.
    straight = codes(rng, 16)
    stored = straight.copy()
    seen = stored[..., 3] > 0
    stored[seen, :3] *= stored[seen, 3:]
    write_picture(tmp_path / "a.exr", stored, 32)
    exr = read_picture(tmp_path / "a.exr")
    assert exr.linear and np.array_equal(exr.values[~seen], straight[~seen])
    assert np.allclose(exr.values, straight, atol=2e-6)


def test_bad_files_are_refused_in_one_sentence_and_writing_leaves_nothing_behind(tmp_path, rng, monkeypatch):
    good = tmp_path / "good.png"
    write_picture(good, codes(rng, 8, (64, 64, 4)))
    whole = good.read_bytes()
    bad = {
        "empty.png": b"",
        "cut.png": whole[: len(whole) // 2],
        "text.png": b"hello",
        "what.xyz": whole,
        "half.tga": tga(codes(rng, 8), rle=False, top_down=True, channels=4)[:100],
    }
    for name, content in bad.items():
        (tmp_path / name).write_bytes(content)
        with pytest.raises(MivexError) as e:
            read_picture(tmp_path / name)
        assert name in str(e.value) and str(e.value).count(".") <= 3 and "\n" not in str(e.value)
    for gone in (tmp_path / "gone.png", tmp_path):
        with pytest.raises(MivexError):
            read_picture(gone)
    monkeypatch.setattr(files, "MAX_TEXELS", 63 * 64)
    with pytest.raises(MivexError, match="64 × 64"):
        read_picture(good)
    with pytest.raises(MivexError, match="cannot be written"):
        write_picture(tmp_path / "no" / "a.png", codes(rng, 8))

    # A disk that fills up while writing: the old file stays, and nothing half written beside it.
    def full(_path):
        raise OSError(28, "No space left on device")

    monkeypatch.setattr(store.os, "fsync", full)
    before = sorted(os.listdir(tmp_path))
    with pytest.raises(MivexError, match="no space left"):
        write_picture(good, codes(rng, 8))
    assert good.read_bytes() == whole and sorted(os.listdir(tmp_path)) == before


def test_meaning_is_guessed_from_name_channels_and_content(rng):
    flat = np.full((32, 32, 4), 0.5, np.float32)
    assert guess_meaning(Picture(flat, path="/x/smoke.png"))[0] == "colour"
    assert guess_meaning(Picture(flat, path="/x/hullRoughness.png"))[0] == "data"
    assert guess_meaning(Picture(flat, channels=1, path="/x/smoke.png"))[0] == "data"
    n = rng.normal(0, 0.2, (32, 32, 3))
    n[..., 2] = 1
    n /= np.linalg.norm(n, axis=-1, keepdims=True)
    values = np.dstack([n / 2 + 0.5, np.ones((32, 32))]).astype(np.float32)
    assert guess_meaning(Picture(values, path="/x/plate.png"))[0] == "data"


def test_colour_transfer_and_quantising_agree_with_the_standard():
    v = np.linspace(0, 1, 5001, dtype=np.float32)
    assert np.abs(to_linear(v) - srgb_decode(v)).max() < 2e-6
    assert np.abs(to_display(v) - srgb_encode(v)).max() < 2e-6
    assert to_linear(np.float32([-0.5]))[0] == -to_linear(np.float32([0.5]))[0]
    assert SCREEN[round(0.21404114 * 65535)] == 128 or SCREEN[round(0.21404114 * 65535)] == 127
    assert luminance(np.float32([[1, 0, 0], [0, 1, 0], [0, 0, 1]])).tolist() == pytest.approx([0.2126, 0.7152, 0.0722])
    for bits in (8, 16):
        once = quantise(v, bits)
        assert np.array_equal(quantise(once, bits), once)
        assert np.abs(once - v).max() <= 0.5 / ((1 << bits) - 1) + 1e-7


@pytest.mark.parametrize("shape", [(16, 16), (13, 21), (1, 8), (7, 1), (2, 3)])
def test_halving_is_exact_area_averaging(rng, shape):
    level = rng.random((*shape, 4)).astype(np.float32)
    h, w = max(1, shape[0] // 2), max(1, shape[1] // 2)
    # Slow twin: lay every texel out over a fine common grid and average.
    fine = np.repeat(np.repeat(level.astype(np.float64), h, 0), w, 1)
    twin = fine.reshape(h, shape[0], w, shape[1], 4).mean(axis=(1, 3))
    assert np.abs(halve(level) - twin).max() < 1e-6
    if shape == (16, 16):
        assert np.abs(halve(level) - cv2.resize(level, (8, 8), interpolation=cv2.INTER_AREA)).max() < 1e-6


def slow_sample(levels, u, v, lod, wrap):
    """One texture fetch spelt out."""

    def fetch(level, x, y):
        h, w = level.shape[:2]
        return level[y % h if wrap else min(max(y, 0), h - 1), x % w if wrap else min(max(x, 0), w - 1)].astype(float)

    def bilinear(level):
        h, w = level.shape[:2]
        x, y = u * w - 0.5, v * h - 0.5
        i, j = int(np.floor(x)), int(np.floor(y))
        fx, fy = x - i, y - j
        return (fetch(level, i, j) * (1 - fx) + fetch(level, i + 1, j) * fx) * (1 - fy) + (
            fetch(level, i, j + 1) * (1 - fx) + fetch(level, i + 1, j + 1) * fx
        ) * fy

    lod = min(max(lod, 0), len(levels) - 1)
    i = min(int(lod), len(levels) - 2)
    return bilinear(levels[i]) * (1 - (lod - i)) + bilinear(levels[i + 1]) * (lod - i)


@pytest.mark.parametrize("wrap", [False, True])
def test_sampler_agrees_with_a_slow_twin_and_with_opencv(rng, wrap):
    chain = build_chain(rng.random((24, 20, 4)).astype(np.float32))
    levels = [chain.level(i) for i in range(chain.levels)]
    u, v, lod = rng.uniform(-0.4, 1.4, 300), rng.uniform(-0.4, 1.4, 300), rng.uniform(-1, 6, 300)
    got = sample(chain, u, v, lod, wrap=wrap)
    want = np.array([slow_sample(levels, *p, wrap) for p in zip(u, v, lod, strict=True)])
    assert np.abs(got - want).max() < 2e-5
    if not wrap:
        x, y = rng.uniform(0, 19, (40, 1)).astype(np.float32), rng.uniform(0, 23, (40, 1)).astype(np.float32)
        remapped = cv2.remap(levels[0], x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE)
        ours = sample(chain, (x + 0.5) / 20, (y + 0.5) / 24, np.zeros_like(x))
        assert np.abs(ours - remapped).max() < 1 / 32 + 1e-3  # OpenCV keeps 5 bits of the fraction


def test_colour_is_decoded_before_filtering_and_data_is_not():
    v = np.zeros((2, 2, 4), np.float32)
    v[0, :, :3], v[..., 3] = 1, 1
    assert Texture(v).mips.level(1)[0, 0, 0] == pytest.approx(0.5)
    v[..., :3] = 100 / 255
    assert Texture(v).mips.level(1)[0, 0, 0] == pytest.approx(float(srgb_decode(100 / 255)), abs=1e-6)
    assert Texture(v, meaning="data").mips.level(1)[0, 0, 0] == pytest.approx(100 / 255)
