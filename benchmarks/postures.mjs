// How many postures a second one worker computes, beside a bare loop of the same arithmetic.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/postures.mjs
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { GRAVITY, handLoad, REFERENCE_BODIES, segmentsOf, USUAL_POSTURES } from '@clay-pot/core';
import { sized } from './small.mjs';

const ROUNDS = 5;
const POSTURES = sized(400_000, 4_000);
const BODY = REFERENCE_BODIES.male;
const leanAt = (index) => (index % 40) - 20;

/** The library's way: any posture, checked, with joints, wrist, forces and the free-body residual. */
function byTheCore() {
  let sum = 0;
  for (let index = 0; index < POSTURES; index++) {
    sum += handLoad(BODY, { ...USUAL_POSTURES.plank, leanDeg: leanAt(index) }).bothPercentBW;
  }
  return sum;
}

/** The same arithmetic for this one posture, written out: no checks, no objects, no other support than toes. */
function bare() {
  const { trunk, head, neckM, upperArm, forearm, hand, thigh, shank, foot, ankleHeightM, ankleToBallM } = segmentsOf(BODY);
  const { sin, cos, sqrt, atan2, hypot } = Math;
  const RAD = Math.PI / 180;
  const leg = thigh.lengthM + shank.lengthM;
  const down = leg + ankleHeightM;
  const link = hypot(down, ankleToBallM);
  const offset = atan2(ankleToBallM, down);
  const hip = 178 * RAD - offset;
  const span = sqrt(link ** 2 + trunk.lengthM ** 2 - 2 * link * trunk.lengthM * cos(hip));
  const arm = upperArm.lengthM + forearm.lengthM;
  const wristY = 0.4 * hand.lengthM;
  const ahead = 0.3 * hand.lengthM;
  const weight = BODY.massKg * GRAVITY;
  let sum = 0;
  for (let index = 0; index < POSTURES; index++) {
    const lean = leanAt(index) * RAD;
    const [sx, sy] = [arm * sin(lean), wristY + arm * cos(lean)];
    const jx = sx - sqrt(span * span - sy * sy);
    // Hip: third corner of the triangle toe, shoulder with legs and trunk.
    const along = (span * span + link * link - trunk.lengthM ** 2) / (2 * span);
    const high = sqrt(link * link - along * along);
    const [ux, uy] = [(sx - jx) / span, sy / span];
    const [hx, hy] = [jx + ux * along - uy * high, uy * along + ux * high];
    const [lx, ly] = [(jx - hx) / link, -hy / link];
    const [c, s] = [cos(-offset), sin(-offset)];
    const [dx] = [lx * c - ly * s];
    const [kx, ax] = [hx + dx * thigh.lengthM, hx + dx * leg];
    const part = (from, to, share) => from + (to - from) * share;
    const chin = part(hx, sx, 1 + neckM / trunk.lengthM);
    const vertex = part(hx, sx, 1 + (neckM + head.lengthM) / trunk.lengthM);
    const elbow = sx * (forearm.lengthM / arm);
    const moment =
      head.massKg * (part(vertex, chin, head.comFraction) - jx) +
      trunk.massKg * (part(sx, hx, trunk.comFraction) - jx) +
      2 * upperArm.massKg * (part(sx, elbow, upperArm.comFraction) - jx) +
      2 * forearm.massKg * (part(elbow, 0, forearm.comFraction) - jx) +
      2 * hand.massKg * (ahead - jx) +
      2 * thigh.massKg * (part(hx, kx, thigh.comFraction) - jx) +
      2 * shank.massKg * (part(kx, ax, shank.comFraction) - jx) +
      2 * foot.massKg * (part(ax, jx, 0.5) - jx);
    sum += (100 * GRAVITY * moment) / (ahead - jx) / weight;
  }
  return sum;
}

function time(work) {
  const start = performance.now();
  const sum = work();
  return { seconds: (performance.now() - start) / 1000, sum };
}

if (isMainThread) {
  new Worker(new URL(import.meta.url)).on('message', (lines) => console.log(lines));
} else {
  time(byTheCore);
  time(bare);
  const rounds = Array.from({ length: ROUNDS }, () => ({ core: time(byTheCore), bare: time(bare) }));
  const difference = Math.abs(rounds[0].core.sum - rounds[0].bare.sum) / POSTURES;
  const rates = rounds.map(({ core }) => POSTURES / core.seconds).sort((a, b) => a - b);
  const ratios = rounds.map(({ core, bare: loop }) => core.seconds / loop.seconds).sort((a, b) => a - b);
  const middle = Math.floor(ROUNDS / 2);
  const list = (values, places) => values.map((value) => value.toFixed(places)).join(' ');
  parentPort.postMessage(
    [
      `same answer: mean difference ${difference.toExponential(1)} % of body weight`,
      `postures a second: ${Math.round(rates[middle]).toLocaleString('en')} (all: ${list(rates, 0)})`,
      `time over the bare loop: ${ratios[middle].toFixed(1)} × (all: ${list(ratios, 1)})`,
    ].join('\n'),
  );
}
