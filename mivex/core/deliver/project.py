"""Delivering a project, or some of its overlays: pictures, blend sheets, geometry, motion, the list, the proof sheet."""

import json
from collections.abc import Callable, Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from functools import cache
from pathlib import Path
from typing import Any

import numpy as np

from mivex import __version__
from mivex.core.base.bands import WORKERS
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message
from mivex.core.base.paths import read_bytes
from mivex.core.base.settings import written_out
from mivex.core.base.store import Batch, encoded, finish
from mivex.core.deliver.bench import bench_of, unrounded
from mivex.core.deliver.compared import Delivered
from mivex.core.deliver.deliver import deliver, stage_json
from mivex.core.deliver.gltf import bare_gltf, overlay_gltf, unsaid
from mivex.core.deliver.keys import ContentKeys, Earlier, noted
from mivex.core.deliver.motion_file import (
    CHECK,
    SOLIDS,
    birth_meshes,
    check_file,
    meets_solids,
    motion_file,
)
from mivex.core.deliver.planning import Planned, file_name
from mivex.core.deliver.sources import Surfaces
from mivex.core.deliver.stage_files import AROUND, picture_rows, stage_light_maps, stage_pictures, stage_words
from mivex.core.deliver.stage_gltf import surroundings_gltf
from mivex.core.motion.model import Effect, whole
from mivex.core.picture.texture import Texture
from mivex.core.project.delivery import DeliveryRecipe, FilePlan
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.draw_calls import build_environment, lasting_mesh, meshes_read
from mivex.core.stage.mesh import joined as joined_meshes
from mivex.core.stage.placements_model import MeshPlace
from mivex.core.stage.surroundings import World

LIST = "delivery.json"
"""Name of the list of a delivery."""
LIST_VERSION = 1
STAGE, PROOF = "stage.glb", "proof.html"


@dataclass(frozen=True, eq=False)
class Delivery:
    """What was delivered.

    Attributes
    ----------
    overlays : list of Delivered
    motion : list of Path
    listing : Path
    proof : Path, optional
    unsaid : mapping of overlay name to list of str
        What its glTF cannot say.
    """

    overlays: list[Delivered]
    motion: list[Path]
    listing: Path
    proof: Path | None
    unsaid: Mapping[str, list[str]]


def _motions(doc: Document, rows: Sequence[Planned]) -> list[Effect]:
    wanted = {r.overlay.id for r in rows if r.recipe.motion}
    return [e for e in doc.effects if any(p.overlay in wanted for p in _parts(e, doc))]


def _parts(e: Effect, doc: Document) -> Sequence[Any]:
    of = doc.effect(e.copy_of) if e.copy_of else None
    return of.parts if of is not None else e.parts


