"""Meets hostile files quickly: loads the command line once, then forks for each; started by the tests.

Reads lines of JSON (arguments, state folder, seconds), answers with exit code, output, complaint and peak megabytes.
"""

import json
import os
import select
import signal
import sys
import time


def run(args, home):
    """In the child: do it, and leave with its exit code."""
    os.setpgid(0, 0)
    os.environ["XDG_STATE_HOME"] = home
    from mivex import cli

    sys.argv = ["mivex", *args]
    cli.main()


def resident(group):
    """Megabytes of all processes of a group."""
    total = 0
    for p in filter(str.isdigit, os.listdir("/proc")):
        try:
            if os.getpgid(int(p)) == group:
                with open(f"/proc/{p}/statm") as f:
                    total += int(f.read().split()[1]) * os.sysconf("SC_PAGE_SIZE")
        except (OSError, ValueError):
            pass
    return total >> 20


def meet(args, home, seconds, most):
    """Fork, watch, gather."""
    out_r, out_w = os.pipe()
    err_r, err_w = os.pipe()
    child = os.fork()
    if child == 0:
        os.dup2(out_w, 1)
        os.dup2(err_w, 2)
        null = os.open(os.devnull, os.O_RDONLY)
        os.dup2(null, 0)
        run(args, home)
        os._exit(99)
    os.close(out_w)
    os.close(err_w)
    said, begun, peak, code, open_ends = {out_r: b"", err_r: b""}, time.monotonic(), 0, None, {out_r, err_r}
    while open_ends or code is None:
        ready, _, _ = select.select(list(open_ends), [], [], 0.03)
        for end in ready:
            part = os.read(end, 1 << 16)
            said[end] += part
            if not part:
                open_ends.discard(end)
        if code is None:
            peak = max(peak, resident(child))
            if peak > most or time.monotonic() - begun > seconds:
                os.killpg(child, signal.SIGKILL)
            done, status = os.waitpid(child, os.WNOHANG if open_ends else 0)
            code = os.waitstatus_to_exitcode(status) if done else None
        elif not ready:
            break  # a grandchild holds the pipe: it is not waited for
    for end in said:
        os.close(end)
    return code, said[out_r].decode("utf8", "replace"), said[err_r].decode("utf8", "replace"), peak


def main():
    """Load what every command needs, then answer."""

    answers = os.dup(1)
    for line in sys.stdin:
        asked = json.loads(line)
        answer = meet(asked["args"], asked["home"], asked["seconds"], asked["most"])
        os.write(answers, json.dumps(answer).encode() + b"\n")


if __name__ == "__main__":
    main()
