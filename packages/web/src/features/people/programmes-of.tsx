import { dayWords } from '@clay-pot/core';
import { Link } from 'react-router';
import { useProgrammes } from '../../api/programme-queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Part } from '../../ui/page.js';

/** The programmes of a person, and the way to a new one. */
export function ProgrammesOf({ athleteId }: { athleteId: string }) {
  const programmes = useProgrammes(athleteId).data ?? [];
  return (
    <Part
      title="Programmes"
      aside={
        <ButtonLink className="px-2! py-0.5! text-small" to={`/programmes/new?athlete=${athleteId}`}>
          New programme
        </ButtonLink>
      }
    >
      {programmes.length === 0 && (
        <p className="py-2 text-small text-ink-soft">No programme yet. A programme plans sequences over weeks.</p>
      )}
      <ul>
        {programmes.map(({ id, title, fromDay, lastDay }) => (
          <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-line py-2">
            <Link to={`/programmes/${id}`} className="font-semibold hover:underline">
              {title}
            </Link>
            <span className="text-small text-ink-soft figures">
              {dayWords(fromDay)} to {dayWords(lastDay)}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}