def deliver_project(
    doc: Document,
    evaluator: Evaluator,
    folder: str | Path,
    *,
    only: Sequence[str] = (),
    recipe: DeliveryRecipe | None = None,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[str], None] = lambda _: None,
) -> Delivery:
    """Deliver every overlay that has a picture, or those of some ids.

    Parameters
    ----------
    doc : Document
    evaluator : Evaluator
    folder : str or Path
    only : sequence of str
        Ids; empty: all.
    recipe : DeliveryRecipe, optional
        For all of them; none: each its own.
    stop, tell : callable

    Raises
    ------
    MivexError, Stopped
        Nothing was delivered then, and what lay in the folder before is untouched.
    """
    bench = bench_of(doc, evaluator, stop)
    chosen = [o for o in doc.overlays if not only or o.id in only]
    # Where nothing has changed neither is needed.
    meshes = cache(lambda: {p: evaluator.mesh(p).mesh for p in meshes_read(doc)})
    world = cache(lambda: build_environment(doc, meshes()))

    def texture(o: Overlay) -> Texture:
        if stop():
            raise Stopped
        return evaluator.texture(unrounded(o), doc, stop=stop)

    motion: list[Path] = []
    proof: list[Path] = []
    lost: dict[str, list[str]] = {}

    keys = ContentKeys(doc, Path(evaluator.folder))
    known = listing_of(folder) if (Path(folder) / LIST).is_file() else None
    earlier = Earlier(Path(folder), known)
    kept: dict[str, Delivered] = {}
    made_of: dict[str, Any] = {}

    known_keys: dict[str, str] = {}

    def key_of(row: Planned) -> str:
        if row.overlay.id not in known_keys:
            known_keys[row.overlay.id] = keys.overlay(row.overlay, row.recipe, [p.name for p in row.paths])
        return known_keys[row.overlay.id]

    def before(row: Planned) -> Delivered | None:
        found = earlier.delivered(row, key_of(row))
        if found is not None:
            kept[row.overlay.id] = found
        return found

    def more(batch: Batch, where: Path, rows: list[Planned], done: list[Delivered]) -> None:
        surfaces = Surfaces(doc, texture, bench.others, bench.mask, bench.height_of)

        def shape(row: Planned) -> None:
            tell(Message("Writing the geometry of “{name}”", name=row.overlay.name))
            _stage_geometry(batch, row, doc, texture(row.overlay), surfaces, world())

        with_geometry = [r for r in rows if r.geometry is not None]
        with ThreadPoolExecutor(max(1, min(WORKERS, 4))) as pool:
            for job in [pool.submit(shape, row) for row in with_geometry if row.overlay.id not in kept]:
                job.result()
        for row, d in zip(rows, done, strict=True):
            stem = row.geometry.stem if row.geometry else ""
            names = {
                row.sheet.name,
                *(p.name for p in d.files),
                *((row.geometry.name, f"{stem}.bin") if row.geometry else ()),
            }
            own = {n: h for n, h in batch.digests.items() if n in names or (stem and n.startswith(f"{stem}_gltf"))}
            key = key_of(row)
            held = earlier.same(row.overlay.id, key) if row.overlay.id in kept else None
            made_of[row.overlay.id] = held or noted(key, own, d)
        lost.update({r.overlay.name: unsaid(r.overlay, doc) for r in with_geometry})
        motion.extend(_stage_motion(batch, where, doc, rows, world, keys, earlier, made_of, stop, tell))
        stage = stage_words(doc)
        if doc.around.path and doc.around.path in meshes():
            a = doc.around
            batch.stage(where / AROUND, bare_gltf(meshes()[a.path], "surroundings", a.grey, a.rough))
            stage["geometry"] = AROUND
        elif with_geometry and not doc.around.path:
            if (held := earlier.same("stage", keys.stage())) is None:
                tell("Writing the stage")
                batch.stage(where / STAGE, surroundings_gltf(world().surroundings))
                held = noted(keys.stage(), {STAGE: batch.digests[STAGE]})
            stage["geometry"], made_of["stage"] = STAGE, held
        if with_geometry:
            stage["light_maps"] = stage_light_maps(batch, where, doc)
        whole_key = keys.proof(made_of, [r.recipe for r in rows])
        if any(r.recipe.proof for r in rows) and (held := earlier.same("proof", whole_key)) is not None:
            made_of["proof"] = held
            proof.append(where / PROOF)
            stage["pictures"] = picture_rows(doc) if with_geometry else []
        elif any(r.recipe.proof for r in rows):
            from mivex.core.deliver.proof_sheet import proof_sheet

            tell("Writing the proof sheet")
            page = where / PROOF
            wanted = [(r, d) for r, d in zip(rows, done, strict=True) if r.recipe.proof]
            batch.stage(page, encoded(proof_sheet(doc, wanted, texture, evaluator, lost), page))
            proof.append(page)
            if with_geometry:
                tell("Drawing the pictures to compare with")
                stage["pictures"] = stage_pictures(batch, where, doc, evaluator, stop)
            names = {PROOF, *(row["file"] for row in stage["pictures"])}
            made_of["proof"] = noted(whole_key, {n: h for n, h in batch.digests.items() if n in names})
        stage_json(batch, where / LIST, listing_words(where, doc, rows, done, motion, proof, stage) | {"made_of": made_of})

    done = deliver(chosen, texture, folder, tell, recipe=recipe, bench=bench, more=more, kept=before)
    return Delivery(done, motion, Path(folder) / LIST, proof[0] if proof else None, lost)


def _stage_motion(  # noqa: PLR0913
    batch: Batch,
    where: Path,
    doc: Document,
    rows: list[Planned],
    world_of: Callable[[], World],
    keys: ContentKeys,
    earlier: Earlier,
    made_of: dict[str, Any],
    stop: Callable[[], bool],
    tell: Callable[[str], None],
) -> list[Path]:
    """Stage the motion files of the effects that are shown, with what they need, unless nothing of them has changed."""
    effects = _motions(doc, rows)
    if not effects:
        return []
    sheets = {r.overlay.id: r.sheet.name for r in rows}
    names: dict[str, str] = {}
    for e in effects:
        stem = file_name(Overlay(id=e.id, name=e.name))
        if stem.lower() in names:
            raise MivexError(
                Message(
                    "“{names}” and “{name}” would both be written as “{stem}”; give one of them another name.",
                    names=names[stem.lower()],
                    name=e.name,
                    stem=stem,
                )
            )
        names[stem.lower()] = e.name
    paths = [where / f"{file_name(Overlay(id=e.id, name=e.name))}.motion.json" for e in effects]
    key = keys.motion(sheets)
    if (held := earlier.same("motion", key)) is not None and all(p.name in held["files"] for p in paths):
        made_of["motion"] = held
        return paths
    wholes, world = [whole(e, doc.effects) for e in effects], world_of()
    born = birth_meshes(wholes, world)
    for mesh, file in born.items():
        batch.stage(where / file, bare_gltf(world.meshes[mesh], "born"))
    if any(meets_solids(e) for e in wholes) and world.surroundings.meshes:
        batch.stage(where / SOLIDS, bare_gltf(joined_meshes(list(world.surroundings.meshes)), "solids"))
    for e, path in zip(effects, paths, strict=True):
        if stop():
            raise Stopped
        tell(Message("Writing the motion of “{name}”", name=e.name))
        stage_json(batch, path, written_out(motion_file(doc, e, sheets, world, born)))
    told = {p.name: e for p, e in zip(paths, wholes, strict=True)}
    stage_json(batch, where / CHECK, check_file(doc, told, world, stop))
    own = {p.name for p in paths} | set(born.values()) | {SOLIDS, CHECK}
    made_of["motion"] = noted(key, {n: h for n, h in batch.digests.items() if n in own})
    return paths


