import { type LoadPoint, loadedGroups, loadLine, type MuscleGroup, type ProgrammeView } from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { Area, Bar, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { SelectField } from '../../ui/field.js';
import { dayText } from '../../ui/format.js';
import { Empty, Part } from '../../ui/page.js';
import { Term } from '../../domain/terms/term.js';
import { Disclosure } from '../../ui/disclosure.js';

interface Props {
  view: ProgrammeView;
  /** As the programme is, where something else is only tried. */
  before: ProgrammeView | null;
}

const at = (day: string) => Date.parse(`${day}T12:00:00Z`);
const inWords = (time: number) => dayText(new Date(time)).slice(4);

/** How a muscle group’s load runs over the weeks, in the band of what goes on as before. */
export default function LoadChart({ view, before }: Props) {
  const groups = loadedGroups(view);
  const [action, setAsked] = useState<MuscleGroup | null>(null);
  const group = action && groups.includes(action) ? action : groups[0];
  const line = useMemo(() => (group ? loadLine(view, group) : []), [view, group]);
  const as = useMemo(() => (group && before ? loadLine(before, group) : []), [before, group]);
  if (!group) return <Empty>No muscle group is loaded yet.</Empty>;
  const was = new Map(as.map((point) => [point.day, point.week]));
  const rows = line.map((point) => ({ at: at(point.day), ...point, was: was.get(point.day) ?? null }));
  return (
    <Part title={`Load of the ${group}, day by day`}>
      <div className="my-2 max-w-60">
        <SelectField label="Muscles" value={group} onChange={(event) => setAsked(event.target.value as MuscleGroup)}>
          {groups.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </SelectField>
      </div>
      <p className="text-small text-ink-soft">
        <Term term="enduranceDose">Tiring work</Term>, in holds to failure a day
      </p>
      <figure aria-label={`Load of the ${group}`}>
        <div className="h-56">
          <ResponsiveContainer width="100%" height="100%">
            <ComposedChart accessibilityLayer={false} data={rows} margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
              <CartesianGrid stroke="var(--color-line)" vertical={false} />
              <XAxis
                dataKey="at"
                type="number"
                domain={['dataMin', 'dataMax']}
                tickFormatter={inWords}
                fontSize={12}
                stroke="var(--color-ink-soft)"
              />
              <YAxis fontSize={12} width={48} stroke="var(--color-ink-soft)" tickFormatter={(value: number) => value.toFixed(2)} />
              <Bar dataKey="dose" barSize={3} fill="var(--color-line)" isAnimationActive={false} activeBar={false} />
              <Area dataKey="band" stroke="none" fill="var(--color-celadon-wash)" isAnimationActive={false} activeDot={false} />
              <Line
                dataKey="month"
                stroke="var(--color-celadon)"
                strokeWidth={1.5}
                dot={false}
                isAnimationActive={false}
                activeDot={false}
              />
              {before && (
                <Line
                  dataKey="was"
                  stroke="var(--color-ash)"
                  strokeWidth={1.5}
                  strokeDasharray="4 3"
                  dot={false}
                  isAnimationActive={false}
                  activeDot={false}
                />
              )}
              <Line dataKey="week" stroke="var(--color-ink)" strokeWidth={2} dot={false} isAnimationActive={false} activeDot={false} />
              <ReferenceLine
                x={at(view.today)}
                stroke="var(--color-ink)"
                strokeDasharray="2 3"
                label={{ value: 'today', fontSize: 12, position: 'insideTopLeft' }}
              />
            </ComposedChart>
          </ResponsiveContainer>
        </div>
        <figcaption className="mt-1 text-fine text-ink-soft">
          Bars: each day, both hands. Lines favour recent days: over 7 days (black{before ? '; dashed without your changes' : ''}) and over
          28 days (green). Take a second look where black leaves the green band. Left of today is done, right of it planned.
        </figcaption>
      </figure>
      <LineTable line={line} group={group} />
    </Part>
  );
}

/** The same as numbers, a row a week. */
function LineTable({ line, group }: { line: readonly LoadPoint[]; group: MuscleGroup }) {
  return (
    <Disclosure className="mt-1 text-small" title="As a table" buttonClassName="text-ink-soft">
      <table className="mt-1 w-full max-w-md">
        <caption className="sr-only">Load of the {group} at the end of each week</caption>
        <thead>
          <tr className="text-ink-soft">
            <th className="text-left font-normal">until</th>
            <th className="text-right font-normal">seven days</th>
            <th className="text-right font-normal">28 days</th>
            <th className="text-right font-normal">band</th>
            <th className="text-right font-normal" />
          </tr>
        </thead>
        <tbody>
          {line
            .filter((_, index) => index % 7 === 6)
            .map(({ day, week, month, band, isPlanned }) => (
              <tr key={day} className="border-t border-line">
                <th scope="row" className="text-left font-normal">
                  {dayText(day)}
                </th>
                <td className="text-right figures">{week.toFixed(3)}</td>
                <td className="text-right figures">{month.toFixed(3)}</td>
                <td className="text-right figures">
                  {band[0].toFixed(3)}–{band[1].toFixed(3)}
                </td>
                <td className="text-right text-ink-soft">{isPlanned ? 'planned' : 'done'}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </Disclosure>
  );
}
