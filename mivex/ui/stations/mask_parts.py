"""The mask of a layer: its parts, each with what it takes its values from."""

from collections.abc import Callable, Mapping
from typing import Any

from PySide6.QtWidgets import QCheckBox, QFrame, QHBoxLayout, QMenu, QPushButton, QVBoxLayout

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term, verbatim
from mivex.core.layers.model import Geometry, Group, Layer, MaskPart, Range, Shaping
from mivex.core.layers.patterns import PATTERNS
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Overlay
from mivex.core.project.layering import mesh_place
from mivex.ui import theme
from mivex.ui.fields.fields import ChoiceField
from mivex.ui.fields.forms import shown_keys
from mivex.ui.fields.labels import enable, label
from mivex.ui.fields.number import NumberField
from mivex.ui.stations.base import Page
from mivex.ui.stations.part_fields import PARTS, Write, laid_fields, more_line, part_fields, pattern_field


def build_mask(c: Page, o: Overlay, row: Layer | Group) -> None:
    """The parts of a row's mask, each a card."""
    c.column.addSpacing(4)
    head = QHBoxLayout()
    head.addWidget(label("Its mask", "section"))
    head.addStretch()
    add = QPushButton(tr("Add a part"))
    add.setIcon(theme.icon("plus"))
    menu = QMenu(add)
    for source, words in PARTS.items():
        menu.addAction(tr(words), lambda k=source: _add_part(c, o, row, k))
    add.setMenu(menu)
    head.addWidget(add)
    c.column.addLayout(head)
    if not row.mask.parts:
        c.column.addWidget(label("None: the layer acts everywhere.", "figure"))
    for i, part in enumerate(row.mask.parts):
        _part_card(c, o, row, i, part)


def _add_part(c: Page, o: Overlay, row: Layer | Group, source: str) -> None:
    values: dict[str, Any] = {"source": source}
    if source == "picture":
        path = c.choose_file("file")
        if not path:
            return
        values["path"] = path
    if source == "pattern":
        values["pattern"] = PATTERNS["noise"].params()
    if source == "below":
        values["of"] = "opacity"
    if source == "overlay":
        values["channel"] = "alpha"
    if source == "painted":
        values["value"] = 0.0 if not row.mask.parts else 1.0
    part = MaskPart.model_validate(values)
    c.session.apply("Add to the mask", lambda d: layer_edits.set_parts(d, o.id, row.id, lambda parts: (*parts, part)))


Set = Callable[[Any, str, Any], Any]
"""``write(doc, key, value)`` gives the document in which a setting of a part is another."""


def _card_head(
    c: Page,
    o: Overlay,
    row: Layer | Group,
    i: int,
    part: MaskPart,
    now: Callable[[], MaskPart],
    write: Callable[[Any, str, Any], Any],
) -> QHBoxLayout:
    """Title and switch of a part, and the buttons that move and remove it."""
    head = QHBoxLayout()
    head.setSpacing(0)
    title = PATTERNS[part.pattern.kind].label if part.source == "pattern" and part.pattern else PARTS[part.source]
    switch = QCheckBox(tr(title).rstrip(" …"))
    switch.setStyleSheet("font-weight: 600;")
    switch.clicked.connect(lambda on: c.session.apply("Switch part", lambda d: write(d, "on", on)))
    c.live.append(lambda: switch.setChecked(now().on))
    head.addWidget(switch)
    head.addStretch()
    for name, tip, ok, change in (
        ("up", "Earlier", i > 0, lambda p: (*p[: i - 1], p[i], p[i - 1], *p[i + 1 :])),
        ("down", "Later", i + 1 < len(row.mask.parts), lambda p: (*p[:i], p[i + 1], p[i], *p[i + 2 :])),
        ("remove", "Remove this part", True, lambda p: (*p[:i], *p[i + 1 :])),
    ):
        button = theme.tool(name, tip, theme.SOFT)
        enable(button, ok, "There is nothing beyond it")
        button.clicked.connect(
            lambda _=False, t=tip, f=change: c.session.apply(  # type: ignore[misc]
                t, lambda d: layer_edits.set_parts(d, o.id, row.id, f)
            )
        )
        head.addWidget(button)
    return head


