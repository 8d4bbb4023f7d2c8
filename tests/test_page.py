"""The page that draws: a second renderer, in a browser with its software driver, against the stage."""

import base64
import html
import json
import re
import shutil
import subprocess
from pathlib import Path

import cv2
import numpy as np
import pytest
from sprites import disc, paint, rgba
from test_project import mivex_run

from mivex.core.card.make import make_card
from mivex.core.deliver.motion_file import check_file
from mivex.core.deliver.project import deliver_project
from mivex.core.intake.compare import draw
from mivex.core.intake.loader import load
from mivex.core.material.material import Material
from mivex.core.motion.model import Birth, Curve, Effect, Emission, Emitter, Facing, Lamp, Life, Travel, whole
from mivex.core.page.page import PAGES, stage_page
from mivex.core.page.scene import Compared, effects_of, page_scene
from mivex.core.picture.encode import write_picture
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import ImageMetadata
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.delivery import DeliveryRecipe, FilePlan
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project
from mivex.core.scene.draw_calls import build_environment, codes_of, meshes_read, render
from mivex.core.sheet.model import Sheet
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.lights import Lighting
from mivex.core.stage.placements_model import BillboardPlace, HullPlace, PanelPlace, ProjectedPlace
from mivex.demo import PROJECT

SIZE = (480, 300)
CAMERA = Camera(name="Front", target=(0.0, 1.3, 0.4), yaw=12.0, pitch=6.0, distance=4.2)
BROWSER = next((b for b in map(shutil.which, ("chromium", "chromium-browser", "google-chrome")) if b), None)
NODE = shutil.which("node")
LAMP = Lamp(on=True, strength=2.0, reach=3.0)
GOES = Travel(path="circle", reach_x=0.25, reach_z=0.2, period=1.7, turning=200.0, carried=0.5)
CELLS = ((0.0, 0.0, 0.5, 0.5), (0.5, 0.0, 1.0, 0.5), (0.0, 0.5, 0.5, 1.0), (0.5, 0.5, 1.0, 1.0))
browser = pytest.mark.skipif(BROWSER is None, reason="no Chromium here: the page is not drawn")


def shot(page: Path, *flags: str, **wish: str) -> np.ndarray:
    """What the page draws, codes (height, width, 3); ``wish``: what stands behind the # of its address."""
    words = "&".join(["bare", "size={}x{}".format(*SIZE), *(f"{k}={v}" for k, v in wish.items())])
    text = dom(f"{page.as_uri()}#{words}", *flags)
    found = re.search(r'<pre id="shot">data:image/png;base64,([^<]*)', text)
    assert found, re.search(r'id="status"[^>]*>([^<]*)', text)
    codes = cv2.imdecode(np.frombuffer(base64.b64decode(found[1]), np.uint8), cv2.IMREAD_COLOR)
    return codes[..., ::-1]


def dom(address: str, *flags: str) -> str:
    software = flags or ("--use-gl=angle", "--use-angle=swiftshader", "--enable-unsafe-swiftshader")
    command = [
        BROWSER or "",
        "--headless=new",
        "--no-sandbox",
        *software,
        "--virtual-time-budget=400000",
        "--dump-dom",
        address,
    ]
    return subprocess.run(command, capture_output=True, text=True, timeout=300, check=False).stdout


def sprite(n: int = 128) -> Texture:
    return Texture(np.rint(rgba(paint(n), disc(n)) * 255).astype(np.float32) / np.float32(255))


def overlay(key: str, place: object, **material: object) -> Overlay:
    m = Material.model_validate(material)
    if "group" not in material:
        m = m.model_copy(update={"group": BLENDS[m.blend].group, "depth_write": BLENDS[m.blend].writes_depth})
    return Overlay(id=key, name=key, material=m, places=(place,), source=Source(canvas=(128, 128)))


def written(doc: Document, textures: dict[str, Texture], where: Path) -> Path:
    where.write_text(stage_page(page_scene(doc, textures, {}), "A test"), encoding="utf-8")
    return where


def agree(got: np.ndarray, doc: Document, textures: dict[str, Texture]) -> None:
    """At least 99 % of the pixels, and of those that each overlay changes, lie within 3 codes."""
    view = View(CAMERA, *SIZE)
    meant = codes_of(render(doc, textures, view, {}), doc).astype(int)
    near = np.abs(got.astype(int) - meant).max(axis=2) <= 3
    assert near.mean() >= 0.99, near.mean()
    for o in doc.overlays:
        without = doc.model_copy(update={"overlays": tuple(x for x in doc.overlays if x.id != o.id)})
        changed = np.abs(codes_of(render(without, textures, view, {}), doc).astype(int) - meant).max(axis=2) > 1
        assert changed.sum() > 60, o.name
        assert near[changed].mean() >= 0.99, (o.name, near[changed].mean())


