"""The eye of the stage."""

import math
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from pydantic import Field

from mivex.core.base.settings import Frozen
from mivex.core.base.types import Doubles
from mivex.core.stage.placements_model import Vec3


class Camera(Frozen):
    """A named view of the stage: looks at ``target`` from ``distance`` metres."""

    name: str
    target: Vec3 = (0.0, 1.2, 0.0)
    yaw: float = 0.0
    pitch: float = 8.0
    distance: float = Field(6.0, gt=0.01, le=500)
    fov: float = Field(45.0, ge=5, le=120)


CAMERAS: tuple[Camera, ...] = (
    Camera(name="Dock", target=(0.1, 1.25, -0.6), yaw=14.0, pitch=9.0, distance=6.4),
    Camera(name="Hull", target=(-0.6, 1.7, -0.8), yaw=-10.0, pitch=3.0, distance=3.2),
    Camera(name="Floor", target=(0.9, 0.5, 0.3), yaw=28.0, pitch=6.0, distance=3.4),
    Camera(name="Far", target=(0.0, 1.3, -0.8), yaw=4.0, pitch=14.0, distance=15.0),
)
"""Views a new project starts with."""


@dataclass(frozen=True)
class View:
    """A camera set up for a picture of a given size.

    Attributes
    ----------
    camera : Camera
    width, height : int
        Pixels.
    time : float
        Second of the clock that is seen.
    """

    camera: Camera
    width: int
    height: int
    time: float = 0.0

    @cached_property
    def axes(self) -> Doubles:
        """Right, up and forward as rows (3, 3), in world coordinates; y is up."""
        yaw, pitch = math.radians(self.camera.yaw), math.radians(self.camera.pitch)
        forward = np.array([-math.sin(yaw) * math.cos(pitch), -math.sin(pitch), -math.cos(yaw) * math.cos(pitch)])
        right = np.array([math.cos(yaw), 0.0, -math.sin(yaw)])
        return np.stack([right, np.cross(right, forward), forward])

    @cached_property
    def eye(self) -> Doubles:
        """Where the camera stands, metres."""
        return np.array(self.camera.target) - self.axes[2] * self.camera.distance

    @cached_property
    def matrix(self) -> Doubles:
        """World to camera, (3, 4)."""
        return np.concatenate([self.axes, -(self.axes @ self.eye)[:, None]], axis=1)

    @property
    def focal(self) -> float:
        """Focal length in pixels: a 1.25 : 1 frame of that field of view fits into the picture, whatever its shape."""
        return min(self.height, self.width / 1.25) / 2 / math.tan(math.radians(self.camera.fov) / 2)

    def ray(self, x: float, y: float) -> Doubles:
        """Unit direction through a place on the picture, in pixels from the top left."""
        d = self.axes.T @ np.array([(x - self.width / 2) / self.focal, (self.height / 2 - y) / self.focal, 1.0])
        return d / np.linalg.norm(d)

    def on_screen(self, points: Doubles) -> Doubles:
        """Project world points (n, 3) to (n, 3): x, y in pixels and the distance along the view."""
        p = points @ self.axes.T + self.matrix[:, 3]
        z = np.where(np.abs(p[:, 2]) < 1e-6, 1e-6, p[:, 2])
        return np.stack(
            [self.width / 2 + self.focal * p[:, 0] / z, self.height / 2 - self.focal * p[:, 1] / z, p[:, 2]], axis=1
        )

    def metres_per_pixel(self, point: Doubles) -> float:
        """Size of a pixel at the depth of a world point."""
        return max(float((point - self.eye) @ self.axes[2]), 0.05) / self.focal


def _turned(camera: Camera, **values: object) -> Camera:
    return camera.model_copy(update=values)


def orbit(camera: Camera, degrees_right: float, degrees_up: float) -> Camera:
    """Turn round the target."""
    pitch = min(max(camera.pitch + degrees_up, -4.0), 89.0)
    return _turned(camera, yaw=(camera.yaw + degrees_right + 180) % 360 - 180, pitch=pitch)


def pan(camera: Camera, view: View, dx: float, dy: float) -> Camera:
    """Shift the target so that the picture follows a drag of ``dx, dy`` pixels."""
    step = view.metres_per_pixel(np.array(camera.target))
    move = (-view.axes[0] * dx + view.axes[1] * dy) * step
    x, y, z = (min(max(float(t + m), -30.0), 30.0) for t, m in zip(camera.target, move, strict=True))
    target: Vec3 = (x, y, z)
    return _turned(camera, target=target)


def zoom(camera: Camera, factor: float) -> Camera:
    """Come nearer (factor above 1) or go away."""
    return _turned(camera, distance=min(max(camera.distance / factor, 0.2), 60.0))
