import {
  failureWords,
  type GroupCourse,
  HANDS,
  lowestBands,
  type MuscleGroup,
  partsOf,
  type Sequence,
  type SideGroup,
} from '@clay-pot/core';
import { select } from '../../store/editor.js';
import { Term } from '../../domain/terms/term.js';
import { HandTableHead } from '../../ui/hand-table-head.js';
import type { SequenceView } from '../../domain/sequence/session-view.js';

/** What the sequence leaves of each muscle group at its lowest, and where something cannot be held. */
export function CapacityPanel({ seen, document }: { seen: SequenceView; document: Sequence }) {
  const { courses } = seen.view;
  if (courses.size === 0) return <p className="text-small text-ink-soft">No muscle works against load here.</p>;
  const bands = lowestBands(seen.view);
  const groups = [...new Set([...courses.keys()].map((key) => partsOf(key).group))];
  const lowest = (group: MuscleGroup) => Math.min(...HANDS.map((hand) => courses.get(`${hand} ${group}`)?.lowest ?? 1));
  const sorted = [...groups].sort((a, b) => lowest(a) - lowest(b));
  return (
    <section aria-label="Capacity left">
      <h2 className="text-body">
        <Term term="capacityLeft">Lowest strength left</Term>
      </h2>
      <p className="mb-1 text-fine text-ink-soft">
        For {seen.subject.name}: how much strength each muscle group still has when it is most tired. Work is possible while more is left
        than it needs.
      </p>
      <Failures courses={courses} document={document} />
      <table className="w-full text-small">
        <HandTableHead />
        <tbody>
          {sorted.map((group) => (
            <tr key={group} className="border-b border-line">
              <th scope="row" className="py-0.5 text-left font-normal">
                {group}
              </th>
              {HANDS.map((hand) => (
                <LeftCell key={hand} course={courses.get(`${hand} ${group}`)} band={bands.get(`${hand} ${group}`)} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function LeftCell({ course, band }: { course: GroupCourse | undefined; band: readonly [number, number] | undefined }) {
  if (!course) return <td className="py-0.5 text-right text-ash">rests</td>;
  const percent = Math.round(course.lowest * 100);
  const [low = percent, high = percent] = (band ?? []).map((share) => Math.round(100 * share));
  return (
    <td className={`py-0.5 pl-2 text-right figures ${course.failures.length > 0 ? 'font-bold text-iron' : ''}`}>
      <Term term="capacityLeft" inTable value={percent}>
        {percent} %
      </Term>
      <LeftBand percent={percent} low={low} high={high} />
    </td>
  );
}

/** What is left, as a bar, with where it lies for four fifths of people like this. */
function LeftBand({ percent, low, high }: { percent: number; low: number; high: number }) {
  return (
    <>
      <span className="relative ml-auto block h-2 w-20 border border-ink/40 bg-white" aria-hidden>
        <span className="block h-full bg-celadon-fill" style={{ width: `${percent}%` }} />
        {high > low && (
          <span
            className="absolute inset-y-0 border-x-2 border-ink before:absolute before:inset-x-0 before:top-1/2 before:h-px before:bg-ink"
            style={{ left: `${low}%`, right: `${100 - high}%` }}
          />
        )}
      </span>
      {high > low && (
        <span className="sr-only">
          for 4 in 5 people like this {low}–{high} %
        </span>
      )}
    </>
  );
}

const SHOWN = 4;

/** Work that cannot be held, with the rest that would mend it; pressing one shows its block. */
function Failures({ courses, document }: { courses: ReadonlyMap<SideGroup, GroupCourse>; document: Sequence }) {
  const failing = [...courses].flatMap(([key, { failures }]) => failures.map((failure) => ({ key, failure })));
  failing.sort((a, b) => a.failure.atMs - b.failure.atMs);
  return (
    <ul className="mb-2 grid gap-1">
      {failing.slice(0, SHOWN).map(({ key, failure }) => (
        <li key={`${key} ${failure.blockId}`} className="border-l-4 border-iron bg-iron-wash px-2 py-1 text-small">
          <button type="button" className="text-left underline underline-offset-2" onClick={() => select(failure.blockId)}>
            Block {document.blocks.findIndex(({ id }) => id === failure.blockId) + 1}
          </button>
          : {key} {failureWords(failure)}
        </li>
      ))}
      {failing.length > SHOWN && <li className="text-fine text-ink-soft">and {failing.length - SHOWN} more</li>}
    </ul>
  );
}
