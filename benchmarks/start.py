"""(d) From starting the program to a painted window, kernels cached."""

import os
import subprocess
import sys
import time

from benchmarks.timing import line

_CODE = """
import sys
from PySide6.QtCore import QTimer
{imports}
app = application()
w = Window()
w.show()
app.processEvents()
print("shown", flush=True)
"""
_BARE = """
from PySide6.QtWidgets import QApplication, QMainWindow
app = QApplication([])
w = QMainWindow()
w.resize(1280, 800)
w.show()
app.processEvents()
print("shown", flush=True)
"""


def _once(code: str) -> float:
    env = {"QT_QPA_PLATFORM": "offscreen", **os.environ}
    start = time.perf_counter()
    with subprocess.Popen([sys.executable, "-c", code], stdout=subprocess.PIPE, env=env) as p:
        assert p.stdout is not None
        p.stdout.readline()
        took = (time.perf_counter() - start) * 1e3
        p.kill()
    return took


def main() -> None:
    """Measure."""
    code = _CODE.format(imports="from mivex.ui.shell.app import application\nfrom mivex.ui.shell.window import Window")
    _once(code)
    ours = sorted(_once(code) for _ in range(5))[2]
    bare = sorted(_once(_BARE) for _ in range(5))[2]
    line("window visible", ours, "an empty Qt window from Python", bare, "3000 ms")
