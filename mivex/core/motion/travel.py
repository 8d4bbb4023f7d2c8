"""Effects that move: their emitters, and the lamp, on a way of their own; what is born stays where it was born."""

import math

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.motion.model import Travel


def offset_at(travel: Travel, time: Doubles) -> tuple[Doubles, Doubles]:
    """How far from its place an effect is, and its velocity, in its own axes.

    With ``φ = 2π t / period`` and the reach r: swinging ``r sin φ``; going round ``(r.x cos φ, r.y sin φ, r.z sin φ)``.

    Parameters
    ----------
    travel : Travel
    time : float64 array (n,)
        Seconds of the effect's clock; before its beginning they are below 0.

    Returns
    -------
    place, velocity : float64 arrays (n, 3)
        Metres, metres a second, before the effect's scale.
    """
    reach = np.array([travel.reach_x, travel.reach_y, travel.reach_z])
    phase = 2 * np.pi * np.asarray(time, np.float64) / travel.period
    rate = 2 * math.pi / travel.period
    s, c = np.sin(phase)[:, None], np.cos(phase)[:, None]
    if travel.path == "none":
        return np.zeros((len(s), 3)), np.zeros((len(s), 3))
    if travel.path == "swing":
        return reach * s, reach * c * rate
    first = np.array([1.0, 0.0, 0.0])
    return reach * np.where(first > 0, c, s), reach * np.where(first > 0, -s, c) * rate


def carried_along(travel: Travel, place: Doubles, way: Doubles, time: Doubles) -> tuple[Doubles, Doubles, Doubles]:
    """Where particles are born, and which way they set out, as the effect stands when each is born.

    Parameters
    ----------
    travel : Travel
    place, way : float64 arrays (n, 3)
        As in an effect that stands still; its own axes.
    time : float64 array (n,)
        When each is born, seconds of the effect's clock.

    Returns
    -------
    place, way, velocity : float64 arrays (n, 3)
        The velocity is the share of the emitter's own that they take along.
    """
    # Turned about the effect's axis, its own y (Rodrigues 1840).
    angle = np.radians(travel.turning) * np.asarray(time, np.float64)
    c, s = np.cos(angle)[:, None], np.sin(angle)[:, None]

    def turned(v: Doubles) -> Doubles:
        x, y, z = v[:, :1], v[:, 1:2], v[:, 2:]
        return np.concatenate([x * c + z * s, y, z * c - x * s], axis=1)

    place, way = turned(place), turned(way)
    rate = math.radians(travel.turning)
    own = np.stack([rate * place[:, 2], np.zeros(len(place)), -rate * place[:, 0]], axis=1)
    offset, velocity = offset_at(travel, time)
    return place + offset, way, travel.carried * (velocity + own)
