"""A snapshot of the scene: the document of one moment with the textures and meshes that are drawn of it."""

from collections.abc import Hashable, Mapping
from dataclasses import dataclass, field
from functools import cached_property

from mivex.core.base.kept import serial
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document
from mivex.core.scene.draw_calls import Scene, build_environment
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.surroundings import World


@dataclass(frozen=True, eq=False)
class SceneSnapshot:
    """What the stage is drawn from. Nothing of it changes, so that it can be read in any thread.

    Attributes
    ----------
    doc : Document
    textures : mapping of str to Texture
        By overlay id, and by `file_key` for pictures that materials read.
    meshes : mapping of str to Mesh
        By path.
    scene : Scene
        Gives the same draws again for what has not changed since the last time it was asked.
    """

    doc: Document
    textures: Mapping[str, Texture]
    meshes: Mapping[str, Mesh] = field(default_factory=dict)
    scene: Scene = field(default_factory=Scene)

    @cached_property
    def key(self) -> Hashable:
        """Equal for two snapshots of which every picture is the same, whatever the camera and the time.

        Steps and layers are not part of it: what they make of a texture is. Textures and meshes count by their serial
        numbers; an address may be given to another object once the first is gone.
        """
        d = self.doc
        return (
            tuple((o.id, o.name, o.shown, o.material, o.places, o.sheet) for o in d.overlays),
            (d.lighting, d.around, d.effects, d.air, d.overdraw),
            tuple(sorted((k, serial(t)) for k, t in self.textures.items())),
            tuple(sorted((k, serial(m)) for k, m in self.meshes.items())),
        )

    @property
    def moves(self) -> bool:
        """Whether the picture changes with the clock."""
        d = self.doc
        return bool(d.effects) or any(o.sheet.grids or o.material.flow.strength for o in d.overlays)

    @property
    def world(self) -> World:
        """The surroundings, and meshes by path."""
        return build_environment(self.doc, self.meshes)

    def draws(self, view: View, doc: Document | None = None) -> list[DrawCall]:
        """Everything to draw for a view, in order; ``doc`` stands in for the document, with the same textures."""
        return self.scene.draws(doc or self.doc, self.textures, view, self.meshes)
