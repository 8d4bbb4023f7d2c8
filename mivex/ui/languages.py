"""Languages: every text is written once, in English, where it is meant, and looked up where it reaches the screen.

The core knows no interface and hands over whole sentences with figures in them. So a text is looked up as it is, else by
the template that it was made from (``{0} of {1} frames``), else part by part. The files are Qt's own (``.ts``), one a
language, in ``assets/languages``; ``tools/texts.py`` keeps them in step with the sources. In English nothing of this is
at work.

One more language is made up, to see that nothing is cut off and nothing forgotten: ``mirrored``, somewhat longer and read
from right to left.
"""

import os
import re
from collections.abc import Callable, Iterable, Mapping
from functools import lru_cache, wraps
from importlib.resources import files
from typing import Any
from xml.etree import ElementTree

from PySide6.QtCore import QLibraryInfo, QLocale, QSettings, Qt, QTranslator
from PySide6.QtGui import QAction, QFontMetrics, QFontMetricsF, QPainter
from PySide6.QtWidgets import (
    QApplication,
    QCheckBox,
    QColorDialog,
    QComboBox,
    QFileDialog,
    QInputDialog,
    QLabel,
    QLineEdit,
    QListWidgetItem,
    QMenu,
    QMenuBar,
    QMessageBox,
    QPushButton,
    QTableWidgetItem,
    QToolButton,
    QWidget,
)

FOLDER = files("mivex.ui") / "assets" / "languages"
NAMES = {"en": "English", "de": "Deutsch"}
"""Languages that can be chosen, in their own words."""
MADE_UP = "mirrored"
_HOLE = re.compile(r"\{(\d+)\}")
_PARTS = tuple(re.compile(f"({p})") for p in (r"\n", r"(?<=[.!?]) +", r" *· *", r" {3,}", r": ", r"; ", r", "))
_VALUE = r"((?:(?![.!?] [A-Z]).)*?)"
"""A value does not go beyond its sentence."""
_BESIDE = (re.compile(r"([-+\d.,×]+)(\D.*)"), re.compile(r"(.*?)( [\d.]+)"))
"""Figures before and behind their unit."""
_TAGS = re.compile(r"(<[a-z/][^<>]*>)")


Template = tuple[str, re.Pattern[str], list[int], str, int, frozenset[int]]
OWN_WORDS = ("With before “{0}”",)
"""Templates that name a step in quotation marks."""
FEW = 9
"""Letters of its own up to which a template says little: ``{0} of {1}``."""


class Verbatim(str):
    """A name that somebody gave: it is shown as it is, whatever else it may mean."""


