import type { ClassMember, MemberBlock } from '../../model/class-session.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import type { ClassComplaint, MemberState } from './class-member.js';

type Forms = MemberState['forms'];
type Felt = Pick<ClassComplaint, 'blockId' | 'place' | 'discomfort'>;

/** What remains of a block for somebody after something hurt: none of it where the sore place is loaded, else the gentlest form where there is a choice. */
function leftOf({ sore }: ClassMember, { blockId, like, forms }: MemberBlock, felt: Felt): number {
  const isOut = sore.some(({ place, blockIds }) => place === felt.place && blockIds.includes(blockId));
  if (isOut) return -1;
  if (blockId !== felt.blockId && !like.includes(felt.blockId)) return Infinity;
  return forms.length > 1 ? 0 : -1;
}

/**
 * How far up the forms of a block somebody may be taken: never harder where something hurts. At 3 or 4 of 10 they stay where they are; from 5 on, the gentlest
 * form of what loads the place in the same way, and nothing of what the sore place rules out.
 * @returns an index into the forms; −1 where only sitting out is left, Infinity where nothing limits it
 */
export function hardestAllowed(
  member: ClassMember,
  { complaints, forms }: Pick<MemberState, 'complaints' | 'forms'>,
  blockId: string,
): number {
  const plan = member.blocks.find((block) => block.blockId === blockId);
  if (!plan) return -1;
  const limits = complaints.map((felt) => {
    if (felt.discomfort <= DISCOMFORT_GO_ON_MAX) return Infinity;
    const left = leftOf(member, plan, felt);
    return felt.discomfort <= DISCOMFORT_HOLD_MAX && left < Infinity ? (forms[blockId] ?? -1) : left;
  });
  return Math.min(Infinity, ...limits);
}

/**
 * What somebody does after something hurt, until the coach says otherwise. Up to 4 of 10 nothing changes by itself; from 5 on, they sit out the rest of the
 * block that hurt, and do what is left (`leftOf`) of those that come.
 * @param behind blocks that are over
 */
export function formAfter(member: ClassMember, forms: Forms, felt: Felt, behind: ReadonlySet<string>): Forms {
  if (felt.discomfort <= DISCOMFORT_HOLD_MAX) return forms;
  const next: Record<string, number> = { ...forms, [felt.blockId]: -1 };
  for (const block of member.blocks) {
    const { blockId } = block;
    if (blockId !== felt.blockId && !behind.has(blockId)) next[blockId] = Math.min(forms[blockId] ?? -1, leftOf(member, block, felt));
  }
  return next;
}
