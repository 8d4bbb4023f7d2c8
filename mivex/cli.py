"""The command line: the same core as the window, for pipelines.

Exit 0: fine. 1: findings. 2: cannot be done; one clear line on standard error.
"""

import contextlib
import errno
import os
import sys
import tempfile
from pathlib import Path
from typing import Annotated

import typer

from mivex.cli_card import card_app
from mivex.cli_delivery import check, deliver, desktop
from mivex.cli_frames import sheet_app
from mivex.cli_intake import intake, page
from mivex.cli_motion import render_frames, simulate
from mivex.cli_order import ledger, order
from mivex.cli_output import complain, say, say_json, size_of
from mivex.cli_watch import watch
from mivex.core.base.errors import MivexError
from mivex.core.base.languages import chosen, use
from mivex.core.base.messages import Message, joined, named, term
from mivex.core.base.paths import reason, shown
from mivex.core.base.store import check_target, protect, unprotect

app = typer.Typer(
    add_completion=False,
    no_args_is_help=False,
    pretty_exceptions_enable=False,
    help="Prepare, blend and prove see-through textures.",
)


def _has_display() -> bool:
    chosen = os.environ.get("QT_QPA_PLATFORM", "")
    return bool(chosen and chosen != "offscreen") or bool(os.environ.get("DISPLAY") or os.environ.get("WAYLAND_DISPLAY"))


def _window(project: str | None, *, demo: bool = False) -> None:
    if not _has_display():
        raise MivexError("There is no display to open a window on; “mivex demo --shots DIR” draws pictures without one.")
    from mivex.ui.shell.app import run

    raise typer.Exit(run(project, demo=demo))


@app.callback(invoke_without_command=True)
def start(context: typer.Context) -> None:
    """Open the window."""
    if context.invoked_subcommand is None:
        _window(None)


@app.command("open")
def open_project(project: Annotated[str, typer.Argument(help="A .mivex project; none: an empty one.")] = "") -> None:
    """Open the window with a project."""
    from mivex.core.project.file import read_project

    if project:
        read_project(project)
    _window(project or None)


@app.command()
def demo(
    shots: Annotated[str, typer.Option(metavar="DIR", help="Write every main view as PNG and end.")] = "",
) -> None:
    """Open the window with the demo: overlays of the submersible Nerite."""
    if shots or not _has_display():
        if not shots:
            shots = tempfile.mkdtemp(prefix="mivex-views-")
            say(Message("No display found: drawing offscreen; the main views are written to {shots}", shots=shots))
            sys.stdout.flush()
        if not _has_display():
            os.environ["QT_QPA_PLATFORM"] = "offscreen"
        from mivex.ui.shell.shots import write_shots

        for path in write_shots(Path(shots)):
            say(path)
        return
    _window(None, demo=True)


@app.command()
def prepare(
    source: Annotated[str, typer.Argument(metavar="IN")],
    out: Annotated[str, typer.Argument(metavar="OUT", help=".png, .tga or .tif")],
    recipe: Annotated[str, typer.Option(metavar="FILE", help="A recipe file.")],
    bits: Annotated[int, typer.Option(help="8 or 16; as the source where not given.")] = 0,
    as_json: Annotated[bool, typer.Option("--json", help="Print one JSON object.")] = False,
) -> None:
    """Run a recipe on a picture."""
    from mivex.core.checking.parametric_recipes import read_parametric, resolve_parameters
    from mivex.core.deliver.deliver import write_texture
    from mivex.core.deliver.planning import check_format
    from mivex.core.picture.formats import depth_for
    from mivex.core.project.document import Source
    from mivex.core.project.evaluate import Evaluator

    asking = read_parametric(recipe)
    suffix = Path(out).suffix
    if bits not in (0, 8, 16):
        raise MivexError(Message("--bits takes 8 or 16, not {bits}.", bits=bits))
    check_format(suffix, bits or 8)
    check_target(out)
    # Pictures that a recipe names lie beside the recipe.
    evaluator = Evaluator(Path(recipe).resolve().parent)
    picture = evaluator.picture(str(Path(source).resolve()))
    depth = bits or (16 if picture.bits > 8 and depth_for(suffix.lower(), 16) >= 16 else 8)
    check_format(suffix, depth)
    steps, found = resolve_parameters(asking, lambda first: evaluator.prepare(picture, Source(path=source), first, depth))
    texture = evaluator.prepare(
        picture, Source(path=source), steps, depth, levels=suffix.lower() in (".tif", ".tiff", ".ktx2")
    )
    write_texture(out, texture, alpha=texture.has_alpha)
    if as_json:
        say_json({"out": out, "notes": list(texture.notes), "found": [f.row for f in found]})
        return
    for words in (*(f.said for f in found), *texture.notes):
        say(words)


