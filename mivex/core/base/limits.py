"""The one limit on the size of any picture: read, made by a step, drawn or delivered."""

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term

MAX_SIDE = 16384
MAX_TEXELS = 8192 * 8192
WORDS = Message(
    "sides to {max_side} and {max_texels} texels (8192 × 8192) in all", max_side=MAX_SIDE, max_texels=MAX_TEXELS
)
"""How the limit is told."""


def fits(width: int, height: int) -> bool:
    """Whether a picture of that size is allowed."""
    return 1 <= width <= MAX_SIDE and 1 <= height <= MAX_SIDE and width * height <= MAX_TEXELS


def check_size(width: int, height: int, subject: str) -> None:
    """Refuse a picture beyond the limit; ``subject`` begins the sentence. Raises MivexError."""
    if not fits(width, height):
        if min(width, height) < 1:
            raise MivexError(
                Message(
                    "{subject} would be {width} × {height}: it holds no texels.",
                    subject=term(subject),
                    width=width,
                    height=height,
                )
            )
        raise MivexError(
            Message(
                "{subject} would be {width} × {height}; Mivex takes {words}.",
                subject=term(subject),
                width=width,
                height=height,
                words=WORDS,
            )
        )
