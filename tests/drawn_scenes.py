"""Scenes by chance: the cases of the lessons, turned, seen and coloured otherwise; faulty and clean ones of each kind.

``python -m tests.drawn_scenes [COUNT]`` prints, for each kind, how many of as many faulty and clean ones are said.
"""

import sys
from collections import Counter

import numpy as np

from mivex.core.findings import CHECKS
from mivex.core.lessons.model import Case, lessons
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture

KINDS = [k for k, c in CHECKS.items() if c.scope == "scene" and k in lessons()]
SQUARE_ON = {"chance", "back-missing", "mirrored"}
"""Kinds in which turning the camera against the scene takes the fault away, or makes another."""


def coloured(texture, rng):
    """A texture of another tint and, a little, another alpha."""
    v = texture.values.copy()
    v[..., :3] = np.clip(v[..., :3] * rng.uniform(0.85, 1.1, 3), 0, 1)
    return Texture(quantise(v.astype(np.float32), 8), texture.meaning, has_alpha=texture.has_alpha)


def drawn(kind, good, seed):
    """One scene of a kind: the lesson's case, or its counterpart, varied by chance."""
    rng = np.random.default_rng(seed)
    case = lessons()[kind].case(good)
    doc = case.doc
    # The whole stage is turned about the upright axis; a level floor stays the same.
    turn = float(rng.uniform(-180, 180))
    c, s = np.cos(np.radians(turn)), np.sin(np.radians(turn))

    def moved(p):
        x, y, z = p.at
        more = {"at": (c * x + s * z, y, -s * x + c * z)}
        if hasattr(p, "yaw"):
            more["yaw"] = p.yaw + turn
        return p.model_copy(update=more)

    rows = tuple(o.model_copy(update={"places": tuple(map(moved, o.places))}) for o in doc.overlays)
    cameras = []
    for camera in doc.cameras[:1]:
        x, y, z = camera.target
        off = 0.0 if kind in SQUARE_ON else float(rng.uniform(-4, 4))
        cameras.append(
            camera.model_copy(
                update={
                    "target": (c * x + s * z, y, -s * x + c * z),
                    "yaw": camera.yaw + turn + off,
                    "pitch": camera.pitch + float(rng.uniform(-2, 2)),
                    "distance": camera.distance * float(rng.uniform(0.92, 1.1)),
                }
            )
        )
    textures = {k: coloured(t, rng) if kind not in ("clipped", "black") else t for k, t in case.textures.items()}
    return Case(doc.model_copy(update={"overlays": rows, "cameras": tuple(cameras)}), textures, case.meshes)


def judged(count, first=0):
    """For each kind: said of the faulty, likely of the faulty, said of the clean."""
    rows = {}
    for kind in KINDS:
        n = Counter()
        for seed in range(first, first + count):
            for good in (False, True):
                found = [f for f in drawn(kind, good, seed).findings("scene") if f.id == kind]
                n["clean" if good else "said"] += bool(found)
                n["likely"] += not good and any(f.certainty == "likely" for f in found)
        rows[kind] = n["said"], n["likely"], n["clean"]
    return rows


if __name__ == "__main__":
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 30
    print(f"| finding | faulty of {count}: said | without doubt | clean of {count}: said |\n|---|---|---|---|")
    for kind, (said, sure, clean) in judged(count).items():
        print(f"| {kind} | {said} | {sure} | {clean} |")
