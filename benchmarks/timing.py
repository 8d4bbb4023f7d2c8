"""Medians of interleaved runs: the machine's mood meets both sides alike."""

import time
from collections.abc import Callable
from dataclasses import dataclass
from statistics import median


@dataclass(frozen=True)
class Figure:
    """One comparison of one run, in milliseconds."""

    what: str
    ours: float
    baseline: str
    theirs: float
    aim: str


FIGURES: list[Figure] = []
"""What has been measured so far in this process."""


def medians(rounds: int, *jobs: Callable[[], object]) -> list[float]:
    """Median milliseconds of each job over ``rounds``, after one run to warm up; jobs take turns."""
    for job in jobs:
        job()
    times: list[list[float]] = [[] for _ in jobs]
    for _ in range(rounds):
        for job, row in zip(jobs, times, strict=True):
            start = time.perf_counter()
            job()
            row.append((time.perf_counter() - start) * 1e3)
    return [median(row) for row in times]


def line(what: str, ours: float, baseline: str, theirs: float, aim: str) -> None:
    """Print one comparison, and keep it for the table."""
    FIGURES.append(Figure(what, ours, baseline, theirs, aim))
    print(f"  {what}: {ours:.1f} ms; {baseline}: {theirs:.1f} ms; ratio {ours / theirs:.2f} (aim: {aim})", flush=True)
