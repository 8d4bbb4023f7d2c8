// Triangles, three places each, as 32-bit floats.
function trianglesOf(text) {
  const v = new Float32Array(bytesOf(text).buffer), rows = [];
  for (let k = 0; k < v.length; k += 9) rows.push([0, 3, 6].map((j) => [v[k + j], v[k + j + 1], v[k + j + 2]]));
  return rows;
}

// The order of what is drawn, and the passes; see Engine.
const GROUPS = ["Backdrop", "Solid", "Cutout", "Decal", "Blended", "Front"];
const CODES = {MULTIPLY: 6, DITHERED: 2};

function distance(a, b) { return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]); }

Object.assign(Engine.prototype, {
  shown(axes) {
    const other = this.other ? this.data.versions[this.only] : null;
    const rows = this.data.draws.filter((d) => d.overlay ? (this.only === null ? d.shown : d.overlay === this.only && !other) : !this.hideAround);
    return rows.concat(other ? other.draws : [], this.moving(axes));
  },

  // Particles of every part of every effect, at the time that is seen, as draws.
  moving(axes) {
    const rows = [];
    if (!this.effectsShown) return rows;
    for (const [k, e] of this.data.effects.entries()) {
      if (!e.flows) {
        const solids = e.solid ? this.solids() : [];
        const meshes = Object.fromEntries(Object.entries(e.meshes).map(([name, text]) => [name, trianglesOf(text)]));
        e.flows = e.file.effect.parts.filter((p) => !p.muted && this.data.sprites[p.overlay]).map((p) => new Flow(e.file, p, meshes, solids));
      }
      e.flows.forEach((flow, j) => {
        const sprite = this.data.sprites[flow.part.overlay];
        if (this.only === null ? !sprite.shown : this.only !== flow.part.overlay) return;
        const found = flow.at(this.time);
        if (!found.length) return;
        const facing = flow.part.facing, [corners, index, each] = panelsOf(found, facing, sprite.sheet, axes);
        const middle = times(found.reduce((sum, p) => add(sum, p.place), [0, 0, 0]), 1 / found.length);
        flow.draw = {...sprite, array: flow.draw && flow.draw.array, buffers: flow.draw && flow.draw.buffers, number: 1e6 + 100 * k + j,
          nudge: within(sprite.nudge + facing.nudge, -999, 999), stands: middle, places: corners, moving: true, each, alone: facing.order !== "far"};
        this.fill(flow.draw, corners, index);
        rows.push(flow.draw);
      });
    }
    return rows;
  },

  solids() { return (this.keptSolids ||= solidsOf(trianglesOf(this.data.solids))); },

  // Lamps that effects carry, as they flicker.
  lamps() {
    const rows = [...this.data.light.points];
    if (!this.effectsShown) return rows;
    for (const {file} of this.data.effects) {
      const e = file.effect, l = e.lamp;
      if (!l.on || l.strength <= 0 || rows.length >= 4) continue;
      const at = add(e.at, times(turnedBy(axesOfEffect(e), add(travelAt(e.travel, this.time)[0], [0, l.above, 0])), e.scale));
      const n = noiseAt(this.time * l.rate, 0.5, 0.5, e.seed) + 0.5 * noiseAt(this.time * l.rate * 2.3, 0.5, 0.5, e.seed + 1);
      rows.push([...at, l.reach, ...times(linearOf(l.colour), l.strength * (1 - l.flicker * (0.5 + n / 3)))]);
    }
    return rows;
  },

  // Draw group, nudge, from far to near by what the material says; where that is equal, the order of the list. Particles
  // that mix take their place one by one; those of one part that follow one another are drawn together.
  ordered(draws, eye) {
    const far = (d) => d.overlay === "" ? 0 : d.distance === "nearest" ? this.nearestOf(d, eye) : distance(d.stands, eye);
    const rows = [];
    for (const d of draws) {
      let from = 0;
      if (this.mixes(d)) for (const [away, end] of d.each) { rows.push({d, far: away, from, end}); from = end; }
      else rows.push({d, far: far(d), from: 0, end: d.index.length});
    }
    rows.sort((a, b) => a.d.group - b.d.group || a.d.nudge - b.d.nudge || (b.far - a.far) || a.d.number - b.d.number || a.from - b.from);
    const runs = [];
    for (const r of rows) {
      const last = runs[runs.length - 1];
      if (last && last.d === r.d && last.end === r.from) last.end = r.end; else runs.push(r);
    }
    return runs.map((r) => Object.assign(Object.create(r.d), {from: r.from, end: r.end}));
  },

  mixes(d) {
    const own = d.distance === "triangle" || (d.backFirst && d.both) || d.depthFirst || d.refracts;
    return d.moving && !d.alone && !own && d.group > GROUPS.indexOf("Decal") && d.blend > CODES.DITHERED;
  },

  nearestOf(d, eye) {
    let best = Infinity;
    for (let k = 0; k < d.places.length; k += WIDE) best = Math.min(best, distance(add(d.places.subarray(k, k + 3), d.anchor), eye));
    return best;
  },

  // Each triangle from far to near, where the material asks for that.
  sortTriangles(d, axes) {
    const n = d.index.length / 3, z = new Float64Array(n), p = d.places;
    for (let t = 0; t < n; t++) {
      let sum = 0;
      for (let k = 0; k < 3; k++) {
        const i = WIDE * d.index[3 * t + k];
        sum += (p[i] - axes.eye[0]) * axes.ahead[0] + (p[i + 1] - axes.eye[1]) * axes.ahead[1] + (p[i + 2] - axes.eye[2]) * axes.ahead[2];
      }
      z[t] = sum;
    }
    const rank = [...z.keys()].sort((a, b) => z[b] - z[a]);
    const made = new Uint32Array(d.index.length);
    rank.forEach((t, k) => made.set(d.index.subarray(3 * t, 3 * t + 3), 3 * k));
    this.gl.bindVertexArray(d.array);
    this.gl.bufferSubData(this.gl.ELEMENT_ARRAY_BUFFER, 0, made);
  },

  paint(d, pass, view, shadow, more = {}) {
    const gl = this.gl;
    this.use(pass);
    this.setView(view);
    this.setLight(shadow);
    for (let k = 0; k < 8; k++) {
      this.set(`p${k}`, this.textures[d.textures[Math.min(k, d.textures.length - 1)]]);
      if (this.now.at[`p${k}`]) this.wrap(d);
    }
    this.set("vectorMap", d.vectors < 0 ? this.blank() : this.textures[d.vectors]);
    if (this.now.at.vectorMap) this.wrap(d);
    for (const [name, value] of Object.entries(d.uniforms)) this.set(name, value);
    const t = d.flowTime + this.time;
    this.set("flow", [d.flow[0], d.flow[1], d.flowSpeed[0] * t, d.flowSpeed[1] * t, d.flow[4]]);
    this.set("slots", d.textures.length);
    this.set("finest", this.finest);
    this.set("turns", d.turns);
    this.set("upright", d.upright);
    this.set("standsAt", d.anchor);
    for (const [name, value] of Object.entries(more)) this.set(name, value);
    gl.enable(gl.DEPTH_TEST);
    gl.depthFunc(d.test ? gl.LEQUAL : gl.ALWAYS);
    gl.bindVertexArray(d.array);
    if (d.distance === "triangle") this.sortTriangles(d, view.axes);
    const slope = d.slope > 0;
    if (slope) { gl.enable(gl.POLYGON_OFFSET_FILL); gl.polygonOffset(-d.slope, 0); }
    const go = () => gl.drawElements(gl.TRIANGLES, d.end - d.from, gl.UNSIGNED_INT, 4 * d.from);
    const faces = () => {
      gl.enable(gl.CULL_FACE);
      if (!d.both) { gl.cullFace(gl.BACK); go(); } else if (d.backFirst) { gl.cullFace(gl.FRONT); go(); gl.cullFace(gl.BACK); go(); } else { gl.disable(gl.CULL_FACE); go(); }
    };
    if (d.depthFirst) { gl.colorMask(false, false, false, false); gl.depthMask(true); faces(); gl.colorMask(true, true, true, true); }
    gl.depthMask(d.write);
    faces();
    if (slope) gl.disable(gl.POLYGON_OFFSET_FILL);
    gl.depthMask(true);
  },

  setBlend(d) {
    const gl = this.gl;
    if (d.blend <= CODES.DITHERED) gl.disable(gl.BLEND);
    else {
      gl.enable(gl.BLEND);
      d.blend === CODES.MULTIPLY ? gl.blendFunc(gl.DST_COLOR, gl.ZERO) : gl.blendFunc(gl.ONE, gl.ONE_MINUS_SRC_ALPHA);
    }
  },

  // One picture, or the two versions of what is shown alone, beside each other.
  draw(camera) {
    const two = this.beside && this.only !== null && this.data.versions[this.only];
    if (!two) {
      this.other = false;
      this.drawPart(camera, 0, this.canvas.width);
      return;
    }
    const half = Math.floor(this.canvas.width / 2);
    this.other = two.first;
    this.drawPart(camera, 0, half);
    this.other = !two.first;
    this.drawPart(camera, this.canvas.width - half, half);
    this.other = false;
  },

  drawPart(camera, left, width) {
    const gl = this.gl, height = this.canvas.height, axes = axesOf(camera);
    const focal = Math.min(height, width / 1.25) / 2 / Math.tan(camera.fov * Math.PI / 360);
    const view = {axes, width, height, lens: [focal / (width / 2), focal / (height / 2)]};
    const shown = this.shown(axes), rows = this.ordered(shown, axes.eye), shadow = this.castShadows(shown.filter((d) => !d.moving));
    this.points = this.lamps();
    const g = this.target("surfaces", width, height, [gl.RGBA16F, gl.RGBA16F, gl.RGBA16F, gl.RGBA16F, gl.RGBA16F, gl.R16F]);
    this.bind(g);
    gl.disable(gl.BLEND);
    gl.colorMask(true, true, true, true);
    gl.depthMask(true);
    gl.clearDepth(1);
    gl.clear(gl.DEPTH_BUFFER_BIT);
    for (let k = 0; k < 6; k++) gl.clearBufferfv(gl.COLOR, k, k === 3 ? [...this.ground, 1] : [0, 0, 0, 0]);
    const split = GROUPS.indexOf("Decal");
    for (const d of rows.filter((x) => x.group <= split)) {
      this.bind(g);
      this.setBlend(d);
      this.paint(d, "before", view, shadow);
    }
    const light = this.target("light", width, height, [gl.RGBA16F]);
    this.bind(light);
    gl.disable(gl.BLEND);
    gl.disable(gl.DEPTH_TEST);
    gl.disable(gl.CULL_FACE);
    this.use("lit");
    this.setView(view);
    this.setLight(shadow);
    SURFACES.forEach((name, k) => this.set(`surface${name}`, g.maps[k]));
    this.set("depthMap", g.depth);
    gl.bindVertexArray(null);
    gl.drawArrays(gl.TRIANGLES, 0, 3);
    this.copyDepth(g, light);
    for (const d of rows.filter((x) => x.group > split)) {
      let behind = light.maps[0];
      if (d.refracts) behind = this.copyBehind(light);
      this.bind(light);
      if (d.refracts) gl.disable(gl.BLEND); else this.setBlend(d);
      this.paint(d, "blended", view, shadow, {sceneDepth: g.depth, behindMap: d.refracts ? behind : this.blank()});
    }
    this.bind(null);
    gl.viewport(left, 0, width, height);
    gl.disable(gl.BLEND);
    gl.disable(gl.DEPTH_TEST);
    gl.disable(gl.CULL_FACE);
    this.use("screen");
    this.set("light", light.maps[0]);
    this.set("left", left);
    this.set("gain", this.data.light.gain);
    this.set("display", this.display);
    this.set("soft", this.data.light.soft);
    gl.drawArrays(gl.TRIANGLES, 0, 3);
  },

  blank() { return this.textures[0]; },

  copyDepth(from, to) {
    const gl = this.gl;
    gl.bindFramebuffer(gl.READ_FRAMEBUFFER, from.frame);
    gl.bindFramebuffer(gl.DRAW_FRAMEBUFFER, to.frame);
    gl.blitFramebuffer(0, 0, from.width, from.height, 0, 0, to.width, to.height, gl.DEPTH_BUFFER_BIT, gl.NEAREST);
  },

  copyBehind(light) {
    const gl = this.gl, levels = 1 + Math.floor(Math.log2(Math.max(light.width, light.height)));
    const copy = this.target("behind", light.width, light.height, [gl.RGBA16F], levels);
    gl.bindFramebuffer(gl.READ_FRAMEBUFFER, light.frame);
    gl.bindFramebuffer(gl.DRAW_FRAMEBUFFER, copy.frame);
    gl.blitFramebuffer(0, 0, light.width, light.height, 0, 0, light.width, light.height, gl.COLOR_BUFFER_BIT, gl.NEAREST);
    gl.bindTexture(gl.TEXTURE_2D, copy.maps[0]);
    gl.generateMipmap(gl.TEXTURE_2D);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_LINEAR);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
    return copy.maps[0];
  },
});
