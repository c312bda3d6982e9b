import { ALL_OUT } from './critical-force.js';
import type { Measured } from './measured.js';
import type { Gauge, ReadingKind, ReadingUnit } from '../vocabulary/measures.js';
import { READING_NAMES, readingUnit } from '../vocabulary/measures.js';
import { must } from '../vocabulary/lists.js';
import type { SessionTest } from '../vocabulary/session-tests.js';
import { RANGE_MOTIONS, type RangeMotion } from '../vocabulary/motions.js';
import { capital } from '../vocabulary/text.js';

/** How one thing is measured, so that two readings of it are alike. */
export interface Protocol {
  readonly id: string;
  readonly kind: ReadingKind;
  readonly of: string;
  /** What to do, step by step, in words for the coach. */
  readonly steps: readonly string[];
  /** The level whose picture shows it. */
  readonly figure: { readonly movementId: string; readonly levelId?: string };
  readonly trials: 1 | 2 | 3;
  /** Rest between trials of one hand, s. */
  readonly restS: number;
  /** How long one trial lasts, s; what is counted until form is lost has its usual length. */
  readonly trialS: number;
  /** With what it is measured by hand. */
  readonly gauge: Gauge;
  /** Whether the whole of it is one effort at the limit: left out where efforts are capped. */
  readonly isMaximal: boolean;
  /** What comes of the same trial as another is not led by itself. */
  readonly alongWith?: string;
}

const ACTIVE = 'Bend as far as the wrist goes by itself; no help.';
const WITH_HELP = 'The other hand brings it slowly to its firm end. Discomfort stays below 3.';
const GONIOMETER: Record<RangeMotion, readonly string[]> = {
  'wrist flexion': [
    'Forearm on the table, hand over its edge, palm down, fingers loose.',
    'Pivot at the little-finger side of the wrist, arms along forearm and little-finger bone.',
  ],
  'wrist extension': [
    'Forearm on the table, hand over its edge, palm down, fingers loosely curled.',
    'Pivot at the little-finger side of the wrist, arms along forearm and little-finger bone.',
  ],
  'radial deviation': [
    'Forearm and palm flat on the table.',
    'Pivot at the middle of the wrist’s back, arms along forearm and middle-finger bone; toward the thumb.',
  ],
  'ulnar deviation': [
    'Forearm and palm flat on the table.',
    'Pivot at the middle of the wrist’s back, arms along forearm and middle-finger bone; toward the little finger.',
  ],
  pronation: [
    'Elbow at the ribs, bent square, a pencil upright in the fist.',
    'From thumb up, turn the palm down. Read the pencil’s angle from upright.',
  ],
  supination: [
    'Elbow at the ribs, bent square, a pencil upright in the fist.',
    'From thumb up, turn the palm up. Read the pencil’s angle from upright.',
  ],
};
const FIGURE_OF_RANGE: Record<RangeMotion, Protocol['figure']> = {
  'wrist flexion': { movementId: 'stretch.extensors' },
  'wrist extension': { movementId: 'stretch.flexors' },
  'radial deviation': { movementId: 'free.side-sweeps' },
  'ulnar deviation': { movementId: 'free.side-sweeps' },
  pronation: { movementId: 'free.forearm-turns' },
  supination: { movementId: 'free.forearm-turns' },
};

/** Without help: what the hand does by itself. */
const OWN_FIGURE: Record<RangeMotion, Protocol['figure']> = {
  ...FIGURE_OF_RANGE,
  'wrist flexion': { movementId: 'free.bending-waves' },
  'wrist extension': { movementId: 'free.bending-waves' },
};

const ofRange = (kind: 'active range' | 'passive range') =>
  RANGE_MOTIONS.map((motion): Protocol => ({
    id: `${kind === 'active range' ? 'active' : 'passive'}.${motion.replaceAll(' ', '-')}`,
    kind,
    of: motion,
    steps: [...GONIOMETER[motion], kind === 'active range' ? ACTIVE : WITH_HELP],
    figure: kind === 'active range' ? OWN_FIGURE[motion] : FIGURE_OF_RANGE[motion],
    trials: 2,
    restS: 5,
    trialS: 10,
    gauge: 'goniometer',
    isMaximal: false,
  }));

