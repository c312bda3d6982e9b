import { type Sentence, sentenceText } from '../../vocabulary/sentence.js';
import { type BlockView, type SessionView, viewOf } from '../../effort/session-view.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { blockOf } from '../checks/block-views.js';
import { editsOf } from '../checks/finding.js';
import { type Finding, findingsBy, findingsOf, keyOfFinding } from '../checks/index.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { editWords } from './edit-words.js';
import { type Answer, gentlerFor } from './gentler.js';
import { objectionsIn, TOO_MUCH } from './objections.js';

/** An answer to a finding: exactly what it changes, in words and as edits. */
export interface Offer {
  readonly label: Sentence;
  readonly edits: readonly Edit[];
}

/** How many answers stand beside a finding. */
const OFFERED = 3;
/**
 * What would answer a finding without doing harm: no answer raises a finding as grave as this one or graver, and each makes this one go. The
 * gentlest comes first, one of each kind; taking a block out is offered when nothing else would do. Computed by carrying each answer out: see
 * `offersStepwise` for where somebody is typing.
 */
export function offersFor(view: SessionView, finding: Finding, before = findingsOf(view)): Offer[] {
  const steps = offersStepwise(view, finding, before);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/**
 * As `offersFor`, pausing after each answer that was carried out, so that whoever runs it may stop in between.
 * @param before everything that is found in the view
 */
export function* offersStepwise(view: SessionView, finding: Finding, before: readonly Finding[]): Generator<undefined, Offer[]> {
  const found: Offer[] = [];
  for (const { kind, tries } of answersTo(view, finding)) {
    if (kind === 'out' && found.length > 0) break;
    const edits = yield* firstHarmless(view, finding, before, tries);
    if (!edits) continue;
    const label = editWords(view.sequence, edits, view.lookup);
    if (label && !found.some((other) => sentenceText(other.label) === sentenceText(label))) found.push({ label, edits });
    if (found.length === OFFERED) break;
  }
  return found;
}

type Kind = Answer['kind'] | 'own';
/** Checks of strength; the others are answered by what spares the wrist. */
const TOO_HARD: readonly string[] = ['demand-over', 'failing-hold', 'effort-ceiling'];

/** What the check itself would do, and where a block is too much, its gentler forms; what takes blocks out last. */
function answersTo(view: SessionView, { check, fix, blockIds }: Finding): { kind: Kind; tries: readonly (readonly Edit[])[] }[] {
  const [id] = blockIds;
  const own = fix ? editsOf(fix) : [];
  const mine = own.length > 0 ? [{ kind: 'own' as const, tries: [own] }] : [];
  if (!TOO_MUCH.includes(check.id) || id === undefined) return mine;
  const block: BlockView = blockOf(view, id);
  const gentler = gentlerFor(view, block, TOO_HARD.includes(check.id) ? 'hard' : 'hurts');
  const removes = own.some((edit) => edit.kind === 'remove');
  // A longer rest, or what else the check itself knows, changes less than another form of the block.
  return removes ? gentler : [...mine, ...gentler];
}

function* firstHarmless(
  view: SessionView,
  finding: Finding,
  before: readonly Finding[],
  tries: readonly (readonly Edit[])[],
): Generator<undefined, readonly Edit[] | null> {
  for (const edits of tries) {
    const raised = raisedBy(view, finding, before, edits);
    yield;
    if (raised?.length === 0) return edits;
    // What only takes a little longer than there was time for says how long it takes.
    if (raised?.every((check) => check === 'minutes-over')) {
      const longer = withMinutes(view, edits);
      const still = raisedBy(view, finding, before, longer);
      yield;
      if (still?.length === 0) return longer;
    }
  }
  return null;
}

function withMinutes(view: SessionView, edits: readonly Edit[]): readonly Edit[] {
  const sequence = applyEdits(view.sequence, edits);
  const budgetMin = Math.ceil(compileTimeline(sequence, view.lookup).plannedMs / 60_000);
  return [...edits, { kind: 'budget', budgetMin }];
}

/** What stands against edits as an answer to a finding, by the ids of checks; null when the finding stays. */
export function raisedBy(view: SessionView, finding: Finding, before: readonly Finding[], edits: readonly Edit[]): string[] | null {
  const after = viewOf({ ...view, sequence: applyEdits(view.sequence, edits) });
  // Most of what is tried doesn’t answer it: one check tells, before all others are asked.
  if (findingsBy([finding.check], after).some((other) => keyOfFinding(other) === keyOfFinding(finding))) return null;
  const found = findingsOf(after);
  return objectionsIn(after, found, view, { upTo: finding.check.severity, before });
}
