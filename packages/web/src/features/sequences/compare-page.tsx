import { readable } from '../../domain/measuring/units.js';
import type { SessionListItem } from '@clay-pot/contracts';
import {
  clock,
  compareSequences,
  compileTimeline,
  describePot,
  doneTimeline,
  type PotMeasure,
  potOf,
  potWords,
  type Sequence,
  viewOf,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useSequence, useSequences, useSession, useSessions } from '../../api/queries.js';
import { MeasureChoice, useMeasure } from '../../domain/sequence/pot-measure.js';
import { PotDrawing } from '../../drawing/pot.js';
import { movementById, methodFor } from '../../store/library.js';
import { ButtonLink } from '../../ui/button-link.js';
import { INPUT } from '../../ui/field.js';
import { dayText } from '../../ui/format.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { Term } from '../../domain/terms/term.js';
import { HandTable } from './accounts-panel.js';
import { blockNames } from '../../domain/sequence/block-names.js';
import { DoseComparison, type Laid, RowsComparison } from './comparison.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** A sequence beside another one, beside what it was on a day, or beside what was done of it. */
export default function ComparePage() {
  const { id = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const athleteId = athleteIn(params);
  const [kind, otherId] = (params.get('with') ?? '').split(':') as ['sequence' | 'plan' | 'done' | '', string | undefined];
  const sequence = useSequence(id);
  const other = useOther(kind, otherId);
  const { person, name } = useSubject(athleteId);
  const measure = useMeasure();
  const sides = useMemo(() => {
    if (!sequence.data) return null;
    const lay = (title: string, document: Sequence, isVersion: boolean, sets?: Parameters<typeof doneTimeline>[1]): Laid => {
      const plan = compileTimeline(document, movementById);
      const timeline = sets ? doneTimeline(plan, sets) : plan;
      const question = {
        sequence: document,
        lookup: movementById,
        shelf: [],
        person,
        method: methodFor(document),
      };
      return {
        name: title,
        isVersion,
        wasDone: sets !== undefined,
        view: viewOf({ ...question, athlete: null, past: [], now: `${person.today}T00:00:00.000Z` }, timeline),
      };
    };
    const right = other.data && lay(other.data.name, other.data.document, kind !== 'sequence', other.data.sets);
    return { left: lay(`${sequence.data.document.title}, now`, sequence.data.document, true), right };
  }, [sequence.data, other.data, person, kind]);

  if (sequence.isPending) return <Loading what="the sequence" />;
  if (!sequence.data || !sides) return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
  const query = athleteId ? `?athlete=${athleteId}` : '';
  const choose = (value: string) => {
    if (value) params.set('with', value);
    else params.delete('with');
    setParams(params, { replace: true });
  };
  return (
    <Page
      title="Compare"
      lead={`${sequence.data.document.title}, for ${name}`}
      actions={<ButtonLink to={`/sequences/${id}${query}`}>Back to the sequence</ButtonLink>}
    >
      <div className="mb-6 flex flex-wrap items-center gap-3">
        <WithWhat sequenceId={id} athleteId={athleteId} value={params.get('with') ?? ''} choose={choose} />
        <label className="flex max-w-full items-center gap-2 text-small">
          Width
          <MeasureChoice className={`${INPUT} w-64! min-w-0`} />
        </label>
      </div>
      {other.error && <Trouble error={other.error} />}
      {sides.right ? (
        <SideBySide left={sides.left} right={sides.right} measure={measure} />
      ) : (
        <p className="border-b border-line py-6 text-ink-soft">
          Choose another sequence, or a day when this one was led: as planned then, or as done.
        </p>
      )}
    </Page>
  );
}

/** The other side: a document, and the sets where it is something done. */
function useOther(kind: string, otherId: string | undefined) {
  const sequences = useSequence(kind === 'sequence' ? otherId : undefined);
  const session = useSession(kind === 'plan' || kind === 'done' ? otherId : undefined);
  return useMemo(() => {
    if (kind === 'sequence') {
      const { data, error } = sequences;
      return { data: data && { name: data.document.title, document: data.document, sets: undefined }, error };
    }
    const { data, error } = session;
    if (!data || kind === '') return { data: undefined, error: kind === '' ? null : error };
    const day = dayText(data.onDay);
    const sets = kind === 'done' ? data.sets : undefined;
    return {
      data: {
        name: `${kind === 'done' ? 'Done' : 'Planned'} on ${day}, ${data.athleteName}`,
        document: data.plan,
        sets,
      },
      error,
    };
  }, [kind, sequences, session]);
}

interface WithWhatProps {
  sequenceId: string;
  athleteId: string | undefined;
  value: string;
  choose: (value: string) => void;
}

function WithWhat({ sequenceId, athleteId, value, choose }: WithWhatProps) {
  const sequences = useSequences().data ?? [];
  const sessions = useSessions(athleteId);
  const led = (sessions.data?.pages ?? []).flatMap(({ items }) => items).filter((item) => item.sequenceId === sequenceId);
  const words = (item: SessionListItem) => `${dayText(item.onDay)}, ${item.athleteName}`;
  return (
    <label className="flex max-w-full items-center gap-2 text-small">
      With
      <select aria-label="Compare with" className={`${INPUT} w-80! min-w-0`} value={value} onChange={(event) => choose(event.target.value)}>
        <option value="">Choose …</option>
        <optgroup label="Another sequence">
          {sequences
            .filter((item) => item.id !== sequenceId)
            .map((item) => (
              <option key={item.id} value={`sequence:${item.id}`}>
                {item.title}
              </option>
            ))}
        </optgroup>
        <optgroup label="As done">
          {led.map((item) => (
            <option key={item.id} value={`done:${item.id}`}>
              Done {words(item)}
            </option>
          ))}
        </optgroup>
        <optgroup label="As planned then">
          {led.map((item) => (
            <option key={item.id} value={`plan:${item.id}`}>
              Planned {words(item)}
            </option>
          ))}
        </optgroup>
      </select>
    </label>
  );
}

function SideBySide({ left, right, measure }: { left: Laid; right: Laid; measure: PotMeasure }) {
  // Both on the scale of the longer one; a rim that neither comes near would only make them small.
  const scaleMs = 1.06 * Math.max(...[left, right].map(({ view }) => view.timeline.durationMs));
  const nameOf = (block: { movementId: string; levelId: string }) => {
    const movement = movementById(block.movementId);
    const level = movement?.ladder.find(({ id }) => id === block.levelId);
    return movement ? `${movement.name} (${level?.name ?? block.levelId})` : block.movementId;
  };
  const changes = compareSequences(right.view.sequence, left.view.sequence, nameOf, right.isVersion);
  return (
    <>
      <div className="grid gap-8 sm:grid-cols-2">
        {[left, right].map((side) => (
          <OnePot key={side.name} side={side} measure={measure} scaleMs={scaleMs} />
        ))}
      </div>
      <Part title="What differs" className="mt-8" aside={<span className="text-small text-ink-soft">from right to left</span>}>
        {changes.length === 0 ? (
          <p className="py-2 text-ink-soft">Both plans are the same.</p>
        ) : (
          <ul className="columns-1 gap-8 py-1 text-small sm:columns-2">
            {changes.map(({ pointer, text }) => (
              <li key={pointer + readable(text)} className="break-inside-avoid border-b border-line py-1">
                {readable(text)}
              </li>
            ))}
          </ul>
        )}
      </Part>
      <Part title="Tiring work" aside={<Term term="enduranceDose">in holds to failure</Term>} className="mt-8">
        <DoseComparison left={left} right={right} />
      </Part>
      <Part title="Blocks" className="mt-8">
        <RowsComparison left={left} right={right} />
      </Part>
    </>
  );
}

function OnePot({ side, measure, scaleMs }: { side: Laid; measure: PotMeasure; scaleMs: number }) {
  const { name, view, wasDone } = side;
  const pot = potOf(view, measure, wasDone ? 'done' : 'plan');
  return (
    <section aria-label={name}>
      <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-lead">
        {name}
        <span className="font-text text-body font-normal figures">{clock(view.timeline.durationMs)}</span>
      </h2>
      <PotDrawing
        pot={pot}
        nameOf={blockNames(view.sequence)}
        description={describePot(pot, blockNames(view.sequence))}
        scaleMs={scaleMs}
        heightPx={300}
        className="mx-auto block w-full max-w-sm"
      />
      <p className="my-2 text-small">{potWords(pot).join(' ')}</p>
      <HandTable account={view.account} />
    </section>
  );
}