@app.command()
def layers(
    project: str,
    overlay: Annotated[str, typer.Argument(help="Its name or id.")] = "",
    out: Annotated[str, typer.Argument(metavar="OUT", help=".png, .tif (16 bit), .tga or .exr")] = "",
    channel: Annotated[
        str, typer.Option(help="colour, opacity, roughness, metal, height, normal, occlusion, emissive or alpha.")
    ] = "colour",
    size: Annotated[int, typer.Option(metavar="N", help="Longer side; the overlay's own where not given.")] = 0,
    before_steps: Annotated[bool, typer.Option("--before-steps", help="The layers alone.")] = False,
    edit: Annotated[str, typer.Option(metavar="FILE", help="Make a list of edits to layers instead.")] = "",
    into: Annotated[str, typer.Option("--out", metavar="OUT.mivex", help="The project with these edits.")] = "",
) -> None:
    """Write one channel of an overlay: layers, then its steps, computed at any size; or edit layers by a list."""
    if edit or into:
        _edit_layers(project, edit, into, overlay)
        return
    if not overlay or not out:
        raise MivexError("“mivex layers” takes a project, an overlay and a picture to write; or --edit and --out.")
    from mivex.core.picture.encode import check_writable, write_picture
    from mivex.core.picture.formats import BY_ENDING
    from mivex.core.project.channels import CHANNEL_NAMES, channel_of_overlay
    from mivex.core.project.file import protect_files, read_project

    doc = read_project(project)
    protect_files(doc, project)
    found = [o for o in doc.overlays if overlay in (o.id, o.name)]
    if not found:
        raise MivexError(
            Message(
                "The project has no overlay “{overlay}”; it has {names}.",
                overlay=overlay,
                names=named(", ", (o.name for o in doc.overlays)),
            )
        )
    if channel not in CHANNEL_NAMES:
        raise MivexError(
            Message("“{channel}” is no channel; there are {parts}.", channel=channel, parts=joined(", ", CHANNEL_NAMES))
        )
    if size and not 1 <= size <= 8192:
        raise MivexError(Message("--size takes 1 to 8192, not {size}.", size=size))
    suffix = check_writable(out)
    values, notes = channel_of_overlay(project, doc, found[0], channel, size, steps=not before_steps)
    data = channel not in ("colour", "emissive")
    # The finest that it holds; KTX 2 holds encoded colour in 8 bits only.
    bits = 8 if suffix == ".ktx2" and not data else max(BY_ENDING[suffix].depths)
    write_picture(out, values, bits, data=data)
    for words in notes:
        say(words)


def _edit_layers(project: str, edit: str, into: str, overlay: str) -> None:
    """Make a list of edits to a project's layers, and write the project that comes of it."""
    from mivex.core.project.file import protect_files, read_project, relocated, write_project
    from mivex.core.project.layer_script import apply_edits, read_edits

    if not edit or not into or overlay:
        raise MivexError("--edit FILE and --out OUT.mivex go together, and with a project alone.")
    doc = read_project(project)
    protect_files(doc, project)
    protect([project, edit])
    check_target(into)
    made, count = apply_edits(doc, read_edits(edit))
    write_project(into, relocated(made, Path(project).resolve().parent, Path(into).resolve().parent))
    say(Message("{count} edits made; written: {into}", count=count, into=into))


@app.command()
def render(  # noqa: PLR0913
    project: str,
    out: Annotated[str, typer.Argument(help=".png (display) or .exr (linear float)")],
    size: Annotated[str, typer.Option(metavar="WxH")] = "1280x800",
    camera: Annotated[str, typer.Option(help="Name of a camera; the first where not given.")] = "",
    order: Annotated[str, typer.Option(help="set, as the materials say, or exact, by depth.")] = "set",
    view: Annotated[str, typer.Option(help="colour, order, overdraw, depth, normals, mip or alpha.")] = "colour",
    time: Annotated[float, typer.Option(metavar="S", help="Second of the clock that is seen.")] = 0.0,
    frames: Annotated[
        str, typer.Option(metavar="A:B", help="Frames A to B, both included: numbered pictures, or one animated .webp.")
    ] = "",
    fps: Annotated[float, typer.Option(metavar="N", help="Frames a second.")] = 30.0,
    as_json: Annotated[bool, typer.Option("--json", help="Print the figures of the view.")] = False,
) -> None:
    """Draw a project's stage to a picture, or a run of its clock to several."""
    from mivex.core.advice.inspection import Stage
    from mivex.core.picture.encode import write_picture
    from mivex.core.scene.draw_calls import codes_of
    from mivex.core.scene.draw_calls import render as draw
    from mivex.core.stage.camera import View
    from mivex.core.stage.looks import LOOKS, look_at

    width, height = size_of(size)
    suffix = Path(out).suffix.lower()
    if suffix not in (".png", ".exr") and not (suffix == ".webp" and frames):
        raise MivexError(
            Message("“{out}”: the stage is written as .png or .exr", out=out) + (", or .webp." if frames else ".")
        )
    if order not in ("set", "exact"):
        raise MivexError(Message("--order takes set or exact, not “{order}”.", order=order))
    if view not in LOOKS:
        raise MivexError(
            Message("“{view}” is no view of the stage; there are {parts}.", view=view, parts=named(", ", LOOKS))
        )
    if view != "colour" and (suffix == ".exr" or order == "exact" or frames):
        raise MivexError("Views other than colour are written as .png, in the order that is set.")
    if not 0 <= time <= 3600 or not 0.1 <= fps <= 240:
        raise MivexError("--time takes 0 to 3600 seconds, --fps 0.1 to 240.")
    stage = Stage.read(project, (camera,), "" if frames else out)
    if frames:
        render_frames(stage, out, View(stage.camera(camera), width, height), frames, fps, exact=order == "exact")
        return
    seen = View(stage.camera(camera), width, height, time)
    if view != "colour":
        look = look_at(view, stage.draws(seen), seen, stage.doc.lighting)
        write_picture(out, (look.codes / 255).astype("float32"), 8)
        figures = {k: round(v, 6) for k, v in look.figures.items()}
        if as_json:
            say_json({"view": view, **figures}, None)
        else:
            say("  ".join(f"{k} {v:g}" for k, v in figures.items()))
        return
    drawn = draw(stage.doc, stage.textures, seen, stage.meshes, exact=order == "exact")
    if suffix == ".exr":
        write_picture(out, drawn.colour, 32)
    else:
        write_picture(out, (codes_of(drawn, stage.doc) / 255).astype("float32"), 8)


