import { groupedBy } from '../vocabulary/lists.js';
import { MAIN_DIRECTIONS } from '../effort/coverage.js';
import { WHOLE_FROM_BLOCKS } from '../rules/checks/whole.js';
import { REPEATED_SHARE, SAME_SHARE } from '../rules/checks/variety.js';
import { LITTLE_SIDE_SHARE } from '../rules/checks/little-side-forgotten.js';
import { FAMILIES } from '../model/movement.js';
import { CORNERS } from '../vocabulary/motions.js';
import { DIGITS } from '../vocabulary/digits.js';
import { working } from '../vocabulary/constant.js';
import type { Candidate } from './candidate.js';
import type { ProgrammeWriter } from './programme-writer.js';

/** From so many minutes on a session is composed as a whole; a shorter one is a piece of a day. */
const WHOLE_FROM_MIN = working('Generated as a whole from', 10, 'min', 'six movements of a minute and a half each', [7, 12]).value;
/** Minutes for which a family gives one movement. */
const MINUTES_OF_A_FAMILY = 5;
const FEWEST_OF_A_FAMILY = 2;
/** A coach teaches a movement in so much time, with what it needs to be shown and set up. */
const MINUTES_OF_A_MOVEMENT = working('Time for a movement', 1.5, 'min', 'shown, set up and done', [1, 2.5]).value;
/** So many movements can be taught in a session; of a short one all that makes it whole. */
const mostMovements = (minutes: number): number => Math.max(WHOLE_FROM_BLOCKS, Math.round(minutes / MINUTES_OF_A_MOVEMENT));
/** Shares stay so far above what a check asks. */
const MARGIN = 1.02;

/** The session as a whole: all of the hand, not too much of one kind, a routine kept or changed. */
export function wholeRows(programme: ProgrammeWriter): void {
  const { method, past, minutes } = programme.composing;
  programme.oneOfEach();
  for (const { y, candidate } of programme.where(({ locked }) => locked === true))
    programme.limit('locked', [[y, 1]], { min: 1 }, candidate.movement.name);
  const most = Math.max(FEWEST_OF_A_FAMILY, Math.ceil(minutes / MINUTES_OF_A_FAMILY));
  const free = programme.where(({ locked, extra }) => !locked && !extra);
  for (const [family, mine] of groupedBy(free, ({ candidate }) => candidate.movement.family)) {
    programme.limit('family', programme.count(mine), { max: most }, FAMILIES[family].toLowerCase());
  }
  programme.limit('too-many', programme.count(free), { max: mostMovements(minutes) });
  if (minutes < WHOLE_FROM_MIN) {
    programme.limit('piece-of-a-day', programme.count(programme.all), { max: WHOLE_FROM_BLOCKS - 1 });
    return;
  }
  for (const direction of MAIN_DIRECTIONS)
    programme.once('direction-unvisited', ({ directions }) => directions.includes(direction), direction);
  if (method.asksCorners)
    for (const corner of CORNERS) programme.once('corner-unvisited', ({ movement }) => movement.corners.includes(corner), corner);
  programme.once('thumb-forgotten', ({ movement }) => movement.trains.includes('thumb muscles'));
  for (const digit of ['ring', 'little'] as const) {
    const all = ({ digitS }: Candidate) => DIGITS.reduce((sum, each) => sum + (digitS[each] ?? 0), 0);
    programme.limit(
      'little-side-forgotten',
      programme.sum((each) => (each.digitS[digit] ?? 0) - LITTLE_SIDE_SHARE * MARGIN * all(each)),
      { min: 0 },
      `${digit} finger`,
    );
  }
  const last = past.at(-1)?.movementIds ?? [];
  if (past.length < 2) return;
  const stays = ({ movement }: Candidate) => last.includes(movement.id);
  if (method.variety === 'same')
    programme.limit(
      'variety',
      programme.sum((each) => (stays(each) ? 1 - SAME_SHARE : -SAME_SHARE)),
      { min: 0 },
    );
  else
    programme.limit(
      'variety',
      programme.sum((each) => (stays(each) ? 1 - REPEATED_SHARE : -REPEATED_SHARE)),
      { max: 0 },
    );
}
