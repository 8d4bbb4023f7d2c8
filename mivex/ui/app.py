"""Starting the window."""

import sys
import time
from pathlib import Path

from PySide6.QtCore import QTimer
from PySide6.QtWidgets import QApplication, QMessageBox

from mivex.ui import theme
from mivex.ui.window import Window


def application() -> QApplication:
    """The one application object, with the look on."""
    app = QApplication.instance()
    if isinstance(app, QApplication):
        return app
    app = QApplication(sys.argv[:1])
    app.setApplicationName("mivex")
    app.setOrganizationName("mivex")
    app.setApplicationDisplayName("")
    theme.apply(app)
    return app


def settle(window: Window, seconds: float = 30.0) -> bool:
    """Let everything that is being computed finish; for pictures and tests."""
    app = application()
    end = time.monotonic() + seconds
    quiet = 0
    while time.monotonic() < end and quiet < 6:
        app.processEvents()
        quiet = quiet + 1 if window.idle else 0
        time.sleep(0.01)
    return quiet >= 6


def _offer_recovery(window: Window) -> None:
    kept = window.recovery.found()
    if kept is None:
        return
    doc, _folder, path = kept
    name = Path(path).name if path else "an untitled project"
    box = QMessageBox(window)
    box.setText(f"Mivex did not close properly. Unsaved work on {name} was kept aside.")
    take = box.addButton("Restore it", QMessageBox.ButtonRole.AcceptRole)
    box.addButton("Throw it away", QMessageBox.ButtonRole.DestructiveRole)
    box.exec()
    if box.clickedButton() is take:
        window.session.restore(doc, Path(path) if path else None)
    else:
        window.recovery.forget()


def run(project: str | None = None, *, demo: bool = False) -> int:
    """Open the window and stay until it is closed; returns the exit code."""
    app = application()
    window = Window()
    window.show()
    if demo:
        QTimer.singleShot(0, window.open_demo)
    elif project:
        QTimer.singleShot(0, lambda: window.open(project))
    else:
        QTimer.singleShot(0, lambda: _offer_recovery(window))
    return app.exec()
