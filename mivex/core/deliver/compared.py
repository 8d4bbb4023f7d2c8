"""What was delivered, and how it compares with what was meant."""

from dataclasses import dataclass
from pathlib import Path

from mivex.core.picture.encode import ReadBack


@dataclass(frozen=True)
class Compared:
    """One channel of a delivered file, read again and compared with what was meant.

    Attributes
    ----------
    overlay, file, channel : str
    source : str
        What fills it, in words.
    back : ReadBack
    number : int
        Which of the file's channels.
    low, high : float
        Least and greatest value that it holds.
    """

    overlay: str
    file: str
    channel: str
    source: str
    back: ReadBack
    number: int
    low: float
    high: float

    @property
    def difference(self) -> float:
        """Largest difference in codes."""
        return self.back.differences[self.number] if self.number < len(self.back.differences) else 0.0


@dataclass(frozen=True)
class Delivered:
    """What was written for one overlay, after it was read back and found the same."""

    overlay: str
    files: tuple[Path, ...]
    sheet: Path
    table: tuple[Compared, ...] = ()
    left_out: tuple[str, ...] = ()
    others: tuple[Path, ...] = ()

    @property
    def picture(self) -> Path:
        """The first file of the recipe; as a rule the one of colour with opacity."""
        return self.files[0]
