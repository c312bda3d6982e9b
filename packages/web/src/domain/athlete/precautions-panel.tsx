import { readable } from '../measuring/units.js';
import { advicesOf, type Level, type Movement, precautionsFor } from '@clay-pot/core';
import { useMemo } from 'react';
import { useAthlete } from '../../api/queries.js';
import { useSubject } from './named-subject.js';
import { useStandingCautions } from './standing-cautions.js';

interface Props {
  athleteId: string | undefined;
  /** Without a movement, whatever loads a hand is meant. */
  movement?: Movement | undefined;
  level?: Level | undefined;
}

/** What forbids loading for the athlete in view, before any number is read: stops in red, care in amber. */
export function PrecautionsPanel({ athleteId, movement, level }: Props) {
  const athlete = useAthlete(athleteId).data;
  const cautions = useStandingCautions(athlete);
  const { person } = useSubject(athleteId);
  const own = useMemo(
    () => (movement && level && cautions.length > 0 ? precautionsFor(person, movement, level, cautions) : null),
    [person, movement, level, cautions],
  );
  if (!athlete) return null;
  const advices = movement && level ? [] : advicesOf(cautions);
  const stops = (own?.waits ?? advices.filter(({ forbids }) => forbids).map(({ text }) => text)).map(readable);
  const care = own?.care ?? advices.filter(({ forbids }) => !forbids).map(({ text }) => readable(text));
  const leaveOut = own?.leaveOut ?? [];
  const over = (own?.over ?? []).map(readable);
  if (stops.length + leaveOut.length + care.length + over.length === 0) return null;
  return (
    <div role="note" aria-label={`Cautions for ${athlete.name}`} className="mb-4 grid gap-1">
      {stops.map((text) => (
        <p key={text} className="border-l-4 border-iron bg-iron-wash px-3 py-1.5 font-semibold text-iron">
          Not before clearance. {text}
        </p>
      ))}
      {over.map((text) => (
        <p key={text} className="border-l-4 border-iron bg-iron-wash px-3 py-1.5">
          <b>Over the limit:</b> {text}
        </p>
      ))}
      {leaveOut.map((text) => (
        <p key={text} className="border-l-4 border-iron bg-iron-wash px-3 py-1.5 font-semibold">
          {text}
        </p>
      ))}
      {care.map((text) => (
        <p key={text} className="border-l-4 border-load-3 bg-amber-wash px-3 py-1">
          {text}
        </p>
      ))}
    </div>
  );
}
