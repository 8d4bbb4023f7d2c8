"""The one limit on the size of any picture: read, made by a step, drawn or delivered."""

from mivex.core.base.errors import MivexError

MAX_SIDE = 16384
MAX_TEXELS = 8192 * 8192
WORDS = f"sides to {MAX_SIDE} and {MAX_TEXELS} texels (8192 × 8192) in all"
"""How the limit is told."""


def fits(width: int, height: int) -> bool:
    """Whether a picture of that size is allowed."""
    return 1 <= width <= MAX_SIDE and 1 <= height <= MAX_SIDE and width * height <= MAX_TEXELS


def check_size(width: int, height: int, subject: str) -> None:
    """Refuse a picture beyond the limit; ``subject`` begins the sentence. Raises MivexError."""
    if not fits(width, height):
        if min(width, height) < 1:
            raise MivexError(f"{subject} would be {width} × {height}: it holds no texels.")
        raise MivexError(f"{subject} would be {width} × {height}; Mivex takes {WORDS}.")
