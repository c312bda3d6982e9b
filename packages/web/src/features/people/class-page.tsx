import { Term } from '../../domain/terms/term.js';
import { FirstOfItsKind } from '../../domain/account/first-of-its-kind.js';
import type { ClassRow } from '@clay-pot/contracts';
import { capital, counted, dayWords, type Hand, isGrave, type ReadingUnit } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { request } from '../../api/request.js';
import { numberText, shownUnit, readable } from '../../domain/measuring/units.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Page, Trouble } from '../../ui/page.js';
import { type RowProps, TableRows } from '../../ui/table-rows.js';

/** A name above a practice. */
const ROW_PX = 62;

/** Everybody side by side, who needs a look first, and why. */
export default function ClassPage() {
  const table = useQuery({ queryKey: ['class'], queryFn: () => request<ClassRow[]>('/class') });
  if (table.isPending) return <Loading what="the class" />;
  if (!table.data) return <Trouble error={table.error} retry={() => void table.refetch()} />;
  const asking = table.data.filter(({ reasons }) => reasons.length > 0).length;
  return (
    <Page
      title="Class overview"
      lead={asking === 0 ? 'All good' : `${counted(asking, 'athlete')} to check, most urgent first`}
      actions={<ButtonLink to="/people">People by name</ButtonLink>}
    >
      {table.data.length === 0 ? (
        <FirstOfItsKind
          example="/people/class"
          action={
            <ButtonLink kind="primary" to="/people/new">
              Add athlete
            </ButtonLink>
          }
        >
          All athletes side by side, most urgent first.
        </FirstOfItsKind>
      ) : (
        <table className="w-full border-collapse text-small" aria-rowcount={table.data.length + 1}>
          <thead>
            <tr className="border-b-2 border-ink text-left text-ink-soft">
              <th className="py-1.5 pr-4 font-normal">Athlete</th>
              <th className="py-1.5 pr-4 font-normal">Why check</th>
              <th className="py-1.5 pr-4 text-right font-normal max-md:hidden">
                <Term term="range">Passive extension</Term>, <span className="whitespace-nowrap">L · R</span>
              </th>
              <th className="py-1.5 pr-4 text-right font-normal max-md:hidden">
                <Term term="maximum">Grip</Term>, {shownUnit('N')}, <span className="whitespace-nowrap">L · R</span>
              </th>
              <th className="py-1.5 pr-4 font-normal max-lg:hidden">Last test</th>
              <th className="py-1.5 font-normal max-lg:hidden">Last session</th>
            </tr>
          </thead>
          <TableRows items={table.data} rowPx={ROW_PX} columns={6} row={(row) => <Who key={row.athleteId} row={row} />} />
        </table>
      )}
    </Page>
  );
}

const day = (on: string | null) => (on ? dayWords(on).replace(/ \d{4}$/, '') : 'never');

function Who({ row, ...place }: { row: ClassRow } & RowProps) {
  const { athleteId, name, practice, reasons, extensionDeg, gripN, measuredOn, lastSessionOn } = row;
  const [first, ...rest] = reasons;
  return (
    <tr {...place} className="border-b border-line align-top hover:bg-white">
      <td className="py-2 pr-4">
        <Link to={`/people/${athleteId}`} className="text-body font-semibold hover:underline">
          {name}
        </Link>
        <div className="text-ink-soft">{practice}</div>
      </td>
      <td className="py-2 pr-4">
        {first ? (
          <>
            <b className={isGrave(row) ? 'text-iron' : 'text-amber'}>{capital(readable(first))}</b>
            {rest.map((reason) => (
              <div key={readable(reason)} className="text-ink-soft">
                {capital(readable(reason))}
              </div>
            ))}
          </>
        ) : (
          <span className="text-celadon">All good</span>
        )}
      </td>
      <td className="py-2 pr-4 text-right whitespace-nowrap figures max-md:hidden">{pair('°', extensionDeg)}</td>
      <td className="py-2 pr-4 text-right whitespace-nowrap figures max-md:hidden">{pair('N', gripN)}</td>
      <td className="py-2 pr-4 whitespace-nowrap max-lg:hidden">{day(measuredOn)}</td>
      <td className="py-2 whitespace-nowrap max-lg:hidden">{day(lastSessionOn)}</td>
    </tr>
  );
}

const pair = (unit: ReadingUnit, { left, right }: Record<Hand, number | null>) =>
  `${left === null ? '–' : numberText(unit, left)} · ${right === null ? '–' : numberText(unit, right)}`;
