"""Loading a delivery: blend sheets, pictures, geometry and motion become what the stage draws; no project is read."""

import json
import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

import numpy as np
from pydantic import TypeAdapter, ValidationError

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.kept import memoized_on
from mivex.core.base.messages import Message
from mivex.core.base.paths import read_bytes, shown
from mivex.core.deliver.blend_sheet import EFFECTS, SHEET_VERSION
from mivex.core.deliver.motion_file import MOTION_VERSION, MotionFile
from mivex.core.deliver.project import listing_of
from mivex.core.intake.geometry import placed_meshes
from mivex.core.intake.sheets import cells_of, inside_name, keep_vectors, numbers_of, sheet_of
from mivex.core.material.material import Finish, Glow, Material, Normals
from mivex.core.material.material import Mapping as UvMapping
from mivex.core.material.sourced import Channel, Sourced
from mivex.core.motion.model import Air, Effect
from mivex.core.picture import ktx2
from mivex.core.picture.files import read_levels, read_picture
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import ImageMetadata
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document, Overlay
from mivex.core.project.recipe import explain
from mivex.core.scene.material_binding import file_key
from mivex.core.scene.playback import hull_key
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import Camera
from mivex.core.stage.lights import Lighting
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.meshes import read_mesh
from mivex.core.stage.placements_model import Around, MeshPlace, Place, ShapePlace

HELD = "levels held"
"""Kept with a texture whose file holds its mip levels."""
_places: TypeAdapter[Any] = TypeAdapter(list[Place])


@dataclass(frozen=True, eq=False)
class Received:
    """A delivery, loaded.

    Attributes
    ----------
    folder : Path
    doc : Document
        What its sheets, motions and list say; it was never a project.
    textures, meshes : mappings
        As the stage draws them: textures by overlay id and by file.
    files : mapping of overlay id to list of str
        Keys, among the textures, of the files that it reads.
    left_out : mapping of overlay name to list of str
        What the delivery does not hold.
    """

    folder: Path
    doc: Document
    textures: Mapping[str, Texture]
    meshes: Mapping[str, Mesh]
    files: Mapping[str, list[str]] = field(default_factory=dict)
    left_out: Mapping[str, list[str]] = field(default_factory=dict)


def _chain(levels: list[np.ndarray[Any, Any]], colour: bool) -> MipChain:
    """A chain of the very levels that a file holds."""
    rows, offsets, at = [], [], 0
    for level in levels:
        v = level.astype(np.float32)
        if v.shape[2] < 4:
            v = np.repeat(v, 3, axis=2) if v.shape[2] == 1 else v
            v = np.concatenate([v, np.ones((*v.shape[:2], 1), np.float32)], axis=2)
        if colour:
            v = np.concatenate([to_linear(np.ascontiguousarray(v[..., :3])), v[..., 3:]], axis=2)
        rows.append(v.reshape(-1, 4))
        offsets.append(at)
        at += v.shape[0] * v.shape[1]
    return MipChain(
        np.ascontiguousarray(np.concatenate(rows), np.float32),
        np.array(offsets, np.int64),
        np.array([v.shape[1] for v in levels], np.int64),
        np.array([v.shape[0] for v in levels], np.int64),
    )


def read_texture(path: Path, row: Mapping[str, Any], traits: ImageMetadata) -> Texture:
    """A delivered picture as a receiver loads it, with the levels that it holds; raises MivexError."""
    picture = read_picture(path)
    values = picture.values
    if traits.premultiplied and picture.premultiplied:
        values = np.concatenate([values[..., :3] * values[..., 3:], values[..., 3:]], axis=2)
    colour = row["holds"] == "colour"
    if picture.linear and colour:
        values = np.concatenate([to_display(values[..., :3]), values[..., 3:]], axis=2)
    bits = 16 if picture.bits > 8 else 8
    made = Texture(
        quantise(np.ascontiguousarray(values, np.float32), bits),
        traits=traits.but(data=not colour, has_alpha=picture.has_alpha),
        bits=bits,
    )
    if int(row["levels"]) > 1:
        if path.suffix.lower() == ".ktx2":
            codes = ktx2.decode(read_bytes(path, 1 << 31), path.name).levels
            levels = [v.astype(np.float32) / np.float32(255 if v.dtype == np.uint8 else 65535) for v in codes]
        else:
            levels = [np.asarray(v) for v in read_levels(path)]
        # What the file holds is what is sampled; nothing is built.
        made.__dict__["mips"] = _chain(levels, colour)
        memoized_on(made, HELD, lambda: True)
    return made


def _mapping(rows: Any) -> UvMapping:
    """Settings that give a map of UVs; the inverse of `mivex.core.material.material.Mapping.rows`."""
    (a, b, c), (d, e, f) = (numbers_of(row, 3, -1e4, 1e4) for row in rows)
    across, turn = math.hypot(a, d), math.degrees(math.atan2(-d, a))
    s, k = math.sin(math.radians(turn)), math.cos(math.radians(turn))
    return UvMapping(across=across, down=b * s + e * k, turn=turn, right=0.5 - (a + b) / 2 - c, low=0.5 - (d + e) / 2 - f)


