// The page round the engine: cameras, what is shown, dragging.
async function begin(data) {
  const $ = (id) => document.getElementById(id);
  const wish = Object.fromEntries(new URLSearchParams(location.hash.slice(1)));
  const canvas = $("stage"), status = $("status");
  let engine;
  try {
    engine = new Engine(canvas, data);
    await engine.load((share) => { status.textContent = `Loading, ${Math.round(share * 100)} %`; });
  } catch (wrong) {
    $("viewer").classList.add("without");
    status.textContent = `This browser cannot draw the scene (${wrong.message}); the pictures below show it.`;
    document.body.dataset.drawn = "no";
    return;
  }
  let camera = {...(data.cameras.find((c) => c.name === wish.camera) || data.cameras[0])};
  let waiting = false;
  const fit = () => {
    const box = canvas.getBoundingClientRect(), scale = window.devicePixelRatio || 1;
    const [w, h] = wish.size ? wish.size.split("x").map(Number) : [Math.round(box.width * scale), Math.round(box.height * scale)];
    if (w > 0 && h > 0 && (canvas.width !== w || canvas.height !== h)) { canvas.width = w; canvas.height = h; }
  };
  const draw = () => {
    waiting = false;
    fit();
    const begun = performance.now();
    engine.draw(camera);
    status.textContent = `${camera.name || "Turned"} · ${engine.only === null ? "the scene" : "alone"} · ${engine.display ? "sums of display values" : "sums of light"}`;
    status.title = `${(performance.now() - begun).toFixed(0)} ms`;
  };
  const soon = () => { if (!waiting) { waiting = true; requestAnimationFrame(draw); } };

  data.cameras.forEach((c) => {
    const b = document.createElement("button");
    b.textContent = c.name;
    b.onclick = () => { camera = {...c}; soon(); };
    $("cameras").append(b);
  });
  const backdrops = {scene: null, black: [0, 0, 0], grey: [0.18, 0.18, 0.18], white: [1, 1, 1]};
  const show = (id) => {
    engine.only = id;
    engine.hideAround = id !== null && $("backdrop").value !== "scene";
    engine.ground = backdrops[$("backdrop").value] || data.ground;
    const two = id !== null && data.versions[id];
    $("compare").hidden = !two;
    const apart = Boolean(two && engine.beside);
    $("captions").hidden = !apart;
    if (apart) two.words.forEach((words, k) => { $("captions").children[k].textContent = words; });
    document.querySelectorAll("#overlays button").forEach((b) => b.setAttribute("aria-pressed", String(b.dataset.id === (id === null ? "" : id))));
    soon();
  };
  const entry = (words, id, note) => {
    const b = document.createElement("button");
    b.dataset.id = id === null ? "" : id;
    b.innerHTML = "<span></span><small></small>";
    b.firstChild.textContent = words;
    b.lastChild.textContent = note;
    b.onclick = () => { if (id !== null) look(id); show(id); };
    $("overlays").append(b);
  };
  // From where its first placement is seen whole.
  const look = (id) => {
    const rows = data.draws.filter((d) => d.overlay === id);
    if (!rows.length) {
      // Shown by effects only: from before the first of them.
      const e = data.effects.find((x) => x.file.effect.parts.some((p) => p.overlay === id));
      if (e) camera = {...camera, name: "", target: e.file.effect.at.slice(), distance: 2.5, fov: 40};
      return;
    }
    const low = [Infinity, Infinity, Infinity], high = [-Infinity, -Infinity, -Infinity];
    const d = rows[0];
    for (let k = 0; k < d.places.length; k += WIDE) for (let j = 0; j < 3; j++) {
      const v = d.places[k + j] + d.anchor[j];
      low[j] = Math.min(low[j], v);
      high[j] = Math.max(high[j], v);
    }
    const size = Math.max(0.2, Math.hypot(high[0] - low[0], high[1] - low[1], high[2] - low[2]));
    camera = {...camera, name: "", target: low.map((v, j) => (v + high[j]) / 2), distance: size * 1.6, fov: 40};
  };
  // Effects on their clock.
  let playing = false, begun = 0;
  const tick = (now) => {
    if (!playing) return;
    engine.time = ((now - begun) / 1000) % Number($("time").max);
    $("time").value = engine.time;
    told();
    draw();
    requestAnimationFrame(tick);
  };
  const told = () => { $("seconds").textContent = `${engine.time.toFixed(2)} s`; };
  $("play").onclick = () => {
    playing = !playing;
    $("play").textContent = playing ? "Pause" : "Play";
    begun = performance.now() - engine.time * 1000;
    if (playing) requestAnimationFrame(tick);
  };
  $("time").oninput = () => { engine.time = Number($("time").value); begun = performance.now() - engine.time * 1000; told(); soon(); };
  $("effects").onchange = () => { engine.effectsShown = $("effects").checked; soon(); };
  if (!data.effects.length) $("clock").hidden = true;
  entry("The whole scene", null, `${data.overlays.length} overlays`);
  data.overlays.forEach((o) => entry(o.name, o.id, `${data.versions[o.id] ? "⇄ " : ""}${o.blend}${o.shown ? "" : ", hidden"}`));
  $("backdrop").onchange = () => show(engine.only);
  $("beside").onchange = () => { engine.beside = $("beside").checked; show(engine.only); };
  $("level").oninput = () => { engine.finest = Number($("level").value); $("levelWords").textContent = engine.finest ? `from level ${engine.finest} on` : "as sampled"; soon(); };
  $("space").onchange = () => { engine.display = $("space").value === "display"; soon(); };
  $("space").value = data.light.display ? "display" : "linear";

  let held = null;
  canvas.onpointerdown = (e) => { held = [e.clientX, e.clientY]; canvas.setPointerCapture(e.pointerId); };
  canvas.onpointerup = () => { held = null; };
  canvas.onpointermove = (e) => {
    if (!held) return;
    const dx = e.clientX - held[0], dy = e.clientY - held[1];
    held = [e.clientX, e.clientY];
    if (e.shiftKey) {
      const a = axesOf(camera), step = camera.distance / canvas.clientHeight;
      camera.target = camera.target.map((t, k) => t - a.right[k] * dx * step + a.up[k] * dy * step);
    } else {
      camera.yaw -= dx * 0.4;
      camera.pitch = Math.min(89, Math.max(-4, camera.pitch + dy * 0.4));
    }
    camera.name = "";
    soon();
  };
  canvas.onwheel = (e) => {
    e.preventDefault();
    camera.distance = Math.min(60, Math.max(0.2, camera.distance * Math.exp(e.deltaY * 0.001)));
    camera.name = "";
    soon();
  };
  canvas.onkeydown = (e) => {
    const turn = {ArrowLeft: [-5, 0], ArrowRight: [5, 0], ArrowUp: [0, 5], ArrowDown: [0, -5]}[e.key];
    if (turn) { camera.yaw += turn[0]; camera.pitch = Math.min(89, Math.max(-4, camera.pitch + turn[1])); }
    else if (e.key === "+" || e.key === "-") camera.distance *= e.key === "+" ? 0.9 : 1.1;
    else return;
    e.preventDefault();
    camera.name = "";
    soon();
  };
  new ResizeObserver(soon).observe(canvas);
  if (wish.bare !== undefined) document.body.classList.add("bare");
  if (wish.display !== undefined) engine.display = true;
  if (wish.only) { engine.only = wish.only; if (wish.look !== undefined) look(wish.only); }
  if (wish.beside === "0") $("beside").checked = engine.beside = false;
  if (wish.time) {
    $("time").value = engine.time = Number(wish.time);
    told();
  }
  if (wish.effects === "0") engine.effectsShown = false;
  if (wish.level) engine.finest = Number(wish.level);
  show(engine.only);
  draw();
  if (wish.bare !== undefined) {
    const shot = document.createElement("pre");
    shot.id = "shot";
    shot.textContent = canvas.toDataURL("image/png");
    document.body.append(shot);
  }
  document.body.dataset.drawn = "yes";
}
begin(JSON.parse(document.getElementById("scene").textContent));
