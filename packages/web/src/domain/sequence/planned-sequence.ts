import type { StoredSequence } from '@clay-pot/contracts';
import { planOf, type Sequence, sequencesOn } from '@clay-pot/core';
import { useProgrammeToLead } from '../../api/programme-queries.js';
import { useAthlete } from '../../api/queries.js';
import { useStandingCautions } from '../athlete/standing-cautions.js';
import { methodFor, movementById } from '../../store/library.js';
import type { OfProgramme } from './lead-path.js';

/** A sequence as it is led: by itself, or as a session of a programme. */
export interface ToLead {
  readonly sequence: Sequence;
  /** The session of a programme that this is: its planned version, or the reason why it is led as written. */
  readonly note: string | null;
}

/** What is to be led of a stored sequence; undefined while its programme is fetched. */
export function usePlannedSequence({ id, document }: StoredSequence, of: OfProgramme | undefined): ToLead | undefined {
  const programme = useProgrammeToLead(of?.programmeId);
  const athleteId = programme.data?.athleteId ?? undefined;
  const athlete = useAthlete(athleteId);
  const cautions = useStandingCautions(athlete.data);
  if (!of) return { sequence: document, note: null };
  if (programme.isPending || (athleteId !== undefined && athlete.isPending)) return undefined;
  const stored = programme.data?.document;
  const session = stored?.sessions.find((each) => each.id === of.sessionId);
  if (!stored || !session || planOf(stored, session.planId).sequenceId !== id) {
    return { sequence: document, note: 'Couldn’t load the programme. You see the sequence itself.' };
  }
  const sequence = sequencesOn(stored, movementById, { cautions, method: methodFor(stored) })(session, document);
  const note =
    sequence === document ? `From the programme “${stored.title}”.` : `From the programme “${stored.title}”, with the doses for today.`;
  return { sequence, note };
}
