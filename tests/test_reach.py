"""Nothing is cut off, unnamed or out of reach: in English, in German, read from right to left; on dense screens."""

import copy
import json
import os
import pickle
import re
import string
import subprocess
import sys
import time
from pathlib import Path

import numpy as np
import pytest
from PySide6.QtCore import QTimer
from PySide6.QtWidgets import QComboBox

from mivex.core.advice.inspection import camera_of as camera_named
from mivex.core.base import languages
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.languages import Catalogue, catalogue
from mivex.core.base.messages import InSentence, Message, joined, named, verbatim
from mivex.core.installation import compilation as warm
from mivex.core.picture.files import read_picture
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.stage.camera import Camera
from mivex.ui.fields.sources import SourcedField
from mivex.ui.shell.app import application, wait_until_idle
from mivex.ui.shell.first_start import FirstStart
from tools import texts


def walked(language, scale, project, tmp_path):
    """What a walk through every station finds in a process of its own."""
    env = {
        **os.environ,
        "QT_QPA_PLATFORM": "offscreen",
        "MIVEX_LANGUAGE": language,
        "QT_SCALE_FACTOR": scale,
        "XDG_CONFIG_HOME": str(tmp_path),
        "XDG_STATE_HOME": str(tmp_path),
    }
    done = subprocess.run(
        [sys.executable, str(Path(__file__).parent / "reach.py"), str(project)],
        env=env,
        text=True,
        capture_output=True,
        timeout=900,
        check=False,
    )
    assert done.returncode == 0, done.stderr
    return json.loads(done.stdout.splitlines()[0])


@pytest.mark.parametrize(("language", "scale"), [("en", "1.5"), ("de", "1.25"), ("mirrored", "2")])
def test_nothing_is_cut_off_unnamed_or_out_of_reach(language, scale, small_demo, tmp_path):
    project = small_demo(
        "porthole",
        "buoy_emblem",
        "bubble_black",
        "plume",
        "pane_left",
        "pane_right",
        "bubbles_sheet",
        "silt_dark",
        "silt_bright",
    )
    found = walked(language, scale, project, tmp_path)
    ratio, wrong, size = found.pop("dense")
    assert ratio == float(scale) and wrong == 0 and size == [ratio, ratio]
    assert not any(found.values()), found


def test_german_has_words_for_every_text_and_for_no_other():
    said, wanted = texts.read(texts.LANGUAGES / "de.ts"), texts.texts()
    assert list(said) == wanted
    for source, target in said.items():
        assert target, source
        holes, kept = ({n for _, n, _, _ in string.Formatter().parse(t) if n} for t in (source, target))
        # Only the endings of English plurals go.
        assert kept <= holes and all(re.search(rf"\w\{{{h}\}}", source) for h in holes - kept), source
        assert (source[:1] == " ", source[-1:] == " ") == (target[:1] == " ", target[-1:] == " "), source


def test_a_message_keeps_its_template_and_values_wherever_it_goes():
    made = Message("“{name}” holds {count} frames", name="Sparks", count=16)
    assert made == "“Sparks” holds 16 frames" and json.loads(json.dumps(made)) == made
    for same in (str(made), str(MivexError(made)), pickle.loads(pickle.dumps(made)), copy.deepcopy(made)):
        assert same == made and (same.template, same.values) == (made.template, made.values)
    said = Catalogue(
        {
            "“{name}” holds {count} frames": "{count} Bilder hält „{name}“",
            "Levels": "Tonwerte",
            " and ": " und ",
            "{at:.2f} s": "{at} s",
            "Sparks": "Funken",
        },
        comma=True,
    ).said
    assert said(made) == "16 Bilder hält „Sparks“" and said(made + "  Levels") == "16 Bilder hält „Sparks“  Tonwerte"
    assert said("Levels" + made) == "Tonwerte16 Bilder hält „Sparks“"
    assert said(joined(" and ", ["Levels", made])) == "Tonwerte und 16 Bilder hält „Sparks“"
    assert said(named(" and ", ["Levels", "Sparks"])) == "Levels und Sparks"
    assert said(InSentence("Levels")) == "Tonwerte" and InSentence("Levels") == "levels"
    assert said(Message("{at:.2f} s", at=1234.5)) == "1234,50 s" and Message("{at:.2f} s", at=1234.5) == "1234.50 s"
    assert said("Levels") == "Tonwerte" and said("  Levels ") == "  Tonwerte " and said(verbatim("Levels")) == "Levels"
    assert said("Something else") == "Something else" and said("{braces} 3") == "{braces} 3"
    assert said(Message("{braces} as they stand")) == "{braces} as they stand"
    assert catalogue("en") is None and catalogue("no such") is None
    mirrored = catalogue("mirrored").said("Levels")
    assert mirrored.startswith("\u202e") and len(mirrored) > len("Levels")
    assert catalogue("mirrored").said(Message("Saved as “{name}”.", name="Levels")).count("Levels") == 1


