"""The window's shape: kept when it closes, taken by the next one."""

from PySide6.QtCore import QByteArray, QSettings
from PySide6.QtWidgets import QMainWindow, QSplitter

from mivex.ui.shell.tray import Tray


def recall(window: QMainWindow, proofs: QSplitter, tray: Tray) -> None:
    """Take the size, the share of the two proofs and the tray's fold that the last window had."""
    kept = QSettings("mivex", "mivex")
    shape, split = kept.value("window/shape"), kept.value("window/proofs")
    if isinstance(shape, QByteArray):
        window.restoreGeometry(shape)
    if isinstance(split, QByteArray):
        proofs.restoreState(split)
    tray.set_height(int(str(kept.value("window/tray", tray.tall))))
    if str(kept.value("window/folded", "false")).lower() == "true":
        tray.fold(on=True)


def remember(window: QMainWindow, proofs: QSplitter, tray: Tray) -> None:
    """Keep the window's shape for the next one."""
    kept = QSettings("mivex", "mivex")
    kept.setValue("window/shape", window.saveGeometry())
    kept.setValue("window/proofs", proofs.saveState())
    kept.setValue("window/folded", tray.folded)
    kept.setValue("window/tray", tray.tall)
    kept.sync()
