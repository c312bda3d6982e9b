import type { CalendarLink } from '@clay-pot/contracts';
import { useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { dayText } from '../../ui/format.js';
import { Part } from '../../ui/page.js';

/** The programme for other calendars: as a file, or followed at a private address that is shown once and can be ended. */
export function CalendarAddress({ programmeId, athleteId }: { programmeId: string; athleteId: string }) {
  const path = `/athletes/${athleteId}/calendar`;
  const key = ['calendars', athleteId];
  const link = useQuery({ queryKey: key, queryFn: () => request<CalendarLink>(path) }).data;
  const keep = (now: CalendarLink) => queryClient.setQueryData(key, now);
  const make = useMutation({ mutationFn: () => request<CalendarLink>(path, { method: 'PUT' }), onSuccess: keep });
  const end = useMutation({
    mutationFn: () => request(path, { method: 'DELETE' }),
    onSuccess: () => keep({ madeAt: null, path: null }),
  });
  const address = link?.path ? window.location.origin + link.path : null;
  const error = make.error ?? end.error;
  return (
    <Part title="Export and calendar">
      <div className="grid gap-2 py-2 text-small">
        <a className="underline underline-offset-2" href={`/api/programmes/${programmeId}/calendar.ics`} download>
          Programme as a calendar file
        </a>
        <a className="underline underline-offset-2" href={`/api/programmes/${programmeId}/export`} download>
          Programme with its sequences, as a file to import elsewhere
        </a>
        {address !== null && (
          <label>
            Shown only once. Anyone who has it can see the sessions
            <input readOnly className={INPUT} aria-label="Private address" value={address} onFocus={(event) => event.target.select()} />
          </label>
        )}
        {address === null && link?.madeAt && <p className="text-ink-soft">In use at a private address since {dayText(link.madeAt)}.</p>}
        <div className="flex flex-wrap gap-1">
          <Button disabled={make.isPending} onClick={() => make.mutate()}>
            {link?.madeAt ? 'Replace the address' : 'Create a private address'}
          </Button>
          {link?.madeAt && (
            <Button disabled={end.isPending} onClick={() => end.mutate()}>
              Delete the address
            </Button>
          )}
        </div>
        {error && (
          <p role="alert" className="border-l-4 border-iron bg-iron-wash px-2 py-1">
            {error.message}
          </p>
        )}
      </div>
    </Part>
  );
}
