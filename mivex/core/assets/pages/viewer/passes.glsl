//--- vertex of a draw
uniform vec3 eye, rightAxis, upAxis, aheadAxis;
uniform vec2 lens; // focal length over half the width, over half the height
uniform float bias;
uniform int upright, turns;
uniform vec3 standsAt;
layout(location = 0) in vec3 aPlace;
layout(location = 1) in vec3 aNormal;
layout(location = 2) in vec2 aUv;
layout(location = 3) in vec4 aTint;
layout(location = 4) in vec2 aOwn;
layout(location = 5) in vec3 aNext;
layout(location = 6) in vec4 aCell;
out vec3 place;
out vec3 normalIn;
out vec2 uvIn;
out vec4 tintIn;
out vec2 ownIn;
out vec3 nextIn;
out vec4 cellIn;
out float farther;
void main() {
  vec3 p = aPlace, n = aNormal;
  if (turns != 0) {
    vec3 up = upright != 0 ? vec3(0.0, 1.0, 0.0) : upAxis, out_ = normalize(cross(rightAxis, up));
    p = standsAt + rightAxis * aPlace.x + up * aPlace.y + out_ * aPlace.z;
    n = rightAxis * aNormal.x + up * aNormal.y + out_ * aNormal.z;
  }
  vec3 d = p - eye;
  float z = dot(d, aheadAxis);
  const float NEAR = 0.02, FAR = 400.0;
  // Depth is that of a place nearer to the eye by the bias; where it lies on screen stays. Behind the eye, where corners
  // of what is cut by the near plane may lie, it must stay straight.
  float ratio = z > bias * 2.0 + NEAR ? z / (z - bias) : 1.0;
  float depth = z * (FAR + NEAR) / (FAR - NEAR) - 2.0 * FAR * NEAR / (FAR - NEAR) * ratio;
  gl_Position = vec4(dot(d, rightAxis) * lens.x, dot(d, upAxis) * lens.y, depth, z);
  place = p;
  normalIn = n;
  uvIn = aUv;
  tintIn = aTint;
  ownIn = aOwn;
  nextIn = aNext;
  cellIn = aCell;
  farther = z;
}
//--- what a surface is, before its light
uniform vec3 eye;
uniform int decal;
uniform float matrix[64];
layout(location = 0) out vec4 outColour;
layout(location = 1) out vec4 outNormal;
layout(location = 2) out vec4 outRough;
layout(location = 3) out vec4 outGlow;
layout(location = 4) out vec4 outShare;
layout(location = 5) out vec4 outOcclusion;
uniform float high;
void main() {
  vec3 view = normalize(eye - place);
  Surface s = surfaceHere(view);
  ivec2 at = ivec2(int(gl_FragCoord.x), int(high - gl_FragCoord.y));
  if (discarded(s, matrix[(at.y & 7) * 8 + (at.x & 7)])) discard;
  float a = s.source.a;
  vec3 c = s.source.rgb;
  if (blendCode <= DITHERED && lit != 0) {
    outColour = vec4(c, 1.0);
    outNormal = vec4(s.normal, 1.0);
    outRough = vec4(s.rough, s.metal, 0.0, 1.0);
    outGlow = vec4(s.glow, 1.0);
    outShare = vec4(1.0);
    outOcclusion = vec4(s.occlusion, 0.0, 0.0, 1.0);
    return;
  }
  if (decal != 0 && lit != 0) {
    if (blendCode == PREMULTIPLIED) {
      a = min(max(a, max(c.r, max(c.g, c.b)) * tint.a), 1.0);
      c *= tint.a / max(a, 1e-6);
    }
    outColour = vec4(c, 1.0) * (a * weights.x);
    outNormal = vec4(s.normal, 1.0) * (a * weights.z);
    outRough = vec4(s.rough, s.metal, 0.0, 1.0) * (a * weights.y);
    outGlow = vec4(s.glow * weights.w * a, a);
    outShare = vec4(a);
    outOcclusion = vec4(s.occlusion, 0.0, 0.0, 1.0) * (a * weights.z);
    return;
  }
  if (lit != 0) c = litBy(s.normal, view, place, c, s.rough, s.metal, s.occlusion) + s.glow;
  outColour = outNormal = outRough = outOcclusion = vec4(0.0);
  outShare = vec4(0.0, 0.0, 0.0, a);
  if (blendCode <= DITHERED) { outGlow = vec4(c, 1.0); outShare.a = 1.0; }
  else if (blendCode == TRANSLUCENT) outGlow = vec4(c * a, a);
  else if (blendCode == PREMULTIPLIED) outGlow = vec4(c * tint.a, a);
  else if (blendCode == ADDITIVE) { outGlow = vec4(c * a, 0.0); outShare.a = 0.0; }
  else {
    vec3 keep = 1.0 - a + c * a;
    outColour = outNormal = outRough = outOcclusion = vec4(1.0);
    outGlow = outShare = vec4(keep, 1.0);
  }
}
//--- the light of what is left to be seen
uniform sampler2D surfaceColour, surfaceNormal, surfaceRough, surfaceGlow, surfaceShare, surfaceOcclusion, depthMap;
uniform vec3 eye, rightAxis, upAxis, aheadAxis;
uniform vec2 lens, size;
uniform int display;
uniform vec3 ground;
uniform int checks;
out vec4 result;
void main() {
  ivec2 at = ivec2(gl_FragCoord.xy);
  vec3 share = texelFetch(surfaceShare, at, 0).rgb, sum = texelFetch(surfaceGlow, at, 0).rgb;
  float d = texelFetch(depthMap, at, 0).r;
  const float NEAR = 0.02, FAR = 400.0;
  if (share.r + share.g + share.b > 0.0) {
    float z = 2.0 * FAR * NEAR / (FAR - NEAR) / ((FAR + NEAR) / (FAR - NEAR) - (d * 2.0 - 1.0));
    vec2 p = gl_FragCoord.xy / size * 2.0 - 1.0;
    vec3 ray = aheadAxis + rightAxis * (p.x / lens.x) + upAxis * (p.y / lens.y);
    vec4 rough = texelFetch(surfaceRough, at, 0);
    sum += share * litBy(normalize(texelFetch(surfaceNormal, at, 0).xyz), -normalize(ray), eye + ray * z,
      texelFetch(surfaceColour, at, 0).rgb, rough.r, rough.g, texelFetch(surfaceOcclusion, at, 0).r);
  }
  result = vec4(display != 0 ? encoded(sum) : sum, 1.0);
}
//--- what is blended over it
uniform vec3 eye, rightAxis, upAxis, aheadAxis;
uniform vec2 lens, size;
uniform int display;
uniform float matrix[64], high;
uniform sampler2D sceneDepth, behindMap;
layout(location = 0) out vec4 result;
void main() {
  vec3 view = normalize(eye - place);
  Surface s = surfaceHere(view);
  ivec2 at = ivec2(int(gl_FragCoord.x), int(high - gl_FragCoord.y));
  if (discarded(s, matrix[(at.y & 7) * 8 + (at.x & 7)])) discard;
  float a = s.source.a;
  vec3 c = s.source.rgb;
  if (lit != 0) c = litBy(s.normal, view, place, c, s.rough, s.metal, s.occlusion) + s.glow;
  if ((special & CONTACT) != 0) {
    const float NEAR = 0.02, FAR = 400.0;
    float d = texelFetch(sceneDepth, ivec2(gl_FragCoord.xy), 0).r;
    float z = 2.0 * FAR * NEAR / (FAR - NEAR) / ((FAR + NEAR) / (FAR - NEAR) - (d * 2.0 - 1.0));
    float share = d >= 1.0 ? 1.0 : clamp((z - farther) / contact, 0.0, 1.0);
    a *= share;
    if (blendCode == PREMULTIPLIED) c *= share;
  }
  if (display != 0) c = encoded(c);
  float o = tint.a;
  if ((special & REFRACTS) != 0) {
    // Snell's law at the first face; a thin pane's second face turns the ray back, so that only its place has moved.
    vec3 n = dot(s.normal, view) < 0.0 ? -s.normal : s.normal;
    float cosine = dot(n, view), eta = 1.0 / max(mix(glass.x, glass.y, 1.0 - cosine), 1.0);
    float sine = sqrt(max(1.0 - eta * eta * (1.0 - cosine * cosine), 0.0));
    vec3 bent = (eta * cosine - sine) * n - eta * view;
    float way = bend.x / (bend.y == 0.0 ? max(sine, 1e-3) : 1.0);
    vec3 e = place + bent * way - eye;
    float z = max(dot(e, aheadAxis), 1e-4);
    vec2 p = vec2(dot(e, rightAxis) * lens.x, dot(e, upAxis) * lens.y) / z * 0.5 + 0.5;
    float blur = bend.z * s.rough * 0.1 * size.y;
    vec3 below = textureLod(behindMap, clamp(p, 0.5 / size, 1.0 - 0.5 / size), blur > 0.0 ? max(log2(blur * 1.5), 0.0) : 0.0).rgb;
    vec3 sum;
    if (blendCode == TRANSLUCENT) sum = c * a + below * (1.0 - a);
    else if (blendCode == PREMULTIPLIED) sum = c * o + below * (1.0 - a);
    else if (blendCode == ADDITIVE) sum = c * a + below;
    else sum = below * (1.0 - a + c * a);
    result = vec4(sum, 1.0);
    return;
  }
  if (blendCode <= DITHERED) result = vec4(c, 1.0);
  else if (blendCode == TRANSLUCENT) result = vec4(c * a, a);
  else if (blendCode == PREMULTIPLIED) result = vec4(c * o, a);
  else if (blendCode == ADDITIVE) result = vec4(c * a, 0.0);
  else result = vec4(1.0 - a + c * a, 1.0);
}
//--- vertex of the lamp's view
uniform vec4 rows[3];
uniform vec2 range;
uniform float side;
layout(location = 0) in vec3 aPlace;
layout(location = 2) in vec2 aUv;
out vec2 uvIn;
void main() {
  vec4 q = vec4(aPlace, 1.0);
  float near = dot(rows[2], q);
  gl_Position = vec4(dot(rows[0], q) / side * 2.0 - 1.0, dot(rows[1], q) / side * 2.0 - 1.0,
    (near - range.y) / (range.x - range.y) * 2.0 - 1.0, 1.0);
  uvIn = aUv;
}
//--- what the lamp sees
uniform sampler2D holes;
uniform vec3 uRow, vRow;
uniform int pierced, laying;
in vec2 uvIn;
out vec4 share;
void main() {
  share = vec4(0.0);
  if (pierced == 0) return;
  vec2 uv = vec2(dot(uRow, vec3(uvIn, 1.0)), dot(vRow, vec3(uvIn, 1.0)));
  vec2 size = vec2(textureSize(holes, 0)), a = dFdx(uv) * size, b = dFdy(uv) * size;
  float there = textureLod(holes, uv, 0.5 * log2(max(max(dot(a, a), dot(b, b)), 1.0))).a;
  if (there <= 0.002) discard;
  share = vec4(there);
}
//--- vertex of a picture that fills the screen
const vec2 CORNERS[3] = vec2[3](vec2(-1.0, -1.0), vec2(3.0, -1.0), vec2(-1.0, 3.0));
void main() { gl_Position = vec4(CORNERS[gl_VertexID], 0.0, 1.0); }
//--- the picture on the screen
uniform sampler2D light;
uniform float gain;
uniform int display, soft, left;
out vec4 shown;
void main() {
  vec3 c = texelFetch(light, ivec2(gl_FragCoord.xy) - ivec2(left, 0), 0).rgb;
  if (display != 0) c = decoded(c);
  c = max(c * gain, 0.0);
  if (soft != 0) c = mix(c, 0.8 + 0.2 * (1.0 - exp((0.8 - c) / 0.2)), greaterThan(c, vec3(0.8)));
  shown = vec4(encoded(min(c, 1.0)), 1.0);
}
