"""Controls of the station Deliver: format, depth, name, and the buttons."""

from PySide6.QtWidgets import QPushButton

from mivex.core.project.document import Delivery, Overlay
from mivex.ui.fields.labels import label
from mivex.ui.stations.base import Page, Station


def build_deliver(c: Page, o: Overlay) -> None:
    """File, depth, name, and what will be written."""
    for key in ("format", "bits", "name"):
        c.model_field(Delivery, key, "delivery", o)
    c.column.addSpacing(4)
    c.column.addWidget(label("A blend sheet (JSON: blend, factors, depth, group, nudge, faces) is written "
                                 "beside the picture. Both are read back and compared.", "figure", wrap=True))
    c.column.addSpacing(8)
    one = QPushButton("Deliver this overlay …")
    one.setObjectName("main")
    one.clicked.connect(lambda: c.deliver_wanted.emit(False))
    every = QPushButton("Deliver all …")
    every.clicked.connect(lambda: c.deliver_wanted.emit(True))
    c.column.addWidget(one)
    c.column.addWidget(every)
    c.column.addSpacing(8)
    state = label("", "soft", wrap=True)
    c.column.addWidget(state)

    def live() -> None:
        ready = c.engine.get(o.id).texture is not None
        one.setEnabled(ready)
        found = c.engine.results.findings_of(o.id)
        state.setText("There is no picture to deliver yet." if not ready else
                      "No findings: it composites as it should." if not found else
                      f"{len(found)} finding{'s are' if len(found) > 1 else ' is'} still open; it can be delivered "
                      "all the same.")

    c.live.append(live)


STATION = Station("deliver", "Deliver", "What is written, and in which form.", 60,
                  build_deliver, lambda o: o.delivery != Delivery())
"""Registered."""
