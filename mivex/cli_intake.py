"""Commands that take a delivery in again: draw it as a receiver would, and make a page that draws it."""

import sys
from pathlib import Path
from typing import Annotated, Any

import typer

from mivex.cli_output import progress, say, say_json, size_of
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, joined, named, term
from mivex.core.base.store import check_target

Json = Annotated[bool, typer.Option("--json", help="Print one JSON object.")]


def intake(  # noqa: PLR0913
    folder: Annotated[str, typer.Argument(metavar="DIR", help="A delivery.")],
    out: Annotated[str, typer.Argument(metavar="OUT", help=".png: what the receiver draws.")] = "",
    camera: Annotated[str, typer.Option(help="Name of a camera; the first where not given.")] = "",
    size: Annotated[str, typer.Option(metavar="WxH")] = "1280x800",
    at: Annotated[float, typer.Option("--time", metavar="S", help="Second of the clock that is seen.")] = 0.0,
    switch: Annotated[
        list[str] | None,
        typer.Option(
            help="What the receiver does: own-mips, no-encoding, green, "
            "smaller, blocks, display, opaque; may be given several "
            "times."
        ),
    ] = None,
    limit: Annotated[int, typer.Option(metavar="N", help="Longest side under the switch smaller.")] = 256,
    receiver: Annotated[
        str, typer.Option(metavar="FILE", help="A receiver's profile, which says what it does, in place of switches.")
    ] = "",
    against: Annotated[str, typer.Option(metavar="PROJECT", help="Compare with this project's stage.")] = "",
    table: Annotated[bool, typer.Option("--table", help="Try every switch on every overlay.")] = False,
    as_json: Json = False,
) -> None:
    """Load a delivery as a game's runtime would, and draw it: only what was delivered is read."""
    from mivex.core.intake.compare import difference, draw, only_delivered, row_words, survival
    from mivex.core.intake.loader import load
    from mivex.core.intake.switches import BY_KEY, switched
    from mivex.core.picture.encode import write_picture
    from mivex.core.stage.camera import View

    width, height = size_of(size)
    if out and Path(out).suffix.lower() != ".png":
        raise MivexError(Message("“{out}”: what the receiver draws is written as .png.", out=out))
    keys = frozenset(switch or ())
    if unknown := sorted(keys - BY_KEY.keys()):
        raise MivexError(
            Message("There is no switch “{unknown}”; there are {parts}.", unknown=unknown[0], parts=joined(", ", BY_KEY))
        )
    if not 1 <= limit <= 16384 or not 0 <= at <= 3600:
        raise MivexError("--limit takes 1 to 16384 texels, --time 0 to 3600 seconds.")
    if out:
        check_target(out)
    if receiver:
        from mivex.core.project.receiver import read_receiver

        profile = read_receiver(receiver)
        keys, limit = keys | profile.switches, profile.longest or limit
    whole = load(folder)
    received = switched(whole, keys, limit)
    cameras = {c.name: c for c in whole.doc.cameras}
    if camera and camera not in cameras:
        raise MivexError(
            Message("There is no camera “{camera}”; the delivery has {parts}.", camera=camera, parts=named(", ", cameras))
        )
    view = View(cameras[camera] if camera else whole.doc.cameras[0], width, height, at)
    words: dict[str, Any] = {
        "overlays": len(whole.doc.overlays),
        "effects": len(whole.doc.effects),
        "left_out": dict(whole.left_out),
    }
    drawn = draw(received, view) if out or against or keys else None
    if out and drawn is not None:
        write_picture(out, (drawn / 255).astype("float32"), 8)
    if drawn is not None and keys:
        words["switched"] = {"switches": sorted(keys), **difference(drawn, draw(whole, view)).figures}
    if drawn is not None and against:
        from mivex.core.advice.inspection import Stage
        from mivex.core.scene.draw_calls import codes_of, render

        stage = Stage.read(against)
        doc = only_delivered(stage.doc, whole)
        meant = codes_of(render(doc, stage.textures, view, stage.meshes), doc)
        words["against"] = difference(drawn, meant).figures
    if table:
        on_terminal = sys.stderr.isatty()

        def tell(share: float) -> None:
            if on_terminal:
                progress(Message("{share:.0%}", share=share), share >= 1)

        words["table"] = [row_words(r) for r in survival(whole, side=limit, tell=tell)]
    if as_json:
        say_json(words)
        return
    say(Message("{overlays} overlays, {effects} effects", overlays=words["overlays"], effects=words["effects"]))
    for name, lost in whole.left_out.items():
        say(Message("{name}: not delivered: {parts}", name=name, parts=joined(", ", lost)))
    for key in ("switched", "against"):
        if key in words:
            f = words[key]
            say(
                Message(
                    "{key}: {within:.2%} of pixels within 2 of 255, mean {mean:.3f}, largest {largest:.0f}",
                    key=key,
                    within=f["within"],
                    mean=f["mean"],
                    largest=f["largest"],
                )
            )
    for r in words.get("table", ()):
        shown = "  ".join(f"{k} {v['difference']:g}{'' if v['survives'] else ' !'}" for k, v in r["switches"].items())
        say(Message("{overlay}: {cameras}", overlay=r["overlay"], cameras=shown or term("no camera sees it")))


def page(
    folder: Annotated[str, typer.Argument(metavar="DIR", help="A delivery.")],
    out: Annotated[str, typer.Argument(metavar="OUT.html")],
) -> None:
    """Write a page that draws a delivery in any browser: one file, which asks for nothing else."""
    from mivex.core.base.store import write_text
    from mivex.core.intake.loader import load
    from mivex.core.page.page import stage_page
    from mivex.core.page.scene import page_scene

    if Path(out).suffix.lower() not in (".html", ".htm"):
        raise MivexError(Message("“{out}”: a page is written as .html.", out=out))
    check_target(out)
    received = load(folder)
    scene = page_scene(received.doc, received.textures, received.meshes)
    write_text(out, stage_page(scene, Path(folder).resolve().name))
    say(
        Message(
            "{out}: {count} overlays, {cameras} cameras",
            out=out,
            count=len(scene["overlays"]),
            cameras=len(scene["cameras"]),
        )
    )
