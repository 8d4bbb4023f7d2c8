"""Pictures of every main view, made from the demo."""

from collections.abc import Iterator
from pathlib import Path

from PySide6.QtWidgets import QApplication

from mivex.core.errors import MivexError
from mivex.demo import PROJECT
from mivex.ui.app import application, settle
from mivex.ui.window import Window


def _grab(window: Window, folder: Path, name: str) -> Path:
    settle(window)
    QApplication.processEvents()
    path = folder / f"{name}.png"
    if not window.grab().save(str(path)):
        raise MivexError(f"“{path}” cannot be written.")
    return path


def write_shots(folder: Path) -> Iterator[Path]:
    """Draw the main views into a folder, made if missing; yields each picture's path."""
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as e:
        raise MivexError(f"The folder “{folder}” cannot be made: {(e.strerror or str(e)).lower()}.") from None
    application()
    window = Window()
    window.resize(1280, 800)
    window.show()
    yield _grab(window, folder, "0-empty")
    window.session.open(PROJECT)
    window.stage.canvas.look(window.session.doc.cameras[0])
    s, c = window.session, window.flat.canvas
    settle(window)

    s.choose("porthole")
    window.go("source")
    yield _grab(window, folder, "1-source")
    s.choose("mote")
    window.go("alpha")
    c.set_view(backdrop="grey")
    window.flat.compare.setChecked(True)
    yield _grab(window, folder, "2-alpha")
    window.flat.compare.setChecked(False)
    found = next(i for i, f in enumerate(window.tray.found) if f.id == "matte")
    window.tray.list.setCurrentRow(found)
    yield _grab(window, folder, "3-matte-found")
    window.tray.mend()
    window.flat.compare.setChecked(True)
    yield _grab(window, folder, "4-matte-removed")
    window.flat.compare.setChecked(False)
    while s.undo_label:
        s.undo()
    s.choose("screen")
    window.go("edges")
    c.set_view(backdrop="checker")
    window.flat.set_layout("levels")
    yield _grab(window, folder, "5-mip-levels")
    window.flat.set_layout("single")
    s.choose("bubble")
    window.go("blend")
    c.fit()
    yield _grab(window, folder, "6-blend")
    s.choose("registry")
    window.go("place")
    window.arrange("stage")
    yield _grab(window, folder, "7-stage")
    s.choose("registry_border")
    window.arrange("both")
    window.go("deliver")
    window.tray.list.setCurrentRow(next(i for i, f in enumerate(window.tray.found) if f.id == "border"))
    window.go("deliver")
    yield _grab(window, folder, "8-deliver")
    window.end()
    window.hide()
