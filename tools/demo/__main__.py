"""``python -m tools.demo`` draws the demo's pictures anew. Seeded: the same each time; the results are committed."""

from tools.demo import moving, still

still.draw()
moving.draw()
