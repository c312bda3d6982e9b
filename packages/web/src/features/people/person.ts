import type { Athlete } from '@clay-pot/contracts';
import { useOutletContext } from 'react-router';

/** Whose page it is, in a section of it. */
export const usePerson = (): Athlete => useOutletContext<Athlete>();
