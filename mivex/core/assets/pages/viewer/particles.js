// What is seen of particles, and the panels that show them; docs/motion-spec.md, section 6.
class Flow {
  constructor(file, part, meshes, solids) {
    Object.assign(this, {file, part, solids, mesh: meshes[part.emission.mesh], until: -Infinity, rows: []});
    this.axes = axesOfEffect(file.effect);
    this.stream = BigInt(file.streams[part.id]);
  }

  // Born is whoever is born within two seconds more than was asked for.
  bornBy(time) {
    const e = this.file.effect;
    if (time > this.until) {
      this.until = time + 2;
      const known = new Map(this.rows.map((r) => [`${r.stream} ${r.index}`, r]));
      this.rows = birthsOf(this.part, e.seed, this.stream, this.until + 1, e.dials.rate)
        .map((r) => known.get(`${r.stream} ${r.index}`) || r);
    }
    return this.rows;
  }

  begun(row) {
    const e = this.file.effect, birth = this.part.birth, c = {};
    chances(e.seed, row.stream, row.index).forEach((v, k) => { if (NAMES[k]) c[NAMES[k]] = v; });
    const [place, way, taken] = carriedAlong(e.travel, originOf(this.part.emission, c, this.mesh), row.born), between = (pair, u) => pair[0] + (pair[1] - pair[0]) * u;
    row.c = c;
    row.spin = between(birth.spin, c.spin);
    row.first = {place: add(turnedBy(this.axes, times(place, e.scale)), e.at), t: row.born, turn: between(birth.turn, c.turn),
      speed: times(turnedBy(this.axes, add(times(way, between(birth.speed, c.speed)), taken)), e.scale)};
    row.state = row.first;
  }

  // Kept is what a particle is at the last whole tick; what is asked for lies a part of a tick beyond it.
  stateAt(row, time) {
    if (!row.c) this.begun(row);
    if (row.dead !== undefined && time >= row.dead) return null;
    if (time < row.state.t - 1e-9) row.state = row.first;
    const e = this.file.effect;
    let s = row.state;
    while (s.t < time - 1e-9) {
      const end = Math.min((Math.floor(s.t / TICK + 1e-6) + 1) * TICK, time);
      const next = stepped(this.part, e, this.file.wind, this.solids, s, row, end);
      if (!next) { row.dead = end; return null; }
      s = next;
      if (Math.abs(end / TICK - Math.round(end / TICK)) < 1e-6) row.state = s;
    }
    return s;
  }

  at(time) {
    const e = this.file.effect, {life, birth} = this.part, out = [], between = (pair, u) => pair[0] + (pair[1] - pair[0]) * u;
    for (const row of this.bornBy(time)) {
      if (!(row.born <= time && time < row.born + row.lasts)) continue;
      const s = this.stateAt(row, time);
      if (!s) continue;
      const c = row.c, share = within((time - row.born) / row.lasts, 0, 1), wide = between(birth.width, c.width);
      const high = birth.height ? between(birth.height, c.height) : wide;
      const [size, opacity, worn, shown] = ["size", "opacity", "erosion", "frame"].map((k) => life[k] ? laneAt(life[k], share) : null);
      const two = birth.tint.map(linearOf), dial = linearOf(e.dials.tint), ramp = life.tint ? rampAt(life.tint, share) : [1, 1, 1];
      const scale = (size === null ? 1 : Math.max(size, 0)) * e.scale * e.dials.size, frame = {life: share,
        random: c.frame * (1 - 1e-12), first: 0, play: -1 - (time - row.born)}[birth.frame];
      out.push({place: s.place, speed: s.speed, turn: s.turn, size: [wide * scale, high * scale], age: time - row.born,
        tint: [0, 1, 2].map((k) => between([two[0][k], two[1][k]], c.tint) * dial[k] * ramp[k]), look: c.look,
        opacity: within(between(birth.opacity, c.opacity) * (opacity === null ? 1 : Math.max(opacity, 0)), 0, 1),
        erosion: within((worn || 0) + e.dials.worn, 0, 1), frame: shown === null ? frame : within(shown, 0, 1)});
    }
    return out;
  }
}

