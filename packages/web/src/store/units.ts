import { METRIC, type ShownUnits } from '@clay-pot/core';
import { create } from 'zustand';

/** What the coach who is signed in reads masses and lengths in. */
export const useUnits = create<ShownUnits>()(() => METRIC);

/** Shows numbers as somebody who signed in reads them; who chose nothing yet reads metric. */
export const showIn = (units: ShownUnits | undefined): void => useUnits.setState(units ?? METRIC);
