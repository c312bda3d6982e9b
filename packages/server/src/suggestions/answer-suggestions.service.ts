import type { AnsweredSuggestion, SuggestionAnswerInput, SuggestionTakenBackInput } from '@clay-pot/contracts';
import type { ComingBrief } from '@clay-pot/core/answers';
import {
  BARRING_PAIN,
  type BarringPain,
  type Suggestion,
  type SuggestionOption,
  SUGGESTIONS,
  checkTyped,
  carriedOutIn,
  checkProgramme,
  editProgramme,
  type Hand,
  mayDecline,
  type MovementLookup,
  openSuggestions,
  type ProgrammeEdit,
  under,
  withTypedDose,
  sentenceText,
} from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { conflict, invalid } from '../http/problem.js';
import { raiseEvidence } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { storedProgramme } from '../programmes/stored-programme.js';
import { SuggestionAnswerRow, type ChangedProgramme } from './suggestion.entities.js';
import { withoutOwnVersion, withOwnVersions } from './own-versions.js';
import { answered, SuggestionsService } from './suggestions.service.js';

/** Keeps what a coach answers, and does what was chosen: programmes change, a hand goes on record. */
@Injectable()
export class AnswerSuggestionsService {
  constructor(
    private readonly clock: Clock,
    private readonly suggestions: SuggestionsService,
    private readonly library: LibraryService,
  ) {}

  /** The same answer again is fine: a phone on bad Wi-Fi repeats what it got no answer to. @throws 404, 409 where the suggestion rests on other evidence by now, 422 */
  async answer(scope: StudioScope, athleteId: string, id: string, input: SuggestionAnswerInput): Promise<AnsweredSuggestion> {
    const { evidenceRevision } = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const existing = await scope.of(SuggestionAnswerRow).one({ id });
    if (existing) return sameAnswer(existing, athleteId, input);
    const { suggestions, coming } = await this.suggestions.current(scope, athleteId);
    const suggestion = suggestions.find(({ key, evidenceKey }) => key === input.key && evidenceKey === input.evidenceKey);
    if (!suggestion) throw conflict(CHANGED);
    const library = await this.library.of(scope);
    const option = withDose(chosen(suggestion, input), input, library.movement);
    return scope.transaction(async (held) => {
      // One answer about a person at a time: of two devices the second finds the first one’s, with the current evidence.
      const athlete = await held.of(AthleteRow).hold(athleteId, 'athlete');
      const answers = await held.of(SuggestionAnswerRow).find({ where: { athleteId }, order: { at: 'ASC', id: 'ASC' } });
      const same = answers.find((answer) => answer.id === id);
      if (same) return sameAnswer(same, athleteId, input);
      if (openSuggestions([suggestion], answers).length === 0)
        throw conflict('This suggestion was already answered, perhaps on another device. Check the current suggestions.');
      if (athlete.evidenceRevision !== evidenceRevision) throw conflict(CHANGED);
      const row = {
        id,
        athleteId,
        ...{ key: suggestion.key, evidenceKey: suggestion.evidenceKey, kind: suggestion.kind, hands: suggestion.hands },
        why: sentenceText(suggestion.why).slice(0, WHY_LENGTH),
        answer: input.answer,
        ...{ optionId: option?.id ?? '', words: sentenceText(option?.words ?? '').slice(0, WHY_LENGTH) },
        reason: input.reason?.trim() ?? '',
        sessionId: suggestion.sessionId,
        changed: option
          ? [
              ...(await changeProgrammes(held, { athleteId, id, suggestion, option, coming }, this.clock.now())),
              ...(await withOwnVersions(held, { athlete, option, answers, library, now: this.clock.now() })),
            ]
          : [],
        barredHand: option?.effect.kind === 'bar' ? await this.bar(held, athleteId, option.effect) : null,
        at: new Date(input.at),
      };
      await held.of(SuggestionAnswerRow).insert(row, 'answer');
      if (row.changed.length > 0 || row.barredHand) await raiseEvidence(held, athleteId);
      return answered(await held.of(SuggestionAnswerRow).get(id, 'answer'));
    });
  }

  /** Takes an answer back, with all that it changed; what has been changed again since stays. */
  async undo(scope: StudioScope, athleteId: string, id: string, { at }: SuggestionTakenBackInput): Promise<AnsweredSuggestion> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    return scope.transaction(async (held) => {
      const row = await held.of(SuggestionAnswerRow).hold(id, 'answer');
      if (row.athleteId !== athleteId) throw invalid([{ pointer: '/id', message: 'is an answer about another athlete' }]);
      if (row.answer !== 'taken back') {
        for (const change of row.changed) {
          if ('ownId' in change) await withoutOwnVersion(held, change, this.clock.now());
          else await edited(held, change.programmeId, change.back, this.clock.now());
        }
        if (row.barredHand) await unbar(held, athleteId, row.barredHand);
        await held.of(SuggestionAnswerRow).update({ id }, { answer: 'taken back', at: new Date(at) });
        await raiseEvidence(held, athleteId);
      }
      return answered(await held.of(SuggestionAnswerRow).get(id, 'answer'));
    });
  }

  /** Pain goes on record: nothing loads the hand until a practitioner has cleared it. */
  private async bar(held: StudioScope, athleteId: string, { hand, caution }: { hand: Hand; caution: BarringPain }): Promise<Hand> {
    const { cautions, rowVersion } = await held.of(AthleteRow).hold(athleteId, 'athlete');
    const entry = { caution, hand, since: dayIn(held.timeZone, this.clock.now()) } as const;
    await held.of(AthleteRow).update({ id: athleteId }, { cautions: [...cautions, entry], rowVersion: rowVersion + 1 });
    return hand;
  }
}

