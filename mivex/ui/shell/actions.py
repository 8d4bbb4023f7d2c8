"""Everything that can be done from a menu or by a key: one table, from which menus, keys and the sheet of keys are made."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from PySide6.QtGui import QAction, QKeySequence
from PySide6.QtWidgets import QMenu

from mivex.core.base.languages import tr
from mivex.ui import languages, theme
from mivex.ui.stations import STATIONS


@dataclass(frozen=True)
class Action:
    """One thing to do.

    Attributes
    ----------
    menu : str
        The menu that it stands in.
    words : str
        As the menu says it; those in `OWN_MENUS` are menus of their own, an empty name a line between.
    run : callable
        Does it to the window.
    keys : str
        Its key, or empty.
    sheet : str
        Where the sheet of keys lists it; empty: under its menu.
    """

    menu: str
    words: str
    run: Callable[[Any], object] = lambda _: None
    keys: str = ""
    sheet: str = ""


def _line(menu: str) -> Action:
    return Action(menu, "")


ACTIONS: tuple[Action, ...] = (
    Action("Project", "New", lambda w: w.new(), "Ctrl+N"),
    Action("Project", "Open …", lambda w: w.ask_open(), "Ctrl+O"),
    Action("Project", "Recent"),
    Action("Project", "Open the demo", lambda w: w.open_demo()),
    _line("Project"),
    Action("Project", "Save", lambda w: w.save(), "Ctrl+S"),
    Action("Project", "Save as …", lambda w: w.save_as(), "Ctrl+Shift+S"),
    _line("Project"),
    Action("Project", "Earlier saves …", lambda w: w.ask_earlier()),
    Action("Project", "Collect its files beside it", lambda w: w.collect()),
    Action("Project", "Find moved files …", lambda w: w.ask_find()),
    _line("Project"),
    Action("Project", "Close", lambda w: w.close(), "Ctrl+Q"),
    Action("Edit", "Undo", lambda w: w.session.undo(), "Ctrl+Z"),
    Action("Edit", "Redo", lambda w: w.session.redo(), "Ctrl+Shift+Z"),
    _line("Edit"),
    Action("Edit", "Paste a picture as an overlay", lambda w: w.paste(), "Ctrl+V"),
    Action("Overlay", "Add pictures …", lambda w: w.ask_add(), "Ctrl+I"),
    Action("Overlay", "Look through a folder …", lambda w: w.ask_folder(), "Ctrl+Shift+L"),
    Action("Overlay", "Add a drawn one", lambda w: w.add_blank(), "Ctrl+Shift+I"),
    Action("Overlay", "Empty canvas for glass", lambda w: w.add_canvas("glass")),
    Action("Overlay", "Empty canvas for a decal", lambda w: w.add_canvas("decal")),
    Action("Overlay", "Empty canvas for cloth or a screen", lambda w: w.add_canvas("cloth")),
    Action("Overlay", "Empty canvas for a soft sprite", lambda w: w.add_canvas("sprite")),
    _line("Overlay"),
    Action("Overlay", "Copy", lambda w: w.rack.copy_chosen(), "Ctrl+D"),
    Action("Overlay", "Copy as a variant", lambda w: w.rack.add_variant(), "Ctrl+Shift+D"),
    Action("Overlay", "Remove", lambda w: w.rack.remove_chosen(), "Ctrl+Backspace"),
    Action("Overlay", "Hide it on the stage, or show it", lambda w: w.rack.switch_chosen(), "V"),
    Action("Overlay", "Frame it on the stage", lambda w: w.frame_chosen(), "O"),
    Action("Overlay", "Paint on its layer", lambda w: w.paint(), "P"),
    _line("Overlay"),
    Action("Overlay", "Split into its channels", lambda w: w.split_channels()),
    _line("Overlay"),
    Action("Overlay", "Use a recipe …", lambda w: w.ask_recipe()),
    Action("Overlay", "Save its steps as a recipe …", lambda w: w.ask_save_recipe()),
    _line("Overlay"),
    Action("Overlay", "Deliver …", lambda w: w.ask_deliver(False), "Ctrl+E"),
    Action("Overlay", "Deliver all …", lambda w: w.ask_deliver(True), "Ctrl+Shift+E"),
    Action("Overlay", "Load a delivery into the intake …", lambda w: w.ask_intake()),
    Action("Overlay", "Test card …", lambda w: w.open_card()),
    Action("View", "Flat proof and stage", lambda w: w.arrange("both"), "F2"),
    Action("View", "Flat proof alone", lambda w: w.arrange("flat"), "F3"),
    Action("View", "Stage alone", lambda w: w.arrange("stage"), "F4"),
    _line("View"),
    Action("View", "Whole picture", lambda w: w.flat.canvas.fit(), "F", "Flat proof"),
    Action("View", "One texel to one pixel", lambda w: w.flat.canvas.actual(), "Shift+F", "Flat proof"),
    Action("View", "Next backdrop", lambda w: w.flat.next_backdrop(), "B", "Flat proof"),
    Action("View", "Before and after", lambda w: w.flat.compare.toggle(), "D", "Flat proof"),
    Action("View", "Coarser mip level", lambda w: w.flat.step_level(1), "]", "Flat proof"),
    Action("View", "Finer mip level", lambda w: w.flat.step_level(-1), "[", "Flat proof"),
    Action("View", "Every mip level", lambda w: w.flat.toggle_layout("levels"), "L", "Flat proof"),
    Action("View", "Far sizes", lambda w: w.flat.toggle_layout("far"), "Shift+L", "Flat proof"),
    Action("View", "All backdrops", lambda w: w.flat.toggle_layout("backdrops"), "Shift+B", "Flat proof"),
    Action("View", "Repeated three by three", lambda w: w.flat.toggle_layout("tiles"), "T", "Flat proof"),
    Action("View", "Its border", lambda w: w.flat.toggle_layout("border"), "Shift+T", "Flat proof"),
    Action("View", "Magnified", lambda w: w.flat.toggle_layout("magnify"), "M", "Flat proof"),
    _line("View"),
    Action("View", "Next camera", lambda w: w.next_camera(), "C", "Stage"),
    Action("View", "Light and surroundings …", lambda w: w.stage.open_light(), "K", "Stage"),
    Action("View", "Stage seen otherwise", lambda w: w.stage.next_look(), "N", "Stage"),
    Action("View", "What if …", lambda w: w.what_if(), "Q", "Stage"),
    _line("View"),
    Action("View", "Findings", lambda w: w.tray.show_page("findings"), "Shift+F1", "Tray"),
    Action("View", "Ledger", lambda w: w.tray.show_page("ledger"), "Shift+F2", "Tray"),
    Action("View", "Drawing order", lambda w: w.tray.show_page("order"), "Shift+F3", "Tray"),
    Action("View", "Clock", lambda w: w.tray.show_page("clock"), "Shift+F4", "Tray"),
    Action("View", "Play or rest", lambda w: w.desk.play(not w.desk.playing), "H", "Clock"),
    Action("View", "From the beginning", lambda w: w.tray.clock.restart(), "Shift+H", "Clock"),
    Action("View", "One step back", lambda w: w.desk.step(-1), ",", "Clock"),
    Action("View", "One step on", lambda w: w.desk.step(1), ".", "Clock"),
    Action("View", "Fire where it is clicked", lambda w: w.tray.clock.set_firing(not w.desk.firing), "G", "Clock"),
    Action("View", "Fire before the camera", lambda w: w.fire_ahead(), "X", "Clock"),
    Action("View", "Pin the pixel", lambda w: w.pin_pixel(), "Y", "Tray"),
    _line("View"),
    Action("View", "Size of words and controls"),
    Action("View", "Language"),
    Action("Help", "A short tour of the demo", lambda w: w.toggle_tour(), "Shift+F6"),
    Action("Help", "Findings, one by one", lambda w: w.teach(), "Shift+F5"),
    Action("Help", "Keys", lambda w: w.show_keys(), "F1"),
)
"""Menus in their order, and in each its entries."""

GESTURES: tuple[tuple[str, tuple[tuple[str, str], ...]], ...] = (
    ("Rack", (("double click on a card", "frame the overlay on the stage"),)),
    ("Track", (("Alt+1 … Alt+9, Alt+0", ", ".join(s.title for s in STATIONS.values())),)),
    (
        "In the picture",
        (
            ("drag a handle", "place a fall-off, a text, a shape"),
            ("right button", "takes away while painting"),
            ("Ctrl and wheel", "size of the brush"),
        ),
    ),
    (
        "Layers",
        (
            ("arrows", "choose a cell"),
            ("double click on a group", "fold it or open it"),
            ("Return or double click", "touch it"),
            ("Space", "switch a layer"),
            ("Ctrl+Up, Ctrl+Down", "move it"),
            ("drag a row", "reorder, put into a group"),
        ),
    ),
    (
        "Painting",
        (
            ("drag", "paint"),
            ("right button", "clear: what lay below comes back"),
            ("Shift", "straight lines"),
            ("Alt and click", "take the values there"),
            ("Ctrl and wheel", "size of the tip"),
        ),
    ),
    (
        "Curves, ramps",
        (
            ("click, drag", "add, move"),
            ("Space, arrows", "choose, move"),
            ("Delete", "remove"),
            ("Return", "another colour"),
        ),
    ),
    (
        "Chart of a life",
        (
            ("drag", "move points, colours, bands, bursts"),
            ("double click", "add a point; on the run, Shift: a burst"),
            ("right button", "take away"),
            ("arrows, Space", "move the point, choose the next"),
            ("Page Up, Page Down", "other lanes"),
        ),
    ),
    (
        "Stage",
        (
            ("drag, Shift-drag, wheel", "look round, pan, come near"),
            ("drag an overlay", "move it; Ctrl-drag pushes it away"),
            ("light dial", "drag the lamp; the rim or the wheel turns what is mirrored"),
        ),
    ),
    (
        "Numbers",
        (
            ("drag, Shift-drag", "change, change finely"),
            ("Return or a digit", "type"),
            ("Left, Right", "step"),
            ("Home", "usual value"),
            ("double click on a name", "usual value"),
        ),
    ),
)
"""What the mouse does, and keys that belong to a field: the rest of the sheet."""


def fill_languages(window: Any, menu: QMenu) -> None:
    """Offer the languages; one is used from the next start on."""
    menu.clear()
    for key, words in languages.NAMES.items():
        _offer(window, menu, words, languages.wanted() == key, lambda k=key: languages.choose(k))


def fill_sizes(window: Any, menu: QMenu) -> None:
    """Offer sizes of words and controls; one is used from the next start on."""
    menu.clear()
    for percent in theme.SIZES:
        _offer(window, menu, f"{percent} %", theme.size_wanted() == percent, lambda p=percent: theme.choose_size(p))


def _offer(window: Any, menu: QMenu, words: str, chosen: bool, take: Callable[[], None]) -> None:
    def run() -> None:
        take()
        window.tell("Mivex will look so when it is started again.")

    action = menu.addAction(tr(words), run)
    action.setCheckable(True)
    action.setChecked(chosen)


OWN_MENUS: dict[str, Callable[[Any, QMenu], object]] = {
    "Recent": lambda w, menu: w.fill_recent(menu),
    "Size of words and controls": fill_sizes,
    "Language": fill_languages,
}
"""Menus within menus, filled when they are opened."""


def _do(window: Any, run: Callable[[Any], object]) -> None:
    # What is half typed counts before anything else is done.
    window.commit_typing()
    run(window)


def build_menus(window: Any) -> dict[str, QAction]:
    """Fill the window's menus; returns the actions by their words."""
    menus: dict[str, QMenu] = {}
    made: dict[str, QAction] = {}
    for a in ACTIONS:
        menu = menus.get(a.menu)
        if menu is None:
            menu = menus[a.menu] = window.menuBar().addMenu(tr(a.menu))
        if not a.words:
            menu.addSeparator()
        elif a.words in OWN_MENUS:
            own = menu.addMenu(tr(a.words))
            own.aboutToShow.connect(lambda m=own, fill=OWN_MENUS[a.words]: fill(window, m))
        else:
            action = made[a.words] = menu.addAction(tr(a.words))
            if a.keys:
                action.setShortcut(QKeySequence(a.keys))
            action.triggered.connect(lambda _=False, run=a.run: _do(window, run))
    return made


def sheet_rows() -> list[tuple[str, list[tuple[str, str]]]]:
    """The sheet of keys: sections, each with keys or gestures and what they do."""
    rows: dict[str, list[tuple[str, str]]] = {}
    for a in ACTIONS:
        if a.keys:
            rows.setdefault(a.sheet or a.menu, []).append((a.keys, a.words.removesuffix(" …")))
    for title, more in GESTURES:
        rows.setdefault(title, []).extend(more)
    return list(rows.items())
