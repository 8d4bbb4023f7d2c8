"""What travels to the kernels of the stage: one record a draw, a polygon, a frame, a light.

Field by field these are the settings of a material and of the surroundings, brought to numbers; addresses are
good as long as the arrays they belong to are held by whoever made the record.
"""

import numpy as np

POINTS = 4
"""Lamps near by that fall on a surface."""
PICTURES = ("colour", "rough", "metal", "occlusion", "opacity", "mask", "normal", "glow")
"""Every picture that one material can read; each may be another."""
SLOTS = len(PICTURES)
CORNERS = 10
"""Corners of a polygon on screen, after it was cut at the near plane."""
VALUES = 10
"""What is carried from corner to corner: 1/w; u, v; normal; tint; all but the first divided by w."""

_INPUT = np.dtype([("slot", np.int64), ("lane", np.int64), ("gain", np.float32), ("shift", np.float32)])

DRAW = np.dtype(
    [
        ("blend", np.int64),
        ("test", np.int64),
        ("write", np.int64),
        ("both", np.int64),
        ("wrap", np.int64),
        ("lit", np.int64),
        ("tinted", np.int64),
        ("decal", np.int64),
        ("slots", np.int64),
        ("trimmed", np.int64),
        ("looked", np.int64),
        ("first", np.int64),
        ("cutoff", np.float32),
        ("bias", np.float32),
        ("slope", np.float32),
        ("tint", np.float32, 4),
        ("trim", np.float32, 8),
        ("chain", np.uint64, SLOTS),
        ("rough", _INPUT),
        ("metal", _INPUT),
        ("occlusion", _INPUT),
        ("opacity", _INPUT),
        ("normal_slot", np.int64),
        ("normal_strength", np.float32),
        ("green", np.float32),
        ("glow_slot", np.int64),
        ("glow", np.float32, 3),
        ("u", np.float64, 3),
        ("v", np.float64, 3),
        ("special", np.int64),
        ("coded", np.int64),
        ("recolour", np.float32, (3, 3)),
        ("tone_lane", np.int64),
        ("tone_at", np.float32),
        ("tone_soft", np.float32),
        ("tone_above", np.float32, 3),
        ("tone_below", np.float32, 3),
        ("erosion", np.float32, 4),
        ("flow", np.float32, 5),
        ("flow_seed", np.int64),
        ("halo_lane", np.int64),
        ("halo", np.float32, 3),
        ("contact", np.float32),
        ("glass", np.float32, 4),
        ("edge", np.float32, 3),
        ("bend", np.float32, 3),
        ("weights", np.float32, 4),
        ("breakup", np.float32, 3),
        ("breakup_seed", np.int64),
        ("mask", _INPUT),
        ("vectors", np.uint64),
        ("vector_scale", np.float32),
    ]
)
"""A draw: blend and depth, the limits of its texture, which pictures its inputs read, where its UVs go.

``looked``: its normals are asked for though no light falls on it, and it is counted. ``first``: its depth is laid before
its colour. ``trim``: limits of u, v, u + v and u − v beyond which the texture is clear. ``u``, ``v``: rows of the map from
the mesh's UVs to the texture's. ``chain``: addresses of the pictures' records. ``special``: bits of the effects that it
has, see `kernels.effects`; ``erosion``: form (1 fade, 2 erode, 3 soft), amount, softness, driven by (0 the amount,
1 the tint, 2 the face's own); ``flow``: strength, scale, how far it has scrolled right and up, held at the top (1) or the
bottom (−1); ``glass``: index of face and edge, opacity and share of colour at the edge; ``bend``: thickness, solid body,
frost; ``breakup``: threshold, softness, scale; ``mask``: what it eats by, a noise where there is no picture. ``weights``:
how far a decal changes colour, gloss, normal and glow of its surface. ``vectors``: address of a chain of motion vectors
between frames, 0 where these are only faded; ``vector_scale``: the share of a cell that 0 and 1 stand for. An input is
``shift + gain · texel``, or ``shift`` where its slot is −1.
"""

POLY = np.dtype(
    [
        ("draw", np.int64),
        ("corners", np.int64),
        ("flat", np.int64),
        ("back", np.int64),
        ("level", np.int64),
        ("only_depth", np.int64),
        ("face", np.int64),
        ("away", np.float64),
        ("bias", np.float32),
        ("own", np.float32, 9),
        ("x", np.float64, CORNERS),
        ("y", np.float64, CORNERS),
        ("slope", np.float64, CORNERS),
        ("top", np.float64),
        ("bottom", np.float64),
        ("left", np.float64),
        ("right", np.float64),
        ("at_x", np.float64),
        ("at_y", np.float64),
        ("value", np.float64, VALUES),
        ("across", np.float64, VALUES),
        ("down", np.float64, VALUES),
        ("share", np.float32),
        ("along", np.float32, 3),
        ("upward", np.float32, 3),
    ]
)
"""A convex polygon on screen, its values as planes over the screen, and the texture's axes in the world.

``only_depth``: it leaves its depth and no colour. ``face``: number of its (first) triangle in its mesh. ``away``: metres
from the eye to the particle that it shows, where particles take their place in the order one by one. ``bias``: metres
towards the eye, what it leans included. ``own``: what this face has of its own, see `mesh.FACTS`.
"""

FRAME = np.dtype(
    [
        ("colour", np.uint64),
        ("depth", np.uint64),
        ("matrix", np.uint64),
        ("width", np.int64),
        ("height", np.int64),
        ("eye", np.float32, 3),
        ("right", np.float32, 3),
        ("up", np.float32, 3),
        ("ahead", np.float32, 3),
        ("focal", np.float32),
        ("x", np.float32),
        ("y", np.float32),
        ("ground", np.float32),
        ("scene", np.uint64),
        ("display", np.int64),
        ("behind", np.uint64),
    ]
)
"""What is drawn into, and from where; ``matrix`` is the address of the ordered matrix, ``scene`` of 1/w of what is solid;
``display``: blends work on display values; ``behind``: address of a chain of what is drawn already, for what refracts.
"""

LIGHT = np.dtype(
    [
        ("sky", np.uint64),
        ("sizes", np.int64, 16),
        ("starts", np.int64, 16),
        ("levels", np.int64),
        ("even", np.uint64),
        ("even_size", np.int64),
        ("table", np.uint64),
        ("table_size", np.int64),
        ("turn", np.float32, 2),
        ("strength", np.float32),
        ("lamp", np.float32, 3),
        ("lamp_colour", np.float32, 3),
        ("shadow", np.uint64),
        ("shadow_size", np.int64),
        ("shadow_rows", np.float32, (3, 4)),
        ("shadow_texel", np.float32),
        ("points", np.int64),
        ("point", np.float32, (POINTS, 7)),
    ]
)
"""The environment, prefiltered; the lamp; its shadows; and lamps near by: place, reach, colour."""
