/** What is tried first, in the order of how little it takes away. */
export interface Remedy {
  readonly title: string;
  /** What to do, in a sentence or two. */
  readonly text: string;
  /** Where on the shelf it is. */
  readonly movementIds: readonly string[];
}

/** The remedies that the path ends in. */
export const REMEDIES = {
  'step-back': {
    title: 'Go back to the previous load',
    text: 'For a week, use the level and amount that felt fine. Stay there for two sessions, then raise one thing at a time.',
    movementIds: [],
  },
  unload: {
    title: 'Take weight off the hands',
    text: 'Do the position on the forearms for now, and move the wrists freely every day. If it hurts at rest or at night, have it checked.',
    movementIds: ['bearing.forearm-support', 'free.wrist-circles'],
  },
  'side-load': {
    title: 'Check side load',
    text: 'Compare both hands: where the fingers point, where the elbow goes, how much weight each takes. Shift weight to the other hand and start with the weaker side.',
    movementIds: ['rock.palm-side', 'rock.palm-fore-aft'],
  },
  'set-up': {
    title: 'Fix the hand position, hold for less time',
    text: 'Spread and press the fingers, index knuckle down, heel light, push the floor away. Hold half as long, and shake out in between.',
    movementIds: ['strength.palm-lift', 'rock.palm-fore-aft'],
  },
  handles: {
    title: 'Use handles or an incline',
    text: 'Keep the wrist straight on handles, or put the hands on a bench or wall. The wrist bends less and the position stays the same.',
    movementIds: ['bearing.palm-support'],
  },
  fists: {
    title: 'Use fists',
    text: 'Rest on fists with straight wrists, or fold a towel under the heels of the hands. The wrist bends less.',
    movementIds: ['rock.fist-rolls'],
  },
  less: {
    title: 'Do less, and holds first',
    text: 'Do fewer sets at 20–40 % effort and hold before moving. Check in again the next morning.',
    movementIds: ['isometric.flexion', 'isometric.extension'],
  },
} as const satisfies Record<string, Remedy>;
/** The id of a remedy. */
export type RemedyId = keyof typeof REMEDIES;

interface Answer {
  readonly says: string;
  /** The next question, or what to try first. */
  readonly leads: { readonly ask: QuestionId } | { readonly remedy: RemedyId };
}
interface Question {
  readonly asks: string;
  readonly answers: Readonly<Record<string, Answer>>;
}
type QuestionId = 'when' | 'changed' | 'side' | 'set-up' | 'flat' | 'things';

const ask = (id: QuestionId) => ({ ask: id });
const remedy = (id: RemedyId) => ({ remedy: id });

/** The path as data: all day means unload; a changed load, step back; one side, side load; late, hand set-up and less time; still, fists or handles. */
export const WHY_IT_HURTS: Readonly<Record<QuestionId, Question>> = {
  when: {
    asks: 'When does it hurt?',
    answers: {
      'all-day': { says: 'All day, with or without training', leads: remedy('unload') },
      late: { says: 'Late in the session', leads: ask('changed') },
      start: { says: 'From the first loaded movement', leads: ask('changed') },
      after: { says: 'Only afterwards, or the next morning', leads: ask('changed') },
    },
  },
  changed: {
    asks: 'More load, a harder level or a new floor in the last two weeks?',
    answers: {
      yes: { says: 'Yes', leads: remedy('step-back') },
      no: { says: 'No', leads: ask('side') },
    },
  },
  side: {
    asks: 'On one side only?',
    answers: {
      yes: { says: 'One hand', leads: remedy('side-load') },
      no: { says: 'Both', leads: ask('set-up') },
    },
  },
  'set-up': {
    asks: 'Is the hand position good: fingers spread and pressing, index knuckle down, heel light?',
    answers: {
      no: { says: 'Not quite', leads: remedy('set-up') },
      yes: { says: 'Yes, and it still hurts', leads: ask('flat') },
    },
  },
  flat: {
    asks: 'Only with the hand flat on the floor?',
    answers: {
      yes: { says: 'Only flat', leads: ask('things') },
      no: { says: 'In other positions too', leads: remedy('less') },
    },
  },
  things: {
    asks: 'Are handles or a bench available?',
    answers: {
      yes: { says: 'Yes', leads: remedy('handles') },
      no: { says: 'No', leads: remedy('fists') },
    },
  },
};

/** Where a path of answers leads. */
export interface PathEnd {
  /** Answered so far: the question and the words of its answer. */
  readonly said: readonly { readonly question: string; readonly answer: string }[];
  /** The next question, or null at the end. */
  readonly next: { readonly id: QuestionId; readonly question: Question } | null;
  readonly remedy: (Remedy & { readonly id: RemedyId }) | null;
}

/**
 * Walks a path of answers. @param path answers by their ids, first to last
 * @throws RangeError naming the first answer that its question does not have, and those that it has
 * @example whyItHurts(['all-day']).remedy?.id → 'unload'
 */
export function whyItHurts(path: readonly string[]): PathEnd {
  let id: QuestionId = 'when';
  const said: { question: string; answer: string }[] = [];
  for (const [index, given] of path.entries()) {
    const question: Question = WHY_IT_HURTS[id];
    const answer: Answer | undefined = Object.hasOwn(question.answers, given) ? question.answers[given] : undefined;
    if (!answer) {
      throw new RangeError(`Answer “${question.asks}” with ${Object.keys(question.answers).join(', ')}, not ${given}.`);
    }
    said.push({ question: question.asks, answer: answer.says });
    if ('remedy' in answer.leads) {
      if (index < path.length - 1) throw new RangeError(`The questions end at “${answer.says}”: remove the answers after it.`);
      return { said, next: null, remedy: { id: answer.leads.remedy, ...REMEDIES[answer.leads.remedy] } };
    }
    id = answer.leads.ask;
  }
  return { said, next: { id, question: WHY_IT_HURTS[id] }, remedy: null };
}
