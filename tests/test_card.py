"""The test card: what the intake does with every switch and every pair of them is told from a picture of it."""

import itertools
import json
from pathlib import Path

import cv2
import numpy as np
import pytest
from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
from PySide6.QtGui import QDropEvent
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.card.layout import SIDES
from mivex.core.card.locate import find_card
from mivex.core.card.make import make_card
from mivex.core.card.meaning import TITLES, WORDS, meanings, receiver_from, recipe_for
from mivex.core.card.questions import UNKNOWN, Answer, read_answers
from mivex.core.deliver.display_alpha import BACKDROPS, alpha_for_display
from mivex.core.deliver.project import deliver_project
from mivex.core.intake.compare import draw
from mivex.core.intake.loader import Received, load
from mivex.core.intake.switches import SWITCHES, switched
from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.project.delivery import DeliveryRecipe, FilePlan
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.receiver import QUESTIONS, SWITCH_OF, Receiver, parse_receiver
from mivex.core.stage.camera import View

KEYS = [s.key for s in SWITCHES]
SETS = [frozenset(), *(frozenset({k}) for k in KEYS), *map(frozenset, itertools.combinations(KEYS, 2))]
ANSWER = {switch: row for row, switch in SWITCH_OF.items()} | {"smaller": ("size", "256")}
USUAL = {q: v[0] for q, v in QUESTIONS.items()} | {"hidden": "shows"}


@pytest.fixture(scope="module")
def card(tmp_path_factory: pytest.TempPathFactory) -> Path:
    folder = tmp_path_factory.mktemp("card")
    make_card(folder)
    return folder


@pytest.fixture(scope="module")
def received(card: Path) -> Received:
    return load(card)


