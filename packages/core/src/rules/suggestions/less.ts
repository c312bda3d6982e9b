import { joinSentences, loweredSentence, say, uniqueSentences } from '../../vocabulary/sentence.js';
import type { SessionView } from '../../effort/session-view.js';
import type { Sequence } from '../../model/sequence.js';
import type { Edit } from '../../model/edits.js';
import { firstOf, isSome } from '../../vocabulary/lists.js';
import { blockOf } from '../checks/block-views.js';
import { adviseOnDiscomfort } from '../reports/discomfort.js';
import { editWords } from '../fixes/edit-words.js';
import { type Answer, gentlerOf } from '../fixes/gentler.js';
import { objectionsTo } from '../fixes/objections.js';
import type { EaseReason } from '../gate/asks-no-more.js';
import type { Because, LevelStanding } from '../progress/level-standing.js';
import type { Suggestion, SuggestionOption } from './suggestion.js';
import { type ComingBlock, comingBlocks, handsIn, inPlans, newestOf, sessionsOf } from './coming-blocks.js';
import type { SuggestionScene } from './question.js';

type Kind = Answer['kind'];
/** What is proposed first. A morning and a gap are answered by a level, whatever the movement; where it hurts again and again it is another movement. */
const ORDER: Record<'level' | 'less' | 'swap', readonly Kind[]> = {
  level: ['level', 'less', 'other', 'out'],
  less: ['less', 'other', 'out'],
  swap: ['other', 'hand', 'level', 'out'],
};
/** What brings back good form: less of it first. */
export const IN_FORM: readonly Kind[] = ['less', 'level', 'hand'];
/** It has hurt in so many of the last three sessions: easing did not help. */
const [OFTEN, OF_LAST] = [2, 3];

/** A level back, less of it or another movement: what hurt, what a morning, a gap or form that gives way again asks for. */
export function lessSuggestions(scene: SuggestionScene): Suggestion[] {
  return [...comingBlocks(scene).values()].flatMap((blocks): Suggestion[] => {
    const troubled = blocks.flatMap(({ standings }) => standings).filter(isLess);
    const mine = blocks.filter(({ standings }) => standings.some(isLess));
    if (!isSome(troubled) || !isSome(mine)) return [];
    const { movement, level } = firstOf(mine);
    const { because, step, why } = firstOf(troubled);
    // A morning or a gap asks nothing of what loads nothing.
    if (because !== 'hurt' && level.loading === 'unloaded') return [];
    const isSwap = because === 'hurt' && mine.some((each) => hurtsOften(scene, each));
    const options = optionsFor(scene, mine, isSwap ? 'swap' : step.kind === 'ease' ? 'less' : 'level', because);
    if (!isSome(options)) return [];
    const last = newestOf(troubled);
    return [
      {
        key: `level ${movement.id}`,
        kind: isSwap && firstOf(options).id === 'other' ? 'swap' : 'ease',
        cause: because === 'hurt' ? `hurts ${movement.id}` : because,
        hands: handsIn(troubled),
        movementId: movement.id,
        why: say`${movement.name}: ${loweredSentence(why)}${isSwap ? ' This isn’t the first time.' : ''}`,
        evidence: sessionsOf(troubled),
        evidenceKey: `${last.sessionId} ${because}`,
        sessionId: because === 'away' ? null : last.sessionId,
        options,
      },
    ];
  });
}

const isLess = ({ step }: LevelStanding) => step.kind === 'level down' || step.kind === 'ease';

/** On the lowest level, or in spite of less. */
function hurtsOften({ viewOf }: SuggestionScene, { plan, standings }: ComingBlock): boolean {
  const { discomfort: policy } = viewOf(plan.sequence).method;
  return standings.some(
    ({ history }) =>
      history.slice(-OF_LAST).filter(({ discomfort }) => discomfort !== null && adviseOnDiscomfort(discomfort, policy) === 'ease-or-stop')
        .length >= OFTEN,
  );
}

function optionsFor(
  scene: SuggestionScene,
  blocks: readonly ComingBlock[],
  order: keyof typeof ORDER,
  because: Because,
): SuggestionOption[] {
  return gentlerOptions(scene, blocks, kindsFor(because, order), because === 'hurt' ? 'hurts' : 'hard');
}

/** A gap and a morning are answered within the movement; what is done out of form also by another way to set the hand up. */
function kindsFor(because: Because, order: keyof typeof ORDER): readonly Kind[] {
  if (because === 'hurt') return ORDER[order];
  if (because === 'form') return IN_FORM;
  return ORDER[order].filter((kind) => kind === 'level' || kind === 'less');
}

/** Gentler forms of all of these blocks together, of each kind the least change; a kind that one of them has not is left out. */
export function gentlerOptions(
  scene: SuggestionScene,
  blocks: readonly ComingBlock[],
  kinds: readonly Kind[],
  reason: EaseReason,
): SuggestionOption[] {
  return kinds.flatMap((kind): SuggestionOption[] => {
    const changes = blocks.flatMap((each) => {
      const edits = gentler(scene, each, kind, reason);
      return edits ? [{ plan: each.plan, edits }] : [];
    });
    if (changes.length < blocks.length) return [];
    const words = changes.map(({ plan, edits }) => editWords(plan.sequence, edits, scene.lookup));
    return [{ id: kind, words: joinSentences(uniqueSentences(words), '; '), effect: { kind: 'blocks', plans: inPlans(changes) } }];
  });
}

/** One gentler form of a block that nothing stands against, or null where there is none of this kind. */
function gentler(
  { viewOf, standings: all }: SuggestionScene,
  { plan, block, movement, standings }: ComingBlock,
  kind: Kind,
  reason: EaseReason,
): readonly Edit[] | null {
  const view = viewOf(plan.sequence);
  const hurt = new Set(all.filter((standing) => isLess(standing) && standing.because === 'hurt').map(({ movementId }) => movementId));
  // What hurts is not exchanged for what hurts as well.
  const tries = gentlerOf(kind, view, blockOf(view, block.id), reason).filter((edits) =>
    edits.every((edit) => edit.kind !== 'change' || edit.movementId === undefined || !hurt.has(edit.movementId)),
  );
  // Without the block nothing of it can be too much.
  if (kind === 'out') return tries[0] ?? null;
  // To where the hand was without trouble, the lower of both.
  const levelIndexes = standings.flatMap(({ step }) =>
    step.kind === 'level down' ? [movement.ladder.findIndex(({ id }) => id === step.levelId)] : [],
  );
  const to = movement.ladder[Math.min(...levelIndexes)]?.id;
  const isThere = ([edit]: readonly Edit[]) => edit?.kind === 'change' && edit.levelId === to;
  const inOrder = kind === 'level' ? [...tries.filter(isThere), ...tries.filter((each) => !isThere(each))] : tries;
  return inOrder.find((edits) => objectionsTo(view, edits, { upTo: 'mend', isEasing: true }).length === 0) ?? null;
}

/** Remembers views, since one sequence is looked at for each of its blocks. */
export function viewsOnce(viewOf: (sequence: Sequence) => SessionView): (sequence: Sequence) => SessionView {
  const views = new Map<Sequence, SessionView>();
  return (sequence) => {
    const view = views.get(sequence) ?? viewOf(sequence);
    views.set(sequence, view);
    return view;
  };
}
