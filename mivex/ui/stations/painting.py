"""What a layer is painted with: shown under the table while a layer is chosen."""

from typing import Any

from PySide6.QtWidgets import QCheckBox, QHBoxLayout, QPushButton

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message
from mivex.core.layers.channels import CHANNELS, COLOURED, TABLE
from mivex.core.layers.model import Layer
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.patterns.base import PatternParams
from mivex.core.layers.strokes import Tip
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Overlay
from mivex.core.project.layering import mesh_place
from mivex.ui import theme
from mivex.ui.fields.fields import ChoiceField, ColourField, Field, SwitchField
from mivex.ui.fields.forms import field_for, shown_keys
from mivex.ui.fields.labels import enable, label
from mivex.ui.fields.number import NumberField
from mivex.ui.session.brush import DOES, HINTS, MEASURES, STAYS
from mivex.ui.stations.base import Page

PRESSURES = {"speed": "By the speed", "full": "Always full"}


def build_painting(c: Page, o: Overlay, row: Layer) -> None:
    """The switch that begins painting; then what is painted, with what."""
    c.column.addSpacing(6)
    head = QHBoxLayout()
    paint = QPushButton(tr("Paint on this layer"))
    paint.setCheckable(True)
    paint.setToolTip(tr("Paint in the flat proof or on the stage   (P)"))
    paint.clicked.connect(lambda on: c.paint_part(-1, on))
    c.live.append(lambda: paint.setChecked(c.painting))
    head.addWidget(paint)
    said = label("", "figure")
    head.addWidget(said, 1)
    gone = theme.tool("remove", "Remove the last stroke", theme.SOFT)

    # Only the count follows here; the page itself is built anew when the first stroke comes.
    def live() -> None:
        # Strokes come quickly: what tells of them follows without the controls being built anew.
        now = (c.session.doc.overlay(o.id) or o).layers.row(row.id)
        count = len(now.strokes) if isinstance(now, Layer) else 0
        said.setText(tr(Message("{count} stroke{ending}", count=count, ending="" if count == 1 else "s")))
        enable(gone, count > 0, "There is no stroke yet")

    c.live.append(live)
    gone.clicked.connect(
        lambda: c.session.apply("Remove stroke", lambda d: layer_edits.set_strokes(d, o.id, row.id, lambda s: s[:-1]))
    )
    head.addWidget(gone)
    c.column.addLayout(head)
    if not c.painting:
        return
    b = c.session.brush
    does = ChoiceField("A stroke", HINTS[b.does], lambda: c.session.brush.does, "paint", DOES)
    does.edited.connect(lambda v: c.session.set_brush(does=v))
    c.add_field(does)
    c.column.addWidget(label(HINTS[b.does], "figure", wrap=True))
    if b.does == "paint" and c.painted_part < 0:
        _values(c)
    _tip(c)
    for name, hint, key in (
        (
            "Through points",
            "In the flat proof each click sets a point, and a smooth line goes through them; points can be dragged. A "
            "right click takes one away. Return, a double click, or a right click beside them ends the line.",
            "through_points",
        ),
        ("Fills an area", "A drag encloses an area, which is filled; on a mesh a click fills what it stays in.", "area"),
        ("Goes round", "What leaves one side comes in at the other: for pictures that repeat.", "wrap"),
        ("Mirrored", "The other half is painted as well.", "mirror"),
        ("Front only", "On the stage, faces seen from behind are left alone.", "front"),
    ):
        _switch(c, name, hint, key)
    if mesh_place(o) is not None:
        _on_mesh(c)
    stay = ChoiceField("Stays", "Where on a mesh a stroke may go.", lambda: c.session.brush.stay, "anywhere", STAYS)
    stay.edited.connect(lambda v: c.session.set_brush(stay=v))
    c.add_field(stay)
    press = ChoiceField(
        "Without a pen",
        "What stands for pressure when no pen is used.",
        lambda: c.session.brush.pressure,
        "speed",
        PRESSURES,
    )
    press.edited.connect(lambda v: c.session.set_brush(pressure=v))
    c.add_field(press)
    if row.strokes:
        _last(c, o, row)


