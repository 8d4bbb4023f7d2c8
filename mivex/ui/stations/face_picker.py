"""Choosing faces of a mesh by clicks: for a part of a mask, or for the second UV set."""

from typing import Any

import numpy as np

from mivex.core.project import edits, layer_edits
from mivex.core.project.layering import mesh_place
from mivex.core.stage.face_selection import faces_of, faces_text, grown, picked
from mivex.core.stage.placements_model import MeshPlace, SecondSet


class FacePicker:
    """What clicks on the mesh choose, and the edits that follow.

    Attributes
    ----------
    part : int
        Part of the chosen layer's mask that the faces are for; −1: none.
    by : str
        What one click takes: ``island``, ``part`` or ``face``.
    second_by : str
        The same for the second UV set; empty: none is chosen for it.
    """

    def __init__(self, page: Any) -> None:
        self.page = page
        self.part, self.by = -1, "island"
        self.second_by = ""

    def rest(self) -> None:
        """Choose no faces any more."""
        self.part, self.second_by = -1, ""

    def choose(self, part: int, by: str) -> None:
        """Let clicks choose faces for a part of the chosen layer's mask; −1: no longer."""
        self.page.set_painting(False)
        self.part, self.by = part, by
        self.page.refresh()
        self.page.paint_wanted.emit(False)

    def take(self, face: int) -> None:
        """A face was clicked: what belongs to it is chosen, or given back."""
        o, row, mesh = self.page.session.overlay, self._row(), self.mesh()
        if o is None or row is None or mesh is None or not 0 <= self.part < len(row.mask.parts):
            return
        count = len(mesh.index)
        now = set(faces_of(row.mask.parts[self.part].faces, count).tolist())
        hit = set(picked(mesh, face, self.by, o.material.mapping.uv_set).tolist())
        text = faces_text(np.array(sorted(now - hit if face in now else now | hit), np.int64))
        key, part = o.id, self.part
        self.page.session.apply("Choose faces", lambda d: layer_edits.set_part(d, key, row.id, part, faces=text))

    def grow(self, row_id: str, part: int, by: int) -> None:
        """Take the neighbours of the chosen faces as well, or give the outermost back."""
        o, mesh = self.page.session.overlay, self.mesh()
        row = o.layers.row(row_id) if o is not None else None
        if o is None or mesh is None or row is None:
            return
        text = faces_text(grown(mesh, faces_of(row.mask.parts[part].faces, len(mesh.index)), by))
        self.page.session.apply(
            "Grow faces" if by > 0 else "Shrink faces", lambda d: layer_edits.set_part(d, o.id, row_id, part, faces=text)
        )

    def _row(self) -> Any:
        o = self.page.session.overlay
        return o.layers.row(self.page.session.row_id) if o is not None else None

    def mesh(self) -> Any:
        """The mesh that the overlay's masks come from, where it is read already."""
        o = self.page.session.overlay
        place = mesh_place(o) if o is not None else None
        return self.page.engine.results.mesh_of(place) if place is not None else None

    def laid_place(self) -> MeshPlace | None:
        """The chosen placement, where it is on a mesh."""
        o = self.page.session.overlay
        found = next((p for p in o.places if p.id == self.page.session.place_id), None) if o is not None else None
        return found if isinstance(found, MeshPlace) else None

    def choose_second(self, by: str) -> None:
        """Let clicks choose the faces of the second UV set, by island, part or single; empty: no longer."""
        self.second_by = by
        self.page.refresh()
        self.page.paint_wanted.emit(False)

    def take_second(self, face: int) -> None:
        """A face was clicked: what belongs to it goes into the second UV set, or out of it."""
        o, place = self.page.session.overlay, self.laid_place()
        mesh = self.page.engine.results.meshes().get(place.path) if place is not None else None
        if o is None or place is None or mesh is None:
            return
        now = set(faces_of(place.second.faces, len(mesh.index)).tolist())
        hit = set(picked(mesh, face, self.second_by).tolist())
        text = faces_text(np.array(sorted(now - hit if face in now else now | hit), np.int64))
        how = place.second.how if place.second.how != "file" else "flat"
        self.page.session.apply(
            "Choose faces", lambda d: edits.set_place(d, o.id, place.id, second=SecondSet(how=how, faces=text))
        )
