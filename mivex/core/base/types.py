"""Names for the arrays that pass between modules. Shapes and depths are said in each docstring."""

from typing import Any

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[Any]
"""float32 values; kernels depend on the depth, so every public function returns it."""
Doubles = NDArray[Any]
"""float64 values: geometry, which wants the digits."""
Mask = NDArray[np.bool_]
