# SPDX-License-Identifier: 0BSD
"""``python -m mivex.reader FOLDER`` holds the reader against test vectors; ``FILE SECONDS`` prints particles."""

import json
import sys
from pathlib import Path

import numpy as np

from mivex.reader.motion import particles, read


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


def main(where, time=None):
    """Compare, or print particles."""
    if time is None:
        print("largest difference", compared(where))
        return
    file, *beside = read(where)
    for part in (p for p in file["effect"]["parts"] if not p["muted"]):
        for p in particles(file, part, float(time), *beside):
            print(part["name"], {k: np.round(v, 6).tolist() for k, v in p.items()})


if __name__ == "__main__":
    main(*sys.argv[1:])
