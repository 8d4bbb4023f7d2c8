// Where the particles of an effect are: docs/motion-spec.md, section by section, as mivex/reader/motion.py has it.
const TICK = 1 / 60, EARTH = 9.81, TABLE = 1025, WORD = (1n << 64n) - 1n;
const NAMES = ["life", "width", "height", "turn", "spin", "speed", "towards", "around", "place_a", "place_b", "place_c",
  "place_d", "opacity", "tint", "frame", "spare", "look"];
const GOLDEN = [0xD2E7470EE14C6C93n, 0xCA5A826395121157n], WEYL = [0x9E3779B97F4A7C15n, 0xBB67AE8584CAA73Bn];

const add = (a, b) => [a[0] + b[0], a[1] + b[1], a[2] + b[2]], times = (a, k) => [a[0] * k, a[1] * k, a[2] * k];
const less = (a, b) => [a[0] - b[0], a[1] - b[1], a[2] - b[2]], dot = (a, b) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a, b) => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const norm = (a) => Math.hypot(a[0], a[1], a[2]), within = (x, a, b) => Math.min(Math.max(x, a), b);

// 1. Chance
function philox(counter, key) {
  let c = counter, k = key;
  for (let i = 0; i < 10; i++) {
    if (i) k = [(k[0] + WEYL[0]) & WORD, (k[1] + WEYL[1]) & WORD];
    const a = c[0] * GOLDEN[0], b = c[2] * GOLDEN[1];
    c = [(b >> 64n) ^ c[1] ^ k[0], b & WORD, (a >> 64n) ^ c[3] ^ k[1], a & WORD];
  }
  return c;
}
function chances(seed, stream, birth, blocks = 5) {
  const out = [];
  for (let block = 0; block < blocks; block++)
    for (const w of philox([BigInt(block), stream, 0n, 0n], [BigInt(seed), BigInt(birth)])) out.push(Number(w >> 11n) * 2 ** -53);
  return out;
}

