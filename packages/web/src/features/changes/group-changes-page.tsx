import { dayWords } from '@clay-pot/core';
import { Link, useParams } from 'react-router';
import { useProgramme } from '../../api/programme-queries.js';
import { useChanges } from '../../api/queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Disclosure } from '../../ui/disclosure.js';
import { Loading, Page, Part, Trouble, useTitle } from '../../ui/page.js';
import { fromTo, WeekBars } from './figures.js';
import { PersonDetails } from './person-details.js';

/** What changed for everyone of a group in six weeks: a line each, with what is behind it. */
export default function GroupChangesPage() {
  const { id } = useParams();
  const programme = useProgramme(id);
  const changes = useChanges('programmes', id);
  useTitle('Last six weeks');
  if (programme.error) return <Trouble error={programme.error} retry={() => void programme.refetch()} />;
  if (changes.error) return <Trouble error={changes.error} retry={() => void changes.refetch()} />;
  if (!programme.data || !changes.data) return <Loading what="the last six weeks" />;
  const { people, fromDay, today } = changes.data;
  return (
    <Page
      title={`Last six weeks: ${programme.data.document.title}`}
      lead={`From ${dayWords(fromDay)} to ${dayWords(today)}, for everyone who follows the programme.`}
      actions={<ButtonLink to={`/programmes/${programme.data.id}/group`}>Open the group</ButtonLink>}
    >
      <div className="overflow-x-auto">
        <table className="w-full min-w-3xl border-collapse text-small">
          <caption className="sr-only">What changed for each person in six weeks</caption>
          <thead>
            <tr className="border-b-2 border-ink text-left text-ink-soft">
              <th className="py-1 pr-3 font-normal">Name</th>
              <th className="py-1 pr-3 font-normal">Sessions a week</th>
              <th className="py-1 pr-3 font-normal">Weekly load, holds to failure, first → last three weeks</th>
              <th className="py-1 pr-3 font-normal">Peak discomfort, mean</th>
              <th className="py-1 pr-3 text-right font-normal">Levels up / down</th>
              <th className="py-1 text-right font-normal">Tests with a real change</th>
            </tr>
          </thead>
          <tbody>
            {people.map((person) => {
              const { athleteId, athleteName, sessions, load, discomfort, levels, tests } = person;
              return (
                <tr key={athleteId} className="border-b border-line">
                  <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                    <Link className="inline-flex min-h-6 items-center hover:underline" to={`/people/${athleteId}/changes`}>
                      {athleteName}
                    </Link>
                  </th>
                  <td className="py-1.5 pr-3">
                    <WeekBars sessions={sessions} />
                  </td>
                  <td className="py-1.5 pr-3 figures">{fromTo(load.first, load.last, 1)}</td>
                  <td className="py-1.5 pr-3 figures">{fromTo(discomfort.first, discomfort.last, 1)}</td>
                  <td className="py-1.5 pr-3 text-right figures">
                    {levels.length === 0
                      ? '–'
                      : `${levels.filter(({ by }) => by > 0).length} / ${levels.filter(({ by }) => by < 0).length}`}
                  </td>
                  <td className="py-1.5 text-right figures">
                    {tests.length === 0 ? '–' : `${tests.filter(({ isReal }) => isReal).length} of ${tests.length}`}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Part title="One by one" className="mt-8">
        {people.map((person) => (
          <div key={person.athleteId} className="border-b border-line py-2">
            <Disclosure title={person.athleteName} buttonClassName="font-semibold text-left">
              <PersonDetails person={person} fromDay={fromDay} />
            </Disclosure>
          </div>
        ))}
      </Part>
    </Page>
  );
}
