"""Numbers beside the chart of a life: the stream, the birth, the lanes and forces, how particles stand."""

from collections.abc import Callable
from typing import Any

from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.motion.curves import PRESETS, Curve, Ramp
from mivex.core.motion.model import Air, Birth, Burst, Emission, Emitter, Facing, Life
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.ui import theme
from mivex.ui.fields.fields import ColourField, SwitchField
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.labels import label
from mivex.ui.fields.ranges import BarsField, range_field, vector_field
from mivex.ui.stations import motion_acts as acts
from mivex.ui.stations.base import Page
from mivex.ui.tools.lanes import BY_KEY


def _now(c: Page, group: str) -> Callable[[], Any]:
    """Reads a group of the chosen part as it is; the last one where it is gone."""
    last = getattr(c.desk.emitter, group)

    def read() -> Any:
        e = c.desk.emitter
        return getattr(e, group) if e is not None else last

    return read


def _put(c: Page, group: str, key: str, words: str) -> Callable[[object], None]:
    """A slot that sets a setting of a group of the chosen part."""
    own, part = c.desk.own_id, c.desk.part
    return c.edit_with(
        Message("Change {words}", words=InSentence(words)),
        f"{own} {part} {group} {key}",
        lambda d, v: edits.set_part(d, own, part, group, **{key: v}),
    )


def _fields(c: Page, group: str, model: type, keys: tuple[str, ...]) -> None:
    now = _now(c, group)
    for key in keys:
        info = model.model_fields[key]  # type: ignore[attr-defined]
        extra = info.json_schema_extra if isinstance(info.json_schema_extra, dict) else {}
        if extra.get("widget") == "range":
            field = range_field(model, key, lambda k=key: getattr(now(), k))  # type: ignore[misc]
        elif key in ("size", "along", "acceleration"):
            spans = {
                "size": (0.0, 2.0, (0.0, 100.0)),
                "along": (-1.0, 1.0, (-1.0, 1.0)),
                "acceleration": (-5.0, 5.0, (-1000.0, 1000.0)),
            }[key]
            unit = {"size": "m", "along": "", "acceleration": "m/s²"}[key]
            field = vector_field(
                str(info.title),
                str(info.description),
                lambda k=key: getattr(now(), k),  # type: ignore[misc]
                info.default,
                low=spans[0],
                high=spans[1],
                hard=spans[2],
                unit=unit,
            )
        else:
            field = field_for(model, key, lambda k=key: getattr(now(), k), c.choose_file)  # type: ignore
        field.edited.connect(_put(c, group, key, field.name))
        c.add_field(field)


def stream(c: Page, e: Emitter) -> None:
    """When and where particles are born, and which way they go."""
    m = e.emission
    times = ("times",) if m.runs == "times" else ()
    _fields(
        c,
        "emission",
        Emission,
        ("rate", "runs", *times, "duration", "delay", "most", *(("warm",) if m.runs == "loop" else ())),
    )
    row = QHBoxLayout()
    if m.rate_curve is not None:
        level = QPushButton(tr("Even rate"))
        level.setToolTip(tr("Takes the curve of the rate away"))
        level.clicked.connect(
            lambda: c.session.apply(
                "Even rate", lambda d: edits.set_part(d, c.desk.own_id, c.desk.part, "emission", rate_curve=None)
            )
        )
        row.addWidget(level)
    burst = QPushButton(tr("Add a burst"))
    burst.clicked.connect(
        lambda: c.session.apply(
            "Add a burst",
            lambda d: edits.set_part(d, c.desk.own_id, c.desk.part, "emission", bursts=(*m.bursts, Burst(count=(12, 16)))),
        )
    )
    row.addWidget(burst)
    row.addStretch()
    c.column.addLayout(row)
    for k, b in enumerate(m.bursts):
        _burst(c, k, b)
    c.column.addSpacing(6)
    c.column.addWidget(label("Where, and which way", "section"))
    sized = {"point": (), "mesh": ()}.get(m.form, ("size",))
    skin = ("skin",) if m.form not in ("point", "line", "mesh") else ()
    _fields(
        c,
        "emission",
        Emission,
        (
            "form",
            *sized,
            *skin,
            "way",
            *(("cone",) if m.way == "cone" else ()),
            *(("along",) if m.way in ("cone", "given") else ()),
        ),
    )
    if m.form == "mesh":
        pick = QPushButton(m.mesh.rsplit("/", 1)[-1] or tr("Choose a mesh …"))
        pick.clicked.connect(lambda: acts.choose_mesh(c))
        c.column.addWidget(pick)