def _stage_geometry(batch: Batch, row: Planned, doc: Document, texture: Texture, surfaces: Surfaces, world: World) -> None:
    """Stage the glTF of an overlay, with what lies beside it."""
    o = row.overlay
    assert row.geometry is not None
    placed = [
        (k, lasting_mesh(o, p, texture, world))
        for k, p in enumerate(o.places, 1)
        if not (isinstance(p, MeshPlace) and p.path not in world.meshes)
    ]
    placed = [(k, m) for k, m in placed if len(m.index)]
    if not placed:
        raise MivexError(
            Message(
                "“{name}” lies on no surface, so that there is no geometry to deliver; place it "
                "first, or choose a recipe without geometry.",
                name=o.name,
            )
        )
    if row.recipe.gltf == "glb":
        batch.stage(row.geometry, overlay_gltf(o, doc, texture, surfaces, placed, lift=row.recipe.lift)[0])
        return
    where = row.geometry.parent
    stem = row.geometry.stem

    def name(plan: FilePlan, picture: Texture) -> str:
        from mivex.core.picture.encode import stage_picture

        which = plan.pattern.replace("{name}", "").replace("{kind}", "") or "_base"
        path = where / f"{stem}_gltf{which}.png"
        if path.name not in told:
            lanes = picture.values if picture.has_alpha else np.ascontiguousarray(picture.values[..., :3])
            stage_picture(batch, path, lanes, 8, data=picture.data)
            told.add(path.name)
        return path.name

    told: set[str] = set()
    text, blob = overlay_gltf(o, doc, texture, surfaces, placed, beside=f"{stem}.bin", name=name, lift=row.recipe.lift)
    batch.stage(where / f"{stem}.bin", blob)
    batch.stage(row.geometry, text)


def listing_words(
    where: Path,
    doc: Document,
    rows: Sequence[Planned],
    done: Sequence[Delivered],
    motion: Sequence[Path],
    proof: Sequence[Path],
    stage: dict[str, Any],
) -> dict[str, Any]:
    """The list of a delivery; overlays and motions that an earlier one wrote into the folder stay in it."""
    overlays = {
        r.overlay.name: {
            "name": r.overlay.name,
            "sheet": r.sheet.name,
            "recipe": r.recipe.name,
            "shown": r.overlay.shown,
            "files": [p.name for p in d.files],
            "geometry": r.geometry.name if r.geometry else None,
        }
        for r, d in zip(rows, done, strict=True)
    }
    effects = {p.name: {"file": p.name} for p in motion}
    old = listing_of(where) if (where / LIST).is_file() else None
    known = {o.name for o in doc.overlays}
    for row in (old or {}).get("overlays", []):
        # Only of this project: another project's list in the folder is replaced.
        if row["name"] in known and row["name"] not in overlays and (where / row["sheet"]).is_file():
            overlays[row["name"]] = row
    for row in (old or {}).get("motion", []):
        if (where / row["file"]).is_file():
            effects.setdefault(row["file"], row)
    order = [o.name for o in doc.overlays]
    return {
        "delivery_list": LIST_VERSION,
        "written_by": Message("Mivex {version}", version=__version__),
        "overlays": [overlays[n] for n in order if n in overlays],
        "motion": [effects[k] for k in sorted(effects)],
        "proof": proof[0].name if proof else None,
        "stage": stage,
    }


def listing_of(folder: str | Path) -> dict[str, Any]:
    """The list of a delivery; raises MivexError where it is none, or was written by a newer Mivex."""
    path = Path(folder) / LIST
    if not Path(folder).is_dir():
        raise MivexError(Message("There is no folder “{folder}”.", folder=folder))
    finish(folder)  # a run that was killed in the middle of it
    if not path.exists():
        raise MivexError(Message("“{folder}” holds no delivery: there is no “{list}” in it.", folder=folder, list=LIST))
    try:
        tree = json.loads(read_bytes(path))
        version = tree["delivery_list"]
        if version > LIST_VERSION:
            raise MivexError(
                Message(
                    "“{path}” was written by a newer Mivex (list {version}; this one reads {list_version}).",
                    path=path,
                    version=version,
                    list_version=LIST_VERSION,
                )
            )
        for row in tree["overlays"]:
            _plain(row["sheet"])
            str(row["name"])
        for row in tree["motion"]:
            _plain(row["file"])
        return dict(tree)
    except (ValueError, KeyError, TypeError, RecursionError):
        raise MivexError(Message("“{path}” is not the list of a delivery, or is cut short.", path=path)) from None


def _plain(name: Any) -> None:
    """A name that leads out of the folder is none."""
    if not isinstance(name, str) or Path(name).name != name:
        raise ValueError
