"""A careless, fast, stubborn user of the real window: seeded random acts, and what must hold after them.

Run by hand for long: ``.venv/bin/python tests/robot.py SEED ACTS``. Parts are found in the Qt tree; dialogs are answered by
chance. After every stretch and at the end: all undone and redone is the same document, what is saved and read again is it,
nothing was raised, and Qt said nothing. Every act is timed in the window's thread.
"""

import os
import random
import sys
import threading
import time
import traceback
from collections import Counter
from pathlib import Path

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")

from PySide6.QtCore import QEvent, QPoint, QPointF, Qt, QTimer, qInstallMessageHandler
from PySide6.QtGui import QMouseEvent, QWheelEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractItemView,
    QApplication,
    QComboBox,
    QDialog,
    QFileDialog,
    QInputDialog,
    QLineEdit,
    QMenu,
    QPushButton,
    QWidget,
)

LEFT, NONE = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
HELD = [NONE] * 4 + [Qt.KeyboardModifier.ShiftModifier, Qt.KeyboardModifier.ControlModifier]
NONSENSE = [
    "",
    "x" * 1500,
    "häß 漢",
    "%s {0}",
    *["0", "-3", "1e9", "nan", "inf", "../../x", "1,25", "−2", ".5", "#12f", "<b>"],
]
KEYS = [Qt.Key(k) for k in range(Qt.Key.Key_A.value, Qt.Key.Key_Z.value + 1) if k != Qt.Key.Key_Q.value] + [
    Qt.Key.Key_Return,
    Qt.Key.Key_Escape,
    Qt.Key.Key_Tab,
    Qt.Key.Key_Space,
    Qt.Key.Key_Up,
    Qt.Key.Key_Down,
    Qt.Key.Key_Left,
    Qt.Key.Key_Right,
    Qt.Key.Key_Home,
    Qt.Key.Key_Delete,
    Qt.Key.Key_Comma,
    Qt.Key.Key_Period,
]
SHY = (
    "Size of",
    *["Close", "demo", "tour", "Deliver", "Open", "New", "Language", "intake", "Save", "file", "recipe", "Collect"],
)
"""Words of menus that lead out of the project, or write files; they are tried by acts of their own."""


