"""Learns the weights of `mivex.core.findings.texture.matte_evidence` from drawn pictures.

``python -m tools.learn_matte`` writes ``mivex/core/assets/learned/matte.json`` and prints how it does on drawn
pictures that it did not learn from. Pictures of other origin are for judging alone (``docs/checks.md``).
"""

import json
from pathlib import Path

import numpy as np
from scipy.optimize import minimize

from mivex.core.findings.texture.matte_evidence import matte_evidence
from mivex.core.picture.texture import Texture
from tests.drawn_art import drawn, with_matte

OUT = Path(__file__).parent.parent / "mivex" / "core" / "assets" / "learned" / "matte.json"
LEARN, JUDGE = range(1200), range(5000, 5400)


def figures(seeds):
    """Figures (n, k), whether there is a matte (n,), and the names of the figures."""
    rows, faulty, names = [], [], []
    for seed in seeds:
        values, _ = drawn(seed)
        for matte, held in ((False, values), (True, with_matte(values, seed + 10**6))):
            found = None if held is None else matte_evidence(Texture(held))
            if found is not None:
                names = names or list(found.figures)
                rows.append([found.figures[n] for n in names])
                faulty.append(matte)
    return np.array(rows), np.array(faulty, float), names


def fitted(x, y, penalty=1.0):
    """Mean, deviation and weights of a logistic regression with a ridge penalty (Hoerl and Kennard 1970)."""
    mean, deviation = x.mean(0), x.std(0) + 1e-9
    z = np.c_[np.clip((x - mean) / deviation, -4, 4), np.ones(len(x))]

    def loss(b):
        s = z @ b
        value = (np.logaddexp(0, s) - y * s).sum() + penalty * (b[:-1] ** 2).sum() / 2
        return value, z.T @ (1 / (1 + np.exp(-s)) - y) + np.r_[penalty * b[:-1], 0]

    return mean, deviation, minimize(loss, np.zeros(z.shape[1]), jac=True, method="L-BFGS-B").x


def main():
    """Learn, judge, write."""
    x, y, names = figures(LEARN)
    mean, deviation, weights = fitted(x, y)
    held = {"names": names, "mean": mean, "deviation": deviation, "weights": weights}
    text = {k: v if isinstance(v, list) else [round(float(n), 6) for n in v] for k, v in held.items()}
    OUT.write_text(json.dumps(text, indent=1) + "\n", encoding="utf-8")
    x, y, _ = figures(JUDGE)
    odds = np.c_[np.clip((x - mean) / deviation, -4, 4), np.ones(len(x))] @ weights
    for share in (0.02, 0.03, 0.04, 0.05, 0.1, 0.2, 0.3, 0.4):
        limit = np.quantile(odds[y == 0], 1 - share)
        print(f"odds {limit:+.2f}: {share:.0%} of the clean, {(odds[y == 1] > limit).mean():.0%} of the faulty")


if __name__ == "__main__":
    main()