const force = (of: string, movementId: string, steps: readonly string[]): Protocol => ({
  id: `force.${of.replaceAll(' ', '-')}`,
  kind: 'maximum',
  of,
  steps: [...steps, 'Build up over a second, hold for three, breathe out. No jerks.'],
  figure: { movementId },
  trials: 3,
  restS: 30,
  trialS: 5,
  gauge: 'dynamometer',
  isMaximal: true,
});

const SEATED = 'Seated, elbow at the ribs and bent square, forearm between palm up and down.';
const AGAINST = 'Forearm on the table, gauge against the far edge of the palm or the back of the hand, wrist straight.';
const SQUARE = 'Keep the gauge at a right angle to the hand. Note its distance from the wrist: force times distance is the torque.';

const span = (of: string, steps: readonly string[], movementId: string): Protocol => ({
  id: `span.${of.replaceAll(' ', '-')}`,
  kind: 'active range',
  of,
  steps,
  figure: { movementId },
  trials: 2,
  restS: 5,
  trialS: 8,
  gauge: 'ruler',
  isMaximal: false,
});

const once = (
  id: string,
  kind: ReadingKind,
  of: string,
  steps: readonly string[],
  figure: Protocol['figure'],
  trialS: number,
  gauge: Gauge,
): Protocol => ({ id, kind, of, steps, figure, trials: 1, restS: 60, trialS, gauge, isMaximal: true });

const ALL_OUT_S = ALL_OUT.contractions * (ALL_OUT.workS + ALL_OUT.restS);
/** The all-out test, and what can be done above its critical force, which comes of the same contractions. */
function allOut(of: string, steps: readonly string[]): Protocol[] {
  const id = `all-out.${of.replaceAll(' ', '-')}`;
  const shared: Omit<Protocol, 'id' | 'kind' | 'steps'> = {
    ...{ of, figure: { movementId: of === 'grip' ? 'grip.gripper-close' : 'edge.lift-open' } },
    ...{ trials: 1, restS: 300, trialS: ALL_OUT_S, gauge: of === 'grip' ? 'dynamometer' : 'edge', isMaximal: true },
  };
  const rhythm = `${ALL_OUT.contractions} times: ${ALL_OUT.workS} s as hard as possible, ${ALL_OUT.restS} s open. Squeeze every one all out; save nothing for later.`;
  return [
    {
      ...shared,
      id,
      kind: 'critical force',
      steps: [...steps, rhythm, 'Keep breathing. Stop at sharp pain, numbness or a pop.'],
    },
    { ...shared, id: `${id}.above`, kind: 'capacity above', steps: [], alongWith: id },
  ];
}

