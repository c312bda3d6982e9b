import type { Call } from './call.js';

/** How a coach answers a call. */
export const ANSWERS = {
  accepted: 'Accepted',
  changed: 'Accepted with changes',
  declined: 'Declined',
  'taken back': 'Undone',
} as const;
/** How a coach answered a call. */
export type CallAnswerKind = keyof typeof ANSWERS;
/** All answers. */
export const ANSWER_KINDS = Object.keys(ANSWERS) as CallAnswerKind[];

/** An answer, as far as being asked again goes. */
export interface CallAnswered {
  readonly key: string;
  readonly evidenceKey: string;
  readonly answer: CallAnswerKind;
}

/** The calls that wait for an answer: an answered one comes back only with new evidence. @param answers in the order in which they were given */
export function openCalls<C extends Pick<Call, 'key' | 'evidenceKey'>>(calls: readonly C[], answers: readonly CallAnswered[]): C[] {
  return calls.filter(({ key, evidenceKey }) => {
    const last = answers.findLast((answer) => answer.key === key && answer.evidenceKey === evidenceKey);
    return last === undefined || last.answer === 'taken back';
  });
}

/** Whether a call may be declined: what stands on record is lifted by a clearance, and pain that grows is not argued with. */
export const mayDecline = ({ kind }: Pick<Call, 'kind'>): boolean => kind !== 'refer';
