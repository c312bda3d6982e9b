// Makes the hand that is drawn: its mesh (read by the web) and its bones with the width of the flesh around them (read by the core).
// Run again only when the source or this file changes; what it makes is kept in the repository:
//   npm install --no-save @webxr-input-profiles/assets @gltf-transform/core && node scripts/hand-mesh.mjs
// Source: the generic right hand of @webxr-input-profiles/assets (MIT, Copyright (c) 2019 Amazon), rigged with 25 joints. The forearm is ours.
import { NodeIO } from '@gltf-transform/core';
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
const HAND = require.resolve('@webxr-input-profiles/assets/dist/profiles/generic-hand/right.glb');
const MESH = new URL('../packages/web/src/drawing/hand/hand-mesh.bin', import.meta.url);
const BONES_FILE = new URL('../packages/core/src/picture/hand/bones-measured.ts', import.meta.url);

const FINGERS = { index: 'index', middle: 'middle', ring: 'ring', little: 'pinky' };
const PHALANGES = ['metacarpal', 'phalanx-proximal', 'phalanx-intermediate', 'phalanx-distal', 'tip'];
/** Bones in the order of the mesh's skin; the file's own joints come after the forearm. */
const BONES = [
  ...['elbow', 'turnThird', 'turnTwoThirds', 'forearm', 'wristHalf', 'hand', 'thumb1', 'thumb2', 'thumb3'],
  ...Object.keys(FINGERS).flatMap((finger) => [0, 1, 2, 3].map((bone) => `${finger}${bone}`)),
];
const bone = (name) => BONES.indexOf(name);

const sub = (a, b) => a.map((v, i) => v - b[i]);
const dot = (a, b) => a.reduce((sum, v, i) => sum + v * b[i], 0);
const cross = (a, b) => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const unit = (a) => a.map((v) => v / Math.hypot(...a));
const rotated = ([x, y, z, w], v) => {
  const t = cross([x, y, z], v).map((c) => 2 * c);
  const u = cross([x, y, z], t);
  return v.map((c, i) => c + w * t[i] + u[i]);
};
const smooth = (from, to, at) => {
  const share = Math.min(1, Math.max(0, (at - from) / (to - from)));
  return share * share * (3 - 2 * share);
};

// The file's hand lies along −y with its thumb toward −z; ours: x toward the little finger, y toward the fingertips, z out of the back of the hand.
const turned = ([x, y, z]) => [z, -y, x];
const root = (await new NodeIO().read(HAND)).getRoot();
const nodes = Object.fromEntries(root.listNodes().map((node) => [node.getName(), node]));
const wrist = turned(nodes.wrist.getWorldTranslation());
/** Millimetres from the middle of the wrist. */
const fromWrist = (at) => sub(turned(at), wrist).map((v) => v * 1000);

// ---- bones: where each begins and ends, and the axis that it bends about
const chains = {
  thumb: ['metacarpal', 'phalanx-proximal', 'phalanx-distal', 'tip'].map((part) => `thumb-${part}`),
  ...Object.fromEntries(Object.entries(FINGERS).map(([ours, theirs]) => [ours, PHALANGES.map((part) => `${theirs}-finger-${part}`)])),
};
const measured = {};
for (const [digit, chain] of Object.entries(chains)) {
  chain.slice(0, -1).forEach((name, at) => {
    const [here, next] = [name, chain[at + 1]].map((each) => fromWrist(nodes[each].getWorldTranslation()));
    const axis = turned(rotated(nodes[name].getWorldRotation(), [1, 0, 0]));
    const y = unit(sub(next, here));
    const x = unit(
      sub(
        axis,
        y.map((v) => v * dot(axis, y)),
      ),
    );
    measured[`${digit}${digit === 'thumb' ? at + 1 : at}`] = { at: here, to: next, x, y, z: cross(x, y) };
  });
}

// ---- mesh: welded, with the weights of our bones
const mesh = root.listMeshes()[0].listPrimitives()[0];
const [positions, joints, weights] = ['POSITION', 'JOINTS_0', 'WEIGHTS_0'].map((kind) => mesh.getAttribute(kind).getArray());
const corners = mesh.getIndices().getArray();
const ourBone = root
  .listSkins()[0]
  .listJoints()
  .map((joint) => {
    const name = joint.getName();
    if (name === 'wrist') return bone('hand');
    const [digit, chain] = Object.entries(chains).find(([, names]) => names.includes(name));
    const at = Math.min(chain.indexOf(name), chain.length - 2);
    return bone(`${digit}${digit === 'thumb' ? at + 1 : at}`);
  });
