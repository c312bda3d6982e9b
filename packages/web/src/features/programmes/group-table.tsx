import type { CopyItem, CopyPreview } from '@clay-pot/contracts';
import { dayWords, mondayOf, type Programme, weekdaysOf, type WeekProgress } from '@clay-pot/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { keepCopy, previewCopy, putCopy } from '../../api/programme-queries.js';
import { refresh } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { dayText, weekdayText } from '../../ui/format.js';
import { isoToday } from '../../ui/today.js';
import { Differences } from './differences.js';

interface Props {
  sourceId: string;
  source: Programme;
  copies: readonly CopyItem[];
}

/** Weeks that are shown: the one before this one and those after it, as many as there are room for; toward the end more of those before. */
const [BACK, SHOWN] = [1, 6];

/** Everybody who follows a programme: days, next session, how the weeks go, and whether its last change was offered. */
export function GroupTable({ sourceId, source, copies }: Props) {
  const weeks = shownWeeks(copies);
  const today = mondayOf(isoToday());
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-3xl border-collapse text-small">
        <caption className="sr-only">Everyone who follows this programme, week by week: sessions done of those planned</caption>
        <thead>
          <tr className="border-b-2 border-ink text-left text-ink-soft">
            <th className="py-1 pr-3 font-normal">Name</th>
            <th className="py-1 pr-3 font-normal">Days</th>
            <th className="py-1 pr-3 font-normal">Next session</th>
            {weeks.map((monday) => (
              <th key={monday} className={`px-1 py-1 text-center font-normal figures ${monday === today ? 'font-bold text-ink' : ''}`}>
                {dayWords(monday).split(' ').slice(0, 2).join(' ')}
              </th>
            ))}
            <th className="py-1 pl-3 font-normal">Last change</th>
          </tr>
        </thead>
        <tbody>
          {copies.map((copy) => (
            <Row key={copy.id} sourceId={sourceId} source={source} copy={copy} weeks={weeks} />
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-fine text-ink-soft">Weeks: sessions done of those planned.</p>
    </div>
  );
}

function shownWeeks(copies: readonly CopyItem[]): string[] {
  const all = [...new Set(copies.flatMap(({ weeks }) => weeks.map(({ monday }) => monday)))].sort();
  const at = all.findIndex((monday) => monday >= mondayOf(isoToday()));
  const from = Math.max(0, Math.min((at < 0 ? all.length : at) - BACK, all.length - SHOWN));
  return all.slice(from, from + SHOWN);
}

interface RowProps {
  sourceId: string;
  source: Programme;
  copy: CopyItem;
  weeks: readonly string[];
}

function Row({ sourceId, source, copy, weeks }: RowProps) {
  const { id, athleteId, athleteName, next, isBehind } = copy;
  const [offer, setOffer] = useState<CopyPreview | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const input = { copyId: id, athleteId, ...(copy.weekdays && { weekdays: copy.weekdays }) };
  const carryOut = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setTrouble(null);
    try {
      await work();
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
    setBusy(false);
  };
  const settle = async (work: () => Promise<unknown>) => {
    await work();
    setOffer(null);
    await refresh('programmes', 'sequences', 'today');
  };
  const columns = weeks.length + 4;
  return (
    <>
      <tr className="border-b border-line">
        <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
          <Link className="inline-flex min-h-6 items-center hover:underline" to={`/programmes/${id}`}>
            {athleteName}
          </Link>
        </th>
        <td className="py-1.5 pr-3">{weekdayText(copy.weekdays ?? weekdaysOf(source))}</td>
        <td className="py-1.5 pr-3 figures">{next ? dayText(next.day) : '–'}</td>
        {weeks.map((monday) => (
          <td key={monday} className="px-1 py-1.5 text-center figures">
            <Week week={copy.weeks.find((week) => week.monday === monday)} />
          </td>
        ))}
        <td className="py-1.5 pl-3 whitespace-nowrap">
          {isBehind ? (
            <Button
              className="px-2! py-0.5! text-small"
              disabled={isBusy}
              aria-label={`Show what the change does to ${athleteName}`}
              onClick={() => void carryOut(async () => setOffer(await previewCopy(sourceId, input)))}
            >
              Show the change
            </Button>
          ) : (
            'up to date'
          )}
        </td>
      </tr>
      {(offer || trouble) && (
        <tr className="border-b border-line bg-ground">
          <td colSpan={columns} className="px-3 py-2">
            {trouble && (
              <p role="alert" className="mb-2 border-l-4 border-iron bg-iron-wash px-2 py-1">
                {trouble}
              </p>
            )}
            {offer && (
              <>
                <Differences preview={offer} />
                <div className="mt-2 flex flex-wrap gap-2">
                  <Button
                    kind="primary"
                    disabled={isBusy}
                    aria-label={`Apply the change to ${athleteName}`}
                    onClick={() => void carryOut(() => settle(() => putCopy(sourceId, input, copy.etag)))}
                  >
                    Apply
                  </Button>
                  <Button
                    disabled={isBusy}
                    aria-label={`Leave ${athleteName}’s programme as it is`}
                    onClick={() => void carryOut(() => settle(() => keepCopy(id)))}
                  >
                    Leave as it is
                  </Button>
                </div>
              </>
            )}
          </td>
        </tr>
      )}
    </>
  );
}

function Week({ week }: { week: WeekProgress | undefined }) {
  if (!week) return <span className="text-ink-soft">–</span>;
  const { done, missed, ahead } = week;
  const all = done + missed + ahead;
  if (all === 0) return <span className="text-ink-soft">–</span>;
  return (
    <span className={missed > 0 ? 'font-semibold text-iron' : done > 0 ? 'font-semibold' : 'text-ink-soft'}>
      {done}/{all}
      {missed > 0 && <span className="sr-only">, {missed} missed</span>}
    </span>
  );
}
