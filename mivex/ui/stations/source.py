"""Controls of the station Source: which picture, and what it holds."""

from PySide6.QtWidgets import QGridLayout, QLabel

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.proof.histogram import histogram
from mivex.ui import theme
from mivex.ui.fields.fields import ChoiceField, FileField, TextField
from mivex.ui.fields.labels import KINDS, label
from mivex.ui.fields.number import NumberField
from mivex.ui.stations.base import Page, Station
from mivex.ui.stations.steps import build_steps, steps_shape


def build_source(c: Page, o: Overlay) -> None:
    """Name, kind, picture, meaning, what it holds, its steps."""

    def now() -> Overlay:
        return c.session.doc.overlay(o.id) or o

    name = TextField("Name", "The overlay's name; delivered files are called so.", lambda: now().name, o.name)
    name.edited.connect(
        lambda v: v.strip() and c.session.apply("Rename", lambda d: edits.set_fields(d, o.id, "", name=v.strip()))
    )
    c.add_field(name)
    kind = ChoiceField(
        "Kind",
        "Decides the usual settings: glass, decal, logo, sprite, or see-through cloth and screens.",
        lambda: now().kind,
        o.kind,
        KINDS,
    )
    kind.edited.connect(c.edit_with("Change kind", "", lambda d, v: edits.set_kind(d, o.id, v)))
    c.add_field(kind)
    path = FileField(
        "Picture",
        "The file it starts from. It is watched, and read again when it changes.",
        lambda: now().source.path,
        lambda: c.choose_file("file"),
    )
    path.default = o.source.path
    path.edited.connect(c.edit_with("Change picture", "", lambda d, v: edits.set_fields(d, o.id, "source", path=v)))
    c.add_field(path)
    if not o.source.path:
        for axis, (words, hint) in enumerate(
            (
                (
                    "Canvas width",
                    "Without a picture it starts from an empty canvas, on which text, shapes and noise are drawn.",
                ),
                ("Canvas height", "Of the empty canvas."),
            )
        ):

            def write(d: Document, v: object, axis: int = axis) -> Document:
                size = list(now().source.canvas if now().source.canvas[0] else (512, 512))
                size[axis] = int(v)  # type: ignore[call-overload]
                return edits.set_fields(d, o.id, "source", canvas=tuple(size))

            side = NumberField(
                words,
                hint,
                lambda a=axis: now().source.canvas[a],
                512,
                low=16,
                high=2048,  # type: ignore[misc]
                hard=(1, 8192),
                whole=True,
                unit="px",
            )
            side.edited.connect(
                c.edit_with(Message("Change {words}", words=InSentence(words)), f"{o.id} canvas {axis}", write)
            )
            c.add_field(side)
    c.model_field(Source, "meaning", "source", o)
    if now().source.meaning == "guess" and (seen := c.engine.get(o.id).meaning):
        c.column.addWidget(
            label(Message("Taken as {seen}: {seen2}.", seen=term(seen[0]), seen2=term(seen[1])), "figure", wrap=True)
        )
    c.model_field(Source, "alpha_stored", "source", o)
    facts(c, o)
    if o.material.tiling:
        seam_figures(c, o)
    build_steps(c, o, "source")


def seam_figures(c: Page, o: Overlay) -> None:
    """How the repeating texture meets itself."""
    c.column.addSpacing(6)
    c.column.addWidget(label("Where it repeats", "section"))
    line = label("", "figure", wrap=True)
    line.setFont(theme.figures_font(11))
    c.column.addWidget(line)

    def live() -> None:
        facts = c.engine.get(o.id).figures
        if facts is not None:
            rows = (
                Message(
                    "{sides}: step {across:.1f} of 255, inside {inside:.1f} ({ratio:.1f} ×)",
                    sides=term(s.sides),
                    across=s.across,
                    inside=s.inside,
                    ratio=s.ratio,
                )
                for s in facts.seams
            )
            line.setText(tr(joined("\n", rows)))

    c.live.append(live)


def facts(c: Page, o: Overlay) -> None:
    """What the picture holds, in figures."""
    c.column.addSpacing(6)
    c.column.addWidget(label("What the picture holds", "section"))
    grid = QGridLayout()
    grid.setHorizontalSpacing(14)
    grid.setVerticalSpacing(3)
    grid.setColumnStretch(1, 1)
    cells: dict[str, QLabel] = {}
    for row, key in enumerate(("Size", "Depth", "Alpha in file", "Alpha now", "Mean of it", "Clear, soft, solid")):
        grid.addWidget(label(key, "soft"), row, 0)
        cells[key] = label("")
        cells[key].setFont(theme.figures_font())
        grid.addWidget(cells[key], row, 1)
    c.column.addLayout(grid)

    def live() -> None:
        t, p = c.engine.get(o.id).texture, c.engine.get(o.id).picture
        for cell in cells.values():
            cell.setText("–")
        if t is None or p is None:
            return
        cells["Size"].setText(tr(f"{p.width} × {p.height}"))
        cells["Depth"].setText(
            tr(
                Message("{channels} channels, {bits} bit", channels=p.channels, bits=p.bits)
                if p.path
                else "an empty canvas"
            )
        )
        cells["Alpha in file"].setText(
            tr(
                "–"
                if not p.path
                else "none"
                if not p.has_alpha
                else "yes, colour multiplied by it"
                if p.premultiplied
                else "yes"
            )
        )
        h = histogram(t)  # counted by the engine; only looked up here
        cells["Alpha now"].setText(tr(Message("{minimum:.3f} to {maximum:.3f}", minimum=h.minimum, maximum=h.maximum)))
        cells["Mean of it"].setText(tr(Message("{mean:.3f}", mean=h.mean)))
        cells["Clear, soft, solid"].setText(
            tr(Message("{clear:.0%} / {soft:.0%} / {solid:.0%}", clear=h.clear, soft=h.soft, solid=h.solid))
        )

    c.live.append(live)


STATION = Station(
    "source",
    "Source",
    "The picture it starts from, and what it holds.",
    0,
    build_source,
    lambda o: o.source.ready,
    lambda c, o: (
        steps_shape(c, o),
        bool(o.source.path),
        o.material.tiling,
        o.source.meaning == "guess" and c.engine.get(o.id).meaning,
    ),
)
"""Registered."""
