"""Percentiles of many small arrays, of which NumPy's own takes most of its time to look at its arguments."""

import numpy as np
from numpy.typing import NDArray


def percentile(values: NDArray[np.floating], rank: float) -> float:
    """What ``rank`` per cent of some values do not exceed, straight between the two next to it; as `numpy.percentile`.

    Parameters
    ----------
    values : float array (n,), n > 0, without NaN
    rank : float
        0 to 100.
    """
    at = rank / 100 * (values.size - 1)
    low = int(at)
    high = min(low + 1, values.size - 1)
    part = np.partition(values, (low, high))
    a, b = float(part[low]), float(part[high])
    return a + (b - a) * (at - low)