@browser
@pytest.mark.parametrize("blending", ["linear", "display"])
def test_every_blend_lit_and_unlit_is_drawn_as_on_the_stage(tmp_path: Path, blending: str) -> None:
    rows = []
    for k, name in enumerate(BLENDS):
        for lit in (False, True):
            at = (-1.5 + 0.5 * k, 1.75 - 0.75 * lit, 0.9 + 0.03 * k)
            place = PanelPlace(at=at, width=0.62, height=0.62, yaw=10.0 * (k - 3))
            rows.append(overlay(f"{name} {'lit' if lit else 'unlit'}", place, blend=name, lit=lit, opacity=0.85))
    doc = Document(overlays=tuple(rows), cameras=(CAMERA,), lighting=Lighting(blending=blending))
    textures = {o.id: sprite() for o in rows}
    agree(shot(written(doc, textures, tmp_path / "page.html")), doc, textures)


def effects_scene() -> tuple[Document, dict[str, Texture]]:
    panel = lambda x, y, **more: PanelPlace(at=(x, y, 1.0), width=0.6, height=0.6, **more)  # noqa: E731
    rows = [
        overlay("eroded", panel(-1.5, 1.9), lit=False, erosion={"form": "soft", "amount": 0.4, "soft": 0.3}),
        overlay("tones", panel(-0.9, 1.9), lit=False, tones={"on": True, "at": 0.5, "soft": 0.2}),
        overlay(
            "recoloured",
            panel(-0.3, 1.9),
            lit=False,
            recolour={"on": True, "red": (0.9, 0.2, 0.1), "green": (0.1, 0.6, 0.3)},
        ),
        overlay("flowing", panel(0.3, 1.9), lit=False, flow={"strength": 0.1, "scale": 4.0}),
        overlay("haloed", panel(0.9, 1.9), lit=True, halo={"strength": 0.8, "colour": (0.2, 0.6, 1.0)}),
        overlay("broken", panel(1.5, 1.9), lit=False, breakup={"amount": 0.5, "soft": 0.2}),
        overlay("glass", panel(-1.5, 1.2, yaw=50.0), lit=True, glass={"on": True, "edge_opacity": 0.9}),
        overlay("dots", panel(-0.9, 1.2), blend="Dithered", lit=True, dither={"by": "surface"}),
        overlay("near front", panel(-0.3, 1.2), group="Front", lit=False),
        overlay("turns", BillboardPlace(at=(0.35, 1.2, 1.1), width=0.6, height=0.6), blend="Additive", lit=False),
        overlay("upright", BillboardPlace(at=(0.95, 1.2, 1.1), width=0.6, height=0.6, upright=True), lit=False),
        overlay("meets", PanelPlace(at=(1.5, 0.2, 0.9), width=0.9, height=0.9), lit=False, contact={"distance": 0.3}),
        overlay(
            "on hull", HullPlace(along=-0.4, around=20.0, width=0.8, height=0.8), group="Decal", depth_bias=8.0, lit=True
        ),
        overlay(
            "film",
            HullPlace(along=0.5, around=20.0, width=0.8, height=0.8),
            blend="Multiply",
            group="Decal",
            depth_bias=8.0,
        ),
        overlay(
            "thrown", ProjectedPlace(at=(-0.6, 0.1, 1.4), width=0.9, height=0.9), group="Decal", depth_bias=8.0, lit=True
        ),
        overlay("writes", panel(-0.1, 0.6), lit=False, group="Blended", depth_write=True, nudge=-3),
        overlay("behind it", PanelPlace(at=(0.0, 0.6, 0.8), width=0.6, height=0.6), lit=False),
    ]
    doc = Document(overlays=tuple(rows), cameras=(CAMERA,))
    return doc, {o.id: sprite() for o in rows}


@browser
def test_effects_decals_billboards_and_order_are_drawn_as_on_the_stage(tmp_path: Path) -> None:
    doc, textures = effects_scene()
    page = written(doc, textures, tmp_path / "page.html")
    agree(shot(page), doc, textures)
    # One alone; and coarser levels are coarser.
    alone = shot(page, only="haloed")
    meant = doc.model_copy(update={"overlays": tuple(o for o in doc.overlays if o.id == "haloed")})
    agree(alone, meant, textures)
    assert np.abs(shot(page, level="5").astype(int) - shot(page).astype(int)).max() > 40


@browser
def test_what_was_delivered_is_drawn_by_the_page_as_by_the_intake(tmp_path: Path) -> None:
    make_card(tmp_path / "card")
    made = mivex_run("page", str(tmp_path / "card"), str(tmp_path / "card.html"))
    assert made.returncode == 0 and "47 overlays" in made.stdout
    received = load(tmp_path / "card")
    meant = draw(received, View(received.doc.cameras[0], *SIZE)).astype(int)
    got = shot(tmp_path / "card.html").astype(int)
    assert (np.abs(got - meant).max(axis=2) <= 3).mean() >= 0.99


