"""The table that the benchmarks write: medians of three runs, and what counts as worse."""

from benchmarks.table import merged, words
from benchmarks.timing import Figure


def runs(*ratios, what="drawn", base="the same plainly"):
    return [[Figure(what, 10.0 * r, base, 10.0, "1")] for r in ratios]


def test_a_figure_is_worse_only_beyond_what_three_runs_spread():
    first = merged({}, "stage", runs(1.0, 1.1, 0.98), "abc")
    assert first["stage"]["drawn"]["ratio"] == 1.0 and "worse" not in first["stage"]["drawn"]
    same = merged(first, "stage", runs(1.1, 1.09, 1.12), "def")
    assert same["stage"]["drawn"]["worse"] is False and same["stage"]["drawn"]["before"] == 1.0
    slow = merged(first, "stage", runs(1.3, 1.31, 1.29), "def")
    assert slow["stage"]["drawn"]["worse"] is True and "**worse**" in words(slow)
    # Another baseline is another figure; other benchmarks stay as they were.
    other = merged(slow | {"order": {}}, "stage", runs(9.0, 9.0, 9.0, base="something else"), "0a1")
    assert "worse" not in other["stage"]["drawn"] and "order" in other
    assert words(other).count("| drawn |") == 1 and "0a1" in words(other)
