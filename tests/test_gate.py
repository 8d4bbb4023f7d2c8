"""The gate: limits, shards, results brought together, JUnit; recipes that ask for what is found by looking."""

import io
import json
from xml.etree import ElementTree

import numpy as np
import pytest
from sprites import cut_from, disc, paint, rgba
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.checking import batch as report
from mivex.core.checking.batch import Report
from mivex.core.checking.limit_rules import counted, judged, junit, read_limits, share_of
from mivex.core.checking.parametric_recipes import parse_parametric, resolve_parameters
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project
from mivex.core.project.receiver import Receiver


@pytest.fixture
def folder(tmp_path):
    """Four pictures: one good, two with a dark matte, one with no alpha; and one that is none."""
    alpha = disc(64)
    clean = paint(64)
    write_picture(tmp_path / "good.png", rgba(clean, alpha))
    for name in ("dark_a.png", "dark_b.png"):
        write_picture(tmp_path / name, rgba(cut_from(clean, alpha, (0, 0, 0)), alpha))
    write_picture(tmp_path / "plain.png", rgba(clean, alpha)[..., :3])
    (tmp_path / "broken.png").write_bytes(b"\x89PNG nothing")
    return tmp_path


def test_limits_say_what_counts_and_shards_come_together(folder, monkeypatch):
    monkeypatch.setattr(report, "WORKERS", 1)  # processes have tests of their own
    names = ["good.png", "dark_a.png", "dark_b.png", "plain.png"]
    whole = json.loads(mivex_run("check", *names, "--json", cwd=folder).stdout)
    found = {(f["path"], f["id"]) for f in whole["findings"]}
    assert ("dark_a.png", "matte") in found and ("plain.png", "no-alpha") in found
    for k in (1, 2, 3):
        result = mivex_run("check", *names, "--shard", f"{k}/3", "--json", cwd=folder)
        (folder / f"part{k}.json").write_text(result.stdout)
    result = mivex_run("check", "part1.json", "part2.json", "part3.json", "--json", "--junit", "all.xml", cwd=folder)
    merged = json.loads(result.stdout)
    assert result.returncode == 1 and {(f["path"], f["id"]) for f in merged["findings"]} == found
    assert [p["path"] for p in merged["pictures"]] == names  # as they were given, before they were shared out
    # Given in another order, one of them twice, and among pictures: the same, where the first of them stands.
    result = mivex_run("check", "plain.png", "part3.json", "part1.json", "part3.json", "part2.json", "--json", cwd=folder)
    again = json.loads(result.stdout)
    assert [p["path"] for p in again["pictures"]] == ["plain.png", *names]
    assert [f for f in again["findings"] if f["path"] != "plain.png"] == [
        f for f in merged["findings"] if f["path"] != "plain.png"
    ]
    suite = ElementTree.parse(folder / "all.xml").getroot()
    assert (suite.get("tests"), suite.get("errors")) == ("4", "0")
    failed = {c.get("name") for c in suite if c.find("failure") is not None}
    assert failed == {p for p, _ in found}
    ids = sorted({i for _, i in found} - {"matte"})
    (folder / "limits.toml").write_text(
        f'limits = 1\nallow = {json.dumps(ids)}\n[at_most]\nmatte = 1.0\n[[where]]\nmatch = "dark_b*"\nallow = ["matte"]\n'
    )
    result = mivex_run("check", *names, "--limits", "limits.toml", "--json", cwd=folder)
    left = [(f["path"], f["id"]) for f in json.loads(result.stdout)["findings"] if not f.get("allowed")]
    assert result.returncode == 1 and left == [("dark_a.png", "matte")]
    (folder / "limits.toml").write_text(f"allow = {json.dumps([*ids, 'mat*'])}\n")
    result = mivex_run("check", *names, "--limits", "limits.toml", cwd=folder)
    assert result.returncode == 0 and "0 findings" in result.stdout and "allowed" in result.stdout
    (folder / "limits.toml").write_text(f"longest_side = 32\nallow = {json.dumps([*ids, 'matte'])}\n")
    result = mivex_run("check", "good.png", "--limits", "limits.toml", "--json", cwd=folder)
    assert [f["id"] for f in json.loads(result.stdout)["findings"] if not f.get("allowed")] == ["longest-side"]
    # What cannot be read is an error of the report, and of the run.
    result = mivex_run("check", "good.png", "broken.png", "--junit", "bad.xml", cwd=folder)
    assert result.returncode == 2 and ElementTree.parse(folder / "bad.xml").getroot().get("errors") == "1"


def test_paths_come_from_standard_input_and_bad_limits_are_one_sentence(folder, monkeypatch):
    (folder / "dark_a.png").rename(folder / "dark\u2028a.png")  # a name that Unicode would part in two
    monkeypatch.setattr("sys.stdin", io.TextIOWrapper(io.BytesIO("good.png\r\ndark\u2028a.png\n".encode())))
    told = json.loads(mivex_run("check", "-", "--json", cwd=folder).stdout)
    assert [p["path"] for p in told["pictures"]] == ["good.png", "dark\u2028a.png"]
    assert not any("problem" in p for p in told["pictures"])
    for text, words in (
        ('allow = ["nothing-such"]', "no finding"),
        ("x = ", "TOML"),
        ("limit = 3", "no setting"),
        ("limits = 7", "limits"),
        ('[at_most]\nmatte = "a"', "at_most"),
    ):
        (folder / "l.toml").write_text(text)
        with pytest.raises(MivexError, match=words):
            read_limits(folder / "l.toml")
    assert share_of(list("abcdefg"), "2/3") == ["b", "e"] and share_of(["a"], "2/2") == []
    for bad in ("0/2", "3/2", "x", "1/0"):
        with pytest.raises(MivexError, match="--shard"):
            share_of(["a"], bad)
    (folder / "r.json").write_text("[1]")
    result = mivex_run("check", "r.json", cwd=folder)
    assert result.returncode == 2 and "no result" in result.stderr
    # Names of any bytes are told in text that XML can hold.
    row = {"id": "matte", "path": "a\x01\ud800.png", "figure": 9.0, "message": "a\x00b", "why": "<&>"}
    made = ElementTree.fromstring(junit([Report("a\x01", [{"path": "a\x01\ud800.png"}], [row])]))
    assert made.get("failures") == "1" and made[0][0].text == "<&>"
    from mivex.core.checking.limit_rules import Limits

    assert not counted(judged([Report("a", [], [row])], Limits(at_most={"matte": 9.0})))


