import { counted } from '@clay-pot/core';
import { Link, useParams } from 'react-router';
import { useCopies, useProgramme } from '../../api/programme-queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Empty, Loading, Page, Part, Trouble, useTitle } from '../../ui/page.js';
import { AddPeople } from './group-add.js';
import { GroupTable } from './group-table.js';

/** One programme for many: who follows it, how their weeks go, and what has changed in it that they were not offered yet. */
export default function GroupPage() {
  const { id } = useParams();
  const programme = useProgramme(id);
  const copies = useCopies(id);
  useTitle(programme.data ? `Group: ${programme.data.document.title}` : 'Group');
  if (programme.error) return <Trouble error={programme.error} retry={() => void programme.refetch()} />;
  if (copies.error) return <Trouble error={copies.error} retry={() => void copies.refetch()} />;
  if (!programme.data || !copies.data) return <Loading what="the group" />;
  const { document, athleteName, athleteId } = programme.data;
  return (
    <Page
      title={`Group: ${document.title}`}
      lead={
        <>
          One programme, followed by many: each with their own levels, limits and days. It is{' '}
          <Link className="underline underline-offset-2" to={`/people/${athleteId}`}>
            {athleteName}
          </Link>
          ’s; what you change in it is offered to everyone else here.
        </>
      }
      actions={
        <>
          <ButtonLink to={`/programmes/${programme.data.id}/changes`}>Last six weeks</ButtonLink>
          <ButtonLink to={`/programmes/${programme.data.id}`}>Open the programme</ButtonLink>
        </>
      }
    >
      <div className="grid gap-8">
        <Part title="Following" aside={<span className="text-small text-ink-soft">{counted(copies.data.length, 'person', 'people')}</span>}>
          {copies.data.length === 0 ? (
            <Empty>Nobody follows it yet.</Empty>
          ) : (
            <GroupTable sourceId={programme.data.id} source={document} copies={copies.data} />
          )}
        </Part>
        <AddPeople source={programme.data} followers={copies.data.map((copy) => copy.athleteId)} />
      </div>
    </Page>
  );
}
