"""Where things stand on the stage: the settings of a placement, and their triangles are in `placing`."""

from typing import Annotated, Literal

from pydantic import Field

from mivex.core.base.settings import Frozen, new_id

Vec3 = tuple[float, float, float]


class PanelPlace(Frozen):
    """A flat panel standing free in the scene."""

    id: str = Field(default_factory=new_id)
    mount: Literal["panel"] = "panel"
    at: Vec3 = (0.0, 1.2, 0.6)
    yaw: float = 0.0
    pitch: float = 0.0
    roll: float = 0.0
    width: float = Field(1.0, gt=0, le=100)
    height: float = Field(1.0, gt=0, le=100)


class HullPlace(Frozen):
    """A decal laid on the hull: ``along`` its axis in metres, ``around`` it in degrees, 0 facing the dock."""

    id: str = Field(default_factory=new_id)
    mount: Literal["hull"] = "hull"
    along: float = 0.0
    around: float = 10.0
    roll: float = 0.0
    width: float = Field(1.0, gt=0, le=100)
    height: float = Field(1.0, gt=0, le=100)


class BillboardPlace(Frozen):
    """A square that always faces the camera."""

    id: str = Field(default_factory=new_id)
    mount: Literal["billboard"] = "billboard"
    at: Vec3 = (0.0, 1.2, 0.8)
    roll: float = 0.0
    width: float = Field(0.5, gt=0, le=100)
    height: float = Field(0.5, gt=0, le=100)


Place = Annotated[PanelPlace | HullPlace | BillboardPlace, Field(discriminator="mount")]
