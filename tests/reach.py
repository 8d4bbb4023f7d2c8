"""Walks the window through every station and says what is cut off, what has no name, what no key reaches.

Run in a process of its own, since scale and language are chosen before the window opens.
"""

import json
import re
import sys
from pathlib import Path

from PySide6.QtCore import QRect, Qt
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractScrollArea,
    QAbstractSlider,
    QApplication,
    QComboBox,
    QLabel,
    QLineEdit,
    QListWidget,
    QPushButton,
    QScrollBar,
    QTableWidget,
    QWidget,
)

from mivex.ui.fields.labels import Elided
from mivex.ui.proofs.canvas import Canvas
from mivex.ui.shell.app import application, wait_until_idle
from mivex.ui.shell.window import Window
from mivex.ui.stations import STATIONS

CONTROLS = (QAbstractButton, QAbstractSlider, QComboBox, QLineEdit, QListWidget, QTableWidget, Canvas)


def visible(root):
    """Every widget that is seen, those scrolled out of sight as well."""
    return [w for w in root.findChildren(QWidget) if w.isVisibleTo(root) and w.width() > 0]


def words(w):
    """What a widget says, without its mark of a shortcut."""
    text = w.text() if isinstance(w, QLabel | QAbstractButton) else w.currentText() if isinstance(w, QComboBox) else ""
    return "" if re.search(r"<\w+[^>]*>", text) else text


def cut(w):
    """Whether a widget is too small for its words."""
    text = words(w)
    if not text.strip() or isinstance(w, Elided):
        return False  # what is elided is told by its hint
    if isinstance(w, QLabel):
        room = w.contentsRect()
        if w.wordWrap():
            need = w.fontMetrics().boundingRect(QRect(0, 0, room.width(), 10000), Qt.TextFlag.TextWordWrap, text)
            return need.height() > room.height() + 2 or need.width() > room.width() + 1
        return max(w.fontMetrics().horizontalAdvance(line) for line in text.split("\n")) > room.width() + 1
    if isinstance(w, QComboBox):
        return w.fontMetrics().horizontalAdvance(text) > w.width() - 24
    wide = w.fontMetrics().horizontalAdvance(text)
    spare = 0 if w.icon().isNull() else w.iconSize().width() + 4
    spare += 20 if not isinstance(w, QPushButton) and w.isCheckable() and not w.objectName() else 4
    return wide + spare > w.width() + 1


def outside(w, root):
    """Whether it sticks out of what holds it."""
    box = QRect(w.mapTo(root, w.rect().topLeft()), w.size())
    up = w.parentWidget()
    while up is not None and up is not root:
        if isinstance(up.parentWidget(), QAbstractScrollArea):
            return box.left() < up.mapTo(root, up.rect().topLeft()).x() - 1
        up = up.parentWidget()
    return not root.rect().adjusted(-1, -1, 1, 1).contains(box)


def over_each_other(rows):
    """Pairs of neighbours that lie over each other."""
    found = []
    for i, a in enumerate(rows):
        for b in rows[i + 1 :]:
            if a.parentWidget() is b.parentWidget() and a.geometry().adjusted(1, 1, -1, -1).intersects(
                b.geometry().adjusted(1, 1, -1, -1)
            ):
                found.append((words(a) or a.accessibleName(), words(b) or b.accessibleName()))
    return found


def said(root):
    """What is wrong on a page."""
    rows = visible(root)
    kinds = (QLabel, QAbstractButton, QComboBox, QLineEdit)
    texts = [w for w in rows if isinstance(w, kinds)]
    return {
        "cut": [words(w) for w in texts if cut(w)],
        "outside": [words(w) or w.accessibleName() for w in texts if outside(w, root)],
        "over": [f"{a} / {b}" for a, b in over_each_other(texts)],
        "unnamed": [
            f"{type(w).__name__} {w.objectName()} in {type(w.parentWidget()).__name__}"
            for w in rows
            if isinstance(w, CONTROLS)
            and not isinstance(w, QScrollBar)
            and not (w.accessibleName() or words(w).strip() or w.toolTip())
            and not isinstance(w.parentWidget(), QComboBox)
        ],
        "no key": [
            words(w) or w.accessibleName()
            for w in rows
            if isinstance(w, CONTROLS)
            and w.isEnabled()
            and not isinstance(w, QScrollBar)
            and not w.focusPolicy() & Qt.FocusPolicy.TabFocus
            # Arrows go through a group, Tab stops at the one that is chosen.
            and not (isinstance(w, QAbstractButton) and w.group() is not None and w.group().exclusive())
            and w.focusProxy() is None
            and not re.search(r"   \(.+\)$", w.toolTip())
        ],
    }


def dense(window):
    """How dense the screen is; how many of the texels that are shown one to a pixel of it differ; size of its picture."""
    c = window.flat.canvas
    window.session.choose("porthole")
    window.go("source")
    wait_until_idle(window)
    c.set_view(show="alpha", backdrop="black", layout="single")
    c.actual()
    wait_until_idle(window)
    k, image = c.devicePixelRatioF(), c.image
    view, t = c.screen_view, c.texture
    wrong = 0
    for x, y in ((256, 256), (100, 300), (257, 130), (300, 301), (201, 202)):
        px, py = round(view.left + x), round(view.top + y)
        if 0 <= px < image.width() and 0 <= py < image.height():
            wrong += abs(image.pixelColor(px, py).red() - round(float(t.values[y, x, 3]) * 255)) > 1
    return k, wrong + (view.zoom != 1), (image.width() / c.width(), image.height() / c.height())


def walk(window):
    """Every station with the overlays that have most to say there, every page of the tray."""
    found = {}

    def note(root, where):
        for k, v in said(root).items():
            for row in v:
                found.setdefault(k, {}).setdefault(row, where)

    def look(where):
        wait_until_idle(window)
        note(window, where)

    look("empty")
    window.session.open(Path(sys.argv[1]))
    for station in STATIONS:
        for key in ("bubbles_sheet",) if station in ("motion", "sheet") else ("porthole", "buoy_emblem"):
            window.session.choose(key)
            window.go(station)
            look(f"{station}, {key}")
    for page in ("findings", "ledger", "order", "clock"):
        window.tray.show_page(page)
        look(page)
    window.desk.choose("stirred", 0)
    window.go("motion")
    for wanted in ("Birth", "Life", "Facing", "Effect"):
        # Found anew each time: a click may build the column anew.
        for tab in window.controls.findChildren(QAbstractButton):
            if tab.isVisible() and tab.isCheckable() and words(tab) == wanted:
                tab.click()
                look(f"motion, {wanted}")
                break
    window.teach("matte")
    wait_until_idle(window)
    note(window.lesson, "lesson")
    window.lesson.close()
    window.stage.open_light()
    wait_until_idle(window)
    note(window.stage.light_panel, "light")
    window.stage.light_panel.hide()
    return {k: [f"{row}  ({where})" for row, where in v.items()] for k, v in found.items()}


if __name__ == "__main__":
    application()
    made = Window()
    made.resize(1280, 800)
    made.show()
    found = walk(made)
    k, wrong, (wide, high) = dense(made)
    print(json.dumps({**found, "dense": [k, wrong, [round(wide, 2), round(high, 2)]]}, ensure_ascii=False))
    QApplication.processEvents()
    made.end()
