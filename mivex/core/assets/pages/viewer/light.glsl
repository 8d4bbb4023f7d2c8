// Light on a surface: GGX under a prefiltered environment, one lamp, and lamps near by. Sources: docs/stage.md.
uniform sampler2D sky, reflectance, shadowSolid, shadowPierced, shadowShare;
uniform ivec3 levelAt[13]; // left, top and side of each level in the atlas; the last is what a matt surface reflects
uniform vec2 turn;
uniform float ambient, lampPower, shadowTexel;
uniform vec3 toLamp;
uniform int shadowSize, points;
uniform vec4 shadowRow[3];
uniform vec2 shadowRange;
uniform vec4 pointAt[4];
uniform vec3 pointColour[4];

vec2 octahedron(vec3 d) {
  vec3 p = d / (abs(d.x) + abs(d.y) + abs(d.z));
  vec2 q = p.xz;
  if (d.y < 0.0) q = (1.0 - abs(p.zx)) * vec2(p.x >= 0.0 ? 1.0 : -1.0, p.z >= 0.0 ? 1.0 : -1.0);
  return q * 0.5 + 0.5;
}
vec3 readMap(int level, vec2 uv) {
  ivec3 at = levelAt[level];
  vec2 xy = uv * float(at.z) + 0.5;
  ivec2 low = clamp(ivec2(floor(xy)), ivec2(0), ivec2(at.z));
  vec2 f = xy - vec2(low);
  ivec2 o = at.xy + low;
  vec3 top = mix(texelFetch(sky, o, 0).rgb, texelFetch(sky, o + ivec2(1, 0), 0).rgb, f.x);
  vec3 under = mix(texelFetch(sky, o + ivec2(0, 1), 0).rgb, texelFetch(sky, o + ivec2(1, 1), 0).rgb, f.x);
  return mix(top, under, f.y);
}
vec2 readTable(float nv, float rough) {
  const int n = 64;
  vec2 xy = clamp(vec2(nv, rough) * float(n) - 0.5, 0.0, float(n - 1));
  ivec2 low = min(ivec2(xy), ivec2(n - 2));
  vec2 f = xy - vec2(low);
  vec2 top = mix(texelFetch(reflectance, low, 0).rg, texelFetch(reflectance, low + ivec2(1, 0), 0).rg, f.x);
  vec2 under = mix(texelFetch(reflectance, low + ivec2(0, 1), 0).rg, texelFetch(reflectance, low + ivec2(1, 1), 0).rg, f.x);
  return mix(top, under, f.y);
}
float nearness(sampler2D map, ivec2 at) {
  float d = texelFetch(map, at, 0).r;
  return d >= 1.0 ? -1e9 : mix(shadowRange.y, shadowRange.x, d);
}
float lampShare(vec3 p) {
  if (shadowSize == 0) return 1.0;
  vec4 q = vec4(p, 1.0);
  vec2 uv = vec2(dot(shadowRow[0], q), dot(shadowRow[1], q)) - 0.5;
  float near = dot(shadowRow[2], q);
  if (any(lessThan(uv, vec2(0.0))) || any(greaterThanEqual(uv, vec2(float(shadowSize - 1))))) return 1.0;
  ivec2 low = ivec2(uv);
  vec2 f = uv - vec2(low);
  float total = 0.0;
  for (int j = 0; j < 2; j++)
    for (int i = 0; i < 2; i++) {
      ivec2 at = low + ivec2(i, j);
      float got = nearness(shadowSolid, at) > near ? 0.0 : 1.0;
      if (nearness(shadowPierced, at) > near) got *= texelFetch(shadowShare, at, 0).r;
      total += (i == 0 ? 1.0 - f.x : f.x) * (j == 0 ? 1.0 - f.y : f.y) * got;
    }
  return total;
}
vec3 sharedBy(vec3 to, vec3 n, vec3 view, vec3 f0, vec3 matt, float rough, float nl, float nv) {
  vec3 h = normalize(to + view);
  float nh = clamp(dot(n, h), 0.0, 1.0), vh = clamp(dot(view, h), 0.0, 1.0);
  float a = max(rough, 0.03);
  a *= a;
  float a2 = a * a, d = nh * nh * (a2 - 1.0) + 1.0;
  float hidden = 0.5 / max(nl * sqrt(nv * nv * (1.0 - a2) + a2) + nv * sqrt(nl * nl * (1.0 - a2) + a2), 1e-7);
  float g = a2 / (d * d) * hidden, p = 1.0 - vh, p2 = p * p;
  vec3 f = (1.0 - f0) * (p2 * p2 * p) + f0;
  return f * g + matt * (1.0 - f);
}
vec3 litBy(vec3 n, vec3 view, vec3 place, vec3 base, float rough, float metal, float occlusion) {
  float nv = max(dot(n, view), 1e-4);
  vec3 f0 = mix(vec3(0.04), base, metal), matt = base * (1.0 - metal);
  vec2 ab = readTable(nv, rough);
  vec3 mirrored = f0 * ab.x + ab.y;
  mat3 turned = mat3(turn.x, 0.0, turn.y, 0.0, 1.0, 0.0, -turn.y, 0.0, turn.x);
  vec3 even = readMap(12, octahedron(turned * n));
  vec2 uv = octahedron(turned * (2.0 * nv * n - view));
  float lod = rough * 11.0;
  int k = min(int(lod), 10);
  vec3 seen = mix(readMap(k, uv), readMap(k + 1, uv), lod - float(k));
  vec3 sum = (matt * even * (1.0 - mirrored) + seen * mirrored) * (occlusion * ambient);
  float nl = dot(n, toLamp);
  if (nl > 0.0 && lampPower > 0.0) {
    float off = shadowTexel * (1.5 + 2.0 * (1.0 - nl)), got = lampShare(place + n * off) * nl;
    if (got > 0.0) sum += sharedBy(toLamp, n, view, f0, matt, rough, nl, nv) * (lampPower * got);
  }
  for (int i = 0; i < points; i++) {
    vec3 d = pointAt[i].xyz - place;
    float d2 = dot(d, d), reach = pointAt[i].w;
    if (d2 >= reach * reach) continue;
    vec3 to = d / sqrt(max(d2, 1e-8));
    float pl = dot(n, to);
    if (pl <= 0.0) continue;
    float s = d2 / (reach * reach), w = max(1.0 - s * s, 0.0);
    sum += sharedBy(to, n, view, f0, matt, rough, pl, nv) * pointColour[i] * (w * w / max(d2, 0.01) * pl);
  }
  return sum;
}
