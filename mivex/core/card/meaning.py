"""What a receiver's answers mean: in words, for a project's overlays, and for how they are delivered."""

import contextlib
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.card.questions import UNKNOWN, Answer
from mivex.core.layers.model import Layer
from mivex.core.pixels.blends import BLENDS
from mivex.core.prepare.keep_coverage import KeepCoverage
from mivex.core.project.delivery import STOCK, DeliveryRecipe
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.receiver import QUESTIONS, Receiver

TITLES: dict[str, str] = {
    "encoding": "Colour of textures",
    "transparency": "Transparency",
    "blending": "Blends in",
    "alpha": "Straight alpha",
    "additive": "Additive",
    "multiply": "Multiply",
    "premultiplied": "Premultiplied",
    "opacity": "Opacity of a material",
    "levels": "Mip levels",
    "hidden": "Colour below clear texels",
    "size": "Size of textures",
    "blocks": "Compression in blocks",
    "cutout": "Cutout",
    "order": "Order",
    "nudge": "Order nudge",
    "write": "Depth write of see-through things",
    "blended-depth": "Depth of blended things",
    "green": "Green of normal maps",
    "faces": "Faces",
    "repeat": "Repeated textures",
}
"""What each question is about."""
WORDS: dict[tuple[str, str], str] = {
    ("encoding", "decoded"): "It decodes colour to light, as it should.",
    (
        "encoding",
        "as-data",
    ): "It reads colour as data: everything is too bright and too pale. Flag colour textures as sRGB.",
    ("transparency", "on"): "It draws see-through things.",
    ("transparency", "off"): "It draws everything solid: transparency is left off.",
    ("blending", "linear"): "It sums light.",
    ("blending", "display"): "It sums display values: soft edges and faint layers come out darker than on the stage.",
    ("alpha", "straight"): "It multiplies straight colour by alpha once, as it should.",
    (
        "alpha",
        "twice",
    ): "It multiplies by alpha twice: soft edges are dark. It premultiplies at import and blends as straight.",
    ("alpha", "taken-as-premultiplied"): "It takes straight colour as multiplied already: soft edges glow.",
    ("additive", "added"): "It adds.",
    ("additive", "blended"): "It blends what should be added: what should shine covers instead.",
    ("additive", "solid"): "It draws what should be added solid.",
    ("multiply", "multiplied"): "It multiplies.",
    ("multiply", "blended"): "It blends what should multiply: white covers instead of being left out.",
    ("multiply", "solid"): "It draws what should multiply solid.",
    ("premultiplied", "added"): "It adds colour that has no alpha, as it should.",
    ("premultiplied", "not-seen"): "It multiplies colour by alpha once more: what glows without covering is lost.",
    ("opacity", "multiplies"): "It multiplies alpha by the material’s opacity.",
    ("opacity", "ignored"): "It ignores the material’s opacity.",
    ("levels", "of-the-file"): "It uses the mip levels of the file.",
    ("levels", "own"): "It makes its own mip levels, or was given none: coverage and edge colour of Mivex’s own are lost.",
    ("hidden", "does-not-show"): "Its mip levels keep the colour of clear texels out.",
    ("hidden", "shows"): "Its mip levels let the colour of clear texels through: spread edge colour below clear texels.",
    ("size", "any"): "It takes textures of 8192 texels and more.",
    ("blocks", "none"): "It does not compress textures, or so well that nothing is seen of it.",
    ("blocks", "compressed"): "It compresses 4 × 4 texels into two colours and what lies between them.",
    ("cutout", "at-half"): "It cuts at half, as the card says.",
    ("cutout", "lower"): "It cuts lower than it is told: edges grow fatter.",
    ("cutout", "higher"): "It cuts higher than it is told: edges grow thinner.",
    ("cutout", "solid"): "It does not cut at all.",
    ("cutout", "blended"): "It blends what should be cut.",
    ("order", "far-to-near"): "It draws from far to near.",
    ("order", "as-listed"): "It draws see-through things in the order of its list, whatever their distance.",
    ("order", "hides"): "What is near hides what is see-through behind it.",
    ("nudge", "followed"): "It follows the order nudge.",
    ("nudge", "ignored"): "It ignores the order nudge: distance alone decides.",
    ("nudge", "hides"): "What is drawn first hides what follows behind it.",
    ("write", "followed"): "It writes depth where it is told to.",
    ("write", "ignored"): "It writes no depth for see-through things, even where it is told to.",
    ("write", "order-differs"): "It orders them by distance first, so that depth write changes nothing here.",
    ("blended-depth", "does-not-write"): "Blended things write no depth.",
    ("blended-depth", "writes"): "Blended things write depth: what is near cuts holes into what lies behind.",
    ("green", "up"): "Green points up, as delivered.",
    ("green", "down"): "Green points down: bumps become dents.",
    ("green", "flat"): "It shows no bumps.",
    ("faces", "as-said"): "It draws back faces where it is told to.",
    ("faces", "all-both"): "It draws both faces of everything.",
    ("faces", "all-front"): "It draws front faces only.",
    ("repeat", "repeats"): "It repeats textures, and follows their tiling.",
    ("repeat", "held-or-not-tiled"): "It does not repeat textures, or does not follow how often they shall.",
}
"""What each answer says of the receiver."""
_OPEN = "Cannot be told from this picture."


def words_of(question: str, value: str) -> str:
    """What an answer says, in a sentence."""
    if value == UNKNOWN:
        return _OPEN
    if question == "size" and value != "any":
        return Message("It halves textures until no side is longer than {side} texels.", side=int(value))
    return WORDS[question, value]


