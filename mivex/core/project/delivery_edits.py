"""Edits of delivery recipes: a stock one becomes the project's own as soon as something of it is changed."""

from collections.abc import Callable

from mivex.core.base.messages import Message
from mivex.core.project.delivery import COLOUR_ALPHA, STOCK, USUAL, DeliveryRecipe, Feed, FilePlan, Lane, recipe_named
from mivex.core.project.document import Document, Overlay
from mivex.core.project.receiver import Receiver

Change = Callable[[DeliveryRecipe], DeliveryRecipe]


def recipe_of(doc: Document, overlay: Overlay) -> DeliveryRecipe:
    """The delivery recipe of an overlay; the usual one where the one that it names is gone."""
    names = {r.name for r in doc.deliveries} | STOCK.keys() | {r.name for r in STOCK.values()}
    key = overlay.delivery.recipe
    return recipe_named(key if key in names else USUAL, doc.deliveries)


def choices(doc: Document) -> dict[str, str]:
    """Every recipe that there is, by what an overlay calls it: those that come with Mivex, then the project's."""
    return {("" if k == USUAL else k): r.name for k, r in STOCK.items()} | {r.name: r.name for r in doc.deliveries}


def changed(doc: Document, overlay_id: str, change: Change) -> Document:
    """The document with the recipe of an overlay changed; all that use the same one of the project's follow."""
    o = doc.overlay(overlay_id)
    if o is None:
        return doc
    old = recipe_of(doc, o)
    new = DeliveryRecipe.model_validate(change(old).model_dump())
    if any(r.name == old.name for r in doc.deliveries):
        rows = tuple(new if r.name == old.name else r for r in doc.deliveries)
        return _renamed(doc.model_copy(update={"deliveries": rows}), old.name, new.name)
    wish = new.name if new.name != old.name else Message("{name}, changed", name=old.name)
    taken = {r.name for r in doc.deliveries} | set(STOCK) | {r.name for r in STOCK.values()}
    name, number = wish, 2
    while name in taken:
        name, number = f"{wish} {number}", number + 1
    new = new.model_copy(update={"name": name})
    delivery = o.delivery.model_copy(update={"recipe": name})
    return doc.model_copy(
        update={
            "deliveries": (*doc.deliveries, new),
            "overlays": tuple(
                x.model_copy(update={"delivery": delivery}) if x.id == overlay_id else x for x in doc.overlays
            ),
        }
    )


def _renamed(doc: Document, old: str, new: str) -> Document:
    if old == new:
        return doc
    return doc.model_copy(
        update={
            "overlays": tuple(
                o.model_copy(update={"delivery": o.delivery.model_copy(update={"recipe": new})})
                if o.delivery.recipe == old
                else o
                for o in doc.overlays
            )
        }
    )


def taken(doc: Document, overlay_id: str, recipe: DeliveryRecipe) -> Document:
    """The document with a recipe from a file, used by an overlay; one of the same name is replaced."""
    rows = (*(r for r in doc.deliveries if r.name != recipe.name), recipe)
    return doc.model_copy(
        update={
            "deliveries": rows,
            "overlays": tuple(
                o.model_copy(update={"delivery": o.delivery.model_copy(update={"recipe": recipe.name})})
                if o.id == overlay_id
                else o
                for o in doc.overlays
            ),
        }
    )


def with_receiver(doc: Document, receiver: Receiver) -> Document:
    """The document with a receiver's profile; one of the same name is replaced."""
    return doc.model_copy(update={"receivers": (*(r for r in doc.receivers if r.name != receiver.name), receiver)})


def with_file(recipe: DeliveryRecipe, index: int, **change: object) -> DeliveryRecipe:
    """A recipe with settings of one of its files changed; where it is gone by now, the recipe as it is."""
    files = list(recipe.files)
    if not 0 <= index < len(files):
        return recipe
    files[index] = FilePlan.model_validate(files[index].model_dump() | change)
    return recipe.model_copy(update={"files": tuple(files)})


def with_feed(recipe: DeliveryRecipe, index: int, lane: Lane, feed: Feed) -> DeliveryRecipe:
    """A recipe with another feed of one channel."""
    held = recipe.files[index].channels if 0 <= index < len(recipe.files) else {}
    return with_file(recipe, index, channels={**held, lane: feed})


def with_more(recipe: DeliveryRecipe, count: int) -> DeliveryRecipe:
    """A recipe with one more file, of so many channels: data of one, colour of three, colour with alpha of four."""
    names = {f.pattern for f in recipe.files}
    pattern, number = "{name}_more", 2
    while pattern in names:
        pattern, number = f"{{name}}_more{number}", number + 1
    lanes: dict[Lane, Feed] = (
        {"red": Feed(take="opacity")}
        if count == 1
        else {k: v for k, v in COLOUR_ALPHA.items() if count == 4 or k != "alpha"}
    )
    plan = FilePlan(pattern=pattern, channels=lanes, holds="data" if count == 1 else "colour", always=True)
    return recipe.model_copy(update={"files": (*recipe.files, plan)})


def without_file(recipe: DeliveryRecipe, index: int) -> DeliveryRecipe:
    """A recipe without one of its files."""
    return recipe.model_copy(update={"files": tuple(f for k, f in enumerate(recipe.files) if k != index)})
