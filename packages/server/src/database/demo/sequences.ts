import {
  type Block,
  findLevel,
  parseDose,
  type Phase,
  type Round,
  type RoundChange,
  type Sequence,
  USUAL_PACING,
  usualWay,
} from '@clay-pot/core';
import { shippedMovement, type METHODS } from '@clay-pot/core/library';

/** phase, movement, level, and a dose where it departs from the level's usual one. */
type Line = readonly [phase: Phase, movementId: string, levelId: string, dose?: string, stops?: Stops];
/** A break before a block, and where somebody looks again. */
type Stops = Pick<Block, 'breakS' | 'lookAgain'>;
/** From which block to which, by their numbers, how often and with what rest. */
type Turns = readonly [from: number, to: number, times: number, restS: number, change?: RoundChange];

function write(
  title: string,
  purpose: string,
  budgetMin: number,
  methodId: keyof typeof METHODS,
  lines: readonly Line[],
  turns: readonly Turns[] = [],
): Sequence {
  const blocks = lines.map(([phase, movementId, levelId, text, stops], index): Block => {
    const movement = shippedMovement(movementId);
    const level = movement && findLevel(movement, levelId);
    if (!movement || !level) throw new Error(`The demo names an unknown level: ${movementId} ${levelId}`);
    const dose = text ? parseDose(text, usualWay(movement)) : level.dose;
    return { id: `b${index + 1}`, phase, movementId, levelId, dose, ...stops };
  });
  const rounds = turns.map(([from, to, times, restS, change], index): Round => ({
    id: `round-${index + 1}`,
    blockIds: blocks.slice(from - 1, to).map(({ id }) => id),
    times,
    restS,
    ...(change && { change }),
  }));
  const document = { title, purpose, budgetMin, pacing: USUAL_PACING, blocks, methodId };
  return rounds.length > 0 ? { ...document, rounds } : document;
}

