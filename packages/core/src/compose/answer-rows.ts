import { MAIN_DIRECTIONS } from '../effort/coverage.js';
import { ANSWERED_GROUPS } from '../rules/checks/antagonist-unanswered.js';
import { WARM_UP } from '../rules/checks/warm-up.js';
import { ANSWERED_PERCENT, STRENGTHENED_PERCENT } from '../rules/checks/strengthened.js';
import { groupedBy, must } from '../vocabulary/lists.js';
import { type MuscleGroup, oppositeGroup } from '../vocabulary/muscles.js';
import { type Phase, PHASES, WORK } from '../vocabulary/phases.js';
import type { Candidate } from './candidate.js';
import type { ProgrammeWriter } from './programme-writer.js';

const after = (phase: Phase): readonly Phase[] => PHASES.slice(PHASES.indexOf(phase) + 1);

/** What has to come before something, or after it, as the checks ask for it. */
export function answerRows(programme: ProgrammeWriter): void {
  const { method } = programme.composing;
  const where = programme.where.bind(programme);
  programme.once('prepare-missing', ({ phase }) => phase === 'prepare');
  programme.once('settle-missing', ({ phase }) => phase === 'settle');
  // A range is visited freely before it is loaded.
  for (const direction of MAIN_DIRECTIONS) {
    const goesThere = ({ directions }: Candidate) => directions.includes(direction);
    const free = where((each) => each.free && goesThere(each) && WARM_UP.includes(each.phase));
    programme.answered(
      'range-unprepared',
      direction,
      where((each) => each.loads && goesThere(each)),
      free,
    );
  }
  // What is strengthened is stretched at the end, or its opposite works.
  const works = ({ groupPercent }: Candidate, group: MuscleGroup) => groupPercent[group] ?? 0;
  for (const group of ANSWERED_GROUPS) {
    const opposite = must(oppositeGroup(group), `an opposite of the ${group}`);
    const worked = where(
      (each) => WORK.includes(each.phase) && each.level.loading === 'resisted' && works(each, group) >= STRENGTHENED_PERCENT,
    );
    const answers = where(
      (each) =>
        (each.level.loading !== 'unloaded' && works(each, opposite) >= ANSWERED_PERCENT) ||
        (each.phase === 'settle' && (each.stretchS[group] ?? 0) > 0),
    );
    programme.answered('antagonist-unanswered', `balancing the ${group} after strengthening`, worked, answers);
  }
  const grips = where((each) => each.level.loading === 'resisted' && works(each, 'finger flexors') >= STRENGTHENED_PERCENT);
  const opens = where(
    (each) =>
      (each.level.loading !== 'unloaded' && works(each, 'finger extensors') >= ANSWERED_PERCENT) ||
      (each.phase === 'settle' && each.movement.motions.includes('finger spreading')),
  );
  programme.answered('grip-unanswered', 'opening the hand after gripping', grips, opens);
  for (const phase of PHASES) {
    const bentBack = where((each) => each.phase === phase && each.level.loading === 'planted' && each.directions.includes('extension'));
    const bentIn = where(
      (each) => after(phase).includes(each.phase) && (each.directions.includes('flexion') || each.level.load.kind === 'hang'),
    );
    programme.answered('extension-unanswered', 'wrist flexion after weight bearing in extension', bentBack, bentIn);
  }
  if (method.stretching === 'contract–relax') {
    const stretches = where(({ level }) => level.load.kind === 'stretch');
    const pushes = stretches.filter(({ candidate: { level } }) => level.load.kind === 'stretch' && level.load.pushPercent > 0);
    programme.answered('contract-relax', 'pushing before easing in a stretch', stretches, pushes);
  }
  if (method.stretching === 'after each strength block') {
    // One of those that it is followed by stretches some of what it works.
    const stretches = where(({ level, phase }) => phase === 'strength' && level.load.kind === 'stretch');
    const strengthened = where(
      ({ level, phase, effortPercent }) => phase === 'strength' && level.load.kind !== 'stretch' && effortPercent >= STRENGTHENED_PERCENT,
    );
    for (const [trains, mine] of groupedBy(strengthened, ({ candidate }) => candidate.movement.trains)) {
      const shared = stretches.filter(({ candidate }) => candidate.movement.trains.some((group) => trains.includes(group)));
      programme.answered('stretch-after-strength', 'stretching what was strengthened', mine, shared);
    }
  }
}
