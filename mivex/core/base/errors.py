"""The one kind of error that is shown to a person."""

from typing import Any

from mivex.core.base.messages import Message, term


class MivexError(Exception):
    """Something cannot be done; the message is one plain sentence for the artist.

    Everything a person can cause (a broken picture, a missing file, a full
    disk) is raised as this, so that the window and the command line can show
    the message as it stands.
    """


class Stopped(Exception):
    """Long work was asked to stop, and did; nothing was changed."""


def what_is_invalid(first: Any) -> Message:
    """What a model finds wrong with a file, for use behind a colon.

    Parameters
    ----------
    first : mapping
        One entry of pydantic's ``ValidationError.errors()``. What our own validators raise keeps its template.
    """
    ours = first.get("ctx", {}).get("error")
    said = term(ours) if isinstance(ours, Exception) else term(first["msg"][:1].lower() + first["msg"][1:])
    assert isinstance(said, Message)
    return said
