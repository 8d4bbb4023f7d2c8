"""Limits: which findings do not count, and how large pictures may be; of a file, or kept with a project."""

import fnmatch
from pathlib import Path
from typing import Any, Literal

from pydantic import Field

from mivex.core.base.settings import Frozen


class Rule(Frozen):
    """A rule of a limits file: which findings do not count, and how large a picture may be."""

    allow: tuple[str, ...] = Field((), description="Ids of findings that never count; * stands for anything.")
    at_most: dict[str, float] = Field(default_factory=dict, description="Ids of findings that do not count up to a figure.")
    longest_side: int = Field(0, ge=0, description="Texels; a picture with a longer side fails. 0: any.")

    def passes(self, finding: dict[str, Any]) -> bool:
        """Whether a finding does not count by this rule."""
        name = str(finding["id"])
        if any(fnmatch.fnmatchcase(name, a) for a in self.allow):
            return True
        return name in self.at_most and float(finding["figure"]) <= self.at_most[name]


class Where(Rule):
    """A rule for some pictures or overlays only."""

    match: str = Field(description="Path of the picture, or name of the overlay; * and ? stand for anything.")


class Limits(Rule):
    """A limits file (``limits.toml``): a rule for everything, and rules for some pictures or overlays."""

    limits: Literal[1] = Field(1, description="Version of the format.")
    where: tuple[Where, ...] = ()

    def rules_for(self, row: dict[str, Any]) -> list[Rule]:
        """The rules that hold for a picture or finding."""
        names = [str(row[k]) for k in ("path", "overlay", "effect") if row.get(k)]
        return [
            self,
            *(
                w
                for w in self.where
                if any(fnmatch.fnmatchcase(n, w.match) or fnmatch.fnmatchcase(Path(n).name, w.match) for n in names)
            ),
        ]

    def passes(self, finding: dict[str, Any]) -> bool:
        """Whether a finding does not count."""
        return any(Rule.passes(r, finding) for r in self.rules_for(finding))

    def too_large(self, picture: dict[str, Any]) -> int:
        """The longest side that a picture exceeds; 0: none."""
        sides = [r.longest_side for r in self.rules_for(picture) if r.longest_side]
        side = sides[-1] if sides else 0
        return side if side and max(int(picture.get("width", 0)), int(picture.get("height", 0))) > side else 0
