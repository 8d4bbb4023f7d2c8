"""The controls: the settings of the chosen station and nothing else."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtWidgets import (
    QCheckBox,
    QFrame,
    QGridLayout,
    QHBoxLayout,
    QLabel,
    QMenu,
    QPushButton,
    QScrollArea,
    QSizePolicy,
    QVBoxLayout,
    QWidget,
)

from mivex.core.findings.fringe import LIMIT
from mivex.core.material.blends import BLENDS
from mivex.core.material.material import Material, default_material
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Step
from mivex.core.project import edits
from mivex.core.project.document import BillboardPlace, Delivery, HullPlace, Overlay, PanelPlace, Place, Source
from mivex.ui import theme
from mivex.ui.engine import Engine
from mivex.ui.fields import ChoiceField, ColourField, Field, FileField, NumberField, TextField
from mivex.ui.forms import field_for, shown_keys
from mivex.ui.rack import KINDS
from mivex.ui.session import Session
from mivex.ui.track import STATIONS

_ORDER = {"source": 0, "alpha": 1, "edges": 2}
_MOUNTS = {"panel": "Panel", "hull": "On the hull", "billboard": "Faces the camera"}
WHAT = {"source": "The picture it starts from, and what it holds.",
        "alpha": "What is solid and what is clear.",
        "edges": "No rim: hidden colour, mattes, borders.",
        "blend": "How it meets what lies behind it.",
        "place": "Where it stands on the stage.",
        "deliver": "What is written, and in which form."}


def insert_at(o: Overlay, step: Step) -> int:
    """Where a new step belongs in the recipe: behind the last one of its station or an earlier one."""
    rank = _ORDER[step.station]
    return 1 + max((i for i, s in enumerate(o.steps) if _ORDER[STEPS[s.step].station] <= rank), default=-1)


def _label(text: str, name: str = "", *, wrap: bool = False) -> QLabel:
    label = QLabel(text)
    if name:
        label.setObjectName(name)
    label.setWordWrap(wrap)
    return label


class Controls(QWidget):
    """Column on the right of the window."""

    pick_wanted = Signal(object)
    file_wanted = Signal(object)
    deliver_wanted = Signal(bool)
    add_wanted = Signal()
    demo_wanted = Signal()

    def __init__(self, session: Session, engine: Engine, choose_file: Callable[[], str]) -> None:
        super().__init__()
        self.session, self.engine, self.choose_file = session, engine, choose_file
        self.station = "source"
        self.setFixedWidth(308)
        self.setObjectName("panel")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        self.pages = QScrollArea()
        self.pages.setWidgetResizable(True)
        self.pages.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        column.addWidget(self.pages, 1)
        self.hint = _label("", "hint", wrap=True)
        self.hint.setFixedHeight(50)
        self.hint.setAlignment(Qt.AlignmentFlag.AlignTop)
        column.addWidget(self.hint)
        self._fields: list[Field] = []
        self._live: list[Callable[[], None]] = []
        self._shape: object = self  # like no signature: the first refresh builds
        session.changed.connect(self.refresh)
        session.chosen.connect(self.refresh)
        engine.prepared.connect(lambda key: self.refresh() if key == session.overlay_id else None)
        engine.examined.connect(self.refresh)
        self.refresh()

    def go(self, station: str) -> None:
        """Show another station."""
        self.station = station
        self.refresh()

    def _signature(self) -> object:
        o = self.session.overlay
        if o is None:
            return None
        steps = tuple((s.step, tuple(shown_keys(s))) for s in o.steps)
        return (o.id, self.station, steps, o.material.blend, o.delivery.format, self.session.place_id,
                tuple((p.id, p.mount) for p in o.places), self.engine.meanings.get(o.id),
                o.id in self.engine.textures)

    def refresh(self) -> None:
        """Show what the document holds; rebuild only if the set of controls is another."""
        shape = self._signature()
        if shape != self._shape:
            self._shape = shape
            self._rebuild()
        for f in self._fields:
            f.refresh()
        for live in self._live:
            live()

    def _rebuild(self) -> None:
        kept = self.pages.verticalScrollBar().value()
        self._fields, self._live = [], []
        page = QWidget()
        self.column = QVBoxLayout(page)
        self.column.setContentsMargins(12, 10, 10, 12)
        self.column.setSpacing(4)
        o = self.session.overlay
        if o is None:
            self._build_empty()
            self.hint.setText("F1 lists every key.")
        else:
            self.column.addWidget(_label(STATIONS[self.station], "title"))
            self.column.addWidget(_label(WHAT[self.station], "soft", wrap=True))
            self.column.addSpacing(6)
            getattr(self, f"_build_{self.station}")(o)
            self.hint.setText("Hover over a setting to read what it changes in the picture.")
        self.column.addStretch()
        old = self.pages.takeWidget()
        self.pages.setWidget(page)
        if old:
            old.deleteLater()
        self.pages.verticalScrollBar().setValue(kept)

    def _build_empty(self) -> None:
        self.column.addWidget(_label("Begin", "title"))
        self.column.addWidget(_label("An overlay starts from a picture. Then follow the track from left to right: "
                                     "make its alpha, mend its edges, set its blend, place it, deliver it.",
                                     "soft", wrap=True))
        self.column.addSpacing(8)
        for text, signal, name in (("Add pictures …", self.add_wanted, "main"),
                                   ("Open the demo", self.demo_wanted, "")):
            button = QPushButton(text)
            button.setObjectName(name)
            button.clicked.connect(lambda _=False, s=signal: s.emit())  # type: ignore[misc]
            self.column.addWidget(button)

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        if event.type() in (QEvent.Type.Enter, QEvent.Type.FocusIn):
            w: QObject | None = watched
            while w is not None and not isinstance(w, Field):
                w = w.parent()
            if isinstance(w, Field):
                self.hint.setText(w.hint)
        return super().eventFilter(watched, event)

    def _add(self, field: Field, into: QVBoxLayout | None = None) -> None:
        field.released.connect(self.session.end_merge)
        field.installEventFilter(self)
        for child in field.findChildren(QWidget):
            child.installEventFilter(self)
        self._fields.append(field)
        (into or self.column).addWidget(field)

    def _edit(self, label: str, merge: str, edit: Callable[[Any, Any], Any]) -> Callable[[object], None]:
        return lambda value: self.session.apply(label, lambda d: edit(d, value), merge)

    def _model_field(self, model: type, key: str, part: str, o: Overlay) -> None:
        def read() -> Any:
            now = self.session.doc.overlay(o.id) or o
            return getattr(getattr(now, part), key)

        field = field_for(model, key, read, self.choose_file)
        if part == "material":
            field.default = getattr(default_material(o.kind), key)
            if isinstance(field, NumberField):
                field.bar.default = float(field.default)
        field.edited.connect(self._edit(f"Change {field.name.lower()}", f"{o.id} {part} {key}",
                                        lambda d, v: edits.set_fields(d, o.id, part, **{key: v})))
        self._add(field)

    # Source ------------------------------------------------------------------------------------

    def _build_source(self, o: Overlay) -> None:
        def now() -> Overlay:
            return self.session.doc.overlay(o.id) or o

        name = TextField("Name", "The overlay's name; delivered files are called so.", lambda: now().name, o.name)
        name.edited.connect(lambda v: v.strip() and self.session.apply(
            "Rename", lambda d: edits.set_fields(d, o.id, "", name=v.strip())))
        self._add(name)
        kind = ChoiceField("Kind", "Decides the usual settings: glass, decal, logo or sprite.", lambda: now().kind,
                           o.kind, KINDS)
        kind.edited.connect(self._edit("Change kind", "", lambda d, v: edits.set_kind(d, o.id, v)))
        self._add(kind)
        path = FileField("Picture", "The file it starts from. It is watched, and read again when it changes.",
                         lambda: now().source.path, self.choose_file)
        path.default = o.source.path
        path.edited.connect(self._edit("Change picture", "", lambda d, v: edits.set_fields(d, o.id, "source", path=v)))
        self._add(path)
        self._model_field(Source, "meaning", "source", o)
        if now().source.meaning == "guess" and (seen := self.engine.meanings.get(o.id)):
            self.column.addWidget(_label(f"Taken as {seen[0]}: {seen[1]}.", "figure", wrap=True))
        self._model_field(Source, "alpha_stored", "source", o)
        self._facts(o)
        self._recipe(o, "source")

    def _facts(self, o: Overlay) -> None:
        self.column.addSpacing(6)
        self.column.addWidget(_label("What the picture holds", "section"))
        grid = QGridLayout()
        grid.setHorizontalSpacing(14)
        grid.setVerticalSpacing(3)
        grid.setColumnStretch(1, 1)
        cells: dict[str, QLabel] = {}
        for row, key in enumerate(("Size", "Depth", "Alpha in file", "Alpha now", "Mean of it", "Clear, soft, solid")):
            grid.addWidget(_label(key, "soft"), row, 0)
            cells[key] = _label("")
            cells[key].setFont(theme.figures_font())
            grid.addWidget(cells[key], row, 1)
        self.column.addLayout(grid)

        def live() -> None:
            t, p = self.engine.textures.get(o.id), self.engine.pictures.get(o.id)
            for cell in cells.values():
                cell.setText("–")
            if t is None or p is None:
                return
            cells["Size"].setText(f"{p.width} × {p.height}")
            cells["Depth"].setText(f"{p.channels} channels, {p.bits} bit")
            cells["Alpha in file"].setText("yes" if p.has_alpha else "none")
            a = t.alpha
            cells["Alpha now"].setText(f"{a.min():.3f} to {a.max():.3f}")
            cells["Mean of it"].setText(f"{a.mean():.3f}")
            low, high = float((a <= 0).mean()), float((a >= 1).mean())
            cells["Clear, soft, solid"].setText(f"{low:.0%} / {1 - low - high:.0%} / {high:.0%}")

        self._live.append(live)

    # Recipe steps --------------------------------------------------------------------------------

    def _recipe(self, o: Overlay, station: str) -> None:
        self.column.addSpacing(8)
        rows = [i for i, s in enumerate(o.steps) if STEPS[s.step].station == station]
        head = QHBoxLayout()
        head.addWidget(_label("Steps", "section"))
        head.addStretch()
        add = QPushButton("Add a step")
        add.setIcon(theme.icon("plus"))
        menu = QMenu(add)
        menu.setToolTipsVisible(True)
        for step in STEPS.values():
            if step.station == station:
                action = menu.addAction(step.label, lambda s=step: self.add_step(s))
                action.setToolTip(step.hint)
        add.setMenu(menu)
        head.addWidget(add)
        self.column.addLayout(head)
        if not rows:
            told = {"source": "None: the picture is used at its own size.",
                    "alpha": "None: the picture's own alpha is used as it is.",
                    "edges": "None: colour under the edges is as the picture has it."}[station]
            self.column.addWidget(_label(told, "figure", wrap=True))
        for i in rows:
            self.column.addWidget(self._step_card(o, i))

    def add_step(self, step: Step) -> None:
        """Put a step where it belongs in the selected overlay's recipe."""
        o = self.session.overlay
        if o is not None:
            at, key = insert_at(o, step), o.id
            fresh = step.params(step=step.name)
            self.session.apply(f"Add {step.label.lower()}", lambda d: edits.add_step(d, key, fresh, at))

    def _step_card(self, o: Overlay, index: int) -> QWidget:
        params = o.steps[index]
        step = STEPS[params.step]
        card = QFrame()
        card.setObjectName("card")
        box = QVBoxLayout(card)
        box.setContentsMargins(9, 5, 5, 7)
        box.setSpacing(2)
        head = QHBoxLayout()
        head.setSpacing(0)
        switch = QCheckBox(step.label)
        switch.setToolTip(step.hint)
        switch.setStyleSheet("font-weight: 600;")
        switch.clicked.connect(lambda on: self.session.apply(
            "Switch step", lambda d: edits.set_step(d, o.id, index, on=on)))
        head.addWidget(switch)
        head.addStretch()
        count = len(o.steps)
        for name, tip, ok, edit in (
                ("up", "Earlier", index > 0, lambda d: edits.move_step(d, o.id, index, -1)),
                ("down", "Later", index < count - 1, lambda d: edits.move_step(d, o.id, index, 1)),
                ("remove", "Remove the step", True, lambda d: edits.remove_step(d, o.id, index))):
            button = theme.tool(name, tip, theme.SOFT)
            button.setAccessibleName(f"{tip}: {step.label}")
            button.setEnabled(ok)
            button.clicked.connect(lambda _=False, t=tip, e=edit: self.session.apply(t, e))  # type: ignore[misc]
            head.addWidget(button)
        box.addLayout(head)
        self._live.append(lambda: switch.setChecked(self._step_now(o, index, "on", True)))
        for key in shown_keys(params):
            info = type(params).model_fields[key]
            field = field_for(type(params), key,
                              lambda k=key, i=info: self._step_now(o, index, k, i.default), self.choose_file)  # type: ignore[misc]
            field.edited.connect(self._edit(f"Change {field.name.lower()}", f"{o.id} step {index} {key}",
                                            lambda d, v, k=key: edits.set_step(d, o.id, index, **{k: v})))
            if isinstance(field, ColourField):
                field.pick_wanted.connect(lambda k=key: self.pick_wanted.emit(  # type: ignore[misc]
                    lambda rgb: self.session.apply("Pick colour",
                                                   lambda d: edits.set_step(d, o.id, index, **{k: rgb}))))
            self._add(field, box)
        return card

    def _step_now(self, o: Overlay, index: int, key: str, fallback: Any) -> Any:
        now = self.session.doc.overlay(o.id)
        if now is None or index >= len(now.steps):
            return fallback
        return getattr(now.steps[index], key, fallback)

    def _build_alpha(self, o: Overlay) -> None:
        self._recipe(o, "alpha")

    def _build_edges(self, o: Overlay) -> None:
        self._recipe(o, "edges")
        self.column.addSpacing(8)
        self.column.addWidget(_label("Fringe by mip level", "section"))
        self.column.addWidget(_label(f"99th percentile and maximum on screen, of 255. Above {LIMIT:.0f} and cured by "
                                     "spreading, it is a finding.", "figure", wrap=True))
        grid = QGridLayout()
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setHorizontalSpacing(10)
        grid.setVerticalSpacing(1)
        grid.setColumnStretch(1, 1)
        holder = QWidget()
        holder.setLayout(grid)
        self.column.addWidget(holder)
        state: dict[str, object] = {"rows": None}

        def live() -> None:
            rows = self.engine.fringes.get(o.id, [])
            if rows == state["rows"]:
                return
            state["rows"] = rows
            while grid.count():
                item = grid.takeAt(0)
                if item and (w := item.widget()):
                    w.deleteLater()
            for i, r in enumerate(rows):
                grid.addWidget(_label(f"{r.level} · {r.width}×{r.height}", "figure"), i, 0)
                bar = QFrame()
                bar.setFixedHeight(5)
                bar.setStyleSheet(f"background: {theme.ACCENT if r.p99 > LIMIT else theme.FAINT};")
                bar.setSizePolicy(QSizePolicy.Policy.Fixed, QSizePolicy.Policy.Fixed)
                bar.setFixedWidth(max(1, round(min(r.p99, 64) / 64 * 96)))
                grid.addWidget(bar, i, 1, Qt.AlignmentFlag.AlignVCenter)
                figure = _label(f"{r.p99:.1f}   {r.maximum:.1f}", "figure")
                figure.setFont(theme.figures_font(11))
                grid.addWidget(figure, i, 2, Qt.AlignmentFlag.AlignRight)

        self._live.append(live)

    # Blend ------------------------------------------------------------------------------------------

    def _build_blend(self, o: Overlay) -> None:
        self._model_field(Material, "blend", "material", o)
        blend = BLENDS[o.material.blend]
        equation = _label("", "equation", wrap=True)
        equation.setTextFormat(Qt.TextFormat.RichText)
        self.column.addWidget(equation)

        def live() -> None:
            m = (self.session.doc.overlay(o.id) or o).material
            colour, alpha = blend.colour_factors, blend.alpha_factors
            text = blend.equation.replace("cutoff", f"{m.cutoff:.2f}").replace("-", "−")
            if m.opacity < 1:
                text += f"<br>As = alpha · {m.opacity:.2f}"
            factors = f"colour ({colour[0]}, {colour[1]})   alpha ({alpha[0]}, {alpha[1]})".replace("-", "−")
            soft = f"<span style='color:{theme.SOFT}'>"
            equation.setText(f"<span style='font-weight:600'>{text}</span><br>{soft}factors: {factors}</span><br>"
                             f"{soft}{blend.why}</span>")

        self._live.append(live)
        self.column.addSpacing(6)
        keys = ["opacity", "tint", "lit"]
        if blend.name == "Cutout":
            keys.insert(0, "cutoff")
        if blend.name in ("Additive", "Multiply"):
            keys.remove("lit")
        for key in keys:
            self._model_field(Material, key, "material", o)
        for title, group in (("Depth", ("depth_test", "depth_write", "depth_bias")),
                             ("Order", ("group", "nudge")), ("Surface", ("both_faces", "tiling"))):
            self.column.addSpacing(6)
            self.column.addWidget(_label(title, "section"))
            for key in group:
                self._model_field(Material, key, "material", o)

    # Place ------------------------------------------------------------------------------------------

    def _build_place(self, o: Overlay) -> None:
        head = QHBoxLayout()
        head.addWidget(_label("Placements", "section"))
        head.addStretch()
        add = QPushButton("Place it")
        add.setIcon(theme.icon("plus"))
        menu = QMenu(add)
        for mount, words in _MOUNTS.items():
            menu.addAction(words, lambda m=mount: self._new_place(o.id, m))
        add.setMenu(menu)
        head.addWidget(add)
        self.column.addLayout(head)
        if not o.places:
            self.column.addWidget(_label("Nowhere yet: it is not on the stage.", "figure", wrap=True))
        for number, p in enumerate(o.places, 1):
            row = QHBoxLayout()
            chosen = p.id == self.session.place_id
            button = QPushButton(f"{number}  {_MOUNTS[p.mount]}")
            button.setStyleSheet("text-align: left;" + (f"border: 1px solid {theme.ACCENT}; padding: 4px 11px;"
                                                        if chosen else ""))
            button.clicked.connect(lambda _=False, k=p.id: self.session.choose(o.id, k))  # type: ignore[misc]
            row.addWidget(button, 1)
            gone = theme.tool("remove", "Take it off the stage", theme.SOFT)
            gone.setAccessibleName(f"Remove placement {number}")
            gone.clicked.connect(lambda _=False, k=p.id: self.session.apply(  # type: ignore[misc]
                "Remove placement", lambda d: edits.remove_place(d, o.id, k)))
            row.addWidget(gone)
            self.column.addLayout(row)
        chosen_place = next((p for p in o.places if p.id == self.session.place_id), None)
        if chosen_place:
            self.column.addSpacing(8)
            self._place_fields(o, chosen_place)

    def _new_place(self, overlay_id: str, mount: str) -> None:
        o = self.session.doc.overlay(overlay_id)
        t = self.engine.textures.get(overlay_id)
        if o is None:
            return
        full = (1, 1) if t is None else t.full_size if t.scale < 1 else (t.width, t.height)
        aspect = (full[0] / full[1]) ** 0.5
        size = {"width": round(0.8 * aspect, 3), "height": round(0.8 / aspect, 3)}
        shift = 0.3 * (len(o.places) % 5)
        place: Place = (HullPlace(along=-0.6 + shift, **size) if mount == "hull" else
                        PanelPlace(at=(-0.6 + shift, 1.1, 0.8), **size) if mount == "panel" else
                        BillboardPlace(at=(-0.6 + shift, 1.2, 0.9), **size))
        self.session.apply("Place", lambda d: edits.add_place(d, overlay_id, place))
        self.session.choose(overlay_id, place.id)

    def _place_fields(self, o: Overlay, place: Place) -> None:
        def now() -> Any:
            overlay = self.session.doc.overlay(o.id) or o
            return next((p for p in overlay.places if p.id == place.id), place)

        def number(name: str, hint: str, key: str, low: float, high: float, hard: tuple[float, float], unit: str,
                   default: float = 0.0, axis: int | None = None) -> None:
            def read() -> float:
                value = getattr(now(), key)
                return float(value if axis is None else value[axis])

            def write(d: Any, v: float) -> Any:
                value: object = v
                if axis is not None:
                    at = list(now().at)
                    at[axis] = v
                    value = tuple(at)
                return edits.set_place(d, o.id, place.id, **{key: value})

            field = NumberField(name, hint, read, default, low=low, high=high, hard=hard, unit=unit)
            field.edited.connect(self._edit(f"Change {name.lower()}", f"{place.id} {name}", write))
            self._add(field)

        if isinstance(place, HullPlace):
            number("Along", "Metres along the hull; 0 is its middle, higher is nearer the bow.", "along", -3.6, 1.3,
                   (-10, 10), "m")
            number("Around", "Degrees round the hull: 0 faces the dock, higher is further up.", "around", -90, 90,
                   (-180, 180), "°", 10.0)
        else:
            for axis, (name, hint, low, high) in enumerate((
                    ("Across", "Metres to the right, seen from the dock.", -4, 4),
                    ("Height", "Metres above the floor.", 0, 4), ("Towards", "Metres towards the viewer.", -4, 4))):
                number(name, hint, "at", low, high, (-20, 20), "m", (0.0, 1.2, 0.8)[axis], axis)
        if isinstance(place, PanelPlace):
            number("Yaw", "Turns it about the upright axis.", "yaw", -180, 180, (-360, 360), "°")
            number("Pitch", "Tips it back and forth.", "pitch", -90, 90, (-360, 360), "°")
        number("Roll", "Turns it in its own plane.", "roll", -180, 180, (-360, 360), "°")
        number("Width", "Metres across.", "width", 0.05, 4, (0.001, 100), "m", 1.0)
        number("Height of it" if not isinstance(place, HullPlace) else "Height", "Metres from top to bottom.",
               "height", 0.05, 4, (0.001, 100), "m", 1.0)

    # Deliver ------------------------------------------------------------------------------------------

    def _build_deliver(self, o: Overlay) -> None:
        for key in ("format", "bits", "name"):
            self._model_field(Delivery, key, "delivery", o)
        self.column.addSpacing(4)
        self.column.addWidget(_label("A blend sheet (JSON: blend, factors, depth, group, nudge, faces) is written "
                                     "beside the picture. Both are read back and compared.", "figure", wrap=True))
        self.column.addSpacing(8)
        one = QPushButton("Deliver this overlay …")
        one.setObjectName("main")
        one.clicked.connect(lambda: self.deliver_wanted.emit(False))
        every = QPushButton("Deliver all …")
        every.clicked.connect(lambda: self.deliver_wanted.emit(True))
        self.column.addWidget(one)
        self.column.addWidget(every)
        self.column.addSpacing(8)
        state = _label("", "soft", wrap=True)
        self.column.addWidget(state)

        def live() -> None:
            ready = o.id in self.engine.textures
            one.setEnabled(ready)
            found = self.engine.findings.get(o.id, [])
            state.setText("There is no picture to deliver yet." if not ready else
                          "No findings: it composites as it should." if not found else
                          f"{len(found)} finding{'s are' if len(found) > 1 else ' is'} still open; it can be delivered "
                          "all the same.")

        self._live.append(live)