def shot(r: Received, keys: frozenset[str], width: int = 1280, side: int = 256) -> np.ndarray:
    """The card as a receiver with these switches draws it, display values."""
    return draw(switched(r, keys, side), View(r.doc.cameras[0], width, width * 5 // 8)).astype(np.float32) / 255


def expected(keys: frozenset[str]) -> dict[str, str]:
    """What must be answered: by the meaning of the switches, not by what was read."""
    want = USUAL | dict(ANSWER[k] for k in keys)
    if "no-encoding" in keys:
        want["levels"] = "own"  # who reads colour as data builds its levels anew
    if "opaque" in keys:
        want |= {"blending": UNKNOWN, "alpha": UNKNOWN, "additive": "solid", "multiply": "solid", "opacity": "ignored"}
        want |= {"cutout": "solid", "order": UNKNOWN, "nudge": UNKNOWN, "write": UNKNOWN, "blended-depth": UNKNOWN}
    return want


def askew(picture: np.ndarray, width: int, rng: np.random.Generator) -> np.ndarray:
    """A photograph of sorts: turned, at a slant, scaled, with a view curve, noise, and JPEG at 85."""
    h, w = picture.shape[:2]
    size = np.array([width, width * 5 // 8])
    corners = np.array([[0, 0], [1, 0], [1, 1], [0, 1]], np.float64)
    a = np.radians(rng.uniform(-10, 10))
    turn = np.array([[np.cos(a), -np.sin(a)], [np.sin(a), np.cos(a)]])
    to = ((corners - 0.5) * size * rng.uniform(0.8, 0.92)) @ turn.T + size / 2 + rng.uniform(-0.02, 0.02, (4, 2)) * size
    matrix = cv2.getPerspectiveTransform((corners * [w, h]).astype(np.float32), to.astype(np.float32))
    big = cv2.warpPerspective(
        picture, np.diag([2.0, 2, 1]) @ matrix, tuple(int(v) for v in 2 * size), borderValue=(0.35,) * 3
    )
    small = cv2.resize(big, tuple(int(v) for v in size), interpolation=cv2.INTER_AREA)
    curved = rng.choice([lambda x: x, lambda x: x**0.8, lambda x: x**1.25, lambda x: np.clip(x * 0.7, 0, 1)])(small)
    noisy = np.clip(curved + rng.normal(0, 0.012, curved.shape), 0, 1)
    _, data = cv2.imencode(".jpg", (noisy[..., ::-1] * 255 + 0.5).astype(np.uint8), [cv2.IMWRITE_JPEG_QUALITY, 85])
    return cv2.imdecode(data, cv2.IMREAD_COLOR)[..., ::-1].astype(np.float32) / 255


def test_every_switch_and_every_pair_is_told_as_it_is(received: Received) -> None:
    for keys in SETS:
        answers = read_answers(find_card(shot(received, keys)))
        assert {q: a.value for q, a in answers.items()} == expected(keys), keys


def test_at_five_sizes_askew_with_noise_a_curve_and_jpeg_it_is_right_or_says_that_it_cannot_tell(
    received: Received,
) -> None:
    rng = np.random.default_rng(20261129)
    told = right = wrong = 0
    for keys in SETS:
        clean = shot(received, keys)
        for width in (480, 640, 960, 1280, 1920):
            answers = read_answers(find_card(askew(clean, width, rng)))
            for question, want in expected(keys).items():
                told += 1
                got = answers[question].value
                right += got == want
                wrong += got not in (want, UNKNOWN)
    assert right / told > 0.98, (right, told)
    assert wrong / told < 0.002, (wrong, told)


def test_the_size_limit_is_found_whatever_it_is(received: Received) -> None:
    for side in SIDES[1:]:
        answers = read_answers(find_card(shot(received, frozenset({"smaller"}), side=side)))
        assert answers["size"].value == str(side)
    # Below what the card's other textures need, it says so of the size, and nothing wrong of the rest.
    low = read_answers(find_card(shot(received, frozenset({"smaller"}), side=64)))
    assert low["size"].value == "64" and low["green"].value == "up" and low["blocks"].value == "none"


def test_a_mirrored_turned_or_cut_picture_is_read_and_one_without_a_card_is_refused(received: Received) -> None:
    clean = shot(received, frozenset({"green"}))
    mirrored = find_card(np.ascontiguousarray(clean[:, ::-1]))
    assert mirrored.mirrored and read_answers(mirrored)["green"].value == "down"
    for turns in (1, 2, 3):
        assert read_answers(find_card(np.ascontiguousarray(np.rot90(clean, turns))))["green"].value == "down"
    # The lower third is cut off: what stands there stays open, the rest is told.
    cut = read_answers(find_card(clean[: clean.shape[0] * 7 // 12]))
    assert cut["green"].value == UNKNOWN and cut["encoding"].value == "decoded" and cut["size"].value == "any"
    for nothing in (
        np.zeros((300, 400, 3), np.float32),
        np.full((1, 1, 3), 0.5, np.float32),
        np.full((40, 9000, 3), np.nan),
    ):
        with pytest.raises(MivexError, match="No test card"):
            find_card(nothing)
    # Markers that can be seen, and greys that cannot.
    markers = np.zeros(clean.shape, bool)
    markers[:, :180] = markers[:, -180:] = True
    with pytest.raises(MivexError, match="told from one another"):
        read_answers(find_card(np.where(markers, clean, clean * 0.05)))


def test_level_light_leaves_the_question_of_green_open(received: Received) -> None:
    level = received.doc.lighting.model_copy(update={"lamp": 0.0, "environment": "overcast", "strength": 0.0})
    dark = received.doc.model_copy(update={"lighting": level})
    codes = draw(Received(received.folder, dark, received.textures, received.meshes), View(dark.cameras[0], 1280, 800))
    assert read_answers(find_card(codes.astype(np.float32) / 255))["green"].value == UNKNOWN


def test_other_receivers_than_the_intake_are_told_apart(card: Path, received: Received) -> None:
    """What no switch of the intake does: blends, order and depth as other programs have them."""

    def drawn(**change: dict[str, object]) -> dict[str, str]:
        rows = []
        for o in received.doc.overlays:
            name = o.name.removeprefix("card ")
            update = change.get(name.replace(" ", "_"), change.get("every", {}))
            rows.append(o.model_copy(update={"material": o.material.model_copy(update=update)}))
        doc = received.doc.model_copy(update={"overlays": tuple(rows)})
        r = Received(card, doc, received.textures, received.meshes)
        return {q: a.value for q, a in read_answers(find_card(shot(r, frozenset()))).items()}

    assert drawn(additive={"blend": "Translucent"})["additive"] == "blended"
    assert drawn(multiply={"blend": "Translucent"})["multiply"] == "blended"
    assert drawn(premultiplied={"blend": "Translucent"})["premultiplied"] == "not-seen"
    assert drawn(cutout={"blend": "Translucent"})["cutout"] == "blended"
    assert drawn(cutout={"cutoff": 0.25})["cutout"] == "lower" and drawn(cutout={"cutoff": 0.75})["cutout"] == "higher"
    assert drawn(opacity={"opacity": 1.0})["opacity"] == "ignored"
    flat = drawn(every={"nudge": 0})
    assert flat["nudge"] == "ignored" and flat["order"] == "far-to-near" and flat["write"] == "order-differs"
    listed = drawn(order_near={"nudge": -5}, order_far={"nudge": 5})
    assert listed["order"] == "as-listed"
    writes = drawn(nudge_near={"nudge": -1, "depth_write": True}, nudge_far={"nudge": 1})
    assert writes["nudge"] == "hides" and writes["blended-depth"] == "writes"
    assert drawn(write_near={"depth_write": False, "nudge": -1}, write_far={"nudge": 1})["write"] == "ignored"
    assert drawn(front_face={"both_faces": True})["faces"] == "all-both"
    assert drawn(both_faces={"both_faces": False})["faces"] == "all-front"
    assert drawn(repeat={"tiling": False})["repeat"] == "held-or-not-tiled"
    bumps = received.doc.overlay(next(o.id for o in received.doc.overlays if o.name == "card bump up"))
    assert bumps is not None
    plain = bumps.material.finish.model_copy(update={"normal": type(bumps.material.finish.normal)()})
    assert drawn(bump_up={"finish": plain}, bump_down={"finish": plain})["green"] == "flat"
    # Every question has a title, every answer a sentence.
    assert set(TITLES) == set(QUESTIONS)
    assert {(q, v) for q, vs in QUESTIONS.items() for v in vs} - {("size", s) for s in QUESTIONS["size"][1:]} == set(WORDS)


def test_what_it_means_for_a_project_and_the_recipe_that_allows_for_it() -> None:
    answers = {"green": "down", "blending": "display", "size": "512", "levels": "of-the-file", "nudge": UNKNOWN}
    r = receiver_from({q: Answer(q, v) for q, v in answers.items()}, "Old engine")
    assert r.answers == {k: v for k, v in answers.items() if v != UNKNOWN}
    assert r.switches == {"green", "display", "smaller"} and r.longest == 512
    clear = Overlay(id="a", name="Pane", source=Source(canvas=(8, 8)), material=Material(blend="Translucent"))
    solid = Overlay(id="b", name="Plate", source=Source(canvas=(1024, 8)), material=Material(blend="Solid"))
    rows = {m.question: m.overlays for m in meanings(r, Document(overlays=(clear, solid)), {"a": (8, 8), "b": (1024, 8)})}
    assert rows == {"green": (), "blending": ("Pane",), "size": ("Plate",)}
    files = {f.pattern: f for f in recipe_for(r).files}
    assert all(f.size == 512 for f in files.values())
    assert files["{name}"].format == "ktx2" and files["{name}"].alpha_for == "display"
    assert files["{name}_normal"].green == "down"
    with pytest.raises(MivexError, match="no answer"):
        parse_receiver({"receiver": 1, "answers": {"green": "left"}}, "it")
    with pytest.raises(MivexError, match="newer Mivex"):
        parse_receiver({"receiver": 2, "answers": {}}, "it")
    assert parse_receiver(Receiver(name="x").model_dump(), "it") == Receiver(name="x")


def srgb(light: float) -> float:
    return 12.92 * light if light <= 0.0031308 else 1.055 * light ** (1 / 2.4) - 0.055


def light(value: float) -> float:
    return value / 12.92 if value <= 0.04045 else ((value + 0.055) / 1.055) ** 2.4


@pytest.mark.parametrize("blend", ["Translucent", "Additive"])
def test_alpha_for_display_values_comes_as_near_to_the_sum_of_light_as_one_alpha_can(blend: str) -> None:
    added = blend == "Additive"
    rng = np.random.default_rng(5)
    texels = rng.random((1, 24, 4)).astype(np.float32)
    texels[0, :3, 3] = (0, 1, 1)
    texels[0, 2, :3] = 1
    made = alpha_for_display(texels, blend)

    def off(rgb: np.ndarray, a: float, b: float) -> float:
        total = 0.0
        for c in rgb:
            for behind in BACKDROPS:
                true = srgb(min(light(c) * a + light(behind) * (1 if added else 1 - a), 1.0))
                total += (min(behind + b * c if added else behind + b * (c - behind), 1.0) - true) ** 2
        return total

    for k in range(texels.shape[1]):
        rgb, a = texels[0, k, :3].astype(float), float(texels[0, k, 3])
        tried = [off(rgb, a, b) for b in np.linspace(0, 1, 201)]
        assert off(rgb, a, float(made[0, k])) <= min(tried) + 0.02
        assert off(rgb, a, float(made[0, k])) <= off(rgb, a, a) + 1e-6
    assert made[0, 0] == 0 and made[0, 2] == pytest.approx(1, abs=1e-6)


def test_a_file_says_what_its_alpha_was_made_for(made) -> None:
    """Straight colour with opacity is fitted; what holds its alpha already, or is drawn otherwise, stays as it is."""
    folder, o, evaluator = made
    recipe = DeliveryRecipe(name="x", files=(FilePlan(format="png", alpha_for="display", always=True),))
    plain = recipe.model_copy(update={"files": (recipe.files[0].model_copy(update={"alpha_for": "linear"}),)})
    seen = {}
    for blend in ("Translucent", "Cutout"):
        one = o.model_copy(update={"material": o.material.model_copy(update={"blend": blend})})
        for key, r in (("display", recipe), ("linear", plain)):
            deliver_project(Document(overlays=(one,)), evaluator, folder / key, recipe=r)
            sheet = json.loads(next((folder / key).glob("*.blend.json")).read_text())
            values = cv2.imread(str(next((folder / key).glob("*.png"))), cv2.IMREAD_UNCHANGED)
            seen[blend, key] = sheet["texture"].get("alpha_for"), values
    assert [seen[k][0] for k in seen] == ["display", None, None, None]
    straight, fitted = (seen["Translucent", k][1] for k in ("linear", "display"))
    assert (
        np.array_equal(fitted[..., :3], straight[..., :3])
        and np.abs(fitted[..., 3].astype(int) - straight[..., 3]).max() > 5
    )
    want = alpha_for_display(straight[..., [2, 1, 0, 3]].astype(np.float32) / 255, "Translucent")
    assert np.abs(fitted[..., 3] - want * 255).max() <= 0.51
    assert np.array_equal(seen["Cutout", "display"][1], seen["Cutout", "linear"][1])


def test_a_recipe_can_spread_edge_colour_below_clear_texels(tmp_path: Path) -> None:
    """A green disc over clear magenta: delivered, its clear texels are green; what is seen is the same bit for bit."""
    y, x = np.mgrid[:48, :48]
    inside = np.hypot(x - 23.5, y - 20.5) < 14
    values = np.where(inside[..., None], (0, 0.6, 0.2, 1), (1, 0, 1, 0)).astype(np.float32)
    write_picture(tmp_path / "disc.png", values, 8)
    o = Overlay(id="o", name="Disc", source=Source(path=str(tmp_path / "disc.png"), meaning="colour"))
    hides = Receiver(name="hides", answers={"levels": "own"})
    for receiver, spreads in ((Receiver(name="shows", answers={"hidden": "shows"}), True), (hides, False)):
        folder = tmp_path / receiver.name
        recipe = recipe_for(receiver)
        assert [f.hidden for f in recipe.files if f.fed_by("opacity")] == ["spread" if spreads else "kept"]
        deliver_project(Document(overlays=(o,)), Evaluator(tmp_path), folder, recipe=recipe)
        made = cv2.imread(str(folder / "Disc.png"), cv2.IMREAD_UNCHANGED)[..., [2, 1, 0, 3]]
        assert np.array_equal(made[inside], np.round(values * 255).astype(np.uint8)[inside])
        assert np.array_equal(made[..., 3], np.round(values[..., 3] * 255).astype(np.uint8))
        clear = made[~inside][:, :3]
        assert (clear == ((0, 153, 51) if spreads else (255, 0, 255))).all()


def test_the_commands_write_read_and_judge_by_a_receiver(card: Path, received: Received, tmp_path: Path) -> None:
    picture, profile, recipe = tmp_path / "shot.png", tmp_path / "old.json", tmp_path / "recipe.json"
    codes = (shot(received, frozenset({"green", "smaller"}))[..., ::-1] * 255).astype(np.uint8)
    cv2.imwrite(str(picture), codes)
    said = mivex_run(
        "card", "read", str(picture), "--name", "Old", "--out", str(profile), "--recipe", str(recipe), "--json"
    )
    told = {row["question"]: row for row in json.loads(said.stdout)["answers"]}
    assert told["green"]["answer"] == "down" and told["green"]["sure"] > 0.9 and told["size"]["answer"] == "256"
    assert json.loads(recipe.read_text())["files"][2]["green"] == "down"
    # A picture that is longer than the receiver keeps is judged as the receiver has it.
    rgba = np.zeros((1024, 64, 4), np.uint8)
    rgba[::2] = 255
    long = str(tmp_path / "long.png")
    cv2.imwrite(long, rgba)
    plain = json.loads(mivex_run("check", "--json", long).stdout)
    judged = json.loads(mivex_run("check", "--json", "--receiver", str(profile), long).stdout)
    assert plain["pictures"][0]["height"] == 1024 and judged["pictures"][0]["height"] == 256
    drawn = json.loads(mivex_run("intake", str(card), "--receiver", str(profile), "--json").stdout)
    assert drawn["switched"]["switches"] == ["green", "smaller"]
    refused = mivex_run("card", "read", long)
    assert refused.returncode == 2 and "No test card" in refused.stderr and refused.stderr.count("\n") == 1
    nobody = mivex_run("check", "--receiver", "Nobody", long)
    assert nobody.returncode == 2 and "no receiver" in nobody.stderr


def test_a_screenshot_dropped_at_deliver_is_read_kept_and_used(
    window, small_demo, received: Received, tmp_path: Path
) -> None:
    from mivex.ui.shell.app import wait_until_idle

    picture = tmp_path / "shot.png"
    cv2.imwrite(str(picture), (shot(received, frozenset({"green", "smaller"}))[..., ::-1] * 255).astype(np.uint8))
    window.session.open(small_demo("porthole", "mote"))
    wait_until_idle(window)
    window.session.choose("porthole")
    window.go("deliver")

    def drop(path: Path) -> None:
        data = QMimeData()
        data.setUrls([QUrl.fromLocalFile(str(path))])
        left, none = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
        window.dropEvent(QDropEvent(QPointF(200, 200), Qt.DropAction.CopyAction, data, left, none))
        wait_until_idle(window)

    drop(picture)
    card = window.card
    assert card is not None and card.answers["green"].value == "down"
    row = list(QUESTIONS).index("green")
    card.table.selectRow(row)
    assert "Porthole pane" in card.note.text() and "dents" in card.table.item(row, 1).text()
    card.name.put("Old engine")
    card.keep.click()
    card.take.click()
    card.like.click()
    doc = window.session.doc
    assert [r.name for r in doc.receivers] == ["Old engine"] and doc.overlay("porthole").delivery.recipe == "For Old engine"
    assert window.shipping.switches == {"green", "smaller"} and window.shipping.side == 256
    assert window.outgoing.intake.like.currentText() == "Old engine"
    window.session.undo()
    window.session.undo()
    assert not window.session.doc.receivers
    card.reject()
    # What shows no card is a picture like any other.
    count = len(window.session.doc.overlays)
    plain = tmp_path / "plain.png"
    cv2.imwrite(str(plain), np.full((16, 16, 4), 128, np.uint8))
    drop(plain)
    assert len(window.session.doc.overlays) == count + 1
