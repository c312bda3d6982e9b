import { Term } from '../../domain/terms/term.js';
import { counted, type StudyQuestion, type StudyRow } from '@clay-pot/core';
import { Button } from '../../ui/button.js';
import { Part } from '../../ui/page.js';
import type { DoneStudy } from './use-study.js';

/** What came of a study: a row for each method, with between what its numbers lie. */
export function StudyResult({ study, forget }: { study: DoneStudy; forget: () => void }) {
  const { question, rows } = study;
  const { movement, athletes, weeks, sessionsPerWeek, easierEvery, seed } = question;
  const most = Math.max(1, movement.ladder.length - 1);
  return (
    <Part
      title={`${movement.name}: ${paceWords(question)}`}
      aside={
        <Button kind="quiet" className="px-2! py-0.5! text-small" onClick={forget}>
          Remove
        </Button>
      }
      className="mt-8"
    >
      <p className="py-1 text-small text-ink-soft">
        Simulated: {athletes} athletes who don’t exist, {weeks} weeks,{' '}
        {sessionsPerWeek === null ? 'as often as each method trains' : `${sessionsPerWeek} sessions a week`},{' '}
        {easierEvery > 0 ? `deload every ${easierEvery} weeks` : 'no deload'}. Seed {seed}.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full min-w-2xl border-collapse text-small">
          <caption className="sr-only">Results of {athletes} simulated athletes by method</caption>
          <thead>
            <tr className="text-left text-ink-soft">
              <th className="py-1 pr-3 font-normal">Method</th>
              <th className="py-1 pr-3 font-normal">Levels gained of {most}: eight of ten</th>
              <th className="py-1 pr-3 text-right font-normal">Levels</th>
              <th className="py-1 pr-3 font-normal">
                <Term term="flareUp">With a flare-up</Term>, % of athletes
              </th>
              <th className="py-1 pr-3 text-right font-normal">Sore sessions</th>
              <th className="py-1 text-right font-normal">Sessions</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <Row key={row.methodId} row={row} most={most} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-fine text-ink-soft">
        The mark is the mean. The ranges show how far it moves with the simulation’s assumptions: recovery, tolerance and flare-ups. Smaller
        differences between methods say nothing. The methods differ in training days, growth of doses, discomfort allowed and effort limit.
      </p>
    </Part>
  );
}

/** How fast more was asked for. */
function paceWords({ sessionsPerStep, daysPerStep }: StudyQuestion): string {
  const words = [
    ...(sessionsPerStep === null ? [] : [`more after ${counted(sessionsPerStep, 'clean session')}`]),
    ...(daysPerStep === null ? [] : [daysPerStep === 0 ? 'no days between' : `once in ${counted(daysPerStep, 'day')} at most`]),
  ];
  return words.join(', ') || 'at each method’s own pace';
}

const percent = (share: number) => Math.max(0, 100 * share).toFixed(0);

function Row({ row, most }: { row: StudyRow; most: number }) {
  const { name, sessionsPerWeek, climbed, climbedMost, flaredUp, soreShare, sessions, band } = row;
  return (
    <tr className="border-t border-line">
      <th className="py-1.5 pr-3 text-left font-semibold">
        {name}
        <span className="block font-normal text-ink-soft">{sessionsPerWeek} a week</span>
      </th>
      <td className="w-48 py-1.5 pr-3">
        <Band low={climbedMost[0]} at={climbed.value} high={climbedMost[1]} most={most} fill="bg-celadon-fill" />
      </td>
      <td className="py-1.5 pr-3 text-right whitespace-nowrap figures">
        {climbed.value.toFixed(1)}
        <span className="block text-fine text-ink-soft">
          {band.climbed[0].toFixed(1)}–{band.climbed[1].toFixed(1)}
        </span>
      </td>
      <td className="w-48 py-1.5 pr-3">
        <Band low={band.flaredUp[0]} at={flaredUp.value} high={band.flaredUp[1]} most={1} fill="bg-load-4" />
        <span className="text-fine text-ink-soft figures">
          {percent(flaredUp.value)} % ({percent(band.flaredUp[0])}–{percent(band.flaredUp[1])})
        </span>
      </td>
      <td className="py-1.5 pr-3 text-right whitespace-nowrap figures">
        {percent(soreShare.value)} %
        <span className="block text-fine text-ink-soft">
          {percent(band.soreShare[0])}–{percent(band.soreShare[1])}
        </span>
      </td>
      <td className="py-1.5 text-right figures">{sessions.toFixed(0)}</td>
    </tr>
  );
}

/** A band between two values on a rule from nothing to the most, with a mark where the middle is. */
function Band({ low, at, high, most, fill }: { low: number; at: number; high: number; most: number; fill: string }) {
  const place = (value: number) => `${(100 * Math.min(most, Math.max(0, value))) / most}%`;
  return (
    <div className="relative h-4 border-b border-ink/50" aria-hidden>
      <div
        className={`absolute bottom-0 h-2.5 ${fill}`}
        style={{ left: place(low), width: `calc(${place(high)} - ${place(low)})`, minWidth: 2 }}
      />
      <div className="absolute bottom-0 h-4 w-0.5 bg-ink" style={{ left: place(at) }} />
    </div>
  );
}