class Catalogue:
    """Texts of a language.

    Parameters
    ----------
    texts : mapping of str to str
        What is said for each text; ``{0}``, ``{1}`` … stand for values, in both in any order.
    """

    def __init__(self, texts: Mapping[str, str]) -> None:
        # What is added behind a dot is looked up without it.
        texts = {k.removeprefix(" · "): v.removeprefix(" · ") for k, v in texts.items()}
        self.exact = {k: v for k, v in texts.items() if not _HOLE.search(k)}
        for mark in ("   (", ": "):
            # Hints end in their key and are names without it; heads stand before what the window adds.
            self.exact |= {
                k.split(mark)[0]: v.split(mark)[0]
                for k, v in self.exact.items()
                if k.split(mark)[0] not in self.exact and (mark != ": " or k.endswith(mark))
            }
        rows: list[Template] = []
        for source, target in texts.items():
            if _HOLE.search(source):
                pieces = _HOLE.split(source)
                plain, numbers = pieces[::2], [int(n) for n in pieces[1::2]]
                pattern = re.compile(_VALUE.join(map(re.escape, plain)), re.DOTALL)
                # What stands between quotation marks is a name that somebody gave; but for steps, which are ours.
                named = frozenset(
                    n
                    for k, n in enumerate(numbers)
                    if plain[k].endswith("“") and plain[k + 1].startswith("”") and source not in OWN_WORDS
                )
                rows.append((max(plain, key=len), pattern, numbers, target, sum(map(len, plain)), named))
        # Those with most words of their own come first: they leave least to chance. Those with few come last of all.
        rows.sort(key=lambda r: -r[4])
        self.strong, self.weak = [r for r in rows if r[4] > FEW], [r for r in rows if r[4] <= FEW]
        self.said: Callable[[str], str] = lru_cache(20000)(self._said)

    def _said(self, text: str, depth: int = 0) -> str:
        if (found := self.exact.get(text)) is not None:
            return found
        core = text.strip()
        if core != text:
            at = text.find(core) if core else 0
            return text[:at] + self._said(core, depth) + text[at + len(core) :] if core else text
        if not re.search(r"[A-Za-z]{2}", core) or depth > 3:
            return text
        if _TAGS.search(text):
            return "".join(p if _TAGS.fullmatch(p) else self._said(p, depth + 1) for p in _TAGS.split(text))
        if (made := self._from(self.strong, text, depth)) is not None:
            return made
        if (made := self._in_parts(_PARTS[:2], text, depth)) is not None:
            return made  # sentences first: a figure at the head of one says nothing of the next
        for pattern in _BESIDE:
            if (m := pattern.fullmatch(text)) is not None:
                made = "".join(self._said(part, depth + 1) for part in m.groups())
                if made != text:
                    return made
        if (made := self._in_parts(_PARTS[2:], text, depth)) is not None:
            return made
        # Within a sentence a word may begin small.
        found = self.exact.get(text[0].upper() + text[1:])
        if found is None and text.endswith("."):
            found = self.exact.get(text[:-1]) and self.exact[text[:-1]] + "."
        return found or self._from(self.weak, text, depth) or text

    def _in_parts(self, patterns: Iterable[re.Pattern[str]], text: str, depth: int) -> str | None:
        """A text cut in two at the first of some marks, each said by itself; None where it holds none of them."""
        for pattern in patterns:
            parts = pattern.split(text, maxsplit=1)
            if len(parts) > 1:
                return self._said(parts[0], depth + 1) + parts[1] + self._said(parts[2], depth)
        return None

    def _from(self, rows: list[Template], text: str, depth: int) -> str | None:
        """A text by the template that it was made from; by a weak one only with values that are known or figures."""
        for longest, pattern, numbers, target, own, named in rows:
            if longest in text and (m := pattern.fullmatch(text)) is not None:
                values = list(zip(numbers, m.groups(), strict=True))
                said = {n: v if n in named else self._said(v, depth + 1) for n, v in values}
                if own > FEW or all(n in named or said[n] != v or re.search(r"\d", v) for n, v in values):
                    return _HOLE.sub(lambda h, v=said: v.get(int(h[1]), ""), target)  # type: ignore[misc]
        return None


def sources() -> list[str]:
    """Every text of the sources, as the language files list them."""
    return [s for s, _ in entries("de")]


def entries(language: str) -> Iterable[tuple[str, str]]:
    """Texts of a language file and what is said for them; empty: nothing yet."""
    tree = ElementTree.fromstring((FOLDER / f"{language}.ts").read_bytes())
    for row in tree.iter("message"):
        yield row.findtext("source") or "", row.findtext("translation") or ""


def from_the_right(text: str) -> str:
    """A text as though its letters were read from right to left, and somewhat longer."""
    return "".join(
        p if _HOLE.fullmatch(p) or not p else f"\u202e{p}\u202c"
        for p in re.split(r"(\{\d+\})", re.sub(r"([A-Za-z]{5,})", r"\1ë", text))
    )


def catalogue(language: str) -> Catalogue | None:
    """The texts of a language; None for English, and for what there is no file of."""
    if language == MADE_UP:
        return Catalogue({s: from_the_right(s) for s in sources()})
    if language == "en" or not (FOLDER / f"{language}.ts").is_file():
        return None
    return Catalogue({s: t for s, t in entries(language) if t})


def wanted() -> str:
    """The language to be used: what ``MIVEX_LANGUAGE`` says, else what was chosen, else the desktop's."""
    asked = os.environ.get("MIVEX_LANGUAGE") or str(QSettings("mivex", "mivex").value("language", "") or "")
    return asked or QLocale.system().name().split("_")[0]


def choose(language: str) -> None:
    """Use a language from the next start on."""
    QSettings("mivex", "mivex").setValue("language", language)


