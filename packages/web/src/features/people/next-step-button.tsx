import type { Athlete } from '@clay-pot/contracts';
import { useIntakes } from '../../api/queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { useNextSession } from './next-session.js';

/** The one main action of a person's page: check in first, then lead what is planned, else generate something to lead. */
export function NextStepButton({ person: { id } }: { person: Athlete }) {
  const intakes = useIntakes(id).data;
  const next = useNextSession(id);
  if (!intakes || next === undefined) return null;
  if (intakes.length === 0) {
    return (
      <ButtonLink kind="primary" to={`/people/${id}/check-in`}>
        Start check-in
      </ButtonLink>
    );
  }
  return next ? (
    <ButtonLink kind="primary" to={next.leadTo}>
      Start session
    </ButtonLink>
  ) : (
    <ButtonLink kind="primary" to={`/compose?athlete=${id}`}>
      Generate sequence
    </ButtonLink>
  );
}