@pytest.mark.parametrize("name", ["Dust", "Levels", "Wood", "Blend", "None", "Colour: red, blue", "{0}", "3.5 s", "A. B."])
def test_names_of_peoples_things_are_not_translated(name, tmp_path):
    """Whatever they mean otherwise; what stands round them is, in the window's errors and in findings."""
    german = catalogue("de").said
    doc = Document(cameras=(Camera(name=name),))
    told = []
    with pytest.raises(MivexError) as failed:
        read_picture(tmp_path / f"{name}.png".replace("/", "_"))
    told.append(failed.value)
    with pytest.raises(MivexError) as failed:
        camera_named(doc, name + "?")
    told.append(failed.value)
    for e in told:
        words = german(str(e))
        assert words != str(e) and name in words, words


@pytest.mark.parametrize("name", ["Levels", "Own", "Dust"])
def test_the_window_shows_names_as_they_were_given(window, small_demo, name):
    """In menus of sources and among effects, where names stand beside words of ours."""
    assert catalogue("de").said("Levels") != "Levels" and catalogue("de").said("Own") != "Own"
    window.open(str(small_demo()))
    wait_until_idle(window)
    languages.use("de")
    try:
        doc = window.session.doc
        for o in doc.overlays:
            doc = edits.set_fields(doc, o.id, "", name=name)
        doc = doc.model_copy(update={"effects": tuple(e.model_copy(update={"name": name}) for e in doc.effects)})
        window.session.apply("Names", lambda d: doc)
        window.go("blend")
        wait_until_idle(window)
        field = next(f for f in window.controls.findChildren(SourcedField) if f.isVisibleTo(window.controls))
        field.open_menu()
        told = [a.text() for a in field.menu.actions()]
        field.menu.close()
        assert told.count(name) == len(doc.overlays) - 1 and catalogue("de").said("Own picture") in told
        window.go("motion")
        wait_until_idle(window)
        boxes = [b.itemText(k) for b in window.controls.findChildren(QComboBox) for k in range(b.count())]
        assert not doc.effects or name in boxes
    finally:
        languages.use("en")


@pytest.mark.parametrize("language", ["de", "en"])
def test_the_command_line_speaks_the_chosen_language(language, tmp_path):
    home = tmp_path / "home"
    (home / "mivex").mkdir(parents=True)
    (home / "mivex" / "mivex.conf").write_text(f"[General]\nlanguage={language}\n")
    env = {k: v for k, v in os.environ.items() if k != "MIVEX_LANGUAGE"} | {"XDG_CONFIG_HOME": str(home), "LANG": "fr_FR"}

    def run(*words):
        return subprocess.run([sys.executable, "-m", "mivex", *words], capture_output=True, text=True, env=env, check=False)

    failed = run("check", str(tmp_path / "Dust.png"))
    assert (failed.returncode == 2 and "Dust.png”" in failed.stderr) or "Dust.png“" in failed.stderr, failed.stderr
    assert ("Es gibt keine Datei" in failed.stderr) == (language == "de")
    schema = run("schema", "--of", "nothing")
    assert ("kein Schema" in schema.stderr) == (language == "de") and schema.returncode == 2


def test_the_first_start_compiles_with_progress_or_starts_at_once(monkeypatch):
    application()
    told = []

    def compiled(tell, stop):
        for share in (0.5, 1.0):
            tell(share, "the stage")

    def endless(tell, stop):
        tell(0.25, "the stage")
        while not stop():
            time.sleep(0.01)
        told.append("stopped")
        raise Stopped

    monkeypatch.setattr(warm, "clear_stale", lambda: True)
    monkeypatch.setattr(warm, "warm", compiled)
    dialog = FirstStart()
    assert dialog.exec() and dialog.bar.value() == 100
    monkeypatch.setattr(warm, "warm", endless)
    dialog = FirstStart()
    watch = QTimer(dialog, interval=20)
    watch.timeout.connect(lambda: dialog.skip.click() if dialog.bar.value() == 25 else None)
    watch.start()
    assert dialog.exec() and dialog.bar.value() == 25 and told == ["stopped"]


def test_what_compiles_every_kernel_runs(rng):
    """`make` stands or falls with it."""
    values = rng.random((8, 8, 4)).astype(np.float32)
    for name, job in warm.JOBS.items():
        job(values)
        assert any(name in share for share in warm.SHARES)