const WIDE = 21;  // numbers of a corner
const SQUARE = [[0, 0], [1, 0], [1, 1], [0, 1]];

// The frame that is shown, the one after it, and that one's share.
function frameOf(p, sheet) {
  const n = sheet.cells.length;
  if (n <= 1) return [0, 0, 0];
  if (sheet.play === "random") { const k = Math.min(Math.floor(p.look * n), n - 1); return [k, k, 0]; }
  if (p.frame >= 0) {
    const x = p.frame * n, k = within(Math.floor(x), 0, n - 1);
    return [k, Math.min(k + 1, n - 1), sheet.blend ? within(x - k, 0, 1) : 0];
  }
  const x = (-1 - p.frame) * sheet.rate, k = Math.floor(x + 1e-9), there = (i) => {
    if (sheet.play === "once") return Math.min(i, n - 1);
    if (sheet.play === "loop") return i % n;
    const turn = i % Math.max(2 * n - 2, 1);
    return turn < n ? turn : 2 * n - 2 - turn;
  };
  return [there(k), there(k + 1), sheet.blend ? within(x - k, 0, 1) : 0];
}

// Corners of WIDE numbers each, and triangles, as the engine takes them; the first is drawn first. And of every
// particle how far it is away, and where its triangles end.
function panelsOf(rows, facing, sheet, axes) {
  const far = (p) => distance(p.place, axes.eye), order = facing.order;
  rows.sort((a, b) => order === "far" || order === "apart" ? far(b) - far(a) : order === "oldest" ? b.age - a.age : a.age - b.age);
  const corners = [], index = [], each = [], held = [sheet.pivot[0] + facing.pivot[0] - 0.5, sheet.pivot[1] + facing.pivot[1] - 0.5];
  for (const p of rows) {
    let pairs;
    const speed = norm(p.speed), c = Math.cos(p.turn * Math.PI / 180), s = Math.sin(p.turn * Math.PI / 180);
    const turned = (right, up) => [add(times(right, c), times(up, s)), less(times(up, c), times(right, s))];
    let high = p.size[1] * sheet.extent[1];
    if (facing.facing === "stretched") {
      high += speed * facing.stretch;
      const way = times(p.speed, 1 / Math.max(speed, 1e-6)), side = cross(way, less(axes.eye, p.place)), length = norm(side);
      pairs = [speed > 1e-6 && length > 1e-6 ? [times(side, 1 / length), way] : [axes.right, axes.up]];
    } else if (facing.facing === "crossed") pairs = [[[c, 0, s], [0, 1, 0]], [[-s, 0, c], [0, 1, 0]]];
    else if (facing.facing === "upright") pairs = [turned(axes.right, [0, 1, 0])];
    else if (facing.facing === "fixed") {
      const yaw = facing.yaw * Math.PI / 180, pitch = facing.pitch * Math.PI / 180, across = [Math.cos(yaw), 0, -Math.sin(yaw)];
      pairs = [turned(across, cross([Math.sin(yaw) * Math.cos(pitch), Math.sin(pitch), Math.cos(yaw) * Math.cos(pitch)], across))];
    } else pairs = [turned(axes.right, axes.up)];
    const [now, next, share] = frameOf(p, sheet), box = sheet.cells[now], after = sheet.cells[next];
    for (const [right, up] of pairs) {
      const first = corners.length / WIDE, normal = cross(right, up);
      const outline = sheet.hulls ? sheet.hulls[now] : SQUARE;
      for (const [u, v] of outline) {
        const at = add(add(p.place, times(right, (u - held[0]) * p.size[0] * sheet.extent[0])), times(up, -(v - held[1]) * high));
        corners.push(...at, ...normal, box[0] + u * (box[2] - box[0]), box[1] + v * (box[3] - box[1]),
          ...(sheet.tinted ? p.tint : [1, 1, 1]), p.opacity, p.erosion, p.look, after[0] - box[0], after[1] - box[1], share, box[0], box[1], box[2] - box[0], box[3] - box[1]);
      }
      for (let k = outline.length - 2; k > 0; k--) index.push(first, first + k + 1, first + k);
    }
    each.push([far(p), index.length]);
  }
  return [new Float32Array(corners), new Uint32Array(index), each];
}