def test_recipes_ask_for_the_border_and_the_matte(folder, tmp_path):
    alpha = disc(64)
    green = np.array([0.1, 0.7, 0.2], np.float32)
    seen = paint(64) * alpha[..., None] + green * (1 - alpha[..., None])
    write_picture(tmp_path / "screen.png", np.dstack([seen, np.ones((64, 64))]).astype(np.float32)[..., :3])
    recipe = {"steps": [{"step": "key-colour", "key": "border", "far": 0.4}]}
    (tmp_path / "k.json").write_text(json.dumps(recipe))
    result = mivex_run("prepare", "screen.png", "out.png", "--recipe", "k.json", "--json", cwd=tmp_path)
    told = json.loads(result.stdout)
    assert result.returncode == 0 and told["found"][0]["asked"] == "border"
    found = told["found"][0]["found"]
    assert np.abs(np.array(found["key"]) - green).max() < 0.5 / 255 + 1e-4 and found["far"] == 0.4
    out = read_picture(tmp_path / "out.png").values
    assert out[0, 0, 3] == 0 and out[32, 32, 3] == 1
    (tmp_path / "m.json").write_text(json.dumps({"steps": [{"step": "unmatte", "matte": "found"}]}))
    told = json.loads(mivex_run("prepare", "dark_a.png", "o2.png", "--recipe", "m.json", "--json", cwd=folder).stdout)
    assert told["found"][0]["found"]["matte"] == [0.0, 0.0, 0.0] and told["found"][0]["found"]["on"]
    cleaned = read_picture(folder / "o2.png").values
    soft = (alpha > 0.2) & (alpha < 0.9)
    assert np.abs(cleaned[..., :3] - paint(64))[soft].max() < 0.03
    # Where none is found the step is left out, and that is said.
    told = json.loads(mivex_run("prepare", "good.png", "o3.png", "--recipe", "m.json", "--json", cwd=folder).stdout)
    assert not told["found"][0]["found"]["on"] and "left out" in told["found"][0]["said"]
    assert np.array_equal(read_picture(folder / "o3.png").values, read_picture(folder / "good.png").values)
    with pytest.raises(MivexError, match="takes a colour, or the word border"):
        parse_parametric({"steps": [{"step": "key-colour", "key": "middle"}]}, "r")
    evaluator = Evaluator(folder)
    asking = parse_parametric({"steps": [{"step": "blur"}, {"step": "unmatte", "matte": "found"}]}, "r")
    asked_after = []

    def before(steps):
        asked_after.append(len(steps))
        return evaluator.prepare(evaluator.picture("dark_a.png"), Source(meaning="colour"), steps)

    resolve_parameters(asking, before)
    assert asked_after == [1]


def test_limits_and_receivers_kept_with_a_project_judge_it(folder):
    doc = Document(overlays=(Overlay(id="a", name="Dark", source=Source(path="dark_a.png")),))
    write_project(folder / "p.mivex", doc)
    (folder / "limits.toml").write_text('limits = 1\nallow = ["matte", "fringe"]\nlongest_side = 32\n')
    plain = json.loads(mivex_run("check", "p.mivex", "--json", cwd=folder).stdout)["findings"]
    assert "matte" in {f["id"] for f in plain if not f.get("allowed")}
    kept = mivex_run("check", "p.mivex", "--limits", "limits.toml", "--keep", "--json", cwd=folder)
    later = mivex_run("check", "p.mivex", "--json", cwd=folder)
    assert json.loads(later.stdout)["findings"] == json.loads(kept.stdout)["findings"]
    assert {f["id"] for f in json.loads(later.stdout)["findings"] if not f.get("allowed")} >= {"longest-side"}
    # A file that is given judges anew; and the project is otherwise what it was.
    (folder / "other.toml").write_text("limits = 1\n")
    other = json.loads(mivex_run("check", "p.mivex", "--limits", "other.toml", "--json", cwd=folder).stdout)["findings"]
    assert {f["id"] for f in other if not f.get("allowed")} == {f["id"] for f in plain if not f.get("allowed")}
    assert read_project(folder / "p.mivex").overlays == doc.overlays
    for words in (("check", "p.mivex", "--keep"), ("check", "dark_a.png", "--limits", "limits.toml", "--keep")):
        refused = mivex_run(*words, cwd=folder)
        assert refused.returncode == 2 and "--keep" in refused.stderr
    doc = read_project(folder / "p.mivex").model_copy(
        update={"receivers": (Receiver(name="Small", answers={"size": "64"}),)}
    )
    write_project(folder / "p.mivex", doc.model_copy(update={"limits": None}))
    seen = json.loads(mivex_run("check", "p.mivex", "--receiver", "Small", "--json", cwd=folder).stdout)["pictures"]
    assert seen[0]["width"] == 64
    nobody = mivex_run("check", "p.mivex", "--receiver", "Other", cwd=folder)
    assert nobody.returncode == 2 and "the project has Small" in nobody.stderr