def _part_card(c: Page, o: Overlay, row: Layer | Group, i: int, part: MaskPart) -> None:
    def now() -> MaskPart:
        r = (c.session.doc.overlay(o.id) or o).layers.row(row.id)
        return r.mask.parts[i] if r is not None and i < len(r.mask.parts) else part

    def write(d: Any, key: str, v: Any) -> Any:
        return layer_edits.set_part(d, o.id, row.id, i, **{key: v})

    def one_of(name: str, hint: str, key: str, edit: str, choices: Mapping[str, Any]) -> None:
        field = ChoiceField(
            name,
            hint,
            lambda: v if (v := getattr(now(), key)) in choices else "",
            "",
            {"": "None yet", **choices},
        )
        field.edited.connect(c.edit_with(edit, "", lambda d, v: write(d, key, v)))
        c.add_field(field, box)

    card = QFrame()
    card.setObjectName("card")
    box = QVBoxLayout(card)
    box.setContentsMargins(9, 5, 5, 7)
    box.setSpacing(2)
    box.addLayout(_card_head(c, o, row, i, part, now, write))
    merge = f"{row.id} mask {i}"
    if i > 0:
        part_fields(c, part, ["join"], now, write, merge, box)
    if part.source == "pattern":
        pattern_field(c, lambda: now().pattern, lambda d, p: write(d, "pattern", p), merge, box)
    elif part.source == "painted":
        _painted(c, o, row, i, part, box)
        part_fields(c, part, ["value"], now, write, merge, box)
    elif part.source == "geometry":
        _geometry(c, o, part.geometry, lambda: now().geometry, lambda d, g: write(d, "geometry", g), merge, box)
    elif part.source == "region":
        _region(c, o, row, i, part, box)
    elif part.source == "layer":
        others = {r.id: verbatim(r.name) if r.name else "Layer" for r in o.layers.walk() if r.id != row.id}
        one_of("Layer", "Whose mask or channel is read.", "layer", "Choose layer", others)
        part_fields(c, part, ["of"], now, write, merge, box)
    elif part.source == "below":
        part_fields(c, part, ["of"], now, write, merge, box)
    elif part.source == "overlay":
        rest = {x.id: verbatim(x.name) for x in c.session.doc.overlays if x.id != o.id and x.source.ready}
        one_of("Overlay", "Whose result is read.", "overlay", "Choose overlay", rest)
        part_fields(c, part, ["channel"], now, write, merge, box)
    else:
        part_fields(
            c,
            part,
            shown_keys(
                part,
                (
                    "on",
                    "source",
                    "join",
                    "pattern",
                    "strokes",
                    "geometry",
                    "faces",
                    "layer",
                    "overlay",
                    "shape",
                    "warp_by",
                    "laid",
                    "invert",
                    "levels",
                    "contrast",
                    "balance",
                ),
            ),
            now,
            write,
            merge,
            box,
        )
    part_fields(c, part, ["invert"], now, write, merge, box)
    if part.source != "flat":
        space = part.source == "pattern" and mesh_place(o) is not None
        laid_fields(c, part.laid, lambda: now().laid, lambda d, v: write(d, "laid", v), merge, box, space=space)
        _shape(c, part, now, write, merge, box)
    if more_line(
        c, f"{merge} levels", "contrast, levels", bool(part.contrast or part.balance or not part.levels.plain), box
    ):
        part_fields(c, part, ["contrast", "balance"], now, write, merge, box)
        part_fields(
            c,
            part.levels,
            list(Range.model_fields),
            lambda: now().levels,
            lambda d, key, v: write(d, "levels", edits.revalidated(now().levels, **{key: v})),
            merge,
            box,
        )
    c.column.addWidget(card)


def _shape(c: Page, part: MaskPart, now: Callable[[], MaskPart], write: Set, merge: str, box: QVBoxLayout) -> None:
    """Blurred, grown, turned into a distance, warped; folded until it is asked for."""
    if not more_line(c, f"{merge} shape", "blurred, grown, warped", part.shape != Shaping(), box):
        return
    part_fields(
        c,
        part.shape,
        ["blur", "grow", "distance", "warp", "goes_round"],
        lambda: now().shape,
        lambda d, key, v: write(d, "shape", edits.revalidated(now().shape, **{key: v})),
        f"{merge} shape",
        box,
    )
    if part.shape.warp > 0:
        box.addWidget(label("Warped by", "section"))
        usual = PATTERNS["noise"].params()
        pattern_field(c, lambda: now().warp_by or usual, lambda d, p: write(d, "warp_by", p), f"{merge} warp", box)


