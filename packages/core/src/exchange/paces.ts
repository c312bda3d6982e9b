/** How fast something is done, in words, as a tempo of the shorthand: the dose’s as often as the level’s. */
export const PACES: Readonly<Record<string, string>> = {
  slow: 'tempo3-3',
  slowly: 'tempo3-3',
  controlled: 'tempo2-2',
  fast: 'tempo1-1',
  quick: 'tempo1-1',
  quickly: 'tempo1-1',
};
