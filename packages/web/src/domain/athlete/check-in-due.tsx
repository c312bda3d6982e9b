import { readable } from '../measuring/units.js';
import type { Athlete } from '@clay-pot/contracts';
import { capitalSentence, intakeDue } from '@clay-pot/core';
import { Link } from 'react-router';
import { useIntakes } from '../../api/queries.js';
import { useIntakeDrafts } from '../../store/intake-drafts.js';
import { isoToday } from '../../ui/today.js';

/** Says that the questions before training are due, or unfinished, and leads to them; nothing while the answers are fresh. */
export function CheckInDue({ athlete }: { athlete: Athlete }) {
  const intakes = useIntakes(athlete.id);
  const isOpen = useIntakeDrafts(({ drafts }) => drafts[athlete.id] !== undefined);
  if (!intakes.data) return null;
  const due = intakeDue(intakes.data[0]?.answers.onDay ?? null, athlete.cautions, isoToday());
  if (!due && !isOpen) return null;
  return (
    <p className="flex flex-wrap items-baseline gap-x-3 border-l-4 border-load-3 bg-amber-wash px-3 py-2">
      <span>{isOpen ? 'A check-in was started but not saved.' : due && `${readable(capitalSentence(due.why))}.`}</span>
      <Link className="font-semibold underline underline-offset-2" to={`/people/${athlete.id}/check-in`}>
        {isOpen ? 'Continue check-in' : 'Start check-in (3 min)'}
      </Link>
    </p>
  );
}