@browser
def test_effects_play_in_the_page_as_on_the_stage(tmp_path: Path) -> None:
    """A sheet whose frames blend, panels along their way, drift, drag, dust that dies on the floor, a lamp."""
    sheet = Texture(np.tile(sprite(64).values, (2, 2, 1)), traits=ImageMetadata(cells=CELLS))
    sheet.values[:64, 64:, :3] *= 0.5
    sheet.values[:64, 64:] = np.roll(sheet.values[:64, 64:], (4, -6), axis=(0, 1))  # what moves between frames
    rows = [
        Overlay(id="dust", name="dust", material=Material(lit=False), source=Source(canvas=(64, 64))),
        Overlay(
            id="frames",
            name="frames",
            material=Material(lit=False, blend="Additive"),
            sheet=Sheet(play="loop", rate=6.0, blend=True, vectors=True),
            source=Source(canvas=(128, 128)),
        ),
    ]
    life = Life(
        drag=0.4, gravity=0.6, drift=0.3, swirl=20.0, solids="bounce", size=Curve(points=((0, 0.4), (0.5, 1), (1, 0.2)))
    )
    parts = (
        Emitter(id="a", name="a", overlay="dust", emission=Emission(form="sphere", rate=12.0, way="out"), life=life),
        Emitter(
            id="b",
            name="b",
            overlay="frames",
            emission=Emission(form="box", rate=6.0, size=(0.5, 0.2, 0.5)),
            birth=Birth(frame="play", speed=(0.6, 1.2), width=(0.3, 0.5)),
            facing=Facing(facing="stretched", stretch=0.1),
        ),
    )
    effect = Effect(id="e", name="e", at=(0.1, 1.0, 1.0), parts=parts, seed=9, lamp=LAMP, travel=GOES)
    doc = Document(overlays=tuple(rows), effects=(effect,), cameras=(CAMERA,))
    textures = {"dust": sprite(), "frames": sheet}
    page = written(doc, textures, tmp_path / "page.html")
    for time in ("0.7", "2.35"):
        meant = codes_of(render(doc, textures, View(CAMERA, *SIZE, float(time)), {}), doc).astype(int)
        bare = codes_of(render(doc.model_copy(update={"effects": ()}), textures, View(CAMERA, *SIZE), {}), doc).astype(int)
        off = np.abs(shot(page, time=time).astype(int) - meant).max(axis=2)
        changed = np.abs(meant - bare).max(axis=2) > 1
        assert changed.sum() > 500 and (off <= 3).mean() >= 0.99 and (off[changed] <= 3).mean() >= 0.98
    assert np.abs(shot(page, effects="0").astype(int) - bare).max(axis=2).mean() < 0.5


@pytest.mark.skipif(NODE is None, reason="no Node here: the page's motion is not run by itself")
def test_the_page_moves_particles_as_the_specification_does(tmp_path: Path) -> None:
    """Every particle of the demo's effects at five times, by the page's own script against the test vectors."""
    doc = read_project(PROJECT)
    meshes = {p: Evaluator(PROJECT.parent).mesh(p).mesh for p in meshes_read(doc)}
    world = build_environment(doc, meshes)
    effects = {e.id: whole(e, doc.effects) for e in doc.effects if e.shown}
    told = {"due": check_file(doc, effects, world, lambda: False), "effects": effects_of(doc, world)}
    told["solids"] = np.concatenate([m.corners for m in world.surroundings.meshes]).astype(np.float32).tolist()
    (tmp_path / "told.json").write_text(json.dumps(told), encoding="utf-8")
    parts = PAGES / "viewer"
    script = (parts / "motion.js").read_text(encoding="utf-8") + (parts / "particles.js").read_text(encoding="utf-8")
    (tmp_path / "run.js").write_text(script + RUN, encoding="utf-8")
    command = [NODE or "", str(tmp_path / "run.js"), str(tmp_path / "told.json")]
    done = subprocess.run(command, capture_output=True, text=True, check=True)
    count, worst = done.stdout.split()
    assert int(count) > 500 and float(worst) < 1e-5


