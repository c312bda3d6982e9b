import { calendarDay, quantity, say, type Sentence, joinSentences } from '../../vocabulary/sentence.js';
import type { Reading } from '../../model/reading.js';
import type { AthleteRecord, RecordedCaution } from '../../model/athlete.js';
import type { Health, Intake } from '../../model/intake.js';
import { ageOn } from '../../vocabulary/days.js';
import { HAND_PLACES } from '../../vocabulary/hand-places.js';
import { HAND_WORDS, HANDS } from '../../vocabulary/hands.js';
import { CONDITIONS, SIGNS, SYMPTOM_KINDS } from '../../vocabulary/intake-words.js';
import { READING_NAMES, readingUnit } from '../../vocabulary/measures.js';
import { capital } from '../../vocabulary/text.js';
import { cautionAdvice, cautionLabel, forbidsLoading } from '../safety/cautions.js';

/** A letter to a practitioner: plain words under plain headings. */
export interface ReferralLetter {
  readonly title: string;
  readonly opening: string;
  readonly parts: readonly { readonly heading: Sentence; readonly lines: readonly Sentence[] }[];
  /** What the practitioner is asked to fill in. */
  readonly asks: readonly string[];
  readonly closing: Sentence;
}

/** What a letter is written from. */
export interface LetterContext {
  readonly athlete: Pick<AthleteRecord, 'name' | 'birthDate' | 'dominantHand' | 'practice'>;
  /** As they stand on the day. */
  readonly cautions: readonly RecordedCaution[];
  readonly intake: Intake | null;
  readonly readings: readonly Reading[];
  readonly coach: string;
  readonly studio: string;
  /** ISO day. */
  readonly today: string;
}

/** A referral in plain words: why, what was reported, what has been stopped, what was measured, and what is asked. It names no diagnosis. */
export function referralLetter({ athlete, cautions, intake, readings, coach, studio, today }: LetterContext): ReferralLetter {
  const { name, birthDate, dominantHand, practice } = athlete;
  const age = birthDate ? `, ${ageOn(birthDate, today)} years old` : '';
  const forbidden = cautions.filter(forbidsLoading);
  const others = cautions.filter((entry) => !forbidsLoading(entry));
  const answers = intake ? answerLines(intake) : [];
  const parts = [
    {
      heading: 'Why I am writing',
      lines: forbidden.map((entry) => say`${cautionLabel(entry)}${sinceWords(entry)}${entry.note ? `. ${entry.note}` : ''}`),
    },
    { heading: intake ? say`Answers of ${calendarDay(intake.onDay)}` : 'Answers', lines: answers },
    { heading: 'What has been stopped', lines: forbidden.map(cautionAdvice) },
    { heading: 'Other restrictions', lines: others.map(cautionAdvice) },
    { heading: 'Measurements', lines: readingLines(readings) },
  ];
  return {
    title: `About the hands of ${name}`,
    opening: `${name}${age}, ${dominantHand}-handed${practice ? `, trains with me (${practice})` : ', trains with me'}. I am a coach at ${studio} and prepare hands and wrists for load. Please examine them before I continue.`,
    parts: parts.filter(({ lines }) => lines.length > 0),
    asks: [
      'May the hand be loaded? If not yet, when should we ask again?',
      'No wrist extension beyond … degrees, until …',
      'No effort above … percent of maximum, until …',
      'No body weight on the hand, until …',
      'Name, date and signature of the doctor or therapist',
    ],
    closing: say`This letter reports answers and measurements. It is not a diagnosis. ${coach}, ${studio}, ${calendarDay(today)}`,
  };
}

const sinceWords = ({ since }: RecordedCaution) => (since ? say`, since ${calendarDay(since)}` : '');

/** Answers about health in words, one line each; what was not said is not there. */
export function answerLines({ signs = [], history = [], symptoms = [], discomfort = [] }: Health): Sentence[] {
  const of = (hand: keyof typeof HAND_WORDS | undefined) => (hand ? `, ${HAND_WORDS[hand]}` : '');
  return [
    ...signs.map(({ sign, hand }) => `${SIGNS[sign]}${of(hand)}`),
    ...history.map(
      ({ condition, hand, since, note }) =>
        say`${CONDITIONS[condition].label}${of(hand)}${since ? say`, ${calendarDay(since)}` : ''}${note ? `. ${note}` : ''}`,
    ),
    ...symptoms.map(
      ({ place, hand, kind, score }) =>
        `${HAND_PLACES[place]}, ${HAND_WORDS[hand]}: ${SYMPTOM_KINDS[kind]}${score === undefined ? '' : `, ${score} of 10`}`,
    ),
    ...discomfort.flatMap(({ hand, during, after, nextMorning, atNight }) => {
      const times = [
        ['during training', during],
        ['right after', after],
        ['the next morning', nextMorning],
        ['at night', atNight],
      ] as const;
      const said = times.flatMap(([when, score]) => (score === undefined ? [] : [`${when} ${score}`]));
      return said.length ? [`Discomfort of 10, ${HAND_WORDS[hand]}: ${said.join(', ')}`] : [];
    }),
  ];
}

/** The latest of each thing measured, both hands in a line. */
function readingLines(readings: readonly Reading[]): Sentence[] {
  const things = [...new Set(readings.map(({ kind, of }) => `${kind}|${of}`))];
  return things.map((thing) => {
    const [kind, of] = thing.split('|');
    const mine = readings.filter((reading) => reading.kind === kind && reading.of === of);
    const latest = HANDS.flatMap((hand) => {
      const last = mine.filter((reading) => reading.hand === hand).sort((a, b) => b.onDay.localeCompare(a.onDay))[0];
      return last ? [last] : [];
    });
    const values = latest.map(
      (each) => say`${each.hand} ${quantity(each.value, readingUnit(each.kind, each.of) ?? '', Number.isInteger(each.value) ? 0 : 1)}`,
    );
    const days = [...new Set(latest.map(({ onDay }) => onDay))].map((day) => say`${calendarDay(day)}`);
    const what = latest[0] ? READING_NAMES[latest[0].kind] : '';
    return say`${capital(of ?? '')}, ${what}: ${joinSentences(values, ', ')} (${joinSentences(days, ' and ')})`;
  });
}
