"""What the documents say is what the program does: generated pages are current, shown commands are there."""

import re
from pathlib import Path

import pytest
import typer

from mivex.cli import app
from tools import reference

ROOT = Path(__file__).parent.parent
PAGES = (ROOT / "README.md", ROOT / "CONTRIBUTING.md", *sorted((ROOT / "docs").glob("*.md")))


def shown_commands():
    """Commands in the pages, in blocks and in running text, each with its page."""
    for page in PAGES:
        text = page.read_text("utf-8")
        for words in re.findall(r"^(?:\.venv/bin/)?(mivex .*)$|`(mivex [^`]+)`", text, re.M):
            yield page.name, next(filter(None, words))


def test_the_reference_is_what_the_program_says(tmp_path):
    said, now = reference.PAGE.read_text("utf-8"), reference.page(reference.example(tmp_path))
    assert said == now, "run .venv/bin/python -m tools.reference"


@pytest.mark.parametrize(("page", "words"), sorted(set(shown_commands())))
def test_a_shown_command_has_the_verb_and_the_options_that_it_shows(page, words):
    command, said = typer.main.get_command(app), words.split("  ")[0].split()[1:]
    while said and said[0] in getattr(command, "commands", {}):
        command = command.commands[said.pop(0)]
    assert not getattr(command, "commands", {}) or not said or said[0].startswith(("[", "…", "--")), words
    known = {o for p in command.params for o in (*p.opts, *p.secondary_opts)} | {"--help", "--version"}
    assert set(re.findall(r"--[a-z-]+", " ".join(said))) <= known, (page, words)
