"""Commands at the end of the work: check against limits, deliver, take in what was delivered."""

import sys
import time
from pathlib import Path
from typing import Annotated, Any

import typer

from mivex.cli_output import progress, say, say_json
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, named, term
from mivex.core.base.store import check_folder, check_target

Json = Annotated[bool, typer.Option("--json", help="Print one JSON object.")]


def _listed(paths: list[str]) -> list[str]:
    """Paths as given; ``-`` stands for those on standard input, one a line or ended by NUL."""
    rows: list[str] = []
    for p in paths:
        if p != "-":
            rows.append(p)
            continue
        text = sys.stdin.buffer.read().decode("utf-8", "surrogateescape")
        # Only line feeds part names: a name may hold every other character that Unicode calls a line's end.
        parted = text.split("\0") if "\0" in text else (line.removesuffix("\r") for line in text.split("\n"))
        rows += [r for r in parted if r.strip()]
    return rows


def _mended(reports: list[Any], folder: str) -> list[dict[str, Any]]:
    """Write mended copies of what was examined just now; one entry a picture or overlay."""
    from mivex.core.checking.mending import mend_picture, mend_project

    rows: list[dict[str, Any]] = []
    names: set[Path] = set()
    for r in reports:
        if r.problem or not any(map(_repairable, r.findings)):
            continue
        if r.path.lower().endswith(".mivex"):
            rows += mend_project(r.path, Path(folder))
        elif (row := mend_picture(r.path, Path(folder), names)) is not None:
            rows.append(row)
    return rows


def _repairable(finding: dict[str, Any]) -> bool:
    return bool(finding.get("repair")) and finding.get("certainty") != "possible"


def _said(
    reports: list[Any], as_json: bool, mended: list[dict[str, Any]] | None = None, shard: dict[str, Any] | None = None
) -> None:
    from mivex.core.checking.limit_rules import counts

    findings = [f for r in reports for f in r.findings]
    pictures = [p for r in reports for p in r.pictures]
    if as_json:
        say_json(
            {"pictures": pictures, "findings": findings}
            | ({} if mended is None else {"mended": mended})
            | ({} if shard is None else {"shard": shard})
        )
        return
    for r in reports:
        for f in r.findings:
            if counts(f):
                say(
                    Message(
                        "{subject}: {id}: {message}",
                        subject=f.get("overlay") or f.get("path"),
                        id=f["id"],
                        message=f["message"],
                    )
                )
            elif f.get("under") and not f.get("allowed"):
                say(
                    Message(
                        "{subject}:   with {cause}: {id}: {message}",
                        subject=f.get("overlay") or f.get("path"),
                        cause=f["under"],
                        id=f["id"],
                        message=f["message"],
                    )
                )
        for p in r.pictures:
            if "problem" in p:
                say(
                    Message(
                        "{subject}: problem: {problem}", subject=p.get("overlay") or p["path"], problem=term(p["problem"])
                    )
                )
    for row in mended or ():
        for m in row["mended"]:
            say(
                Message(
                    "{subject}: mended: {label} (changes {changed:.1f} of 255) -> {out}",
                    subject=row.get("overlay") or row["path"],
                    label=term(m["label"]),
                    changed=m["changed"],
                    out=row["out"],
                )
            )
    allowed = sum(bool(f.get("allowed")) for f in findings)
    count, found = sum("problem" not in p for p in pictures), sum(map(counts, findings))
    possible = sum(f.get("certainty") == "possible" and not f.get("under") and not f.get("allowed") for f in findings)
    say(
        Message(
            "{count} picture{ending}, {found} finding{ending2}",
            count=count,
            ending=term("" if count == 1 else "s"),
            found=found,
            ending2=term("" if found == 1 else "s"),
        )
        + (Message(", {allowed} allowed", allowed=allowed) if allowed else "")
        + (Message(", {possible} possible", possible=possible) if possible else "")
    )


