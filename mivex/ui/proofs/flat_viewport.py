"""How the flat proof's picture lies in the widget: zoom, place, and what it is aimed at."""

from dataclasses import replace

from PySide6.QtCore import QPointF, Signal

from mivex.core.proof.flat import FlatView
from mivex.ui.proofs.flat_marks import PictureMarks
from mivex.ui.session.worker import Workers


class FlatViewport(PictureMarks):
    """A picture that is panned and zoomed, fitted into the widget, or brought to a place that matters."""

    zoomed = Signal()

    def __init__(self, name: str, workers: Workers) -> None:
        super().__init__(name, workers)
        # What the view is aimed at, kept when the widget changes size: everything, a place, or nothing.
        self._aim: str | tuple[int, int, int, int] = "all"

    def fit(self) -> None:
        """Show the whole picture."""
        w, h = self.size_full
        zoom = min((self.width() - 24) / w, (self.height() - 24) / h, 32.0)
        self._zoom_to(max(zoom, 0.01), aim="all")

    def _zoom_to(self, zoom: float, *, aim: str = "") -> None:
        w, h = self.size_full
        self._aim = aim
        k = self.devicePixelRatioF()
        self.set_view(
            zoom=zoom, left=round((self.width() - w * zoom) / 2 * k) / k, top=round((self.height() - h * zoom) / 2 * k) / k
        )

    def actual(self) -> None:
        """One texel to one pixel of the screen."""
        self._zoom_to(1.0 / self.devicePixelRatioF())

    @property
    def screen_view(self) -> FlatView:
        """The view in the screen's own pixels, in which the picture is drawn."""
        # Layouts leave room for words; they are drawn in the widget's pixels.
        k, v = self.devicePixelRatioF() if self.single else 1.0, self.view
        return v if k == 1 else replace(v, zoom=v.zoom * k, left=v.left * k, top=v.top * k)

    def go_to(self, place: tuple[int, int, int, int]) -> None:
        """Bring a place in texels into view and mark it."""
        x, y, w, h = place
        self.marked = place
        full = self.size_full
        if w * h > 0.3 * full[0] * full[1]:
            self.fit()
            return
        self._aim = place
        zoom = min(self.width() / max(w * 4, 24), self.height() / max(h * 4, 24), 24.0)
        zoom = max(zoom, min(self.width() / full[0], self.height() / full[1]) * 0.9)
        self.set_view(
            layout="single",
            zoom=zoom,
            left=self.width() / 2 - (x + w / 2) * zoom,
            top=self.height() / 2 - (y + h / 2) * zoom,
        )

    def set_view(self, **values: object) -> None:
        """Change what is shown."""
        self.view = replace(self.view, **values)  # type: ignore[arg-type]
        self.zoomed.emit()
        self.redraw()

    def pan_to(self, left: float, top: float) -> None:
        """Move the picture; from now on it stays where it is put."""
        self._aim = ""
        self.set_view(left=left, top=top)

    def zoom_by(self, factor: float, at: QPointF) -> None:
        """Zoom about a place on the widget."""
        w, h = self.size_full
        zoom = min(max(self.view.zoom * factor, 8 / max(w, h)), 128.0)
        k = zoom / self.view.zoom
        self._aim = ""
        self.set_view(zoom=zoom, left=at.x() - (at.x() - self.view.left) * k, top=at.y() - (at.y() - self.view.top) * k)

    def aim_again(self) -> None:
        """The widget has another size: show what the view was aimed at."""
        if self._aim == "all":
            self.fit()
        elif isinstance(self._aim, tuple):
            self.go_to(self._aim)