class Robot:
    """Acts on a window.

    Parameters
    ----------
    window : Window
    folder : Path
        Where it saves, and where pictures to drop lie.
    seed : int
    pictures : list of Path
    """

    def __init__(self, window, folder, seed, pictures):
        self.w, self.folder, self.pictures = window, folder, pictures
        self.chance = random.Random(seed)
        self.faults, self.acts, self.slow = [], [], []
        self.worst = Counter()
        window.ask_unsaved = lambda: self.chance.choice(["discard", "keep", "save"])
        window.ask_changed = lambda _p: "overwrite"
        window.ask_kept = lambda _k: "keep"
        window.ask_under_way = lambda _w: "keep"
        self._answers = QTimer(window, interval=40)
        self._answers.timeout.connect(self._answer)
        self._answers.start()

    # Watching ------------------------------------------------------------------------------------

    def __enter__(self):
        self._before = sys.excepthook, threading.excepthook, qInstallMessageHandler(self._qt)
        sys.excepthook = lambda kind, e, tb: self.fault("".join(traceback.format_exception(kind, e, tb)[-4:]))
        threading.excepthook = lambda a: self.fault(f"in a thread: {a.exc_type.__name__} {a.exc_value}")
        kept = {
            n: getattr(QFileDialog, n)
            for n in ("getOpenFileName", "getOpenFileNames", "getSaveFileName", "getExistingDirectory")
        }
        self._dialogs = kept, QInputDialog.getText
        for name, said in (
            ("getOpenFileName", ("", "")),
            ("getOpenFileNames", ([], "")),
            ("getSaveFileName", ("", "")),
            ("getExistingDirectory", ""),
        ):
            setattr(QFileDialog, name, staticmethod(lambda *a, said=said, **k: said))
        QInputDialog.getText = staticmethod(lambda *a, **k: (self.chance.choice(NONSENSE)[:40], True))
        return self

    def __exit__(self, *_):
        self._answers.stop()
        sys.excepthook, threading.excepthook = self._before[:2]
        qInstallMessageHandler(self._before[2])
        for name, was in self._dialogs[0].items():
            setattr(QFileDialog, name, was)
        QInputDialog.getText = self._dialogs[1]

    def _qt(self, _kind, _context, words):
        if "propagateSizeHints" not in words and "plugin does not support" not in words:
            self.fault(f"Qt: {words}")

    def fault(self, words):
        self.faults.append(f"after {' / '.join(self.acts[-4:])}: {words[-700:]}")

    def _answer(self):
        popup, dialog = QApplication.activePopupWidget(), QApplication.activeModalWidget()
        if popup is not None:
            QTest.keyClick(popup, self.chance.choice([Qt.Key.Key_Escape, Qt.Key.Key_Down]))
        elif isinstance(dialog, QDialog):
            buttons = [b for b in dialog.findChildren(QPushButton) if b.isVisible() and b.isEnabled()]
            if buttons and self.chance.random() < 0.5:
                self.chance.choice(buttons).click()
            else:
                dialog.reject()

    # Acts ----------------------------------------------------------------------------------------

    def _seen(self, kind):
        top = QApplication.activeModalWidget() or self.w
        return [
            x
            for x in top.findChildren(kind)
            if x.isVisible() and x.isEnabled() and x.width() > 2 and not x.visibleRegion().isEmpty()
        ]

    def _some(self, kind):
        rows = self._seen(kind)
        return self.chance.choice(rows) if rows else None

    def _at(self, widget):
        across, down = max(widget.width() - 1, 0), max(widget.height() - 1, 0)
        return QPoint(self.chance.randint(0, across), self.chance.randint(0, down))

    def station(self):
        QTest.mouseClick(self.chance.choice(list(self.w.track.stops.values())), LEFT)

    def button(self):
        b = self._some(QAbstractButton)
        if b is not None and not any(k in b.text() for k in SHY) and not (isinstance(b, QPushButton) and b.menu()):
            QTest.mouseClick(b, LEFT, self.chance.choice(HELD))

    def menu(self):
        b = self._some(QPushButton)
        if b is not None and b.menu():
            b.menu().aboutToShow.emit()
            self._trigger(b.menu())

    def _trigger(self, menu: QMenu):
        rows = [a for a in menu.actions() if a.isEnabled() and not a.isSeparator() and not any(k in a.text() for k in SHY)]
        if rows:
            action = self.chance.choice(rows)
            if action.menu():
                action.menu().aboutToShow.emit()
                self._trigger(action.menu())
            else:
                action.trigger()

    def menu_bar(self):
        self._trigger(self.chance.choice(self.w.menuBar().actions()).menu())

    def choice(self):
        c = self._some(QComboBox)
        if c is not None and c.count():
            i = self.chance.randrange(c.count())
            c.setFocus()
            c.setCurrentIndex(i)
            c.activated.emit(i)

    def row(self):
        v = self._some(QAbstractItemView)
        if v is not None and v.model() is not None and v.model().rowCount():
            box = v.visualRect(v.model().index(self.chance.randrange(v.model().rowCount()), 0))
            QTest.mouseClick(v.viewport(), LEFT, NONE, box.center())

    def typing(self):
        line = self._some(QLineEdit)
        if line is not None:
            line.setFocus()
            line.insert(self.chance.choice(NONSENSE))
            if hasattr(line, "typing"):
                line.typing = True
            if self.chance.random() < 0.7:
                QTest.keyClick(line, self.chance.choice([Qt.Key.Key_Return, Qt.Key.Key_Tab, Qt.Key.Key_Escape]))

    def number(self):
        from mivex.ui.fields.number import Bar

        bar = self._some(Bar)
        if bar is not None:
            bar.setFocus()
            for key in self.chance.choice(["1", ".5", "-2", "77777", "0.", "e"]):
                QTest.keyClicks(QApplication.focusWidget() or bar, key)
            if self.chance.random() < 0.7:
                end = self.chance.choice([Qt.Key.Key_Return, Qt.Key.Key_Escape])
                QTest.keyClick(QApplication.focusWidget() or bar, end)

    def drag(self):
        rows = [x for x in self._seen(QWidget) if x.width() > 40 and type(x).__module__.startswith("mivex")]
        if rows:
            x, held = self.chance.choice(rows), self.chance.choice(HELD)
            QTest.mousePress(x, LEFT, held, self._at(x))
            for _ in range(self.chance.randint(1, 5)):
                at = QPointF(self._at(x))
                QApplication.sendEvent(
                    x, QMouseEvent(QEvent.Type.MouseMove, at, x.mapToGlobal(at), Qt.MouseButton.NoButton, LEFT, held)
                )
            if self.chance.random() < 0.1:
                self.w.session.undo()
            QTest.mouseRelease(x, LEFT, held, self._at(x))

    def wheel(self):
        x = self._some(QWidget)
        if x is not None:
            at = QPointF(self._at(x))
            turn = QPoint(0, self.chance.choice([-120, 120]))
            event = QWheelEvent(
                at,
                x.mapToGlobal(at),
                QPoint(),
                turn,
                Qt.MouseButton.NoButton,
                self.chance.choice(HELD),
                Qt.ScrollPhase.NoScrollPhase,
                False,
            )
            QApplication.sendEvent(x, event)

    def key(self):
        QTest.keyClick(QApplication.focusWidget() or self.w, self.chance.choice(KEYS), self.chance.choice(HELD))

    def undo(self):
        for _ in range(self.chance.randint(1, 9)):
            (self.w.session.redo if self.chance.random() < 0.4 else self.w.session.undo)()

    def drop(self):
        self.w.add_pictures([str(p) for p in self.chance.sample(self.pictures, self.chance.randint(1, 3))])

    def save(self):
        self.w.save()

    def close(self):
        """Closing at work: kept, or (with “save”) it would go; the robot then keeps it open."""
        asked, self.w.ask_unsaved = self.w.ask_unsaved, lambda: "keep"
        if not self.w.session.saved:
            self.w.close()
        self.w.ask_unsaved = asked

    ACTS = (
        ("station", 10),
        ("button", 13),
        ("menu", 8),
        ("menu_bar", 4),
        ("choice", 8),
        ("row", 9),
        ("typing", 7),
        ("number", 8),
        ("drag", 14),
        ("wheel", 4),
        ("key", 13),
        ("undo", 5),
        ("drop", 2),
        ("save", 2),
        ("close", 1),
    )

    def act(self):
        names, weights = zip(*self.ACTS, strict=True)
        name = self.chance.choices(names, weights)[0]
        self.acts.append(name)
        begun = time.thread_time()
        try:
            getattr(self, name)()
        except RuntimeError as e:
            if "already deleted" not in str(e):  # the robot's own hand on what has just gone
                raise
        at_once = time.thread_time() - begun
        begun = time.thread_time()
        QApplication.processEvents()
        took = max(at_once, time.thread_time() - begun)
        self.worst[name] = max(self.worst[name], round(took * 1e3))
        if took > 0.1:
            self.slow.append((round(took * 1e3), name))
        if not self.w.isVisible():
            self.fault("the window is gone")

    # What must hold ------------------------------------------------------------------------------

    def rest(self):
        from mivex.ui.shell.app import wait_until_idle

        self.w.desk.play(False)
        for _ in range(60):
            if not (QApplication.activeModalWidget() or QApplication.activePopupWidget()):
                break
            self._answer()
            QApplication.processEvents()
        self.w.commit_typing()
        self.w.flat.canvas.hand.release()
        self.w.stage.canvas.hand.release()
        wait_until_idle(self.w)

    def hold(self):
        """Undone and redone, saved and read again: the same."""
        from mivex.core.project.file import read_project
        from mivex.ui.shell.app import wait_until_idle

        s = self.w.session
        self.rest()
        now, count = s.doc, 0
        while s.undo_label and count < 400:
            s.undo()
            count += 1
        for _ in range(count):
            s.redo()
        if s.doc != now:
            self.fault(f"{count} undone and redone: another document")
        self.w.save()
        wait_until_idle(self.w)
        if s.path is not None and (not s.saved or read_project(s.path) != s.doc):
            self.fault("what was saved is not what is open")

    def run(self, count, stretch=100):
        for i in range(count):
            self.act()
            if (i + 1) % stretch == 0 or i + 1 == count:
                self.hold()