def _on_mesh(c: Page) -> None:
    """Painting on the stage, on the mesh that carries the overlay: along its surface, and how large."""
    s = c.session
    _switch(
        c,
        "On the surface",
        "On the stage a stroke goes along the mesh, over edges and seams; without, it is drawn in the picture of the UVs.",
        "on_surface",
    )
    if not s.brush.on_surface:
        return
    measure = ChoiceField(
        "Size in", "What the tip's size on the mesh is given in.", lambda: s.brush.measure, "metres", MEASURES
    )
    measure.edited.connect(lambda v: s.set_brush(measure=v))
    c.add_field(measure)
    key, low, high, usual = ("metres", 0.002, 1.0, 0.08) if s.brush.measure == "metres" else ("pixels", 2.0, 300.0, 40.0)
    size = NumberField(
        "Size on the mesh",
        "Across, at full pressure.",
        lambda: getattr(s.brush, key),
        usual,
        low=low,
        high=high,
        hard=(low / 4, high * 10),
        unit="m" if key == "metres" else "px",
    )
    size.edited.connect(lambda v: s.set_brush(**{key: v}))
    c.add_field(size)


def _switch(c: Page, name: str, hint: str, key: str) -> None:
    field = SwitchField(name, hint, lambda: getattr(c.session.brush, key), key in ("front", "on_surface"))
    field.edited.connect(lambda v: c.session.set_brush(**{key: v}))
    c.add_field(field)


def _values(c: Page) -> None:
    """Which channels are painted, each with its value."""
    s = c.session
    c.column.addWidget(label("Channels it paints", "section"))
    for channel, word in CHANNELS.items():
        line = QHBoxLayout()
        line.setSpacing(4)
        on = QCheckBox()
        on.setFixedWidth(18)
        on.setAccessibleName(tr(Message("Paint {word}", word=InSentence(word))))
        on.setToolTip(tr(Message("Paint {word}", word=InSentence(word))))

        def switch(checked: bool, channel: str = channel) -> None:
            values = {k: v for k, v in s.brush.values.items() if k != channel}
            s.set_brush(values={**values, channel: TABLE[channel].ink} if checked else values)

        on.clicked.connect(switch)
        c.live.append(lambda b=on, k=channel: b.setChecked(k in s.brush.values))  # type: ignore[misc]
        line.addWidget(on)
        field: Field
        if channel in COLOURED:
            field = ColourField(
                word,
                "What the stroke leaves.",
                lambda k=channel: s.brush.values.get(k, TABLE[k].ink),
                TABLE[channel].ink,
                pick=True,
            )
            field.pick_wanted.connect(
                lambda k=channel: c.pick_wanted.emit(lambda rgb: s.set_brush(values={**s.brush.values, k: tuple(rgb)}))
            )
        else:
            low = -1 if channel == "height" else 0
            field = NumberField(
                word,
                "What the stroke leaves; opacity 0 makes a hole.",
                lambda k=channel: s.brush.values.get(k, TABLE[k].ink),
                TABLE[channel].ink,
                low=low,
                high=1,
                hard=(low, 1),
            )
        field.edited.connect(lambda v, k=channel: s.set_brush(values={**s.brush.values, k: v}))
        field.setEnabled(channel in s.brush.values)
        # A place of its own in the line: the field puts itself in together with its label.
        inner = QHBoxLayout()
        line.addLayout(inner, 1)
        c.add_field(field, inner)  # type: ignore[arg-type]
        c.column.addLayout(line)
    add = SwitchField("Adds light", "Colour is added to what is there, and alpha left alone.", lambda: s.brush.add, False)
    add.edited.connect(lambda v: s.set_brush(add=v))
    c.add_field(add)


