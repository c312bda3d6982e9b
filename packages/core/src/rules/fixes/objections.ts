import { type BlockView, type SessionView, viewOf } from '../../effort/session-view.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { LOADED_FROM_PERCENT } from '../../effort/session-account.js';
import { HANDS } from '../../vocabulary/hands.js';
import { same } from '../../vocabulary/same.js';
import { SEVERITIES, type Severity } from '../checks/finding.js';
import { type Finding, findingsOf } from '../checks/index.js';
import { usesNoMore } from '../gate/at-hand.js';
import { workIn } from '../gate/moments.js';

/** Checks that say a block is too much for somebody: each is answered by gentler forms of it. */
export const TOO_MUCH: readonly string[] = [
  'not-cleared',
  'leave-out',
  'caution-limit',
  'nerve-glide',
  'impossible-posture',
  'range-over',
  'demand-over',
  'failing-hold',
  'effort-ceiling',
  'equipment-missing',
];

/** How edits are judged. */
export interface Judging {
  /** Findings as grave as this count where the edits raise them; those that are a stop always do. */
  readonly upTo: Severity;
  /** Whether what they change must not be more work than it was. */
  readonly isEasing?: boolean;
  /** Whether a block that they change may stay too much in what it was too much in: some of everything less mends no single block. */
  readonly mayStay?: boolean;
  /** Everything that is found without them, where that is known. */
  readonly before?: readonly Finding[];
}

/**
 * What stands against proposing edits of a sequence, by the ids of checks: whatever is too much for somebody in a block that they make, and each finding
 * that they raise anywhere. Empty where they may be proposed. The one place in which the sequence that would result is held against the checks.
 */
export function objectionsTo(view: SessionView, edits: readonly Edit[], judging: Judging): string[] {
  const after = viewOf({ ...view, sequence: applyEdits(view.sequence, edits) });
  return objectionsIn(after, findingsOf(after), view, judging);
}

/** As `objectionsTo`, where the sequence that results is examined already. @param found everything that is found in it */
export function objectionsIn(
  after: SessionView,
  found: readonly Finding[],
  view: SessionView,
  { upTo, isEasing = false, mayStay = false, before = foundIn(view) }: Judging,
): string[] {
  const made = madeBy(view, after);
  const tooMuch = made.flatMap((block) => tooMuchIn(block, found, view));
  const objections = [...(mayStay ? [] : tooMuch), ...raised(before, found, upTo)];
  if (isEasing && made.some((block) => isMoreWork(block, view))) objections.push(MORE_WORK);
  return [...new Set(objections)];
}
const MORE_WORK = 'more-work';

/** What is found in a view, once: one sequence is asked about for each of its blocks. */
const FOUND = new WeakMap<SessionView, readonly Finding[]>();
function foundIn(view: SessionView): readonly Finding[] {
  const found = FOUND.get(view) ?? findingsOf(view);
  FOUND.set(view, found);
  return found;
}

/** In what a block is too much. Equipment that it used before is there, recorded or not. */
function tooMuchIn(now: BlockView, found: readonly Finding[], view: SessionView): string[] {
  const was = view.blocks.find(({ block }) => block.id === now.block.id);
  const isThere = was !== undefined && usesNoMore(view, workIn(now), was);
  return found
    .filter(
      ({ check: { id }, blockIds }) => TOO_MUCH.includes(id) && blockIds.includes(now.block.id) && !(id === 'equipment-missing' && isThere),
    )
    .map(({ check }) => check.id);
}

/** The blocks that are other than they were. */
const madeBy = (view: SessionView, after: SessionView): BlockView[] =>
  after.blocks.filter(({ block }) => !view.blocks.some((was) => same<unknown>(was.block, block)));

/** A tenth more of what tires is as much; of what hardly tires, a quarter more of the time is. Working values. */
const AS_MUCH = { dose: 1.1, time: 1.25 } as const;
const LITTLE = { dose: 0.1, seconds: 10 } as const;
/** More of what tires a hand than the block did that it was, or much longer. */
function isMoreWork({ block, account }: BlockView, before: SessionView): boolean {
  const was = before.blocks.find((each) => each.block.id === block.id);
  if (!was) return false;
  return HANDS.some((hand) => {
    const [now, before] = [account[hand], was.account[hand]];
    const isMore = now.enduranceDose > before.enduranceDose * AS_MUCH.dose + LITTLE.dose;
    return isMore || (now.effortPercent >= LOADED_FROM_PERCENT && now.workS > before.workS * AS_MUCH.time + LITTLE.seconds);
  });
}

/** Checks that find more than they did, as grave as asked. */
function raised(before: readonly Finding[], after: readonly Finding[], upTo: Severity): string[] {
  const weight = (severity: Severity) => SEVERITIES.indexOf(severity);
  const grave = (findings: readonly Finding[]) =>
    findings.filter(({ check, muted }) => muted === null && weight(check.severity) <= weight(upTo));
  const was = placesOf(grave(before));
  return [...placesOf(grave(after))].flatMap(([place, count]) => (count > (was.get(place) ?? 0) ? [place.split(' ')[0] ?? place] : []));
}

/** How often each check speaks of each block; of the whole where it names none. */
function placesOf(findings: readonly Finding[]): Map<string, number> {
  const places = new Map<string, number>();
  for (const { check, blockIds } of findings) {
    for (const id of blockIds.length ? blockIds : ['']) {
      const place = `${check.id} ${id}`;
      places.set(place, (places.get(place) ?? 0) + 1);
    }
  }
  return places;
}
