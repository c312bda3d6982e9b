import type { CopyPreview, StoredProgramme } from '@clay-pot/contracts';
import { counted, weekdaysOf } from '@clay-pot/core';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { previewCopy, putCopy } from '../../api/programme-queries.js';
import { refresh, useAthletes } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { Empty, Part } from '../../ui/page.js';
import { WeekdayPicker } from '../../ui/weekday-picker.js';
import { Differences } from './differences.js';

/** Somebody who is to get a copy, on which days, and what it would be. */
interface Wanted {
  readonly copyId: string;
  readonly weekdays: readonly number[];
  readonly preview: CopyPreview | null;
  readonly trouble: string | null;
}

/** Gives a programme to other people: chosen, looked at one by one, then made. */
export function AddPeople({ source, followers }: { source: StoredProgramme; followers: readonly string[] }) {
  const athletes = useAthletes().data ?? [];
  const [wanted, setWanted] = useState<ReadonlyMap<string, Wanted>>(new Map());
  const [isBusy, setBusy] = useState(false);
  const others = athletes.filter(({ id }) => id !== source.athleteId && !followers.includes(id));
  const usual = weekdaysOf(source.document);
  const put = (id: string, change: Partial<Wanted> | null) =>
    setWanted((before) => {
      const next = new Map(before);
      const now = next.get(id) ?? { copyId: uuid(), weekdays: usual, preview: null, trouble: null };
      if (change === null) next.delete(id);
      else next.set(id, { ...now, ...change });
      return next;
    });
  const inputOf = (athleteId: string, { copyId, weekdays }: Wanted) => ({
    ...{ copyId, athleteId },
    ...(weekdays.join() !== usual.join() && { weekdays }),
  });
  /** One after the other: each is some work for the server. */
  const each = async (work: (athleteId: string, mine: Wanted) => Promise<void>) => {
    setBusy(true);
    for (const [athleteId, mine] of wanted) {
      try {
        await work(athleteId, mine);
      } catch (error) {
        put(athleteId, { trouble: error instanceof Error ? error.message : String(error) });
      }
    }
    setBusy(false);
  };
  const show = () =>
    each(async (athleteId, mine) => put(athleteId, { preview: await previewCopy(source.id, inputOf(athleteId, mine)), trouble: null }));
  const make = async () => {
    await each(async (athleteId, mine) => {
      if (!mine.preview) return;
      await putCopy(source.id, inputOf(athleteId, mine));
      put(athleteId, null);
    });
    await refresh('programmes', 'sequences', 'today');
  };
  const ready = [...wanted.values()].filter(({ preview, trouble }) => preview && !trouble);
  const isShown = wanted.size > 0 && [...wanted.values()].every(({ preview, trouble }) => preview || trouble);
  return (
    <Part title="Add people">
      {others.length === 0 ? (
        <Empty>Everyone follows it already.</Empty>
      ) : (
        <>
          <p className="py-2 text-small text-ink-soft">
            Choose who gets a copy and on which days they have time. Their levels and restrictions are applied; you see every difference
            before anything is saved.
          </p>
          <ul>
            {others.map(({ id, name, practice }) => {
              const mine = wanted.get(id);
              return (
                <li key={id} className="border-b border-line py-1.5">
                  <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                    <label className="flex min-h-8 min-w-64 flex-1 items-center gap-2">
                      <input
                        type="checkbox"
                        className="size-5 accent-ink"
                        checked={mine !== undefined}
                        onChange={(event) => put(id, event.target.checked ? {} : null)}
                      />
                      <span>
                        <b>{name}</b> <span className="text-small text-ink-soft">{practice}</span>
                      </span>
                    </label>
                    {mine && (
                      <WeekdayPicker
                        label={`Days of ${name}`}
                        value={mine.weekdays}
                        onChange={(weekdays) => put(id, { weekdays, preview: null, trouble: null })}
                      />
                    )}
                  </div>
                  {mine?.trouble && (
                    <p role="alert" className="my-1 border-l-4 border-iron bg-iron-wash px-2 py-1 text-small">
                      {mine.trouble}
                    </p>
                  )}
                  {mine?.preview && !mine.trouble && (
                    <div className="my-1 pl-7" role="group" aria-label={`What is different for ${name}`}>
                      <Differences preview={mine.preview} />
                    </div>
                  )}
                </li>
              );
            })}
          </ul>
          <div className="mt-3 flex flex-wrap items-center gap-3">
            {isShown ? (
              <Button kind="primary" disabled={isBusy || ready.length === 0} onClick={() => void make()}>
                {ready.length === 1 ? 'Create 1 copy' : `Create ${ready.length} copies`}
              </Button>
            ) : (
              <Button kind="primary" disabled={isBusy || wanted.size === 0} onClick={() => void show()}>
                Show what is different for each
              </Button>
            )}
            {isBusy && (
              <span role="status" className="text-ink-soft">
                Working on {counted(wanted.size, 'copy', 'copies')}…
              </span>
            )}
          </div>
        </>
      )}
    </Part>
  );
}
