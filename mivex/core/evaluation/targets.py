"""What can be asked for, and what is known of it."""

from collections.abc import Hashable
from dataclasses import dataclass

from mivex.core.findings import (
    Finding,
)
from mivex.core.findings.facts import TextureMetrics
from mivex.core.picture.picture import Picture
from mivex.core.picture.texture import Texture
from mivex.core.project.in_view import TexturePiece
from mivex.core.stage.meshes import LoadedMesh


@dataclass(frozen=True)
class Target:
    """Something that can be shown.

    Attributes
    ----------
    overlay : str
        Id of an overlay; empty for a picture file.
    until : int
        What its step of that number receives; −1: the finished overlay.
    path, meaning : str
        A picture file that materials read, and how.
    look : str
        A view into its layers; see `mivex.core.project.looking`.
    """

    overlay: str = ""
    until: int = -1
    path: str = ""
    meaning: str = ""
    look: str = ""

    def __post_init__(self) -> None:
        # Targets are looked up hundreds of times an edit: hashed once.
        object.__setattr__(self, "_hash", hash((self.overlay, self.until, self.path, self.meaning, self.look)))

    def __hash__(self) -> int:
        return self._hash  # type: ignore[attr-defined, no-any-return]

    @property
    def finished(self) -> bool:
        """The overlay or file itself, not something on the way to it."""
        return self.until < 0 and not self.look


@dataclass(frozen=True, eq=False)
class Result:
    """What is known of a target.

    Attributes
    ----------
    target : Target
    key : hashable
        What it was made of; out of date when the document says otherwise.
    full : bool
        At full size; otherwise a proxy, and `key` is not to be relied on.
    picture : Picture, optional
        What it starts from.
    meaning : (meaning, reason), optional
        What that picture was taken for.
    texture, before : Texture, optional
        Finished, and before the first step.
    piece : TexturePiece, optional
        Of a proxy: the part that is on the screen, as it will be.
    examined : hashable
        What `findings` and `figures` were measured for; None: not yet.
    findings : tuple of Finding
    figures : TextureMetrics, optional
    mesh : LoadedMesh, optional
        Of a mesh file.
    problem : str
        Why there is no texture, or no mesh.
    """

    target: Target
    key: Hashable = None
    full: bool = False
    picture: Picture | None = None
    meaning: tuple[str, str] | None = None
    texture: Texture | None = None
    before: Texture | None = None
    piece: TexturePiece | None = None
    examined: Hashable = None
    findings: tuple[Finding, ...] = ()
    figures: TextureMetrics | None = None
    mesh: LoadedMesh | None = None
    problem: str = ""
