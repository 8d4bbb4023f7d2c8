#!/bin/sh
# Creates .venv and installs exactly what requirements.lock pins, checked by hash.
# A missing system library is named in one line with the command that installs it.
set -eu
python=${1:-python3}
fail() { echo "mivex: $1" >&2; exit 1; }

command -v "$python" >/dev/null 2>&1 || fail "Python 3.11 or newer is missing; install it with: sudo apt-get install -y python3 python3-venv"
"$python" -c 'import sys; sys.exit(sys.version_info < (3, 11))' || fail "Mivex needs Python 3.11 or newer; this is $("$python" --version)."
"$python" -c 'import venv, ensurepip' 2>/dev/null || fail "Python's venv module is missing; install it with: sudo apt-get install -y python3-venv"
"$python" tools/system_libraries.py

echo "Setting up .venv (a few minutes the first time) …"
rm -f .venv/ready
[ -x .venv/bin/python ] || "$python" -m venv .venv
.venv/bin/python -m pip install --quiet --disable-pip-version-check --require-hashes -r requirements.lock \
    || fail "the packages in requirements.lock could not be installed; see the lines above."
.venv/bin/python -m pip install --quiet --disable-pip-version-check --no-deps --no-build-isolation -e . \
    || fail "the package mivex could not be installed; see the lines above."
touch .venv/ready
echo "Set up."
