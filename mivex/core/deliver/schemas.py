"""Models of what is delivered as JSON besides motion: the blend sheet and the list; schemas come from them."""

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from mivex.core.pixels.blends import BlendName, GroupName
from mivex.core.stage.camera import Camera
from mivex.core.stage.lights import Lighting
from mivex.core.stage.placements_model import Around

Rgb = tuple[float, float, float]
Row = tuple[float, float, float]
Factor = Literal["0", "1", "As", "1-As", "Cd"]
Holds = Literal["colour", "data"]
FileName = Annotated[str, Field(min_length=1, description="Beside the sheet.")]


class _Told(BaseModel):
    model_config = ConfigDict(extra="forbid")


class MainTexture(_Told):
    """The main picture."""

    file: FileName
    width: int
    height: int
    bits: Literal[8, 16, 32]
    holds: Holds
    encoding: Literal["srgb", "linear"]
    alpha: Literal["straight", "premultiplied"]
    alpha_for: Literal["linear", "display"] = Field("linear", description="What sums its alpha was made for.")
    address: Literal["clamp", "repeat"]
    pivot: tuple[float, float] = Field(description="Point that stands at the place, shares of width and height.")
    extent: tuple[float, float] = Field(description="Size of the frame against that before trimming and padding.")
    levels: int = Field(description="Mip levels in the file.")


class DeliveredFile(_Told):
    """One picture."""

    file: FileName
    width: int
    height: int
    bits: Literal[8, 16, 32]
    holds: Holds
    levels: int
    channels: dict[Literal["red", "green", "blue", "alpha"], str] = Field(description="In words, what each holds.")


class SurfaceColour(_Told):
    """Where colour is read from."""

    file: FileName


class SurfaceValue(_Told):
    """A value, or the channel of a file that holds it."""

    value: float | None = None
    file: str | None = None
    channel: Literal["red", "green", "blue", "alpha"] | None = None
    invert: bool = Field(False, description="1 − the value.")
    distance: bool = Field(False, description="Of a signed distance: inside from one half on.")


class SurfaceNormal(_Told):
    """A normal map."""

    file: FileName
    green: Literal["up", "down"]
    strength: float


class SurfaceGlow(_Told):
    """Light of its own."""

    colour_linear: Rgb
    strength: float
    file: str | None = Field(None, description="A picture that multiplies it.")


class SheetSurface(_Told):
    """What the surface is made of."""

    colour: SurfaceColour | None
    opacity: SurfaceValue
    roughness: SurfaceValue
    metal: SurfaceValue
    occlusion: SurfaceValue
    normal: SurfaceNormal | None
    glow: SurfaceGlow
    uv_set: int
    uv_rows: tuple[Row, Row] = Field(description="Rows (a, b, c): u' = a·u + b·v + c.")


class Factors(_Told):
    """Factors of a blend."""

    source: Factor
    destination: Factor


class SheetBlend(_Told):
    """How it meets what lies behind."""

    name: BlendName
    colour: Factors
    alpha: Factors
    equation: str
    space: Literal["linear", "display"]


class SheetDepth(_Told):
    """Depth test and write."""

    test: bool
    write: bool
    bias_metres: float
    slope_bias: float
    first: bool = Field(description="Its depth is laid before its colour.")


class BlendSheet(_Told):
    """An overlay's material as it is delivered; see docs/blend-sheet.md."""

    blend_sheet: Literal[2]
    written_by: str
    name: str
    kind: str
    texture: MainTexture
    files: tuple[DeliveredFile, ...]
    surface: SheetSurface
    left_out: tuple[str, ...]
    blend: SheetBlend
    cutoff: float | None
    opacity: float
    tint_linear: Rgb
    takes_tint: bool
    lit: bool
    depth: SheetDepth
    faces: Literal["both", "front"]
    back_faces_first: bool
    draw_group: GroupName
    order_nudge: int
    distance: str
    effects: dict[str, dict[str, Any] | bool]
    places: tuple[dict[str, Any], ...]
    packing: dict[str, str] | None = None
    signed_distance: dict[str, float] | None = None
    mip_coverage: dict[str, Any] | None = None
    sheet: dict[str, Any] | None = None
    geometry: str | None = None


class ListedOverlay(_Told):
    """One overlay of a delivery."""

    name: str
    sheet: FileName
    recipe: str
    shown: bool
    files: tuple[str, ...]
    geometry: str | None


class ListedMotion(_Told):
    """One effect of a delivery."""

    file: FileName


class LightMaps(_Told):
    """The environment, prefiltered, as NumPy arrays; see docs/blend-spec.md."""

    file: FileName = Field(description="Octahedral maps in one picture, linear light (height, width, 3).")
    table: FileName = Field(description="Scale and shift of the reflectance, rows by roughness, columns by n·v.")
    levels: tuple[tuple[int, int, int], ...] = Field(description="x, y and side of each level, the smoothest first.")
    even: tuple[int, int, int] = Field(description="The same, of what a matt white surface reflects.")


class CheckPicture(_Told):
    """A picture to compare with."""

    camera: str
    file: FileName
    width: int
    height: int


class DeliveredStage(_Told):
    """What a delivery was proved on, with every value written out."""

    cameras: tuple[Camera, ...]
    lighting: Lighting
    surroundings: Around
    geometry: str | None = Field(None, description="The surroundings as .glb, where a recipe asks for geometry.")
    light_maps: LightMaps | None = Field(None, description="The prefiltered environment, where geometry is delivered.")
    pictures: tuple[CheckPicture, ...] = Field((), description="What a renderer should draw, without effects.")
    wind: Rgb


class DeliveryList(_Told):
    """The list of a delivery, delivery.json."""

    delivery_list: Literal[1]
    written_by: str
    overlays: tuple[ListedOverlay, ...]
    motion: tuple[ListedMotion, ...]
    proof: str | None
    stage: DeliveredStage
    made_of: dict[str, dict[str, Any]] = Field(
        default_factory=dict, description="For Mivex: what each part was made of, and what its files hold."
    )
