"""The one kind of error that is shown to a person."""


class MivexError(Exception):
    """Something cannot be done; the message is one plain sentence for the artist.

    Everything a person can cause (a broken picture, a missing file, a full
    disk) is raised as this, so that the window and the command line can show
    the message as it stands.
    """


class Stopped(Exception):
    """Long work was asked to stop, and did; nothing was changed."""
