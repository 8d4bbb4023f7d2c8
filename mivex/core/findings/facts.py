"""Figures that are shown whether or not they amount to a finding."""

from dataclasses import dataclass, field

from mivex.core.findings.base import Subject
from mivex.core.picture.fringes import LevelFringe
from mivex.core.picture.texture import Texture
from mivex.core.pixels.coverage import LevelCoverage, best_cutoff, coverage_figures
from mivex.core.pixels.mips import build_chain
from mivex.core.pixels.outline import outline_error
from mivex.core.prepare.combine import fitted
from mivex.core.prepare.tiling import Seam, seams


@dataclass(frozen=True)
class TextureMetrics:
    """Figures of one prepared overlay.

    Attributes
    ----------
    fringes : list of LevelFringe
    seams : tuple of Seam
        Left and right, top and bottom.
    coverage : list of LevelCoverage
        For cutouts; else empty.
    cutoff : float
        Best single cutoff for all levels of a cutout; else 0.
    outline, plain_outline : (mean, largest) or None
        Outline error in texels of a signed distance, and of plain alpha at the same size.
    """

    fringes: list[LevelFringe]
    seams: tuple[Seam, Seam]
    coverage: list[LevelCoverage] = field(default_factory=list)
    cutoff: float = 0.0
    outline: tuple[float, float] | None = None
    plain_outline: tuple[float, float] | None = None


def facts_of(subject: Subject, plain: Texture | None = None) -> TextureMetrics:
    """Measure one overlay; ``plain`` is its texture before the alpha became a distance."""
    t, m = subject.texture, subject.material
    rows: list[LevelCoverage] = []
    best = 0.0
    if m is not None and m.blend == "Cutout":
        chain = build_chain(t.linear)
        rows, best = coverage_figures(chain, m.cutoff), best_cutoff(chain, m.cutoff)
    outline = plain_outline = None
    if t.distance > 0 and plain is not None:
        outline = outline_error(t.alpha, plain.alpha)
        plain_outline = outline_error(fitted(plain.alpha, t.height, t.width), plain.alpha)
    return TextureMetrics(subject.fringes, seams(t), rows, best, outline, plain_outline)
