import type { Athlete } from '@clay-pot/contracts';
import { cautionsOn, type RecordedCaution, withStops } from '@clay-pot/core';
import { useMemo } from 'react';
import { useOwnStops } from '../../store/own-stops.js';
import { isoToday } from '../../ui/today.js';

const NONE: readonly RecordedCaution[] = [];

/** An athlete's cautions as they stand today: what is recorded, what follows from age, and what was stopped on this device a moment ago. */
export function useStandingCautions(athlete: Athlete | undefined): readonly RecordedCaution[] {
  const stops = useOwnStops((state) => state.stops);
  return useMemo(() => {
    if (!athlete) return NONE;
    const own = stops.filter(({ athleteId }) => athleteId === athlete.id).map(({ caution }) => caution);
    return cautionsOn({ ...athlete, cautions: withStops(athlete.cautions, own) }, isoToday());
  }, [athlete, stops]);
}
