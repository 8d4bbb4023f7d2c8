"""Strokes on the surface of a mesh: shortest ways in closed form, edges, seams, poles, other sizes and UVs."""

import itertools

import numpy as np
import pytest
from scipy.ndimage import map_coordinates
from scipy.spatial import KDTree
from scipy.special import ndtr

from mivex.core.layers.laying import pattern_laid
from mivex.core.layers.model import ChannelSource, Layer, Mask, MaskPart, Stack, UvTransform
from mivex.core.layers.painting import Paint, painted
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.material.material import Mapping, Material
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.stage.baking import spots_of
from mivex.core.stage.mesh import Mesh, joined
from mivex.core.stage.placements_model import MeshPlace
from mivex.core.stage.space_patterns import pattern_in_space
from mivex.core.stage.surface_pulls import SurfaceBrush
from mivex.core.stage.surface_strokes import SurfaceCover, across_edges, texel_owners

AS_IT_IS = np.eye(2, 3)


def cube(pad=0.03):
    """Six sides of 1 m, each an island of its own in an atlas of three by two."""
    position, normal, uv, index = [], [], [], []
    for k, (d, sign) in enumerate(itertools.product(range(3), (1, -1))):
        n, r = np.eye(3)[d] * sign, np.eye(3)[(d + 1) % 3]
        u = np.cross(n, r)
        first = len(position)
        position += [(n - r + u) / 2, (n - r - u) / 2, (n + r - u) / 2, (n + r + u) / 2]
        normal += [n] * 4
        corners = ((pad, pad), (pad, 1 - pad), (1 - pad, 1 - pad), (1 - pad, pad))
        uv += [((k % 3 + a) / 3, (k // 3 + b) / 2) for a, b in corners]
        index += [(first, first + 1, first + 2), (first, first + 2, first + 3)]
    return Mesh(np.array(position), np.array(normal), np.array(uv), np.array(index))


def ball(across=64, down=32):
    """A sphere with a seam and two poles."""
    v, u = np.mgrid[: down + 1, : across + 1]
    theta, phi = v / down * np.pi, u / across * 2 * np.pi
    p = np.stack([np.sin(theta) * np.cos(phi), np.cos(theta), -np.sin(theta) * np.sin(phi)], -1).reshape(-1, 3)
    rows = [(j * (across + 1) + i, (j + 1) * (across + 1) + i) for j in range(down) for i in range(across)]
    index = [t for a, b in rows for t in ((a, b, b + 1), (a, b + 1, a + 1))]
    return Mesh(p, p.copy(), np.stack([u / across, v / down], -1).reshape(-1, 2), np.array(index))


def ring(shift=0.0):
    """A torus of radii 1 and 0.4; ``shift`` turns where its UVs begin, both ways."""
    n, m = 48, 24
    v, u = np.mgrid[: m + 1, : n + 1]
    a, b = (u / n + shift) * 2 * np.pi, (v / m + shift) * 2 * np.pi
    normal = np.stack([np.cos(b) * np.cos(a), np.sin(b), -np.cos(b) * np.sin(a)], -1).reshape(-1, 3)
    p = np.stack([np.cos(a), 0 * a, -np.sin(a)], -1).reshape(-1, 3) + 0.4 * normal
    rows = [(j * (n + 1) + i, (j + 1) * (n + 1) + i) for j in range(m) for i in range(n)]
    index = [t for x, y in rows for t in ((x, x + 1, y + 1), (x, y + 1, y))]
    return Mesh(p, normal, np.stack([u / n, v / m], -1).reshape(-1, 2), np.array(index))


def stroke(places, across, form="hard", **more):
    tip = {"form": form, "presses": "nothing", **more.pop("tip", {})}
    places = tuple((*p, 1.0) if len(p) == 6 else tuple(p) for p in places)
    return PaintStroke(surface=places, across=across, tip=Tip(**tip), values={"opacity": 1.0}, **more)


def cover(mesh, s, size, rows=AS_IT_IS):
    made = SurfaceCover(mesh, size, 0, rows, lambda _: np.ones((8, 8), np.float32))
    made.lay(s)
    return made.values


def sides(mesh, values):
    """Positions, normals and what is there, of the texels that have a face."""
    spots = spots_of(mesh, values.shape)
    return spots.position, np.round(spots.normal, 6), values[spots.rows, spots.columns].astype(float)


def unfolded(start, normal, position, normals):
    """Length of the shortest way over a cube, by unfolding every sequence of up to four sides."""
    best = np.full(len(position), np.inf)

    def go(n, turn, move, left, gates):
        mine = np.abs(normals - n).max(axis=1) < 1e-6
        q = position[mine] @ turn.T + move
        open_ = np.ones(len(q), bool)
        for a, b in gates:  # the straight line goes through each edge
            d, e = q - start, b - a
            over = np.cross(d, e) @ normal
            over = np.where(np.abs(over) < 1e-15, 1e-15, over)
            s = np.cross(np.broadcast_to(a - start, d.shape), d) @ normal / over
            open_ &= (s >= -1e-9) & (s <= 1 + 1e-9)
        best[mine] = np.minimum(best[mine], np.where(open_, np.linalg.norm(q - start, axis=1), np.inf))
        for d, sign in itertools.product(range(3), (1, -1)) if left else ():
            other = np.eye(3)[d] * sign
            if abs(other @ n) > 0.5:
                continue
            axis, at = np.cross(n, other), (n + other) / 2
            k = np.array([[0, -axis[2], axis[1]], [axis[2], 0, -axis[0]], [-axis[1], axis[0], 0]])
            back = np.eye(3) - k + k @ k  # a quarter turn that lays the other side flat
            ends = [turn @ (at + s * axis / 2) + move for s in (-1, 1)]
            go(other, turn @ back, turn @ (at - back @ at) + move, left - 1, [*gates, ends])

    go(normal, np.eye(3), np.zeros(3), 3, [])
    return best


def hard(d, r, texel):
    return np.clip(np.minimum(d / texel + 0.5, r / texel) - np.maximum(d / texel - 0.5, -r / texel), 0, 1)


@pytest.mark.parametrize(
    ("d", "sign", "e", "sign2"), [c for c in itertools.product(range(3), (1, -1), range(3), (1, -1)) if c[0] != c[2]]
)
def test_a_dab_by_each_edge_of_a_cube_is_round_on_both_sides(d, sign, e, sign2):
    """Twelve edges from both sides: the tip is as round as on paper folded round the edge, and nothing else is touched."""
    mesh, size = cube(), (256, 384)
    n, other = np.eye(3)[d] * sign, np.eye(3)[e] * sign2
    start = n / 2 + other * 0.43 + np.eye(3)[3 - d - e] * 0.07
    got = cover(mesh, stroke([(*start, *n)], 0.4), size)
    position, normals, seen = sides(mesh, got)
    want = hard(unfolded(start, n, position, normals), 0.2, 0.94**-1 / 128)
    assert np.abs(seen - want).max() < 2e-6
    over = (np.abs(normals - other).max(axis=1) < 1e-6) & (seen > 0)
    assert 0.2 < over.sum() / (seen > 0).sum() < 0.5
    # Beyond an island stands what its own border holds, as far as filtering reads.
    inside = spots_of(mesh, size).face >= 0
    assert got[~inside].max() > 0.9


@pytest.mark.parametrize("start", [(0.5, 0.42, 0.4), (0.5, 0.499, 0.499), (0.5, 0.2, 0.4), (0.5, 0.0, 0.0)])
def test_a_dab_over_a_corner_takes_the_shortest_way_to_every_texel(start):
    mesh, n = cube(), np.array([1.0, 0, 0])
    position, normals, seen = sides(mesh, cover(mesh, stroke([(*start, *n)], 0.7), (256, 384)))
    want = hard(unfolded(np.array(start), n, position, normals), 0.35, 0.94**-1 / 128)
    assert np.abs(seen - want).max() < 2e-6


@pytest.mark.parametrize("at", [(1, 0.05, 0.0), (0.7, 0.7, 0.1), (0.05, 1, 0.02), (0, -1, 0), (-0.3, 0.2, 0.8)])
def test_a_dab_on_a_ball_is_a_circle_over_seam_and_pole(at):
    mesh = ball()
    n = np.array(at, float) / np.linalg.norm(at)
    position, _, seen = sides(mesh, cover(mesh, stroke([(*n, *n)], 0.8, "soft"), (256, 512)))
    d = np.arccos(np.clip(position @ n / np.linalg.norm(position, axis=1), -1, 1))
    z = np.clip(d / 0.4, 0, 1)
    real = np.hypot(position[:, 0], position[:, 2]) > 0.05  # at a pole a row of texels is one place
    assert np.abs(seen - (1 - z * z * (3 - 2 * z)))[real].max() < 0.06


def test_other_uvs_and_other_sizes_draw_the_same_stroke():
    """Round the ring, over both of its seams: as much of the surface is covered, in the same places."""
    a = np.linspace(-0.8, 0.9, 40)
    n = np.stack([np.cos(3 * a) * np.cos(a), np.sin(3 * a), -np.cos(3 * a) * np.sin(a)], -1)
    p = np.stack([np.cos(a), 0 * a, -np.sin(a)], -1) + 0.4 * n
    s = stroke(np.concatenate([p, n], axis=1), 0.15)
    dense = np.stack([np.interp(np.linspace(0, 39, 1500), np.arange(40), p[:, k]) for k in range(3)], axis=1)
    shares = []
    for mesh, size in ((ring(), (256, 512)), (ring(0.37), (256, 512)), (ring(), (512, 384)), (ring(), (1024, 1024))):
        position, _, seen = sides(mesh, cover(mesh, s, size))
        far = KDTree(dense).query(position)[0]
        weight = np.hypot(position[:, 0], position[:, 2])  # area of a texel on a torus
        shares.append((seen * weight).sum() / weight.sum())
        assert seen[far > 0.09].max() == 0 and seen[far < 0.06].min() == 1
    assert np.ptp(shares) < 0.01 * np.mean(shares)


def test_along_a_stroke_the_middle_is_even_at_every_pressure_and_over_an_edge():
    mesh = cube()
    for pressure, form in itertools.product((0.3, 0.6, 1.0), ("soft", "hard")):
        places = [
            (0.5, -0.3, 0.1, 1, 0, 0, pressure),
            (0.5, 0.5, 0.1, 0.7, 0.7, 0, pressure),
            (-0.3, 0.5, 0.1, 0, 1, 0, pressure),
        ]
        position, _, seen = sides(mesh, cover(mesh, stroke(places, 0.6, form, tip={"presses": "size"}), (512, 768)))
        on = (np.abs(position[:, 2] - 0.1) < 0.004) & (
            ((position[:, 0] > 0.499) & (position[:, 1] > -0.28)) | ((position[:, 1] > 0.499) & (position[:, 0] > -0.28))
        )
        assert seen[on].min() > 0.98 and np.ptp(seen[on]) < 0.02


def test_parts_that_touch_stay_apart_and_a_thin_wall_has_two_sides():
    lower, upper = cube(), cube()
    upper = Mesh(upper.position + np.array([0, 1.0, 0]), upper.normal, upper.uv0 * 0.4 + 0.55, upper.index)
    both = joined([Mesh(lower.position, lower.normal, lower.uv0 * 0.5, lower.index), upper])
    across = across_edges(both)[0]
    assert (across >= 0).all() and not ((across[:12] >= 12).any() or (across[12:] < 12).any())
    got = cover(both, stroke([(0.5, 0.49, 0.0, 1, 0, 0)], 0.3), (512, 768))
    position, _, seen = sides(both, got)
    assert seen[position[:, 1] > 0.51].max() == 0 and seen[position[:, 1] < 0.49].max() == 1
    flat = np.array([(0, 0, 0), (1, 0, 0), (1, 1, 0), (0, 1, 0)], float)
    uv = np.array([(0, 0), (0.45, 0), (0.45, 1), (0, 1)], float)
    front = Mesh(flat, np.tile([0.0, 0, 1], (4, 1)), uv, np.array([(0, 1, 2), (0, 2, 3)]))
    back = Mesh(
        flat - np.array([0, 0, 0.01]),
        np.tile([0.0, 0, -1], (4, 1)),
        uv + np.array([0.5, 0]),
        np.array([(0, 2, 1), (0, 3, 2)]),
    )
    got = cover(joined([front, back]), stroke([(0.5, 0.5, 0, 0, 0, 1)], 0.3), (128, 256))
    assert got[:, :120].max() == 1 and got[:, 128:].max() == 0


def test_areas_stamps_and_mirrors_follow_the_surface():
    mesh, size = cube(), (256, 384)
    box = [(0.5, y, z, 1, 0, 0) for y, z in ((-0.2, -0.3), (0.2, -0.3), (0.2, 0.3), (-0.2, 0.3))]
    position, normals, seen = sides(mesh, cover(mesh, stroke(box, 0.1, area=True), size))
    inside = (np.abs(position[:, 1]) < 0.19) & (np.abs(position[:, 2]) < 0.29) & (normals[:, 0] > 0.9)
    beyond = (np.abs(position[:, 1]) > 0.21) | (np.abs(position[:, 2]) > 0.31) | (normals[:, 0] < 0.9)
    assert seen[inside].min() > 0.99 and seen[beyond].max() < 0.01
    # A stamp stands upright and has its own proportions: a square of 0.3 m a side.
    tip = {"form": "stamp", "stamp": "x"}
    position, normals, seen = sides(mesh, cover(mesh, stroke([(0.5, 0.0, 0.1, 1, 0, 0)], 0.3, tip=tip), size))
    on = (np.abs(position[:, 1]) < 0.125) & (np.abs(position[:, 2] - 0.1) < 0.125) & (normals[:, 0] > 0.9)
    off = (np.abs(position[:, 1]) > 0.17) | (np.abs(position[:, 2] - 0.1) > 0.17)
    assert seen[on].min() > 0.95 and seen[off].max() < 0.05
    position, normals, seen = sides(mesh, cover(mesh, stroke([(0.5, 0.1, 0.2, 1, 0, 0)], 0.2, mirror=True), size))
    left, right = (seen[np.abs(normals - [s, 0, 0]).max(axis=1) < 1e-6].sum() for s in (1, -1))
    assert left == pytest.approx(right, rel=1e-6) and left > 100


def test_a_stroke_beside_the_mesh_or_on_nothing_leaves_nothing():
    mesh = cube()
    for s in (
        stroke([(3.0, 3, 3, 1, 0, 0)], 0.3),
        stroke([(0.5, 0, 0, 0, 0, 0)], 0.3),
        stroke([(0.5, 0, 0, 1, 0, 0)], 0.0),
        stroke([(0.5, 0, 0, 1, 0, 0), (0.5, 0.1, 0, 1, 0, 0)], 0.2, area=True),
    ):
        made = cover(mesh, s, (32, 48))
        assert np.isfinite(made).all() and made.max() in (0, 1)
    grown = SurfaceCover(mesh, (64, 96), 0, AS_IT_IS, lambda _: None)
    way = [(0.5, y, 0.1, 1, 0, 0) for y in np.linspace(-0.4, 0.4, 30)]
    for k in range(1, 31):
        grown.lay(stroke(way[:k], 0.2))
    assert np.array_equal(grown.values, cover(mesh, stroke(way, 0.2), (64, 96)))


def test_a_layer_holds_strokes_on_a_mesh_and_says_when_there_is_none(tmp_path):
    mesh = cube()
    rows = [f"v {x} {y} {z}" for x, y, z in mesh.position] + [f"vt {u} {1 - v}" for u, v in mesh.uv0]
    rows += ["f " + " ".join(f"{v + 1}/{v + 1}" for v in f) for f in mesh.index]
    (tmp_path / "cube.obj").write_text("\n".join(rows))
    row = Layer(id="p", cells={"metal": ChannelSource(source="painted")})
    row = row.model_copy(
        update={"strokes": (stroke([(0.5, 0.4, 0, 1, 0, 0)], 0.4).model_copy(update={"values": {"metal": 1.0}}),)}
    )
    o = Overlay(
        name="o",
        source=Source(canvas=(192, 128), meaning="colour"),
        layers=Stack(rows=(row,)),
        places=(MeshPlace(id="m", path=str(tmp_path / "cube.obj"), at=(0, 0, 0)),),
    )
    doc = Document(overlays=(o,))
    assert Document.model_validate_json(doc.model_dump_json()) == doc

    def metal(overlay):
        return Evaluator().texture(overlay, Document(overlays=(overlay,))).channels["metal"].values[..., 2]

    got = metal(o)
    _, normals, seen = sides(mesh, np.ascontiguousarray(got))
    assert {tuple(n) for n in normals[seen > 0.5]} == {(1, 0, 0), (0, 1, 0)}
    # A pattern of a layer laid by place reaches the texture, and is not the one laid in the picture.
    noise = PATTERNS["noise"].params(kind="noise")

    def rough(by):
        part = MaskPart(source="pattern", pattern=noise, laid=UvTransform(by=by))
        layer = Layer(id="n", cells={"roughness": ChannelSource(number=1.0)}, mask=Mask(parts=(part,)))
        made = o.model_copy(update={"layers": Stack(rows=(layer,))})
        return Evaluator().texture(made, Document(overlays=(made,))).channels["roughness"].values[..., 1]

    assert np.abs(rough("space") - rough("picture")).mean() > 0.02
    moved = o.model_copy(update={"material": Material(mapping=Mapping(right=0.5))})
    assert np.abs(metal(moved) - np.roll(got, 96, axis=1)).max() < 0.05  # where the picture lies, there it is painted
    bare = Evaluator().texture(o.model_copy(update={"places": ()}), doc)
    assert any("sits on none" in n for n in bare.notes)


def painted_on(mesh, size, strokes, start):
    """One channel after strokes, beginning with ``start`` at weight 1."""
    before = {"opacity": Paint(start[..., None].astype(np.float32), np.ones(size, np.float32))}
    canvas = lambda: SurfaceBrush(mesh, size, 0, AS_IT_IS, lambda _: np.ones((8, 8), np.float32))  # noqa: E731
    return painted(before, strokes, size, ("opacity",), lambda _: None, lambda _: None, canvas)["opacity"]


def strip():
    """A flat strip of two squares of 1 m along x, one island each."""
    position = [(x, y, 0.0) for x in (0, 1, 2) for y in (0, 1)]
    index, uv, at = [], [], []
    for k in range(2):
        first = 4 * k
        at += [position[2 * k], position[2 * k + 1], position[2 * k + 2], position[2 * k + 3]]
        uv += [((k + a) / 2, b) for a, b in ((0.03, 0.97), (0.03, 0.03), (0.97, 0.97), (0.97, 0.03))]
        index += [(first, first + 2, first + 3), (first, first + 3, first + 1)]
    return Mesh(np.array(at, float), np.tile([0.0, 0, 1], (8, 1)), np.array(uv), np.array(index))


def bent(mesh, turn=np.pi / 2):
    """The same strip with its second square turned about the edge between the two."""
    p, n = mesh.position.copy(), mesh.normal.copy()
    far = np.arange(8) >= 4
    x = np.where(far, p[:, 0] - 1, 0)
    p[:, 0], p[:, 2] = np.where(far, 1 + x * np.cos(turn), p[:, 0]), -x * np.sin(turn)
    n[far] = [np.sin(turn), 0, np.cos(turn)]
    return Mesh(p, n, mesh.uv0, mesh.index)


@pytest.mark.parametrize("does", ["soften", "smudge"])
@pytest.mark.parametrize("form", ["soft", "hard"])
def test_softening_and_drawing_out_go_over_an_edge_and_a_seam_as_on_one_flat_sheet(does, form):
    flat, size = strip(), (128, 256)
    folded = bent(flat)
    spots = spots_of(flat, size)
    x = spots.position[:, 0]
    start = np.zeros(size)
    start[spots.rows, spots.columns] = x < 0.95  # a step near the edge between the two
    ways = [(0.7 + 0.05 * k, 0.5, 0.0, 0.0, 0.0, 1.0) for k in range(12)]
    over = [(w[0], 0.5, 0.0, 0.0, 0.0, 1.0) if w[0] <= 1 else (1.0, 0.5, 1 - w[0], 1.0, 0.0, 0.0) for w in ways]
    tip = {"spacing": 0.1}
    made = [
        painted_on(mesh, size, (stroke(places, 0.4, form, does=does, tip=tip).model_copy(update={"values": {}}),), start)
        for mesh, places in ((flat, ways), (folded, over))
    ]
    a, b = (p.value[spots.rows, spots.columns, 0] for p in made)
    # Where the line is bent dabs stand a hair apart, which a hard rim shows.
    assert np.percentile(np.abs(a - b), 99.5) < 0.05 and np.abs(a - b).mean() < 0.002
    changed = np.abs(a - (x < 0.95)) > 0.02
    assert changed.sum() > 300 and (x[changed] > 1.02).any() and (x[changed] < 0.95).any() == (does == "soften")
    if does == "smudge":
        # Paint is carried over the edge, on the line of the stroke and not beside it.
        y = spots.position[:, 1]
        assert (
            a[(abs(x - 1.1) < 0.02) & (abs(y - 0.5) < 0.05)].min() > 0.5 and a[(x > 1.0) & (abs(y - 0.5) > 0.21)].max() == 0
        )


def test_one_softening_dab_blurs_a_step_by_the_closed_form():
    mesh, size = strip(), (256, 512)
    spots = spots_of(mesh, size)
    x, y = spots.position[:, 0], spots.position[:, 1]
    start = np.zeros(size)
    start[spots.rows, spots.columns] = x < 1
    made = painted_on(
        mesh, size, (stroke([(1, 0.5, 0, 0, 0, 1)], 0.6, does="soften").model_copy(update={"values": {}}),), start
    )
    got = made.value[spots.rows, spots.columns, 0]
    due = ndtr((1 - x) / (0.3 * 0.3))
    near = np.hypot(x - 1, y - 0.5) < 0.15
    assert near.sum() > 1000 and np.abs(got - due)[near].max() < 0.02
    assert np.array_equal(got[np.hypot(x - 1, y - 0.5) > 0.31], (x < 1)[np.hypot(x - 1, y - 0.5) > 0.31])


def test_a_pattern_laid_by_place_is_the_same_on_both_sides_of_every_seam():
    """Against a slow twin texel by texel; over a cube's edges and a ball's seam neighbours agree though UVs leap."""
    for mesh, size in ((cube(), (96, 144)), (ball(), (96, 96))):
        how = UvTransform(by="space", across=2.0, down=1.5, turn=20, right=0.1)
        pattern = PATTERNS["noise"].params(kind="noise")
        got = pattern_in_space(mesh, pattern, how, size, 0, np.eye(2, 3), lambda _k, make: make())
        spots = spots_of(mesh, size)
        low, high = mesh.bounds
        extent = (high - low).max()
        owners = texel_owners(mesh, size, 0, np.eye(2, 3))
        side = int(min(max(2 ** np.ceil(np.log2(extent / owners.usual / 2.0)), 64), 2048))
        tile = pattern_laid(pattern, UvTransform(), (side, side), lambda _k, make: make())
        p, n = (spots.position - (low + high) / 2) / extent, np.abs(spots.normal) ** 4
        due = np.zeros(len(p))
        t = np.radians(20)
        for k, (right, b) in enumerate(((-p[:, 2], -p[:, 1]), (p[:, 0], p[:, 2]), (p[:, 0], -p[:, 1]))):
            a = right - 0.1
            u, v = 2.0 * (np.cos(t) * a + np.sin(t) * b) + 0.5, 1.5 * (np.cos(t) * b - np.sin(t) * a) + 0.5
            at = np.stack([v * side - 0.5, u * side - 0.5])
            due += n[:, k] / n.sum(axis=1) * map_coordinates(tile, at, order=1, mode="grid-wrap")
        real = owners.owner[spots.rows, spots.columns] == spots.face[spots.rows, spots.columns]  # not at the poles
        assert np.abs(got[spots.rows, spots.columns] - due)[real].max() < 0.01 and np.ptp(due) > 0.3 and real.mean() > 0.9
        # Texels that are next to each other in space differ no more where UVs leap than elsewhere.
        pairs = KDTree(spots.position).query_pairs(1.2 * owners.usual, output_type="ndarray")
        texels = np.stack([spots.rows, spots.columns], 1)
        leap = np.hypot(*(texels[pairs[:, 0]] - texels[pairs[:, 1]]).T) > 3
        step = np.abs(np.diff(got[spots.rows, spots.columns][pairs], axis=1))[:, 0]
        assert leap.sum() > 50 and step[leap].max() < 2 * step[~leap].max()
