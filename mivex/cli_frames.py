"""Sheets on the command line: frames made under a setting, and motion between frames."""

from pathlib import Path
from typing import Annotated, Any

import typer

from mivex.cli_output import say, say_json
from mivex.cli_sheets import Columns, Count, Gutter, Json, Rows, frame_rows, grid_of, sheet_app, write_list
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, named
from mivex.core.base.store import protect
from mivex.core.sheet.model import HALVED


@sheet_app.command()
def vary(
    project: str,
    overlay: str,
    out: Annotated[str, typer.Argument(metavar="OUT")],
    setting: Annotated[str, typer.Option(metavar="AT", help="Which number, as in layers.rows.0.strength.")] = "",
    ends: Annotated[str, typer.Option("--from", metavar="A:B", help="From where to where it goes.")] = "0:1",
    frames: Annotated[int, typer.Option(help="How many frames.")] = 16,
    columns: Columns = 0,
    gutter: Gutter = 0,
    as_json: Json = False,
) -> None:
    """A sheet of an overlay whose setting changes from frame to frame; without --setting: which settings there are."""
    from mivex.core.picture.encode import check_writable, write_picture
    from mivex.core.picture.formats import depth_for
    from mivex.core.project.evaluate import Evaluator
    from mivex.core.project.file import protect_files, read_project
    from mivex.core.scene.varied import by_setting, varied_settings
    from mivex.core.sheet.build import Layout
    from mivex.core.sheet.build import build as lay

    suffix = check_writable(out)
    doc = read_project(project)
    protect_files(doc, project)
    protect([project])
    o = next((x for x in doc.overlays if overlay in (x.id, x.name)), None)
    if o is None:
        names = named(", ", (x.name for x in doc.overlays))
        raise MivexError(Message("The project has no overlay “{overlay}”; it has {names}.", overlay=overlay, names=names))
    if not setting:
        for s in varied_settings(o):
            say(f"{s.at}   {s.name}   {s.now:g}   {s.low:g}:{s.high:g} {s.unit}".rstrip())
        return
    if not 2 <= frames <= 256 or not 0 <= columns <= 64 or not 0 <= gutter <= 1024:
        raise MivexError("--frames takes 2 to 256, --columns 0 to 64, --gutter 0 to 1024.")
    try:
        first, last = (float(x) for x in ends.split(":"))
    except ValueError:
        raise MivexError(Message("--from takes two numbers, as in 0:1, not “{ends}”.", ends=ends)) from None
    made = by_setting(Evaluator(Path(project).parent), doc, o, frames, setting, (first, last))
    values, grid = lay(made, Layout((0, 0), columns, gutter, "inside", "frame"), meaning="colour")
    write_picture(out, values, depth_for(suffix, o.delivery.bits))
    h, w = values.shape[:2]
    words = {
        "sheet": {"grids": [grid.model_dump(mode="json")]},
        "width": w,
        "height": h,
        "frames": frame_rows(tuple(grid.cells(w, h)), w, h),
    }
    write_list(out, words)
    if as_json:
        say_json(words)
    else:
        size = {"columns": grid.columns, "rows": grid.rows, "w": w, "h": h}
        say(Message("{count} frames in {columns} × {rows}, {w} × {h}", count=len(made), **size))


@sheet_app.command()
def vectors(  # noqa: PLR0913
    source: Annotated[str, typer.Argument(metavar="IN")],
    out: Annotated[str, typer.Argument(metavar="OUT")],
    play: Annotated[str, typer.Option(help="loop, once or fro: whether the last frame moves on to the first.")] = "loop",
    columns: Columns = 0,
    rows: Rows = 0,
    left: Annotated[int, typer.Option(help="Texels before the first cell.")] = 0,
    top: Annotated[int, typer.Option(help="Texels above the first cell.")] = 0,
    cell: Annotated[str, typer.Option(metavar="WxH")] = "",
    gutter: Gutter = 0,
    count: Count = 0,
    half: Annotated[str, typer.Option(metavar="OUT", help="Write the sheet with every second frame left out, too.")] = "",
    as_json: Json = False,
) -> None:
    """Motion vectors between a sheet's frames, as a picture; and how near half as many frames come with them."""
    import numpy as np

    from mivex.core.picture.encode import check_writable, write_picture
    from mivex.core.picture.files import read_picture
    from mivex.core.picture.formats import depth_for
    from mivex.core.picture.picture import guess_meaning
    from mivex.core.picture.texture import Texture
    from mivex.core.sheet.build import Layout
    from mivex.core.sheet.build import build as lay
    from mivex.core.sheet.flow import every_second, halving, vector_picture

    if play not in ("loop", "once", "fro"):
        raise MivexError(Message("--play takes loop, once or fro, not “{play}”.", play=play))
    for path in (out, half):
        if path:
            check_writable(path)
    protect([source])
    if half and Path(half).resolve() == Path(out).resolve():
        raise MivexError("The vectors and the sheet of half as many frames need two names.")
    picture = read_picture(source)
    sheet, _ = grid_of(picture.values, columns, rows, left, top, cell, gutter, count)
    cells = tuple(sheet.cells(picture.width, picture.height))
    data = guess_meaning(picture)[0] == "data"
    whole = Texture(picture.values, "data" if data else "colour", cells=cells)

    def written(path: str, texture: Texture) -> float:
        made = vector_picture(texture, play)  # type: ignore[arg-type]
        blue = np.full((*made.values.shape[:2], 1), 0.5, np.float32)
        deep = depth_for(Path(path).suffix.lower(), 16, data=True)
        write_picture(path, np.concatenate([made.values, blue], axis=2), deep, data=True)
        return made.scale

    found = halving(whole, play)  # type: ignore[arg-type]
    words: dict[str, Any] = {"frames": len(cells)}
    if half:
        frames = every_second(picture.values, cells)
        if len(frames) < 2:
            raise MivexError("Of so few frames none can be left out.")
        values, grid = lay(frames, Layout(), meaning="data" if data else "colour")
        write_picture(half, values, depth_for(Path(half).suffix.lower(), picture.bits, data=data), data=data)
        h, w = values.shape[:2]
        rest = Texture(values, "data" if data else "colour", cells=tuple(grid.cells(w, h)))
        words |= {"half": {"grids": [grid.model_dump(mode="json")]}, "scale": round(written(out, rest), 6)}
        frames_at = frame_rows(tuple(grid.cells(w, h)), w, h)
        write_list(half, {"sheet": words["half"], "width": w, "height": h, "frames": frames_at})
    else:
        words["scale"] = round(written(out, whole), 6)
    if found is not None:
        words["halved"] = {k: round(v, 3) for k, v in vars(found).items()}
    if as_json:
        say_json(words)
        return
    say(Message("Vectors between {count} frames; scale {scale:.4f}.", count=len(cells), scale=words["scale"]))
    if found is not None:
        say(
            Message(
                HALVED,
                stepped=found.stepped,
                faded=found.faded,
                moved=found.moved,
            )
        )
