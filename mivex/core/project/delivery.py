"""Delivery recipes: which files an overlay becomes, and where every channel of them comes from."""

import json
import re
from pathlib import Path
from typing import Any, Literal

from pydantic import Field, ValidationError, field_validator, model_validator

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import InSentence, Message, named, term
from mivex.core.base.settings import Frozen, OmitDefaultsModel, setting
from mivex.core.base.store import write_text
from mivex.core.picture.formats import DEPTHS, FORMATS, TITLES, FormatName
from mivex.core.project.recipe import explain, read_json

RECIPE_VERSION = 1
Lane = Literal["red", "green", "blue", "alpha"]
LANES: tuple[Lane, ...] = ("red", "green", "blue", "alpha")
FROM_WORDS: dict[str, str] = {
    "red": "Red",
    "green": "Green",
    "blue": "Blue",
    "opacity": "Opacity",
    "grey": "Grey of the colour",
    "roughness": "Roughness",
    "metal": "Metal",
    "occlusion": "Occlusion",
    "height": "Height",
    "vector_x": "Motion between frames, across",
    "vector_y": "Motion between frames, down",
    "normal_x": "Normal across",
    "normal_y": "Normal up",
    "normal_z": "Normal out",
    "glow_red": "Glow, red",
    "glow_green": "Glow, green",
    "glow_blue": "Glow, blue",
    "distance": "Distance from the outline",
    "mask": "A layer's mask",
    "number": "A number",
}
FromName = Literal[
    "red",
    "green",
    "blue",
    "opacity",
    "grey",
    "roughness",
    "metal",
    "occlusion",
    "height",
    "vector_x",
    "vector_y",
    "normal_x",
    "normal_y",
    "normal_z",
    "glow_red",
    "glow_green",
    "glow_blue",
    "distance",
    "mask",
    "number",
]
FORMAT_WORDS: dict[str, str] = {"own": "As the overlay says", **TITLES}


class Feed(OmitDefaultsModel):
    """What one channel of a file is filled with."""

    take: FromName = Field(
        "number", title="Takes", description="What fills this channel.", json_schema_extra={"choices": {**FROM_WORDS}}
    )
    overlay: str = Field(
        "", title="Overlay", description="Name or id of another overlay whose channel is taken; empty: this one."
    )
    layer: int = setting(1, "Layer", "Which layer's mask, from the lowest up.", ge=1, le=64, drag=(1, 8))
    invert: bool = setting(False, "Inverted", "One minus the value: roughness delivered as smoothness, say.")
    value: float = setting(1.0, "Value", "The number.", ge=0, le=1)

    @property
    def source_words(self) -> Message:
        """Where the value comes from, in a few words, before it is inverted."""
        made: Message = (
            Message("{value:g}", value=self.value) if self.take == "number" else InSentence(FROM_WORDS[self.take])
        )
        if self.take == "mask":
            made = Message("mask of layer {layer}", layer=self.layer)
        return made + (Message(" of {overlay}", overlay=self.overlay) if self.overlay else "")

    @property
    def words(self) -> Message:
        """In a few words, as it stands beside a channel."""
        return Message("1 − {source}", source=self.source_words) if self.invert else self.source_words


class FilePlan(Frozen):
    """One file of a recipe."""

    pattern: str = setting("{name}", "Name", "{name} stands for the overlay's name, {kind} for its kind.")
    format: Literal["own", FormatName] = setting(
        "own", "File", "KTX 2 and TIFF hold every mip level as it was made.", choices=FORMAT_WORDS
    )
    bits: Literal[0, 8, 16, 32] = setting(
        0,
        "Depth",
        "Finer steps at twice the size.",
        unit="bit",
        choices={0: "As the overlay says", 8: "8", 16: "16", 32: "32, real numbers"},
    )
    size: int = setting(
        0,
        "Longest side",
        "Smaller than the overlay's own: filtered down with colour weighed by alpha; 0: its own.",
        unit="px",
        ge=0,
        le=16384,
        drag=(0, 4096),
    )
    holds: Literal["colour", "data"] = setting(
        "colour",
        "Holds",
        "Colour is encoded and decoded by the receiver; data is read as it is.",
        choices={"colour": "Colour", "data": "Data"},
    )
    green: Literal["up", "down"] = setting(
        "up", "Green points", "Which way a normal map's second channel counts.", choices={"up": "Up", "down": "Down"}
    )
    alpha_for: Literal["linear", "display"] = setting(
        "linear",
        "Alpha for",
        "Receivers that sum display values need another alpha for the same look; it comes near over every backdrop.",
        choices={"linear": "Sums of light", "display": "Sums of display values"},
    )
    hidden: Literal["kept", "spread"] = setting(
        "kept",
        "Below clear texels",
        "Spread from the edges, whatever is filtered later finds no foreign colour; of straight colour beside its alpha.",
        choices={"kept": "Colour as it is", "spread": "Colour spread from the edges"},
    )
    always: bool = setting(False, "Always", "Written even where nothing but numbers would be in it.")
    channels: dict[Lane, Feed] = Field(default_factory=lambda: dict(COLOUR_ALPHA), description="Feed of each channel.")

    @field_validator("pattern")
    @classmethod
    def _named(cls, pattern: str) -> str:
        if re.search(r"[{}]", pattern.replace("{name}", "").replace("{kind}", "")) or "/" in pattern or not pattern.strip():
            raise ValueError("a name pattern is one file name and knows {name} and {kind} only")
        return pattern

    @model_validator(mode="after")
    def _whole(self) -> "FilePlan":
        have = [k for k in LANES if k in self.channels]
        if have not in (list(LANES[:1]), list(LANES[:3]), list(LANES)):
            raise ValueError("a file has one channel (red), three (red, green, blue), or four with alpha")
        if self.format != "own" and self.bits and self.bits not in DEPTHS[self.format]:
            raise ValueError(
                Message(
                    "{split} holds {parts} bits a channel, not {bits}",
                    split=term(FORMATS[self.format].title),
                    parts=named(" or ", map(str, DEPTHS[self.format])),
                    bits=self.bits,
                )
            )
        return self

    @property
    def lanes(self) -> list[Lane]:
        """Its channels, in their order."""
        return [k for k in LANES if k in self.channels]

    def fed_by(self, *names: str) -> bool:
        """Whether any channel comes from one of these."""
        return any(f.take in names for f in self.channels.values())


