"""What the window does with files: open, add, save, recipes, deliver. Reading happens in the background."""

import re
from pathlib import Path
from typing import Any

import numpy as np
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QGuiApplication, QImage
from PySide6.QtWidgets import QFileDialog

from mivex.core.base.errors import Stopped
from mivex.core.base.languages import tr
from mivex.core.base.log import sentence, state_folder
from mivex.core.base.messages import InSentence, Message, joined
from mivex.core.checking.mending import mend_document
from mivex.core.checking.parametric_recipes import read_parametric, resolve_parameters
from mivex.core.deliver.project import LIST
from mivex.core.material.material import Kind
from mivex.core.picture.animated import read_frames
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.svg import draw_svg, svg_size
from mivex.core.prepare.drawing import Shape, Text
from mivex.core.prepare.resize import nearest_power
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.file import absolute
from mivex.core.project.recipe import save_recipe, with_files
from mivex.core.scene.frames import Baking, baked, by_seeds
from mivex.core.scene.varied import by_setting
from mivex.core.sheet.build import Layout, build, meaning_of
from mivex.core.sheet.model import Sheet
from mivex.ui.fields.labels import picture_filter
from mivex.ui.proofs.stage_proof import StageProof
from mivex.ui.session.engine import Engine
from mivex.ui.shell.build_sheet import OWN
from mivex.ui.shell.controls import Controls
from mivex.ui.shell.delivery_actions import DeliveryActions
from mivex.ui.shell.folder_sheet import FolderSheet


def power_size(aspect: float, long: int = 512) -> tuple[int, int]:
    """A canvas of powers of two for a drawing of that proportion."""
    if aspect >= 1:
        return long, nearest_power(max(1, round(long / aspect)))
    # The long side is given; the other is the nearest power of two to the proportion.
    return nearest_power(max(1, round(long * aspect))), long


CANVASES: dict[Kind, str] = {"glass": "Glass", "decal": "Decal", "cloth": "Cloth", "sprite": "Soft sprite"}
"""Kinds that begin on an empty canvas, and what such an overlay is first called."""
_KIND_WORDS: tuple[tuple[str, Kind], ...] = (
    (r"glass|pane|window|porthole|lens|visor", "glass"),
    (r"logo|emblem|badge|crest", "logo"),
    (r"decal|registration|sign|stripe|chevron|stencil|stain|label|number", "decal"),
)


def guess_kind(path: str) -> Kind:
    """Kind of overlay that a file's name suggests; sprite where it says nothing."""
    stem = Path(path).stem.lower()
    return next((kind for words, kind in _KIND_WORDS if re.search(words, stem)), "sprite")