def _channel(row: Mapping[str, Any], folder: Path) -> Channel:
    if "file" not in row:
        return Channel(value=float(row["value"]))
    return Channel(
        source="file", path=inside_name(row["file"]), channel=row["channel"], invert=bool(row.get("invert")), value=1.0
    )


def material_of(tree: Mapping[str, Any], folder: Path) -> Material:
    """The material that a blend sheet describes."""
    s, main = tree["surface"], tree["texture"]["file"]
    tint = to_display(np.array(numbers_of(tree["tint_linear"], 3, 0.0, 1e4), np.float32))
    opacity = s["opacity"]
    own = opacity.get("file") == main and opacity.get("channel") == "alpha" and not opacity.get("invert")
    plain = Channel(source="own", channel="alpha")
    glow = s["glow"]
    glow_rgb = np.clip(to_display(np.array(numbers_of(glow["colour_linear"], 3, 0.0, 1e4), np.float32)), 0, 1)
    finish = Finish(
        colour=Sourced(source="own"),
        opacity=plain if own else _channel(opacity, folder),
        roughness=_channel(s["roughness"], folder),
        metal=_channel(s["metal"], folder),
        occlusion=_channel(s["occlusion"], folder),
        normal=Normals(
            source="file",
            path=inside_name(s["normal"]["file"]),
            green=s["normal"]["green"],
            strength=s["normal"]["strength"],
        )
        if s["normal"]
        else Normals(),
        glow=Glow(
            colour=tuple(float(v) for v in glow_rgb),
            strength=glow["strength"],
            **({"source": "file", "path": inside_name(glow["file"])} if "file" in glow else {}),
        ),
    )
    effects = {k: v for k, v in tree["effects"].items() if k in EFFECTS}
    d = tree["depth"]
    return Material.model_validate(
        effects
        | {
            "blend": tree["blend"]["name"],
            "cutoff": 0.5 if tree["cutoff"] is None else tree["cutoff"],
            "opacity": tree["opacity"],
            "tint": [min(max(float(v), 0.0), 1.0) for v in tint],
            "takes_tint": tree["takes_tint"],
            "lit": tree["lit"],
            "depth_test": d["test"],
            "depth_write": d["write"],
            "depth_bias": d["bias_metres"] * 1000,
            "slope_bias": d["slope_bias"],
            "depth_first": d["first"],
            "both_faces": tree["faces"] == "both",
            "back_first": tree["back_faces_first"],
            "group": tree["draw_group"],
            "nudge": tree["order_nudge"],
            "distance": tree["distance"],
            "tiling": tree["texture"]["address"] == "repeat",
            "finish": finish,
            "mapping": _mapping(s["uv_rows"]).model_copy(update={"uv_set": s["uv_set"]}),
        }
    )


