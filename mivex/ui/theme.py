"""The look of the window: neutral greys, one hue for findings, one type scale, one spacing grid.

Everything is R = G = B except what tells of a finding, so that nothing beside a picture
biases the eye. Text stands at 4.5 : 1 contrast or better.
"""

import os
from functools import cache
from importlib.resources import files

from PySide6.QtCore import QByteArray, QRectF, QSettings, QSize, Qt
from PySide6.QtGui import QColor, QFont, QFontDatabase, QIcon, QImage, QPainter, QPalette, QPixmap
from PySide6.QtSvg import QSvgRenderer
from PySide6.QtWidgets import QApplication, QToolButton, QWidget

from mivex.core.base.languages import tr

GROUND = "#2b2b2b"
PANEL = "#323232"
RAISED = "#3d3d3d"
FIELD = "#262626"
LINE = "#484848"
EDGE = "#5c5c5c"
TEXT = "#e6e6e6"
SOFT = "#b8b8b8"
FAINT = "#989898"
CHOSEN = "#f4f4f4"
"""Choice and focus: light on dark."""
LIGHT = "#d4d4d4"
"""Filled parts: the main button, a switch that is on."""
ON_LIGHT = "#1c1c1c"
FINDING = "#e0a84e"
"""The one hue: it means a finding, and nothing else."""
CASING = "#101010"
"""Handles in a picture are light lines in a dark casing, which shows on any picture and biases none."""
SURROUND = "#777777"
HEAD = 68
"""Height of a proof's header in pixels, the same for both."""
GRID = 8
"""Spacing step in pixels; half steps are allowed inside a control."""

_ICONS = files("mivex.ui") / "assets" / "icons"

