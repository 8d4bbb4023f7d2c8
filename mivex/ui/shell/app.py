"""Starting the window."""

import gc
import sys
import time

from PySide6.QtCore import QTimer
from PySide6.QtGui import QIcon
from PySide6.QtWidgets import QApplication

from mivex.core.base.messages import Message
from mivex.core.installation.compilation import needed
from mivex.core.installation.desktop_entry import ASSETS
from mivex.ui import languages, theme
from mivex.ui.shell.window import Window
from mivex.ui.shell.window_shape import recall


def application() -> QApplication:
    """The one application object, with the look on."""
    app = QApplication.instance()
    if isinstance(app, QApplication):
        return app
    theme.scale()
    app = QApplication(sys.argv[:1])
    app.setApplicationName("mivex")
    app.setOrganizationName("mivex")
    app.setApplicationDisplayName("")
    app.setDesktopFileName("mivex")
    app.setWindowIcon(QIcon(str(ASSETS / "mivex.svg")))
    theme.apply(app)
    languages.use_language(app, languages.wanted())
    # What was imported stays for good: collections need not look through it again and again.
    gc.freeze()
    return app


def wait_until_idle(window: Window, seconds: float = 300.0) -> None:
    """Let everything that is being computed finish; for pictures and tests.

    Raises
    ------
    TimeoutError
        It has not after ``seconds``; the message names what still works. A busy machine needs many times what a quiet one
        does.
    """
    app = application()
    end = time.monotonic() + seconds
    quiet = 0
    while quiet < 6:
        app.processEvents()
        quiet = quiet + 1 if window.idle else 0
        if time.monotonic() > end:
            names = ", ".join(window.at_work) or "its timers"
            raise TimeoutError(
                Message("The window is still at work after {seconds:.0f} s: {names}.", seconds=seconds, names=names)
            )
        time.sleep(0.01 if quiet else 0.003)


def run(project: str | None = None, *, demo: bool = False) -> int:
    """Open the window and stay until it is closed; returns the exit code."""
    app = application()
    if needed():
        from mivex.ui.shell.first_start import FirstStart

        FirstStart().exec()
    window = Window()
    recall(window, window.proofs, window.tray)
    window.remembers = True
    window.show()
    if demo:
        QTimer.singleShot(0, window.open_demo)
    elif project:
        QTimer.singleShot(0, lambda: window.open(project, offer=True))
    else:
        QTimer.singleShot(0, window.offer_kept)
    code = app.exec()
    # The window is gone; what was being saved at that moment is written to its end.
    for worker in window.session.workers:
        if worker.finishes:
            worker.join(60.0)
    return code
