import type { Method } from '../model/method.js';
import { letsGoOf } from '../rules/checks/no-release.js';
import { WARM_UP } from '../rules/checks/warm-up.js';
import { STRENGTHENED_PERCENT } from '../rules/checks/strengthened.js';
import { firstOf, groupedBy } from '../vocabulary/lists.js';
import { type Phase, PHASES } from '../vocabulary/phases.js';
import { apart } from './apart.js';
import type { Candidate } from './candidate.js';

/**
 * The order of chosen candidates: by phase; in a warm-up free movement before weight bearing; place by place, starting at the current place and ending where
 * it goes on; from light to hard, with something between two hard ones that lets go.
 */
export function arranged(chosen: readonly Candidate[], { stretching }: Pick<Method, 'stretching'>): Candidate[] {
  const tiers = PHASES.flatMap((phase) =>
    tiersOf(
      phase,
      chosen.filter((each) => each.phase === phase),
    ),
  ).filter((tier) => tier.length > 0);
  const order: Candidate[] = [];
  tiers.forEach((tier, index) => {
    const coming = new Set(tiers[index + 1]?.map(({ station }) => station));
    const inPlaces = byStation(tier, order.at(-1), coming);
    order.push(...(stretching === 'after each strength block' ? stretchedAfter(inPlaces) : inPlaces));
  });
  return stretching === 'after each strength block' ? order : apart(order);
}

/** A stretch follows the last of the blocks that work what it stretches, and those blocks are adjacent. */
function stretchedAfter(tier: readonly Candidate[]): Candidate[] {
  const stretches = tier.filter(({ phase, level }) => phase === 'strength' && level.load.kind === 'stretch');
  let rest = tier.filter((each) => !stretches.includes(each));
  const stretched = stretches.flatMap((stretch) => {
    const isOfIt = ({ movement }: Candidate) => movement.trains.some((group) => stretch.movement.trains.includes(group));
    const mine = rest.filter((each) => each.effortPercent >= STRENGTHENED_PERCENT && isOfIt(each));
    rest = rest.filter((each) => !mine.includes(each));
    return [...mine, stretch];
  });
  return [...rest, ...stretched];
}

function tiersOf(phase: Phase, chosen: readonly Candidate[]): Candidate[][] {
  if (WARM_UP.includes(phase)) return [chosen.filter(({ free }) => free), chosen.filter(({ free }) => !free)];
  if (phase === 'settle') {
    // What still moves, then long stretches, then rest.
    const kindOf = ({ level: { load } }: Candidate) => (load.kind === 'rest' ? 2 : load.kind === 'stretch' ? 1 : 0);
    return [0, 1, 2].map((kind) => chosen.filter((each) => kindOf(each) === kind));
  }
  return [[...chosen]];
}

/** Place by place: the one where one is first, one that it goes on at last. */
function byStation(tier: readonly Candidate[], before: Candidate | undefined, coming: ReadonlySet<string>): Candidate[] {
  const stations = groupedBy(tier, ({ station }) => station);
  const rank = (station: string) => (station === before?.station ? 0 : coming.has(station) ? 2 : 1);
  const names = [...stations.keys()].sort((a, b) => rank(a) - rank(b));
  // With two places that continue into the next phase, only one can come last: the first goes before the others.
  let last = before;
  return names.flatMap((name) => {
    const mine = byPosture(stations.get(name) ?? [], last);
    last = mine.at(-1);
    return mine;
  });
}

function byPosture(station: readonly Candidate[], before: Candidate | undefined): Candidate[] {
  const postures = [...groupedBy(station, ({ posture }) => posture).values()].map((mine) =>
    lettingGo([...mine].sort((a, b) => a.effortPercent - b.effortPercent)),
  );
  return postures
    .sort(
      (a, b) => Number(firstOf(b).posture === before?.posture) - Number(firstOf(a).posture === before?.posture) || hardest(a) - hardest(b),
    )
    .flat();
}
const hardest = (list: readonly Candidate[]) => Math.max(...list.map(({ effortPercent }) => effortPercent));

/** After each hard block comes one that relaxes what it worked, where there is one. */
function lettingGo(sorted: readonly Candidate[]): Candidate[] {
  const easy = sorted.filter(({ hard }) => !hard);
  const hard = sorted.filter((each) => each.hard);
  if (hard.length === 0) return [...sorted];
  const order: Candidate[] = [];
  const answers = hard.map((each) => {
    const at = easy.findIndex((other) => letsGoOf(each, other));
    return at < 0 ? [] : easy.splice(at, 1);
  });
  order.push(...easy);
  hard.forEach((each, index) => order.push(each, ...(answers[index] ?? [])));
  return order;
}
