"""Messages: sentences with values, made where something happens and put into words where they are shown.

A :class:`Message` is a text in English that keeps the template and the values it was made from. The core makes them
without knowing any language; :func:`mivex.core.base.languages.tr` looks the template up and puts the values in. Names
that somebody gave are values and stay as they are; words of Mivex's own that are values are messages themselves
(:func:`term`), so that they are looked up too.
"""

from collections.abc import Iterable
from typing import Any, Self


class Message(str):
    """A text in English that remembers its template and its values.

    Parameters
    ----------
    template : str
        The text with holes as :meth:`str.format` has them: ``"{name} holds {count} frames"``. Without values it is
        taken as it stands, braces and all.
    **values
        What the holes stand for. A text that is no message (a name) is shown as it is in every language; a message is put
        into words; a number is written as the language writes numbers, with the hole's own format.

    Examples
    --------
    >>> Message("“{name}” holds {count} frames.", name="Sparks", count=16)
    '“Sparks” holds 16 frames.'
    """

    __slots__ = ("template", "values")
    template: str
    values: dict[str, Any]

    def __new__(cls, template: str, /, **values: Any) -> Self:  # noqa: D102
        made = super().__new__(cls, template.format(**values) if values else template)
        made.template, made.values = template, values
        return made

    def __str__(self) -> str:
        # ``str(error)`` asks here: the sentence of an error keeps its template.
        return self

    def __reduce__(self) -> tuple[Any, ...]:
        return _made, (self.template, self.values)

    def __add__(self, other: str) -> "Message":
        return Message("{first}{second}", first=self, second=term(other))

    def __radd__(self, other: str) -> "Message":
        return Message("{first}{second}", first=term(other), second=self)


def _made(template: str, values: dict[str, Any]) -> Message:
    return Message(template, **values)


class InSentence(Message):
    """A label within a sentence: without its capital in English, as the language has it elsewhere."""

    __slots__ = ()

    def __new__(cls, label: str, /) -> Self:  # noqa: D102
        made = str.__new__(cls, label.lower())
        of_values = isinstance(label, Message) and label.values
        made.template, made.values = ("{label}", {"label": label}) if of_values else (str.__str__(label), {})
        return made

    def __reduce__(self) -> tuple[Any, ...]:
        return InSentence, (self.values.get("label", self.template),)


def term(value: Any) -> Any:
    """Give a text of Mivex's own, or what an error says, as a message that is looked up; all else stays as it is."""
    value = str(value) if isinstance(value, Exception) else value
    return Message(value) if type(value) is str else value


def joined(separator: str, parts: Iterable[Any]) -> Message:
    """Put texts of Mivex's own one behind the other, as one message.

    Parameters
    ----------
    separator : str
        What stands between two; looked up where it holds words (``" and "``).
    parts : iterable of str
        Texts and messages; plain texts are looked up.
    """
    values = {f"part{k}": term(p) for k, p in enumerate(parts)}
    between = "{between}" if any(c.isalpha() for c in separator) else separator
    return Message(between.join(f"{{{k}}}" for k in values), **values, between=term(separator))


def named(separator: str, names: Iterable[str]) -> Message:
    """Put names that somebody gave one behind the other; they stay as they are."""
    values = {f"part{k}": n for k, n in enumerate(names)}
    between = "{between}" if any(c.isalpha() for c in separator) else separator
    return Message(between.join(f"{{{k}}}" for k in values), **values, between=term(separator))


def verbatim(name: str) -> Message:
    """Give a name that somebody gave as a message of its own: it is shown as it is, whatever else it may mean."""
    return name if isinstance(name, Message) else Message("{name}", name=name)
