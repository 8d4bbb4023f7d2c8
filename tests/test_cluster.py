"""Checks and deliveries on a cluster: a scheduler and two workers on this machine, of which one is killed in the middle."""

import contextlib
import json
import os
import signal
import subprocess
import sys
import time
from collections.abc import Iterator
from pathlib import Path

import pytest
from sprites import cut_from, disc, paint, rgba
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.checking.batch import report_all
from mivex.core.checking.cluster import deliver_on_cluster, report_on_cluster
from mivex.core.deliver.project import deliver_project
from mivex.core.picture.encode import write_picture
from mivex.core.project.delivery import STOCK
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project
from mivex.core.stage.placements_model import PanelPlace

distributed = pytest.importorskip("distributed")
DASK = str(Path(sys.executable).parent / "dask")


class Cluster:
    """A scheduler and its workers, as processes."""

    def __init__(self, folder: Path, workers: int) -> None:
        self.file, self.processes = folder / "scheduler.json", []
        self.start("scheduler", "--scheduler-file", str(self.file), "--host", "127.0.0.1", "--port", "0", "--no-dashboard")
        end = time.monotonic() + 60
        while not self.file.exists() or not self.file.read_text():
            assert time.monotonic() < end
            time.sleep(0.1)
        self.address = json.loads(self.file.read_text())["address"]
        self.workers = [self.worker(folder) for _ in range(workers)]
        if workers:
            # A busy machine takes its time to start them.
            with distributed.Client(self.address, timeout=90) as client:
                client.wait_for_workers(workers, timeout=120)

    def start(self, *words: str) -> subprocess.Popen[bytes]:
        env = os.environ | {"PYTHONPATH": os.pathsep.join(p for p in sys.path if p)}
        made = subprocess.Popen([DASK, *words], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, env=env)
        self.processes.append(made)
        return made

    def worker(self, folder: Path) -> subprocess.Popen[bytes]:
        more = ("--no-nanny", "--no-dashboard", "--host", "127.0.0.1", "--local-directory", str(folder))
        return self.start("worker", self.address, "--nthreads", "1", *more)

    def end(self) -> None:
        for p in reversed(self.processes):
            with contextlib.suppress(OSError):
                p.kill()
            p.wait(20)


@pytest.fixture
def cluster(tmp_path_factory: pytest.TempPathFactory) -> Iterator[Cluster]:
    made = Cluster(tmp_path_factory.mktemp("cluster"), 2)
    yield made
    made.end()


@pytest.fixture
def pictures(tmp_path: Path) -> list[str]:
    """Forty pictures, every third with a dark matte; one that is none."""
    alpha, clean = disc(64), paint(64)
    names = []
    for k in range(40):
        colour = cut_from(clean, alpha, (0, 0, 0)) if k % 3 == 0 else clean
        names.append(f"p{k:02}.png")
        write_picture(tmp_path / names[-1], rgba(colour, alpha))
    (tmp_path / "broken.png").write_bytes(b"\x89PNG nothing")
    return [*names[:7], "broken.png", *names[7:]]


def test_a_check_is_the_same_as_alone_though_a_worker_is_killed_in_the_middle(
    cluster: Cluster, pictures: list[str], tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.chdir(tmp_path)
    found = []
    told: list[tuple[int, int]] = []
    for report in report_on_cluster(pictures, cluster.address, lambda done, of: told.append((done, of))):
        found.append(report)
        if len(found) == 3:
            cluster.workers[0].send_signal(signal.SIGKILL)
    assert told[-1] == (41, 41) and [r.path for r in found] == pictures
    for mine, theirs in zip(found, report_all(pictures), strict=True):
        assert mine.findings == theirs.findings and bool(mine.problem) == bool(theirs.problem)
        assert mine.pictures == theirs.pictures or mine.problem
    # The same from the command line.
    said = mivex_run("check", *pictures[:4], "--cluster", cluster.address, "--json", cwd=tmp_path)
    assert said.stdout == mivex_run("check", *pictures[:4], "--json", cwd=tmp_path).stdout


def test_a_delivery_is_the_same_byte_for_byte_though_a_worker_is_killed(cluster: Cluster, tmp_path: Path) -> None:
    write_picture(tmp_path / "sprite.png", rgba(paint(64), disc(64)))
    rows = [
        Overlay(
            id=f"../o{k}" if k == 4 else f"o{k}",  # a file may call them anything; no folder is named so
            name=f"Overlay {k}",
            source=Source(path="sprite.png"),
            places=(PanelPlace(id="1", at=(0.1 * k, 1.2, 0.6)),),
        )
        for k in range(5)
    ]
    write_project(tmp_path / "a.mivex", Document(overlays=tuple(rows)))
    recipe = STOCK["scene"].model_copy(update={"proof": False})
    told: list[str] = []

    def tell(words: str) -> None:
        told.append(words)
        if len(told) == 1:
            cluster.workers[0].send_signal(signal.SIGKILL)

    made = deliver_on_cluster(tmp_path / "a.mivex", tmp_path / "far", cluster.address, recipe=recipe, tell=tell)
    doc = read_project(tmp_path / "a.mivex")
    deliver_project(doc, Evaluator(tmp_path), tmp_path / "near", recipe=recipe)
    near, far = ({p.name: p.read_bytes() for p in (tmp_path / k).iterdir()} for k in ("near", "far"))
    assert (
        near == far
        and len(made.overlays) == 5
        and all(p.parent == tmp_path / "far" for d in made.overlays for p in d.files)
    )
    # One of them changed and delivered alone: the others stay as they lie there.
    changed = doc.model_copy(update={"overlays": (doc.overlays[0].model_copy(update={"shown": False}), *doc.overlays[1:])})
    write_project(tmp_path / "a.mivex", changed)
    before = (tmp_path / "far" / "Overlay_3.png").stat().st_mtime_ns
    deliver_on_cluster(tmp_path / "a.mivex", tmp_path / "far", cluster.address, only=("o0",), recipe=recipe)
    listed = json.loads((tmp_path / "far" / "delivery.json").read_text())["overlays"]
    assert [r["name"] for r in listed] == [o.name for o in doc.overlays] and not listed[0]["shown"]
    assert (tmp_path / "far" / "Overlay_3.png").stat().st_mtime_ns == before
    assert not [p for p in tmp_path.iterdir() if p.name.startswith(".mivex-cluster")]


def test_no_cluster_no_workers_and_no_project_are_one_sentence(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("mivex.core.checking.cluster.PATIENCE", 2)
    with pytest.raises(MivexError, match="does not answer"):
        list(report_on_cluster(["a.png"], "tcp://127.0.0.1:9"))
    with pytest.raises(MivexError, match="does not answer"):
        list(report_on_cluster(["a.png"], "nonsense://x"))
    alone = Cluster(tmp_path, 0)
    try:
        with pytest.raises(MivexError, match="no workers"):
            list(report_on_cluster(["a.png"], alone.address))
    finally:
        alone.end()
