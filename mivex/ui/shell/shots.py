"""Pictures of every main view, made from the demo."""

from collections.abc import Iterator
from functools import partial
from pathlib import Path

from PySide6.QtWidgets import QApplication

from mivex.core.base.errors import MivexError
from mivex.core.prepare import STEPS
from mivex.core.project import edits
from mivex.demo import PROJECT
from mivex.ui.shell.app import application, settle
from mivex.ui.shell.window import Window


def _grab(window: Window, folder: Path, name: str) -> Path:
    settle(window)
    QApplication.processEvents()
    path = folder / f"{name}.png"
    if not window.grab().save(str(path)):
        raise MivexError(f"“{path}” cannot be written.")
    return path


def _finding(window: Window, check: str) -> int:
    return next(i for i, f in enumerate(window.tray.found) if f.id == check)


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
    yield _grab(window, folder, "00-empty")
    window.session.open(PROJECT)
    window.stage.canvas.look(window.session.doc.cameras[0])
    s, c = window.session, window.flat.canvas
    settle(window)

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
    yield _grab(window, folder, "03-matte-found")
    window.tray.mend()
    window.flat.compare.setChecked(True)
    yield _grab(window, folder, "04-matte-removed")
    window.flat.compare.setChecked(False)
    while s.undo_label:
        s.undo()
    window.flat.set_layout("backdrops")
    yield _grab(window, folder, "05-all-backdrops")
    window.flat.set_layout("far")
    window.arrange("flat")
    yield _grab(window, folder, "06-far-sizes")
    window.arrange("both")
    window.tray.list.setCurrentRow(_finding(window, "border"))
    yield _grab(window, folder, "07-border")
    s.choose("porthole")
    window.go("alpha")
    window.flat.set_layout("single")
    c.set_view(backdrop="checker", show="over")
    for word, values in (("fall-off", {"radius": 0.42, "soft": 0.5, "y": 0.06, "how": "subtract", "amount": 0.6}),
                         ("curve", {"points": ((0.0, 0.0), (0.25, 0.1), (0.6, 0.72), (1.0, 1.0))})):
        window.controls.add_step(STEPS[word])
        key, at = s.overlay_id, s.step_index
        s.apply("Set", partial(edits.set_step, overlay_id=key, index=at, **values))
    s.activate(0)
    window.controls.hint.show_step("fall-off")
    yield _grab(window, folder, "08-fall-off-and-curve")
    while s.undo_label:
        s.undo()
    s.choose("salt")
    window.go("colour")
    window.flat.set_layout("tiles")
    yield _grab(window, folder, "09-salt-film-repeats")
    s.choose("emblem")
    window.go("edges")
    window.flat.set_layout("magnify")
    yield _grab(window, folder, "10-signed-distance")
    s.choose("packed")
    window.go("colour")
    window.flat.set_layout("single")
    c.set_view(backdrop="black")
    yield _grab(window, folder, "11-recoloured")
    c.set_view(backdrop="checker")
    s.choose("screen")
    window.go("edges")
    window.flat.set_layout("levels")
    yield _grab(window, folder, "12-mip-levels")
    window.flat.set_layout("single")
    s.choose("bubble")
    window.go("blend")
    c.fit()
    yield _grab(window, folder, "13-blend")
    s.choose("registry")
    window.go("place")
    window.arrange("stage")
    yield _grab(window, folder, "14-stage")
    s.choose("registry_border")
    window.arrange("both")
    window.go("deliver")
    window.tray.list.setCurrentRow(_finding(window, "border"))
    window.go("deliver")
    yield _grab(window, folder, "15-deliver")
    s.choose("porthole")
    window.go("blend")
    window.arrange("stage")
    window.stage.canvas.look(s.doc.cameras[1])
    s.apply("Light", lambda d: edits.set_lighting(d, environment="spots", lamp_turn=-40.0, lamp_height=30.0))
    yield _grab(window, folder, "16-light")
    while s.undo_label:
        s.undo()
    window.end()
    window.hide()
