"""What the window does with files: open, add, save, recipes, deliver. Reading happens in the background."""

import re
from pathlib import Path
from typing import Any

from PySide6.QtGui import QDragEnterEvent, QDropEvent
from PySide6.QtWidgets import QFileDialog

from mivex.core.asked import read_asking, settled
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.log import sentence
from mivex.core.deliver.project import LIST, deliver_project
from mivex.core.frames import Baking, baked, by_seeds
from mivex.core.material.material import Kind
from mivex.core.picture.animated import read_frames
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import READABLE, read_picture
from mivex.core.picture.svg import draw_svg, svg_size
from mivex.core.prepare.drawing import Shape, Text
from mivex.core.prepare.resize import nearest_power
from mivex.core.project import delivery_edits, edits
from mivex.core.project.delivery import read_delivery, save_delivery
from mivex.core.project.file import absolute
from mivex.core.project.recipe import save_recipe, with_files
from mivex.core.sheet.build import Layout, build
from mivex.core.sheet.model import Sheet
from mivex.ui.proofs.outgoing import Outgoing
from mivex.ui.proofs.stage_proof import StageProof
from mivex.ui.session.engine import Engine
from mivex.ui.session.shipping import Shipping
from mivex.ui.shell.saving import ProjectActions


def power_size(aspect: float, long: int = 512) -> tuple[int, int]:
    """A canvas of powers of two for a drawing of that proportion."""
    if aspect >= 1:
        return long, nearest_power(max(1, round(long / aspect)))
    return nearest_power(max(1, round(long * aspect))), long


_PICTURES = "Pictures (" + " ".join(f"*{s}" for s in (*READABLE, ".svg")) + ")"
CANVASES: dict[Kind, str] = {"glass": "Glass", "decal": "Decal", "cloth": "Cloth", "sprite": "Soft sprite"}
"""Kinds that begin on an empty canvas, and what such an overlay is first called."""
_KIND_WORDS: tuple[tuple[str, Kind], ...] = (
    (r"glass|pane|window|porthole|lens|visor", "glass"), (r"logo|emblem|badge|crest", "logo"),
    (r"decal|registration|sign|stripe|chevron|stencil|stain|label|number", "decal"))


def guess_kind(path: str) -> Kind:
    """Kind of overlay that a file's name suggests; sprite where it says nothing."""
    stem = Path(path).stem.lower()
    return next((kind for words, kind in _KIND_WORDS if re.search(words, stem)), "sprite")