/** The sequences of Lanternfield Hall. */
export const DEMO_SEQUENCES = {
  class: write('Lantern class, twenty minutes', 'The Tuesday class: a complete tour for hands that will carry weight.', 20, 'daily-range', [
    ['prepare', 'free.open-close', 'slow'],
    ['prepare', 'free.wrist-circles', 'free-fist', '1x3 tempo4-4 LR <>'],
    ['prepare', 'free.bending-waves', 'arms-forward'],
    ['prepare', 'free.forearm-turns', 'bent'],
    ['range', 'stretch.flexors', 'open'],
    ['range', 'stretch.extensors', 'fist'],
    ['range', 'stretch.palm-press', 'up'],
    ['range', 'rock.palm-fore-aft', 'behind'],
    ['range', 'rock.palm-side', 'outward'],
    ['load', 'rock.palm-circles', 'all-fours'],
    ['load', 'rock.fist-rolls', 'all-fours'],
    ['strength', 'isometric.flexion', 'medium', '1x6 @50% 5s tempo1-1 L,R'],
    ['strength', 'strength.finger-lifts', 'all-fours', '1x5 tempo3-3 L,R <>'],
    ['strength', 'isometric.extension', 'medium', '1x6 @50% 5s tempo1-1 L,R'],
    ['skill', 'bearing.palm-support', 'knees-back'],
    ['settle', 'stretch.back-to-back', 'low'],
    ['settle', 'settle.shakes', 'hanging'],
    ['settle', 'settle.resting-breaths', 'seated', '1x5br'],
  ]),
  palms: write('Loading the palms', 'For hand balancers: from all fours to the plank on strong, active palms.', 25, 'floor-loading', [
    ['prepare', 'free.wrist-circles', 'free-spread', '1x3 tempo4-4 LR <>'],
    ['prepare', 'free.open-close', 'fast'],
    ['range', 'stretch.flexors', 'open'],
    ['range', 'rock.palm-fore-aft', 'over'],
    ['range', 'rock.palm-backward', 'both'],
    ['load', 'rock.palm-circles', 'all-fours'],
    ['load', 'rock.back-of-hand', 'both-inward'],
    ['strength', 'strength.palm-lift', 'knees-back'],
    ['strength', 'strength.palm-lift-hold', 'all-fours'],
    ['strength', 'isometric.extension', 'medium'],
    ['skill', 'bearing.palm-support', 'plank'],
    ['settle', 'stretch.extensors', 'fist'],
    ['settle', 'settle.shakes', 'overhead'],
    ['settle', 'settle.resting-breaths', 'seated'],
  ]),
  grip: write('Grip and release', 'Closing strength for straps, paddle and blade, and just as much opening.', 22, 'grip-and-iron', [
    ['prepare', 'free.open-close', 'overhead'],
    ['prepare', 'free.side-sweeps', 'free'],
    ['prepare', 'free.finger-touches', 'seeing'],
    ['range', 'stretch.flexors', 'curled'],
    ['load', 'grip.ball-squeeze', 'firm', '2x5 @50% 3s tempo1-1 rest20 L,R'],
    ['load', 'grip.band-opening', 'held', '2x8 2s tempo1-2 rest20 L,R'],
    ['strength', 'grip.ring-little-squeeze', 'ball', '1x10 tempo2-2 L,R'],
    ['strength', 'isometric.ulnar', 'medium', '1x5 @50% 5s tempo1-1 L,R'],
    ['strength', 'isometric.turns', 'gentle', '1x4 @30% 4s tempo1-1 L,R <>'],
    ['settle', 'stretch.extensors', 'open'],
    ['settle', 'settle.shakes', 'hanging'],
  ]),
  return: write('Careful return', 'After a sprain: low effort, several angles, the other side for comparison.', 15, 'careful-return', [
    ['prepare', 'free.wrist-circles', 'supported-fist', '1x4 tempo3-3 L,R <>'],
    ['prepare', 'free.bending-waves', 'table'],
    ['range', 'stretch.flexors', 'curled', '1x15s L,R'],
    ['load', 'isometric.extension', 'gentle', '1x5 @30% 4s tempo1-1 L,R'],
    ['load', 'isometric.flexion', 'gentle', '1x5 @30% 4s tempo1-1 L,R'],
    ['load', 'isometric.radial', 'gentle', '1x5 @25% 4s tempo1-1 L,R'],
    ['strength', 'rock.palm-fore-aft', 'table'],
    ['strength', 'grip.ring-little-squeeze', 'putty', '1x8 tempo2-2 L,R'],
    ['settle', 'settle.resting-breaths', 'seated'],
  ]),
  free: write(
    'Free movement between assignments',
    'Unloaded only, until a doctor or therapist has checked the tingling.',
    8,
    'daily-range',
    [
      ['prepare', 'free.open-close', 'slow'],
      ['prepare', 'free.wrist-circles', 'supported-fist', '1x3 tempo3-3 L,R <>'],
      ['prepare', 'free.bending-waves', 'table'],
      ['prepare', 'free.side-sweeps', 'on-table'],
      ['prepare', 'free.finger-touches', 'seeing', '1x5 tempo1-1 <>'],
      ['settle', 'settle.shakes', 'hanging'],
      ['settle', 'settle.resting-breaths', 'seated'],
    ],
  ),
  gentle: write('Warm thumbs', 'Mid-range, no added weight, warm hands first.', 12, 'careful-return', [
    ['prepare', 'free.open-close', 'slow', '1x12 tempo2-2'],
    ['prepare', 'free.forearm-turns', 'bent'],
    ['prepare', 'free.finger-touches', 'seeing'],
    ['range', 'stretch.extensors', 'open', '1x15s L,R'],
    ['load', 'isometric.extension', 'gentle', '1x5 @20% 3s tempo1-1 L,R'],
    ['load', 'grip.towel-gather', 'small', '1x20s L,R'],
    ['strength', 'grip.band-opening', 'light', '1x8 tempo1-2 L,R'],
    ['settle', 'settle.shakes', 'hanging'],
    ['settle', 'settle.resting-breaths', 'seated'],
  ]),
  turns: write(
    'Opposites, alternating',
    'Curl and reverse curl in alternation, then carries for the lantern poles; the last one until form breaks down.',
    30,
    'grip-and-iron',
    [
      ['prepare', 'free.open-close', 'slow', '1x12 tempo2-2'],
      ['prepare', 'free.wrist-circles', 'free-fist', '1x3 @40% tempo5-5 L,R <>'],
      ['prepare', 'free.side-sweeps', 'free'],
      ['range', 'stretch.flexors', 'open', '1x20s L,R'],
      ['range', 'stretch.extensors', 'open', '1x20s L,R'],
      ['load', 'grip.band-opening', 'light', '1x30 tempo1-1'],
      ['strength', 'weight.curl', 'light', '1x10 @40% tempo1-2 L,R'],
      ['strength', 'weight.reverse-curl', 'light', '1x10 @40% tempo1-2 L,R'],
      ['strength', 'grip.bar-carry', 'light', '2x30m,1xmax60m rest60', { breakS: 45 }],
      ['strength', 'grip.band-opening', 'held', '1x8 2s tempo1-2'],
      ['settle', 'settle.long-flexors', 'easy', '1xease60s L,R'],
      ['settle', 'settle.shakes', 'hanging'],
    ],
    [[7, 8, 3, 60, { morePercent: -10 }]],
  ),
  clock: write(
    'Lantern class by the clock',
    'Half a minute each; the second round is faster.',
    16,
    'daily-range',
    [
      ['prepare', 'free.open-close', 'slow', '1x30s'],
      ['prepare', 'free.bending-waves', 'arms-forward', '1x30s'],
      ['prepare', 'free.forearm-turns', 'bent', '1x30s'],
      ['prepare', 'free.wrist-circles', 'free-fist', '1x20s LR <>'],
      ['range', 'stretch.palm-press', 'up', '1x20s', { breakS: 20 }],
      ['range', 'stretch.back-to-back', 'low', '1x20s'],
      ['range', 'rock.palm-fore-aft', 'behind', '1x30s', { breakS: 20 }],
      ['load', 'rock.fist-rolls', 'all-fours', '1x30s'],
      ['skill', 'bearing.palm-support', 'knees-back', '2x20s rest20'],
      ['settle', 'settle.long-extensors', 'easy', '1x20s L,R'],
      ['settle', 'settle.shakes', 'hanging', '1x30s'],
      ['settle', 'settle.resting-breaths', 'seated'],
    ],
    [[1, 4, 2, 15, { fasterPercent: 25 }]],
  ),
  looking: write('Careful, with rechecks', 'Low effort at gentle angles; compare the hands before and after.', 18, 'careful-return', [
    ['prepare', 'free.open-close', 'slow', '1x12 tempo2-2'],
    ['prepare', 'free.wrist-circles', 'supported-fist', '1x4 tempo3-3 L,R <>', { lookAgain: ['between hands'] }],
    ['range', 'stretch.flexors', 'curled', '1xease30s L,R'],
    ['load', 'isometric.extension', 'gentle', '1x5 @20% 3s tempo1-1 pause3 L,R'],
    ['load', 'isometric.flexion', 'gentle', '1x5 @20% 3s tempo1-1 pause3 L,R'],
    ['load', 'rock.palm-fore-aft', 'behind', '1x8 wedge20', { breakS: 30, lookAgain: ['after'] }],
    ['settle', 'stretch.back-to-back', 'low', '1x20s'],
    ['settle', 'settle.shakes', 'hanging'],
    ['settle', 'settle.resting-breaths', 'seated'],
  ]),
  faults: write('Find the mistakes', 'An exercise for new coaches: it contains ten deliberate mistakes.', 16, 'daily-range', [
    ['prepare', 'free.wrist-circles', 'free-fist', '1x4 tempo4-4 L,R >'],
    ['prepare', 'rock.palm-fore-aft', 'behind'],
    ['prepare', 'free.bending-waves', 'arms-forward'],
    ['prepare', 'free.open-close', 'fast'],
    ['prepare', 'free.finger-touches', 'seeing'],
    ['range', 'stretch.flexors', 'open', '3x30s rest10 L,R'],
    ['range', 'stretch.extensors', 'fist', '1x20s L,R'],
    ['load', 'rock.back-of-hand', 'both-inward'],
    ['strength', 'isometric.extension', 'medium', '2x8 @60% 12s tempo1-1 rest20 L,R'],
    ['strength', 'isometric.flexion', 'medium', '2x6 @50% 4s tempo1-1 rest20 L'],
    ['skill', 'bearing.palm-support', 'plank', '1x30s'],
  ]),
} as const satisfies Record<string, Sequence>;
/** The name of one of the demo’s sequences. */
export type SequenceKey = keyof typeof DEMO_SEQUENCES;

/** The same sequence as it was in the first weeks: one set of what loads. */
export function earlierForm(sequence: Sequence): Sequence {
  const blocks = sequence.blocks.map((block) =>
    block.phase === 'load' || block.phase === 'strength' || block.phase === 'skill'
      ? { ...block, dose: { ...block.dose, sets: 1 } }
      : block,
  );
  return { ...sequence, blocks };
}

/** How the hall files its sequences. */
export const DEMO_FILING: Readonly<
  Partial<Record<SequenceKey, { readonly tags?: readonly string[]; readonly isFavourite?: boolean; readonly isArchived?: boolean }>>
> = {
  class: { tags: ['class', 'whole hand'], isFavourite: true },
  palms: { tags: ['floor'] },
  grip: { tags: ['grip'] },
  return: { tags: ['after injury'] },
  looking: { tags: ['after injury'] },
  gentle: { tags: ['after injury'] },
  clock: { tags: ['class'] },
  faults: { tags: ['for coaches'] },
};