app.add_typer(sheet_app, name="sheet")
app.add_typer(card_app, name="card")
app.command()(ledger)
app.command()(order)
app.command()(simulate)
app.command()(deliver)
app.command()(intake)
app.command()(page)
app.command()(check)
app.command()(desktop)
app.command()(watch)


@app.command()
def schema(
    of: Annotated[
        str, typer.Option(help="project, recipe, delivery, motion, sheet, list, limits or receiver.")
    ] = "project",
) -> None:
    """Print the JSON Schema of the project file, or of another file."""
    from pydantic import BaseModel

    from mivex.core.checking.limit_rules import Limits
    from mivex.core.deliver.motion_file import MotionFile
    from mivex.core.deliver.schemas import BlendSheet, DeliveryList
    from mivex.core.project.delivery import DeliveryRecipe
    from mivex.core.project.document import Document
    from mivex.core.project.receiver import Receiver
    from mivex.core.project.recipe import Recipe

    models: dict[str, type[BaseModel]] = {
        "project": Document,
        "recipe": Recipe,
        "delivery": DeliveryRecipe,
        "motion": MotionFile,
        "sheet": BlendSheet,
        "list": DeliveryList,
        "limits": Limits,
        "receiver": Receiver,
    }
    if of not in models:
        raise MivexError(Message("There is no schema of “{of}”; there are {parts}.", of=of, parts=joined(", ", models)))
    say_json(models[of].model_json_schema())


def main() -> None:
    """Entry point: every failure is one sentence and exit 2, never a traceback."""
    import warnings

    # What a library has to say about arithmetic is for its developers; the artist gets figures and sentences.
    warnings.simplefilter("ignore")
    code = run()
    with contextlib.suppress(OSError, ValueError, AttributeError):
        sys.stdout.flush()
    with contextlib.suppress(OSError, ValueError):
        sys.stderr.flush()
    # Left at once: bindings would report on standard error what they count at exit.
    os._exit(code)


def run() -> int:
    """Do what the arguments ask for; returns the exit code."""
    if len(sys.argv) > 2 and sys.stderr.isatty() and not {"--help", "demo", "open"} & set(sys.argv):
        from mivex.core.installation.compilation import needed

        if needed():
            complain("Kernels are compiled when they are first needed; this once it takes longer.")
    use(chosen())
    try:
        if sys.stdout is None:
            raise MivexError("Standard output is closed: there is nowhere to write to.")
        unprotect()
        code = app(standalone_mode=False)
        sys.stdout.flush()
        return code if isinstance(code, int) else 0
    except MivexError as e:
        return _fail(str(e))
    except typer.Exit as e:
        return int(e.exit_code)
    except SystemExit as e:
        return e.code if isinstance(e.code, int) else 0
    except (KeyboardInterrupt, typer.Abort):
        return _fail("Stopped.")
    except BrokenPipeError:
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0
    except OSError as e:
        if e.errno == errno.EBADF:
            return _fail("Standard output is closed: there is nowhere to write to.")
        return _fail(
            Message("“{filename}” cannot be used: {e}.", filename=shown(e.filename or "A file"), e=term(reason(e)))
        )
    except BaseException as e:
        usage = getattr(e, "format_message", None)
        if usage:
            return _fail(usage())
        from mivex.core.base.log import sentence

        return _fail(sentence(e, "on the command line"))


def _fail(words: str) -> int:
    complain(words)
    return 2