let vertices = [];
const welded = new Map();
const idOf = Array.from({ length: positions.length / 3 }, (_, i) => {
  const at = [0, 1, 2].map((c) => positions[3 * i + c]);
  const key = at.map((v) => Math.round(v * 1e6)).join();
  if (!welded.has(key)) {
    const skin = new Map();
    for (let c = 0; c < 4; c++) {
      const [which, weight] = [ourBone[joints[4 * i + c]], weights[4 * i + c]];
      if (weight > 0) skin.set(which, (skin.get(which) ?? 0) + weight);
    }
    welded.set(key, vertices.length);
    vertices.push({ at: fromWrist(at), skin });
  }
  return welded.get(key);
});
let faces = [];
for (let i = 0; i < corners.length; i += 3) {
  const face = [0, 1, 2].map((c) => idOf[corners[i + c]]);
  if (new Set(face).size === 3) faces.push(face);
}

// ---- the flat cap at the wrist gives way to rings of a forearm
const normalOf = ([a, b, c]) => unit(cross(sub(vertices[b].at, vertices[a].at), sub(vertices[c].at, vertices[a].at)));
const isCap = (face) => normalOf(face)[1] < -0.6 && face.every((i) => vertices[i].at[1] < 0);
faces = faces.filter((face) => !isCap(face));
const edges = new Set(faces.flatMap((f) => f.map((a, k) => `${a}_${f[(k + 1) % 3]}`)));
const open = new Map([...edges].map((key) => key.split('_').map(Number)).filter(([a, b]) => !edges.has(`${b}_${a}`)));
let ring = [open.keys().next().value];
while (open.get(ring.at(-1)) !== ring[0]) ring.push(open.get(ring.at(-1)));

/** Forearm: millimetres from the wrist toward the elbow, half width from thumb side to little-finger side, half height from palm side to back. */
const SECTIONS = [
  ...[
    [25, 26.5, 19.5],
    [38, 26.8, 20.8],
    [56, 28.5, 23],
    [82, 32, 27],
    [116, 37, 32],
    [155, 42, 37],
    [195, 44.5, 40],
  ],
  ...[
    [230, 44, 40],
    [258, 41, 37.5],
    [276, 35, 32],
    [286, 24, 22],
  ],
];
/** Middle of the cut, its half width and height; the cut is smoothed into the first three rings. */
const CUT = { y: -15.5, x: 1, z: 0.5, halfWidth: 26, halfHeight: 18.5, rings: 3 };
const angles = ring.map((i) => {
  const [x, , z] = vertices[i].at;
  return Math.atan2((z - CUT.z) / CUT.halfHeight, (x - CUT.x) / CUT.halfWidth);
});
const add = (at) => vertices.push({ at, skin: new Map() }) - 1;
const join = (from, next) => {
  from.forEach((a, j) => {
    const k = (j + 1) % from.length;
    faces.push([from[k], a, next[j]], [from[k], next[j], next[k]]);
  });
};
SECTIONS.forEach(([away, halfWidth, halfHeight], k) => {
  const kept = Math.max(0, 1 - (k + 1) / CUT.rings);
  const next = ring.map((i, j) => {
    const [x, y, z] = vertices[i].at;
    const round = [halfWidth * Math.cos(angles[j]), halfHeight * Math.sin(angles[j])];
    return add([round[0] * (1 - kept) + x * kept, -away + (y - CUT.y) * kept, round[1] * (1 - kept) + z * kept]);
  });
  join(ring, next);
  ring = next;
});
const ELBOW_MM = 268;
const end = add([0, -292, 0]);
ring.forEach((a, j) => faces.push([ring[(j + 1) % ring.length], a, end]));

// ---- the wrist bends over both rows of its bones, the forearm turns along its length
for (const vertex of vertices) {
  const y = vertex.at[1];
  if (y >= 20) continue;
  const hand = smooth(-2, 20, y);
  const half = smooth(-22, -1, y) - hand;
  const forearm = 1 - hand - half;
  const own = [...vertex.skin];
  vertex.skin = new Map(own.map(([which, weight]) => [which, weight * hand]));
  if (half > 0) vertex.skin.set(bone('wristHalf'), half);
  if (forearm > 0) {
    const along = Math.min(3, Math.max(0, ((y + ELBOW_MM) / (ELBOW_MM - 40)) * 3));
    const from = Math.min(2, Math.floor(along));
    vertex.skin.set(from, forearm * (from + 1 - along));
    vertex.skin.set(from + 1, forearm * (along - from));
  }
}

