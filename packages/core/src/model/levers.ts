import type { LevelLoad } from './load.js';
import { roughHeightM, type Stance } from './posture.js';
import type { Level } from './movement.js';
import type { Contact } from '../vocabulary/contacts.js';

/**
 * What makes the second level harder or easier than the first, in the words of the craft: the levers of difficulty. Read from the numbers
 * of both, so it can never say anything that the computation does not do.
 */
export function leversBetween(from: Level, to: Level): string[] {
  const levers: string[] = [];
  if (from.contact !== to.contact) levers.push(`${CONTACT_WORDS[from.contact]} → ${CONTACT_WORDS[to.contact]}`);
  if (from.facing !== to.facing && to.facing !== 'free' && from.facing !== 'free') {
    levers.push(`fingers ${from.facing} → ${to.facing}`);
  }
  if (from.load.kind !== to.load.kind) {
    if (from.loading !== to.loading) levers.push(`${from.loading} → ${to.loading}`);
  } else if (from.load.kind === 'body' && to.load.kind === 'body') levers.push(...stances(from.load.stance, to.load.stance));
  else levers.push(...loads(from.load, to.load));
  if (from.posture !== to.posture && levers.length === 0) levers.push(`${from.posture} → ${to.posture}`);
  if (from.dose.sets !== to.dose.sets) levers.push(to.dose.sets > from.dose.sets ? 'more sets' : 'fewer sets');
  return levers;
}

/** Contacts in plain words, from the wrist's gentlest to its hardest. */
const CONTACT_WORDS: Record<Contact, string> = {
  none: 'hand free',
  fist: 'fist',
  handle: 'handle',
  ball: 'ball',
  'open palm': 'palm',
  'raised palm': 'raised palm',
  fingertips: 'fingertips',
  edge: 'edge',
  'back of hand': 'back of hand',
};

const SUPPORT_WORDS: Record<Stance['support'], string> = {
  knees: 'knees',
  toes: 'feet',
  soles: 'standing',
  heels: 'heels',
  'side of feet': 'side of the feet',
  'feet on wall': 'feet on the wall',
  none: 'only the hands',
};

function stances(from: Stance, to: Stance): string[] {
  const levers: string[] = [];
  if (from.support !== to.support) levers.push(`${SUPPORT_WORDS[from.support]} → ${SUPPORT_WORDS[to.support]}`);
  const compare = (a: unknown, b: unknown, up: string, down: string) => {
    if (typeof a === 'number' && typeof b === 'number' && Math.abs(a - b) > 1e-9) levers.push(b > a ? up : down);
  };
  const share = ({ leftShare }: Stance) => Math.max(leftShare, 1 - leftShare);
  compare(from.leanDeg, to.leanDeg, 'shoulders further forward', 'shoulders further back');
  compare(from.hipAngleDeg, to.hipAngleDeg, 'body straighter', 'hips more bent');
  compare(from.distanceM, to.distanceM, 'hands further away', 'hands nearer');
  compare(roughHeightM(from), roughHeightM(to), 'hands higher', 'hands lower');
  compare(from.supportHeightM, to.supportHeightM, 'feet higher', 'feet lower');
  compare(from.elbowBendDeg, to.elbowBendDeg, 'elbows more bent', 'elbows straighter');
  compare(share(from), share(to), 'weight toward one hand', 'weight more even');
  compare(from.padPressure, to.padPressure, 'more on the fingers', 'more on the heel of the hand');
  return levers;
}

/** Words for a number that is more, and for one that is less. */
const NUMBERS: Partial<Record<string, readonly [more: string, less: string]>> = {
  massKg: ['heavier', 'lighter'],
  leverM: ['longer lever', 'shorter lever'],
  handleMm: ['thicker handle', 'thinner handle'],
  edgeMm: ['deeper edge', 'smaller edge'],
  pinchMm: ['wider pinch', 'narrower pinch'],
  distanceM: ['further', 'shorter'],
  feetPercentBW: ['feet carry more', 'feet carry less'],
  addedKg: ['added weight', 'less added weight'],
  wristBendDeg: ['wrist more bent', 'wrist straighter'],
  hands: ['two hands', 'one hand'],
  drumMm: ['thicker drum', 'thinner drum'],
  ropeM: ['longer rope', 'shorter rope'],
  effortPercent: ['more effort', 'less effort'],
  forceN: ['more resistance', 'less resistance'],
  reachPercent: ['further into the range', 'less of the range'],
  perMinute: ['faster', 'slower'],
  heldKg: ['something in the hand', 'less in the hand'],
  pushPercent: ['a stronger push', 'a weaker push'],
  pressN: ['more pressure', 'less pressure'],
  angleDeg: ['lever further from level', 'lever nearer to level'],
};

type Fields = Readonly<Record<string, unknown>>;

function loads(from: LevelLoad, to: LevelLoad): string[] {
  // Loads of two kinds share fields by name only.
  const [a, b]: readonly [Fields, Fields] = [from, to];
  const levers: string[] = [];
  for (const [field, [more, less]] of Object.entries(NUMBERS) as [string, readonly [string, string]][]) {
    const [x, y] = [a[field], b[field]];
    if (typeof x === 'number' && typeof y === 'number' && x !== y) levers.push(y > x ? more : less);
  }
  if (a.fingers !== b.fingers) levers.push(`fingers ${String(b.fingers)}`);
  if (a.edgeGrip !== b.edgeGrip) levers.push(String(b.edgeGrip));
  if (from.kind === 'move' && to.kind === 'move' && to.actions.includes('shoulder flexion') && !from.actions.includes('shoulder flexion')) {
    levers.push('arm held out');
  }
  if (from.kind === 'roller' && to.kind === 'roller' && from.arms !== to.arms) levers.push(`arms ${to.arms}`);
  return levers;
}