def receiver_from(answers: Mapping[str, Answer], name: str) -> Receiver:
    """The profile of a receiver; open questions are left out."""
    known = {q: answers[q].value for q in QUESTIONS if q in answers and answers[q].value != UNKNOWN}
    return Receiver(name=name, answers=known)


def _blend(*names: str) -> Callable[[Overlay], bool]:
    return lambda o: o.material.blend in names


def _see_through(o: Overlay) -> bool:
    return BLENDS[o.material.blend].see_through and o.material.blend not in ("Cutout", "Dithered")


def _bumpy(o: Overlay) -> bool:
    raised = any(isinstance(row, Layer) and {"height", "normal"} & set(row.cells) for row in o.layers.walk())
    return o.material.finish.normal.source != "number" or raised


def _any(_: Overlay) -> bool:
    return True


_TOUCHED: dict[tuple[str, str], Callable[[Overlay], bool]] = {
    ("encoding", "as-data"): _any,
    ("transparency", "off"): lambda o: o.material.blend != "Solid",
    ("blending", "display"): _see_through,
    ("alpha", "twice"): _blend("Translucent", "Additive"),
    ("alpha", "taken-as-premultiplied"): _blend("Translucent"),
    ("additive", "blended"): _blend("Additive"),
    ("additive", "solid"): _blend("Additive"),
    ("multiply", "blended"): _blend("Multiply"),
    ("multiply", "solid"): _blend("Multiply"),
    ("premultiplied", "not-seen"): _blend("Premultiplied"),
    ("opacity", "ignored"): lambda o: o.material.opacity < 1,
    ("levels", "own"): lambda o: any(isinstance(s, KeepCoverage) and s.on for s in o.steps),
    ("hidden", "shows"): lambda o: _see_through(o) and not any(s.step == "spread" and s.on for s in o.steps),
    ("blocks", "compressed"): _any,
    ("cutout", "lower"): _blend("Cutout"),
    ("cutout", "higher"): _blend("Cutout"),
    ("cutout", "solid"): _blend("Cutout"),
    ("cutout", "blended"): _blend("Cutout"),
    ("order", "as-listed"): _see_through,
    ("order", "hides"): _see_through,
    ("nudge", "ignored"): lambda o: o.material.nudge != 0,
    ("nudge", "hides"): lambda o: o.material.nudge != 0,
    ("write", "ignored"): lambda o: _see_through(o) and o.material.depth_write,
    ("blended-depth", "writes"): lambda o: _see_through(o) and not o.material.depth_write,
    ("green", "down"): _bumpy,
    ("green", "flat"): _bumpy,
    ("faces", "all-both"): lambda o: not o.material.both_faces,
    ("faces", "all-front"): lambda o: o.material.both_faces,
    ("repeat", "held-or-not-tiled"): lambda o: o.material.tiling,
}


@dataclass(frozen=True)
class Meaning:
    """What one answer means for a project.

    Attributes
    ----------
    question, value : str
    overlays : tuple of str
        Names of the overlays that it touches.
    """

    question: str
    value: str
    overlays: tuple[str, ...]


def meanings(receiver: Receiver, doc: Document, sizes: Mapping[str, tuple[int, int]]) -> list[Meaning]:
    """Which overlays of a project look otherwise in a receiver, answer by answer.

    Parameters
    ----------
    receiver : Receiver
    doc : Document
    sizes : mapping of overlay id to (width, height)
        Of their pictures, texels; those that are left out count as small enough.
    """
    rows = []
    ready = [o for o in doc.overlays if o.source.ready]
    for question, value in receiver.unlike().items():
        if question == "size":
            touched = [o.name for o in ready if max(sizes.get(o.id, (0, 0))) > receiver.longest]
        else:
            test = _TOUCHED.get((question, value))
            touched = [o.name for o in ready if test is not None and test(o)]
        rows.append(Meaning(question, value, tuple(touched)))
    return rows


def sizes_of(doc: Document, folder: Path) -> dict[str, tuple[int, int]]:
    """Width and height, by overlay id, of the pictures that a project starts from; what cannot be read is left out."""
    evaluator = Evaluator(folder)
    made = {}
    for o in doc.overlays:
        if o.source.ready:
            with contextlib.suppress(MivexError):
                start = evaluator.start_of(o)
                made[o.id] = start.width, start.height
    return made


def recipe_for(receiver: Receiver) -> DeliveryRecipe:
    """A delivery recipe that allows for what a receiver does.

    It is the whole surface, with normal maps as the receiver reads them, no larger than it keeps, with mip levels where
    it uses those of a file, with alpha for sums of display values where it forms such, and with edge colour spread below
    clear texels where its own mip levels let their colour through.
    """
    a = receiver.answers
    files = []
    for f in STOCK["surface"].files:
        change: dict[str, object] = {"size": receiver.longest}
        if f.fed_by("normal_x", "normal_y") and a.get("green") == "down":
            change["green"] = "down"
        if f.fed_by("opacity"):
            if a.get("levels") == "of-the-file":
                change |= {"format": "ktx2", "bits": 8}
            if a.get("blending") == "display":
                change["alpha_for"] = "display"
            if a.get("hidden") == "shows":
                change["hidden"] = "spread"
        files.append(f.model_copy(update=change))
    return DeliveryRecipe(name=Message("For {name}", name=receiver.name), files=tuple(files), gltf="glb")
