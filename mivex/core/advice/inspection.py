"""What the command line and the window ask of a project's stage: accounts of pixels, looks, advice on the order."""

from collections.abc import Sequence
from pathlib import Path
from typing import Any

from mivex.core.advice.order import Proposal
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, named
from mivex.core.base.store import check_target
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import protect_files, read_project
from mivex.core.project.layering import bakes_folder
from mivex.core.scene.draw_calls import load_scene_inputs
from mivex.core.scene.snapshot import SceneSnapshot
from mivex.core.stage.camera import Camera
from mivex.core.stage.pixel_history import FragmentRecord, PixelHistory


class Stage(SceneSnapshot):
    """A project with everything that drawing it needs, read from its file or taken from the window."""

    @staticmethod
    def read(path: str, cameras: Sequence[str] = (), out: str = "") -> "Stage":
        """Read a project file and prepare its overlays.

        Parameters
        ----------
        path : str
        cameras : sequence of str
            Names that will be asked for; empty ones stand for the first.
        out : str
            Where the picture will be written, if it will.

        Raises
        ------
        MivexError
            The project cannot be read, has no such camera, or the picture cannot be written there: both are looked at
            before anything is prepared, which may take long.
        """
        doc = read_project(path)
        protect_files(doc, path)
        if not doc.cameras:
            raise MivexError("The project has no camera.")
        for name in cameras:
            camera_of(doc, name)
        if out:
            check_target(out)
        evaluator = Evaluator(Path(path).resolve().parent)
        evaluator.bakes = bakes_folder(Path(path).resolve())
        return Stage(doc, *load_scene_inputs(doc, evaluator))

    def camera(self, name: str = "") -> Camera:
        """A camera by its name; the first where none is given; raises MivexError."""
        return camera_of(self.doc, name)


def camera_of(doc: Document, name: str) -> Camera:
    """The camera of that name, the first where no name is given; raises MivexError where there is none."""
    cameras = {c.name: c for c in doc.cameras}
    if name and name not in cameras:
        raise MivexError(
            Message("There is no camera “{name}”; the project has {parts}.", name=name, parts=named(", ", cameras))
        )
    return cameras[name] if name else doc.cameras[0]


def line_words(line: FragmentRecord) -> dict[str, Any]:
    """A ledger's line as it is printed."""
    return {
        "overlay": line.name,
        "part": line.part,
        "group": line.group,
        "nudge": line.nudge,
        "depth": round(line.depth, 6),
        "texel": [round(v, 6) for v in line.texel],
        "level": round(line.level, 4),
        "colour": list(line.colour),
        "blend": line.blend,
        "factors": list(line.factors),
        "verdict": line.verdict,
        "after": list(line.after),
    }


def account_words(account: PixelHistory) -> dict[str, Any]:
    """An account as it is printed, in linear light."""
    return {
        "pixel": list(account.pixel),
        "background": list(account.background),
        "set": [line_words(r) for r in account.set],
        "exact": [line_words(r) for r in account.exact],
    }


def proposal_words(found: Proposal) -> dict[str, Any]:
    """A proposal as it is printed; overlays by name."""
    names = {o.id: o.name for o in found.doc.overlays}
    return {
        "before": round(found.before, 6),
        "after": round(found.after, 6),
        "nudges": {names[k]: v for k, v in found.nudges.items()},
        "gains": {names[k]: round(found.gains[k], 6) for k in found.nudges},
        "settings": [
            {
                "overlay": names[c.overlay],
                "setting": c.setting,
                "before": c.before,
                "after": c.after,
                "gain": round(found.gains[f"{c.overlay} {c.setting}"], 6),
            }
            for c in found.settings
        ],
        "free": [names[k] for k in found.free],
        "by_pairs": found.by_pairs,
        "unsettled": [
            {
                "overlays": [names[k] for k in c.overlays],
                "pixels": c.pixels,
                "error": round(c.error, 6),
                "camera": c.camera.name,
                "at": [round(v, 6) for v in c.at],
                "tried": c.tried,
                "remedies": [
                    {
                        "remedy": r.name,
                        "overlay": names[r.overlay],
                        "gain": round(r.gain, 6),
                        "look": round(r.look, 2),
                        "share": round(r.share, 6),
                    }
                    for r in c.remedies
                ],
            }
            for c in found.unsettled
        ],
        "cameras": [{"camera": c.name, "before": round(a, 6), "after": round(b, 6)} for c, a, b in found.wrong],
    }
