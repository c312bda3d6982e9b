import { type Protocol, PROTOCOLS } from './protocols.js';
import { type Done, evidenceOfDone } from '../effort/evidence.js';
import type { Evidence } from '../mechanics/belief.js';
import { isRecent, type Person } from '../mechanics/capacity.js';
import { type Dose, DOSE_LIMITS } from '../model/dose.js';
import { findLevel, type MovementLookup, usualWay } from '../model/movement.js';
import { isCold, type Reading } from '../model/reading.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { working } from '../vocabulary/constant.js';

const KEPT_UP = working(
  'Critical force over the maximum',
  0.4,
  'of a maximal squeeze',
  'published all-out grip and finger tests end at 0.38–0.45; the fatigue model’s own ends at 0.38',
  [0.33, 0.48],
);

/**
 * What readings tell of the maxima that efforts are computed from, beside tested maxima themselves: a hold and clean repetitions by what the fatigue model
 * says that the hand had to have, to end just then; an all-out test by the share of the maximum that is left at its end.
 * @param person with what else is known: a maximum that was tested moves what a hold is held against
 */
export function heldAndTested(person: Person, readings: readonly Reading[], lookup: MovementLookup): Evidence[] {
  return readings.flatMap((reading): Evidence[] => {
    const { kind, of, hand, value, onDay } = reading;
    // What is older says next to nothing beside what was seen since, and each is a session that is computed.
    if (!isRecent(onDay, person.today) || !isCold(reading)) return [];
    if (kind === 'critical force' && of === 'grip') {
      return [{ kind: 'to failure', action: 'grip', hand, value: value / KEPT_UP.value, onDay, what: 'all-out test' }];
    }
    const protocol = PROTOCOLS.find((each) => each.kind === kind && each.of === of);
    return protocol && value > 0 ? toTheEnd(person, protocol, reading, lookup) : [];
  });
}

/** A hold, or repetitions, to the loss of form. */
function toTheEnd(person: Person, protocol: Protocol, reading: Reading, lookup: MovementLookup): Evidence[] {
  const { kind, value, hand, onDay } = reading;
  const { movementId, levelId } = protocol.figure;
  if ((kind !== 'hold' && kind !== 'repetitions') || levelId === undefined) return [];
  const movement = lookup(movementId);
  if (!movement || !findLevel(movement, levelId)) return [];
  const work: Dose['work'] =
    kind === 'hold'
      ? { kind: 'time', seconds: Math.min(DOSE_LIMITS.seconds.max, Math.max(1, Math.round(value))) }
      : { kind: 'repetitions', count: Math.min(DOSE_LIMITS.repetitions.max, Math.round(value)) };
  const dose: Dose = { ...usualWay(movement), sets: 1, work, restS: 0 };
  const plan: Sequence = {
    ...{ title: '', purpose: '', budgetMin: 20, pacing: USUAL_PACING },
    blocks: [{ id: 'measured', phase: 'load', movementId, levelId, dose }],
  };
  const words = kind === 'hold' ? `held ${Math.round(value)} s to the end` : `${value} clean repetitions to the end`;
  return evidenceOfDone(person, allOf(plan, onDay, lookup), lookup, () => ({ kind: 'to failure', rating: 10, words })).filter(
    (entry) => entry.hand === hand,
  );
}

/** All of a plan as done, hand by hand. */
const allOf = (plan: Sequence, onDay: string, lookup: MovementLookup): Done => ({
  plan,
  onDay,
  sets: compileTimeline(plan, lookup).stints.map((stint, index) => ({
    id: `${index}`,
    blockId: stint.blockId,
    set: stint.set,
    side: stint.side,
    direction: stint.direction,
    unit: stint.unit,
    plannedAmount: stint.plannedAmount,
    doneAmount: stint.plannedAmount,
  })),
});
