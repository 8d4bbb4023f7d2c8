<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
 <context>
  <name>Mivex</name>
  <message>
   <source>birth</source>
   <translation>Geburt</translation>
  </message>
  <message>
   <source>death</source>
   <translation>Tod</translation>
  </message>
  <message>
   <source>changed</source>
   <translation>geändert</translation>
  </message>
  <message>
   <source>untouched</source>
   <translation>unberührt</translation>
  </message>
  <message>
   <source>touched</source>
   <translation>berührt</translation>
  </message>
  <message>
   <source>yes</source>
   <translation>ja</translation>
  </message>
  <message>
   <source>no</source>
   <translation>nein</translation>
  </message>
  <message>
   <source>colour</source>
   <translation>Farbe</translation>
  </message>
  <message>
   <source>data</source>
   <translation>Daten</translation>
  </message>
  <message>
   <source>dark</source>
   <translation>dunkler</translation>
  </message>
  <message>
   <source>bright</source>
   <translation>heller</translation>
  </message>
  <message>
   <source>light</source>
   <translation>heller</translation>
  </message>
  <message>
   <source>to</source>
   <translation>bis</translation>
  </message>
  <message>
   <source>seed</source>
   <translation>Seed</translation>
  </message>
  <message>
   <source>hidden</source>
   <translation>verborgen</translation>
  </message>
  <message>
   <source>drawn</source>
   <translation>gezeichnet</translation>
  </message>
  <message>
   <source>nothing</source>
   <translation>nichts</translation>
  </message>
  <message>
   <source>up</source>
   <translation>oben</translation>
  </message>
  <message>
   <source>down</source>
   <translation>unten</translation>
  </message>
  <message>
   <source>across</source>
   <translation>quer</translation>
  </message>
  <message>
   <source>straight</source>
   <translation>gerade</translation>
  </message>
  <message>
   <source>Full speed</source>
   <translation>Volles Tempo</translation>
  </message>
  <message>
   <source>Half</source>
   <translation>Halbes</translation>
  </message>
  <message>
   <source>A quarter</source>
   <translation>Ein Viertel</translation>
  </message>
  <message>
   <source>A tenth</source>
   <translation>Ein Zehntel</translation>
  </message>
  <message>
   <source>frame</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>size</source>
   <translation>Größe</translation>
  </message>
  <message>
   <source>opacity</source>
   <translation>Deckkraft</translation>
  </message>
  <message>
   <source>speed</source>
   <translation>Tempo</translation>
  </message>
  <message>
   <source>spin</source>
   <translation>Drall</translation>
  </message>
  <message>
   <source>material</source>
   <translation>Material</translation>
  </message>
  <message>
   <source>effect</source>
   <translation>Effekt</translation>
  </message>
  <message>
   <source>sorted</source>
   <translation>sortiert</translation>
  </message>
  <message>
   <source>blends</source>
   <translation>mischt</translation>
  </message>
  <message>
   <source>mask</source>
   <translation>Maske</translation>
  </message>
  <message>
   <source>number</source>
   <translation>Zahl</translation>
  </message>
  <message>
   <source>factors</source>
   <translation>Faktoren</translation>
  </message>
  <message>
   <source>group {0}</source>
   <translation>Gruppe {0}</translation>
  </message>
  <message>
   <source>a fragment</source>
   <translation>je Fragment</translation>
  </message>
  <message>
   <source>lit</source>
   <translation>beleuchtet</translation>
  </message>
  <message>
   <source>written</source>
   <translation>geschrieben</translation>
  </message>
  <message>
   <source>tested</source>
   <translation>getestet</translation>
  </message>
  <message>
   <source>top</source>
   <translation>oben</translation>
  </message>
  <message>
   <source>bottom</source>
   <translation>unten</translation>
  </message>
  <message>
   <source>left</source>
   <translation>links</translation>
  </message>
  <message>
   <source>right</source>
   <translation>rechts</translation>
  </message>
  <message>
   <source>yaw</source>
   <translation>Gieren</translation>
  </message>
  <message>
   <source>pitch</source>
   <translation>Nicken</translation>
  </message>
  <message>
   <source>split</source>
   <translation>Aufteilen</translation>
  </message>
  <message>
   <source>dock</source>
   <translation>Dock</translation>
  </message>
  <message>
   <source>picture</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>mesh</source>
   <translation>Netz</translation>
  </message>
  <message>
   <source>build</source>
   <translation>Aufbau</translation>
  </message>
  <message>
   <source>project</source>
   <translation>Projekt</translation>
  </message>
  <message>
   <source>result</source>
   <translation>Ergebnis</translation>
  </message>
  <message>
   <source>file</source>
   <translation>Datei</translation>
  </message>
  <message>
   <source>recipe</source>
   <translation>Rezept</translation>
  </message>
  <message>
   <source>crate</source>
   <translation>Kiste</translation>
  </message>
  <message>
   <source>bow</source>
   <translation>Bug</translation>
  </message>
  <message>
   <source>hull</source>
   <translation>Rumpf</translation>
  </message>
  <message>
   <source>floor</source>
   <translation>Boden</translation>
  </message>
  <message>
   <source>dark wall</source>
   <translation>dunkle Wand</translation>
  </message>
  <message>
   <source>bright wall</source>
   <translation>helle Wand</translation>
  </message>
  <message>
   <source>Metal, roughness</source>
   <translation>Metall, Rauheit</translation>
  </message>
  <message>
   <source>Metal, occlusion, –, smoothness</source>
   <translation>Metall, Verdeckung, –, Glätte</translation>
  </message>
  <message>
   <source>Occlusion, roughness, metal</source>
   <translation>Verdeckung, Rauheit, Metall</translation>
  </message>
  <message>
   <source>Roughness, metal, occlusion</source>
   <translation>Rauheit, Metall, Verdeckung</translation>
  </message>
  <message>
   <source>There is no display to open a window on; “mivex demo --shots DIR” draws pictures without one.</source>
   <translation>Es gibt keinen Bildschirm für ein Fenster; „mivex demo --shots DIR“ zeichnet Bilder ohne ihn.</translation>
  </message>
  <message>
   <source>“mivex layers” takes a project, an overlay and a picture to write; or --edit and --out.</source>
   <translation>„mivex layers“ nimmt ein Projekt, ein Overlay und ein Bild, das geschrieben wird; oder --edit und --out.</translation>
  </message>
  <message>
   <source>--edit FILE and --out OUT.mivex go together, and with a project alone.</source>
   <translation>--edit FILE und --out OUT.mivex gehören zusammen, und nur mit einem Projekt.</translation>
  </message>
  <message>
   <source>{count} edits made; written: {into}</source>
   <translation>{count} Änderungen gemacht; geschrieben: {into}</translation>
  </message>
  <message>
   <source>Views other than colour are written as .png, in the order that is set.</source>
   <translation>Andere Ansichten als die Farbe werden als .png geschrieben, in der eingestellten Reihenfolge.</translation>
  </message>
  <message>
   <source>--time takes 0 to 3600 seconds, --fps 0.1 to 240.</source>
   <translation>--time nimmt 0 bis 3600 Sekunden, --fps 0.1 bis 240.</translation>
  </message>
  <message>
   <source>--bits takes 8 or 16, not {bits}.</source>
   <translation>--bits nimmt 8 oder 16, nicht {bits}.</translation>
  </message>
  <message>
   <source>The project has no overlay “{overlay}”; it has {names}.</source>
   <translation>Das Projekt hat kein Overlay „{overlay}“; es hat {names}.</translation>
  </message>
  <message>
   <source>“{channel}” is no channel; there are {parts}.</source>
   <translation>„{channel}“ ist kein Kanal; es gibt {parts}.</translation>
  </message>
  <message>
   <source>--size takes 1 to 8192, not {size}.</source>
   <translation>--size nimmt 1 bis 8192, nicht {size}.</translation>
  </message>
  <message>
   <source>--order takes set or exact, not “{order}”.</source>
   <translation>--order nimmt set oder exact, nicht „{order}“.</translation>
  </message>
  <message>
   <source>“{view}” is no view of the stage; there are {parts}.</source>
   <translation>„{view}“ ist keine Ansicht der Bühne; es gibt {parts}.</translation>
  </message>
  <message>
   <source>There is no schema of “{of}”; there are {parts}.</source>
   <translation>Es gibt kein Schema von „{of}“; es gibt {parts}.</translation>
  </message>
  <message>
   <source>Kernels are compiled when they are first needed; this once it takes longer.</source>
   <translation>Rechenkerne werden übersetzt, wenn sie zum ersten Mal gebraucht werden; dieses eine Mal dauert es länger.</translation>
  </message>
  <message>
   <source>Standard output is closed: there is nowhere to write to.</source>
   <translation>Die Standardausgabe ist geschlossen: Es ist nichts da, wohin geschrieben werden kann.</translation>
  </message>
  <message>
   <source>Stopped.</source>
   <translation>Abgebrochen.</translation>
  </message>
  <message>
   <source>No display found: drawing offscreen; the main views are written to {shots}</source>
   <translation>Kein Bildschirm gefunden: Es wird ohne ihn gezeichnet; die Hauptansichten werden nach {shots} geschrieben</translation>
  </message>
  <message>
   <source>“{out}”: the stage is written as .png or .exr</source>
   <translation>„{out}“: Die Bühne wird als .png oder .exr geschrieben</translation>
  </message>
  <message>
   <source>, or .webp.</source>
   <translation>, oder als .webp.</translation>
  </message>
  <message>
   <source>“{filename}” cannot be used: {e}.</source>
   <translation>„{filename}“ kann nicht benutzt werden: {e}.</translation>
  </message>
  <message>
   <source>on the command line</source>
   <translation>auf der Befehlszeile</translation>
  </message>
  <message>
   <source>A file</source>
   <translation>Eine Datei</translation>
  </message>
  <message>
   <source>Receiver</source>
   <translation>Empfänger</translation>
  </message>
  <message>
   <source>{count} files; “{words}” says what to do with them.</source>
   <translation>{count} Dateien; „{words}“ sagt, was damit zu tun ist.</translation>
  </message>
  <message>
   <source>--keep keeps the receiver in a project; --project says in which.</source>
   <translation>--keep behält den Empfänger in einem Projekt; --project sagt, in welchem.</translation>
  </message>
  <message>
   <source>The picture is mirrored; it was read turned over.</source>
   <translation>Das Bild ist gespiegelt; es wurde umgedreht gelesen.</translation>
  </message>
  <message>
   <source>“{path}”: profiles and recipes are written as .json.</source>
   <translation>„{path}“: Profile und Rezepte werden als .json geschrieben.</translation>
  </message>
  <message>
   <source>  touches {names}</source>
   <translation>  betrifft {names}</translation>
  </message>
  <message>
   <source>--keep keeps limits in a project; there is none among the paths.</source>
   <translation>--keep behält Grenzen in einem Projekt; unter den Pfaden ist keines.</translation>
  </message>
  <message>
   <source>--keep keeps limits in a project; --limits says which.</source>
   <translation>--keep behält Grenzen in einem Projekt; --limits sagt, welche.</translation>
  </message>
  <message>
   <source>There is nothing to check: no path was given.</source>
   <translation>Es gibt nichts zu prüfen: Es wurde kein Pfad angegeben.</translation>
  </message>
  <message>
   <source> {count} more could not be examined.</source>
   <translation> {count} weitere konnten nicht untersucht werden.</translation>
  </message>
  <message>
   <source>{count} pictures, {count2} channels read back, largest difference {value:g}</source>
   <translation>{count} Bilder, {count2} Kanäle zurückgelesen, größter Unterschied {value}</translation>
  </message>
  <message>
   <source>{subject}: mended: {label} (changes {changed:.1f} of 255) -&gt; {out}</source>
   <translation>{subject}: ausgebessert: {label} (ändert {changed} von 255) -&gt; {out}</translation>
  </message>
  <message>
   <source>{count} picture{ending}, {found} finding{ending2}</source>
   <translation>{count} Bild(er), {found} Befund(e)</translation>
  </message>
  <message>
   <source>, {possible} possible</source>
   <translation>, {possible} möglich</translation>
  </message>
  <message>
   <source>{done} of {of}</source>
   <translation>{done} von {of}</translation>
  </message>
  <message>
   <source>The project has no overlay “{name}”; it has {names}.</source>
   <translation>Das Projekt hat kein Overlay „{name}“; es hat {names}.</translation>
  </message>
  <message>
   <source>  left out, since no file of its recipe holds it: {words}</source>
   <translation>  ausgelassen, da keine Datei des Rezepts es aufnimmt: {words}</translation>
  </message>
  <message>
   <source>; {same} unchanged</source>
   <translation>; {same} unverändert</translation>
  </message>
  <message>
   <source>{subject}: problem: {problem}</source>
   <translation>{subject}: Fehler: {problem}</translation>
  </message>
  <message>
   <source>, {allowed} allowed</source>
   <translation>, {allowed} erlaubt</translation>
  </message>
  <message>
   <source>{subject}:   with {cause}: {id}: {message}</source>
   <translation>{subject}:   mit {cause}: {id}: {message}</translation>
  </message>
  <message>
   <source>--frames takes 2 to 256, --columns 0 to 64, --gutter 0 to 1024.</source>
   <translation>--frames nimmt 2 bis 256, --columns 0 bis 64, --gutter 0 bis 1024.</translation>
  </message>
  <message>
   <source>The vectors and the sheet of half as many frames need two names.</source>
   <translation>Die Vektoren und das Blatt mit halb so vielen Bildern brauchen zwei Namen.</translation>
  </message>
  <message>
   <source>Vectors between {count} frames; scale {scale:.4f}.</source>
   <translation>Vektoren zwischen {count} Bildern; Maßstab {scale:.4f}.</translation>
  </message>
  <message>
   <source>{count} frames in {columns} × {rows}, {w} × {h}</source>
   <translation>{count} Bilder in {columns} × {rows}, {w} × {h}</translation>
  </message>
  <message>
   <source>--play takes loop, once or fro, not “{play}”.</source>
   <translation>--play nimmt loop, once oder fro, nicht „{play}“.</translation>
  </message>
  <message>
   <source>Of so few frames none can be left out.</source>
   <translation>Von so wenigen Bildern kann keins weggelassen werden.</translation>
  </message>
  <message>
   <source>--from takes two numbers, as in 0:1, not “{ends}”.</source>
   <translation>--from nimmt zwei Zahlen, wie 0:1, nicht „{ends}“.</translation>
  </message>
  <message>
   <source>--limit takes 1 to 16384 texels, --time 0 to 3600 seconds.</source>
   <translation>--limit nimmt 1 bis 16384 Texel, --time 0 bis 3600 Sekunden.</translation>
  </message>
  <message>
   <source>{overlays} overlays, {effects} effects</source>
   <translation>{overlays} Overlays, {effects} Effekte</translation>
  </message>
  <message>
   <source>{out}: {count} overlays, {cameras} cameras</source>
   <translation>{out}: {count} Overlays, {cameras} Kameras</translation>
  </message>
  <message>
   <source>“{out}”: what the receiver draws is written as .png.</source>
   <translation>„{out}“: Was der Empfänger zeichnet, wird als .png geschrieben.</translation>
  </message>
  <message>
   <source>There is no switch “{unknown}”; there are {parts}.</source>
   <translation>Es gibt keinen Schalter „{unknown}“; es gibt {parts}.</translation>
  </message>
  <message>
   <source>There is no camera “{camera}”; the delivery has {parts}.</source>
   <translation>Es gibt keine Kamera „{camera}“; die Lieferung hat {parts}.</translation>
  </message>
  <message>
   <source>{name}: not delivered: {parts}</source>
   <translation>{name}: nicht geliefert: {parts}</translation>
  </message>
  <message>
   <source>“{out}”: a page is written as .html.</source>
   <translation>„{out}“: Eine Seite wird als .html geschrieben.</translation>
  </message>
  <message>
   <source>{key}: {within:.2%} of pixels within 2 of 255, mean {mean:.3f}, largest {largest:.0f}</source>
   <translation>{key}: {within} der Pixel innerhalb von 2 von 255, Mittel {mean}, größte {largest}</translation>
  </message>
  <message>
   <source>no camera sees it</source>
   <translation>keine Kamera sieht es</translation>
  </message>
  <message>
   <source>“{name}” at {time:g} s: {count} particles</source>
   <translation>„{name}“ bei {time} s: {count} Partikel</translation>
  </message>
  <message>
   <source>--time takes 0 to 3600 seconds, not {time:g}.</source>
   <translation>--time nimmt 0 bis 3600 Sekunden, nicht {time}.</translation>
  </message>
  <message>
   <source>The project has no effect “{effect}”; it has {there}.</source>
   <translation>Das Projekt hat keinen Effekt „{effect}“; es hat {there}.</translation>
  </message>
  <message>
   <source>  {emitter} {birth}  {age:.3f} of {life:.3f} s  [{at}]  {size:.3f} × {size2:.3f} m  opacity {opacity:.3f}  frame {frame}</source>
   <translation>  {emitter} {birth}  {age} von {life} s  [{at}]  {size} × {size2} m  Deckkraft {opacity}  Bild {frame}</translation>
  </message>
  <message>
   <source>--frames takes A:B, two whole numbers that do not fall, not “{frames}”.</source>
   <translation>--frames nimmt A:B, zwei ganze Zahlen, die nicht fallen, nicht „{frames}“.</translation>
  </message>
  <message>
   <source>--frames takes at most {most_frames} frames, up to second 3600.</source>
   <translation>--frames nimmt höchstens {most_frames} Bilder, bis zur Sekunde 3600.</translation>
  </message>
  <message>
   <source>--seed takes 0 to {value}, not {seed}.</source>
   <translation>--seed nimmt 0 bis {value}, nicht {seed}.</translation>
  </message>
  <message>
   <source>none</source>
   <translation>keine</translation>
  </message>
  <message>
   <source> over </source>
   <translation> über </translation>
  </message>
  <message>
   <source>set order</source>
   <translation>eingestellte Reihenfolge</translation>
  </message>
  <message>
   <source>exact order</source>
   <translation>genaue Reihenfolge</translation>
  </message>
  <message>
   <source>error {before:.4f} now, {after:.4f} as proposed (mean over all pixels, codes of 255)</source>
   <translation>Fehler jetzt {before}, wie vorgeschlagen {after} (Mittel über alle Pixel, Stufen von 255)</translation>
  </message>
  <message>
   <source>“{name}” with itself</source>
   <translation>„{name}“ mit sich selbst</translation>
  </message>
  <message>
   <source>“{name}” and “{name2}”</source>
   <translation>„{name}“ und „{name2}“</translation>
  </message>
  <message>
   <source>--at takes X,Y in pixels from the top left, not “{at}”.</source>
   <translation>--at nimmt X,Y in Pixeln von oben links, nicht „{at}“.</translation>
  </message>
  <message>
   <source>Pixel {x},{y} lies outside the picture of {width}x{height}.</source>
   <translation>Der Pixel {x},{y} liegt außerhalb des Bildes von {width}x{height}.</translation>
  </message>
  <message>
   <source>--ring takes 0 to 360 cameras, not {ring}.</source>
   <translation>--ring nimmt 0 bis 360 Kameras, nicht {ring}.</translation>
  </message>
  <message>
   <source>  {name}: nudge {n:+d}</source>
   <translation>  {name}: Versatz {n}</translation>
  </message>
  <message>
   <source>in any order: </source>
   <translation>in jeder Reihenfolge: </translation>
  </message>
  <message>
   <source>many overlays meet at {pixels} pixels: the order was looked for by pairs of them there, and rendered</source>
   <translation>an {pixels} Pixeln treffen sich viele Overlays: dort wurde die Reihenfolge paarweise gesucht und dann gerechnet</translation>
  </message>
  <message>
   <source>no order settles {overlays}: {pixels} pixels, {error:.4f} (most of it from {camera})</source>
   <translation>keine Reihenfolge löst {overlays}: {pixels} Pixel, {error:.4f} (das meiste von {camera})</translation>
  </message>
  <message>
   <source>  tried: nothing that can be set gains anything here</source>
   <translation>  versucht: Nichts, das sich einstellen lässt, bringt hier etwas</translation>
  </message>
  <message>
   <source>  {k:2d}  {name} {part}  {group} {nudge:+d}  {depth:.3f} m  level {level:.2f}  [{shown}]  {parts}  {verdict}  -&gt; {parts2}</source>
   <translation>  {k}  {name} {part}  {group} {nudge}  {depth} m  Stufe {level}  [{shown}]  {parts}  {verdict}  -&gt; {parts2}</translation>
  </message>
  <message>
   <source>  tried: {remedy} of “{overlay}” gains {gain:.4f} where it is seen and changes the look by {look:.0f} of 255</source>
   <translation>  versucht: {remedy} von „{overlay}“ bringt {gain:.4f}, wo man es sieht, und ändert das Aussehen um {look:.0f} von 255</translation>
  </message>
  <message>
   <source>--size takes WIDTHxHEIGHT between 1x1 and {largest}x{largest}, not “{text}”.</source>
   <translation>--size nimmt BREITExHÖHE zwischen 1x1 und {largest}x{largest}, nicht „{text}“.</translation>
  </message>
  <message>
   <source>--columns takes 0 to 64, --gutter 0 to 1024.</source>
   <translation>--columns nimmt 0 bis 64, --gutter 0 bis 1024.</translation>
  </message>
  <message>
   <source>--recipe needs --out: where the mended sheet goes.</source>
   <translation>--recipe braucht --out: wohin das ausgebesserte Sheet kommt.</translation>
  </message>
  <message>
   <source>{name} takes WIDTHxHEIGHT in texels, not “{text}”.</source>
   <translation>{name} nimmt BREITExHÖHE in Texeln, nicht „{text}“.</translation>
  </message>
  <message>
   <source>--fit takes {parts}; --align takes {parts2}.</source>
   <translation>--fit nimmt {parts}; --align nimmt {parts2}.</translation>
  </message>
  <message>
   <source>The frames have {deepest} bits a channel, the sheet {bits}.</source>
   <translation>Die Bilder haben {deepest} Bit je Kanal, das Blatt {bits}.</translation>
  </message>
  <message>
   <source>A grid has 1 to 64 columns and rows, and lies inside the picture.</source>
   <translation>Ein Raster hat 1 bis 64 Spalten und Zeilen und liegt innerhalb des Bildes.</translation>
  </message>
  <message>
   <source>“{name}” does not look like a sheet; say --columns and --rows.</source>
   <translation>„{name}“ sieht nicht nach einem Sheet aus; geben Sie --columns und --rows an.</translation>
  </message>
  <message>
   <source>--play takes {parts}, not “{play}”.</source>
   <translation>--play nimmt {parts}, nicht „{play}“.</translation>
  </message>
  <message>
   <source>{source}: {count} frames, safe to level {safe}</source>
   <translation>{source}: {count} Bilder, sicher bis Stufe {safe}</translation>
  </message>
  <message>
   <source>{source}: no sheet ({why})</source>
   <translation>{source}: kein Sheet ({why})</translation>
  </message>
  <message>
   <source>, {confidence:.0%} sure ({why})</source>
   <translation>, zu {confidence} sicher ({why})</translation>
  </message>
  <message>
   <source>{source}: {count} frames; </source>
   <translation>{source}: {count} Bilder; </translation>
  </message>
  <message>
   <source>{columns} × {rows} cells of {parts}</source>
   <translation>{columns} × {rows} Zellen zu {parts}</translation>
  </message>
  <message>
   <source>--recipe says how to deliver; --out says where to.</source>
   <translation>--recipe sagt, wie geliefert wird; --out, wohin.</translation>
  </message>
  <message>
   <source>--seconds takes a number from 0 on.</source>
   <translation>--seconds nimmt eine Zahl ab 0.</translation>
  </message>
  <message>
   <source>Watching {folder}; Ctrl+C ends it.</source>
   <translation>{folder} wird beobachtet; Strg+C beendet.</translation>
  </message>
  <message>
   <source>Over bright</source>
   <translation>Über Hellem</translation>
  </message>
  <message>
   <source>Over middling</source>
   <translation>Über Mittlerem</translation>
  </message>
  <message>
   <source>Over dark</source>
   <translation>Über Dunklem</translation>
  </message>
  <message>
   <source>{reads} reads · {arithmetic} ops</source>
   <translation>{reads} Lesungen · {arithmetic} Rechnungen</translation>
  </message>
  <message>
   <source>The project has no camera.</source>
   <translation>Das Projekt hat keine Kamera.</translation>
  </message>
  <message>
   <source>There is no camera “{name}”; the project has {parts}.</source>
   <translation>Es gibt keine Kamera „{name}“; das Projekt hat {parts}.</translation>
  </message>
  <message>
   <source>Blended</source>
   <translation>Gemischt</translation>
  </message>
  <message>
   <source>Ring {value}°</source>
   <translation>Ring {value}°</translation>
  </message>
  <message>
   <source>There is no such effect.</source>
   <translation>Einen solchen Effekt gibt es nicht.</translation>
  </message>
  <message>
   <source>At least one particle has to live.</source>
   <translation>Wenigstens ein Teilchen muss leben.</translation>
  </message>
  <message>
   <source>“{name}” has no particles to judge.</source>
   <translation>„{name}“ hat keine Teilchen, die sich beurteilen ließen.</translation>
  </message>
  <message>
   <source>“{name}” covers nothing that could be judged.</source>
   <translation>„{name}“ bedeckt nichts, was sich beurteilen ließe.</translation>
  </message>
  <message>
   <source>There are only {count:.0f} at once already.</source>
   <translation>Es sind ohnehin nur {count} zugleich.</translation>
  </message>
  <message>
   <source>{most} particles cannot cover as much at any size.</source>
   <translation>{most} Teilchen können bei keiner Größe so viel bedecken.</translation>
  </message>
  <message>
   <source>depth write off</source>
   <translation>Tiefe schreiben aus</translation>
  </message>
  <message>
   <source>Cutout</source>
   <translation>Cutout</translation>
  </message>
  <message>
   <source>Dithered</source>
   <translation>Dithered</translation>
  </message>
  <message>
   <source>Additive</source>
   <translation>Additive</translation>
  </message>
  <message>
   <source>depth first</source>
   <translation>Tiefe zuerst</translation>
  </message>
  <message>
   <source>draw group Front</source>
   <translation>Zeichengruppe Vorn</translation>
  </message>
  <message>
   <source>split where it is cut through</source>
   <translation>geteilt, wo es durchschnitten wird</translation>
  </message>
  <message>
   <source>premultiplied with half the cover</source>
   <translation>vormultipliziert mit halber Deckung</translation>
  </message>
  <message>
   <source>Front</source>
   <translation>Vorn</translation>
  </message>
  <message>
   <source>distance by {words}</source>
   <translation>Abstand nach: {words}</translation>
  </message>
  <message>
   <source>Premultiplied</source>
   <translation>Premultiplied</translation>
  </message>
  <message>
   <source>“{what}” asks for more memory or time than Mivex gives one file ({memory} MB, {seconds} s of work).</source>
   <translation>„{what}“ verlangt mehr Speicher oder Zeit, als Mivex einer Datei gibt ({memory} MB, {seconds} s Arbeit).</translation>
  </message>
  <message>
   <source>“{what}” takes more than {seconds} s of work; Mivex gave it up.</source>
   <translation>„{what}“ braucht mehr als {seconds} s Arbeit; Mivex hat es aufgegeben.</translation>
  </message>
  <message>
   <source>“{what}” could not be looked at: {e}.</source>
   <translation>„{what}“ ließ sich nicht ansehen: {e}.</translation>
  </message>
  <message>
   <source>sides to {max_side} and {max_texels} texels (8192 × 8192) in all</source>
   <translation>Seiten bis {max_side} und {max_texels} Texel (8192 × 8192) insgesamt</translation>
  </message>
  <message>
   <source>{subject} would be {width} × {height}; Mivex takes {words}.</source>
   <translation>{subject} wäre {width} × {height}; Mivex nimmt {words}.</translation>
  </message>
  <message>
   <source>{subject} would be {width} × {height}: it holds no texels.</source>
   <translation>{subject} wäre {width} × {height}: ohne Texel.</translation>
  </message>
  <message>
   <source>MIVEX_DEBUG=1 shows where</source>
   <translation>MIVEX_DEBUG=1 zeigt, wo</translation>
  </message>
  <message>
   <source>the log in Mivex's state folder tells where</source>
   <translation>das Protokoll im Zustandsordner von Mivex sagt, wo</translation>
  </message>
  <message>
   <source>Something went wrong inside Mivex ({name}{ending}{words}); {hint}.</source>
   <translation>In Mivex ging etwas schief ({name}{ending}{words}); {hint}.</translation>
  </message>
  <message>
   <source>There is not enough memory for this.</source>
   <translation>Dafür reicht der Speicher nicht.</translation>
  </message>
  <message>
   <source>“{name}” cannot be read: {e}.</source>
   <translation>„{name}“ lässt sich nicht lesen: {e}.</translation>
  </message>
  <message>
   <source>“{text}” cannot be a file: its name holds a NUL character.</source>
   <translation>„{text}“ kann keine Datei sein: der Name enthält ein NUL-Zeichen.</translation>
  </message>
  <message>
   <source>“{name}” is a folder, not a {what}.</source>
   <translation>„{name}“ ist ein Ordner; gebraucht wird: {what}.</translation>
  </message>
  <message>
   <source>“{name}” is a device, pipe or socket, not a {what}.</source>
   <translation>„{name}“ ist ein Gerät, eine Pipe oder ein Socket; gebraucht wird: {what}.</translation>
  </message>
  <message>
   <source>“{name}” is empty (0 bytes).</source>
   <translation>„{name}“ ist leer (0 Bytes).</translation>
  </message>
  <message>
   <source>“{name}” is larger than the {limit} MB that Mivex reads of a {what}.</source>
   <translation>„{name}“ ist größer als die {limit} MB, die Mivex von {what} liest.</translation>
  </message>
  <message>
   <source>There is no file “{path}”.</source>
   <translation>Es gibt keine Datei „{path}“.</translation>
  </message>
  <message>
   <source>“{name}” cannot be read: permission is denied.</source>
   <translation>„{name}“ lässt sich nicht lesen: keine Berechtigung.</translation>
  </message>
  <message>
   <source>“{text}” has a name that is not UTF-8 text; rename the file first.</source>
   <translation>„{text}“ hat einen Namen, der kein UTF-8 ist; benennen Sie die Datei erst um.</translation>
  </message>
  <message>
   <source>“{path}” cannot be written: a folder has that name.</source>
   <translation>„{path}“ lässt sich nicht schreiben: ein Ordner heißt so.</translation>
  </message>
  <message>
   <source>“{path}” cannot be written: it is a device, pipe or socket.</source>
   <translation>„{path}“ lässt sich nicht schreiben: es ist ein Gerät, eine Pipe oder ein Socket.</translation>
  </message>
  <message>
   <source>“{path}” cannot be written: permission is denied.</source>
   <translation>„{path}“ lässt sich nicht schreiben: keine Berechtigung.</translation>
  </message>
  <message>
   <source>each of red, green and blue must lie between 0 and 1</source>
   <translation>Rot, Grün und Blau müssen zwischen 0 und 1 liegen</translation>
  </message>
  <message>
   <source>“{name}” would be written over a file that the project is made of; choose another name or folder.</source>
   <translation>„{name}“ würde eine Datei überschreiben, aus der das Projekt besteht; wählen Sie einen anderen Namen oder Ordner.</translation>
  </message>
  <message>
   <source>“{there}” is a file; what is written goes into a folder.</source>
   <translation>„{there}“ ist eine Datei; was geschrieben wird, kommt in einen Ordner.</translation>
  </message>
  <message>
   <source>“{folder}” cannot be written: permission is denied.</source>
   <translation>„{folder}“ lässt sich nicht schreiben: keine Berechtigung.</translation>
  </message>
  <message>
   <source>“{path}” cannot be written: {e}.</source>
   <translation>„{path}“ lässt sich nicht schreiben: {e}.</translation>
  </message>
  <message>
   <source>“{name}” is a link; Mivex does not write through it into another place.</source>
   <translation>„{name}“ ist ein Verweis; Mivex schreibt nicht durch ihn hindurch an einen anderen Ort.</translation>
  </message>
  <message>
   <source>“{name}” cannot be written: {lone} in it is no character.</source>
   <translation>„{name}“ lässt sich nicht schreiben: {lone} darin ist kein Zeichen.</translation>
  </message>
  <message>
   <source>“{folder}” is half written, and cannot be finished: {e}.</source>
   <translation>„{folder}“ ist halb geschrieben und lässt sich nicht zu Ende bringen: {e}.</translation>
  </message>
  <message>
   <source>“{path}” was written, but reading it back gave something else; the old file, if there was one, is untouched.</source>
   <translation>„{path}“ wurde geschrieben, aber das Zurücklesen ergab etwas anderes; die alte Datei, falls es eine gab, ist unberührt.</translation>
  </message>
  <message>
   <source>“{folder}” cannot be written: {e}.</source>
   <translation>„{folder}“ lässt sich nicht schreiben: {e}.</translation>
  </message>
  <message>
   <source>“{folder}” is being written at this moment; try again.</source>
   <translation>„{folder}“ wird gerade geschrieben; versuchen Sie es noch einmal.</translation>
  </message>
  <message>
   <source>“{path}” cannot be replaced: {e}; nothing was changed.</source>
   <translation>„{path}“ lässt sich nicht ersetzen: {e}; nichts wurde geändert.</translation>
  </message>
  <message>
   <source>No test card is seen in this picture: at least two of its six black and white markers must be whole, sharp, and not too small. “mivex card make DIR” writes one.</source>
   <translation>In diesem Bild ist keine Testkarte zu sehen: mindestens zwei ihrer sechs schwarz-weißen Marken müssen ganz, scharf und nicht zu klein sein. „mivex card make DIR“ schreibt eine.</translation>
  </message>
  <message>
   <source>The test card is seen at too steep a slant to be read; look at it from the front.</source>
   <translation>Die Testkarte ist zu schräg zu sehen, um gelesen zu werden; von vorn ansehen.</translation>
  </message>
  <message>
   <source>Writing the geometry of the card</source>
   <translation>Geometrie der Karte wird geschrieben</translation>
  </message>
  <message>
   <source>Drawing how it should look</source>
   <translation>Wie es aussehen soll, wird gezeichnet</translation>
  </message>
  <message>
   <source>writes depth</source>
   <translation>schreibt Tiefe</translation>
  </message>
  <message>
   <source>writes no depth</source>
   <translation>schreibt keine Tiefe</translation>
  </message>
  <message>
   <source>front faces only</source>
   <translation>nur Vorderseiten</translation>
  </message>
  <message>
   <source>Cannot be told from this picture.</source>
   <translation>Aus diesem Bild nicht zu sagen.</translation>
  </message>
  <message>
   <source>Colour of textures</source>
   <translation>Farbe von Texturen</translation>
  </message>
  <message>
   <source>Transparency</source>
   <translation>Transparenz</translation>
  </message>
  <message>
   <source>Blends in</source>
   <translation>Mischt in</translation>
  </message>
  <message>
   <source>Straight alpha</source>
   <translation>Nicht vormultipliziert</translation>
  </message>
  <message>
   <source>Multiply</source>
   <translation>Multiply</translation>
  </message>
  <message>
   <source>Opacity of a material</source>
   <translation>Deckkraft eines Materials</translation>
  </message>
  <message>
   <source>Mip levels</source>
   <translation>Mip-Stufen</translation>
  </message>
  <message>
   <source>Colour below clear texels</source>
   <translation>Farbe unter klaren Texeln</translation>
  </message>
  <message>
   <source>Size of textures</source>
   <translation>Größe von Texturen</translation>
  </message>
  <message>
   <source>Compression in blocks</source>
   <translation>Kompression in Blöcken</translation>
  </message>
  <message>
   <source>Order</source>
   <translation>Reihenfolge</translation>
  </message>
  <message>
   <source>Order nudge</source>
   <translation>Rang</translation>
  </message>
  <message>
   <source>Depth write of see-through things</source>
   <translation>Tiefe schreiben, Durchsichtiges</translation>
  </message>
  <message>
   <source>Depth of blended things</source>
   <translation>Tiefe von Gemischtem</translation>
  </message>
  <message>
   <source>Green of normal maps</source>
   <translation>Grün von Normalenkarten</translation>
  </message>
  <message>
   <source>Faces</source>
   <translation>Seiten</translation>
  </message>
  <message>
   <source>Repeated textures</source>
   <translation>Wiederholte Texturen</translation>
  </message>
  <message>
   <source>It decodes colour to light, as it should.</source>
   <translation>Er dekodiert Farbe zu Licht, wie es sein soll.</translation>
  </message>
  <message>
   <source>It reads colour as data: everything is too bright and too pale. Flag colour textures as sRGB.</source>
   <translation>Er liest Farbe als Daten: alles ist zu hell und zu blass. Farbtexturen als sRGB kennzeichnen.</translation>
  </message>
  <message>
   <source>It draws see-through things.</source>
   <translation>Er zeichnet Durchsichtiges.</translation>
  </message>
  <message>
   <source>It draws everything solid: transparency is left off.</source>
   <translation>Er zeichnet alles deckend: Transparenz ist aus.</translation>
  </message>
  <message>
   <source>It sums light.</source>
   <translation>Er summiert Licht.</translation>
  </message>
  <message>
   <source>It sums display values: soft edges and faint layers come out darker than on the stage.</source>
   <translation>Er summiert Anzeigewerte: weiche Kanten und schwache Schichten werden dunkler als auf der Bühne.</translation>
  </message>
  <message>
   <source>It multiplies straight colour by alpha once, as it should.</source>
   <translation>Er multipliziert freie Farbe einmal mit Alpha, wie es sein soll.</translation>
  </message>
  <message>
   <source>It multiplies by alpha twice: soft edges are dark. It premultiplies at import and blends as straight.</source>
   <translation>Er multipliziert zweimal mit Alpha: weiche Kanten sind dunkel. Beim Import wird vormultipliziert, gemischt wie frei.</translation>
  </message>
  <message>
   <source>It takes straight colour as multiplied already: soft edges glow.</source>
   <translation>Er nimmt freie Farbe als schon multipliziert: weiche Kanten leuchten.</translation>
  </message>
  <message>
   <source>It adds.</source>
   <translation>Er addiert.</translation>
  </message>
  <message>
   <source>It blends what should be added: what should shine covers instead.</source>
   <translation>Er mischt, was addiert werden soll: was leuchten soll, deckt.</translation>
  </message>
  <message>
   <source>It draws what should be added solid.</source>
   <translation>Er zeichnet deckend, was addiert werden soll.</translation>
  </message>
  <message>
   <source>It multiplies.</source>
   <translation>Er multipliziert.</translation>
  </message>
  <message>
   <source>It blends what should multiply: white covers instead of being left out.</source>
   <translation>Er mischt, was multiplizieren soll: Weiß deckt, statt wegzufallen.</translation>
  </message>
  <message>
   <source>It draws what should multiply solid.</source>
   <translation>Er zeichnet deckend, was multiplizieren soll.</translation>
  </message>
  <message>
   <source>It adds colour that has no alpha, as it should.</source>
   <translation>Er addiert Farbe ohne Alpha, wie es sein soll.</translation>
  </message>
  <message>
   <source>It multiplies colour by alpha once more: what glows without covering is lost.</source>
   <translation>Er multipliziert Farbe noch einmal mit Alpha: was leuchtet, ohne zu decken, geht verloren.</translation>
  </message>
  <message>
   <source>It multiplies alpha by the material’s opacity.</source>
   <translation>Er multipliziert Alpha mit der Deckkraft des Materials.</translation>
  </message>
  <message>
   <source>It ignores the material’s opacity.</source>
   <translation>Er übergeht die Deckkraft des Materials.</translation>
  </message>
  <message>
   <source>It uses the mip levels of the file.</source>
   <translation>Er nutzt die Mip-Stufen der Datei.</translation>
  </message>
  <message>
   <source>It makes its own mip levels, or was given none: coverage and edge colour of Mivex’s own are lost.</source>
   <translation>Er baut eigene Mip-Stufen oder bekam keine: Deckung und Kantenfarbe der Stufen von Mivex gehen verloren.</translation>
  </message>
  <message>
   <source>Its mip levels keep the colour of clear texels out.</source>
   <translation>Seine Mip-Stufen halten die Farbe klarer Texel heraus.</translation>
  </message>
  <message>
   <source>Its mip levels let the colour of clear texels through: spread edge colour below clear texels.</source>
   <translation>Seine Mip-Stufen lassen die Farbe klarer Texel durch: Kantenfarbe unter klare Texel ausbreiten.</translation>
  </message>
  <message>
   <source>It takes textures of 8192 texels and more.</source>
   <translation>Er nimmt Texturen mit 8192 Texeln und mehr.</translation>
  </message>
  <message>
   <source>It does not compress textures, or so well that nothing is seen of it.</source>
   <translation>Er komprimiert Texturen nicht, oder so gut, dass nichts davon zu sehen ist.</translation>
  </message>
  <message>
   <source>It compresses 4 × 4 texels into two colours and what lies between them.</source>
   <translation>Er komprimiert 4 × 4 Texel in zwei Farben und was dazwischen liegt.</translation>
  </message>
  <message>
   <source>It cuts at half, as the card says.</source>
   <translation>Er schneidet bei der Hälfte, wie die Karte es sagt.</translation>
  </message>
  <message>
   <source>It cuts lower than it is told: edges grow fatter.</source>
   <translation>Er schneidet tiefer als verlangt: Kanten werden dicker.</translation>
  </message>
  <message>
   <source>It cuts higher than it is told: edges grow thinner.</source>
   <translation>Er schneidet höher als verlangt: Kanten werden dünner.</translation>
  </message>
  <message>
   <source>It does not cut at all.</source>
   <translation>Er schneidet gar nicht.</translation>
  </message>
  <message>
   <source>It blends what should be cut.</source>
   <translation>Er mischt, was geschnitten werden soll.</translation>
  </message>
  <message>
   <source>It draws from far to near.</source>
   <translation>Er zeichnet von fern nach nah.</translation>
  </message>
  <message>
   <source>It draws see-through things in the order of its list, whatever their distance.</source>
   <translation>Er zeichnet Durchsichtiges in der Reihenfolge seiner Liste, gleich wie weit weg.</translation>
  </message>
  <message>
   <source>What is near hides what is see-through behind it.</source>
   <translation>Nahes verdeckt Durchsichtiges dahinter.</translation>
  </message>
  <message>
   <source>It follows the order nudge.</source>
   <translation>Er folgt dem Rang.</translation>
  </message>
  <message>
   <source>It ignores the order nudge: distance alone decides.</source>
   <translation>Er übergeht den Rang: allein der Abstand entscheidet.</translation>
  </message>
  <message>
   <source>What is drawn first hides what follows behind it.</source>
   <translation>Zuerst Gezeichnetes verdeckt, was dahinter folgt.</translation>
  </message>
  <message>
   <source>It writes depth where it is told to.</source>
   <translation>Er schreibt Tiefe, wo es verlangt ist.</translation>
  </message>
  <message>
   <source>It writes no depth for see-through things, even where it is told to.</source>
   <translation>Er schreibt für Durchsichtiges keine Tiefe, auch wo es verlangt ist.</translation>
  </message>
  <message>
   <source>It orders them by distance first, so that depth write changes nothing here.</source>
   <translation>Er ordnet zuerst nach Abstand, sodass Tiefe schreiben hier nichts ändert.</translation>
  </message>
  <message>
   <source>Blended things write no depth.</source>
   <translation>Gemischtes schreibt keine Tiefe.</translation>
  </message>
  <message>
   <source>Blended things write depth: what is near cuts holes into what lies behind.</source>
   <translation>Gemischtes schreibt Tiefe: Nahes schneidet Löcher in das Dahinter.</translation>
  </message>
  <message>
   <source>Green points up, as delivered.</source>
   <translation>Grün zeigt nach oben, wie ausgeliefert.</translation>
  </message>
  <message>
   <source>Green points down: bumps become dents.</source>
   <translation>Grün zeigt nach unten: Buckel werden Dellen.</translation>
  </message>
  <message>
   <source>It shows no bumps.</source>
   <translation>Er zeigt keine Buckel.</translation>
  </message>
  <message>
   <source>It draws back faces where it is told to.</source>
   <translation>Er zeichnet Rückseiten, wo es verlangt ist.</translation>
  </message>
  <message>
   <source>It draws both faces of everything.</source>
   <translation>Er zeichnet von allem beide Seiten.</translation>
  </message>
  <message>
   <source>It draws front faces only.</source>
   <translation>Er zeichnet nur Vorderseiten.</translation>
  </message>
  <message>
   <source>It repeats textures, and follows their tiling.</source>
   <translation>Er wiederholt Texturen und folgt ihrer Kachelung.</translation>
  </message>
  <message>
   <source>It does not repeat textures, or does not follow how often they shall.</source>
   <translation>Er wiederholt Texturen nicht, oder nicht so oft wie verlangt.</translation>
  </message>
  <message>
   <source>Translucent</source>
   <translation>Translucent</translation>
  </message>
  <message>
   <source>It halves textures until no side is longer than {side} texels.</source>
   <translation>Er halbiert Texturen, bis keine Seite länger als {side} Texel ist.</translation>
  </message>
  <message>
   <source>For {name}</source>
   <translation>Für {name}</translation>
  </message>
  <message>
   <source>Solid</source>
   <translation>Solid</translation>
  </message>
  <message>
   <source>Card</source>
   <translation>Karte</translation>
  </message>
  <message>
   <source>over white</source>
   <translation>over white</translation>
  </message>
  <message>
   <source>over black</source>
   <translation>over black</translation>
  </message>
  <message>
   <source>order near</source>
   <translation>order near</translation>
  </message>
  <message>
   <source>order far</source>
   <translation>order far</translation>
  </message>
  <message>
   <source>nudge far</source>
   <translation>nudge far</translation>
  </message>
  <message>
   <source>nudge near</source>
   <translation>nudge near</translation>
  </message>
  <message>
   <source>write far</source>
   <translation>write far</translation>
  </message>
  <message>
   <source>write near</source>
   <translation>write near</translation>
  </message>
  <message>
   <source>turned up</source>
   <translation>turned up</translation>
  </message>
  <message>
   <source>turned down</source>
   <translation>turned down</translation>
  </message>
  <message>
   <source>bump up</source>
   <translation>bump up</translation>
  </message>
  <message>
   <source>bump down</source>
   <translation>bump down</translation>
  </message>
  <message>
   <source>both faces</source>
   <translation>both faces</translation>
  </message>
  <message>
   <source>front face</source>
   <translation>front face</translation>
  </message>
  <message>
   <source>The greys of the test card are cut off; they must be in the picture to judge the rest by them.</source>
   <translation>Die Grautöne der Testkarte sind abgeschnitten; sie müssen im Bild sein, um den Rest an ihnen zu messen.</translation>
  </message>
  <message>
   <source>The greys of the test card cannot be told from one another: the picture is too bright, too dark, or shows another card. They are plain surfaces whose tint is a number, and need no light.</source>
   <translation>Die Grautöne der Testkarte sind nicht zu unterscheiden: das Bild ist zu hell, zu dunkel oder zeigt eine andere Karte. Es sind glatte Flächen, deren Tönung eine Zahl ist; sie brauchen kein Licht.</translation>
  </message>
  <message>
   <source>Examining it ended the process; the file is damaged in a way that no library foresaw.</source>
   <translation>Das Prüfen beendete den Prozess; die Datei ist auf eine Weise beschädigt, die keine Bibliothek vorhersah.</translation>
  </message>
  <message>
   <source>the recipe</source>
   <translation>das Rezept</translation>
  </message>
  <message>
   <source>--cluster needs the package “distributed”; install it with: pip install 'mivex[cluster]'</source>
   <translation>--cluster braucht das Paket „distributed“; zu installieren mit: pip install 'mivex[cluster]'</translation>
  </message>
  <message>
   <source>no answer</source>
   <translation>keine Antwort</translation>
  </message>
  <message>
   <source>The cluster at “{address}” does not answer ({why}).</source>
   <translation>Der Verbund unter „{address}“ antwortet nicht ({why}).</translation>
  </message>
  <message>
   <source>The cluster at “{address}” has no workers.</source>
   <translation>Der Verbund unter „{address}“ hat keine Arbeiter.</translation>
  </message>
  <message>
   <source>Delivered “{name}”</source>
   <translation>„{name}“ ausgeliefert</translation>
  </message>
  <message>
   <source>Examining it ended the process that did, again and again.</source>
   <translation>Es zu prüfen beendete den Prozess, der es tat, wieder und wieder.</translation>
  </message>
  <message>
   <source>“{name}” could not be delivered: {why}</source>
   <translation>„{name}“ konnte nicht ausgeliefert werden: {why}</translation>
  </message>
  <message>
   <source>Larger pictures than the limits allow were not planned for.</source>
   <translation>Mit größeren Bildern, als die Grenzen erlauben, war nicht gerechnet.</translation>
  </message>
  <message>
   <source>It is {width} × {height}; the limits allow {side}.</source>
   <translation>Es ist {width} × {height}; die Grenzen erlauben {side}.</translation>
  </message>
  <message>
   <source>Looking what is sure to mend on “{name}”</source>
   <translation>Sucht, was an „{name}“ sicher auszubessern ist</translation>
  </message>
  <message>
   <source>“{name}” would be written over itself; choose another folder.</source>
   <translation>„{name}“ würde über sich selbst geschrieben; wählen Sie einen anderen Ordner.</translation>
  </message>
  <message>
   <source>The border's colour is {r}, {g}, {b} of 255; clear up to {near:g}, solid from {far:g}.</source>
   <translation>Die Randfarbe ist {r}, {g}, {b} von 255; klar bis {near}, deckend ab {far}.</translation>
  </message>
  <message>
   <source>No matte was found in its soft parts; the step was left out.</source>
   <translation>In den weichen Teilen wurde kein Hintergrundrest gefunden; der Schritt wurde ausgelassen.</translation>
  </message>
  <message>
   <source>The matte is {r}, {g}, {b} of 255; {share:.0%} of it is still there.</source>
   <translation>Der Hintergrundrest ist {r}, {g}, {b} von 255; {share} davon ist noch da.</translation>
  </message>
  <message>
   <source>The border's colour is {r}, {g}, {b} of 255.</source>
   <translation>Die Randfarbe ist {r}, {g}, {b} von 255.</translation>
  </message>
  <message>
   <source>{name}: problem: {problem}</source>
   <translation>{name}: Problem: {problem}</translation>
  </message>
  <message>
   <source>{name}: no findings</source>
   <translation>{name}: keine Befunde</translation>
  </message>
  <message>
   <source>“{folder}” cannot be watched.</source>
   <translation>„{folder}“ kann nicht beobachtet werden.</translation>
  </message>
  <message>
   <source>; {count} files delivered</source>
   <translation>; {count} Dateien geliefert</translation>
  </message>
  <message>
   <source>“{folder}” is no folder.</source>
   <translation>„{folder}“ ist kein Ordner.</translation>
  </message>
  <message>
   <source>the picture that eats into it</source>
   <translation>das Bild, das hineinfrisst</translation>
  </message>
  <message>
   <source>the mesh that it stands on</source>
   <translation>das Netz, auf dem es steht</translation>
  </message>
  <message>
   <source>Mivex {version}</source>
   <translation>Mivex {version}</translation>
  </message>
  <message>
   <source>“{name}” is still being computed at full size.</source>
   <translation>„{name}“ wird noch in voller Größe gerechnet.</translation>
  </message>
  <message>
   <source>“{name}”: nothing of its recipe “{name2}” can be filled from it.</source>
   <translation>„{name}“: nichts aus seinem Rezept „{name2}“ lässt sich daraus füllen.</translation>
  </message>
  <message>
   <source>The folder “{folder}” cannot be made: {e}.</source>
   <translation>Der Ordner „{folder}“ lässt sich nicht anlegen: {e}.</translation>
  </message>
  <message>
   <source>Delivering “{name}”</source>
   <translation>„{name}“ wird geliefert</translation>
  </message>
  <message>
   <source>depth bias</source>
   <translation>Tiefenversatz</translation>
  </message>
  <message>
   <source>its own depth test and depth write</source>
   <translation>eigener Tiefentest und eigenes Schreiben der Tiefe</translation>
  </message>
  <message>
   <source>its own order of faces</source>
   <translation>eigene Reihenfolge der Flächen</translation>
  </message>
  <message>
   <source>frames that play (the first is shown)</source>
   <translation>Bilder, die laufen (das erste ist zu sehen)</translation>
  </message>
  <message>
   <source>panels that turn to the camera</source>
   <translation>Tafeln, die sich zur Kamera drehen</translation>
  </message>
  <message>
   <source>motion (see the motion file)</source>
   <translation>Bewegung (siehe Bewegungsdatei)</translation>
  </message>
  <message>
   <source>blend {blend} (written as BLEND)</source>
   <translation>Mischung {blend} (als BLEND geschrieben)</translation>
  </message>
  <message>
   <source>dots in place of blending (written as BLEND)</source>
   <translation>Punkte statt Mischung (als BLEND geschrieben)</translation>
  </message>
  <message>
   <source>order nudge {nudge:+d}</source>
   <translation>Rang {nudge}</translation>
  </message>
  <message>
   <source>draw group {group}</source>
   <translation>Zeichengruppe {group}</translation>
  </message>
  <message>
   <source>erosion</source>
   <translation>Erosion</translation>
  </message>
  <message>
   <source>two tones</source>
   <translation>zwei Töne</translation>
  </message>
  <message>
   <source>recolouring</source>
   <translation>Umfärbung</translation>
  </message>
  <message>
   <source>flow</source>
   <translation>Fluss</translation>
  </message>
  <message>
   <source>halo</source>
   <translation>Halo</translation>
  </message>
  <message>
   <source>contact fade</source>
   <translation>weicher Kontakt</translation>
  </message>
  <message>
   <source>break-up</source>
   <translation>Aufbrechen</translation>
  </message>
  <message>
   <source>frost</source>
   <translation>Mattierung</translation>
  </message>
  <message>
   <source>edges of glass</source>
   <translation>Glaskanten</translation>
  </message>
  <message>
   <source>refraction</source>
   <translation>Lichtbrechung</translation>
  </message>
  <message>
   <source>Philox 4×64-10, key (seed, birth), counter (block, stream, 0, 0)</source>
   <translation>Philox 4×64-10, Schlüssel (Seed, Geburt), Zähler (Block, Strom, 0, 0)</translation>
  </message>
  <message>
   <source>Version of the format.</source>
   <translation>Version des Formats.</translation>
  </message>
  <message>
   <source>For people.</source>
   <translation>Für Menschen.</translation>
  </message>
  <message>
   <source>Name of the effect.</source>
   <translation>Name des Effekts.</translation>
  </message>
  <message>
   <source>Forces are applied in steps of this length, at their end.</source>
   <translation>Kräfte wirken in Schritten dieser Länge, an deren Ende.</translation>
  </message>
  <message>
   <source>Where each particle's random numbers come from.</source>
   <translation>Woher die Zufallszahlen jedes Teilchens kommen.</translation>
  </message>
  <message>
   <source>Number of each part's first stream, by the part's id; digits, beyond 2⁵³.</source>
   <translation>Nummer des ersten Stroms jedes Teils, nach dessen Kennung; Ziffern, über 2⁵³.</translation>
  </message>
  <message>
   <source>File beside this one for each mesh on which particles are born.</source>
   <translation>Datei daneben für jedes Netz, auf dem Teilchen geboren werden.</translation>
  </message>
  <message>
   <source>File beside this one with what is solid; empty: no part meets anything.</source>
   <translation>Datei daneben mit dem, was fest ist; leer: kein Teil trifft etwas.</translation>
  </message>
  <message>
   <source>Metres a second.</source>
   <translation>Meter in der Sekunde.</translation>
  </message>
  <message>
   <source>The effect, with what it takes from the one that it is a copy of.</source>
   <translation>Der Effekt, mit dem, was er von dem nimmt, dessen Kopie er ist.</translation>
  </message>
  <message>
   <source>Blend sheet of each overlay that it shows, by id.</source>
   <translation>Mischblatt jedes Overlays, das er zeigt, nach Kennung.</translation>
  </message>
  <message>
   <source>Low and high corner of the box that its particles never leave, metres.</source>
   <translation>Untere und obere Ecke des Quaders, den seine Teilchen nie verlassen, in Metern.</translation>
  </message>
  <message>
   <source>Share of the box that was added to what was followed; 0: closed form.</source>
   <translation>Anteil des Quaders, der zum Verfolgten hinzukam; 0: geschlossene Form.</translation>
  </message>
  <message>
   <source>JPEG has no alpha channel; choose PNG, TGA or TIFF.</source>
   <translation>JPEG hat keinen Alphakanal; wählen Sie PNG, TGA oder TIFF.</translation>
  </message>
  <message>
   <source>OpenEXR stores alpha associated, which loses the colour under clear texels; choose PNG, TGA or TIFF.</source>
   <translation>OpenEXR speichert Farbe mal Alpha und verliert so die Farbe unter klaren Texeln; wählen Sie PNG, TGA oder TIFF.</translation>
  </message>
  <message>
   <source>BMP has no dependable alpha channel; choose PNG, TGA or TIFF.</source>
   <translation>BMP hat keinen verlässlichen Alphakanal; wählen Sie PNG, TGA oder TIFF.</translation>
  </message>
  <message>
   <source>A TGA of 24 bit has no alpha channel, and this blend needs one; choose PNG, TGA of 32 bit or TIFF.</source>
   <translation>Ein TGA mit 24 Bit hat keinen Alphakanal, und diese Mischung braucht einen; wählen Sie PNG, TGA mit 32 Bit oder TIFF.</translation>
  </message>
  <message>
   <source>KTX 2 holds encoded colour in 8 bits only; choose 8 bits, or another format.</source>
   <translation>KTX 2 hält kodierte Farbe nur in 8 Bit; wählen Sie 8 Bit oder ein anderes Format.</translation>
  </message>
  <message>
   <source>There is nothing to deliver: no overlay has a picture.</source>
   <translation>Es gibt nichts zu liefern: kein Overlay hat ein Bild.</translation>
  </message>
  <message>
   <source>{kind} holds {writable} bits a channel, not {bits}; choose PNG or TIFF for {bits} bits.</source>
   <translation>{kind} hält {writable} Bit je Kanal, nicht {bits}; wählen Sie PNG oder TIFF für {bits} Bit.</translation>
  </message>
  <message>
   <source>“{seen}” and “{name}” would both be written as “{split}”; give one of them another name.</source>
   <translation>„{seen}“ und „{name}“ würden beide als „{split}“ geschrieben; geben Sie einem einen anderen Namen.</translation>
  </message>
  <message>
   <source>“{name}” would be written over a picture that the project is made of; deliver into another folder.</source>
   <translation>„{name}“ würde über ein Bild geschrieben, aus dem das Projekt besteht; liefern Sie in einen anderen Ordner.</translation>
  </message>
  <message>
   <source>“{name}” has no layers whose masks could be delivered.</source>
   <translation>„{name}“ hat keine Ebenen, deren Masken geliefert werden könnten.</translation>
  </message>
  <message>
   <source>“{name}…” would be written under a name of {count} letters, which is too long; give it a shorter one.</source>
   <translation>„{name}…“ würde unter einem Namen von {count} Buchstaben geschrieben, das ist zu lang; geben Sie einen kürzeren.</translation>
  </message>
  <message>
   <source>Two files of “{name}” would both be written as “{name2}”.</source>
   <translation>Zwei Dateien von „{name}“ würden beide als „{name2}“ geschrieben.</translation>
  </message>
  <message>
   <source>Writing the motion of “{name}”</source>
   <translation>Bewegung von „{name}“ wird geschrieben</translation>
  </message>
  <message>
   <source>“{name}” lies on no surface, so that there is no geometry to deliver; place it first, or choose a recipe without geometry.</source>
   <translation>„{name}“ liegt auf keiner Fläche, also gibt es keine Geometrie zu liefern; setzen Sie es erst, oder wählen Sie ein Rezept ohne Geometrie.</translation>
  </message>
  <message>
   <source>There is no folder “{folder}”.</source>
   <translation>Es gibt keinen Ordner „{folder}“.</translation>
  </message>
  <message>
   <source>“{folder}” holds no delivery: there is no “{list}” in it.</source>
   <translation>„{folder}“ enthält keine Lieferung: „{list}“ fehlt darin.</translation>
  </message>
  <message>
   <source>Writing the geometry of “{name}”</source>
   <translation>Geometrie von „{name}“ wird geschrieben</translation>
  </message>
  <message>
   <source>Writing the proof sheet</source>
   <translation>Prüfbogen wird geschrieben</translation>
  </message>
  <message>
   <source>“{names}” and “{name}” would both be written as “{stem}”; give one of them another name.</source>
   <translation>„{names}“ und „{name}“ würden beide als „{stem}“ geschrieben; geben Sie einem einen anderen Namen.</translation>
  </message>
  <message>
   <source>“{path}” was written by a newer Mivex (list {version}; this one reads {list_version}).</source>
   <translation>„{path}“ stammt von einem neueren Mivex (Liste {version}; dieses liest {list_version}).</translation>
  </message>
  <message>
   <source>“{path}” is not the list of a delivery, or is cut short.</source>
   <translation>„{path}“ ist nicht die Liste einer Lieferung oder ist abgeschnitten.</translation>
  </message>
  <message>
   <source>Writing the stage</source>
   <translation>Die Bühne wird geschrieben</translation>
  </message>
  <message>
   <source>Drawing the pictures to compare with</source>
   <translation>Bilder zum Vergleichen werden gezeichnet</translation>
  </message>
  <message>
   <source>over every backdrop</source>
   <translation>vor jedem Hintergrund</translation>
  </message>
  <message>
   <source>at far sizes: as sampled, as it should be, and where they differ</source>
   <translation>aus der Ferne: wie abgetastet, wie es sein sollte, und wo sie sich unterscheiden</translation>
  </message>
  <message>
   <source>its alpha</source>
   <translation>sein Alpha</translation>
  </message>
  <message>
   <source>Blend</source>
   <translation>Mischung</translation>
  </message>
  <message>
   <source>Opacity</source>
   <translation>Deckkraft</translation>
  </message>
  <message>
   <source>Light</source>
   <translation>Licht</translation>
  </message>
  <message>
   <source>Depth</source>
   <translation>Tiefe</translation>
  </message>
  <message>
   <source>Draw group</source>
   <translation>Zeichengruppe</translation>
  </message>
  <message>
   <source>shines by itself</source>
   <translation>leuchtet von selbst</translation>
  </message>
  <message>
   <source>front only</source>
   <translation>nur vorn</translation>
  </message>
  <message>
   <source>{group}, nudge {nudge:+d}</source>
   <translation>{group}, Rang {nudge}</translation>
  </message>
  <message>
   <source>Steps</source>
   <translation>Schritte</translation>
  </message>
  <message>
   <source>Alpha</source>
   <translation>Alpha</translation>
  </message>
  <message>
   <source>Proof sheet</source>
   <translation>Prüfbogen</translation>
  </message>
  <message>
   <source>As delivered: {title}</source>
   <translation>Wie ausgeliefert: {title}</translation>
  </message>
  <message>
   <source>Mended: {label}</source>
   <translation>Repariert: {label}</translation>
  </message>
  <message>
   <source>As it came</source>
   <translation>Wie es kam</translation>
  </message>
  <message>
   <source>As delivered</source>
   <translation>Wie ausgeliefert</translation>
  </message>
  <message>
   <source>{min:.3f} to {max:.3f}, mean {mean:.3f}</source>
   <translation>{min} bis {max}, im Mittel {mean}</translation>
  </message>
  <message>
   <source>Fringe, largest</source>
   <translation>Saum, größter</translation>
  </message>
  <message>
   <source>Fringe, mean at its worst level</source>
   <translation>Saum, Mittel in der schlimmsten Stufe</translation>
  </message>
  <message>
   <source>Frames</source>
   <translation>Bilder</translation>
  </message>
  <message>
   <source>, cutoff {cutoff:g}</source>
   <translation>, Schwelle {cutoff}</translation>
  </message>
  <message>
   <source>, bias {depth_bias:g} mm</source>
   <translation>, Versatz {depth_bias} mm</translation>
  </message>
  <message>
   <source>{value:.1f} of 255</source>
   <translation>{value} von 255</translation>
  </message>
  <message>
   <source>{mean:.2f} (level {level})</source>
   <translation>{mean} (Stufe {level})</translation>
  </message>
  <message>
   <source>a delivery reads no further picture.</source>
   <translation>eine Auslieferung liest kein weiteres Bild.</translation>
  </message>
  <message>
   <source>“{name}”: its delivery reads the overlay “{overlay}”, which is not there.</source>
   <translation>„{name}“: seine Lieferung liest das Overlay „{overlay}“, das es nicht gibt.</translation>
  </message>
  <message>
   <source>Check</source>
   <translation>Prüfung</translation>
  </message>
  <message>
   <source>Finding</source>
   <translation>Befund</translation>
  </message>
  <message>
   <source>Look</source>
   <translation>Ansicht</translation>
  </message>
  <message>
   <source>Repair</source>
   <translation>Abhilfe</translation>
  </message>
  <message>
   <source>Subject</source>
   <translation>Gegenstand</translation>
  </message>
  <message>
   <source>Texels</source>
   <translation>Texel</translation>
  </message>
  <message>
   <source>  Ignored: {reason}</source>
   <translation>  Nicht beachtet: {reason}</translation>
  </message>
  <message>
   <source>Particles pop</source>
   <translation>Teilchen ploppen</translation>
  </message>
  <message>
   <source>the end on solids</source>
   <translation>dem Ende auf Festem</translation>
  </message>
  <message>
   <source>of 255</source>
   <translation>von 255</translation>
  </message>
  <message>
   <source>Particles pop.</source>
   <translation>Teilchen ploppen.</translation>
  </message>
  <message>
   <source>{words_of}: at {when} opacity is not zero; {worst:.0f} of 255 appear or go from one picture to the next.</source>
   <translation>{words_of}: bei {when} ist die Deckkraft nicht null; {worst} von 255 erscheinen oder gehen von einem Bild zum nächsten.</translation>
  </message>
  <message>
   <source>Fade in and out</source>
   <translation>Ein- und ausblenden</translation>
  </message>
  <message>
   <source>Tint that is ignored</source>
   <translation>Tönung ohne Wirkung</translation>
  </message>
  <message>
   <source>Erosion driven by nothing</source>
   <translation>Erosion ohne Antrieb</translation>
  </message>
  <message>
   <source>Life shorter than the sheet</source>
   <translation>Leben kürzer als der Bogen</translation>
  </message>
  <message>
   <source>Frames never shown</source>
   <translation>Bilder nie zu sehen</translation>
  </message>
  <message>
   <source>The stream jumps</source>
   <translation>Der Strom springt</translation>
  </message>
  <message>
   <source>One look repeated</source>
   <translation>Ein Aussehen wiederholt sich</translation>
  </message>
  <message>
   <source>The stream stutters at every run.</source>
   <translation>Der Strom stottert bei jedem Lauf.</translation>
  </message>
  <message>
   <source>The eye finds the one texture again and again.</source>
   <translation>Das Auge findet die eine Textur immer wieder.</translation>
  </message>
  <message>
   <source>Colour settings do nothing.</source>
   <translation>Farbeinstellungen bewirken nichts.</translation>
  </message>
  <message>
   <source>The lane does nothing.</source>
   <translation>Die Spur bewirkt nichts.</translation>
  </message>
  <message>
   <source>Memory for frames that nobody sees.</source>
   <translation>Speicher für Bilder, die niemand sieht.</translation>
  </message>
  <message>
   <source>{words_of}: a run ends with {last:.0f} particles a second and the next begins with {first:.0f}.</source>
   <translation>{words_of}: ein Lauf endet mit {last} Teilchen in der Sekunde, und der nächste beginnt mit {first}.</translation>
  </message>
  <message>
   <source>{words_of}: {count} particles at once have one size, one turn and one frame.</source>
   <translation>{words_of}: {count} Teilchen zugleich haben eine Größe, eine Drehung und ein Bild.</translation>
  </message>
  <message>
   <source>{words_of} tints its particles, and the material of “{name}” ignores it.</source>
   <translation>{words_of} tönt seine Teilchen, und das Material von „{name}“ beachtet es nicht.</translation>
  </message>
  <message>
   <source>Nothing ever wears away.</source>
   <translation>Nichts wird je abgetragen.</translation>
  </message>
  <message>
   <source>They die in the middle of their animation.</source>
   <translation>Sie sterben mitten in ihrer Animation.</translation>
  </message>
  <message>
   <source>{words_of}: {n} frames in {longest:.2f} s; at {ticks} pictures a second {n2} are never shown.</source>
   <translation>{words_of}: {n} Bilder in {longest} s; bei {ticks} Bildern in der Sekunde sind {n2} nie zu sehen.</translation>
  </message>
  <message>
   <source>End as it begins</source>
   <translation>Enden, wie es beginnt</translation>
  </message>
  <message>
   <source>Spread size and turn</source>
   <translation>Größe und Drehung streuen</translation>
  </message>
  <message>
   <source>Let the material take the tint</source>
   <translation>Das Material die Tönung nehmen lassen</translation>
  </message>
  <message>
   <source>{words_of} wears its particles away, but the erosion of “{name}” </source>
   <translation>{words_of} trägt seine Teilchen ab, aber die Erosion von „{name}“ </translation>
  </message>
  <message>
   <source>is driven by its slider.</source>
   <translation>folgt ihrem Schieber.</translation>
  </message>
  <message>
   <source>Drive erosion by life</source>
   <translation>Erosion dem Leben folgen lassen</translation>
  </message>
  <message>
   <source>Erosion of “{name}” is driven by life, and {words_of} has no lane for it.</source>
   <translation>Die Erosion von „{name}“ folgt dem Leben, und {words_of} hat keine Spur dafür.</translation>
  </message>
  <message>
   <source>{words_of}: the sheet needs {needs:.2f} s, and particles live from {life:.2f} s.</source>
   <translation>{words_of}: der Bogen braucht {needs} s, und Teilchen leben ab {life} s.</translation>
  </message>
  <message>
   <source>is driven by the tint's alpha.</source>
   <translation>folgt dem Alpha der Tönung.</translation>
  </message>
  <message>
   <source>is off.</source>
   <translation>ist aus.</translation>
  </message>
  <message>
   <source>Add the lane</source>
   <translation>Die Spur hinzufügen</translation>
  </message>
  <message>
   <source>Play the sheet over their life</source>
   <translation>Den Bogen über ihr Leben laufen lassen</translation>
  </message>
  <message>
   <source>{words_of} shows {shown} of the {n} frames of “{name}”.</source>
   <translation>{words_of} zeigt {shown} der {n} Bilder von „{name}“.</translation>
  </message>
  <message>
   <source>Births refused</source>
   <translation>Geburten abgelehnt</translation>
  </message>
  <message>
   <source>Too many over one another</source>
   <translation>Zu viele übereinander</translation>
  </message>
  <message>
   <source>Hard contact line</source>
   <translation>Harte Kontaktlinie</translation>
  </message>
  <message>
   <source>Born inside something solid</source>
   <translation>In Festem geboren</translation>
  </message>
  <message>
   <source>Speed jumps</source>
   <translation>Tempo springt</translation>
  </message>
  <message>
   <source>Frames too small for the screen</source>
   <translation>Bilder zu klein für den Schirm</translation>
  </message>
  <message>
   <source>Bounds too small</source>
   <translation>Grenzen zu eng</translation>
  </message>
  <message>
   <source>Too many sprites cost too much; see “Fewer, larger”.</source>
   <translation>Zu viele Sprites kosten zu viel; siehe „Weniger, größere“.</translation>
  </message>
  <message>
   <source>{words_of}: up to {most:.0f} particles lie over one another; {share:.0%} of what they cover is above the budget of {overdraw:g}.</source>
   <translation>{words_of}: bis zu {most} Teilchen liegen übereinander; {share} dessen, was sie bedecken, liegt über dem Budget von {overdraw}.</translation>
  </message>
  <message>
   <source>The stream breaks off and comes back in gusts.</source>
   <translation>Der Strom reißt ab und kommt in Stößen wieder.</translation>
  </message>
  <message>
   <source>All effects together: up to {most:.0f} particles lie over one another at {time:.1f} s; {share:.0%} of what they cover is above the budget of {overdraw:g}. {words_of} brings most.</source>
   <translation>Alle Effekte zusammen: bis zu {most:.0f} Teilchen liegen bei {time:.1f} s übereinander; {share:.0%} dessen, was sie decken, liegen über dem Budget von {overdraw:g}. {words_of} bringt das meiste.</translation>
  </message>
  <message>
   <source>% of them</source>
   <translation>% davon</translation>
  </message>
  <message>
   <source>A hard line where smoke meets the ground.</source>
   <translation>Eine harte Linie, wo Rauch den Boden trifft.</translation>
  </message>
  <message>
   <source>% of births</source>
   <translation>% der Geburten</translation>
  </message>
  <message>
   <source>They are not seen, or break out of a wall.</source>
   <translation>Man sieht sie nicht, oder sie brechen aus einer Wand.</translation>
  </message>
  <message>
   <source>times its size</source>
   <translation>mal so groß</translation>
  </message>
  <message>
   <source>It is seen blurred: its cells are too small for their size on screen.</source>
   <translation>Es erscheint unscharf: die Zellen sind zu klein für ihre Größe auf dem Schirm.</translation>
  </message>
  <message>
   <source>{words_of}: of {wanted} births {refused} are refused, since at most {most} particles may live at once.</source>
   <translation>{words_of}: von {wanted} Geburten werden {refused} abgelehnt, da höchstens {most} Teilchen leben dürfen.</translation>
  </message>
  <message>
   <source>{words_of}: {share:.0%} of the particles cut into something solid, {deep:.0f} cm deep in the mean, and “{name}” has no contact fade.</source>
   <translation>{words_of}: {share} der Teilchen schneiden in Festes, im Mittel {deep} cm tief, und „{name}“ hat keinen weichen Kontakt.</translation>
  </message>
  <message>
   <source>{words_of}: {share:.0%} of the particles are born inside something solid.</source>
   <translation>{words_of}: {share} der Teilchen werden in Festem geboren.</translation>
  </message>
  <message>
   <source>Lift it by {lift:.2f} m</source>
   <translation>Um {lift} m anheben</translation>
  </message>
  <message>
   <source>Particles jerk where the curve's parts meet.</source>
   <translation>Teilchen rucken, wo die Stücke der Kurve zusammentreffen.</translation>
  </message>
  <message>
   <source>Seen from the side the effect vanishes while some of it is in the picture.</source>
   <translation>Von der Seite gesehen verschwindet der Effekt, während noch etwas davon im Bild ist.</translation>
  </message>
  <message>
   <source>{words_of}: a {what} of {texels:.0f} texels is drawn {most:.0f} pixels high from camera {at}.</source>
   <translation>{words_of}: ein {what} von {texels} Texeln wird von Kamera {at} aus {most} Pixel hoch gezeichnet.</translation>
  </message>
  <message>
   <source>Allow more at once</source>
   <translation>Mehr zugleich erlauben</translation>
  </message>
  <message>
   <source>Fade before contact</source>
   <translation>Vor dem Kontakt ausblenden</translation>
  </message>
  <message>
   <source>{words_of}: speed changes by {steps:.2f} times from one tick to the next, {at:.0%} into the life.</source>
   <translation>{words_of}: das Tempo ändert sich auf das {steps}fache von einem Tick zum nächsten, bei {at} des Lebens.</translation>
  </message>
  <message>
   <source>{words_of} goes {out:.2f} m beyond the bounds that are set.</source>
   <translation>{words_of} geht {out} m über die gesetzten Grenzen hinaus.</translation>
  </message>
  <message>
   <source>Join the parts smoothly</source>
   <translation>Die Stücke glatt verbinden</translation>
  </message>
  <message>
   <source>Widen the bounds</source>
   <translation>Die Grenzen weiten</translation>
  </message>
  <message>
   <source>% of the picture</source>
   <translation>% des Bildes</translation>
  </message>
  <message>
   <source>Both have nearly the same depth, so chance decides pixel by pixel; it flickers as the camera moves.</source>
   <translation>Beide haben fast dieselbe Tiefe, so entscheidet der Zufall Pixel für Pixel; es flackert, wenn die Kamera sich bewegt.</translation>
  </message>
  <message>
   <source>“{name}” fights with the surface that it lies on: {hidden:.1%} of the picture of camera {name2} is lost in patches.</source>
   <translation>„{name}“ kämpft mit der Fläche, auf der es liegt: {hidden} des Bildes von Kamera {name2} geht in Flecken verloren.</translation>
  </message>
  <message>
   <source>“{name}” lies in the very plane of what is behind it, over {hidden:.1%} of the picture of camera {name2}: here one of them is seen, elsewhere the other.</source>
   <translation>„{name}“ liegt genau in der Ebene dessen, was dahinter ist, auf {hidden:.1%} des Bildes der Kamera {name2}: Hier sieht man das eine, anderswo das andere.</translation>
  </message>
  <message>
   <source>Bring it {bias:g} mm nearer</source>
   <translation>Um {bias} mm näher holen</translation>
  </message>
  <message>
   <source>fragments</source>
   <translation>Fragmente</translation>
  </message>
  <message>
   <source>Added light clipped</source>
   <translation>Addiertes Licht abgeschnitten</translation>
  </message>
  <message>
   <source>Changes no pixel</source>
   <translation>Ändert kein Pixel</translation>
  </message>
  <message>
   <source>Unlit and black</source>
   <translation>Unbeleuchtet und schwarz</translation>
  </message>
  <message>
   <source>Lit without normals</source>
   <translation>Beleuchtet ohne Normalen</translation>
  </message>
  <message>
   <source>Back not drawn</source>
   <translation>Rückseite fehlt</translation>
  </message>
  <message>
   <source>Too much drawn over</source>
   <translation>Zu oft übermalt</translation>
  </message>
  <message>
   <source>Mirrored or upside down</source>
   <translation>Gespiegelt oder kopfüber</translation>
  </message>
  <message>
   <source>its alpha is 0 everywhere</source>
   <translation>sein Alpha ist überall 0</translation>
  </message>
  <message>
   <source>it lies behind something, or outside what the cameras see</source>
   <translation>es liegt hinter etwas oder außerhalb dessen, was die Kameras sehen</translation>
  </message>
  <message>
   <source>pixels</source>
   <translation>Pixel</translation>
  </message>
  <message>
   <source>sprite</source>
   <translation>Sprite</translation>
  </message>
  <message>
   <source>Each fragment is read, shaded and blended, seen or not: frames take longer.</source>
   <translation>Jedes Fragment wird gelesen, schattiert und gemischt, gesehen oder nicht: Bilder dauern länger.</translation>
  </message>
  <message>
   <source>% of it</source>
   <translation>% davon</translation>
  </message>
  <message>
   <source>It costs and shows nothing.</source>
   <translation>Es kostet und zeigt nichts.</translation>
  </message>
  <message>
   <source>All sprites brighten and darken as one as the camera turns.</source>
   <translation>Alle Sprites werden zusammen heller und dunkler, wenn die Kamera sich dreht.</translation>
  </message>
  <message>
   <source>Stage</source>
   <translation>Bühne</translation>
  </message>
  <message>
   <source>{share:.1%} of the picture of camera {name} takes more than {budget:g} fragments a pixel, {max:.0f} at most; “{name2}” spends most.</source>
   <translation>{share} des Bildes von Kamera {name} braucht mehr als {budget} Fragmente je Pixel, höchstens {max}; „{name2}“ verbraucht am meisten.</translation>
  </message>
  <message>
   <source>Added light has no shape where the ground is bright already: it becomes a white patch.</source>
   <translation>Addiertes Licht hat keine Form, wo der Grund schon hell ist: es wird ein weißer Fleck.</translation>
  </message>
  <message>
   <source>“{name}” changes no pixel of any camera: {why}.</source>
   <translation>„{name}“ ändert bei keiner Kamera ein Pixel: {why}.</translation>
  </message>
  <message>
   <source>A black shape where light should fall or shine.</source>
   <translation>Eine schwarze Form, wo Licht fallen oder scheinen sollte.</translation>
  </message>
  <message>
   <source>“{name}” is lit without normals: light falls on it as on a flat card.</source>
   <translation>„{name}“ ist ohne Normalen beleuchtet: Licht fällt darauf wie auf eine flache Karte.</translation>
  </message>
  <message>
   <source>Leave it unlit</source>
   <translation>Unbeleuchtet lassen</translation>
  </message>
  <message>
   <source>It is there from one side and gone from the other.</source>
   <translation>Von einer Seite ist es da und von der anderen fort.</translation>
  </message>
  <message>
   <source>The card that smoke is painted on shows as a straight edge where it meets the floor.</source>
   <translation>Die Karte, auf die der Rauch gemalt ist, zeigt sich als gerade Kante am Boden.</translation>
  </message>
  <message>
   <source>Mirror it back</source>
   <translation>Zurückspiegeln</translation>
  </message>
  <message>
   <source>Writing cannot be read, and an emblem is a different one.</source>
   <translation>Schrift ist nicht zu lesen, und ein Emblem ist ein anderes.</translation>
  </message>
  <message>
   <source>{share:.0%} of “{name}” is clipped to plain white on the bright ground that camera {name2} sees.</source>
   <translation>{share} von „{name}“ wird auf dem hellen Grund, den Kamera {name2} sieht, zu reinem Weiß abgeschnitten.</translation>
  </message>
  <message>
   <source>Make it Premultiplied</source>
   <translation>Auf Premultiplied stellen</translation>
  </message>
  <message>
   <source>“{name}” is unlit and gives off nothing: it is drawn black.</source>
   <translation>„{name}“ ist unbeleuchtet und strahlt nichts ab: es wird schwarz gezeichnet.</translation>
  </message>
  <message>
   <source>Camera {name} sees “{name2}” from behind, where it is not drawn: {count:.1%} of the picture.</source>
   <translation>Kamera {name} sieht „{name2}“ von hinten, wo es nicht gezeichnet wird: {count} des Bildes.</translation>
  </message>
  <message>
   <source>Draw both faces</source>
   <translation>Beide Seiten zeichnen</translation>
  </message>
  <message>
   <source>“{name}” cuts into what is solid along a hard line of about {length:.0f} pixels, seen from camera {name2}.</source>
   <translation>„{name}“ schneidet in Festes, entlang einer harten Linie von etwa {length} Pixeln, gesehen von Kamera {name2}.</translation>
  </message>
  <message>
   <source>Fade it over 0.3 m</source>
   <translation>Über 0,3 m ausblenden</translation>
  </message>
  <message>
   <source>upside down</source>
   <translation>kopfüber</translation>
  </message>
  <message>
   <source>Turn it round</source>
   <translation>Umdrehen</translation>
  </message>
  <message>
   <source>“{name}” lies {words} on its surface.</source>
   <translation>„{name}“ liegt {words} auf seiner Fläche.</translation>
  </message>
  <message>
   <source>Let light fall on it</source>
   <translation>Licht darauf fallen lassen</translation>
  </message>
  <message>
   <source>Drawn in the wrong order</source>
   <translation>In falscher Reihenfolge gezeichnet</translation>
  </message>
  <message>
   <source>Shows through itself</source>
   <translation>Scheint durch sich selbst</translation>
  </message>
  <message>
   <source>Fights with its surface</source>
   <translation>Kämpft mit seiner Fläche</translation>
  </message>
  <message>
   <source>Hidden by what is seen through</source>
   <translation>Von Durchsichtigem verdeckt</translation>
  </message>
  <message>
   <source>Order is chance</source>
   <translation>Reihenfolge ist Zufall</translation>
  </message>
  <message>
   <source>Cutout would do</source>
   <translation>Cutout würde genügen</translation>
  </message>
  <message>
   <source>{count:.1%} of the picture of camera {name} is off by {mean:.0f} of 255.</source>
   <translation>{count} des Bildes von Kamera {name} liegt um {mean} von 255 daneben.</translation>
  </message>
  <message>
   <source>What is farther away seems to lie in front; it flips as the camera moves.</source>
   <translation>Was ferner ist, scheint vorn zu liegen; es springt, wenn die Kamera sich bewegt.</translation>
  </message>
  <message>
   <source>Parts of a figure flicker through other parts, by the order of its triangles.</source>
   <translation>Teile einer Figur flackern durch andere, je nach Reihenfolge ihrer Dreiecke.</translation>
  </message>
  <message>
   <source>A hole in the shape of the nearer panel, even where that one is clear.</source>
   <translation>Ein Loch in der Form der näheren Tafel, auch dort, wo sie klar ist.</translation>
  </message>
  <message>
   <source>“{name}” shows through itself: its far side is drawn over its near one in {count:.1%} of the picture of camera {name2}.</source>
   <translation>„{name}“ scheint durch sich selbst: seine ferne Seite ist in {count} des Bildes von Kamera {name2} über die nahe gezeichnet.</translation>
  </message>
  <message>
   <source>Lay its depth first</source>
   <translation>Erst seine Tiefe legen</translation>
  </message>
  <message>
   <source>“{name}” is hidden by “{name2}”, which is seen through and yet writes depth: {count:.1%} of the picture of camera {name3}.</source>
   <translation>„{name}“ ist von „{name2}“ verdeckt, das durchsichtig ist und doch Tiefe schreibt: {count} des Bildes von Kamera {name3}.</translation>
  </message>
  <message>
   <source>“{name}” and “{name2}” stand through each other or swap with the camera; neither order is right: {share}</source>
   <translation>„{name}“ und „{name2}“ stehen durcheinander oder tauschen mit der Kamera; keine Reihenfolge stimmt: {share}</translation>
  </message>
  <message>
   <source>“{name}” is drawn over “{name2}” though it lies behind it: {share}</source>
   <translation>„{name}“ wird über „{name2}“ gezeichnet, obwohl es dahinter liegt: {share}</translation>
  </message>
  <message>
   <source>Draw both by their distance</source>
   <translation>Beide nach ihrem Abstand zeichnen</translation>
  </message>
  <message>
   <source>Switch off depth write of “{name}”</source>
   <translation>Tiefe schreiben von „{name}“ abschalten</translation>
  </message>
  <message>
   <source>They swap at the least movement of the camera.</source>
   <translation>Sie tauschen bei der kleinsten Bewegung der Kamera.</translation>
  </message>
  <message>
   <source>“{name}” looks the same as Cutout, to within {apart} of 255, and as Cutout it needs no sorting.</source>
   <translation>„{name}“ sieht als Cutout gleich aus, auf {apart} von 255 genau, und muss als Cutout nicht sortiert werden.</translation>
  </message>
  <message>
   <source>{why} As Translucent it can be drawn in the wrong order.</source>
   <translation>{why} Als Translucent kann es in falscher Reihenfolge gezeichnet werden.</translation>
  </message>
  <message>
   <source>Make it Cutout</source>
   <translation>Auf Cutout stellen</translation>
  </message>
  <message>
   <source>“{name}” and “{name2}” are equally far away from camera {name3}: which of them is drawn last is chance.</source>
   <translation>„{name}“ und „{name2}“ sind von Kamera {name3} gleich weit entfernt: welches zuletzt gezeichnet wird, ist Zufall.</translation>
  </message>
  <message>
   <source>Draw “{name}” later</source>
   <translation>„{name}“ später zeichnen</translation>
  </message>
  <message>
   <source>Second UV set is empty</source>
   <translation>Zweites UV-Set ist leer</translation>
  </message>
  <message>
   <source>UV set</source>
   <translation>UV-Set</translation>
  </message>
  <message>
   <source>Everywhere on the mesh the same texel is read: the picture vanishes, or covers it in one colour.</source>
   <translation>Überall auf dem Netz wird derselbe Texel gelesen: das Bild verschwindet oder bedeckt es in einer Farbe.</translation>
  </message>
  <message>
   <source>“{name}” reads the second UV set, and what it lies on has only one.</source>
   <translation>„{name}“ liest das zweite UV-Set, und worauf es liegt, hat nur eines.</translation>
  </message>
  <message>
   <source>Read the first UV set</source>
   <translation>Das erste UV-Set lesen</translation>
  </message>
  <message>
   <source>Frame {frame} does not fit between those beside it: {figure:.0%} of what is seen changes there and back; usual is {usual:.1%}.</source>
   <translation>Bild {frame} passt nicht zwischen seine Nachbarn: {figure:.0%} des Sichtbaren ändern sich hin und zurück; üblich sind {usual:.1%}.</translation>
  </message>
  <message>
   <source>Frames {frame} and {next} seem to be exchanged: the other way round they follow one another.</source>
   <translation>Die Bilder {frame} und {next} scheinen vertauscht: andersherum folgen sie aufeinander.</translation>
  </message>
  <message>
   <source>Frame {frame} has a straight line over {figure:.0%} of the sprite that the frames beside it have not.</source>
   <translation>Bild {frame} hat eine gerade Linie über {figure:.0%} des Sprites, die seine Nachbarn nicht haben.</translation>
  </message>
  <message>
   <source>From frame {frame} to {next} {figure:.0%} of what is seen changes; usual is {usual:.1%}.</source>
   <translation>Von Bild {frame} zu {next} ändern sich {figure:.0%} des Sichtbaren; üblich sind {usual:.1%}.</translation>
  </message>
  <message>
   <source>No level is safe.</source>
   <translation>Keine Stufe ist sicher.</translation>
  </message>
  <message>
   <source>from level</source>
   <translation>ab Stufe</translation>
  </message>
  <message>
   <source>% of what is seen</source>
   <translation>% des Sichtbaren</translation>
  </message>
  <message>
   <source>% of the cell</source>
   <translation>% der Zelle</translation>
  </message>
  <message>
   <source>Frames reach their border</source>
   <translation>Bilder reichen an ihren Rand</translation>
  </message>
  <message>
   <source>Light cut off at the border</source>
   <translation>Licht am Rand abgeschnitten</translation>
  </message>
  <message>
   <source>Frames bleed into each other</source>
   <translation>Bilder laufen ineinander</translation>
  </message>
  <message>
   <source>A frame jumps</source>
   <translation>Ein Bild springt</translation>
  </message>
  <message>
   <source>The loop does not close</source>
   <translation>Die Schleife schließt nicht</translation>
  </message>
  <message>
   <source>Frames drift</source>
   <translation>Bilder wandern</translation>
  </message>
  <message>
   <source>Empty frames</source>
   <translation>Leere Bilder</translation>
  </message>
  <message>
   <source>Frames past the last</source>
   <translation>Bilder nach dem letzten</translation>
  </message>
  <message>
   <source>Each sprite is cut off in a straight line there, and filtering carries it into the next frame.</source>
   <translation>Jedes Sprite ist dort gerade abgeschnitten, und Filtern trägt es ins nächste Bild.</translation>
  </message>
  <message>
   <source>Glow ends in a straight edge; over dark ground the sprite's square shows.</source>
   <translation>Das Leuchten endet in einer geraden Kante; über dunklem Grund zeigt sich das Quadrat des Sprites.</translation>
  </message>
  <message>
   <source>It is safe to level {safe}.</source>
   <translation>Sicher bis Stufe {safe}.</translation>
  </message>
  <message>
   <source>In the distance a line or ghost of the next frame flickers at the sprite's edge.</source>
   <translation>In der Ferne flackert eine Linie oder ein Geist des nächsten Bildes am Rand des Sprites.</translation>
  </message>
  <message>
   <source>The movement stutters there, at every run.</source>
   <translation>Die Bewegung stottert dort, bei jedem Lauf.</translation>
  </message>
  <message>
   <source>Play it once</source>
   <translation>Einmal spielen</translation>
  </message>
  <message>
   <source>Played again and again, it jumps at the end of every run.</source>
   <translation>Immer wieder gespielt, springt es am Ende jedes Laufs.</translation>
  </message>
  <message>
   <source>The sprite swims away from where it stands, and jumps back when it begins again.</source>
   <translation>Das Sprite schwimmt fort von dort, wo es steht, und springt zurück, wenn es neu beginnt.</translation>
  </message>
  <message>
   <source>frames</source>
   <translation>Bilder</translation>
  </message>
  <message>
   <source>Frame {frames}</source>
   <translation>Bild {frames}</translation>
  </message>
  <message>
   <source>{size} of {count} frames reach their cell's border, frame {worst} with alpha {most:.0f}.</source>
   <translation>{size} von {count} Bildern reichen an den Rand ihrer Zelle, Bild {worst} mit Alpha {most}.</translation>
  </message>
  <message>
   <source>Light reaches the border of {size} of {count} frames, in frame {worst} {most:.0f} of 255.</source>
   <translation>Licht erreicht den Rand von {size} von {count} Bildern, in Bild {worst} {most} von 255.</translation>
  </message>
  <message>
   <source>From mip level {first} on a frame shows what is next to it, by up to {levels:.0f} of 255 at level {worst}. {safe}</source>
   <translation>Ab Mip-Stufe {first} zeigt ein Bild, was daneben liegt, um bis zu {levels} von 255 in Stufe {worst}. {safe}</translation>
  </message>
  <message>
   <source>From the last frame back to the first {back:.0%} of what is seen changes; usual is {usual:.1%}.</source>
   <translation>Vom letzten Bild zurück zum ersten ändern sich {back:.0%} des Sichtbaren; üblich sind {usual:.1%}.</translation>
  </message>
  <message>
   <source>The middle of what is seen wanders {far:.0%} of the cell {way} from the first frame to the last.</source>
   <translation>Die Mitte dessen, was man sieht, wandert vom ersten Bild zum letzten um {far} der Zelle {way}.</translation>
  </message>
  <message>
   <source>The sprite blinks.</source>
   <translation>Das Sprite blinkt.</translation>
  </message>
  <message>
   <source>Each run ends in nothing; with one frame too many it blinks at its end.</source>
   <translation>Jeder Lauf endet im Nichts; mit einem Bild zu viel blinkt er am Ende.</translation>
  </message>
  <message>
   <source>Frames {parts}</source>
   <translation>Bilder {parts}</translation>
  </message>
  <message>
   <source>Clear the border of every cell</source>
   <translation>Den Rand jeder Zelle klären</translation>
  </message>
  <message>
   <source>{frames_words} between others {ending} empty.</source>
   <translation>{frames_words} zwischen anderen {ending} leer.</translation>
  </message>
  <message>
   <source>End after frame {last}</source>
   <translation>Nach Bild {last} enden</translation>
  </message>
  <message>
   <source>The last {after} of {count} frames {ending} empty: the sheet ends with frame {last}.</source>
   <translation>Die letzten {after} von {count} Bildern {ending} leer: der Bogen endet mit Bild {last}.</translation>
  </message>
  <message>
   <source>is</source>
   <translation>ist</translation>
  </message>
  <message>
   <source>are</source>
   <translation>sind</translation>
  </message>
  <message>
   <source>Make alpha from luminance</source>
   <translation>Alpha aus Luminanz machen</translation>
  </message>
  <message>
   <source>channels</source>
   <translation>Kanäle</translation>
  </message>
  <message>
   <source>Nothing of it is seen at all.</source>
   <translation>Gar nichts davon ist zu sehen.</translation>
  </message>
  <message>
   <source>The whole rectangle is seen, corners and all.</source>
   <translation>Das ganze Rechteck ist zu sehen, samt Ecken.</translation>
  </message>
  <message>
   <source>alpha</source>
   <translation>Alpha</translation>
  </message>
  <message>
   <source>% of the border</source>
   <translation>% des Randes</translation>
  </message>
  <message>
   <source>Clear the border softly</source>
   <translation>Den Rand weich klären</translation>
  </message>
  <message>
   <source>No alpha</source>
   <translation>Kein Alpha</translation>
  </message>
  <message>
   <source>Alpha all one value</source>
   <translation>Alpha nur ein Wert</translation>
  </message>
  <message>
   <source>Alpha looks inverted</source>
   <translation>Alpha wirkt umgekehrt</translation>
  </message>
  <message>
   <source>Alpha at the border</source>
   <translation>Alpha am Rand</translation>
  </message>
  <message>
   <source>Make alpha from the backdrop</source>
   <translation>Alpha aus dem Hintergrund machen</translation>
  </message>
  <message>
   <source>Key out the backdrop</source>
   <translation>Den Hintergrund herausstanzen</translation>
  </message>
  <message>
   <source>The picture has no alpha channel.</source>
   <translation>Das Bild hat keinen Alphakanal.</translation>
  </message>
  <message>
   <source>Nothing shows through: the whole rectangle covers what lies behind it.</source>
   <translation>Nichts scheint durch: das ganze Rechteck bedeckt, was dahinter liegt.</translation>
  </message>
  <message>
   <source>The surroundings cover what lies behind, and the shape itself is a hole.</source>
   <translation>Die Umgebung bedeckt, was dahinter liegt, und die Form selbst ist ein Loch.</translation>
  </message>
  <message>
   <source>The shape is cut off in a straight line, and with clamped addressing its border texels are drawn out into streaks.</source>
   <translation>Die Form ist gerade abgeschnitten, und mit festgehaltenem Rand werden dessen Texel zu Streifen.</translation>
  </message>
  <message>
   <source>Turn the border guard on</source>
   <translation>Den Randschutz einschalten</translation>
  </message>
  <message>
   <source>Alpha is 1 in every texel: the picture is opaque, and its alpha channel says nothing.</source>
   <translation>Alpha ist 1 in jedem Texel: das Bild deckt, und sein Alphakanal sagt nichts.</translation>
  </message>
  <message>
   <source>It costs a third more memory than three channels, and is taken for a see-through picture.</source>
   <translation>Es kostet ein Drittel mehr Speicher als drei Kanäle und wird für durchsichtig gehalten.</translation>
  </message>
  <message>
   <source>Alpha is {value:.3g} in every texel.</source>
   <translation>Alpha ist {value} in jedem Texel.</translation>
  </message>
  <message>
   <source>Alpha looks turned round: the border is solid, yet the drawing lies under what is clear; the means differ by {by:.2f}.</source>
   <translation>Alpha sieht umgekehrt aus: Der Rand ist deckend, doch die Zeichnung liegt unter dem, was klar ist; die Mittel unterscheiden sich um {by}.</translation>
  </message>
  <message>
   <source>Invert the alpha</source>
   <translation>Das Alpha umkehren</translation>
  </message>
  <message>
   <source>Soft alpha runs out of the picture ({named}): {share:.1%} of the border is reached, and where it is cut alpha is up to {largest:.2f}.</source>
   <translation>Weiches Alpha läuft aus dem Bild ({named}): {share} des Randes ist erreicht, und wo es abgeschnitten ist, ist Alpha bis zu {largest}.</translation>
  </message>
  <message>
   <source>Drop the alpha channel</source>
   <translation>Den Alphakanal fallen lassen</translation>
  </message>
  <message>
   <source>% of the texels</source>
   <translation>% der Texel</translation>
  </message>
  <message>
   <source>A veil that nobody sees</source>
   <translation>Ein Schleier, den niemand sieht</translation>
  </message>
  <message>
   <source>Every one of them is blended, and stands in the way of whatever is sorted with it.</source>
   <translation>Jedes davon wird gemischt und steht allem im Weg, was mit ihm sortiert wird.</translation>
  </message>
  <message>
   <source>{share:.0%} of the texels have an alpha of 1 to {most} of 255: hardly seen, and drawn all the same. Without them a box smaller by {saved:.0%} holds the rest.</source>
   <translation>{share} der Texel haben ein Alpha von 1 bis {most} von 255: kaum zu sehen und doch gezeichnet. Ohne sie fasst ein um {saved} kleinerer Kasten den Rest.</translation>
  </message>
  <message>
   <source>Clear the veil</source>
   <translation>Den Schleier klären</translation>
  </message>
  <message>
   <source>% of the panel</source>
   <translation>% der Tafel</translation>
  </message>
  <message>
   <source>Size</source>
   <translation>Größe</translation>
  </message>
  <message>
   <source>Larger than stated</source>
   <translation>Größer als vereinbart</translation>
  </message>
  <message>
   <source>File without alpha</source>
   <translation>Datei ohne Alpha</translation>
  </message>
  <message>
   <source>See-through overlay writes depth</source>
   <translation>Durchsichtiges schreibt Tiefe</translation>
  </message>
  <message>
   <source>Mip levels no longer halve evenly and some block compressions refuse it; a runtime may stretch or reject the picture.</source>
   <translation>Mip-Stufen halbieren sich nicht mehr glatt, und manche Blockkompression weigert sich; eine Laufzeit streckt das Bild vielleicht oder weist es ab.</translation>
  </message>
  <message>
   <source>What was clear arrives solid, with whatever colour lay under it.</source>
   <translation>Was klar war, kommt deckend an, mit der Farbe, die eben darunter lag.</translation>
  </message>
  <message>
   <source>Bubbles, smoke or panes behind it vanish, depending on which is drawn first.</source>
   <translation>Blasen, Rauch oder Scheiben dahinter verschwinden, je nachdem, was zuerst gezeichnet wird.</translation>
  </message>
  <message>
   <source>{wide} × {high} is not a power of two on {word}.</source>
   <translation>{wide} × {high} ist keine Zweierpotenz auf {word}.</translation>
  </message>
  <message>
   <source>{wide} × {high} is larger than the {budget} px that the receiver wants.</source>
   <translation>{wide} × {high} ist größer als die {budget} px, die der Empfänger will.</translation>
  </message>
  <message>
   <source>It takes {wide:.1f} times the memory; the receiver may refuse it or reduce it its own way.</source>
   <translation>Es braucht das {wide}fache an Speicher; der Empfänger kann es abweisen oder auf seine Art verkleinern.</translation>
  </message>
  <message>
   <source>The chosen file has no alpha channel: {share:.0f} % of the texels would lose theirs.</source>
   <translation>Die gewählte Datei hat keinen Alphakanal: {share} % der Texel verlören ihres.</translation>
  </message>
  <message>
   <source>Deliver as PNG</source>
   <translation>Als PNG liefern</translation>
  </message>
  <message>
   <source>A {blend} overlay writes depth: {share:.0%} of it hides what is drawn later behind it although it can be seen through.</source>
   <translation>Ein {blend}-Overlay schreibt Tiefe: {share} davon verdeckt, was später dahinter gezeichnet wird, obwohl man hindurchsieht.</translation>
  </message>
  <message>
   <source>Switch depth write off</source>
   <translation>Tiefe schreiben abschalten</translation>
  </message>
  <message>
   <source>both sides</source>
   <translation>beiden Seiten</translation>
  </message>
  <message>
   <source>each side</source>
   <translation>jeder Seite</translation>
  </message>
  <message>
   <source>Resize to {to} × {to2}</source>
   <translation>Auf {to} × {to2} bringen</translation>
  </message>
  <message>
   <source>Repaint faint edges too (changes what shows by up to {figure:.0f} of 255)</source>
   <translation>Auch blasse Kanten neu färben (ändert, was man sieht, um bis zu {figure} von 255)</translation>
  </message>
  <message>
   <source>between texels at full size</source>
   <translation>zwischen Texeln in voller Größe</translation>
  </message>
  <message>
   <source>Fringe when filtered</source>
   <translation>Saum beim Filtern</translation>
  </message>
  <message>
   <source>at mip level {level}</source>
   <translation>in Mip-Stufe {level}</translation>
  </message>
  <message>
   <source>A {tone} rim: hidden {hidden} leaks into the edge {where}; 99 % of texels differ by up to {p99:.1f} of 255, the worst by {maximum:.1f}.</source>
   <translation>Ein {tone} Saum: verborgenes {hidden} sickert in die Kante {where}; 99 % der Texel liegen bis {p99} von 255 daneben, der schlimmste um {maximum}.</translation>
  </message>
  <message>
   <source>Filtering mixes the colour under clear texels into the edge: a {tone} rim that grows with distance.</source>
   <translation>Filtern mischt die Farbe unter klaren Texeln in die Kante: ein {tone} Saum, der mit der Ferne wächst.</translation>
  </message>
  <message>
   <source>Spread edge colour outwards</source>
   <translation>Randfarbe nach außen ausbreiten</translation>
  </message>
  <message>
   <source>Read it as straight</source>
   <translation>Als nicht vormultipliziert lesen</translation>
  </message>
  <message>
   <source>Read as premultiplied</source>
   <translation>Als vormultipliziert gelesen</translation>
  </message>
  <message>
   <source>A rim of the ground</source>
   <translation>Ein Rand vom Grund</translation>
  </message>
  <message>
   <source>Smeared by compression</source>
   <translation>Von der Kompression verschmiert</translation>
  </message>
  <message>
   <source>Read as premultiplied, straight art gets a burnt rim: every soft texel is brighter than it was drawn.</source>
   <translation>Als vormultipliziert gelesen bekommt nicht vormultipliziertes Bildwerk einen ausgebrannten Rand: Jedes weiche Texel ist heller, als es gezeichnet wurde.</translation>
  </message>
  <message>
   <source>Alpha was resized, grown or smoothed by itself, and colour was not: the shape wears a seam of its old ground.</source>
   <translation>Alpha wurde für sich skaliert, erweitert oder geglättet, die Farbe nicht: Die Form trägt einen Saum ihres alten Grundes.</translation>
  </message>
  <message>
   <source>Most games compress their textures in such blocks: a rim appears there that no picture here shows.</source>
   <translation>Die meisten Spiele komprimieren ihre Texturen in solchen Blöcken: Dort erscheint ein Rand, den hier kein Bild zeigt.</translation>
  </message>
  <message>
   <source>{beyond:.0%} of the soft texels are as bright as can be, {inside:.0%} of the solid ones: it looks as if straight art had been divided by its alpha, by up to {error:.0f} of 255 on screen.</source>
   <translation>{beyond:.0%} der weichen Texel sind so hell, wie es geht, {inside:.0%} der deckenden: Es sieht aus, als wäre nicht vormultipliziertes Bildwerk durch sein Alpha geteilt worden, um bis zu {error:.0f} von 255 auf dem Bildschirm.</translation>
  </message>
  <message>
   <source>{share:.0%} of the soft outline has the very colour that lies under the clear texels, {hex_of}: on screen it shows by up to {error:.0f} of 255.</source>
   <translation>{share:.0%} des weichen Umrisses haben genau die Farbe, die unter den klaren Texeln liegt, {hex_of}: Auf dem Bildschirm zeigt sich das um bis zu {error:.0f} von 255.</translation>
  </message>
  <message>
   <source>Repaint the outline with the shape's colour</source>
   <translation>Den Umriss mit der Farbe der Form übermalen</translation>
  </message>
  <message>
   <source>In blocks of 4 × 4 texels the hidden colour shares two colours with the edge: compressed so, it is off by up to {before:.0f} of 255; with the edge's own colour spread outwards, by {after:.0f}.</source>
   <translation>In Blöcken von 4 × 4 Texeln teilt die verborgene Farbe zwei Farben mit dem Rand: So komprimiert weicht er um bis zu {before:.0f} von 255 ab; ist seine eigene Farbe nach außen ausgebreitet, um {after:.0f}.</translation>
  </message>
  <message>
   <source>Loose pieces</source>
   <translation>Lose Stücke</translation>
  </message>
  <message>
   <source>In the game bits float beside the shape.</source>
   <translation>Im Spiel schweben Stückchen neben der Form.</translation>
  </message>
  <message>
   <source>{count} {word} on nothing; the largest has {size} texels.</source>
   <translation>{count} {word} an nichts; das größte hat {size} Texel.</translation>
  </message>
  <message>
   <source>Drop the loose pieces</source>
   <translation>Die losen Stücke fallen lassen</translation>
  </message>
  <message>
   <source>piece hangs</source>
   <translation>Stück hängt</translation>
  </message>
  <message>
   <source>pieces hang</source>
   <translation>Stücke hängen</translation>
  </message>
  <message>
   <source>  No colour is brighter than its alpha: it may well be premultiplied, and read as straight.</source>
   <translation>  Keine Farbe ist heller als ihr Alpha: Es mag gut vormultipliziert sein und unvormultipliziert gelesen werden.</translation>
  </message>
  <message>
   <source>Matte left in soft parts</source>
   <translation>Hintergrundrest in weichen Teilen</translation>
  </message>
  <message>
   <source>; {impossible:.1%} of the soft texels would be clipped when it is taken out</source>
   <translation>; {impossible} der weichen Texel würden beim Herausnehmen abgeschnitten</translation>
  </message>
  <message>
   <source>Soft parts still hold {share:.0%} of a {tone} backdrop, {hex_of}; on screen it shows by up to {error:.0f} of 255{clipped}.</source>
   <translation>Weiche Teile enthalten noch {share} eines {tone} Hintergrunds, {hex_of}; auf dem Schirm zeigt er sich um bis zu {error} von 255{clipped}.</translation>
  </message>
  <message>
   <source>Soft parts may hold some of a {tone} backdrop, {hex_of}, by up to {error:.0f} of 255; how much cannot be told from the picture's own texture (about {share:.0%}, give or take {unsure:.0%}).</source>
   <translation>Weiche Teile enthalten vielleicht etwas von einem {tone} Hintergrund, {hex_of}, um bis zu {error} von 255; wie viel, lässt sich neben der Struktur des Bildes nicht sagen (etwa {share}, plus oder minus {unsure}).</translation>
  </message>
  <message>
   <source>Read it as premultiplied</source>
   <translation>Als vormultipliziert lesen</translation>
  </message>
  <message>
   <source>Remove the matte</source>
   <translation>Den Hintergrundrest entfernen</translation>
  </message>
  <message>
   <source>Try to remove a matte</source>
   <translation>Hintergrundrest versuchsweise entfernen</translation>
  </message>
  <message>
   <source>The picture was cut from a backdrop without taking its colour out: a {tone} rim on anything of another colour, even unfiltered.</source>
   <translation>Das Bild wurde aus einem Hintergrund geschnitten, ohne dessen Farbe herauszunehmen: ein {tone} Saum auf allem von anderer Farbe, auch ungefiltert.</translation>
  </message>
  <message>
   <source>% between</source>
   <translation>% dazwischen</translation>
  </message>
  <message>
   <source>levels</source>
   <translation>Stufen</translation>
  </message>
  <message>
   <source>texels</source>
   <translation>Texel</translation>
  </message>
  <message>
   <source>% empty</source>
   <translation>% leer</translation>
  </message>
  <message>
   <source>Softness not used</source>
   <translation>Weiches ungenutzt</translation>
  </message>
  <message>
   <source>Softness cut away</source>
   <translation>Weiches abgeschnitten</translation>
  </message>
  <message>
   <source>Alpha in few levels</source>
   <translation>Alpha in wenigen Stufen</translation>
  </message>
  <message>
   <source>Faint specks</source>
   <translation>Blasse Sprenkel</translation>
  </message>
  <message>
   <source>Mostly empty</source>
   <translation>Größtenteils leer</translation>
  </message>
  <message>
   <source>It costs sorting and overdraw and can be drawn in the wrong order; Cutout looks the same here and needs neither.</source>
   <translation>Es kostet Sortieren und Übermalen und kann in falscher Reihenfolge gezeichnet werden; Cutout sieht hier gleich aus und braucht beides nicht.</translation>
  </message>
  <message>
   <source>Soft edges and veils turn into hard, crawling outlines.</source>
   <translation>Weiche Kanten und Schleier werden zu harten, kriechenden Umrissen.</translation>
  </message>
  <message>
   <source>Smoke and glass show contour lines instead of an even fade.</source>
   <translation>Rauch und Glas zeigen Höhenlinien statt eines glatten Verlaufs.</translation>
  </message>
  <message>
   <source>A veil of dust in the game; and they hold the colour of what was cut away, which leaks into the edge with distance.</source>
   <translation>Ein Staubschleier im Spiel; und sie tragen die Farbe dessen, was weggeschnitten wurde, die in der Ferne in die Kante sickert.</translation>
  </message>
  <message>
   <source>Memory is spent on nothing, and every clear texel is still drawn.</source>
   <translation>Speicher wird für nichts ausgegeben, und jeder klare Texel doch gezeichnet.</translation>
  </message>
  <message>
   <source>Only {between:.1%} of the texels lie between clear and solid, yet {blend} sorts and blends every one of them.</source>
   <translation>Nur {between} der Texel liegen zwischen klar und deckend, doch {blend} sortiert und mischt jeden.</translation>
  </message>
  <message>
   <source>Blend as Cutout</source>
   <translation>Als Cutout mischen</translation>
  </message>
  <message>
   <source>{share:.0%} of what is seen is half clear, and Cutout makes each texel all or nothing.</source>
   <translation>{share} dessen, was man sieht, ist halb klar, und Cutout macht jeden Texel zu alles oder nichts.</translation>
  </message>
  <message>
   <source>Blend as Translucent</source>
   <translation>Als Translucent mischen</translation>
  </message>
  <message>
   <source>The soft part of the alpha has only {count} levels, {step:.0f} of 255 apart.</source>
   <translation>Der weiche Teil des Alphas hat nur {count} Stufen, {step} von 255 auseinander.</translation>
  </message>
  <message>
   <source>Smooth the alpha over 2 px</source>
   <translation>Das Alpha über 2 px glätten</translation>
  </message>
  <message>
   <source>{count} faint specks stand alone in clear surroundings, of alpha {mean:.3f} on average.</source>
   <translation>{count} blasse Sprenkel stehen allein in klarer Umgebung, im Mittel mit Alpha {mean}.</translation>
  </message>
  <message>
   <source>Clear those texels</source>
   <translation>Diese Texel klären</translation>
  </message>
  <message>
   <source>{value:.0%} of the picture is empty margin.</source>
   <translation>{value} des Bildes ist leerer Rand.</translation>
  </message>
  <message>
   <source>Trim to what is seen</source>
   <translation>Auf das Sichtbare beschneiden</translation>
  </message>
  <message>
   <source>times the inner step</source>
   <translation>mal der innere Schritt</translation>
  </message>
  <message>
   <source>Colour or data</source>
   <translation>Farbe oder Daten</translation>
  </message>
  <message>
   <source>Seam when repeated</source>
   <translation>Naht bei Wiederholung</translation>
  </message>
  <message>
   <source>Holes close in the distance</source>
   <translation>Löcher schließen sich in der Ferne</translation>
  </message>
  <message>
   <source>The repetition shows as a grid of lines.</source>
   <translation>Die Wiederholung zeigt sich als Gitter von Linien.</translation>
  </message>
  <message>
   <source>Directions are bent towards one side; lit surfaces look inflated or dull.</source>
   <translation>Richtungen neigen sich zu einer Seite; beleuchtete Flächen wirken aufgeblasen oder stumpf.</translation>
  </message>
  <message>
   <source>It looks washed out beside everything else, and edges change their brightness with distance.</source>
   <translation>Es wirkt neben allem anderen ausgewaschen, und Kanten ändern in der Ferne ihre Helligkeit.</translation>
  </message>
  <message>
   <source>Where {sides} meet, the step is {across:.1f} of 255; inside it is {inside:.1f}.</source>
   <translation>Wo {sides} zusammentreffen, ist der Schritt {across} von 255; innen ist er {inside}.</translation>
  </message>
  <message>
   <source>Make it tile</source>
   <translation>Kachelbar machen</translation>
  </message>
  <message>
   <source>A screen or mesh turns into a plate, or vanishes, as it moves away.</source>
   <translation>Ein Gitter oder Netz wird zur Platte oder verschwindet, wenn es sich entfernt.</translation>
  </message>
  <message>
   <source>The texels are unit vectors, as in a normal map, but are filtered as colour: off by {apart:.1f} of 255 two levels down.</source>
   <translation>Die Texel sind Einheitsvektoren wie in einer Normalenkarte, werden aber als Farbe gefiltert: zwei Stufen tiefer um {apart} von 255 daneben.</translation>
  </message>
  <message>
   <source>It is drawn as colour but taken as data: filtering is off by {apart:.1f} of 255 two levels down, and its light is not decoded.</source>
   <translation>Es wird als Farbe gezeichnet, aber als Daten genommen: das Filtern liegt zwei Stufen tiefer um {apart} von 255 daneben, und sein Licht wird nicht dekodiert.</translation>
  </message>
  <message>
   <source>Take it as colour</source>
   <translation>Als Farbe nehmen</translation>
  </message>
  <message>
   <source>At mip level {level}, {size} of {size2} holes have closed; the usual hole is {across:.1f} texels across there, and coverage has gone from {at0:.0%} to {now:.0%}.</source>
   <translation>In Mip-Stufe {level} haben sich {size} von {size2} Löchern geschlossen; das übliche Loch ist dort {across} Texel breit, und die Deckung ging von {at0} auf {now}.</translation>
  </message>
  <message>
   <source>Keep coverage in every level</source>
   <translation>Deckung in jeder Stufe halten</translation>
  </message>
  <message>
   <source>Take it as data</source>
   <translation>Als Daten nehmen</translation>
  </message>
  <message>
   <source>“{name}” is no geometry that Mivex has delivered, or is cut short.</source>
   <translation>„{name}“ ist keine Geometrie, die Mivex geliefert hat, oder ist abgeschnitten.</translation>
  </message>
  <message>
   <source>levels held</source>
   <translation>gehaltene Stufen</translation>
  </message>
  <message>
   <source>The delivery names no camera.</source>
   <translation>Die Lieferung nennt keine Kamera.</translation>
  </message>
  <message>
   <source>“{name}” was written by a newer Mivex (blend sheet {blend_sheet}; this one reads {sheet_version}).</source>
   <translation>„{name}“ stammt von einem neueren Mivex (Mischblatt {blend_sheet}; dieses liest {sheet_version}).</translation>
  </message>
  <message>
   <source>“{name}” was written by a newer Mivex (motion {motion}; this one reads {motion_version}).</source>
   <translation>„{name}“ stammt von einem neueren Mivex (Bewegung {motion}; dieses liest {motion_version}).</translation>
  </message>
  <message>
   <source>“{now}” is not what Mivex delivers, or is cut short.</source>
   <translation>„{now}“ ist nicht, was Mivex liefert, oder ist abgeschnitten.</translation>
  </message>
  <message>
   <source>“{file}” is missing from the delivery.</source>
   <translation>„{file}“ fehlt in der Lieferung.</translation>
  </message>
  <message>
   <source>Makes its own mip levels</source>
   <translation>Macht eigene Mip-Stufen</translation>
  </message>
  <message>
   <source>Levels in the files are ignored; new ones are averaged without weighing colour by alpha, and lose coverage.</source>
   <translation>Stufen in den Dateien werden übergangen; neue werden gemittelt, ohne Farbe mit Alpha zu wiegen, und verlieren Deckung.</translation>
  </message>
  <message>
   <source>Ignores the colour flag</source>
   <translation>Übergeht die Farbkennung</translation>
  </message>
  <message>
   <source>Colour is read as data, without decoding: everything is too bright and too pale.</source>
   <translation>Farbe wird als Daten gelesen, ohne Dekodieren: alles ist zu hell und zu blass.</translation>
  </message>
  <message>
   <source>Flips green</source>
   <translation>Kippt Grün</translation>
  </message>
  <message>
   <source>Normal maps are read the other way up: bumps become dents.</source>
   <translation>Normalenkarten werden andersherum gelesen: Beulen werden Dellen.</translation>
  </message>
  <message>
   <source>Limits size to</source>
   <translation>Begrenzt Größe auf</translation>
  </message>
  <message>
   <source>Textures are halved until no side is longer.</source>
   <translation>Texturen werden halbiert, bis keine Seite länger ist.</translation>
  </message>
  <message>
   <source>Compresses in blocks</source>
   <translation>Komprimiert in Blöcken</translation>
  </message>
  <message>
   <source>4 × 4 texels share two colours and two alphas, as in most games.</source>
   <translation>4 × 4 Texel teilen sich zwei Farben und zwei Alphas, wie in den meisten Spielen.</translation>
  </message>
  <message>
   <source>Blends display values</source>
   <translation>Mischt Anzeigewerte</translation>
  </message>
  <message>
   <source>Sums are formed of display values instead of light: edges of see-through things change.</source>
   <translation>Summen werden aus Anzeigewerten gebildet statt aus Licht: Kanten durchsichtiger Dinge ändern sich.</translation>
  </message>
  <message>
   <source>Transparency left off</source>
   <translation>Transparenz ausgelassen</translation>
  </message>
  <message>
   <source>Every overlay is drawn solid, whatever its blend.</source>
   <translation>Jedes Overlay wird deckend gezeichnet, gleich welche Mischung.</translation>
  </message>
  <message>
   <source>There is no build “{name}” (there are {parts}).{more}</source>
   <translation>Es gibt keinen Aufbau „{name}“ (es gibt {parts}).{more}</translation>
  </message>
  <message>
   <source>{what} is not a build.</source>
   <translation>{what} ist kein Aufbau.</translation>
  </message>
  <message>
   <source>{what} was saved by a newer Mivex (build {version}; this one reads up to {version2}).</source>
   <translation>{what} stammt von einem neueren Mivex (Aufbau {version}; dieses liest bis {version2}).</translation>
  </message>
  <message>
   <source>Layer {i}</source>
   <translation>Ebene {i}</translation>
  </message>
  <message>
   <source>{what} is not a JSON text, or is cut short.</source>
   <translation>{what} ist kein JSON-Text oder ist abgeschnitten.</translation>
  </message>
  <message>
   <source>The build cannot be kept in “{parent}”: {strerror}.</source>
   <translation>Der Aufbau lässt sich nicht in „{parent}“ aufheben: {strerror}.</translation>
  </message>
  <message>
   <source>{name}: strength</source>
   <translation>{name}: Stärke</translation>
  </message>
  <message>
   <source>Colour</source>
   <translation>Farbe</translation>
  </message>
  <message>
   <source>Roughness</source>
   <translation>Rauheit</translation>
  </message>
  <message>
   <source>Rough</source>
   <translation>Rau</translation>
  </message>
  <message>
   <source>Metal</source>
   <translation>Metall</translation>
  </message>
  <message>
   <source>Height</source>
   <translation>Höhe</translation>
  </message>
  <message>
   <source>Emissive</source>
   <translation>Leuchten</translation>
  </message>
  <message>
   <source>Glow</source>
   <translation>Leuchten</translation>
  </message>
  <message>
   <source>the layer that is painted on is gone.</source>
   <translation>die Ebene, auf die gemalt wird, ist fort.</translation>
  </message>
  <message>
   <source>what is painted is laid elsewhere, or shaped; it shows when the stroke ends.</source>
   <translation>was gemalt wird, liegt anderswo oder wird geformt; es zeigt sich, wenn der Strich endet.</translation>
  </message>
  <message>
   <source>it is not chosen which channel below its mask reads.</source>
   <translation>es ist nicht gewählt, welchen Kanal darunter seine Maske liest.</translation>
  </message>
  <message>
   <source>the layer that its mask reads is gone.</source>
   <translation>die Ebene, die seine Maske liest, ist fort.</translation>
  </message>
  <message>
   <source>no overlay is chosen.</source>
   <translation>kein Overlay ist gewählt.</translation>
  </message>
  <message>
   <source>no picture is chosen for its mask.</source>
   <translation>kein Bild ist für seine Maske gewählt.</translation>
  </message>
  <message>
   <source>its faces belong to a mesh, and the overlay sits on none.</source>
   <translation>seine Flächen gehören zu einem Netz, und das Overlay sitzt auf keinem.</translation>
  </message>
  <message>
   <source>no overlay is chosen for its mask.</source>
   <translation>für seine Maske ist kein Overlay gewählt.</translation>
  </message>
  <message>
   <source>its mask and that of “{name}” use each other.</source>
   <translation>seine Maske und die von „{name}“ benutzen einander.</translation>
  </message>
  <message>
   <source>no picture is chosen.</source>
   <translation>kein Bild ist gewählt.</translation>
  </message>
  <message>
   <source>a stroke keeps to faces of a mesh, and the overlay sits on none.</source>
   <translation>ein Strich bleibt auf Flächen eines Netzes, und das Overlay sitzt auf keinem.</translation>
  </message>
  <message>
   <source>a stroke was painted on the surface of a mesh, and the overlay sits on none.</source>
   <translation>ein Strich wurde auf die Oberfläche eines Netzes gemalt, und das Overlay sitzt auf keinem.</translation>
  </message>
  <message>
   <source>“{name}” makes nothing of that channel.</source>
   <translation>„{name}“ macht aus diesem Kanal nichts.</translation>
  </message>
  <message>
   <source>Layer “{name}”: {e}</source>
   <translation>Ebene „{name}“: {e}</translation>
  </message>
  <message>
   <source>Towards it</source>
   <translation>Darauf zu</translation>
  </message>
  <message>
   <source>Multiplied</source>
   <translation>Malgenommen</translation>
  </message>
  <message>
   <source>Added</source>
   <translation>Addiert</translation>
  </message>
  <message>
   <source>Screened</source>
   <translation>Negativ malgenommen</translation>
  </message>
  <message>
   <source>The larger</source>
   <translation>Der größere</translation>
  </message>
  <message>
   <source>The smaller</source>
   <translation>Der kleinere</translation>
  </message>
  <message>
   <source>Taken away</source>
   <translation>Abgezogen</translation>
  </message>
  <message>
   <source>The difference</source>
   <translation>Der Unterschied</translation>
  </message>
  <message>
   <source>One value</source>
   <translation>Ein Wert</translation>
  </message>
  <message>
   <source>A pattern</source>
   <translation>Ein Muster</translation>
  </message>
  <message>
   <source>A picture</source>
   <translation>Ein Bild</translation>
  </message>
  <message>
   <source>An overlay's result</source>
   <translation>Ergebnis eines Overlays</translation>
  </message>
  <message>
   <source>What is painted</source>
   <translation>Gemaltes</translation>
  </message>
  <message>
   <source>Luminance</source>
   <translation>Luminanz</translation>
  </message>
  <message>
   <source>Red</source>
   <translation>Rot</translation>
  </message>
  <message>
   <source>Green</source>
   <translation>Grün</translation>
  </message>
  <message>
   <source>Blue</source>
   <translation>Blau</translation>
  </message>
  <message>
   <source>Laid by</source>
   <translation>Gelegt nach</translation>
  </message>
  <message>
   <source>In the picture; or by where a texel lies on the mesh, seen from three sides, so that no seam shows. A tile is then as large as the mesh's longest side.</source>
   <translation>Im Bild; oder danach, wo ein Texel auf dem Netz liegt, von drei Seiten gesehen, sodass keine Naht zu sehen ist. Eine Kachel ist dann so groß wie die längste Seite des Netzes.</translation>
  </message>
  <message>
   <source>Tiles across</source>
   <translation>Kacheln quer</translation>
  </message>
  <message>
   <source>How often it goes into the canvas.</source>
   <translation>Wie oft es auf die Fläche geht.</translation>
  </message>
  <message>
   <source>Tiles down</source>
   <translation>Kacheln abwärts</translation>
  </message>
  <message>
   <source>Shifted right</source>
   <translation>Nach rechts</translation>
  </message>
  <message>
   <source>As a share of the canvas's width.</source>
   <translation>Als Anteil der Breite.</translation>
  </message>
  <message>
   <source>Shifted down</source>
   <translation>Nach unten</translation>
  </message>
  <message>
   <source>As a share of the canvas's height.</source>
   <translation>Als Anteil der Höhe.</translation>
  </message>
  <message>
   <source>Turned</source>
   <translation>Gedreht</translation>
  </message>
  <message>
   <source>About the middle of the canvas; turned by other than quarters it no longer repeats.</source>
   <translation>Um die Mitte; um anderes als Viertel gedreht wiederholt es sich nicht mehr.</translation>
  </message>
  <message>
   <source>Dark end</source>
   <translation>Dunkles Ende</translation>
  </message>
  <message>
   <source>From here down it is 0.</source>
   <translation>Von hier abwärts ist es 0.</translation>
  </message>
  <message>
   <source>Bright end</source>
   <translation>Helles Ende</translation>
  </message>
  <message>
   <source>From here up it is 1.</source>
   <translation>Von hier aufwärts ist es 1.</translation>
  </message>
  <message>
   <source>Gamma</source>
   <translation>Gamma</translation>
  </message>
  <message>
   <source>Above one lifts what lies between.</source>
   <translation>Über eins hebt es, was dazwischen liegt.</translation>
  </message>
  <message>
   <source>Value</source>
   <translation>Wert</translation>
  </message>
  <message>
   <source>Where the value comes from.</source>
   <translation>Woher der Wert kommt.</translation>
  </message>
  <message>
   <source>The colour; of a pattern, where it is bright.</source>
   <translation>Die Farbe; bei einem Muster, wo es hell ist.</translation>
  </message>
  <message>
   <source>Dark colour</source>
   <translation>Dunkle Farbe</translation>
  </message>
  <message>
   <source>Where the pattern is dark.</source>
   <translation>Wo das Muster dunkel ist.</translation>
  </message>
  <message>
   <source>Number</source>
   <translation>Zahl</translation>
  </message>
  <message>
   <source>The value; of a pattern, where it is bright.</source>
   <translation>Der Wert; bei einem Muster, wo es hell ist.</translation>
  </message>
  <message>
   <source>Dark number</source>
   <translation>Dunkle Zahl</translation>
  </message>
  <message>
   <source>Picture</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>Its colours, or one of its channels.</source>
   <translation>Seine Farben oder einer seiner Kanäle.</translation>
  </message>
  <message>
   <source>Read</source>
   <translation>Liest</translation>
  </message>
  <message>
   <source>Which of its channels is the value; for colour all three are.</source>
   <translation>Welcher seiner Kanäle der Wert ist; für Farbe alle drei.</translation>
  </message>
  <message>
   <source>Joins</source>
   <translation>Verbindet</translation>
  </message>
  <message>
   <source>How it meets what lies below.</source>
   <translation>Wie es trifft, was darunter liegt.</translation>
  </message>
  <message>
   <source>Strength</source>
   <translation>Stärke</translation>
  </message>
  <message>
   <source>Of this channel alone.</source>
   <translation>Nur dieses Kanals.</translation>
  </message>
  <message>
   <source>Finds</source>
   <translation>Findet</translation>
  </message>
  <message>
   <source>Where light comes less, hollows, outer edges, how far along an axis, which way it faces, how thin it is.</source>
   <translation>Wo weniger Licht hinkommt, Mulden, Außenkanten, wie weit entlang einer Achse, wohin es schaut, wie dünn es ist.</translation>
  </message>
  <message>
   <source>Reach</source>
   <translation>Reichweite</translation>
  </message>
  <message>
   <source>How far it looks, as a share of the mesh's longest side.</source>
   <translation>Wie weit es schaut, als Anteil der längsten Seite des Netzes.</translation>
  </message>
  <message>
   <source>Rays</source>
   <translation>Strahlen</translation>
  </message>
  <message>
   <source>A texel; more is smoother and slower.</source>
   <translation>Je Texel; mehr ist glatter und langsamer.</translation>
  </message>
  <message>
   <source>Towards</source>
   <translation>Richtung</translation>
  </message>
  <message>
   <source>Bright is that way.</source>
   <translation>Hell ist dort.</translation>
  </message>
  <message>
   <source>From</source>
   <translation>Von</translation>
  </message>
  <message>
   <source>Share of the mesh's extent where it begins.</source>
   <translation>Anteil der Ausdehnung, wo es beginnt.</translation>
  </message>
  <message>
   <source>To</source>
   <translation>Bis</translation>
  </message>
  <message>
   <source>Share of the mesh's extent where it is full.</source>
   <translation>Anteil der Ausdehnung, wo es voll ist.</translation>
  </message>
  <message>
   <source>Edge size</source>
   <translation>Kantengröße</translation>
  </message>
  <message>
   <source>Roundings up to this radius count, as a share of the longest side.</source>
   <translation>Rundungen bis zu diesem Radius zählen, als Anteil der längsten Seite.</translation>
  </message>
  <message>
   <source>Warp</source>
   <translation>Verzerren</translation>
  </message>
  <message>
   <source>How far it is pulled about, as a share of the shorter side.</source>
   <translation>Wie weit sie verzogen wird, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Grow</source>
   <translation>Wachsen</translation>
  </message>
  <message>
   <source>Its outline moves outwards; below zero, inwards.</source>
   <translation>Ihr Umriss rückt nach außen; unter null nach innen.</translation>
  </message>
  <message>
   <source>Distance</source>
   <translation>Abstand</translation>
  </message>
  <message>
   <source>It becomes how far inside or outside its outline a place lies; half at the outline, all and nothing this far off.</source>
   <translation>Sie wird zum Abstand vom Umriss, innen wie außen: halb am Umriss, ganz und gar nicht in dieser Entfernung.</translation>
  </message>
  <message>
   <source>Blur</source>
   <translation>Unschärfe</translation>
  </message>
  <message>
   <source>Softens it, as a share of the shorter side.</source>
   <translation>Macht sie weich, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Goes round</source>
   <translation>Läuft um</translation>
  </message>
  <message>
   <source>One side is softened into the other: for pictures that repeat.</source>
   <translation>Eine Seite geht in die andere über: für Bilder, die sich wiederholen.</translation>
  </message>
  <message>
   <source>Part</source>
   <translation>Teil</translation>
  </message>
  <message>
   <source>What this part of the mask is.</source>
   <translation>Was dieser Teil der Maske ist.</translation>
  </message>
  <message>
   <source>How it meets the parts before it.</source>
   <translation>Wie er die Teile davor trifft.</translation>
  </message>
  <message>
   <source>Everywhere; of a painted part, where nothing is painted.</source>
   <translation>Überall; bei Gemaltem, wo nichts gemalt ist.</translation>
  </message>
  <message>
   <source>Bright lets through.</source>
   <translation>Helles lässt durch.</translation>
  </message>
  <message>
   <source>Which of its channels.</source>
   <translation>Welcher seiner Kanäle.</translation>
  </message>
  <message>
   <source>Its mask, or what it makes of a channel.</source>
   <translation>Seine Maske, oder was es aus einem Kanal macht.</translation>
  </message>
  <message>
   <source>Inverted</source>
   <translation>Umgekehrt</translation>
  </message>
  <message>
   <source>Where it was not.</source>
   <translation>Wo es nicht war.</translation>
  </message>
  <message>
   <source>Contrast</source>
   <translation>Kontrast</translation>
  </message>
  <message>
   <source>Towards all or nothing.</source>
   <translation>Auf alles oder nichts zu.</translation>
  </message>
  <message>
   <source>Balance</source>
   <translation>Ausgleich</translation>
  </message>
  <message>
   <source>More of it, or less.</source>
   <translation>Mehr davon oder weniger.</translation>
  </message>
  <message>
   <source>Fades the whole row.</source>
   <translation>Blendet die ganze Zeile aus.</translation>
  </message>
  <message>
   <source>Base</source>
   <translation>Grund</translation>
  </message>
  <message>
   <source>Off: nothing but the layers, so that stray alpha shows.</source>
   <translation>Aus: nichts als die Ebenen, sodass verirrtes Alpha sich zeigt.</translation>
  </message>
  <message>
   <source>Of an empty canvas.</source>
   <translation>Einer leeren Fläche.</translation>
  </message>
  <message>
   <source>Smooth mirrors what is around it, rough scatters it.</source>
   <translation>Glattes spiegelt, was ringsum ist, Raues streut es.</translation>
  </message>
  <message>
   <source>Bare metal is 1.</source>
   <translation>Blankes Metall ist 1.</translation>
  </message>
  <message>
   <source>Bumps</source>
   <translation>Beulen</translation>
  </message>
  <message>
   <source>How steep heights become; below zero, hills are hollows.</source>
   <translation>Wie steil Höhen werden; unter null sind Hügel Mulden.</translation>
  </message>
  <message>
   <source>Green points</source>
   <translation>Grün zeigt</translation>
  </message>
  <message>
   <source>Which way the delivered normal map's second channel counts.</source>
   <translation>Wohin der zweite Kanal der gelieferten Normalenkarte zählt.</translation>
  </message>
  <message>
   <source>Occlusion</source>
   <translation>Verdeckung</translation>
  </message>
  <message>
   <source>Hollows are shaded.</source>
   <translation>Mulden sind beschattet.</translation>
  </message>
  <message>
   <source>How wide the shaded hollows are, as a share of the shorter side.</source>
   <translation>Wie breit die beschatteten Mulden sind, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Border guard</source>
   <translation>Randschutz</translation>
  </message>
  <message>
   <source>Fades the layers' opacity near the border, along a ragged line.</source>
   <translation>Blendet die Deckkraft der Ebenen am Rand aus, entlang einer zerzausten Linie.</translation>
  </message>
  <message>
   <source>Width</source>
   <translation>Breite</translation>
  </message>
  <message>
   <source>As a share of the shorter side.</source>
   <translation>Als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Raggedness</source>
   <translation>Ausfransung</translation>
  </message>
  <message>
   <source>0 is a straight fade.</source>
   <translation>0 ist ein gerader Verlauf.</translation>
  </message>
  <message>
   <source>Features</source>
   <translation>Merkmale</translation>
  </message>
  <message>
   <source>Bays and tongues along a side.</source>
   <translation>Buchten und Zungen entlang einer Seite.</translation>
  </message>
  <message>
   <source>Seed</source>
   <translation>Seed</translation>
  </message>
  <message>
   <source>Another number, another line.</source>
   <translation>Eine andere Zahl, eine andere Linie.</translation>
  </message>
  <message>
   <source>Numbers of the mesh's triangles, as in 0-11,40.</source>
   <translation>Nummern der Dreiecke des Netzes, etwa 0-11,40.</translation>
  </message>
  <message>
   <source>Id of the overlay that it reads.</source>
   <translation>Kennung des Overlays, das sie liest.</translation>
  </message>
  <message>
   <source>The pattern that it is warped by; none: layered noise.</source>
   <translation>Das Muster, von dem sie verzerrt wird; keins: geschichtetes Rauschen.</translation>
  </message>
  <message>
   <source>Id of an overlay that is laid over with all its channels.</source>
   <translation>Kennung eines Overlays, das mit allen Kanälen darübergelegt wird.</translation>
  </message>
  <message>
   <source>Name of the build that it was made from.</source>
   <translation>Name des Aufbaus, aus dem es gemacht ist.</translation>
  </message>
  <message>
   <source>The picture</source>
   <translation>Das Bild</translation>
  </message>
  <message>
   <source>Place in space</source>
   <translation>Ort im Raum</translation>
  </message>
  <message>
   <source>Cavities</source>
   <translation>Vertiefungen</translation>
  </message>
  <message>
   <source>Outer edges</source>
   <translation>Außenkanten</translation>
  </message>
  <message>
   <source>Along an axis</source>
   <translation>Entlang einer Achse</translation>
  </message>
  <message>
   <source>Facing</source>
   <translation>Lage</translation>
  </message>
  <message>
   <source>Thin places</source>
   <translation>Dünne Stellen</translation>
  </message>
  <message>
   <source>Up</source>
   <translation>Oben</translation>
  </message>
  <message>
   <source>Down</source>
   <translation>Unten</translation>
  </message>
  <message>
   <source>Right</source>
   <translation>Rechts</translation>
  </message>
  <message>
   <source>Left</source>
   <translation>Links</translation>
  </message>
  <message>
   <source>Back</source>
   <translation>Hinten</translation>
  </message>
  <message>
   <source>Found on the mesh</source>
   <translation>Auf dem Netz gefunden</translation>
  </message>
  <message>
   <source>Chosen faces</source>
   <translation>Gewählte Flächen</translation>
  </message>
  <message>
   <source>Another layer</source>
   <translation>Eine andere Ebene</translation>
  </message>
  <message>
   <source>The result below</source>
   <translation>Das Ergebnis darunter</translation>
  </message>
  <message>
   <source>Another overlay</source>
   <translation>Ein anderes Overlay</translation>
  </message>
  <message>
   <source>Its mask</source>
   <translation>Seine Maske</translation>
  </message>
  <message>
   <source>layer “{name}”</source>
   <translation>Ebene „{name}“</translation>
  </message>
  <message>
   <source>Another number, another pattern; the same number, the same one.</source>
   <translation>Eine andere Zahl, ein anderes Muster; dieselbe Zahl, dasselbe.</translation>
  </message>
  <message>
   <source>Output</source>
   <translation>Ausgabe</translation>
  </message>
  <message>
   <source>All of it, its dried rim, or the wet middle that stands highest in its centre.</source>
   <translation>Alles, der getrocknete Rand oder die nasse Mitte, die am höchsten steht.</translation>
  </message>
  <message>
   <source>How many; one lies in the middle.</source>
   <translation>Wie viele; einer liegt in der Mitte.</translation>
  </message>
  <message>
   <source>Of the largest across, as a share of the shorter side.</source>
   <translation>Des größten im Durchmesser, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>How uneven its outline is.</source>
   <translation>Wie ungleich der Umriss ist.</translation>
  </message>
  <message>
   <source>Lobes</source>
   <translation>Lappen</translation>
  </message>
  <message>
   <source>How many bays and tongues.</source>
   <translation>Wie viele Buchten und Zungen.</translation>
  </message>
  <message>
   <source>Rim</source>
   <translation>Rand</translation>
  </message>
  <message>
   <source>Width of the rim against the size.</source>
   <translation>Breite des Randes gegen die Größe.</translation>
  </message>
  <message>
   <source>Softness</source>
   <translation>Weichheit</translation>
  </message>
  <message>
   <source>Of the outline, against the size.</source>
   <translation>Des Umrisses, gegen die Größe.</translation>
  </message>
  <message>
   <source>How many hits.</source>
   <translation>Wie viele Treffer.</translation>
  </message>
  <message>
   <source>Of a hit across, as a share of the shorter side.</source>
   <translation>Eines Treffers im Durchmesser, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Droplets</source>
   <translation>Tröpfchen</translation>
  </message>
  <message>
   <source>How many drops fly off each.</source>
   <translation>Wie viele Tropfen von jedem fliegen.</translation>
  </message>
  <message>
   <source>How far they fly, against the size.</source>
   <translation>Wie weit sie fliegen, gegen die Größe.</translation>
  </message>
  <message>
   <source>Drips</source>
   <translation>Läufer</translation>
  </message>
  <message>
   <source>How far it runs down.</source>
   <translation>Wie weit es herabläuft.</translation>
  </message>
  <message>
   <source>How many prints.</source>
   <translation>Wie viele Abdrücke.</translation>
  </message>
  <message>
   <source>Length of one, as a share of the shorter side.</source>
   <translation>Länge eines, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Ridges</source>
   <translation>Rillen</translation>
  </message>
  <message>
   <source>Across a print.</source>
   <translation>Quer über einen Abdruck.</translation>
  </message>
  <message>
   <source>Clearness</source>
   <translation>Klarheit</translation>
  </message>
  <message>
   <source>0 is a smudge, 1 shows every ridge.</source>
   <translation>0 ist ein Schmierfleck, 1 zeigt jede Rille.</translation>
  </message>
  <message>
   <source>How far the hand leans.</source>
   <translation>Wie weit die Hand sich neigt.</translation>
  </message>
  <message>
   <source>Stain</source>
   <translation>Fleck</translation>
  </message>
  <message>
   <source>A ragged blot; its rim and its middle can be had apart.</source>
   <translation>Ein zerzauster Klecks; Rand und Mitte sind einzeln zu haben.</translation>
  </message>
  <message>
   <source>Splash</source>
   <translation>Spritzer</translation>
  </message>
  <message>
   <source>A blot, drops flung from it, drips.</source>
   <translation>Ein Klecks, Tropfen davon, Läufer.</translation>
  </message>
  <message>
   <source>Finger marks</source>
   <translation>Fingerabdrücke</translation>
  </message>
  <message>
   <source>Ovals with ridges.</source>
   <translation>Ovale mit Rillen.</translation>
  </message>
  <message>
   <source>All of it</source>
   <translation>Alles davon</translation>
  </message>
  <message>
   <source>The rim</source>
   <translation>Der Rand</translation>
  </message>
  <message>
   <source>The middle</source>
   <translation>Die Mitte</translation>
  </message>
  <message>
   <source>How many go into the shorter side.</source>
   <translation>Wie viele auf die kürzere Seite gehen.</translation>
  </message>
  <message>
   <source>Form</source>
   <translation>Form</translation>
  </message>
  <message>
   <source>Soft hills, or thin veins.</source>
   <translation>Weiche Hügel oder dünne Adern.</translation>
  </message>
  <message>
   <source>Detail</source>
   <translation>Feinheit</translation>
  </message>
  <message>
   <source>Layers, each twice as fine and half as strong.</source>
   <translation>Lagen, jede doppelt so fein und halb so stark.</translation>
  </message>
  <message>
   <source>Spreads the values apart.</source>
   <translation>Spreizt die Werte.</translation>
  </message>
  <message>
   <source>Swirl</source>
   <translation>Wirbel</translation>
  </message>
  <message>
   <source>How far another noise drags it about.</source>
   <translation>Wie weit ein anderes Rauschen es herumzieht.</translation>
  </message>
  <message>
   <source>Cover</source>
   <translation>Deckung</translation>
  </message>
  <message>
   <source>The share of the picture that they fill, in the mean.</source>
   <translation>Der Anteil des Bildes, den sie im Mittel füllen.</translation>
  </message>
  <message>
   <source>Width of their edges.</source>
   <translation>Breite ihrer Ränder.</translation>
  </message>
  <message>
   <source>Round bumps, the cracks between, or plates of their own shade.</source>
   <translation>Runde Beulen, die Risse dazwischen, oder Platten eigener Helligkeit.</translation>
  </message>
  <message>
   <source>Irregularity</source>
   <translation>Unregelmäßigkeit</translation>
  </message>
  <message>
   <source>0 is a lattice.</source>
   <translation>0 ist ein Gitter.</translation>
  </message>
  <message>
   <source>Crack width</source>
   <translation>Rissbreite</translation>
  </message>
  <message>
   <source>Against the size of a cell.</source>
   <translation>Gegen die Größe einer Zelle.</translation>
  </message>
  <message>
   <source>Wiped</source>
   <translation>Gewischt</translation>
  </message>
  <message>
   <source>Which way the cloth went.</source>
   <translation>Wohin das Tuch ging.</translation>
  </message>
  <message>
   <source>Length</source>
   <translation>Länge</translation>
  </message>
  <message>
   <source>Against their width.</source>
   <translation>Gegen ihre Breite.</translation>
  </message>
  <message>
   <source>Bend</source>
   <translation>Biegung</translation>
  </message>
  <message>
   <source>How far they leave the straight.</source>
   <translation>Wie weit sie das Gerade verlassen.</translation>
  </message>
  <message>
   <source>The share of the picture that is smeared.</source>
   <translation>Der Anteil des Bildes, der verschmiert ist.</translation>
  </message>
  <message>
   <source>Direction</source>
   <translation>Richtung</translation>
  </message>
  <message>
   <source>Dark to bright: downwards, to the right, there and back, or from the middle outwards.</source>
   <translation>Dunkel nach hell: abwärts, nach rechts, hin und zurück oder von der Mitte nach außen.</translation>
  </message>
  <message>
   <source>Where it begins to rise.</source>
   <translation>Wo es zu steigen beginnt.</translation>
  </message>
  <message>
   <source>Where it is full.</source>
   <translation>Wo es voll ist.</translation>
  </message>
  <message>
   <source>Noise moves it to and fro.</source>
   <translation>Rauschen schiebt es hin und her.</translation>
  </message>
  <message>
   <source>Straight, or folded to arrows.</source>
   <translation>Gerade oder zu Pfeilen gefaltet.</translation>
  </message>
  <message>
   <source>Across</source>
   <translation>Quer</translation>
  </message>
  <message>
   <source>How many lie side by side; below zero they lean the other way.</source>
   <translation>Wie viele nebeneinander liegen; unter null neigen sie sich anders herum.</translation>
  </message>
  <message>
   <source>How many lie one above another.</source>
   <translation>Wie viele übereinander liegen.</translation>
  </message>
  <message>
   <source>Of one against its pitch.</source>
   <translation>Eines gegen seinen Abstand.</translation>
  </message>
  <message>
   <source>Of the edges, against the pitch.</source>
   <translation>Der Ränder, gegen den Abstand.</translation>
  </message>
  <message>
   <source>How far in from the border, as a share of the shorter side.</source>
   <translation>Wie weit vom Rand hinein, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>How uneven its edge is.</source>
   <translation>Wie ungleich der Rand ist.</translation>
  </message>
  <message>
   <source>Of the edge, against the width.</source>
   <translation>Des Randes, gegen die Breite.</translation>
  </message>
  <message>
   <source>Weave</source>
   <translation>Gewebe</translation>
  </message>
  <message>
   <source>Over one under one, or over two under two.</source>
   <translation>Über eins unter eins, oder über zwei unter zwei.</translation>
  </message>
  <message>
   <source>Threads</source>
   <translation>Fäden</translation>
  </message>
  <message>
   <source>Across the shorter side.</source>
   <translation>Quer zur kürzeren Seite.</translation>
  </message>
  <message>
   <source>Thickness</source>
   <translation>Dicke</translation>
  </message>
  <message>
   <source>Of a thread against its pitch; what is left is open.</source>
   <translation>Eines Fadens gegen seinen Abstand; was bleibt, ist offen.</translation>
  </message>
  <message>
   <source>How high the threads lie, or only where they are.</source>
   <translation>Wie hoch die Fäden liegen, oder nur, wo sie sind.</translation>
  </message>
  <message>
   <source>Layered noise</source>
   <translation>Geschichtetes Rauschen</translation>
  </message>
  <message>
   <source>Hills within hills, or veins: breaks up what is too even.</source>
   <translation>Hügel in Hügeln oder Adern: bricht auf, was zu gleichmäßig ist.</translation>
  </message>
  <message>
   <source>Clouds</source>
   <translation>Wolken</translation>
  </message>
  <message>
   <source>Soft patches that drift: grime, damp, uneven paint.</source>
   <translation>Weiche, treibende Flecken: Schmutz, Feuchte, ungleiche Farbe.</translation>
  </message>
  <message>
   <source>Cells</source>
   <translation>Zellen</translation>
  </message>
  <message>
   <source>Bumps, cracks or plates.</source>
   <translation>Beulen, Risse oder Platten.</translation>
  </message>
  <message>
   <source>Smears</source>
   <translation>Schlieren</translation>
  </message>
  <message>
   <source>What a cloth leaves on glass.</source>
   <translation>Was ein Tuch auf Glas hinterlässt.</translation>
  </message>
  <message>
   <source>Ramp</source>
   <translation>Rampe</translation>
  </message>
  <message>
   <source>Rises from one side to the other, or from the middle outwards.</source>
   <translation>Steigt von einer Seite zur anderen oder von der Mitte nach außen.</translation>
  </message>
  <message>
   <source>Stripes and chevrons</source>
   <translation>Streifen und Winkel</translation>
  </message>
  <message>
   <source>Straight, leaning, or folded to arrows.</source>
   <translation>Gerade, geneigt oder zu Pfeilen gefaltet.</translation>
  </message>
  <message>
   <source>Edge wear</source>
   <translation>Kantenabrieb</translation>
  </message>
  <message>
   <source>Eats in from the border.</source>
   <translation>Frisst vom Rand hinein.</translation>
  </message>
  <message>
   <source>Threads over and under each other: cloth, a cargo net's straps.</source>
   <translation>Fäden über- und untereinander: Tuch, Gurte eines Ladenetzes.</translation>
  </message>
  <message>
   <source>Soft</source>
   <translation>Weich</translation>
  </message>
  <message>
   <source>Veins</source>
   <translation>Adern</translation>
  </message>
  <message>
   <source>Cracks</source>
   <translation>Risse</translation>
  </message>
  <message>
   <source>Plates</source>
   <translation>Platten</translation>
  </message>
  <message>
   <source>Downwards</source>
   <translation>Abwärts</translation>
  </message>
  <message>
   <source>To the right</source>
   <translation>Nach rechts</translation>
  </message>
  <message>
   <source>There and back</source>
   <translation>Hin und zurück</translation>
  </message>
  <message>
   <source>Outwards</source>
   <translation>Nach außen</translation>
  </message>
  <message>
   <source>Straight</source>
   <translation>Gerade</translation>
  </message>
  <message>
   <source>Chevrons</source>
   <translation>Winkel</translation>
  </message>
  <message>
   <source>Plain</source>
   <translation>Glatt</translation>
  </message>
  <message>
   <source>Twill</source>
   <translation>Köper</translation>
  </message>
  <message>
   <source>Ripples</source>
   <translation>Wellen</translation>
  </message>
  <message>
   <source>Into the shorter side.</source>
   <translation>Auf die kürzere Seite.</translation>
  </message>
  <message>
   <source>How far the hollows between ripples go down.</source>
   <translation>Wie tief die Mulden zwischen den Wellen gehen.</translation>
  </message>
  <message>
   <source>Bow</source>
   <translation>Bogen</translation>
  </message>
  <message>
   <source>How far a ripple's middle is ahead of its ends, in ripples.</source>
   <translation>Wie weit die Mitte einer Welle ihren Enden voraus ist, in Wellen.</translation>
  </message>
  <message>
   <source>Unevenness</source>
   <translation>Unregelmäßigkeit</translation>
  </message>
  <message>
   <source>Of the spacing and of the width.</source>
   <translation>Des Abstands und der Breite.</translation>
  </message>
  <message>
   <source>Torn threads that curl and thin out, or runs that end in a drop.</source>
   <translation>Gerissene Fäden, die sich kräuseln und dünner werden, oder Läufe, die in einem Tropfen enden.</translation>
  </message>
  <message>
   <source>Of the longest, as a share of the room below the line.</source>
   <translation>Der längsten, als Anteil des Platzes unter der Linie.</translation>
  </message>
  <message>
   <source>Curl</source>
   <translation>Kräuselung</translation>
  </message>
  <message>
   <source>How far they leave the plumb line.</source>
   <translation>Wie weit sie das Lot verlassen.</translation>
  </message>
  <message>
   <source>Weld</source>
   <translation>Schweißnaht</translation>
  </message>
  <message>
   <source>A bead of ripples, for a line to be followed.</source>
   <translation>Eine Raupe aus Wellen, die einer Linie folgt.</translation>
  </message>
  <message>
   <source>Threads and drips</source>
   <translation>Fäden und Tropfen</translation>
  </message>
  <message>
   <source>Hang from the middle down: from a torn edge, or a line that has run.</source>
   <translation>Hängen von der Mitte herab: von einer gerissenen Kante oder einer verlaufenen Linie.</translation>
  </message>
  <message>
   <source>Frayed threads</source>
   <translation>Ausgefranste Fäden</translation>
  </message>
  <message>
   <source>How many.</source>
   <translation>Wie viele.</translation>
  </message>
  <message>
   <source>Of the longest, as a share of the shorter side.</source>
   <translation>Der längsten, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Of the widest.</source>
   <translation>Der breitesten.</translation>
  </message>
  <message>
   <source>Which way most run; 0 is level.</source>
   <translation>Wohin die meisten laufen; 0 ist waagrecht.</translation>
  </message>
  <message>
   <source>Spread</source>
   <translation>Streuung</translation>
  </message>
  <message>
   <source>How far they stray from it; 90 is every way.</source>
   <translation>Wie weit sie davon abweichen; 90 ist überallhin.</translation>
  </message>
  <message>
   <source>Of the faintest against the deepest: 1 makes all alike.</source>
   <translation>Der blassesten gegen die tiefsten: 1 macht alle gleich.</translation>
  </message>
  <message>
   <source>Specks</source>
   <translation>Körner</translation>
  </message>
  <message>
   <source>How many grains.</source>
   <translation>Wie viele Körner.</translation>
  </message>
  <message>
   <source>Of the largest, as a share of the shorter side.</source>
   <translation>Des größten, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Fibres</source>
   <translation>Fasern</translation>
  </message>
  <message>
   <source>How many hairs among them.</source>
   <translation>Wie viele Haare dazwischen.</translation>
  </message>
  <message>
   <source>Film</source>
   <translation>Film</translation>
  </message>
  <message>
   <source>The haze that lies everywhere.</source>
   <translation>Der Schleier, der überall liegt.</translation>
  </message>
  <message>
   <source>Drops</source>
   <translation>Tropfen</translation>
  </message>
  <message>
   <source>Evenness</source>
   <translation>Gleichmaß</translation>
  </message>
  <message>
   <source>1 makes all as large as the largest.</source>
   <translation>1 macht alle so groß wie den größten.</translation>
  </message>
  <message>
   <source>Condensation</source>
   <translation>Beschlag</translation>
  </message>
  <message>
   <source>How many fine beads between them.</source>
   <translation>Wie viele feine Perlen dazwischen.</translation>
  </message>
  <message>
   <source>Tails</source>
   <translation>Schweife</translation>
  </message>
  <message>
   <source>How far drops have run down.</source>
   <translation>Wie weit Tropfen herabgelaufen sind.</translation>
  </message>
  <message>
   <source>How high they stand, or only where they are.</source>
   <translation>Wie hoch sie stehen, oder nur, wo sie sind.</translation>
  </message>
  <message>
   <source>Crystals across the shorter side.</source>
   <translation>Kristalle quer zur kürzeren Seite.</translation>
  </message>
  <message>
   <source>The share of the picture that is crusted.</source>
   <translation>Der Anteil des Bildes, der verkrustet ist.</translation>
  </message>
  <message>
   <source>Patches</source>
   <translation>Flecken</translation>
  </message>
  <message>
   <source>How many crusts across.</source>
   <translation>Wie viele Krusten quer.</translation>
  </message>
  <message>
   <source>How many runs.</source>
   <translation>Wie viele Läufer.</translation>
  </message>
  <message>
   <source>Of the widest where it begins.</source>
   <translation>Des breitesten, wo er beginnt.</translation>
  </message>
  <message>
   <source>Waviness</source>
   <translation>Welligkeit</translation>
  </message>
  <message>
   <source>Scratches</source>
   <translation>Kratzer</translation>
  </message>
  <message>
   <source>Fine lines, thin at both ends.</source>
   <translation>Feine Linien, an beiden Enden dünn.</translation>
  </message>
  <message>
   <source>Dust</source>
   <translation>Staub</translation>
  </message>
  <message>
   <source>Grains, hairs and a film.</source>
   <translation>Körner, Haare und ein Film.</translation>
  </message>
  <message>
   <source>Drops and the mist between them; with tails where they have run.</source>
   <translation>Tropfen und der Nebel dazwischen; mit Schweifen, wo sie liefen.</translation>
  </message>
  <message>
   <source>Salt crystals</source>
   <translation>Salzkristalle</translation>
  </message>
  <message>
   <source>A crust of facets, thinning out at its rims.</source>
   <translation>Eine Kruste von Facetten, am Rand dünner.</translation>
  </message>
  <message>
   <source>Run-off</source>
   <translation>Ablauf</translation>
  </message>
  <message>
   <source>Runs that pale downwards, as below a bolt.</source>
   <translation>Läufer, die nach unten verblassen, wie unter einem Bolzen.</translation>
  </message>
  <message>
   <source>Layout</source>
   <translation>Anordnung</translation>
  </message>
  <message>
   <source>Every second row moved, as in a honeycomb, or all in columns.</source>
   <translation>Jede zweite Reihe versetzt wie in einer Wabe, oder alle in Spalten.</translation>
  </message>
  <message>
   <source>Stagger</source>
   <translation>Versatz</translation>
  </message>
  <message>
   <source>How far every second row is moved, against the spacing.</source>
   <translation>Wie weit jede zweite Reihe versetzt ist, gegen den Abstand.</translation>
  </message>
  <message>
   <source>Holes</source>
   <translation>Löcher</translation>
  </message>
  <message>
   <source>Their shape.</source>
   <translation>Ihre Form.</translation>
  </message>
  <message>
   <source>Holes across</source>
   <translation>Löcher quer</translation>
  </message>
  <message>
   <source>Hole size</source>
   <translation>Lochgröße</translation>
  </message>
  <message>
   <source>Against the spacing.</source>
   <translation>Gegen den Abstand.</translation>
  </message>
  <message>
   <source>Slot height</source>
   <translation>Schlitzhöhe</translation>
  </message>
  <message>
   <source>Against its length.</source>
   <translation>Gegen seine Länge.</translation>
  </message>
  <message>
   <source>Corner</source>
   <translation>Ecke</translation>
  </message>
  <message>
   <source>Rounds the corners; 1 makes a square hole round.</source>
   <translation>Rundet die Ecken; 1 macht ein eckiges Loch rund.</translation>
  </message>
  <message>
   <source>Of the edge, against the spacing; 0 is as sharp as texels allow.</source>
   <translation>Des Randes, gegen den Abstand; 0 ist so scharf, wie Texel erlauben.</translation>
  </message>
  <message>
   <source>Plate instead of holes</source>
   <translation>Platte statt Löcher</translation>
  </message>
  <message>
   <source>Bright is the plate, dark the holes.</source>
   <translation>Hell ist die Platte, dunkel die Löcher.</translation>
  </message>
  <message>
   <source>Mesh</source>
   <translation>Netz</translation>
  </message>
  <message>
   <source>How its meshes stand.</source>
   <translation>Wie seine Maschen stehen.</translation>
  </message>
  <message>
   <source>Meshes</source>
   <translation>Maschen</translation>
  </message>
  <message>
   <source>Cord</source>
   <translation>Schnur</translation>
  </message>
  <message>
   <source>Its thickness against a mesh.</source>
   <translation>Ihre Dicke gegen eine Masche.</translation>
  </message>
  <message>
   <source>Knots</source>
   <translation>Knoten</translation>
  </message>
  <message>
   <source>How much thicker it is where cords cross.</source>
   <translation>Wie viel dicker es ist, wo Schnüre sich kreuzen.</translation>
  </message>
  <message>
   <source>How high the cords stand, or only where they are.</source>
   <translation>Wie hoch die Schnüre stehen, oder nur, wo sie sind.</translation>
  </message>
  <message>
   <source>Roses</source>
   <translation>Rosen</translation>
  </message>
  <message>
   <source>Petals</source>
   <translation>Blätter</translation>
  </message>
  <message>
   <source>Of each.</source>
   <translation>Von jeder.</translation>
  </message>
  <message>
   <source>Thread</source>
   <translation>Faden</translation>
  </message>
  <message>
   <source>Its thickness against a rose.</source>
   <translation>Seine Dicke gegen eine Rose.</translation>
  </message>
  <message>
   <source>Ground</source>
   <translation>Grund</translation>
  </message>
  <message>
   <source>Meshes of the net between, to a rose.</source>
   <translation>Maschen des Netzes dazwischen, je Rose.</translation>
  </message>
  <message>
   <source>Perforation</source>
   <translation>Lochung</translation>
  </message>
  <message>
   <source>Holes through a plate: a screen, a grille.</source>
   <translation>Löcher durch eine Platte: ein Sieb, ein Gitter.</translation>
  </message>
  <message>
   <source>Net</source>
   <translation>Netz</translation>
  </message>
  <message>
   <source>Cords with knots.</source>
   <translation>Schnüre mit Knoten.</translation>
  </message>
  <message>
   <source>Lace</source>
   <translation>Spitze</translation>
  </message>
  <message>
   <source>Roses in a ground of fine net.</source>
   <translation>Rosen in einem Grund aus feinem Netz.</translation>
  </message>
  <message>
   <source>Staggered</source>
   <translation>Versetzt</translation>
  </message>
  <message>
   <source>In columns</source>
   <translation>In Spalten</translation>
  </message>
  <message>
   <source>Round</source>
   <translation>Rund</translation>
  </message>
  <message>
   <source>Square</source>
   <translation>Eckig</translation>
  </message>
  <message>
   <source>Slots</source>
   <translation>Schlitze</translation>
  </message>
  <message>
   <source>On their points</source>
   <translation>Auf der Spitze</translation>
  </message>
  <message>
   <source>Layer “{name}”, {channels}: {e}</source>
   <translation>Ebene „{name}“, {channels}: {e}</translation>
  </message>
  <message>
   <source>Build of layers</source>
   <translation>Aufbau aus Ebenen</translation>
  </message>
  <message>
   <source>Lays a named build over the picture: glass that is dirty, decals that are worn.</source>
   <translation>Legt einen benannten Aufbau über das Bild: schmutziges Glas, abgenutzte Decals.</translation>
  </message>
  <message>
   <source>Clean pane</source>
   <translation>Saubere Scheibe</translation>
  </message>
  <message>
   <source>Build</source>
   <translation>Aufbau</translation>
  </message>
  <message>
   <source>Which build of layers is laid over the picture.</source>
   <translation>Welcher Aufbau aus Ebenen über das Bild gelegt wird.</translation>
  </message>
  <message>
   <source>Fades all of it.</source>
   <translation>Blendet alles davon aus.</translation>
  </message>
  <message>
   <source>a recipe has no other overlays.</source>
   <translation>ein Rezept hat keine anderen Overlays.</translation>
  </message>
  <message>
   <source>Tip</source>
   <translation>Spitze</translation>
  </message>
  <message>
   <source>What it is drawn with.</source>
   <translation>Womit gezeichnet wird.</translation>
  </message>
  <message>
   <source>Lies</source>
   <translation>Liegt</translation>
  </message>
  <message>
   <source>Across the line wherever it goes, or straight down from it, as what hangs or runs does.</source>
   <translation>Quer zur Linie, wohin sie auch geht, oder gerade von ihr herab, wie etwas, das hängt oder läuft.</translation>
  </message>
  <message>
   <source>Repeats after</source>
   <translation>Wiederholt nach</translation>
  </message>
  <message>
   <source>How long one tile of the pattern is, against the size.</source>
   <translation>Wie lang eine Kachel des Musters ist, im Verhältnis zur Größe.</translation>
  </message>
  <message>
   <source>Turned over</source>
   <translation>Umgewendet</translation>
  </message>
  <message>
   <source>What lies right of the line comes to lie left of it.</source>
   <translation>Was rechts der Linie liegt, kommt links von ihr zu liegen.</translation>
  </message>
  <message>
   <source>Stamp</source>
   <translation>Stempel</translation>
  </message>
  <message>
   <source>A picture; its luminance times its alpha is the tip.</source>
   <translation>Ein Bild; seine Luminanz mal sein Alpha ist die Spitze.</translation>
  </message>
  <message>
   <source>Across, as a share of the shorter side.</source>
   <translation>Im Durchmesser, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Spacing</source>
   <translation>Abstand</translation>
  </message>
  <message>
   <source>Between dabs, against the size.</source>
   <translation>Zwischen Tupfern, gegen die Größe.</translation>
  </message>
  <message>
   <source>Whether dabs keep their turn, differ, or follow the stroke.</source>
   <translation>Ob Tupfer ihre Drehung behalten, verschieden sind oder dem Strich folgen.</translation>
  </message>
  <message>
   <source>Scatter</source>
   <translation>Streuung</translation>
  </message>
  <message>
   <source>How far dabs stray, against the size.</source>
   <translation>Wie weit Tupfer abweichen, gegen die Größe.</translation>
  </message>
  <message>
   <source>Flow</source>
   <translation>Fluss</translation>
  </message>
  <message>
   <source>How much one dab leaves.</source>
   <translation>Wie viel ein Tupfer lässt.</translation>
  </message>
  <message>
   <source>The most that a stroke can leave.</source>
   <translation>Das meiste, was ein Strich lassen kann.</translation>
  </message>
  <message>
   <source>Builds up</source>
   <translation>Sammelt sich</translation>
  </message>
  <message>
   <source>Dabs of one stroke add up to more than its flow.</source>
   <translation>Tupfer eines Strichs ergeben mehr als seinen Fluss.</translation>
  </message>
  <message>
   <source>Pressure</source>
   <translation>Druck</translation>
  </message>
  <message>
   <source>What pressing harder does.</source>
   <translation>Was stärkeres Drücken bewirkt.</translation>
  </message>
  <message>
   <source>a point of a stroke lies nowhere</source>
   <translation>ein Punkt eines Strichs liegt nirgends</translation>
  </message>
  <message>
   <source>What follows the line; none: a weld.</source>
   <translation>Was der Linie folgt; nichts: eine Schweißnaht.</translation>
  </message>
  <message>
   <source>The points are the corners of an area that is filled.</source>
   <translation>Die Punkte sind die Ecken einer Fläche, die gefüllt wird.</translation>
  </message>
  <message>
   <source>A smooth line goes through the points; otherwise straight ones.</source>
   <translation>Durch die Punkte geht eine glatte Linie; sonst gerade.</translation>
  </message>
  <message>
   <source>By channel; of a mask, by “mask”.</source>
   <translation>Nach Kanal; bei einer Maske nach „mask“.</translation>
  </message>
  <message>
   <source>Added: light is added, what is there stays.</source>
   <translation>Addiert: Licht kommt hinzu, was da ist, bleibt.</translation>
  </message>
  <message>
   <source>Goes on at the other side.</source>
   <translation>Geht auf der anderen Seite weiter.</translation>
  </message>
  <message>
   <source>Painted on the other half as well.</source>
   <translation>Auch auf der anderen Hälfte gemalt.</translation>
  </message>
  <message>
   <source>It stays on these triangles of the mesh.</source>
   <translation>Es bleibt auf diesen Dreiecken des Netzes.</translation>
  </message>
  <message>
   <source>Painted on the surface of the mesh: places there instead of points of the picture.</source>
   <translation>Auf die Oberfläche des Netzes gemalt: Orte dort statt Punkten des Bildes.</translation>
  </message>
  <message>
   <source>The tip's size on the surface, in units of the mesh.</source>
   <translation>Größe der Spitze auf der Oberfläche, in Einheiten des Netzes.</translation>
  </message>
  <message>
   <source>Hard</source>
   <translation>Hart</translation>
  </message>
  <message>
   <source>Bristles</source>
   <translation>Borsten</translation>
  </message>
  <message>
   <source>Charcoal</source>
   <translation>Kohle</translation>
  </message>
  <message>
   <source>Splatter</source>
   <translation>Spritzen</translation>
  </message>
  <message>
   <source>A pattern along the line</source>
   <translation>Ein Muster entlang der Linie</translation>
  </message>
  <message>
   <source>Along the line</source>
   <translation>Entlang der Linie</translation>
  </message>
  <message>
   <source>Hanging down</source>
   <translation>Herabhängend</translation>
  </message>
  <message>
   <source>Kept</source>
   <translation>Gehalten</translation>
  </message>
  <message>
   <source>At random</source>
   <translation>Zufällig</translation>
  </message>
  <message>
   <source>Along the stroke</source>
   <translation>Entlang des Strichs</translation>
  </message>
  <message>
   <source>Size and flow</source>
   <translation>Größe und Fluss</translation>
  </message>
  <message>
   <source>Nothing</source>
   <translation>Nichts</translation>
  </message>
  <message>
   <source>the base</source>
   <translation>der Grund</translation>
  </message>
  <message>
   <source>Plume</source>
   <translation>Fahne</translation>
  </message>
  <message>
   <source>Puff</source>
   <translation>Wölkchen</translation>
  </message>
  <message>
   <source>Low</source>
   <translation>Unten</translation>
  </message>
  <message>
   <source>Near</source>
   <translation>Nah</translation>
  </message>
  <message>
   <source>Figure</source>
   <translation>Figur</translation>
  </message>
  <message>
   <source>Mark</source>
   <translation>Marke</translation>
  </message>
  <message>
   <source>Logo</source>
   <translation>Logo</translation>
  </message>
  <message>
   <source>Smoke</source>
   <translation>Rauch</translation>
  </message>
  <message>
   <source>Example</source>
   <translation>Beispiel</translation>
  </message>
  <message>
   <source>Behind</source>
   <translation>Dahinter</translation>
  </message>
  <message>
   <source>None</source>
   <translation>Keine</translation>
  </message>
  <message>
   <source>Fade</source>
   <translation>Ausblenden</translation>
  </message>
  <message>
   <source>Erode</source>
   <translation>Abtragen</translation>
  </message>
  <message>
   <source>Erode, soft</source>
   <translation>Abtragen, weich</translation>
  </message>
  <message>
   <source>Erosion</source>
   <translation>Erosion</translation>
  </message>
  <message>
   <source>How it wears away: evenly, or its faintest parts first.</source>
   <translation>Wie es sich abträgt: gleichmäßig, oder das Blasseste zuerst.</translation>
  </message>
  <message>
   <source>Erosion amount</source>
   <translation>Erosionsgrad</translation>
  </message>
  <message>
   <source>How far it has worn away; all of it at 1.</source>
   <translation>Wie weit es abgetragen ist; bei 1 alles.</translation>
  </message>
  <message>
   <source>Width of the edge that is left, in alpha.</source>
   <translation>Breite des Rands, der bleibt, in Alpha.</translation>
  </message>
  <message>
   <source>Driven by</source>
   <translation>Folgt</translation>
  </message>
  <message>
   <source>The slider; the tint's alpha: opacity then wears it away instead of fading it; or the life of each particle.</source>
   <translation>Dem Schieber; dem Alpha der Tönung: Deckkraft trägt dann ab statt auszublenden; oder dem Leben jedes Teilchens.</translation>
  </message>
  <message>
   <source>Two tones</source>
   <translation>Zwei Töne</translation>
  </message>
  <message>
   <source>One colour where a channel lies above a threshold, another below it.</source>
   <translation>Eine Farbe, wo ein Kanal über einer Schwelle liegt, eine andere darunter.</translation>
  </message>
  <message>
   <source>Channel</source>
   <translation>Kanal</translation>
  </message>
  <message>
   <source>Which channel decides.</source>
   <translation>Welcher Kanal entscheidet.</translation>
  </message>
  <message>
   <source>Threshold</source>
   <translation>Schwelle</translation>
  </message>
  <message>
   <source>Where the one colour ends and the other begins, as a display value.</source>
   <translation>Wo die eine Farbe endet und die andere beginnt, als Anzeigewert.</translation>
  </message>
  <message>
   <source>Band</source>
   <translation>Band</translation>
  </message>
  <message>
   <source>Width of the band between.</source>
   <translation>Breite des Bands dazwischen.</translation>
  </message>
  <message>
   <source>Above</source>
   <translation>Darüber</translation>
  </message>
  <message>
   <source>Colour where the channel is above.</source>
   <translation>Farbe, wo der Kanal darüber liegt.</translation>
  </message>
  <message>
   <source>Below</source>
   <translation>Darunter</translation>
  </message>
  <message>
   <source>Colour where the channel is below.</source>
   <translation>Farbe, wo der Kanal darunter liegt.</translation>
  </message>
  <message>
   <source>Recolour</source>
   <translation>Umfärben</translation>
  </message>
  <message>
   <source>Each channel of the picture gets a colour of its own; they are added up.</source>
   <translation>Jeder Kanal des Bilds bekommt eine eigene Farbe; sie werden addiert.</translation>
  </message>
  <message>
   <source>Red as</source>
   <translation>Rot als</translation>
  </message>
  <message>
   <source>Colour of the red channel.</source>
   <translation>Farbe des roten Kanals.</translation>
  </message>
  <message>
   <source>Green as</source>
   <translation>Grün als</translation>
  </message>
  <message>
   <source>Colour of the green channel.</source>
   <translation>Farbe des grünen Kanals.</translation>
  </message>
  <message>
   <source>Blue as</source>
   <translation>Blau als</translation>
  </message>
  <message>
   <source>Colour of the blue channel.</source>
   <translation>Farbe des blauen Kanals.</translation>
  </message>
  <message>
   <source>How far a scrolling noise bends the picture, as a share of it; 0: not.</source>
   <translation>Wie weit ein laufendes Rauschen das Bild verbiegt, als Anteil davon; 0: nicht.</translation>
  </message>
  <message>
   <source>How often the noise goes into the picture.</source>
   <translation>Wie oft das Rauschen ins Bild geht.</translation>
  </message>
  <message>
   <source>Speed right</source>
   <translation>Tempo rechts</translation>
  </message>
  <message>
   <source>Features a second that the noise scrolls to the right.</source>
   <translation>Merkmale in der Sekunde, um die das Rauschen nach rechts läuft.</translation>
  </message>
  <message>
   <source>Speed up</source>
   <translation>Tempo aufwärts</translation>
  </message>
  <message>
   <source>Features a second that the noise scrolls upwards.</source>
   <translation>Merkmale in der Sekunde, um die das Rauschen nach oben läuft.</translation>
  </message>
  <message>
   <source>Moment</source>
   <translation>Moment</translation>
  </message>
  <message>
   <source>Second of the movement that is shown.</source>
   <translation>Sekunde der Bewegung, die zu sehen ist.</translation>
  </message>
  <message>
   <source>Fixed edge</source>
   <translation>Fester Rand</translation>
  </message>
  <message>
   <source>An edge where nothing is bent: a flame stays on its nozzle.</source>
   <translation>Ein Rand, an dem nichts verbogen wird: eine Flamme bleibt auf ihrer Düse.</translation>
  </message>
  <message>
   <source>Each its own</source>
   <translation>Jedes für sich</translation>
  </message>
  <message>
   <source>Every placement has a noise of its own.</source>
   <translation>Jede Platzierung hat ihr eigenes Rauschen.</translation>
  </message>
  <message>
   <source>Halo</source>
   <translation>Halo</translation>
  </message>
  <message>
   <source>Light from a channel of the picture, added; 0: none.</source>
   <translation>Licht aus einem Kanal des Bilds, addiert; 0: keins.</translation>
  </message>
  <message>
   <source>Which channel glows.</source>
   <translation>Welcher Kanal leuchtet.</translation>
  </message>
  <message>
   <source>Halo colour</source>
   <translation>Halofarbe</translation>
  </message>
  <message>
   <source>Colour of that light.</source>
   <translation>Farbe dieses Lichts.</translation>
  </message>
  <message>
   <source>Glass</source>
   <translation>Glas</translation>
  </message>
  <message>
   <source>Its edges cover more and mirror more than its face, by the angle of view.</source>
   <translation>Seine Ränder decken und spiegeln mehr als seine Fläche, je nach Blickwinkel.</translation>
  </message>
  <message>
   <source>Index</source>
   <translation>Index</translation>
  </message>
  <message>
   <source>Index of refraction: window glass 1.52, water 1.33.</source>
   <translation>Brechungsindex: Fensterglas 1,52, Wasser 1,33.</translation>
  </message>
  <message>
   <source>Index at the edge</source>
   <translation>Index am Rand</translation>
  </message>
  <message>
   <source>Index of refraction where it is seen at a grazing angle.</source>
   <translation>Brechungsindex, wo es streifend gesehen wird.</translation>
  </message>
  <message>
   <source>Edge opacity</source>
   <translation>Randdeckkraft</translation>
  </message>
  <message>
   <source>Opacity at a grazing angle; the face keeps its own.</source>
   <translation>Deckkraft bei streifendem Blick; die Fläche behält ihre.</translation>
  </message>
  <message>
   <source>Edge colour</source>
   <translation>Randfarbe</translation>
  </message>
  <message>
   <source>Colour at a grazing angle.</source>
   <translation>Farbe bei streifendem Blick.</translation>
  </message>
  <message>
   <source>How far light goes through it, bent, before it sees what lies behind; 0: straight on.</source>
   <translation>Wie weit Licht gebrochen hindurchgeht, ehe es sieht, was dahinter liegt; 0: geradeaus.</translation>
  </message>
  <message>
   <source>Body</source>
   <translation>Körper</translation>
  </message>
  <message>
   <source>A thin pane has two faces and lets light go on as it came; in a solid body it stays bent.</source>
   <translation>Eine dünne Scheibe hat zwei Flächen und lässt Licht weitergehen, wie es kam; in einem massiven Körper bleibt es gebrochen.</translation>
  </message>
  <message>
   <source>Frosted</source>
   <translation>Mattiert</translation>
  </message>
  <message>
   <source>Blurs what lies behind, by its roughness.</source>
   <translation>Macht unscharf, was dahinter liegt, nach seiner Rauheit.</translation>
  </message>
  <message>
   <source>Edge coloured</source>
   <translation>Rand gefärbt</translation>
  </message>
  <message>
   <source>How far the edge takes that colour.</source>
   <translation>Wie weit der Rand diese Farbe annimmt.</translation>
  </message>
  <message>
   <source>Contact fade</source>
   <translation>Weicher Kontakt</translation>
  </message>
  <message>
   <source>Fades over this distance before it meets something solid: no hard line where smoke meets the floor; 0: not.</source>
   <translation>Blendet über diese Strecke aus, ehe es Festes trifft: keine harte Linie, wo Rauch den Boden trifft; 0: nicht.</translation>
  </message>
  <message>
   <source>Break-up</source>
   <translation>Aufgebrochen</translation>
  </message>
  <message>
   <source>How much of it a noise or a picture eats away: all that lies below this; 0: nothing, 1: all.</source>
   <translation>Wie viel davon ein Rauschen oder Bild wegfrisst: alles, was darunter liegt; 0: nichts, 1: alles.</translation>
  </message>
  <message>
   <source>Edge</source>
   <translation>Rand</translation>
  </message>
  <message>
   <source>Width of the edges that it eats.</source>
   <translation>Breite der Ränder, die es frisst.</translation>
  </message>
  <message>
   <source>Another number, another noise.</source>
   <translation>Eine andere Zahl, ein anderes Rauschen.</translation>
  </message>
  <message>
   <source>Colour of it</source>
   <translation>Seine Farbe</translation>
  </message>
  <message>
   <source>How far the surface takes the decal's colour.</source>
   <translation>Wie weit die Fläche die Farbe des Decals annimmt.</translation>
  </message>
  <message>
   <source>Gloss of it</source>
   <translation>Sein Glanz</translation>
  </message>
  <message>
   <source>How far the surface takes the decal's roughness and metal.</source>
   <translation>Wie weit die Fläche Rauheit und Metall des Decals annimmt.</translation>
  </message>
  <message>
   <source>Bumps of it</source>
   <translation>Seine Beulen</translation>
  </message>
  <message>
   <source>How far the surface takes the decal's normals.</source>
   <translation>Wie weit die Fläche die Normalen des Decals annimmt.</translation>
  </message>
  <message>
   <source>Glow of it</source>
   <translation>Sein Leuchten</translation>
  </message>
  <message>
   <source>How much of the decal's own light the surface gives off.</source>
   <translation>Wie viel vom eigenen Licht des Decals die Fläche abgibt.</translation>
  </message>
  <message>
   <source>Raised</source>
   <translation>Erhaben</translation>
  </message>
  <message>
   <source>Its alpha stands out of the surface, or lies sunk in it below 0.</source>
   <translation>Sein Alpha steht aus der Fläche heraus oder liegt unter 0 darin versenkt.</translation>
  </message>
  <message>
   <source>Dots</source>
   <translation>Punkte</translation>
  </message>
  <message>
   <source>An ordered matrix on the screen, or a hash anchored to the surface, which stays with it.</source>
   <translation>Eine geordnete Matrix auf dem Schirm oder ein Hash, der an der Fläche haftet.</translation>
  </message>
  <message>
   <source>Break-up mask</source>
   <translation>Maske des Aufbrechens</translation>
  </message>
  <message>
   <source>A channel of any picture or overlay, its dark parts first; a number: a noise.</source>
   <translation>Ein Kanal eines Bilds oder Overlays, das Dunkle zuerst; eine Zahl: ein Rauschen.</translation>
  </message>
  <message>
   <source>Slider</source>
   <translation>Schieber</translation>
  </message>
  <message>
   <source>Tint's alpha</source>
   <translation>Alpha der Tönung</translation>
  </message>
  <message>
   <source>A particle's life</source>
   <translation>Leben eines Teilchens</translation>
  </message>
  <message>
   <source>Top</source>
   <translation>Oben</translation>
  </message>
  <message>
   <source>Bottom</source>
   <translation>Unten</translation>
  </message>
  <message>
   <source>Thin pane</source>
   <translation>Dünne Scheibe</translation>
  </message>
  <message>
   <source>Solid body</source>
   <translation>Massiver Körper</translation>
  </message>
  <message>
   <source>Screen matrix</source>
   <translation>Schirmmatrix</translation>
  </message>
  <message>
   <source>Surface hash</source>
   <translation>Flächenhash</translation>
  </message>
  <message>
   <source>Whole object</source>
   <translation>Ganzes Objekt</translation>
  </message>
  <message>
   <source>Nearest point</source>
   <translation>Nächster Punkt</translation>
  </message>
  <message>
   <source>Each placement</source>
   <translation>Jede Platzierung</translation>
  </message>
  <message>
   <source>Each triangle</source>
   <translation>Jedes Dreieck</translation>
  </message>
  <message>
   <source>How steep bumps are; below zero they are dents.</source>
   <translation>Wie steil Beulen sind; unter null sind es Dellen.</translation>
  </message>
  <message>
   <source>Which way the normal map's second channel counts; the wrong one turns bumps into dents.</source>
   <translation>Wohin der zweite Kanal der Normalenkarte zählt; der falsche macht Beulen zu Dellen.</translation>
  </message>
  <message>
   <source>Light that the surface gives off by itself, unlike a tint also in the dark.</source>
   <translation>Licht, das die Fläche selbst abgibt, anders als eine Tönung auch im Dunkeln.</translation>
  </message>
  <message>
   <source>Glow colour</source>
   <translation>Leuchtfarbe</translation>
  </message>
  <message>
   <source>Which of the mesh's UV sets is read.</source>
   <translation>Welches UV-Set des Netzes gelesen wird.</translation>
  </message>
  <message>
   <source>How often the picture goes into the surface.</source>
   <translation>Wie oft das Bild auf die Fläche geht.</translation>
  </message>
  <message>
   <source>Moves the picture over the surface, as a share of its width.</source>
   <translation>Schiebt das Bild über die Fläche, als Anteil der Breite.</translation>
  </message>
  <message>
   <source>Moves the picture over the surface, as a share of its height.</source>
   <translation>Schiebt das Bild über die Fläche, als Anteil der Höhe.</translation>
  </message>
  <message>
   <source>Turns the picture round its middle.</source>
   <translation>Dreht das Bild um seine Mitte.</translation>
  </message>
  <message>
   <source>How the overlay meets what lies behind it.</source>
   <translation>Wie das Overlay trifft, was dahinter liegt.</translation>
  </message>
  <message>
   <source>Cutoff</source>
   <translation>Schwelle</translation>
  </message>
  <message>
   <source>Cutout keeps texels from this alpha on; lower closes holes, higher opens them.</source>
   <translation>Cutout behält Texel ab diesem Alpha; kleiner schließt Löcher, größer öffnet sie.</translation>
  </message>
  <message>
   <source>Multiplies alpha: fades the whole overlay.</source>
   <translation>Nimmt Alpha mal: blendet das ganze Overlay aus.</translation>
  </message>
  <message>
   <source>Tint</source>
   <translation>Tönung</translation>
  </message>
  <message>
   <source>Multiplies colour in linear light; white leaves it alone.</source>
   <translation>Nimmt Farbe in linearem Licht mal; Weiß lässt sie.</translation>
  </message>
  <message>
   <source>Takes particles' tint</source>
   <translation>Nimmt Teilchentönung</translation>
  </message>
  <message>
   <source>Colours that an effect gives its particles multiply its own; off: they change nothing, as in a material without vertex colour.</source>
   <translation>Farben, die ein Effekt seinen Teilchen gibt, nehmen die eigene mal; aus: sie bewirken nichts, wie in einem Material ohne Eckenfarbe.</translation>
  </message>
  <message>
   <source>Lit by the dock</source>
   <translation>Licht des Docks</translation>
  </message>
  <message>
   <source>Light and shadow fall on it as on the surfaces around it; off for things that shine by themselves.</source>
   <translation>Licht und Schatten fallen darauf wie auf die Flächen ringsum; aus für das, was von selbst leuchtet.</translation>
  </message>
  <message>
   <source>Depth test</source>
   <translation>Tiefentest</translation>
  </message>
  <message>
   <source>Hidden by nearer surfaces; off draws through them.</source>
   <translation>Von näheren Flächen verdeckt; aus zeichnet hindurch.</translation>
  </message>
  <message>
   <source>Depth write</source>
   <translation>Tiefe schreiben</translation>
  </message>
  <message>
   <source>Hides what is drawn later behind it, even through its clear parts.</source>
   <translation>Verdeckt, was später dahinter gezeichnet wird, auch durch seine klaren Teile.</translation>
  </message>
  <message>
   <source>Depth bias</source>
   <translation>Tiefenversatz</translation>
  </message>
  <message>
   <source>Moves it towards the eye for the depth test only; keeps a decal from flickering into its surface.</source>
   <translation>Rückt es nur für den Tiefentest zum Auge; ein Decal flackert dann nicht in seine Fläche.</translation>
  </message>
  <message>
   <source>Depth first</source>
   <translation>Tiefe zuerst</translation>
  </message>
  <message>
   <source>Its depth is laid before its colour, so that of a see-through figure only the nearest surface shows, never one through another.</source>
   <translation>Seine Tiefe wird vor seiner Farbe gelegt, sodass von einer durchsichtigen Figur nur die nächste Fläche zu sehen ist, nie eine durch die andere.</translation>
  </message>
  <message>
   <source>Slope bias</source>
   <translation>Schrägversatz</translation>
  </message>
  <message>
   <source>The same, by how it leans: so many times its change of depth from pixel to pixel.</source>
   <translation>Dasselbe nach der Neigung: so viele Male die Änderung der Tiefe von Pixel zu Pixel.</translation>
  </message>
  <message>
   <source>Both faces</source>
   <translation>Beide Seiten</translation>
  </message>
  <message>
   <source>Seen from behind as well.</source>
   <translation>Auch von hinten zu sehen.</translation>
  </message>
  <message>
   <source>Back ones first</source>
   <translation>Hintere zuerst</translation>
  </message>
  <message>
   <source>Faces seen from behind are drawn before the others: right for closed see-through things such as a bottle.</source>
   <translation>Flächen, die von hinten gesehen werden, kommen vor den anderen: richtig für geschlossene durchsichtige Dinge wie eine Flasche.</translation>
  </message>
  <message>
   <source>Distance by</source>
   <translation>Abstand nach</translation>
  </message>
  <message>
   <source>What counts as its distance where the order goes from far to near.</source>
   <translation>Was als Abstand zählt, wo die Reihenfolge von fern nach nah geht.</translation>
  </message>
  <message>
   <source>Groups are drawn in this order, whatever the distance.</source>
   <translation>Gruppen werden in dieser Reihenfolge gezeichnet, gleich wie weit sie sind.</translation>
  </message>
  <message>
   <source>Within its group: higher is drawn later, over the others.</source>
   <translation>In seiner Gruppe: höher wird später gezeichnet, über den anderen.</translation>
  </message>
  <message>
   <source>Repeat</source>
   <translation>Wiederholen</translation>
  </message>
  <message>
   <source>Beyond its border the texture repeats; off holds the border texel.</source>
   <translation>Jenseits des Rands wiederholt sich die Textur; aus hält den Randtexel.</translation>
  </message>
  <message>
   <source>Settings that the artist set by hand although they are the usual ones of the present blend.</source>
   <translation>Einstellungen, die von Hand gesetzt wurden, obwohl sie die üblichen der jetzigen Mischung sind.</translation>
  </message>
  <message>
   <source>First</source>
   <translation>Erstes</translation>
  </message>
  <message>
   <source>Second</source>
   <translation>Zweites</translation>
  </message>
  <message>
   <source>Decal</source>
   <translation>Decal</translation>
  </message>
  <message>
   <source>A number</source>
   <translation>Eine Zahl</translation>
  </message>
  <message>
   <source>Own picture</source>
   <translation>Eigenes Bild</translation>
  </message>
  <message>
   <source>An overlay</source>
   <translation>Ein Overlay</translation>
  </message>
  <message>
   <source>A number for the whole surface, or a channel that varies over it.</source>
   <translation>Eine Zahl für die ganze Fläche, oder ein Kanal, der über sie hin wechselt.</translation>
  </message>
  <message>
   <source>Which channel is read.</source>
   <translation>Welcher Kanal gelesen wird.</translation>
  </message>
  <message>
   <source>One minus the channel: smoothness read as roughness, say.</source>
   <translation>Eins minus der Kanal: Glätte als Rauheit gelesen etwa.</translation>
  </message>
  <message>
   <source>The number; a channel is multiplied by it.</source>
   <translation>Die Zahl; ein Kanal wird mit ihr malgenommen.</translation>
  </message>
  <message>
   <source>Overlay</source>
   <translation>Overlay</translation>
  </message>
  <message>
   <source>The overlay whose result is read.</source>
   <translation>Das Overlay, dessen Ergebnis gelesen wird.</translation>
  </message>
  <message>
   <source>Relative to the project file, or absolute.</source>
   <translation>Relativ zur Projektdatei oder absolut.</translation>
  </message>
  <message>
   <source>Until then {count:,} particles would be born; {furthest:,} are followed at most.</source>
   <translation>Bis dahin würden {count} Teilchen geboren; höchstens {furthest} werden verfolgt.</translation>
  </message>
  <message>
   <source>the points of a curve must rise from 0 to 1</source>
   <translation>die Punkte einer Kurve müssen von 0 bis 1 steigen</translation>
  </message>
  <message>
   <source>Smooth between the points, or straight.</source>
   <translation>Glatt zwischen den Punkten oder gerade.</translation>
  </message>
  <message>
   <source>a curve has 1 to {most_points} points</source>
   <translation>eine Kurve hat 1 bis {most_points} Punkte</translation>
  </message>
  <message>
   <source>the values of a curve lie between −{largest:g} and {largest:g}</source>
   <translation>die Werte einer Kurve liegen zwischen −{largest} und {largest}</translation>
  </message>
  <message>
   <source>the stops of a ramp must rise</source>
   <translation>die Stopps eines Verlaufs müssen steigen</translation>
  </message>
  <message>
   <source>a ramp has 1 to {most_points} stops</source>
   <translation>ein Verlauf hat 1 bis {most_points} Stopps</translation>
  </message>
  <message>
   <source>Point</source>
   <translation>Punkt</translation>
  </message>
  <message>
   <source>Sphere</source>
   <translation>Kugel</translation>
  </message>
  <message>
   <source>Half sphere</source>
   <translation>Halbkugel</translation>
  </message>
  <message>
   <source>Disc</source>
   <translation>Scheibe</translation>
  </message>
  <message>
   <source>Ring</source>
   <translation>Ring</translation>
  </message>
  <message>
   <source>Box</source>
   <translation>Quader</translation>
  </message>
  <message>
   <source>Line</source>
   <translation>Linie</translation>
  </message>
  <message>
   <source>A mesh's surface</source>
   <translation>Fläche eines Netzes</translation>
  </message>
  <message>
   <source>m/s</source>
   <translation>m/s</translation>
  </message>
  <message>
   <source>°/s</source>
   <translation>°/s</translation>
  </message>
  <message>
   <source>Rate</source>
   <translation>Rate</translation>
  </message>
  <message>
   <source>Particles a second.</source>
   <translation>Teilchen in der Sekunde.</translation>
  </message>
  <message>
   <source>Runs</source>
   <translation>Läuft</translation>
  </message>
  <message>
   <source>How often it goes through its duration.</source>
   <translation>Wie oft es seine Dauer durchläuft.</translation>
  </message>
  <message>
   <source>Times</source>
   <translation>Male</translation>
  </message>
  <message>
   <source>Duration</source>
   <translation>Dauer</translation>
  </message>
  <message>
   <source>Seconds of a run.</source>
   <translation>Sekunden eines Laufs.</translation>
  </message>
  <message>
   <source>Delay</source>
   <translation>Verzug</translation>
  </message>
  <message>
   <source>Seconds before the first run.</source>
   <translation>Sekunden vor dem ersten Lauf.</translation>
  </message>
  <message>
   <source>At most</source>
   <translation>Höchstens</translation>
  </message>
  <message>
   <source>Particles that may live at once; while there are so many, none is born.</source>
   <translation>Teilchen, die zugleich leben dürfen; solange es so viele sind, wird keins geboren.</translation>
  </message>
  <message>
   <source>Runs already</source>
   <translation>Läuft schon</translation>
  </message>
  <message>
   <source>At the beginning it is as though it had been running for long.</source>
   <translation>Am Anfang ist es, als liefe es schon lange.</translation>
  </message>
  <message>
   <source>Born in</source>
   <translation>Geboren in</translation>
  </message>
  <message>
   <source>Where particles are born.</source>
   <translation>Wo Teilchen geboren werden.</translation>
  </message>
  <message>
   <source>Surface only</source>
   <translation>Nur Oberfläche</translation>
  </message>
  <message>
   <source>Born on its surface, not inside.</source>
   <translation>Auf der Oberfläche geboren, nicht innen.</translation>
  </message>
  <message>
   <source>Which way particles set out.</source>
   <translation>Wohin Teilchen aufbrechen.</translation>
  </message>
  <message>
   <source>Cone</source>
   <translation>Kegel</translation>
  </message>
  <message>
   <source>Degrees from the axis.</source>
   <translation>Grad von der Achse.</translation>
  </message>
  <message>
   <source>Life</source>
   <translation>Leben</translation>
  </message>
  <message>
   <source>Seconds.</source>
   <translation>Sekunden.</translation>
  </message>
  <message>
   <source>Metres.</source>
   <translation>Meter.</translation>
  </message>
  <message>
   <source>Speed</source>
   <translation>Tempo</translation>
  </message>
  <message>
   <source>Turn</source>
   <translation>Drehung</translation>
  </message>
  <message>
   <source>Degrees in its own plane.</source>
   <translation>Grad in der eigenen Ebene.</translation>
  </message>
  <message>
   <source>Spin</source>
   <translation>Drall</translation>
  </message>
  <message>
   <source>Degrees a second.</source>
   <translation>Grad in der Sekunde.</translation>
  </message>
  <message>
   <source>Multiplies alpha.</source>
   <translation>Nimmt Alpha mal.</translation>
  </message>
  <message>
   <source>Which frame of a sheet it shows.</source>
   <translation>Welches Bild eines Bogens es zeigt.</translation>
  </message>
  <message>
   <source>Gravity</source>
   <translation>Schwerkraft</translation>
  </message>
  <message>
   <source>Share of the earth's that pulls it down; below 0 it rises.</source>
   <translation>Anteil der Erdschwere, die es hinabzieht; unter 0 steigt es.</translation>
  </message>
  <message>
   <source>Drag</source>
   <translation>Widerstand</translation>
  </message>
  <message>
   <source>Share of its speed that it loses, each second.</source>
   <translation>Anteil des Tempos, den es verliert, jede Sekunde.</translation>
  </message>
  <message>
   <source>Speed limit</source>
   <translation>Höchsttempo</translation>
  </message>
  <message>
   <source>Never quicker than this; 0: as it comes.</source>
   <translation>Nie schneller als das; 0: wie es kommt.</translation>
  </message>
  <message>
   <source>Degrees a second round the effect's axis.</source>
   <translation>Grad in der Sekunde um die Achse des Effekts.</translation>
  </message>
  <message>
   <source>Drift</source>
   <translation>Drift</translation>
  </message>
  <message>
   <source>Carried about by a noise, at most so quickly.</source>
   <translation>Von einem Rauschen umhergetragen, höchstens so schnell.</translation>
  </message>
  <message>
   <source>Drift's features</source>
   <translation>Drift: Merkmale</translation>
  </message>
  <message>
   <source>To a metre.</source>
   <translation>Je Meter.</translation>
  </message>
  <message>
   <source>Drift's change</source>
   <translation>Drift: Wandel</translation>
  </message>
  <message>
   <source>How quickly the noise changes.</source>
   <translation>Wie schnell das Rauschen sich ändert.</translation>
  </message>
  <message>
   <source>Wind</source>
   <translation>Wind</translation>
  </message>
  <message>
   <source>How quickly it takes on the wind of the stage; 0: not.</source>
   <translation>Wie schnell es den Wind der Bühne annimmt; 0: nicht.</translation>
  </message>
  <message>
   <source>At solids</source>
   <translation>An Festem</translation>
  </message>
  <message>
   <source>What it does where it meets something solid.</source>
   <translation>Was es tut, wo es Festes trifft.</translation>
  </message>
  <message>
   <source>Bounce</source>
   <translation>Abprall</translation>
  </message>
  <message>
   <source>Share of its speed that it comes back with.</source>
   <translation>Anteil des Tempos, mit dem es zurückkommt.</translation>
  </message>
  <message>
   <source>Friction</source>
   <translation>Reibung</translation>
  </message>
  <message>
   <source>Share of its speed along the surface that it loses.</source>
   <translation>Anteil des Tempos entlang der Fläche, den es verliert.</translation>
  </message>
  <message>
   <source>How each stands.</source>
   <translation>Wie jedes steht.</translation>
  </message>
  <message>
   <source>Stretched by</source>
   <translation>Gestreckt um</translation>
  </message>
  <message>
   <source>Metres longer for each metre a second.</source>
   <translation>Meter länger je Meter in der Sekunde.</translation>
  </message>
  <message>
   <source>Yaw</source>
   <translation>Gieren</translation>
  </message>
  <message>
   <source>Which way fixed ones face.</source>
   <translation>Wohin feste schauen.</translation>
  </message>
  <message>
   <source>Pitch</source>
   <translation>Nicken</translation>
  </message>
  <message>
   <source>Forces</source>
   <translation>Kräfte</translation>
  </message>
  <message>
   <source>Gravity, acceleration and swirl in the world's axes, or in the effect's own.</source>
   <translation>Schwerkraft, Beschleunigung und Wirbel in den Achsen der Welt oder des Effekts.</translation>
  </message>
  <message>
   <source>Drawn</source>
   <translation>Gezeichnet</translation>
  </message>
  <message>
   <source>Which particles come first: one by one among all of the same group and nudge, or this part's by themselves.</source>
   <translation>Welche Teilchen zuerst kommen: einzeln unter allen derselben Gruppe und desselben Rangs, oder die dieses Teils unter sich.</translation>
  </message>
  <message>
   <source>Among the effect's parts and everything else: higher is drawn later.</source>
   <translation>Unter den Teilen des Effekts und allem anderen: höher wird später gezeichnet.</translation>
  </message>
  <message>
   <source>Lamp</source>
   <translation>Lampe</translation>
  </message>
  <message>
   <source>A light in the effect, which falls on the solids round it.</source>
   <translation>Ein Licht im Effekt, das auf das Feste ringsum fällt.</translation>
  </message>
  <message>
   <source>Lamp's colour</source>
   <translation>Lampenfarbe</translation>
  </message>
  <message>
   <source>Colour of its light.</source>
   <translation>Farbe ihres Lichts.</translation>
  </message>
  <message>
   <source>Lamp's strength</source>
   <translation>Lampenstärke</translation>
  </message>
  <message>
   <source>Brightness at one metre.</source>
   <translation>Helligkeit in einem Meter.</translation>
  </message>
  <message>
   <source>Lamp's reach</source>
   <translation>Lampenweite</translation>
  </message>
  <message>
   <source>Metres after which nothing of it is left.</source>
   <translation>Meter, nach denen nichts mehr davon da ist.</translation>
  </message>
  <message>
   <source>Flicker</source>
   <translation>Flackern</translation>
  </message>
  <message>
   <source>Share of its strength that comes and goes.</source>
   <translation>Anteil der Stärke, der kommt und geht.</translation>
  </message>
  <message>
   <source>Flickers</source>
   <translation>Flackert</translation>
  </message>
  <message>
   <source>How quickly it flickers.</source>
   <translation>Wie schnell sie flackert.</translation>
  </message>
  <message>
   <source>Lamp above</source>
   <translation>Lampe über</translation>
  </message>
  <message>
   <source>Metres along the effect's axis.</source>
   <translation>Meter entlang der Achse des Effekts.</translation>
  </message>
  <message>
   <source>Moves</source>
   <translation>Bewegt sich</translation>
  </message>
  <message>
   <source>Where particles are born moves along; trails stay behind, as from a lamp that swings or a boat that circles.</source>
   <translation>Wo Teilchen entstehen, bewegt sich mit; Spuren bleiben zurück, wie von einer schwingenden Lampe oder einem kreisenden Boot.</translation>
  </message>
  <message>
   <source>Moves across</source>
   <translation>Weg quer</translation>
  </message>
  <message>
   <source>To either side.</source>
   <translation>Nach jeder Seite.</translation>
  </message>
  <message>
   <source>Moves along</source>
   <translation>Weg längs</translation>
  </message>
  <message>
   <source>Along its axis, either way.</source>
   <translation>Entlang seiner Achse, hin und her.</translation>
  </message>
  <message>
   <source>Moves in depth</source>
   <translation>Weg in die Tiefe</translation>
  </message>
  <message>
   <source>Before and behind.</source>
   <translation>Davor und dahinter.</translation>
  </message>
  <message>
   <source>Period</source>
   <translation>Periode</translation>
  </message>
  <message>
   <source>Once to and fro, or once round.</source>
   <translation>Einmal hin und her, oder einmal herum.</translation>
  </message>
  <message>
   <source>Turning</source>
   <translation>Drehung</translation>
  </message>
  <message>
   <source>About its axis, as a screw does.</source>
   <translation>Um seine Achse, wie eine Schraube.</translation>
  </message>
  <message>
   <source>Carried along</source>
   <translation>Mitgenommen</translation>
  </message>
  <message>
   <source>Share of its own speed that particles set out with.</source>
   <translation>Anteil der eigenen Geschwindigkeit, mit dem Teilchen aufbrechen.</translation>
  </message>
  <message>
   <source>Multiplies the tint of all its particles.</source>
   <translation>Nimmt die Tönung aller Teilchen mal.</translation>
  </message>
  <message>
   <source>Added to how far they have worn away.</source>
   <translation>Kommt zu dem hinzu, wie weit sie abgetragen sind.</translation>
  </message>
  <message>
   <source>Multiplies how many are born.</source>
   <translation>Nimmt mal, wie viele geboren werden.</translation>
  </message>
  <message>
   <source>Multiplies their width and height.</source>
   <translation>Nimmt Breite und Höhe mal.</translation>
  </message>
  <message>
   <source>Wind across</source>
   <translation>Wind quer</translation>
  </message>
  <message>
   <source>Metres a second to the right, seen from the dock.</source>
   <translation>Meter in der Sekunde nach rechts, vom Dock gesehen.</translation>
  </message>
  <message>
   <source>Wind up</source>
   <translation>Wind aufwärts</translation>
  </message>
  <message>
   <source>Metres a second upwards.</source>
   <translation>Meter in der Sekunde aufwärts.</translation>
  </message>
  <message>
   <source>Wind towards</source>
   <translation>Wind heran</translation>
  </message>
  <message>
   <source>Metres a second towards the viewer.</source>
   <translation>Meter in der Sekunde auf den Betrachter zu.</translation>
  </message>
  <message>
   <source>the first number of a range must not be above the second</source>
   <translation>die erste Zahl eines Bereichs darf nicht über der zweiten liegen</translation>
  </message>
  <message>
   <source>Seconds into a run.</source>
   <translation>Sekunden in einem Lauf.</translation>
  </message>
  <message>
   <source>Least and greatest number.</source>
   <translation>Kleinste und größte Zahl.</translation>
  </message>
  <message>
   <source>How often in a run.</source>
   <translation>Wie oft in einem Lauf.</translation>
  </message>
  <message>
   <source>Seconds between.</source>
   <translation>Sekunden dazwischen.</translation>
  </message>
  <message>
   <source>Rate over a run</source>
   <translation>Rate über einen Lauf</translation>
  </message>
  <message>
   <source>Multiplies the rate over a run.</source>
   <translation>Nimmt die Rate über einen Lauf mal.</translation>
  </message>
  <message>
   <source>Particles born at once.</source>
   <translation>Teilchen, die zugleich geboren werden.</translation>
  </message>
  <message>
   <source>Radius of a sphere, half sphere, disc or ring (then its band's width); sides of a box; length of a line; metres.</source>
   <translation>Radius von Kugel, Halbkugel, Scheibe oder Ring (dann Breite des Bands); Seiten eines Quaders; Länge einer Linie; Meter.</translation>
  </message>
  <message>
   <source>OBJ, PLY or glTF on whose surface particles are born.</source>
   <translation>OBJ, PLY oder glTF, auf dessen Fläche Teilchen geboren werden.</translation>
  </message>
  <message>
   <source>Axis</source>
   <translation>Achse</translation>
  </message>
  <message>
   <source>Of the cone, or the one way; in the effect's own axes.</source>
   <translation>Des Kegels oder die eine Richtung; in den Achsen des Effekts.</translation>
  </message>
  <message>
   <source>Metres; none: as wide.</source>
   <translation>Meter; keine: so breit.</translation>
  </message>
  <message>
   <source>Any colour between two, mixed in linear light.</source>
   <translation>Eine Farbe zwischen zweien, in linearem Licht gemischt.</translation>
  </message>
  <message>
   <source>Multiplies width and height.</source>
   <translation>Nimmt Breite und Höhe mal.</translation>
  </message>
  <message>
   <source>Multiplies alpha; from nothing to nothing, so that it does not pop.</source>
   <translation>Nimmt Alpha mal; von nichts zu nichts, damit es nicht ploppt.</translation>
  </message>
  <message>
   <source>Multiplies colour.</source>
   <translation>Nimmt Farbe mal.</translation>
  </message>
  <message>
   <source>How far it has worn away, where the material's erosion is driven by a particle's life.</source>
   <translation>Wie weit es abgetragen ist, wo die Erosion des Materials dem Leben folgt.</translation>
  </message>
  <message>
   <source>Multiplies the spin.</source>
   <translation>Nimmt den Drall mal.</translation>
  </message>
  <message>
   <source>Speed across</source>
   <translation>Tempo quer</translation>
  </message>
  <message>
   <source>Multiplies the way it goes along the x axis.</source>
   <translation>Nimmt seinen Weg entlang der x-Achse mal.</translation>
  </message>
  <message>
   <source>Multiplies the way it goes along the y axis.</source>
   <translation>Nimmt seinen Weg entlang der y-Achse mal.</translation>
  </message>
  <message>
   <source>Speed towards</source>
   <translation>Tempo heran</translation>
  </message>
  <message>
   <source>Multiplies the way it goes along the z axis.</source>
   <translation>Nimmt seinen Weg entlang der z-Achse mal.</translation>
  </message>
  <message>
   <source>Frame</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>Which frame, as a share of the sheet.</source>
   <translation>Welches Bild, als Anteil des Bogens.</translation>
  </message>
  <message>
   <source>Push</source>
   <translation>Schub</translation>
  </message>
  <message>
   <source>Multiplies the acceleration.</source>
   <translation>Nimmt die Beschleunigung mal.</translation>
  </message>
  <message>
   <source>Acceleration</source>
   <translation>Beschleunigung</translation>
  </message>
  <message>
   <source>Metres a second, each second.</source>
   <translation>Meter in der Sekunde, jede Sekunde.</translation>
  </message>
  <message>
   <source>Held at</source>
   <translation>Gehalten bei</translation>
  </message>
  <message>
   <source>Point of the picture that stands where the particle is: 0.5, 1 stands on its foot.</source>
   <translation>Punkt des Bilds, der steht, wo das Teilchen ist: 0.5, 1 steht auf seinem Fuß.</translation>
  </message>
  <message>
   <source>Id of the overlay that its particles show.</source>
   <translation>Kennung des Overlays, das seine Teilchen zeigen.</translation>
  </message>
  <message>
   <source>Its axis points up at 90.</source>
   <translation>Seine Achse zeigt bei 90 nach oben.</translation>
  </message>
  <message>
   <source>Dials that copies may set for themselves.</source>
   <translation>Regler, die Kopien für sich stellen dürfen.</translation>
  </message>
  <message>
   <source>Low and high corner of the box that a receiver cuts it off by; none: as its motion says.</source>
   <translation>Untere und obere Ecke des Quaders, an dem ein Empfänger es abschneidet; keine: wie die Bewegung sagt.</translation>
  </message>
  <message>
   <source>Id of the effect that it is a copy of; its own are then place, seed and open dials.</source>
   <translation>Kennung des Effekts, dessen Kopie es ist; eigen sind dann Ort, Seed und offene Regler.</translation>
  </message>
  <message>
   <source>Again and again</source>
   <translation>Immer wieder</translation>
  </message>
  <message>
   <source>Once</source>
   <translation>Einmal</translation>
  </message>
  <message>
   <source>A number of times</source>
   <translation>Eine Anzahl von Malen</translation>
  </message>
  <message>
   <source>Along a cone</source>
   <translation>Im Kegel</translation>
  </message>
  <message>
   <source>All round</source>
   <translation>Rundum</translation>
  </message>
  <message>
   <source>One way</source>
   <translation>Eine Richtung</translation>
  </message>
  <message>
   <source>Once over its life</source>
   <translation>Einmal übers Leben</translation>
  </message>
  <message>
   <source>At the sheet's speed</source>
   <translation>Im Tempo des Bogens</translation>
  </message>
  <message>
   <source>One by chance</source>
   <translation>Eins per Zufall</translation>
  </message>
  <message>
   <source>The first</source>
   <translation>Das erste</translation>
  </message>
  <message>
   <source>must lie between 0.001 and 1000</source>
   <translation>muss zwischen 0.001 und 1000 liegen</translation>
  </message>
  <message>
   <source>Goes through</source>
   <translation>Geht hindurch</translation>
  </message>
  <message>
   <source>Bounces</source>
   <translation>Prallt ab</translation>
  </message>
  <message>
   <source>Dies</source>
   <translation>Stirbt</translation>
  </message>
  <message>
   <source>The camera</source>
   <translation>Zur Kamera</translation>
  </message>
  <message>
   <source>The camera, upright</source>
   <translation>Zur Kamera, aufrecht</translation>
  </message>
  <message>
   <source>Along its way</source>
   <translation>Entlang des Wegs</translation>
  </message>
  <message>
   <source>Two crossed panels</source>
   <translation>Zwei gekreuzte Tafeln</translation>
  </message>
  <message>
   <source>In the world</source>
   <translation>In der Welt</translation>
  </message>
  <message>
   <source>In the effect</source>
   <translation>Im Effekt</translation>
  </message>
  <message>
   <source>Far to near, among all</source>
   <translation>Fern nach nah, unter allen</translation>
  </message>
  <message>
   <source>Far to near, by themselves</source>
   <translation>Fern nach nah, unter sich</translation>
  </message>
  <message>
   <source>Oldest first</source>
   <translation>Älteste zuerst</translation>
  </message>
  <message>
   <source>Youngest first</source>
   <translation>Jüngste zuerst</translation>
  </message>
  <message>
   <source>Stands still</source>
   <translation>Steht still</translation>
  </message>
  <message>
   <source>Swings to and fro</source>
   <translation>Schwingt hin und her</translation>
  </message>
  <message>
   <source>a burst has 0 to {most} particles, the first number not above the second</source>
   <translation>ein Schub hat 0 bis {most} Teilchen, die erste Zahl nicht über der zweiten</translation>
  </message>
  <message>
   <source>“{unknown}” is none of {parts}</source>
   <translation>„{unknown}“ ist keins von {parts}</translation>
  </message>
  <message>
   <source>Times run from 0 to {latest:.0f} seconds.</source>
   <translation>Zeiten gehen von 0 bis {latest} Sekunden.</translation>
  </message>
  <message>
   <source>{count} overlays. Written by Mivex {version}.</source>
   <translation>{count} Overlays. Geschrieben von Mivex {version}.</translation>
  </message>
  <message>
   <source>A frame of “{name}”</source>
   <translation>Ein Bild von „{name}“</translation>
  </message>
  <message>
   <source>“{name}” is no WebP, GIF or PNG file.</source>
   <translation>„{name}“ ist keine WebP-, GIF- oder PNG-Datei.</translation>
  </message>
  <message>
   <source>“{name}” is broken, or holds no frames.</source>
   <translation>„{name}“ ist kaputt oder enthält keine Bilder.</translation>
  </message>
  <message>
   <source>“{name}” has {count} frames of {w} × {h}, which is more than Mivex takes.</source>
   <translation>„{name}“ hat {count} Bilder von {w} × {h}, mehr als Mivex nimmt.</translation>
  </message>
  <message>
   <source>A WebP has sides to 16383; these frames are {w} × {h}.</source>
   <translation>Ein WebP hat Seiten bis 16383; diese Bilder sind {w} × {h}.</translation>
  </message>
  <message>
   <source>“{name}” could not be encoded.</source>
   <translation>„{name}“ ließ sich nicht kodieren.</translation>
  </message>
  <message>
   <source>The picture could not be stored as PNG.</source>
   <translation>Das Bild ließ sich nicht als PNG speichern.</translation>
  </message>
  <message>
   <source>“{name}”: pictures are written as {parts}.</source>
   <translation>„{name}“: Bilder werden als {parts} geschrieben.</translation>
  </message>
  <message>
   <source>“{name}”: Mivex does not write this kind of file.</source>
   <translation>„{name}“: solche Dateien schreibt Mivex nicht.</translation>
  </message>
  <message>
   <source>The picture could not be stored as OpenEXR: {why}.</source>
   <translation>Das Bild ließ sich nicht als OpenEXR speichern: {why}.</translation>
  </message>
  <message>
   <source>“{path}” cannot be written: {strerror}.</source>
   <translation>„{path}“ lässt sich nicht schreiben: {strerror}.</translation>
  </message>
  <message>
   <source>“{path}” was written, but reading it back gave other texels; it was not put in place, and what was there before is untouched.</source>
   <translation>„{path}“ wurde geschrieben, aber das Zurücklesen ergab andere Texel; es kam nicht an seinen Platz, und was vorher da war, ist unberührt.</translation>
  </message>
  <message>
   <source>the disk may be full</source>
   <translation>vielleicht ist der Datenträger voll</translation>
  </message>
  <message>
   <source>“{name}” is not a kind of picture Mivex reads ({kinds}).</source>
   <translation>„{name}“ ist kein Bild, das Mivex liest ({kinds}).</translation>
  </message>
  <message>
   <source>“{name}” is broken or not really a {kinds} file.</source>
   <translation>„{name}“ ist kaputt oder nicht wirklich eine {kinds}-Datei.</translation>
  </message>
  <message>
   <source>“{name}” holds no texels ({width} × {height}).</source>
   <translation>„{name}“ enthält keine Texel ({width} × {height}).</translation>
  </message>
  <message>
   <source>“{name}” is {width} × {height}; Mivex takes {words}.</source>
   <translation>„{name}“ ist {width} × {height}; Mivex nimmt {words}.</translation>
  </message>
  <message>
   <source>“{name}” is a deep OpenEXR, with several samples a texel, which Mivex does not read.</source>
   <translation>„{name}“ ist ein tiefes OpenEXR mit mehreren Proben je Texel, das Mivex nicht liest.</translation>
  </message>
  <message>
   <source>“{name}” is a volume, not a picture.</source>
   <translation>„{name}“ ist ein Volumen, kein Bild.</translation>
  </message>
  <message>
   <source>“{name}” is really a {kind} file, which Mivex does not read.</source>
   <translation>„{name}“ ist in Wahrheit eine {kind}-Datei, die Mivex nicht liest.</translation>
  </message>
  <message>
   <source>“{name}” is cut short or damaged; its texels cannot be read.</source>
   <translation>„{name}“ ist abgeschnitten oder beschädigt; seine Texel lassen sich nicht lesen.</translation>
  </message>
  <message>
   <source>“{name}” is broken and cannot be read.</source>
   <translation>„{name}“ ist kaputt und lässt sich nicht lesen.</translation>
  </message>
  <message>
   <source>WebP, lossless</source>
   <translation>WebP, verlustfrei</translation>
  </message>
  <message>
   <source>KTX 2</source>
   <translation>KTX 2</translation>
  </message>
  <message>
   <source>KTX 2, every mip level</source>
   <translation>KTX 2, jede Mip-Stufe</translation>
  </message>
  <message>
   <source>the file</source>
   <translation>die Datei</translation>
  </message>
  <message>
   <source>Mivex</source>
   <translation>Mivex</translation>
  </message>
  <message>
   <source>“{name}” is broken or not really a KTX 2 file.</source>
   <translation>„{name}“ ist beschädigt oder gar keine KTX-2-Datei.</translation>
  </message>
  <message>
   <source>“{name}” is a KTX 2 file of a kind that Mivex does not read: only flat, uncompressed ones.</source>
   <translation>„{name}“ ist eine KTX-2-Datei einer Art, die Mivex nicht liest: nur flache, unkomprimierte.</translation>
  </message>
  <message>
   <source>“{name}” is broken: {wide} × {high} texels in {count} levels cannot be.</source>
   <translation>„{name}“ ist beschädigt: {wide} × {high} Texel in {count} Stufen kann es nicht geben.</translation>
  </message>
  <message>
   <source>it has a single channel</source>
   <translation>es hat einen einzigen Kanal</translation>
  </message>
  <message>
   <source>its texels are unit vectors, as in a normal map</source>
   <translation>die Texel sind Einheitsvektoren wie in einer Normalenkarte</translation>
  </message>
  <message>
   <source>nothing marks it as data</source>
   <translation>nichts weist es als Daten aus</translation>
  </message>
  <message>
   <source>its name says “{hit}”</source>
   <translation>der Name sagt „{hit}“</translation>
  </message>
  <message>
   <source>its name says “{hit}”, but its texels do not</source>
   <translation>der Name sagt „{hit}“, aber die Texel nicht</translation>
  </message>
  <message>
   <source>Inter</source>
   <translation>Inter</translation>
  </message>
  <message>
   <source>SVG file</source>
   <translation>SVG-Datei</translation>
  </message>
  <message>
   <source>declares entities, which Mivex does not follow</source>
   <translation>erklärt Entities, denen Mivex nicht folgt</translation>
  </message>
  <message>
   <source>is broken: its viewBox does not hold four numbers</source>
   <translation>ist kaputt: die viewBox enthält nicht vier Zahlen</translation>
  </message>
  <message>
   <source>is broken or not really an SVG file</source>
   <translation>ist kaputt oder nicht wirklich eine SVG-Datei</translation>
  </message>
  <message>
   <source>refers to something outside itself; embed it, Mivex draws nothing from other files</source>
   <translation>verweist auf etwas außerhalb; betten Sie es ein, Mivex zeichnet nichts aus anderen Dateien</translation>
  </message>
  <message>
   <source>holds a number beyond {largest_number:.0e}, which Mivex does not draw</source>
   <translation>enthält eine Zahl jenseits von {largest_number}, die Mivex nicht zeichnet</translation>
  </message>
  <message>
   <source>cannot be read: it is not text in UTF-8</source>
   <translation>lässt sich nicht lesen: es ist kein Text in UTF-8</translation>
  </message>
  <message>
   <source>“{name}” is broken or not really an SVG file.</source>
   <translation>„{name}“ ist kaputt oder nicht wirklich eine SVG-Datei.</translation>
  </message>
  <message>
   <source>“{name}” could not be drawn.</source>
   <translation>„{name}“ ließ sich nicht zeichnen.</translation>
  </message>
  <message>
   <source>nests its groups more than {deepest} deep, which Mivex does not draw</source>
   <translation>verschachtelt Gruppen tiefer als {deepest}, das zeichnet Mivex nicht</translation>
  </message>
  <message>
   <source>has more than {most_elements} parts, which Mivex does not draw</source>
   <translation>hat mehr als {most_elements} Teile, das zeichnet Mivex nicht</translation>
  </message>
  <message>
   <source>asks for noise of more than {most_octaves} octaves, which Mivex does not draw</source>
   <translation>verlangt Rauschen mit mehr als {most_octaves} Oktaven, das zeichnet Mivex nicht</translation>
  </message>
  <message>
   <source>holds a picture that is broken</source>
   <translation>enthält ein kaputtes Bild</translation>
  </message>
  <message>
   <source>is broken: its {key} is no number</source>
   <translation>ist kaputt: {key} ist keine Zahl</translation>
  </message>
  <message>
   <source>has a {tag} of more than {largest_inner} units a side, which Mivex does not draw</source>
   <translation>hat ein {tag} von mehr als {largest_inner} Einheiten je Seite, das zeichnet Mivex nicht</translation>
  </message>
  <message>
   <source>holds a picture of {w} × {h}; inside a drawing Mivex takes {largest_inner} a side</source>
   <translation>enthält ein Bild von {w} × {h}; in einer Zeichnung nimmt Mivex {largest_inner} je Seite</translation>
  </message>
  <message>
   <source>has more than {most_letters} letters, which Mivex does not draw</source>
   <translation>hat mehr als {most_letters} Buchstaben, das zeichnet Mivex nicht</translation>
  </message>
  <message>
   <source>“{name}” is damaged: its texels name colours that its colour map lacks.</source>
   <translation>„{name}“ ist beschädigt: seine Texel nennen Farben, die in der Farbtabelle fehlen.</translation>
  </message>
  <message>
   <source>Backdrop</source>
   <translation>Hintergrund</translation>
  </message>
  <message>
   <source>Alpha is not looked at; the panel is opaque.</source>
   <translation>Alpha wird nicht beachtet; die Tafel deckt.</translation>
  </message>
  <message>
   <source>Hard edge, exact depth, no sorting: grilles, nets, foliage.</source>
   <translation>Harte Kante, genaue Tiefe, kein Sortieren: Gitter, Netze, Laub.</translation>
  </message>
  <message>
   <source>Softness as a fine screen of dots; exact depth, no sorting.</source>
   <translation>Weiches als feines Punktraster; genaue Tiefe, kein Sortieren.</translation>
  </message>
  <message>
   <source>Covers by as much as alpha says: glass, smoke, decals.</source>
   <translation>Deckt so viel, wie Alpha sagt: Glas, Rauch, Decals.</translation>
  </message>
  <message>
   <source>Colour already holds alpha: filters cleanly, may glow and cover at once.</source>
   <translation>Farbe enthält Alpha schon: filtert sauber, kann zugleich leuchten und decken.</translation>
  </message>
  <message>
   <source>Only ever brightens: light, sparks, motes. Order does not matter.</source>
   <translation>Macht immer nur heller: Licht, Funken, Stäubchen. Reihenfolge ist gleich.</translation>
  </message>
  <message>
   <source>Only ever darkens: stains, soot, tinted film.</source>
   <translation>Macht immer nur dunkler: Flecken, Ruß, getönte Folie.</translation>
  </message>
  <message>
   <source>As</source>
   <translation>As</translation>
  </message>
  <message>
   <source>Cd</source>
   <translation>Cd</translation>
  </message>
  <message>
   <source>Make alpha</source>
   <translation>Alpha machen</translation>
  </message>
  <message>
   <source>Take the alpha from brightness, a channel, another picture or a matte.</source>
   <translation>Nimmt das Alpha aus Helligkeit, einem Kanal, einem anderen Bild oder einem Hintergrundrest.</translation>
  </message>
  <message>
   <source>Take alpha from</source>
   <translation>Alpha aus</translation>
  </message>
  <message>
   <source>What becomes solid: bright parts, one channel, another picture, or all that differs from a backdrop.</source>
   <translation>Was deckend wird: helle Teile, ein Kanal, ein anderes Bild, oder alles, was sich vom Hintergrund unterscheidet.</translation>
  </message>
  <message>
   <source>Its alpha if it has one, else its luminance; resized to fit.</source>
   <translation>Sein Alpha, falls es eins hat, sonst seine Luminanz; auf Größe gebracht.</translation>
  </message>
  <message>
   <source>Matte</source>
   <translation>Hintergrundrest</translation>
  </message>
  <message>
   <source>The flat colour the picture was painted or filmed over; it is taken out of the colour as well.</source>
   <translation>Die glatte Farbe, über der das Bild gemalt oder gefilmt wurde; sie wird auch aus der Farbe genommen.</translation>
  </message>
  <message>
   <source>Blended in</source>
   <translation>Gemischt in</translation>
  </message>
  <message>
   <source>How the picture was once laid over its backdrop; paint programs mostly blend display values.</source>
   <translation>Wie das Bild einst über den Hintergrund gelegt wurde; Malprogramme mischen meist Anzeigewerte.</translation>
  </message>
  <message>
   <source>Largest channel</source>
   <translation>Größter Kanal</translation>
  </message>
  <message>
   <source>Red channel</source>
   <translation>Roter Kanal</translation>
  </message>
  <message>
   <source>Green channel</source>
   <translation>Grüner Kanal</translation>
  </message>
  <message>
   <source>Blue channel</source>
   <translation>Blauer Kanal</translation>
  </message>
  <message>
   <source>Its own alpha</source>
   <translation>Eigenes Alpha</translation>
  </message>
  <message>
   <source>Another picture</source>
   <translation>Ein anderes Bild</translation>
  </message>
  <message>
   <source>A matte</source>
   <translation>Einem Rest</translation>
  </message>
  <message>
   <source>Display values</source>
   <translation>Anzeigewerten</translation>
  </message>
  <message>
   <source>Linear light</source>
   <translation>Linearem Licht</translation>
  </message>
  <message>
   <source>On</source>
   <translation>An</translation>
  </message>
  <message>
   <source>Switched off, the step changes nothing.</source>
   <translation>Ausgeschaltet ändert der Schritt nichts.</translation>
  </message>
  <message>
   <source>Hold the border</source>
   <translation>Rand halten</translation>
  </message>
  <message>
   <source>Wrap round</source>
   <translation>Umlaufend</translation>
  </message>
  <message>
   <source>Softens alpha, colour or both; can wrap round for repeating textures.</source>
   <translation>Macht Alpha, Farbe oder beides weich; für Kacheln umlaufend.</translation>
  </message>
  <message>
   <source>Colour and both are blurred by how visible they are, so that hidden colour does not leak in.</source>
   <translation>Farbe und beides werden nach Sichtbarkeit gewogen, sodass verborgene Farbe nicht hineinsickert.</translation>
  </message>
  <message>
   <source>Radius</source>
   <translation>Radius</translation>
  </message>
  <message>
   <source>Standard deviation of the blur.</source>
   <translation>Standardabweichung der Unschärfe.</translation>
  </message>
  <message>
   <source>At the border</source>
   <translation>Am Rand</translation>
  </message>
  <message>
   <source>Wrap keeps a repeating texture free of seams.</source>
   <translation>Umlaufend hält eine Kachel nahtlos.</translation>
  </message>
  <message>
   <source>Both</source>
   <translation>Beides</translation>
  </message>
  <message>
   <source>The values that become the grey picture.</source>
   <translation>Die Werte, die zum grauen Bild werden.</translation>
  </message>
  <message>
   <source>Solid everywhere, kept as it is, or the same values as the grey.</source>
   <translation>Überall deckend, wie es ist, oder dieselben Werte wie das Grau.</translation>
  </message>
  <message>
   <source>Name</source>
   <translation>Name</translation>
  </message>
  <message>
   <source>What this channel means to the receiver: core, outer, roughness …</source>
   <translation>Was dieser Kanal für den Empfänger bedeutet: Kern, Rand, Rauheit …</translation>
  </message>
  <message>
   <source>This picture, another file, or one value everywhere.</source>
   <translation>Dieses Bild, eine andere Datei oder überall ein Wert.</translation>
  </message>
  <message>
   <source>Resized to fit; while there is none, the value stands.</source>
   <translation>Auf Größe gebracht; solange es keins gibt, gilt der Wert.</translation>
  </message>
  <message>
   <source>Value read</source>
   <translation>Gelesener Wert</translation>
  </message>
  <message>
   <source>Which values of the picture.</source>
   <translation>Welche Werte des Bilds.</translation>
  </message>
  <message>
   <source>Invert</source>
   <translation>Umkehren</translation>
  </message>
  <message>
   <source>Turns it round.</source>
   <translation>Dreht es um.</translation>
  </message>
  <message>
   <source>Low in</source>
   <translation>Unten ein</translation>
  </message>
  <message>
   <source>Becomes 0.</source>
   <translation>Wird 0.</translation>
  </message>
  <message>
   <source>High in</source>
   <translation>Oben ein</translation>
  </message>
  <message>
   <source>Becomes 1.</source>
   <translation>Wird 1.</translation>
  </message>
  <message>
   <source>Fills the channel where there is no picture.</source>
   <translation>Füllt den Kanal, wo es kein Bild gibt.</translation>
  </message>
  <message>
   <source>Packing</source>
   <translation>Packung</translation>
  </message>
  <message>
   <source>Name of the whole, for instance occlusion, roughness, metal; it goes into the blend sheet.</source>
   <translation>Name des Ganzen, etwa Verdeckung, Rauheit, Metall; er kommt ins Mischblatt.</translation>
  </message>
  <message>
   <source>What the red channel holds.</source>
   <translation>Was der rote Kanal enthält.</translation>
  </message>
  <message>
   <source>What the green channel holds.</source>
   <translation>Was der grüne Kanal enthält.</translation>
  </message>
  <message>
   <source>What the blue channel holds.</source>
   <translation>Was der blaue Kanal enthält.</translation>
  </message>
  <message>
   <source>What the alpha channel holds.</source>
   <translation>Was der Alphakanal enthält.</translation>
  </message>
  <message>
   <source>Red becomes</source>
   <translation>Rot wird</translation>
  </message>
  <message>
   <source>Colour of what the red channel masks.</source>
   <translation>Farbe dessen, was der rote Kanal maskiert.</translation>
  </message>
  <message>
   <source>Red gain</source>
   <translation>Rot stärker</translation>
  </message>
  <message>
   <source>How bright.</source>
   <translation>Wie hell.</translation>
  </message>
  <message>
   <source>Green becomes</source>
   <translation>Grün wird</translation>
  </message>
  <message>
   <source>Colour of what the green channel masks.</source>
   <translation>Farbe dessen, was der grüne Kanal maskiert.</translation>
  </message>
  <message>
   <source>Green gain</source>
   <translation>Grün stärker</translation>
  </message>
  <message>
   <source>Blue becomes</source>
   <translation>Blau wird</translation>
  </message>
  <message>
   <source>Colour of what the blue channel masks.</source>
   <translation>Farbe dessen, was der blaue Kanal maskiert.</translation>
  </message>
  <message>
   <source>Blue gain</source>
   <translation>Blau stärker</translation>
  </message>
  <message>
   <source>Alpha becomes</source>
   <translation>Alpha wird</translation>
  </message>
  <message>
   <source>Colour of what the alpha channel masks.</source>
   <translation>Farbe dessen, was der Alphakanal maskiert.</translation>
  </message>
  <message>
   <source>Alpha gain</source>
   <translation>Alpha stärker</translation>
  </message>
  <message>
   <source>How bright; 0 where alpha is only alpha.</source>
   <translation>Wie hell; 0, wo Alpha nur Alpha ist.</translation>
  </message>
  <message>
   <source>Brightness</source>
   <translation>Helligkeit</translation>
  </message>
  <message>
   <source>Of the sum.</source>
   <translation>Der Summe.</translation>
  </message>
  <message>
   <source>Alpha is then</source>
   <translation>Alpha ist dann</translation>
  </message>
  <message>
   <source>Kept, or the largest or the sum of the masks.</source>
   <translation>Behalten, oder das Größte oder die Summe der Masken.</translation>
  </message>
  <message>
   <source>Take one channel</source>
   <translation>Einen Kanal nehmen</translation>
  </message>
  <message>
   <source>Keeps one channel as a grey picture.</source>
   <translation>Behält einen Kanal als graues Bild.</translation>
  </message>
  <message>
   <source>Pack channels</source>
   <translation>Kanäle packen</translation>
  </message>
  <message>
   <source>Puts four sources into red, green, blue and alpha.</source>
   <translation>Legt vier Quellen in Rot, Grün, Blau und Alpha.</translation>
  </message>
  <message>
   <source>Recolour by channel</source>
   <translation>Nach Kanal umfärben</translation>
  </message>
  <message>
   <source>Gives each channel of a masked sprite its own colour.</source>
   <translation>Gibt jedem Kanal eines maskierten Sprites eine eigene Farbe.</translation>
  </message>
  <message>
   <source>Keep</source>
   <translation>Behalten</translation>
  </message>
  <message>
   <source>The same values</source>
   <translation>Dieselben Werte</translation>
  </message>
  <message>
   <source>This picture</source>
   <translation>Dieses Bild</translation>
  </message>
  <message>
   <source>Largest mask</source>
   <translation>Größte Maske</translation>
  </message>
  <message>
   <source>Sum of masks</source>
   <translation>Summe der Masken</translation>
  </message>
  <message>
   <source>Clear border</source>
   <translation>Rand klären</translation>
  </message>
  <message>
   <source>Fade the alpha out along the picture's sides, so that no straight cut shows.</source>
   <translation>Blendet das Alpha entlang der Bildseiten aus, sodass kein gerader Schnitt zu sehen ist.</translation>
  </message>
  <message>
   <source>Clear width</source>
   <translation>Klare Breite</translation>
  </message>
  <message>
   <source>Texels along each side that become fully clear.</source>
   <translation>Texel an jeder Seite, die ganz klar werden.</translation>
  </message>
  <message>
   <source>Soft width</source>
   <translation>Weiche Breite</translation>
  </message>
  <message>
   <source>Texels over which alpha comes back beyond that.</source>
   <translation>Texel, über die das Alpha dahinter wiederkommt.</translation>
  </message>
  <message>
   <source>Clear lone specks</source>
   <translation>Einzelne Sprenkel klären</translation>
  </message>
  <message>
   <source>Takes away faint texels that stand far from anything; the shape itself stays.</source>
   <translation>Nimmt blasse Texel weg, die fern von allem stehen; die Form selbst bleibt.</translation>
  </message>
  <message>
   <source>Up to alpha</source>
   <translation>Bis Alpha</translation>
  </message>
  <message>
   <source>Only texels with at most this alpha are cleared.</source>
   <translation>Nur Texel mit höchstens diesem Alpha werden geklärt.</translation>
  </message>
  <message>
   <source>Far from the shape</source>
   <translation>Fern der Form</translation>
  </message>
  <message>
   <source>A speck has nothing but other specks within so many texels.</source>
   <translation>Ein Sprenkel hat in so vielen Texeln nichts als andere Sprenkel.</translation>
  </message>
  <message>
   <source>Alpha, or luminance</source>
   <translation>Alpha, oder Luminanz</translation>
  </message>
  <message>
   <source>Combine masks</source>
   <translation>Masken verbinden</translation>
  </message>
  <message>
   <source>Joins the alpha with another mask or another picture.</source>
   <translation>Verbindet das Alpha mit einer anderen Maske oder einem anderen Bild.</translation>
  </message>
  <message>
   <source>Join by</source>
   <translation>Verbinden durch</translation>
  </message>
  <message>
   <source>Maximum and add make more solid; minimum, multiply and subtract make more clear.</source>
   <translation>Größtes und Plus machen mehr deckend; Kleinstes, Mal und Minus machen mehr klar.</translation>
  </message>
  <message>
   <source>Another picture to take the mask from; empty: this picture itself.</source>
   <translation>Ein anderes Bild, aus dem die Maske kommt; leer: dieses Bild selbst.</translation>
  </message>
  <message>
   <source>Mask is its</source>
   <translation>Maske ist</translation>
  </message>
  <message>
   <source>Which values of the picture are the mask.</source>
   <translation>Welche Werte des Bilds die Maske sind.</translation>
  </message>
  <message>
   <source>Turns the mask round first.</source>
   <translation>Dreht die Maske erst um.</translation>
  </message>
  <message>
   <source>Amount</source>
   <translation>Menge</translation>
  </message>
  <message>
   <source>0 leaves the alpha as it was, 1 joins in full.</source>
   <translation>0 lässt das Alpha, 1 verbindet voll.</translation>
  </message>
  <message>
   <source>Maximum</source>
   <translation>Größtes</translation>
  </message>
  <message>
   <source>Minimum</source>
   <translation>Kleinstes</translation>
  </message>
  <message>
   <source>Add</source>
   <translation>Plus</translation>
  </message>
  <message>
   <source>Subtract</source>
   <translation>Minus</translation>
  </message>
  <message>
   <source>Beneath the layers</source>
   <translation>Unter den Ebenen</translation>
  </message>
  <message>
   <source>Drawn before the overlay's own layers, which lie over it: dust, scratches and worn edges take it along.</source>
   <translation>Vor den eigenen Ebenen des Overlays gezeichnet, die darüber liegen: Staub, Kratzer und abgenutzte Kanten nehmen es mit.</translation>
  </message>
  <message>
   <source>Over the picture</source>
   <translation>Über das Bild</translation>
  </message>
  <message>
   <source>Cut out of the alpha</source>
   <translation>Aus dem Alpha geschnitten</translation>
  </message>
  <message>
   <source>Text</source>
   <translation>Text</translation>
  </message>
  <message>
   <source>Drawn in the shipped font; a vertical bar begins a new line.</source>
   <translation>In der mitgelieferten Schrift; ein senkrechter Strich beginnt eine neue Zeile.</translation>
  </message>
  <message>
   <source>Weight</source>
   <translation>Stärke</translation>
  </message>
  <message>
   <source>How bold it is.</source>
   <translation>Wie fett sie ist.</translation>
  </message>
  <message>
   <source>Height of the letters' body, as a share of the picture's height.</source>
   <translation>Höhe der Buchstaben, als Anteil der Bildhöhe.</translation>
  </message>
  <message>
   <source>Right of the pivot, as a share of the width.</source>
   <translation>Rechts vom Drehpunkt, als Anteil der Breite.</translation>
  </message>
  <message>
   <source>Below the pivot, as a share of the height.</source>
   <translation>Unter dem Drehpunkt, als Anteil der Höhe.</translation>
  </message>
  <message>
   <source>Angle</source>
   <translation>Winkel</translation>
  </message>
  <message>
   <source>Turns it.</source>
   <translation>Dreht es.</translation>
  </message>
  <message>
   <source>More room between letters.</source>
   <translation>Mehr Platz zwischen Buchstaben.</translation>
  </message>
  <message>
   <source>Of the letters.</source>
   <translation>Der Buchstaben.</translation>
  </message>
  <message>
   <source>Outline</source>
   <translation>Umriss</translation>
  </message>
  <message>
   <source>A band of even width round the letters.</source>
   <translation>Ein gleich breites Band um die Buchstaben.</translation>
  </message>
  <message>
   <source>Its colour</source>
   <translation>Seine Farbe</translation>
  </message>
  <message>
   <source>Of the outline.</source>
   <translation>Des Umrisses.</translation>
  </message>
  <message>
   <source>Over what is there, or out of its alpha.</source>
   <translation>Über das, was da ist, oder aus dessen Alpha.</translation>
  </message>
  <message>
   <source>Drawn at the picture's own size, however large.</source>
   <translation>In der Größe des Bilds gezeichnet, wie groß auch immer.</translation>
  </message>
  <message>
   <source>Share of the picture that the drawing fills.</source>
   <translation>Anteil des Bilds, den die Zeichnung füllt.</translation>
  </message>
  <message>
   <source>Colours</source>
   <translation>Farben</translation>
  </message>
  <message>
   <source>Those of the drawing, or one for all of it.</source>
   <translation>Die der Zeichnung oder eine für alles.</translation>
  </message>
  <message>
   <source>Of the whole shape.</source>
   <translation>Der ganzen Form.</translation>
  </message>
  <message>
   <source>Draws letters in the shipped font, at any size with exact edges.</source>
   <translation>Zeichnet Buchstaben in der mitgelieferten Schrift, in jeder Größe mit genauen Kanten.</translation>
  </message>
  <message>
   <source>Shape from SVG</source>
   <translation>Form aus SVG</translation>
  </message>
  <message>
   <source>Draws an SVG file at the picture's own size.</source>
   <translation>Zeichnet eine SVG-Datei in der Größe des Bilds.</translation>
  </message>
  <message>
   <source>Regular</source>
   <translation>Normal</translation>
  </message>
  <message>
   <source>Medium</source>
   <translation>Mittel</translation>
  </message>
  <message>
   <source>Semi-bold</source>
   <translation>Halbfett</translation>
  </message>
  <message>
   <source>The drawing's own</source>
   <translation>Die der Zeichnung</translation>
  </message>
  <message>
   <source>One colour</source>
   <translation>Eine Farbe</translation>
  </message>
  <message>
   <source>For opaque pictures: three channels instead of four.</source>
   <translation>Für deckende Bilder: drei Kanäle statt vier.</translation>
  </message>
  <message>
   <source>Fall-off</source>
   <translation>Abfall</translation>
  </message>
  <message>
   <source>Fades the alpha round a point, across a line or towards the sides of a box; place it with the handles.</source>
   <translation>Blendet das Alpha um einen Punkt, über eine Linie oder zu den Seiten eines Kastens aus; mit den Griffen setzen.</translation>
  </message>
  <message>
   <source>Multiply fades the alpha outside it, subtract clears inside it, maximum adds it, replace puts it in the alpha's place.</source>
   <translation>Mal blendet das Alpha draußen aus, Minus klärt innen, Größtes fügt hinzu, Ersetzen tritt an die Stelle des Alphas.</translation>
  </message>
  <message>
   <source>Turns it round: clear in the middle.</source>
   <translation>Dreht es um: in der Mitte klar.</translation>
  </message>
  <message>
   <source>0 leaves the alpha as it was.</source>
   <translation>0 lässt das Alpha, wie es war.</translation>
  </message>
  <message>
   <source>Replace</source>
   <translation>Ersetzen</translation>
  </message>
  <message>
   <source>Radial</source>
   <translation>Rund</translation>
  </message>
  <message>
   <source>Linear</source>
   <translation>Gerade</translation>
  </message>
  <message>
   <source>Radial falls off round a point, linear across a line, box towards the sides of a rectangle.</source>
   <translation>Rund fällt um einen Punkt ab, gerade über eine Linie, Kasten zu den Seiten eines Rechtecks.</translation>
  </message>
  <message>
   <source>Moves it right of the pivot, as a share of the picture's width.</source>
   <translation>Rückt es rechts vom Drehpunkt, als Anteil der Bildbreite.</translation>
  </message>
  <message>
   <source>Moves it below the pivot, as a share of the picture's height.</source>
   <translation>Rückt es unter den Drehpunkt, als Anteil der Bildhöhe.</translation>
  </message>
  <message>
   <source>From its middle to where it ends, as a share of the shorter side.</source>
   <translation>Von der Mitte bis zum Ende, als Anteil der kürzeren Seite.</translation>
  </message>
  <message>
   <source>Stretch</source>
   <translation>Streckung</translation>
  </message>
  <message>
   <source>How much wider than high it is.</source>
   <translation>Wie viel breiter als hoch.</translation>
  </message>
  <message>
   <source>Share of the radius over which it falls; 0 is a hard edge.</source>
   <translation>Anteil des Radius, über den es abfällt; 0 ist eine harte Kante.</translation>
  </message>
  <message>
   <source>Profile</source>
   <translation>Profil</translation>
  </message>
  <message>
   <source>Smooth eases in and out; straight falls evenly.</source>
   <translation>Weich läuft sanft an und aus; gerade fällt gleichmäßig.</translation>
  </message>
  <message>
   <source>x, y as shares of width and height.</source>
   <translation>x, y als Anteile von Breite und Höhe.</translation>
  </message>
  <message>
   <source>Takes away from the strokes before it.</source>
   <translation>Nimmt von den Strichen davor weg.</translation>
  </message>
  <message>
   <source>Smooth</source>
   <translation>Glatt</translation>
  </message>
  <message>
   <source>Moves the outline out; below zero, in. The softness of the edge goes along.</source>
   <translation>Schiebt den Umriss hinaus; unter null hinein. Die Weichheit der Kante geht mit.</translation>
  </message>
  <message>
   <source>How wide the new soft band is, measured from the outline.</source>
   <translation>Wie breit das neue weiche Band ist, vom Umriss aus gemessen.</translation>
  </message>
  <message>
   <source>Side</source>
   <translation>Seite</translation>
  </message>
  <message>
   <source>Inside thins the shape, outside adds a halo round it.</source>
   <translation>Innen macht die Form dünner, außen legt einen Hof darum.</translation>
  </message>
  <message>
   <source>Grow or shrink</source>
   <translation>Wachsen oder schrumpfen</translation>
  </message>
  <message>
   <source>Moves the outline outwards or inwards by an exact distance.</source>
   <translation>Schiebt den Umriss um ein genaues Maß hinaus oder hinein.</translation>
  </message>
  <message>
   <source>Feather</source>
   <translation>Ausweichen</translation>
  </message>
  <message>
   <source>Softens the outline over a band of an exact width.</source>
   <translation>Macht den Umriss über ein Band genauer Breite weich.</translation>
  </message>
  <message>
   <source>Inside</source>
   <translation>Innen</translation>
  </message>
  <message>
   <source>Outside</source>
   <translation>Außen</translation>
  </message>
  <message>
   <source>Invert alpha</source>
   <translation>Alpha umkehren</translation>
  </message>
  <message>
   <source>Clear becomes solid and solid becomes clear.</source>
   <translation>Klares deckt und Deckendes wird klar.</translation>
  </message>
  <message>
   <source>Keep coverage</source>
   <translation>Deckung halten</translation>
  </message>
  <message>
   <source>Holes and meshes keep their share in the distance: scaled mip levels in a TIFF, a better cutoff elsewhere.</source>
   <translation>Löcher und Netze behalten in der Ferne ihren Anteil: skalierte Mip-Stufen in einem TIFF, sonst eine bessere Schwelle.</translation>
  </message>
  <message>
   <source>The material's cutoff: from this alpha on a texel is drawn.</source>
   <translation>Die Schwelle des Materials: ab diesem Alpha wird ein Texel gezeichnet.</translation>
  </message>
  <message>
   <source>Key colour</source>
   <translation>Farbe stanzen</translation>
  </message>
  <message>
   <source>Clears everything near to one colour, softly, and takes that colour out of the edge.</source>
   <translation>Klärt alles nahe einer Farbe, weich, und nimmt diese Farbe aus der Kante.</translation>
  </message>
  <message>
   <source>Key</source>
   <translation>Farbe</translation>
  </message>
  <message>
   <source>The colour of the backdrop; pick it from the picture.</source>
   <translation>Die Farbe des Hintergrunds; nehmen Sie sie aus dem Bild.</translation>
  </message>
  <message>
   <source>Clear up to</source>
   <translation>Klar bis</translation>
  </message>
  <message>
   <source>Colours within this distance of the key become fully clear.</source>
   <translation>Farben bis zu diesem Abstand werden ganz klar.</translation>
  </message>
  <message>
   <source>Solid from</source>
   <translation>Deckend ab</translation>
  </message>
  <message>
   <source>Colours farther than this stay fully solid; between the two lies the soft edge.</source>
   <translation>Farben ferner als dies decken ganz; dazwischen liegt die weiche Kante.</translation>
  </message>
  <message>
   <source>Take key out</source>
   <translation>Farbe entfernen</translation>
  </message>
  <message>
   <source>Takes the key's share out of soft texels, so that no rim of it is left.</source>
   <translation>Nimmt den Anteil der Farbe aus weichen Texeln, sodass kein Saum bleibt.</translation>
  </message>
  <message>
   <source>Despill</source>
   <translation>Entfärben</translation>
  </message>
  <message>
   <source>Holds the key's hue down everywhere, for light that the backdrop threw on the shape.</source>
   <translation>Hält den Farbton überall klein, für Licht, das der Hintergrund auf die Form warf.</translation>
  </message>
  <message>
   <source>Measured in</source>
   <translation>Gemessen in</translation>
  </message>
  <message>
   <source>In which values the distance is taken.</source>
   <translation>In welchen Werten der Abstand gilt.</translation>
  </message>
  <message>
   <source>Red, green and blue</source>
   <translation>Rot, Grün und Blau</translation>
  </message>
  <message>
   <source>Levels</source>
   <translation>Tonwerte</translation>
  </message>
  <message>
   <source>Stretch, bend and limit the alpha or a colour channel.</source>
   <translation>Streckt, biegt und begrenzt das Alpha oder einen Farbkanal.</translation>
  </message>
  <message>
   <source>The channel that is reshaped.</source>
   <translation>Der Kanal, der umgeformt wird.</translation>
  </message>
  <message>
   <source>Values at or below this become the low out value: raises it to clear away haze.</source>
   <translation>Werte bis hierher werden zum unteren Ausgang: anheben räumt Schleier weg.</translation>
  </message>
  <message>
   <source>Values at or above this become the high out value: lowers it to make the core solid.</source>
   <translation>Werte ab hier werden zum oberen Ausgang: senken macht den Kern deckend.</translation>
  </message>
  <message>
   <source>Above 1 lifts the middle and thickens soft parts; below 1 thins them.</source>
   <translation>Über 1 hebt die Mitte und verdickt Weiches; unter 1 dünnt es aus.</translation>
  </message>
  <message>
   <source>Low out</source>
   <translation>Unten aus</translation>
  </message>
  <message>
   <source>What the lowest value becomes.</source>
   <translation>Was der kleinste Wert wird.</translation>
  </message>
  <message>
   <source>High out</source>
   <translation>Oben aus</translation>
  </message>
  <message>
   <source>What the highest value becomes.</source>
   <translation>Was der größte Wert wird.</translation>
  </message>
  <message>
   <source>Drop loose pieces</source>
   <translation>Lose Stücke fallen lassen</translation>
  </message>
  <message>
   <source>Takes away islands of a cutout that hang on nothing; the rest stays.</source>
   <translation>Nimmt Inseln weg, die an nichts hängen; der Rest bleibt.</translation>
  </message>
  <message>
   <source>What reaches this alpha is a piece.</source>
   <translation>Was dieses Alpha erreicht, ist ein Stück.</translation>
  </message>
  <message>
   <source>Up to size</source>
   <translation>Bis Größe</translation>
  </message>
  <message>
   <source>Pieces up to this share of the largest are taken away.</source>
   <translation>Stücke bis zu diesem Anteil des größten werden weggenommen.</translation>
  </message>
  <message>
   <source>Repeats</source>
   <translation>Wiederholt sich</translation>
  </message>
  <message>
   <source>The picture repeats: pieces go on at the other side.</source>
   <translation>Das Bild wiederholt sich: Stücke gehen auf der anderen Seite weiter.</translation>
  </message>
  <message>
   <source>Whole texels to the right.</source>
   <translation>Ganze Texel nach rechts.</translation>
  </message>
  <message>
   <source>Whole texels down.</source>
   <translation>Ganze Texel abwärts.</translation>
  </message>
  <message>
   <source>What comes in</source>
   <translation>Was hereinkommt</translation>
  </message>
  <message>
   <source>Wrap brings in the other side, clear leaves nothing, hold draws the border out.</source>
   <translation>Umlaufend bringt die andere Seite, klar lässt nichts, halten zieht den Rand aus.</translation>
  </message>
  <message>
   <source>Middle is</source>
   <translation>Mitte ist</translation>
  </message>
  <message>
   <source>The centre of gravity of the alpha, or the middle of the box round it.</source>
   <translation>Der Schwerpunkt des Alphas oder die Mitte des Kastens darum.</translation>
  </message>
  <message>
   <source>Action</source>
   <translation>Aktion</translation>
  </message>
  <message>
   <source>Move shifts the picture by whole texels; pivot leaves it and places it by that point.</source>
   <translation>Schieben rückt das Bild um ganze Texel; Drehpunkt lässt es und setzt es an diesem Punkt.</translation>
  </message>
  <message>
   <source>Keep above</source>
   <translation>Behalten über</translation>
  </message>
  <message>
   <source>Texels with more alpha than this must stay in the picture.</source>
   <translation>Texel mit mehr Alpha als dies müssen im Bild bleiben.</translation>
  </message>
  <message>
   <source>Margin</source>
   <translation>Rand</translation>
  </message>
  <message>
   <source>Clear texels that stay round them.</source>
   <translation>Klare Texel, die ringsum bleiben.</translation>
  </message>
  <message>
   <source>Cuts to a square round the same middle.</source>
   <translation>Schneidet auf ein Quadrat um dieselbe Mitte.</translation>
  </message>
  <message>
   <source>Pad to</source>
   <translation>Auffüllen auf</translation>
  </message>
  <message>
   <source>Adds clear texels by side, or evenly up to a square or to powers of two.</source>
   <translation>Fügt klare Texel je Seite hinzu, oder gleichmäßig bis zum Quadrat oder zu Zweierpotenzen.</translation>
  </message>
  <message>
   <source>Texels added.</source>
   <translation>Hinzugefügte Texel.</translation>
  </message>
  <message>
   <source>The picture with its new frame</source>
   <translation>Das Bild mit neuem Rahmen</translation>
  </message>
  <message>
   <source>Offset</source>
   <translation>Versatz</translation>
  </message>
  <message>
   <source>Shifts the picture by whole texels, wrapping round or not.</source>
   <translation>Rückt das Bild um ganze Texel, umlaufend oder nicht.</translation>
  </message>
  <message>
   <source>Centre</source>
   <translation>Zentrieren</translation>
  </message>
  <message>
   <source>Brings the shape to the middle, or sets the pivot it is placed by.</source>
   <translation>Bringt die Form in die Mitte oder setzt den Drehpunkt, an dem sie steht.</translation>
  </message>
  <message>
   <source>Trim</source>
   <translation>Beschneiden</translation>
  </message>
  <message>
   <source>Cuts away empty margins.</source>
   <translation>Schneidet leere Ränder weg.</translation>
  </message>
  <message>
   <source>Pad</source>
   <translation>Auffüllen</translation>
  </message>
  <message>
   <source>Adds clear texels round the picture.</source>
   <translation>Fügt ringsum klare Texel hinzu.</translation>
  </message>
  <message>
   <source>The other side</source>
   <translation>Die andere Seite</translation>
  </message>
  <message>
   <source>The border, drawn out</source>
   <translation>Den Rand, ausgezogen</translation>
  </message>
  <message>
   <source>Centre of gravity</source>
   <translation>Schwerpunkt</translation>
  </message>
  <message>
   <source>Middle of its box</source>
   <translation>Mitte des Kastens</translation>
  </message>
  <message>
   <source>Move the picture</source>
   <translation>Das Bild schieben</translation>
  </message>
  <message>
   <source>Set the pivot there</source>
   <translation>Den Drehpunkt dorthin setzen</translation>
  </message>
  <message>
   <source>A margin on each side</source>
   <translation>Ein Rand auf jeder Seite</translation>
  </message>
  <message>
   <source>A square</source>
   <translation>Ein Quadrat</translation>
  </message>
  <message>
   <source>Next powers of two</source>
   <translation>Nächste Zweierpotenzen</translation>
  </message>
  <message>
   <source>Normal from height</source>
   <translation>Normale aus Höhe</translation>
  </message>
  <message>
   <source>Turns heights into a normal map; the result is data.</source>
   <translation>Macht aus Höhen eine Normalenkarte; das Ergebnis sind Daten.</translation>
  </message>
  <message>
   <source>Height is</source>
   <translation>Höhe ist</translation>
  </message>
  <message>
   <source>Which values are height; bright is high.</source>
   <translation>Welche Werte Höhe sind; hell ist hoch.</translation>
  </message>
  <message>
   <source>Steeper slopes; below zero, hills become hollows.</source>
   <translation>Steilere Hänge; unter null werden Hügel Mulden.</translation>
  </message>
  <message>
   <source>Blur first</source>
   <translation>Erst glätten</translation>
  </message>
  <message>
   <source>Smooths the height before its slope is taken.</source>
   <translation>Glättet die Höhe, ehe ihr Gefälle genommen wird.</translation>
  </message>
  <message>
   <source>Wrap for a texture that repeats.</source>
   <translation>Umlaufend für eine Textur, die sich wiederholt.</translation>
  </message>
  <message>
   <source>The way the receiving program expects: the wrong one turns hills into hollows for light from above.</source>
   <translation>Wie das empfangende Programm es erwartet: falsch macht Hügel für Licht von oben zu Mulden.</translation>
  </message>
  <message>
   <source>Premultiply</source>
   <translation>Vormultiplizieren</translation>
  </message>
  <message>
   <source>Multiply colour by alpha, so that filtering cannot leak; needs the Premultiplied blend.</source>
   <translation>Nimmt Farbe mal Alpha, sodass Filtern nichts hineinträgt; braucht die Mischung Premultiplied.</translation>
  </message>
  <message>
   <source>Resize</source>
   <translation>Größe ändern</translation>
  </message>
  <message>
   <source>Bring the picture to another size without darkening its edges.</source>
   <translation>Bringt das Bild auf eine andere Größe, ohne seine Kanten zu verdunkeln.</translation>
  </message>
  <message>
   <source>Resize to</source>
   <translation>Größe ändern auf</translation>
  </message>
  <message>
   <source>Powers of two suit mip levels and block compression.</source>
   <translation>Zweierpotenzen passen zu Mip-Stufen und Blockkompression.</translation>
  </message>
  <message>
   <source>Used with a given size; 0 keeps it.</source>
   <translation>Bei fester Größe; 0 behält sie.</translation>
  </message>
  <message>
   <source>Filter</source>
   <translation>Filter</translation>
  </message>
  <message>
   <source>Area averages and never rings; Lanczos keeps more detail and may ring.</source>
   <translation>Fläche mittelt und schwingt nie; Lanczos behält mehr Feines und schwingt vielleicht.</translation>
  </message>
  <message>
   <source>The resized picture</source>
   <translation>Das verkleinerte Bild</translation>
  </message>
  <message>
   <source>Nearest powers of two</source>
   <translation>Nächste Zweierpotenzen</translation>
  </message>
  <message>
   <source>A given size</source>
   <translation>Eine feste Größe</translation>
  </message>
  <message>
   <source>Area</source>
   <translation>Fläche</translation>
  </message>
  <message>
   <source>Lanczos</source>
   <translation>Lanczos</translation>
  </message>
  <message>
   <source>Signed distance</source>
   <translation>Distanzfeld</translation>
  </message>
  <message>
   <source>Stores the distance from the outline as alpha: crisp at any magnification under Cutout.</source>
   <translation>Speichert den Abstand vom Umriss als Alpha: unter Cutout in jeder Vergrößerung scharf.</translation>
  </message>
  <message>
   <source>Distance from the outline, in texels of the result, at which alpha reaches 0 outside and 1 inside. Wide serves glows, narrow keeps finer steps.</source>
   <translation>Abstand vom Umriss, in Texeln des Ergebnisses, bei dem Alpha außen 0 und innen 1 erreicht. Weit dient dem Leuchten, eng hält feinere Stufen.</translation>
  </message>
  <message>
   <source>Outline at</source>
   <translation>Umriss bei</translation>
  </message>
  <message>
   <source>Value of alpha that is the outline.</source>
   <translation>Wert des Alphas, der der Umriss ist.</translation>
  </message>
  <message>
   <source>Reduce by</source>
   <translation>Verkleinern um</translation>
  </message>
  <message>
   <source>Draws the distance into a smaller picture; the outline stays sharper than its texels.</source>
   <translation>Zeichnet den Abstand in ein kleineres Bild; der Umriss bleibt schärfer als dessen Texel.</translation>
  </message>
  <message>
   <source>Not at all</source>
   <translation>Gar nicht</translation>
  </message>
  <message>
   <source>Spread colour</source>
   <translation>Farbe ausbreiten</translation>
  </message>
  <message>
   <source>Put edge colour under clear texels, so that no rim shows when the texture is filtered.</source>
   <translation>Legt Randfarbe unter klare Texel, sodass beim Filtern kein Saum entsteht.</translation>
  </message>
  <message>
   <source>Fill with</source>
   <translation>Füllen mit</translation>
  </message>
  <message>
   <source>What lies under clear texels afterwards; alpha stays as it is.</source>
   <translation>Was danach unter klaren Texeln liegt; Alpha bleibt.</translation>
  </message>
  <message>
   <source>Trust from alpha</source>
   <translation>Trauen ab Alpha</translation>
  </message>
  <message>
   <source>Texels above this keep their own colour; raise it where faint texels hold a wrong one. At 0 any alpha above 0 counts.</source>
   <translation>Texel darüber behalten ihre Farbe; höher, wo blasse Texel eine falsche tragen. Bei 0 zählt jedes Alpha über 0.</translation>
  </message>
  <message>
   <source>How far the colour is spread from the edge; 0 fills everything.</source>
   <translation>Wie weit die Farbe vom Rand ausgebreitet wird; 0 füllt alles.</translation>
  </message>
  <message>
   <source>Nearest edge</source>
   <translation>Nächster Rand</translation>
  </message>
  <message>
   <source>Smooth blend</source>
   <translation>Glatter Übergang</translation>
  </message>
  <message>
   <source>Mean colour</source>
   <translation>Mittlere Farbe</translation>
  </message>
  <message>
   <source>Width along each side, as a share of the picture, over which it passes into its own middle; 0 changes nothing.</source>
   <translation>Breite an jeder Seite, als Anteil des Bilds, über die es in seine eigene Mitte übergeht; 0 ändert nichts.</translation>
  </message>
  <message>
   <source>Which sides must meet.</source>
   <translation>Welche Seiten zusammentreffen müssen.</translation>
  </message>
  <message>
   <source>Clouds are soft, ridges vein-like, grain is fine and even.</source>
   <translation>Wolken sind weich, Grate wie Adern, Korn ist fein und gleichmäßig.</translation>
  </message>
  <message>
   <source>Largest features across the picture; it repeats exactly.</source>
   <translation>Größte Merkmale quer; es wiederholt sich genau.</translation>
  </message>
  <message>
   <source>Middle</source>
   <translation>Mitte</translation>
  </message>
  <message>
   <source>Lower gives more holes, higher more body.</source>
   <translation>Kleiner gibt mehr Löcher, größer mehr Körper.</translation>
  </message>
  <message>
   <source>Goes into</source>
   <translation>Geht in</translation>
  </message>
  <message>
   <source>Multiplies the alpha, is taken from it, takes its place, or becomes grey colour.</source>
   <translation>Nimmt das Alpha mal, wird davon abgezogen, tritt an seine Stelle oder wird graue Farbe.</translation>
  </message>
  <message>
   <source>0 changes nothing.</source>
   <translation>0 ändert nichts.</translation>
  </message>
  <message>
   <source>Blends the sides into the picture's own middle, so that it repeats without a seam.</source>
   <translation>Blendet die Seiten in die Mitte des Bilds, sodass es sich ohne Naht wiederholt.</translation>
  </message>
  <message>
   <source>Noise</source>
   <translation>Rauschen</translation>
  </message>
  <message>
   <source>Breaks up the alpha, or makes a pattern, with noise that repeats by construction.</source>
   <translation>Bricht das Alpha auf oder macht ein Muster, mit Rauschen, das sich wiederholt.</translation>
  </message>
  <message>
   <source>left and right</source>
   <translation>links und rechts</translation>
  </message>
  <message>
   <source>top and bottom</source>
   <translation>oben und unten</translation>
  </message>
  <message>
   <source>Both ways</source>
   <translation>In beiden Richtungen</translation>
  </message>
  <message>
   <source>Left and right</source>
   <translation>Links und rechts</translation>
  </message>
  <message>
   <source>Top and bottom</source>
   <translation>Oben und unten</translation>
  </message>
  <message>
   <source>Grain</source>
   <translation>Korn</translation>
  </message>
  <message>
   <source>Alpha, multiplied</source>
   <translation>Alpha, malgenommen</translation>
  </message>
  <message>
   <source>Alpha, taken away</source>
   <translation>Alpha, abgezogen</translation>
  </message>
  <message>
   <source>Alpha, replaced</source>
   <translation>Alpha, ersetzt</translation>
  </message>
  <message>
   <source>Colour, as grey</source>
   <translation>Farbe, als Grau</translation>
  </message>
  <message>
   <source>Value is</source>
   <translation>Wert ist</translation>
  </message>
  <message>
   <source>Which values choose the colour.</source>
   <translation>Welche Werte die Farbe wählen.</translation>
  </message>
  <message>
   <source>Low values take the colours on the left, high ones those on the right. Click below the ramp to add a colour.</source>
   <translation>Kleine Werte nehmen die Farben links, große die rechts. Klick unter den Verlauf fügt eine Farbe hinzu.</translation>
  </message>
  <message>
   <source>0 keeps the colours as they were.</source>
   <translation>0 lässt die Farben, wie sie waren.</translation>
  </message>
  <message>
   <source>Mixed in</source>
   <translation>Gemischt in</translation>
  </message>
  <message>
   <source>Light mixes evenly in linear light; display values give the steps of a painted ramp.</source>
   <translation>Licht mischt sich in linearem Licht gleichmäßig; Anzeigewerte geben die Stufen eines gemalten Verlaufs.</translation>
  </message>
  <message>
   <source>Multiplies every colour; white leaves them alone.</source>
   <translation>Nimmt jede Farbe mal; Weiß lässt sie.</translation>
  </message>
  <message>
   <source>The light that is added.</source>
   <translation>Das Licht, das hinzukommt.</translation>
  </message>
  <message>
   <source>Gain</source>
   <translation>Stärke</translation>
  </message>
  <message>
   <source>How much of it; 0 adds nothing.</source>
   <translation>Wie viel davon; 0 fügt nichts hinzu.</translation>
  </message>
  <message>
   <source>By brightness</source>
   <translation>Nach Helligkeit</translation>
  </message>
  <message>
   <source>Bright parts take more of it, black ones none: tints a grey shape without filling its shadows.</source>
   <translation>Helle Teile nehmen mehr davon, schwarze nichts: tönt eine graue Form, ohne ihre Schatten zu füllen.</translation>
  </message>
  <message>
   <source>Mask</source>
   <translation>Maske</translation>
  </message>
  <message>
   <source>A fall-off with handles, strokes of a soft brush, another picture, or everywhere.</source>
   <translation>Ein Abfall mit Griffen, Striche eines weichen Pinsels, ein anderes Bild oder überall.</translation>
  </message>
  <message>
   <source>The mask: its alpha if it has one, else its luminance.</source>
   <translation>Die Maske: ihr Alpha, falls sie eins hat, sonst ihre Luminanz.</translation>
  </message>
  <message>
   <source>Strokes</source>
   <translation>Striche</translation>
  </message>
  <message>
   <source>Paint in the flat proof; each stroke can be undone.</source>
   <translation>Malen Sie in der Flachprobe; jeder Strich lässt sich zurücknehmen.</translation>
  </message>
  <message>
   <source>How much of the blurred copy is screened over; 0 adds nothing.</source>
   <translation>Wie viel der unscharfen Kopie darübergelegt wird; 0 fügt nichts hinzu.</translation>
  </message>
  <message>
   <source>Standard deviation of the blurred copy.</source>
   <translation>Standardabweichung der unscharfen Kopie.</translation>
  </message>
  <message>
   <source>Gradient map</source>
   <translation>Farbverlauf</translation>
  </message>
  <message>
   <source>Gives every value a colour out of a ramp; alpha stays apart.</source>
   <translation>Gibt jedem Wert eine Farbe aus einem Verlauf; Alpha bleibt außen vor.</translation>
  </message>
  <message>
   <source>Multiplies all colour by one.</source>
   <translation>Nimmt alle Farbe mit einer mal.</translation>
  </message>
  <message>
   <source>Add a tint</source>
   <translation>Tönung addieren</translation>
  </message>
  <message>
   <source>Adds coloured light where a soft mask says: a fall-off, brushed strokes, another picture.</source>
   <translation>Addiert farbiges Licht, wo eine weiche Maske es sagt: Abfall, Pinselstriche, ein anderes Bild.</translation>
  </message>
  <message>
   <source>Screens a blurred copy over the colour; alpha stays apart.</source>
   <translation>Legt eine unscharfe Kopie als Licht über die Farbe; Alpha bleibt außen vor.</translation>
  </message>
  <message>
   <source>a ramp needs at least two colours</source>
   <translation>ein Verlauf braucht wenigstens zwei Farben</translation>
  </message>
  <message>
   <source>a ramp's colours must stand between 0 and 1</source>
   <translation>die Farben eines Verlaufs müssen zwischen 0 und 1 stehen</translation>
  </message>
  <message>
   <source>A fall-off</source>
   <translation>Ein Abfall</translation>
  </message>
  <message>
   <source>Brushed strokes</source>
   <translation>Pinselstriche</translation>
  </message>
  <message>
   <source>Everywhere</source>
   <translation>Überall</translation>
  </message>
  <message>
   <source>Curve</source>
   <translation>Kurve</translation>
  </message>
  <message>
   <source>Values from left to right become the height of the curve; click to add a point, drag it out of the frame to remove it.</source>
   <translation>Werte von links nach rechts werden zur Höhe der Kurve; Klick fügt einen Punkt hinzu, aus dem Rahmen ziehen nimmt ihn weg.</translation>
  </message>
  <message>
   <source>The channel that is split.</source>
   <translation>Der Kanal, der geteilt wird.</translation>
  </message>
  <message>
   <source>From this value on it becomes 1, below it 0: a hard edge.</source>
   <translation>Ab diesem Wert wird es 1, darunter 0: eine harte Kante.</translation>
  </message>
  <message>
   <source>Becomes 0; raise it to eat into soft parts.</source>
   <translation>Wird 0; höher frisst es in Weiches.</translation>
  </message>
  <message>
   <source>High</source>
   <translation>Oben</translation>
  </message>
  <message>
   <source>Becomes 1; lower it to fill soft parts.</source>
   <translation>Wird 1; tiefer füllt es Weiches.</translation>
  </message>
  <message>
   <source>Bends alpha or colour along a curve drawn by hand.</source>
   <translation>Biegt Alpha oder Farbe entlang einer gezeichneten Kurve.</translation>
  </message>
  <message>
   <source>Makes every value 0 or 1: a hard edge.</source>
   <translation>Macht jeden Wert zu 0 oder 1: eine harte Kante.</translation>
  </message>
  <message>
   <source>Smoothstep</source>
   <translation>Weiche Stufe</translation>
  </message>
  <message>
   <source>Stretches a range of values with gentle ends.</source>
   <translation>Streckt einen Wertebereich mit sanften Enden.</translation>
  </message>
  <message>
   <source>a curve needs at least two points</source>
   <translation>eine Kurve braucht wenigstens zwei Punkte</translation>
  </message>
  <message>
   <source>a curve's points must stand from left to right</source>
   <translation>die Punkte einer Kurve müssen von links nach rechts stehen</translation>
  </message>
  <message>
   <source>a curve's points must lie between 0 and 1</source>
   <translation>die Punkte einer Kurve müssen zwischen 0 und 1 liegen</translation>
  </message>
  <message>
   <source>Remove matte</source>
   <translation>Hintergrundrest entfernen</translation>
  </message>
  <message>
   <source>Clean the dark, bright or coloured rim that a backdrop left in soft parts.</source>
   <translation>Säubert den dunklen, hellen oder farbigen Saum, den ein Hintergrund in Weichem ließ.</translation>
  </message>
  <message>
   <source>The backdrop the picture was cut from; its rim disappears from soft parts.</source>
   <translation>Der Hintergrund, aus dem das Bild geschnitten ist; sein Saum verschwindet aus Weichem.</translation>
  </message>
  <message>
   <source>Share</source>
   <translation>Anteil</translation>
  </message>
  <message>
   <source>How much of the matte is still there: 1 takes all of it out.</source>
   <translation>Wie viel vom Rest noch da ist: 1 nimmt alles heraus.</translation>
  </message>
  <message>
   <source>{share:.1%} of the soft texels are clipped: they cannot have lain over this matte.</source>
   <translation>{share} der weichen Texel werden abgeschnitten: sie können nicht über diesem Hintergrund gelegen haben.</translation>
  </message>
  <message>
   <source>Grey of the colour</source>
   <translation>Grau der Farbe</translation>
  </message>
  <message>
   <source>Motion between frames, across</source>
   <translation>Bewegung zwischen Bildern, quer</translation>
  </message>
  <message>
   <source>Motion between frames, down</source>
   <translation>Bewegung zwischen Bildern, abwärts</translation>
  </message>
  <message>
   <source>Normal across</source>
   <translation>Normale quer</translation>
  </message>
  <message>
   <source>Normal up</source>
   <translation>Normale hoch</translation>
  </message>
  <message>
   <source>Normal out</source>
   <translation>Normale heraus</translation>
  </message>
  <message>
   <source>Glow, red</source>
   <translation>Leuchten, rot</translation>
  </message>
  <message>
   <source>Glow, green</source>
   <translation>Leuchten, grün</translation>
  </message>
  <message>
   <source>Glow, blue</source>
   <translation>Leuchten, blau</translation>
  </message>
  <message>
   <source>Distance from the outline</source>
   <translation>Abstand vom Umriss</translation>
  </message>
  <message>
   <source>A layer's mask</source>
   <translation>Maske einer Ebene</translation>
  </message>
  <message>
   <source>As the overlay says</source>
   <translation>Wie das Overlay sagt</translation>
  </message>
  <message>
   <source>bit</source>
   <translation>Bit</translation>
  </message>
  <message>
   <source>Layer</source>
   <translation>Ebene</translation>
  </message>
  <message>
   <source>Which layer's mask, from the lowest up.</source>
   <translation>Die Maske welcher Ebene, von unten gezählt.</translation>
  </message>
  <message>
   <source>One minus the value: roughness delivered as smoothness, say.</source>
   <translation>Eins minus der Wert: Rauheit als Glätte geliefert etwa.</translation>
  </message>
  <message>
   <source>The number.</source>
   <translation>Die Zahl.</translation>
  </message>
  <message>
   <source>{name} stands for the overlay's name, {kind} for its kind.</source>
   <translation>{name} steht für den Namen des Overlays, {kind} für seine Art.</translation>
  </message>
  <message>
   <source>File</source>
   <translation>Datei</translation>
  </message>
  <message>
   <source>KTX 2 and TIFF hold every mip level as it was made.</source>
   <translation>KTX 2 und TIFF enthalten jede Mip-Stufe, wie sie gemacht wurde.</translation>
  </message>
  <message>
   <source>Finer steps at twice the size.</source>
   <translation>Feinere Stufen bei doppelter Größe.</translation>
  </message>
  <message>
   <source>Longest side</source>
   <translation>Längste Seite</translation>
  </message>
  <message>
   <source>Smaller than the overlay's own: filtered down with colour weighed by alpha; 0: its own.</source>
   <translation>Kleiner als das Overlay: gefiltert mit Farbe nach Alpha gewogen; 0: seine eigene.</translation>
  </message>
  <message>
   <source>Holds</source>
   <translation>Enthält</translation>
  </message>
  <message>
   <source>Colour is encoded and decoded by the receiver; data is read as it is.</source>
   <translation>Farbe wird kodiert und vom Empfänger dekodiert; Daten werden gelesen, wie sie sind.</translation>
  </message>
  <message>
   <source>Which way a normal map's second channel counts.</source>
   <translation>Wohin der zweite Kanal einer Normalenkarte zählt.</translation>
  </message>
  <message>
   <source>Alpha for</source>
   <translation>Alpha für</translation>
  </message>
  <message>
   <source>Receivers that sum display values need another alpha for the same look; it comes near over every backdrop.</source>
   <translation>Empfänger, die Anzeigewerte summieren, brauchen für dasselbe Aussehen ein anderes Alpha; es kommt ihm über jedem Hintergrund nahe.</translation>
  </message>
  <message>
   <source>Below clear texels</source>
   <translation>Unter klaren Texeln</translation>
  </message>
  <message>
   <source>Spread from the edges, whatever is filtered later finds no foreign colour; of straight colour beside its alpha.</source>
   <translation>Von den Kanten ausgebreitet, findet alles, was später filtert, keine fremde Farbe; bei freier Farbe neben ihrem Alpha.</translation>
  </message>
  <message>
   <source>Always</source>
   <translation>Immer</translation>
  </message>
  <message>
   <source>Written even where nothing but numbers would be in it.</source>
   <translation>Auch geschrieben, wo nur Zahlen darin wären.</translation>
  </message>
  <message>
   <source>What the recipe is called.</source>
   <translation>Wie das Rezept heißt.</translation>
  </message>
  <message>
   <source>Geometry</source>
   <translation>Geometrie</translation>
  </message>
  <message>
   <source>The placement as glTF 2.0: one file, or with pictures beside it.</source>
   <translation>Die Platzierung als glTF 2.0: eine Datei oder mit Bildern daneben.</translation>
  </message>
  <message>
   <source>Decals lifted</source>
   <translation>Decals gehoben</translation>
  </message>
  <message>
   <source>In glTF, what lies on a surface stands off it by its depth bias: viewers that know no bias would not show it.</source>
   <translation>In glTF steht, was auf einer Fläche liegt, um seinen Tiefenversatz ab: Betrachter, die keinen kennen, zeigten es nicht.</translation>
  </message>
  <message>
   <source>Motion</source>
   <translation>Bewegung</translation>
  </message>
  <message>
   <source>Effects that show it are written as motion files.</source>
   <translation>Effekte, die es zeigen, werden als Bewegungsdateien geschrieben.</translation>
  </message>
  <message>
   <source>A page with pictures, settings and findings.</source>
   <translation>Eine Seite mit Bildern, Einstellungen und Befunden.</translation>
  </message>
  <message>
   <source>Takes</source>
   <translation>Nimmt</translation>
  </message>
  <message>
   <source>What fills this channel.</source>
   <translation>Was diesen Kanal füllt.</translation>
  </message>
  <message>
   <source>Name or id of another overlay whose channel is taken; empty: this one.</source>
   <translation>Name oder Kennung eines anderen Overlays, dessen Kanal genommen wird; leer: dieses.</translation>
  </message>
  <message>
   <source>Feed of each channel.</source>
   <translation>Womit jeder Kanal gefüllt wird.</translation>
  </message>
  <message>
   <source>Pictures that are written.</source>
   <translation>Bilder, die geschrieben werden.</translation>
  </message>
  <message>
   <source>There is no delivery recipe “{key}”; there are {parts}.</source>
   <translation>Es gibt kein Lieferrezept „{key}“; es gibt {parts}.</translation>
  </message>
  <message>
   <source>mask of layer {layer}</source>
   <translation>Maske von Ebene {layer}</translation>
  </message>
  <message>
   <source>32, real numbers</source>
   <translation>32, reelle Zahlen</translation>
  </message>
  <message>
   <source>Data</source>
   <translation>Daten</translation>
  </message>
  <message>
   <source>Sums of light</source>
   <translation>Summen von Licht</translation>
  </message>
  <message>
   <source>Sums of display values</source>
   <translation>Summen von Anzeigewerten</translation>
  </message>
  <message>
   <source>Colour as it is</source>
   <translation>Farbe, wie sie ist</translation>
  </message>
  <message>
   <source>Colour spread from the edges</source>
   <translation>Farbe von den Kanten ausgebreitet</translation>
  </message>
  <message>
   <source>a name pattern is one file name and knows {name} and {kind} only</source>
   <translation>ein Namensmuster ist ein Dateiname und kennt nur {name} und {kind}</translation>
  </message>
  <message>
   <source>a file has one channel (red), three (red, green, blue), or four with alpha</source>
   <translation>eine Datei hat einen Kanal (red), drei (red, green, blue) oder vier mit alpha</translation>
  </message>
  <message>
   <source>glTF, one file</source>
   <translation>glTF, eine Datei</translation>
  </message>
  <message>
   <source>glTF, parts beside it</source>
   <translation>glTF, Teile daneben</translation>
  </message>
  <message>
   <source>two files of a recipe have the same name pattern</source>
   <translation>zwei Dateien eines Rezepts haben dasselbe Namensmuster</translation>
  </message>
  <message>
   <source>{what} is not a delivery recipe.</source>
   <translation>{what} ist kein Lieferrezept.</translation>
  </message>
  <message>
   <source>{what} was made for a newer Mivex (delivery recipe {version}; this one reads {recipe_version}).</source>
   <translation>{what} ist für ein neueres Mivex gemacht (Lieferrezept {version}; dieses liest {recipe_version}).</translation>
  </message>
  <message>
   <source>{what}: it writes nothing.</source>
   <translation>{what}: es schreibt nichts.</translation>
  </message>
  <message>
   <source> of {overlay}</source>
   <translation> von {overlay}</translation>
  </message>
  <message>
   <source>{split} holds {parts} bits a channel, not {bits}</source>
   <translation>{split} hält {parts} Bit je Kanal, nicht {bits}</translation>
  </message>
  <message>
   <source>{what}: {name} has no setting “{model_extra}”.</source>
   <translation>{what}: {name} hat keine Einstellung „{model_extra}“.</translation>
  </message>
  <message>
   <source> or </source>
   <translation> oder </translation>
  </message>
  <message>
   <source>a channel of “{pattern}”</source>
   <translation>ein Kanal von „{pattern}“</translation>
  </message>
  <message>
   <source>{name}, changed</source>
   <translation>{name}, geändert</translation>
  </message>
  <message>
   <source>a pixel</source>
   <translation>je Pixel</translation>
  </message>
  <message>
   <source>Colour is decoded to light before it is filtered; data is filtered as it is.</source>
   <translation>Farbe wird zu Licht dekodiert, ehe sie gefiltert wird; Daten werden gefiltert, wie sie sind.</translation>
  </message>
  <message>
   <source>Colour stored</source>
   <translation>Farbe liegt</translation>
  </message>
  <message>
   <source>Premultiplied pictures are divided by their alpha first.</source>
   <translation>Vormultiplizierte Bilder werden erst durch ihr Alpha geteilt.</translation>
  </message>
  <message>
   <source>All but the last hold straight alpha and the colour beneath it; KTX 2 every mip level, its colour weighed by alpha; TIFF those that keep coverage. 24 bit has no alpha: for Solid only.</source>
   <translation>Alle bis auf das letzte halten gerades Alpha und die Farbe darunter; KTX 2 jede Mip-Stufe, Farbe nach Alpha gewogen; TIFF die, die Deckung halten. 24 Bit hat kein Alpha: nur für Solid.</translation>
  </message>
  <message>
   <source>Finer alpha steps at twice the size; TGA holds 8.</source>
   <translation>Feinere Alphastufen bei doppelter Größe; TGA hält 8.</translation>
  </message>
  <message>
   <source>Name of the file without ending; empty: the overlay's own name.</source>
   <translation>Name der Datei ohne Endung; leer: Name des Overlays.</translation>
  </message>
  <message>
   <source>Size budget</source>
   <translation>Größenbudget</translation>
  </message>
  <message>
   <source>Largest side that the receiver wants; larger is a finding. 0: any.</source>
   <translation>Längste Seite, die der Empfänger will; länger ist ein Befund. 0: jede.</translation>
  </message>
  <message>
   <source>Overdraw budget</source>
   <translation>Übermal-Budget</translation>
  </message>
  <message>
   <source>Fragments a pixel that the artist allows; more is a finding.</source>
   <translation>Fragmente je Pixel, die erlaubt sind; mehr ist ein Befund.</translation>
  </message>
  <message>
   <source>Relative to the project file, or absolute; empty: none yet.</source>
   <translation>Relativ zur Projektdatei oder absolut; leer: noch keins.</translation>
  </message>
  <message>
   <source>Width and height of an empty start, where there is no picture; text, shapes and noise are drawn on it.</source>
   <translation>Breite und Höhe eines leeren Anfangs ohne Bild; Text, Formen und Rauschen werden darauf gezeichnet.</translation>
  </message>
  <message>
   <source>Recipe</source>
   <translation>Rezept</translation>
  </message>
  <message>
   <source>Delivery recipe: key of one that comes with Mivex, or name of one of the project's; empty: the whole surface.</source>
   <translation>Lieferrezept: Schlüssel eines mitgelieferten oder Name eines eigenen; leer: die ganze Oberfläche.</translation>
  </message>
  <message>
   <source>A picture that is looked at beside it; relative to the project file, or absolute.</source>
   <translation>Ein Bild, das daneben angesehen wird; relativ zur Projektdatei oder absolut.</translation>
  </message>
  <message>
   <source>Id of the overlay whose material it follows; empty: none.</source>
   <translation>Kennung des Overlays, dessen Material es folgt; leer: keines.</translation>
  </message>
  <message>
   <source>Settings of its material that are its own.</source>
   <translation>Einstellungen seines Materials, die eigene sind.</translation>
  </message>
  <message>
   <source>The picture; relative to the project file, or absolute.</source>
   <translation>Das Bild; relativ zur Projektdatei oder mit ganzem Pfad.</translation>
  </message>
  <message>
   <source>Ids of the findings that do not count.</source>
   <translation>Kennungen der Befunde, die nicht zählen.</translation>
  </message>
  <message>
   <source>Why, in the artist's words.</source>
   <translation>Warum, in eigenen Worten.</translation>
  </message>
  <message>
   <source>Of the file that was looked at: another picture counts again.</source>
   <translation>Der Datei, die angesehen wurde: Ein anderes Bild zählt wieder.</translation>
  </message>
  <message>
   <source>Groups of emitters, whose particles show overlays.</source>
   <translation>Gruppen von Quellen, deren Teilchen Overlays zeigen.</translation>
  </message>
  <message>
   <source>Delivery recipes of the project's own.</source>
   <translation>Eigene Lieferrezepte des Projekts.</translation>
  </message>
  <message>
   <source>Findings of picture files that were looked at and let stand.</source>
   <translation>Befunde von Bilddateien, die angesehen und so gelassen wurden.</translation>
  </message>
  <message>
   <source>Which findings do not count, where no file of limits is given.</source>
   <translation>Welche Befunde nicht zählen, wo keine Datei mit Grenzen angegeben ist.</translation>
  </message>
  <message>
   <source>What receivers do, as pictures of the test card told.</source>
   <translation>Was Empfänger tun, wie Bilder der Testkarte es sagten.</translation>
  </message>
  <message>
   <source>Guess</source>
   <translation>Raten</translation>
  </message>
  <message>
   <source>TGA, 32 bit</source>
   <translation>TGA, 32 Bit</translation>
  </message>
  <message>
   <source>TGA, 24 bit, no alpha</source>
   <translation>TGA, 24 Bit, ohne Alpha</translation>
  </message>
  <message>
   <source>width and height must both be 0, or {words}</source>
   <translation>Breite und Höhe müssen beide 0 sein oder {words}</translation>
  </message>
  <message>
   <source>“{unknown}” is no setting of a material</source>
   <translation>„{unknown}“ ist keine Einstellung eines Materials</translation>
  </message>
  <message>
   <source>Part {number}</source>
   <translation>Teil {number}</translation>
  </message>
  <message>
   <source>{name} copy</source>
   <translation>{name} Kopie</translation>
  </message>
  <message>
   <source>The prepared picture</source>
   <translation>Das vorbereitete Bild</translation>
  </message>
  <message>
   <source>“{name}” has no picture yet.</source>
   <translation>„{name}“ hat noch kein Bild.</translation>
  </message>
  <message>
   <source>{slot} layers</source>
   <translation>{slot} Ebenen</translation>
  </message>
  <message>
   <source>{what} is not a Mivex project.</source>
   <translation>{what} ist kein Mivex-Projekt.</translation>
  </message>
  <message>
   <source>{what} does not say which version it is: “mivex” must be a whole number from 1 on.</source>
   <translation>{what} sagt nicht, welche Version es ist: „mivex“ muss eine ganze Zahl ab 1 sein.</translation>
  </message>
  <message>
   <source>{what} was saved by a newer Mivex (format {version}; this one reads up to {version2}). It was left untouched.</source>
   <translation>{what} stammt von einem neueren Mivex (Format {version}; dieses liest bis {version2}). Es blieb unberührt.</translation>
  </message>
  <message>
   <source>{what}: two overlays have the same id.</source>
   <translation>{what}: zwei Overlays haben dieselbe Kennung.</translation>
  </message>
  <message>
   <source>“{name}” was changed on disk by somebody else since it was opened; it was not overwritten.</source>
   <translation>„{name}“ wurde seit dem Öffnen von jemand anderem geändert; es wurde nicht überschrieben.</translation>
  </message>
  <message>
   <source>{what} has {count:,} overlays; Mivex takes {most_overlays:,}.</source>
   <translation>{what} hat {count} Overlays; Mivex nimmt {most_overlays}.</translation>
  </message>
  <message>
   <source>{what} is nested too deeply.</source>
   <translation>{what} ist zu tief verschachtelt.</translation>
  </message>
  <message>
   <source> and {count} more</source>
   <translation> und {count} mehr</translation>
  </message>
  <message>
   <source>The folder “{target}” cannot be made: {e}.</source>
   <translation>Der Ordner „{target}“ lässt sich nicht anlegen: {e}.</translation>
  </message>
  <message>
   <source>The folder for unsaved work cannot be made: {strerror}.</source>
   <translation>Der Ordner für Ungesichertes lässt sich nicht anlegen: {strerror}.</translation>
  </message>
  <message>
   <source>The work kept aside</source>
   <translation>Die beiseitegelegte Arbeit</translation>
  </message>
  <message>
   <source>Group</source>
   <translation>Gruppe</translation>
  </message>
  <message>
   <source>“{name}” has no layer “{which}”.</source>
   <translation>„{name}“ hat keine Ebene „{which}“.</translation>
  </message>
  <message>
   <source>“dials” is a list of open settings by name.</source>
   <translation>„dials“ ist eine Liste offener Einstellungen nach Namen.</translation>
  </message>
  <message>
   <source>“by” is a whole number.</source>
   <translation>„by“ ist eine ganze Zahl.</translation>
  </message>
  <message>
   <source>“{what}” is no list of edits.</source>
   <translation>„{what}“ ist keine Liste von Änderungen.</translation>
  </message>
  <message>
   <source>“{what}” has {count} edits; at most {most} go into one list.</source>
   <translation>„{what}“ hat {count} Änderungen; höchstens {most} gehen in eine Liste.</translation>
  </message>
  <message>
   <source>it does “{does}”; there are {names}.</source>
   <translation>sie macht „{does}“; es gibt {names}.</translation>
  </message>
  <message>
   <source>“{does}” needs “{key}”.</source>
   <translation>„{does}“ braucht „{key}“.</translation>
  </message>
  <message>
   <source>“{does}” has no “{key}”.</source>
   <translation>„{does}“ hat kein „{key}“.</translation>
  </message>
  <message>
   <source>the project has no overlay “{which}”.</source>
   <translation>das Projekt hat kein Overlay „{which}“.</translation>
  </message>
  <message>
   <source>“{at}” cannot be set.</source>
   <translation>„{at}“ lässt sich nicht setzen.</translation>
  </message>
  <message>
   <source>“{what}” is not a JSON text, or is cut short.</source>
   <translation>„{what}“ ist kein JSON-Text oder abgeschnitten.</translation>
  </message>
  <message>
   <source>“{key}” is a text.</source>
   <translation>„{key}“ ist ein Text.</translation>
  </message>
  <message>
   <source>“{build}” has no “{name}”; it has {names}.</source>
   <translation>„{build}“ hat kein „{name}“; es hat {names}.</translation>
  </message>
  <message>
   <source>the layer has nothing at “{at}”.</source>
   <translation>die Ebene hat nichts bei „{at}“.</translation>
  </message>
  <message>
   <source>Edit {number}: {e}</source>
   <translation>Änderung {number}: {e}</translation>
  </message>
  <message>
   <source>Edit {number}: {where}: {text}.</source>
   <translation>Änderung {number}: {where}: {text}.</translation>
  </message>
  <message>
   <source>list of edits</source>
   <translation>Liste von Änderungen</translation>
  </message>
  <message>
   <source>“{names}” and “{names2}” would use each other's result; neither can come first.</source>
   <translation>„{names}“ und „{names2}“ benutzten das Ergebnis des anderen; keines kann zuerst kommen.</translation>
  </message>
  <message>
   <source>“{names}” cannot use its own result.</source>
   <translation>„{names}“ kann nicht sein eigenes Ergebnis benutzen.</translation>
  </message>
  <message>
   <source>the overlay that it reads is gone.</source>
   <translation>das Overlay, das es liest, ist fort.</translation>
  </message>
  <message>
   <source>“{name}”: {kind} from the mesh</source>
   <translation>„{name}“: {kind} vom Netz</translation>
  </message>
  <message>
   <source>“{name}” and “{name2}” use each other.</source>
   <translation>„{name}“ und „{name2}“ benutzen einander.</translation>
  </message>
  <message>
   <source>its UVs lie over each other on {share:.0%} of the picture.</source>
   <translation>seine UVs liegen auf {share:.0%} des Bildes übereinander.</translation>
  </message>
  <message>
   <source>Ids of findings that never count; * stands for anything.</source>
   <translation>Kennungen von Befunden, die nie zählen; * steht für alles.</translation>
  </message>
  <message>
   <source>Ids of findings that do not count up to a figure.</source>
   <translation>Kennungen von Befunden, die bis zu einer Zahl nicht zählen.</translation>
  </message>
  <message>
   <source>Texels; a picture with a longer side fails. 0: any.</source>
   <translation>Texel; ein Bild mit längerer Seite fällt durch. 0: jede.</translation>
  </message>
  <message>
   <source>Path of the picture, or name of the overlay; * and ? stand for anything.</source>
   <translation>Pfad des Bildes oder Name des Overlays; * und ? stehen für alles.</translation>
  </message>
  <message>
   <source>the layer is switched off.</source>
   <translation>die Ebene ist ausgeschaltet.</translation>
  </message>
  <message>
   <source>The layer is gone.</source>
   <translation>Die Ebene ist fort.</translation>
  </message>
  <message>
   <source>a layer</source>
   <translation>eine Ebene</translation>
  </message>
  <message>
   <source>What the receiver is called.</source>
   <translation>Wie der Empfänger heißt.</translation>
  </message>
  <message>
   <source>Answer to each question of the test card; a question that is open is left out.</source>
   <translation>Antwort auf jede Frage der Testkarte; eine offene Frage fehlt.</translation>
  </message>
  <message>
   <source>There is no receiver “{key}”; the project has {parts}.</source>
   <translation>Es gibt keinen Empfänger „{key}“; das Projekt hat {parts}.</translation>
  </message>
  <message>
   <source>{what} is no receiver’s profile.</source>
   <translation>{what} ist kein Profil eines Empfängers.</translation>
  </message>
  <message>
   <source>{what} was made for a newer Mivex (receiver {version}; this one reads {own}).</source>
   <translation>{what} wurde für ein neueres Mivex gemacht (Empfänger {version}; dieses liest {own}).</translation>
  </message>
  <message>
   <source>There is no receiver “{key}”: name a file that “mivex card read --out” wrote, or one of the project’s.</source>
   <translation>Es gibt keinen Empfänger „{key}“: eine Datei nennen, die „mivex card read --out“ schrieb, oder einen des Projekts.</translation>
  </message>
  <message>
   <source>the test card does not ask for “{question}”</source>
   <translation>die Testkarte fragt nicht nach „{question}“</translation>
  </message>
  <message>
   <source>“{value}” is no answer to “{question}”; there are {parts}</source>
   <translation>„{value}“ ist keine Antwort auf „{question}“; es gibt {parts}</translation>
  </message>
  <message>
   <source>{what}: “{tag}” is not a step Mivex knows ({parts}).</source>
   <translation>{what}: „{tag}“ ist kein Schritt, den Mivex kennt ({parts}).</translation>
  </message>
  <message>
   <source>{what}: {where} does not say which step it is.</source>
   <translation>{what}: {where} sagt nicht, welcher Schritt es ist.</translation>
  </message>
  <message>
   <source>an entry</source>
   <translation>ein Eintrag</translation>
  </message>
  <message>
   <source>{what} has {count:,} steps; Mivex takes {most_steps}.</source>
   <translation>{what} hat {count} Schritte; Mivex nimmt {most_steps}.</translation>
  </message>
  <message>
   <source>{what} is nested more than {deepest} levels deep.</source>
   <translation>{what} ist mehr als {deepest} Ebenen tief verschachtelt.</translation>
  </message>
  <message>
   <source>“{name}” holds half a character (a lone surrogate), which is no text.</source>
   <translation>„{name}“ enthält ein halbes Zeichen (ein einzelnes Surrogat), das ist kein Text.</translation>
  </message>
  <message>
   <source>“{name}” is not a JSON text, or is cut short.</source>
   <translation>„{name}“ ist kein JSON-Text oder ist abgeschnitten.</translation>
  </message>
  <message>
   <source>{what}: step {number}, {name}, has no setting “{word}” (it has {known}).</source>
   <translation>{what}: Schritt {number}, {name}, hat keine Einstellung „{word}“ (er hat {known}).</translation>
  </message>
  <message>
   <source>Above: true size, as filtered and as it should be</source>
   <translation>Oben: wahre Größe, wie gefiltert und wie es sein sollte</translation>
  </message>
  <message>
   <source>filtered straight, as hardware does</source>
   <translation>gerade gefiltert, wie Hardware es tut</translation>
  </message>
  <message>
   <source>filtered premultiplied, as it should be</source>
   <translation>vormultipliziert gefiltert, wie es sein sollte</translation>
  </message>
  <message>
   <source>the difference, × {difference_gain}</source>
   <translation>der Unterschied, × {difference_gain}</translation>
  </message>
  <message>
   <source>cut at one half</source>
   <translation>bei einer Hälfte geschnitten</translation>
  </message>
  <message>
   <source>plain alpha</source>
   <translation>bloßes Alpha</translation>
  </message>
  <message>
   <source>Levels 1 to {far_count}: {text}</source>
   <translation>Stufen 1 bis {far_count}: {text}</translation>
  </message>
  <message>
   <source>outermost {border_depth} texels of each side, enlarged</source>
   <translation>äußerste {border_depth} Texel jeder Seite, vergrößert</translation>
  </message>
  <message>
   <source>Result</source>
   <translation>Ergebnis</translation>
  </message>
  <message>
   <source>Colour alone</source>
   <translation>Nur Farbe</translation>
  </message>
  <message>
   <source>Fringe</source>
   <translation>Saum</translation>
  </message>
  <message>
   <source>Lit as normals</source>
   <translation>Als Normalen belichtet</translation>
  </message>
  <message>
   <source>Every mip level</source>
   <translation>Jede Mip-Stufe</translation>
  </message>
  <message>
   <source>Far sizes</source>
   <translation>Aus der Ferne</translation>
  </message>
  <message>
   <source>All backdrops</source>
   <translation>Alle Hintergründe</translation>
  </message>
  <message>
   <source>Repeated 3 × 3</source>
   <translation>3 × 3 wiederholt</translation>
  </message>
  <message>
   <source>Its border</source>
   <translation>Sein Rand</translation>
  </message>
  <message>
   <source>Magnified</source>
   <translation>Vergrößert</translation>
  </message>
  <message>
   <source>Black</source>
   <translation>Schwarz</translation>
  </message>
  <message>
   <source>Mid grey</source>
   <translation>Mittelgrau</translation>
  </message>
  <message>
   <source>White</source>
   <translation>Weiß</translation>
  </message>
  <message>
   <source>Checker</source>
   <translation>Karo</translation>
  </message>
  <message>
   <source>A colour</source>
   <translation>Eine Farbe</translation>
  </message>
  <message>
   <source>Bright wall</source>
   <translation>Helle Wand</translation>
  </message>
  <message>
   <source>Dark wall</source>
   <translation>Dunkle Wand</translation>
  </message>
  <message>
   <source>Nothing that is seen of “{name}” has a seed: no noise, no seeded pattern.</source>
   <translation>Nichts Sichtbares an „{name}“ hat einen Seed: kein Rauschen, kein Muster mit Seed.</translation>
  </message>
  <message>
   <source>“{name}” has no number at “{at}”.</source>
   <translation>„{name}“ hat keine Zahl bei „{at}“.</translation>
  </message>
  <message>
   <source>With that setting the frames differ in size; crop or trim afterwards.</source>
   <translation>Mit dieser Einstellung sind die Bilder verschieden groß; danach zuschneiden.</translation>
  </message>
  <message>
   <source>“{setting}” may be {low:g} to {high:g}, not {value:g}.</source>
   <translation>„{setting}“ darf {low:g} bis {high:g} sein, nicht {value:g}.</translation>
  </message>
  <message>
   <source>Whole frame inside</source>
   <translation>Ganzes Bild hinein</translation>
  </message>
  <message>
   <source>Fills the cell</source>
   <translation>Füllt die Zelle</translation>
  </message>
  <message>
   <source>As large as it is</source>
   <translation>So groß, wie es ist</translation>
  </message>
  <message>
   <source>The frames' middle</source>
   <translation>Die Mitte der Bilder</translation>
  </message>
  <message>
   <source>Centre of what is seen</source>
   <translation>Mitte des Sichtbaren</translation>
  </message>
  <message>
   <source>Foot of its box</source>
   <translation>Fuß des Kastens</translation>
  </message>
  <message>
   <source>The sheet</source>
   <translation>Der Bogen</translation>
  </message>
  <message>
   <source>There are no frames to build a sheet from.</source>
   <translation>Es gibt keine Bilder für einen Bogen.</translation>
  </message>
  <message>
   <source>{count} frames are more than a sheet may have ({most}).</source>
   <translation>{count} Bilder sind mehr, als ein Bogen haben darf ({most}).</translation>
  </message>
  <message>
   <source>{columns} × {rows} cells are more than 64 in a row or a column.</source>
   <translation>{columns} × {rows} Zellen sind mehr als 64 in einer Zeile oder Spalte.</translation>
  </message>
  <message>
   <source>“{label}” would give the cells of the sheet different sizes; they keep one size.</source>
   <translation>„{label}“ gäbe den Zellen des Bogens verschiedene Größen; sie behalten eine Größe.</translation>
  </message>
  <message>
   <source>Motion vectors lie between frames, and this picture is no sheet.</source>
   <translation>Bewegungsvektoren liegen zwischen Bildern, und dieses Bild ist kein Bogen.</translation>
  </message>
  <message>
   <source>frames that look alike; parts of it differ</source>
   <translation>Bilder, die einander ähneln; Teile davon sind anders</translation>
  </message>
  <message>
   <source>It looks like one picture.</source>
   <translation>Es sieht aus wie ein einziges Bild.</translation>
  </message>
  <message>
   <source>Most of the cells that it might have are empty.</source>
   <translation>Die meisten Zellen, die es haben könnte, sind leer.</translation>
  </message>
  <message>
   <source>It is too small for a sheet.</source>
   <translation>Es ist zu klein für einen Bogen.</translation>
  </message>
  <message>
   <source>drawn lines</source>
   <translation>gezeichnete Linien</translation>
  </message>
  <message>
   <source>frames that look alike</source>
   <translation>Bilder, die sich gleichen</translation>
  </message>
  <message>
   <source>Half as many frames, against the true ones: held {stepped:.1f}, faded {faded:.1f}, moved {moved:.1f} of 255.</source>
   <translation>Halb so viele Bilder, gegen die wahren: gehalten {stepped:.1f}, überblendet {faded:.1f}, bewegt {moved:.1f} von 255.</translation>
  </message>
  <message>
   <source>To and fro</source>
   <translation>Hin und her</translation>
  </message>
  <message>
   <source>One each, by chance</source>
   <translation>Jedes eins, per Zufall</translation>
  </message>
  <message>
   <source>Columns</source>
   <translation>Spalten</translation>
  </message>
  <message>
   <source>Cells across.</source>
   <translation>Zellen quer.</translation>
  </message>
  <message>
   <source>Rows</source>
   <translation>Zeilen</translation>
  </message>
  <message>
   <source>Cells down.</source>
   <translation>Zellen abwärts.</translation>
  </message>
  <message>
   <source>Begins across</source>
   <translation>Beginnt quer</translation>
  </message>
  <message>
   <source>Texels before the first cell.</source>
   <translation>Texel vor der ersten Zelle.</translation>
  </message>
  <message>
   <source>Begins down</source>
   <translation>Beginnt abwärts</translation>
  </message>
  <message>
   <source>Texels above the first cell.</source>
   <translation>Texel über der ersten Zelle.</translation>
  </message>
  <message>
   <source>Cell's width</source>
   <translation>Zellenbreite</translation>
  </message>
  <message>
   <source>Texels; 0: what is left is shared out evenly.</source>
   <translation>Texel; 0: was bleibt, wird gleichmäßig geteilt.</translation>
  </message>
  <message>
   <source>Cell's height</source>
   <translation>Zellenhöhe</translation>
  </message>
  <message>
   <source>Gutter</source>
   <translation>Steg</translation>
  </message>
  <message>
   <source>Texels between cells.</source>
   <translation>Texel zwischen Zellen.</translation>
  </message>
  <message>
   <source>How many of the cells are frames, row by row; 0: all.</source>
   <translation>Wie viele der Zellen Bilder sind, Zeile für Zeile; 0: alle.</translation>
  </message>
  <message>
   <source>Plays</source>
   <translation>Spielt</translation>
  </message>
  <message>
   <source>How its frames follow one another.</source>
   <translation>Wie seine Bilder einander folgen.</translation>
  </message>
  <message>
   <source>Frames a second.</source>
   <translation>Bilder in der Sekunde.</translation>
  </message>
  <message>
   <source>Blends frames</source>
   <translation>Blendet Bilder</translation>
  </message>
  <message>
   <source>Fades from each frame to the next instead of stepping.</source>
   <translation>Blendet von Bild zu Bild, statt zu springen.</translation>
  </message>
  <message>
   <source>Moves between</source>
   <translation>Bewegt dazwischen</translation>
  </message>
  <message>
   <source>Between two frames what is seen is moved along motion vectors, not only faded: fewer frames look as smooth. Their vectors are delivered too.</source>
   <translation>Zwischen zwei Bildern wird, was zu sehen ist, entlang von Bewegungsvektoren bewegt, nicht nur überblendet: weniger Bilder wirken ebenso flüssig. Die Vektoren werden mitgeliefert.</translation>
  </message>
  <message>
   <source>Corners of the polygon that is drawn in place of the whole cell: less empty area is filled; 0: the cell.</source>
   <translation>Ecken des Vielecks, das statt der ganzen Zelle gezeichnet wird: weniger Leeres wird gefüllt; 0: die Zelle.</translation>
  </message>
  <message>
   <source>Every frame has an outline of its own; off: one that holds them all.</source>
   <translation>Jedes Bild hat seinen eigenen Umriss; aus: einer, der alle hält.</translation>
  </message>
  <message>
   <source>Outline from</source>
   <translation>Umriss ab</translation>
  </message>
  <message>
   <source>Alpha that the outline must hold.</source>
   <translation>Alpha, das der Umriss halten muss.</translation>
  </message>
  <message>
   <source>Cells among them that hold no frame, counted row by row from 0.</source>
   <translation>Zellen darunter, die kein Bild halten, Zeile für Zeile ab 0 gezählt.</translation>
  </message>
  <message>
   <source>One after the other; none: the picture is no sheet.</source>
   <translation>Eins nach dem anderen; keins: das Bild ist kein Bogen.</translation>
  </message>
  <message>
   <source>{columns} × {rows} cells of {w:.4g} × {h:.4g} do not fit into {width} × {height}.</source>
   <translation>{columns} × {rows} Zellen von {w} × {h} passen nicht in {width} × {height}.</translation>
  </message>
  <message>
   <source>nothing of the mesh lies within the picture; its UVs are elsewhere.</source>
   <translation>nichts vom Netz liegt im Bild; seine UVs sind anderswo.</translation>
  </message>
  <message>
   <source>Dock</source>
   <translation>Dock</translation>
  </message>
  <message>
   <source>Hull</source>
   <translation>Rumpf</translation>
  </message>
  <message>
   <source>Floor</source>
   <translation>Boden</translation>
  </message>
  <message>
   <source>Far</source>
   <translation>Fern</translation>
  </message>
  <message>
   <source>“{part}” is no range of faces.</source>
   <translation>„{part}“ ist kein Bereich von Flächen.</translation>
  </message>
  <message>
   <source>stops</source>
   <translation>Blenden</translation>
  </message>
  <message>
   <source>Overcast</source>
   <translation>Bedeckt</translation>
  </message>
  <message>
   <source>An even sky: soft, without colour; faults of alpha show best.</source>
   <translation>Ein gleichmäßiger Himmel: weich, farblos; Fehler im Alpha zeigen sich am besten.</translation>
  </message>
  <message>
   <source>Work hall</source>
   <translation>Werkhalle</translation>
  </message>
  <message>
   <source>Strip lights over a grey hall, without colour.</source>
   <translation>Leuchtbänder über einer grauen Halle, farblos.</translation>
  </message>
  <message>
   <source>Small lights</source>
   <translation>Kleine Lichter</translation>
  </message>
  <message>
   <source>A few small lights in a dark room, without colour: what is smooth glints.</source>
   <translation>Ein paar kleine Lichter in einem dunklen Raum, farblos: Glattes glänzt.</translation>
  </message>
  <message>
   <source>Evening</source>
   <translation>Abend</translation>
  </message>
  <message>
   <source>A low warm sun under a blue sky. Coloured: it misleads the eye on purpose.</source>
   <translation>Tiefe warme Sonne unter blauem Himmel. Farbig: es täuscht das Auge mit Absicht.</translation>
  </message>
  <message>
   <source>Environment</source>
   <translation>Umgebung</translation>
  </message>
  <message>
   <source>What is mirrored, and the light from all round.</source>
   <translation>Was gespiegelt wird, und das Licht von ringsum.</translation>
  </message>
  <message>
   <source>Turns the environment round the stage.</source>
   <translation>Dreht die Umgebung um die Bühne.</translation>
  </message>
  <message>
   <source>Ambient light</source>
   <translation>Umgebungslicht</translation>
  </message>
  <message>
   <source>Brightness of everything that comes from all round.</source>
   <translation>Helligkeit von allem, was von ringsum kommt.</translation>
  </message>
  <message>
   <source>Brightness of the one lamp, far away; 0 puts it out.</source>
   <translation>Helligkeit der einen Lampe, weit fort; 0 löscht sie.</translation>
  </message>
  <message>
   <source>Lamp direction</source>
   <translation>Richtung der Lampe</translation>
  </message>
  <message>
   <source>Direction round the stage that the lamp shines from.</source>
   <translation>Richtung um die Bühne, aus der die Lampe scheint.</translation>
  </message>
  <message>
   <source>Lamp height</source>
   <translation>Lampenhöhe</translation>
  </message>
  <message>
   <source>Height of the lamp over the horizon; low ones cast long shadows.</source>
   <translation>Höhe der Lampe über dem Horizont; tiefe werfen lange Schatten.</translation>
  </message>
  <message>
   <source>Shadows</source>
   <translation>Schatten</translation>
  </message>
  <message>
   <source>What is solid, cut out or dithered keeps the lamp off what lies behind.</source>
   <translation>Festes, Ausgeschnittenes und Gerastertes hält die Lampe von dem ab, was dahinter liegt.</translation>
  </message>
  <message>
   <source>Exposure</source>
   <translation>Belichtung</translation>
  </message>
  <message>
   <source>Brightness of the whole picture in stops; overlays are not changed.</source>
   <translation>Helligkeit des ganzen Bilds in Blenden; Overlays ändern sich nicht.</translation>
  </message>
  <message>
   <source>View curve</source>
   <translation>Sichtkurve</translation>
  </message>
  <message>
   <source>Plain cuts off at white; soft bends the brightest fifth over, so that light keeps shape.</source>
   <translation>Einfach schneidet bei Weiß ab; weich biegt das hellste Fünftel um, sodass Licht Form behält.</translation>
  </message>
  <message>
   <source>Linear light, or display values, as some receivers do: soft edges and faint layers look otherwise there.</source>
   <translation>Lineares Licht, oder Anzeigewerte wie manche Empfänger: weiche Kanten und blasse Ebenen sehen dort anders aus.</translation>
  </message>
  <message>
   <source>Evening, coloured</source>
   <translation>Abend, farbig</translation>
  </message>
  <message>
   <source>Soft shoulder</source>
   <translation>Weiche Schulter</translation>
  </message>
  <message>
   <source>Order map</source>
   <translation>Ordnungskarte</translation>
  </message>
  <message>
   <source>Overdraw</source>
   <translation>Übermalen</translation>
  </message>
  <message>
   <source>Normals</source>
   <translation>Normalen</translation>
  </message>
  <message>
   <source>Mip level</source>
   <translation>Mip-Stufe</translation>
  </message>
  <message>
   <source>What a renderer with these settings draws.</source>
   <translation>Was ein Renderer mit diesen Einstellungen zeichnet.</translation>
  </message>
  <message>
   <source>How far the picture is from one in exact order: bright is wrong.</source>
   <translation>Wie weit das Bild von einem in genauer Reihenfolge abweicht: hell ist falsch.</translation>
  </message>
  <message>
   <source>Fragments that overlays spend on each pixel; hatched: most change nothing.</source>
   <translation>Fragmente, die Overlays je Pixel verbrauchen; schraffiert: die meisten ändern nichts.</translation>
  </message>
  <message>
   <source>What the depth test compares with, once all is drawn; near is bright.</source>
   <translation>Womit der Tiefentest vergleicht, wenn alles gezeichnet ist; nah ist hell.</translation>
  </message>
  <message>
   <source>Which way what is seen faces: red right, green up, blue towards you.</source>
   <translation>Wohin das Sichtbare schaut: rot rechts, grün oben, blau zu Ihnen.</translation>
  </message>
  <message>
   <source>Which mip level is read: dark is the finest.</source>
   <translation>Welche Mip-Stufe gelesen wird: dunkel ist die feinste.</translation>
  </message>
  <message>
   <source>Alpha of the stage, as it would be delivered over nothing.</source>
   <translation>Alpha der Bühne, wie es über nichts geliefert würde.</translation>
  </message>
  <message>
   <source>towards you</source>
   <translation>zu Ihnen</translation>
  </message>
  <message>
   <source>“{name}” is no view of the stage; there are {parts}.</source>
   <translation>„{name}“ ist keine Ansicht der Bühne; es gibt {parts}.</translation>
  </message>
  <message>
   <source>UVs of a second set</source>
   <translation>UVs eines zweiten Satzes</translation>
  </message>
  <message>
   <source>colours of corners</source>
   <translation>Eckenfarben</translation>
  </message>
  <message>
   <source>{subject} has triangles of corners that are not there.</source>
   <translation>{subject} hat Dreiecke aus Ecken, die es nicht gibt.</translation>
  </message>
  <message>
   <source>{subject} has {what} that do not fit its corners: {parts}, where {n}x{wide} are due.</source>
   <translation>{subject} hat {what}, die nicht zu den Ecken passen: {parts}, wo {n}x{wide} nötig sind.</translation>
  </message>
  <message>
   <source>{subject} has {what} that are no numbers, or beyond {far:,.0f}.</source>
   <translation>{subject} hat {what}, die keine Zahlen sind oder jenseits von {far} liegen.</translation>
  </message>
  <message>
   <source>Only a part of it has a second UV set.</source>
   <translation>Nur ein Teil davon hat ein zweites UV-Set.</translation>
  </message>
  <message>
   <source>“{name}” cannot be read as a mesh: {decode}.</source>
   <translation>„{name}“ lässt sich nicht als Netz lesen: {decode}.</translation>
  </message>
  <message>
   <source>“{name}” is no mesh that can be read here; OBJ, PLY and glTF can.</source>
   <translation>„{name}“ ist kein Netz, das hier zu lesen ist; OBJ, PLY und glTF sind es.</translation>
  </message>
  <message>
   <source>“{name}” holds no triangles.</source>
   <translation>„{name}“ enthält keine Dreiecke.</translation>
  </message>
  <message>
   <source>It has no normals; they were made from its faces.</source>
   <translation>Es hat keine Normalen; sie wurden aus den Flächen gemacht.</translation>
  </message>
  <message>
   <source>It has no UVs; they were made by looking at it from its six sides, a metre to a picture.</source>
   <translation>Es hat keine UVs; sie wurden durch Blick von sechs Seiten gemacht, ein Meter je Bild.</translation>
  </message>
  <message>
   <source>“{name}” has corners that are nowhere.</source>
   <translation>„{name}“ hat Ecken, die nirgends sind.</translation>
  </message>
  <message>
   <source>drawn, wrote depth</source>
   <translation>gezeichnet, schrieb Tiefe</translation>
  </message>
  <message>
   <source>hidden by {by}</source>
   <translation>verdeckt von {by}</translation>
  </message>
  <message>
   <source>drawn, wrote depth and so hid {parts}</source>
   <translation>gezeichnet, schrieb Tiefe und verdeckte so {parts}</translation>
  </message>
  <message>
   <source>discarded by cutoff</source>
   <translation>von der Schwelle verworfen</translation>
  </message>
  <message>
   <source>discarded by the matrix</source>
   <translation>von der Matrix verworfen</translation>
  </message>
  <message>
   <source>lays its depth</source>
   <translation>legt seine Tiefe</translation>
  </message>
  <message>
   <source>Crossed panels</source>
   <translation>Gekreuzte Tafeln</translation>
  </message>
  <message>
   <source>Stack of panels</source>
   <translation>Stapel von Tafeln</translation>
  </message>
  <message>
   <source>Cylinder</source>
   <translation>Zylinder</translation>
  </message>
  <message>
   <source>Curved plate</source>
   <translation>Gebogene Platte</translation>
  </message>
  <message>
   <source>Dome</source>
   <translation>Kuppel</translation>
  </message>
  <message>
   <source>Second UV set</source>
   <translation>Zweites UV-Set</translation>
  </message>
  <message>
   <source>The file's own; or chosen faces seen along their mean normal; or unwrapped with little stretching.</source>
   <translation>Das der Datei; oder gewählte Flächen entlang ihrer mittleren Normale gesehen; oder mit wenig Verzerrung abgewickelt.</translation>
  </message>
  <message>
   <source>Size of the mesh against what its file says, in metres.</source>
   <translation>Größe des Netzes gegen das, was die Datei sagt, in Metern.</translation>
  </message>
  <message>
   <source>Turns the mesh about the upright axis.</source>
   <translation>Dreht das Netz um die aufrechte Achse.</translation>
  </message>
  <message>
   <source>Grey</source>
   <translation>Grau</translation>
  </message>
  <message>
   <source>How bright the mesh is; it has no colour.</source>
   <translation>Wie hell das Netz ist; es hat keine Farbe.</translation>
  </message>
  <message>
   <source>Person</source>
   <translation>Mensch</translation>
  </message>
  <message>
   <source>A plain figure 1.75 m tall, to judge sizes by.</source>
   <translation>Eine schlichte Figur, 1,75 m groß, um Größen zu beurteilen.</translation>
  </message>
  <message>
   <source>Point of the picture that stands at the place.</source>
   <translation>Punkt des Bilds, der am Platz steht.</translation>
  </message>
  <message>
   <source>Degrees of what is kept: 0 lies to the right, 90 above.</source>
   <translation>Grad, wo das Bleibende liegt: 0 rechts, 90 oben.</translation>
  </message>
  <message>
   <source>Metres of the line from the pivot, along that direction.</source>
   <translation>Meter der Linie vom Drehpunkt, in dieser Richtung.</translation>
  </message>
  <message>
   <source>Lines, of each of which one side is left.</source>
   <translation>Linien, von denen jeweils eine Seite bleibt.</translation>
  </message>
  <message>
   <source>It stays upright and turns to the camera only about the upright axis.</source>
   <translation>Es bleibt aufrecht und dreht sich nur um die aufrechte Achse zur Kamera.</translation>
  </message>
  <message>
   <source>Nothing beyond half of it takes the picture.</source>
   <translation>Nichts jenseits der Hälfte davon nimmt das Bild an.</translation>
  </message>
  <message>
   <source>Degrees to the box from which nothing is left.</source>
   <translation>Grad zum Kasten, ab denen nichts übrig ist.</translation>
  </message>
  <message>
   <source>Panels of crossed ones and of a stack.</source>
   <translation>Tafeln von gekreuzten und von einem Stapel.</translation>
  </message>
  <message>
   <source>Of a stack, a box and a dome, metres.</source>
   <translation>Von Stapel, Quader und Kuppel, Meter.</translation>
  </message>
  <message>
   <source>What the panels of a stack show: each the picture; or all one solid noise through which they cut, as far as it is broken up; or each its own frame of a sheet, the farthest the first.</source>
   <translation>Was die Tafeln eines Stapels zeigen: jede das Bild; oder alle ein festes Rauschen, durch das sie schneiden, soweit es aufgebrochen ist; oder jede ihr eigenes Bild eines Bogens, die fernste das erste.</translation>
  </message>
  <message>
   <source>Of a curved plate, degrees.</source>
   <translation>Einer gebogenen Platte, Grad.</translation>
  </message>
  <message>
   <source>Numbers of the triangles in it; none: all.</source>
   <translation>Nummern der Dreiecke darin; keine: alle.</translation>
  </message>
  <message>
   <source>OBJ, PLY or glTF; empty: the dock.</source>
   <translation>OBJ, PLY oder glTF; leer: das Dock.</translation>
  </message>
  <message>
   <source>As in the file</source>
   <translation>Wie in der Datei</translation>
  </message>
  <message>
   <source>Faces laid flat</source>
   <translation>Flächen flach gelegt</translation>
  </message>
  <message>
   <source>Faces unwrapped</source>
   <translation>Flächen abgewickelt</translation>
  </message>
  <message>
   <source>Histogram with the handles of the levels</source>
   <translation>Histogramm mit den Griffen der Tonwerte</translation>
  </message>
  <message>
   <source>Drag the handles: below, what becomes low and high, and the bend; above, what they become.</source>
   <translation>Ziehen Sie die Griffe: unten, was klein und groß wird, und die Biegung; oben, was sie werden.</translation>
  </message>
  <message>
   <source>Paint</source>
   <translation>Malen</translation>
  </message>
  <message>
   <source>Paint in the flat proof; with the right button, take away. Ctrl and the wheel change the brush.</source>
   <translation>Malen Sie in der Flachprobe; mit der rechten Taste wegnehmen. Strg und das Rad ändern den Pinsel.</translation>
  </message>
  <message>
   <source>{count} stroke{ending}</source>
   <translation>{count} Strich(e)</translation>
  </message>
  <message>
   <source>Choose a picture</source>
   <translation>Bild wählen</translation>
  </message>
  <message>
   <source>Take a colour from the flat proof: click here, then on the picture</source>
   <translation>Eine Farbe aus der Flachprobe nehmen: hier klicken, dann auf das Bild</translation>
  </message>
  <message>
   <source>None yet</source>
   <translation>Noch keins</translation>
  </message>
  <message>
   <source>{name}: choose</source>
   <translation>{name}: wählen</translation>
  </message>
  <message>
   <source>{name}: pick from the picture</source>
   <translation>{name}: aus dem Bild nehmen</translation>
  </message>
  <message>
   <source>after</source>
   <translation>nachher</translation>
  </message>
  <message>
   <source>before</source>
   <translation>vorher</translation>
  </message>
  <message>
   <source>Sprite</source>
   <translation>Sprite</translation>
  </message>
  <message>
   <source>Cloth or screen</source>
   <translation>Stoff oder Gitter</translation>
  </message>
  <message>
   <source>Pictures ({patterns})</source>
   <translation>Bilder ({patterns})</translation>
  </message>
  <message>
   <source>One frame back</source>
   <translation>Ein Bild zurück</translation>
  </message>
  <message>
   <source>Play or rest</source>
   <translation>Spielen oder ruhen</translation>
  </message>
  <message>
   <source>One frame on</source>
   <translation>Ein Bild weiter</translation>
  </message>
  <message>
   <source>Lay the frames before and after over it, to judge the step</source>
   <translation>Die Bilder davor und danach darüberlegen, um den Schritt zu beurteilen</translation>
  </message>
  <message>
   <source>Frames, playing</source>
   <translation>Bilder, laufend</translation>
  </message>
  <message>
   <source>frame {first} of 0 to {count}</source>
   <translation>Bild {first} von 0 bis {count}</translation>
  </message>
  <message>
   <source>{description} Two numbers: chosen between them by chance.</source>
   <translation>{description} Zwei Zahlen: dazwischen wählt der Zufall.</translation>
  </message>
  <message>
   <source>Own</source>
   <translation>Eigen</translation>
  </message>
  <message>
   <source>{name}: where it comes from</source>
   <translation>{name}: woher es kommt</translation>
  </message>
  <message>
   <source>gone</source>
   <translation>fort</translation>
  </message>
  <message>
   <source>{name} comes from: {words}</source>
   <translation>{name} kommt von: {words}</translation>
  </message>
  <message>
   <source>A picture …</source>
   <translation>Ein Bild …</translation>
  </message>
  <message>
   <source>Layers: a row for each, a column for each channel</source>
   <translation>Ebenen: eine Zeile für jede, eine Spalte für jeden Kanal</translation>
  </message>
  <message>
   <source>The chosen layer's mask in the flat proof; press to keep it there.</source>
   <translation>Die Maske der gewählten Ebene in der Flachprobe; drücken, um sie dort zu halten.</translation>
  </message>
  <message>
   <source>What lies below every layer.</source>
   <translation>Was unter jeder Ebene liegt.</translation>
  </message>
  <message>
   <source>Switch it off.</source>
   <translation>Ausschalten.</translation>
  </message>
  <message>
   <source>Switch it on.</source>
   <translation>Einschalten.</translation>
  </message>
  <message>
   <source>No mask: it acts everywhere. Double-click to give it one.</source>
   <translation>Keine Maske: sie wirkt überall. Doppelklick gibt ihr eine.</translation>
  </message>
  <message>
   <source>{channels} is left alone. Double-click to touch it.</source>
   <translation>{channels} bleibt unberührt. Doppelklick zum Berühren.</translation>
  </message>
  <message>
   <source>Double-click folds or opens it; drag to reorder.</source>
   <translation>Doppelklick faltet oder öffnet; ziehen ordnet um.</translation>
  </message>
  <message>
   <source>Drag to reorder.</source>
   <translation>Ziehen ordnet um.</translation>
  </message>
  <message>
   <source>{channels} alone in the flat proof; press to keep it there.</source>
   <translation>Nur {channels} in der Flachprobe; drücken, um es dort zu halten.</translation>
  </message>
  <message>
   <source>Its mask: {count} part{ending}.</source>
   <translation>Ihre Maske: {count} Teil(e).</translation>
  </message>
  <message>
   <source>{channels}: touched by what is inside.</source>
   <translation>{channels}: berührt von dem, was darin ist.</translation>
  </message>
  <message>
   <source>all</source>
   <translation>alles</translation>
  </message>
  <message>
   <source>Reference</source>
   <translation>Vorbild</translation>
  </message>
  <message>
   <source>Below it</source>
   <translation>Darunter</translation>
  </message>
  <message>
   <source>Up to it</source>
   <translation>Bis dahin</translation>
  </message>
  <message>
   <source>The other</source>
   <translation>Das andere</translation>
  </message>
  <message>
   <source>This one</source>
   <translation>Dieses</translation>
  </message>
  <message>
   <source>With the source</source>
   <translation>Mit der Quelle</translation>
  </message>
  <message>
   <source>With before “{label}”</source>
   <translation>Mit vor „{label}“</translation>
  </message>
  <message>
   <source>With “{name}”</source>
   <translation>Mit „{name}“</translation>
  </message>
  <message>
   <source>With what lies below “{name}”</source>
   <translation>Mit dem, was unter „{name}“ liegt</translation>
  </message>
  <message>
   <source>With the layers up to “{name}”</source>
   <translation>Mit den Ebenen bis „{name}“</translation>
  </message>
  <message>
   <source>With “{rsplit}”, pinned</source>
   <translation>Mit „{rsplit}“, angeheftet</translation>
  </message>
  <message>
   <source>Flat proof</source>
   <translation>Flachprobe</translation>
  </message>
  <message>
   <source>Before</source>
   <translation>Vorher</translation>
  </message>
  <message>
   <source>After</source>
   <translation>Nachher</translation>
  </message>
  <message>
   <source>Move handle</source>
   <translation>Griff bewegen</translation>
  </message>
  <message>
   <source>Fit the grid</source>
   <translation>Raster anpassen</translation>
  </message>
  <message>
   <source>Move it on the mesh</source>
   <translation>Auf dem Netz bewegen</translation>
  </message>
  <message>
   <source>{key} fit grid</source>
   <translation>{key} fit grid</translation>
  </message>
  <message>
   <source>{key} on uvs</source>
   <translation>{key} on uvs</translation>
  </message>
  <message>
   <source>Drop pictures here to begin.

PNG, TGA, TIFF, OpenEXR, WebP or JPEG; each becomes an overlay in the rack.</source>
   <translation>Bilder hier ablegen, um zu beginnen.

PNG, TGA, TIFF, OpenEXR, WebP oder JPEG; jedes wird ein Overlay im Gestell.</translation>
  </message>
  <message>
   <source>This overlay has no picture yet.

Choose one at the station Source.</source>
   <translation>Dieses Overlay hat noch kein Bild.

Wählen Sie eins an der Station Quelle.</translation>
  </message>
  <message>
   <source>Reading …</source>
   <translation>Wird gelesen …</translation>
  </message>
  <message>
   <source>Every mip level at the size of the first: what distance leaves of it.</source>
   <translation>Jede Mip-Stufe in der Größe der ersten: was die Ferne davon lässt.</translation>
  </message>
  <message>
   <source>What distance makes of it, and of its hidden colour.</source>
   <translation>Was die Ferne daraus macht und aus seiner verborgenen Farbe.</translation>
  </message>
  <message>
   <source>A rim that hides over one backdrop shows over another.</source>
   <translation>Ein Saum, der sich vor einem Hintergrund versteckt, zeigt sich vor einem anderen.</translation>
  </message>
  <message>
   <source>Repeated: a seam shows as a line, a landmark as a pattern.</source>
   <translation>Wiederholt: eine Naht zeigt sich als Linie, ein Merkmal als Muster.</translation>
  </message>
  <message>
   <source>Marked: alpha above zero on the outermost texels.</source>
   <translation>Markiert: Alpha über null auf den äußersten Texeln.</translation>
  </message>
  <message>
   <source>Close up: left cut at one half, right plain alpha of the same size.</source>
   <translation>Nah: links bei einer Hälfte geschnitten, rechts bloßes Alpha derselben Größe.</translation>
  </message>
  <message>
   <source>Wheel zooms, drag moves. Values appear under the pointer.</source>
   <translation>Rad zoomt, Ziehen schiebt. Werte stehen unter dem Zeiger.</translation>
  </message>
  <message>
   <source>What the flat proof shows</source>
   <translation>Was die Flachprobe zeigt</translation>
  </message>
  <message>
   <source>Before and after   (D); hold for what to compare and how</source>
   <translation>Vorher und nachher   (D); halten für was und wie</translation>
  </message>
  <message>
   <source>Show the whole picture   (F)</source>
   <translation>Das ganze Bild zeigen   (F)</translation>
  </message>
  <message>
   <source>One texel to one pixel   (Shift+F)</source>
   <translation>Ein Texel je Pixel   (Shift+F)</translation>
  </message>
  <message>
   <source>How the flat proof is laid out</source>
   <translation>Wie die Flachprobe angelegt ist</translation>
  </message>
  <message>
   <source>Finer level   ([)</source>
   <translation>Feinere Stufe   ([)</translation>
  </message>
  <message>
   <source>Coarser level   (])</source>
   <translation>Gröbere Stufe   (])</translation>
  </message>
  <message>
   <source>Pin reference</source>
   <translation>Vorbild anheften</translation>
  </message>
  <message>
   <source>Unpin reference</source>
   <translation>Vorbild lösen</translation>
  </message>
  <message>
   <source>Brighter: filtering lets more hidden colour through. Black: clear.</source>
   <translation>Heller: Filtern lässt mehr verborgene Farbe durch. Schwarz: klar.</translation>
  </message>
  <message>
   <source>Move the pointer: the light follows it.</source>
   <translation>Bewegen Sie den Zeiger: das Licht folgt ihm.</translation>
  </message>
  <message>
   <source>Click sets a point, drag moves one, right click removes it, Return ends.</source>
   <translation>Klick setzt einen Punkt, Ziehen verschiebt ihn, Rechtsklick entfernt ihn, Eingabe beendet.</translation>
  </message>
  <message>
   <source>Drag paints, right button clears, Shift goes straight, Ctrl+wheel: size.</source>
   <translation>Ziehen malt, rechte Taste klärt, Umschalt geht gerade, Strg+Rad: Größe.</translation>
  </message>
  <message>
   <source>Press the column's head again to leave this view.</source>
   <translation>Noch einmal auf den Spaltenkopf, um diese Ansicht zu verlassen.</translation>
  </message>
  <message>
   <source>Drag paints, right button takes away, Ctrl+wheel: size.</source>
   <translation>Ziehen malt, rechte Taste nimmt weg, Strg+Rad: Größe.</translation>
  </message>
  <message>
   <source>Wheel zooms, drag moves. The cross is the point it is placed by.</source>
   <translation>Rad zoomt, Ziehen schiebt. Das Kreuz ist der Punkt, an dem es steht.</translation>
  </message>
  <message>
   <source>Only a single picture has a level that is chosen</source>
   <translation>Nur ein einzelnes Bild hat eine gewählte Stufe</translation>
  </message>
  <message>
   <source>Mip level and its size</source>
   <translation>Mip-Stufe und ihre Größe</translation>
  </message>
  <message>
   <source>Pin a reference picture …</source>
   <translation>Ein Vorbild anheften …</translation>
  </message>
  <message>
   <source>Divider</source>
   <translation>Teiler</translation>
  </message>
  <message>
   <source>Side by side</source>
   <translation>Nebeneinander</translation>
  </message>
  <message>
   <source>This is the finest level</source>
   <translation>Das ist die feinste Stufe</translation>
  </message>
  <message>
   <source>This is the coarsest level</source>
   <translation>Das ist die gröbste Stufe</translation>
  </message>
  <message>
   <source>Unpin it</source>
   <translation>Lösen</translation>
  </message>
  <message>
   <source>A number from 0 to 1:</source>
   <translation>Eine Zahl von 0 bis 1:</translation>
  </message>
  <message>
   <source>Name, where {name} stands for the overlay's name and {kind} for its kind:</source>
   <translation>Name, wobei {name} für den Namen des Overlays steht und {kind} für seine Art:</translation>
  </message>
  <message>
   <source> · for display sums</source>
   <translation> · für Anzeigesummen</translation>
  </message>
  <message>
   <source> · if varied</source>
   <translation> · falls nötig</translation>
  </message>
  <message>
   <source>Written even if nothing in it varies</source>
   <translation>Auch schreiben, wenn sich darin nichts ändert</translation>
  </message>
  <message>
   <source>A recipe has one file at least</source>
   <translation>Ein Rezept hat mindestens eine Datei</translation>
  </message>
  <message>
   <source>Channels into files</source>
   <translation>Kanäle in Dateien</translation>
  </message>
  <message>
   <source>Add a file …</source>
   <translation>Datei hinzufügen …</translation>
  </message>
  <message>
   <source>{holds} · {bits} bit</source>
   <translation>{holds} · {bits} Bit</translation>
  </message>
  <message>
   <source> · green {green}</source>
   <translation> · Grün {green}</translation>
  </message>
  <message>
   <source>Change a delivered file</source>
   <translation>Gelieferte Datei ändern</translation>
  </message>
  <message>
   <source>Name …</source>
   <translation>Name …</translation>
  </message>
  <message>
   <source>8 bit</source>
   <translation>8 Bit</translation>
  </message>
  <message>
   <source>16 bit</source>
   <translation>16 Bit</translation>
  </message>
  <message>
   <source>Remove the file</source>
   <translation>Die Datei entfernen</translation>
  </message>
  <message>
   <source>Name of the file</source>
   <translation>Name der Datei</translation>
  </message>
  <message>
   <source>Name a delivered file</source>
   <translation>Gelieferte Datei benennen</translation>
  </message>
  <message>
   <source>Feed a channel</source>
   <translation>Kanal füllen</translation>
  </message>
  <message>
   <source>Another …</source>
   <translation>Eine andere …</translation>
  </message>
  <message>
   <source>Of another overlay</source>
   <translation>Eines anderen Overlays</translation>
  </message>
  <message>
   <source>Choose an overlay to deliver.</source>
   <translation>Wählen Sie ein Overlay zum Liefern.</translation>
  </message>
  <message>
   <source>Colour with alpha</source>
   <translation>Farbe mit Alpha</translation>
  </message>
  <message>
   <source>Three channels</source>
   <translation>Drei Kanäle</translation>
  </message>
  <message>
   <source>One channel</source>
   <translation>Ein Kanal</translation>
  </message>
  <message>
   <source>Its own</source>
   <translation>Eigene</translation>
  </message>
  <message>
   <source>Without alpha</source>
   <translation>Ohne Alpha</translation>
  </message>
  <message>
   <source>Remove a file</source>
   <translation>Datei entfernen</translation>
  </message>
  <message>
   <source>With alpha</source>
   <translation>Mit Alpha</translation>
  </message>
  <message>
   <source>Add a file</source>
   <translation>Datei hinzufügen</translation>
  </message>
  <message>
   <source>Nothing has been delivered or loaded yet</source>
   <translation>Es wurde noch nichts geliefert oder geladen</translation>
  </message>
  <message>
   <source>Intake</source>
   <translation>Empfang</translation>
  </message>
  <message>
   <source>Delivered</source>
   <translation>Geliefert</translation>
  </message>
  <message>
   <source>What the receiver draws, from the stage's camera</source>
   <translation>Was der Empfänger zeichnet, von der Kamera der Bühne</translation>
  </message>
  <message>
   <source>What was meant: the stage with what was delivered, from the same place</source>
   <translation>Was gemeint war: die Bühne mit dem Gelieferten, vom selben Ort</translation>
  </message>
  <message>
   <source>Where the two differ</source>
   <translation>Wo die beiden sich unterscheiden</translation>
  </message>
  <message>
   <source>The receiver …</source>
   <translation>Der Empfänger …</translation>
  </message>
  <message>
   <source>Draws like</source>
   <translation>Zeichnet wie</translation>
  </message>
  <message>
   <source>A receiver of the project, as a picture of the test card told; sets the switches below</source>
   <translation>Ein Empfänger des Projekts, wie ein Bild der Testkarte ihn zeigte; stellt die Schalter darunter</translation>
  </message>
  <message>
   <source>Size limit</source>
   <translation>Größenlimit</translation>
  </message>
  <message>
   <source>Try every one</source>
   <translation>Alle probieren</translation>
  </message>
  <message>
   <source>Each switch on each overlay alone: a table of what survives</source>
   <translation>Jeden Schalter an jedem Overlay allein: eine Tabelle dessen, was standhält</translation>
  </message>
  <message>
   <source>as switched below</source>
   <translation>wie unten geschaltet</translation>
  </message>
  <message>
   <source>Deliver first, or load a delivery</source>
   <translation>Liefere zuerst, oder lade eine Lieferung</translation>
  </message>
  <message>
   <source>Loading what was delivered …</source>
   <translation>Was geliefert wurde, wird geladen …</translation>
  </message>
  <message>
   <source>Nothing has been delivered yet. “Deliver all …” at the right writes the files; what a receiver makes of them is drawn here.</source>
   <translation>Noch wurde nichts geliefert. „Alles liefern …“ rechts schreibt die Dateien; was ein Empfänger daraus macht, wird hier gezeichnet.</translation>
  </message>
  <message>
   <source>Difference × {gain}</source>
   <translation>Unterschied × {gain}</translation>
  </message>
  <message>
   <source> {lost} channel{ending} or meshes were not delivered.</source>
   <translation> {lost} Kanal/Kanäle oder Netze wurden nicht geliefert.</translation>
  </message>
  <message>
   <source>{within:.2%} of the pixels are within {same} of 255 of the stage; mean {mean:.2f}, largest {largest:.0f}.{more}</source>
   <translation>{within} der Pixel liegen bis {same} von 255 an der Bühne; Mittel {mean}, größter {largest}.{more}</translation>
  </message>
  <message>
   <source>Stop  ({share:.0%})</source>
   <translation>Stopp  ({share})</translation>
  </message>
  <message>
   <source>Clear paint</source>
   <translation>Farbe wegnehmen</translation>
  </message>
  <message>
   <source>Soften</source>
   <translation>Weichzeichnen</translation>
  </message>
  <message>
   <source>Draw out</source>
   <translation>Ausziehen</translation>
  </message>
  <message>
   <source>{key} {row_id} stroke {seed}</source>
   <translation>{key} {row_id} stroke {seed}</translation>
  </message>
  <message>
   <source>Level</source>
   <translation>Stufe</translation>
  </message>
  <message>
   <source>Colour · alpha</source>
   <translation>Farbe · Alpha</translation>
  </message>
  <message>
   <source>Factors</source>
   <translation>Faktoren</translation>
  </message>
  <message>
   <source>{at}–{count} of {count2}</source>
   <translation>{at}–{count} von {count2}</translation>
  </message>
  <message>
   <source>{name} {part}   switched off: click its ring</source>
   <translation>{name} {part}   ausgeschaltet: auf den Ring klicken</translation>
  </message>
  <message>
   <source>{group}, nudge {nudge:+d}, {blend}; texel {texel:.3f}, {texel2:.3f}; {verdict}</source>
   <translation>{group}, Rang {nudge}, {blend}; Texel {texel}, {texel2}; {verdict}</translation>
  </message>
  <message>
   <source>   stands elsewhere in exact order</source>
   <translation>   steht in genauer Reihenfolge anderswo</translation>
  </message>
  <message>
   <source>Drag the point; the right button takes it away. Double click on the lane adds one.</source>
   <translation>Den Punkt ziehen; die rechte Taste nimmt ihn weg. Doppelklick auf die Spur fügt einen hinzu.</translation>
  </message>
  <message>
   <source>Drag the colour; double click for another one; the right button takes it away.</source>
   <translation>Die Farbe ziehen; Doppelklick für eine andere; die rechte Taste nimmt sie weg.</translation>
  </message>
  <message>
   <source>The spread at birth: drag its lower or upper end.</source>
   <translation>Die Streuung bei der Geburt: unteres oder oberes Ende ziehen.</translation>
  </message>
  <message>
   <source>Drag the burst; the right button takes it away.</source>
   <translation>Den Schub ziehen; die rechte Taste nimmt ihn weg.</translation>
  </message>
  <message>
   <source>Drag the point of the rate; the right button takes it away.</source>
   <translation>Den Punkt der Rate ziehen; die rechte Taste nimmt ihn weg.</translation>
  </message>
  <message>
   <source>Double click adds a point to the rate, with Shift a burst.</source>
   <translation>Doppelklick fügt der Rate einen Punkt hinzu, mit Umschalt einen Schub.</translation>
  </message>
  <message>
   <source>Double click adds a point.</source>
   <translation>Doppelklick fügt einen Punkt hinzu.</translation>
  </message>
  <message>
   <source>chart {key} {part} {values}</source>
   <translation>chart {key} {part} {values}</translation>
  </message>
  <message>
   <source>Remove a burst</source>
   <translation>Schub entfernen</translation>
  </message>
  <message>
   <source>Change a colour</source>
   <translation>Farbe ändern</translation>
  </message>
  <message>
   <source>Change the tint at birth</source>
   <translation>Tönung bei der Geburt ändern</translation>
  </message>
  <message>
   <source>Add the lane {title}</source>
   <translation>Spur {title} hinzufügen</translation>
  </message>
  <message>
   <source>Add a burst</source>
   <translation>Schub hinzufügen</translation>
  </message>
  <message>
   <source>Add a point to the rate</source>
   <translation>Der Rate einen Punkt hinzufügen</translation>
  </message>
  <message>
   <source>Move a burst</source>
   <translation>Schub verschieben</translation>
  </message>
  <message>
   <source>Change the spread of {title}</source>
   <translation>Streuung von {title} ändern</translation>
  </message>
  <message>
   <source>Remove a point of the rate</source>
   <translation>Punkt der Rate entfernen</translation>
  </message>
  <message>
   <source>Add a colour</source>
   <translation>Farbe hinzufügen</translation>
  </message>
  <message>
   <source>Add a point</source>
   <translation>Punkt hinzufügen</translation>
  </message>
  <message>
   <source>Change the rate over a run</source>
   <translation>Rate über einen Lauf ändern</translation>
  </message>
  <message>
   <source>Change {title}</source>
   <translation>{title} ändern</translation>
  </message>
  <message>
   <source>Move a colour</source>
   <translation>Farbe verschieben</translation>
  </message>
  <message>
   <source>Remove a point</source>
   <translation>Punkt entfernen</translation>
  </message>
  <message>
   <source>Remove a colour</source>
   <translation>Farbe entfernen</translation>
  </message>
  <message>
   <source>Chart of a life</source>
   <translation>Karte eines Lebens</translation>
  </message>
  <message>
   <source>{low:g} to {high:g} s</source>
   <translation>{low} bis {high} s</translation>
  </message>
  <message>
   <source>Stream</source>
   <translation>Strom</translation>
  </message>
  <message>
   <source>again and again</source>
   <translation>immer wieder</translation>
  </message>
  <message>
   <source> after {delay:g} s</source>
   <translation> nach {delay} s</translation>
  </message>
  <message>
   <source>No effect is chosen. “New effect” at the right begins one with this overlay.</source>
   <translation>Kein Effekt ist gewählt. „Neuer Effekt“ rechts beginnt einen mit diesem Overlay.</translation>
  </message>
  <message>
   <source>life {words}</source>
   <translation>Leben {words}</translation>
  </message>
  <message>
   <source>Add a lane …</source>
   <translation>Spur hinzufügen …</translation>
  </message>
  <message>
   <source>{times} times</source>
   <translation>{times} Mal</translation>
  </message>
  <message>
   <source>a run of {duration:g} s, {times}{delay}</source>
   <translation>ein Lauf von {duration} s, {times}{delay}</translation>
  </message>
  <message>
   <source>Move the lamp</source>
   <translation>Lampe bewegen</translation>
  </message>
  <message>
   <source>Turn the environment</source>
   <translation>Umgebung drehen</translation>
  </message>
  <message>
   <source>OBJ, PLY or glTF in place of the dock; empty: the dock.</source>
   <translation>OBJ, PLY oder glTF statt des Docks; leer: das Dock.</translation>
  </message>
  <message>
   <source>Light: drag the dot to move the lamp, the rim or the wheel to turn what is mirrored.</source>
   <translation>Licht: den Punkt ziehen bewegt die Lampe, der Ring oder das Rad dreht, was gespiegelt wird.</translation>
  </message>
  <message>
   <source>Light dial</source>
   <translation>Lichtscheibe</translation>
  </message>
  <message>
   <source>Light and surroundings</source>
   <translation>Licht und Umgebung</translation>
  </message>
  <message>
   <source>Surroundings</source>
   <translation>Umgebung</translation>
  </message>
  <message>
   <source>The dock</source>
   <translation>Das Dock</translation>
  </message>
  <message>
   <source>Change {name}</source>
   <translation>{name} ändern</translation>
  </message>
  <message>
   <source>Files</source>
   <translation>Dateien</translation>
  </message>
  <message>
   <source>Which channel goes into which file</source>
   <translation>Welcher Kanal in welche Datei geht</translation>
  </message>
  <message>
   <source>Read back</source>
   <translation>Zurückgelesen</translation>
  </message>
  <message>
   <source>Every file of the last delivery, read again and compared</source>
   <translation>Jede Datei der letzten Lieferung, wieder gelesen und verglichen</translation>
  </message>
  <message>
   <source>What a receiver draws that has only the delivered files</source>
   <translation>Was ein Empfänger zeichnet, der nur die gelieferten Dateien hat</translation>
  </message>
  <message>
   <source>Nothing has been delivered in this session. What is written is read again and compared here, channel by channel.</source>
   <translation>In dieser Sitzung wurde nichts geliefert. Was geschrieben wird, wird wieder gelesen und hier verglichen, Kanal für Kanal.</translation>
  </message>
  <message>
   <source>{count} pictures of {count2} overlay{ending} in “{folder}”, {count3} channels read back.</source>
   <translation>{count} Bilder von {count2} Overlays in „{folder}“, {count3} Kanäle zurückgelesen.</translation>
  </message>
  <message>
   <source>“proof.html” shows it all.</source>
   <translation>„proof.html“ zeigt alles.</translation>
  </message>
  <message>
   <source>{same} were as they should be already and were left alone.</source>
   <translation>{same} waren schon, wie sie sein sollen, und blieben unberührt.</translation>
  </message>
  <message>
   <source>{count} motion file{ending}.</source>
   <translation>{count} Bewegungsdatei(en).</translation>
  </message>
  <message>
   <source>Left out, since no file holds it: {parts}.</source>
   <translation>Ausgelassen, da keine Datei es aufnimmt: {parts}.</translation>
  </message>
  <message>
   <source>Ring of cameras</source>
   <translation>Ring von Kameras</translation>
  </message>
  <message>
   <source>The scene from above. Inner band: the order as it is; outer band: as proposed. Drag to look from there.</source>
   <translation>Die Szene von oben. Inneres Band: die Reihenfolge, wie sie ist; äußeres: wie vorgeschlagen. Ziehen, um von dort zu sehen.</translation>
  </message>
  <message>
   <source>mean error {value:.3f} of 255</source>
   <translation>mittlerer Fehler {value} von 255</translation>
  </message>
  <message>
   <source>largest {value:.0f}</source>
   <translation>größter {value}</translation>
  </message>
  <message>
   <source>{value:.1%} off by more than 2</source>
   <translation>{value} um mehr als 2 daneben</translation>
  </message>
  <message>
   <source>{value:.2f} fragments a pixel</source>
   <translation>{value} Fragmente je Pixel</translation>
  </message>
  <message>
   <source>at most {value:.0f}</source>
   <translation>höchstens {value}</translation>
  </message>
  <message>
   <source>{value:.0%} change nothing</source>
   <translation>{value} ändern nichts</translation>
  </message>
  <message>
   <source>{value:.1%} above the budget</source>
   <translation>{value} über dem Budget</translation>
  </message>
  <message>
   <source>nearest {value:.2f} m</source>
   <translation>nächstes {value} m</translation>
  </message>
  <message>
   <source>farthest {value:.2f} m</source>
   <translation>fernstes {value} m</translation>
  </message>
  <message>
   <source>{value:.1%} face away from you</source>
   <translation>{value} schauen von Ihnen weg</translation>
  </message>
  <message>
   <source>level {value:.2f} in the mean</source>
   <translation>Stufe {value} im Mittel</translation>
  </message>
  <message>
   <source>coarsest {value:.1f}</source>
   <translation>gröbste {value}</translation>
  </message>
  <message>
   <source>{value:.0%} at the finest</source>
   <translation>{value} in der feinsten</translation>
  </message>
  <message>
   <source>{value:.0%} clear</source>
   <translation>{value} klar</translation>
  </message>
  <message>
   <source>{value:.0%} solid</source>
   <translation>{value} deckend</translation>
  </message>
  <message>
   <source>1 … {last} a pixel, budget {budget:g}</source>
   <translation>1 … {last} je Pixel, Budget {budget}</translation>
  </message>
  <message>
   <source>Drag turns, Shift-drag pans, wheel comes near.</source>
   <translation>Ziehen dreht, Umschalt+Ziehen schiebt, Rad holt näher.</translation>
  </message>
  <message>
   <source>Drag paints on it, beside it turns. Ctrl+wheel: size.</source>
   <translation>Ziehen malt darauf, daneben dreht es. Strg+Rad: Größe.</translation>
  </message>
  <message>
   <source>Keep this view as a camera</source>
   <translation>Diese Sicht als Kamera behalten</translation>
  </message>
  <message>
   <source>Light and surroundings   (K)</source>
   <translation>Licht und Umgebung   (K)</translation>
  </message>
  <message>
   <source>Camera</source>
   <translation>Kamera</translation>
  </message>
  <message>
   <source>Camera   (C)</source>
   <translation>Kamera   (C)</translation>
  </message>
  <message>
   <source>Seen as</source>
   <translation>Gesehen als</translation>
  </message>
  <message>
   <source>What the stage shows: colour, or why it is so   (N)</source>
   <translation>Was die Bühne zeigt: Farbe, oder warum sie so ist   (N)</translation>
  </message>
  <message>
   <source>Free view</source>
   <translation>Frei</translation>
  </message>
  <message>
   <source>Keep this view</source>
   <translation>Diese Sicht behalten</translation>
  </message>
  <message>
   <source>Name of the camera:</source>
   <translation>Name der Kamera:</translation>
  </message>
  <message>
   <source>Keep view</source>
   <translation>Sicht behalten</translation>
  </message>
  <message>
   <source>Nothing placed yet</source>
   <translation>Noch nichts gesetzt</translation>
  </message>
  <message>
   <source>{blend} · group {group}{nudge}</source>
   <translation>{blend} · Gruppe {group}{nudge}</translation>
  </message>
  <message>
   <source>not placed</source>
   <translation>nicht gesetzt</translation>
  </message>
  <message>
   <source>Mips</source>
   <translation>Mips</translation>
  </message>
  <message>
   <source>Flag</source>
   <translation>Farbe?</translation>
  </message>
  <message>
   <source>Block</source>
   <translation>Block</translation>
  </message>
  <message>
   <source>Displ.</source>
   <translation>Anzeige</translation>
  </message>
  <message>
   <source>What survives each switch</source>
   <translation>Was jedem Schalter standhält</translation>
  </message>
  <message>
   <source>Off by</source>
   <translation>Daneben</translation>
  </message>
  <message>
   <source>looks as it did</source>
   <translation>sieht aus wie zuvor</translation>
  </message>
  <message>
   <source>differs by more than {holds:g}</source>
   <translation>weicht um mehr als {holds} ab</translation>
  </message>
  <message>
   <source>No camera sees it.</source>
   <translation>Keine Kamera sieht es.</translation>
  </message>
  <message>
   <source>{title}: 99 % of its pixels differ by at most {v:.0f} of 255; it {said}.</source>
   <translation>{title}: 99 % seiner Pixel weichen um höchstens {v} von 255 ab; es {said}.</translation>
  </message>
  <message>
   <source>{file}, of “{overlay}”</source>
   <translation>{file}, von „{overlay}“</translation>
  </message>
  <message>
   <source>; unchanged, it was left alone</source>
   <translation>; unverändert, blieb unberührt</translation>
  </message>
  <message>
   <source>Backdrop: {backdrops}</source>
   <translation>Hintergrund: {backdrops}</translation>
  </message>
  <message>
   <source>Paint a value</source>
   <translation>Einen Wert malen</translation>
  </message>
  <message>
   <source>Paints values: opacity 0 makes a hole, whatever lies below.</source>
   <translation>Malt Werte: Deckkraft 0 macht ein Loch, gleich was darunter liegt.</translation>
  </message>
  <message>
   <source>Clears paint: what lies below comes back. It makes no hole.</source>
   <translation>Nimmt Gemaltes weg: was darunter liegt, kommt wieder. Es macht kein Loch.</translation>
  </message>
  <message>
   <source>Softens what is painted on this layer.</source>
   <translation>Macht weich, was auf diese Ebene gemalt ist.</translation>
  </message>
  <message>
   <source>Draws out what is painted on this layer, as with a finger.</source>
   <translation>Zieht aus, was auf diese Ebene gemalt ist, wie mit dem Finger.</translation>
  </message>
  <message>
   <source>Metres</source>
   <translation>Metern</translation>
  </message>
  <message>
   <source>Pixels on the screen</source>
   <translation>Pixeln auf dem Schirm</translation>
  </message>
  <message>
   <source>Anywhere</source>
   <translation>Überall</translation>
  </message>
  <message>
   <source>In the island where it begins</source>
   <translation>In der Insel, wo es beginnt</translation>
  </message>
  <message>
   <source>In the chosen faces</source>
   <translation>In den gewählten Flächen</translation>
  </message>
  <message>
   <source>“{name}” is gone: its last particle has died.</source>
   <translation>„{name}“ ist fort: sein letztes Teilchen ist gestorben.</translation>
  </message>
  <message>
   <source>fired {count} {now}</source>
   <translation>fired {count} {now}</translation>
  </message>
  <message>
   <source>Stopped. What is shown is the last finished result; the next edit computes it again.</source>
   <translation>Gestoppt. Zu sehen ist das letzte fertige Ergebnis; die nächste Änderung rechnet neu.</translation>
  </message>
  <message>
   <source>“{changed_name}” changed on disk; it was read again.</source>
   <translation>„{changed_name}“ hat sich auf dem Datenträger geändert; es wurde neu gelesen.</translation>
  </message>
  <message>
   <source>Unsaved work could not be kept aside and will be tried again: {why}</source>
   <translation>Ungesichertes ließ sich nicht beiseitelegen und wird wieder versucht: {why}</translation>
  </message>
  <message>
   <source>Untitled</source>
   <translation>Ohne Namen</translation>
  </message>
  <message>
   <source>Take what is on disk</source>
   <translation>Nehmen, was gespeichert ist</translation>
  </message>
  <message>
   <source>, open in another window too</source>
   <translation>, auch in einem anderen Fenster offen</translation>
  </message>
  <message>
   <source>Project</source>
   <translation>Projekt</translation>
  </message>
  <message>
   <source>New</source>
   <translation>Neu</translation>
  </message>
  <message>
   <source>Open …</source>
   <translation>Öffnen …</translation>
  </message>
  <message>
   <source>Recent</source>
   <translation>Zuletzt</translation>
  </message>
  <message>
   <source>Open the demo</source>
   <translation>Demo öffnen</translation>
  </message>
  <message>
   <source>Save</source>
   <translation>Sichern</translation>
  </message>
  <message>
   <source>Save as …</source>
   <translation>Sichern als …</translation>
  </message>
  <message>
   <source>Earlier saves …</source>
   <translation>Frühere Stände …</translation>
  </message>
  <message>
   <source>Collect its files beside it</source>
   <translation>Seine Dateien daneben sammeln</translation>
  </message>
  <message>
   <source>Find moved files …</source>
   <translation>Verschobene Dateien finden …</translation>
  </message>
  <message>
   <source>Close</source>
   <translation>Schließen</translation>
  </message>
  <message>
   <source>Edit</source>
   <translation>Bearbeiten</translation>
  </message>
  <message>
   <source>Undo</source>
   <translation>Zurück</translation>
  </message>
  <message>
   <source>Redo</source>
   <translation>Wieder</translation>
  </message>
  <message>
   <source>Paste a picture as an overlay</source>
   <translation>Bild als Overlay einfügen</translation>
  </message>
  <message>
   <source>Add pictures …</source>
   <translation>Bilder hinzufügen …</translation>
  </message>
  <message>
   <source>Look through a folder …</source>
   <translation>Einen Ordner durchsehen …</translation>
  </message>
  <message>
   <source>Add a drawn one</source>
   <translation>Gezeichnetes hinzufügen</translation>
  </message>
  <message>
   <source>Empty canvas for glass</source>
   <translation>Leere Fläche für Glas</translation>
  </message>
  <message>
   <source>Empty canvas for a decal</source>
   <translation>Leere Fläche für ein Decal</translation>
  </message>
  <message>
   <source>Empty canvas for cloth or a screen</source>
   <translation>Leere Fläche für Stoff oder Gitter</translation>
  </message>
  <message>
   <source>Empty canvas for a soft sprite</source>
   <translation>Leere Fläche für ein weiches Sprite</translation>
  </message>
  <message>
   <source>Copy</source>
   <translation>Kopieren</translation>
  </message>
  <message>
   <source>Copy as a variant</source>
   <translation>Als Variante kopieren</translation>
  </message>
  <message>
   <source>Remove</source>
   <translation>Entfernen</translation>
  </message>
  <message>
   <source>Hide it on the stage, or show it</source>
   <translation>Auf der Bühne verbergen oder zeigen</translation>
  </message>
  <message>
   <source>Frame it on the stage</source>
   <translation>Auf der Bühne ins Bild rücken</translation>
  </message>
  <message>
   <source>Paint on its layer</source>
   <translation>Auf seine Ebene malen</translation>
  </message>
  <message>
   <source>Split into its channels</source>
   <translation>In seine Kanäle teilen</translation>
  </message>
  <message>
   <source>Use a recipe …</source>
   <translation>Rezept benutzen …</translation>
  </message>
  <message>
   <source>Save its steps as a recipe …</source>
   <translation>Seine Schritte als Rezept sichern …</translation>
  </message>
  <message>
   <source>Deliver …</source>
   <translation>Liefern …</translation>
  </message>
  <message>
   <source>Deliver all …</source>
   <translation>Alles liefern …</translation>
  </message>
  <message>
   <source>Load a delivery into the intake …</source>
   <translation>Eine Lieferung empfangen …</translation>
  </message>
  <message>
   <source>Test card …</source>
   <translation>Testkarte …</translation>
  </message>
  <message>
   <source>View</source>
   <translation>Ansicht</translation>
  </message>
  <message>
   <source>Flat proof and stage</source>
   <translation>Flachprobe und Bühne</translation>
  </message>
  <message>
   <source>Flat proof alone</source>
   <translation>Nur Flachprobe</translation>
  </message>
  <message>
   <source>Stage alone</source>
   <translation>Nur Bühne</translation>
  </message>
  <message>
   <source>Whole picture</source>
   <translation>Ganzes Bild</translation>
  </message>
  <message>
   <source>One texel to one pixel</source>
   <translation>Ein Texel je Pixel</translation>
  </message>
  <message>
   <source>Next backdrop</source>
   <translation>Nächster Hintergrund</translation>
  </message>
  <message>
   <source>Before and after</source>
   <translation>Vorher und nachher</translation>
  </message>
  <message>
   <source>Coarser mip level</source>
   <translation>Gröbere Mip-Stufe</translation>
  </message>
  <message>
   <source>Finer mip level</source>
   <translation>Feinere Mip-Stufe</translation>
  </message>
  <message>
   <source>Repeated three by three</source>
   <translation>Drei mal drei wiederholt</translation>
  </message>
  <message>
   <source>Next camera</source>
   <translation>Nächste Kamera</translation>
  </message>
  <message>
   <source>Light and surroundings …</source>
   <translation>Licht und Umgebung …</translation>
  </message>
  <message>
   <source>Stage seen otherwise</source>
   <translation>Bühne anders sehen</translation>
  </message>
  <message>
   <source>What if …</source>
   <translation>Was wäre, wenn …</translation>
  </message>
  <message>
   <source>Findings</source>
   <translation>Befunde</translation>
  </message>
  <message>
   <source>Tray</source>
   <translation>Leiste</translation>
  </message>
  <message>
   <source>Ledger</source>
   <translation>Pixelbuch</translation>
  </message>
  <message>
   <source>Drawing order</source>
   <translation>Zeichenreihenfolge</translation>
  </message>
  <message>
   <source>Clock</source>
   <translation>Uhr</translation>
  </message>
  <message>
   <source>From the beginning</source>
   <translation>Von vorn</translation>
  </message>
  <message>
   <source>One step back</source>
   <translation>Einen Schritt zurück</translation>
  </message>
  <message>
   <source>One step on</source>
   <translation>Einen Schritt weiter</translation>
  </message>
  <message>
   <source>Fire where it is clicked</source>
   <translation>Auslösen, wo geklickt wird</translation>
  </message>
  <message>
   <source>Fire before the camera</source>
   <translation>Vor der Kamera auslösen</translation>
  </message>
  <message>
   <source>Pin the pixel</source>
   <translation>Das Pixel anheften</translation>
  </message>
  <message>
   <source>Size of words and controls</source>
   <translation>Größe von Schrift und Bedienung</translation>
  </message>
  <message>
   <source>Language</source>
   <translation>Sprache</translation>
  </message>
  <message>
   <source>Help</source>
   <translation>Hilfe</translation>
  </message>
  <message>
   <source>A short tour of the demo</source>
   <translation>Kurzer Rundgang durch die Demo</translation>
  </message>
  <message>
   <source>Findings, one by one</source>
   <translation>Befunde, einer nach dem anderen</translation>
  </message>
  <message>
   <source>Keys</source>
   <translation>Tasten</translation>
  </message>
  <message>
   <source>Rack</source>
   <translation>Gestell</translation>
  </message>
  <message>
   <source>Track</source>
   <translation>Strecke</translation>
  </message>
  <message>
   <source>In the picture</source>
   <translation>Im Bild</translation>
  </message>
  <message>
   <source>Layers</source>
   <translation>Ebenen</translation>
  </message>
  <message>
   <source>Painting</source>
   <translation>Malen</translation>
  </message>
  <message>
   <source>Curves, ramps</source>
   <translation>Kurven, Verläufe</translation>
  </message>
  <message>
   <source>Numbers</source>
   <translation>Zahlen</translation>
  </message>
  <message>
   <source>Mivex will look so when it is started again.</source>
   <translation>Beim nächsten Start sieht Mivex so aus.</translation>
  </message>
  <message>
   <source>double click on a card</source>
   <translation>Doppelklick auf eine Karte</translation>
  </message>
  <message>
   <source>frame the overlay on the stage</source>
   <translation>das Overlay auf der Bühne ins Bild rücken</translation>
  </message>
  <message>
   <source>Alt+1 … Alt+9, Alt+0</source>
   <translation>Alt+1 … Alt+9, Alt+0</translation>
  </message>
  <message>
   <source>drag a handle</source>
   <translation>einen Griff ziehen</translation>
  </message>
  <message>
   <source>place a fall-off, a text, a shape</source>
   <translation>Abfall, Text, Form setzen</translation>
  </message>
  <message>
   <source>right button</source>
   <translation>rechte Taste</translation>
  </message>
  <message>
   <source>takes away while painting</source>
   <translation>nimmt beim Malen weg</translation>
  </message>
  <message>
   <source>Ctrl and wheel</source>
   <translation>Strg und Rad</translation>
  </message>
  <message>
   <source>size of the brush</source>
   <translation>Größe des Pinsels</translation>
  </message>
  <message>
   <source>choose a cell</source>
   <translation>eine Zelle wählen</translation>
  </message>
  <message>
   <source>double click on a group</source>
   <translation>Doppelklick auf eine Gruppe</translation>
  </message>
  <message>
   <source>fold it or open it</source>
   <translation>falten oder öffnen</translation>
  </message>
  <message>
   <source>Return or double click</source>
   <translation>Eingabe oder Doppelklick</translation>
  </message>
  <message>
   <source>touch it</source>
   <translation>berühren</translation>
  </message>
  <message>
   <source>Space</source>
   <translation>Leertaste</translation>
  </message>
  <message>
   <source>switch a layer</source>
   <translation>eine Ebene schalten</translation>
  </message>
  <message>
   <source>Ctrl+Up, Ctrl+Down</source>
   <translation>Strg+Auf, Strg+Ab</translation>
  </message>
  <message>
   <source>move it</source>
   <translation>bewegen</translation>
  </message>
  <message>
   <source>drag a row</source>
   <translation>eine Zeile ziehen</translation>
  </message>
  <message>
   <source>reorder, put into a group</source>
   <translation>umordnen, in eine Gruppe legen</translation>
  </message>
  <message>
   <source>clear: what lay below comes back</source>
   <translation>klären: was darunter lag, kommt wieder</translation>
  </message>
  <message>
   <source>Shift</source>
   <translation>Umschalt</translation>
  </message>
  <message>
   <source>straight lines</source>
   <translation>gerade Linien</translation>
  </message>
  <message>
   <source>Alt and click</source>
   <translation>Alt und Klick</translation>
  </message>
  <message>
   <source>take the values there</source>
   <translation>die Werte dort nehmen</translation>
  </message>
  <message>
   <source>size of the tip</source>
   <translation>Größe der Spitze</translation>
  </message>
  <message>
   <source>click, drag</source>
   <translation>klicken, ziehen</translation>
  </message>
  <message>
   <source>add, move</source>
   <translation>hinzufügen, bewegen</translation>
  </message>
  <message>
   <source>Space, arrows</source>
   <translation>Leertaste, Pfeile</translation>
  </message>
  <message>
   <source>choose, move</source>
   <translation>wählen, bewegen</translation>
  </message>
  <message>
   <source>Delete</source>
   <translation>Entf</translation>
  </message>
  <message>
   <source>Return</source>
   <translation>Eingabe</translation>
  </message>
  <message>
   <source>another colour</source>
   <translation>eine andere Farbe</translation>
  </message>
  <message>
   <source>move points, colours, bands, bursts</source>
   <translation>Punkte, Farben, Bänder, Schübe bewegen</translation>
  </message>
  <message>
   <source>double click</source>
   <translation>Doppelklick</translation>
  </message>
  <message>
   <source>add a point; on the run, Shift: a burst</source>
   <translation>Punkt hinzufügen; auf dem Lauf mit Umschalt: Schub</translation>
  </message>
  <message>
   <source>take away</source>
   <translation>wegnehmen</translation>
  </message>
  <message>
   <source>arrows, Space</source>
   <translation>Pfeile, Leertaste</translation>
  </message>
  <message>
   <source>move the point, choose the next</source>
   <translation>den Punkt bewegen, den nächsten wählen</translation>
  </message>
  <message>
   <source>Page Up, Page Down</source>
   <translation>Bild auf, Bild ab</translation>
  </message>
  <message>
   <source>other lanes</source>
   <translation>andere Spuren</translation>
  </message>
  <message>
   <source>drag, Shift-drag, wheel</source>
   <translation>ziehen, Umschalt+ziehen, Rad</translation>
  </message>
  <message>
   <source>look round, pan, come near</source>
   <translation>umsehen, schieben, näher holen</translation>
  </message>
  <message>
   <source>drag an overlay</source>
   <translation>ein Overlay ziehen</translation>
  </message>
  <message>
   <source>move it; Ctrl-drag pushes it away</source>
   <translation>bewegen; mit Strg schiebt es weg</translation>
  </message>
  <message>
   <source>light dial</source>
   <translation>Lichtscheibe</translation>
  </message>
  <message>
   <source>drag the lamp; the rim or the wheel turns what is mirrored</source>
   <translation>die Lampe ziehen; Ring oder Rad dreht, was gespiegelt wird</translation>
  </message>
  <message>
   <source>drag, Shift-drag</source>
   <translation>ziehen, Umschalt+ziehen</translation>
  </message>
  <message>
   <source>change, change finely</source>
   <translation>ändern, fein ändern</translation>
  </message>
  <message>
   <source>Return or a digit</source>
   <translation>Eingabe oder Ziffer</translation>
  </message>
  <message>
   <source>Left, Right</source>
   <translation>Links, Rechts</translation>
  </message>
  <message>
   <source>Home</source>
   <translation>Pos1</translation>
  </message>
  <message>
   <source>usual value</source>
   <translation>üblicher Wert</translation>
  </message>
  <message>
   <source>double click on a name</source>
   <translation>Doppelklick auf einen Namen</translation>
  </message>
  <message>
   <source>its timers</source>
   <translation>seine Zeitgeber</translation>
  </message>
  <message>
   <source>The window is still at work after {seconds:.0f} s: {names}.</source>
   <translation>Das Fenster arbeitet nach {seconds} s noch: {names}.</translation>
  </message>
  <message>
   <source>Animated pictures (*.webp *.gif *.png *.apng)</source>
   <translation>Animierte Bilder (*.webp *.gif *.png *.apng)</translation>
  </message>
  <message>
   <source>Texels; 0: the largest frame's.</source>
   <translation>Texel; 0: die des größten Bilds.</translation>
  </message>
  <message>
   <source>Cells across; 0: as near to a square as goes.</source>
   <translation>Zellen quer; 0: so nah am Quadrat wie möglich.</translation>
  </message>
  <message>
   <source>Texels between cells, filled from their borders: frames then do not bleed into each other in the distance.</source>
   <translation>Texel zwischen Zellen, von deren Rand gefüllt: Bilder laufen dann in der Ferne nicht ineinander.</translation>
  </message>
  <message>
   <source>Fit</source>
   <translation>Passung</translation>
  </message>
  <message>
   <source>How large frames are in their cells.</source>
   <translation>Wie groß Bilder in ihren Zellen sind.</translation>
  </message>
  <message>
   <source>Setting</source>
   <translation>Einstellung</translation>
  </message>
  <message>
   <source>What changes from frame to frame.</source>
   <translation>Was sich von Bild zu Bild ändert.</translation>
  </message>
  <message>
   <source>Build a sheet</source>
   <translation>Einen Bogen bauen</translation>
  </message>
  <message>
   <source>How many frames.</source>
   <translation>Wie viele Bilder.</translation>
  </message>
  <message>
   <source>Seconds of the flow's movement; nothing where the material has no flow.</source>
   <translation>Sekunden der Bewegung des Fließens; nichts, wo das Material kein Fließen hat.</translation>
  </message>
  <message>
   <source>Turns</source>
   <translation>Dreht sich</translation>
  </message>
  <message>
   <source>Degrees that it turns by.</source>
   <translation>Grad, um die es sich dreht.</translation>
  </message>
  <message>
   <source>Aligned by</source>
   <translation>Ausgerichtet an</translation>
  </message>
  <message>
   <source>What of each frame comes to the same place of its cell.</source>
   <translation>Was von jedem Bild an dieselbe Stelle seiner Zelle kommt.</translation>
  </message>
  <message>
   <source>The sheet is written beside the project, and comes into the rack as an overlay of its own.</source>
   <translation>Der Bogen wird neben das Projekt geschrieben und kommt als eigenes Overlay ins Gestell.</translation>
  </message>
  <message>
   <source>Animated picture</source>
   <translation>Animiertes Bild</translation>
  </message>
  <message>
   <source>Erosion over the frames</source>
   <translation>Erosion über die Bilder</translation>
  </message>
  <message>
   <source>Erosion goes from nothing to everything.</source>
   <translation>Erosion geht von nichts bis alles.</translation>
  </message>
  <message>
   <source>Frames, in their order</source>
   <translation>Bilder, in ihrer Reihenfolge</translation>
  </message>
  <message>
   <source>First frame</source>
   <translation>Erstes Bild</translation>
  </message>
  <message>
   <source>The setting in the first frame.</source>
   <translation>Die Einstellung im ersten Bild.</translation>
  </message>
  <message>
   <source>Last frame</source>
   <translation>Letztes Bild</translation>
  </message>
  <message>
   <source>The setting in the last frame; those between go evenly.</source>
   <translation>Die Einstellung im letzten Bild; die dazwischen gehen gleichmäßig.</translation>
  </message>
  <message>
   <source>Working</source>
   <translation>Rechnet</translation>
  </message>
  <message>
   <source>Stop</source>
   <translation>Stopp</translation>
  </message>
  <message>
   <source>Nothing has been read yet</source>
   <translation>Noch wurde nichts gelesen</translation>
  </message>
  <message>
   <source>Write the card …</source>
   <translation>Karte schreiben …</translation>
  </message>
  <message>
   <source>Pictures, sheets and geometry, to be loaded in the receiver</source>
   <translation>Bilder, Blätter und Geometrie, im Empfänger zu laden</translation>
  </message>
  <message>
   <source>Read a screenshot …</source>
   <translation>Bildschirmfoto lesen …</translation>
  </message>
  <message>
   <source>A picture of the card as the receiver draws it</source>
   <translation>Ein Bild der Karte, wie der Empfänger sie zeichnet</translation>
  </message>
  <message>
   <source>Answers of the test card</source>
   <translation>Antworten der Testkarte</translation>
  </message>
  <message>
   <source>Keep in the project</source>
   <translation>Im Projekt behalten</translation>
  </message>
  <message>
   <source>The intake and the checks can then judge by it</source>
   <translation>Empfang und Prüfungen können dann danach urteilen</translation>
  </message>
  <message>
   <source>Deliver for it</source>
   <translation>Dafür ausliefern</translation>
  </message>
  <message>
   <source>A delivery recipe that allows for what it does, used by this overlay</source>
   <translation>Ein Auslieferungsrezept, das berücksichtigt, was er tut; dieses Overlay nutzt es</translation>
  </message>
  <message>
   <source>Draw the intake like it</source>
   <translation>Empfang so zeichnen</translation>
  </message>
  <message>
   <source>The intake's switches are set as it draws</source>
   <translation>Die Schalter des Empfangs werden so gestellt</translation>
  </message>
  <message>
   <source>Writing the test card …</source>
   <translation>Testkarte wird geschrieben …</translation>
  </message>
  <message>
   <source>It is being written</source>
   <translation>Sie wird geschrieben</translation>
  </message>
  <message>
   <source>Keep a receiver</source>
   <translation>Empfänger behalten</translation>
  </message>
  <message>
   <source>Use a delivery recipe</source>
   <translation>Ein Lieferrezept benutzen</translation>
  </message>
  <message>
   <source>Test card</source>
   <translation>Testkarte</translation>
  </message>
  <message>
   <source>Write the card, let the receiver draw it, and give a screenshot of that back: it tells what the receiver does to textures, blends, order and depth.</source>
   <translation>Die Karte schreiben, vom Empfänger zeichnen lassen und ein Bildschirmfoto davon zurückgeben: es sagt, was der Empfänger mit Texturen, Mischungen, Reihenfolge und Tiefe tut.</translation>
  </message>
  <message>
   <source>Name of the receiver</source>
   <translation>Name des Empfängers</translation>
  </message>
  <message>
   <source>Write the test card into</source>
   <translation>Testkarte schreiben nach</translation>
  </message>
  <message>
   <source>Read a screenshot of the test card</source>
   <translation>Bildschirmfoto der Testkarte lesen</translation>
  </message>
  <message>
   <source>Reading “{name}” …</source>
   <translation>„{name}“ wird gelesen …</translation>
  </message>
  <message>
   <source>Choose an overlay in the rack first</source>
   <translation>Zuerst ein Overlay im Gestell wählen</translation>
  </message>
  <message>
   <source>It does what the stage does, or cannot be told: no overlay is touched by it.</source>
   <translation>Er tut, was die Bühne tut, oder es ist nicht zu sagen: kein Overlay ist betroffen.</translation>
  </message>
  <message>
   <source>“{name}” is kept in the project: the intake can draw like it, and “mivex check --receiver” judges by it.</source>
   <translation>„{name}“ bleibt im Projekt: der Empfang kann so zeichnen, und „mivex check --receiver“ urteilt danach.</translation>
  </message>
  <message>
   <source>“{name}” is delivered by “{recipe}” from now on.</source>
   <translation>„{name}“ wird von jetzt an nach „{recipe}“ ausgeliefert.</translation>
  </message>
  <message>
   <source>The intake draws like it from now on.</source>
   <translation>Der Empfang zeichnet von jetzt an so.</translation>
  </message>
  <message>
   <source>The intake draws like it as soon as something was delivered or loaded.</source>
   <translation>Der Empfang zeichnet so, sobald etwas ausgeliefert oder geladen wurde.</translation>
  </message>
  <message>
   <source>About</source>
   <translation>Worum es geht</translation>
  </message>
  <message>
   <source>What the receiver does</source>
   <translation>Was der Empfänger tut</translation>
  </message>
  <message>
   <source>Sure</source>
   <translation>Sicher</translation>
  </message>
  <message>
   <source>Written: {count} files in “{folder}”. “{words}” says what to do with them.</source>
   <translation>Geschrieben: {count} Dateien in „{folder}“. „{words}“ sagt, was damit zu tun ist.</translation>
  </message>
  <message>
   <source>{other} answers, in amber, make overlays look otherwise than on the stage; {open} cannot be told from this picture. Choose a line to see which overlays it touches.</source>
   <translation>{other} Antworten, in Bernstein, lassen Overlays anders aussehen als auf der Bühne; {open} sind aus diesem Bild nicht zu sagen. Eine Zeile wählen, um die betroffenen Overlays zu sehen.</translation>
  </message>
  <message>
   <source> The picture is mirrored; it was read turned over.</source>
   <translation> Das Bild ist gespiegelt; es wurde umgedreht gelesen.</translation>
  </message>
  <message>
   <source>It touches {names} and {more} more overlays.</source>
   <translation>Es betrifft {names} und {more} weitere Overlays.</translation>
  </message>
  <message>
   <source>No overlay of this project is touched by it.</source>
   <translation>Kein Overlay dieses Projekts ist davon betroffen.</translation>
  </message>
  <message>
   <source>It touches {names}.</source>
   <translation>Es betrifft {names}.</translation>
  </message>
  <message>
   <source>particle {number}: born {born:.2f} s, lives {life:.2f} s</source>
   <translation>Teilchen {number}: geboren {born} s, lebt {life} s</translation>
  </message>
  <message>
   <source>Back to the beginning, and what was fired is gone   (Shift+H)</source>
   <translation>Zurück zum Anfang, und was ausgelöst wurde, ist fort   (Shift+H)</translation>
  </message>
  <message>
   <source>One step back: a sixtieth of a second   (,)</source>
   <translation>Ein Schritt zurück: eine Sechzigstelsekunde   (,)</translation>
  </message>
  <message>
   <source>Play or rest   (H)</source>
   <translation>Spielen oder ruhen   (H)</translation>
  </message>
  <message>
   <source>One step on: a sixtieth of a second   (.)</source>
   <translation>Ein Schritt weiter: eine Sechzigstelsekunde   (.)</translation>
  </message>
  <message>
   <source>Again and again, or once</source>
   <translation>Immer wieder, oder einmal</translation>
  </message>
  <message>
   <source>A click on the stage fires the chosen effect there, once   (G); before the camera   (X)</source>
   <translation>Ein Klick auf die Bühne löst den gewählten Effekt dort aus, einmal   (G); vor der Kamera   (X)</translation>
  </message>
  <message>
   <source>There is no effect yet</source>
   <translation>Es gibt noch keinen Effekt</translation>
  </message>
  <message>
   <source>runs for ever</source>
   <translation>läuft für immer</translation>
  </message>
  <message>
   <source>nothing changes over its life</source>
   <translation>nichts ändert sich über sein Leben</translation>
  </message>
  <message>
   <source>Speed of the clock</source>
   <translation>Tempo der Uhr</translation>
  </message>
  <message>
   <source>Clock runs to</source>
   <translation>Uhr läuft bis</translation>
  </message>
  <message>
   <source>Seed of the effect</source>
   <translation>Seed des Effekts</translation>
  </message>
  <message>
   <source>Change the seed</source>
   <translation>Den Seed ändern</translation>
  </message>
  <message>
   <source>gone after {end:.2f} s</source>
   <translation>fort nach {end} s</translation>
  </message>
  <message>
   <source> · {count} fired</source>
   <translation> · {count} ausgelöst</translation>
  </message>
  <message>
   <source>seed {key}</source>
   <translation>Seed {key}</translation>
  </message>
  <message>
   <source>No effect yet: begin one at Motion. Sheets on the stage play as well.</source>
   <translation>Noch kein Effekt: beginnen Sie einen bei Bewegung. Bögen auf der Bühne laufen auch.</translation>
  </message>
  <message>
   <source>{name} · {count} particles · {lasts}{shot}</source>
   <translation>{name} · {count} Teilchen · {lasts}{shot}</translation>
  </message>
  <message>
   <source>   ·   at {at:.2f} s:  </source>
   <translation>   ·   bei {at} s:  </translation>
  </message>
  <message>
   <source>Hover over a setting to read what it changes in the picture.</source>
   <translation>Über einer Einstellung verweilen, um zu lesen, was sie im Bild ändert.</translation>
  </message>
  <message>
   <source>F1 lists every key.</source>
   <translation>F1 nennt jede Taste.</translation>
  </message>
  <message>
   <source>Begin</source>
   <translation>Beginnen</translation>
  </message>
  <message>
   <source>An overlay starts from a picture or an empty canvas. Then follow the track from left to right: lay its layers, make its alpha, mend its edges, set its blend, place it, deliver it.</source>
   <translation>Ein Overlay beginnt mit einem Bild oder einer leeren Fläche. Folgen Sie dann der Strecke von links nach rechts: Ebenen legen, Alpha machen, Kanten bessern, Mischung wählen, setzen, liefern.</translation>
  </message>
  <message>
   <source>Begin on an empty canvas</source>
   <translation>Auf leerer Fläche beginnen</translation>
  </message>
  <message>
   <source>Glass: dark, faint, smooth</source>
   <translation>Glas: dunkel, blass, glatt</translation>
  </message>
  <message>
   <source>A decal: clear</source>
   <translation>Ein Decal: klar</translation>
  </message>
  <message>
   <source>Cloth or a screen: solid</source>
   <translation>Stoff oder Gitter: deckend</translation>
  </message>
  <message>
   <source>A soft sprite: grey on clear</source>
   <translation>Ein weiches Sprite: grau auf klar</translation>
  </message>
  <message>
   <source>Save the delivery recipe</source>
   <translation>Das Lieferrezept sichern</translation>
  </message>
  <message>
   <source>Recipes (*.json)</source>
   <translation>Rezepte (*.json)</translation>
  </message>
  <message>
   <source>Load a delivery</source>
   <translation>Eine Lieferung laden</translation>
  </message>
  <message>
   <source>Deliver into</source>
   <translation>Liefern nach</translation>
  </message>
  <message>
   <source>{count} written to “{folder}”, read back and found the same, texel for texel.</source>
   <translation>{count} nach „{folder}“ geschrieben, zurückgelesen und gleich befunden, Texel für Texel.</translation>
  </message>
  <message>
   <source>Delivering {count} overlay{ending} …</source>
   <translation>{count} Overlay(s) werden geliefert …</translation>
  </message>
  <message>
   <source>The delivery recipe was saved as “{path}”.</source>
   <translation>Das Lieferrezept wurde als „{path}“ gesichert.</translation>
  </message>
  <message>
   <source>“{overlay}” was</source>
   <translation>„{overlay}“ wurde</translation>
  </message>
  <message>
   <source>{count} overlays were</source>
   <translation>{count} Overlays wurden</translation>
  </message>
  <message>
   <source>Delivering was stopped; nothing was written.</source>
   <translation>Das Liefern wurde gestoppt; nichts wurde geschrieben.</translation>
  </message>
  <message>
   <source>Earlier saves</source>
   <translation>Frühere Stände</translation>
  </message>
  <message>
   <source>Open it</source>
   <translation>Öffnen</translation>
  </message>
  <message>
   <source>Cancel</source>
   <translation>Abbrechen</translation>
  </message>
  <message>
   <source>Earlier saves of “{name}”. The one you choose is opened in place of the present one; that stays on disk until you save.</source>
   <translation>Frühere Stände von „{name}“. Der gewählte wird anstelle des jetzigen geöffnet; der bleibt gespeichert, bis Sie sichern.</translation>
  </message>
  <message>
   <source>At once</source>
   <translation>Zugleich</translation>
  </message>
  <message>
   <source>How many particles may live at once.</source>
   <translation>Wie viele Teilchen zugleich leben dürfen.</translation>
  </message>
  <message>
   <source>Now</source>
   <translation>Jetzt</translation>
  </message>
  <message>
   <source>Fewer, larger</source>
   <translation>Weniger, größere</translation>
  </message>
  <message>
   <source>Both are still being measured</source>
   <translation>Beide werden noch gemessen</translation>
  </message>
  <message>
   <source>Measuring what is covered …</source>
   <translation>Was bedeckt ist, wird gemessen …</translation>
  </message>
  <message>
   <source>Rate × {rate:.3g} and size × {size:.3g} cover {share:.1%} of the present area with {saved:.0%} fewer fragments, {worst:.0%} fewer at the worst moment. The looks are {apart:.1f} of 255 apart.</source>
   <translation>Rate × {rate:.3g} und Größe × {size:.3g} decken {share:.1%} der jetzigen Fläche mit {saved:.0%} weniger Fragmenten, {worst:.0%} weniger im schlimmsten Moment. Das Aussehen liegt {apart:.1f} von 255 auseinander.</translation>
  </message>
  <message>
   <source>Take it</source>
   <translation>Nehmen</translation>
  </message>
  <message>
   <source>It would cost as much as now, or more</source>
   <translation>Es würde so viel kosten wie jetzt, oder mehr</translation>
  </message>
  <message>
   <source> It is a copy without dials of its own for that: “{name}” changes with it.</source>
   <translation> Es ist eine Kopie ohne eigene Regler dafür: „{name}“ ändert sich mit.</translation>
  </message>
  <message>
   <source>Nothing cheaper covers as much: fewer, larger ones take at least {share:.0%} of the fragments, {worst:.0%} at the worst moment.</source>
   <translation>Nichts Billigeres deckt so viel: weniger, größere brauchen mindestens {share:.0%} der Fragmente, {worst:.0%} im schlimmsten Moment.</translation>
  </message>
  <message>
   <source>{count:.0f} at once · {area:.1%} covered · overdraw {overdraw:.1f} · {fragments:.0f} fragments</source>
   <translation>{count} zugleich · {area} bedeckt · Übermalen {overdraw} · {fragments} Fragmente</translation>
  </message>
  <message>
   <source>Cloth</source>
   <translation>Stoff</translation>
  </message>
  <message>
   <source>Soft sprite</source>
   <translation>Weiches Sprite</translation>
  </message>
  <message>
   <source>Add a drawn overlay</source>
   <translation>Gezeichnetes Overlay hinzufügen</translation>
  </message>
  <message>
   <source>Split channels</source>
   <translation>Kanäle teilen</translation>
  </message>
  <message>
   <source>Add pictures</source>
   <translation>Bilder hinzufügen</translation>
  </message>
  <message>
   <source>Add overlay</source>
   <translation>Overlay hinzufügen</translation>
  </message>
  <message>
   <source>There is no picture on the clipboard.</source>
   <translation>In der Zwischenablage ist kein Bild.</translation>
  </message>
  <message>
   <source>Choose an overlay that stands on the stage.</source>
   <translation>Wählen Sie ein Overlay, das auf der Bühne steht.</translation>
  </message>
  <message>
   <source>Add {canvases}</source>
   <translation>{canvases} hinzufügen</translation>
  </message>
  <message>
   <source>There is no picture to split yet.</source>
   <translation>Es gibt noch kein Bild zu teilen.</translation>
  </message>
  <message>
   <source>{count} overlays show the channels of “{name}” as greys.</source>
   <translation>{count} Overlays zeigen die Kanäle von „{name}“ als Grau.</translation>
  </message>
  <message>
   <source>Look through a folder</source>
   <translation>Einen Ordner durchsehen</translation>
  </message>
  <message>
   <source>Use a recipe</source>
   <translation>Rezept benutzen</translation>
  </message>
  <message>
   <source>No repair is sure: each would change what is seen, or there is none. Look at them one by one.</source>
   <translation>Keine Reparatur ist sicher: Jede änderte, was zu sehen ist, oder es gibt keine. Sehen Sie sie einzeln an.</translation>
  </message>
  <message>
   <source>Mended: {rows}.</source>
   <translation>Ausgebessert: {rows}.</translation>
  </message>
  <message>
   <source>Add {count} overlays</source>
   <translation>{count} Overlays hinzufügen</translation>
  </message>
  <message>
   <source>Save the recipe</source>
   <translation>Das Rezept sichern</translation>
  </message>
  <message>
   <source>Choose an SVG file</source>
   <translation>SVG-Datei wählen</translation>
  </message>
  <message>
   <source>SVG files (*.svg)</source>
   <translation>SVG-Dateien (*.svg)</translation>
  </message>
  <message>
   <source>Choose a mesh</source>
   <translation>Netz wählen</translation>
  </message>
  <message>
   <source>Meshes (*.obj *.ply *.glb *.gltf)</source>
   <translation>Netze (*.obj *.ply *.glb *.gltf)</translation>
  </message>
  <message>
   <source>Mend all that is sure</source>
   <translation>Alles Sichere ausbessern</translation>
  </message>
  <message>
   <source>The recipe was saved as “{path}”.</source>
   <translation>Das Rezept wurde als „{path}“ gesichert.</translation>
  </message>
  <message>
   <source>Stopped: {count} of {count2} files were not read.</source>
   <translation>Angehalten: {count} von {count2} Dateien wurden nicht gelesen.</translation>
  </message>
  <message>
   <source>Reading “{name}” ({i} of {count})</source>
   <translation>Liest „{name}“ ({i} von {count})</translation>
  </message>
  <message>
   <source>“{name}” is not ready yet.</source>
   <translation>„{name}“ ist noch nicht fertig.</translation>
  </message>
  <message>
   <source>first start</source>
   <translation>first start</translation>
  </message>
  <message>
   <source>Getting ready, this once</source>
   <translation>Wird vorbereitet, nur dieses eine Mal</translation>
  </message>
  <message>
   <source>What draws and measures is compiled for this machine. That takes about a minute; later starts have it at hand.</source>
   <translation>Was zeichnet und misst, wird für diesen Rechner übersetzt. Das dauert etwa eine Minute; spätere Starts haben es zur Hand.</translation>
  </message>
  <message>
   <source>Progress</source>
   <translation>Fortschritt</translation>
  </message>
  <message>
   <source>Start at once</source>
   <translation>Sofort starten</translation>
  </message>
  <message>
   <source>What is missing is compiled when it is first needed: the first pictures come late</source>
   <translation>Was fehlt, wird übersetzt, wenn es gebraucht wird: die ersten Bilder kommen spät</translation>
  </message>
  <message>
   <source>Pictures of the folder</source>
   <translation>Bilder des Ordners</translation>
  </message>
  <message>
   <source>Choose pictures in the table first</source>
   <translation>Erst Bilder in der Tabelle wählen</translation>
  </message>
  <message>
   <source>Nothing that counts is found in what is chosen</source>
   <translation>In den gewählten Bildern ist nichts gefunden, das zählt</translation>
  </message>
  <message>
   <source>Nothing of what is chosen is ignored</source>
   <translation>Von den gewählten bleibt nichts unbeachtet</translation>
  </message>
  <message>
   <source>Goes away with the repair of “{title}”.</source>
   <translation>Verschwindet mit der Ausbesserung von „{title}“.</translation>
  </message>
  <message>
   <source>Looking for pictures …</source>
   <translation>Bilder werden gesucht …</translation>
  </message>
  <message>
   <source>Only those with findings</source>
   <translation>Nur die mit Befunden</translation>
  </message>
  <message>
   <source>Leaves out pictures in which nothing is found, or only what is ignored</source>
   <translation>Lässt Bilder weg, in denen nichts gefunden ist oder nur, was nicht beachtet wird</translation>
  </message>
  <message>
   <source>Open as overlays</source>
   <translation>Als Overlays öffnen</translation>
  </message>
  <message>
   <source>Adds the chosen pictures to the project   (Return)</source>
   <translation>Nimmt die gewählten Bilder ins Projekt auf   (Eingabe)</translation>
  </message>
  <message>
   <source>Mend copies …</source>
   <translation>Kopien ausbessern …</translation>
  </message>
  <message>
   <source>Writes copies with every repair that changes nothing seen; the pictures stay as they are</source>
   <translation>Schreibt Kopien mit jeder Ausbesserung, die nichts Sichtbares ändert; die Bilder bleiben, wie sie sind</translation>
  </message>
  <message>
   <source>Ignore …</source>
   <translation>Nicht beachten …</translation>
  </message>
  <message>
   <source>Lets findings of the chosen pictures stand; the reason is kept in the project</source>
   <translation>Lässt Befunde der gewählten Bilder stehen; der Grund bleibt im Projekt</translation>
  </message>
  <message>
   <source>Count again</source>
   <translation>Wieder zählen</translation>
  </message>
  <message>
   <source>Findings of the chosen pictures that were ignored count again</source>
   <translation>Nicht beachtete Befunde der gewählten Bilder zählen wieder</translation>
  </message>
  <message>
   <source>{done} of {count} looked at; {bad} have findings</source>
   <translation>{done} von {count} angesehen; {bad} haben Befunde</translation>
  </message>
  <message>
   <source>; the folder holds more than {most}, which are left out</source>
   <translation>; der Ordner hält mehr als {most}, die weggelassen werden</translation>
  </message>
  <message>
   <source>Write mended copies into</source>
   <translation>Ausgebesserte Kopien schreiben nach</translation>
  </message>
  <message>
   <source>{done} of {count} pictures were mended, as copies in “{folder}”; of the others no repair is sure.</source>
   <translation>{done} von {count} Bildern wurden ausgebessert, als Kopien in „{folder}“; bei den anderen ist keine Ausbesserung sicher.</translation>
  </message>
  <message>
   <source>Ignore</source>
   <translation>Nicht beachten</translation>
  </message>
  <message>
   <source>Why may they stand? The reason is kept in the project.</source>
   <translation>Warum dürfen sie stehen bleiben? Der Grund bleibt im Projekt.</translation>
  </message>
  <message>
   <source>Ignore findings</source>
   <translation>Befunde nicht beachten</translation>
  </message>
  <message>
   <source>Count findings again</source>
   <translation>Befunde wieder zählen</translation>
  </message>
  <message>
   <source>Pictures in “{name}”</source>
   <translation>Bilder in „{name}“</translation>
  </message>
  <message>
   <source>There is no picture in this folder that Mivex reads.</source>
   <translation>In diesem Ordner ist kein Bild, das Mivex liest.</translation>
  </message>
  <message>
   <source>Stopped: {done} of {count} looked at; {bad} have findings</source>
   <translation>Angehalten: {done} von {count} angesehen; {bad} haben Befunde</translation>
  </message>
  <message>
   <source>{bad} of {count} pictures have findings; the worst stand first</source>
   <translation>{bad} von {count} Bildern haben Befunde; die schlimmsten stehen zuerst</translation>
  </message>
  <message>
   <source>Ignored: {reason}</source>
   <translation>Nicht beachtet: {reason}</translation>
  </message>
  <message>
   <source>Click on the flat proof to take the stored colour there.</source>
   <translation>Klicken Sie auf die Flachprobe, um die dort gespeicherte Farbe zu nehmen.</translation>
  </message>
  <message>
   <source>Choose a layer to paint on, or add one.</source>
   <translation>Wählen Sie eine Ebene zum Malen, oder fügen Sie eine hinzu.</translation>
  </message>
  <message>
   <source>an untitled project</source>
   <translation>ein Projekt ohne Namen</translation>
  </message>
  <message>
   <source>“{title}” has changes that are not saved.</source>
   <translation>„{title}“ hat ungesicherte Änderungen.</translation>
  </message>
  <message>
   <source>Discard</source>
   <translation>Verwerfen</translation>
  </message>
  <message>
   <source>Keep working</source>
   <translation>Weiterarbeiten</translation>
  </message>
  <message>
   <source>“{name}” was changed on disk since it was opened here. What shall become of your version?</source>
   <translation>„{name}“ wurde seit dem Öffnen geändert. Was soll aus Ihrer Fassung werden?</translation>
  </message>
  <message>
   <source>Keep mine beside it</source>
   <translation>Meines daneben behalten</translation>
  </message>
  <message>
   <source>Take theirs</source>
   <translation>Das andere nehmen</translation>
  </message>
  <message>
   <source>Overwrite theirs</source>
   <translation>Das andere überschreiben</translation>
  </message>
  <message>
   <source>Mivex did not close properly. Unsaved work on {name} was kept aside.</source>
   <translation>Mivex wurde nicht richtig geschlossen. Ungesichertes an {name} wurde beiseitegelegt.</translation>
  </message>
  <message>
   <source>Restore it</source>
   <translation>Wiederherstellen</translation>
  </message>
  <message>
   <source>Throw it away</source>
   <translation>Wegwerfen</translation>
  </message>
  <message>
   <source>Ask again later</source>
   <translation>Später fragen</translation>
  </message>
  <message>
   <source>Files are still being read; what they bring is not in the project yet.</source>
   <translation>Es werden noch Dateien gelesen; was sie bringen, ist noch nicht im Projekt.</translation>
  </message>
  <message>
   <source>A delivery is under way; stopped, it writes nothing.</source>
   <translation>Eine Lieferung läuft; angehalten schreibt sie nichts.</translation>
  </message>
  <message>
   <source>Leave without it</source>
   <translation>Ohne das gehen</translation>
  </message>
  <message>
   <source>Pin a pixel first</source>
   <translation>Hefte zuerst ein Pixel an</translation>
  </message>
  <message>
   <source>Fragments in the order set</source>
   <translation>Fragmente in gesetzter Reihenfolge</translation>
  </message>
  <message>
   <source>Fragments in exact order</source>
   <translation>Fragmente in genauer Reihenfolge</translation>
  </message>
  <message>
   <source>Point at a pixel of the stage first</source>
   <translation>Zeige zuerst auf ein Pixel der Bühne</translation>
  </message>
  <message>
   <source>Pin this pixel</source>
   <translation>Dieses Pixel anheften</translation>
  </message>
  <message>
   <source>The account stays at this pixel while settings change, and the pointer is free   (Y)</source>
   <translation>Das Buch bleibt bei diesem Pixel, während Einstellungen sich ändern, und der Zeiger ist frei   (Y)</translation>
  </message>
  <message>
   <source>Compare with the pointer</source>
   <translation>Mit dem Zeiger vergleichen</translation>
  </message>
  <message>
   <source>Beside the pinned pixel stands the one under the pointer, in the order set</source>
   <translation>Neben dem angehefteten Pixel steht das unter dem Zeiger, in gesetzter Reihenfolge</translation>
  </message>
  <message>
   <source>right: pixel {pixel}, {pixel2}, differs by {apart} of 255</source>
   <translation>rechts: Pixel {pixel}, {pixel2}, weicht um {apart} von 255 ab</translation>
  </message>
  <message>
   <source>right: exact order, </source>
   <translation>rechts: genaue Reihenfolge, </translation>
  </message>
  <message>
   <source>   ·   {count} switched off</source>
   <translation>   ·   {count} ausgeschaltet</translation>
  </message>
  <message>
   <source>Point at a pixel of the stage: every fragment that reaches it is listed here.</source>
   <translation>Zeigen Sie auf ein Pixel der Bühne: jedes Fragment, das es erreicht, steht hier.</translation>
  </message>
  <message>
   <source>the same</source>
   <translation>gleich</translation>
  </message>
  <message>
   <source>pixel {pixel}, {pixel2}   ·   left: order set   ·   {beside}{less}</source>
   <translation>Pixel {pixel}, {pixel2}   ·   links: gesetzte Reihenfolge   ·   {beside}{less}</translation>
  </message>
  <message>
   <source>Pinned</source>
   <translation>Angeheftet</translation>
  </message>
  <message>
   <source>differs by {apart} of 255</source>
   <translation>weicht um {apart} von 255 ab</translation>
  </message>
  <message>
   <source>Textures</source>
   <translation>Texturen</translation>
  </message>
  <message>
   <source>Sheets</source>
   <translation>Bögen</translation>
  </message>
  <message>
   <source>The scene</source>
   <translation>Die Szene</translation>
  </message>
  <message>
   <source>With the fault</source>
   <translation>Mit dem Fehler</translation>
  </message>
  <message>
   <source>Without</source>
   <translation>Ohne</translation>
  </message>
  <message>
   <source>Why it matters</source>
   <translation>Warum es zählt</translation>
  </message>
  <message>
   <source>How to avoid it</source>
   <translation>Wie man es vermeidet</translation>
  </message>
  <message>
   <source>Both pictures are being drawn and measured.</source>
   <translation>Beide Bilder werden gezeichnet und gemessen.</translation>
  </message>
  <message>
   <source>the case with the fault</source>
   <translation>der Fall mit dem Fehler</translation>
  </message>
  <message>
   <source>the same without it</source>
   <translation>derselbe ohne ihn</translation>
  </message>
  <message>
   <source>The example shows it; this finding measures nothing on a single picture.</source>
   <translation>Das Beispiel zeigt es; dieser Befund misst an einem einzelnen Bild nichts.</translation>
  </message>
  <message>
   <source>Drawing {words} …</source>
   <translation>Zeichnet: {words} …</translation>
  </message>
  <message>
   <source>Alpha:  {clear:.0%} clear   {soft:.0%} soft   {solid:.0%} solid</source>
   <translation>Alpha:  {clear} klar   {soft} weich   {solid} deckend</translation>
  </message>
  <message>
   <source>Measured</source>
   <translation>Gemessen</translation>
  </message>
  <message>
   <source>{w} × {high}, {bits} bit {meaning}</source>
   <translation>{w} × {high}, {bits} Bit {meaning}</translation>
  </message>
  <message>
   <source>alpha {clear:.0%} clear, {soft:.0%} soft, {solid:.0%} solid, {mean:.2f} in the mean</source>
   <translation>Alpha {clear} klar, {soft} weich, {solid} deckend, {mean} im Mittel</translation>
  </message>
  <message>
   <source>Fringe by mip level, up to {shown:.1f} of 255</source>
   <translation>Saum je Mip-Stufe, bis {shown:.1f} von 255</translation>
  </message>
  <message>
   <source>Hollow: too small to be seen</source>
   <translation>Hohl: zu klein, um gesehen zu werden</translation>
  </message>
  <message>
   <source>Nothing selected</source>
   <translation>Nichts gewählt</translation>
  </message>
  <message>
   <source>Measured: {name}</source>
   <translation>Gemessen: {name}</translation>
  </message>
  <message>
   <source>draw group</source>
   <translation>Zeichengruppe</translation>
  </message>
  <message>
   <source>depth write</source>
   <translation>Tiefe schreiben</translation>
  </message>
  <message>
   <source>&lt;br&gt;&lt;br&gt;</source>
   <translation>&lt;br&gt;&lt;br&gt;</translation>
  </message>
  <message>
   <source>&lt;br&gt;</source>
   <translation>&lt;br&gt;</translation>
  </message>
  <message>
   <source>Nothing is placed on the stage yet</source>
   <translation>Auf der Bühne steht noch nichts</translation>
  </message>
  <message>
   <source>Compares the drawing order that is set with exact order, from every named camera and all round, and finds the nudges that come nearest.</source>
   <translation>Vergleicht die gesetzte Reihenfolge mit der genauen, von jeder benannten Kamera und rundum, und findet die Ränge, die ihr am nächsten kommen.</translation>
  </message>
  <message>
   <source>The order holds from everywhere: nothing to change.</source>
   <translation>Die Reihenfolge hält von überall: nichts zu ändern.</translation>
  </message>
  <message>
   <source>Error {before:.2f} of 255 in the mean now, &lt;b&gt;{after:.2f}&lt;/b&gt; as proposed.</source>
   <translation>Fehler jetzt im Mittel {before} von 255, &lt;b&gt;{after}&lt;/b&gt; wie vorgeschlagen.</translation>
  </message>
  <message>
   <source>Looking from all sides …</source>
   <translation>Von allen Seiten gesehen …</translation>
  </message>
  <message>
   <source>Ask for advice</source>
   <translation>Um Rat fragen</translation>
  </message>
  <message>
   <source>Looks through all named cameras and a ring of sixteen round what is placed</source>
   <translation>Schaut durch alle benannten Kameras und einen Ring von sechzehn um das Gesetzte</translation>
  </message>
  <message>
   <source>Set it so</source>
   <translation>So setzen</translation>
  </message>
  <message>
   <source>Nothing better was found; what is left is an error of {before:.2f} of 255 in the mean.</source>
   <translation>Nichts Besseres wurde gefunden; es bleibt ein Fehler von {before} von 255 im Mittel.</translation>
  </message>
  <message>
   <source>“{get}” with itself</source>
   <translation>„{get}“ mit sich selbst</translation>
  </message>
  <message>
   <source>Try {remedy} of “{name}”</source>
   <translation>{remedy} von „{name}“ versuchen</translation>
  </message>
  <message>
   <source>Looking from all sides … {share:.0%}</source>
   <translation>Von allen Seiten gesehen … {share}</translation>
  </message>
  <message>
   <source>Set the drawing order</source>
   <translation>Zeichenreihenfolge setzen</translation>
  </message>
  <message>
   <source>At {pixels} pixels many overlays meet: the order was looked for by pairs of them there. What is proposed was rendered.</source>
   <translation>An {pixels} Pixeln treffen sich viele Overlays: dort wurde die Reihenfolge paarweise gesucht. Was vorgeschlagen wird, ist gerechnet.</translation>
  </message>
  <message>
   <source>“{get}” and “{get2}”</source>
   <translation>„{get}“ und „{get2}“</translation>
  </message>
  <message>
   <source>: {pixels} pixels, {error:.3f} · {link}Show{end}</source>
   <translation>: {pixels} Pixel, {error:.3f} · {link}Zeigen{end}</translation>
  </message>
  <message>
   <source>&amp;nbsp;&amp;nbsp;{remedy} of “{get}”: gains {gain:.3f} where it is seen, changes the look by {look:.0f} · {link}Try{end}</source>
   <translation>&amp;nbsp;&amp;nbsp;{remedy} von „{get}“: bringt {gain:.3f}, wo man es sieht, ändert das Aussehen um {look:.0f} · {link}Versuchen{end}</translation>
  </message>
  <message>
   <source>&amp;nbsp;&amp;nbsp;Nothing that can be set gains anything here.</source>
   <translation>&amp;nbsp;&amp;nbsp;Nichts, das sich einstellen lässt, bringt hier etwas.</translation>
  </message>
  <message>
   <source>Nudges</source>
   <translation>Versatz</translation>
  </message>
  <message>
   <source>Settings</source>
   <translation>Einstellungen</translation>
  </message>
  <message>
   <source>No order settles</source>
   <translation>Keine Reihenfolge löst</translation>
  </message>
  <message>
   <source>In any order</source>
   <translation>In jeder Reihenfolge</translation>
  </message>
  <message>
   <source>{get}: {nudge} → {nudge2}, gains {gain:.3f}</source>
   <translation>{get}: {nudge} → {nudge2}, bringt {gain}</translation>
  </message>
  <message>
   <source>{get}: {get2} {value} → {value2}, gains {gain:.3f}</source>
   <translation>{get}: {get2} {value} → {value2}, bringt {gain}</translation>
  </message>
  <message>
   <source>no picture</source>
   <translation>kein Bild</translation>
  </message>
  <message>
   <source>Hide on the stage</source>
   <translation>Auf der Bühne verbergen</translation>
  </message>
  <message>
   <source>Show on the stage</source>
   <translation>Auf der Bühne zeigen</translation>
  </message>
  <message>
   <source>Add a variant</source>
   <translation>Variante hinzufügen</translation>
  </message>
  <message>
   <source>cannot be read</source>
   <translation>nicht lesbar</translation>
  </message>
  <message>
   <source> · &lt;span style='color:{colour}'&gt;{tail}&lt;/span&gt;</source>
   <translation> · &lt;span style='color:{colour}'&gt;{tail}&lt;/span&gt;</translation>
  </message>
  <message>
   <source>as {name}</source>
   <translation>wie {name}</translation>
  </message>
  <message>
   <source>
Takes its material from “{name}”; its own: {own}</source>
   <translation>
Nimmt sein Material von „{name}“; eigen: {own}</translation>
  </message>
  <message>
   <source>Move the card up</source>
   <translation>Die Karte nach oben</translation>
  </message>
  <message>
   <source>Move the card down</source>
   <translation>Die Karte nach unten</translation>
  </message>
  <message>
   <source>Copy the overlay</source>
   <translation>Das Overlay kopieren</translation>
  </message>
  <message>
   <source>Remove the overlay</source>
   <translation>Das Overlay entfernen</translation>
  </message>
  <message>
   <source>Add pictures as overlays</source>
   <translation>Bilder als Overlays hinzufügen</translation>
  </message>
  <message>
   <source>Overlays</source>
   <translation>Overlays</translation>
  </message>
  <message>
   <source>No overlays yet.

Drop pictures anywhere on the window, or press + above.</source>
   <translation>Noch keine Overlays.

Bilder irgendwo aufs Fenster ziehen, oder oben + drücken.</translation>
  </message>
  <message>
   <source>Move up</source>
   <translation>Nach oben</translation>
  </message>
  <message>
   <source>Move down</source>
   <translation>Nach unten</translation>
  </message>
  <message>
   <source>Move in the rack</source>
   <translation>Im Gestell verschieben</translation>
  </message>
  <message>
   <source>Copy overlay</source>
   <translation>Overlay kopieren</translation>
  </message>
  <message>
   <source>Remove overlay</source>
   <translation>Overlay entfernen</translation>
  </message>
  <message>
   <source>Hide</source>
   <translation>Verbergen</translation>
  </message>
  <message>
   <source>Show</source>
   <translation>Zeigen</translation>
  </message>
  <message>
   <source>1 finding</source>
   <translation>1 Befund</translation>
  </message>
  <message>
   <source>{count} findings</source>
   <translation>{count} Befunde</translation>
  </message>
  <message>
   <source>Mivex projects (*.mivex)</source>
   <translation>Mivex-Projekte (*.mivex)</translation>
  </message>
  <message>
   <source>Open a project</source>
   <translation>Projekt öffnen</translation>
  </message>
  <message>
   <source>New here? “A short tour of the demo” in the menu Help goes round in ten stops   (Shift+F6).</source>
   <translation>Neu hier? „Kurzer Rundgang durch die Demo“ im Menü Hilfe zeigt alles in zehn Halten   (Shift+F6).</translation>
  </message>
  <message>
   <source>This project has not been saved yet.</source>
   <translation>Dieses Projekt wurde noch nie gesichert.</translation>
  </message>
  <message>
   <source>No earlier save of this project was kept yet; each save keeps the one before it.</source>
   <translation>Noch kein früherer Stand dieses Projekts; jedes Sichern behält den davor.</translation>
  </message>
  <message>
   <source>Save the project first; its files are collected beside it.</source>
   <translation>Sichern Sie erst das Projekt; seine Dateien werden daneben gesammelt.</translation>
  </message>
  <message>
   <source>Look for moved files in</source>
   <translation>Verschobene Dateien suchen in</translation>
  </message>
  <message>
   <source>“{name}” was changed on disk by somebody else; saving will ask before anything is overwritten.</source>
   <translation>„{name}“ wurde von jemand anderem geändert; beim Sichern wird gefragt, ehe etwas überschrieben wird.</translation>
  </message>
  <message>
   <source>Save the project</source>
   <translation>Das Projekt sichern</translation>
  </message>
  <message>
   <source>“{name}” is open in another window of Mivex as well; whoever saves second is asked first.</source>
   <translation>„{name}“ ist auch in einem anderen Fenster von Mivex offen; wer als zweiter sichert, wird erst gefragt.</translation>
  </message>
  <message>
   <source>Open an earlier save</source>
   <translation>Früheren Stand öffnen</translation>
  </message>
  <message>
   <source>No file of this project is missing.</source>
   <translation>Keine Datei dieses Projekts fehlt.</translation>
  </message>
  <message>
   <source>Saved as “{target}”.</source>
   <translation>Gesichert als „{target}“.</translation>
  </message>
  <message>
   <source> {missing} could not be found.</source>
   <translation> {missing} ließen sich nicht finden.</translation>
  </message>
  <message>
   <source>Every file lies beside the project already.</source>
   <translation>Jede Datei liegt schon neben dem Projekt.</translation>
  </message>
  <message>
   <source>{copied} file{ending} copied into “{folder}” beside the project.</source>
   <translation>{copied} Datei(en) nach „{folder}“ neben das Projekt kopiert.</translation>
  </message>
  <message>
   <source>Find moved files</source>
   <translation>Verschobene Dateien finden</translation>
  </message>
  <message>
   <source>{moved} {word} found again.</source>
   <translation>{moved} {word} wiedergefunden.</translation>
  </message>
  <message>
   <source>{left} {ending} missing; “Find moved files …” looks in a folder of your choice.</source>
   <translation>{left} {ending} nicht zu finden; „Verschobene Dateien finden …“ sucht in einem Ordner Ihrer Wahl.</translation>
  </message>
  <message>
   <source>Collect its files</source>
   <translation>Seine Dateien sammeln</translation>
  </message>
  <message>
   <source>was</source>
   <translation>wurde</translation>
  </message>
  <message>
   <source>were</source>
   <translation>wurden</translation>
  </message>
  <message>
   <source>Search: a key, or what it does</source>
   <translation>Suchen: eine Taste, oder was sie tut</translation>
  </message>
  <message>
   <source>Search the keys</source>
   <translation>Tasten durchsuchen</translation>
  </message>
  <message>
   <source>No key is called so.</source>
   <translation>So heißt keine Taste.</translation>
  </message>
  <message>
   <source>What there is</source>
   <translation>Was es gibt</translation>
  </message>
  <message>
   <source>The rack holds every overlay of the project. A mark at the right says how many findings one has. Choose one, and everything else shows that one.</source>
   <translation>Das Gestell hält jedes Overlay des Projekts. Eine Marke rechts sagt, wie viele Befunde eines hat. Wählen Sie eins, und alles andere zeigt dieses.</translation>
  </message>
  <message>
   <source>The texture alone</source>
   <translation>Die Textur allein</translation>
  </message>
  <message>
   <source>The flat proof shows the texture over any backdrop, texel by texel. Rest the pointer on it to read what is stored; turn the wheel to come near; B takes the next backdrop.</source>
   <translation>Die Flachprobe zeigt die Textur vor jedem Hintergrund, Texel für Texel. Verweilen Sie mit dem Zeiger, um Werte zu lesen; das Rad holt näher; B nimmt den nächsten Hintergrund.</translation>
  </message>
  <message>
   <source>From left to right</source>
   <translation>Von links nach rechts</translation>
  </message>
  <message>
   <source>An overlay follows the track: what it is made of, its alpha, its edges, its blend, where it stands, how it moves, how it leaves. A ring means touched, a number means findings.</source>
   <translation>Ein Overlay folgt der Strecke: woraus es ist, sein Alpha, seine Kanten, seine Mischung, wo es steht, wie es sich bewegt, wie es geht. Ein Ring heißt berührt, eine Zahl heißt Befunde.</translation>
  </message>
  <message>
   <source>Settings of one station</source>
   <translation>Einstellungen einer Station</translation>
  </message>
  <message>
   <source>Only what belongs to the station stands here. Hover over a setting, and the line below says what it changes in the picture.</source>
   <translation>Hier steht nur, was zur Station gehört. Verweilen Sie über einer Einstellung, und die Zeile unten sagt, was sie im Bild ändert.</translation>
  </message>
  <message>
   <source>A fault, and its repair</source>
   <translation>Ein Fehler und seine Abhilfe</translation>
  </message>
  <message>
   <source>This bubble was cut from black. The tray says how much is wrong, where, and what it does on screen. The button mends it; Ctrl+Z takes that back; “More about it …” explains it.</source>
   <translation>Diese Blase wurde aus Schwarz geschnitten. Die Leiste sagt, wie viel falsch ist, wo, und was es auf dem Schirm tut. Der Knopf hilft ab; Strg+Z nimmt es zurück; „Mehr dazu …“ erklärt es.</translation>
  </message>
  <message>
   <source>Seen from afar</source>
   <translation>Aus der Ferne gesehen</translation>
  </message>
  <message>
   <source>The same overlay at every distance, as sampled and as it should be, and the difference of both. Faults that only show in the game show here.</source>
   <translation>Dasselbe Overlay in jeder Entfernung, wie abgetastet und wie es sein sollte, und der Unterschied. Fehler, die sich erst im Spiel zeigen, zeigen sich hier.</translation>
  </message>
  <message>
   <source>A row is a layer, a column a channel. Patterns, paint and ready builds lie over each other; masks say where. Hover over a column to see that channel alone.</source>
   <translation>Eine Zeile ist eine Ebene, eine Spalte ein Kanal. Muster, Gemaltes und fertige Aufbauten liegen übereinander; Masken sagen, wo. Über einer Spalte verweilen zeigt nur diesen Kanal.</translation>
  </message>
  <message>
   <source>Blend, and prove the order</source>
   <translation>Mischen, und die Reihenfolge beweisen</translation>
  </message>
  <message>
   <source>Bright means drawn in the wrong order. Point anywhere, and the ledger lists every fragment of that pixel, why it was drawn or not, and the exact order beside it.</source>
   <translation>Hell heißt in falscher Reihenfolge gezeichnet. Zeigen Sie irgendwohin, und das Pixelbuch nennt jedes Fragment dieses Pixels, warum es gezeichnet wurde oder nicht, und daneben die genaue Reihenfolge.</translation>
  </message>
  <message>
   <source>A life, drawn</source>
   <translation>Ein Leben, gezeichnet</translation>
  </message>
  <message>
   <source>At Motion the chart shows one particle's life from birth to death, a lane for each thing that changes. Drag its points; H plays and rests.</source>
   <translation>Bei Bewegung zeigt die Karte das Leben eines Teilchens von der Geburt bis zum Tod, eine Spur für alles, was sich ändert. Ziehen Sie die Punkte; H spielt und ruht.</translation>
  </message>
  <message>
   <source>Deliver, and take in again</source>
   <translation>Liefern und wieder empfangen</translation>
  </message>
  <message>
   <source>Channels flow into files; a click feeds one from elsewhere. What is delivered is read back, and the intake shows what a receiver will make of it. That is the way. The rest is yours to try: Ctrl+Z takes back everything.</source>
   <translation>Kanäle fließen in Dateien; ein Klick füllt einen von anderswo. Was geliefert wird, wird zurückgelesen, und der Empfang zeigt, was ein Empfänger daraus macht. Das ist der Weg. Der Rest ist Ihrer: Strg+Z nimmt alles zurück.</translation>
  </message>
  <message>
   <source>Tour</source>
   <translation>Rundgang</translation>
  </message>
  <message>
   <source>Leave</source>
   <translation>Verlassen</translation>
  </message>
  <message>
   <source>Next</source>
   <translation>Weiter</translation>
  </message>
  <message>
   <source>{number} of {count}</source>
   <translation>{number} von {count}</translation>
  </message>
  <message>
   <source>Done</source>
   <translation>Fertig</translation>
  </message>
  <message>
   <source>Add an overlay first</source>
   <translation>Füge zuerst ein Overlay hinzu</translation>
  </message>
  <message>
   <source>{title}   (Alt+{number})</source>
   <translation>{title}   (Alt+{number})</translation>
  </message>
  <message>
   <source>What is wrong, how much, and its repair   (Shift+F1)</source>
   <translation>Was falsch ist, wie viel, und die Abhilfe   (Shift+F1)</translation>
  </message>
  <message>
   <source>Every fragment of one pixel of the stage   (Shift+F2)</source>
   <translation>Jedes Fragment eines Pixels der Bühne   (Shift+F2)</translation>
  </message>
  <message>
   <source>How wrong the drawing order is, and what would mend it   (Shift+F3)</source>
   <translation>Wie falsch die Zeichenreihenfolge ist, und was helfen würde   (Shift+F3)</translation>
  </message>
  <message>
   <source>Play, step and scrub what moves; the life of one particle   (Shift+F4)</source>
   <translation>Spielen, gehen und ziehen, was sich bewegt; das Leben eines Teilchens   (Shift+F4)</translation>
  </message>
  <message>
   <source>Fold the tray, or open it</source>
   <translation>Die Leiste falten oder öffnen</translation>
  </message>
  <message>
   <source>Drag to make the tray higher or lower; double click: its usual height</source>
   <translation>Ziehen macht die Ablage höher oder niedriger; Doppelklick: übliche Höhe</translation>
  </message>
  <message>
   <source>Takes every repair of a likely finding that changes nothing seen at full size; one step to undo</source>
   <translation>Nimmt jede Reparatur eines wahrscheinlichen Befunds, die in voller Größe nichts Sichtbares ändert; ein Schritt zum Zurücknehmen</translation>
  </message>
  <message>
   <source>Choose a finding to go to its place and see its repair.</source>
   <translation>Wählen Sie einen Befund, um zu seinem Ort zu gehen und die Abhilfe zu sehen.</translation>
  </message>
  <message>
   <source>What the repair changes at full size: before, after, and where they differ (four times).</source>
   <translation>Was die Abhilfe in voller Größe ändert: vorher, nachher, und wo sie sich unterscheiden (vierfach).</translation>
  </message>
  <message>
   <source>What the repair costs: before, after, difference</source>
   <translation>Was die Abhilfe kostet: vorher, nachher, Unterschied</translation>
  </message>
  <message>
   <source>More about it …</source>
   <translation>Mehr dazu …</translation>
  </message>
  <message>
   <source>A page with a good and a bad picture: why it matters, and how to avoid it   (Shift+F5)</source>
   <translation>Eine Seite mit einem guten und einem schlechten Bild: warum es zählt und wie man es vermeidet   (Shift+F5)</translation>
  </message>
  <message>
   <source>Every overlay is measured here as soon as there is one.</source>
   <translation>Jedes Overlay wird hier gemessen, sobald es eins gibt.</translation>
  </message>
  <message>
   <source>They may as well be meant so; they are not counted. Click to see them or to fold them away.</source>
   <translation>Sie können ebenso gut so gemeint sein; sie zählen nicht. Klicken Sie, um sie zu sehen oder einzuklappen.</translation>
  </message>
  <message>
   <source>{mark} {count} more are possible</source>
   <translation>{mark} {count} weitere sind möglich</translation>
  </message>
  <message>
   <source>{count} so far; measuring …</source>
   <translation>{count} bisher; wird gemessen …</translation>
  </message>
  <message>
   <source>None. Everything here composites as it should.</source>
   <translation>Keine. Alles hier wird zusammengesetzt, wie es soll.</translation>
  </message>
  <message>
   <source>{count} in the project, {own} on this overlay</source>
   <translation>{count} im Projekt, {own} an diesem Overlay</translation>
  </message>
  <message>
   <source>“{name}” is not seen from here, so that all look alike. Double-click its card to go to where it is.</source>
   <translation>„{name}“ ist von hier nicht zu sehen, darum sehen alle gleich aus. Ein Doppelklick auf die Karte führt hin.</translation>
  </message>
  <message>
   <source>Seven blends</source>
   <translation>Sieben Mischungen</translation>
  </message>
  <message>
   <source>as it is</source>
   <translation>wie es ist</translation>
  </message>
  <message>
   <source>Drawing …</source>
   <translation>Wird gezeichnet …</translation>
  </message>
  <message>
   <source>As this camera sees it, over the brightest, a middling and the darkest place behind it. A click takes a blend, with the depth write and the draw group that are usual for it.</source>
   <translation>Wie diese Kamera es sieht, über der hellsten, einer mittleren und der dunkelsten Stelle dahinter. Ein Klick nimmt eine Mischung, mit dem üblichen Tiefeschreiben und der üblichen Zeichengruppe.</translation>
  </message>
  <message>
   <source>Take {blend}</source>
   <translation>{blend} nehmen</translation>
  </message>
  <message>
   <source>{differs:.1f} of 255 away</source>
   <translation>{differs} von 255 entfernt</translation>
  </message>
  <message>
   <source>What if: {name} under each blend</source>
   <translation>Was wäre, wenn: {name} unter jeder Mischung</translation>
  </message>
  <message>
   <source>depth settles it</source>
   <translation>Tiefe regelt es</translation>
  </message>
  <message>
   <source>{reads} reads, {arithmetic} ops</source>
   <translation>{reads} Lesen, {arithmetic} Rechnen</translation>
  </message>
  <message>
   <source>{blend}: {words}, differs by {differs:.1f}</source>
   <translation>{blend}: {words}, weicht um {differs} ab</translation>
  </message>
  <message>
   <source>Flat proof and stage   (F2)</source>
   <translation>Flachprobe und Bühne   (F2)</translation>
  </message>
  <message>
   <source>Flat proof alone   (F3)</source>
   <translation>Nur Flachprobe   (F3)</translation>
  </message>
  <message>
   <source>Stage alone   (F4)</source>
   <translation>Nur Bühne   (F4)</translation>
  </message>
  <message>
   <source>Choose an effect at Motion first.</source>
   <translation>Wählen Sie erst einen Effekt bei Bewegung.</translation>
  </message>
  <message>
   <source>{title} — Mivex</source>
   <translation>{title} — Mivex</translation>
  </message>
  <message>
   <source>“{name}” has no number that frames could differ in: add a layer or a step.</source>
   <translation>„{name}“ hat keine Zahl, in der sich Bilder unterscheiden könnten: eine Ebene oder einen Schritt hinzufügen.</translation>
  </message>
  <message>
   <source>Undo: {undo_label}</source>
   <translation>Zurück: {undo_label}</translation>
  </message>
  <message>
   <source>Redo: {redo_label}</source>
   <translation>Wieder: {redo_label}</translation>
  </message>
  <message>
   <source>What is solid and what is clear.</source>
   <translation>Was deckt und was klar ist.</translation>
  </message>
  <message>
   <source>Values now</source>
   <translation>Werte jetzt</translation>
  </message>
  <message>
   <source>Histogram of alpha and of each channel</source>
   <translation>Histogramm von Alpha und jedem Kanal</translation>
  </message>
  <message>
   <source>How often each value occurs: alpha large, then red, green and blue. Low values stand left.</source>
   <translation>Wie oft jeder Wert vorkommt: Alpha groß, dann Rot, Grün und Blau. Kleine Werte stehen links.</translation>
  </message>
  <message>
   <source>clear {clear:.1%}   between {soft:.1%}   solid {solid:.1%}</source>
   <translation>klar {clear}   dazwischen {soft}   deckend {solid}</translation>
  </message>
  <message>
   <source>Add {label}</source>
   <translation>{label} hinzufügen</translation>
  </message>
  <message>
   <source>How it meets what lies behind it.</source>
   <translation>Wie es trifft, was dahinter liegt.</translation>
  </message>
  <message>
   <source>The picture that colour is read from.</source>
   <translation>Das Bild, aus dem Farbe gelesen wird.</translation>
  </message>
  <message>
   <source>Where alpha is read from, if not from the overlay's own.</source>
   <translation>Woraus Alpha gelesen wird, wenn nicht aus dem eigenen.</translation>
  </message>
  <message>
   <source>Metal mirrors in its own colour and has no matt part.</source>
   <translation>Metall spiegelt in seiner eigenen Farbe und hat keinen matten Teil.</translation>
  </message>
  <message>
   <source>How much of the light from all round reaches each place.</source>
   <translation>Wie viel vom Licht ringsum jede Stelle erreicht.</translation>
  </message>
  <message>
   <source>Bumps from a normal map; only what is lit shows them.</source>
   <translation>Beulen aus einer Normalenkarte; nur Beleuchtetes zeigt sie.</translation>
  </message>
  <message>
   <source>Light that the surface gives off by itself.</source>
   <translation>Licht, das die Fläche selbst abgibt.</translation>
  </message>
  <message>
   <source>factors: colour ({colour}, {colour2})   alpha ({alpha}, {alpha2})</source>
   <translation>Faktoren: Farbe ({colour}, {colour2})   Alpha ({alpha}, {alpha2})</translation>
  </message>
  <message>
   <source>Surface</source>
   <translation>Oberfläche</translation>
  </message>
  <message>
   <source>Effects</source>
   <translation>Effekte</translation>
  </message>
  <message>
   <source>On the mesh</source>
   <translation>Auf dem Netz</translation>
  </message>
  <message>
   <source>As that one again</source>
   <translation>Wieder wie jenes</translation>
  </message>
  <message>
   <source>On its own</source>
   <translation>Für sich allein</translation>
  </message>
  <message>
   <source>It has nothing of its own yet</source>
   <translation>Es hat noch nichts Eigenes</translation>
  </message>
  <message>
   <source>A noise</source>
   <translation>Ein Rauschen</translation>
  </message>
  <message>
   <source>Change eaten by</source>
   <translation>Gefressen-von ändern</translation>
  </message>
  <message>
   <source>Packed picture …</source>
   <translation>Gepacktes Bild …</translation>
  </message>
  <message>
   <source>Reads roughness, metal and occlusion from the channels of one picture, in an order that you choose.</source>
   <translation>Liest Rauheit, Metall und Verdeckung aus den Kanälen eines Bilds, in wählbarer Ordnung.</translation>
  </message>
  <message>
   <source>What it changes of its surface</source>
   <translation>Was es an seiner Fläche ändert</translation>
  </message>
  <message>
   <source>nothing yet: what you change here becomes its own</source>
   <translation>noch nichts: was Sie hier ändern, wird eigen</translation>
  </message>
  <message>
   <source>Takes its material from “{name}”. Its own: {own}.</source>
   <translation>Nimmt sein Material von „{name}“. Eigen: {own}.</translation>
  </message>
  <message>
   <source>Everything as “{name}” has it.</source>
   <translation>Alles, wie „{name}“ es hat.</translation>
  </message>
  <message>
   <source>It stays as it is and follows “{name}” no longer.</source>
   <translation>Es bleibt, wie es ist, und folgt „{name}“ nicht mehr.</translation>
  </message>
  <message>
   <source>Take a packed picture</source>
   <translation>Gepacktes Bild nehmen</translation>
  </message>
  <message>
   <source>a fragment: {cost}</source>
   <translation>je Fragment: {cost}</translation>
  </message>
  <message>
   <source>What hue its soft parts have; alpha stays apart.</source>
   <translation>Welchen Ton seine weichen Teile haben; Alpha bleibt außen vor.</translation>
  </message>
  <message>
   <source>Which files it becomes, and what goes with them. A change makes a recipe of the project's own.</source>
   <translation>Welche Dateien es wird und was dazukommt. Eine Änderung macht ein eigenes Rezept des Projekts.</translation>
  </message>
  <message>
   <source>Deliver</source>
   <translation>Liefern</translation>
  </message>
  <message>
   <source>What is written, and in which form.</source>
   <translation>Was geschrieben wird, und in welcher Form.</translation>
  </message>
  <message>
   <source>Use a file …</source>
   <translation>Datei benutzen …</translation>
  </message>
  <message>
   <source>Take a delivery recipe from a file</source>
   <translation>Ein Lieferrezept aus einer Datei nehmen</translation>
  </message>
  <message>
   <source>Save this delivery recipe as a file, to share it</source>
   <translation>Dieses Lieferrezept als Datei sichern, um es zu teilen</translation>
  </message>
  <message>
   <source>Deliver this overlay …</source>
   <translation>Dieses Overlay liefern …</translation>
  </message>
  <message>
   <source>Asks a receiver what it does to textures, and reads the answer from a screenshot</source>
   <translation>Fragt einen Empfänger, was er mit Texturen tut, und liest die Antwort aus einem Bildschirmfoto</translation>
  </message>
  <message>
   <source>A blend sheet (JSON: blend, factors, depth, group, nudge, faces) is written beside the pictures. All are read back and compared.</source>
   <translation>Ein Mischblatt (JSON: Mischung, Faktoren, Tiefe, Gruppe, Rang, Seiten) wird neben die Bilder geschrieben. Alle werden zurückgelesen und verglichen.</translation>
  </message>
  <message>
   <source>There is no picture to deliver yet</source>
   <translation>Es gibt noch kein Bild zum Liefern</translation>
  </message>
  <message>
   <source>Choose a delivery recipe</source>
   <translation>Lieferrezept wählen</translation>
  </message>
  <message>
   <source>Change the delivery recipe</source>
   <translation>Das Lieferrezept ändern</translation>
  </message>
  <message>
   <source>glTF cannot say, so that only the sheet does: {parts}.</source>
   <translation>glTF kennt das nicht, nur das Blatt sagt es: {parts}.</translation>
  </message>
  <message>
   <source>There is no picture to deliver yet.</source>
   <translation>Es gibt noch kein Bild zu liefern.</translation>
  </message>
  <message>
   <source>No findings: it composites as it should.</source>
   <translation>Keine Befunde: es wird zusammengesetzt, wie es soll.</translation>
  </message>
  <message>
   <source>{count} finding{word} still open; it can be delivered all the same.</source>
   <translation>{count} Befund{word} noch offen; liefern geht trotzdem.</translation>
  </message>
  <message>
   <source>s are</source>
   <translation>e sind</translation>
  </message>
  <message>
   <source> is</source>
   <translation> ist</translation>
  </message>
  <message>
   <source>Edges</source>
   <translation>Kanten</translation>
  </message>
  <message>
   <source>No rim: hidden colour, mattes, border, frame.</source>
   <translation>Kein Saum: verborgene Farbe, Hintergrundreste, Bildrand.</translation>
  </message>
  <message>
   <source>No cutout.</source>
   <translation>Kein Cutout.</translation>
  </message>
  <message>
   <source>The alpha is no distance yet.</source>
   <translation>Das Alpha ist noch kein Abstand.</translation>
  </message>
  <message>
   <source>signed distance: mean {outline:.3f}, largest {outline2:.2f}
plain alpha:       mean {plain_outline:.3f}, largest {plain_outline2:.2f}</source>
   <translation>Distanzfeld: Mittel {outline}, größter {outline2}
bloßes Alpha: Mittel {plain_outline}, größter {plain_outline2}</translation>
  </message>
  <message>
   <source>Coverage by mip level</source>
   <translation>Deckung je Mip-Stufe</translation>
  </message>
  <message>
   <source>Outline error, in texels</source>
   <translation>Umrissfehler, in Texeln</translation>
  </message>
  <message>
   <source>Fringe by mip level</source>
   <translation>Saum je Mip-Stufe</translation>
  </message>
  <message>
   <source>{level} · {width}×{height}:  {plain:.1%}, kept {kept:.1%}</source>
   <translation>{level} · {width}×{height}:  {plain}, gehalten {kept}</translation>
  </message>
  <message>
   <source>99th percentile and maximum on screen, of 255. What shows of it, figure times area, is a finding above {limit:.0f}.</source>
   <translation>99. Perzentil und Größtes auf dem Schirm, von 255. Was davon zu sehen ist, Zahl mal Fläche, ist über {limit} ein Befund.</translation>
  </message>
  <message>
   <source>In a file without levels of its own, a cutoff of {cutoff:.2f} keeps it best.</source>
   <translation>In einer Datei ohne eigene Stufen hält eine Schwelle von {cutoff} sie am besten.</translation>
  </message>
  <message>
   <source>Measuring …</source>
   <translation>Wird gemessen …</translation>
  </message>
  <message>
   <source>Choose faces</source>
   <translation>Flächen wählen</translation>
  </message>
  <message>
   <source>Grow faces</source>
   <translation>Mehr Flächen</translation>
  </message>
  <message>
   <source>Shrink faces</source>
   <translation>Weniger Flächen</translation>
  </message>
  <message>
   <source>Name the build</source>
   <translation>Den Aufbau benennen</translation>
  </message>
  <message>
   <source>Save as a build …</source>
   <translation>Als Aufbau sichern …</translation>
  </message>
  <message>
   <source>Ungroup</source>
   <translation>Gruppe lösen</translation>
  </message>
  <message>
   <source>Left open by the build.</source>
   <translation>Vom Aufbau offen gelassen.</translation>
  </message>
  <message>
   <source>Save as a build</source>
   <translation>Als Aufbau sichern</translation>
  </message>
  <message>
   <source>Name of the build:</source>
   <translation>Name des Aufbaus:</translation>
  </message>
  <message>
   <source>The build was kept in “{path}”; {count} of its settings are open.</source>
   <translation>Der Aufbau wurde in „{path}“ aufgehoben; {count} seiner Einstellungen sind offen.</translation>
  </message>
  <message>
   <source>Bring up to date</source>
   <translation>Erneuern</translation>
  </message>
  <message>
   <source>Make it anew from its build; the settings above stay as they are.</source>
   <translation>Neu aus seinem Aufbau machen; die Einstellungen oben bleiben.</translation>
  </message>
  <message>
   <source>From the build “{build}”</source>
   <translation>Aus dem Aufbau „{build}“</translation>
  </message>
  <message>
   <source>Made from “{name}”.</source>
   <translation>Gemacht aus „{name}“.</translation>
  </message>
  <message>
   <source>Whose levels are set.</source>
   <translation>Wessen Tonwerte gesetzt werden.</translation>
  </message>
  <message>
   <source>Whose result is read.</source>
   <translation>Wessen Ergebnis gelesen wird.</translation>
  </message>
  <message>
   <source>levels by channel</source>
   <translation>Tonwerte je Kanal</translation>
  </message>
  <message>
   <source>{channels} of this layer</source>
   <translation>{channels} dieser Ebene</translation>
  </message>
  <message>
   <source>Left alone: what lies below shines through.</source>
   <translation>Unberührt: was darunter liegt, scheint durch.</translation>
  </message>
  <message>
   <source>Below zero it lies deeper than the surface.</source>
   <translation>Unter null liegt es tiefer als die Fläche.</translation>
  </message>
  <message>
   <source>Leave {channels} alone</source>
   <translation>{channels} unberührt lassen</translation>
  </message>
  <message>
   <source>Leave alone</source>
   <translation>Unberührt lassen</translation>
  </message>
  <message>
   <source>Touch {channels}</source>
   <translation>{channels} berühren</translation>
  </message>
  <message>
   <source>Choose overlay</source>
   <translation>Overlay wählen</translation>
  </message>
  <message>
   <source>The layer's name.</source>
   <translation>Der Name der Ebene.</translation>
  </message>
  <message>
   <source>Heights</source>
   <translation>Höhen</translation>
  </message>
  <message>
   <source>Border</source>
   <translation>Bildrand</translation>
  </message>
  <message>
   <source>Change strength</source>
   <translation>Stärke ändern</translation>
  </message>
  <message>
   <source>The canvas that the layers lie on.</source>
   <translation>Die Fläche, auf der die Ebenen liegen.</translation>
  </message>
  <message>
   <source>The source picture lies lowest.</source>
   <translation>Das Quellbild liegt zuunterst.</translation>
  </message>
  <message>
   <source>Rename layer</source>
   <translation>Ebene umbenennen</translation>
  </message>
  <message>
   <source>Touches nothing yet: double-click a cell, or paint.</source>
   <translation>Berührt noch nichts: Doppelklick auf eine Zelle, oder malen.</translation>
  </message>
  <message>
   <source>“{name}” is laid over with all its channels: what is seen of each counts by its opacity.</source>
   <translation>„{name}“ wird mit allen Kanälen darübergelegt: was von jedem zu sehen ist, zählt nach seiner Deckkraft.</translation>
  </message>
  <message>
   <source>Touches {parts}.</source>
   <translation>Berührt {parts}.</translation>
  </message>
  <message>
   <source>An overlay that is gone</source>
   <translation>Ein Overlay, das fort ist</translation>
  </message>
  <message>
   <source> Left alone: {parts}.</source>
   <translation> Unberührt: {parts}.</translation>
  </message>
  <message>
   <source>Which channels each layer touches, with what, and where.</source>
   <translation>Welche Kanäle jede Ebene berührt, womit und wo.</translation>
  </message>
  <message>
   <source>Add a layer</source>
   <translation>Ebene hinzufügen</translation>
  </message>
  <message>
   <source>Copy layer</source>
   <translation>Ebene kopieren</translation>
  </message>
  <message>
   <source>Up   (Ctrl+Up)</source>
   <translation>Nach oben   (Ctrl+Up)</translation>
  </message>
  <message>
   <source>Down   (Ctrl+Down)</source>
   <translation>Nach unten   (Ctrl+Down)</translation>
  </message>
  <message>
   <source>Put it into a group of its own; drag others onto that</source>
   <translation>In eine eigene Gruppe legen; andere darauf ziehen</translation>
  </message>
  <message>
   <source>Copy it</source>
   <translation>Kopieren</translation>
  </message>
  <message>
   <source>Remove it   (Delete)</source>
   <translation>Entfernen   (Delete)</translation>
  </message>
  <message>
   <source>Of plain values</source>
   <translation>Aus bloßen Werten</translation>
  </message>
  <message>
   <source>Through a pattern</source>
   <translation>Durch ein Muster</translation>
  </message>
  <message>
   <source>{what} Touches {parts}.</source>
   <translation>{what} Berührt {parts}.</translation>
  </message>
  <message>
   <source>To paint on</source>
   <translation>Zum Bemalen</translation>
  </message>
  <message>
   <source>A group</source>
   <translation>Eine Gruppe</translation>
  </message>
  <message>
   <source>Another overlay, laid over</source>
   <translation>Ein anderes Overlay, darübergelegt</translation>
  </message>
  <message>
   <source>A build</source>
   <translation>Ein Aufbau</translation>
  </message>
  <message>
   <source>Add {build}</source>
   <translation>{build} hinzufügen</translation>
  </message>
  <message>
   <source>Give a mask</source>
   <translation>Maske geben</translation>
  </message>
  <message>
   <source>Switch layer</source>
   <translation>Ebene schalten</translation>
  </message>
  <message>
   <source>Move layer</source>
   <translation>Ebene verschieben</translation>
  </message>
  <message>
   <source>Into the group</source>
   <translation>In die Gruppe</translation>
  </message>
  <message>
   <source>Remove layer</source>
   <translation>Ebene entfernen</translation>
  </message>
  <message>
   <source>Choose a layer first</source>
   <translation>Wähle zuerst eine Ebene</translation>
  </message>
  <message>
   <source>Layer {count}</source>
   <translation>Ebene {count}</translation>
  </message>
  <message>
   <source>Paint {count}</source>
   <translation>Malen {count}</translation>
  </message>
  <message>
   <source>Group {count}</source>
   <translation>Gruppe {count}</translation>
  </message>
  <message>
   <source>Add to the mask</source>
   <translation>Zur Maske hinzufügen</translation>
  </message>
  <message>
   <source>contrast, levels</source>
   <translation>Kontrast, Tonwerte</translation>
  </message>
  <message>
   <source>Remove the last stroke</source>
   <translation>Den letzten Strich entfernen</translation>
  </message>
  <message>
   <source>It sits on no mesh: found from the layers' heights.</source>
   <translation>Es sitzt auf keinem Netz: aus den Höhen der Ebenen gefunden.</translation>
  </message>
  <message>
   <source>Add a part</source>
   <translation>Teil hinzufügen</translation>
  </message>
  <message>
   <source>Earlier</source>
   <translation>Früher</translation>
  </message>
  <message>
   <source>Later</source>
   <translation>Später</translation>
  </message>
  <message>
   <source>Remove this part</source>
   <translation>Diesen Teil entfernen</translation>
  </message>
  <message>
   <source>There is nothing beyond it</source>
   <translation>Dahinter kommt nichts</translation>
  </message>
  <message>
   <source>blurred, grown, warped</source>
   <translation>weich, gewachsen, verzerrt</translation>
  </message>
  <message>
   <source>Paint here</source>
   <translation>Hier malen</translation>
  </message>
  <message>
   <source>There is no stroke yet</source>
   <translation>Es gibt noch keinen Strich</translation>
  </message>
  <message>
   <source>Painted value</source>
   <translation>Gemalter Wert</translation>
  </message>
  <message>
   <source>1 lets the layer through, 0 holds it back.</source>
   <translation>1 lässt die Ebene durch, 0 hält sie zurück.</translation>
  </message>
  <message>
   <source>Found on “{file}”.</source>
   <translation>Gefunden auf „{file}“.</translation>
  </message>
  <message>
   <source>Islands</source>
   <translation>Inseln</translation>
  </message>
  <message>
   <source>Parts</source>
   <translation>Teile</translation>
  </message>
  <message>
   <source>Shrink</source>
   <translation>Schrumpfen</translation>
  </message>
  <message>
   <source>Give all back</source>
   <translation>Alle zurückgeben</translation>
  </message>
  <message>
   <source>None: the layer acts everywhere.</source>
   <translation>Keine: die Ebene wirkt überall.</translation>
  </message>
  <message>
   <source>Switch part</source>
   <translation>Teil schalten</translation>
  </message>
  <message>
   <source>Warped by</source>
   <translation>Verzerrt von</translation>
  </message>
  <message>
   <source>Remove stroke</source>
   <translation>Strich entfernen</translation>
  </message>
  <message>
   <source>It sits on no mesh. Place it on one at the station Place; its faces can then be chosen on the stage or in the flat proof.</source>
   <translation>Es sitzt auf keinem Netz. Setzen Sie es an der Station Setzen auf eins; dann lassen sich seine Flächen auf der Bühne oder in der Flachprobe wählen.</translation>
  </message>
  <message>
   <source>Click on the stage or in the flat proof; click again to give it back.</source>
   <translation>Auf die Bühne oder in die Flachprobe klicken; noch einmal gibt zurück.</translation>
  </message>
  <message>
   <source>Give faces back</source>
   <translation>Flächen zurückgeben</translation>
  </message>
  <message>
   <source>None chosen yet.</source>
   <translation>Noch keine gewählt.</translation>
  </message>
  <message>
   <source>Faces {faces}{ending}</source>
   <translation>Flächen {faces}{ending}</translation>
  </message>
  <message>
   <source>Whose mask or channel is read.</source>
   <translation>Wessen Maske oder Kanal gelesen wird.</translation>
  </message>
  <message>
   <source>Choose layer</source>
   <translation>Ebene wählen</translation>
  </message>
  <message>
   <source>Birth</source>
   <translation>Geburt</translation>
  </message>
  <message>
   <source>Effect</source>
   <translation>Effekt</translation>
  </message>
  <message>
   <source>How its particles are born, live and die.</source>
   <translation>Wie seine Teilchen geboren werden, leben und sterben.</translation>
  </message>
  <message>
   <source>Show it on the stage, or hide it</source>
   <translation>Auf der Bühne zeigen oder verbergen</translation>
  </message>
  <message>
   <source>Remove the effect</source>
   <translation>Den Effekt entfernen</translation>
  </message>
  <message>
   <source>New effect</source>
   <translation>Neuer Effekt</translation>
  </message>
  <message>
   <source>Show or hide the effect</source>
   <translation>Den Effekt zeigen oder verbergen</translation>
  </message>
  <message>
   <source>Its parts</source>
   <translation>Seine Teile</translation>
  </message>
  <message>
   <source>One more</source>
   <translation>Noch einer</translation>
  </message>
  <message>
   <source>One more emitter, which shows the overlay that is chosen in the rack</source>
   <translation>Noch eine Quelle, die das im Gestell gewählte Overlay zeigt</translation>
  </message>
  <message>
   <source>its overlay is gone</source>
   <translation>sein Overlay ist fort</translation>
  </message>
  <message>
   <source>See it alone</source>
   <translation>Allein sehen</translation>
  </message>
  <message>
   <source>Mute it, or let it play</source>
   <translation>Stumm schalten oder spielen lassen</translation>
  </message>
  <message>
   <source>Remove the part</source>
   <translation>Den Teil entfernen</translation>
  </message>
  <message>
   <source>An effect has one part at least</source>
   <translation>Ein Effekt hat mindestens einen Teil</translation>
  </message>
  <message>
   <source>An effect is a group of emitters, whose particles show overlays. Begin one by its purpose; everything in it can be changed.</source>
   <translation>Ein Effekt ist eine Gruppe von Quellen, deren Teilchen Overlays zeigen. Beginnen Sie einen nach seinem Zweck; alles darin lässt sich ändern.</translation>
  </message>
  <message>
   <source>Show or hide an effect</source>
   <translation>Effekt zeigen oder verbergen</translation>
  </message>
  <message>
   <source>Remove an effect</source>
   <translation>Effekt entfernen</translation>
  </message>
  <message>
   <source>See {name} alone</source>
   <translation>{name} allein sehen</translation>
  </message>
  <message>
   <source>Mute {name}</source>
   <translation>{name} stumm schalten</translation>
  </message>
  <message>
   <source>Mute a part</source>
   <translation>Teil stumm schalten</translation>
  </message>
  <message>
   <source>Remove {name}</source>
   <translation>{name} entfernen</translation>
  </message>
  <message>
   <source>Remove a part</source>
   <translation>Teil entfernen</translation>
  </message>
  <message>
   <source>, hidden</source>
   <translation>, verborgen</translation>
  </message>
  <message>
   <source>A copy of “{name}”</source>
   <translation>Eine Kopie von „{name}“</translation>
  </message>
  <message>
   <source>, a copy of {name}</source>
   <translation>, eine Kopie von {name}</translation>
  </message>
  <message>
   <source>Begin an effect</source>
   <translation>Effekt beginnen</translation>
  </message>
  <message>
   <source>Copy an effect</source>
   <translation>Effekt kopieren</translation>
  </message>
  <message>
   <source>Take the lane {title} away</source>
   <translation>Spur {title} wegnehmen</translation>
  </message>
  <message>
   <source>Take the bounds away</source>
   <translation>Grenzen wegnehmen</translation>
  </message>
  <message>
   <source>Set bounds</source>
   <translation>Grenzen setzen</translation>
  </message>
  <message>
   <source>Stands at</source>
   <translation>Steht bei</translation>
  </message>
  <message>
   <source>Metres across, up, towards the viewer.</source>
   <translation>Meter quer, hoch, zum Betrachter.</translation>
  </message>
  <message>
   <source>Yaw and pitch of its axis, and a roll about it; pitch 90 points up.</source>
   <translation>Gieren und Nicken seiner Achse und eine Drehung darum; Nicken 90 zeigt nach oben.</translation>
  </message>
  <message>
   <source>Scale, seed</source>
   <translation>Maßstab, Seed</translation>
  </message>
  <message>
   <source>Of the whole effect; another seed, other chances.</source>
   <translation>Des ganzen Effekts; ein anderer Seed, andere Zufälle.</translation>
  </message>
  <message>
   <source>On the way</source>
   <translation>Unterwegs</translation>
  </message>
  <message>
   <source>Change axis</source>
   <translation>Achse ändern</translation>
  </message>
  <message>
   <source>Change scale or seed</source>
   <translation>Maßstab oder Seed ändern</translation>
  </message>
  <message>
   <source>Left open to copies</source>
   <translation>Kopien überlassen</translation>
  </message>
  <message>
   <source>Fewer, larger …</source>
   <translation>Weniger, größere …</translation>
  </message>
  <message>
   <source>Finds the rate and size with which fewer particles cover as much</source>
   <translation>Findet Rate und Größe, mit denen weniger Teilchen gleich viel bedecken</translation>
  </message>
  <message>
   <source>The box of its particles, as their motion says; a receiver cuts the effect off by it</source>
   <translation>Der Quader seiner Teilchen, wie die Bewegung sagt; ein Empfänger schneidet daran ab</translation>
  </message>
  <message>
   <source>Leave a dial open</source>
   <translation>Einen Regler offen lassen</translation>
  </message>
  <message>
   <source>Change {words}</source>
   <translation>{words} ändern</translation>
  </message>
  <message>
   <source>effect {key} {name}</source>
   <translation>effect {key} {name}</translation>
  </message>
  <message>
   <source>effect {key} axis</source>
   <translation>effect {key} axis</translation>
  </message>
  <message>
   <source>effect {key} scale</source>
   <translation>effect {key} scale</translation>
  </message>
  <message>
   <source>Dials</source>
   <translation>Regler</translation>
  </message>
  <message>
   <source>None. Open some there.</source>
   <translation>Keine. Öffnen Sie dort welche.</translation>
  </message>
  <message>
   <source>No bounds</source>
   <translation>Keine Grenzen</translation>
  </message>
  <message>
   <source>Bounds: {words} m</source>
   <translation>Grenzen: {words} m</translation>
  </message>
  <message>
   <source>Dials that “{name}” leaves open</source>
   <translation>Regler, die „{name}“ offen lässt</translation>
  </message>
  <message>
   <source>effect {key} dial {dial}</source>
   <translation>effect {key} dial {dial}</translation>
  </message>
  <message>
   <source>{a:.2f} to {b:.2f}</source>
   <translation>{a} bis {b}</translation>
  </message>
  <message>
   <source>At, again</source>
   <translation>Bei, wieder</translation>
  </message>
  <message>
   <source>Seconds into the run; how often; seconds between.</source>
   <translation>Sekunden im Lauf; wie oft; Sekunden dazwischen.</translation>
  </message>
  <message>
   <source>How many</source>
   <translation>Wie viele</translation>
  </message>
  <message>
   <source>Own height</source>
   <translation>Eigene Höhe</translation>
  </message>
  <message>
   <source>Its height is not its width.</source>
   <translation>Seine Höhe ist nicht seine Breite.</translation>
  </message>
  <message>
   <source>Where, and which way</source>
   <translation>Wo und wohin</translation>
  </message>
  <message>
   <source>Change a burst</source>
   <translation>Schub ändern</translation>
  </message>
  <message>
   <source>Change own height</source>
   <translation>Eigene Höhe ändern</translation>
  </message>
  <message>
   <source>own height</source>
   <translation>own height</translation>
  </message>
  <message>
   <source>Metres, least and greatest.</source>
   <translation>Meter, kleinste und größte.</translation>
  </message>
  <message>
   <source>Tint from</source>
   <translation>Tönung von</translation>
  </message>
  <message>
   <source>Tint to</source>
   <translation>Tönung bis</translation>
  </message>
  <message>
   <source>Any colour between the two, by chance.</source>
   <translation>Eine Farbe zwischen beiden, per Zufall.</translation>
  </message>
  <message>
   <source>Take the lane away</source>
   <translation>Die Spur wegnehmen</translation>
  </message>
  <message>
   <source>What moves it</source>
   <translation>Was es bewegt</translation>
  </message>
  <message>
   <source>Share of the life; value.</source>
   <translation>Anteil des Lebens; Wert.</translation>
  </message>
  <message>
   <source>Even rate</source>
   <translation>Gleiche Rate</translation>
  </message>
  <message>
   <source>Takes the curve of the rate away</source>
   <translation>Nimmt die Kurve der Rate weg</translation>
  </message>
  <message>
   <source>Burst {k}</source>
   <translation>Schub {k}</translation>
  </message>
  <message>
   <source>burst {k}</source>
   <translation>Schub {k}</translation>
  </message>
  <message>
   <source>burst count {k}</source>
   <translation>burst count {k}</translation>
  </message>
  <message>
   <source>Keep this curve, to put it into another lane</source>
   <translation>Diese Kurve merken, um sie in eine andere Spur zu legen</translation>
  </message>
  <message>
   <source>Wind of the stage</source>
   <translation>Wind der Bühne</translation>
  </message>
  <message>
   <source>Point {k}</source>
   <translation>Punkt {k}</translation>
  </message>
  <message>
   <source>Change a point</source>
   <translation>Punkt ändern</translation>
  </message>
  <message>
   <source>Choose a mesh …</source>
   <translation>Netz wählen …</translation>
  </message>
  <message>
   <source>Its overlay is a sheet of {n} frames, 0 to {n2}.</source>
   <translation>Sein Overlay ist ein Bogen von {n} Bildern, 0 bis {n2}.</translation>
  </message>
  <message>
   <source>tint {k}</source>
   <translation>Tönung {k}</translation>
  </message>
  <message>
   <source>Lane: {title}</source>
   <translation>Spur: {title}</translation>
  </message>
  <message>
   <source>Smooth or straight between the points</source>
   <translation>Glatt oder gerade zwischen den Punkten</translation>
  </message>
  <message>
   <source>Beginnings</source>
   <translation>Anfänge</translation>
  </message>
  <message>
   <source>Put in</source>
   <translation>Einlegen</translation>
  </message>
  <message>
   <source>point {key} {k}</source>
   <translation>point {key} {k}</translation>
  </message>
  <message>
   <source>Double click a colour in the chart for another; double click between adds one.</source>
   <translation>Doppelklick auf eine Farbe in der Karte für eine andere; Doppelklick dazwischen fügt eine hinzu.</translation>
  </message>
  <message>
   <source>air {key}</source>
   <translation>air {key}</translation>
  </message>
  <message>
   <source>By the speed</source>
   <translation>Nach dem Tempo</translation>
  </message>
  <message>
   <source>Always full</source>
   <translation>Immer voll</translation>
  </message>
  <message>
   <source>A stroke</source>
   <translation>Ein Strich</translation>
  </message>
  <message>
   <source>Stays</source>
   <translation>Bleibt</translation>
  </message>
  <message>
   <source>Where on a mesh a stroke may go.</source>
   <translation>Wohin auf einem Netz ein Strich darf.</translation>
  </message>
  <message>
   <source>Without a pen</source>
   <translation>Ohne Stift</translation>
  </message>
  <message>
   <source>What stands for pressure when no pen is used.</source>
   <translation>Was für Druck steht, wenn kein Stift benutzt wird.</translation>
  </message>
  <message>
   <source>On the surface</source>
   <translation>Auf der Oberfläche</translation>
  </message>
  <message>
   <source>On the stage a stroke goes along the mesh, over edges and seams; without, it is drawn in the picture of the UVs.</source>
   <translation>Auf der Bühne folgt ein Strich dem Netz, über Kanten und Nähte; sonst wird er im Bild der UVs gezogen.</translation>
  </message>
  <message>
   <source>Size in</source>
   <translation>Größe in</translation>
  </message>
  <message>
   <source>What the tip's size on the mesh is given in.</source>
   <translation>Worin die Größe der Spitze auf dem Netz angegeben ist.</translation>
  </message>
  <message>
   <source>Size on the mesh</source>
   <translation>Größe am Netz</translation>
  </message>
  <message>
   <source>Across, at full pressure.</source>
   <translation>Durchmesser bei vollem Druck.</translation>
  </message>
  <message>
   <source>Adds light</source>
   <translation>Addiert Licht</translation>
  </message>
  <message>
   <source>Colour is added to what is there, and alpha left alone.</source>
   <translation>Farbe kommt zu dem, was da ist, und Alpha bleibt.</translation>
  </message>
  <message>
   <source>Pattern</source>
   <translation>Muster</translation>
  </message>
  <message>
   <source>What follows the line, which runs through its middle.</source>
   <translation>Was der Linie folgt, die durch seine Mitte läuft.</translation>
  </message>
  <message>
   <source>Stroke</source>
   <translation>Strich</translation>
  </message>
  <message>
   <source>Which one; the last is the newest.</source>
   <translation>Welcher; der letzte ist der neueste.</translation>
  </message>
  <message>
   <source>Paint on this layer</source>
   <translation>Auf diese Ebene malen</translation>
  </message>
  <message>
   <source>Paint in the flat proof or on the stage   (P)</source>
   <translation>In der Flachprobe oder auf der Bühne malen   (P)</translation>
  </message>
  <message>
   <source>Through points</source>
   <translation>Durch Punkte</translation>
  </message>
  <message>
   <source>In the flat proof each click sets a point, and a smooth line goes through them; points can be dragged. A right click takes one away. Return, a double click, or a right click beside them ends the line.</source>
   <translation>In der flachen Probe setzt jeder Klick einen Punkt, und eine glatte Linie geht durch sie; Punkte lassen sich ziehen. Ein Rechtsklick entfernt einen. Eingabe, ein Doppelklick oder ein Rechtsklick daneben beendet die Linie.</translation>
  </message>
  <message>
   <source>Fills an area</source>
   <translation>Füllt eine Fläche</translation>
  </message>
  <message>
   <source>A drag encloses an area, which is filled; on a mesh a click fills what it stays in.</source>
   <translation>Ziehen umschließt eine Fläche, die gefüllt wird; auf einem Netz füllt ein Klick, worin er bleibt.</translation>
  </message>
  <message>
   <source>What leaves one side comes in at the other: for pictures that repeat.</source>
   <translation>Was auf einer Seite hinausgeht, kommt auf der anderen herein: für Bilder, die sich wiederholen.</translation>
  </message>
  <message>
   <source>Mirrored</source>
   <translation>Gespiegelt</translation>
  </message>
  <message>
   <source>The other half is painted as well.</source>
   <translation>Die andere Hälfte wird mitgemalt.</translation>
  </message>
  <message>
   <source>Front only</source>
   <translation>Nur vorn</translation>
  </message>
  <message>
   <source>On the stage, faces seen from behind are left alone.</source>
   <translation>Auf der Bühne bleiben Flächen unberührt, die von hinten gesehen werden.</translation>
  </message>
  <message>
   <source>Channels it paints</source>
   <translation>Kanäle, die er malt</translation>
  </message>
  <message>
   <source>A stroke that is there</source>
   <translation>Ein Strich, der da ist</translation>
  </message>
  <message>
   <source>Take its settings</source>
   <translation>Seine Einstellungen nehmen</translation>
  </message>
  <message>
   <source>What it was painted with becomes what stands above.</source>
   <translation>Womit er gemalt wurde, wird, was oben steht.</translation>
  </message>
  <message>
   <source>Repaint it</source>
   <translation>Neu malen</translation>
  </message>
  <message>
   <source>Its points stay; tip, size and values become those above.</source>
   <translation>Seine Punkte bleiben; Spitze, Größe und Werte werden die von oben.</translation>
  </message>
  <message>
   <source>Remove it</source>
   <translation>Entfernen</translation>
  </message>
  <message>
   <source>This stroke alone.</source>
   <translation>Nur diesen Strich.</translation>
  </message>
  <message>
   <source>What the stroke leaves.</source>
   <translation>Was der Strich lässt.</translation>
  </message>
  <message>
   <source>What the stroke leaves; opacity 0 makes a hole.</source>
   <translation>Was der Strich lässt; Deckkraft 0 macht ein Loch.</translation>
  </message>
  <message>
   <source>Paint {word}</source>
   <translation>{word} malen</translation>
  </message>
  <message>
   <source>Repaint stroke</source>
   <translation>Strich neu malen</translation>
  </message>
  <message>
   <source>Painted</source>
   <translation>Gemalt</translation>
  </message>
  <message>
   <source>What it looks like.</source>
   <translation>Wie es aussieht.</translation>
  </message>
  <message>
   <source>how it lies</source>
   <translation>wie es liegt</translation>
  </message>
  <message>
   <source>Change pattern</source>
   <translation>Muster ändern</translation>
  </message>
  <message>
   <source>Less: {words}</source>
   <translation>Weniger: {words}</translation>
  </message>
  <message>
   <source>More: {words}</source>
   <translation>Mehr: {words}</translation>
  </message>
  <message>
   <source>Panel</source>
   <translation>Tafel</translation>
  </message>
  <message>
   <source>A simple shape</source>
   <translation>Eine einfache Form</translation>
  </message>
  <message>
   <source>On the hull</source>
   <translation>Auf dem Rumpf</translation>
  </message>
  <message>
   <source>On any surface</source>
   <translation>Auf einer Fläche</translation>
  </message>
  <message>
   <source>Thrown by a box</source>
   <translation>Von einem Kasten geworfen</translation>
  </message>
  <message>
   <source>Faces the camera</source>
   <translation>Zur Kamera gewandt</translation>
  </message>
  <message>
   <source>On a mesh …</source>
   <translation>Auf einem Netz …</translation>
  </message>
  <message>
   <source>Roll</source>
   <translation>Rollen</translation>
  </message>
  <message>
   <source>Turns it in its own plane.</source>
   <translation>Dreht es in seiner eigenen Ebene.</translation>
  </message>
  <message>
   <source>Metres along its longest side.</source>
   <translation>Meter an der längsten Seite.</translation>
  </message>
  <message>
   <source>Panels</source>
   <translation>Tafeln</translation>
  </message>
  <message>
   <source>How many there are.</source>
   <translation>Wie viele es sind.</translation>
  </message>
  <message>
   <source>Metres from front to back.</source>
   <translation>Meter von vorn nach hinten.</translation>
  </message>
  <message>
   <source>Degrees that it is bent through.</source>
   <translation>Grad, durch die es gebogen ist.</translation>
  </message>
  <message>
   <source>Place</source>
   <translation>Setzen</translation>
  </message>
  <message>
   <source>Where it stands on the stage.</source>
   <translation>Wo es auf der Bühne steht.</translation>
  </message>
  <message>
   <source>Pivot across</source>
   <translation>Drehpunkt quer</translation>
  </message>
  <message>
   <source>Point of it that stands at the place: 0 its left, 1 its right.</source>
   <translation>Sein Punkt, der am Platz steht: 0 links, 1 rechts.</translation>
  </message>
  <message>
   <source>Pivot down</source>
   <translation>Drehpunkt hoch</translation>
  </message>
  <message>
   <source>Point of it that stands at the place: 0 its top, 1 its foot, so that a flame stands on its nozzle.</source>
   <translation>Sein Punkt, der am Platz steht: 0 oben, 1 sein Fuß, sodass eine Flamme auf ihrer Düse steht.</translation>
  </message>
  <message>
   <source>Metres to the right, seen from the dock.</source>
   <translation>Meter nach rechts, vom Dock gesehen.</translation>
  </message>
  <message>
   <source>Elevation</source>
   <translation>Über dem Boden</translation>
  </message>
  <message>
   <source>Metres above the floor.</source>
   <translation>Meter über dem Boden.</translation>
  </message>
  <message>
   <source>Metres towards the viewer.</source>
   <translation>Meter zum Betrachter.</translation>
  </message>
  <message>
   <source>Along</source>
   <translation>Entlang</translation>
  </message>
  <message>
   <source>Metres along the hull; 0 is its middle, higher is nearer the bow.</source>
   <translation>Meter am Rumpf entlang; 0 ist die Mitte, größer näher am Bug.</translation>
  </message>
  <message>
   <source>Around</source>
   <translation>Herum</translation>
  </message>
  <message>
   <source>Degrees round the hull: 0 faces the dock, higher is further up.</source>
   <translation>Grad um den Rumpf: 0 schaut zum Dock, größer weiter oben.</translation>
  </message>
  <message>
   <source>Turns it about the upright axis.</source>
   <translation>Dreht es um die aufrechte Achse.</translation>
  </message>
  <message>
   <source>Tips it back and forth.</source>
   <translation>Kippt es vor und zurück.</translation>
  </message>
  <message>
   <source>Of the box: nothing beyond takes the picture.</source>
   <translation>Des Kastens: nichts jenseits nimmt das Bild an.</translation>
  </message>
  <message>
   <source>Fade-out angle</source>
   <translation>Ausblendwinkel</translation>
  </message>
  <message>
   <source>Angle to the box from which nothing is left; it fades from half of it.</source>
   <translation>Winkel zum Kasten, ab dem nichts übrig ist; ab der Hälfte verblasst es.</translation>
  </message>
  <message>
   <source>Metres across.</source>
   <translation>Meter quer.</translation>
  </message>
  <message>
   <source>Metres from top to bottom.</source>
   <translation>Meter von oben bis unten.</translation>
  </message>
  <message>
   <source>Shape</source>
   <translation>Form</translation>
  </message>
  <message>
   <source>What carries the picture.</source>
   <translation>Was das Bild trägt.</translation>
  </message>
  <message>
   <source> Set “UV set” at Blend to the second, so that the picture reads it.</source>
   <translation> Stellen Sie „UV-Set“ bei Mischen auf das zweite, damit das Bild es liest.</translation>
  </message>
  <message>
   <source>All faces lie in it until some are chosen.</source>
   <translation>Alle Flächen liegen darin, bis welche gewählt sind.</translation>
  </message>
  <message>
   <source>Placements</source>
   <translation>Platzierungen</translation>
  </message>
  <message>
   <source>Place it</source>
   <translation>Setzen</translation>
  </message>
  <message>
   <source>Take it off the stage</source>
   <translation>Von der Bühne nehmen</translation>
  </message>
  <message>
   <source>Upright</source>
   <translation>Aufrecht</translation>
  </message>
  <message>
   <source>Turns to the camera about the upright axis only: flames stay upright.</source>
   <translation>Dreht sich nur um die aufrechte Achse zur Kamera: Flammen bleiben aufrecht.</translation>
  </message>
  <message>
   <source>Slices</source>
   <translation>Scheiben</translation>
  </message>
  <message>
   <source>What the panels show.</source>
   <translation>Was die Tafeln zeigen.</translation>
  </message>
  <message>
   <source>Change second UV set</source>
   <translation>Zweites UV-Set ändern</translation>
  </message>
  <message>
   <source>{count} triangles lie in it.</source>
   <translation>{count} Dreiecke liegen darin.</translation>
  </message>
  <message>
   <source>Nowhere yet: it is not on the stage.</source>
   <translation>Noch nirgends: es ist nicht auf der Bühne.</translation>
  </message>
  <message>
   <source>The frame on the flat proof moves, turns and scales the picture on the UVs.</source>
   <translation>Der Rahmen auf der Flachprobe schiebt, dreht und skaliert das Bild auf den UVs.</translation>
  </message>
  <message>
   <source>Each the picture</source>
   <translation>Jede das Bild</translation>
  </message>
  <message>
   <source>Cut a solid noise</source>
   <translation>Festes Rauschen</translation>
  </message>
  <message>
   <source>Frames of its sheet</source>
   <translation>Bilder des Bogens</translation>
  </message>
  <message>
   <source>Click on the stage or on the flat proof to choose them, or to give them back</source>
   <translation>Auf Bühne oder Flachprobe klicken, um sie zu wählen oder zurückzugeben</translation>
  </message>
  <message>
   <source>Remove placement {number}</source>
   <translation>Platzierung {number} entfernen</translation>
  </message>
  <message>
   <source>Remove placement</source>
   <translation>Platzierung entfernen</translation>
  </message>
  <message>
   <source>Mesh: {rsplit}</source>
   <translation>Netz: {rsplit}</translation>
  </message>
  <message>
   <source>It is no sheet yet: say at Sheet where its frames lie.</source>
   <translation>Es ist noch kein Bogen: sagen Sie bei Bogen, wo seine Bilder liegen.</translation>
  </message>
  <message>
   <source>“Broken up” at Blend says how much of the noise is eaten away: nothing yet.</source>
   <translation>„Aufgebrochen“ bei Mischen sagt, wie viel vom Rauschen weggefressen ist: noch nichts.</translation>
  </message>
  <message>
   <source>Cut direction</source>
   <translation>Schnittrichtung</translation>
  </message>
  <message>
   <source>Where what is kept lies: 0° to the right of the line, 90° above it.</source>
   <translation>Wo das Bleibende liegt: 0° rechts der Linie, 90° darüber.</translation>
  </message>
  <message>
   <source>Cut distance</source>
   <translation>Schnittabstand</translation>
  </message>
  <message>
   <source>Metres of the line from the pivot, in that direction.</source>
   <translation>Meter der Linie vom Drehpunkt, in dieser Richtung.</translation>
  </message>
  <message>
   <source>Split in two</source>
   <translation>In zwei teilen</translation>
  </message>
  <message>
   <source>Two placements that show the same together; each comes in the order by its own middle.</source>
   <translation>Zwei Platzierungen, die zusammen dasselbe zeigen; jede wird nach ihrer eigenen Mitte einsortiert.</translation>
  </message>
  <message>
   <source>Split the placement</source>
   <translation>Platzierung teilen</translation>
  </message>
  <message>
   <source>Make it whole</source>
   <translation>Ganz machen</translation>
  </message>
  <message>
   <source>Shows the whole panel again; its other parts stay until they are removed.</source>
   <translation>Zeigt wieder die ganze Tafel; ihre anderen Teile bleiben, bis sie entfernt werden.</translation>
  </message>
  <message>
   <source>Make the placement whole</source>
   <translation>Platzierung ganz machen</translation>
  </message>
  <message>
   <source>Pictures …</source>
   <translation>Bilder …</translation>
  </message>
  <message>
   <source>An animated picture …</source>
   <translation>Ein animiertes Bild …</translation>
  </message>
  <message>
   <source>This overlay, under other seeds …</source>
   <translation>Dieses Overlay mit anderen Seeds …</translation>
  </message>
  <message>
   <source>This overlay, as one of its settings changes …</source>
   <translation>Dieses Overlay, während sich eine Einstellung ändert …</translation>
  </message>
  <message>
   <source>This overlay's own animation …</source>
   <translation>Die eigene Animation dieses Overlays …</translation>
  </message>
  <message>
   <source>Sheet</source>
   <translation>Bogen</translation>
  </message>
  <message>
   <source>Where its frames lie, and how they play.</source>
   <translation>Wo seine Bilder liegen und wie sie laufen.</translation>
  </message>
  <message>
   <source>Find the frames</source>
   <translation>Die Bilder finden</translation>
  </message>
  <message>
   <source>Looks for rows and columns in the picture: by how alike its parts are, and by drawn lines</source>
   <translation>Sucht Zeilen und Spalten im Bild: danach, wie sehr sich Teile gleichen, und nach gezeichneten Linien</translation>
  </message>
  <message>
   <source>Remove this grid</source>
   <translation>Dieses Raster entfernen</translation>
  </message>
  <message>
   <source>{confidence:.0%} sure: {why}.</source>
   <translation>{confidence} sicher: {why}.</translation>
  </message>
  <message>
   <source>No frames found. {why}</source>
   <translation>Keine Bilder gefunden. {why}</translation>
  </message>
  <message>
   <source>One picture. If it holds several frames, find them, or say by hand where they lie.</source>
   <translation>Ein einziges Bild. Hält es mehrere, finden Sie sie, oder sagen Sie von Hand, wo sie liegen.</translation>
  </message>
  <message>
   <source>By hand: 4 × 4</source>
   <translation>Von Hand: 4 × 4</translation>
  </message>
  <message>
   <source>Another grid</source>
   <translation>Noch ein Raster</translation>
  </message>
  <message>
   <source>For a picture whose parts have cells of another size</source>
   <translation>Für ein Bild, dessen Teile Zellen anderer Größe haben</translation>
  </message>
  <message>
   <source>One picture again</source>
   <translation>Wieder ein Bild</translation>
  </message>
  <message>
   <source>Playing</source>
   <translation>Läuft</translation>
  </message>
  <message>
   <source>Change outline</source>
   <translation>Umriss ändern</translation>
  </message>
  <message>
   <source>Cut into cells</source>
   <translation>In Zellen schneiden</translation>
  </message>
  <message>
   <source>Add a grid</source>
   <translation>Raster hinzufügen</translation>
  </message>
  <message>
   <source>{n} frames, index 0 to {n2}.</source>
   <translation>{n} Bilder, Index 0 bis {n2}.</translation>
  </message>
  <message>
   <source>The outline leaves out {saved:.0%} of the area.</source>
   <translation>Der Umriss lässt {saved} der Fläche aus.</translation>
  </message>
  <message>
   <source>Frames bleed into each other at every mip level.</source>
   <translation>Bilder laufen in jeder Mip-Stufe ineinander.</translation>
  </message>
  <message>
   <source>Cells, grid {k}</source>
   <translation>Zellen, Raster {k}</translation>
  </message>
  <message>
   <source>Remove grid {k}</source>
   <translation>Raster {k} entfernen</translation>
  </message>
  <message>
   <source>Remove a grid</source>
   <translation>Raster entfernen</translation>
  </message>
  <message>
   <source>Cells that hold no frame: {none}.</source>
   <translation>Zellen, die kein Bild halten: {none}.</translation>
  </message>
  <message>
   <source>Frames keep apart to mip level {safe}.</source>
   <translation>Bilder bleiben bis Mip-Stufe {safe} getrennt.</translation>
  </message>
  <message>
   <source>Source</source>
   <translation>Quelle</translation>
  </message>
  <message>
   <source>The picture it starts from, and what it holds.</source>
   <translation>Das Bild, mit dem es beginnt, und was es enthält.</translation>
  </message>
  <message>
   <source>The overlay's name; delivered files are called so.</source>
   <translation>Der Name des Overlays; so heißen gelieferte Dateien.</translation>
  </message>
  <message>
   <source>Kind</source>
   <translation>Art</translation>
  </message>
  <message>
   <source>Decides the usual settings: glass, decal, logo, sprite, or see-through cloth and screens.</source>
   <translation>Bestimmt die üblichen Einstellungen: Glas, Decal, Logo, Sprite oder durchsichtiger Stoff und Gitter.</translation>
  </message>
  <message>
   <source>The file it starts from. It is watched, and read again when it changes.</source>
   <translation>Die Datei, mit der es beginnt. Sie wird beobachtet und neu gelesen, wenn sie sich ändert.</translation>
  </message>
  <message>
   <source>Change kind</source>
   <translation>Art ändern</translation>
  </message>
  <message>
   <source>Change picture</source>
   <translation>Bild ändern</translation>
  </message>
  <message>
   <source>Where it repeats</source>
   <translation>Wo es sich wiederholt</translation>
  </message>
  <message>
   <source>What the picture holds</source>
   <translation>Was das Bild enthält</translation>
  </message>
  <message>
   <source>Alpha in file</source>
   <translation>Alpha in Datei</translation>
  </message>
  <message>
   <source>Alpha now</source>
   <translation>Alpha jetzt</translation>
  </message>
  <message>
   <source>Mean of it</source>
   <translation>Sein Mittel</translation>
  </message>
  <message>
   <source>Clear, soft, solid</source>
   <translation>Klar, weich, deckend</translation>
  </message>
  <message>
   <source>Rename</source>
   <translation>Umbenennen</translation>
  </message>
  <message>
   <source>Canvas width</source>
   <translation>Breite der Fläche</translation>
  </message>
  <message>
   <source>Without a picture it starts from an empty canvas, on which text, shapes and noise are drawn.</source>
   <translation>Ohne Bild beginnt es mit einer leeren Fläche, auf die Text, Formen und Rauschen gezeichnet werden.</translation>
  </message>
  <message>
   <source>Canvas height</source>
   <translation>Höhe der Fläche</translation>
  </message>
  <message>
   <source>Of the empty canvas.</source>
   <translation>Der leeren Fläche.</translation>
  </message>
  <message>
   <source>Taken as {seen}: {seen2}.</source>
   <translation>Genommen als {seen}: {seen2}.</translation>
  </message>
  <message>
   <source>{sides}: step {across:.1f} of 255, inside {inside:.1f} ({ratio:.1f} ×)</source>
   <translation>{sides}: Sprung {across} von 255, innen {inside} ({ratio} ×)</translation>
  </message>
  <message>
   <source>an empty canvas</source>
   <translation>eine leere Fläche</translation>
  </message>
  <message>
   <source>{minimum:.3f} to {maximum:.3f}</source>
   <translation>{minimum} bis {maximum}</translation>
  </message>
  <message>
   <source>{channels} channels, {bits} bit</source>
   <translation>{channels} Kanäle, {bits} Bit</translation>
  </message>
  <message>
   <source>yes, colour multiplied by it</source>
   <translation>ja, Farbe damit malgenommen</translation>
  </message>
  <message>
   <source>None: the picture is used at its own size.</source>
   <translation>Keine: das Bild wird in eigener Größe benutzt.</translation>
  </message>
  <message>
   <source>None: the picture's own alpha is used as it is.</source>
   <translation>Keine: das eigene Alpha des Bilds gilt, wie es ist.</translation>
  </message>
  <message>
   <source>None: the picture's own colours are used.</source>
   <translation>Keine: die eigenen Farben des Bilds gelten.</translation>
  </message>
  <message>
   <source>None: colour under the edges is as the picture has it.</source>
   <translation>Keine: die Farbe unter den Kanten ist, wie das Bild sie hat.</translation>
  </message>
  <message>
   <source>Add a step</source>
   <translation>Schritt hinzufügen</translation>
  </message>
  <message>
   <source>Remove the step</source>
   <translation>Den Schritt entfernen</translation>
  </message>
  <message>
   <source>Switch step</source>
   <translation>Schritt schalten</translation>
  </message>
  <message>
   <source>It is the first step</source>
   <translation>Es ist der erste Schritt</translation>
  </message>
  <message>
   <source>It is the last step</source>
   <translation>Es ist der letzte Schritt</translation>
  </message>
  <message>
   <source>Change levels</source>
   <translation>Tonwerte ändern</translation>
  </message>
  <message>
   <source>Pick colour</source>
   <translation>Farbe nehmen</translation>
  </message>
  <message>
   <source>Move an effect</source>
   <translation>Effekt bewegen</translation>
  </message>
  <message>
   <source>Begin a line</source>
   <translation>Linie beginnen</translation>
  </message>
  <message>
   <source>Move a point</source>
   <translation>Punkt verschieben</translation>
  </message>
  <message>
   <source>Scale</source>
   <translation>Maßstab</translation>
  </message>
  <message>
   <source>Move</source>
   <translation>Bewegen</translation>
  </message>
  <message>
   <source>{label} on the stage</source>
   <translation>{label} on the stage</translation>
  </message>
  <message>
   <source>Block compression works on 4 × 4 texels, and many receivers want sides that are powers of two: others are padded, scaled, or refused, and mip levels of odd sides blur unevenly.</source>
   <translation>Blockkompression arbeitet mit 4 × 4 Texeln, und viele Empfänger wollen Seiten, die Zweierpotenzen sind: andere werden aufgefüllt, skaliert oder abgewiesen, und Mip-Stufen ungerader Seiten verwischen ungleich.</translation>
  </message>
  <message>
   <source>Begin on a canvas with sides such as 256 or 512; where a picture comes otherwise, resize or pad it before anything else is done to it.</source>
   <translation>Beginnen Sie mit Seiten wie 256 oder 512; kommt ein Bild anders, ändern Sie seine Größe oder füllen Sie es auf, ehe sonst etwas geschieht.</translation>
  </message>
  <message>
   <source>A texture larger than was agreed costs memory on every machine, or is halved by the receiver without asking, with a filter that nobody chose.</source>
   <translation>Eine Textur, die größer ist als vereinbart, kostet auf jedem Rechner Speicher, oder der Empfänger halbiert sie ungefragt, mit einem Filter, den niemand gewählt hat.</translation>
  </message>
  <message>
   <source>State the budget at Deliver, and resize here, where colour is weighed by alpha.</source>
   <translation>Nennen Sie das Budget bei Liefern, und verkleinern Sie hier, wo Farbe nach Alpha gewogen wird.</translation>
  </message>
  <message>
   <source>A file without an alpha channel arrives as an opaque rectangle: all the work on the edge is gone.</source>
   <translation>Eine Datei ohne Alphakanal kommt als deckendes Rechteck an: alle Arbeit an der Kante ist dahin.</translation>
  </message>
  <message>
   <source>Deliver see-through overlays as PNG, TGA of 32 bit, TIFF, WebP or KTX 2; keep 24 bit for Solid ones.</source>
   <translation>Liefern Sie Durchsichtiges als PNG, TGA mit 32 Bit, TIFF, WebP oder KTX 2; 24 Bit nur für Solid.</translation>
  </message>
  <message>
   <source>An overlay that lets things show through but writes depth hides whatever is drawn later behind it, even through its clear parts: bubbles vanish behind a pane.</source>
   <translation>Ein Overlay, das durchscheinen lässt und doch Tiefe schreibt, verdeckt, was später dahinter gezeichnet wird, auch durch seine klaren Teile: Blasen verschwinden hinter einer Scheibe.</translation>
  </message>
  <message>
   <source>Turn depth write off for Translucent, Premultiplied, Additive and Multiply. Solid, Cutout and Dithered write depth.</source>
   <translation>Schalten Sie Tiefe schreiben ab für Translucent, Premultiplied, Additive und Multiply. Solid, Cutout und Dithered schreiben Tiefe.</translation>
  </message>
  <message>
   <source>Without an alpha channel the whole rectangle covers what lies behind it.</source>
   <translation>Ohne Alphakanal bedeckt das ganze Rechteck, was dahinter liegt.</translation>
  </message>
  <message>
   <source>Make the alpha from what the picture holds: its brightness, a channel, another picture, or the backdrop that it was painted over.</source>
   <translation>Machen Sie das Alpha aus dem, was das Bild enthält: Helligkeit, ein Kanal, ein anderes Bild oder der Hintergrund, über dem es gemalt ist.</translation>
  </message>
  <message>
   <source>An alpha that is the same everywhere has no shape: the rectangle itself is seen, as faint or as solid as that value says.</source>
   <translation>Ein Alpha, das überall gleich ist, hat keine Form: man sieht das Rechteck selbst, so blass oder deckend, wie der Wert sagt.</translation>
  </message>
  <message>
   <source>Look at the alpha alone before you save. Where a picture is meant to be opaque, leave the channel out: it costs a third more memory.</source>
   <translation>Sehen Sie das Alpha allein an, ehe Sie sichern. Soll ein Bild decken, lassen Sie den Kanal weg: er kostet ein Drittel mehr Speicher.</translation>
  </message>
  <message>
   <source>With alpha turned round the surroundings cover and the shape is a hole: some programs store transparency where others store opacity.</source>
   <translation>Bei umgekehrtem Alpha deckt die Umgebung, und die Form ist ein Loch: manche Programme speichern Durchsicht, wo andere Deckung speichern.</translation>
  </message>
  <message>
   <source>Check one picture of a new source first, and put Invert alpha into the recipe for all of them.</source>
   <translation>Prüfen Sie erst ein Bild einer neuen Quelle, und legen Sie Alpha umkehren ins Rezept für alle.</translation>
  </message>
  <message>
   <source>Soft alpha that runs out of the picture is cut off in a straight line. With clamped addressing the border texels are drawn out into streaks as well.</source>
   <translation>Weiches Alpha, das aus dem Bild läuft, ist gerade abgeschnitten. Mit festgehaltenem Rand werden dessen Texel auch zu Streifen.</translation>
  </message>
  <message>
   <source>Leave a few clear texels round every shape, or clear the border softly; layers have a border guard for it.</source>
   <translation>Lassen Sie um jede Form ein paar klare Texel, oder klären Sie den Rand weich; Ebenen haben dafür einen Randschutz.</translation>
  </message>
  <message>
   <source>Filtering mixes the colour of clear texels into the edge. Black under clear texels gives a dark rim, and each mip level widens it.</source>
   <translation>Filtern mischt die Farbe klarer Texel in die Kante. Schwarz unter klaren Texeln gibt einen dunklen Saum, und jede Mip-Stufe verbreitert ihn.</translation>
  </message>
  <message>
   <source>Spread edge colour outwards under the clear texels, or deliver premultiplied, or as KTX 2, whose levels are weighed by alpha.</source>
   <translation>Breiten Sie Randfarbe unter die klaren Texel aus, oder liefern Sie vormultipliziert oder als KTX 2, dessen Stufen nach Alpha gewogen sind.</translation>
  </message>
  <message>
   <source>Pieces that hang on nothing float beside the shape: what has come off a net would have fallen.</source>
   <translation>Stücke, die an nichts hängen, schweben neben der Form: was sich von einem Netz löste, wäre gefallen.</translation>
  </message>
  <message>
   <source>Drop loose pieces after a threshold or a torn edge was made; look at the alpha for islands.</source>
   <translation>Lassen Sie lose Stücke fallen, nachdem eine Schwelle oder ein Riss gemacht ist; suchen Sie im Alpha nach Inseln.</translation>
  </message>
  <message>
   <source>Soft texels that still hold the backdrop they were cut from show it as a dark, bright or coloured rim on everything of another colour.</source>
   <translation>Weiche Texel, die noch den Hintergrund enthalten, aus dem sie geschnitten sind, zeigen ihn als dunklen, hellen oder farbigen Saum auf allem von anderer Farbe.</translation>
  </message>
  <message>
   <source>Remove the matte when the picture is cut out; know what it was painted over, or let it be found.</source>
   <translation>Entfernen Sie den Rest beim Ausschneiden; wissen Sie, worüber gemalt wurde, oder lassen Sie es finden.</translation>
  </message>
  <message>
   <source>Alpha of only two values gives stairs where soft steps would cost nothing: Translucent pays for softness that the picture does not have.</source>
   <translation>Alpha aus nur zwei Werten gibt Treppen, wo weiche Stufen nichts kosteten: Translucent bezahlt Weichheit, die das Bild nicht hat.</translation>
  </message>
  <message>
   <source>Keep the softness that the source had, feather by a texel, or draw it as Cutout, which is cheaper.</source>
   <translation>Behalten Sie die Weichheit der Quelle, weichen Sie um einen Texel aus, oder zeichnen Sie es als Cutout, das ist billiger.</translation>
  </message>
  <message>
   <source>Cutout keeps or drops each texel: everything soft is cut away at the cutoff, and half of a faint shape is lost.</source>
   <translation>Cutout behält oder verwirft jeden Texel: alles Weiche wird an der Schwelle abgeschnitten, und eine blasse Form geht halb verloren.</translation>
  </message>
  <message>
   <source>Use Translucent, Dithered or Premultiplied for what is soft; for Cutout, bring alpha to a clear edge.</source>
   <translation>Nehmen Sie Translucent, Dithered oder Premultiplied für Weiches; für Cutout bringen Sie das Alpha auf eine klare Kante.</translation>
  </message>
  <message>
   <source>A soft falloff in few levels shows as rings: too few bits, or levels pulled far apart.</source>
   <translation>Ein weicher Verlauf in wenigen Stufen zeigt sich als Ringe: zu wenige Bit, oder Tonwerte weit auseinandergezogen.</translation>
  </message>
  <message>
   <source>Work in 16 bits, make falloffs here, and shape alpha before it is stored in 8 bits, not after.</source>
   <translation>Arbeiten Sie in 16 Bit, machen Sie Verläufe hier, und formen Sie Alpha, ehe es in 8 Bit gespeichert wird.</translation>
  </message>
  <message>
   <source>Faint specks far from the shape are seen as dirt under Additive and on plain backdrops, and hold whole tiles of overdraw open.</source>
   <translation>Blasse Sprenkel fern der Form sind unter Additive und auf glattem Grund als Schmutz zu sehen und halten ganze Flächen des Übermalens offen.</translation>
  </message>
  <message>
   <source>Clear what lies below a small alpha, after keying and after every scan.</source>
   <translation>Klären Sie, was unter einem kleinen Alpha liegt, nach dem Stanzen und nach jedem Scan.</translation>
  </message>
  <message>
   <source>Texels of an alpha that nobody sees are fragments all the same: they are fetched, blended and sorted, and a box that could be half as large stays large.</source>
   <translation>Texel mit einem Alpha, das niemand sieht, sind doch Fragmente: Sie werden geholt, gemischt und sortiert, und ein Kasten, der halb so groß sein könnte, bleibt groß.</translation>
  </message>
  <message>
   <source>Clear what lies below a few codes after painting with soft tips, keying or blurring, then trim.</source>
   <translation>Klären Sie nach dem Malen mit weichen Spitzen, dem Stanzen oder Weichzeichnen, was unter einigen Stufen liegt, und beschneiden Sie dann.</translation>
  </message>
  <message>
   <source>A shape that is small in its picture wastes texels and fills large clear areas: memory and overdraw for nothing.</source>
   <translation>Eine kleine Form in ihrem Bild verschwendet Texel und füllt große klare Flächen: Speicher und Übermalen für nichts.</translation>
  </message>
  <message>
   <source>Trim to what is seen; Mivex keeps its size on the stage and its pivot.</source>
   <translation>Beschneiden Sie auf das Sichtbare; Mivex behält Größe auf der Bühne und Drehpunkt.</translation>
  </message>
  <message>
   <source>Colour that is read as if it had been multiplied by alpha is divided by it, and every soft texel grows brighter than it was drawn: smoke gets a burnt rim, glass a glaring edge.</source>
   <translation>Farbe, die gelesen wird, als wäre sie mit Alpha multipliziert, wird durch Alpha geteilt, und jedes weiche Texel wird heller, als es gezeichnet wurde: Rauch bekommt einen ausgebrannten Rand, Glas eine grelle Kante.</translation>
  </message>
  <message>
   <source>Say at Source how the file stores its colour: straight, unless the program that wrote it multiplies.</source>
   <translation>Sagen Sie bei „Quelle“, wie die Datei ihre Farbe ablegt: nicht vormultipliziert, außer das Programm, das sie schrieb, multipliziert.</translation>
  </message>
  <message>
   <source>Where alpha is resized, grown or smoothed and colour is not, the new soft texels show what lay under the clear ones: a thin seam of the old ground round the whole shape.</source>
   <translation>Wo Alpha skaliert, erweitert oder geglättet wird und die Farbe nicht, zeigen die neuen weichen Texel, was unter den klaren lag: ein dünner Saum des alten Grundes um die ganze Form.</translation>
  </message>
  <message>
   <source>Spread the shape's colour outwards first, then resize colour and alpha together.</source>
   <translation>Breiten Sie zuerst die Farbe der Form nach außen aus, und skalieren Sie dann Farbe und Alpha zusammen.</translation>
  </message>
  <message>
   <source>Games keep textures in blocks of 4 × 4 texels that share two colours. Hidden colour in such a block takes one of them, and the texels beside it that are seen pay for it.</source>
   <translation>Spiele halten Texturen in Blöcken von 4 × 4 Texeln, die sich zwei Farben teilen. Verborgene Farbe in einem solchen Block nimmt eine davon, und die sichtbaren Texel daneben zahlen dafür.</translation>
  </message>
  <message>
   <source>Spread the shape's colour outwards by a few texels, also where filtering alone shows no fringe.</source>
   <translation>Breiten Sie die Farbe der Form um ein paar Texel nach außen aus, auch wo das Filtern allein keinen Saum zeigt.</translation>
  </message>
  <message>
   <source>A normal map or a mask that is read as colour is decoded, and every value is wrong: bumps flatten, masks shift.</source>
   <translation>Eine Normalenkarte oder Maske, die als Farbe gelesen wird, wird dekodiert, und jeder Wert ist falsch: Beulen werden flach, Masken verschieben sich.</translation>
  </message>
  <message>
   <source>Mark what a picture holds at Source, and name files so that it can be seen: _normal, _mask, _orm.</source>
   <translation>Sagen Sie bei Quelle, was ein Bild enthält, und benennen Sie Dateien so, dass man es sieht: _normal, _mask, _orm.</translation>
  </message>
  <message>
   <source>Where a repeated texture does not meet itself, its border is drawn as a grid of lines over the surface.</source>
   <translation>Wo eine wiederholte Textur sich nicht selbst trifft, zeichnet sich ihr Rand als Gitter über die Fläche.</translation>
  </message>
  <message>
   <source>Make it tile before it is used; look at it repeated three by three.</source>
   <translation>Machen Sie sie kachelbar, ehe sie benutzt wird; sehen Sie sie drei mal drei wiederholt an.</translation>
  </message>
  <message>
   <source>Averaging closes the holes of a net or grille as it moves away: at some level a screen turns into a plate, or vanishes.</source>
   <translation>Mitteln schließt die Löcher eines Netzes oder Gitters in der Ferne: in einer Stufe wird ein Sieb zur Platte oder verschwindet.</translation>
  </message>
  <message>
   <source>Keep coverage in every level and deliver them (KTX 2, TIFF), or make holes several texels wide.</source>
   <translation>Halten Sie Deckung in jeder Stufe und liefern Sie die Stufen (KTX 2, TIFF), oder machen Sie Löcher mehrere Texel breit.</translation>
  </message>
  <message>
   <source>What reaches the border of its cell is cut there in a straight line, and leaks into the next frame as soon as it is filtered.</source>
   <translation>Was den Rand seiner Zelle erreicht, ist dort gerade abgeschnitten und läuft ins nächste Bild, sobald gefiltert wird.</translation>
  </message>
  <message>
   <source>Fit each frame into its cell with a clear margin, and a gutter where cells are small.</source>
   <translation>Passen Sie jedes Bild mit klarem Rand in seine Zelle, mit einem Steg, wo Zellen klein sind.</translation>
  </message>
  <message>
   <source>A glow that still shines at the border of its frame ends in a box: under Additive a faint square is seen on dark ground.</source>
   <translation>Ein Leuchten, das am Rand seines Bilds noch scheint, endet in einem Kasten: unter Additive ist auf dunklem Grund ein blasses Quadrat zu sehen.</translation>
  </message>
  <message>
   <source>Fade the frame's light to black before its border; judge it over black, brightened.</source>
   <translation>Blenden Sie das Licht vor dem Rand auf Schwarz; beurteilen Sie es über Schwarz, aufgehellt.</translation>
  </message>
  <message>
   <source>From some mip level on one texel covers two cells: neighbouring frames are seen at the edge of each, most of all far away.</source>
   <translation>Ab einer Mip-Stufe bedeckt ein Texel zwei Zellen: Nachbarbilder sind am Rand von jedem zu sehen, am meisten in der Ferne.</translation>
  </message>
  <message>
   <source>Leave gutters that grow with the levels you need, use cells with sides of powers of two, and limit the levels to the safe one.</source>
   <translation>Lassen Sie Stege, die mit den nötigen Stufen wachsen, nehmen Sie Zellen mit Zweierpotenzen, und begrenzen Sie die Stufen auf die sichere.</translation>
  </message>
  <message>
   <source>A frame that differs far more than its neighbours is seen as a flicker in every run.</source>
   <translation>Ein Bild, das weit mehr abweicht als seine Nachbarn, ist bei jedem Lauf als Flackern zu sehen.</translation>
  </message>
  <message>
   <source>Lay neighbouring frames over each other at Sheet, and look for the one out of place: wrong order, or another exposure.</source>
   <translation>Legen Sie bei Bogen Nachbarbilder übereinander und suchen Sie das falsche: falsche Reihenfolge oder andere Belichtung.</translation>
  </message>
  <message>
   <source>A loop whose last frame does not meet its first jumps at the end of every run.</source>
   <translation>Eine Schleife, deren letztes Bild das erste nicht trifft, springt am Ende jedes Laufs.</translation>
  </message>
  <message>
   <source>Let the end come back to the beginning, play to and fro, or play it once.</source>
   <translation>Lassen Sie das Ende zum Anfang zurückkehren, spielen Sie hin und her oder einmal.</translation>
  </message>
  <message>
   <source>A shape whose middle wanders from frame to frame swims away from where it stands, and jumps back when it begins again.</source>
   <translation>Eine Form, deren Mitte von Bild zu Bild wandert, schwimmt fort und springt zurück, wenn sie neu beginnt.</translation>
  </message>
  <message>
   <source>Align frames by their centroid or pivot when the sheet is built; let the particle move, not the picture.</source>
   <translation>Richten Sie Bilder beim Bauen nach Schwerpunkt oder Drehpunkt aus; bewegen soll sich das Teilchen, nicht das Bild.</translation>
  </message>
  <message>
   <source>An empty frame between others is a blink.</source>
   <translation>Ein leeres Bild zwischen anderen ist ein Blinzeln.</translation>
  </message>
  <message>
   <source>Mark unused cells as unused; keep frames in the order in which they are played.</source>
   <translation>Kennzeichnen Sie ungenutzte Zellen; halten Sie Bilder in der Reihenfolge, in der sie laufen.</translation>
  </message>
  <message>
   <source>Cells after the last frame are empty: with one frame too many each run ends in nothing.</source>
   <translation>Zellen nach dem letzten Bild sind leer: mit einem Bild zu viel endet jeder Lauf im Nichts.</translation>
  </message>
  <message>
   <source>State how many frames there are; the last one of an 8 × 8 sheet is 63.</source>
   <translation>Sagen Sie, wie viele Bilder es sind; das letzte eines Bogens von 8 × 8 ist 63.</translation>
  </message>
  <message>
   <source>See-through things drawn from near to far cover each other wrongly: what is behind seems to be in front.</source>
   <translation>Durchsichtiges, von nah nach fern gezeichnet, deckt falsch: was hinten ist, scheint vorn.</translation>
  </message>
  <message>
   <source>Let distance decide within a group, and set nudges only where it cannot; the adviser finds the least of them.</source>
   <translation>Lassen Sie in einer Gruppe den Abstand entscheiden, und setzen Sie Ränge nur, wo er es nicht kann; der Berater findet die wenigsten.</translation>
  </message>
  <message>
   <source>A see-through figure drawn triangle by triangle shows its far side through its near one, in whatever order the file has them.</source>
   <translation>Eine durchsichtige Figur, Dreieck für Dreieck gezeichnet, zeigt ihre ferne Seite durch die nahe, in der Reihenfolge der Datei.</translation>
  </message>
  <message>
   <source>Lay its depth first, or draw by triangles from far to near.</source>
   <translation>Legen Sie ihre Tiefe zuerst, oder zeichnen Sie Dreiecke von fern nach nah.</translation>
  </message>
  <message>
   <source>Two surfaces in one place win by turns, texel by texel: the mark flickers as the camera moves.</source>
   <translation>Zwei Flächen an einem Ort gewinnen abwechselnd, Texel für Texel: die Marke flackert, wenn die Kamera sich bewegt.</translation>
  </message>
  <message>
   <source>Give decals a depth bias of a few millimetres, or let them change the surface by projecting.</source>
   <translation>Geben Sie Decals einen Tiefenversatz von ein paar Millimetern, oder lassen Sie sie die Fläche durch Werfen ändern.</translation>
  </message>
  <message>
   <source>What is seen through but writes depth hides what is drawn after it: a thing behind glass is simply not there.</source>
   <translation>Durchsichtiges, das Tiefe schreibt, verdeckt, was danach gezeichnet wird: etwas hinter Glas ist einfach nicht da.</translation>
  </message>
  <message>
   <source>Turn its depth write off, or draw it after what lies behind.</source>
   <translation>Schalten Sie sein Tiefeschreiben ab, oder zeichnen Sie es nach dem, was dahinter liegt.</translation>
  </message>
  <message>
   <source>Two overlays at the same distance are drawn in an order that is chance: it changes with the camera, the driver, the next build.</source>
   <translation>Zwei Overlays in gleichem Abstand kommen in einer Reihenfolge, die Zufall ist: sie wechselt mit Kamera, Treiber, nächstem Build.</translation>
  </message>
  <message>
   <source>Set a nudge between the two, or move one a little.</source>
   <translation>Setzen Sie einen Rang zwischen beide, oder rücken Sie eines ein wenig.</translation>
  </message>
  <message>
   <source>Translucent costs blending and ordering. Where every texel is solid or clear, Cutout gives the same picture for less, and never sorts wrongly.</source>
   <translation>Translucent kostet Mischen und Ordnen. Wo jeder Texel deckt oder klar ist, gibt Cutout dasselbe Bild für weniger und sortiert nie falsch.</translation>
  </message>
  <message>
   <source>Choose the blend by what the alpha holds, not by habit.</source>
   <translation>Wählen Sie die Mischung nach dem, was das Alpha enthält, nicht aus Gewohnheit.</translation>
  </message>
  <message>
   <source>A logo that reads a UV set in which the mesh has nothing shows one texel, or none: it has vanished.</source>
   <translation>Ein Logo, das ein UV-Set liest, in dem das Netz nichts hat, zeigt einen Texel oder keinen: es ist verschwunden.</translation>
  </message>
  <message>
   <source>Choose the set that is there, or make a second one at Place from the faces where the logo goes.</source>
   <translation>Wählen Sie das Set, das da ist, oder machen Sie bei Setzen ein zweites aus den Flächen, wo das Logo hingehört.</translation>
  </message>
  <message>
   <source>Added light on bright ground goes beyond white: form and hue are lost in a flat patch.</source>
   <translation>Addiertes Licht auf hellem Grund geht über Weiß hinaus: Form und Ton gehen in einem flachen Fleck verloren.</translation>
  </message>
  <message>
   <source>Use Premultiplied, which covers as it shines, lower its strength, or judge it over a bright backdrop first.</source>
   <translation>Nehmen Sie Premultiplied, das deckt, während es scheint, senken Sie die Stärke, oder beurteilen Sie es erst vor hellem Grund.</translation>
  </message>
  <message>
   <source>An overlay that changes no pixel is hidden, fully clear, or out of every camera's sight, and costs its draw all the same.</source>
   <translation>Ein Overlay, das kein Pixel ändert, ist verdeckt, ganz klar oder außer Sicht und kostet doch sein Zeichnen.</translation>
  </message>
  <message>
   <source>Look for it in the ledger: it says what hides it.</source>
   <translation>Suchen Sie es im Pixelbuch: es sagt, was es verdeckt.</translation>
  </message>
  <message>
   <source>An unlit overlay whose colour is black gives no light: it is a black patch, in the dark as well as in the light.</source>
   <translation>Ein unbeleuchtetes Overlay mit schwarzer Farbe gibt kein Licht: ein schwarzer Fleck, im Dunkeln wie im Hellen.</translation>
  </message>
  <message>
   <source>Give it a colour or a glow, let it be lit, or use Multiply for a stain.</source>
   <translation>Geben Sie ihm Farbe oder Leuchten, lassen Sie es beleuchten, oder nehmen Sie Multiply für einen Fleck.</translation>
  </message>
  <message>
   <source>A lit picture without normals takes light like a flat card: all of it turns bright or dark at once as it turns.</source>
   <translation>Ein beleuchtetes Bild ohne Normalen nimmt Licht wie eine flache Karte: beim Drehen wird alles auf einmal hell oder dunkel.</translation>
  </message>
  <message>
   <source>Give sprites normals or leave them unlit with a tint that fits the scene.</source>
   <translation>Geben Sie Sprites Normalen, oder lassen Sie sie unbeleuchtet mit einer Tönung, die zur Szene passt.</translation>
  </message>
  <message>
   <source>A panel that draws only its front is not there when it is seen from behind.</source>
   <translation>Eine Tafel, die nur ihre Vorderseite zeichnet, ist von hinten nicht da.</translation>
  </message>
  <message>
   <source>Draw both faces of panes and cloth; turn those round that are only ever seen from one side.</source>
   <translation>Zeichnen Sie beide Seiten von Scheiben und Stoff; drehen Sie um, was nur von einer Seite gesehen wird.</translation>
  </message>
  <message>
   <source>Where a soft sprite meets something solid it is cut in a hard line that gives the card away.</source>
   <translation>Wo ein weiches Sprite Festes trifft, ist es in einer harten Linie geschnitten, die die Karte verrät.</translation>
  </message>
  <message>
   <source>Give it a contact fade over a few hand's breadths.</source>
   <translation>Geben Sie ihm einen weichen Kontakt über ein paar Handbreit.</translation>
  </message>
  <message>
   <source>Each layer of see-through things costs all its pixels again; above the budget the picture slows down where there is most to see.</source>
   <translation>Jede Lage von Durchsichtigem kostet alle ihre Pixel noch einmal; über dem Budget wird das Bild langsam, wo am meisten zu sehen ist.</translation>
  </message>
  <message>
   <source>Fewer and larger sprites, tighter outlines, trimmed margins; look at the overdraw map.</source>
   <translation>Weniger und größere Sprites, engere Umrisse, beschnittene Ränder; sehen Sie auf die Übermalkarte.</translation>
  </message>
  <message>
   <source>Writing that is mirrored or upside down on its mesh is read at once as wrong.</source>
   <translation>Schrift, die auf ihrem Netz gespiegelt oder kopfüber steht, wird sofort als falsch gelesen.</translation>
  </message>
  <message>
   <source>Check UVs with letters, not with a pattern; a negative tiling mirrors.</source>
   <translation>Prüfen Sie UVs mit Buchstaben, nicht mit einem Muster; negatives Kacheln spiegelt.</translation>
  </message>
  <message>
   <source>A particle whose opacity is not zero at birth or death appears or vanishes from one picture to the next: it pops.</source>
   <translation>Ein Teilchen, dessen Deckkraft bei Geburt oder Tod nicht null ist, erscheint oder verschwindet von einem Bild zum nächsten: es ploppt.</translation>
  </message>
  <message>
   <source>Begin and end opacity at zero; a short rise is enough.</source>
   <translation>Beginnen und enden Sie die Deckkraft bei null; ein kurzer Anstieg genügt.</translation>
  </message>
  <message>
   <source>The effect colours its particles, but the material takes no tint: all that work changes nothing.</source>
   <translation>Der Effekt färbt seine Teilchen, aber das Material nimmt keine Tönung: all das ändert nichts.</translation>
  </message>
  <message>
   <source>Let the material take particles' tint, or take the colours out of the effect.</source>
   <translation>Lassen Sie das Material Teilchentönung nehmen, oder nehmen Sie die Farben aus dem Effekt.</translation>
  </message>
  <message>
   <source>The material wears away by a particle's life, but nothing in the effect drives it, or the effect drives what the material ignores: smoke stays whole to its end.</source>
   <translation>Das Material trägt sich nach dem Leben ab, aber nichts im Effekt treibt es, oder der Effekt treibt, was das Material nicht beachtet: Rauch bleibt ganz bis zum Ende.</translation>
  </message>
  <message>
   <source>Add the lane Worn to the effect, and let the material's erosion be driven by life.</source>
   <translation>Fügen Sie dem Effekt die Spur Abgetragen hinzu, und lassen Sie die Erosion des Materials dem Leben folgen.</translation>
  </message>
  <message>
   <source>A life that ends before the sheet does cuts the animation off: the last frames are never seen.</source>
   <translation>Ein Leben, das vor dem Bogen endet, schneidet die Animation ab: die letzten Bilder sind nie zu sehen.</translation>
  </message>
  <message>
   <source>Play the frames once over the life, or make life and speed agree.</source>
   <translation>Spielen Sie die Bilder einmal übers Leben, oder stimmen Sie Leben und Tempo ab.</translation>
  </message>
  <message>
   <source>Frames that are never shown were drawn, stored and loaded for nothing.</source>
   <translation>Bilder, die nie zu sehen sind, wurden für nichts gezeichnet, gespeichert und geladen.</translation>
  </message>
  <message>
   <source>Choose how frames are shown at birth: over the life, at the sheet's speed, or one by chance.</source>
   <translation>Wählen Sie bei Geburt, wie Bilder gezeigt werden: übers Leben, im Tempo des Bogens oder eins per Zufall.</translation>
  </message>
  <message>
   <source>A rate that ends its run elsewhere than it began makes the stream pulse at every repetition.</source>
   <translation>Eine Rate, die ihren Lauf anderswo endet, als sie begann, lässt den Strom bei jeder Wiederholung pulsen.</translation>
  </message>
  <message>
   <source>Let the rate's curve end where it began.</source>
   <translation>Lassen Sie die Kurve der Rate enden, wo sie begann.</translation>
  </message>
  <message>
   <source>One look repeated is seen at once: the same size, turn and frame make a pattern of copies.</source>
   <translation>Ein wiederholtes Aussehen fällt sofort auf: gleiche Größe, Drehung und gleiches Bild machen ein Muster von Kopien.</translation>
  </message>
  <message>
   <source>Give size, turn or frame a range at birth.</source>
   <translation>Geben Sie Größe, Drehung oder Bild bei der Geburt einen Bereich.</translation>
  </message>
  <message>
   <source>At the limit no particle is born until another dies: the stream stutters, and its rate is not the one that was set.</source>
   <translation>An der Grenze wird kein Teilchen geboren, ehe ein anderes stirbt: der Strom stottert, und seine Rate ist nicht die gesetzte.</translation>
  </message>
  <message>
   <source>Raise the limit, or lower the rate or the life; fewer and larger finds the pair.</source>
   <translation>Heben Sie die Grenze, oder senken Sie Rate oder Leben; Weniger, größere findet das Paar.</translation>
  </message>
  <message>
   <source>Many particles over one another in one place cost their pixels many times, for a picture that a few would give.</source>
   <translation>Viele Teilchen übereinander an einem Ort kosten ihre Pixel viele Male, für ein Bild, das wenige gäben.</translation>
  </message>
  <message>
   <source>Fewer and larger; spread where they are born; outlines in place of whole cells.</source>
   <translation>Weniger und größere; streuen Sie, wo sie geboren werden; Umrisse statt ganzer Zellen.</translation>
  </message>
  <message>
   <source>Smoke that meets the floor in a hard line shows that it is made of cards.</source>
   <translation>Rauch, der den Boden in einer harten Linie trifft, zeigt, dass er aus Karten ist.</translation>
  </message>
  <message>
   <source>Give its material a contact fade.</source>
   <translation>Geben Sie seinem Material einen weichen Kontakt.</translation>
  </message>
  <message>
   <source>Particles born inside something solid are never seen, or burst out of its surface.</source>
   <translation>Teilchen, die in Festem geboren werden, sieht man nie, oder sie brechen aus seiner Fläche.</translation>
  </message>
  <message>
   <source>Lift the effect out of the surface, or give it a shape that lies outside.</source>
   <translation>Heben Sie den Effekt aus der Fläche, oder geben Sie ihm eine Form, die außerhalb liegt.</translation>
  </message>
  <message>
   <source>Where a curve of speed leaps, all particles of that age jerk at once.</source>
   <translation>Wo eine Tempokurve springt, rucken alle Teilchen dieses Alters auf einmal.</translation>
  </message>
  <message>
   <source>Let neighbouring pieces of the curve meet; use smooth points.</source>
   <translation>Lassen Sie Nachbarstücke der Kurve sich treffen; nehmen Sie glatte Punkte.</translation>
  </message>
  <message>
   <source>Frames with fewer texels than pixels on the screen are blurred where the effect is seen from near.</source>
   <translation>Bilder mit weniger Texeln als Pixeln auf dem Schirm sind unscharf, wo der Effekt von nah gesehen wird.</translation>
  </message>
  <message>
   <source>Draw frames as large as the nearest camera sees them, or keep the camera away.</source>
   <translation>Zeichnen Sie Bilder so groß, wie die nächste Kamera sie sieht, oder halten Sie die Kamera fern.</translation>
  </message>
  <message>
   <source>A receiver draws an effect only while its box is in sight: with a box too small it vanishes while it can still be seen.</source>
   <translation>Ein Empfänger zeichnet einen Effekt nur, solange sein Quader in Sicht ist: ist der zu klein, verschwindet er, während man ihn noch sehen könnte.</translation>
  </message>
  <message>
   <source>Set the bounds as the motion says; do it again when speed or life has changed.</source>
   <translation>Setzen Sie die Grenzen, wie die Bewegung sagt; noch einmal, wenn Tempo oder Leben sich geändert haben.</translation>
  </message>
  <message>
   <source>Steady plume</source>
   <translation>Stete Fahne</translation>
  </message>
  <message>
   <source>Smoke, steam, silt: rises, swells, turns with the wind.</source>
   <translation>Rauch, Dampf, Schlick: steigt, schwillt, dreht mit dem Wind.</translation>
  </message>
  <message>
   <source>One burst</source>
   <translation>Ein Stoß</translation>
  </message>
  <message>
   <source>A puff that goes out all round and is gone.</source>
   <translation>Ein Wölkchen, das rundum hinausgeht und fort ist.</translation>
  </message>
  <message>
   <source>Sparks</source>
   <translation>Funken</translation>
  </message>
  <message>
   <source>Thrown out, they fall, bounce and cool.</source>
   <translation>Hinausgeworfen fallen, prallen und erkalten sie.</translation>
  </message>
  <message>
   <source>Drifting motes</source>
   <translation>Treibende Stäubchen</translation>
  </message>
  <message>
   <source>Dust or plankton that hangs in the light.</source>
   <translation>Staub oder Plankton, das im Licht hängt.</translation>
  </message>
  <message>
   <source>Rising bubbles</source>
   <translation>Steigende Blasen</translation>
  </message>
  <message>
   <source>Another frame each, upright, wandering upwards.</source>
   <translation>Jede ein anderes Bild, aufrecht, nach oben taumelnd.</translation>
  </message>
  <message>
   <source>Drops that fall from an edge and end on the floor.</source>
   <translation>Tropfen, die von einer Kante fallen und am Boden enden.</translation>
  </message>
  <message>
   <source>Flickering flame</source>
   <translation>Flackernde Flamme</translation>
  </message>
  <message>
   <source>Stands on its nozzle and lights what is round it.</source>
   <translation>Steht auf ihrer Düse und beleuchtet, was ringsum ist.</translation>
  </message>
  <message>
   <source>Brief flash</source>
   <translation>Kurzer Blitz</translation>
  </message>
  <message>
   <source>Crossed panels and a lamp, for a moment.</source>
   <translation>Gekreuzte Tafeln und eine Lampe, für einen Moment.</translation>
  </message>
  <message>
   <source>Whole surface</source>
   <translation>Ganze Oberfläche</translation>
  </message>
  <message>
   <source>Opacity apart, as grey</source>
   <translation>Deckkraft getrennt, grau</translation>
  </message>
  <message>
   <source>Surface packed in one file</source>
   <translation>Oberfläche in einer Datei</translation>
  </message>
  <message>
   <source>Four masks packed</source>
   <translation>Vier Masken gepackt</translation>
  </message>
  <message>
   <source>Sheet with frames</source>
   <translation>Bogen mit Bildern</translation>
  </message>
  <message>
   <source>Scene, everything</source>
   <translation>Szene, alles</translation>
  </message>
 </context>
</TS>
