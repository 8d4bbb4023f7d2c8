"""Findings that somebody looked at and let stand, with the reason; kept in the project."""

import hashlib
from collections.abc import Iterable
from dataclasses import replace
from pathlib import Path

from mivex.core.base.messages import Message
from mivex.core.findings.finding import Finding
from mivex.core.project.document import Document, Ignored
from mivex.core.project.file import absolute


def digest_of(path: str | Path) -> str:
    """A short name of what a file holds; empty where it cannot be read."""
    try:
        return hashlib.blake2b(Path(path).read_bytes(), digest_size=12).hexdigest()
    except OSError:
        return ""


def ignored_in(doc: Document, folder: str | Path, path: str | Path) -> Ignored | None:
    """What is ignored of a picture file; None where it is not listed, or holds another picture than it did.

    Parameters
    ----------
    doc : Document
    folder : str or Path
        What the document's paths are relative to.
    path : str or Path
        The file; absolute, or relative to ``folder``.
    """
    whole = absolute(str(path), folder)
    row = next((r for r in doc.ignored if absolute(r.path, folder) == whole), None)
    return row if row is not None and row.digest == digest_of(whole) else None


def ignore(doc: Document, path: str, findings: Iterable[str], reason: str, digest: str) -> Document:
    """Let findings of a picture file stand; what was ignored of it before is replaced. None: they count again."""
    rows = tuple(r for r in doc.ignored if r.path != path)
    ids = tuple(dict.fromkeys(findings))
    if ids:
        rows = (*rows, Ignored(path=path, findings=ids, reason=reason, digest=digest))
    return doc.model_copy(update={"ignored": rows})


def settled(findings: Iterable[Finding], row: Ignored | None) -> tuple[Finding, ...]:
    """The findings of a picture; those that are ignored are possible only, and say why."""
    if row is None:
        return tuple(findings)
    return tuple(
        replace(f, certainty="possible", under="", why=f.why + Message("  Ignored: {reason}", reason=row.reason))
        if f.id in row.findings
        else f
        for f in findings
    )
