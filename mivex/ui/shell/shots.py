"""Pictures of every main view, made from the demo."""

import math
import tempfile
from collections.abc import Iterator
from functools import partial
from pathlib import Path

import numpy as np
from PySide6.QtGui import QPainter, QPixmap
from PySide6.QtWidgets import QApplication, QWidget

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import InSentence, Message
from mivex.core.card.make import make_card
from mivex.core.intake.compare import draw
from mivex.core.intake.loader import load
from mivex.core.intake.switches import switched
from mivex.core.layers.builds import build_named
from mivex.core.layers.model import MaskPart
from mivex.core.layers.strokes import Tip
from mivex.core.picture.encode import write_picture
from mivex.core.project import layer_edits
from mivex.core.project.receiver import QUESTIONS
from mivex.core.stage.camera import Camera, View
from mivex.demo import PROJECT
from mivex.ui.shell.app import application, wait_until_idle
from mivex.ui.shell.window import Window


def _grab(window: Window, folder: Path, name: str) -> Path:
    wait_until_idle(window)
    QApplication.processEvents()
    return _saved(window.grab(), folder / f"{name}.png")


def _finding(window: Window, check: str) -> int:
    return next(i for i, f in enumerate(window.tray.found) if f.id == check)


def write_shots(folder: Path) -> Iterator[Path]:
    """Draw the main views into a folder, made if missing; yields each picture's path."""
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as e:
        raise MivexError(
            Message(
                "The folder “{folder}” cannot be made: {strerror}.",
                folder=folder,
                strerror=InSentence(e.strerror or str(e)),
            )
        ) from None
    application()
    window = Window()
    window.resize(1280, 800)
    window.show()
    yield _grab(window, folder, "00-empty")
    window.session.open(PROJECT)
    window.stage.canvas.look(window.session.doc.cameras[0])
    s, c = window.session, window.flat.canvas
    wait_until_idle(window)

    s.choose("porthole")
    window.go("source")
    yield _grab(window, folder, "01-source")
    s.choose("mote")
    window.go("alpha")
    c.set_view(backdrop="grey")
    window.flat.compare.setChecked(True)
    yield _grab(window, folder, "02-alpha")
    window.flat.compare.setChecked(False)
    window.tray.list.setCurrentRow(_finding(window, "matte"))
    wait_until_idle(window)
    window.flat.set_layout("far")
    window.arrange("flat")
    yield _grab(window, folder, "05-far-sizes")
    window.arrange("both")
    window.flat.set_layout("single")
    s.choose("bubble")
    window.go("blend")
    c.fit()
    yield _grab(window, folder, "11-blend")
    s.choose("registry")
    window.go("place")
    window.arrange("stage")
    yield _grab(window, folder, "12-stage")
    window.arrange("both")
    yield from _leaving(window, folder)
    yield from _layers(window, folder)
    yield from _order(window, folder)
    yield from _motion(window, folder)
    yield _pictures(window, folder)
    window.end()
    window.hide()


def _leaving(window: Window, folder: Path) -> Iterator[Path]:
    """Channels into files, and what the intake makes of a delivery."""
    s, c = window.session, window.stage.canvas
    s.choose("porthole")
    window.go("deliver")
    yield _grab(window, folder, "13-deliver")
    with tempfile.TemporaryDirectory(prefix="mivex-shots-") as there:
        c.look(s.doc.cameras[0])
        window.deliver(there, True)
        wait_until_idle(window)
        window.outgoing.show_page("intake")
        window.shipping.switch("no-encoding", True)
        window.shipping.try_all()
        wait_until_idle(window)
        yield _grab(window, folder, "14-intake")
    window.shipping.switch("no-encoding", False)
    yield _card(window, folder)


def _card(window: Window, folder: Path) -> Path:
    """What is told of a receiver, the intake here, by a picture of the test card that it drew."""
    with tempfile.TemporaryDirectory(prefix="mivex-shots-") as there:
        make_card(there)
        received = load(there)
        drawn = draw(switched(received, frozenset({"green", "blocks"})), View(received.doc.cameras[0], 1280, 800))
        picture = Path(there) / "screenshot.png"
        write_picture(picture, drawn.astype(np.float32) / np.float32(255), 8)
        window.open_card(str(picture))
        wait_until_idle(window)
    assert window.card is not None
    window.card.table.selectRow(list(QUESTIONS).index("green"))
    whole = _over(window, window.card)
    window.card.done(0)
    return _saved(whole, folder / "27-test-card.png")


