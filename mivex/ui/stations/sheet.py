"""Controls of the station Sheet: where the frames lie, how they play, their outlines."""

from typing import Any

from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton

from mivex.core.base.errors import MivexError
from mivex.core.base.kept import cached_or_none
from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay
from mivex.core.sheet.flow import Halving
from mivex.core.sheet.guess import guess
from mivex.core.sheet.model import HALVED, Grid, Sheet
from mivex.ui import theme
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.labels import label
from mivex.ui.fields.player import FramePlayer
from mivex.ui.stations.base import Page, Station

MADE_FROM = {
    "pictures": "Pictures …",
    "animated": "An animated picture …",
    "seeds": "This overlay, under other seeds …",
    "varied": "This overlay, as one of its settings changes …",
    "baked": "This overlay's own animation …",
}


def build_sheet(c: Page, o: Overlay) -> None:
    """Grids, playing, outlines, figures."""
    row = QHBoxLayout()
    find = QPushButton(tr("Find the frames"))
    find.setObjectName("main" if not o.sheet.grids else "")
    find.setToolTip(tr("Looks for rows and columns in the picture: by how alike its parts are, and by drawn lines"))
    find.clicked.connect(lambda: find_frames(c, o.id))
    row.addWidget(find)
    build = QPushButton(tr("Build a sheet"))
    menu = QMenu(build)
    for key, words in MADE_FROM.items():
        menu.addAction(tr(words)).triggered.connect(lambda _=False, k=key: c.sheet_wanted.emit(k))
    build.setMenu(menu)
    row.addWidget(build)
    row.addStretch()
    c.column.addLayout(row)
    found = c.guesses.get((o.id, o.source.path))
    if found is not None:
        words = (
            Message("{confidence:.0%} sure: {why}.", confidence=found.confidence, why=term(found.why))
            if found.grids
            else Message("No frames found. {why}", why=term(found.why))
        )
        c.column.addWidget(label(words, "figure", wrap=True))
    c.column.addSpacing(6)
    if not o.sheet.grids:
        c.column.addWidget(
            label("One picture. If it holds several frames, find them, or say by hand where they lie.", "figure", wrap=True)
        )
        hand = QPushButton(tr("By hand: 4 × 4"))
        hand.clicked.connect(
            lambda: c.session.apply("Cut into cells", lambda d: _sheet(d, o.id, grids=(Grid(columns=4, rows=4),)))
        )
        c.column.addWidget(hand)
    for k, grid in enumerate(o.sheet.grids):
        _grid(c, o, k, grid)
    if o.sheet.grids:
        more = QHBoxLayout()
        another = QPushButton(tr("Another grid"))
        another.setToolTip(tr("For a picture whose parts have cells of another size"))
        another.clicked.connect(
            lambda: c.session.apply(
                "Add a grid",
                lambda d: _sheet(d, o.id, grids=(*((d.overlay(o.id) or o).sheet.grids), Grid(columns=2, rows=2))),
            )
        )
        more.addWidget(another)
        one = QPushButton(tr("One picture again"))
        one.clicked.connect(lambda: c.session.apply("One picture again", lambda d: _sheet(d, o.id, grids=())))
        more.addWidget(one)
        more.addStretch()
        c.column.addLayout(more)
        c.column.addSpacing(8)
        c.column.addWidget(label("Playing", "section"))
        player = FramePlayer(
            lambda: c.engine.get(o.id).texture, lambda: (c.session.doc.overlay(o.id) or o).sheet, c.desk, c.between
        )
        c.column.addWidget(player)
        c.live.append(player.refresh)
        for key in ("play", "rate", "blend", *(("vectors",) if o.sheet.blend else ())):
            _field(c, o, key)
        if o.sheet.blend and o.sheet.vectors:
            _halved(c, o)
    c.column.addSpacing(8)
    c.column.addWidget(label("Outline", "section"))
    for key in ("hull", *(("hull_each", "hull_limit") if o.sheet.hull >= 4 else ())):
        _field(c, o, key)
    line = label("", "figure", wrap=True)
    c.column.addWidget(line)

    def live() -> None:
        r = c.engine.get(o.id)
        now = c.session.doc.overlay(o.id) or o
        parts: list[str] = []
        if r.texture is not None and r.texture.traits.cells:
            n = len(r.texture.traits.cells)
            parts.append(Message("{n} frames, index 0 to {n2}.", n=n, n2=n - 1))
        saved, safe = c.sheet_figures(now)
        if saved is not None and now.sheet.hull >= 4:
            parts.append(Message("The outline leaves out {saved:.0%} of the area.", saved=saved))
        if safe is not None:
            parts.append(
                Message("Frames keep apart to mip level {safe}.", safe=safe)
                if safe >= 0
                else "Frames bleed into each other at every mip level."
            )
        line.setText(tr(joined(" ", parts)))

    c.live.append(live)


