import {
  dayWords,
  isAhead,
  type MuscleGroup,
  PROGRAMME_LIMITS,
  type ProgrammeView,
  WEEK_KIND_IDS,
  WEEK_KINDS,
  type WeekKind,
  weekLoads,
} from '@clay-pot/core';
import { tryOut } from '../../store/calendar.js';
import { changeProgramme } from '../../store/programme.js';
import { Button } from '../../ui/button.js';
import { SelectField } from '../../ui/field.js';
import { Part } from '../../ui/page.js';
import { Segments } from '../../ui/segments.js';

const { min, max, step } = PROGRAMME_LIMITS.amountPercent;
const AMOUNTS = Array.from({ length: (max - min) / step + 1 }, (_, index) => min + index * step);
const SHOWN = 8;
const NEXT_TO_NOTHING = 0.01;

/** What a week is for, how much it holds, what it comes to; and what if it were missed. */
export function WeekPanel({ view, index }: { view: ProgrammeView; index: number }) {
  const week = view.weeks[index];
  if (!week) return null;
  const put = (kind: WeekKind, amountPercent: number) => changeProgramme([{ kind: 'week', index, week: { kind, amountPercent } }]);
  const ahead = week.sessions.filter(isAhead);
  const groups = (Object.entries(week.doses) as [MuscleGroup, number][])
    .filter(([, dose]) => dose >= NEXT_TO_NOTHING)
    .sort((a, b) => b[1] - a[1]);
  const before = view.weeks[index - 1]?.doses;
  const percentOfPeak = weekLoads(view)[index]?.percentOfPeak ?? 0;
  return (
    <Part title={`Week ${index + 1}`} aside={<span className="text-small text-ink-soft">from {dayWords(week.monday)}</span>}>
      <div className="grid gap-3 py-2">
        <Segments
          label="Purpose of the week"
          size="small"
          options={WEEK_KIND_IDS}
          words={(kind) => WEEK_KINDS[kind].label}
          chosen={week.kind}
          choose={(kind) => put(kind, WEEK_KINDS[kind].usualPercent)}
        />
        <p className="text-small text-ink-soft">{WEEK_KINDS[week.kind].words}.</p>
        <SelectField label="Load" value={week.amountPercent} onChange={(event) => put(week.kind, Number(event.target.value))}>
          {AMOUNTS.map((amount) => (
            <option key={amount} value={amount}>
              {amount} %
            </option>
          ))}
        </SelectField>
        <p className="text-small text-ink-soft">
          Of each session’s loading work. The week holds <b className="figures">{percentOfPeak.toFixed(0)} %</b> of the fullest week’s load.
        </p>
        {groups.length > 0 && (
          <table className="w-full text-small">
            <caption className="text-left text-ink-soft">Tiring work, in holds to failure, both hands</caption>
            <thead>
              <tr className="text-ink-soft">
                <td />
                <th className="text-right font-normal">this week</th>
                <th className="text-right font-normal">before</th>
              </tr>
            </thead>
            <tbody>
              {groups.slice(0, SHOWN).map(([group, dose]) => (
                <tr key={group} className="border-t border-line">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {group}
                  </th>
                  <td className="text-right figures">{dose.toFixed(2)}</td>
                  <td className="text-right figures text-ink-soft">{before ? (before[group] ?? 0).toFixed(2) : '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {ahead.length > 0 && (
          <Button
            onClick={() =>
              tryOut({
                words: `week ${index + 1} is missed`,
                edits: ahead.map(({ id }) => ({ kind: 'remove', sessionId: id })),
              })
            }
          >
            What if they miss it?
          </Button>
        )}
      </div>
    </Part>
  );
}