def _keep_limits(paths: list[str], limits: Any) -> None:
    """Write limits into the projects among paths."""
    from mivex.core.project.file import read_project, write_project

    projects = [p for p in paths if p.lower().endswith(".mivex")]
    if not projects:
        raise MivexError("--keep keeps limits in a project; there is none among the paths.")
    for p in projects:
        write_project(p, read_project(p).model_copy(update={"limits": limits}))


def check(
    paths: Annotated[
        list[str],
        typer.Argument(
            help="Pictures, projects, or results of --json that are brought together; - reads paths from standard input."
        ),
    ],
    as_json: Json = False,
    limits: Annotated[str, typer.Option(metavar="FILE", help="Which findings do not count (TOML).")] = "",
    keep: Annotated[
        bool, typer.Option("--keep", help="Keep these limits in the projects, which are judged by them from then on.")
    ] = False,
    junit: Annotated[str, typer.Option(metavar="OUT.xml", help="Write a JUnit report as well.")] = "",
    shard: Annotated[str, typer.Option(metavar="I/N", help="Only every N-th of the paths, from the I-th on.")] = "",
    receiver: Annotated[
        str, typer.Option(metavar="NAME", help="Judge what this receiver has: a profile's file, or a project's by name.")
    ] = "",
    cluster: Annotated[
        str,
        typer.Option(metavar="ADDRESS", help="On the workers of this Dask scheduler, which share the files."),
    ] = "",
    mend: Annotated[
        str, typer.Option(metavar="DIR", help="Write copies into DIR with every repair that changes nothing seen.")
    ] = "",
) -> None:
    """Measure pictures or projects and list what is wrong."""
    if junit:
        check_target(junit)
    if mend:
        check_folder(mend)
    if receiver.lower().endswith(".json"):
        from mivex.core.project.receiver import read_receiver

        read_receiver(receiver)
    from mivex.core.checking.batch import report_all
    from mivex.core.checking.limit_rules import counted, judged, read_limits, read_result, share_of, together, write_junit

    begun = time.monotonic()
    rules = read_limits(limits) if limits else None
    if keep and rules is None:
        raise MivexError("--keep keeps limits in a project; --limits says which.")
    rows = _listed(paths)
    if not rows:
        raise MivexError("There is nothing to check: no path was given.")
    if shard:
        rows = share_of(rows, shard)
    if keep and rules is not None:
        _keep_limits(rows, rules)
    earlier = together({at: read_result(p) for at, p in enumerate(rows) if p.lower().endswith(".json")})
    fresh = {at: p for at, p in enumerate(rows) if not p.lower().endswith(".json")}
    on_terminal = sys.stderr.isatty() and len(fresh) > 1

    def tell(done: int, of: int) -> None:
        if on_terminal:
            progress(Message("{done} of {of}", done=done, of=of), done == of)

    if cluster:
        from mivex.core.checking.cluster import report_on_cluster

        examined = list(report_on_cluster(list(fresh.values()), cluster, tell, receiver))
    else:
        examined = list(report_all(list(fresh.values()), tell, receiver))
    placed = [*earlier, *zip(fresh, examined, strict=True)]
    reports = [report for _, report in sorted(placed, key=lambda row: row[0])]
    if rules is not None:
        reports = judged(reports, rules)
    if junit:
        write_junit(junit, reports, time.monotonic() - begun)
    mended = _mended(examined, mend) if mend else None
    _said(reports, as_json, mended, {"of": shard, "paths": rows} if shard else None)
    problems = [p for r in reports for p in r.pictures if "problem" in p]
    if problems:
        whose = problems[0].get("overlay") or problems[0]["path"]
        more = Message(" {count} more could not be examined.", count=len(problems) - 1) if len(problems) > 1 else ""
        raise MivexError(Message("{whose}: {problem}{more}", whose=whose, problem=term(problems[0]["problem"]), more=more))
    if counted(reports):
        raise typer.Exit(1)


