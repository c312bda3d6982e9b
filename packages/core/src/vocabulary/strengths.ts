/** How strong people are beside the norm of their sex, age and size, as maxima over it: whom a level is meant for. */
export const STRENGTHS = { ordinary: 1, practised: 1.4, specialist: 2 } as const;
/** For whom a level is meant. */
export type StrengthName = keyof typeof STRENGTHS;
/** The names of the strengths, the weakest first. */
export const STRENGTH_NAMES = Object.keys(STRENGTHS) as StrengthName[];

/** For whom, in words. */
export const STRENGTH_WORDS: Record<StrengthName, string> = {
  ordinary: 'for everyone',
  practised: 'for trained hands',
  specialist: 'for hands trained for years',
};
