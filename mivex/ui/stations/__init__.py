"""One module a station: a page of controls. A station is registered by being here."""

import importlib
import pkgutil

from mivex.ui.stations.base import Station


def _discover() -> dict[str, Station]:
    modules = [importlib.import_module(f"{__name__}.{m.name}") for m in pkgutil.iter_modules(__path__)]
    found = [getattr(m, "STATION", None) for m in modules]
    return {s.key: s for s in sorted((s for s in found if s is not None), key=lambda s: s.place)}


STATIONS: dict[str, Station] = _discover()
"""Every station by its key, in the order of the track."""