SHEET = f"""
* {{ outline: none; }}
QWidget {{ color: {TEXT}; font-size: 12px; }}
QMainWindow, QDialog {{ background: {GROUND}; }}
QToolTip {{ background: {FIELD}; color: {TEXT}; border: 1px solid {EDGE}; padding: 4px 6px; }}
QMenuBar {{ background: {GROUND}; padding: 2px 4px; }}
QMenuBar::item {{ padding: 4px 8px; background: transparent; }}
QMenuBar::item:selected {{ background: {RAISED}; }}
QMenu {{ background: {PANEL}; border: 1px solid {EDGE}; padding: 4px; }}
QMenu::item {{ padding: 5px 28px 5px 12px; }}
QMenu::item:selected {{ background: {EDGE}; }}
QMenu::item:disabled {{ color: {FAINT}; }}
QMenu::separator {{ height: 1px; background: {LINE}; margin: 4px 8px; }}
#panel {{ background: {PANEL}; }}
#strip {{ background: {PANEL}; }}
#title {{ font-size: 14px; font-weight: 600; }}
#section {{ font-size: 12px; font-weight: 600; color: {TEXT}; }}
#soft {{ color: {SOFT}; }}
#figure {{ color: {SOFT}; font-size: 11px; }}
#small {{ color: {SOFT}; font-size: 10px; }}
#finding {{ color: {FINDING}; }}
#key {{ color: {CHOSEN}; }}
#popup {{ background: {PANEL}; border: 1px solid {EDGE}; }}
#hint {{ background: {GROUND}; border-top: 1px solid {LINE}; }}
#card {{ background: {RAISED}; border-radius: 3px; }}
#active {{ background: {RAISED}; border-radius: 3px; border-left: 2px solid {CHOSEN}; }}
#equation {{ background: {FIELD}; border-left: 2px solid {FAINT}; padding: 7px 9px; }}
#empty {{ color: {SOFT}; font-size: 13px; }}
QPushButton {{ background: {EDGE}; border: none; border-radius: 3px; padding: 5px 12px; min-height: 16px; }}
QPushButton:hover {{ background: #6a6a6a; }}
QPushButton:pressed {{ background: #505050; }}
QPushButton:disabled {{ background: {RAISED}; color: {FAINT}; }}
QPushButton:focus {{ border: 1px solid {CHOSEN}; padding: 4px 11px; }}
QPushButton:checked {{ background: {GROUND}; border: 1px solid {CHOSEN}; padding: 4px 11px; }}
QPushButton#tab {{ background: transparent; color: {SOFT}; font-size: 13px; padding: 1px 8px; border: none;
                border-bottom: 2px solid transparent; border-radius: 0; }}
QPushButton#tab:hover {{ color: {CHOSEN}; }}
QPushButton#tab:checked {{ color: {CHOSEN}; font-weight: 600; border-bottom: 2px solid {CHOSEN}; }}
QPushButton#tab:focus {{ color: {CHOSEN}; background: {RAISED}; }}
QPushButton#main {{ background: {LIGHT}; color: {ON_LIGHT}; font-weight: 600; }}
QPushButton#main:disabled {{ background: {RAISED}; color: {FAINT}; }}
QPushButton#source {{ background: {FIELD}; border: 1px solid {LINE}; padding: 2px 6px; text-align: left; color: {SOFT}; }}
QPushButton#source:focus {{ border: 1px solid {CHOSEN}; padding: 2px 6px; }}
QToolButton {{ background: transparent; border: 1px solid transparent; border-radius: 3px; padding: 3px; }}
QToolButton:hover {{ background: {EDGE}; }}
QToolButton:checked {{ background: {GROUND}; border: 1px solid {CHOSEN}; }}
QToolButton:focus {{ border: 1px solid {FAINT}; }}
QToolButton:checked:focus {{ border: 1px solid {CHOSEN}; }}
QToolButton:disabled {{ color: {FAINT}; }}
QToolButton::menu-indicator {{ image: none; }}
QToolButton[popupMode="1"] {{ padding-right: 15px; }}
QToolButton::menu-button {{ border: none; width: 13px; background: transparent; }}
QToolButton::menu-button:hover {{ background: {EDGE}; }}
QToolButton::menu-arrow {{ image: url({_ICONS / "down.svg"}); width: 11px; height: 11px; }}
QComboBox {{ background: {FIELD}; border: 1px solid {LINE}; border-radius: 3px; padding: 2px 4px 2px 8px;
            min-height: 18px; }}
QComboBox:hover, QComboBox:focus {{ border: 1px solid {EDGE}; }}
QComboBox:focus {{ border: 1px solid {CHOSEN}; }}
QComboBox:disabled {{ color: {FAINT}; }}
QComboBox::drop-down {{ border: none; width: 20px; }}
QComboBox::down-arrow {{ image: url({_ICONS / "down.svg"}); width: 14px; height: 14px; }}
QComboBox QAbstractItemView {{ background: {PANEL}; border: 1px solid {EDGE}; selection-background-color: {EDGE}; }}
QLineEdit {{ background: {FIELD}; border: 1px solid {LINE}; border-radius: 3px; padding: 2px 7px; min-height: 18px;
            selection-background-color: {EDGE}; }}
QLineEdit:focus {{ border: 1px solid {CHOSEN}; }}
QCheckBox {{ spacing: 7px; }}
QCheckBox::indicator {{ width: 14px; height: 14px; border: 1px solid {FAINT}; border-radius: 2px;
                        background: {FIELD}; }}
QCheckBox::indicator:checked {{ background: {LIGHT}; border: 1px solid {LIGHT};
                                image: url({_ICONS / "tick-dark.svg"}); }}
QCheckBox:focus {{ color: #ffffff; }}
QCheckBox::indicator:focus {{ border: 1px solid {CHOSEN}; }}
QCheckBox:disabled {{ color: {FAINT}; }}
QScrollArea, QScrollArea > QWidget > QWidget {{ background: {PANEL}; border: none; }}
QListWidget {{ background: {PANEL}; border: none; }}
QListWidget::item {{ border: none; }}
QListWidget::item:selected {{ background: {RAISED}; border-left: 2px solid {CHOSEN}; }}
QScrollBar:vertical {{ background: transparent; width: 10px; margin: 0; }}
QScrollBar::handle:vertical {{ background: {EDGE}; border-radius: 3px; min-height: 28px; margin: 2px; }}
QScrollBar::add-line, QScrollBar::sub-line {{ height: 0; width: 0; }}
QScrollBar:horizontal {{ background: transparent; height: 10px; }}
QScrollBar::handle:horizontal {{ background: {EDGE}; border-radius: 3px; min-width: 28px; margin: 2px; }}
QSplitter::handle {{ background: {GROUND}; }}
QProgressBar {{ background: {FIELD}; border: none; border-radius: 2px; height: 4px; }}
QProgressBar::chunk {{ background: {LIGHT}; }}
QMessageBox QLabel {{ font-size: 13px; }}
"""


