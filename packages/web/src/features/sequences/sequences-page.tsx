import { FirstOfItsKind } from '../../domain/account/first-of-its-kind.js';
import { counted } from '@clay-pot/core';
import { useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useImportSequence, useSequences } from '../../api/queries.js';
import { FileInput, ImportTrouble } from '../../domain/sequence/from-file.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { INPUT } from '../../ui/field.js';
import { MoreMenu } from '../../ui/more-menu.js';
import { Empty, Loading, Page, Trouble } from '../../ui/page.js';
import { TableRows } from '../../ui/table-rows.js';
import { SEQUENCE_ORDERS, type SequenceFilter, type SequenceOrder, sequencesThatFit, tagsIn } from './sequence-filter.js';
import { SequenceRow } from './sequence-row.js';

/** A title above its purpose. */
const ROW_PX = 66;

/** The studio’s sequences: search, tags, favourites first; the filter is in the address. */
export default function SequencesPage() {
  const sequences = useSequences();
  const navigate = useNavigate();
  const newSequence = useNewSequence();
  const load = useImportSequence();
  const file = useRef<HTMLInputElement>(null);
  const [fileName, setFileName] = useState('');
  const [filter, set] = useFilter();
  if (sequences.isPending) return <Loading what="sequences" />;
  if (!sequences.data) return <Trouble error={sequences.error} retry={() => void sequences.refetch()} />;
  const all = sequences.data;
  const shown = sequencesThatFit(all, filter);
  const archived = all.filter(({ isArchived }) => isArchived).length;

  async function importFile(chosen: File) {
    setFileName(chosen.name);
    const stored = await load.mutateAsync({ id: uuid(), text: await chosen.text() }).catch(() => null);
    if (stored) await navigate(`/sequences/${stored.id}`);
  }

  return (
    <Page
      title="Sequences"
      lead={`${counted(all.length - archived, 'sequence')}${archived > 0 ? `, ${archived} archived` : ''}`}
      actions={
        <>
          <FileInput inputRef={file} name="Sequence file" choose={(chosen) => void importFile(chosen)} />
          {all.length > 0 && <ButtonLink to="/compose">Generate</ButtonLink>}
          <Button
            kind={all.length > 0 ? 'primary' : 'plain'}
            onClick={() => void newSequence('New sequence').then((id) => navigate(`/sequences/${id}`))}
          >
            New sequence
          </Button>
          <MoreMenu
            items={[
              { name: 'Import a file', disabled: load.isPending, run: () => file.current?.click() },
              { name: 'Training methods', to: '/methods' },
            ]}
          />
        </>
      }
    >
      {load.error && <ImportTrouble error={load.error} fileName={fileName} dismiss={() => load.reset()} />}
      {all.length === 0 ? (
        <FirstOfItsKind
          example="/sequences"
          action={
            <ButtonLink kind="primary" to="/compose">
              Generate sequence
            </ButtonLink>
          }
        >
          What you lead in one session, block by block. Generate one from a goal, or create it yourself.
        </FirstOfItsKind>
      ) : (
        <>
          <Filters filter={filter} set={set} tags={tagsIn(all)} archived={archived} />
          {shown.length === 0 ? (
            <Empty>{filter.isArchived ? 'No archived sequence matches.' : 'No sequence matches. Remove a filter.'}</Empty>
          ) : (
            <table className="w-full border-collapse" aria-rowcount={shown.length + 1}>
              <thead>
                <tr className="border-b-2 border-ink text-left text-small text-ink-soft">
                  <th className="sr-only">Favourite</th>
                  <th className="py-1.5 pr-4 font-normal">Title</th>
                  <th className="py-1.5 pr-4 text-right font-normal">Length</th>
                  <th className="py-1.5 pr-4 text-right font-normal max-sm:hidden">Blocks</th>
                  <th className="py-1.5 pr-4 font-normal max-md:hidden">Assigned to</th>
                  <th className="py-1.5 pr-4 font-normal max-md:hidden">Last used</th>
                  <th className="sr-only">Actions</th>
                </tr>
              </thead>
              <TableRows items={shown} rowPx={ROW_PX} columns={7} row={(item) => <SequenceRow key={item.id} item={item} />} />
            </table>
          )}
        </>
      )}
    </Page>
  );
}

type SetFilter = (name: 'find' | 'tag' | 'order' | 'show', value: string) => void;

/** The filter, from the address. */
function useFilter(): [SequenceFilter, SetFilter] {
  const [params, setParams] = useSearchParams();
  const order = params.get('order');
  const filter: SequenceFilter = {
    text: params.get('find') ?? '',
    tag: params.get('tag') ?? '',
    order: order !== null && order in SEQUENCE_ORDERS ? (order as SequenceOrder) : 'used',
    isArchived: params.get('show') === 'archived',
  };
  const set: SetFilter = (name, value) =>
    setParams(
      (before) => {
        if (value) before.set(name, value);
        else before.delete(name);
        return before;
      },
      { replace: true },
    );
  return [filter, set];
}

interface FiltersProps {
  filter: SequenceFilter;
  set: SetFilter;
  tags: readonly string[];
  archived: number;
}

function Filters({ filter, set, tags, archived }: FiltersProps) {
  const search = useRef<HTMLInputElement>(null);
  const commands = useMemo<Command[]>(
    () => [{ keys: '/', label: 'Search sequences', group: 'Sequences', run: () => search.current?.focus() }],
    [],
  );
  useCommands(commands);
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      <input
        ref={search}
        type="search"
        aria-label="Search sequences"
        placeholder="Title, purpose, tag or athlete"
        className={`${INPUT} w-72!`}
        value={filter.text}
        onChange={(event) => set('find', event.target.value)}
      />
      {tags.length > 0 && (
        <select aria-label="Tag" className={`${INPUT} w-40!`} value={filter.tag} onChange={(event) => set('tag', event.target.value)}>
          <option value="">All tags</option>
          {tags.map((tag) => (
            <option key={tag}>{tag}</option>
          ))}
        </select>
      )}
      <select aria-label="Order" className={`${INPUT} w-48!`} value={filter.order} onChange={(event) => set('order', event.target.value)}>
        {Object.entries(SEQUENCE_ORDERS).map(([order, name]) => (
          <option key={order} value={order}>
            {name}
          </option>
        ))}
      </select>
      {(archived > 0 || filter.isArchived) && (
        <Button kind="quiet" aria-pressed={filter.isArchived} onClick={() => set('show', filter.isArchived ? '' : 'archived')}>
          {filter.isArchived ? 'Back to all sequences' : `Archived (${archived})`}
        </Button>
      )}
    </div>
  );
}
