"""(a) 400 rotated sprites of 96 px, depth-tested, at 1280×800."""

import math

import numpy as np
from PIL import Image

from benchmarks.timing import line, medians
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.stage.buffers import Buffers
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, ShadingInputs, limits_of
from mivex.core.stage.lights import Lighting
from mivex.core.stage.mesh import joined, quad
from mivex.core.stage.passes import RenderPlan, run

W, H, COUNT, SIDE = 1280, 800, 400, 96


def sprite() -> np.ndarray:
    """A soft, speckled disc, RGBA in [0, 1]."""
    rng = np.random.default_rng(1)
    y, x = np.mgrid[:SIDE, :SIDE] + 0.5
    r = np.hypot(y - SIDE / 2, x - SIDE / 2)
    return np.dstack([rng.random((SIDE, SIDE, 3)), np.clip((46 - r) / 20, 0, 1)]).astype(np.float32)


def layout() -> list[tuple[float, float, float, float]]:
    """Centre x, y, depth and angle of every sprite, far to near."""
    rng = np.random.default_rng(2)
    rows = [
        (rng.uniform(60, W - 60), rng.uniform(60, H - 60), rng.uniform(2, 6), rng.uniform(0, 360)) for _ in range(COUNT)
    ]
    return sorted(rows, key=lambda r: -r[2])


def ours() -> tuple[list[DrawCall], View]:
    """The same through the stage's own drawing."""
    view = View(Camera(name="b", target=(0, 0, 0), yaw=0, pitch=0, distance=1e-6 + 1, fov=60), W, H)
    t = Texture(sprite())
    tris = []
    for cx, cy, z, a in layout():
        size = SIDE / 2 * z / view.focal
        c = view.eye + view.axes[2] * z + (view.axes[0] * (cx - W / 2) - view.axes[1] * (cy - H / 2)) * z / view.focal
        s, k = math.sin(math.radians(a)), math.cos(math.radians(a))
        right, up = (view.axes[0] * k + view.axes[1] * s) * size, (view.axes[1] * k - view.axes[0] * s) * size
        tris.append(quad(np.stack([c - right + up, c + right + up, c + right - up, c - right - up])))
    return [
        DrawCall("sprites", joined(tris), ShadingInputs(t.mips, limits_of(t.alpha > 0)), Material(lit=False), (4, 0, 0.0))
    ], view


def opengl():  # type: ignore[no-untyped-def]
    """A software OpenGL context drawing the same, or None where none can be created."""
    try:
        import moderngl

        ctx = moderngl.create_standalone_context(backend="egl")
    except Exception as e:
        print(f"  no OpenGL context could be created here ({type(e).__name__}: {e})")
        return None
    print(f"  OpenGL: {ctx.info['GL_RENDERER']}")
    program = ctx.program(
        vertex_shader="""#version 330
        in vec3 at; in vec2 uv; out vec2 st;
        void main() { st = uv; gl_Position = vec4(at, 1.0); }""",
        fragment_shader="""#version 330
        uniform sampler2D tex; in vec2 st; out vec4 colour;
        void main() { colour = texture(tex, st); if (colour.a <= 0.0) discard; }""",
    )
    v = (sprite() * 255).astype(np.uint8)
    texture = ctx.texture((SIDE, SIDE), 4, v.tobytes())
    texture.build_mipmaps()
    rows = []
    for cx, cy, z, a in layout():
        s, k = math.sin(math.radians(a)) * SIDE / 2, math.cos(math.radians(a)) * SIDE / 2
        q = [
            ((cx + k * x - s * y) / W * 2 - 1, (cy + s * x + k * y) / H * 2 - 1, z / 10, (x + 1) / 2, (y + 1) / 2)
            for x, y in ((-1, -1), (1, -1), (1, 1), (-1, 1))
        ]
        rows += [q[0], q[1], q[2], q[0], q[2], q[3]]
    buffer = ctx.buffer(np.array(rows, np.float32).tobytes())
    vao = ctx.vertex_array(program, [(buffer, "3f 2f", "at", "uv")])
    # The same float target as ours.
    fbo = ctx.framebuffer([ctx.texture((W, H), 4, dtype="f4")], ctx.depth_renderbuffer((W, H)))
    fbo.use()
    ctx.enable(moderngl.BLEND | moderngl.DEPTH_TEST)
    ctx.depth_mask = False
    ctx.blend_func = moderngl.SRC_ALPHA, moderngl.ONE_MINUS_SRC_ALPHA

    def draw() -> None:
        fbo.clear(0, 0, 0, 0, depth=1.0)
        texture.use()
        vao.render(moderngl.TRIANGLES)
        ctx.finish()

    return draw


def main() -> None:
    """Measure."""
    draws, view = ours()
    buffers = Buffers(np.zeros((H, W, 4), np.float32), np.zeros((H, W), np.float32))

    def mivex() -> None:
        run(RenderPlan(draws, view), buffers, Lighting(), None)

    image = Image.fromarray((sprite() * 255).astype(np.uint8), "RGBA")
    turned = [image.rotate(a, Image.Resampling.BILINEAR, expand=True) for _, _, _, a in layout()]
    places = [
        (round(cx - t.width / 2), round(cy - t.height / 2)) for (cx, cy, _, _), t in zip(layout(), turned, strict=True)
    ]

    def composite(rotate: bool) -> None:
        canvas = Image.new("RGBA", (W, H))
        for (_, _, _, a), t, at in zip(layout_rows, turned, places, strict=True):
            canvas.alpha_composite(
                image.rotate(a, Image.Resampling.BILINEAR, expand=True) if rotate else t, (max(at[0], 0), max(at[1], 0))
            )

    layout_rows = layout()
    gl = opengl()
    jobs = [mivex, lambda: composite(True), lambda: composite(False)] + ([gl] if gl else [])
    got = medians(9, *jobs)
    line("mivex", got[0], "Pillow, rotating and compositing the same sprites", got[1], "0.25")
    line("mivex", got[0], "Pillow, compositing sprites rotated beforehand, no depth", got[2], "–")
    if gl:
        line("mivex", got[0], "software OpenGL, float target", got[3], "1.00")
