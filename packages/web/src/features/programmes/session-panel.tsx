import { doseText } from '../../domain/movement/dose-text.js';
import {
  dayWords,
  isAhead,
  listed,
  minutesText,
  partsOf,
  planOf,
  type PlannedSession,
  type ProgrammeView,
  SPACED_PERCENT,
} from '@clay-pot/core';
import { Link } from 'react-router';
import { leadPath } from '../../domain/sequence/lead-path.js';
import { movementById } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Part } from '../../ui/page.js';
import { canMove, leaveOut, moveBy } from './moving.js';

/** A session: what it is on its day, how hard, and where it may go. */
export function SessionPanel({
  view,
  id,
  programmeId,
  athleteId,
}: {
  view: ProgrammeView;
  id: string;
  programmeId: string;
  athleteId: string;
}) {
  const session = view.sessions.find((each) => each.id === id);
  if (!session) return null;
  const { day, state, sequence, load } = session;
  const { sequenceId } = planOf(view.programme, session.planId);
  const week = view.weeks[session.weekIndex];
  const hard = [...new Set(load?.hard.map((key) => partsOf(key).group))];
  return (
    <Part
      title={sequence?.title ?? 'Removed sequence'}
      aside={<span className="text-small whitespace-nowrap text-ink-soft">{dayWords(day)}</span>}
    >
      <div className="grid gap-3 py-2 text-small">
        <p>
          {load ? minutesText(load.durationMs) : ''}
          {week && week.amountPercent !== 100 && load?.isLoading ? `; ${week.amountPercent} % of the load this week` : ''}
          {hard.length > 0 ? `; ${listed(hard)} at ${SPACED_PERCENT} % of the maximum or more` : ''}.
        </p>
        {isAhead(session) && (
          <div className="flex flex-wrap gap-1">
            <Button disabled={!canMove(view, session, -1)} onClick={() => moveBy(view, session, -1)}>
              One day earlier
            </Button>
            <Button disabled={!canMove(view, session, 1)} onClick={() => moveBy(view, session, 1)}>
              One day later
            </Button>
            <Button onClick={() => leaveOut(session)}>Skip</Button>
            {state === 'due' && <ButtonLink to={leadPath(sequenceId, athleteId, { programmeId, sessionId: id })}>Start session</ButtonLink>}
          </div>
        )}
        <Doses session={session} plan={view.sequences.get(session.planId)} />
        <Link className="underline underline-offset-2" to={`/sequences/${sequenceId}?athlete=${athleteId}`}>
          Open sequence
        </Link>
      </div>
    </Part>
  );
}

/** The blocks of the day; changes against the plan are marked. */
function Doses({ session, plan }: { session: PlannedSession; plan: PlannedSession['sequence'] | undefined }) {
  return (
    <ul className="max-h-72 overflow-y-auto border-y border-line" tabIndex={0} aria-label="Blocks of this session">
      {session.sequence?.blocks.map((block) => {
        const movement = movementById(block.movementId);
        const changed = plan && !plan.blocks.includes(block);
        return (
          <li key={block.id} className="border-t border-line py-0.5 first:border-t-0">
            <span className="block">{movement?.name ?? block.movementId}</span>
            <span className={`block text-small ${changed ? 'font-semibold' : 'text-ink-soft'}`}>{doseText(block)}</span>
          </li>
        );
      })}
    </ul>
  );
}
