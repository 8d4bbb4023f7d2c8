"""Controls of the station Motion: effects, their parts, and the numbers beside the chart."""

from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton, QSizePolicy

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term, verbatim
from mivex.core.motion.curves import Curve
from mivex.core.motion.starters import STARTERS
from mivex.core.project import edits, effect_edits
from mivex.core.project.document import Overlay
from mivex.ui import theme
from mivex.ui.fields.fields import QuietCombo
from mivex.ui.fields.labels import enable, label
from mivex.ui.stations import motion_acts as acts
from mivex.ui.stations.base import Page, Station
from mivex.ui.stations.motion_effect import whole_effect
from mivex.ui.stations.motion_numbers import birth, life, stands, stream

GROUPS = {"stream": "Stream", "birth": "Birth", "life": "Life", "stands": "Facing", "effect": "Effect"}


def build_motion(c: Page, o: Overlay) -> None:
    """Effects of the project, the parts of the chosen one, and one group of its numbers."""
    _effects(c, o)
    effect = c.desk.effect
    if effect is None:
        c.column.addWidget(
            label(
                "An effect is a group of emitters, whose particles show overlays. Begin one by its "
                "purpose; "
                "everything in it can be changed.",
                "figure",
                wrap=True,
            )
        )
        return
    _parts(c, o)
    emitter = c.desk.emitter
    row = QHBoxLayout()
    row.setSpacing(4)
    for key, words in GROUPS.items():
        button = QPushButton(tr(words))
        button.setCheckable(True)
        button.setObjectName("chip")
        button.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
        button.setStyleSheet("padding: 4px 2px;")
        button.setChecked(c.desk.group == key)
        button.clicked.connect(lambda _=False, k=key: c.desk.choose_group(k))  # type: ignore[misc]
        row.addWidget(button)
    c.column.addLayout(row)
    c.column.addSpacing(4)
    if c.desk.group == "effect" or emitter is None:
        whole_effect(c)
    else:
        {"stream": stream, "birth": birth, "life": life, "stands": stands}[c.desk.group](c, emitter)


def _chosen(words: str, on: bool) -> QPushButton:
    button = QPushButton(tr(words))
    button.setStyleSheet("text-align: left;" + (f"border: 1px solid {theme.CHOSEN}; padding: 4px 11px;" if on else ""))
    return button


def _effects(c: Page, o: Overlay) -> None:
    head = QHBoxLayout()
    head.addWidget(label("Effects", "section"))
    head.addStretch()
    new = QPushButton(tr("New effect"))
    new.setIcon(theme.icon("plus"))
    menu = QMenu(new)
    menu.setToolTipsVisible(True)
    for key, starter in STARTERS.items():
        action = menu.addAction(tr(starter.title))
        action.setToolTip(tr(starter.what))
        action.triggered.connect(lambda _=False, k=key: acts.begin(c, o.id, k))
    effect = c.desk.effect
    if effect is not None:
        menu.addSeparator()
        menu.addAction(tr(Message("A copy of “{name}”", name=effect.name))).triggered.connect(lambda: acts.copy(c))
    new.setMenu(menu)
    head.addWidget(new)
    c.column.addLayout(head)
    if effect is None:
        return
    row = QHBoxLayout()
    row.setSpacing(4)
    box = QuietCombo()
    box.setAccessibleName(tr("Effect"))
    box.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
    rows = c.session.doc.effects
    for e in rows:
        of = c.session.doc.effect(e.copy_of) if e.copy_of else None
        box.addItem(
            tr(
                verbatim(e.name)
                + (Message(", a copy of {name}", name=of.name) if of is not None else "")
                + ("" if e.shown else ", hidden")
            )
        )
    at = next((k for k, e in enumerate(rows) if e.id == c.desk.effect_id), 0)
    box.setCurrentIndex(at)
    box.activated.connect(lambda k: c.desk.choose(rows[k].id))
    row.addWidget(box, 1)
    key, on = rows[at].id, rows[at].shown
    eye = theme.tool("seen" if on else "unseen", "Show it on the stage, or hide it", theme.SOFT)
    eye.setAccessibleName(tr("Show or hide the effect"))
    eye.clicked.connect(lambda: c.session.apply("Show or hide an effect", lambda d: edits.set_effect(d, key, shown=not on)))
    row.addWidget(eye)
    gone = theme.tool("remove", "Remove the effect", theme.SOFT)
    gone.setAccessibleName(tr("Remove the effect"))
    gone.clicked.connect(lambda: c.session.apply("Remove an effect", lambda d: effect_edits.removed(d, key)))
    row.addWidget(gone)
    c.column.addLayout(row)