// ---- one step of Loop's subdivision rounds the outline
({ vertices, faces } = subdivided(vertices, faces));
function subdivided(from, fromFaces) {
  const around = from.map(() => new Set());
  const opposite = new Map();
  const key = (a, b) => (a < b ? `${a}_${b}` : `${b}_${a}`);
  for (const face of fromFaces) {
    face.forEach((a, k) => {
      const [b, c] = [face[(k + 1) % 3], face[(k + 2) % 3]];
      around[a].add(b);
      around[b].add(a);
      opposite.set(key(a, b), [...(opposite.get(key(a, b)) ?? []), c]);
    });
  }
  const mixed = (parts) => {
    const at = [0, 0, 0];
    const skin = new Map();
    for (const [i, share] of parts) {
      from[i].at.forEach((v, c) => (at[c] += v * share));
      for (const [which, weight] of from[i].skin) skin.set(which, (skin.get(which) ?? 0) + weight * share);
    }
    return { at, skin };
  };
  const out = from.map((_, i) => {
    const n = around[i].size;
    const share = n === 3 ? 3 / 16 : 3 / (8 * n);
    return mixed([[i, 1 - n * share], ...[...around[i]].map((j) => [j, share])]);
  });
  const middle = new Map();
  for (const [edge, [c, d]] of opposite) {
    const [a, b] = edge.split('_').map(Number);
    middle.set(edge, out.length);
    out.push(
      mixed([
        [a, 3 / 8],
        [b, 3 / 8],
        [c, 1 / 8],
        [d, 1 / 8],
      ]),
    );
  }
  const finer = fromFaces.flatMap(([a, b, c]) => {
    const [x, y, z] = [middle.get(key(a, b)), middle.get(key(b, c)), middle.get(key(c, a))];
    return [
      [a, x, z],
      [b, y, x],
      [c, z, y],
      [x, y, z],
    ];
  });
  return { vertices: out, faces: finer };
}

// ---- the flesh as round bars about the bones, fitted to the mesh: what the core keeps things out of
/** Distance to a bar that begins at (0, 1, 2) with radius 3 and ends at (4, 5, 6) with radius 7. */
function barDistance(bar, at) {
  const [from, to] = [bar.slice(0, 3), bar.slice(4, 7)];
  const along = sub(to, from);
  const share = Math.min(1, Math.max(0, dot(sub(at, from), along) / Math.max(1e-6, dot(along, along))));
  return (
    Math.hypot(
      ...sub(
        at,
        from.map((v, c) => v + along[c] * share),
      ),
    ) -
    (bar[3] + (bar[7] - bar[3]) * share)
  );
}
/** Bars whose union lies nearest to the points, from a first guess: steepest descent with numeric slopes and a step of its own for each number. */
function fitted(bars, points) {
  const loss = (all) => points.reduce((sum, at) => sum + Math.min(...all.map((bar) => barDistance(bar, at))) ** 2, 0);
  const steps = bars.map((bar) => bar.map(() => 1));
  let best = loss(bars);
  for (let round = 0; round < 160; round++) {
    for (const [i, bar] of bars.entries()) {
      for (const n of bar.keys()) {
        const was = bar[n];
        bar[n] = was + steps[i][n];
        const tried = loss(bars);
        if (tried < best) {
          best = tried;
          steps[i][n] *= 1.3;
        } else {
          bar[n] = was;
          steps[i][n] *= -0.5;
        }
      }
    }
  }
  return { bars, rmsMm: Math.sqrt(best / points.length) };
}
const PALM = 'hand';
const frames = { ...measured, [PALM]: { at: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } };
const inFrame = ({ at, x, y, z }, point) => [x, y, z].map((axis) => dot(sub(point, at), axis));
const heaviest = ({ skin }) => [...skin].sort((a, b) => b[1] - a[1])[0];
const ownPoints = (names) =>
  vertices.filter((vertex) => {
    const [which, weight] = heaviest(vertex);
    return names.includes(BONES[which]) && weight > 0.5;
  });
/** A first guess for the palm: two bars for each ray, and one across the heel. */
const RAYS = [
  [-14, -23],
  [-3, -2],
  [8, 17],
  [20, 34],
];
const fleshOf = (name) => {
  const frame = frames[name];
  if (name === PALM) {
    const points = ownPoints([PALM, ...Object.keys(FINGERS).map((f) => `${f}0`)]).map(({ at }) => at);
    const guess = RAYS.flatMap(([near, far]) => [-2, -17].map((z) => [near, 14, z, 11, far, 84, z, 10]));
    return fitted([...guess, [-16, 12, -8, 12, 20, 12, -8, 12]], points);
  }
  const points = ownPoints([name]).map(({ at }) => inFrame(frame, at));
  const length = Math.hypot(...sub(frame.to, frame.at));
  return fitted([[0, 2, -1, 8, 0, length, -1, 7]], points);
};
const flesh = Object.fromEntries(
  [...Object.keys(measured).filter((name) => !name.endsWith('0')), PALM].map((name) => [name, fleshOf(name)]),
);
for (const [name, { rmsMm }] of Object.entries(flesh)) console.log(`${name}: bars ${rmsMm.toFixed(2)} mm off the mesh`);

