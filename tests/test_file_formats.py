"""What picture files say of themselves, and what of it is kept."""

import contextlib
import json
import struct

import numpy as np
import pytest
import tifffile
from PIL import Image
from test_disk import VALUES
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_levels, read_picture


def chunks(path):
    data, at, found = path.read_bytes(), 8, []
    while at < len(data):
        size, kind = struct.unpack(">I4s", data[at : at + 8])
        found.append(kind.decode())
        at += 12 + size
    return found


def test_what_files_say_of_themselves(tmp_path):
    """PNG of data names no colour space; mip levels of a TIFF are reduced pictures; nothing carries a date."""
    write_picture(tmp_path / "colour.png", VALUES)
    write_picture(tmp_path / "data.png", VALUES, data=True)
    assert chunks(tmp_path / "colour.png")[:2] == ["IHDR", "sRGB"]
    assert set(chunks(tmp_path / "data.png")) == {"IHDR", "IDAT", "IEND"}
    assert np.array_equal(np.asarray(Image.open(tmp_path / "data.png")), np.rint(VALUES * 255))
    levels = [VALUES[::2, ::2].copy(), VALUES[::4, ::4].copy()]
    write_picture(tmp_path / "l.tif", VALUES, 16, levels=levels)
    with tifffile.TiffFile(tmp_path / "l.tif") as t:
        assert [int(p.subfiletype) for p in t.pages] == [0, 1, 1]
        assert not {"DateTime", "Software"} & {tag.name for p in t.pages for tag in p.tags}
        assert [int(p.extrasamples[0]) for p in t.pages] == [2, 2, 2]
    assert [p.shape for p in read_levels(tmp_path / "l.tif")] == [(40, 36, 4), (20, 18, 4), (10, 9, 4)]
    write_picture(tmp_path / "p.tga", VALUES * VALUES[..., 3:], premultiplied=True)
    assert read_picture(tmp_path / "p.tga").premultiplied and not read_picture(tmp_path / "colour.png").premultiplied


@pytest.mark.parametrize("samples", [None, 0, 1, 2])
def test_tiff_alpha_is_what_its_tag_says(tmp_path, samples):
    """No ExtraSamples and 0 are straight, as 2 is; 1 is multiplied and is divided."""
    codes = np.rint(VALUES * 255).astype(np.uint8)
    tifffile.imwrite(tmp_path / "a.tif", codes, photometric="rgb", extrasamples=[samples or 0], metadata=None)
    if samples is None:
        raw = bytearray((tmp_path / "a.tif").read_bytes())
        with tifffile.TiffFile(tmp_path / "a.tif") as t:
            at = t.pages[0].tags[338].offset
        raw[at : at + 2] = struct.pack("<H", 65000)  # a private tag that nobody reads
        (tmp_path / "a.tif").write_bytes(raw)
        with tifffile.TiffFile(tmp_path / "a.tif") as t:
            assert 338 not in t.pages[0].tags
    p = read_picture(tmp_path / "a.tif")
    meant = VALUES.copy()
    if samples == 1:
        seen = meant[..., 3] > 0
        meant[seen, :3] /= meant[seen, 3:]
    assert p.has_alpha and p.premultiplied == (samples == 1)
    assert np.abs(p.values - meant).max() < 1e-5 * max(1, meant.max())


def tga_head(kind, w, h, bits, flags, mapped=(0, 0, 0), ident=b""):
    return struct.pack("<BBBHHBHHHHBB", len(ident), bool(mapped[1]), kind, *mapped, 0, 0, w, h, bits, flags) + ident


@pytest.mark.parametrize("packed", [False, True])
def test_tga_keeps_the_alpha_of_16_bit_texels_and_of_colour_maps(tmp_path, rng, packed):
    w, h = 9, 7
    texels = rng.integers(0, 65536, (h, w)).astype("<u2")
    texels[3] = texels[3, 0]  # a run

    def body(values, size):
        if not packed:
            return values.tobytes()
        out = b""
        for v in values.reshape(-1):
            out += b"\x80" + v.tobytes()[:size]
        return out

    for flags, flip in ((0x21, 1), (0x01, -1)):
        head = tga_head(10 if packed else 2, w, h, 16, flags, ident=b"nr")
        (tmp_path / "a.tga").write_bytes(head + body(texels[::flip], 2))
        p = read_picture(tmp_path / "a.tga")
        assert p.has_alpha and np.array_equal(p.values[..., 3], (texels >> 15).astype(np.float32))
        assert np.abs(p.values[..., 0] * 31 - ((texels >> 10) & 31)).max() < 0.1
    (tmp_path / "b.tga").write_bytes(tga_head(10 if packed else 2, w, h, 16, 0x20) + body(texels, 2))
    assert not read_picture(tmp_path / "b.tga").has_alpha
    table = rng.integers(0, 256, (16, 4)).astype(np.uint8)
    index = rng.integers(0, 16, (h, w)).astype(np.uint8)
    (tmp_path / "m.tga").write_bytes(
        tga_head(9 if packed else 1, w, h, 8, 0x28, (0, 16, 32)) + table.tobytes() + body(index, 1)
    )
    p = read_picture(tmp_path / "m.tga")
    assert np.array_equal(np.rint(p.values * 255), table[index][..., [2, 1, 0, 3]])
    (tmp_path / "bad.tga").write_bytes(
        tga_head(9 if packed else 1, w, h, 8, 0x28, (0, 4, 32)) + table[:4].tobytes() + body(index, 1)
    )
    with contextlib.suppress(MivexError):  # indices beyond the map: a sentence, or the reader's own clamp
        read_picture(tmp_path / "bad.tga")


def test_tga_that_says_it_is_premultiplied_is_said_to_be_so(tmp_path):
    codes = np.rint(VALUES * 255).astype(np.uint8)
    plain = tga_head(2, 36, 40, 32, 0x28) + codes[..., [2, 1, 0, 3]].tobytes()
    for kind in (3, 4):
        area = struct.pack("<H", 495) + bytes(492) + bytes([kind])
        (tmp_path / "a.tga").write_bytes(plain + area + struct.pack("<II", len(plain), 0) + b"TRUEVISION-XFILE.\0")
        p = read_picture(tmp_path / "a.tga")
        assert p.premultiplied == (kind == 4)
        assert np.array_equal(p.values, VALUES) == (kind == 3)
    told = json.loads(mivex_run("check", "a.tga", "--json", cwd=tmp_path).stdout)
    assert told["pictures"][0]["stored"] == "premultiplied"


def test_deep_openexr_is_refused(tmp_path):
    import OpenImageIO as oiio

    spec = oiio.ImageSpec(4, 4, 5, "float")
    spec.deep = True
    spec.channelnames = ("R", "G", "B", "A", "Z")
    deep = oiio.DeepData()
    deep.init(16, 5, ["float"] * 5, list(spec.channelnames))
    for i in range(16):
        deep.set_samples(i, 2)
    out = oiio.ImageOutput.create(str(tmp_path / "d.exr"))
    assert out.open(str(tmp_path / "d.exr"), spec) and out.write_deep_image(deep)
    out.close()
    with pytest.raises(MivexError, match="deep"):
        read_picture(tmp_path / "d.exr")