class FileActions(DeliveryActions):
    """The part of the window that deals with pictures, recipes and deliveries."""

    controls: Controls
    engine: Engine
    stage: StageProof

    def ask_picture(self, kind: str = "file") -> str:
        """Ask for one picture, for an ``svg`` or for a ``mesh``."""
        words, kinds = {
            "svg": ("Choose an SVG file", "SVG files (*.svg)"),
            "mesh": ("Choose a mesh", "Meshes (*.obj *.ply *.glb *.gltf)"),
        }.get(kind, ("Choose a picture", picture_filter(".svg")))
        path, _ = QFileDialog.getOpenFileName(self, tr(words), self.session.folder, tr(kinds))
        return path

    def ask_add(self) -> None:
        """Ask for pictures and add each as an overlay."""
        paths, _ = QFileDialog.getOpenFileNames(self, tr("Add pictures"), self.session.folder, tr(picture_filter(".svg")))
        self.add_pictures(paths)

    def add_pictures(self, paths: list[str]) -> None:
        """Read pictures in the background and add each as an overlay; those that cannot be read are named."""
        if not paths:
            return

        def work(report, stopped):  # type: ignore[no-untyped-def]
            problems: list[str] = []
            found: list[tuple[str, float]] = []
            for i, path in enumerate(paths):
                # Asked between files: the rest are named as not read, not silently left out.
                if stopped():
                    problems.append(
                        Message(
                            "Stopped: {count} of {count2} files were not read.", count=len(paths) - i, count2=len(paths)
                        )
                    )
                    break
                if len(paths) > 1:
                    self.jobs.tell(
                        Message("Reading “{name}” ({i} of {count})", name=Path(path).name, i=i + 1, count=len(paths))
                    )
                try:
                    if path.lower().endswith(".svg"):
                        w, h = svg_size(path)
                        draw_svg(path, 16, 16, 1)  # says so now if it cannot be drawn
                    else:
                        p = read_picture(path)
                        w, h = p.width, p.height
                    found.append((path, w / h))
                except Stopped:
                    continue
                except BaseException as e:
                    problems.append(sentence(e, f"adding {path!r}"))
            # Reported even where some failed: what could be read is there.
            report(lambda: self.take_pictures(found))
            return joined("  ", problems)

        self.jobs.ask(None, lambda: work)

    def take_pictures(self, found: list[tuple[str, float]]) -> None:
        """Add pictures that were read, each with its width over its height, as one edit; the last one is chosen."""
        made = ""
        if not found:
            return
        put = self.stage.canvas.stander()

        def edit(d: Document) -> Document:
            nonlocal made
            for path, aspect in found:
                # Names of files use lines in place of spaces; people do not.
                name = Path(path).stem.replace("_", " ").strip() or "Overlay"
                if path.lower().endswith(".svg"):
                    d, made = edits.add_blank(d, name, "logo", power_size(aspect))
                    d = edits.add_step(d, made, Shape(file=path))
                else:
                    d, made = edits.add_overlay(d, name, guess_kind(path), path, aspect)
                d = edits.stand(d, made, put)
            return d

        self.session.apply(
            "Add overlay" if len(found) == 1 else Message("Add {count} overlays", count=len(found)),
            edit,
            select=lambda: made,
        )
        self.go("source")

    def paste(self) -> None:
        """Add the picture on the clipboard, or the files that were copied there, as overlays."""
        held = QGuiApplication.clipboard().mimeData()
        # Copied files come before a copied picture: file managers put a small picture of them on the clipboard as well.
        if held is not None and held.hasUrls():
            self.add_pictures([u.toLocalFile() for u in held.urls() if u.isLocalFile()])
            return
        image = QGuiApplication.clipboard().image()
        if image.isNull():
            self.tell("There is no picture on the clipboard.")
            return
        saved = self.session.path

        def work(report, _stopped):  # type: ignore[no-untyped-def]
            # It needs a file to start from: beside the project, or in Mivex's own folder until there is one.
            folder = saved.parent if saved is not None else state_folder() / "pasted"
            folder.mkdir(parents=True, exist_ok=True)
            shown = image.convertToFormat(QImage.Format.Format_RGBA8888)
            w, h = shown.width(), shown.height()
            # A line of a picture in memory may be longer than its texels.
            rows = np.frombuffer(shown.constBits(), np.uint8).reshape(h, shown.bytesPerLine())[:, : w * 4].reshape(h, w, 4)
            path, number = folder / "pasted.png", 2
            while path.exists():
                path, number = folder / f"pasted_{number}.png", number + 1
            values = rows.astype(np.float32) / 255
            write_picture(path, values if image.hasAlphaChannel() else values[..., :3], 8)
            named = path.name if saved is not None else str(path)
            report(lambda: self.take_pictures([(named, w / h)]))

        self.jobs.ask(None, lambda: work)

    def frame_chosen(self) -> None:
        """Bring the chosen overlay into the middle of the stage."""
        if not self.stage.canvas.frame():
            self.tell("Choose an overlay that stands on the stage.")

    def make_sheet(self, how: str, paths: list[str], values: dict[str, Any], layout: Layout) -> None:
        """Build a sheet in the background, write it beside the project, and add it as an overlay."""
        o, evaluator, folder = self.session.overlay, self.session.evaluator, Path(self.session.folder)
        if o is None:
            return
        doc, texture = self.session.doc, self.engine.get(o.id).texture
        name = (o.name if how in OWN else Path(paths[0]).stem) + " sheet"

        def work(report, stopped):  # type: ignore[no-untyped-def]
            pictures = [read_picture(p) for p in paths] if how == "pictures" else []
            if how == "pictures":
                frames = [p.values for p in pictures]
            elif how == "animated":
                frames = read_frames(paths[0])[0]
            elif how == "seeds":
                frames = by_seeds(evaluator, doc, o, int(values["count"]), stopped)
            elif how == "varied":
                ends = float(values["from"]), float(values["to"])
                frames = by_setting(evaluator, doc, o, int(values["count"]), values["setting"], ends, stopped)
            elif texture is None:
                return Message("“{name}” is not ready yet.", name=o.name)
            else:
                what = Baking(bool(values["wears"]), float(values["seconds"]), float(values["degrees"]))
                frames = baked(o, texture, int(values["count"]), what, stopped)
            meaning = meaning_of(pictures)
            made, grid = build(frames, layout, meaning=meaning)
            deep = max((p.bits for p in pictures), default=texture.bits if texture is not None else 8) > 8
            stem = "".join(ch if ch.isalnum() else "_" for ch in name.lower())
            path, number = folder / f"{stem}.png", 2
            while path.exists():
                # Never over a file that is there: a sheet of the same name may be somebody's work.
                path, number = folder / f"{stem}_{number}.png", number + 1
            write_picture(path, made, 16 if deep else 8, data=meaning != "colour")
            sheet = Sheet(grids=(grid,), play={"seeds": "random", "varied": "once"}.get(how, "loop"))
            wide, high = grid.size(made.shape[1], made.shape[0])
            report(lambda: self.take_sheet(str(path), name, sheet, wide / high))
            return ""

        self.jobs.ask(None, lambda: work)

    def take_sheet(self, path: str, name: str, sheet: Sheet, aspect: float) -> None:
        """Add a sheet that was built, beside the project, as an overlay."""
        made = ""

        # Beside the project the name is enough, and moves with it.
        there = Path(path)
        named = there.name if str(there.parent) == self.session.folder else path

        def edit(d: Document) -> Document:
            nonlocal made
            d, made = edits.add_overlay(d, edits.free_name(d, name), "sprite", named, aspect)
            return edits.set_fields(d, made, "", sheet=sheet)

        self.session.apply("Build a sheet", edit, select=lambda: made)
        self.go("sheet")

    def add_blank(self) -> None:
        """Add an overlay on an empty canvas, to be drawn on with text, shapes and noise."""
        made, put = "", self.stage.canvas.stander()

        def edit(d):  # type: ignore[no-untyped-def]
            nonlocal made
            doc, made = edits.add_blank(d, "Drawn", "logo", (512, 512))
            return edits.add_step(edits.stand(doc, made, put), made, Text())

        self.session.apply("Add a drawn overlay", edit, select=lambda: made)
        self.go("source")

    def add_canvas(self, kind: Kind) -> None:
        """Add an overlay on an empty canvas, made up as its kind usually begins, for layers and paint."""
        made, put = "", self.stage.canvas.stander()

        def edit(d):  # type: ignore[no-untyped-def]
            nonlocal made
            doc, made = edits.add_blank(d, CANVASES[kind], kind, (1024, 1024))
            return edits.stand(doc, made, put)

        self.session.apply(Message("Add {canvases}", canvases=InSentence(CANVASES[kind])), edit, select=lambda: made)
        self.go("layers")

    def split_channels(self) -> None:
        """Add up to four overlays, each showing one channel of the selected one as grey."""
        o = self.session.overlay
        p = self.engine.get(o.id).picture if o else None
        if o is None or p is None:
            self.tell("There is no picture to split yet.")
            return
        channels = [
            c
            for c, there in (("red", True), ("green", p.channels >= 3), ("blue", p.channels >= 3), ("alpha", p.has_alpha))
            if there
        ]
        self.session.apply("Split channels", lambda d: edits.split_channels(d, o.id, channels))
        self.tell(Message("{count} overlays show the channels of “{name}” as greys.", count=len(channels), name=o.name))

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        paths = [u.toLocalFile() for u in event.mimeData().urls() if u.isLocalFile()]
        projects = [p for p in paths if p.lower().endswith(".mivex")]
        # A folder with a list of a delivery in it is one, whatever else it holds.
        deliveries = [p for p in paths if (Path(p) / LIST).is_file()]
        folders = [p for p in paths if Path(p).is_dir()]
        if projects:
            self.open(projects[0])
        elif deliveries:
            self.take_in(deliveries[0])
        else:
            for folder in folders:
                self.look_through(folder)
            pictures = [p for p in paths if p not in folders]
            if len(pictures) == 1 and self.controls.station == "deliver":
                self.look_for_card(pictures[0], lambda: self.add_pictures(pictures))
            else:
                self.add_pictures(pictures)
        event.acceptProposedAction()

    def ask_folder(self) -> None:
        """Ask for a folder of pictures and look through it."""
        folder = QFileDialog.getExistingDirectory(self, tr("Look through a folder"), self.session.folder)
        if folder:
            self.look_through(folder)

    def look_through(self, folder: str) -> None:
        """Show what is found in every picture of a folder, as a table of its own."""
        self.folder_sheet = FolderSheet(folder, self.session, self.add_pictures, self)
        self.folder_sheet.show()

    def ask_recipe(self) -> None:
        """Ask for a recipe file and replace the overlay's steps by it."""
        path, _ = QFileDialog.getOpenFileName(self, tr("Use a recipe"), self.session.folder, tr("Recipes (*.json)"))
        if path and (o := self.session.overlay):
            key, doc, evaluator = o.id, self.session.doc, self.session.evaluator

            def work(report, stopped):  # type: ignore[no-untyped-def]
                def before(steps):  # type: ignore[no-untyped-def]
                    return evaluator.texture(o.model_copy(update={"steps": steps}), doc, stop=stopped)

                steps, found = resolve_parameters(read_parametric(path), before)
                report(lambda: self.session.apply("Use a recipe", lambda d: edits.set_steps(d, key, steps)))
                return joined(" ", (f.said for f in found))

            self.jobs.ask(None, lambda: work)

    def mend_all(self) -> None:
        """Take every repair that is sure, of all overlays, as one edit; the notice says what was done."""
        doc, evaluator, project = self.session.doc, self.session.evaluator, self.session.project
        before = {o.id: o.steps for o in doc.overlays}

        def work(report, stopped):  # type: ignore[no-untyped-def]
            steps, taken = mend_document(doc, evaluator, stopped, self.jobs.tell)
            if stopped():
                return ""
            if not steps:
                return "No repair is sure: each would change what is seen, or there is none. Look at them one by one."

            def edit(d: Document) -> Document:
                for key, rows in steps.items():
                    o = d.overlay(key)
                    # An overlay that was changed meanwhile keeps what was done to it.
                    if o is not None and o.steps == before[key]:
                        d = edits.set_steps(d, key, rows)
                return d

            def put() -> None:
                if self.session.project == project:
                    self.session.apply("Mend all that is sure", edit)

            report(put)
            names = {o.id: o.name for o in doc.overlays}
            return Message(
                "Mended: {rows}.",
                rows=joined(
                    "; ",
                    (
                        Message("“{name}”: {labels}", name=names[k], labels=joined(", ", (m.label for m in rows)))
                        for k, rows in taken.items()
                    ),
                ),
            )

        self.jobs.ask(None, lambda: work)

    def ask_save_recipe(self) -> None:
        """Ask for a name and save the overlay's steps as a recipe."""
        if o := self.session.overlay:
            path, _ = QFileDialog.getSaveFileName(self, tr("Save the recipe"), self.session.folder, tr("Recipes (*.json)"))
            if path:
                path = path if path.endswith(".json") else path + ".json"
                folder = self.session.folder
                # A mask beside the project is named by its whole path, so that the recipe works anywhere.
                steps = tuple(with_files(s, lambda f: absolute(f, folder)) for s in o.steps)

                def work(_report, _stopped):  # type: ignore[no-untyped-def]
                    save_recipe(path, steps)
                    return Message("The recipe was saved as “{path}”.", path=path)

                self.saver.ask(None, lambda: work)
