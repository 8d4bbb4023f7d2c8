# The two commands: make demo, make test. Each first sets up .venv from the hashed lock.
PYTHON ?= python3
BIN := .venv/bin

.PHONY: demo test setup lint bench warm

demo: warm
	@$(BIN)/mivex demo

test: warm
	@$(BIN)/python -m pytest

bench: warm
	@$(BIN)/python -m benchmarks

lint: .venv/ready
	@$(BIN)/ruff check .
	@$(BIN)/ruff format --check -q . || (echo 'Run .venv/bin/ruff format .'; exit 1)
	@$(BIN)/python -m tools.texts
	@$(BIN)/mypy
	@$(BIN)/python -m pytest --collect-only -q >.collected.txt || (tail -20 .collected.txt; exit 1); rm -f .collected.txt
	@$(BIN)/lint-imports --no-cache >.lint-imports.txt || (cat .lint-imports.txt; exit 1); tail -2 .lint-imports.txt; rm -f .lint-imports.txt

setup: warm

warm: .venv/ready
	@$(BIN)/python -m compileall -q mivex
	@$(BIN)/python -m mivex.core.installation.compilation

.venv/ready: requirements.lock pyproject.toml tools/setup.sh
	@sh tools/setup.sh $(PYTHON)
