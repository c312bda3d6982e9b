import type { AthleteSuggestion, SuggestionAnswerInput, SuggestionTakenBackInput } from '@clay-pot/contracts';
import { SUGGESTIONS, counted, type Dose } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { type OutboxMessage, useOutbox } from '../../store/outbox.js';
import { useToast } from '../../ui/toast.js';

/** The same suggestion on the same evidence. */
const suggestionId = ({ athleteId, key, evidenceKey }: Pick<AthleteSuggestion, 'athleteId' | 'key' | 'evidenceKey'>): string =>
  `${athleteId} ${key} ${evidenceKey}`;

/** Which suggestions were answered on this device, until the server tells no more of them. */
const useAnsweredHere = create<{ readonly ids: ReadonlySet<string> }>(() => ({ ids: new Set() }));

const PATH = /^\/athletes\/([^/]+)\/suggestions\/[^/]+$/;
/** The suggestions that messages answer. */
const answeredBy = (messages: readonly OutboxMessage[]): Set<string> =>
  new Set(
    messages.flatMap(({ path, body }) => {
      const athleteId = PATH.exec(path)?.[1];
      return athleteId === undefined ? [] : [suggestionId({ athleteId, ...(body as SuggestionAnswerInput) })];
    }),
  );

/** The suggestions that still wait for an answer: what was answered on this device is not asked again, sent or not; what the server would not take is. */
export function useWaiting(suggestions: readonly AthleteSuggestion[]): AthleteSuggestion[] {
  const here = useAnsweredHere(({ ids }) => ids);
  const messages = useOutbox((state) => state.messages);
  const refused = useOutbox((state) => state.refused);
  const [onTheirWay, back] = [answeredBy(messages), answeredBy(refused)];
  return suggestions.filter((suggestion) => {
    const id = suggestionId(suggestion);
    return !onTheirWay.has(id) && (!here.has(id) || back.has(id));
  });
}

/** What a coach makes of one suggestion: one of its options by id, or none of them. */
export interface ChosenAnswer {
  readonly suggestion: AthleteSuggestion;
  /** Null where it is declined. */
  readonly optionId: string | null;
  /** Typed instead of the option’s own. */
  readonly dose?: Dose;
}

/** Sends answers; they can be taken back. */
export function useAnswerSuggestions() {
  const { show } = useToast();
  return (chosen: readonly ChosenAnswer[], reason = '') => {
    const at = new Date().toISOString();
    const sent = chosen.map(({ suggestion, optionId, dose }) => {
      const body: SuggestionAnswerInput = {
        key: suggestion.key,
        evidenceKey: suggestion.evidenceKey,
        answer: optionId === null ? 'declined' : optionId === suggestion.options[0].id && !dose ? 'accepted' : 'changed',
        ...(optionId !== null && { optionId }),
        ...(dose && { dose }),
        reason,
        at,
      };
      const path = `/athletes/${suggestion.athleteId}/suggestions/${uuid()}`;
      useOutbox.getState().add({ path, body });
      return { path, id: suggestionId(suggestion) };
    });
    useAnsweredHere.setState(({ ids }) => ({ ids: new Set([...ids, ...sent.map(({ id }) => id)]) }));
    show({
      text: reportText(chosen),
      action: {
        label: 'Undo',
        run: () => {
          const body: SuggestionTakenBackInput = { at: new Date().toISOString() };
          for (const { path } of sent) useOutbox.getState().add({ path: `${path}/taken-back`, body });
          const back = new Set(sent.map(({ id }) => id));
          useAnsweredHere.setState(({ ids }) => ({ ids: new Set([...ids].filter((id) => !back.has(id))) }));
        },
      },
    });
  };
}

function reportText(chosen: readonly ChosenAnswer[]): string {
  const first = chosen[0]?.suggestion;
  if (!first) return 'No answer was saved.';
  const done = chosen.filter(({ optionId }) => optionId !== null).length;
  const of = `${first.athleteName}: ${SUGGESTIONS[first.kind].label.toLowerCase()}`;
  if (done === 0) return `${of} declined.`;
  return chosen.length === 1 ? `${of} accepted.` : `${of}: ${done} of ${counted(chosen.length, 'suggestion')} accepted.`;
}
