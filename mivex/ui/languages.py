"""The language of the window: which one is chosen, and what Qt itself has to know of it.

The texts are looked up by :func:`mivex.core.base.languages.tr`, where they are given to a control or drawn.
"""

import os

from PySide6.QtCore import QLibraryInfo, QLocale, QSettings, Qt, QTranslator
from PySide6.QtWidgets import QApplication

from mivex.core.base import languages
from mivex.core.base.languages import MADE_UP, NAMES

__all__ = ["NAMES", "choose", "use_language", "wanted"]


def wanted() -> str:
    """The language to be used: what ``MIVEX_LANGUAGE`` says, else what was chosen, else the desktop's."""
    asked = os.environ.get("MIVEX_LANGUAGE") or str(QSettings("mivex", "mivex").value("language", "") or "")
    return asked or QLocale.system().name().split("_")[0]


def choose(language: str) -> None:
    """Use a language from the next start on."""
    QSettings("mivex", "mivex").setValue("language", language)


def use_language(app: QApplication, language: str) -> bool:
    """Show every text in a language from now on; before the first window is made. False: it stays English."""
    if languages.use(language) is None:
        QLocale.setDefault(QLocale(QLocale.Language.English))
        return False
    if language == MADE_UP:
        app.setLayoutDirection(Qt.LayoutDirection.RightToLeft)
    else:
        QLocale.setDefault(QLocale(language))
    qt = QTranslator(app)
    if qt.load(f"qtbase_{language}", QLibraryInfo.path(QLibraryInfo.LibraryPath.TranslationsPath)):
        app.installTranslator(qt)
    return True
