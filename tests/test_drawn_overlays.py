"""Overlays that begin as SVG files, drawings and channels of another."""

from PySide6.QtTest import QTest
from test_window import controls_of, drop

from mivex.ui.shell.app import wait_until_idle


def test_drawn_overlays_svg_files_and_split_channels(window, tmp_path):
    (tmp_path / "mark.svg").write_text(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><rect width="40" height="20" fill="#c33"/></svg>'
    )
    (tmp_path / "bad.svg").write_text("<html></html>")
    drop(window, tmp_path / "mark.svg", tmp_path / "bad.svg")
    s = window.session
    assert "not really an SVG" in window.notice.text() and len(s.doc.overlays) == 1
    t = window.engine.get(s.overlay_id).texture
    assert (t.width, t.height) == (512, 256) and t.alpha.max() == 1
    assert s.overlay.steps[0].step == "shape" and s.overlay.kind == "logo"
    changed = t.key
    (tmp_path / "mark.svg").write_text((tmp_path / "mark.svg").read_text().replace("#c33", "#3c3"))
    for _ in range(100):
        QTest.qWait(20)
        wait_until_idle(window)
        if window.engine.get(s.overlay_id).texture.key != changed:
            break
    assert window.engine.get(s.overlay_id).texture.values[128, 256, 1] > 0.7  # watched and drawn again
    window.add_blank()
    wait_until_idle(window)
    assert s.overlay.steps[0].step == "text" and window.engine.get(s.overlay_id).texture.alpha.max() == 1
    canvas = next(f for f in controls_of(window) if f.name == "Canvas width")
    canvas.bar.put(1024)
    wait_until_idle(window)
    assert window.engine.get(s.overlay_id).texture.width == 1024
    count = len(s.doc.overlays)
    window.split_channels()
    wait_until_idle(window)
    made = s.doc.overlays[count:]
    assert [o.steps[-1].take for o in made] == ["red", "green", "blue", "alpha"]
    greys = [window.engine.get(o.id).texture.values for o in made]
    assert all((v[..., 0] == v[..., 1]).all() and (v[..., 1] == v[..., 2]).all() for v in greys)
    s.undo()
    assert len(s.doc.overlays) == count
