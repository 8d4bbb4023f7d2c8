"""Four float32 in one register: the vectors that the raster samples and blends with.

A texel is one such vector, so that a bilinear read is four loads and three mixes. Addresses are plain whole
numbers: an array handed to an inlined function would be counted in and out at every pixel. Everything is written
out (no reordering is allowed), so that two loops which call the same functions give the same bits.

References
----------
LLVM language reference, *Vector Type* and ``llvm.fmuladd``.
"""

import numpy as np
from llvmlite import ir
from numba import types
from numba.core import cgutils
from numba.core.datamodel import models, register_default
from numba.extending import intrinsic

from mivex.core.base.compile import inlined

_FLOAT = ir.FloatType()
_FOUR = ir.VectorType(_FLOAT, 4)
_INT = ir.IntType(32)


class Four(types.Type):
    """Numba's type of four float32."""

    def __init__(self) -> None:
        super().__init__(name="Four")


four = Four()


@register_default(Four)
class _FourModel(models.PrimitiveModel):
    def __init__(self, dmm, fe_type):
        super().__init__(dmm, fe_type, _FOUR)


def _pointer(builder, address, kind):
    return builder.inttoptr(address, kind.as_pointer())


@intrinsic
def load4(typingctx, address):
    """Four floats at an address, which need not be aligned."""

    def make(context, builder, signature, args):
        found = builder.load(_pointer(builder, args[0], _FOUR))
        found.align = 4
        return found

    return four(types.uint64), make


@intrinsic
def store4(typingctx, address, value):
    """Write four floats to an address."""

    def make(context, builder, signature, args):
        # Four bytes, not sixteen: rows of three or of odd widths begin anywhere, and a stricter promise would be a crash.
        builder.store(args[1], _pointer(builder, args[0], _FOUR)).align = 4
        return context.get_dummy_value()

    return types.void(types.uint64, four), make


@intrinsic
def load1(typingctx, address):
    """One float at an address."""

    def make(context, builder, signature, args):
        found = builder.load(_pointer(builder, args[0], _FLOAT))
        found.align = 4
        return found

    return types.float32(types.uint64), make


@intrinsic
def store1(typingctx, address, value):
    """Write one float to an address."""

    def make(context, builder, signature, args):
        builder.store(args[1], _pointer(builder, args[0], _FLOAT)).align = 4
        return context.get_dummy_value()

    return types.void(types.uint64, types.float32), make


@intrinsic
def load8(typingctx, address):
    """One whole number of 64 bits at an address."""

    def make(context, builder, signature, args):
        found = builder.load(_pointer(builder, args[0], ir.IntType(64)))
        found.align = 8
        return found

    return types.int64(types.uint64), make


def _binary(name, words):
    @intrinsic
    def operate(typingctx, a, b):
        def make(context, builder, signature, args):
            return getattr(builder, name)(*args)

        return four(four, four), make

    operate.__doc__ = words
    return operate


add4 = _binary("fadd", "a + b")
sub4 = _binary("fsub", "a − b")
mul4 = _binary("fmul", "a · b")


@intrinsic
def splat4(typingctx, value):
    """The same number four times."""

    def make(context, builder, signature, args):
        one = builder.insert_element(ir.Constant(_FOUR, ir.Undefined), args[0], _INT(0))
        return builder.shuffle_vector(one, ir.Constant(_FOUR, ir.Undefined), ir.Constant(ir.VectorType(_INT, 4), [0] * 4))

    return four(types.float32), make


@intrinsic
def make4(typingctx, a, b, c, d):
    """Four numbers side by side."""

    def make(context, builder, signature, args):
        out = ir.Constant(_FOUR, ir.Undefined)
        for i, v in enumerate(args):
            out = builder.insert_element(out, v, _INT(i))
        return out

    return four(*[types.float32] * 4), make


def _lane(index):
    @intrinsic
    def take(typingctx, value):
        def make(context, builder, signature, args):
            return builder.extract_element(args[0], _INT(index))

        return types.float32(four), make

    take.__doc__ = f"Number {index} of the four."
    return take


red4, green4, blue4, last4 = (_lane(i) for i in range(4))


@intrinsic
def spread4(typingctx, value):
    """The last of the four, four times."""

    def make(context, builder, signature, args):
        return builder.shuffle_vector(args[0], args[0], ir.Constant(ir.VectorType(_INT, 4), [3] * 4))

    return four(four), make


@intrinsic
def with_last4(typingctx, value, last):
    """The first three of the four, and another last one."""

    def make(context, builder, signature, args):
        return builder.insert_element(args[0], args[1], _INT(3))

    return four(four, types.float32), make


@intrinsic
def fma4(typingctx, a, b, c):
    """a · b + c, in one operation where the machine has it."""

    def make(context, builder, signature, args):
        f = cgutils.get_or_insert_function(builder.module, ir.FunctionType(_FOUR, [_FOUR] * 3), "llvm.fmuladd.v4f32")
        return builder.call(f, args)

    return four(four, four, four), make


@intrinsic
def fma1(typingctx, a, b, c):
    """a · b + c of single numbers."""

    def make(context, builder, signature, args):
        f = cgutils.get_or_insert_function(builder.module, ir.FunctionType(_FLOAT, [_FLOAT] * 3), "llvm.fmuladd.f32")
        return builder.call(f, args)

    return types.float32(types.float32, types.float32, types.float32), make


@inlined
def lerp4(a, b, t):
    """a + (b − a) · t, with t four times the same share."""
    return fma4(sub4(b, a), t, a)


@inlined
def floor1(x):
    """Largest whole number not above ``x``; by conversion, since calls to a library's floor break loops apart."""
    i = np.int64(x)
    return i - 1 if np.float32(i) > x else i