/** Everything that the measuring bench leads, in the order in which it disturbs what comes after it least: range, load, strength, holds. */
export const PROTOCOLS: readonly Protocol[] = [
  ...ofRange('active range'),
  ...ofRange('passive range'),
  span(
    'finger spread',
    ['Hand flat, fingers spread as far as possible.', 'From the tip of the index to the tip of the little finger.'],
    'free.spread-close',
  ),
  span(
    'thumb span',
    ['Hand flat, thumb as far out as possible.', 'From the tip of the thumb to the tip of the little finger.'],
    'free.spread-close',
  ),
  span(
    'finger-to-palm gap',
    ['Close the fist as far as possible.', 'From the tip of the middle finger to the crease of the palm; 0 if it touches.'],
    'glide.five-shapes',
  ),
  {
    id: 'loaded.wrist-extension',
    kind: 'loaded range',
    of: 'wrist extension',
    steps: [
      'All fours, palm flat, fingers forward.',
      'Lean slowly over the hand until the heel of the hand starts to lift.',
      'Read the angle between forearm and floor at that moment.',
    ],
    figure: { movementId: 'rock.palm-fore-aft' },
    trials: 2,
    restS: 20,
    trialS: 15,
    gauge: 'goniometer',
    isMaximal: false,
  },
  {
    id: 'load.all-fours',
    kind: 'hand load',
    of: 'all fours',
    steps: [
      'All fours, hands under the shoulders, each on a scale or plate.',
      'Look ahead, not at the numbers. Take the mean over five seconds.',
    ],
    figure: { movementId: 'bearing.palm-support', levelId: 'all-fours' },
    trials: 2,
    restS: 10,
    trialS: 8,
    gauge: 'scales',
    isMaximal: false,
  },
  force('grip', 'grip.gripper-close', [SEATED, 'Handle at its second position; wrist straight or a little back.']),
  force('tip pinch', 'grip.pinch-hold', [SEATED, 'Thumb tip against index tip, the others open.']),
  force('key pinch', 'grip.pinch-hold', [SEATED, 'Thumb against the side of the bent index.']),
  force('pinch', 'grip.pinch-hold', [SEATED, 'Thumb against index and middle finger.']),
  force('finger extension', 'grip.band-opening', [SEATED, 'Fingers open against the gauge’s loop, all four together.']),
  ...(['index', 'middle', 'ring', 'little'] as const).map((finger) =>
    force(`${finger} finger`, 'edge.finger-curls', [SEATED, `Only the ${finger} finger on the edge, the others out of the way.`]),
  ),
  force('edge pull', 'edge.lift-open', [
    'Standing, arm at the side, elbow nearly straight.',
    'Four fingers on the edge; note its depth and the grip.',
    'Pull straight up, without jerking.',
  ]),
  ...(['wrist flexion', 'wrist extension', 'radial deviation', 'ulnar deviation'] as const).map((action) =>
    force(
      action,
      `isometric.${action === 'wrist flexion' ? 'flexion' : action === 'wrist extension' ? 'extension' : action === 'radial deviation' ? 'radial' : 'ulnar'}`,
      [AGAINST, SQUARE],
    ),
  ),
  ...(['pronation', 'supination'] as const).map((action) =>
    force(action, 'isometric.turns', ['Elbow at the ribs, bent square, a handle in the fist.', SQUARE]),
  ),
  once(
    'hold.palms',
    'hold',
    'plank on the palms',
    ['Plank on the palms.', 'Until form breaks down: a bent elbow, a lifted knuckle, a held breath, growing shaking.'],
    { movementId: 'bearing.palm-support', levelId: 'plank' },
    60,
    'stopwatch',
  ),
  once(
    'hold.hang',
    'hold',
    'hang',
    ['Both hands on the bar, shoulders engaged.', 'Until the fingers start to open.'],
    { movementId: 'hang.full', levelId: 'bar' },
    60,
    'stopwatch',
  ),
  once(
    'repetitions.palm-lift',
    'repetitions',
    'palm lift',
    [
      'On the palms, knees well behind the hips. Lift the heels of the hands for one second, lower for two, in rhythm.',
      'Until height or rhythm is lost; don’t count that one.',
    ],
    { movementId: 'strength.palm-lift', levelId: 'knees-back' },
    40,
    'counted',
  ),
  once(
    'repetitions.fingertip-pump',
    'repetitions',
    'fingertip pump',
    ['On the fingertips of both hands at a table, down and up in two seconds.', 'Until a finger gives way or the rhythm is lost.'],
    { movementId: 'strength.fingertip-pumps', levelId: 'table' },
    30,
    'counted',
  ),
  ...allOut('grip', [SEATED, 'Handle at its second position.']),
  ...allOut('edge pull', ['Standing, arm at the side, elbow nearly straight.', 'Four fingers on the edge; note its depth and the grip.']),
];

/** What is led by itself. */
export const LED_PROTOCOLS: readonly Protocol[] = PROTOCOLS.filter(({ alongWith }) => alongWith === undefined);
/** Protocols whose values come of the same trial. */
export const comesWith = (id: string): readonly Protocol[] => PROTOCOLS.filter(({ alongWith }) => alongWith === id);

/** A protocol by its id. */
export const protocolOf = (id: string): Protocol | undefined => PROTOCOLS.find((protocol) => protocol.id === id);

