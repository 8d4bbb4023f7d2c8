"""Commands that look into the drawing order: the account of a pixel, and advice."""

import sys
from pathlib import Path
from typing import Annotated

import typer

from mivex.cli_output import progress, say, say_json, size_of, whole_numbers
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, joined, named, term


def ledger(
    project: str,
    at: Annotated[str, typer.Option(metavar="X,Y", help="The pixel, from the top left.")],
    camera: Annotated[str, typer.Option(help="Name of a camera; the first where not given.")] = "",
    size: Annotated[str, typer.Option(metavar="WxH")] = "1280x800",
    as_json: Annotated[bool, typer.Option("--json", help="Print one JSON object.")] = False,
) -> None:
    """List every fragment of one pixel, in the order set and in exact order."""
    from mivex.core.advice.inspection import Stage, account_words
    from mivex.core.stage.camera import View
    from mivex.core.stage.ledger import account_of

    width, height = size_of(size)
    pixel = whole_numbers(at, ",", 2)
    if pixel is None:
        raise MivexError(Message("--at takes X,Y in pixels from the top left, not “{at}”.", at=at))
    x, y = pixel
    if x >= width or y >= height:
        raise MivexError(
            Message("Pixel {x},{y} lies outside the picture of {width}x{height}.", x=x, y=y, width=width, height=height)
        )
    stage = Stage.read(project, (camera,))
    view = View(stage.camera(camera), width, height)
    found = account_of(stage.draws(view), view, x, y, stage.doc.lighting)
    if as_json:
        say_json(account_words(found))
        return
    for name, rows in (("set order", found.set), ("exact order", found.exact)):
        say(name)
        for k, r in enumerate(rows, 1):
            shown = " ".join(f"{v:.4f}" for v in r.colour)
            say(
                Message(
                    "  {k:2d}  {name} {part}  {group} {nudge:+d}  {depth:.3f} m  level {level:.2f}  "
                    "[{shown}]  {parts}  {verdict}  -> {parts2}",
                    k=k,
                    name=r.name,
                    part=r.part,
                    group=term(r.group),
                    nudge=r.nudge,
                    depth=r.depth,
                    level=r.level,
                    shown=term(shown),
                    parts=joined(", ", r.factors),
                    verdict=term(r.verdict),
                    parts2=joined(" ", (f"{v:.4f}" for v in r.after)),
                )
            )


def order(
    project: str,
    camera: Annotated[list[str] | None, typer.Option(help="Name of a camera; may be given several times.")] = None,
    ring: Annotated[int, typer.Option(metavar="N", help="So many cameras round the scene.")] = 0,
    as_json: Annotated[bool, typer.Option("--json", help="Print one JSON object.")] = False,
    apply: Annotated[str, typer.Option(metavar="OUT.mivex", help="Write the project with the advice applied.")] = "",
) -> None:
    """Say how wrong the drawing order is, and what to change; all cameras of the project where none is named."""
    from mivex.core.advice.inspection import Stage, proposal_words
    from mivex.core.advice.order import propose
    from mivex.core.advice.order import ring as ring_of
    from mivex.core.project.file import relocated, write_project

    if not 0 <= ring <= 360:
        raise MivexError(Message("--ring takes 0 to 360 cameras, not {ring}.", ring=ring))
    stage = Stage.read(project, camera or (), apply)
    cameras = [stage.camera(n) for n in camera or ()] + ring_of(stage.doc, ring)
    on_terminal = sys.stderr.isatty()

    def tell(share: float) -> None:
        if on_terminal:
            progress(Message("{share:.0%}", share=share), share >= 1)

    found = propose(stage, cameras or list(stage.doc.cameras), tell=tell)
    words = proposal_words(found)
    if apply:
        old, new = (Path(p).resolve().parent for p in (project, apply))
        write_project(apply, found.doc if old == new else relocated(found.doc, old, new))
    if as_json:
        say_json(words)
        return
    say(
        Message(
            "error {before:.4f} now, {after:.4f} as proposed (mean over all pixels, codes of 255)",
            before=words["before"],
            after=words["after"],
        )
    )
    for name, n in words["nudges"].items():
        say(Message("  {name}: nudge {n:+d}", name=name, n=n))
    for c in words["settings"]:
        say(f"  {c['overlay']}: {c['setting'].replace('_', ' ')} {c['before']} -> {c['after']}")
    if words["free"]:
        say("in any order: " + ", ".join(words["free"]))
    if words["by_pairs"]:
        say(
            Message(
                "many overlays meet at {pixels} pixels: the order was looked for by pairs of them there, and rendered",
                pixels=words["by_pairs"],
            )
        )
    for c in words["unsettled"]:
        say(
            Message(
                "no order settles {overlays}: {pixels} pixels, {error:.4f} (most of it from {camera})",
                overlays=_circle_words(c["overlays"]),
                pixels=c["pixels"],
                error=c["error"],
                camera=c["camera"],
            )
        )
        for r in c["remedies"]:
            say(
                Message(
                    "  tried: {remedy} of “{overlay}” gains {gain:.4f} where it is seen "
                    "and changes the look by {look:.0f} of 255",
                    remedy=term(r["remedy"]),
                    overlay=r["overlay"],
                    gain=r["gain"],
                    look=r["look"],
                )
            )
        if c["tried"] and not c["remedies"]:
            say("  tried: nothing that can be set gains anything here")
    if ring:
        for row in words["cameras"]:
            say(
                Message(
                    "  {camera}: {before:.4f} -> {after:.4f}",
                    camera=row["camera"],
                    before=row["before"],
                    after=row["after"],
                )
            )


def _circle_words(names: list[str]) -> Message:
    """Overlays of a conflict: one with itself, two with each other, more in a circle."""
    if len(names) == 1:
        return Message("“{name}” with itself", name=names[0])
    if len(names) == 2:
        return Message("“{name}” and “{name2}”", name=names[0], name2=names[1])
    return named(" over ", (f"“{n}”" for n in [*names, names[0]]))
