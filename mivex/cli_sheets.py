"""Commands for sheets of frames: build, slice, check."""

import json
from pathlib import Path
from typing import Annotated, Any

import typer

from mivex.cli_output import say, say_json, whole_numbers
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, joined, term
from mivex.core.base.store import protect

sheet_app = typer.Typer(help="Build, slice and check sheets of frames.", no_args_is_help=True, add_completion=False)
Json = Annotated[bool, typer.Option("--json", help="Print one JSON object.")]
Columns = Annotated[int, typer.Option(help="Cells across; 0: found, or as near to a square as goes.")]
Rows = Annotated[int, typer.Option(help="Cells down; 0: found.")]
Gutter = Annotated[int, typer.Option(help="Texels between cells.")]
Count = Annotated[int, typer.Option(help="How many of the cells are frames; 0: all, or found.")]


def _pair(text: str, name: str) -> tuple[int, int]:
    found = whole_numbers(text.lower(), "x", 2)
    if found is None:
        raise MivexError(Message("{name} takes WIDTHxHEIGHT in texels, not “{text}”.", name=name, text=text))
    return found[0], found[1]


def frame_rows(cells: tuple[tuple[float, float, float, float], ...], width: int, height: int) -> list[dict[str, int]]:
    """Where every frame lies, in texels."""
    from mivex.core.sheet.bleed import cell_texels

    boxes = [cell_texels(c, width, height) for c in cells]
    return [{"index": i, "x": a, "y": b, "width": c - a, "height": d - b} for i, (a, b, c, d) in enumerate(boxes)]


def write_list(out: str, words: dict[str, Any]) -> None:
    """Write where frames lie beside a picture, as NAME.sheet.json."""
    from mivex.core.base.store import write_text

    path = Path(out)
    write_text(path.with_name(f"{path.stem}.sheet.json"), json.dumps(words, indent=2, ensure_ascii=False) + "\n")


@sheet_app.command()
def build(
    out: Annotated[str, typer.Argument(metavar="OUT", help=".png, .tif or .tga")],
    frames: Annotated[
        list[str],
        typer.Argument(
            metavar="IN...", help="Pictures in their order; an animated WebP, GIF or APNG gives all its frames."
        ),
    ],
    cell: Annotated[str, typer.Option(metavar="WxH", help="Texels of a cell; else the largest frame's.")] = "",
    columns: Columns = 0,
    gutter: Gutter = 0,
    fit: Annotated[str, typer.Option(help="inside, fill or none.")] = "inside",
    align: Annotated[str, typer.Option(help="frame, centroid, box or foot.")] = "frame",
    as_json: Json = False,
) -> None:
    """Lay pictures into a sheet; where they lie is written beside it as NAME.sheet.json."""
    from mivex.core.picture.animated import ANIMATED, read_frames
    from mivex.core.picture.encode import check_writable, write_picture
    from mivex.core.picture.files import read_picture
    from mivex.core.picture.formats import depth_for
    from mivex.core.sheet.build import ALIGNS, FITS, Layout, meaning_of
    from mivex.core.sheet.build import build as lay

    suffix = check_writable(out)
    if fit not in FITS or align not in ALIGNS:
        raise MivexError(
            Message("--fit takes {parts}; --align takes {parts2}.", parts=joined(", ", FITS), parts2=joined(", ", ALIGNS))
        )
    if not 0 <= columns <= 64 or not 0 <= gutter <= 1024:
        raise MivexError("--columns takes 0 to 64, --gutter 0 to 1024.")
    protect(frames)
    rows, pictures, told = [], [], []
    for path in frames:
        if Path(path).suffix.lower() in ANIMATED and Path(path).suffix.lower() != ".png":
            rows += read_frames(path)[0]
        elif Path(path).suffix.lower() == ".png" and len(found := read_frames(path)[0]) > 1:
            rows += found
        else:
            pictures.append(read_picture(path))
            rows.append(pictures[-1].values)
    size = _pair(cell, "--cell") if cell else (0, 0)
    # Animated pictures are colour of 8 bits.
    meaning = meaning_of(pictures) if len(pictures) == len(rows) else "colour"
    values, grid = lay(rows, Layout(size, columns, gutter, fit, align), meaning=meaning)  # type: ignore[arg-type]
    deepest = max((p.bits for p in pictures), default=8)
    bits = depth_for(suffix, deepest, data=meaning != "colour")
    if bits < deepest:
        told.append(Message("The frames have {deepest} bits a channel, the sheet {bits}.", deepest=deepest, bits=bits))
    write_picture(out, values, bits, data=meaning != "colour")
    h, w = values.shape[:2]
    words = {
        "sheet": {"grids": [grid.model_dump(mode="json")]},
        "width": w,
        "height": h,
        "bits": bits,
        "holds": meaning,
        "frames": frame_rows(tuple(grid.cells(w, h)), w, h),
    }
    write_list(out, words)
    if as_json:
        say_json(words)
    else:
        say(
            Message(
                "{count} frames in {columns} × {rows}, {w} × {h}",
                count=len(rows),
                columns=grid.columns,
                rows=grid.rows,
                w=w,
                h=h,
            )
        )
        for sentence in told:
            say(sentence)


