// What a material's pictures say of a fragment. Formulas: docs/compositing.md.
uniform sampler2D vectorMap;
uniform float vectorScale;
uniform sampler2D p0, p1, p2, p3, p4, p5, p6, p7;
uniform int slots, wrap, blendCode, special, back, tinted, lit, coded, finest;
uniform vec4 tint;
uniform float cutoff, normalStrength, green, contact, toneAt, toneSoft, flowSeed, breakupSeed;
uniform int normalSlot, glowSlot, toneLane, haloLane;
// slot and lane; gain and shift
uniform ivec2 roughFrom, metalFrom, occlusionFrom, opacityFrom, maskFrom;
uniform vec2 roughBy, metalBy, occlusionBy, opacityBy, maskBy;
uniform vec3 glowColour, uRow, vRow, toneAbove, toneBelow, haloColour, edgeColour, breakup, bend;
uniform mat3 recolour;
uniform vec4 erosion, glass, weights;
uniform float flow[5];
in vec3 place;
in vec3 normalIn;
in vec2 uvIn;
in vec4 tintIn;
in vec2 ownIn;
in vec3 nextIn;
in vec4 cellIn;
in float farther;

const int RECOLOUR = 1, TONES = 2, EROSION = 4, FLOW = 8, HALO = 16, CONTACT = 32, GLASS = 64, HASHED = 128, REFRACTS = 256, BROKEN = 512;
const int CUTOUT = 1, DITHERED = 2, TRANSLUCENT = 3, PREMULTIPLIED = 4, ADDITIVE = 5, MULTIPLY = 6;

float smoothly(float low, float high, float v) {
  float t = clamp((v - low) / max(high - low, 1e-6), 0.0, 1.0);
  return t * t * (3.0 - 2.0 * t);
}
float latticeValue(int x, int y, int seed) {
  uint h = (uint(x) * 0x9E3779B1u) ^ (uint(y) * 0x85EBCA77u) ^ uint(seed);
  h = (h ^ (h >> 15)) * 0x2C1B3C6Du;
  h = (h ^ (h >> 12)) * 0x297A2D39u;
  h = h ^ (h >> 15);
  return float(h & 0xFFFFu) / 32767.5 - 1.0;
}
float eased(float t) { return t * t * t * (t * (t * 6.0 - 15.0) + 10.0); }
float noise(float x, float y, int seed) {
  float fx = floor(x), fy = floor(y);
  int ix = int(fx), iy = int(fy);
  float tx = eased(x - fx), ty = eased(y - fy);
  float a = latticeValue(ix, iy, seed), b = latticeValue(ix + 1, iy, seed);
  float c = latticeValue(ix, iy + 1, seed), d = latticeValue(ix + 1, iy + 1, seed);
  return mix(mix(a, b, tx), mix(c, d, tx), ty);
}
float deepNoise(float x, float y, float z, int seed) {
  float fz = floor(z), t = z - fz;
  int layer = int(fz) * 1013;
  float a = noise(x, y, seed + layer);
  return t == 0.0 ? a : mix(a, noise(x, y, seed + layer + 1013), eased(t));
}
float hashedThreshold(vec2 uv, float rho) {
  float wanted = log2(1.0 / max(rho, 1e-9)), low = floor(wanted), f = wanted - low, fine = exp2(low);
  float one = latticeValue(int(floor(uv.x * fine)), int(floor(uv.y * fine)), 977) * 0.5 + 0.5;
  float two = latticeValue(int(floor(uv.x * fine * 2.0)), int(floor(uv.y * fine * 2.0)), 977) * 0.5 + 0.5;
  float x = mix(one, two, f), a = min(f, 1.0 - f), t = x;
  if (a >= 1e-4) {
    if (x >= 1.0 - a) t = 1.0 - (1.0 - x) * (1.0 - x) / (2.0 * a * (1.0 - a));
    else t = x < a ? x * x / (2.0 * a * (1.0 - a)) : (x - 0.5 * a) / (1.0 - a);
  }
  return clamp(t, 1e-6, 1.0 - 1e-6);
}
float encoded(float v) { return v <= 0.0031308 ? 12.92 * v : 1.055 * pow(v, 1.0 / 2.4) - 0.055; }
float decoded(float v) { return v <= 0.04045 ? v / 12.92 : pow((v + 0.055) / 1.055, 2.4); }
vec3 encoded(vec3 c) { return vec3(encoded(max(c.r, 0.0)), encoded(max(c.g, 0.0)), encoded(max(c.b, 0.0))); }
vec3 decoded(vec3 c) { return vec3(decoded(max(c.r, 0.0)), decoded(max(c.g, 0.0)), decoded(max(c.b, 0.0))); }

