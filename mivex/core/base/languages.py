"""Languages: what is said for each message in the language that was chosen; knows no interface.

Texts are written once, in English, where they are meant, as plain text or as a
:class:`~mivex.core.base.messages.Message`. :func:`tr` puts them into words where they are shown, in the window and on the
command line. The files are Qt's own (``.ts``), one a language, in ``core/assets/languages``; ``tools/texts.py`` keeps them
in step with the sources.

One more language is made up, to see that nothing is cut off and nothing forgotten: ``mirrored``, somewhat longer and read
from right to left.
"""

import configparser
import os
import re
import string
from collections.abc import Iterable, Mapping
from contextlib import suppress
from functools import cache
from importlib.resources import files
from numbers import Number
from typing import Any
from xml.etree import ElementTree

from mivex.core.base.messages import Message

FOLDER = files("mivex.core") / "assets" / "languages"
NAMES = {"en": "English", "de": "Deutsch"}
"""Languages that can be chosen, in their own words."""
MADE_UP = "mirrored"
_HOLES = re.compile(r"(\{[^{}]*\})")
_SWAPPED = str.maketrans(".,", ",.")


class Catalogue:
    """What a language says.

    Parameters
    ----------
    texts : mapping of str to str
        What is said for each text and template. A hole of the template may stand anywhere in what is said, more than
        once or not at all; its format is the template's.
    comma : bool
        Whether the language has a comma where English has a decimal point.
    """

    def __init__(self, texts: Mapping[str, str], comma: bool = False) -> None:
        self.texts = dict(texts)
        self.comma = comma

    def said(self, text: str) -> str:
        """Put a text into the language's words; English where it has none for it."""
        if not isinstance(text, Message):
            return self._looked_up(text)
        template = text.template
        if not text.values:
            words = self.texts.get(template)
            return words if words is not None else self._looked_up(str.__str__(text))
        specs = {n: s for _, n, s, _ in string.Formatter().parse(template) if n is not None}
        made = []
        for plain, name, _, conversion in string.Formatter().parse(self.texts.get(template, template)):
            made.append(plain)
            if name is not None:
                value = text.values[name]
                made.append(repr(value) if conversion == "r" else self._value(value, specs.get(name) or ""))
        return "".join(made)

    def _looked_up(self, text: str) -> str:
        # Blanks at the ends are where a text is put, not what it says.
        core = text.strip()
        words = self.texts.get(text)
        if words is None and core and core != text and (words := self.texts.get(core)) is not None:
            words = text.replace(core, words, 1)
        return text if words is None else words

    def _value(self, value: Any, spec: str) -> str:
        if isinstance(value, Message):
            return format(self.said(value), spec)
        made = format(value, spec)
        number = isinstance(value, Number) and not isinstance(value, bool)
        return made.translate(_SWAPPED) if self.comma and number else made


def entries(language: str) -> Iterable[tuple[str, str]]:
    """Texts of a language file and what is said for them; empty: nothing yet."""
    tree = ElementTree.fromstring((FOLDER / f"{language}.ts").read_bytes())
    for row in tree.iter("message"):
        yield row.findtext("source") or "", row.findtext("translation") or ""


def from_the_right(text: str) -> str:
    """A text as though its letters were read from right to left, and somewhat longer."""
    return "".join(
        p if _HOLES.fullmatch(p) or not p else f"\u202e{p}\u202c"
        for p in _HOLES.split(re.sub(r"([A-Za-z]{5,})(?![^{}]*\})", r"\1ë", text))
    )


@cache
def catalogue(language: str) -> Catalogue | None:
    """The texts of a language; None for English, and for what there is no file of."""
    if language == MADE_UP:
        return Catalogue({s: from_the_right(s) for s, _ in entries("de")})
    if language == "en" or not (FOLDER / f"{language}.ts").is_file():
        return None
    return Catalogue({s: t for s, t in entries(language) if t}, comma=language == "de")


_in_use: list[Catalogue | None] = [None]


def use(language: str) -> Catalogue | None:
    """Say everything in a language from now on; None is given back where that is English."""
    _in_use[0] = catalogue(language)
    return _in_use[0]


def chosen() -> str:
    """The language that the command line speaks.

    What ``MIVEX_LANGUAGE`` says, else what was chosen in the window, else the terminal's (``LC_ALL``, ``LC_MESSAGES``,
    ``LANG``). JSON is English in every language.
    """
    if asked := os.environ.get("MIVEX_LANGUAGE"):
        return asked
    settings = configparser.ConfigParser(interpolation=None, strict=False)
    place = os.environ.get("XDG_CONFIG_HOME") or os.path.expanduser("~/.config")
    with suppress(configparser.Error, OSError, UnicodeDecodeError):
        settings.read(os.path.join(place, "mivex", "mivex.conf"), "utf-8")
        if asked := settings.get("General", "language", fallback=""):
            return asked
    said = (os.environ.get(k) for k in ("LC_ALL", "LC_MESSAGES", "LANG"))
    return next((s for s in said if s), "en").split("_")[0].split(".")[0]


def tr(text: str) -> str:
    """Put a text or message into the words of the language in use.

    Parameters
    ----------
    text : str
        A text of Mivex's own or a message. Names that somebody gave are shown without coming here.

    Returns
    -------
    str
        Plain text.
    """
    said = _in_use[0]
    return said.said(text) if said is not None else str.__str__(text)


def figure(written: str) -> str:
    """Put a number as Python writes it into the form of the language in use."""
    said = _in_use[0]
    return written.translate(_SWAPPED) if said is not None and said.comma else written
