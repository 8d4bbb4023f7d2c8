"""A page that draws: one file that asks for nothing else, for any browser."""

import json
from collections.abc import Mapping
from pathlib import Path
from typing import Any

from mivex import __version__
from mivex.core.base.messages import Message

PAGES = Path(__file__).parent.parent / "assets" / "pages"
_PARTS = PAGES / "viewer"
SHADERS = ("surface", "light", "passes")


def _text(name: str) -> str:
    return (_PARTS / name).read_text(encoding="utf-8")


def viewer(scene: Mapping[str, Any]) -> tuple[str, str]:
    """What draws a scene within a page: its body, and its style."""
    from jinja2 import Environment

    told = dict(scene) | {"shaders": {name: _text(f"{name}.glsl") for name in SHADERS}}
    # Names may hold anything: “</script>” in one of them must not end the scene.
    data = json.dumps(told, separators=(",", ":"), ensure_ascii=True).replace("<", "\\u003c")
    scripts = {name: _text(f"{name}.js") for name in ("engine", "drawing", "motion", "particles", "app")}
    body = Environment(autoescape=False).from_string(_text("viewer.html")).render(scene=data, **scripts)
    return body, _text("viewer.css")


def stage_page(scene: Mapping[str, Any], title: str) -> str:
    """A page of its own with the scene, and nothing else.

    Parameters
    ----------
    scene : mapping
        As `mivex.core.page.scene.page_scene` gives it.
    title : str
    """
    from jinja2 import Environment, FileSystemLoader
    from markupsafe import Markup

    body, css = viewer(scene)
    env = Environment(loader=FileSystemLoader(PAGES), autoescape=True)
    words = Message("{count} overlays. Written by Mivex {version}.", count=len(scene["overlays"]), version=__version__)
    return env.get_template("stage.html").render(title=title, words=words, css=Markup(css), viewer=Markup(body)) + "\n"
