"""Running single steps on small pictures; shared by the tests of the steps."""

import numpy as np
from sprites import rgba

from mivex.core.picture.picture import Picture
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface

MASK = Picture(
    np.dstack([np.tile(np.linspace(0, 1, 32), (32, 1))] * 3 + [np.ones((32, 32))]).astype(np.float32), has_alpha=False
)
CONTEXT = Context(lambda path: MASK)


def run(name, surface, **settings):
    """One step by its word in a recipe."""
    step = STEPS[name]
    return step.run(surface, step.params.model_validate({"step": name, **settings}), CONTEXT)


def plain(alpha, rgb=(0.4, 0.5, 0.6)):
    """One colour under an alpha."""
    return Surface(rgba(np.broadcast_to(rgb, (*alpha.shape, 3)), alpha))


def circle(n, r, c=None, soft=1.0):
    """Alpha of a disc whose edge is ``soft`` texels wide, straight across."""
    y, x = np.mgrid[:n, :n] + 0.5
    cy, cx = c or (n / 2, n / 2)
    return np.clip(0.5 - (np.hypot(y - cy, x - cx) - r) / soft, 0, 1).astype(np.float32)
