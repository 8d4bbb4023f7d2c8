# SPDX-License-Identifier: 0BSD
"""Holds the readers against a delivery, and shows what they read.

``python -m mivex.reader FOLDER`` compares particles with the test vectors, and drawn pictures with those that lie beside;
``FILE.motion.json SECONDS`` prints particles; ``FOLDER CAMERA OUT.npy`` draws.
"""

import json
import sys
from pathlib import Path

import numpy as np

from mivex.reader.delivery import picture
from mivex.reader.delivery import read as read_delivery
from mivex.reader.motion import particles, read
from mivex.reader.renderer import draw


def compared(folder):
    """The largest difference from the test vectors of a delivery; a text where particles are missing or too many."""
    worst = 0.0
    check = json.loads((Path(folder) / "motion.check.json").read_text(encoding="utf-8"))
    for name, moments in check["effects"].items():
        file, *beside = read(Path(folder) / name)
        for moment in moments:
            for part in (p for p in file["effect"]["parts"] if not p["muted"]):
                found, told = particles(file, part, moment["time"], *beside), moment["parts"][part["id"]]
                if len(found) != len(told):
                    return f"{name} at {moment['time']} s: {len(found)} particles, {len(told)} are due"
                for p, due in zip(found, told, strict=True):
                    worst = max(worst, *(float(np.abs(np.asarray(p[k]) - due[k]).max()) for k in due))
    return worst


def pictures_compared(folder):
    """For each picture of a delivery: its camera, the share of pixels within a code of 255, and the largest difference."""
    delivery = read_delivery(folder)
    cameras = {c["name"]: c for c in delivery["stage"]["cameras"]}
    for row in delivery["stage"].get("pictures", ()):
        due = np.rint(picture(Path(folder) / row["file"], False)[0][..., :3] * 255)
        off = np.abs(draw(delivery, cameras[row["camera"]], row["width"], row["height"]) - due).max(axis=2)
        yield row["camera"], float((off <= 1).mean()), float(off.max())


def main(where, what=None, out=None):
    """Compare, print particles, or draw."""
    if out is not None:
        delivery = read_delivery(where)
        camera = next(c for c in delivery["stage"]["cameras"] if c["name"] == what)
        np.save(out, draw(delivery, camera, 640, 400))
    elif what is not None:
        file, *beside = read(where)
        for part in (p for p in file["effect"]["parts"] if not p["muted"]):
            for p in particles(file, part, float(what), *beside):
                print(part["name"], {k: np.round(v, 6).tolist() for k, v in p.items()})
    else:
        if (Path(where) / "motion.check.json").is_file():
            print("particles: largest difference", compared(where))
        for camera, share, worst in pictures_compared(where):
            print(f"{camera}: {share:.3%} of the pixels within 1 of 255, largest difference {worst:.0f}")


if __name__ == "__main__":
    main(*sys.argv[1:])
