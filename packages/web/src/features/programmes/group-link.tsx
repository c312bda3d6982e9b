import { counted } from '@clay-pot/core';
import { useCopies } from '../../api/programme-queries.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Part } from '../../ui/page.js';

/** Who else follows a programme, and the way to them. */
export function GroupLink({ programmeId }: { programmeId: string }) {
  const copies = useCopies(programmeId).data ?? [];
  const behind = copies.filter(({ isBehind }) => isBehind).length;
  return (
    <Part title="Group">
      <div className="grid justify-items-start gap-2 py-2 text-small">
        <p>
          {copies.length === 0
            ? 'Give this programme to other people: each gets a copy with their own levels, limits and days.'
            : `${counted(copies.length, 'person', 'people')} ${copies.length === 1 ? 'follows' : 'follow'} this programme.`}
          {behind > 0 && <b> {behind} not offered the last change yet.</b>}
        </p>
        <ButtonLink to={`/programmes/${programmeId}/group`}>{copies.length === 0 ? 'Copy to other people' : 'Open the group'}</ButtonLink>
      </div>
    </Part>
  );
}
