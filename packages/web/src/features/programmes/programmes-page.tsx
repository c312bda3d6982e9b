import { FirstOfItsKind } from '../../domain/account/first-of-its-kind.js';
import type { ProgrammeListItem } from '@clay-pot/contracts';
import { daysBetween, dayWords } from '@clay-pot/core';
import { Link } from 'react-router';
import { useProgrammes, useRemoveProgramme } from '../../api/programme-queries.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { dayText } from '../../ui/format.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';

/** Programmes of everybody: what runs now, what comes, what is over. */
export default function ProgrammesPage() {
  const programmes = useProgrammes();
  const today = isoToday();
  if (programmes.isPending) return <Loading what="the programmes" />;
  if (!programmes.data) return <Trouble error={programmes.error} retry={() => void programmes.refetch()} />;
  const running = programmes.data.filter(({ lastDay }) => lastDay >= today);
  const over = programmes.data.filter(({ lastDay }) => lastDay < today);
  return (
    <Page
      title="Programmes"
      lead="Sequences over weeks: which on what day, what each week is for, and what the rules say of it."
      actions={
        <>
          <ButtonLink to="/simulation">Simulate progression rules</ButtonLink>
          {running.length > 0 && (
            <ButtonLink kind="primary" to="/programmes/new">
              New programme
            </ButtonLink>
          )}
        </>
      }
    >
      <Part title="Current">
        {running.length > 0 ? (
          <Rows programmes={running} today={today} />
        ) : (
          <FirstOfItsKind
            example="/programmes"
            action={
              <ButtonLink kind="primary" to="/programmes/new">
                New programme
              </ButtonLink>
            }
          >
            Weeks of sessions toward a goal, planned from a start and the available days.
          </FirstOfItsKind>
        )}
      </Part>
      {over.length > 0 && (
        <Part title="Finished" className="mt-8">
          <Rows programmes={over} today={today} />
        </Part>
      )}
    </Page>
  );
}

function Rows({ programmes, today }: { programmes: readonly ProgrammeListItem[]; today: string }) {
  const remove = useRemoveProgramme();
  const { show } = useToast();
  function removeProgramme({ id, title }: ProgrammeListItem) {
    remove.mutate({ id, undo: false });
    show({
      text: `${title} archived.`,
      action: { label: 'Undo', run: () => remove.mutate({ id, undo: true }) },
    });
  }
  return (
    <ul>
      {programmes.map((programme) => (
        <li key={programme.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2.5">
          <div className="min-w-56 flex-1">
            <Link to={`/programmes/${programme.id}`} className="inline-block min-h-6 font-semibold hover:underline">
              {programme.title}
            </Link>
            <div className="text-small text-ink-soft">
              <Link to={`/people/${programme.athleteId}`} className="inline-block min-h-6 hover:underline">
                {programme.athleteName}
              </Link>
            </div>
          </div>
          <span className="figures">
            {dayWords(programme.fromDay)} to {dayWords(programme.lastDay)}
          </span>
          <span className="w-44 text-small text-ink-soft">
            {[weekText(programme, today), programme.next && `next ${dayText(programme.next.day)}`].filter(Boolean).join(', ')}
          </span>
          <Button kind="quiet" aria-label={`Archive ${programme.title}`} onClick={() => removeProgramme(programme)}>
            Archive
          </Button>
        </li>
      ))}
    </ul>
  );
}

function weekText({ fromDay, lastDay }: ProgrammeListItem, today: string): string {
  if (today > lastDay) return '';
  if (today < fromDay) return `in ${Math.ceil(daysBetween(today, fromDay))} days`;
  const weeks = Math.ceil((daysBetween(fromDay, lastDay) + 1) / 7);
  return `week ${Math.floor(daysBetween(fromDay, today) / 7) + 1} of ${weeks}`;
}
