"""Random stacks of layers against a slow twin."""

import numpy as np
import pytest
from stacks import linear

from mivex.core.layers.channels import CHANNELS
from mivex.core.layers.model import ChannelSource, Layer, Mask, MaskPart, Stack
from mivex.core.picture.encode import write_picture
from mivex.core.project.document import Overlay, Source
from mivex.core.project.evaluate import Evaluator


def slow(rows, below, masks, x):
    """The stack at one texel, written out anew: channels as plain numbers, colours linear."""
    out = dict(below)

    def weight(row):
        m = 1.0
        for i, part in enumerate(row.get("mask", {}).get("parts", [])):
            v = masks[x] if part["source"] == "picture" else part["value"]
            v = 1 - v if part.get("invert") else v
            m = (
                v
                if i == 0
                else {
                    "multiply": m * v,
                    "add": min(m + v, 1),
                    "subtract": max(m - v, 0),
                    "larger": max(m, v),
                    "smaller": min(m, v),
                    "difference": abs(m - v),
                }[part.get("join", "multiply")]
            )
        return m * row.get("strength", 1.0)

    def mixed(channel, how, b, v, m):
        j = {
            "towards": v,
            "multiply": b * v,
            "add": b + v,
            "screen": b + v - b * v,
            "larger": max(b, v),
            "smaller": min(b, v),
        }[how]
        return min(max(b * (1 - m) + j * m, -1.0 if channel == "height" else 0.0), 1.0)

    for row in rows:
        if not row.get("on", True):
            continue
        m = weight(row)
        if "rows" in row:
            inner = slow(row["rows"], out, masks, x)
            cells = {k: {"value": inner[k], "join": "towards"} for k in touched(row)}
        else:
            cells = {
                k: {"value": linear(c["colour"][0]) if "colour" in c else c["number"], **c} for k, c in row["cells"].items()
            }
        both = all(cells.get(k, {}).get("join", "?") == "towards" for k in ("colour", "opacity"))
        before = dict(out)
        for k, c in cells.items():
            out[k] = mixed(k, c["join"], before[k], c["value"], m * c.get("strength", 1.0))
        if both:
            mc, o, a = m * cells["colour"].get("strength", 1.0), cells["opacity"]["value"], before["opacity"]
            light, seen = (1 - mc) * a * before["colour"] + mc * o * cells["colour"]["value"], (1 - mc) * a + mc * o
            out["colour"] = light / seen if seen > 0 else cells["colour"]["value"] if mc > 0 else before["colour"]
    return out


def touched(row):
    """Channels that rows change."""
    if "rows" not in row:
        return set(row["cells"]) if row.get("on", True) else set()
    return set().union(*(touched(r) for r in row["rows"])) if row.get("on", True) and row["rows"] else set()


@pytest.mark.parametrize("seed", range(12))
def test_random_stacks_agree_with_a_slow_twin(seed, tmp_path):
    rng = np.random.default_rng(seed)
    grey = (rng.integers(0, 256, (1, 16)) / 255).astype(np.float32)
    write_picture(tmp_path / "m.png", np.repeat(grey[..., None], 3, axis=2), 8, data=True)

    def row(depth):
        parts = [
            {"source": "picture", "path": "m.png", "channel": "red"}
            if rng.random() < 0.5
            else {"source": "flat", "value": float(rng.random())}
            for _ in range(rng.integers(0, 4))
        ]
        for p in parts:
            p |= {
                "join": str(rng.choice(["multiply", "add", "subtract", "larger", "smaller", "difference"])),
                "invert": bool(rng.random() < 0.3),
            }
        made = {
            "strength": float(rng.choice([1.0, rng.random()])),
            "mask": {"parts": parts},
            "on": bool(rng.random() < 0.9),
        }
        if depth < 2 and rng.random() < 0.35:
            return made | {"rows": [row(depth + 1) for _ in range(rng.integers(1, 4))]}
        cells = {}
        for k in rng.choice(list(CHANNELS), rng.integers(1, 5), replace=False):
            value = float(rng.uniform(-1, 1)) if k == "height" else float(rng.random())
            cells[str(k)] = ({"colour": [value] * 3} if k in ("colour", "emissive") else {"number": value}) | {
                "join": str(rng.choice(["towards", "towards", "multiply", "add", "screen", "larger", "smaller"])),
                "strength": float(rng.choice([1.0, rng.random()])),
            }
        return made | {"cells": cells}

    rows = [row(0) for _ in range(6)]
    base = {"colour": [0.4] * 3, "opacity": 0.3, "roughness": 0.2, "metal": 0.1}
    o = Overlay(
        name="o", source=Source(canvas=(16, 1), meaning="colour"), layers=Stack.model_validate({"base": base, "rows": rows})
    )
    evaluator = Evaluator(tmp_path)
    worked = evaluator.graph.value(evaluator.node_of(o))
    assert not worked.notes
    s = worked.surface
    start = {"colour": linear(0.4), "opacity": 0.3, "roughness": 0.2, "metal": 0.1, "height": 0.0, "emissive": 0.0}
    for x in range(16):
        want = slow(rows, start, grey[0], x)
        got = {"colour": linear(float(s.values[0, x, 0])), "opacity": float(s.alpha[0, x])}
        for k in ("roughness", "metal", "height", "emissive"):
            if k in s.channels:
                v = float(s.channels[k][0, x, 0])
                got[k] = v * 2 - 1 if k == "height" else linear(v) if k == "emissive" else v
        for k, v in got.items():
            assert abs(v - want[k]) < 2e-5, (k, x)


def test_large_canvases_work_out_only_what_lies_above_a_change(tmp_path, monkeypatch, rng):
    """Where states are not all kept, any walk of edits gives what a fresh start gives, and rows below are left alone."""
    from mivex.core.layers import nodes
    from mivex.core.layers.patterns import PATTERNS
    from mivex.core.project import evaluate

    monkeypatch.setattr(evaluate, "LARGE", 1)
    worked: list[str] = []
    real = nodes.applied
    monkeypatch.setattr(nodes, "applied", lambda planes, row, values: worked.append(row.id) or real(planes, row, values))
    masks = [PATTERNS[k].params(kind=k) for k in ("noise", "clouds", "dust", "stain", "smears", "wear")]
    rows = [
        Layer(
            id=f"r{k}",
            cells={"opacity": ChannelSource(number=0.8), "colour": ChannelSource(colour=(0.1 * k, 0.5, 0.2))},
            mask=Mask(parts=(MaskPart(source="pattern", pattern=p),)),
        )
        for k, p in enumerate(masks)
    ]
    kept = Evaluator(tmp_path)

    def result(evaluator):
        o = Overlay(id="o", name="o", source=Source(canvas=(40, 24)), layers=Stack(rows=tuple(rows)))
        return evaluator.texture(o).values

    result(kept)
    for _ in range(40):
        k = int(rng.integers(len(rows)))
        act = rng.integers(4)
        if act == 0 and len(rows) > 2:
            rows.insert(int(rng.integers(len(rows))), rows.pop(k))
        elif act == 1:
            rows[k] = rows[k].model_copy(update={"on": not rows[k].on})
        else:
            rows[k] = rows[k].model_copy(update={"strength": float(rng.random())})
        assert np.array_equal(result(kept), result(Evaluator(tmp_path)))
    rows = [r.model_copy(update={"on": True}) for r in rows]
    for strength in (0.2, 0.4, 0.6):
        rows[4] = rows[4].model_copy(update={"strength": strength})
        worked.clear()
        result(kept)
    assert worked == [rows[4].id, rows[5].id]  # moved again and again: the four below are not worked out anew
