import { nextAfter } from '@clay-pot/core';
import { useAssignments, useToday } from '../../api/queries.js';
import { useProgrammes } from '../../api/programme-queries.js';
import { leadPath } from '../../domain/sequence/lead-path.js';
import { isoToday } from '../../ui/today.js';

/** What somebody does next. */
export interface NextSession {
  /** ISO day. */
  readonly day: string;
  readonly sequenceId: string;
  /** Where it is led from. */
  readonly leadTo: string;
}

/** The next session of a person: what is due today, else the soonest of their programmes and assigned sequences; null where nothing is planned, undefined until it is known. */
export function useNextSession(athleteId: string): NextSession | null | undefined {
  const today = useToday().data;
  const assignments = useAssignments().data;
  const programmes = useProgrammes(athleteId).data;
  if (!today || !assignments || !programmes) return undefined;
  const due = today.due.find((item) => item.athleteId === athleteId && item.state === 'due');
  if (due) {
    const { sequenceId, from } = due;
    const ofProgramme = from.kind === 'programme' ? { programmeId: from.id, sessionId: from.sessionId } : undefined;
    return { day: today.day, sequenceId, leadTo: leadPath(sequenceId, athleteId, ofProgramme) };
  }
  const given = nextAfter(
    isoToday(),
    assignments.filter((item) => item.athleteId === athleteId),
  );
  const coming = [
    ...(given ? [{ day: given.day, sequenceId: given.assignment.sequenceId }] : []),
    ...programmes.flatMap(({ next }) => next ?? []),
  ].sort((a, b) => a.day.localeCompare(b.day))[0];
  return coming ? { ...coming, leadTo: leadPath(coming.sequenceId, athleteId) } : null;
}
