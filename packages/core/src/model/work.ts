import { handsInTurn, HANDS, type SidePlan, type WorkingSide } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { bounded, kind, kinds, type Of, oneOf, optional, record } from '../vocabulary/schema.js';
import { capital } from '../vocabulary/text.js';
import { OPEN_ENDS, UNIT_OF, type WorkKind } from '../vocabulary/work.js';

/** What one set may be counted to, by its unit. */
export const AMOUNT_LIMITS = {
  repetitions: { min: 1, max: 200, step: 1, unit: 'repetitions' },
  seconds: { min: 1, max: 1800, step: 1, unit: 's' },
  breaths: { min: 1, max: 60, step: 1, unit: 'breaths' },
  metres: { min: 1, max: 1000, step: 1, unit: 'm' },
} as const satisfies Record<string, Limit>;

/** How the amount of a set may end elsewhere than at its number. */
const ends = (limit: Limit) => ({
  /** An open set ends when the form fails or the stretch eases; its amount is the maximum. */
  open: optional(oneOf(OPEN_ENDS, 'Open until')),
  /** The upper end of a range: the set is led to its amount and progresses up to this. */
  upTo: optional(bounded(limit, 'Up to')),
});
const { repetitions, seconds, breaths, metres } = AMOUNT_LIMITS;

/** What fills one set. */
export const WORK = kinds(
  [
    record({ kind: kind('repetitions'), count: bounded(repetitions, 'Repetitions'), ...ends(repetitions) }),
    record({ kind: kind('time'), seconds: bounded(seconds, 'Seconds'), ...ends(seconds) }),
    record({ kind: kind('breaths'), count: bounded(breaths, 'Breaths'), ...ends(breaths) }),
    record({ kind: kind('distance'), metres: bounded(metres, 'Metres'), ...ends(metres) }),
  ],
  'a type of work and its amount',
);
/** What fills one set. Amounts count per side and per direction. */
export type Work = Of<typeof WORK>;
/** Where a set ends, if not at its amount. */
export type WorkEnd = Pick<Work, 'open' | 'upTo'>;

/** The limit that applies to the amount of a kind of work. */
export const amountLimit = (kind: WorkKind): Limit => AMOUNT_LIMITS[UNIT_OF[kind]];

/** What the amount of a kind of work is called. @example amountLabel('time') → 'Seconds' */
export const amountLabel = (work: WorkKind) => capital(UNIT_OF[work]);

/** The number in a work: repetitions, seconds, breaths or metres; of an open set its maximum, of a range its lower end. */
export function amountOf(work: Work): number {
  if (work.kind === 'time') return work.seconds;
  return work.kind === 'distance' ? work.metres : work.count;
}

/** A work of a kind with this amount. */
export function workOf(kind: WorkKind, amount: number, { open, upTo }: WorkEnd = {}): Work {
  const end = { ...(open && { open }), ...(upTo !== undefined && { upTo }) };
  if (kind === 'time') return { kind, seconds: amount, ...end };
  return kind === 'distance' ? { kind, metres: amount, ...end } : { kind, count: amount, ...end };
}

/** The same work with another amount. A range stays as long as the amount grows inside it. */
export function withAmount(work: Work, amount: number): Work {
  const { open, upTo = 0 } = work;
  const isInside = amount >= amountOf(work) && amount < upTo;
  return workOf(work.kind, amount, { ...(open && { open }), ...(isInside && { upTo }) });
}

/** Whether both hands work by themselves under a plan, so that each can have its own amount. */
export const hasHandsInTurn = (sides: SidePlan): boolean =>
  sides !== 'alternating' && HANDS.every((hand) => handsInTurn(sides).includes(hand));

/** The work of a hand, where the right one may have its own amount. */
export const workOfHand = (work: Work, side: WorkingSide, rightAmount: number | undefined): Work =>
  side === 'right' && rightAmount !== undefined ? withAmount(work, rightAmount) : work;
