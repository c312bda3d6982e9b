import { FirstOfItsKind } from '../../domain/account/first-of-its-kind.js';
import { cautionLabel, counted, forbidsLoading, keyOfCaution } from '@clay-pot/core';
import type { AthleteListItem } from '@clay-pot/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAthletes } from '../../api/queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { INPUT } from '../../ui/field.js';
import { agoText } from '../../ui/format.js';
import { SideMark } from '../../ui/marks.js';
import { Empty, Loading, Page, Trouble } from '../../ui/page.js';
import { SessionStrip } from '../../ui/session-strip.js';
import { type RowProps, TableRows } from '../../ui/table-rows.js';
import { isoToday } from '../../ui/today.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';

/** A name above a practice. */
const ROW_PX = 62;

type SortKey = 'name' | 'last' | 'count';

const countOf = (athlete: AthleteListItem) => athlete.recentDays.reduce((sum, { sessions }) => sum + sessions, 0);

const COMPARE: Record<SortKey, (a: AthleteListItem, b: AthleteListItem) => number> = {
  name: (a, b) => a.name.localeCompare(b.name),
  last: (a, b) => (b.lastSessionAt ?? '').localeCompare(a.lastSessionAt ?? ''),
  count: (a, b) => countOf(b) - countOf(a),
};

/** Everybody whom the studio trains. */
export default function PeoplePage() {
  const athletes = useAthletes();
  const [text, setText] = useState('');
  const [sort, setSort] = useState<SortKey>('name');
  if (athletes.isPending) return <Loading what="people" />;
  if (!athletes.data) return <Trouble error={athletes.error} retry={() => void athletes.refetch()} />;
  const wanted = text.trim().toLowerCase();
  const shown = athletes.data.filter((athlete) => `${athlete.name} ${athlete.practice}`.toLowerCase().includes(wanted)).sort(COMPARE[sort]);
  const heading = (key: SortKey, label: string) => (
    <th className="py-1.5 pr-4 font-normal" aria-sort={sort === key ? (key === 'name' ? 'ascending' : 'descending') : 'none'}>
      <button
        type="button"
        className={sort === key ? 'font-bold text-ink' : 'underline-offset-2 hover:underline'}
        onClick={() => setSort(key)}
      >
        {label}
        {sort === key && <span aria-hidden> ↓</span>}
      </button>
    </th>
  );
  return (
    <Page
      title="People"
      lead={counted(athletes.data.length, 'athlete')}
      actions={
        athletes.data.length > 0 && (
          <>
            <input
              type="search"
              aria-label="Search people"
              placeholder="Search by name or practice"
              className={`${INPUT} w-60!`}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            <ButtonLink to="/people/class">Class overview</ButtonLink>
            <ButtonLink to="/people/new" kind="primary">
              Add athlete
            </ButtonLink>
          </>
        )
      }
    >
      {shown.length === 0 ? (
        athletes.data.length > 0 ? (
          <Empty>No athlete matches “{text}”.</Empty>
        ) : (
          <FirstOfItsKind
            example="/people"
            action={
              <ButtonLink kind="primary" to="/people/new">
                Add athlete
              </ButtonLink>
            }
          >
            The people you train, with their restrictions, tests and plans.
          </FirstOfItsKind>
        )
      ) : (
        <table className="w-full border-collapse" aria-rowcount={shown.length + 1}>
          <thead>
            <tr className="border-b-2 border-ink text-left text-small text-ink-soft">
              {heading('name', 'Name')}
              <th className="py-1.5 pr-4 font-normal max-md:hidden">Hand</th>
              <th className="py-1.5 pr-4 font-normal max-lg:hidden">Restrictions</th>
              {heading('last', 'Last session')}
              {heading('count', 'Last 8 weeks')}
            </tr>
          </thead>
          <TableRows items={shown} rowPx={ROW_PX} columns={5} row={(athlete) => <PersonRow key={athlete.id} athlete={athlete} />} />
        </table>
      )}
    </Page>
  );
}

function PersonRow({ athlete, ...place }: { athlete: AthleteListItem } & RowProps) {
  const today = isoToday();
  const cautions = useStandingCautions(athlete);
  const restrictions = cautions.map((entry) => (
    <div key={keyOfCaution(entry)} className={forbidsLoading(entry) ? 'font-semibold text-iron' : ''}>
      {cautionLabel(entry)}
      {forbidsLoading(entry) && ': refer'}
    </div>
  ));
  return (
    <tr {...place} className="border-b border-line align-top hover:bg-white">
      <td className="py-2 pr-4">
        <Link to={`/people/${athlete.id}`} className="font-semibold hover:underline">
          {athlete.name}
        </Link>
        <div className="text-small text-ink-soft">{athlete.practice}</div>
        <div className="text-small lg:hidden">{restrictions}</div>
      </td>
      <td className="py-2.5 pr-4 max-md:hidden">
        <SideMark side={athlete.dominantHand} />
      </td>
      <td className="py-2 pr-4 text-small max-lg:hidden">{restrictions}</td>
      <td className="py-2 pr-4 text-small whitespace-nowrap">{athlete.lastSessionAt ? agoText(athlete.lastSessionAt) : 'none yet'}</td>
      <td className="py-2 text-small whitespace-nowrap">
        <span className="max-lg:hidden">
          <SessionStrip recentDays={athlete.recentDays} today={today} />
        </span>
        <span className="figures lg:ml-2">{countOf(athlete)}</span>
      </td>
    </tr>
  );
}
