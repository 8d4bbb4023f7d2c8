"""Run every benchmark: ``make bench``, or ``python -m benchmarks [name ...]``."""

import importlib
import pkgutil
import sys

import benchmarks


def main() -> None:
    """Run the named benchmarks, or all."""
    found = [m.name for m in pkgutil.iter_modules(benchmarks.__path__)]
    names = sys.argv[1:] or [n for n in found if n not in ("__main__", "timing")]
    for name in names:
        print(f"\n{name}", flush=True)
        importlib.import_module(f"benchmarks.{name}").main()


if __name__ == "__main__":
    main()
