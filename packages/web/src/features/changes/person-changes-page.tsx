import { dayWords } from '@clay-pot/core';
import { useParams } from 'react-router';
import { useChanges } from '../../api/queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Page, Trouble, useTitle } from '../../ui/page.js';
import { PersonDetails } from './person-details.js';

/** What changed for one person in six weeks, on one page. */
export default function PersonChangesPage() {
  const { id } = useParams();
  const changes = useChanges('athletes', id);
  const [person] = changes.data?.people ?? [];
  useTitle(person ? `Last six weeks of ${person.athleteName}` : 'Last six weeks');
  if (changes.error) return <Trouble error={changes.error} retry={() => void changes.refetch()} />;
  if (!changes.data || !person) return <Loading what="the last six weeks" />;
  return (
    <Page
      title={`Last six weeks of ${person.athleteName}`}
      lead={`From ${dayWords(changes.data.fromDay)} to ${dayWords(changes.data.today)}: what was done, and what it changed.`}
      actions={<ButtonLink to={`/people/${person.athleteId}`}>Open the profile</ButtonLink>}
    >
      <PersonDetails person={person} fromDay={changes.data.fromDay} />
    </Page>
  );
}
