import type { RowProps } from '../../ui/table-rows.js';
import type { SequenceListItem } from '@clay-pot/contracts';
import { minutesText, SEQUENCE_LIMITS } from '@clay-pot/core';
import { Star } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { fetchSequence, useFileSequence, useRemoveSequence } from '../../api/queries.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { IconButton } from '../../ui/button.js';
import { agoText, firstName } from '../../ui/format.js';
import { MoreMenu } from '../../ui/more-menu.js';
import { useToast } from '../../ui/toast.js';
import { TagsForm } from './tags-form.js';

/** A sequence of the list: what it is, how long, for whom, when it was led last, and how it is filed. */
export function SequenceRow({ item, ...place }: { item: SequenceListItem } & RowProps) {
  const remove = useRemoveSequence();
  const { mutate: file } = useFileSequence();
  const newSequence = useNewSequence();
  const { show } = useToast();
  const [isTagging, setTagging] = useState(false);
  const { id, title, tags, isFavourite, isArchived } = item;
  const filing = { tags, isFavourite, isArchived };
  const over = item.durationMs > item.budgetMin * 60_000;
  const copy = () =>
    void fetchSequence(id).then(({ document }) => newSequence(`${title}, copy`.slice(0, SEQUENCE_LIMITS.titleLength), document));
  function archive() {
    file({ id, filing: { ...filing, isArchived: !isArchived } });
    show({ text: `“${title}” ${isArchived ? 'restored' : 'archived'}.`, action: { label: 'Undo', run: () => file({ id, filing }) } });
  }
  function archiveSequence() {
    remove.mutate({ id, undo: false });
    show({ text: `“${title}” removed.`, action: { label: 'Undo', run: () => remove.mutate({ id, undo: true }) } });
  }
  return (
    <tr {...place} className="border-b border-line align-top hover:bg-white">
      <td className="py-1.5 pr-1">
        <IconButton
          name={isFavourite ? `Remove ${title} from favourites` : `Add ${title} to favourites`}
          aria-pressed={isFavourite}
          onClick={() => file({ id, filing: { ...filing, isFavourite: !isFavourite } })}
        >
          <Star size={17} fill={isFavourite ? 'currentColor' : 'none'} />
        </IconButton>
      </td>
      <td className="py-2 pr-4">
        <Link to={`/sequences/${id}`} className="font-semibold hover:underline">
          {title}
        </Link>
        {tags.map((tag) => (
          <span key={tag} className="ml-2 inline-block bg-ground px-1.5 text-small">
            {tag}
          </span>
        ))}
        <div className="text-small text-ink-soft">{item.purpose}</div>
        {isTagging && (
          <TagsForm
            tags={tags}
            title={title}
            save={(next) => {
              file({ id, filing: { ...filing, tags: next } });
              setTagging(false);
            }}
            cancel={() => setTagging(false)}
          />
        )}
      </td>
      <td className="py-2 pr-4 text-right whitespace-nowrap figures">
        {minutesText(item.durationMs)}
        <div className={`text-small ${over ? 'font-semibold text-iron' : 'text-ink-soft'}`}>of {item.budgetMin} min</div>
      </td>
      <td className="py-2 pr-4 text-right figures max-sm:hidden">{item.blocks}</td>
      <td className="py-2 pr-4 text-small max-md:hidden">{item.athletes.map(({ name }) => firstName(name)).join(', ')}</td>
      <td className="py-2 pr-4 text-small whitespace-nowrap text-ink-soft max-md:hidden">
        {item.lastUsedAt ? agoText(item.lastUsedAt) : 'not yet'}
      </td>
      <td className="py-1.5 text-right sm:whitespace-nowrap">
        <MoreMenu
          compact
          label={`More for ${title}`}
          items={[
            { name: 'Start session', to: `/sequences/${id}/lead` },
            { name: 'Lead a class', to: `/sequences/${id}/class` },
            { name: 'Duplicate', run: copy },
            { name: 'Edit tags', run: () => setTagging(true) },
            { name: isArchived ? 'Restore' : 'Archive', run: archive },
            { name: 'Remove', run: archiveSequence },
          ]}
        />
      </td>
    </tr>
  );
}
