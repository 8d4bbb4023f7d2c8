"""Run every benchmark three times and write the table: ``make bench``, or ``python -m benchmarks [name ...] [--once]``.

``--once`` runs each once, prints, and writes nothing.
"""

import importlib
import pkgutil
import sys

import benchmarks
from benchmarks import table
from benchmarks.timing import FIGURES

RUNS = 3
TOOLS = ("__main__", "timing", "table")


def main() -> None:
    """Run the named benchmarks, or all."""
    found = [m.name for m in pkgutil.iter_modules(benchmarks.__path__) if m.name not in TOOLS]
    once = "--once" in sys.argv[1:]
    names = [a for a in sys.argv[1:] if a != "--once"] or found
    at = table.commit()
    for name in names:
        runs = []
        for number in range(1 if once else RUNS):
            print(f"\n{name}" + ("" if once else f", run {number + 1} of {RUNS}"), flush=True)
            FIGURES.clear()
            importlib.import_module(f"benchmarks.{name}").main()
            runs.append(list(FIGURES))
        if not once and runs[0]:
            table.write(table.merged(table.known(), name, runs, at))


if __name__ == "__main__":
    main()