COLOUR_ALPHA: dict[Lane, Feed] = {
    "red": Feed(take="red"),
    "green": Feed(take="green"),
    "blue": Feed(take="blue"),
    "alpha": Feed(take="opacity"),
}


class DeliveryRecipe(Frozen):
    """A list of files, and what goes with them."""

    delivery: int = Field(RECIPE_VERSION, description="Version of the format.")
    name: str = setting("", "Name", "What the recipe is called.")
    files: tuple[FilePlan, ...] = Field((), description="Pictures that are written.")
    gltf: Literal["none", "glb", "gltf"] = setting(
        "none",
        "Geometry",
        "The placement as glTF 2.0: one file, or with pictures beside it.",
        choices={"none": "None", "glb": "glTF, one file", "gltf": "glTF, parts beside it"},
    )
    lift: bool = setting(
        True,
        "Decals lifted",
        "In glTF, what lies on a surface stands off it by its depth bias: viewers that know no bias would not show it.",
    )
    motion: bool = setting(True, "Motion", "Effects that show it are written as motion files.")
    proof: bool = setting(False, "Proof sheet", "A page with pictures, settings and findings.")

    @field_validator("files")
    @classmethod
    def _some(cls, files: tuple[FilePlan, ...]) -> tuple[FilePlan, ...]:
        names = [f.pattern for f in files]
        if len(set(names)) != len(names):
            raise ValueError("two files of a recipe have the same name pattern")
        return files


STOCK_FILE = Path(__file__).parent.parent / "assets" / "recipes" / "stock.json"
STOCK: dict[str, DeliveryRecipe] = {
    k: DeliveryRecipe.model_validate(v) for k, v in json.loads(STOCK_FILE.read_text(encoding="utf-8")).items()
}
"""Recipes that come with Mivex, by key."""
USUAL = "surface"


def recipe_named(key: str, own: tuple[DeliveryRecipe, ...] = ()) -> DeliveryRecipe:
    """A stock recipe by key or name, or one of the project's own by name; raises MivexError."""
    for r in own:
        if r.name == key:
            return r
    if key in STOCK:
        return STOCK[key]
    for r in STOCK.values():
        if r.name == key:
            return r
    known = [*STOCK, *(f"“{r.name}”" for r in own)]
    raise MivexError(Message("There is no delivery recipe “{key}”; there are {parts}.", key=key, parts=named(", ", known)))


def parse_delivery(data: Any, what: str) -> DeliveryRecipe:
    """A recipe from the objects of a file; raises MivexError with one sentence."""
    if not isinstance(data, dict) or "files" not in data:
        raise MivexError(Message("{what} is not a delivery recipe.", what=term(what)))
    version = data.get("delivery", RECIPE_VERSION)
    if isinstance(version, int) and version > RECIPE_VERSION:
        raise MivexError(
            Message(
                "{what} was made for a newer Mivex (delivery recipe {version}; this one reads {recipe_version}).",
                what=term(what),
                version=version,
                recipe_version=RECIPE_VERSION,
            )
        )
    try:
        made = DeliveryRecipe.model_validate(data)
    except ValidationError as e:
        raise MivexError(explain(e, what)) from None
    for part, name in [
        (made, "the recipe"),
        *((f, f"“{f.pattern}”") for f in made.files),
        *((c, Message("a channel of “{pattern}”", pattern=f.pattern)) for f in made.files for c in f.channels.values()),
    ]:
        if part.model_extra:
            raise MivexError(
                Message(
                    "{what}: {name} has no setting “{model_extra}”.",
                    what=term(what),
                    name=name,
                    model_extra=sorted(part.model_extra)[0],
                )
            )
    if not made.files and made.gltf == "none":
        raise MivexError(Message("{what}: it writes nothing.", what=term(what)))
    return made


def read_delivery(path: str | Path) -> DeliveryRecipe:
    """Read a recipe file; raises MivexError with one sentence."""
    path = Path(path)
    made = parse_delivery(read_json(path), f"“{path.name}”")
    return made if made.name else made.model_copy(update={"name": path.stem})


def dump_delivery(recipe: DeliveryRecipe) -> str:
    """A recipe as text."""
    return json.dumps(recipe.model_dump(mode="json"), indent=2, ensure_ascii=False) + "\n"


def save_delivery(path: str | Path, recipe: DeliveryRecipe) -> None:
    """Write a recipe file, atomically."""
    write_text(path, dump_delivery(recipe))
