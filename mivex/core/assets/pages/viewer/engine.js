// Draws a delivery: what it is, its light, what is blended over it. Depth, order and formulas are the stage's (docs/compositing.md).
const SURFACES = ["Colour", "Normal", "Rough", "Glow", "Share", "Occlusion"];

function bytesOf(text) { return Uint8Array.from(atob(text), (c) => c.charCodeAt(0)); }

function axesOf(camera) {
  const yaw = camera.yaw * Math.PI / 180, pitch = camera.pitch * Math.PI / 180;
  const ahead = [-Math.sin(yaw) * Math.cos(pitch), -Math.sin(pitch), -Math.cos(yaw) * Math.cos(pitch)];
  const right = [Math.cos(yaw), 0, -Math.sin(yaw)];
  const up = [right[1] * ahead[2] - right[2] * ahead[1], right[2] * ahead[0] - right[0] * ahead[2],
    right[0] * ahead[1] - right[1] * ahead[0]];
  return {right, up, ahead, eye: camera.target.map((t, k) => t - ahead[k] * camera.distance)};
}

class Engine {
  constructor(canvas, data) {
    const gl = canvas.getContext("webgl2", {antialias: false, preserveDrawingBuffer: true, alpha: false});
    if (!gl || !gl.getExtension("EXT_color_buffer_float")) throw new Error("no WebGL 2 with floating-point pictures");
    gl.getExtension("OES_texture_float_linear");
    Object.assign(this, {gl, data, canvas, kept: {}, shadow: null, only: null, hideAround: false, finest: 0,
      other: false, beside: true, display: data.light.display, ground: data.ground, time: 0, effectsShown: true, points: []});
    this.build();
  }

  async load(tell) {
    const gl = this.gl, d = this.data;
    this.textures = [];
    for (const [k, t] of d.textures.entries()) {
      tell(k / d.textures.length);
      this.textures.push(await this.picture(t));
    }
    this.sky = this.plain(d.light.sky, gl.RGB16F, gl.RGB, gl.HALF_FLOAT, Uint16Array);
    this.table = this.plain(d.light.table, gl.RG32F, gl.RG, gl.FLOAT, Float32Array);
    for (const draw of d.draws) this.mesh(draw);
    for (const v of Object.values(d.versions)) v.draws.forEach((draw) => this.mesh(draw));
  }

  plain(t, inner, format, kind, Kind) {
    const gl = this.gl, made = gl.createTexture();
    gl.bindTexture(gl.TEXTURE_2D, made);
    gl.pixelStorei(gl.UNPACK_ALIGNMENT, 1);
    gl.texImage2D(gl.TEXTURE_2D, 0, inner, t.width, t.height, 0, format, kind, new Kind(bytesOf(t.data).buffer));
    this.nearest();
    return made;
  }

  nearest() {
    const gl = this.gl;
    for (const [k, v] of [[gl.TEXTURE_MIN_FILTER, gl.NEAREST], [gl.TEXTURE_MAG_FILTER, gl.NEAREST],
      [gl.TEXTURE_WRAP_S, gl.CLAMP_TO_EDGE], [gl.TEXTURE_WRAP_T, gl.CLAMP_TO_EDGE]]) gl.texParameteri(gl.TEXTURE_2D, k, v);
  }