def _burst(c: Page, k: int, _b: Burst) -> None:
    now = _now(c, "emission")

    def read() -> Burst:
        rows = now().bursts
        return rows[k] if k < len(rows) else _b

    def put(values: Callable[[Any], dict[str, object]]) -> Callable[[Document, Any], Document]:
        def edit(d: Document, v: Any) -> Document:
            rows = list(now().bursts)
            if k >= len(rows):
                return d
            rows[k] = edits.revalidated(rows[k], **values(v))
            return edits.set_part(d, c.desk.own_id, c.desk.part, "emission", bursts=tuple(rows))

        return edit

    c.column.addWidget(label(Message("Burst {k}", k=k + 1), "soft"))
    at = BarsField(
        "At, again",
        "Seconds into the run; how often; seconds between.",
        lambda: (read().time, read().repeats, read().every),
        (0.0, 1, 0.5),
        spans=[(0.0, 4.0), (1.0, 10.0), (0.05, 2.0)],
        hard=(0.0, 600.0),
        unit="s",
        names=["time", "times", "every"],
    )
    at.edited.connect(
        c.edit_with(
            "Change a burst",
            Message("burst {k}", k=k),
            put(lambda v: {"time": v[0], "repeats": max(1, round(v[1])), "every": max(v[2], 0.01)}),
        )
    )
    c.add_field(at)
    many = BarsField(
        "How many",
        "Least and greatest number.",
        lambda: read().count,
        (10, 10),
        spans=[(0.0, 100.0)] * 2,
        hard=(0.0, 20000.0),
        whole=True,
        names=["least", "greatest"],
    )
    many.edited.connect(
        c.edit_with("Change a burst", Message("burst count {k}", k=k), put(lambda v: {"count": (int(min(v)), int(max(v)))}))
    )
    c.add_field(many)


def birth(c: Page, e: Emitter) -> None:
    """What particles are like when they are born."""
    _fields(c, "birth", Birth, ("life", "width"))
    own = SwitchField(
        "Own height", "Its height is not its width.", lambda: _now(c, "birth")().height is not None, default=False
    )
    own.edited.connect(
        c.edit_with(
            "Change own height",
            "own height",
            lambda d, v: edits.set_part(d, c.desk.own_id, c.desk.part, "birth", height=e.birth.width if v else None),
        )
    )
    c.add_field(own)
    if e.birth.height is not None:
        now = _now(c, "birth")
        field = BarsField(
            "Height",
            "Metres, least and greatest.",
            lambda: now().height,
            (0.3, 0.3),
            spans=[(0.01, 2.0)] * 2,
            hard=(0.001, 1000.0),
            unit="m",
            names=["least", "greatest"],
            join=lambda v, i: (v[0], max(v)) if i == 0 else (min(v), v[1]),
        )
        field.edited.connect(_put(c, "birth", "height", "Height"))
        c.add_field(field)
    _fields(c, "birth", Birth, ("speed", "turn", "spin", "opacity"))
    n = acts.frames_of(c, e.overlay)
    if n > 1:
        _fields(c, "birth", Birth, ("frame",))
        c.column.addWidget(
            label(Message("Its overlay is a sheet of {n} frames, 0 to {n2}.", n=n, n2=n - 1), "figure", wrap=True)
        )
    now = _now(c, "birth")
    for k, words in enumerate(("Tint from", "Tint to")):
        tint = ColourField(words, "Any colour between the two, by chance.", lambda i=k: now().tint[i], (1.0, 1.0, 1.0))  # type: ignore[misc]
        tint.edited.connect(
            c.edit_with(
                "Change the tint at birth",
                Message("tint {k}", k=k),
                lambda d, v, i=k: edits.set_part(  # type: ignore[misc]
                    d, c.desk.own_id, c.desk.part, "birth", tint=tuple(v if j == i else now().tint[j] for j in (0, 1))
                ),
            )
        )
        c.add_field(tint)


