import type { PastSession } from '../../effort/past.js';
import { type SessionQuestion, viewOf } from '../../effort/session-view.js';
import { LIBRARY, shippedMovement } from '../../library/index.js';
import { METHODS } from '../../library/methods.js';
import type { Person } from '../../mechanics/capacity.js';
import { personOf, referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { parseDose } from '../../model/dose-shorthand.js';
import { findLevel, usualWay } from '../../model/movement.js';
import { type Block, type Sequence, USUAL_PACING } from '../../model/sequence.js';
import { findingsOf } from './index.js';
import type { Phase } from '../../vocabulary/phases.js';

export type Line = readonly [phase: Phase, movementId: string, levelId: string, dose?: string];
export const NOW = '2026-06-10T10:00:00.000Z';
export const person = referencePerson(REFERENCE_BODIES['not stated'], '2026-06-10');

export const GOOD: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist'],
  ['prepare', 'free.bending-waves', 'arms-forward'],
  ['prepare', 'free.forearm-turns', 'bent'],
  ['prepare', 'free.finger-touches', 'seeing'],
  ['range', 'stretch.flexors', 'open', '1x20s L,R'],
  ['range', 'stretch.extensors', 'fist', '1x20s L,R'],
  ['range', 'rock.palm-fore-aft', 'behind'],
  ['load', 'rock.back-of-hand', 'both-inward'],
  ['strength', 'isometric.extension', 'medium'],
  ['strength', 'isometric.flexion', 'medium'],
  ['strength', 'grip.ball-squeeze', 'soft'],
  ['strength', 'isometric.finger-spread', 'gentle'],
  ['skill', 'bearing.palm-support', 'all-fours'],
  ['settle', 'settle.long-extensors', 'easy'],
  ['settle', 'settle.shakes', 'hanging'],
];

function blockOf([phase, movementId, levelId, text]: Line, index: number): Block {
  const movement = shippedMovement(movementId)!;
  const level = findLevel(movement, levelId)!;
  return {
    id: `b${index + 1}`,
    phase,
    movementId,
    levelId,
    dose: text ? parseDose(text, usualWay(movement)) : level.dose,
  };
}
export const write = (lines: readonly Line[], more: Partial<Sequence> = {}): Sequence => ({
  title: 'Test',
  purpose: '',
  budgetMin: 30,
  pacing: USUAL_PACING,
  blocks: lines.map(blockOf),
  ...more,
});

export type More = Partial<Omit<SessionQuestion, 'sequence'>>;
export const ask = (sequence: Sequence, more: More = {}): SessionQuestion => ({
  sequence,
  lookup: shippedMovement,
  shelf: LIBRARY,
  person,
  method: METHODS['daily-range'],
  athlete: null,
  past: [],
  now: NOW,
  ...more,
});
export const found = (question: SessionQuestion) => findingsOf(viewOf(question));
export const idsOf = (question: SessionQuestion) => [...new Set(found(question).map(({ check }) => check.id))];

/** The good sequence with lines put in place of one movement, or after it. */
export const instead = (movementId: string, ...lines: Line[]) => GOOD.flatMap((line) => (line[1] === movementId ? lines : [line]));
export const without = (...movementIds: string[]) => GOOD.filter(([, id]) => !movementIds.includes(id));

export const athlete = (
  caution: string,
  equipment: readonly string[] = ['mat', 'chair', 'table', 'wall', 'soft ball', 'firm ball', 'bar', 'weight', 'edge'],
) => ({ cautions: [{ caution }], equipment }) as unknown as NonNullable<SessionQuestion['athlete']>;

export const lopsided: Person = personOf(
  null,
  [
    { kind: 'maximum', of: 'grip', hand: 'left', value: 280, onDay: '2026-06-01' },
    { kind: 'maximum', of: 'grip', hand: 'right', value: 420, onDay: '2026-06-01' },
  ],
  '2026-06-10',
).person;

export const hand = { workS: 0, underLoadS: 0, impulseNs: 0, repetitions: 0, carryM: 0 };
export const session = (day: string, more: Partial<PastSession> = {}): PastSession => ({
  id: day,
  title: 'Before',
  startedAt: `${day}T08:00:00.000Z`,
  endedAt: `${day}T08:20:00.000Z`,
  onDay: day,
  doses: {},
  hands: { left: hand, right: hand },
  hard: [],
  movementIds: GOOD.map(([, id]) => id),
  forms: GOOD.map(([, movementId, levelId]) => ({ movementId, levelId })),
  end: {},
  ...more,
});