def _tip(c: Page) -> None:
    s = c.session
    c.column.addWidget(label("Tip", "section"))
    for key in shown_keys(s.brush.tip, ("pattern",)):
        field = field_for(Tip, key, lambda key=key: getattr(s.brush.tip, key), c.choose_file)
        field.edited.connect(lambda v, key=key: s.set_brush(tip=edits.revalidated(s.brush.tip, **{key: v})))
        c.add_field(field)
    if s.brush.tip.form == "pattern":
        _pattern(c)


def _pattern(c: Page) -> None:
    """Which pattern follows the line, and its settings."""
    s = c.session

    def now() -> PatternParams:
        held = s.brush.tip.pattern
        return held if held is not None else PATTERNS["weld"].params()

    def put(pattern: PatternParams) -> None:
        s.set_brush(tip=edits.revalidated(s.brush.tip, pattern=pattern))

    kind = ChoiceField(
        "Pattern",
        "What follows the line, which runs through its middle.",
        lambda: now().kind,
        "weld",
        {k: p.label for k, p in sorted(PATTERNS.items(), key=lambda kv: kv[1].label)},
    )
    kind.edited.connect(lambda v: put(PATTERNS[v].params()))
    c.add_field(kind)
    for key in shown_keys(now(), ("kind",)):
        field = field_for(type(now()), key, lambda key=key: getattr(now(), key), c.choose_file)
        field.edited.connect(lambda v, key=key: put(edits.revalidated(now(), **{key: v})))
        c.add_field(field)


def _last(c: Page, o: Overlay, row: Layer) -> None:
    """Any stroke can be changed afterwards."""
    c.column.addWidget(label("A stroke that is there", "section"))

    def strokes_now() -> tuple[Any, ...]:
        now = (c.session.doc.overlay(o.id) or o).layers.row(row.id)
        return now.strokes if isinstance(now, Layer) and now.strokes else row.strokes

    def chosen() -> int:
        return min(max(c.stroke_number, 1), len(strokes_now()))

    count = len(row.strokes)
    which = NumberField(
        "Stroke",
        "Which one; the last is the newest.",
        chosen,
        count,
        low=1,
        high=max(count, 2),
        hard=(1, count),
        whole=True,
    )
    which.edited.connect(c.choose_stroke)
    c.add_field(which)

    def live() -> None:
        # The newest stroke is the usual one; its number grows with every stroke.
        n = len(strokes_now())
        which.bar.high, which.bar.hard, which.default = max(n, 2), (1, n), n
        which.refresh()

    c.live.append(live)

    def change(strokes: tuple[Any, ...]) -> tuple[Any, ...]:
        i = chosen() - 1
        old = strokes[i]
        # The old stroke's points and seed: only what it was painted with is new.
        fresh = c.session.brush.stroke(
            old.points, old.seed, mask=False, faces=old.faces, surface=old.surface, across=old.across
        ).model_copy(update={"smooth": old.smooth})
        return (*strokes[:i], fresh, *strokes[i + 1 :])

    def take() -> None:
        old = strokes_now()[chosen() - 1]
        c.session.set_brush(
            does=old.does,
            tip=old.tip,
            area=old.area,
            through_points=old.smooth,
            wrap=old.wrap,
            mirror=old.mirror,
            add=old.join == "add",
            values=dict(old.values) or c.session.brush.values,
        )

    line = QHBoxLayout()
    for words, tip, do in (
        ("Take its settings", "What it was painted with becomes what stands above.", take),
        (
            "Repaint it",
            "Its points stay; tip, size and values become those above.",
            lambda: c.session.apply("Repaint stroke", lambda d: layer_edits.set_strokes(d, o.id, row.id, change)),
        ),
        (
            "Remove it",
            "This stroke alone.",
            lambda: c.session.apply(
                "Remove stroke",
                lambda d: layer_edits.set_strokes(d, o.id, row.id, lambda st: st[: chosen() - 1] + st[chosen() :]),
            ),
        ),
    ):
        button = QPushButton(tr(words))
        button.setToolTip(tr(tip))
        button.clicked.connect(lambda _=False, f=do: f())  # type: ignore[misc]
        line.addWidget(button)
    c.column.addLayout(line)
