"""The gate for pipelines: which findings count, results of many machines as one, and reports for build servers."""

import fnmatch
import json
import re
import tomllib
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import Any
from xml.etree import ElementTree

from pydantic import ValidationError

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.paths import read_bytes, shown
from mivex.core.base.store import write_bytes
from mivex.core.checking.batch import Report
from mivex.core.checking.judging import by_limits
from mivex.core.findings import CHECKS
from mivex.core.project.limits import Limits
from mivex.core.project.recipe import explain

RESULT_LIMIT = 1 << 30
"""Bytes of a result that is merged."""


def read_limits(path: str | Path) -> Limits:
    """Read a file of limits (TOML); raises MivexError with one sentence."""
    path = Path(path)
    try:
        tree = tomllib.loads(read_bytes(path).decode("utf-8-sig"))
    except (ValueError, RecursionError):
        raise MivexError(Message("“{name}” is not a TOML text.", name=shown(path.name))) from None
    try:
        made = Limits.model_validate(tree)
    except ValidationError as e:
        raise MivexError(explain(e, f"“{path.name}”")) from None
    for rule in (made, *made.where):
        if rule.model_extra:
            raise MivexError(
                Message(
                    "“{name}”: limits have no setting “{model_extra}”.",
                    name=path.name,
                    model_extra=sorted(rule.model_extra)[0],
                )
            )
        for name in (*rule.allow, *rule.at_most):
            if not fnmatch.filter(list(CHECKS), name):
                raise MivexError(Message("“{name}”: there is no finding “{name2}”.", name=path.name, name2=name))
    return made


def judged(reports: Sequence[Report], limits: Limits) -> list[Report]:
    """The same reports; findings that do not count are marked ``allowed``, and pictures that are too large found."""
    return [Report(r.path, r.pictures, by_limits(r.findings, r.pictures, limits), r.problem) for r in reports]


def counts(finding: Mapping[str, Any]) -> bool:
    """Whether a finding of ``mivex check`` is one that a build fails on: likely, not allowed, not due to another."""
    return not finding.get("allowed") and finding.get("certainty") != "possible" and not finding.get("under")


def counted(reports: Iterable[Report]) -> list[dict[str, Any]]:
    """The findings that count: those that the limits do not allow and that are more than possible."""
    return [f for r in reports for f in r.findings if counts(f)]


def share_of(paths: Sequence[str], text: str) -> list[str]:
    """The paths of one shard of several: ``I/N``; raises MivexError."""
    first, of = _shard(text)
    return list(paths[first - 1 :: of])


def _shard(text: str) -> tuple[int, int]:
    """Which shard, from 1 on, and of how many; raises MivexError."""
    found = re.fullmatch(r"(\d{1,6})/(\d{1,6})", text)
    if not found or not 1 <= int(found[1]) <= int(found[2]):
        raise MivexError(Message("--shard takes I/N, from 1/N to N/N, not “{text}”.", text=text))
    return int(found[1]), int(found[2])


@dataclass(frozen=True)
class Result:
    """What ``mivex check --json`` printed earlier.

    Attributes
    ----------
    reports : list of Report
        In the order in which they were printed.
    of : int
        Of how many shards this is one; 0 if it is none.
    places : list of int
        Of each report: its place among the paths of all shards; its place in this result if it is no shard.
    """

    reports: list[Report]
    of: int
    places: list[int]


