"""Commands for the test card: write it, read a picture of it."""

import sys
from pathlib import Path
from typing import Annotated, Any

import typer

from mivex.cli_output import progress, say, say_json
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, named, term
from mivex.core.base.store import check_target

card_app = typer.Typer(
    help="A card that asks a receiver what it does to textures.", no_args_is_help=True, add_completion=False
)
Json = Annotated[bool, typer.Option("--json", help="Print one JSON object.")]


@card_app.command()
def make(
    folder: Annotated[str, typer.Argument(metavar="DIR")],
    plain: Annotated[
        bool, typer.Option("--plain", help="PNG only, for receivers that read no KTX 2; mip levels are then not asked for.")
    ] = False,
    as_json: Json = False,
) -> None:
    """Write the test card: pictures, blend sheets, one glTF of it, how it should look, and what to do."""
    from mivex.core.card.make import make_card

    on_terminal = sys.stderr.isatty()

    def tell(words: str) -> None:
        if on_terminal:
            progress(words, last=False)

    made = make_card(folder, levels=not plain, tell=tell)
    if on_terminal:
        print("\r\033[K", end="", file=sys.stderr, flush=True)
    if as_json:
        say_json({"files": [str(p) for p in made]})
        return
    for path in made[:4]:
        say(path)
    say(Message("{count} files; “{words}” says what to do with them.", count=len(made), words=made[2].name))


@card_app.command()
def read(
    picture: Annotated[str, typer.Argument(metavar="PICTURE", help="A screenshot of the card in the receiver.")],
    name: Annotated[str, typer.Option(metavar="NAME", help="What the receiver is called.")] = "Receiver",
    project: Annotated[str, typer.Option(metavar="PROJECT", help="Say what it means for this project's overlays.")] = "",
    out: Annotated[str, typer.Option(metavar="OUT.json", help="Write the receiver's profile.")] = "",
    keep: Annotated[
        bool, typer.Option("--keep", help="Keep the receiver in the project, which the checks can then name.")
    ] = False,
    recipe: Annotated[str, typer.Option(metavar="OUT.json", help="Write a delivery recipe that allows for it.")] = "",
    as_json: Json = False,
) -> None:
    """Say what a receiver does to textures, from a picture of the test card that it drew."""
    from mivex.core.card.locate import read_card
    from mivex.core.card.meaning import TITLES, meanings, receiver_from, recipe_for, sizes_of, words_of
    from mivex.core.card.questions import UNKNOWN, answer_row, read_answers
    from mivex.core.project.delivery import save_delivery
    from mivex.core.project.delivery_edits import with_receiver
    from mivex.core.project.file import read_project, write_project
    from mivex.core.project.receiver import QUESTIONS, save_receiver

    for path in (out, recipe):
        if path and not path.lower().endswith(".json"):
            raise MivexError(Message("“{path}”: profiles and recipes are written as .json.", path=path))
        if path:
            check_target(path)
    if keep and not project:
        raise MivexError("--keep keeps the receiver in a project; --project says in which.")
    doc = read_project(project) if project else None
    found = read_card(picture)
    answers = read_answers(found)
    receiver = receiver_from(answers, name)
    rows = [(answers[q], words_of(q, answers[q].value)) for q in QUESTIONS]
    touched = {}
    if doc is not None:
        touched = {
            m.question: list(m.overlays) for m in meanings(receiver, doc, sizes_of(doc, Path(project).resolve().parent))
        }
    if keep and doc is not None:
        write_project(project, with_receiver(doc, receiver))
    if out:
        save_receiver(out, receiver)
    if recipe:
        save_delivery(recipe, recipe_for(receiver))
    if as_json:
        told: list[dict[str, Any]] = [
            answer_row(a) | {"message": words} | ({"overlays": touched[a.question]} if a.question in touched else {})
            for a, words in rows
        ]
        say_json({"name": name, "markers": found.markers, "mirrored": found.mirrored, "answers": told})
        return
    if found.mirrored:
        say("The picture is mirrored; it was read turned over.")
    for a, words in rows:
        sure = Message(" ({sure:.0%})", sure=a.sure) if a.value != UNKNOWN else ""
        say(Message("{title}: {words}{sure}", title=term(TITLES[a.question]), words=term(words), sure=term(sure)))
        if touched.get(a.question):
            say(Message("  touches {names}", names=named(", ", touched[a.question])))
