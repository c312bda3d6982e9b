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
  const stations = tiers.map((tier) => groupedBy(tier, ({ station }) => station));
  stationsInOrder(stations.map((each) => [...each.keys()])).forEach((places, tier) => {
    const inPlaces: Candidate[] = [];
    for (const place of places) {
      inPlaces.push(...byPosture(stations[tier]?.get(place) ?? [], inPlaces.at(-1) ?? order.at(-1)));
    }
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

/** The stations of each tier up to it in an order, and what the ways between them come to. */
interface Way {
  readonly cost: number;
  readonly stations: readonly (readonly string[])[];
}

/** To a wall or a table in the same place is a shorter way than to another place. */
const WITHIN_PLACE = 0.5;
/** Among more stations than these in one tier only the order of places is tried, not that within each. */
const MOST_TRIED = 5;

/**
 * The stations of every tier in the order that changes place least: each is gone to once a tier, and a tier begins where the one before it ended wherever that
 * saves a way. By dynamic programming over the station where a tier ends.
 */
function stationsInOrder(tiers: readonly (readonly string[])[]): readonly (readonly string[])[] {
  let ways = new Map<string, Way>([['', { cost: 0, stations: [] }]]);
  for (const tier of tiers) {
    const next = new Map<string, Way>();
    const orders = tier.length <= MOST_TRIED ? permutations(tier) : byPlaces(tier);
    for (const [at, { cost, stations }] of ways) {
      for (const order of orders) {
        const now = order.reduce((sum, station, index) => sum + wayTo(order[index - 1] ?? at, station), cost);
        const last = order.at(-1) ?? at;
        if (now < (next.get(last)?.cost ?? Infinity)) next.set(last, { cost: now, stations: [...stations, order] });
      }
    }
    ways = next;
  }
  const [best] = [...ways.values()].sort((a, b) => a.cost - b.cost);
  return best?.stations ?? [];
}

/** The first station costs no way: everyone begins there. */
const wayTo = (from: string, to: string): number => (from === to || from === '' ? 0 : placeIn(from) === placeIn(to) ? WITHIN_PLACE : 1);
const placeIn = (station: string): string => station.split(' ', 1)[0] ?? '';
/** The stations place by place, the places in every order. */
const byPlaces = (stations: readonly string[]): string[][] =>
  permutations([...groupedBy(stations, placeIn).values()]).map((places) => places.flat());

function permutations<T>(list: readonly T[]): T[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((first) => permutations(list.filter((each) => each !== first)).map((rest) => [first, ...rest]));
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
