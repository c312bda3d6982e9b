/** The session of a programme that is to be led. */
export interface OfProgramme {
  readonly programmeId: string;
  readonly sessionId: string;
}

/** Where a sequence is led for somebody; of a programme as it is on its day. */
export function leadPath(sequenceId: string, athleteId: string, of?: OfProgramme): string {
  const session = of ? `&programme=${of.programmeId}&session=${of.sessionId}` : '';
  return `/sequences/${sequenceId}/lead?athlete=${athleteId}${session}`;
}