# Where texts reach Qt: class, method, and which of its arguments are texts (none named: all that are).
_PLACES: tuple[tuple[type, str, tuple[int, ...]], ...] = (
    *((c, "__init__", ()) for c in (QLabel, QPushButton, QCheckBox, QAction, QMenu, QListWidgetItem, QTableWidgetItem)),
    *(
        (c, "setText", ())
        for c in (QLabel, QPushButton, QCheckBox, QToolButton, QAction, QMessageBox, QListWidgetItem, QTableWidgetItem)
    ),
    *((QWidget, m, ()) for m in ("setToolTip", "setAccessibleName", "setAccessibleDescription", "setWindowTitle")),
    (QMenu, "addAction", ()),
    (QMenu, "addMenu", ()),
    (QMenuBar, "addMenu", ()),
    (QMenu, "setTitle", ()),
    (QMessageBox, "addButton", ()),
    (QAction, "setToolTip", ()),
    (QListWidgetItem, "setToolTip", ()),
    (QTableWidgetItem, "setToolTip", ()),
    (QComboBox, "addItem", (0,)),
    (QComboBox, "addItems", ()),
    (QComboBox, "setItemText", (1,)),
    (QComboBox, "setItemData", (1,)),
    (QComboBox, "setPlaceholderText", ()),
    (QLineEdit, "setPlaceholderText", ()),
    (QPainter, "drawText", ()),
    *((c, m, ()) for c in (QFontMetrics, QFontMetricsF) for m in ("horizontalAdvance", "elidedText", "boundingRect")),
)
_ASKING: tuple[tuple[type, str, tuple[int, ...]], ...] = (
    (QInputDialog, "getText", (1, 2)),
    (QInputDialog, "getDouble", (1, 2)),
    (QColorDialog, "getColor", (2,)),
    *((QFileDialog, m, (1, 3)) for m in ("getOpenFileName", "getOpenFileNames", "getSaveFileName")),
    (QFileDialog, "getExistingDirectory", (1,)),
)


def _words(a: Any, said: Callable[[str], str]) -> Any:
    return said(a) if type(a) is str else [_words(x, said) for x in a] if type(a) is list else a


def _told(args: Iterable[Any], said: Callable[[str], str], which: tuple[int, ...]) -> list[Any]:
    return [_words(a, said) if not which or k in which else a for k, a in enumerate(args)]


def _through(call: Callable[..., Any], said: Callable[[str], str], which: tuple[int, ...]) -> Callable[..., Any]:
    @wraps(call)
    def through(*args: Any, **named: Any) -> Any:
        return call(*_told(args, said, which), **named)

    return through


def _method(call: Callable[..., Any], said: Callable[[str], str], which: tuple[int, ...]) -> Callable[..., Any]:
    @wraps(call)
    def method(self: Any, *args: Any, **named: Any) -> Any:
        return call(self, *_told(args, said, which), **named)

    return method


def _from_the_left(begin: Callable[..., Any]) -> Callable[..., Any]:
    """Charts and proofs are drawn from left to right in every language, as pictures are."""

    @wraps(begin)
    def method(self: QPainter, *args: Any) -> None:
        begin(self, *args)
        self.setLayoutDirection(Qt.LayoutDirection.LeftToRight)

    return method


def install_translator(app: QApplication, language: str) -> bool:
    """Show every text in a language from now on; before the first window is made. False: it stays English."""
    found = catalogue(language)
    if found is None:
        return False
    for kind, name, which in _PLACES:
        setattr(kind, name, _method(getattr(kind, name), found.said, which))
    for kind, name, which in _ASKING:
        setattr(kind, name, staticmethod(_through(getattr(kind, name), found.said, which)))
    if language == MADE_UP:
        app.setLayoutDirection(Qt.LayoutDirection.RightToLeft)
        QPainter.__init__ = _from_the_left(QPainter.__init__)  # type: ignore[method-assign]
    qt = QTranslator(app)
    if qt.load(f"qtbase_{language}", QLibraryInfo.path(QLibraryInfo.LibraryPath.TranslationsPath)):
        app.installTranslator(qt)
    return True
