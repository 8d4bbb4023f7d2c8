"""One module a station: a page of controls. A station is registered by being here."""

from mivex.core.base.discovery import found_in
from mivex.ui.stations.base import Station

STATIONS: dict[str, Station] = {s.key: s for s in sorted(found_in(__name__, __path__, "STATION"), key=lambda s: s.place)}
"""Every station by its key, in the order of the track."""
