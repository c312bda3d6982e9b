/** Sessions on one page of a list; `usual` where nothing is said. */
export const SESSION_PAGE = { min: 1, max: 200, usual: 30, step: 1, unit: 'sessions' } as const;
/** Days that are looked back on; `usual` where nothing is said. */
export const PAST_DAYS = { min: 1, max: 400, usual: 28, step: 1, unit: 'days' } as const;
/** Entries of a page of a list. */
export const LIST_PAGE = { min: 1, max: 500, usual: 200, step: 1, unit: 'entries' } as const;
