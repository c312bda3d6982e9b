import { quantity, say } from '../../vocabulary/sentence.js';
import { changing } from './choose.js';
import { type Check, type Fix, type Observation, PRACTICE } from './finding.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { roundOf } from '../../model/rounds.js';
import { HANDS } from '../../vocabulary/hands.js';

/** Less rest than this between hard sets leaves the second one short. Working value. */
const HARD_REST_S = 30;
/** Finds hard sets without rest between them. */
export const restShort: Check = {
  id: 'rest-short',
  title: 'Hard sets without enough rest',
  severity: 'look',
  why: 'A set ends when quality drops, and rest brings quality back.',
  source: PRACTICE,
  find: (view) =>
    view.blocks.flatMap((block): Observation[] => {
      if (!block.hard) return [];
      const shortest = shortestRest(view, block);
      if (!shortest || shortest.restS >= HARD_REST_S) return [];
      const between = shortest.ofRound ? 'rounds' : 'sets';
      const text = say`${block.movement.name}: ${quantity(shortest.restS, 's')} between ${between} at ${quantity(block.effortPercent, '%')} effort.`;
      return [{ blockIds: [block.block.id], text, fix: rested(view, block, shortest) }];
    }),
};

/** The shortest time from the end of one set of a hand to the beginning of its next. */
interface Rest {
  readonly restS: number;
  /** Whether it lies between two rounds. */
  readonly ofRound: boolean;
}

/** As it is: while the other hand works, or another block of the round, a hand rests. */
function shortestRest({ timeline }: SessionView, { index }: BlockView): Rest | null {
  const stints = timeline.stints.filter(({ blockIndex }) => blockIndex === index);
  const rests = HANDS.flatMap((hand) => {
    const mine = stints.filter(({ side }) => side === hand || side === 'both');
    return mine.flatMap((stint, at): Rest[] => {
      const before = mine[at - 1];
      // Two directions of one set are one effort, with a breath in between.
      if (!before || (before.set === stint.set && before.round === stint.round)) return [];
      return [{ restS: (stint.startMs - before.endMs) / 1000, ofRound: before.round !== stint.round }];
    });
  });
  return rests.reduce<Rest | null>((least, rest) => (least && least.restS <= rest.restS ? least : rest), null);
}

/** So much rest as makes a minute of it. */
const WANTED_REST_S = 60;

function rested({ sequence }: SessionView, block: BlockView, { restS, ofRound }: Rest): Fix {
  const { dose, id } = block.block;
  const round = roundOf(sequence, id);
  const missingS = Math.ceil((WANTED_REST_S - restS) / 5) * 5;
  if (!ofRound || !round) {
    const longer = dose.restS + missingS;
    return changing(`Rest ${longer} s between sets`, block, { ...dose, restS: longer });
  }
  const longer = round.restS + missingS;
  return { label: say`Rest ${quantity(longer, 's')} between rounds`, edits: [{ kind: 'round', round: { ...round, restS: longer } }] };
}