@cache
def _svg(name: str) -> bytes:
    return (files("mivex.ui") / "assets" / "icons" / f"{name}.svg").read_bytes()


@cache
def icon(name: str, colour: str = TEXT) -> QIcon:
    """One of the icons shipped in ``assets/icons``, in a colour."""
    made = QIcon()
    for ratio in (1, 2):
        for mode, tone in ((QIcon.Mode.Normal, colour), (QIcon.Mode.Disabled, EDGE)):
            renderer = QSvgRenderer(QByteArray(_svg(name).replace(b"#e4e4e4", tone.encode())))
            image = QImage(QSize(16, 16) * ratio, QImage.Format.Format_ARGB32_Premultiplied)
            image.fill(Qt.GlobalColor.transparent)
            painter = QPainter(image)
            renderer.render(painter, QRectF(0, 0, 16 * ratio, 16 * ratio))
            painter.end()
            image.setDevicePixelRatio(ratio)
            made.addPixmap(QPixmap.fromImage(image), mode)
    return made


def figures_font(size: int = 12, weight: QFont.Weight = QFont.Weight.Normal) -> QFont:
    """The interface font with figures of equal width, for numbers that change."""
    font = QFont("Inter")
    font.setPixelSize(size)
    font.setWeight(weight)
    font.setFeature(QFont.Tag("tnum"), 1)
    return font


SIZES = (90, 100, 115, 130, 150)
"""Sizes of words and controls that can be chosen, in percent."""


def size_wanted() -> int:
    """The size of words and controls that was chosen, in percent."""
    said = str(QSettings("mivex", "mivex").value("size", "100"))
    return int(said) if said.isdigit() and int(said) in SIZES else 100


def choose_size(percent: int) -> None:
    """Use a size from the next start on."""
    QSettings("mivex", "mivex").setValue("size", percent)


def scale() -> None:
    """Have everything drawn at the size that was chosen, on top of the screen's own; before the application is made."""
    if "QT_SCALE_FACTOR" not in os.environ and size_wanted() != 100:
        os.environ["QT_SCALE_FACTOR"] = str(size_wanted() / 100)


def apply(app: QApplication) -> None:
    """Load the fonts and put the look on."""
    for name in ("Regular", "Medium", "SemiBold"):
        data = (files("mivex.core") / "assets" / "fonts" / f"Inter-{name}.otf").read_bytes()
        QFontDatabase.addApplicationFontFromData(QByteArray(data))
    app.setStyle("Fusion")
    app.setFont(figures_font())
    palette = QPalette()
    for role, colour in (
        (QPalette.ColorRole.Window, GROUND),
        (QPalette.ColorRole.Base, FIELD),
        (QPalette.ColorRole.AlternateBase, PANEL),
        (QPalette.ColorRole.Button, RAISED),
        (QPalette.ColorRole.Text, TEXT),
        (QPalette.ColorRole.WindowText, TEXT),
        (QPalette.ColorRole.ButtonText, TEXT),
        (QPalette.ColorRole.PlaceholderText, FAINT),
        (QPalette.ColorRole.Highlight, EDGE),
        (QPalette.ColorRole.HighlightedText, TEXT),
        (QPalette.ColorRole.ToolTipBase, FIELD),
        (QPalette.ColorRole.ToolTipText, TEXT),
    ):
        palette.setColor(role, QColor(colour))
    app.setPalette(palette)
    app.setStyleSheet(SHEET)


def tool(name: str, tip: str, colour: str = TEXT, *, checkable: bool = False) -> QToolButton:
    """A button with an icon. ``tip`` may end in three spaces and the key; what stands before is its spoken name."""
    button = QToolButton()
    button.setIcon(icon(name, colour))
    button.setToolTip(tr(tip))
    button.setAccessibleName(tr(tip).split("   ", maxsplit=1)[0])
    button.setCheckable(checkable)
    return button


def painter(widget: QWidget) -> QPainter:
    """A painter of a widget. Charts and proofs run from left to right in every language, as pictures do."""
    made = QPainter(widget)
    made.setLayoutDirection(Qt.LayoutDirection.LeftToRight)
    return made