def _parts(c: Page, o: Overlay) -> None:
    effect = c.desk.effect
    if effect is None:
        return
    c.column.addSpacing(6)
    head = QHBoxLayout()
    head.addWidget(label("Its parts", "section"))
    head.addStretch()
    add = QPushButton(tr("One more"))
    add.setIcon(theme.icon("plus"))
    add.setToolTip(tr("One more emitter, which shows the overlay that is chosen in the rack"))
    add.clicked.connect(lambda: acts.add_part(c, o.id))
    head.addWidget(add)
    c.column.addLayout(head)
    key = c.desk.own_id
    for k, p in enumerate(effect.parts):
        row = QHBoxLayout()
        row.setSpacing(4)
        of = c.session.doc.overlay(p.overlay)
        shows = of.name if of is not None else term("its overlay is gone")
        button = _chosen(Message("{name}   {shows}", name=p.name, shows=shows), k == c.desk.part)
        button.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
        button.clicked.connect(lambda _=False, i=k: c.desk.choose(c.desk.effect_id, i))  # type: ignore[misc]
        row.addWidget(button, 1)
        alone = theme.tool("solo", "See it alone", theme.SOFT, checkable=True)
        alone.setChecked(c.desk.alone == k)
        alone.setAccessibleName(tr(Message("See {name} alone", name=p.name)))
        alone.clicked.connect(lambda _=False, i=k: c.desk.see_alone(i))  # type: ignore[misc]
        row.addWidget(alone)
        eye = theme.tool("unseen" if p.muted else "seen", "Mute it, or let it play", theme.SOFT)
        eye.setAccessibleName(tr(Message("Mute {name}", name=p.name)))
        eye.clicked.connect(
            lambda _=False, i=k, on=p.muted: c.session.apply(  # type: ignore[misc]
                "Mute a part", lambda d: edits.set_part(d, key, i, "", muted=not on)
            )
        )
        row.addWidget(eye)
        gone = theme.tool("remove", "Remove the part", theme.SOFT)
        gone.setAccessibleName(tr(Message("Remove {name}", name=p.name)))
        enable(gone, len(effect.parts) > 1, "An effect has one part at least")
        gone.clicked.connect(
            lambda _=False, i=k: c.session.apply(  # type: ignore[misc]
                "Remove a part", lambda d: effect_edits.without_part(d, key, i)
            )
        )
        row.addWidget(gone)
        c.column.addLayout(row)
    c.column.addSpacing(6)


def _shape(c: Page, _o: Overlay) -> object:
    """What decides which controls there are."""
    e, d = c.desk.emitter, c.desk
    effects = tuple(
        (
            x.id,
            x.name,
            x.shown,
            x.copy_of,
            x.opened,
            x.lamp.on,
            x.travel.path,
            x.travel.moves,
            x.bounds,
            tuple((p.name, p.overlay, p.muted) for p in x.parts),
        )
        for x in c.session.doc.effects
    )
    own: object = None
    if e is not None:
        m, life = e.emission, e.life
        lane = getattr(life, d.lane, None)
        own = (
            m.runs,
            m.form,
            m.way,
            len(m.bursts),
            m.mesh,
            m.rate_curve is None,
            e.birth.height is None,
            e.facing.facing,
            bool(life.drift),
            bool(life.wind),
            life.solids,
            len(lane.points) if isinstance(lane, Curve) else lane is None,
            isinstance(lane, Curve) and lane.smooth,
            acts.frames_of(c, e.overlay),
        )
    names = tuple((o.id, o.name) for o in c.session.doc.overlays)
    return effects, names, d.effect_id, d.part, d.group, d.lane, d.alone, own, c.desk.kept is None


def _touched(_o: Overlay) -> bool:
    return False


STATION = Station("motion", "Motion", "How its particles are born, live and die.", 55, build_motion, _touched, _shape)
"""Registered."""
