/** Where a block stops to look again: before the hands change, and when it is over. */
export const LOOK_STOPS = ['between hands', 'after'] as const;
/** Where a block stops to look again. */
export type LookStop = (typeof LOOK_STOPS)[number];

/** What is asked at each stop. */
export const LOOK_QUESTIONS: Record<LookStop, string> = {
  'between hands': 'Compare the hands: how does the one that has worked feel next to the other?',
  after: 'Repeat the first circles: how does each hand feel compared with before?',
};

/** What can be answered, per hand. */
export const LOOK_ANSWERS = ['looser', 'same', 'tighter'] as const;
/** What was seen of a hand when it was looked at again. */
export type LookAnswer = (typeof LOOK_ANSWERS)[number];
