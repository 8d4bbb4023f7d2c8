"""Commands for what moves: particles at a time, and the stage over a run of the clock."""

from pathlib import Path
from typing import Annotated, Any

import typer

from mivex.cli_output import progress, say, say_json, whole_numbers
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.store import check_target

MOST_FRAMES = 3600


def simulate(
    project: str,
    effect: Annotated[str, typer.Argument(help="Its name or id.")],
    time: Annotated[float, typer.Option(metavar="S", help="Second of the clock.")],
    seed: Annotated[int, typer.Option(metavar="N", help="Another seed than the effect's.")] = -1,
    as_json: Annotated[bool, typer.Option("--json", help="Print one JSON object.")] = False,
) -> None:
    """List the particles of an effect at a time."""
    from mivex.core.project.evaluate import Evaluator
    from mivex.core.project.file import read_project
    from mivex.core.scene.draw_calls import build_environment, meshes_read
    from mivex.core.scene.playback import particle_rows

    if not 0 <= time <= 3600:
        raise MivexError(Message("--time takes 0 to 3600 seconds, not {time:g}.", time=time))
    doc = read_project(project)
    named = [e for e in doc.effects if effect in (e.id, e.name)]
    if not named:
        there = ", ".join(e.name for e in doc.effects)
        raise MivexError(
            Message("The project has no effect “{effect}”; it has {there}.", effect=effect, there=there or term("none"))
        )
    chosen = named[0]
    if seed >= 0:
        if seed > 2**31 - 1:
            raise MivexError(Message("--seed takes 0 to {value}, not {seed}.", value=2**31 - 1, seed=seed))
        chosen = chosen.model_copy(update={"seed": seed})
        doc = doc.model_copy(update={"effects": tuple(chosen if e.id == chosen.id else e for e in doc.effects)})
    evaluator = Evaluator(Path(project).resolve().parent)
    world = build_environment(doc, {p: evaluator.mesh(p).mesh for p in meshes_read(doc)})
    counts = {}
    for o in doc.overlays:
        if o.sheet.grids and o.source.ready:
            start = evaluator.start_of(o)
            counts[o.id] = len(o.sheet.cells(start.width, start.height))
    rows = particle_rows(doc, chosen, world, time, counts)
    if as_json:
        say_json({"time": time, "particles": rows}, None)
        return
    say(Message("“{name}” at {time:g} s: {count} particles", name=chosen.name, time=time, count=len(rows)))
    for r in rows:
        at = " ".join(f"{v:.3f}" for v in r["position"])
        say(
            Message(
                "  {emitter} {birth}  {age:.3f} of {life:.3f} s  [{at}]  {size:.3f} × {size2:.3f} m  "
                "opacity {opacity:.3f}  frame {frame}",
                emitter=r["emitter"],
                birth=r["birth"],
                age=r["age"],
                life=r["life"],
                at=at,
                size=r["size"][0],
                size2=r["size"][1],
                opacity=r["opacity"],
                frame=r["frame"],
            )
        )


def render_frames(stage: Any, out: str, view: Any, frames: str, fps: float, *, exact: bool) -> None:
    """Write frames A to B of a stage's clock: numbered pictures, or one animated WebP."""
    import sys
    from dataclasses import replace

    from mivex.core.picture.animated import write_webp
    from mivex.core.picture.encode import write_picture
    from mivex.core.scene.draw_calls import codes_of
    from mivex.core.stage.exact import draw_exact
    from mivex.core.stage.passes import draw_all

    numbers = whole_numbers(frames, ":", 2)
    if numbers is None or numbers[0] > numbers[1]:
        raise MivexError(Message("--frames takes A:B, two whole numbers that do not fall, not “{frames}”.", frames=frames))
    first, last = numbers
    if last - first >= MOST_FRAMES or last / fps > 3600:
        raise MivexError(
            Message("--frames takes at most {most_frames} frames, up to second 3600.", most_frames=MOST_FRAMES)
        )
    path, codes = Path(out), []
    digits = max(4, len(str(last)))
    check_target(path)
    draw = draw_exact if exact else draw_all
    for k in range(first, last + 1):
        seen = replace(view, time=k / fps)
        drawn = draw(stage.draws(seen), seen, stage.doc.lighting)
        if path.suffix.lower() == ".webp":
            codes.append(codes_of(drawn, stage.doc))
        elif path.suffix.lower() == ".exr":
            write_picture(path.with_name(f"{path.stem}-{k:0{digits}d}.exr"), drawn.colour, 32)
        else:
            write_picture(
                path.with_name(f"{path.stem}-{k:0{digits}d}.png"), (codes_of(drawn, stage.doc) / 255).astype("float32"), 8
            )
        if sys.stderr.isatty():
            progress(Message("{done} of {of}", done=k - first + 1, of=last - first + 1), k == last)
    if codes:
        write_webp(path, codes, fps)
