"""Nothing is cut off, unnamed or out of reach: in English, in German, read from right to left; on dense screens."""

import json
import os
import re
import subprocess
import sys
import time
from pathlib import Path

import pytest
from PySide6.QtCore import QTimer

from mivex.core.base.errors import Stopped
from mivex.core.installation import compilation as warm
from mivex.ui.languages import Catalogue, Verbatim, catalogue
from mivex.ui.shell.app import application
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
        holes, kept = set(re.findall(r"\{\d+\}", source)), set(re.findall(r"\{\d+\}", target))
        # Only the endings of English plurals go.
        assert kept <= holes and all(re.search(rf"\w{re.escape(h)}", source) for h in holes - kept), source
        assert (source[:1] == " ", source[-1:] == " ") == (target[:1] == " ", target[-1:] == " "), source


def test_texts_are_found_whole_by_their_template_or_part_by_part():
    said = Catalogue(
        {
            "{0} of {1} frames": "von {1} Bildern {0}",
            "Take back: {0}": "Zurück: {0}",
            "Levels": "Tonwerte",
            "{0} findings": "{0} Funde",
            "Sprite": "Sprite!",
        }
    ).said
    assert said("Levels") == "Tonwerte" and said("  Levels") == "  Tonwerte"
    assert said("3 of 16 frames") == "von 16 Bildern 3" and said("Take back: Levels") == "Zurück: Tonwerte"
    assert said("Sprite · 2 findings") == "Sprite! · 2 Funde"
    assert said("Sprite · <b class='x'>2 findings</b>") == "Sprite! · <b class='x'>2 Funde</b>"
    assert said("Something else") == "Something else" and said("{braces} 3") == "{braces} 3"
    assert catalogue("en") is None and catalogue("no such") is None
    mirrored = catalogue("mirrored").said("Levels")
    assert mirrored.startswith("\u202e") and len(mirrored) > len("Levels") and type(Verbatim("Levels")) is not str


@pytest.mark.parametrize("name", ["Dust", "Levels", "Wood", "Blend", "A picture", "None", "Size", "Colour: red, blue"])
def test_names_of_peoples_things_are_not_translated(name):
    """Whatever they mean otherwise; what stands round them is."""
    german = catalogue("de")
    for template in (
        "“{0}” changed on disk; it was read again.",
        "“{0}” has no picture yet.",
        "Saved as “{0}”.",
        "“{0}” was changed on disk by somebody else since it was opened; it was not overwritten.",
        "“{0}” and “{0}” would use each other's result; neither can come first.",
        "There is no file “{0}”.",
        "Draw “{0}” later",
        "A copy of “{0}”",
    ):
        told = german.said(template.replace("{0}", name))
        assert f"„{name}“" in told and told != template.replace("{0}", name), told
    assert german.said("With before “Levels”") != "With before “Levels”" and "Levels" not in german.said(
        "With before “Levels”"
    )


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
