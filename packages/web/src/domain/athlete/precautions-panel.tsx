import { readable } from '../measuring/units.js';
import { advicesOf, againstLoad, concernsOf, demandOf, HANDS, type Level, type Movement } from '@clay-pot/core';
import { useMemo } from 'react';
import { useAthlete } from '../../api/queries.js';
import { useSubject } from './named-subject.js';
import { possibly } from '../movement/possibly.js';
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
  const tooMuch = useMemo(() => {
    const demand = level && cautions.length > 0 ? possibly(() => demandOf(person, level)).value : null;
    if (!demand || !level) return [];
    return [...new Set(HANDS.flatMap((hand) => againstLoad(level, demand[hand], cautions, hand).map(readable)))];
  }, [person, level, cautions]);
  if (!athlete) return null;
  const own = movement && level ? concernsOf(movement, level, cautions) : null;
  const advices = advicesOf(cautions);
  const stops = (own ? own.stops : advices.filter(({ forbids }) => forbids).map(({ text }) => text)).map(readable);
  const care = own ? own.care : advices.filter(({ forbids }) => !forbids).map(({ text }) => readable(text));
  const leaveOut = own?.avoid ?? [];
  const over = tooMuch.filter((text) => !stops.includes(text));
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