def project(folder: Path, count=6):
    """A small project, and pictures to drop."""
    import numpy as np
    from sprites import disc, paint, rgba

    from mivex.core.picture.encode import write_picture
    from mivex.core.project import edits
    from mivex.core.project.document import Document
    from mivex.core.project.file import write_project

    pictures = []
    for i, side in enumerate((16, 24, 40, 64)):
        path = folder / f"p{side}.png"
        write_picture(path, np.ascontiguousarray(rgba(paint(side), disc(side))[:, : side - 5 * (i % 2)]))
        pictures.append(path)
    doc = Document()
    for i, kind in enumerate(("glass", "decal", "sprite", "logo", "cloth", "sprite")[:count]):
        doc, _ = edits.add_overlay(doc, f"Thing {i}", kind, pictures[i % 4].name)
    doc, _ = edits.add_blank(doc, "Drawn", "glass", (64, 48))
    write_project(folder / "robot.mivex", doc)
    return folder / "robot.mivex", pictures


if __name__ == "__main__":
    import tempfile

    sys.path.insert(0, str(Path(__file__).parent))
    home = tempfile.mkdtemp(prefix="robot-")
    for place in ("XDG_CONFIG_HOME", "XDG_STATE_HOME", "XDG_DATA_HOME"):
        os.environ[place] = home
    from mivex.ui.shell.app import application, wait_until_idle
    from mivex.ui.shell.window import Window

    application()
    window = Window()
    window.resize(1280, 800)
    window.show()
    path, rows = project(Path(home))
    window.session.open(path)
    wait_until_idle(window)
    with Robot(window, Path(home), int(sys.argv[1]), rows) as robot:
        robot.run(int(sys.argv[2]))
    print(f"{len(robot.acts)} acts, {len(robot.faults)} faults, {len(robot.slow)} over 100 ms: {sorted(robot.slow)[-8:]}")
    print("\n".join(robot.faults[:12]))
    sys.stdout.flush()
    os._exit(bool(robot.faults))