class _Loading:
    """Collects what a delivery holds."""

    def __init__(self, folder: Path, stop: Callable[[], bool]) -> None:
        self.folder, self.stop = folder, stop
        self.textures: dict[str, Texture] = {}
        self.meshes: dict[str, Mesh] = {}
        self.files: dict[str, list[str]] = {}
        self.left_out: dict[str, list[str]] = {}

    def overlay(self, row: Mapping[str, Any], ident: str) -> Overlay:
        """One overlay from its sheet; raises MivexError."""
        path = self.folder / inside_name(row["sheet"])
        tree = json.loads(read_bytes(path))
        if tree["blend_sheet"] > SHEET_VERSION:
            raise MivexError(
                Message(
                    "“{name}” was written by a newer Mivex (blend sheet {blend_sheet}; this one reads {sheet_version}).",
                    name=path.name,
                    blend_sheet=tree["blend_sheet"],
                    sheet_version=SHEET_VERSION,
                )
            )
        material = material_of(tree, self.folder)
        t = tree["texture"]
        sheet, hulls = sheet_of(tree)
        (px, py), (ex, ey) = numbers_of(t["pivot"], 2, -64, 64), numbers_of(t["extent"], 2, 1e-4, 1e4)
        (spread,) = numbers_of([tree.get("signed_distance", {}).get("spread_texels", 0.0)], 1, 0.0, 1 << 14)
        traits = ImageMetadata(
            pivot=(px, py),
            extent=(ex, ey),
            premultiplied=t["alpha"] == "premultiplied",
            distance=spread,
            cells=cells_of(tree),
        )
        keys = []
        wanted = {t["file"]} | {part.path for part in material.sources().values() if part.source == "file"}
        for f in tree["files"]:
            if self.stop():
                raise Stopped
            if not (self.folder / inside_name(f["file"])).is_file():
                raise MivexError(Message("“{file}” is missing from the delivery.", file=f["file"]))
            if f["file"] not in wanted:
                continue
            main = f["file"] == t["file"]
            key = ident if main else file_key(f["file"], f["holds"])
            self.textures[key] = read_texture(self.folder / inside_name(f["file"]), f, traits if main else ImageMetadata())
            keys.append(key)
            if main and any(p.source == "file" and p.path == f["file"] for p in material.sources().values()):
                other = file_key(f["file"], "data")
                self.textures[other] = self.textures[key]
                keys.append(other)
        if ident not in self.textures:
            raise ValueError
        if sheet.vectors:
            keep_vectors(self.textures[ident], sheet, self.folder, tree["sheet"]["vectors"])
        if hulls:
            memoized_on(self.textures[ident], hull_key(sheet), lambda: hulls)
        self.files[ident] = keys
        if tree["left_out"]:
            self.left_out[tree["name"]] = [str(w) for w in tree["left_out"]]
        return Overlay(
            id=ident,
            name=str(tree["name"]),
            kind=tree["kind"],
            shown=bool(row.get("shown", True)),
            material=material,
            sheet=sheet,
            places=self._places(tree, ident),
        )

    def _places(self, tree: Mapping[str, Any], ident: str) -> tuple[Place, ...]:
        # Ids are an overlay's own: two overlays may have placements of the same.
        found: list[Place] = _places.validate_python(tree["places"])
        places = [p.model_copy(update={"id": f"{ident} {p.id}"}) for p in found]
        if not tree.get("geometry"):
            # What stands on a mesh of its own came without that mesh.
            return tuple(p for p in places if not isinstance(p, MeshPlace))
        meshes = placed_meshes(self.folder / inside_name(tree["geometry"]))
        rows: list[Place] = []
        for k, p in enumerate(places, 1):
            sliced = isinstance(p, ShapePlace) and p.slices != "same"
            if k in meshes and p.mount != "billboard" and not sliced:
                self.meshes[placing.given(p)] = meshes[k]
                rows.append(p.model_copy(update={"path": placing.given(p)}) if isinstance(p, MeshPlace) else p)
            elif not isinstance(p, MeshPlace):
                rows.append(p)
        return tuple(rows)

    def motion(self, name: str) -> MotionFile:
        """A motion file; raises MivexError."""
        path = self.folder / inside_name(name)
        tree = json.loads(read_bytes(path))
        if tree["motion"] > MOTION_VERSION:
            raise MivexError(
                Message(
                    "“{name}” was written by a newer Mivex (motion {motion}; this one reads {motion_version}).",
                    name=path.name,
                    motion=tree["motion"],
                    motion_version=MOTION_VERSION,
                )
            )
        try:
            return MotionFile.model_validate(tree)
        except ValidationError as e:
            raise MivexError(explain(e, f"“{path.name}”")) from None


def load(folder: str | Path, stop: Callable[[], bool] = lambda: False) -> Received:
    """Load a delivery.

    Parameters
    ----------
    folder : str or Path
    stop : callable
        Asked between files; true raises Stopped.

    Raises
    ------
    MivexError
        No delivery, or something in it is missing, broken or newer; the sentence names the file.
    """
    folder = Path(folder)
    listing = listing_of(folder)
    loading = _Loading(folder, stop)
    now = "delivery.json"
    try:
        motions = []
        for row in listing["motion"]:
            now = str(row["file"])
            motions.append(loading.motion(row["file"]))
        # Motions name overlays by their ids; what no motion shows gets one of its own.
        ids = {sheet: ident for m in motions for ident, sheet in m.sheets.items()}
        overlays = []
        for number, row in enumerate(listing["overlays"]):
            now = str(row["sheet"])
            overlays.append(loading.overlay(row, ids.get(row["sheet"], f"received{number}")))
        now = "delivery.json"
        stage = listing["stage"]
        around = Around.model_validate(stage["surroundings"])
        if around.path:
            now = inside_name(around.path)
            loading.meshes[around.path] = read_mesh(folder / around.path).mesh
        wind = [float(v) for v in stage["wind"]]
        effects: tuple[Effect, ...] = tuple(m.effect.model_copy(update={"copy_of": ""}) for m in motions)
        doc = Document(
            overlays=tuple(overlays),
            effects=effects,
            cameras=tuple(Camera.model_validate(c) for c in stage["cameras"]),
            lighting=Lighting.model_validate(stage["lighting"]),
            around=around,
            air=Air(wind_x=wind[0], wind_y=wind[1], wind_z=wind[2]),
        )
    except ValidationError as e:
        raise MivexError(explain(e, f"“{shown(now)}”")) from None
    except (ValueError, KeyError, TypeError, IndexError, AttributeError, RecursionError, OverflowError):
        raise MivexError(Message("“{now}” is not what Mivex delivers, or is cut short.", now=shown(now))) from None
    if not doc.cameras:
        raise MivexError("The delivery names no camera.")
    return Received(folder, doc, loading.textures, loading.meshes, loading.files, loading.left_out)
