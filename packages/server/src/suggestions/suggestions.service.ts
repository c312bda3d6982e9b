import type { AnsweredSuggestion, AthleteSuggestion, SuggestionsOfAthlete, StudioSuggestions } from '@clay-pot/contracts';
import type { ComingBrief, SuggestionsAnswer } from '@clay-pot/core/answers';
import { type Suggestion, openSuggestions, worstFirst } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { setTimeout as sleep } from 'node:timers/promises';
import { MoreThanOrEqual } from 'typeorm';
import { subDays } from 'date-fns';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { type Revised, KeptAnswersService } from '../kept/kept-answers.service.js';
import { SuggestionAnswerRow } from './suggestion.entities.js';
import { SuggestionWorkService } from './suggestion-work.service.js';
import { SuggestionsFill } from './suggestions-fill.js';

/** A small studio is looked at while it is asked; a large one is told who is left. */
const WAIT_MS = 250;
/** What was answered longer ago rests on evidence that nobody calls by any more. */
const ANSWERS_DAYS = 200;
const ANSWERED_SHOWN = 60;

/** Tells what waits for a coach’s answer. */
@Injectable()
export class SuggestionsService {
  constructor(
    private readonly clock: Clock,
    private readonly work: SuggestionWorkService,
    private readonly kept: KeptAnswersService,
    private readonly fill: SuggestionsFill,
  ) {}

  /** Over all athletes, the gravest first. */
  async ofStudio(scope: StudioScope): Promise<StudioSuggestions> {
    const athletes = await scope.of(AthleteRow).find({ select: { id: true, name: true, evidenceRevision: true }, order: { name: 'ASC' } });
    const [found, answers] = await Promise.all([this.keptOf(scope, athletes), this.answers(scope)]);
    let { kept, stale } = found;
    if (stale.length > 0) {
      await Promise.race([this.fill.fill(scope, stale), sleep(WAIT_MS)]);
      ({ kept, stale } = await this.keptOf(scope, athletes));
    }
    const suggestions = athletes.flatMap((athlete) => {
      // The earlier result is shown until a new one is there.
      const mineFound = kept.get(athlete.id);
      const mine = answers.filter(({ athleteId }) => athleteId === athlete.id);
      return openSuggestions(mineFound?.suggestions ?? [], mine).map((suggestion) =>
        athleteSuggestion(athlete, suggestion, mineFound?.coming ?? []),
      );
    });
    return { suggestions: suggestions.sort(worstFirst), toLookAt: stale.length };
  }

  private keptOf(scope: StudioScope, athletes: readonly Revised[]) {
    return this.kept.ofStudio<SuggestionsAnswer>(scope, athletes, 'suggestions');
  }

  /** @throws 404 */
  async ofAthlete(scope: StudioScope, athleteId: string): Promise<SuggestionsOfAthlete> {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const [{ suggestions, coming }, answers] = await Promise.all([this.current(scope, athleteId), this.answers(scope, athleteId)]);
    return {
      open: openSuggestions(suggestions, answers).map((suggestion) => athleteSuggestion(athlete, suggestion, coming)),
      answered: answers.toReversed().slice(0, ANSWERED_SHOWN).map(answered),
    };
  }

  /** What is proposed by what is known now. @throws 404 */
  current(scope: StudioScope, athleteId: string): Promise<SuggestionsAnswer> {
    return this.kept.of(scope, athleteId, 'suggestions', () => this.work.find(scope, athleteId));
  }

  private answers(scope: StudioScope, athleteId?: string): Promise<SuggestionAnswerRow[]> {
    const at = MoreThanOrEqual(subDays(this.clock.now(), ANSWERS_DAYS));
    return scope.of(SuggestionAnswerRow).find({
      where: { at, ...(athleteId !== undefined && { athleteId }) },
      order: { at: 'ASC', id: 'ASC' },
    });
  }
}

function athleteSuggestion(
  { id, name }: Pick<AthleteRow, 'id' | 'name'>,
  suggestion: Suggestion,
  coming: readonly ComingBrief[],
): AthleteSuggestion {
  const places = suggestion.options.flatMap(({ effect }) => (effect.kind === 'blocks' ? effect.plans.map(({ place }) => place) : []));
  const alone = places.find(({ programmeId }) => programmeId === null);
  const sequenceId = alone?.sequenceId ?? null;
  const isAssigned = coming.some(({ place, day }) => place.programmeId === null && place.sequenceId === sequenceId && day !== null);
  return { ...suggestion, athleteId: id, athleteName: name, sequenceId, isAssigned };
}

/** An answer as the API shows it. */
export const answered = ({
  id,
  key,
  kind,
  hands,
  why,
  answer,
  words,
  reason,
  sessionId,
  changed,
  at,
}: SuggestionAnswerRow): AnsweredSuggestion => ({
  ...{ id, key, kind, hands: [...hands], why, answer, words, reason, sessionId },
  programmeId: changed.flatMap((change) => ('programmeId' in change ? change.programmeId : []))[0] ?? null,
  sequenceId: changed.flatMap((change) => ('ownId' in change ? change.ownId : []))[0] ?? null,
  at: at.toISOString(),
});
