"""The stage of a document on the screen: drawn anew only where something has changed, coarse while it moves."""

import math
import time
from collections.abc import Mapping

import cv2
import numpy as np
from numpy.typing import NDArray

from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document
from mivex.core.scene.draw_calls import Scene
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.painter import Painter

QUICK = 1 / 33
"""Seconds that a picture may take while the camera moves."""
COARSEST = 4
SMOOTH = 1 / 24
"""Seconds that a picture may take while the clock runs."""


class StagePainter:
    """Draws the stage of a document for the screen, and only what has changed since the last time."""

    def __init__(self) -> None:
        self.scene, self.painter, self.rough = Scene(), Painter(), Painter()
        self.seen: tuple[Document, View, list[DrawCall]] | None = None
        """What the last picture was drawn from: whoever points at it means this."""
        self._pixel = 150e-9
        self._played = [0.0, 0.0]
        """Seconds that a picture takes while the clock runs, sharp and at half its size."""

    def paint(
        self,
        doc: Document,
        textures: Mapping[str, Texture],
        view: View,
        *,
        meshes: Mapping[str, Mesh] | None = None,
        moving: bool = False,
        playing: bool = False,
    ) -> NDArray[np.uint8]:
        """Display codes (height, width, 3).

        ``moving``: soon enough rather than sharp. ``playing``: sharp as long as that is quick enough for a moving
        picture; else at half the size, or at a third.
        """
        draws = self.scene.draws(doc, textures, view, meshes)
        self.seen = doc, view, draws
        if playing and not moving:
            begun = time.perf_counter()
            size = next((k for k, took in enumerate(self._played) if took <= SMOOTH), len(self._played))
            # Now and then it is tried again whether a larger one has become quick enough.
            self._played[:size] = [took * 0.985 for took in self._played[:size]]
            if size == 0:
                codes = self.painter.paint(draws, view, doc.lighting)
            else:
                part = View(view.camera, max(1, view.width // (size + 1)), max(1, view.height // (size + 1)), view.time)
                codes = np.asarray(
                    cv2.resize(
                        self.rough.paint(draws, part, doc.lighting),
                        (view.width, view.height),
                        interpolation=cv2.INTER_LINEAR,
                    )
                )
            if size < len(self._played):
                took = time.perf_counter() - begun
                self._played[size] = took if self._played[size] == 0 else 0.7 * self._played[size] + 0.3 * took
            return codes
        if not moving:
            begun = time.perf_counter()
            codes = self.painter.paint(draws, view, doc.lighting)
            if self.painter.drawn == ((0, view.height, 0, view.width),):
                self._pixel = (time.perf_counter() - begun) / (view.width * view.height)
            return codes
        coarse = min(max(math.ceil(math.sqrt(view.width * view.height * self._pixel / QUICK)), 1), COARSEST)
        small = View(view.camera, max(1, round(view.width / coarse)), max(1, round(view.height / coarse)))
        codes = self.rough.paint(draws, small, doc.lighting)
        return np.asarray(cv2.resize(codes, (view.width, view.height), interpolation=cv2.INTER_LINEAR))