// ---- points of the skin, spread evenly: what the core looks at to see where the hand touches
const POINTS = 420;
const spread = [];
{
  const from = vertices.map(({ at, skin }) => (skin.has(bone('elbow')) || at[1] < -120 ? -1 : Infinity));
  // Fingers bend closely and want more points than forearm and palm.
  const density = vertices.map(({ at }) => (at[1] > 70 || at[0] < -45 ? 1 : at[1] < -10 ? 0.45 : 0.8));
  let next = vertices.findIndex(({ at }) => at[1] > 188);
  while (spread.length < POINTS) {
    spread.push(next);
    let [most, far] = [-1, -1];
    vertices.forEach(({ at }, i) => {
      from[i] = Math.min(from[i], Math.hypot(...sub(at, vertices[next].at)) * density[i]);
      if (from[i] > far) [most, far] = [i, from[i]];
    });
    next = most;
  }
}

// ---- written: counts, then positions (hundredths of a millimetre), bones, weights (of 255) and faces
const SKINS = 4;
const counts = Uint32Array.of(vertices.length, faces.length);
const at = Int16Array.from(vertices.flatMap((vertex) => vertex.at.map((v) => Math.round(v * 100))));
const which = new Uint8Array(vertices.length * SKINS);
const weight = new Uint8Array(vertices.length * SKINS);
vertices.forEach(({ skin }, i) => {
  const most = [...skin].sort((a, b) => b[1] - a[1]).slice(0, SKINS);
  const sum = most.reduce((total, [, share]) => total + share, 0);
  most.forEach(([bone, share], k) => {
    which[i * SKINS + k] = bone;
    weight[i * SKINS + k] = Math.round((share / sum) * 255);
  });
});
const index = Uint16Array.from(faces.flat());
writeFileSync(MESH, Buffer.concat([counts, at, which, weight, index].map((part) => Buffer.from(part.buffer))));

const vector = (v, digits) => `[${v.map((c) => Number(c.toFixed(digits))).join(', ')}]`;
const rows = Object.entries(measured).map(
  ([name, { at, to, x }]) => `  ${name}: { at: ${vector(at, 1)}, to: ${vector(to, 1)}, axis: ${vector(x, 3)} },`,
);
const bars = Object.entries(flesh).flatMap(([name, { bars: all }]) =>
  all.map(
    (bar) =>
      `  { part: '${name}', from: ${vector(bar.slice(0, 3), 1)}, fromMm: ${bar[3].toFixed(1)}, to: ${vector(bar.slice(4, 7), 1)}, toMm: ${bar[7].toFixed(1)} },`,
  ),
);
const points = spread.map((i) => {
  const most = [...vertices[i].skin]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 3)
    .filter(([, share]) => share > 0.02);
  const sum = most.reduce((total, [, share]) => total + share, 0);
  return `  [${vector(vertices[i].at, 1)}, ${most.map(([which, share]) => `['${BONES[which]}', ${(share / sum).toFixed(2)}]`).join(', ')}],`;
});
writeFileSync(
  BONES_FILE,
  `// Written by scripts/hand-mesh.mjs from the mesh of the hand; not to be edited.
/* oxlint-disable max-lines */

/**
 * Bones of the right hand at rest, in millimetres from the middle of the wrist: x toward the little finger, y toward the fingertips, z out of the back.
 * \`axis\` is what the bone bends about: a turn against it flexes.
 */
export const MEASURED_BONES = {
${rows.join('\n')}
} as const;

/** The flesh as round bars, in the frame of the bone at rest (of the hand for the palm), millimetres. */
export const MEASURED_BARS = [
${bars.join('\n')}
] as const;

/** Points spread over the skin at rest, millimetres, and the parts that each follows with its weights. */
export const MEASURED_SKIN = [
${points.join('\n')}
] as const;

/** The bones of the mesh's skin, in its order. */
export const SKIN_BONES = [
${BONES.map((name) => `  '${name}',`).join('\n')}
] as const;

/** From the wrist to the elbow of the mesh, millimetres. */
export const MESH_FOREARM_MM = ${ELBOW_MM};
`,
);
console.log(`${vertices.length} vertices, ${faces.length} faces`);