vec4 sampled(sampler2D s, vec2 uv, vec2 dx, vec2 dy) {
  vec2 size = vec2(textureSize(s, 0));
  vec2 a = dx * size, b = dy * size;
  float level = 0.5 * log2(max(max(dot(a, a), dot(b, b)), 1.0));
  return textureLod(s, uv, max(level, float(finest)));
}

struct Surface { vec4 source; vec3 normal; float rough, metal, occlusion; vec3 glow; vec2 uv; };

Surface surfaceHere(vec3 toEye) {
  Surface s;
  vec4 held[8];
  vec2 uv = vec2(dot(uRow, vec3(uvIn, 1.0)), dot(vRow, vec3(uvIn, 1.0)));
  vec2 dx = dFdx(uv), dy = dFdy(uv);
  if ((special & FLOW) != 0) {
    float x = uv.x * flow[1] - flow[2] + ownIn.y * 61.7, y = uv.y * flow[1] + flow[3] + ownIn.y * 37.3, by = flow[0];
    if (flow[4] > 0.0) by *= clamp(uv.y, 0.0, 1.0);
    else if (flow[4] < 0.0) by *= clamp(1.0 - uv.y, 0.0, 1.0);
    uv += by * vec2(noise(x, y, int(flowSeed)), noise(x, y, int(flowSeed) + 7919));
  }
  s.uv = uv;
  // Of frames that blend, the next one is read at its own place; moved along their vectors where they have such, both
  // held within their cells.
  float t_ = nextIn.z;
  vec2 first = uv, second = uv + nextIn.xy;
  if (t_ > 0.0 && vectorScale > 0.0) {
    vec2 by = (sampled(vectorMap, uv, dx, dy).xy - 0.5) * 2.0 * vectorScale * cellIn.zw;
    vec2 inset = 0.5 / vec2(textureSize(p0, 0)), low = cellIn.xy + inset, high = cellIn.xy + cellIn.zw - inset;
    first = clamp(uv - t_ * by, low, high);
    second = clamp(uv + (1.0 - t_) * by, low, high) + nextIn.xy;
  }
#define READ(s) (t_ > 0.0 ? mix(sampled(s, first, dx, dy), sampled(s, second, dx, dy), t_) : sampled(s, uv, dx, dy))
  held[0] = READ(p0);
  if (t_ > 0.0 && vectorScale > 0.0 && blendCode != PREMULTIPLIED && held[0].a > 1e-6) {
    vec4 a = sampled(p0, first, dx, dy), b = sampled(p0, second, dx, dy);
    held[0].rgb = mix(a.rgb * a.a, b.rgb * b.a, t_) / held[0].a;
  }
  if (slots > 1) held[1] = READ(p1);
  if (slots > 2) held[2] = READ(p2);
  if (slots > 3) held[3] = READ(p3);
  if (slots > 4) held[4] = READ(p4);
  if (slots > 5) held[5] = READ(p5);
  if (slots > 6) held[6] = READ(p6);
  if (slots > 7) held[7] = READ(p7);
#define INPUT(from, by) (from.x < 0 ? by.y : clamp(by.y + by.x * held[from.x][from.y], 0.0, 1.0))
  vec4 c = held[0];
  if ((special & RECOLOUR) != 0) c.rgb = recolour * c.rgb;
  if ((special & TONES) != 0) {
    float v = c[toneLane], half_ = toneSoft * 0.5;
    if (toneLane < 3 && coded != 0) v = encoded(v);
    float t = half_ > 0.0 ? smoothly(toneAt - half_, toneAt + half_, v) : float(v >= toneAt);
    c.rgb = mix(toneBelow, toneAbove, t);
  }
  if (opacityFrom.x >= 0) c.a = INPUT(opacityFrom, opacityBy);
  vec4 t = tinted != 0 ? tint * tintIn : tint;
  vec4 source = c * t;
  if ((special & EROSION) != 0) {
    float a = c.a, e = erosion.y, w = t.a, left;
    if (erosion.w == 1.0) { e = 1.0 - w; w = 1.0; } else if (erosion.w > 1.0) e = ownIn.x;
    if (erosion.x == 1.0) left = a * (1.0 - e);
    else if (erosion.x == 2.0) left = clamp(a - e, 0.0, 1.0);
    else left = e < 1.0 ? smoothly(e, e + erosion.z, a) : 0.0;
    left *= w;
    if (blendCode == PREMULTIPLIED) {
      source *= left / max(a * w, 1e-6);
      if (erosion.w == 1.0) source /= max(t.a, 1e-6);
    }
    source.a = left;
  }
  if ((special & BROKEN) != 0) {
    float n = INPUT(maskFrom, maskBy);
    if (maskFrom.x < 0) {
      vec3 at = vec3(uv, ownIn.y) * breakup.z;
      float w = 1.0;
      n = 0.0;
      for (int k = 0; k < 3; k++) { n += w * deepNoise(at.x, at.y, at.z, int(breakupSeed) + 131 * k); at *= 2.0; w *= 0.5; }
      n = clamp(n * 0.45 + 0.5, 0.0, 1.0);
    }
    float soft = breakup.y * 0.5, at = breakup.x * (1.0 + 2.0 * soft) - soft, share = smoothly(at - soft, at + soft, n);
    if (blendCode == PREMULTIPLIED) source *= share; else source.a *= share;
  }
  vec3 halo = (special & HALO) != 0 ? haloColour * held[0][haloLane] : vec3(0.0);
  if (lit == 0) source.rgb += halo;
  s.rough = INPUT(roughFrom, roughBy);
  s.metal = INPUT(metalFrom, metalBy);
  s.occlusion = INPUT(occlusionFrom, occlusionBy);
  vec3 n = normalize(normalIn);
  if (normalSlot >= 0) {
    vec4 bump = held[normalSlot];
    vec2 slope = (bump.xy * 2.0 - 1.0) * normalStrength * vec2(1.0, green);
    vec3 q1 = dFdx(place), q2 = dFdy(place);
    float det = dx.x * dy.y - dy.x * dx.y, sign_ = det < 0.0 ? -1.0 : 1.0;
    vec3 along = (q1 * dy.y - q2 * dx.y) * sign_, up = -(q2 * dx.x - q1 * dy.x) * sign_;
    along = normalize(along - dot(along, n) * n);
    up = up - dot(up, n) * n;
    up = normalize(up - dot(up, along) * along);
    n = along * slope.x + up * slope.y + n * (bump.z * 2.0 - 1.0);
  }
  n = normalize(n);
  s.normal = gl_FrontFacing ? n : -n;
  s.glow = glowColour;
  if (glowSlot >= 0) s.glow *= held[glowSlot].rgb;
  if (lit != 0) s.glow += halo;
  if ((special & GLASS) != 0) {
    float w = clamp(1.0 - abs(dot(s.normal, toEye)), 0.0, 1.0), index = mix(glass.x, glass.y, w);
    float f0 = (index - 1.0) / (index + 1.0);
    f0 *= f0;
    float fresnel = f0 + (1.0 - f0) * w * w * w * w * w;
    source.rgb = mix(source.rgb, edgeColour, fresnel * glass.w);
    source.a += (glass.z - source.a) * fresnel;
  }
  s.source = source;
  return s;
}
bool discarded(Surface s, float threshold) {
  float a = s.source.a;
  if (blendCode == CUTOUT && a < cutoff) return true;
  if (blendCode != DITHERED) return false;
  if ((special & HASHED) != 0) {
    vec2 uv = vec2(dot(uRow, vec3(uvIn, 1.0)), dot(vRow, vec3(uvIn, 1.0)));
    threshold = hashedThreshold(uv, max(length(dFdx(uv)), length(dFdy(uv))));
  }
  return a <= threshold;
}
