"""Findings judged by limits."""

from collections.abc import Sequence
from typing import Any

from mivex.core.base.messages import Message
from mivex.core.project.limits import Limits


def by_limits(found: Sequence[dict[str, Any]], pictures: Sequence[dict[str, Any]], limits: Limits) -> list[dict[str, Any]]:
    """Findings of one report, as limits see them.

    Parameters
    ----------
    found, pictures : sequence of dict
        Rows of `mivex.core.checking.batch.Report`; what was judged before is judged anew.
    limits : Limits

    Returns
    -------
    list of dict
        Those that do not count are marked ``allowed``; pictures that are too large are among them.
    """
    findings = [
        f | {"allowed": True} if limits.passes(f) else {k: v for k, v in f.items() if k != "allowed"}
        for f in found
        if f["id"] != "longest-side"
    ]
    # What another finding causes counts by itself where the limits let that one pass.
    let = {(f.get("overlay"), f["id"]) for f in findings if f.get("allowed")}
    findings = [
        {k: v for k, v in f.items() if k != "under"} if (f.get("overlay"), f.get("under")) in let else f for f in findings
    ]
    for p in pictures:
        if side := limits.too_large(p):
            findings.append(
                {
                    "id": "longest-side",
                    **{k: p[k] for k in ("path", "overlay") if k in p},
                    "figure": max(p["width"], p["height"]),
                    "unit": "px",
                    "weight": 1.0,
                    "certainty": "likely",
                    "message": Message(
                        "It is {width} × {height}; the limits allow {side}.",
                        width=p["width"],
                        height=p["height"],
                        side=side,
                    ),
                    "why": "Larger pictures than the limits allow were not planned for.",
                    "place": None,
                    "repair": None,
                    "details": {"limit": side},
                }
            )
    return findings