RUN = """
const fs = require("fs"), told = JSON.parse(fs.readFileSync(process.argv[2])), solids = solidsOf(told.solids);
const triangles = (text) => {
  const b = Buffer.from(text, "base64"), v = new Float32Array(b.buffer, b.byteOffset, b.length / 4), rows = [];
  for (let k = 0; k < v.length; k += 9) rows.push([0, 3, 6].map((j) => [v[k + j], v[k + j + 1], v[k + j + 2]]));
  return rows;
};
let count = 0, worst = 0;
for (const {file, meshes} of told.effects) {
  const own = Object.fromEntries(Object.entries(meshes).map(([k, v]) => [k, triangles(v)]));
  for (const part of file.effect.parts.filter((p) => !p.muted)) {
    const flow = new Flow(file, part, own, solids);
    for (const moment of [...told.due.effects[file.effect.id]].reverse()) {  // back in time as well
      const got = flow.at(moment.time), due = moment.parts[part.id];
      if (got.length !== due.length) worst = Infinity;
      got.slice(0, due.length).forEach((p, i) => {
        count++;
        for (const [k, v] of Object.entries(due[i])) {
          const mine = [].concat(p[k]);
          [].concat(v).forEach((x, j) => { worst = Math.max(worst, Math.abs(mine[j] - x)); });
        }
      });
    }
  }
}
console.log(count, worst);
"""


@browser
def test_without_webgl_the_page_says_so(tmp_path: Path) -> None:
    doc, textures = effects_scene()
    text = dom(written(doc, textures, tmp_path / "page.html").as_uri(), "--disable-gpu", "--disable-3d-apis")
    assert 'data-drawn="no"' in text and "This browser cannot draw the scene" in text


@browser
@pytest.mark.parametrize("first", [False, True])
def test_two_versions_are_drawn_beside_each_other_each_as_it_would_be_alone(tmp_path: Path, first: bool) -> None:
    place = PanelPlace(at=(0.0, 1.3, 0.6), width=1.2, height=1.2)
    doc = Document(overlays=(overlay("a", place, lit=False, blend="Translucent"),), cameras=(CAMERA,))
    mine = sprite()
    other = Texture(np.ascontiguousarray(mine.values[..., [2, 0, 1, 3]]))
    told = {"a": Compared(other, first, ("As it came", "As delivered"))}
    page = tmp_path / "page.html"
    page.write_text(stage_page(page_scene(doc, {"a": mine}, {}, told), "A test"), encoding="utf-8")
    both = shot(page, only="a")
    half = SIZE[0] // 2
    view = View(CAMERA, half, SIZE[1])
    drawn = [
        codes_of(render(doc, {"a": t}, view, {}), doc).astype(int) for t in ((other, mine) if first else (mine, other))
    ]
    assert np.abs(drawn[0] - drawn[1]).max() > 60
    for part, meant in zip((both[:, :half], both[:, -half:]), drawn, strict=True):
        assert (np.abs(part.astype(int) - meant).max(axis=2) <= 3).mean() > 0.99
    # On demand one alone, over the whole; in the scene there is but the one that is delivered.
    for wish in ({"only": "a", "beside": "0"}, {}):
        agree(shot(page, **wish), doc, {"a": mine})


def test_a_proof_sheet_shows_faults_beside_their_mending_and_work_beside_its_source(tmp_path: Path) -> None:
    alpha = disc(64)
    write_picture(tmp_path / "dark.png", rgba(np.where(alpha[..., None] > 0, paint(64), 0), alpha), 8)
    rows = {"as it is": (), "spread": ({"step": "spread"},)}
    overlays = tuple(
        Overlay(
            id=name.replace(" ", "-"),
            name=name,
            source=Source(path=str(tmp_path / "dark.png"), meaning="colour"),
            steps=steps,
            places=(PanelPlace(id="p"),),
        )
        for name, steps in rows.items()
    )
    doc, recipe = Document(overlays=overlays), DeliveryRecipe(name="x", files=(FilePlan(always=True),), proof=True)
    deliver_project(doc, Evaluator(tmp_path), tmp_path / "out", recipe=recipe)
    text = (tmp_path / "out" / "proof.html").read_text("utf-8")
    scene = json.loads(re.search(r'id="scene">(.*?)</script>', text, re.S)[1])
    words = {k: (v["first"], [w.split(":")[0] for w in v["words"]]) for k, v in scene["versions"].items()}
    assert words == {"as-it-is": (False, ["As delivered", "Mended"]), "spread": (True, ["As it came", "As delivered"])}


def test_a_page_asks_for_nothing_and_names_end_no_script(tmp_path: Path) -> None:
    name = "</script><b>Dust</b> & “more”"
    o = overlay("a", PanelPlace(), lit=False).model_copy(update={"name": name})
    text = stage_page(page_scene(Document(overlays=(o,), cameras=(CAMERA,)), {"a": sprite(16)}, {}), name)
    assert text.count("</script>") == 2 and html.escape(name, quote=False).split("“")[0] in text
    scene = json.loads(re.search(r'id="scene">(.*?)</script>', text, re.S)[1])
    assert scene["overlays"][0]["name"] == name
    assert "default-src 'none'" in text and not re.search(r"(src|href)=[\"']?(http|//)", text)
    refused = mivex_run("page", str(tmp_path), str(tmp_path / "x.html"))
    assert refused.returncode == 2 and "no delivery" in refused.stderr
