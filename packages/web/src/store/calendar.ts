import type { ProgrammeEdit } from '@clay-pot/core';
import { create } from 'zustand';

/** What of the calendar is looked at. */
export type Chosen =
  | { readonly kind: 'session'; readonly id: string }
  | { readonly kind: 'day'; readonly day: string }
  | { readonly kind: 'week'; readonly index: number };

/** A change that is only tried: what would become of the weeks. */
export interface WhatIf {
  readonly words: string;
  readonly edits: readonly ProgrammeEdit[];
}

interface CalendarState {
  readonly chosen: Chosen | null;
  readonly whatIf: WhatIf | null;
}

/** What is chosen on the calendar, and what is tried on it. */
export const useCalendar = create<CalendarState>()(() => ({ chosen: null, whatIf: null }));

/** Looks at a session, a day or a week. */
export const choose = (chosen: Chosen | null) => useCalendar.setState({ chosen });
/** Tries a change, or goes back to the programme as it is. */
export const tryOut = (whatIf: WhatIf | null) => useCalendar.setState({ whatIf });
