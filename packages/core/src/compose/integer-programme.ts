import type { Candidate } from './candidate.js';
import { answerRows } from './answer-rows.js';
import type { Linear } from './linear.js';
import { loadRows } from './load-rows.js';
import { minutesRows } from './minutes-rows.js';
import { ProgrammeWriter } from './programme-writer.js';
import type { Structure } from './structure.js';
import type { Composing } from './question.js';
import { wholeRows } from './whole-rows.js';
import { counted, ownWorth, SLICES, wantWorths } from './worth.js';

/** A programme with the rules that it says. */
export interface IntegerProgramme {
  readonly linear: Linear;
  readonly structure: Structure;
}

/**
 * The programme whose solution is a composition: whole unknowns that choose candidates (the first ones, in their order), what the wants get with diminishing
 * returns, within the minutes and every rule that a composition keeps.
 */
export function integerProgrammeOf(composing: Composing, candidates: readonly Candidate[]): IntegerProgramme {
  const own = candidates.map((candidate) => ownWorth(candidate, composing));
  const programme = new ProgrammeWriter(composing, candidates, own);
  const wants = wantRows(programme);
  minutesRows(programme);
  answerRows(programme);
  loadRows(programme);
  wholeRows(programme);
  const { unknowns, rows } = programme.writer;
  return { linear: { unknowns, rows }, structure: { candidates, own, wants, ...programme.recorded } };
}

function wantRows(programme: ProgrammeWriter): Structure['wants'] {
  const { writer, composing } = programme;
  return wantWorths(composing).map((want, index) => {
    const slices = SLICES.map(({ share, worth }) => {
      const most = share * want.targetS;
      return writer.unknown({ worth: (want.points * worth) / most, most });
    });
    const given = programme.sum((candidate) => counted(candidate, index, want));
    writer.row('want', [...slices.map((slice) => [slice, 1] as const), ...given.map(([y, seconds]) => [y, -seconds] as const)], { max: 0 });
    return { want, counted: given.map(([, seconds]) => seconds) };
  });
}