/** What it measures, in words. @example protocolName({ kind: 'active range', of: 'wrist flexion' }) → 'Wrist flexion, active range' */
export const protocolName = ({ kind, of }: Pick<Protocol, 'kind' | 'of'>): string => `${capital(of)}, ${READING_NAMES[kind]}`;

/** What is measured before and after a session, in words; empty without any. @example testsWords(['force.grip']) → 'Grip, maximum strength' */
export const testsWords = (tests: readonly SessionTest[] = []): string =>
  tests.map((id) => protocolName(must(protocolOf(id), `a protocol ${id}`))).join('; ');

/** Whether each hand is measured by itself: all but what both hands do together. */
export const isOfEachHand = ({ kind }: Pick<Protocol, 'kind'>): boolean => kind !== 'hold' && kind !== 'repetitions';

/** What is led in one go. */
export interface Battery {
  readonly name: string;
  readonly protocolIds: readonly string[];
}

/** Batteries: what a first visit needs, and what is worth repeating every four weeks. */
export const BATTERIES = {
  'first-visit': {
    name: 'First assessment',
    protocolIds: [
      'active.wrist-flexion',
      'active.wrist-extension',
      'passive.wrist-extension',
      'loaded.wrist-extension',
      'force.grip',
      'force.wrist-flexion',
    ],
  },
  'four-weekly': {
    name: '4-week retest',
    protocolIds: ['active.wrist-extension', 'passive.wrist-extension', 'force.grip'],
  },
} as const satisfies Record<string, Battery>;
/** Why the first visit measures what it does, for somebody of whom nothing is known: what hangs on it. */
export const FIRST_WHY: Readonly<Record<(typeof BATTERIES)['first-visit']['protocolIds'][number], string>> = {
  'active.wrist-flexion': 'the active counterweight to all planted work',
  'active.wrist-extension': 'range without active control is where trouble starts',
  'passive.wrist-extension': 'a flat palm needs about 79°: shows whether planting fits at all',
  'loaded.wrist-extension': 'how far the body may lean over the hand today',
  'force.grip': 'all effort percentages of the hand refer to it',
  'force.wrist-flexion': 'lifting the heels of the hands depends on it, and grip says little about it',
};
/** The id of a battery. */
export type BatteryId = keyof typeof BATTERIES;

/** Getting into place, reading the gauge and writing it down, s a trial. */
const HANDLING_S = 10;
/** Reading out what comes and showing it, s a protocol. */
const SHOWING_S = 20;

/** How long a battery takes: hands rest while the other works. @param ids of its protocols */
export function batteryMinutes(ids: readonly string[]): number {
  const seconds = ids.reduce((sum, id) => {
    const protocol = protocolOf(id);
    if (!protocol) return sum;
    const { trials, trialS, restS } = protocol;
    const each = trialS + HANDLING_S;
    const hands = isOfEachHand(protocol) ? 2 : 1;
    // While one hand works the other rests: only what is left of the rest is waited for.
    const wait = Math.max(0, restS - (hands === 2 ? each : 0));
    return sum + SHOWING_S + trials * hands * each + (trials - 1) * wait;
  }, 0);
  return Math.round(seconds / 60);
}

/** How a reading of this is off. */
export function measuredAs({ kind, of }: Pick<Protocol, 'kind' | 'of'>): Measured {
  const unit = readingUnit(kind, of);
  return { sort: unit ? SORT_OF_UNIT[unit] : 'force', of };
}
const SORT_OF_UNIT: Record<ReadingUnit, Measured['sort']> = {
  '°': 'range',
  'N·m': 'force',
  N: 'force',
  'N·s': 'force',
  cm: 'length',
  s: 'time',
  times: 'count',
};

/** Which hand goes when: in turn, and the next time the other first, so that neither always comes tired or fresh. @example sidesInTurn(2, 'left') → ['left', 'right', 'right', 'left'] */
export function sidesInTurn(trials: number, first: 'left' | 'right'): ('left' | 'right')[] {
  const other = first === 'left' ? 'right' : 'left';
  return Array.from({ length: trials }, (_, round) => (round % 2 === 0 ? [first, other] : [other, first])).flat() as ('left' | 'right')[];
}