class FileActions(ProjectActions):
    """The part of the window that deals with pictures, recipes and deliveries."""

    engine: Engine
    stage: StageProof
    shipping: Shipping
    outgoing: Outgoing

    def _follow_intake(self) -> None:
        """The intake looks from where the stage does."""
        raise NotImplementedError

    def ask_picture(self, kind: str = "file") -> str:
        """Ask for one picture, for an ``svg`` or for a ``mesh``."""
        words, kinds = {"svg": ("Choose an SVG file", "SVG files (*.svg)"),
                        "mesh": ("Choose a mesh", "Meshes (*.obj *.ply *.glb *.gltf)")}.get(
                            kind, ("Choose a picture", _PICTURES))
        path, _ = QFileDialog.getOpenFileName(self, words, self.session.folder, kinds)
        return path

    def ask_add(self) -> None:
        """Ask for pictures and add each as an overlay."""
        paths, _ = QFileDialog.getOpenFileNames(self, "Add pictures", self.session.folder, _PICTURES)
        self.add_pictures(paths)

    def add_pictures(self, paths: list[str]) -> None:
        """Read pictures in the background and add each as an overlay; those that cannot be read are named."""
        if not paths:
            return

        def work(report, stopped):  # type: ignore[no-untyped-def]
            problems = []
            for path in paths:
                if stopped():
                    break
                try:
                    if path.lower().endswith(".svg"):
                        w, h = svg_size(path)
                        draw_svg(path, 16, 16, 1)  # says so now if it cannot be drawn
                        report(("svg", path, w / h))
                        continue
                    p = read_picture(path)
                    report(("add", path, p.width / p.height))
                except BaseException as e:
                    problems.append(sentence(e, f"adding {path!r}"))
            return "  ".join(problems)

        self.jobs.ask(None, work)

    def make_sheet(self, how: str, paths: list[str], values: dict[str, Any], layout: Layout) -> None:
        """Build a sheet in the background, write it beside the project, and add it as an overlay."""
        o, doc, shop, folder = self.session.overlay, self.session.doc, self.session.shop, Path(self.session.folder)
        if o is None:
            return
        texture = self.engine.get(o.id).texture
        name = (o.name if how in ("seeds", "baked") else Path(paths[0]).stem) + " sheet"

        def work(report, stopped):  # type: ignore[no-untyped-def]
            if how == "pictures":
                frames = [read_picture(p).values for p in paths]
            elif how == "animated":
                frames = read_frames(paths[0])[0]
            elif how == "seeds":
                frames = by_seeds(shop, doc, o, int(values["count"]), stopped)
            elif texture is None:
                return f"“{o.name}” is not ready yet."
            else:
                what = Baking(bool(values["wears"]), float(values["seconds"]), float(values["degrees"]))
                frames = baked(o, texture, int(values["count"]), what, stopped)
            made, grid = build(frames, layout)
            stem = "".join(ch if ch.isalnum() else "_" for ch in name.lower())
            path, number = folder / f"{stem}.png", 2
            while path.exists():
                path, number = folder / f"{stem}_{number}.png", number + 1
            write_picture(path, made, 8)
            report(("sheet", path.name, name, Sheet(grids=(grid,), play="random" if how == "seeds" else "loop"),
                    grid.size(made.shape[1], made.shape[0])))
            return ""

        self.jobs.ask(None, work)

    def _take_import(self, _token: object, part: tuple) -> None:
        if part[0] in ("add", "svg"):
            kind, path, aspect = part
            made = ""

            def edit(d):  # type: ignore[no-untyped-def]
                nonlocal made
                name = Path(path).stem.replace("_", " ").strip() or "Overlay"
                if kind == "svg":
                    doc, made = edits.add_blank(d, name, "logo", power_size(aspect))
                    return edits.add_step(doc, made, Shape(file=path))
                doc, made = edits.add_overlay(d, name, guess_kind(path), path, aspect)
                return doc

            self.session.apply("Add overlay", edit)
            self.session.choose(made)
            self.go("source")
        elif part[0] == "sheet":
            _, path, name, sheet, (wide, high) = part
            ids: list[str] = []

            def with_sheet(d):  # type: ignore[no-untyped-def]
                doc, key = edits.add_overlay(d, edits.free_name(d, name), "sprite", path, wide / high)
                ids.append(key)
                return edits.set_fields(doc, key, "", sheet=sheet)

            self.session.apply("Build a sheet", with_sheet)
            self.session.choose(ids[0])
            self.go("sheet")
        elif part[0] == "recipe":
            _, key, steps = part
            self.session.apply("Use a recipe", lambda d: edits.set_steps(d, key, steps))
        elif part[0] == "delivered":
            self.shipping.take(part[1], part[2])
            self.outgoing.show_page("back")
            self._follow_intake()
        elif part[0] == "delivery recipe":
            _, key, recipe = part
            self.session.apply("Use a delivery recipe", lambda d: delivery_edits.taken(d, key, recipe))
        elif part[0] == "paths":
            self.take_paths(part)
        elif part[0] == "earlier":
            self.session.apply("Open an earlier save", lambda _: part[1])
        elif part[0] == "kept":
            self.take_kept(part[1])
        elif part[0] == "theirs":
            self.session.take_theirs(part[1], part[2])
        elif part[0] == "open":
            self.take_opened(part)
            self.stage.canvas.look(next(iter(self.session.doc.cameras), self.stage.canvas.camera))
            if part[-1] is not None:
                part[-1]()

    def add_blank(self) -> None:
        """Add an overlay on an empty canvas, to be drawn on with text, shapes and noise."""
        made = ""

        def edit(d):  # type: ignore[no-untyped-def]
            nonlocal made
            doc, made = edits.add_blank(d, "Drawn", "logo", (512, 512))
            return edits.add_step(doc, made, Text())

        self.session.apply("Add a drawn overlay", edit)
        self.session.choose(made)
        self.go("source")

    def add_canvas(self, kind: Kind) -> None:
        """Add an overlay on an empty canvas, made up as its kind usually begins, for layers and paint."""
        made = ""

        def edit(d):  # type: ignore[no-untyped-def]
            nonlocal made
            doc, made = edits.add_blank(d, CANVASES[kind], kind, (1024, 1024))
            return doc

        self.session.apply(f"Add {CANVASES[kind].lower()}", edit)
        self.session.choose(made)
        self.go("layers")

    def split_channels(self) -> None:
        """Add up to four overlays, each showing one channel of the selected one as grey."""
        o = self.session.overlay
        p = self.engine.get(o.id).picture if o else None
        if o is None or p is None:
            self.tell("There is no picture to split yet.")
            return
        channels = [c for c, there in (("red", True), ("green", p.channels >= 3), ("blue", p.channels >= 3),
                                       ("alpha", p.has_alpha)) if there]
        self.session.apply("Split channels", lambda d: edits.split_channels(d, o.id, channels))
        self.tell(f"{len(channels)} overlays show the channels of “{o.name}” as greys.")

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        paths = [u.toLocalFile() for u in event.mimeData().urls() if u.isLocalFile()]
        projects = [p for p in paths if p.lower().endswith(".mivex")]
        deliveries = [p for p in paths if (Path(p) / LIST).is_file()]
        if projects:
            self.open(projects[0])
        elif deliveries:
            self.take_in(deliveries[0])
        else:
            self.add_pictures(paths)
        event.acceptProposedAction()

    def ask_recipe(self) -> None:
        """Ask for a recipe file and replace the overlay's steps by it."""
        path, _ = QFileDialog.getOpenFileName(self, "Use a recipe", self.session.folder, "Recipes (*.json)")
        if path and (o := self.session.overlay):
            key, doc, shop = o.id, self.session.doc, self.session.shop

            def work(report, stopped):  # type: ignore[no-untyped-def]
                def before(steps):  # type: ignore[no-untyped-def]
                    return shop.texture(o.model_copy(update={"steps": steps}), doc, stop=stopped)

                steps, found = settled(read_asking(path), before)
                report(("recipe", key, steps))
                return " ".join(f.said for f in found)

            self.jobs.ask(None, work)

    def ask_save_recipe(self) -> None:
        """Ask for a name and save the overlay's steps as a recipe."""
        if o := self.session.overlay:
            path, _ = QFileDialog.getSaveFileName(self, "Save the recipe", self.session.folder, "Recipes (*.json)")
            if path:
                path = path if path.endswith(".json") else path + ".json"
                try:
                    # A mask beside the project is named by its whole path, so that the recipe works anywhere.
                    save_recipe(path, tuple(with_files(s, lambda f: absolute(f, self.session.folder)) for s in o.steps))
                    self.tell(f"The recipe was saved as “{path}”.")
                except MivexError as e:
                    self.tell(str(e))

    def ask_delivery_recipe(self, what: str) -> None:
        """Take a delivery recipe from a file, or save the one that the overlay uses."""
        o = self.session.overlay
        if o is None:
            return
        if what == "take":
            path, _ = QFileDialog.getOpenFileName(self, "Use a delivery recipe", self.session.folder, "Recipes (*.json)")
            if path:
                key = o.id
                self.jobs.ask(None, lambda report, _stopped: report(("delivery recipe", key, read_delivery(path))))
            return
        path, _ = QFileDialog.getSaveFileName(self, "Save the delivery recipe", self.session.folder, "Recipes (*.json)")
        if path:
            path = path if path.endswith(".json") else path + ".json"
            recipe = delivery_edits.recipe_of(self.session.doc, o)

            def work(_report, _stopped):  # type: ignore[no-untyped-def]
                save_delivery(path, recipe)
                return f"The delivery recipe was saved as “{path}”."

            self.jobs.ask(None, work)

    def ask_intake(self) -> None:
        """Ask for a delivery and load it into the intake."""
        folder = QFileDialog.getExistingDirectory(self, "Load a delivery", self.session.folder)
        if folder:
            self.take_in(folder)

    def take_in(self, folder: str) -> None:
        """Load a delivery that lies on disk into the intake."""
        self.go("deliver")
        self.shipping.open(folder)
        self.outgoing.show_page("intake")
        self._follow_intake()

    def ask_deliver(self, everything: bool) -> None:
        """Ask for a folder and deliver into it."""
        folder = QFileDialog.getExistingDirectory(self, "Deliver into", self.session.folder)
        if folder:
            self.deliver(folder, everything)

    def deliver(self, folder: str, everything: bool) -> None:
        """Write, read back and compare in the background."""
        doc, shop, chosen = self.session.doc, self.session.shop, self.session.overlay_id
        rows = [o for o in doc.overlays if o.source.ready and (everything or o.id == chosen)]
        only = () if everything else (chosen,)

        def work(report, stopped):  # type: ignore[no-untyped-def]
            try:
                made = deliver_project(doc, shop, folder, only=only, stop=stopped, tell=self.jobs.tell)
            except Stopped:
                raise MivexError("Delivering was stopped; nothing was written.") from None
            rows = made.overlays
            count = f"“{rows[0].overlay}” was" if len(rows) == 1 else f"{len(rows)} overlays were"
            report(("delivered", made, folder))
            return f"{count} written to “{folder}”, read back and found the same, texel for texel."

        self.jobs.ask(None, work)
        self.tell(f"Delivering {len(rows)} overlay{'' if len(rows) == 1 else 's'} …")