// 2. Curves and colours
function slopesOf(x, y) {
  const n = x.length, h = [], d = [], m = new Array(n).fill(0);
  for (let k = 0; k + 1 < n; k++) { h.push(x[k + 1] - x[k]); d.push((y[k + 1] - y[k]) / h[k]); }
  for (let k = 1; k + 1 < n; k++) if (d[k - 1] * d[k] > 0) {
    const a = 2 * h[k] + h[k - 1], b = h[k] + 2 * h[k - 1];
    m[k] = (a + b) / (a / d[k - 1] + b / d[k]);
  }
  for (const [end, h0, h1, d0, d1] of [[0, h[0], h[1], d[0], d[1]], [n - 1, h[n - 2], h[n - 3], d[n - 2], d[n - 3]]]) {
    let s = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
    if (s * d0 <= 0) s = 0;
    else if (d0 * d1 <= 0 && Math.abs(s) > 3 * Math.abs(d0)) s = 3 * d0;
    m[end] = s;
  }
  return m;
}
function straight(x, y, t) {
  if (t <= x[0]) return y[0];
  const n = x.length;
  if (t >= x[n - 1]) return y[n - 1];
  let k = 0;
  while (t >= x[k + 1]) k++;
  return y[k] + (y[k + 1] - y[k]) * (t - x[k]) / (x[k + 1] - x[k]);
}
function pointsOf(curve) {
  if (!curve.held) {
    const x = curve.points.map((p) => p[0]), y = curve.points.map((p) => p[1]);
    for (let k = 1; k < x.length; k++) if (x[k] <= x[k - 1]) x[k] = x[k - 1] + 1e-9;
    curve.held = {x, y, m: curve.smooth && x.length > 2 ? slopesOf(x, y) : null};
  }
  return curve.held;
}
function curveAt(curve, share) {
  const {x, y, m} = pointsOf(curve), n = x.length, t = within(share, x[0], x[n - 1]);
  if (!m) return straight(x, y, t);
  let k = 0;
  while (k < n - 2 && t >= x[k + 1]) k++;
  const h = x[k + 1] - x[k], u = (t - x[k]) / h;
  return y[k] * (1 + 2 * u) * (1 - u) ** 2 + y[k + 1] * u * u * (3 - 2 * u) + m[k] * h * u * (1 - u) ** 2 + m[k + 1] * h * u * u * (u - 1);
}
function tableAt(curve, share) {
  if (!curve.table) curve.table = Float64Array.from({length: TABLE}, (_, k) => curveAt(curve, k / (TABLE - 1)));
  const at = within(share, 0, 1) * (TABLE - 1), k = Math.min(Math.floor(at), TABLE - 2);
  return curve.table[k] + (curve.table[k + 1] - curve.table[k]) * (at - k);
}
const laneAt = (curve, share) => curve.smooth && curve.points.length > 2 ? tableAt(curve, share) : curveAt(curve, share);
const linearOf = (rgb) => rgb.map((c) => c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
function rampAt(ramp, share) {
  const x = ramp.stops.map((s) => s.at), rgb = ramp.stops.map((s) => linearOf(s.colour));
  return [0, 1, 2].map((k) => straight(x, rgb.map((c) => c[k]), share));
}

// 3. Births
function halfEven(v) { const f = Math.floor(v), r = v - f; return r > 0.5 || (r === 0.5 && f % 2) ? f + 1 : f; }
function steady(e, rate, until) {
  if (rate <= 0 || until <= 0) return [];
  if (!e.rate_curve) return Array.from({length: Math.ceil(rate * until - 1e-9)}, (_, j) => j / rate);
  const n = 4097, length = e.duration, grid = [], total = [0];
  let before = 0;
  for (let k = 0; k < n; k++) {
    grid.push(k / (n - 1));
    const v = Math.max(curveAt(e.rate_curve, grid[k]), 0);
    if (k) total.push(total[k - 1] + (v + before) / 2 / (n - 1));
    before = v;
  }
  for (let k = 0; k < n; k++) total[k] *= rate * length;
  const whole = total[n - 1];
  if (whole <= 1e-12) return [];
  const run = Math.floor(until / length), count = Math.ceil(run * whole + straight(grid, total, until / length - run) - 1e-9);
  const rising = total.map((v, k) => v + k * 1e-13), out = [];
  for (let j = 0; j < count; j++) {
    const r = Math.floor(j / whole + 1e-12);
    out.push((r + straight(rising, grid, Math.max(j - r * whole, 0))) * length);
  }
  return out;
}
function birthsOf(part, seed, stream, until, rate) {
  const e = part.emission, [low, high] = part.birth.life, runs = {once: 1, times: e.times, loop: Infinity}[e.runs];
  let ahead = -e.delay;
  if (e.warm && e.runs === "loop") ahead = Math.ceil(high / e.duration) * e.duration;
  until += ahead;
  const rows = steady(e, e.rate * rate, Math.min(until, runs * e.duration)).map((t, i) => [t, stream, i]);
  e.bursts.forEach((burst, k) => {
    const begun = until > 0 ? Math.min(runs, Math.floor(until / e.duration) + 1) : 0;
    const [least, most] = burst.count.map((v) => halfEven(v * rate)), starts = [];
    for (let r = 0; r < begun; r++)
      for (let n = 0; n < burst.repeats; n++) { const t = burst.time + n * burst.every; if (t < e.duration) starts.push(r * e.duration + t); }
    starts.forEach((t, i) => {
      if (t >= until) return;
      const count = least + Math.floor(chances(seed, stream + 128n + BigInt(k), i, 1)[0] * (most - least + 1));
      for (let n = 0; n < count; n++) rows.push([t, stream + 1n + BigInt(k), i * 1048576 + n]);
    });
  });
  const born = rows.map(([t, s, i]) => ({born: t - ahead, lasts: low + (high - low) * chances(seed, s, i, 1)[0], stream: s, index: i}));
  born.sort((a, b) => a.born - b.born);
  let dies = [];
  return born.filter((r) => {
    dies = dies.filter((d) => d > r.born);
    if (dies.length >= e.most) return false;
    dies.push(r.born + r.lasts);
    return true;
  });
}

// 4. Places and directions at birth
function axesOfEffect(effect) {
  const [yaw, pitch, roll] = [effect.yaw, effect.pitch, effect.roll].map((v) => v * Math.PI / 180);
  const axis = [Math.sin(yaw) * Math.cos(pitch), Math.sin(pitch), Math.cos(yaw) * Math.cos(pitch)];
  let x = cross(Math.abs(axis[1]) < 0.95 ? [0, 1, 0] : [0, 0, -1], axis);
  x = times(x, 1 / norm(x));
  const z = cross(x, axis), c = Math.cos(roll), s = Math.sin(roll);
  return [add(times(x, c), times(z, s)), axis, less(times(z, c), times(x, s))];
}
const turnedBy = (axes, v) => add(add(times(axes[0], v[0]), times(axes[1], v[1])), times(axes[2], v[2]));
function aroundY(y, b) { const r = Math.sqrt(Math.max(1 - y * y, 0)), t = 2 * Math.PI * b; return [r * Math.cos(t), y, r * Math.sin(t)]; }
function originOf(e, c, mesh) {
  const a = c.place_a, b = c.place_b, third = c.place_c, d = c.place_d, size = e.size, form = e.form;
  let place = [0, 0, 0], out = [0, 1, 0];
  if (form === "sphere" || form === "half") {
    out = aroundY(form === "sphere" ? 1 - 2 * a : 1 - a, b);
    place = times(out, size[0] * (e.skin ? 1 : third ** (1 / 3)));
  } else if (form === "disc" || form === "ring") {
    const flat = [Math.cos(2 * Math.PI * a), 0, Math.sin(2 * Math.PI * a)];
    let r = size[0];
    if (form === "disc") { if (!e.skin) r = size[0] * Math.sqrt(b); } else {
      const inner = Math.max(size[0] - size[1] / 2, 0), outer = size[0] + size[1] / 2;
      if (!e.skin) r = Math.sqrt(inner ** 2 + (outer ** 2 - inner ** 2) * b);
      out = flat;
    }
    place = times(flat, r);
  } else if (form === "box") {
    place = [(a - 0.5) * size[0], (b - 0.5) * size[1], (third - 0.5) * size[2]];
    if (e.skin) {
      const [x, y, z] = size, areas = [];
      [y * z, y * z, x * z, x * z, x * y, x * y].reduce((sum, v, k) => (areas[k] = sum + v), 0);
      const want = d * Math.max(areas[5], 1e-12);
      let face = areas.findIndex((v) => want < v);
      if (face < 0) face = 5;
      const side = face % 2 ? 1 : -1, axis = Math.floor(face / 2);
      place[axis] = side * size[axis] / 2;
      out = [0, 0, 0];
      out[axis] = side;
    } else { const length = norm(place); out = length > 1e-9 ? times(place, 1 / length) : [0, 1, 0]; }
  } else if (form === "line") place = [(a - 0.5) * size[0], 0, 0];
  else if (form === "mesh" && mesh) {
    if (!mesh.area) {
      let sum = 0;
      mesh.normals = mesh.map((t) => cross(less(t[1], t[0]), less(t[2], t[0])));
      mesh.area = mesh.normals.map((n) => (sum += norm(n)));
    }
    const want = a * mesh.area[mesh.area.length - 1];
    let t = mesh.area.findIndex((v) => want < v);
    if (t < 0) t = mesh.length - 1;
    const r = Math.sqrt(b), w = [1 - r, r * (1 - third), r * third];
    place = add(add(times(mesh[t][0], w[0]), times(mesh[t][1], w[1])), times(mesh[t][2], w[2]));
    out = times(mesh.normals[t], 1 / Math.max(norm(mesh.normals[t]), 1e-12));
  }
  const along = e.along.some((v) => v) ? e.along : [0, 1, 0], n = times(along, 1 / norm(along));
  if (e.way === "round" || (e.way === "out" && form === "point")) out = aroundY(1 - 2 * c.towards, c.around);
  else if (e.way === "given") out = n;
  else if (e.way === "cone") {
    let x = cross(n, Math.abs(n[2]) < 0.95 ? [0, 0, 1] : [1, 0, 0]);
    x = times(x, 1 / norm(x));
    const local = aroundY(1 - (1 - Math.cos(e.cone * Math.PI / 180)) * c.towards, c.around);
    out = add(add(times(x, local[0]), times(n, local[1])), times(cross(x, n), local[2]));
  }
  return [place, out];
}

// Where an effect that moves is at a time, and its velocity; its own axes.
function travelAt(travel, t) {
  const rate = 2 * Math.PI / travel.period, s = Math.sin(rate * t), c = Math.cos(rate * t);
  const reach = travel.path === "none" ? [0, 0, 0] : [travel.reach_x, travel.reach_y, travel.reach_z];
  const [to, quick] = travel.path === "swing" ? [[s, s, s], [c, c, c]] : [[c, s, s], [-s, c, c]];
  return [reach.map((r, k) => r * to[k]), reach.map((r, k) => r * quick[k] * rate)];
}
function carriedAlong(travel, [place, way], t) {
  if (travel.path === "none" && travel.turning === 0) return [place, way, [0, 0, 0]];
  const up = [0, 1, 0], turn = travel.turning * Math.PI / 180, [offset, velocity] = travelAt(travel, t);
  place = turnedAbout(place, up, turn * t);
  way = turnedAbout(way, up, turn * t);
  return [add(place, offset), way, times(add(velocity, times(cross(up, place), turn)), travel.carried)];
}

// 5. Steps
function latticeAt(x, y, z, seed) {
  let h = (Math.imul(x, 0x9E3779B1) ^ Math.imul(y, 0x85EBCA77) ^ Math.imul(z, 0xC2B2AE3D) ^ seed) >>> 0;
  h = Math.imul(h ^ (h >>> 15), 0x2C1B3C6D) >>> 0;
  h = Math.imul(h ^ (h >>> 12), 0x297A2D39) >>> 0;
  return ((h ^ (h >>> 15)) & 0xFFFF) / 32767.5 - 1;
}
function noiseAt(x, y, z, seed) {
  const i = Math.floor(x), j = Math.floor(y), k = Math.floor(z), e = [x - i, y - j, z - k].map((t) => t * t * t * (t * (t * 6 - 15) + 10));
  let total = 0;
  for (let n = 0; n < 8; n++) {
    const b = [n & 1, (n >> 1) & 1, n >> 2];
    total += (b[0] ? e[0] : 1 - e[0]) * (b[1] ? e[1] : 1 - e[1]) * (b[2] ? e[2] : 1 - e[2]) * latticeAt(i + b[0], j + b[1], k + b[2], seed);
  }
  return total;
}
function turnedAbout(v, axis, angle) {
  const c = Math.cos(angle), s = Math.sin(angle);
  return add(add(times(v, c), times(cross(axis, v), s)), times(axis, dot(axis, v) * (1 - c)));
}
function limitedTo(v, most) { const n = norm(v); return 0 < most && most < n ? times(v, most / n) : v; }
function meetsAt(solids, a, b) {
  const d = less(b, a);
  let best = 2, normal = null;
  for (const t of solids) {
    if (Math.max(a[0], b[0]) < t.low[0] || Math.max(a[1], b[1]) < t.low[1] || Math.max(a[2], b[2]) < t.low[2] ||
      Math.min(a[0], b[0]) > t.high[0] || Math.min(a[1], b[1]) > t.high[1] || Math.min(a[2], b[2]) > t.high[2]) continue;
    const p = cross(d, t.e2), det = dot(t.e1, p);
    if (Math.abs(det) < 1e-15) continue;
    const s = less(a, t.at), u = dot(s, p) / det, r = cross(s, t.e1), v = dot(r, d) / det, w = dot(t.e2, r) / det;
    if (u >= -1e-9 && u <= 1 + 1e-9 && v >= -1e-9 && u + v <= 1 + 1e-9 && w >= 0 && w <= 1 && w < best) { best = w; normal = cross(t.e1, t.e2); }
  }
  if (!normal) return [2, null];
  normal = times(normal, 1 / Math.max(norm(normal), 1e-15));
  return [best, dot(normal, d) > 0 ? times(normal, -1) : normal];
}
function solidsOf(rows) {
  return rows.map(([a, b, c]) => ({at: a, e1: less(b, a), e2: less(c, a),
    low: [0, 1, 2].map((k) => Math.min(a[k], b[k], c[k]) - 1e-6), high: [0, 1, 2].map((k) => Math.max(a[k], b[k], c[k]) + 1e-6)}));
}
// One step of a particle from `state` (place, speed, turn, t) to `end`; null where it dies on something solid.
function stepped(part, effect, wind, solids, state, row, end) {
  const life = part.life, own = part.facing.space === "local", turn = own ? axesOfEffect(effect) : [[1, 0, 0], [0, 1, 0], [0, 0, 1]];
  const dt = end - state.t, middle = (state.t + end) / 2, share = (middle - row.born) / row.lasts, k = life.drag + life.wind;
  let {place, speed} = state, pull = add(turnedBy(turn, [0, -EARTH * life.gravity, 0]),
    times(turnedBy(turn, life.acceleration), life.push ? tableAt(life.push, share) : 1)), step;
  if (k > 0) {
    pull = add(pull, times(wind, life.wind));
    const h = -Math.expm1(-k * dt) / k, x = k * dt;
    let g = (dt - h) / k;
    if (x < 1e-2) { g = 0; let f = 2; for (let n = 0; n < 7; n++) { g += (-x) ** n * 2 / f; f *= n + 3; } g *= dt * dt / 2; }
    step = add(times(speed, h), times(pull, g));
    speed = add(times(speed, Math.exp(-k * dt)), times(pull, h));
  } else { step = add(times(speed, dt), times(pull, dt * dt / 2)); speed = add(speed, times(pull, dt)); }
  speed = limitedTo(speed, life.limit);
  const lanes = [life.speed_x, life.speed_y, life.speed_z];
  if (lanes.some((c) => c)) step = step.map((v, i) => v * (lanes[i] ? tableAt(lanes[i], share) : 1));
  if (life.drift > 0) {
    const [x, y, z] = times(place, life.drift_scale), m = middle * life.drift_rate, seed = effect.seed;
    step = add(step, times([noiseAt(x + m, y, z, seed), noiseAt(x, y + m, z, seed + 7919), noiseAt(x, y, z + m, seed + 104729)], life.drift * dt));
  }
  step = limitedTo(step, life.limit * dt);
  if (life.swirl !== 0) {
    const w = life.swirl * Math.PI / 180 * dt;
    step = less(add(turnedAbout(less(add(place, step), effect.at), turn[1], w), effect.at), place);
    speed = turnedAbout(speed, turn[1], w);
  }
  if (life.solids !== "through") {
    const [met, n] = meetsAt(solids, place, add(place, step));
    if (met <= 1 && life.solids === "die") return null;
    if (met <= 1) {
      step = add(times(step, met), times(n, 1e-4));
      const d = dot(speed, n);
      if (d < 0) speed = less(times(less(speed, times(n, d)), 1 - life.rub), times(n, d * life.bounce));
    }
  }
  return {place: add(place, step), speed, t: end, turn: state.turn + row.spin * (life.spin ? tableAt(life.spin, share) : 1) * dt};
}