  // Every mip level as it was made: they lie in one picture, the largest above, the others in a row below it.
  async picture(t) {
    const gl = this.gl;
    const image = new Image();
    await new Promise((done, failed) => {
      image.onload = done;
      image.onerror = () => failed(new Error("a picture in the page is damaged"));
      image.src = `data:image/png;base64,${t.png}`;
    });
    // Codes as they stand in the file: a browser would else multiply them by alpha, or turn them into its own colours.
    gl.pixelStorei(gl.UNPACK_PREMULTIPLY_ALPHA_WEBGL, false);
    gl.pixelStorei(gl.UNPACK_COLORSPACE_CONVERSION_WEBGL, gl.NONE);
    const whole = gl.createTexture(), made = gl.createTexture();
    gl.bindTexture(gl.TEXTURE_2D, whole);
    gl.texImage2D(gl.TEXTURE_2D, 0, gl.RGBA8, gl.RGBA, gl.UNSIGNED_BYTE, image);
    const codes = new Uint8Array(image.width * image.height * 4), frame = gl.createFramebuffer();
    gl.bindFramebuffer(gl.FRAMEBUFFER, frame);
    gl.framebufferTexture2D(gl.FRAMEBUFFER, gl.COLOR_ATTACHMENT0, gl.TEXTURE_2D, whole, 0);
    gl.readPixels(0, 0, image.width, image.height, gl.RGBA, gl.UNSIGNED_BYTE, codes);
    gl.deleteFramebuffer(frame);
    gl.deleteTexture(whole);
    gl.bindTexture(gl.TEXTURE_2D, made);
    gl.texStorage2D(gl.TEXTURE_2D, t.levels.length, t.colour ? gl.SRGB8_ALPHA8 : gl.RGBA8, t.levels[0][2], t.levels[0][3]);
    gl.pixelStorei(gl.UNPACK_ROW_LENGTH, image.width);
    t.levels.forEach(([x, y, w, h], k) => {
      gl.pixelStorei(gl.UNPACK_SKIP_PIXELS, x);
      gl.pixelStorei(gl.UNPACK_SKIP_ROWS, y);
      gl.texSubImage2D(gl.TEXTURE_2D, k, 0, 0, w, h, gl.RGBA, gl.UNSIGNED_BYTE, codes);
    });
    for (const k of [gl.UNPACK_ROW_LENGTH, gl.UNPACK_SKIP_PIXELS, gl.UNPACK_SKIP_ROWS]) gl.pixelStorei(k, 0);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_LINEAR);
    gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
    return made;
  }

  mesh(draw) {
    this.fill(draw, new Float32Array(bytesOf(draw.corners).buffer), new Uint32Array(bytesOf(draw.triangles).buffer));
    draw.places = draw.cornersHeld;
  }

  // Corners of WIDE numbers (place, normal, UV, tint, own) and triangles, for what stands and for what moves.
  fill(draw, corners, index) {
    const gl = this.gl;
    draw.cornersHeld = corners;
    draw.index = index;
    if (!draw.array) {
      draw.array = gl.createVertexArray();
      draw.buffers = [gl.createBuffer(), gl.createBuffer()];
    }
    gl.bindVertexArray(draw.array);
    gl.bindBuffer(gl.ARRAY_BUFFER, draw.buffers[0]);
    gl.bufferData(gl.ARRAY_BUFFER, corners, gl.DYNAMIC_DRAW);
    let at = 0;
    [3, 3, 2, 4, 2, 3, 4].forEach((n, k) => {
      gl.enableVertexAttribArray(k);
      gl.vertexAttribPointer(k, n, gl.FLOAT, false, 4 * WIDE, at);
      at += 4 * n;
    });
    gl.bindBuffer(gl.ELEMENT_ARRAY_BUFFER, draw.buffers[1]);
    gl.bufferData(gl.ELEMENT_ARRAY_BUFFER, index, gl.DYNAMIC_DRAW);
    gl.bindVertexArray(null);
  }

  build() {
    const part = Object.fromEntries(this.data.shaders.passes.split("//--- ").slice(1)
      .map((text) => [text.split("\n", 1)[0], text.slice(text.indexOf("\n"))]));
    const head = "#version 300 es\nprecision highp float; precision highp int; precision highp sampler2D;\n";
    const {surface, light} = this.data.shaders;
    const full = part["vertex of a picture that fills the screen"];
    const seen = part["vertex of a draw"];
    // `encoded` and `decoded` stand with the surface's functions; what fills the screen needs them too.
    const curves = surface.slice(surface.indexOf("float encoded"), surface.indexOf("vec4 sampled"));
    this.programs = {
      before: this.program(head + seen, head + surface + light + part["what a surface is, before its light"]),
      lit: this.program(head + full, head + curves + light + part["the light of what is left to be seen"]),
      blended: this.program(head + seen, head + surface + light + part["what is blended over it"]),
      lamp: this.program(head + part["vertex of the lamp's view"], head + part["what the lamp sees"]),
      screen: this.program(head + full, head + curves + part["the picture on the screen"]),
    };
  }

  program(vertex, fragment) {
    const gl = this.gl, made = gl.createProgram();
    for (const [kind, text] of [[gl.VERTEX_SHADER, vertex], [gl.FRAGMENT_SHADER, fragment]]) {
      const shader = gl.createShader(kind);
      gl.shaderSource(shader, text);
      gl.compileShader(shader);
      if (!gl.getShaderParameter(shader, gl.COMPILE_STATUS)) throw new Error(gl.getShaderInfoLog(shader));
      gl.attachShader(made, shader);
    }
    gl.linkProgram(made);
    if (!gl.getProgramParameter(made, gl.LINK_STATUS)) throw new Error(gl.getProgramInfoLog(made));
    const at = {}, count = gl.getProgramParameter(made, gl.ACTIVE_UNIFORMS);
    for (let k = 0; k < count; k++) {
      const u = gl.getActiveUniform(made, k);
      at[u.name.replace("[0]", "")] = {at: gl.getUniformLocation(made, u.name), kind: u.type, many: u.size > 1 || u.name.endsWith("]")};
    }
    return {made, at, unit: 0};
  }

  use(name) { const p = this.programs[name]; this.gl.useProgram(p.made); p.unit = 0; this.now = p; }

  set(name, value) {
    const gl = this.gl, u = this.now.at[name];
    if (!u) return;
    switch (u.kind) {
      case gl.SAMPLER_2D: {
        gl.activeTexture(gl.TEXTURE0 + this.now.unit);
        gl.bindTexture(gl.TEXTURE_2D, value);
        gl.uniform1i(u.at, this.now.unit++);
        break;
      }
      case gl.INT: gl.uniform1iv(u.at, u.many ? value : [Number(value)]); break;
      case gl.FLOAT: gl.uniform1fv(u.at, u.many ? value : [value]); break;
      case gl.INT_VEC2: gl.uniform2iv(u.at, value); break;
      case gl.INT_VEC3: gl.uniform3iv(u.at, value); break;
      case gl.FLOAT_VEC2: gl.uniform2fv(u.at, value); break;
      case gl.FLOAT_VEC3: gl.uniform3fv(u.at, value); break;
      case gl.FLOAT_VEC4: gl.uniform4fv(u.at, value); break;
      case gl.FLOAT_MAT3: gl.uniformMatrix3fv(u.at, false, value); break;
    }
  }

  target(name, width, height, kinds, levels = 1) {
    const gl = this.gl, known = this.kept[name];
    if (known && known.width === width && known.height === height) return known;
    if (known) { known.maps.forEach((m) => gl.deleteTexture(m)); gl.deleteTexture(known.depth); gl.deleteFramebuffer(known.frame); }
    const made = {width, height, frame: gl.createFramebuffer(), maps: []};
    gl.bindFramebuffer(gl.FRAMEBUFFER, made.frame);
    kinds.forEach((kind, k) => {
      const map = gl.createTexture();
      gl.bindTexture(gl.TEXTURE_2D, map);
      gl.texStorage2D(gl.TEXTURE_2D, levels, kind, width, height);
      this.nearest();
      gl.framebufferTexture2D(gl.FRAMEBUFFER, gl.COLOR_ATTACHMENT0 + k, gl.TEXTURE_2D, map, 0);
      made.maps.push(map);
    });
    made.depth = gl.createTexture();
    gl.bindTexture(gl.TEXTURE_2D, made.depth);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.DEPTH_COMPONENT32F, width, height);
    this.nearest();
    gl.framebufferTexture2D(gl.FRAMEBUFFER, gl.DEPTH_ATTACHMENT, gl.TEXTURE_2D, made.depth, 0);
    gl.drawBuffers(kinds.map((_, k) => gl.COLOR_ATTACHMENT0 + k));
    return (this.kept[name] = made);
  }

  bind(target) {
    this.gl.bindFramebuffer(this.gl.FRAMEBUFFER, target ? target.frame : null);
    this.gl.viewport(0, 0, target ? target.width : this.canvas.width, target ? target.height : this.canvas.height);
  }

  // The lamp's view of what casts shadows: the nearest solid thing, the nearest pierced one, and what that lets through.
  castShadows(draws) {
    const gl = this.gl, l = this.data.light, key = draws.map((d) => d.number).join();
    if (this.shadow && this.shadow.key === key) return this.shadow;
    const side = l.shadow ? l.shadow.side : 1;
    const solid = this.target("lamp solid", side, side, [gl.R8]), pierced = this.target("lamp pierced", side, side, [gl.R16F]);
    const one = (target, holes, laying) => {
      this.bind(target);
      gl.disable(gl.CULL_FACE);
      for (const d of draws.filter((x) => x.casts && (x.holes >= 0) === holes)) {
        this.use("lamp");
        this.set("rows", l.shadow.rows.flat());
        this.set("range", l.shadow.range);
        this.set("side", side);
        this.set("pierced", holes);
        this.set("laying", laying);
        this.set("uRow", d.uRow);
        this.set("vRow", d.vRow);
        this.set("holes", this.textures[holes ? d.holes : 0]);
        this.wrap(d);
        gl.bindVertexArray(d.array);
        gl.drawElements(gl.TRIANGLES, d.index.length, gl.UNSIGNED_INT, 0);
      }
    };
    gl.clearColor(1, 1, 1, 1);
    for (const t of [solid, pierced]) { this.bind(t); gl.depthMask(true); gl.colorMask(true, true, true, true); gl.clear(gl.COLOR_BUFFER_BIT | gl.DEPTH_BUFFER_BIT); }
    if (l.shadow) {
      gl.enable(gl.DEPTH_TEST);
      gl.depthFunc(gl.LEQUAL);
      gl.disable(gl.BLEND);
      gl.colorMask(false, false, false, false);
      one(solid, false, true);
      one(pierced, true, true);
      gl.colorMask(true, true, true, true);
      gl.disable(gl.DEPTH_TEST);
      gl.enable(gl.BLEND);
      gl.blendFunc(gl.ZERO, gl.ONE_MINUS_SRC_COLOR);
      one(pierced, true, false);
      gl.disable(gl.BLEND);
    }
    return (this.shadow = {key, solid: solid.depth, pierced: pierced.depth, share: pierced.maps[0], side: l.shadow ? side : 0});
  }

  wrap(d) {
    const gl = this.gl, kind = d.wrap ? gl.REPEAT : gl.CLAMP_TO_EDGE;
    for (const k of [gl.TEXTURE_WRAP_S, gl.TEXTURE_WRAP_T]) gl.texParameteri(gl.TEXTURE_2D, k, kind);
  }

  setLight(shadow) {
    const l = this.data.light;
    this.set("sky", this.sky);
    this.set("reflectance", this.table);
    this.set("levelAt", l.levels.flat());
    this.set("turn", l.turn);
    this.set("ambient", l.ambient);
    this.set("lampPower", l.lamp);
    this.set("toLamp", l.toLamp);
    this.set("shadowTexel", l.shadow ? l.shadow.texel : 0);
    this.set("shadowSize", shadow.side);
    this.set("shadowRange", l.shadow ? l.shadow.range : [0, 1]);
    this.set("shadowRow", l.shadow ? l.shadow.rows.flat() : new Array(12).fill(0));
    this.set("shadowSolid", shadow.solid);
    this.set("shadowPierced", shadow.pierced);
    this.set("shadowShare", shadow.share);
    this.set("points", this.points.length);
    const at = new Float32Array(16), colour = new Float32Array(12);
    this.points.forEach((p, k) => { at.set(p.slice(0, 4), 4 * k); colour.set(p.slice(4, 7), 3 * k); });
    this.set("pointAt", at);
    this.set("pointColour", colour);
  }

  setView(v) {
    for (const [k, name] of [["eye", "eye"], ["right", "rightAxis"], ["up", "upAxis"], ["ahead", "aheadAxis"]]) this.set(name, v.axes[k]);
    this.set("lens", v.lens);
    this.set("size", [v.width, v.height]);
    this.set("high", v.height);
    this.set("display", this.display);
    this.set("ground", this.ground);
    this.set("matrix", this.data.matrix);
  }
}
