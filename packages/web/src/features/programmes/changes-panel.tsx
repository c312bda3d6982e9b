import { dayWords, type ProgrammeView } from '@clay-pot/core';
import { changeProgramme } from '../../store/programme.js';
import { Button } from '../../ui/button.js';
import { Part } from '../../ui/page.js';

/** What accepted suggestions made of the plans, the latest first; each can be taken out. */
export function ChangesPanel({ view }: { view: ProgrammeView }) {
  const { changes = [] } = view.programme;
  if (changes.length === 0) return null;
  const latest = [...changes].sort((a, b) => b.fromDay.localeCompare(a.fromDay));
  return (
    <Part title="Changes from suggestions">
      <ul aria-label="Changes from suggestions">
        {latest.map(({ id, fromDay, planId, reason }) => (
          <li key={id} className="border-b border-line py-2 text-small">
            <p className="font-semibold">
              From {dayWords(fromDay)}, {view.sequences.get(planId)?.title ?? 'removed sequence'}
            </p>
            <p className="text-ink-soft">{reason}</p>
            <Button
              kind="quiet"
              className="px-0! text-small underline underline-offset-2"
              aria-label={`Undo: ${reason}`}
              onClick={() => changeProgramme([{ kind: 'take back', changeId: id }])}
            >
              Undo
            </Button>
          </li>
        ))}
      </ul>
    </Part>
  );
}