def read_result(path: str) -> Result:
    """What ``mivex check --json`` printed earlier; raises MivexError."""
    name = shown(Path(path).name)
    text = read_bytes(path, RESULT_LIMIT, "result")
    try:
        tree = json.loads(text)
        rows: dict[str, Report] = {}

        def report(row: dict[str, Any]) -> Report:
            key = str(row.get("file") or row.get("path") or row.get("overlay") or "")
            return rows.setdefault(key, Report(key))

        if not all(isinstance(p, dict) and isinstance(p.get("path") or p.get("overlay"), str) for p in tree["pictures"]):
            raise ValueError  # of whom, is not said
        for p in tree["pictures"]:
            r = report(dict(p))
            r.pictures.append(dict(p))
            r.problem = r.problem or str(p.get("problem", ""))
        for f in tree["findings"]:
            if not {"id", "figure", "message"} <= set(f) or not all(isinstance(f[k], str) for k in ("id", "message")):
                raise ValueError
            float(f["figure"])
            report(dict(f)).findings.append(dict(f))
        if "shard" not in tree:
            return Result(list(rows.values()), 0, list(range(len(rows))))
        first, of = _shard(str(tree["shard"]["of"]))
        # What cannot be read is named as it can be printed.
        given = {name: at for at, p in enumerate(tree["shard"]["paths"]) for name in (shown(str(p)), str(p))}
        return Result(list(rows.values()), of, [given.get(p, len(given)) * of + first - 1 for p in rows])
    except (MivexError, ValueError, KeyError, TypeError, AttributeError, RecursionError):
        raise MivexError(Message("“{name}” is no result of “mivex check --json”.", name=name)) from None


def together(results: Mapping[int, Result]) -> list[tuple[int, Report]]:
    """Reports of many results as one list, each with the place where it belongs.

    Parameters
    ----------
    results : mapping of int to Result
        By their place among what was given.

    Returns
    -------
    list of (int, Report)
        Shards of one run stand where the first of them was given, in the order of the paths that were shared out.
        What two results tell in the same words is told once: it is one result given twice.
    """
    starts: dict[int, int] = {}
    rows: list[tuple[int, int, Report]] = []
    told: dict[str, int] = {}
    for at, result in results.items():
        start = starts.setdefault(result.of, at) if result.of else at
        for place, report in zip(result.places, result.reports, strict=True):
            words = json.dumps([report.path, report.pictures, report.findings], sort_keys=True)
            if told.setdefault(words, at) == at:
                rows.append((start, place, report))
    return [(start, report) for start, _, report in sorted(rows, key=lambda row: row[:2])]


def _text(value: object) -> str:
    """Text that XML can hold."""
    return re.sub(r"[^\t\n\r\x20-\ud7ff\ue000-\ufffd\U00010000-\U0010ffff]", "\N{REPLACEMENT CHARACTER}", str(value))


def junit(reports: Sequence[Report], seconds: float = 0.0) -> bytes:
    """Reports as JUnit XML: a case for each picture or overlay; what counts is a failure, what cannot be read an error."""
    suite = ElementTree.Element("testsuite", name="mivex check", time=f"{seconds:.3f}")
    cases = failures = errors = 0
    for r in reports:
        by_name: dict[str, list[dict[str, Any]]] = {}
        for p in r.pictures:
            by_name.setdefault(str(p.get("overlay") or p.get("path") or r.path), [])
        for f in r.findings:
            by_name.setdefault(str(f.get("overlay") or f.get("effect") or f.get("path") or r.path), []).append(f)
        problems = {str(p.get("overlay") or p.get("path") or r.path): p["problem"] for p in r.pictures if "problem" in p}
        for name, findings in by_name.items():
            case = ElementTree.SubElement(suite, "testcase", classname=_text(shown(r.path)), name=_text(shown(name)))
            cases += 1
            bad = [f for f in findings if counts(f)]
            for f in bad:
                ElementTree.SubElement(case, "failure", type=_text(f["id"]), message=_text(f["message"])).text = _text(
                    f.get("why", "")
                )
            failures += bool(bad)
            if name in problems:
                ElementTree.SubElement(case, "error", type="problem", message=_text(problems[name]))
                errors += 1
    suite.set("tests", str(cases))
    suite.set("failures", str(failures))
    suite.set("errors", str(errors))
    ElementTree.indent(suite)
    return ElementTree.tostring(suite, encoding="utf-8", xml_declaration=True) + b"\n"


def write_junit(path: str | Path, reports: Sequence[Report], seconds: float = 0.0) -> None:
    """Write a JUnit report, atomically; raises MivexError."""
    write_bytes(path, junit(reports, seconds))