def _painted(c: Page, o: Overlay, row: Layer | Group, i: int, part: MaskPart, box: QVBoxLayout) -> None:
    line = QHBoxLayout()
    paint = QPushButton(tr("Paint here"))
    paint.setCheckable(True)
    paint.clicked.connect(lambda on: c.paint_part(i if on else -1, on))
    c.live.append(lambda: paint.setChecked(c.painting and c.painted_part == i))
    line.addWidget(paint)
    said = label("", "figure")
    line.addWidget(said, 1)
    gone = theme.tool("remove", "Remove the last stroke", theme.SOFT)

    def live() -> None:
        now = (c.session.doc.overlay(o.id) or o).layers.row(row.id)
        count = len(now.mask.parts[i].strokes) if now is not None and i < len(now.mask.parts) else 0
        said.setText(tr(Message("{count} stroke{ending}", count=count, ending="" if count == 1 else "s")))
        enable(gone, count > 0, "There is no stroke yet")

    c.live.append(live)
    gone.clicked.connect(
        lambda: c.session.apply("Remove stroke", lambda d: layer_edits.set_strokes(d, o.id, row.id, lambda s: s[:-1], i))
    )
    line.addWidget(gone)
    box.addLayout(line)
    if c.painting and c.painted_part == i:
        value = NumberField(
            "Painted value",
            "1 lets the layer through, 0 holds it back.",
            lambda: float(c.session.brush.values.get("mask", 1.0)),
            1.0,
            low=0,
            high=1,
            hard=(0, 1),
        )
        value.edited.connect(lambda v: c.session.set_brush(values={**c.session.brush.values, "mask": v}))
        c.add_field(value, box)


def _geometry(
    c: Page, o: Overlay, was: Geometry, read: Callable[[], Any], put: Write, merge: str, box: QVBoxLayout
) -> None:
    place = mesh_place(o)
    words = (
        Message("Found on “{file}”.", file=place.path.rsplit("/", 1)[-1])
        if place
        else "It sits on no mesh: found from the layers' heights."
    )
    box.addWidget(label(words, "figure", wrap=True))
    part_fields(
        c, was, shown_keys(was, ()), read, lambda d, key, v: put(d, edits.revalidated(read(), **{key: v})), merge, box
    )


def _region(c: Page, o: Overlay, row: Layer | Group, i: int, part: MaskPart, box: QVBoxLayout) -> None:
    if mesh_place(o) is None:
        box.addWidget(
            label(
                "It sits on no mesh. Place it on one at the station Place; its faces can then be chosen on the stage "
                "or in the flat proof.",
                "figure",
                wrap=True,
            )
        )
        return
    line = QHBoxLayout()
    for what, words in (("island", "Islands"), ("part", "Parts"), ("face", "Faces")):
        button = QPushButton(tr(words))
        button.setCheckable(True)
        button.setToolTip(tr("Click on the stage or in the flat proof; click again to give it back."))
        button.clicked.connect(lambda on, k=what: c.faces.choose(i if on else -1, k))
        c.live.append(lambda b=button, k=what: b.setChecked(c.faces.part == i and c.faces.by == k))  # type: ignore[misc]
        line.addWidget(button)
    box.addLayout(line)
    line = QHBoxLayout()
    for words, by in (("Grow", 1), ("Shrink", -1)):
        button = QPushButton(tr(words))
        button.clicked.connect(lambda _=False, by=by: c.faces.grow(row.id, i, by))  # type: ignore[misc]
        line.addWidget(button)
    none = QPushButton(tr("Give all back"))
    none.clicked.connect(
        lambda: c.session.apply("Give faces back", lambda d: layer_edits.set_part(d, o.id, row.id, i, faces=""))
    )
    line.addWidget(none)
    box.addLayout(line)
    box.addWidget(
        label(
            "None chosen yet."
            if not part.faces
            else Message("Faces {faces}{ending}", faces=part.faces[:40], ending=term(" …" if len(part.faces) > 40 else "")),
            "figure",
        )
    )
