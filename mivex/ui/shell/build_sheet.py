"""Asks how a sheet is to be built, and builds it in the background."""

from collections.abc import Sequence
from typing import Any

from PySide6.QtWidgets import QDialog, QDialogButtonBox, QFileDialog, QLabel, QVBoxLayout

from mivex.core.base.languages import tr
from mivex.core.scene.varied import VariedSetting
from mivex.core.sheet.build import ALIGNS, FITS, Layout
from mivex.ui.fields.fields import ChoiceField, Field, SwitchField
from mivex.ui.fields.labels import picture_filter
from mivex.ui.fields.number import NumberField

OWN = ("seeds", "varied", "baked")
"""Ways that make frames of the overlay itself."""
ANIMATED = "Animated pictures (*.webp *.gif *.png *.apng)"


class BuildSheet(QDialog):
    """Number of frames, cell, columns, gutter, fit, alignment, and what moves."""

    def __init__(self, how: str, parent: Any, *, frames: int = 0, settings: Sequence[VariedSetting] = ()) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Build a sheet"))
        self.how = how
        self.values: dict[str, Any] = {
            "count": frames or 16,
            "width": 0,
            "height": 0,
            "columns": 0,
            "gutter": 0,
            "fit": "inside",
            "align": "frame",
            "wears": True,
            "seconds": 1.0,
            "degrees": 0.0,
        }
        self.column = QVBoxLayout(self)
        self.column.setSpacing(4)
        if how in OWN:
            self._number("count", "Frames", "How many frames.", 2, 64, (2, 256))
        if how == "varied":
            self._varied(settings)
        if how == "baked":
            self._add(
                SwitchField(
                    "Erosion over the frames",
                    "Erosion goes from nothing to everything.",
                    lambda: self.values["wears"],
                    default=True,
                ),
                "wears",
            )
            self._number(
                "seconds",
                "Flow",
                "Seconds of the flow's movement; nothing where the material has no flow.",
                0,
                4,
                (0, 60),
                whole=False,
                unit="s",
            )
            self._number("degrees", "Turns", "Degrees that it turns by.", -360, 360, (-3600, 3600), whole=False, unit="°")
        self._number("width", "Cell's width", "Texels; 0: the largest frame's.", 0, 512, (0, 8192), unit="px")
        self._number("height", "Cell's height", "Texels; 0: the largest frame's.", 0, 512, (0, 8192), unit="px")
        self._number("columns", "Columns", "Cells across; 0: as near to a square as goes.", 0, 16, (0, 64))
        self._number(
            "gutter",
            "Gutter",
            "Texels between cells, filled from their borders: frames then do not bleed into each other in the distance.",
            0,
            32,
            (0, 256),
            unit="px",
        )
        fit = ChoiceField("Fit", "How large frames are in their cells.", lambda: self.values["fit"], "inside", FITS)
        self._add(fit, "fit")
        self._add(
            ChoiceField(
                "Aligned by",
                "What of each frame comes to the same place of its cell.",
                lambda: self.values["align"],
                "frame",
                ALIGNS,
            ),
            "align",
        )
        note = QLabel(tr("The sheet is written beside the project, and comes into the rack as an overlay of its own."))
        note.setObjectName("figure")
        note.setWordWrap(True)
        self.column.addWidget(note)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel)
        buttons.button(QDialogButtonBox.StandardButton.Ok).setText(tr("Build"))
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        self.column.addWidget(buttons)
        self.setMinimumWidth(340)

    def _varied(self, settings: Sequence[VariedSetting]) -> None:
        """Which setting, and from where to where it goes."""
        rows = {s.at: s for s in settings}
        first = settings[0]
        self.values |= {"setting": first.at, "from": first.low, "to": first.now if first.now != first.low else first.high}
        names = {s.at: s.name for s in settings}
        which = ChoiceField("Setting", "What changes from frame to frame.", lambda: self.values["setting"], first.at, names)
        self._add(which, "setting")
        ends = [
            NumberField(
                name,
                hint,
                lambda k=key: self.values[k],
                float(self.values[key]),
                low=first.low,
                high=first.high,
                hard=(first.low, first.high),
                unit=first.unit,
            )
            for key, name, hint in (
                ("from", "First frame", "The setting in the first frame."),
                ("to", "Last frame", "The setting in the last frame; those between go evenly."),
            )
        ]
        for key, field in zip(("from", "to"), ends, strict=True):
            self._add(field, key)

        def chosen(at: str) -> None:
            s = rows[at]
            self.values |= {"from": s.low, "to": s.now if s.now != s.low else s.high}
            for field in ends:
                field.bar.low, field.bar.high, field.bar.hard = s.low, s.high, (s.low, s.high)
                field.refresh()

        which.edited.connect(chosen)

    def _add(self, field: Field, key: str) -> None:
        field.edited.connect(lambda v: (self.values.__setitem__(key, v), field.refresh()))
        self.column.addWidget(field)

    def _number(
        self,
        key: str,
        name: str,
        hint: str,
        low: float,
        high: float,
        hard: tuple[float, float],
        *,
        whole: bool = True,
        unit: str = "",
    ) -> None:
        self._add(
            NumberField(
                name,
                hint,
                lambda: self.values[key],
                float(self.values[key]),
                low=low,
                high=high,
                hard=hard,
                whole=whole,
                unit=unit,
            ),
            key,
        )

    @property
    def layout_wanted(self) -> Layout:
        """How the frames are laid."""
        v = self.values
        return Layout((int(v["width"]), int(v["height"])), int(v["columns"]), int(v["gutter"]), v["fit"], v["align"])


def ask_pictures(parent: Any, folder: str, how: str) -> list[str]:
    """Ask for the pictures that frames come from; none where nothing is chosen."""
    if how == "pictures":
        return QFileDialog.getOpenFileNames(parent, tr("Frames, in their order"), folder, tr(picture_filter()))[0]
    found = QFileDialog.getOpenFileName(parent, tr("Animated picture"), folder, tr(ANIMATED))[0]
    return [found] if found else []
