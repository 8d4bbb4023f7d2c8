"""What the command line writes and reads: lines without control characters, JSON for any terminal, whole numbers."""

import json
import re
import sys
from typing import Any

from mivex.core.base.errors import MivexError
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.base.paths import shown

LONGEST = 290
"""Characters of a sentence on standard error; a name of thousands of letters ends in “…”."""
_UNSEEN = re.compile("[\x7f-\x9f\u200b-\u200f\u2028-\u202e\u2060-\u2069\ufeff]|[\ud800-\udfff]")


def say(words: object = "") -> None:
    """Write one line; what a terminal would obey (escapes, line breaks, turns of direction) is shown as “�”."""
    print(_plain(tr(words) if isinstance(words, str) else str(words)), flush=False)


def say_json(tree: Any, indent: int | None = 2) -> None:
    """Write one JSON object; characters that are not seen are written as escapes."""
    text = json.dumps(tree, indent=indent, ensure_ascii=False)
    print(_UNSEEN.sub(lambda m: f"\\u{ord(m[0]):04x}", text))


def complain(words: str) -> None:
    """Write the one line that says why something cannot be done."""
    line = _plain(" ".join(tr(words).split()))
    print("mivex: " + (line if len(line) <= LONGEST else line[: LONGEST - 1].rstrip() + "…"), file=sys.stderr)


def progress(words: str, last: bool) -> None:
    """Write how far long work is over the line before, on standard error."""
    print(f"\r\033[K{_plain(tr(words))[:100]}", end="\n" if last else "", file=sys.stderr, flush=True)


def _plain(words: str) -> str:
    return _UNSEEN.sub("\N{REPLACEMENT CHARACTER}", shown(words))


def size_of(text: str, largest: int = 8192) -> tuple[int, int]:
    """Width and height from ``WxH``; raises MivexError."""
    found = re.fullmatch(r"([0-9]{1,5})[xX]([0-9]{1,5})", text)
    if not found or not all(1 <= int(n) <= largest for n in found.groups()):
        raise MivexError(
            Message(
                "--size takes WIDTHxHEIGHT between 1x1 and {largest}x{largest}, not “{text}”.", largest=largest, text=text
            )
        )
    return int(found[1]), int(found[2])


def whole_numbers(text: str, separator: str, count: int) -> list[int] | None:
    """So many whole numbers from 0 on, in plain digits; None where the text is something else."""
    parts = text.split(separator)
    if len(parts) != count or not all(re.fullmatch(r"\s*[0-9]{1,9}\s*", p) for p in parts):
        return None
    return [int(p) for p in parts]
