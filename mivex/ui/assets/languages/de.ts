<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
 <context>
  <name>Mivex</name>
  <message>
   <source>The border's colour is {0}, {1}, {2} of 255; clear up to {3}, solid from {4}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The matte is {0}, {1}, {2} of 255; {3} of it is still there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The border's colour is {0}, {1}, {2} of 255.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No matte was found in its soft parts; the step was left out.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: step {1}: “{2}” takes a colour, or the word {3}, not “{4}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>sides to {0} and {1} texels (8192 × 8192) in all</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} would be {1} × {2}; Mivex takes {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} would be {1} × {2}: it holds no texels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>MIVEX_DEBUG=1 shows where</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Something went wrong inside Mivex ({0}{1}{2}); {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the log in Mivex's state folder tells where</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is not enough memory for this.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>each of red, green and blue must lie between 0 and 1</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be read: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be a file: its name holds a NUL character.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is a folder, not a {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is a device, pipe or socket, not a {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is empty (0 bytes).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is larger than the {1} MB that Mivex reads of a {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no file “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be read: permission is denied.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be written: a folder has that name.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be written: it is a device, pipe or socket.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be written: permission is denied.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has a name that is not UTF-8 text; rename the file first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be written: {1} in it is no character.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was written, but reading it back gave something else; the old file, if there was one, is untouched.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be written: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be replaced: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mivex {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the picture that eats into it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the mesh that it stands on</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>JPEG has no alpha channel; choose PNG, TGA or TIFF.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>OpenEXR stores alpha associated, which loses the colour under clear texels; choose PNG, TGA or TIFF.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>BMP has no dependable alpha channel; choose PNG, TGA or TIFF.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A TGA of 24 bit has no alpha channel, and this blend needs one; choose PNG, TGA of 32 bit or TIFF.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} holds {1} bits a channel, not {2}; choose PNG or TIFF for {3} bits.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>KTX 2 holds encoded colour in 8 bits only; choose 8 bits, or another format.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is nothing to deliver: no overlay has a picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is a file; a delivery goes into a folder.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” and “{1}” would both be written as “{2}”; give one of them another name.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” would be written over a picture that the project is made of; deliver into another folder.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is still being computed at full size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}”: nothing of its recipe “{1}” can be filled from it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has no layers whose masks could be delivered.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mivex does not deliver “.{0}” files; choose PNG, TGA or TIFF.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}…” would be written under a name of {1} letters, which is too long; give it a shorter one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Two files of “{0}” would both be written as “{1}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The folder “{0}” cannot be made: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delivering “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>blend {0} (written as BLEND)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>dots in place of blending (written as BLEND)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>order nudge {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>draw group {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>depth bias</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its own depth test and depth write</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its own order of faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>frames that play (the first is shown)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>panels that turn to the camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>motion (see the motion file)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Philox 4×64-10, key (seed, birth), counter (block, emitter, 0, 0)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Version of the format.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>For people.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the effect.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Forces are applied in steps of this length, at their end.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where each particle's random numbers come from.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres a second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The effect, with what it takes from the one that it is a copy of.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blend sheet of each overlay that it shows, by id.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Low and high corner of the box that its particles never leave, metres.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the box that was added to what was followed; 0: closed form.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” lies on no surface, so that there is no geometry to deliver; place it first, or choose a recipe without geometry.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no folder “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” holds no delivery: there is no “{1}” in it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has {1} layers; its delivery asks for the mask of layer {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Writing the geometry of “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Writing the motion of “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Writing the proof sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was written by a newer Mivex (list {1}; this one reads {2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is not the list of a delivery, or is cut short.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>over every backdrop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>at far sizes: as sampled, as it should be, and where they differ</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blend</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Opacity</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Depth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}, nudge {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>shines by itself</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>front only</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Steps</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} to {1}, mean {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Proof sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>, cutoff {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>, bias {0} mm</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fringe, largest</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of 255</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fringe, mean at its worst level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} (level {1})</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>not tested</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>not written</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}”: its delivery reads the overlay “{1}”, which is not there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has no particles to judge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no such effect.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” covers nothing that could be judged.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At least one particle has to live.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There are only {0} at once already.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} particles cannot cover as much at any size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Check</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finding</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Look</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repair</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Subject</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Births refused</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Too many over one another</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hard contact line</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Born inside something solid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed jumps</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames too small for the screen</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bounds too small</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: of {1} births {2} are refused, since at most {3} particles may live at once.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The stream breaks off and comes back in gusts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: up to {1} particles lie over one another; {2} of what they cover is above the budget of {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Too many sprites cost too much; see “Fewer, larger”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1} of the particles cut into something solid, {2} cm deep in the mean, and “{3}” has no contact fade.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A hard line where smoke meets the ground.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1} of the particles are born inside something solid.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>They are not seen, or break out of a wall.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lift it by {0} m</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>times its size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: a {1} of {2} texels is drawn {3} pixels high from camera {4}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It is seen blurred: its cells are too small for their size on screen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: speed changes by {1} times from one tick to the next, {2} into the life.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles jerk where the curve's parts meet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} goes {1} m beyond the bounds that are set.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seen from the side the effect vanishes while some of it is in the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Allow more at once</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fade before contact</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Join the parts smoothly</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Widen the bounds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles pop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tint that is ignored</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Erosion driven by nothing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Life shorter than the sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames never shown</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The stream jumps</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One look repeated</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>of 255</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: at {1} opacity is not zero; {2} of 255 appear or go from one picture to the next.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles pop.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: a run ends with {1} particles a second and the next begins with {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The stream stutters at every run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1} particles at once have one size, one turn and one frame.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The eye finds the one texture again and again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} tints its particles, and the material of “{1}” ignores it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour settings do nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The lane does nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1} frames in {2} s; at {3} pictures a second {4} are never shown.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Memory for frames that nobody sees.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fade in and out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} wears its particles away, but the erosion of “{1}” </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Erosion of “{0}” is driven by life, and {1} has no lane for it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing ever wears away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: the sheet needs {1} s, and particles live from {2} s.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>They die in the middle of their animation.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>End as it begins</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spread size and turn</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let the material take the tint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>is driven by its slider.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drive erosion by life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} shows {1} of the {2} frames of “{3}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>is driven by the tint's alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>is off.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add the lane</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Play the sheet over their life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>fragments</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Added light clipped</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Changes no pixel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Unlit and black</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lit without normals</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Back not drawn</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Too much drawn over</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mirrored or upside down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its alpha is 0 everywhere</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>it lies behind something, or outside what the cameras see</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>pixels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>sprite</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of the picture of camera {1} takes more than {2} fragments a pixel, {3} at most; “{4}” spends most.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each fragment is read, shaded and blended, seen or not: frames take longer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” changes no pixel of any camera: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It costs and shows nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is lit without normals: light falls on it as on a flat card.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All sprites brighten and darken as one as the camera turns.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% of the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of “{1}” is clipped to plain white on the bright ground that camera {2} sees.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Added light has no shape where the ground is bright already: it becomes a white patch.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is unlit and gives off nothing: it is drawn black.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A black shape where light should fall or shine.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave it unlit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Camera {0} sees “{1}” from behind, where it is not drawn: {2} of the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It is there from one side and gone from the other.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cuts into what is solid along a hard line of about {1} pixels, seen from camera {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The card that smoke is painted on shows as a straight edge where it meets the floor.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mirror it back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” lies {1} on its surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Writing cannot be read, and an emblem is a different one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make it Premultiplied</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw both faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fade it over 0.3 m</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>upside down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turn it round</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let light fall on it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Premultiplied</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of the picture of camera {1} is off by {2} of 255.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drawn in the wrong order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shows through itself</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fights with its surface</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hidden by what is seen through</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Order is chance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cutout would do</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cutout</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is farther away seems to lie in front; it flips as the camera moves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blended</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” shows through itself: its far side is drawn over its near one in {1} of the picture of camera {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Parts of a figure flicker through other parts, by the order of its triangles.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” fights with the surface that it lies on: {1} of the picture of camera {2} is lost in patches.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Both have nearly the same depth, so chance decides pixel by pixel; it flickers as the camera moves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is hidden by “{1}”, which is seen through and yet writes depth: {2} of the picture of camera {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A hole in the shape of the nearer panel, even where that one is clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” and “{1}” stand through each other or swap with the camera; neither order is right: {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is drawn over “{1}” though it lies behind it: {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lay its depth first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bring it {0} mm nearer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch off depth write of “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” looks the same as Cutout, to within {1} of 255, and as Cutout it needs no sorting.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} As Translucent it can be drawn in the wrong order.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw both by their distance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” and “{1}” are equally far away from camera {2}: which of them is drawn last is chance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>They swap at the least movement of the camera.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make it Cutout</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw “{0}” later</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Second UV set is empty</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>UV set</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” reads the second UV set, and what it lies on has only one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Everywhere on the mesh the same texel is read: the picture vanishes, or covers it in one colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Read the first UV set</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It is safe to level {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No level is safe.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>from level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% of the cell</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frame {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames reach their border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light cut off at the border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames bleed into each other</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A frame jumps</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The loop does not close</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames drift</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Empty frames</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames past the last</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of {1} frames reach their cell's border, frame {2} with alpha {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each sprite is cut off in a straight line there, and filtering carries it into the next frame.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light reaches the border of {0} of {1} frames, in frame {2} {3} of 255.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow ends in a straight edge; over dark ground the sprite's square shows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From mip level {0} on a frame shows what is next to it, by up to {1} of 255 at level {2}. {3}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the distance a line or ghost of the next frame flickers at the sprite's edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From frame {0} to {1} the picture changes by {2} of 255 in the mean; usual is {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The movement stutters there, at every run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Play it once</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From the last frame back to the first the picture changes by {0} of 255; usual is {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Played again and again, it jumps at the end of every run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The middle of what is seen wanders {0} of the cell {1} from the first frame to the last.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The sprite swims away from where it stands, and jumps back when it begins again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>frames</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} between others {1} empty.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The sprite blinks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>End after frame {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The last {0} of {1} frames {2} empty: the sheet ends with frame {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each run ends in nothing; with one frame too many it blinks at its end.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear the border of every cell</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make alpha from luminance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>channels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing of it is seen at all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The whole rectangle is seen, corners and all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% of the border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear the border softly</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha all one value</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha looks inverted</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha at the border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make alpha from the backdrop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Key out the backdrop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture has no alpha channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing shows through: the whole rectangle covers what lies behind it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha is {0} in every texel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha looks turned round: the border is solid and the middle clear, yet the drawing lies under what is clear; the means differ by {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The surroundings cover what lies behind, and the shape itself is a hole.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft alpha runs out of the picture ({0}): {1} of the border is reached, and where it is cut alpha is up to {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The shape is cut off in a straight line, and with clamped addressing its border texels are drawn out into streaks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turn the border guard on</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha is 1 in every texel: the picture is opaque, and its alpha channel says nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It costs a third more memory than three channels, and is taken for a see-through picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Invert the alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drop the alpha channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% of the texels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% of the panel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Larger than stated</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>File without alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>See-through overlay writes depth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} × {1} is not a power of two on {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mip levels no longer halve evenly and some block compressions refuse it; a runtime may stretch or reject the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} × {1} is larger than the {2} px that the receiver wants.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It takes {0} times the memory; the receiver may refuse it or reduce it its own way.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The chosen file has no alpha channel: {0} % of the texels would lose theirs.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What was clear arrives solid, with whatever colour lay under it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A {0} overlay writes depth: {1} of it hides what is drawn later behind it although it can be seen through.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bubbles, smoke or panes behind it vanish, depending on which is drawn first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Resize to {0} × {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver as PNG</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch depth write off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>both sides</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>each side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repaint faint edges too (changes what shows by up to {0} of 255)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>between texels at full size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>at mip level {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fringe when filtered</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A {0} rim: hidden {1} leaks into the edge {2}; 99 % of texels differ by up to {3} of 255, the worst by {4}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Filtering mixes the colour under clear texels into the edge: a {0} rim that grows with distance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spread edge colour outwards</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Loose pieces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} {1} on nothing; the largest has {2} texels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the game bits float beside the shape.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drop the loose pieces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>piece hangs</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>pieces hang</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft parts still hold {0} of a {1} backdrop, {2}; on screen it shows by up to {3} of 255.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft parts may hold some of a {0} backdrop, {1}, by up to {2} of 255; how much cannot be told from the picture's own texture (about {3}, give or take {4}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Matte left in soft parts</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture was cut from a backdrop without taking its colour out: a {0} rim on anything of another colour, even unfiltered.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>; {0} of the soft texels would be clipped when it is taken out.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the matte</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% between</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>texels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>% empty</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softness not used</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softness cut away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha in few levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faint specks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mostly empty</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Only {0} of the texels lie between clear and solid, yet {1} sorts and blends every one of them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It costs sorting and overdraw and can be drawn in the wrong order; Cutout looks the same here and needs neither.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of what is seen is half clear, and Cutout makes each texel all or nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft edges and veils turn into hard, crawling outlines.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The soft part of the alpha has only {0} levels, {1} of 255 apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smoke and glass show contour lines instead of an even fade.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} faint specks stand alone in clear surroundings, of alpha {1} on average.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A veil of dust in the game; and they hold the colour of what was cut away, which leaks into the edge with distance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of the picture is empty margin.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Memory is spent on nothing, and every clear texel is still drawn.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blend as Cutout</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blend as Translucent</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth the alpha over 2 px</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear those texels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Trim to what is seen</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Translucent</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>times the inner step</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour or data</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seam when repeated</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holes close in the distance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where {0} meet, the step is {1} of 255; inside it is {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The repetition shows as a grid of lines.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The texels are unit vectors, as in a normal map, but are filtered as colour: off by {0} of 255 two levels down.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Directions are bent towards one side; lit surfaces look inflated or dull.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It is drawn as colour but taken as data: filtering is off by {0} of 255 two levels down, and its light is not decoded.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It looks washed out beside everything else, and edges change their brightness with distance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make it tile</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At mip level {0}, {1} of {2} holes have closed; the usual hole is {3} texels across there, and coverage has gone from {4} to {5}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A screen or mesh turns into a plate, or vanishes, as it moves away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take it as colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep coverage in every level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take it as data</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing that is seen of “{0}” has a seed: no noise, no seeded pattern.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is no geometry that Mivex has delivered, or is cut short.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>levels held</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The delivery names no camera.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was written by a newer Mivex (blend sheet {1}; this one reads {2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was written by a newer Mivex (motion {1}; this one reads {2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is not what Mivex delivers, or is cut short.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is missing from the delivery.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Makes its own mip levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Levels in the files are ignored; new ones are averaged without weighing colour by alpha, and lose coverage.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ignores the colour flag</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour is read as data, without decoding: everything is too bright and too pale.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flips green</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Normal maps are read the other way up: bumps become dents.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Limits size to</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Textures are halved until no side is longer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Compresses in blocks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>4 × 4 texels share two colours and two alphas, as in most games.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blends display values</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sums are formed of display values instead of light: edges of see-through things change.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Transparency left off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every overlay is drawn solid, whatever its blend.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Solid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no build “{0}” (there are {1}).{2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} is not a build.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} was saved by a newer Mivex (build {1}; this one reads up to {2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layer {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} is not a JSON text, or is cut short.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The build cannot be kept in “{0}”: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: strength</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the layer that is painted on is gone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>what is painted is laid elsewhere; it shows when the stroke ends.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the layer that its mask reads is gone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its mask and that of “{0}” use each other.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>no overlay is chosen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>no picture is chosen for its mask.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its faces belong to a mesh, and the overlay sits on none.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” makes nothing of that channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>no picture is chosen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a stroke keeps to faces of a mesh, and the overlay sits on none.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layer “{0}”: {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Roughness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metal</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Emissive</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Towards it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplied</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Added</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Screened</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The larger</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The smaller</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Taken away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The difference</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One value</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A pattern</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay's result</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is painted</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Luminance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Red</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Green</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blue</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tiles across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How often it goes into the canvas.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tiles down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shifted right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As a share of the canvas's width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shifted down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As a share of the canvas's height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turned</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>About the middle of the canvas; turned by other than quarters it no longer repeats.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dark end</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From here down it is 0.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright end</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From here up it is 1.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Middle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Above one lifts what lies between.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Value</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where the value comes from.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The colour; of a pattern, where it is bright.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dark colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where the pattern is dark.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Number</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The value; of a pattern, where it is bright.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dark number</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its colours, or one of its channels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Read</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which of its channels is the value; for colour all three are.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Joins</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How it meets what lies below.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Strength</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of this channel alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where light comes less, hollows, outer edges, how far along an axis, which way it faces, how thin it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Reach</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far it looks, as a share of the mesh's longest side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rays</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A texel; more is smoother and slower.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Towards</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright is that way.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the mesh's extent where it begins.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>To</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the mesh's extent where it is full.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edge size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Roundings up to this radius count, as a share of the longest side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What this part of the mask is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How it meets the parts before it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Everywhere; of a painted part, where nothing is painted.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright lets through.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which of its channels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its mask, or what it makes of a channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Inverted</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where it was not.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Contrast</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Towards all or nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Balance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>More of it, or less.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fades the whole row.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Base</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Off: nothing but the layers, so that stray alpha shows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of an empty canvas.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth mirrors what is around it, rough scatters it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bare metal is 1.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bumps</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How steep heights become; below zero, hills are hollows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Green points</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way the delivered normal map's second channel counts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Occlusion</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hollows are shaded.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How wide the shaded hollows are, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Border guard</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fades the layers' opacity near the border, along a ragged line.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ragged</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 is a straight fade.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Features</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bays and tongues along a side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another number, another line.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Numbers of the mesh's triangles, as in 0-11,40.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Id of an overlay that is laid over with all its channels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the build that it was made from.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shut-in places</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hollows</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outer edges</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Along an axis</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Facing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Thin places</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Front</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Found on the mesh</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Chosen faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another number, another pattern; the same number, the same one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many go into the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Form</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft hills, or thin veins.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Detail</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layers, each twice as fine and half as strong.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spreads the values apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Swirl</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far another noise drags it about.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cover</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the picture they fill.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width of their edges.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Round bumps, the cracks between, or plates of their own shade.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wildness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 is a lattice.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Crack width</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Against the size of a cell.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wiped</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way the cloth went.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Length</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Against their width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bend</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far they leave the straight.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the picture is smeared.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Way</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dark to bright: downwards, to the right, there and back, or from the middle outwards.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where it begins to rise.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where it is full.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Noise moves it to and fro.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Straight, or folded to arrows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many lie side by side; below zero they lean the other way.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many lie one above another.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of one against its pitch.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the edges, against the pitch.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far in from the border, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How uneven its edge is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the edge, against the width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bond</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Over one under one, or over two under two.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Threads</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Across the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Thickness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of a thread against its pitch; what is left is open.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gives</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How high the threads lie, or only where they are.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layered noise</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hills within hills, or veins: breaks up what is too even.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clouds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft patches that drift: grime, damp, uneven paint.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bumps, cracks or plates.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smears</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What a cloth leaves on glass.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ramp</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rises from one side to the other, or from the middle outwards.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stripes and chevrons</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Straight, leaning, or folded to arrows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edge wear</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Eats in from the border.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Weave</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Threads over and under each other: cloth, a cargo net's straps.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Veins</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cracks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Plates</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Downwards</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>To the right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There and back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outwards</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Straight</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Chevrons</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Plain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Twill</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the longest, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the widest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Direction</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way most run; 0 is level.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spread</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far they stray from it; 90 is every way.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the faintest against the deepest: 1 makes all alike.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Specks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many grains.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the largest, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fibres</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many hairs among them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Film</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The haze that lies everywhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drops</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the largest across, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Evenness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>1 makes all as large as the largest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Condensation</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many fine beads between them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tails</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far drops have run down.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How high they stand, or only where they are.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Crystals across the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the picture is crusted.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Patches</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many crusts across.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many runs.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the widest where it begins.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Waver</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far they leave the plumb line.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All of it, its dried rim, or the wet middle that stands highest in its centre.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many; one lies in the middle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How uneven its outline is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lobes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many bays and tongues.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rim</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width of the rim against the size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the outline, against the size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many hits.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of a hit across, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flung</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many drops fly off each.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far they fly, against the size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drips</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far it runs down.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many prints.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Length of one, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ridges</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Across a print.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clearness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 is a smudge, 1 shows every ridge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the hand leans.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Scratches</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fine lines, thin at both ends.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dust</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grains, hairs and a film.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Droplets</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drops and the mist between them; with tails where they have run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Salt crystals</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A crust of facets, thinning out at its rims.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Run-off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Runs that pale downwards, as below a bolt.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A ragged blot; its rim and its middle can be had apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Splash</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A blot, drops flung from it, drips.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finger marks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ovals with ridges.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The rim</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The middle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layout</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every second row moved, as in a honeycomb, or all in columns.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stagger</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far every second row is moved, against the spacing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Their shape.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holes across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Into the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hole size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Against the spacing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Slot height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Against its length.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Corner</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rounds the corners; 1 makes a square hole round.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the edge, against the spacing; 0 is as sharp as texels allow.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Plate instead of holes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright is the plate, dark the holes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mesh</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How its meshes stand.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Meshes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cord</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its thickness against a mesh.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Knots</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much thicker it is where cords cross.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How high the cords stand, or only where they are.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Roses</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Petals</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of each.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Thread</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its thickness against a rose.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ground</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Meshes of the net between, to a rose.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Perforation</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holes through a plate: a screen, a grille.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Net</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cords with knots.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lace</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Roses in a ground of fine net.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Staggered</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In columns</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Round</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Square</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Slots</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On their points</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>layer “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layer “{0}”, {1}: {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Build of layers</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lays a named build over the picture: glass that is dirty, decals that are worn.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clean pane</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Build</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which build of layers is laid over the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fades all of it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a recipe has no other overlays.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tip</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What it is drawn with.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stamp</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A picture; its luminance times its alpha is the tip.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Across, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spacing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Between dabs, against the size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whether dabs keep their turn, differ, or follow the stroke.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Scatter</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far dabs stray, against the size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flow</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much one dab leaves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The most that a stroke can leave.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Builds up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dabs of one stroke add up to more than its flow.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pressure</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What pressing harder does.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a point of a stroke lies nowhere</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The points are the corners of an area that is filled.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>By channel; of a mask, by “mask”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Added: light is added, what is there stays.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Goes on at the other side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Painted on the other half as well.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It stays on these triangles of the mesh.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hard</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bristles</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Charcoal</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Splatter</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Kept</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At random</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Along the stroke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Size and flow</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the base</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Plume</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Puff</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Low</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Near</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Figure</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mark</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Logo</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smoke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Additive</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Example</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Behind</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fade</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Erode</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Erode, soft</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Erosion</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How it wears away: evenly, or its faintest parts first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Worn</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far it has worn away; all of it at 1.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width of the edge that is left, in alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Driven by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The slider; the tint's alpha: opacity then wears it away instead of fading it; or the life of each particle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Two tones</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One colour where a channel lies above a threshold, another below it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which channel decides.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Threshold</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where the one colour ends and the other begins, as a display value.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Band</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width of the band between.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Above</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour where the channel is above.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Below</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour where the channel is below.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Recolour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each channel of the picture gets a colour of its own; they are added up.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Red as</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of the red channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Green as</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of the green channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blue as</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of the blue channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far a scrolling noise bends the picture, as a share of it; 0: not.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How often the noise goes into the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Features a second that the noise scrolls to the right.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Features a second that the noise scrolls upwards.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moment</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Second of the movement that is shown.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Held at</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An edge where nothing is bent: a flame stays on its nozzle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each its own</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every placement has a noise of its own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Halo</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light from a channel of the picture, added; 0: none.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which channel glows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Halo colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of that light.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glass</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its edges cover more and mirror more than its face, by the angle of view.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Index</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Index of refraction: window glass 1.52, water 1.33.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Index at the edge</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Index of refraction where it is seen at a grazing angle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edge opacity</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Opacity at a grazing angle; the face keeps its own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edge colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour at a grazing angle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far light goes through it, bent, before it sees what lies behind; 0: straight on.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Body</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A thin pane has two faces and lets light go on as it came; in a solid body it stays bent.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frosted</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blurs what lies behind, by its roughness.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edge coloured</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the edge takes that colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Contact fade</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fades over this distance before it meets something solid: no hard line where smoke meets the floor; 0: not.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Broken up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of it a noise or a picture eats away: all that lies below this; 0: nothing, 1: all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edge</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width of the edges that it eats.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another number, another noise.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the surface takes the decal's colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gloss of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the surface takes the decal's roughness and metal.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bumps of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the surface takes the decal's normals.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the decal's own light the surface gives off.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Raised</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its alpha stands out of the surface, or lies sunk in it below 0.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dots</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An ordered matrix on the screen, or a hash anchored to the surface, which stays with it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Eaten by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A channel of any picture or overlay, its dark parts first; a number: a noise.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Slider</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tint's alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A particle's life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Top</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bottom</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Thin pane</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Solid body</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Screen matrix</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Surface hash</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whole object</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nearest point</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each placement</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each triangle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How steep bumps are; below zero they are dents.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way the normal map's second channel counts; the wrong one turns bumps into dents.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light that the surface gives off by itself, unlike a tint also in the dark.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which of the mesh's UV sets is read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How often the picture goes into the surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves the picture over the surface, as a share of its width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves the picture over the surface, as a share of its height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns the picture round its middle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How the overlay meets what lies behind it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cutoff</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cutout keeps texels from this alpha on; lower closes holes, higher opens them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies alpha: fades the whole overlay.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies colour in linear light; white leaves it alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes particles' tint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colours that an effect gives its particles multiply its own; off: they change nothing, as in a material without vertex colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lit by the dock</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light and shadow fall on it as on the surfaces around it; off for things that shine by themselves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Depth test</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hidden by nearer surfaces; off draws through them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Depth write</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hides what is drawn later behind it, even through its clear parts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Depth bias</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves it towards the eye for the depth test only; keeps a decal from flickering into its surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Depth first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its depth is laid before its colour, so that of a see-through figure only the nearest surface shows, never one through another.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Slope bias</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The same, by how it leans: so many times its change of depth from pixel to pixel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Both faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seen from behind as well.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Back ones first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faces seen from behind are drawn before the others: right for closed see-through things such as a bottle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Distance by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What counts as its distance where the order goes from far to near.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Groups are drawn in this order, whatever the distance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Order nudge</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Within its group: higher is drawn later, over the others.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repeat</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Beyond its border the texture repeats; off holds the border texel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>First</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Second</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Decal</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A number</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Own picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A number for the whole surface, or a channel that varies over it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which channel is read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One minus the channel: smoothness read as roughness, say.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The number; a channel is multiplied by it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The overlay whose result is read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Relative to the project file, or absolute.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Until then {0} particles would be born; {1} are followed at most.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a curve has 1 to {0} points</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the points of a curve must rise from 0 to 1</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth between the points, or straight.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a ramp has 1 to {0} stops</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the stops of a ramp must rise</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sphere</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Half sphere</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Disc</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ring</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Box</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Line</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A mesh's surface</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>m/s</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>°/s</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rate</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles a second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Runs</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How often it goes through its duration.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Times</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Duration</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds of a run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds before the first run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At most</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles that may live at once; while there are so many, none is born.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Runs already</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At the beginning it is as though it had been running for long.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Born in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where particles are born.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Skin only</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Born on its surface, not inside.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Goes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way particles set out.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees from the axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turn</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees in its own plane.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spin</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees a second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which frame of a sheet it shows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gravity</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the earth's that pulls it down; below 0 it rises.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of its speed that it loses, each second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed limit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Never quicker than this; 0: as it comes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees a second round the effect's axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drift</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Carried about by a noise, at most so quickly.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drift's features</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>To a metre.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drift's change</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How quickly the noise changes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wind</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How quickly it takes on the wind of the stage; 0: not.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At solids</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What it does where it meets something solid.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bounce</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of its speed that it comes back with.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rub</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of its speed along the surface that it loses.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How each stands.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stretched by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres longer for each metre a second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Yaw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way fixed ones face.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pitch</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Forces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gravity, acceleration and swirl in the world's axes, or in the effect's own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drawn</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which of its particles come first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Among the effect's parts and everything else: higher is drawn later.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A light in the effect, which falls on the solids round it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp's colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of its light.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp's strength</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brightness at one metre.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp's reach</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres after which nothing of it is left.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flicker</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of its strength that comes and goes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flickers</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How quickly it flickers.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp above</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres along the effect's axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the tint of all its particles.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Added to how far they have worn away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies how many are born.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies their width and height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wind across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres a second to the right, seen from the dock.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wind up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres a second upwards.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wind towards</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres a second towards the viewer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the first number of a range must not be above the second</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds into a run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Least and greatest number.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How often in a run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds between.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rate over a run</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the rate over a run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles born at once.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Radius of a sphere, half sphere, disc or ring (then its band's width); sides of a box; length of a line; metres.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>OBJ, PLY or glTF on whose surface particles are born.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Axis</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the cone, or the one way; in the effect's own axes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres; none: as wide.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Any colour between two, mixed in linear light.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies width and height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies alpha; from nothing to nothing, so that it does not pop.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far it has worn away, where the material's erosion is driven by a particle's life.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the spin.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the way it goes along the x axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the way it goes along the y axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed towards</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the way it goes along the z axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frame</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which frame, as a share of the sheet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Push</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the acceleration.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Acceleration</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres a second, each second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point of the picture that stands where the particle is: 0.5, 1 stands on its foot.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Id of the overlay that its particles show.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its axis points up at 90.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dials that copies may set for themselves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Low and high corner of the box that a receiver cuts it off by; none: as its motion says.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Id of the effect that it is a copy of; its own are then place, seed and open dials.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a burst has 0 to {0} particles, the first number not above the second</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Again and again</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Once</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>So many times</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Along a cone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All round</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One way</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Once over its life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At the sheet's speed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One by chance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>must lie between 0.001 and 1000</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Goes through</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bounces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dies</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The camera, upright</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Along its way</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Two crossed panels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the world</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Far to near</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Oldest first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Youngest first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is none of {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Times run from 0 to {0} seconds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Steady plume</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smoke, steam, silt: rises, swells, turns with the wind.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A puff that goes out all round and is gone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sparks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Thrown out, they fall, bounce and cool.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drifting motes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dust or plankton that hangs in the light.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rising bubbles</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another frame each, upright, wandering upwards.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drops that fall from an edge and end on the floor.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flickering flame</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stands on its nozzle and lights what is round it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brief flash</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Crossed panels and a lamp, for a moment.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Motes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bubbles</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flame</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flash</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ring {0}°</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A frame of “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is no WebP, GIF or PNG file.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is broken, or holds no frames.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has {1} frames of {2} × {3}, which is more than Mivex takes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A WebP has sides to 16383; these frames are {0} × {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” could not be encoded.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}”: pictures are written as {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture could not be stored as PNG.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}”: Mivex does not write this kind of file.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture could not be stored as OpenEXR: {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was written, but reading it back gave other texels; it was not put in place, and what was there before is untouched.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the disk may be full</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>KTX 2</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is not a kind of picture Mivex reads (PNG, TGA, TIFF, OpenEXR, WebP, JPEG, KTX 2).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is broken or not really a {1} file.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” holds no texels ({1} × {2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is {1} × {2}; Mivex takes {3}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is a deep OpenEXR, with several samples a texel, which Mivex does not read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is a volume, not a picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is really a {1} file, which Mivex does not read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is cut short or damaged; its texels cannot be read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is broken and cannot be read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its name says “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>it has a single channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its texels are unit vectors, as in a normal map</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its name says “{0}”, but its texels do not</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>nothing marks it as data</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Inter</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>SVG file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>declares entities, which Mivex does not follow</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>holds a number beyond {0}, which Mivex does not draw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>is broken: its viewBox does not hold four numbers</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>is broken or not really an SVG file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is broken or not really an SVG file.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” could not be drawn: it asks for more memory or time than Mivex gives one drawing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>nests its groups more than {0} deep, which Mivex does not draw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>has more than {0} parts, which Mivex does not draw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>asks for noise of more than {0} octaves, which Mivex does not draw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>refers to something outside itself; embed it, Mivex draws nothing from other files</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>cannot be read: it is not text in UTF-8</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>is broken: its {0} is no number</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” takes more than {1} s to draw; Mivex gave it up.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” could not be drawn: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>has a {0} of more than {1} units a side, which Mivex does not draw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>holds a picture that is broken</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>holds a picture of {0} × {1}; inside a drawing Mivex takes {2} a side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>has more than {0} letters, which Mivex does not draw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is damaged: its texels name colours that its colour map lacks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Backdrop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha is not looked at; the panel is opaque.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hard edge, exact depth, no sorting: grilles, nets, foliage.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dithered</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softness as a fine screen of dots; exact depth, no sorting.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Covers by as much as alpha says: glass, smoke, decals.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour already holds alpha: filters cleanly, may glow and cover at once.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Only ever brightens: light, sparks, motes. Order does not matter.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiply</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Only ever darkens: stains, soot, tinted film.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cd</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take the alpha from brightness, a channel, another picture or a matte.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take alpha from</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What becomes solid: bright parts, one channel, another picture, or all that differs from a backdrop.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its alpha if it has one, else its luminance; resized to fit.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Matte</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The flat colour the picture was painted or filmed over; it is taken out of the colour as well.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blended in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How the picture was once laid over its backdrop; paint programs mostly blend display values.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Largest channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Red channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Green channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blue channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its own alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A matte</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Display values</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Linear light</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switched off, the step changes nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hold the border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wrap round</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blur</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softens alpha, colour or both; can wrap round for repeating textures.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour and both are blurred by how visible they are, so that hidden colour does not leak in.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Radius</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Standard deviation of the blur.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At the border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wrap keeps a repeating texture free of seams.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Both</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The values that become the grey picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Solid everywhere, kept as it is, or the same values as the grey.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What this channel means to the receiver: core, outer, roughness …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This picture, another file, or one value everywhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Resized to fit; while there is none, the value stands.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which values of the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Invert</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns it round.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Low in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Becomes 0.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>High in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Becomes 1.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fills the channel where there is no picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Packing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the whole, for instance occlusion, roughness, metal; it goes into the blend sheet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the red channel holds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the green channel holds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the blue channel holds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the alpha channel holds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Red becomes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of what the red channel masks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Red gain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How bright.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Green becomes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of what the green channel masks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Green gain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blue becomes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of what the blue channel masks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blue gain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha becomes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour of what the alpha channel masks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha gain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How bright; 0 where alpha is only alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brightness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the sum.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha is then</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Kept, or the largest or the sum of the masks.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take one channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keeps one channel as a grey picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pack channels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Puts four sources into red, green, blue and alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Recolour by channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gives each channel of a masked sprite its own colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The same values</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Largest mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sum of masks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fade the alpha out along the picture's sides, so that no straight cut shows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear width</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels along each side that become fully clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft width</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels over which alpha comes back beyond that.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear lone specks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes away faint texels that stand far from anything; the shape itself stays.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Up to alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Only texels with at most this alpha are cleared.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Far from the shape</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A speck has nothing but other specks within so many texels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha, or luminance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Combine masks</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Joins the alpha with another mask or another picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Join by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Maximum and add make more solid; minimum, multiply and subtract make more clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another picture to take the mask from; empty: this picture itself.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mask is its</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which values of the picture are the mask.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns the mask round first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Amount</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 leaves the alpha as it was, 1 joins in full.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Maximum</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Minimum</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Subtract</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Over the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cut out of the alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Text</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drawn in the shipped font; a vertical bar begins a new line.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Weight</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How bold it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Height of the letters' body, as a share of the picture's height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Right of the pivot, as a share of the width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Below the pivot, as a share of the height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Angle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>More room between letters.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the letters.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outline</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A band of even width round the letters.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the outline.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Over what is there, or out of its alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drawn at the picture's own size, however large.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the picture that the drawing fills.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colours</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Those of the drawing, or one for all of it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the whole shape.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draws letters in the shipped font, at any size with exact edges.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shape from SVG</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draws an SVG file at the picture's own size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Regular</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Medium</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Semi-bold</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The drawing's own</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>For opaque pictures: three channels instead of four.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fall-off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fades the alpha round a point, across a line or towards the sides of a box; place it with the handles.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiply fades the alpha outside it, subtract clears inside it, maximum adds it, replace puts it in the alpha's place.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns it round: clear in the middle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 leaves the alpha as it was.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Replace</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Radial</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Linear</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Radial falls off round a point, linear across a line, box towards the sides of a rectangle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves it right of the pivot, as a share of the picture's width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves it below the pivot, as a share of the picture's height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From its middle to where it ends, as a share of the shorter side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stretch</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much wider than high it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the radius over which it falls; 0 is a hard edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Profile</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth eases in and out; straight falls evenly.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>x, y as shares of width and height.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes away from the strokes before it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>By</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves the outline out; below zero, in. The softness of the edge goes along.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How wide the new soft band is, measured from the outline.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Inside thins the shape, outside adds a halo round it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grow or shrink</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Moves the outline outwards or inwards by an exact distance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Feather</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softens the outline over a band of an exact width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Inside</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outside</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Invert alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear becomes solid and solid becomes clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep coverage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holes and meshes keep their share in the distance: scaled mip levels in a TIFF, a better cutoff elsewhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The material's cutoff: from this alpha on a texel is drawn.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Key colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clears everything near to one colour, softly, and takes that colour out of the edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Key</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The colour of the backdrop; pick it from the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear up to</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colours within this distance of the key become fully clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Solid from</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colours farther than this stay fully solid; between the two lies the soft edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take key out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes the key's share out of soft texels, so that no rim of it is left.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Despill</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holds the key's hue down everywhere, for light that the backdrop threw on the shape.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Measured in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In which values the distance is taken.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Red, green and blue</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stretch, bend and limit the alpha or a colour channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The channel that is reshaped.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Values at or below this become the low out value: raises it to clear away haze.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Values at or above this become the high out value: lowers it to make the core solid.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Above 1 lifts the middle and thickens soft parts; below 1 thins them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Low out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the lowest value becomes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>High out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the highest value becomes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drop loose pieces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes away islands of a cutout that hang on nothing; the rest stays.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What reaches this alpha is a piece.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Up to size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pieces up to this share of the largest are taken away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repeats</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture repeats: pieces go on at the other side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whole texels to the right.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whole texels down.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What comes in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wrap brings in the other side, clear leaves nothing, hold draws the border out.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Middle is</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The centre of gravity of the alpha, or the middle of the box round it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Do</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move shifts the picture by whole texels; pivot leaves it and places it by that point.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep above</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels with more alpha than this must stay in the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Margin</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear texels that stay round them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cuts to a square round the same middle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Adds clear texels by side, or evenly up to a square or to powers of two.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels added.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture with its new frame</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Offset</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shifts the picture by whole texels, wrapping round or not.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Centre</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brings the shape to the middle, or sets the pivot it is placed by.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Trim</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cuts away empty margins.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pad</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Adds clear texels round the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The other side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The border, drawn out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Centre of gravity</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Middle of its box</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Set the pivot there</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>So much on each side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A square</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Next powers of two</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Normal from height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns heights into a normal map; the result is data.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Height is</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which values are height; bright is high.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Steeper slopes; below zero, hills become hollows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blur first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooths the height before its slope is taken.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wrap for a texture that repeats.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The way the receiving program expects: the wrong one turns hills into hollows for light from above.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Premultiply</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiply colour by alpha, so that filtering cannot leak; needs the Premultiplied blend.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Resize</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bring the picture to another size without darkening its edges.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Powers of two suit mip levels and block compression.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Used with a given size; 0 keeps it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Filter</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Area averages and never rings; Lanczos keeps more detail and may ring.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The resized picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nearest powers of two</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A given size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Area</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lanczos</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Signed distance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stores the distance from the outline as alpha: crisp at any magnification under Cutout.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Distance from the outline, in texels of the result, at which alpha reaches 0 outside and 1 inside. Wide serves glows, narrow keeps finer steps.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outline at</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Value of alpha that is the outline.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Reduce by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draws the distance into a smaller picture; the outline stays sharper than its texels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Not at all</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spread colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Put edge colour under clear texels, so that no rim shows when the texture is filtered.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fill with</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What lies under clear texels afterwards; alpha stays as it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Trust from alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels above this keep their own colour; raise it where faint texels hold a wrong one. At 0 any alpha above 0 counts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the colour is spread from the edge; 0 fills everything.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nearest edge</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth blend</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mean colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width along each side, as a share of the picture, over which it passes into its own middle; 0 changes nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which sides must meet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clouds are soft, ridges vein-like, grain is fine and even.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Largest features across the picture; it repeats exactly.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lower gives more holes, higher more body.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Goes into</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies the alpha, is taken from it, takes its place, or becomes grey colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 changes nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blends the sides into the picture's own middle, so that it repeats without a seam.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Noise</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Breaks up the alpha, or makes a pattern, with noise that repeats by construction.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>left and right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>top and bottom</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Both ways</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left and right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Top and bottom</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha, multiplied</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha, taken away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha, replaced</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour, as grey</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Value is</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which values choose the colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Low values take the colours on the left, high ones those on the right. Click below the ramp to add a colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>0 keeps the colours as they were.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mixed in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light mixes evenly in linear light; display values give the steps of a painted ramp.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies every colour; white leaves them alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The light that is added.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gain</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of it; 0 adds nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>By brightness</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright parts take more of it, black ones none: tints a grey shape without filling its shadows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A fall-off with handles, strokes of a soft brush, another picture, or everywhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The mask: its alpha if it has one, else its luminance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Strokes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint in the flat proof; each stroke can be undone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the blurred copy is screened over; 0 adds nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Standard deviation of the blurred copy.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gradient map</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gives every value a colour out of a ramp; alpha stays apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Multiplies all colour by one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a tint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Adds coloured light where a soft mask says: a fall-off, brushed strokes, another picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Screens a blurred copy over the colour; alpha stays apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a ramp needs at least two colours</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a ramp's colours must stand between 0 and 1</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A fall-off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brushed strokes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Everywhere</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Curve</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Values from left to right become the height of the curve; click to add a point, drag it out of the frame to remove it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The channel that is split.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From this value on it becomes 1, below it 0: a hard edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Becomes 0; raise it to eat into soft parts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>High</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Becomes 1; lower it to fill soft parts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bends alpha or colour along a curve drawn by hand.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Makes every value 0 or 1: a hard edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smoothstep</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stretches a range of values with gentle ends.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a curve needs at least two points</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a curve's points must stand from left to right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a curve's points must lie between 0 and 1</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove matte</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clean the dark, bright or coloured rim that a backdrop left in soft parts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The backdrop the picture was cut from; its rim disappears from soft parts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the matte is still there: 1 takes all of it out.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of the soft texels are clipped: they cannot have lain over this matte.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grey of the colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Normal across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Normal up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Normal out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow, red</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow, green</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glow, blue</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Distance from the outline</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A layer's mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As the overlay says</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>WebP, lossless</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>KTX 2, every mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>bit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which layer's mask, from the lowest up.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One minus the value: roughness delivered as smoothness, say.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The number.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{name} stands for the overlay's name, {kind} for its kind.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>File</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>KTX 2 and TIFF hold every mip level as it was made.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finer steps at twice the size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Longest side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smaller than the overlay's own: filtered down with colour weighed by alpha; 0: its own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Holds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour is encoded and decoded by the receiver; data is read as it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way a normal map's second channel counts.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Always</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Written even where nothing but numbers would be in it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the recipe is called.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Geometry</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The placement as glTF 2.0: one file, or with pictures beside it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Motion</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Effects that show it are written as motion files.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A page with pictures, settings and findings.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no delivery recipe “{0}”; there are {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What fills this channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name or id of another overlay whose channel is taken; empty: this one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>mask of layer {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Feed of each channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pictures that are written.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whole surface</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour with alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Opacity apart, as grey</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Surface packed in one file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Four masks packed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sheet with frames</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Scene, everything</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} is not a delivery recipe.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} was made for a newer Mivex (delivery recipe {1}; this one reads {2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: it writes nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>32, real numbers</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Data</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a name pattern is one file name and knows {name} and {kind} only</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a file has one channel (red), three (red, green, blue), or four with alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} holds {1} bits a channel, not {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>glTF, one file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>glTF, parts beside it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>two files of a recipe have the same name pattern</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1} has no setting “{2}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a channel of “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}, changed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a pixel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour is decoded to light before it is filtered; data is filtered as it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour stored</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Premultiplied pictures are divided by their alpha first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All but the last hold straight alpha and the colour beneath it; KTX 2 every mip level, its colour weighed by alpha; TIFF those that keep coverage. 24 bit has no alpha: for Solid only.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finer alpha steps at twice the size; TGA holds 8.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the file without ending; empty: the overlay's own name.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Size budget</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Largest side that the receiver wants; larger is a finding. 0: any.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Overdraw budget</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fragments a pixel that the artist allows; more is a finding.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Relative to the project file, or absolute; empty: none yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Width and height of an empty start, where there is no picture; text, shapes and noise are drawn on it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delivery recipe: key of one that comes with Mivex, or name of one of the project's; empty: the whole surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A picture that is looked at beside it; relative to the project file, or absolute.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Id of the overlay whose material it follows; empty: none.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Settings of its material that are its own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Groups of emitters, whose particles show overlays.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delivery recipes of the project's own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Guess</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>width and height must both be 0, or {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>TGA, 32 bit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>TGA, 24 bit, no alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is no setting of a material</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Part {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The prepared picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has no picture yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} is not a Mivex project.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} does not say which version it is: “mivex” must be a whole number from 1 on.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} was saved by a newer Mivex (format {1}; this one reads up to {2}). It was left untouched.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: two overlays have the same id.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was changed on disk by somebody else since it was opened; it was not overwritten.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> and {0} more</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The folder for unsaved work cannot be made: {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The work kept aside</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” and “{1}” would use each other's result; neither can come first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot use its own result.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}”: {1} from the mesh</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the overlay that it reads is gone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” and “{1}” use each other.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the layer is switched off.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The layer is gone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: “{1}” is not a step Mivex knows ({2}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1} does not say which step it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” holds half a character (a lone surrogate), which is no text.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is not a JSON text, or is cut short.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>an entry</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: step {1}, {2}, has no setting “{3}” (it has {4}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Result</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fringe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lit as normals</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Far sizes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All backdrops</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repeated 3 × 3</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Magnified</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Black</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mid grey</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>White</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Checker</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright wall</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dark wall</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Above: true size, as filtered and as it should be</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>filtered straight, as hardware does</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>filtered premultiplied, as it should be</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the difference, × {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Levels 1 to {0}: {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>cut at one half</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>plain alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>outermost {0} texels of each side, enlarged</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The project has no camera.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no camera “{0}”; the project has {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Examining it ended the process; the file is damaged in a way that no library foresaw.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whole frame inside</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fills the cell</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As large as it is</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The frames' middle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Centre of what is seen</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Foot of its box</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There are no frames to build a sheet from.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} frames are more than a sheet may have ({1}).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} × {1} cells are more than 64 in a row or a column.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” would give the cells of the sheet different sizes; they keep one size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It looks like one picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Most of the cells that it might have are empty.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It is too small for a sheet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>; parts of it differ</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drawn lines</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>frames that look alike</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>To and fro</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One each, by chance</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Columns</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells across.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rows</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells down.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begins across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels before the first cell.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begins down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels above the first cell.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cell's width</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels; 0: what is left is shared out evenly.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cell's height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gutter</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels between cells.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many of the cells are frames, row by row; 0: all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Plays</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How its frames follow one another.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames a second.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blends frames</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fades from each frame to the next instead of stepping.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Corners of the polygon that is drawn in place of the whole cell: less empty area is filled; 0: the cell.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every frame has an outline of its own; off: one that holds them all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outline from</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha that the outline must hold.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells among them that hold no frame, counted row by row from 0.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One after the other; none: the picture is no sheet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} × {1} cells of {2} × {3} do not fit into {4} × {5}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>depth first</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>depth write off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>nothing of the mesh lies within the picture; its UVs are elsewhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dock</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hull</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Floor</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Far</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>dark wall</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>bright wall</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>hidden by {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drawn, wrote depth and so hid {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drawn, wrote depth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>stops</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Overcast</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An even sky: soft, without colour; faults of alpha show best.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Work hall</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Strip lights over a grey hall, without colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Small lights</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A few small lights in a dark room, without colour: what is smooth glints.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Evening</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A low warm sun under a blue sky. Coloured: it misleads the eye on purpose.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Environment</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is mirrored, and the light from all round.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns the environment round the stage.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brightness of everything that comes from all round.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brightness of the one lamp, far away; 0 puts it out.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp from</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Direction round the stage that the lamp shines from.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lamp height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Height of the lamp over the horizon; low ones cast long shadows.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shadows</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is solid, cut out or dithered keeps the lamp off what lies behind.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Exposure</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brightness of the whole picture in stops; overlays are not changed.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>View curve</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Plain cuts off at white; soft bends the brightest fifth over, so that light keeps shape.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blends in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Linear light, or display values, as some receivers do: soft edges and faint layers look otherwise there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Evening, coloured</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft shoulder</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Order map</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Overdraw</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Normals</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What a renderer with these settings draws.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How far the picture is from one in exact order: bright is wrong.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fragments that overlays spend on each pixel; hatched: most change nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the depth test compares with, once all is drawn; near is bright.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which way what is seen faces: red right, green up, blue towards you.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which mip level is read: dark is the finest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha of the stage, as it would be delivered over nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>towards you</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is no view of the stage; there are {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is no mesh that can be read here; OBJ, PLY and glTF can.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” holds no triangles.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has more than {1} triangles.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Only a part of it has a second UV set.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>not a glTF file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its first part is cut short</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” cannot be read as a mesh: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has corners that are nowhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It has no normals; they were made from its faces.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It has no UVs; they were made by looking at it from its six sides, a metre to a picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Crossed panels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stack of panels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cylinder</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Curved plate</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dome</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Second UV set</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The file's own; or chosen faces seen along their mean normal; or unwrapped with little stretching.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Size of the mesh against what its file says, in metres.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns the mesh about the upright axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grey</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How bright the mesh is; it has no colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Person</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A plain figure 1.75 m tall, to judge sizes by.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point of the picture that stands at the place.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It stays upright and turns to the camera only about the upright axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing beyond half of it takes the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees to the box from which nothing is left.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Panels of crossed ones and of a stack.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of a stack, a box and a dome, metres.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the panels of a stack show: each the picture; or all one solid noise through which they cut, as far as it is broken up; or each its own frame of a sheet, the farthest the first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of a curved plate, degrees.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Numbers of the triangles in it; none: all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>OBJ, PLY or glTF; empty: the dock.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As in the file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faces laid flat</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faces unwrapped</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is no range of faces.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} reads · {1} ops</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Histogram with the handles of the levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag the handles: below, what becomes low and high, and the bend; above, what they become.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint in the flat proof; with the right button, take away. Ctrl and the wheel change the brush.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: choose</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>background: {0}; border: 1px solid {1}; padding: 0;</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None yet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose a picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take a colour from the flat proof: click here, then on the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: pick from the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sprite</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cloth or screen</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames, playing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One frame back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Play or rest</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One frame on</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lay the frames before and after over it, to judge the step</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>frame {0} of 0 to {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} Two numbers: chosen between them by chance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: where it comes from</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} comes from: {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A picture …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rough</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layers: a row for each, a column for each channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} is left alone. Double-click to touch it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The chosen layer's mask in the flat proof; press to keep it there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} alone in the flat proof; press to keep it there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What lies below every layer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch it off.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch it on.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its mask: {0} part{1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No mask: it acts everywhere. Double-click to give it one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: touched by what is inside.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Double-click folds or opens it; drag to reorder.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag to reorder.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flat proof</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Before</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>After</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every mip level at the size of the first: what distance leaves of it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What distance makes of it, and of its hidden colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A rim that hides over one backdrop shows over another.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repeated: a seam shows as a line, a landmark as a pattern.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Marked: alpha above zero on the outermost texels.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Close up: left cut at one half, right plain alpha of the same size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wheel zooms, drag moves. Values appear under the pointer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Backdrop: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the flat proof shows</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Before and after   (D); hold for what to compare and how</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Show the whole picture   (F)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One texel to one pixel   (Shift+F)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How the flat proof is laid out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finer level   ([)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Coarser level   (])</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mip level and its size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pin reference</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Unpin reference</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pin a reference picture …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Brighter: filtering lets more hidden colour through. Black: clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move the pointer: the light follows it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag paints, right button clears, Shift goes straight, Ctrl+wheel: size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Press the column's head again to leave this view.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag paints, right button takes away, Ctrl+wheel: size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wheel zooms, drag moves. The cross is the point it is placed by.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move handle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} step {1} handle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fit the grid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} fit grid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move it on the mesh</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} on uvs</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} step {1} paint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With the source</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Unpin it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Divider</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Side by side</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drop pictures here to begin.

PNG, TGA, TIFF, OpenEXR, WebP or JPEG; each becomes an overlay in the rack.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With before “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With what lies below “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With the layers up to “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With “{0}”, pinned</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Reading …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This overlay has no picture yet.

Choose one at the station Source.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Reference</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Below it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Up to it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The other</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This one</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A number from 0 to 1:</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name, where {name} stands for the overlay's name and {kind} for its kind:</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Channels into files</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a file …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} · {1} bit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> · green {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> · if varied</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Written even if nothing in it varies</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of another overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose an overlay to deliver.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> · {0} px</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change a delivered file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>8 bit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>16 bit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Without alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name a delivered file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Feed a channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Three channels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its own</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Intake</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The receiver …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Size limit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Try every one</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each switch on each overlay alone: a table of what survives</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delivered</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the receiver draws, from the stage's camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What was meant: the stage with what was delivered, from the same place</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Difference × {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where the two differ</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> {0} channel{1} or meshes were not delivered.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of the pixels are within {1} of 255 of the stage; mean {2}, largest {3}.{4}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stop  ({0})</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Loading what was delivered …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing has been delivered yet. “Deliver all …” at the right writes the files; what a receiver makes of them is drawn here.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour · alpha</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Factors</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}–{1} of {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} {1}   switched off: click its ring</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}, nudge {1}, {2}; texel {3}, {4}; {5}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>   stands elsewhere in exact order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag the point; the right button takes it away. Double click on the lane adds one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag the colour; double click for another one; the right button takes it away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The spread at birth: drag its lower or upper end.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag the burst; the right button takes it away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag the point of the rate; the right button takes it away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Double click adds a point to the rate, with Shift a burst.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Double click adds a point.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add the lane {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change the spread of {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change a colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change the tint at birth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a point to the rate</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move a burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a point of the rate</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a point</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change the rate over a run</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move a colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a point</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Chart of a life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} to {1} s</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stream</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> after {0} s</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>a run of {0} s, {1}{2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No effect is chosen. “New effect” at the right begins one with this overlay.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a lane …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light: drag the dot to move the lamp, the rim or the wheel to turn what is mirrored.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light dial</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move the lamp</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turn the environment</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light and surroundings</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Surroundings</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>OBJ, PLY or glTF in place of the dock; empty: the dock.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The dock</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Files</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which channel goes into which file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Read back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every file of the last delivery, read again and compared</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What a receiver draws that has only the delivered files</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing has been delivered in this session. What is written is read again and compared here, channel by channel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} pictures of {1} overlay{2} in “{3}”, {4} channels read back.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} were as they should be already and were left alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} motion file{1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“proof.html” shows it all.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left out, since no file holds it: </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ring of cameras</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The scene from above. Inner band: the order as it is; outer band: as proposed. Drag to look from there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>mean error {:.3f} of 255</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>largest {:.0f}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.1%} off by more than 2</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.2f} fragments a pixel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>at most {:.0f}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.0%} change nothing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.1%} above the budget</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>nearest {:.2f} m</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>farthest {:.2f} m</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.1%} face away from you</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>level {:.2f} in the mean</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>coarsest {:.1f}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.0%} at the finest</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.0%} clear</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{:.0%} solid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>1 … {0} a pixel, budget {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drag turns, Shift-drag pans, wheel comes near.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Camera   (C)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep this view as a camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seen as</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the stage shows: colour, or why it is so   (N)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light and surroundings   (K)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Free view</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} · group {1}{2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep this view</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the camera:</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing placed yet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep view</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>not placed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mips</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flag</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Block</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Displ.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What survives each switch</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Off by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>looks as it did</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>differs by more than {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: 99 % of its pixels differ by at most {1} of 255; it {2}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}, of “{1}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No camera sees it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>; unchanged, it was left alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint a value</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear paint</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soften</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw out</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paints values: opacity 0 makes a hole, whatever lies below.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clears paint: what lies below comes back. It makes no hole.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Softens what is painted on this layer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draws out what is painted on this layer, as with a finger.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Anywhere</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the island where it begins</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the chosen faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is gone: its last particle has died.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stopped. What is shown is the last finished result; the next edit computes it again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” changed on disk; it was read again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Unsaved work could not be kept aside and will be tried again: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Untitled</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take what is on disk</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>, open in another window too</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Project</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>New</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Open …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Recent</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Open the demo</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save as …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Earlier saves …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Collect its files beside it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Find moved files …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Close</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Undo</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Redo</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add pictures …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a drawn one</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Empty canvas for glass</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Empty canvas for a decal</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Empty canvas for cloth or a screen</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Empty canvas for a soft sprite</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy as a variant</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hide it on the stage, or show it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint on its layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Split into its channels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Use a recipe …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save its steps as a recipe …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver all …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Load a delivery into the intake …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>View</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flat proof and stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flat proof alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stage alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whole picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One texel to one pixel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Next backdrop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Before and after</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Coarser mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finer mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repeated three by three</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Next camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light and surroundings …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stage seen otherwise</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What if …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Findings</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tray</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ledger</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drawing order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clock</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From the beginning</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One step back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One step on</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fire where it is clicked</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fire before the camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pin the pixel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Size of words and controls</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Language</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Help</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A short tour of the demo</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Findings, one by one</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keys</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Track</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layers</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Painting</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Curves, ramps</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Numbers</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alt+1 … Alt+{0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drag a handle</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>place a fall-off, a text, a shape</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>right button</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>takes away while painting</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ctrl and wheel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>size of the brush</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>choose a cell</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>double click on a group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>fold it or open it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Return or double click</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>touch it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Space</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>switch a layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ctrl+Up, Ctrl+Down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>move it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drag a row</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>reorder, put into a group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>clear: what lay below comes back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shift</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>straight lines</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alt and click</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>take the values there</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>size of the tip</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>click, drag</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>add, move</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Space, arrows</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>choose, move</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delete</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Return</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>another colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>move points, colours, bands, bursts</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>double click</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>add a point; on the run, Shift: a burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>take away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>arrows, Space</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>move the point, choose the next</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Page Up, Page Down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>other lanes</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drag, Shift-drag, wheel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>look round, pan, come near</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drag an overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>move it; Ctrl-drag pushes it away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>light dial</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drag the lamp; the rim or the wheel turns what is mirrored</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>drag, Shift-drag</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>change, change finely</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Return or a digit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left, Right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Home</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>usual value</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>double click on a name</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pictures (*.png *.tga *.tif *.tiff *.exr *.webp *.jpg *.jpeg)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Animated pictures (*.webp *.gif *.png *.apng)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Build a sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels; 0: the largest frame's.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells across; 0: as near to a square as goes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Texels between cells, filled from their borders: frames then do not bleed into each other in the distance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How large frames are in their cells.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The sheet is written beside the project, and comes into the rack as an overlay of its own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many frames.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds of the flow's movement; nothing where the material has no flow.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees that it turns by.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Aligned by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What of each frame comes to the same place of its cell.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wears away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Erosion goes from nothing to everything.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Working</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stop</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>particle {0}: born {1} s, lives {2} s</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>nothing changes over its life</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Back to the beginning, and what was fired is gone   (Shift+H)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One step back: a sixtieth of a second   (,)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Play or rest   (H)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One step on: a sixtieth of a second   (.)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Again and again, or once</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A click on the stage fires the chosen effect there, once   (G); before the camera   (X)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Speed of the clock</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clock runs to</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seed of the effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>runs for ever</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>gone after {0} s</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> · {0} fired</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} · {1} particles · {2}{3}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change the seed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No effect yet: begin one at Motion. Sheets on the stage play as well.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>   ·   at </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begin on an empty canvas</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>F1 lists every key.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hover over a setting to read what it changes in the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begin</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay starts from a picture or an empty canvas. Then follow the track from left to right: lay its layers, make its alpha, mend its edges, set its blend, place it, deliver it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Glass: dark, faint, smooth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A decal: clear</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cloth or a screen: solid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A soft sprite: grey on clear</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Earlier saves</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Open it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cancel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Earlier saves of “{0}”. The one you choose is opened in place of the present one; that stays on disk until you save.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fewer, larger</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At once</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many particles may live at once.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Now</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Measuring what is covered …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rate × {0} and size × {1} cover {2} of the present area with {3} {4} fragments.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} at once · {1} covered · overdraw {2} · {3} fragments</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>background: {0};</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cloth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft sprite</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pictures (</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add pictures</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a drawn overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Split channels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} overlays show the channels of “{1}” as greys.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Use a recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Recipes (*.json)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save the delivery recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Load a delivery</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver into</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} written to “{1}”, read back and found the same, texel for texel.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delivering {0} overlay{1} …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no picture to split yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save the recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Use a delivery recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The delivery recipe was saved as “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} overlays were</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose an SVG file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>SVG files (*.svg)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose a mesh</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Meshes (*.obj *.ply *.glb *.gltf)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The recipe was saved as “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Delivering was stopped; nothing was written.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is not ready yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>delivery recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Open an earlier save</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Click on the flat proof to take the stored colour there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose a layer to paint on, or add one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pin this pixel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The account stays at this pixel while settings change, and the pointer is free   (Y)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Compare with the pointer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Beside the pinned pixel stands the one under the pointer, in the order set</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fragments in the order set</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fragments in exact order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>right: pixel {0}, {1}, differs by {2} of 255</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>   ·   {0} switched off</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>pixel {0}, {1}   ·   left: order set   ·   {2}{3}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point at a pixel of the stage: every fragment that reaches it is listed here.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>right: exact order, </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pinned</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>differs by {0} of 255</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>the same</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Textures</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sheets</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The scene</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With the fault</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Without</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Why it matters</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How to avoid it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha:  {0} clear   {1} soft   {2} solid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Measured</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} × {1}, {2} bit {3}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>alpha {0} clear, {1} soft, {2} solid, {3} in the mean</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fringe by mip level, up to {0} of 255 in the mean</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Measured: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nothing selected</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>draw group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>depth write</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Error {0} of 255 in the mean now, &lt;b&gt;{1}&lt;/b&gt; as proposed.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ask for advice</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Looks through all named cameras and a ring of sixteen round what is placed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Set it so</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Compares the drawing order that is set with exact order, from every named camera and all round, and finds the nudges that come nearest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The order holds from everywhere: nothing to change.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Error {0} of 255 in the mean; no other order does better.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Looking from all sides …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Looking from all sides … {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Set the drawing order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>: {0} pixels, {1}; would settle it: {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} with itself</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>no picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> · &lt;span style='color:{0}'&gt;{1}&lt;/span&gt;</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hide on the stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Show on the stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rack</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Overlays</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No overlays yet.

Drop pictures anywhere on the window, or press + above.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy the overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a variant</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>cannot be read</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}
Takes its material from “{1}”; its own: {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move the card up</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move the card down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add pictures as overlays</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move in the rack</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Hide</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Show</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mivex projects (*.mivex)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” has changes that are not saved.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was changed on disk since it was opened here. What shall become of your version?</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>an untitled project</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mivex did not close properly. Unsaved work on {0} was kept aside.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Open a project</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Look for moved files in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” was changed on disk by somebody else; saving will ask before anything is overwritten.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save the project</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Saved as “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Discard</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep working</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep mine beside it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take theirs</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Overwrite theirs</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Restore it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Throw it away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ask again later</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is open in another window of Mivex as well; whoever saves second is asked first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This project has not been saved yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No earlier save of this project was kept yet; each save keeps the one before it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save the project first; its files are collected beside it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> {0} could not be found.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} file{1} copied into “{2}” beside the project.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every file lies beside the project already.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No file of this project is missing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} {1} found again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} {1} missing; “Find moved files …” looks in a folder of your choice.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Collect its files</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Find moved files</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What there is</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The rack holds every overlay of the project. A mark at the right says how many findings one has. Choose one, and everything else shows that one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The texture alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The flat proof shows the texture over any backdrop, texel by texel. Rest the pointer on it to read what is stored; turn the wheel to come near; B takes the next backdrop.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From left to right</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay follows the track: what it is made of, its alpha, its edges, its blend, where it stands, how it moves, how it leaves. A ring means touched, a number means findings.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Settings of one station</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Only what belongs to the station stands here. Hover over a setting, and the line below says what it changes in the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A fault, and its repair</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This bubble was cut from black. The tray says how much is wrong, where, and what it does on screen. The button mends it; Ctrl+Z takes that back; “More about it …” explains it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seen from afar</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The same overlay at every distance, as sampled and as it should be, and the difference of both. Faults that only show in the game show here.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A row is a layer, a column a channel. Patterns, paint and ready builds lie over each other; masks say where. Hover over a column to see that channel alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Blend, and prove the order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bright means drawn in the wrong order. Point anywhere, and the ledger lists every fragment of that pixel, why it was drawn or not, and the exact order beside it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A life, drawn</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At Motion the chart shows one particle's life from birth to death, a lane for each thing that changes. Drag its points; H plays and rests.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver, and take in again</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Channels flow into files; a click feeds one from elsewhere. What is delivered is read back, and the intake shows what a receiver will make of it. That is the way. The rest is yours to try: Ctrl+Z takes back everything.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Next</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Done</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is wrong, how much, and its repair   (Shift+F1)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every fragment of one pixel of the stage   (Shift+F2)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Order</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How wrong the drawing order is, and what would mend it   (Shift+F3)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Play, step and scrub what moves; the life of one particle   (Shift+F4)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fold the tray, or open it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose a finding to go to its place and see its repair.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the repair changes at full size: before, after, and where they differ (four times).</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the repair costs: before, after, difference</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>More about it …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A page with a good and a bad picture: why it matters, and how to avoid it   (Shift+F5)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Every overlay is measured here as soon as there is one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} so far; measuring …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None. Everything here composites as it should.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} in the project, {1} on this overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seven blends</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What if: {0} under each blend</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drawing …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As this camera sees it, over the brightest, a middling and the darkest place behind it. A click takes a blend, with the depth write and the draw group that are usual for it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>depth settles it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>as it is</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of 255 away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: {1}, differs by {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} reads, {1} ops</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} — Mivex</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flat proof and stage   (F2)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Flat proof alone   (F3)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stage alone   (F4)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Undo: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Redo: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose an overlay that stands on the stage.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose an effect at Motion first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mivex will look so when it is started again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is solid and what is clear.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Histogram of alpha and of each channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How often each value occurs: alpha large, then red, green and blue. Low values stand left.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Values now</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>clear {0}   between {1}   solid {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grow faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shrink faces</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How it meets what lies behind it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>nothing yet: what you change here becomes its own</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture that colour is read from.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where alpha is read from, if not from the overlay's own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metal mirrors in its own colour and has no matt part.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How much of the light from all round reaches each place.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bumps from a normal map; only what is lit shows them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Light that the surface gives off by itself.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Packed picture …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Reads roughness, metal and occlusion from the channels of one picture, in an order that you choose.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Surface</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Effects</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On the mesh</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes its material from “{0}”. Its own: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>As that one again</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Everything as “{0}” has it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On its own</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It stays as it is and follows “{0}” no longer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A noise</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change eaten by</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} breakup mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>colour ({0}, {1})   alpha ({2}, {3})</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What it changes of its surface</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take a packed picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What hue its soft parts have; alpha stays apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which files it becomes, and what goes with them. A change makes a recipe of the project's own.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is written, and in which form.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver this overlay …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Use a file …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take a delivery recipe from a file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save this delivery recipe as a file, to share it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A blend sheet (JSON: blend, factors, depth, group, nudge, faces) is written beside the pictures. All are read back and compared.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose a delivery recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>There is no picture to deliver yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change the delivery recipe</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No findings: it composites as it should.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} finding{1} still open; it can be delivered all the same.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>glTF cannot say, so that only the sheet does: </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>s are</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>signed distance: mean {0}, largest {1}
plain alpha:       mean {2}, largest {3}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Edges</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No rim: hidden colour, mattes, border, frame.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No cutout.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} · {1}×{2}:  {3}, kept {4}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The alpha is no distance yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Coverage by mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Outline error, in texels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fringe by mip level</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>99th percentile and maximum on screen, of 255. What shows of it, figure times area, is a finding above {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>In a file without levels of its own, a cutoff of {0} keeps it best.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Measuring …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save as a build …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Ungroup</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Save as a build</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name of the build:</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Name the build</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The build was kept in “{0}”; {1} of its settings are open.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bring up to date</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make it anew from its build; the settings above stay as they are.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left open by the build.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From the build “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Made from “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Painted</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pattern</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What it looks like.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave {0} alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>how it lies</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whose levels are set.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add to the mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>font-weight: 600;</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>contrast, levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint here</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the last stroke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On “{0}”.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It sits on no mesh: found from the layers' heights.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give all back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change pattern</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} of this layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Touch {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whose result is read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>levels by channel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Earlier</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Later</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove this part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Painted value</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>1 lets the layer through, 0 holds it back.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Islands</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Parts</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Click on the stage or in the flat proof; click again to give it back.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Grow</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shrink</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left alone: what lies below shines through.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Below zero it lies deeper than the surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None: the layer acts everywhere.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove stroke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It sits on no mesh. Place it on one at the station Place; its faces can then be chosen on the stage or in the flat proof.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give faces back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None chosen yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faces {0}{1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Less: </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>More: </source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose overlay</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Whose mask or channel is read.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which channels each layer touches, with what, and where.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of plain values</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Through a pattern</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>To paint on</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another overlay, laid over</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A build</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The layer's name.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Up   (Ctrl+Up)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Down   (Ctrl+Down)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Put it into a group of its own; drag others onto that</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove it   (Delete)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Heights</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Border</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change strength</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give a mask</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Into the group</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The canvas that the layers lie on.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The source picture lies lowest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rename layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“{0}” is laid over with all its channels: what is seen of each counts by its opacity.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Touches {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Touches nothing yet: double-click a cell, or paint.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Layer “{0}”, {1}:</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Group {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay that is gone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> Left alone: {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Birth</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stands</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How its particles are born, live and die.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>New effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Show it on the stage, or hide it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Show or hide the effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One more</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One more emitter, which shows the overlay that is chosen in the rack</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>padding: 4px 2px;</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>text-align: left;</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its parts</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>its overlay is gone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>See it alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>See {0} alone</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mute it, or let it play</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mute {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An effect is a group of emitters, whose particles show overlays. Begin one by its purpose; everything in it can be changed.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>border: 1px solid {0}; padding: 4px 11px;</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Show or hide an effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove an effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>, hidden</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mute a part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a part</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A copy of “{0}”</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>, a copy of {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begin an effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Copy an effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take the lane {0} away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take the bounds away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Set bounds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stands at</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres across, up, towards the viewer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Yaw and pitch of its axis, and a roll about it; pitch 90 points up.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Scale, seed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the whole effect; another seed, other chances.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fewer, larger …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Finds the rate and size with which fewer particles cover as much</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The box of its particles, as their motion says; a receiver cuts the effect off by it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change axis</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>effect {0} axis</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change scale or seed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>effect {0} scale</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No bounds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Bounds: {0} m</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave a dial open</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dials</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Dials that “{0}” leaves open</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None. Open some there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>effect {0} dial {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Left open to copies</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>effect {0} lamp {1}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At, again</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Seconds into the run; how often; seconds between.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Own height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its height is not its width.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Even rate</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Takes the curve of the rate away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where, and which way</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Burst {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change a burst</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>burst count {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change own height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>own height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres, least and greatest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tint from</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tint to</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Any colour between the two, by chance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep this curve, to put it into another lane</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take the lane away</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What moves it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Share of the life; value.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose a mesh …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its overlay is a sheet of {0} frames, 0 to {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lane: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smooth or straight between the points</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Beginnings</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Put in</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Wind of the stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change a point</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Double click a colour in the chart for another; double click between adds one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>By the speed</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Always full</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint on this layer</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Paint in the flat proof or on the stage   (P)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A stroke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stays</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where on a mesh a stroke may go.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Without a pen</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What stands for pressure when no pen is used.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Adds light</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Colour is added to what is there, and alpha left alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Stroke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Which one; the last is the newest.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fills an area</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A drag encloses an area, which is filled; on a mesh a click fills what it stays in.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Goes round</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What leaves one side comes in at the other: for pictures that repeat.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mirrored</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The other half is painted as well.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Front only</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On the stage, faces seen from behind are left alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Channels it paints</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A stroke that is there</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take its settings</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What it was painted with becomes what stands above.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repaint it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Its points stay; tip, size and values become those above.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This stroke alone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the stroke leaves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the stroke leaves; opacity 0 makes a hole.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Repaint stroke</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Panel</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A simple shape</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On the hull</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On any surface</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Thrown by a box</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faces the camera</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>On a mesh …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Place</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where it stands on the stage.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Held across</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point of it that stands at the place: 0 its left, 1 its right.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Held down</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Point of it that stands at the place: 0 its top, 1 its foot, so that a flame stands on its nozzle.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Place it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Roll</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns it in its own plane.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres across.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres from top to bottom.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source> Set “UV set” at Blend to the second, so that the picture reads it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} triangles lie in it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>All faces lie in it until some are chosen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Placements</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Take it off the stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove placement {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Along</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres along the hull; 0 is its middle, higher is nearer the bow.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Around</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees round the hull: 0 faces the dock, higher is further up.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns it about the upright axis.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Tips it back and forth.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres along its longest side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Shape</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What carries the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the box: nothing beyond takes the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Gone at</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Angle to the box from which nothing is left; it fades from half of it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Upright</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turns to the camera about the upright axis only: flames stay upright.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Height of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change second UV set</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Click on the stage or on the flat proof to choose them, or to give them back</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Nowhere yet: it is not on the stage.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mesh: {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The frame on the flat proof moves, turns and scales the picture on the UVs.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change shape</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Panels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>How many there are.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Slices</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the panels show.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres from front to back.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Degrees that it is bent through.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change upright</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove placement</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres to the right, seen from the dock.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres above the floor.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Metres towards the viewer.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each the picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cut a solid noise</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames of its sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change slices</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>It is no sheet yet: say at Sheet where its frames lie.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>“Broken up” at Blend says how much of the noise is eaten away: nothing yet.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pictures …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An animated picture …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This overlay, under other seeds …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>This overlay's own animation …</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Sheet</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where its frames lie, and how they play.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Find the frames</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Looks for rows and columns in the picture: by how alike its parts are, and by drawn lines</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} sure: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>No frames found. {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>By hand: 4 × 4</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Another grid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>For a picture whose parts have cells of another size</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One picture again</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove this grid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove grid {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One picture. If it holds several frames, find them, or say by hand where they lie.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Playing</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} frames, index 0 to {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The outline leaves out {0} of the area.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change outline</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells, grid {0}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells that hold no frame: {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cut into cells</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a grid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames keep apart to mip level {0}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames bleed into each other at every mip level.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove a grid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Source</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The picture it starts from, and what it holds.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The overlay's name; delivered files are called so.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Kind</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Decides the usual settings: glass, decal, logo, sprite, or see-through cloth and screens.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The file it starts from. It is watched, and read again when it changes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change kind</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change picture</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where it repeats</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What the picture holds</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha in file</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha now</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mean of it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear, soft, solid</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Taken as {0}: {1}.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} channels, {1} bit</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>an empty canvas</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Rename</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Canvas width</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Without a picture it starts from an empty canvas, on which text, shapes and noise are drawn.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Canvas height</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Of the empty canvas.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0}: step {1} of 255, inside {2} ({3} ×)</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>yes, colour multiplied by it</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None: the picture is used at its own size.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None: the picture's own alpha is used as it is.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None: the picture's own colours are used.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>None: colour under the edges is as the picture has it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add a step</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the step</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Switch step</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Change levels</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} step {1} levels {2}</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pick colour</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move an effect</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Scale</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Move</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>{0} on the stage</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Block compression works on 4 × 4 texels, and many receivers want sides that are powers of two: others are padded, scaled, or refused, and mip levels of odd sides blur unevenly.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begin on a canvas with sides such as 256 or 512; where a picture comes otherwise, resize or pad it before anything else is done to it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A texture larger than was agreed costs memory on every machine, or is halved by the receiver without asking, with a filter that nobody chose.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>State the budget at Deliver, and resize here, where colour is weighed by alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A file without an alpha channel arrives as an opaque rectangle: all the work on the edge is gone.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Deliver see-through overlays as PNG, TGA of 32 bit, TIFF, WebP or KTX 2; keep 24 bit for Solid ones.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay that lets things show through but writes depth hides whatever is drawn later behind it, even through its clear parts: bubbles vanish behind a pane.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turn depth write off for Translucent, Premultiplied, Additive and Multiply. Solid, Cutout and Dithered write depth.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Without an alpha channel the whole rectangle covers what lies behind it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make the alpha from what the picture holds: its brightness, a channel, another picture, or the backdrop that it was painted over.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An alpha that is the same everywhere has no shape: the rectangle itself is seen, as faint or as solid as that value says.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Look at the alpha alone before you save. Where a picture is meant to be opaque, leave the channel out: it costs a third more memory.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>With alpha turned round the surroundings cover and the shape is a hole: some programs store transparency where others store opacity.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Check one picture of a new source first, and put Invert alpha into the recipe for all of them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft alpha that runs out of the picture is cut off in a straight line. With clamped addressing the border texels are drawn out into streaks as well.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave a few clear texels round every shape, or clear the border softly; layers have a border guard for it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Filtering mixes the colour of clear texels into the edge. Black under clear texels gives a dark rim, and each mip level widens it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Spread edge colour outwards under the clear texels, or deliver premultiplied, or as KTX 2, whose levels are weighed by alpha.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Pieces that hang on nothing float beside the shape: what has come off a net would have fallen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Drop loose pieces after a threshold or a torn edge was made; look at the alpha for islands.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Soft texels that still hold the backdrop they were cut from show it as a dark, bright or coloured rim on everything of another colour.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Remove the matte when the picture is cut out; know what it was painted over, or let it be found.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Alpha of only two values gives stairs where soft steps would cost nothing: Translucent pays for softness that the picture does not have.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep the softness that the source had, feather by a texel, or draw it as Cutout, which is cheaper.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cutout keeps or drops each texel: everything soft is cut away at the cutoff, and half of a faint shape is lost.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Use Translucent, Dithered or Premultiplied for what is soft; for Cutout, bring alpha to a clear edge.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A soft falloff in few levels shows as rings: too few bits, or levels pulled far apart.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Work in 16 bits, make falloffs here, and shape alpha before it is stored in 8 bits, not after.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Faint specks far from the shape are seen as dirt under Additive and on plain backdrops, and hold whole tiles of overdraw open.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Clear what lies below a small alpha, after keying and after every scan.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A shape that is small in its picture wastes texels and fills large clear areas: memory and overdraw for nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Trim to what is seen; Mivex keeps its size on the stage and its pivot.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A normal map or a mask that is read as colour is decoded, and every value is wrong: bumps flatten, masks shift.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mark what a picture holds at Source, and name files so that it can be seen: _normal, _mask, _orm.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where a repeated texture does not meet itself, its border is drawn as a grid of lines over the surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Make it tile before it is used; look at it repeated three by three.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Averaging closes the holes of a net or grille as it moves away: at some level a screen turns into a plate, or vanishes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Keep coverage in every level and deliver them (KTX 2, TIFF), or make holes several texels wide.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What reaches the border of its cell is cut there in a straight line, and leaks into the next frame as soon as it is filtered.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fit each frame into its cell with a clear margin, and a gutter where cells are small.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A glow that still shines at the border of its frame ends in a box: under Additive a faint square is seen on dark ground.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fade the frame's light to black before its border; judge it over black, brightened.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>From some mip level on one texel covers two cells: neighbouring frames are seen at the edge of each, most of all far away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Leave gutters that grow with the levels you need, use cells with sides of powers of two, and limit the levels to the safe one.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A frame that differs far more than its neighbours is seen as a flicker in every run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lay neighbouring frames over each other at Sheet, and look for the one out of place: wrong order, or another exposure.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A loop whose last frame does not meet its first jumps at the end of every run.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let the end come back to the beginning, play to and fro, or play it once.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A shape whose middle wanders from frame to frame swims away from where it stands, and jumps back when it begins again.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Align frames by their centroid or pivot when the sheet is built; let the particle move, not the picture.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An empty frame between others is a blink.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Mark unused cells as unused; keep frames in the order in which they are played.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Cells after the last frame are empty: with one frame too many each run ends in nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>State how many frames there are; the last one of an 8 × 8 sheet is 63.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>See-through things drawn from near to far cover each other wrongly: what is behind seems to be in front.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let distance decide within a group, and set nudges only where it cannot; the adviser finds the least of them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A see-through figure drawn triangle by triangle shows its far side through its near one, in whatever order the file has them.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lay its depth first, or draw by triangles from far to near.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Two surfaces in one place win by turns, texel by texel: the mark flickers as the camera moves.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give decals a depth bias of a few millimetres, or let them change the surface by projecting.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>What is seen through but writes depth hides what is drawn after it: a thing behind glass is simply not there.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Turn its depth write off, or draw it after what lies behind.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Two overlays at the same distance are drawn in an order that is chance: it changes with the camera, the driver, the next build.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Set a nudge between the two, or move one a little.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Translucent costs blending and ordering. Where every texel is solid or clear, Cutout gives the same picture for less, and never sorts wrongly.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose the blend by what the alpha holds, not by habit.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A logo that reads a UV set in which the mesh has nothing shows one texel, or none: it has vanished.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose the set that is there, or make a second one at Place from the faces where the logo goes.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Added light on bright ground goes beyond white: form and hue are lost in a flat patch.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Use Premultiplied, which covers as it shines, lower its strength, or judge it over a bright backdrop first.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An overlay that changes no pixel is hidden, fully clear, or out of every camera's sight, and costs its draw all the same.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Look for it in the ledger: it says what hides it.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>An unlit overlay whose colour is black gives no light: it is a black patch, in the dark as well as in the light.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give it a colour or a glow, let it be lit, or use Multiply for a stain.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A lit picture without normals takes light like a flat card: all of it turns bright or dark at once as it turns.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give sprites normals or leave them unlit with a tint that fits the scene.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A panel that draws only its front is not there when it is seen from behind.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw both faces of panes and cloth; turn those round that are only ever seen from one side.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where a soft sprite meets something solid it is cut in a hard line that gives the card away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give it a contact fade over a few hand's breadths.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Each layer of see-through things costs all its pixels again; above the budget the picture slows down where there is most to see.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fewer and larger sprites, tighter outlines, trimmed margins; look at the overdraw map.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Writing that is mirrored or upside down on its mesh is read at once as wrong.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Check UVs with letters, not with a pattern; a negative tiling mirrors.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A particle whose opacity is not zero at birth or death appears or vanishes from one picture to the next: it pops.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Begin and end opacity at zero; a short rise is enough.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The effect colours its particles, but the material takes no tint: all that work changes nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let the material take particles' tint, or take the colours out of the effect.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>The material wears away by a particle's life, but nothing in the effect drives it, or the effect drives what the material ignores: smoke stays whole to its end.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Add the lane Worn to the effect, and let the material's erosion be driven by life.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A life that ends before the sheet does cuts the animation off: the last frames are never seen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Play the frames once over the life, or make life and speed agree.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames that are never shown were drawn, stored and loaded for nothing.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Choose how frames are shown at birth: over the life, at the sheet's speed, or one by chance.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A rate that ends its run elsewhere than it began makes the stream pulse at every repetition.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let the rate's curve end where it began.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>One look repeated is seen at once: the same size, turn and frame make a pattern of copies.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give size, turn or frame a range at birth.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>At the limit no particle is born until another dies: the stream stutters, and its rate is not the one that was set.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Raise the limit, or lower the rate or the life; fewer and larger finds the pair.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Many particles over one another in one place cost their pixels many times, for a picture that a few would give.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Fewer and larger; spread where they are born; outlines in place of whole cells.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Smoke that meets the floor in a hard line shows that it is made of cards.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Give its material a contact fade.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Particles born inside something solid are never seen, or burst out of its surface.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Lift the effect out of the surface, or give it a shape that lies outside.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Where a curve of speed leaps, all particles of that age jerk at once.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Let neighbouring pieces of the curve meet; use smooth points.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Frames with fewer texels than pixels on the screen are blurred where the effect is seen from near.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Draw frames as large as the nearest camera sees them, or keep the camera away.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>A receiver draws an effect only while its box is in sight: with a box too small it vanishes while it can still be seen.</source>
   <translation type="unfinished" />
  </message>
  <message>
   <source>Set the bounds as the motion says; do it again when speed or life has changed.</source>
   <translation type="unfinished" />
  </message>
 </context>
</TS>
