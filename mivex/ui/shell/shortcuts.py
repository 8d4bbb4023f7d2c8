"""The sheet of keys."""

from PySide6.QtWidgets import QDialog, QGridLayout, QLabel, QWidget

ROWS = (
    ("Project", (("Ctrl+N, Ctrl+O, Ctrl+S", "new, open, save"), ("Ctrl+Z, Ctrl+Shift+Z", "undo, redo"),
                 ("Ctrl+I, Ctrl+Shift+I", "add pictures, add a drawn overlay"),
                 ("Ctrl+D, Ctrl+Backspace", "copy, remove the overlay"),
                 ("Ctrl+E, Ctrl+Shift+E", "deliver, deliver all"))),
    ("Track", (("Alt+1 … Alt+7", "Source, Alpha, Colour, Edges, Blend, Place, Deliver"),
               ("F2, F3, F4", "both proofs, flat alone, stage alone"))),
    ("Flat proof", (("B", "next backdrop"), ("D", "before and after"), ("[  ]", "finer, coarser mip level"),
                    ("L, Shift+L", "every mip level, far sizes"), ("Shift+B, T", "all backdrops, repeated"),
                    ("Shift+T, M", "its border, magnified"), ("F, Shift+F", "whole picture, one texel to one pixel"))),
    ("In the picture", (("drag a handle", "place a fall-off, a text, a shape"),
                        ("right button", "takes away while painting"), ("Ctrl and wheel", "size of the brush"))),
    ("Curves, ramps", (("click, drag", "add, move"), ("Space, arrows", "choose, move"), ("Delete", "remove"),
                       ("Return", "another colour"))),
    ("Stage", (("C", "next camera"), ("drag, Shift-drag, wheel", "look round, pan, come near"),
               ("drag an overlay", "move it; Ctrl-drag pushes it away"))),
    ("Numbers", (("drag, Shift-drag", "change, change finely"), ("Return or a digit", "type"),
                 ("Left, Right", "step"), ("Home", "usual value"), ("Double click on a name", "usual value"))),
)


class ShortcutSheet(QDialog):
    """All keys on one page."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle("Keys")
        grid = QGridLayout(self)
        grid.setContentsMargins(20, 16, 24, 20)
        grid.setHorizontalSpacing(20)
        grid.setVerticalSpacing(4)
        row = 0
        for title, keys in ROWS:
            head = QLabel(title)
            head.setObjectName("section")
            grid.addWidget(head, row, 0, 1, 2)
            row += 1
            for key, what in keys:
                label = QLabel(key)
                label.setObjectName("key")
                grid.addWidget(label, row, 0)
                grid.addWidget(QLabel(what), row, 1)
                row += 1
            grid.setRowMinimumHeight(row, 8)
            row += 1
