"""What the window does with deliveries: recipes of files, delivering, taking in."""

from collections.abc import Callable

from PySide6.QtWidgets import QFileDialog

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.card.locate import read_card
from mivex.core.deliver.project import Delivery, deliver_project
from mivex.core.project import delivery_edits
from mivex.core.project.delivery import read_delivery, save_delivery
from mivex.ui.proofs.outgoing import Outgoing
from mivex.ui.session.shipping import Shipping
from mivex.ui.shell.card_sheet import CardSheet
from mivex.ui.shell.saving import ProjectActions


class DeliveryActions(ProjectActions):
    """The part of the window that delivers and takes in."""

    shipping: Shipping

    outgoing: Outgoing
    card: CardSheet | None = None

    def _follow_intake(self) -> None:
        """The intake looks from where the stage does."""
        raise NotImplementedError

    def ask_delivery_recipe(self, what: str) -> None:
        """Take a delivery recipe from a file, or save the one that the overlay uses."""
        o = self.session.overlay
        if o is None:
            return
        if what == "take":
            path, _ = QFileDialog.getOpenFileName(
                self, tr("Use a delivery recipe"), self.session.folder, tr("Recipes (*.json)")
            )
            if path:
                key = o.id

                def read(_report, _stopped):  # type: ignore[no-untyped-def]
                    recipe = read_delivery(path)
                    return lambda: self.session.apply(
                        "Use a delivery recipe", lambda d: delivery_edits.taken(d, key, recipe)
                    )

                self.jobs.ask(None, lambda: read)
            return
        path, _ = QFileDialog.getSaveFileName(
            self, tr("Save the delivery recipe"), self.session.folder, tr("Recipes (*.json)")
        )
        if path:
            path = path if path.endswith(".json") else path + ".json"
            recipe = delivery_edits.recipe_of(self.session.doc, o)

            def work(_report, _stopped):  # type: ignore[no-untyped-def]
                save_delivery(path, recipe)
                return Message("The delivery recipe was saved as “{path}”.", path=path)

            self.saver.ask(None, lambda: work)

    def ask_intake(self) -> None:
        """Ask for a delivery and load it into the intake."""
        folder = QFileDialog.getExistingDirectory(self, tr("Load a delivery"), self.session.folder)
        if folder:
            self.take_in(folder)

    def open_card(self, picture: str = "") -> None:
        """Show the test card; read a screenshot of it where one is given."""
        self.card = CardSheet(self.session, self.shipping, self)
        self.card.open()
        if picture:
            self.card.read_picture(picture)

    def look_for_card(self, path: str, otherwise: Callable[[], None]) -> None:
        """Read a dropped picture as a screenshot of the test card; where it shows none, do something else with it."""

        def work(report, _stopped):  # type: ignore[no-untyped-def]
            try:
                read_card(path)
            except MivexError:
                report(otherwise)
            else:
                report(lambda: self.open_card(path))
            return ""

        self.jobs.ask(None, lambda: work)

    def take_in(self, folder: str) -> None:
        """Load a delivery that lies on disk into the intake."""
        self.go("deliver")
        self.shipping.open(folder)
        self.outgoing.show_page("intake")
        self._follow_intake()

    def ask_deliver(self, everything: bool) -> None:
        """Ask for a folder and deliver into it."""
        folder = QFileDialog.getExistingDirectory(self, tr("Deliver into"), self.session.folder)
        if folder:
            self.deliver(folder, everything)

    def deliver(self, folder: str, everything: bool) -> None:
        """Write, read back and compare in the background."""
        doc, evaluator, chosen = self.session.doc, self.session.evaluator, self.session.overlay_id
        rows = [o for o in doc.overlays if o.source.ready and (everything or o.id == chosen)]
        only = () if everything else (chosen,)

        def work(report, stopped):  # type: ignore[no-untyped-def]
            try:
                made = deliver_project(doc, evaluator, folder, only=only, stop=stopped, tell=self.shipper.tell)
            except Stopped:
                raise MivexError("Delivering was stopped; nothing was written.") from None
            rows = made.overlays
            count = (
                Message("“{overlay}” was", overlay=rows[0].overlay)
                if len(rows) == 1
                else Message("{count} overlays were", count=len(rows))
            )
            report(lambda: self.take_delivery(made, folder))
            return Message(
                "{count} written to “{folder}”, read back and found the same, texel for texel.", count=count, folder=folder
            )

        self.shipper.ask(None, lambda: work)
        self.tell(
            Message("Delivering {count} overlay{ending} …", count=len(rows), ending=term("" if len(rows) == 1 else "s"))
        )

    def take_delivery(self, made: Delivery, folder: str) -> None:
        """Show what was delivered, and the intake's picture of it."""
        self.shipping.take(made, folder)
        self.outgoing.show_page("back")
        self._follow_intake()