def life(c: Page, e: Emitter) -> None:
    """The chosen lane, and what moves particles."""
    lane = BY_KEY.get(c.desk.lane)
    value = getattr(e.life, c.desk.lane, None) if lane is not None else None
    if lane is not None and value is not None:
        c.column.addWidget(label(Message("Lane: {title}", title=term(lane.title)), "section"))
        row = QHBoxLayout()
        if isinstance(value, Curve):
            shape = QPushButton(tr("Smooth" if value.smooth else "Straight"))
            shape.setToolTip(tr("Smooth or straight between the points"))
            shape.clicked.connect(lambda: acts.put_lane(c, value.model_copy(update={"smooth": not value.smooth})))
            row.addWidget(shape)
            preset = QPushButton(tr("Beginnings"))
            menu = QMenu(preset)
            for words, (points, smooth) in PRESETS.items():
                menu.addAction(tr(words)).triggered.connect(
                    lambda _=False, p=points, s=smooth: acts.put_lane(c, Curve(points=p, smooth=s))
                )
            preset.setMenu(menu)
            row.addWidget(preset)
        copy = QPushButton(tr("Copy"))
        copy.setToolTip(tr("Keep this curve, to put it into another lane"))
        copy.clicked.connect(lambda: acts.keep_lane(c, value))
        row.addWidget(copy)
        if c.desk.kept is not None and type(c.desk.kept) is type(value):
            paste = QPushButton(tr("Put in"))
            paste.clicked.connect(lambda: acts.put_lane(c, c.desk.kept))
            row.addWidget(paste)
        row.addStretch()
        gone = theme.tool("remove", "Take the lane away", theme.SOFT)
        gone.setAccessibleName(tr(Message("Take the lane {title} away", title=term(lane.title))))
        gone.clicked.connect(lambda: acts.put_lane(c, None))
        row.addWidget(gone)
        c.column.addLayout(row)
        if isinstance(value, Curve):
            _points(c, value)
        elif isinstance(value, Ramp):
            c.column.addWidget(
                label("Double click a colour in the chart for another; double click between adds one.", "figure", wrap=True)
            )
        c.column.addSpacing(6)
    c.column.addWidget(label("What moves it", "section"))
    life = e.life
    _fields(
        c,
        "life",
        Life,
        (
            "gravity",
            "drag",
            "limit",
            "acceleration",
            "swirl",
            "drift",
            *(("drift_scale", "drift_rate") if life.drift else ()),
            "wind",
            "solids",
            *(("bounce", "rub") if life.solids == "bounce" else ()),
        ),
    )
    if life.wind:
        c.column.addSpacing(4)
        c.column.addWidget(label("Wind of the stage", "section"))
        for key in ("wind_x", "wind_y", "wind_z"):
            field = field_for(Air, key, lambda k=key: getattr(c.session.doc.air, k))  # type: ignore[misc]
            field.edited.connect(
                c.edit_with(
                    Message("Change {name}", name=InSentence(field.name)),
                    Message("air {key}", key=key),
                    lambda d, v, k=key: d.model_copy(  # type: ignore[misc]
                        update={"air": edits.revalidated(d.air, **{k: v})}
                    ),
                )
            )
            c.add_field(field)


def _points(c: Page, curve: Curve) -> None:
    key = c.desk.lane

    def now() -> Curve:
        e = c.desk.emitter
        found = getattr(e.life, key, None) if e is not None else None
        return found if isinstance(found, Curve) else curve

    def read(k: int) -> tuple[float, float]:
        points = now().points
        return points[k] if k < len(points) else (1.0, 0.0)

    def put(d: Document, k: int, v: tuple[float, float]) -> Document:
        points = list(now().points)
        if k >= len(points):
            return d
        low = points[k - 1][0] if k else 0.0
        high = points[k + 1][0] if k + 1 < len(points) else 1.0
        points[k] = (round(min(max(v[0], low), high), 4), round(v[1], 4))
        fresh = now().model_copy(update={"points": tuple(points)})
        return edits.set_part(d, c.desk.own_id, c.desk.part, "life", **{key: fresh})

    for k in range(min(len(curve.points), 12)):
        field = BarsField(
            Message("Point {k}", k=k + 1),
            "Share of the life; value.",
            lambda i=k: read(i),
            read(k),  # type: ignore[misc]
            spans=[(0.0, 1.0), (0.0, 2.0)],
            hard=(-1000.0, 1000.0),
            names=["when", "value"],
        )
        field.edited.connect(
            c.edit_with("Change a point", Message("point {key} {k}", key=key, k=k), lambda d, v, i=k: put(d, i, v))
        )  # type: ignore[misc]
        c.add_field(field)


def stands(c: Page, e: Emitter) -> None:
    """How particles stand, and in which order they are drawn."""
    f = e.facing
    _fields(
        c,
        "facing",
        Facing,
        (
            "facing",
            *(("stretch",) if f.facing == "stretched" else ()),
            *(("yaw", "pitch") if f.facing == "fixed" else ()),
            "order",
            "nudge",
            "space",
        ),
    )
    now = _now(c, "facing")
    held = BarsField(
        "Held at",
        "Point of the picture that stands where the particle is: 0.5, 1 stands on its foot.",
        lambda: now().pivot,
        (0.5, 0.5),
        spans=[(0.0, 1.0)] * 2,
        hard=(-4.0, 5.0),
        names=["across", "down"],
    )
    held.edited.connect(_put(c, "facing", "pivot", "Held at"))
    c.add_field(held)
