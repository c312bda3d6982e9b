import type { SequenceListItem } from '@clay-pot/contracts';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { fetchSequence, useImportSequence, useRemoveSequence, useSequences } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { minutesText, SEQUENCE_LIMITS } from '@clay-pot/core';
import { dayText } from '../../ui/format.js';
import { Empty, Loading, Page, Trouble } from '../../ui/page.js';
import { useToast } from '../../ui/toast.js';
import { FileButton, ImportTrouble } from '../../domain/sequence/from-file.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { MoreMenu } from '../../ui/more-menu.js';

/** The studio’s sequences. */
export default function SequencesPage() {
  const sequences = useSequences();
  const navigate = useNavigate();
  const newSequence = useNewSequence();
  const load = useImportSequence();
  const [fileName, setFileName] = useState('');
  if (sequences.isPending) return <Loading what="sequences" />;
  if (!sequences.data) return <Trouble error={sequences.error} retry={() => void sequences.refetch()} />;

  async function importFile(chosen: File) {
    setFileName(chosen.name);
    const stored = await load.mutateAsync({ id: uuid(), text: await chosen.text() }).catch(() => null);
    if (stored) await navigate(`/sequences/${stored.id}`);
  }

  return (
    <Page
      title="Sequences"
      lead={`${sequences.data.length} sequences`}
      actions={
        <>
          <FileButton name="Sequence file" disabled={load.isPending} choose={(chosen) => void importFile(chosen)} />
          <ButtonLink to="/compose">Generate</ButtonLink>
          <Button kind="primary" onClick={() => void newSequence('New sequence').then((id) => navigate(`/sequences/${id}`))}>
            New sequence
          </Button>
          <MoreMenu items={[{ name: 'Methods', to: '/methods' }]} />
        </>
      }
    >
      {load.error && <ImportTrouble error={load.error} fileName={fileName} dismiss={() => load.reset()} />}
      {sequences.data.length === 0 ? (
        <Empty>No sequences yet. Create one, or import a file.</Empty>
      ) : (
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-b-2 border-ink text-left text-small text-ink-soft">
              <th className="py-1.5 pr-4 font-normal">Title</th>
              <th className="py-1.5 pr-4 text-right font-normal">Length</th>
              <th className="py-1.5 pr-4 text-right font-normal max-sm:hidden">Blocks</th>
              <th className="py-1.5 pr-4 font-normal max-md:hidden">Assigned to</th>
              <th className="py-1.5 pr-4 font-normal max-md:hidden">Changed</th>
              <th className="sr-only">Actions</th>
            </tr>
          </thead>
          <tbody>
            {sequences.data.map((item) => (
              <SequenceRow key={item.id} item={item} />
            ))}
          </tbody>
        </table>
      )}
    </Page>
  );
}

function SequenceRow({ item }: { item: SequenceListItem }) {
  const remove = useRemoveSequence();
  const newSequence = useNewSequence();
  const { show } = useToast();
  const over = item.durationMs > item.budgetMin * 60_000;
  const copy = () =>
    void fetchSequence(item.id).then(({ document }) => newSequence(`${item.title}, copy`.slice(0, SEQUENCE_LIMITS.titleLength), document));
  function takeAway() {
    remove.mutate({ id: item.id, undo: false });
    show({
      text: `“${item.title}” removed.`,
      action: { label: 'Undo', run: () => remove.mutate({ id: item.id, undo: true }) },
    });
  }
  return (
    <tr className="border-b border-line align-top hover:bg-white">
      <td className="py-2 pr-4">
        <Link to={`/sequences/${item.id}`} className="font-semibold hover:underline">
          {item.title}
        </Link>
        <div className="text-small text-ink-soft">{item.purpose}</div>
      </td>
      <td className="py-2 pr-4 text-right whitespace-nowrap figures">
        {minutesText(item.durationMs)}
        <div className={`text-small ${over ? 'font-semibold text-iron' : 'text-ink-soft'}`}>of {item.budgetMin} min</div>
      </td>
      <td className="py-2 pr-4 text-right figures max-sm:hidden">{item.blocks}</td>
      <td className="py-2 pr-4 text-small max-md:hidden">{item.athletes.map(({ name }) => name.split(' ')[0]).join(', ')}</td>
      <td className="py-2 pr-4 text-small whitespace-nowrap text-ink-soft max-md:hidden">{dayText(item.updatedAt)}</td>
      <td className="py-1.5 text-right sm:whitespace-nowrap">
        <MoreMenu
          compact
          label={`More for ${item.title}`}
          items={[
            { name: 'Start session', to: `/sequences/${item.id}/lead` },
            { name: 'Duplicate', run: copy },
            { name: 'Remove', run: takeAway },
          ]}
        />
      </td>
    </tr>
  );
}
