"""Controls of the station Deliver: recipe, format, depth, name, and the buttons."""

from PySide6.QtWidgets import QHBoxLayout, QPushButton

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.deliver.gltf import unsaid
from mivex.core.findings import likely
from mivex.core.project import delivery_edits
from mivex.core.project.delivery import DeliveryRecipe
from mivex.core.project.document import Delivery, Overlay
from mivex.ui.fields.fields import ChoiceField
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.labels import enable, label
from mivex.ui.stations.base import Page, Station


def _recipe(c: Page, o: Overlay) -> None:
    """Which recipe, and what of it is no file."""
    doc = c.session.doc
    rows = delivery_edits.choices(doc)

    def now() -> Overlay:
        return c.session.doc.overlay(o.id) or o

    hint = "Which files it becomes, and what goes with them. A change makes a recipe of the project's own."
    field = ChoiceField("Recipe", hint, lambda: now().delivery.recipe if now().delivery.recipe in rows else "", "", rows)
    field.edited.connect(
        lambda v: c.session.apply(
            "Choose a delivery recipe",
            lambda d: d.model_copy(
                update={
                    "overlays": tuple(
                        x.model_copy(update={"delivery": x.delivery.model_copy(update={"recipe": v})})
                        if x.id == o.id
                        else x
                        for x in d.overlays
                    )
                }
            ),
        )
    )
    c.add_field(field)
    for key in ("gltf", "lift", "motion", "proof"):

        def read(key: str = key) -> object:
            return getattr(delivery_edits.recipe_of(c.session.doc, now()), key)

        part = field_for(DeliveryRecipe, key, read, c.choose_file)
        part.edited.connect(
            lambda v, key=key: c.session.apply(
                "Change the delivery recipe",
                lambda d: delivery_edits.changed(d, o.id, lambda r: r.model_copy(update={key: v})),
            )
        )
        c.add_field(part)
    buttons = QHBoxLayout()
    for words, tip, slot in (
        ("Use a file …", "Take a delivery recipe from a file", "take"),
        ("Save as …", "Save this delivery recipe as a file, to share it", "save"),
    ):
        b = QPushButton(tr(words))
        b.setToolTip(tr(tip))
        b.clicked.connect(lambda _=False, s=slot: c.recipe_wanted.emit(s))
        buttons.addWidget(b)
    c.column.addLayout(buttons)


def build_deliver(c: Page, o: Overlay) -> None:
    """Recipe, file, depth, name, and what will be written."""
    _recipe(c, o)
    c.column.addSpacing(6)
    for key in ("format", "bits", "name", "budget"):
        c.model_field(Delivery, key, "delivery", o)
    c.column.addSpacing(6)
    one = QPushButton(tr("Deliver this overlay …"))
    one.setObjectName("main")
    one.clicked.connect(lambda: c.deliver_wanted.emit(False))
    every = QPushButton(tr("Deliver all …"))
    every.clicked.connect(lambda: c.deliver_wanted.emit(True))
    both = QHBoxLayout()
    both.addWidget(one)
    both.addWidget(every)
    c.column.addLayout(both)
    card = QPushButton(tr("Test card …"))
    card.setToolTip(tr("Asks a receiver what it does to textures, and reads the answer from a screenshot"))
    card.clicked.connect(lambda _=False: c.card_wanted.emit())
    c.column.addWidget(card)
    c.column.addSpacing(4)
    state = label("", "soft", wrap=True)
    c.column.addWidget(state)
    said = label("", "figure", wrap=True)
    c.column.addWidget(said)

    def live() -> None:
        now = c.session.doc.overlay(o.id) or o
        recipe = delivery_edits.recipe_of(c.session.doc, now)
        words = [
            "A blend sheet (JSON: blend, factors, depth, group, nudge, faces) is written beside the pictures. All are "
            "read back and compared."
        ]
        if recipe.gltf != "none" and now.places and (lost := unsaid(now, c.session.doc)):
            words.append(Message("glTF cannot say, so that only the sheet does: {parts}.", parts=joined(", ", lost)))
        said.setText(tr(joined("\n", words)))
        ready = c.engine.get(o.id).texture is not None
        enable(one, ready, "There is no picture to deliver yet")
        found = likely(c.engine.results.findings_of(o.id))
        state.setText(
            tr(
                "There is no picture to deliver yet."
                if not ready
                else "No findings: it composites as it should."
                if not found
                else Message(
                    "{count} finding{word} still open; it can be delivered all the same.",
                    count=len(found),
                    word=term("s are" if len(found) > 1 else " is"),
                )
            )
        )

    c.live.append(live)


STATION = Station(
    "deliver",
    "Deliver",
    "What is written, and in which form.",
    60,
    build_deliver,
    lambda o: o.delivery != Delivery(),
    lambda c, o: tuple(delivery_edits.choices(c.session.doc)),
)
"""Registered."""