def _iced_pane(window: Window) -> None:
    """A pane made from nothing: dirtied, iced, and wiped with the tip."""
    s = window.session
    window.add_canvas("glass")
    key = s.overlay_id
    for name in ("Dirty porthole", "Iced pane"):
        build = build_named(name)
        s.apply("Add", lambda d, b=build: layer_edits.add_build(d, key, b)[0])
    assert s.overlay is not None
    row = s.overlay.layers.rows[-1].id
    s.apply("Add", lambda d: layer_edits.set_parts(d, key, row, lambda parts: (MaskPart(source="painted", value=1.0),)))
    s.choose_row(row, "mask")
    tip = Tip(form="soft", size=0.22, presses="nothing")
    s.set_brush(values={"mask": 0.0}, tip=tip)
    for k in range(3):
        points = tuple((0.12 + 0.05 * i, 0.68 - 0.16 * k - 0.06 * math.sin(i / 4 + k), 1.0) for i in range(16))
        stroke = s.brush.stroke(points, k, mask=True)
        s.apply("Paint", partial(layer_edits.add_stroke, overlay_id=key, row_id=row, stroke=stroke, part=0))
    window.controls.paint_part(0, True)
    window.frame_chosen()


def _layers(window: Window, folder: Path) -> Iterator[Path]:
    """The stack, painting, and a mask found on a mesh."""
    s, c = window.session, window.flat.canvas
    window.arrange("both")
    window.stage.canvas.look(s.doc.cameras[0])
    s.choose("porthole")
    window.flat.set_layout("single")
    c.set_view(show="over", backdrop="checker")
    window.go("layers")
    s.choose_row("salted2", "height")
    yield _grab(window, folder, "15-layers")
    _iced_pane(window)
    yield _grab(window, folder, "16-painting")
    window.controls.set_painting(False)
    while s.undo_label:
        s.undo()
    s.choose("buoy")
    s.choose_row("bare", "mask")
    window.controls.hold_look("mask")
    window.stage.canvas.look(Camera(name="Near", target=(1.12, 0.45, 1.3), yaw=20.0, pitch=14.0, distance=1.9))
    yield _grab(window, folder, "17-mask-from-mesh")
    window.controls.hold_look("")


def _order(window: Window, folder: Path) -> Iterator[Path]:
    """A pixel's ledger, the order map with the adviser, overdraw, the seven blends."""
    s, stage = window.session, window.stage.canvas
    window.arrange("stage")
    s.choose("plume")
    window.go("blend")
    stage.look(Camera(name="Near", target=(4.05, 1.2, 2.6), yaw=40.0, pitch=7.0, distance=3.6))
    window.tray.show_page("ledger")
    wait_until_idle(window)
    stage.pointed.emit(stage.width() * 0.54, stage.height() * 0.44)
    wait_until_idle(window)
    window.tray.ledger.pin.setChecked(True)
    yield _grab(window, folder, "19-ledger")
    window.tray.ledger.pin.setChecked(False)
    window.stage.see_as("order")
    window.tray.show_page("order")
    window.tray.order.ask()
    yield _grab(window, folder, "20-order-map-and-adviser")
    window.tray.show_page("findings")
    window.stage.see_as("colour")
    stage.look(Camera(name="Near", target=(4.05, 1.2, 2.6), yaw=40.0, pitch=7.0, distance=3.6))
    wait_until_idle(window)
    window.what_if()
    wait_until_idle(window)
    assert window.sheet is not None
    whole = _over(window, window.sheet)
    window.sheet.done(0)
    yield _saved(whole, folder / "22-what-if.png")


def _over(window: Window, sheet: QWidget) -> QPixmap:
    """The window with a dialog in its middle."""
    whole, part = window.grab(), sheet.grab()
    painter = QPainter(whole)
    painter.drawPixmap((whole.width() - part.width()) // 2, (whole.height() - part.height()) // 2, part)
    painter.end()
    return whole


def _pictures(window: Window, folder: Path) -> Path:
    """The demo's own pictures as a folder that was dropped."""
    window.look_through(str(PROJECT.parent))
    sheet = window.folder_sheet
    wait_until_idle(window)
    sheet.take_in()
    sheet.table.selectRow(1)
    done = _saved(_over(window, sheet), folder / "21-folder.png")
    sheet.close()
    return done


def _motion(window: Window, folder: Path) -> Iterator[Path]:
    """A sheet, and an effect with its chart and the clock."""
    s, stage = window.session, window.stage.canvas
    window.stage.see_as("colour")
    window.arrange("both")
    s.choose("bubbles_sheet")
    window.flat.set_layout("single")
    window.flat.canvas.set_view(show="over", backdrop="grey")
    window.go("sheet")
    wait_until_idle(window)
    window.flat.canvas.fit()
    stage.look(Camera(name="Near", target=(-0.2, 0.7, 1.1), yaw=8.0, pitch=6.0, distance=2.4))
    yield _grab(window, folder, "23-sheet")
    window.go("motion")
    stage.look(Camera(name="Near", target=(1.9, 0.5, 1.3), yaw=14.0, pitch=8.0, distance=3.2))
    window.desk.choose("stirred", 1)
    window.desk.choose_lane("size")
    window.desk.go_to(2.4)
    yield _grab(window, folder, "24-motion")


def _saved(picture: QPixmap, path: Path) -> Path:
    if not picture.save(str(path)):
        raise MivexError(Message("“{path}” cannot be written.", path=path))
    return path