def _halved(c: Page, o: Overlay) -> None:
    """How near half as many frames come."""
    said = label("", "figure", wrap=True)
    c.column.addWidget(said)

    def live() -> None:
        t, now = c.engine.get(o.id).texture, (c.session.doc.overlay(o.id) or o).sheet
        found = cached_or_none(t, ("halving", "loop" if now.play == "random" else now.play)) if t is not None else None
        told = ""
        if isinstance(found, Halving):
            told = Message(HALVED, stepped=found.stepped, faded=found.faded, moved=found.moved)
        said.setText(tr(told))
        said.setVisible(bool(told))

    c.live.append(live)


def _sheet(d: Document, key: str, **values: Any) -> Document:
    return edits.set_fields(d, key, "sheet", **values)


def _field(c: Page, o: Overlay, key: str) -> None:
    field = field_for(Sheet, key, lambda: getattr((c.session.doc.overlay(o.id) or o).sheet, key))
    if key == "hull":
        # Three corners are no outline: 1 to 3 mean 4.
        field.edited.connect(
            c.edit_with("Change outline", f"{o.id} hull", lambda d, v: _sheet(d, o.id, hull=0 if v < 1 else max(4, int(v))))
        )
    else:
        field.edited.connect(
            c.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                f"{o.id} sheet {key}",
                lambda d, v: _sheet(d, o.id, **{key: v}),
            )
        )
    c.add_field(field)


def _grid(c: Page, o: Overlay, k: int, grid: Grid) -> None:
    head = QHBoxLayout()
    head.addWidget(label("Cells" if len(o.sheet.grids) == 1 else Message("Cells, grid {k}", k=k + 1), "section"))
    head.addStretch()
    if len(o.sheet.grids) > 1:
        gone = theme.tool("remove", "Remove this grid", theme.SOFT)
        gone.setAccessibleName(tr(Message("Remove grid {k}", k=k + 1)))
        gone.clicked.connect(
            lambda: c.session.apply(
                "Remove a grid",
                lambda d: _sheet(
                    d, o.id, grids=tuple(g for i, g in enumerate((d.overlay(o.id) or o).sheet.grids) if i != k)
                ),
            )
        )
        head.addWidget(gone)
    c.column.addLayout(head)

    def now() -> Grid:
        grids = (c.session.doc.overlay(o.id) or o).sheet.grids
        return grids[k] if k < len(grids) else grid

    def write(d: Document, key: str, v: object) -> Document:
        grids = list((d.overlay(o.id) or o).sheet.grids)
        if k < len(grids):
            grids[k] = edits.revalidated(grids[k], **{key: v, **({"unused": ()} if key in ("columns", "rows") else {})})
        return _sheet(d, o.id, grids=tuple(grids))

    for key in ("columns", "rows", "count", "left", "top", "width", "height", "gutter"):
        field = field_for(Grid, key, lambda i=key: getattr(now(), i))  # type: ignore[misc]
        field.edited.connect(
            c.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                f"{o.id} grid {k} {key}",
                lambda d, v, i=key: write(d, i, v),
            )
        )  # type: ignore[misc]
        c.add_field(field)
    if grid.unused:
        none = ", ".join(map(str, grid.unused[:12]))
        c.column.addWidget(label(Message("Cells that hold no frame: {none}.", none=none), "figure", wrap=True))
    start = c.engine.get(o.id).picture
    if start is not None:
        try:
            grid.cells(start.width, start.height)
        except MivexError as e:
            c.column.addWidget(label(str(e), "finding", wrap=True))


def find_frames(c: Page, key: str) -> None:
    """Guess the grid from the picture, in the background."""
    o = c.session.doc.overlay(key)
    r = c.engine.get(key)
    if o is None or r.picture is None:
        return
    values = r.picture.values

    def take(found: Any) -> None:
        c.guesses[key, o.source.path] = found
        if found.grids:
            c.session.apply("Find the frames", lambda d: _sheet(d, key, grids=found.grids))
        c.refresh()

    def work(_report: Any, _stopped: Any) -> object:
        found = guess(values)
        return lambda: take(found)

    c.session.jobs.ask(None, lambda: work)


def _shape(c: Page, o: Overlay) -> object:
    return (
        len(o.sheet.grids),
        o.sheet.hull >= 4,
        o.sheet.blend,
        o.sheet.vectors,
        tuple(g.unused for g in o.sheet.grids),
        (o.id, o.source.path) in c.guesses,
        c.engine.get(o.id).problem,
        c.engine.get(o.id).picture is None,
    )


STATION = Station(
    "sheet",
    "Sheet",
    "Where its frames lie, and how they play.",
    35,
    build_sheet,
    lambda o: bool(o.sheet.grids) or o.sheet.hull > 0,
    _shape,
)
"""Registered."""