def grid_of(
    values: Any,
    columns: int,
    rows: int,
    left: int,
    top: int,
    cell: str,
    gutter: int,
    count: int,
) -> tuple[Any, Any]:
    """The sheet as it is said, or as it is guessed; and the guess, where there is one."""
    from mivex.core.sheet.guess import guess
    from mivex.core.sheet.model import Grid, Sheet

    if not columns and not rows:
        found = guess(values)
        return Sheet(grids=found.grids), found
    size = _pair(cell, "--cell") if cell else (0, 0)
    try:
        grid = Grid(
            columns=max(columns, 1),
            rows=max(rows, 1),
            left=left,
            top=top,
            width=size[0],
            height=size[1],
            gutter=gutter,
            count=count,
        )
    except ValueError:
        raise MivexError("A grid has 1 to 64 columns and rows, and lies inside the picture.") from None
    return Sheet(grids=(grid,)), None


@sheet_app.command(name="slice")
def slice_(  # noqa: PLR0913
    source: Annotated[str, typer.Argument(metavar="IN")],
    columns: Columns = 0,
    rows: Rows = 0,
    left: Annotated[int, typer.Option(help="Texels before the first cell.")] = 0,
    top: Annotated[int, typer.Option(help="Texels above the first cell.")] = 0,
    cell: Annotated[str, typer.Option(metavar="WxH")] = "",
    gutter: Gutter = 0,
    count: Count = 0,
    frames: Annotated[str, typer.Option(metavar="DIR", help="Write every frame there, numbered.")] = "",
    recipe: Annotated[str, typer.Option(metavar="FILE", help="Run a recipe on every cell.")] = "",
    out: Annotated[str, typer.Option(metavar="OUT", help="Write the sheet.")] = "",
    as_json: Json = False,
) -> None:
    """Find the frames of a sheet, or take the grid that is given; write them, or mend them cell by cell."""
    from mivex.core.picture.encode import check_writable, write_picture
    from mivex.core.picture.files import read_picture
    from mivex.core.project.document import Overlay, Source
    from mivex.core.project.evaluate import Evaluator
    from mivex.core.project.recipe import read_recipe
    from mivex.core.sheet.celled import frame_values

    picture = read_picture(source)
    sheet, found = grid_of(picture.values, columns, rows, left, top, cell, gutter, count)
    if out:
        check_writable(out)
    if recipe and not out:
        raise MivexError("--recipe needs --out: where the mended sheet goes.")
    w, h = picture.width, picture.height
    cells = sheet.cells(w, h)
    words: dict[str, Any] = {
        "sheet": {"grids": [g.model_dump(mode="json") for g in sheet.grids]},
        "width": w,
        "height": h,
        "frames": frame_rows(cells, w, h),
    }
    if found is not None:
        words |= {"confidence": round(found.confidence, 4), "why": found.why}
    if (frames or out) and not cells:
        raise MivexError(Message("“{name}” does not look like a sheet; say --columns and --rows.", name=Path(source).name))
    values, bits = picture.values, 16 if picture.bits > 8 else 8
    if recipe:
        # Pictures that a recipe names lie beside the recipe.
        evaluator = Evaluator(Path(recipe).resolve().parent)
        where = Source(path=str(Path(source).resolve()))
        o = Overlay(name=source, source=where, steps=read_recipe(recipe).steps, sheet=sheet)
        o = o.model_copy(update={"delivery": o.delivery.model_copy(update={"bits": bits})})
        texture = evaluator.texture(o)
        values, cells = texture.values, texture.traits.cells
        words |= {
            "width": texture.width,
            "height": texture.height,
            "frames": frame_rows(cells, texture.width, texture.height),
        }
    if out:
        write_picture(out, values, bits)
        write_list(out, words)
    if frames:
        Path(frames).mkdir(parents=True, exist_ok=True)
        for i, part in enumerate(frame_values(values, cells)):
            write_picture(Path(frames) / f"{Path(source).stem}-{i:04d}.png", part, bits)
    if as_json:
        say_json(words)
    elif not cells:
        say(Message("{source}: no sheet ({why})", source=source, why=term(found.why if found else "")))
    else:
        sure = Message(", {confidence:.0%} sure ({why})", confidence=found.confidence, why=term(found.why)) if found else ""
        say(
            Message("{source}: {count} frames; ", source=source, count=len(cells))
            + joined(
                "; ",
                (
                    Message(
                        "{columns} × {rows} cells of {parts}",
                        columns=g.columns,
                        rows=g.rows,
                        parts=joined(" × ", (Message("{v:g}", v=v) for v in g.size(w, h))),
                    )
                    for g in sheet.grids
                ),
            )
            + sure
        )