def deliver(
    project: str,
    folder: Annotated[str, typer.Argument(metavar="DIR")],
    recipe: Annotated[
        str,
        typer.Option(
            metavar="NAME",
            help="Delivery recipe for all of them: key of one that "
            "comes "
            "with Mivex, name of one of the project's, or a file.",
        ),
    ] = "",
    overlay: Annotated[
        list[str] | None, typer.Option(help="Only this overlay, by name or id; may be given several times.")
    ] = None,
    cluster: Annotated[
        str,
        typer.Option(metavar="ADDRESS", help="On the workers of this Dask scheduler, which share the files."),
    ] = "",
    as_json: Json = False,
) -> None:
    """Write every overlay's files by its delivery recipe, read back and compared."""
    from mivex.core.deliver.project import deliver_project
    from mivex.core.project.delivery import read_delivery, recipe_named
    from mivex.core.project.evaluate import Evaluator
    from mivex.core.project.file import read_project
    from mivex.core.project.layering import bakes_folder

    doc = read_project(project)
    only = []
    for name in overlay or ():
        found = [o.id for o in doc.overlays if name in (o.id, o.name)]
        if not found:
            raise MivexError(
                Message(
                    "The project has no overlay “{name}”; it has {names}.",
                    name=name,
                    names=named(", ", (o.name for o in doc.overlays)),
                )
            )
        only += found
    chosen = None
    if recipe:
        chosen = read_delivery(recipe) if recipe.endswith(".json") else recipe_named(recipe, doc.deliveries)
    evaluator = Evaluator(Path(project).resolve().parent)
    evaluator.bakes = bakes_folder(Path(project).resolve())
    on_terminal = sys.stderr.isatty()

    def tell(words: str) -> None:
        if on_terminal:
            progress(words, last=False)

    if cluster:
        from mivex.core.checking.cluster import deliver_on_cluster

        made = deliver_on_cluster(project, folder, cluster, only=only, recipe=chosen, tell=tell)
    else:
        made = deliver_project(doc, evaluator, folder, only=only, recipe=chosen, tell=tell)
    if on_terminal:
        print("\r\033[K", end="", file=sys.stderr, flush=True)
    if as_json:
        say_json(
            {
                "overlays": [
                    {
                        "overlay": d.overlay,
                        "files": [str(p) for p in d.files],
                        "sheet": str(d.sheet),
                        "geometry": [str(p) for p in d.others],
                        "left_out": list(d.left_out),
                        "not_said": made.unsaid.get(d.overlay, []),
                    }
                    for d in made.overlays
                ],
                "read_back": [
                    {
                        "file": c.file,
                        "channel": c.channel,
                        "from": c.source,
                        "difference": c.difference,
                        "least": round(c.low, 6),
                        "greatest": round(c.high, 6),
                        "levels": c.back.levels,
                        "unchanged": not c.back.fresh,
                    }
                    for d in made.overlays
                    for c in d.table
                ],
                "motion": [str(p) for p in made.motion],
                "proof": str(made.proof) if made.proof else None,
            }
        )
        return
    for d in made.overlays:
        say("  ".join(str(p) for p in (*d.files, d.sheet, *d.others)))
        for words in d.left_out:
            say(Message("  left out, since no file of its recipe holds it: {words}", words=term(words)))
    for path in (*made.motion, *([made.proof] if made.proof else [])):
        say(path)
    rows = [c for d in made.overlays for c in d.table]
    same = len({c.file for c in rows if not c.back.fresh})
    say(
        Message(
            "{count} pictures, {count2} channels read back, largest difference {value:g}",
            count=len({c.file for c in rows}),
            count2=len(rows),
            value=max((c.difference for c in rows), default=0),
        )
        + (Message("; {same} unchanged", same=same) if same else "")
    )


def desktop(remove: Annotated[bool, typer.Option("--remove", help="Take them away again.")] = False) -> None:
    """Put Mivex into the desktop's menu, with its kind of file and its icon."""
    from mivex.core.installation.desktop_entry import install
    from mivex.core.installation.desktop_entry import remove as take_away

    for path in take_away() if remove else install():
        say(path)
