"""What tests share. The Qt platform is offscreen unless a test starts a display of its own."""

import ctypes
import gc
import os
import shutil
import sys
from pathlib import Path

import numpy as np
import pytest

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
# Whatever this machine's own language and size are.
os.environ.update(MIVEX_LANGUAGE="en", QT_SCALE_FACTOR="1", MIVEX_KEPT_MB="600")
MOST = 3 << 30
"""Bytes that a test process may hold, at any test's end: several run side by side, on machines with other work."""
_HERE = Path(__file__).parent
sys.path.insert(0, str(_HERE))


@pytest.fixture(autouse=True)
def own_home(tmp_path_factory, monkeypatch):
    """Settings and kept work of a person's own are neither read nor written; the dock's cache may be."""
    home = tmp_path_factory.mktemp("home")
    for key in ("XDG_CONFIG_HOME", "XDG_DATA_HOME", "XDG_STATE_HOME"):
        monkeypatch.setenv(key, str(home))


@pytest.fixture(autouse=True)
def within_memory():
    """No test lets its process grow beyond `MOST`."""
    yield
    held = int(Path("/proc/self/statm").read_text().split()[1]) * os.sysconf("SC_PAGE_SIZE")
    if held > MOST:
        gc.collect()
        ctypes.CDLL(None).malloc_trim(0)
        held = int(Path("/proc/self/statm").read_text().split()[1]) * os.sysconf("SC_PAGE_SIZE")
    assert held <= MOST, f"this process holds {held >> 20} MB"


@pytest.fixture
def rng():
    """Seeded randomness."""
    return np.random.default_rng(20261124)


@pytest.fixture
def small_demo(tmp_path_factory):
    """Writes the demo with only those overlays, and the effects that are made of nothing else; gives its path.

    The whole demo takes 25 s to open; a test that needs no particular overlay takes these few, which take one.
    """
    from mivex.core.project.file import read_project, relocated, write_project
    from mivex.demo import PROJECT

    def write(*ids):
        doc = relocated(read_project(PROJECT), PROJECT.parent, folder := tmp_path_factory.mktemp("demo"))
        keys = ids or ("mote", "bubble", "chevrons", "pane_left", "pane_right", "packed")
        rows = tuple(o for o in doc.overlays if o.id in keys)
        assert len(rows) == len(keys)
        if (baked := PROJECT.with_suffix(".bakes")).is_dir():
            shutil.copytree(baked, folder / "small.bakes")
        effects = tuple(e for e in doc.effects if e.parts and {p.overlay for p in e.parts} <= set(keys))
        write_project(folder / "small.mivex", doc.model_copy(update={"overlays": rows, "effects": effects}))
        return folder / "small.mivex"

    return write


@pytest.fixture
def window(own_home):
    """The real window, shown and at rest."""
    from mivex.ui.shell.app import application, wait_until_idle
    from mivex.ui.shell.window import Window

    application()
    w = Window()
    w.ask_unsaved = lambda: "discard"
    w.resize(1280, 800)
    w.show()
    wait_until_idle(w)
    yield w
    w.close()
    w.deleteLater()
    application().processEvents()


@pytest.fixture
def made(tmp_path, rng):
    """A folder with a picture, an overlay made of layers on it, and an evaluator."""
    from mivex.core.layers.model import ChannelSource, Layer, Stack
    from mivex.core.picture.encode import write_picture
    from mivex.core.project.document import Overlay, Source
    from mivex.core.project.evaluate import Evaluator

    # Colour under a soft disc, colour also where it is clear; multiples of 1/255.
    y, x = np.mgrid[:32, :32] / 31 * 2 - 1
    v = np.rint(rng.random((32, 32, 4)) * 255)
    v[..., 3] = np.rint(np.clip(1.2 - np.hypot(x, y), 0, 1) * 255)
    write_picture(tmp_path / "a.png", (v / 255).astype(np.float32))
    stack = Stack(
        rows=(
            Layer(
                id="wet", name="Wet", cells={"roughness": ChannelSource(value=(0.2,)), "metal": ChannelSource(value=(0.8,))}
            ),
        )
    )
    o = Overlay(id="o", name="Tag", source=Source(path="a.png", meaning="colour"), layers=stack)
    return tmp_path, o, Evaluator(tmp_path)