const WHY_LENGTH = 1000;
const CHANGED = 'This suggestion is out of date because its data has changed. Check the current suggestions.';

function sameAnswer(existing: SuggestionAnswerRow, athleteId: string, { key, answer }: SuggestionAnswerInput): AnsweredSuggestion {
  if (existing.athleteId === athleteId && existing.key === key && (existing.answer === answer || existing.answer === 'taken back')) {
    return answered(existing);
  }
  throw conflict('Another answer is stored under this id. Use a new id.');
}

/** The option that was chosen; null where it was declined. @throws 422 */
function chosen(suggestion: Suggestion, { answer, optionId, reason = '' }: SuggestionAnswerInput): SuggestionOption | null {
  if (answer === 'declined') {
    if (!mayDecline(suggestion)) {
      throw invalid([
        { pointer: '/answer', message: 'A referral can’t be dismissed. Record who cleared it, or that the athlete knows whom to see.' },
      ]);
    }
    if (reason.trim() === '') throw invalid([{ pointer: '/reason', message: 'is needed: why are you dismissing it?' }]);
    return null;
  }
  const option = optionId === undefined ? suggestion.options[0] : suggestion.options.find(({ id }) => id === optionId);
  if (option) return option;
  const ids = suggestion.options.map(({ id }) => id).join(', ');
  throw invalid([{ pointer: '/optionId', message: `must be one of: ${ids}` }]);
}

/** The option with the dose that was typed, where one was. @throws 422 */
function withDose(
  option: SuggestionOption | null,
  { answer, dose }: SuggestionAnswerInput,
  lookup: MovementLookup,
): SuggestionOption | null {
  if (dose === undefined) return option;
  if (answer !== 'changed') throw invalid([{ pointer: '/answer', message: 'is “changed” if a dose is typed' }]);
  if (!option?.typed) throw invalid([{ pointer: '/dose', message: 'is not something this option changes' }]);
  const faults = checkTyped(option.typed, dose, lookup);
  if (faults.length > 0) throw invalid(faults);
  return withTypedDose(option, dose, lookup);
}

interface Accepted {
  readonly athleteId: string;
  readonly id: string;
  readonly suggestion: Suggestion;
  readonly option: SuggestionOption;
  readonly coming: readonly ComingBrief[];
}

async function changeProgrammes(
  held: StudioScope,
  { athleteId, id, suggestion, option, coming }: Accepted,
  now: Date,
): Promise<ChangedProgramme[]> {
  const ids = [...new Set(coming.flatMap(({ place }) => place.programmeId ?? []))];
  const changed: ChangedProgramme[] = [];
  for (const programmeId of ids) {
    const row = await held.of(ProgrammeRow).hold(programmeId, 'programme');
    if (row.athleteId !== athleteId) continue;
    const accepted = { id, reason: `${SUGGESTIONS[suggestion.kind].label}: ${sentenceText(suggestion.why)}`, effect: option.effect };
    const { edits, back } = carriedOutIn(programmeId, row.document, accepted, coming);
    if (edits.length === 0) continue;
    await edited(held, programmeId, edits, now);
    changed.push({ programmeId, back });
  }
  return changed;
}

/** A programme with edits, as a new version of it. @throws 422 where it would no longer be sound */
async function edited(held: StudioScope, programmeId: string, edits: readonly ProgrammeEdit[], updatedAt: Date): Promise<void> {
  const { document, rowVersion } = await held.of(ProgrammeRow).hold(programmeId, 'programme');
  const after = editProgramme(document, edits);
  const faults = checkProgramme(after);
  if (faults.length > 0) throw invalid(under('/programme', faults));
  await held.of(ProgrammeRow).update({ id: programmeId }, { ...storedProgramme(after), rowVersion: rowVersion + 1, updatedAt });
}

async function unbar(held: StudioScope, athleteId: string, hand: Hand): Promise<void> {
  const { cautions, rowVersion } = await held.of(AthleteRow).hold(athleteId, 'athlete');
  const at = cautions.findLastIndex(
    (entry) => BARRING_PAIN.some((pain) => pain === entry.caution) && entry.hand === hand && !entry.clearedOn,
  );
  if (at < 0) return;
  await held.of(AthleteRow).update({ id: athleteId }, { cautions: cautions.toSpliced(at, 1), rowVersion: rowVersion + 1 });
}
