import type { AthleteCall, CallAnswerInput, CallTakenBackInput } from '@clay-pot/contracts';
import { CALLS, counted, type Dose } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { type OutboxMessage, useOutbox } from '../../store/outbox.js';
import { useToast } from '../../ui/toast.js';

/** The same call on the same evidence. */
const callId = ({ athleteId, key, evidenceKey }: Pick<AthleteCall, 'athleteId' | 'key' | 'evidenceKey'>): string =>
  `${athleteId} ${key} ${evidenceKey}`;

/** Which calls were answered on this device, until the server tells no more of them. */
const useAnsweredHere = create<{ readonly ids: ReadonlySet<string> }>(() => ({ ids: new Set() }));

const PATH = /^\/athletes\/([^/]+)\/calls\/[^/]+$/;
/** The calls that messages answer. */
const answeredBy = (messages: readonly OutboxMessage[]): Set<string> =>
  new Set(
    messages.flatMap(({ path, body }) => {
      const athleteId = PATH.exec(path)?.[1];
      return athleteId === undefined ? [] : [callId({ athleteId, ...(body as CallAnswerInput) })];
    }),
  );

/** The calls that still wait for an answer: what was answered on this device is not asked again, sent or not; what the server would not take is. */
export function useWaiting(calls: readonly AthleteCall[]): AthleteCall[] {
  const here = useAnsweredHere(({ ids }) => ids);
  const messages = useOutbox((state) => state.messages);
  const refused = useOutbox((state) => state.refused);
  const [onTheirWay, back] = [answeredBy(messages), answeredBy(refused)];
  return calls.filter((call) => {
    const id = callId(call);
    return !onTheirWay.has(id) && (!here.has(id) || back.has(id));
  });
}

/** What a coach makes of one call: one of its options by id, or none of them. */
export interface ChosenAnswer {
  readonly call: AthleteCall;
  /** Null where it is declined. */
  readonly optionId: string | null;
  /** Typed instead of the option’s own. */
  readonly dose?: Dose;
}

/** Sends answers; they can be taken back. */
export function useAnswerCalls() {
  const { show } = useToast();
  return (chosen: readonly ChosenAnswer[], reason = '') => {
    const at = new Date().toISOString();
    const sent = chosen.map(({ call, optionId, dose }) => {
      const body: CallAnswerInput = {
        key: call.key,
        evidenceKey: call.evidenceKey,
        answer: optionId === null ? 'declined' : optionId === call.options[0].id && !dose ? 'accepted' : 'changed',
        ...(optionId !== null && { optionId }),
        ...(dose && { dose }),
        reason,
        at,
      };
      const path = `/athletes/${call.athleteId}/calls/${uuid()}`;
      useOutbox.getState().add({ path, body });
      return { path, id: callId(call) };
    });
    useAnsweredHere.setState(({ ids }) => ({ ids: new Set([...ids, ...sent.map(({ id }) => id)]) }));
    show({
      text: toldOf(chosen),
      action: {
        label: 'Undo',
        run: () => {
          const body: CallTakenBackInput = { at: new Date().toISOString() };
          for (const { path } of sent) useOutbox.getState().add({ path: `${path}/taken-back`, body });
          const back = new Set(sent.map(({ id }) => id));
          useAnsweredHere.setState(({ ids }) => ({ ids: new Set([...ids].filter((id) => !back.has(id))) }));
        },
      },
    });
  };
}

function toldOf(chosen: readonly ChosenAnswer[]): string {
  const first = chosen[0]?.call;
  if (!first) return 'No answer was saved.';
  const done = chosen.filter(({ optionId }) => optionId !== null).length;
  const of = `${first.athleteName}: ${CALLS[first.kind].label.toLowerCase()}`;
  if (done === 0) return `${of} declined.`;
  return chosen.length === 1 ? `${of} accepted.` : `${of}: ${done} of ${counted(chosen.length, 'suggestion')} accepted.`;
}