@sheet_app.command()
def check(  # noqa: PLR0913
    source: Annotated[str, typer.Argument(metavar="IN")],
    columns: Columns = 0,
    rows: Rows = 0,
    left: Annotated[int, typer.Option(help="Texels before the first cell.")] = 0,
    top: Annotated[int, typer.Option(help="Texels above the first cell.")] = 0,
    cell: Annotated[str, typer.Option(metavar="WxH")] = "",
    gutter: Gutter = 0,
    count: Count = 0,
    play: Annotated[str, typer.Option(help="loop, once, fro or random.")] = "loop",
    as_json: Json = False,
) -> int:
    """Findings of a sheet's frames; exit 1 where there are any."""
    from mivex.core.checking.batch import finding_row
    from mivex.core.findings import examine_sheet
    from mivex.core.findings.base import Subject
    from mivex.core.findings.sheet.frames import bleed_of
    from mivex.core.picture.files import read_picture
    from mivex.core.picture.picture import guess_meaning
    from mivex.core.picture.texture import Texture
    from mivex.core.sheet.model import PLAYS

    if play not in PLAYS:
        raise MivexError(Message("--play takes {parts}, not “{play}”.", parts=joined(", ", PLAYS), play=play))
    picture = read_picture(source)
    sheet, _ = grid_of(picture.values, columns, rows, left, top, cell, gutter, count)
    cells = sheet.cells(picture.width, picture.height)
    if not cells:
        raise MivexError(Message("“{name}” does not look like a sheet; say --columns and --rows.", name=Path(source).name))
    texture = Texture(
        picture.values,
        guess_meaning(picture)[0],
        bits=16 if picture.bits > 8 else 8,
        has_alpha=picture.has_alpha,
        cells=cells,
    )
    subject = Subject(source, texture, sheet=sheet.model_copy(update={"play": play}))
    found = examine_sheet(subject)
    bleed = bleed_of(texture)
    if as_json:
        grids = [g.model_dump(mode="json") for g in sheet.grids]
        say_json(
            {
                "path": source,
                "frames": len(cells),
                "sheet": {"grids": grids},
                "bleed": list(bleed.levels),
                "safe": bleed.safe,
                "findings": [finding_row(f, {"path": source}) for f in found],
            }
        )
    else:
        say(Message("{source}: {count} frames, safe to level {safe}", source=source, count=len(cells), safe=bleed.safe))
        for f in found:
            say(Message("  {id}: {message}", id=f.id, message=f.message))
    return 1 if found else 0
