"""The demo project: the overlays of the submersible Nerite in dock, three sound kinds and their faulty twins."""

from mivex.core.layers.builds import build_named, instance
from mivex.core.layers.model import Base, ChannelSource, Group, Layer, Mask, MaskPart, Range, Stack, base_for
from mivex.core.material.material import Mapping, Material, default_material
from mivex.core.prepare.alpha_from import AlphaFrom
from mivex.core.prepare.channels import Pack, PackedChannel, Recolour
from mivex.core.prepare.drawing import Shape
from mivex.core.prepare.levels import Levels
from mivex.core.prepare.resize import Resize
from mivex.core.prepare.signed_distance import SignedDistance
from mivex.core.prepare.spread import Spread
from mivex.core.prepare.tiling import Noise
from mivex.core.prepare.tinting import GradientMap
from mivex.core.project.document import Delivery, Document, Overlay, Source
from mivex.core.stage.placements_model import (
    BillboardPlace,
    HullPlace,
    MeshPlace,
    PanelPlace,
    Place,
    SecondSet,
    ShapePlace,
    SurfacePlace,
)
from mivex.demo.effects import AIR, effects
from mivex.demo.effects import overlays as moving_overlays


def project() -> Document:
    """The demo project."""

    def overlay(
        key: str,
        name: str,
        kind: str,
        path: str,
        places: tuple[Place, ...],
        steps: tuple = (),
        canvas: tuple[int, int] = (0, 0),
        layers: Stack | None = None,
        reference: str = "",
        **material: object,
    ) -> Overlay:
        base = default_material(kind)  # type: ignore[arg-type]
        source = Source(path=path) if path else Source(canvas=canvas, meaning="colour")
        return Overlay(
            id=key,
            name=name,
            kind=kind,
            source=source,
            steps=steps,
            places=places,
            layers=layers or Stack(),
            reference=reference,
            material=Material.model_validate(base.model_dump() | material),
        )

    def spot(key: str, x: float, y: float, z: float, size: float, roll: float = 0) -> BillboardPlace:
        return BillboardPlace(id=key, at=(x, y, z), width=size, height=size, roll=roll)

    def built(name: str, key: str, **row: object) -> Group:
        """A build under ids that stay the same."""
        made = instance(build_named(name))
        rows = tuple(r.model_copy(update={"id": f"{key}{i}"}) for i, r in enumerate(made.rows))
        return made.model_copy(update={"id": key, "rows": rows, **row})

    def dirty_glass() -> Stack:
        """Salted, scratched and smeared; nothing goes beyond the pane's own disc."""
        disc = Mask(parts=(MaskPart(source="picture", path="porthole_pane.png", channel="alpha", levels=Range(high=0.2)),))
        return Stack(
            base=Base(roughness=0.05),
            rows=(
                built("Salted pane", "salted", mask=disc, strength=0.8),
                built("Scratched pane", "scratched", mask=disc),
                built("Smeared pane", "smeared", mask=disc),
            ),
        )

    def front_of_buoy() -> str:
        """Faces of the buoy's shoulder that look at the dock: rings of forty pairs of triangles."""
        return ",".join(
            f"{2 * (40 * ring + a)}-{2 * (40 * ring + b) + 1}" for ring in range(10, 25) for a, b in ((0, 1), (35, 39))
        )

    def clear_glass(colour: tuple[float, float, float]) -> Stack:
        """A pane of one colour, seen through."""
        return Stack(base=Base(colour=colour, opacity=0.45, roughness=0.05))

    def scanned() -> Stack:
        """Light in lines, as a projector draws it."""
        lines = {"kind": "stripes", "across": 0, "down": 40, "share": 0.6, "soft": 0.3}
        rows = (
            Layer(
                id="lines",
                name="Lines",
                cells={
                    "colour": ChannelSource(
                        source="pattern", pattern=lines, colour=(0.45, 0.85, 0.95), colour_low=(0.10, 0.30, 0.38)
                    ),
                    "opacity": ChannelSource(source="pattern", pattern=lines, number=0.75),
                },
            ),
        )
        return Stack.model_validate({"base": Base(colour=(0.1, 0.3, 0.38), opacity=0.3, roughness=1.0), "rows": rows})

    def woven() -> Stack:
        """A cargo net: broad straps, over and under, open between."""
        straps = {"kind": "weave", "threads": 8, "thick": 0.34}
        rows = (
            Layer(
                id="straps",
                name="Straps",
                cells={
                    "colour": ChannelSource(
                        source="pattern", pattern=straps, colour=(0.62, 0.5, 0.2), colour_low=(0.2, 0.16, 0.08)
                    ),
                    "height": ChannelSource(source="pattern", pattern=straps, number=0.6, join="add"),
                    "roughness": ChannelSource(number=0.85),
                },
            ),
            Layer(
                id="gaps",
                name="Gaps",
                cells={"opacity": ChannelSource(number=0.0)},
                mask=Mask(parts=(MaskPart(source="pattern", pattern={**straps, "seen": "cover"}, invert=True),)),
            ),
        )
        return Stack.model_validate({"base": base_for("cloth"), "rows": rows})

    def weathered() -> Stack:
        """A painted buoy: bare along its edges, rusty in its hollows, grown over below the waterline."""

        def found(**geometry: object) -> MaskPart:
            return MaskPart.model_validate({"source": "geometry", "geometry": geometry})

        uneven = {"source": "pattern", "pattern": {"kind": "noise", "features": 14, "contrast": 2.4, "seed": 4}}
        rows = (
            Layer(
                id="growth",
                name="Growth",
                cells={
                    "colour": ChannelSource(
                        source="pattern",
                        pattern={"kind": "clouds", "features": 6},
                        colour=(0.24, 0.28, 0.16),
                        colour_low=(0.12, 0.14, 0.1),
                    ),
                    "roughness": ChannelSource(number=0.95),
                },
                mask=Mask.model_validate(
                    {
                        "parts": [
                            found(kind="position", axis="down", low=0.45, high=0.6),
                            {**uneven, "join": "multiply", "contrast": 0.3, "balance": 0.5},
                        ]
                    }
                ),
            ),
            Layer(
                id="rust",
                name="Rust in the hollows",
                cells={"colour": ChannelSource(colour=(0.34, 0.16, 0.07)), "roughness": ChannelSource(number=0.9)},
                mask=Mask.model_validate(
                    {
                        "parts": [
                            {**found(kind="cavity", reach=0.12, rays=48).model_dump(), "contrast": 0.35, "balance": 0.35},
                            uneven,
                        ]
                    }
                ),
            ),
            Layer(
                id="bare",
                name="Bare edges",
                cells={
                    "colour": ChannelSource(colour=(0.62, 0.6, 0.57)),
                    "metal": ChannelSource(number=1.0),
                    "roughness": ChannelSource(number=0.35),
                },
                mask=Mask.model_validate(
                    {"parts": [{**found(kind="edges", size=0.05).model_dump(), "contrast": 0.4, "balance": 0.2}, uneven]}
                ),
            ),
            Layer(
                id="runs",
                name="Runs",
                strength=0.6,
                cells={"colour": ChannelSource(colour=(0.3, 0.15, 0.08))},
                mask=Mask.model_validate(
                    {
                        "parts": [
                            {"source": "pattern", "pattern": {"kind": "streaks", "count": 26, "length": 0.4, "seed": 9}}
                        ]
                    }
                ),
            ),
        )
        return Stack.model_validate({"base": Base(colour=(0.80, 0.30, 0.06), opacity=1.0, roughness=0.4), "rows": rows})

    return delivered(
        Document(
            overlays=(
                overlay(
                    "porthole",
                    "Porthole pane",
                    "glass",
                    "porthole_pane.png",
                    (PanelPlace(id="pane", at=(-1.55, 2.743, -1.027), pitch=14.0, width=1.03, height=1.03),),
                    (Spread(),),
                    layers=dirty_glass(),
                    reference="pane_reference.png",
                ),
                overlay(
                    "registry",
                    "Hull registration",
                    "decal",
                    "registration_nr04.png",
                    (HullPlace(id="bow", along=0.1, around=26.0, width=1.55, height=0.3875),),
                    (Spread(),),
                    layers=Stack(rows=(built("Worn stencil", "worn"),)),
                ),
                overlay(
                    "chevrons",
                    "Hazard chevrons",
                    "decal",
                    "hazard_chevrons.png",
                    (HullPlace(id="sill", along=0.55, around=-32.5, width=1.3, height=0.325),),
                    (Spread(),),
                ),
                overlay(
                    "screen",
                    "Intake screen",
                    "cloth",
                    "",
                    (HullPlace(id="intake", along=0.55, around=-16.0, width=1.2, height=0.78),),
                    (Resize(width=1024, height=512), Spread()),
                    canvas=(768, 512),
                    layers=Stack(base=base_for("cloth"), rows=(built("Perforated plate", "plate"),)),
                    blend="Cutout",
                    group="Cutout",
                    depth_write=True,
                    depth_bias=18.0,
                ),
                overlay(
                    "bubble",
                    "Bubble",
                    "sprite",
                    "bubble.png",
                    (
                        spot("b1", -0.75, 0.95, 0.75, 0.46),
                        spot("b2", -0.50, 1.42, 0.55, 0.24, 40),
                        spot("b3", -0.95, 1.72, 0.62, 0.16, 80),
                        spot("b4", -0.62, 2.05, 0.50, 0.10, 10),
                    ),
                    (Spread(),),
                ),
                overlay(
                    "mote",
                    "Lamp mote",
                    "sprite",
                    "lamp_mote.png",
                    (
                        spot("m1", 1.30, 1.55, 0.40, 0.42),
                        spot("m2", 1.72, 1.85, 0.10, 0.26, 20),
                        spot("m3", 1.05, 2.05, 0.25, 0.18, 50),
                        spot("m4", 1.95, 1.30, 0.45, 0.15, 70),
                    ),
                    (AlphaFrom(source="matte", matte=(0.0, 0.0, 0.0), space="linear"), Levels(white=0.9)),
                    blend="Additive",
                ),
                overlay(
                    "emblem",
                    "Survey emblem",
                    "logo",
                    "",
                    (HullPlace(id="badge", along=-2.55, around=27.0, width=0.8, height=0.8),),
                    (Shape(file="emblem.svg", size=0.94), SignedDistance(spread=6.0, reduce=4)),
                    blend="Cutout",
                    group="Decal",
                    canvas=(1024, 1024),
                ),
                overlay(
                    "salt",
                    "Salt film",
                    "decal",
                    "",
                    (HullPlace(id="tide", along=-0.45, around=-22.0, width=1.1, height=1.1),),
                    (
                        Noise(form="clouds", cells=5, octaves=6, contrast=1.1, seed=7, into="colour"),
                        Noise(form="ridges", cells=4, octaves=5, contrast=3.2, middle=0.18, seed=3, into="replace"),
                        Noise(form="clouds", cells=3, octaves=4, contrast=3.4, middle=0.42, seed=12),
                        GradientMap(ramp=((0.0, (0.70, 0.72, 0.70)), (1.0, (0.96, 0.97, 0.94)))),
                    ),
                    canvas=(256, 256),
                    tiling=True,
                    opacity=0.8,
                ),
                overlay(
                    "oil",
                    "Lubricant stain",
                    "decal",
                    "",
                    (SurfacePlace(id="floor", at=(-0.25, 0.0, 1.35), width=1.3, height=1.3),),
                    (Spread(),),
                    canvas=(512, 512),
                    layers=Stack(base=base_for("decal"), rows=(built("Dried stain", "stain"),)),
                ),
                overlay(
                    "net",
                    "Cargo net",
                    "cloth",
                    "",
                    (PanelPlace(id="hung", at=(2.55, 0.62, 0.55), yaw=-30.0, width=1.1, height=1.1),),
                    (Spread(),),
                    canvas=(512, 512),
                    layers=woven(),
                    blend="Cutout",
                    group="Cutout",
                    depth_write=True,
                ),
                overlay(
                    "tarp",
                    "Torn tarpaulin",
                    "cloth",
                    "",
                    (PanelPlace(id="draped", at=(-2.55, 0.75, -0.1), yaw=22.0, pitch=-6.0, width=1.1, height=1.1),),
                    (Spread(),),
                    canvas=(512, 512),
                    layers=Stack(base=base_for("cloth"), rows=(built("Torn cloth", "torn"),)),
                ),
                overlay(
                    "buoy",
                    "Mooring buoy",
                    "cloth",
                    "",
                    (MeshPlace(id="moored", path="buoy.obj", at=(1.12, 0.40, 1.3), yaw=30.0, pitch=24.0, width=0.75),),
                    canvas=(512, 512),
                    layers=weathered(),
                    blend="Solid",
                    group="Solid",
                    depth_write=True,
                ),
                overlay(
                    "buoy_emblem",
                    "Emblem on the buoy",
                    "logo",
                    "",
                    (
                        MeshPlace(
                            id="worn",
                            path="buoy.obj",
                            at=(1.12, 0.40, 1.3),
                            yaw=30.0,
                            pitch=24.0,
                            width=0.75,
                            second=SecondSet(how="flat", faces=front_of_buoy()),
                        ),
                    ),
                    (Shape(file="emblem.svg", size=0.9), SignedDistance(spread=6.0, reduce=2)),
                    canvas=(512, 512),
                    blend="Cutout",
                    group="Decal",
                    depth_write=False,
                    mapping=Mapping(uv_set=1),
                ),
                overlay(
                    "packed",
                    "Packed mote",
                    "sprite",
                    "mote_core.png",
                    (spot("p1", 1.55, 0.62, 0.85, 0.30), spot("p2", 1.20, 0.40, 0.95, 0.18, 30)),
                    (
                        Pack(
                            name="core, halo, rays",
                            red=PackedChannel(name="core"),
                            green=PackedChannel(name="halo", source="file", file="mote_halo.png"),
                            blue=PackedChannel(name="rays", source="file", file="mote_rays.png"),
                            alpha=PackedChannel(name="unused", source="value", value=1.0),
                        ),
                        Recolour(
                            red=(1.0, 0.97, 0.88),
                            red_gain=1.2,
                            green=(0.35, 0.72, 0.80),
                            green_gain=0.55,
                            blue=(0.65, 0.92, 0.85),
                            blue_gain=0.8,
                            alpha="largest",
                        ),
                    ),
                    blend="Additive",
                ),
                overlay(
                    "bubble_black",
                    "Bubble, cut from black",
                    "sprite",
                    "bubble_cut_from_black.png",
                    (spot("k1", 0.35, 0.98, 0.85, 0.46), spot("k2", 0.62, 1.42, 0.60, 0.24, 40)),
                ),
                overlay(
                    "registry_border",
                    "Registration, to the border",
                    "decal",
                    "registration_to_border.png",
                    (HullPlace(id="port", along=-2.6, around=-12.0, width=1.5, height=0.375),),
                    (Spread(),),
                ),
                overlay(
                    "inside_out",
                    "Emblem, inside out",
                    "logo",
                    "emblem_inside_out.png",
                    (HullPlace(id="twin", along=1.0, around=38.0, width=0.42, height=0.42),),
                    (Spread(),),
                ),
                overlay(
                    "silt_banded",
                    "Silt, banded",
                    "sprite",
                    "silt_banded.png",
                    (spot("s1", -2.3, 0.42, 0.55, 0.95), spot("s2", -1.75, 0.30, 0.75, 0.6, 70)),
                    (Spread(),),
                ),
                overlay(
                    "pane_left",
                    "Hatch pane, left",
                    "glass",
                    "",
                    (PanelPlace(id="left", at=(2.05, 1.62, 0.1), yaw=38.0, width=0.9, height=0.9),),
                    canvas=(128, 128),
                    layers=clear_glass((0.16, 0.26, 0.24)),
                    blend="Translucent",
                ),
                overlay(
                    "pane_right",
                    "Hatch pane, right",
                    "glass",
                    "",
                    (PanelPlace(id="right", at=(2.15, 1.62, 0.1), yaw=-34.0, width=0.9, height=0.9),),
                    canvas=(128, 128),
                    layers=clear_glass((0.30, 0.20, 0.16)),
                    blend="Translucent",
                ),
                overlay(
                    "plume", "Silt plume", "sprite", "silt_plume.png", (spot("rise", 2.1, 1.6, 0.1, 0.9),), (Spread(),)
                ),
                overlay(
                    "pane_writes",
                    "Pane that writes depth",
                    "glass",
                    "",
                    (PanelPlace(id="front", at=(1.28, 1.6, 0.75), yaw=6.0, width=0.55, height=0.55),),
                    canvas=(64, 64),
                    layers=clear_glass((0.2, 0.25, 0.3)),
                    depth_write=True,
                    nudge=-3,
                ),
                *(
                    overlay(
                        key,
                        name,
                        "cloth",
                        "kelp.png",
                        (
                            ShapePlace(
                                id=f"{key}_at",
                                form="crossed",
                                count=2,
                                at=(x, 0.0, 1.75),
                                yaw=24.0,
                                width=0.5,
                                height=0.62,
                                pivot=(0.5, 1.0),
                            ),
                        ),
                        (Spread(),),
                        blend=blend,
                        group=group,
                        depth_write=group == "Cutout",
                    )
                    for key, name, x, blend, group in (
                        ("kelp_cut", "Kelp, cut out", -1.75, "Cutout", "Cutout"),
                        ("kelp_dots", "Kelp, dithered", -1.25, "Dithered", "Cutout"),
                        ("kelp_soft", "Kelp, see-through", -0.75, "Translucent", "Blended"),
                    )
                ),
                overlay(
                    "hologram",
                    "Hologram of the boat",
                    "sprite",
                    "",
                    (MeshPlace(id="shown", path="boat.obj", at=(0.42, 0.72, 1.75), yaw=-24.0, pitch=4.0, width=0.8),),
                    canvas=(256, 256),
                    layers=scanned(),
                    depth_first=True,
                    opacity=0.85,
                ),
                overlay(
                    "mesh",
                    "Guard mesh, too fine",
                    "glass",
                    "guard_mesh.png",
                    (PanelPlace(id="guard", at=(0.92, 0.40, 0.10), yaw=12.0, pitch=14.0, width=0.8, height=0.8),),
                    (Spread(),),
                    blend="Cutout",
                    group="Cutout",
                    depth_write=True,
                ),
                *moving_overlays(),
            ),
            effects=effects(),
            air=AIR,
        )
    )


FORMATS = {"chevrons": "tga", "oil": "tif", "salt": "ktx2"}
"""Overlays that do not leave as PNG."""


def delivered(doc: Document) -> Document:
    """The demo with a delivery recipe for each overlay: what stands on the stage leaves with its geometry."""

    def one(o: Overlay) -> Overlay:
        form = FORMATS.get(o.id, "png")
        wish = Delivery(recipe="scene" if o.places else "sheet", format=form)  # type: ignore[arg-type]
        return o.model_copy(update={"delivery": wish})

    return doc.model_copy(update={"overlays": tuple(one(o) for o in doc.overlays)})
