"""What the mouse does in the flat proof, as edits of the overlay: handles, sheets, mapping, strokes."""

from mivex.core.base.messages import Message
from mivex.core.prepare.falloff import Stroke
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.ui.proofs.flat_canvas import FlatCanvas
from mivex.ui.session.session import Session


class FlatEdits:
    """Makes edits of what the canvas tells.

    Parameters
    ----------
    session : Session
    canvas : FlatCanvas
    """

    def __init__(self, session: Session, canvas: FlatCanvas) -> None:
        self.session, self.canvas = session, canvas
        self._stroke_on = "", -1
        self._stroke_so_far: Stroke | None = None
        canvas.handle_moved.connect(self._move_handle)
        canvas.handle_released.connect(session.end_merge)
        canvas.mapped.connect(self._map)
        canvas.gridded.connect(self._fit_grid)
        canvas.stroked.connect(self._stroke)

    def _move_handle(self, values: object) -> None:
        key, i = self.session.overlay_id, self.session.step_index
        assert isinstance(values, dict)
        self.session.apply("Move handle", lambda d: edits.set_step(d, key, i, **values), f"{key} step {i} handle")

    def _fit_grid(self, values: object) -> None:
        o = self.session.overlay
        if o is None or not o.sheet.grids or not isinstance(values, dict):
            return
        key, grids = o.id, o.sheet.grids
        fresh = (edits.revalidated(grids[0], **values), *grids[1:])
        self.session.apply(
            "Fit the grid", lambda d: edits.set_fields(d, key, "sheet", grids=fresh), Message("{key} fit grid", key=key)
        )

    def _map(self, values: object) -> None:
        key = self.session.overlay_id
        self.session.apply(
            "Move it on the mesh",
            lambda d: edits.set_fields(
                d,
                key,
                "material",
                mapping=edits.revalidated((d.overlay(key) or self.session.overlay).material.mapping, **values),  # type: ignore[arg-type, union-attr]
            ),
            Message("{key} on uvs", key=key),
        )  # type: ignore

    def _stroke(self, points: object, erase: bool) -> None:
        if len(points) == 1:  # type: ignore[arg-type]
            self._stroke_on = self.session.overlay_id, self.session.step_index
            self._stroke_so_far = None
        key, i = self._stroke_on
        stroke = Stroke(points=points, radius=round(self.canvas.brush, 4), erase=erase)  # type: ignore[arg-type]
        before, self._stroke_so_far = self._stroke_so_far, stroke

        def edit(d: Document) -> Document:
            # On the strokes of this moment: the same stroke, shorter, is replaced, and whatever else has come stays.
            o = d.overlay(key)
            step = o.steps[i] if o is not None and 0 <= i < len(o.steps) else None
            held = getattr(step, "strokes", None)
            if held is None:
                return d
            return edits.set_step(d, key, i, strokes=(*(held[:-1] if held and held[-1] == before else held), stroke))

        self.session.apply("Paint", edit, f"{key} step {i} paint")
