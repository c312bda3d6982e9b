import { movementById } from '../../store/library.js';
import { Button } from '../../ui/button.js';

interface Props {
  /** For this once, and for the athlete for good. */
  once: readonly string[];
  always: readonly string[];
  who: string | undefined;
  allowOnce: (movementId: string) => void;
  allowAlways: (movementId: string) => void;
}

/** Movements that the coach leaves out, each to be allowed again. */
export function LeftOutList({ once, always, who, allowOnce, allowAlways }: Props) {
  if (once.length + always.length === 0) return null;
  return (
    <section aria-label="Left out by you" className="text-small">
      <h3 className="font-semibold">Left out by you</h3>
      <ul>
        {once.map((id) => (
          <Item key={`once ${id}`} id={id} when="this time" allow={allowOnce} />
        ))}
        {always.map((id) => (
          <Item key={`always ${id}`} id={id} when={`always for ${who ?? 'this athlete'}`} allow={allowAlways} />
        ))}
      </ul>
      <p className="text-ink-soft">Generate again to apply it.</p>
    </section>
  );
}

function Item({ id, when, allow }: { id: string; when: string; allow: (movementId: string) => void }) {
  const name = movementById(id)?.name ?? id;
  return (
    <li className="flex items-center justify-between gap-2 border-b border-line py-0.5">
      <span>
        {name}, <span className="text-ink-soft">{when}</span>
      </span>
      <Button kind="quiet" className="px-1! py-0.5! text-small underline" aria-label={`Allow ${name} again`} onClick={() => allow(id)}>
        Allow
      </Button>
    </li>
  );
}
