import { type Movement, MOVEMENT_LIMITS } from '@clay-pot/core';
import { checkOwnName } from '@clay-pot/core/library';
import { type SyntheticEvent, useState } from 'react';
import { useSaveName } from '../../api/own-queries.js';
import { studioLibrary, useOwnName } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';

/** What the studio calls a movement: said, given, changed, and taken away by leaving it empty. */
export function OurName({ movement }: { movement: Movement }) {
  const own = useOwnName(movement.id);
  const [typed, setTyped] = useState<string | null>(null);
  const save = useSaveName();
  const trouble = typed ? troubleWith(movement.id, typed) : null;

  async function keep(event: SyntheticEvent) {
    event.preventDefault();
    if (typed === null || trouble) return;
    await save.mutateAsync({ movementId: movement.id, name: typed.trim() });
    setTyped(null);
  }

  if (typed === null) {
    return (
      <p className="text-ink-soft">
        {own && <>Also called “{own}”. </>}
        <button type="button" className="underline underline-offset-2" onClick={() => setTyped(own ?? '')}>
          {own ? 'Edit name' : 'Add your own name'}
        </button>
      </p>
    );
  }
  return (
    <form className="mt-1 flex flex-wrap items-center gap-2" onSubmit={(event) => void keep(event)}>
      <input
        // Whoever pressed the button wants to type.
        autoFocus
        aria-label={`Your name for ${movement.name}`}
        aria-invalid={trouble !== null}
        aria-describedby="our-name-trouble"
        className={`${INPUT} w-56!`}
        maxLength={MOVEMENT_LIMITS.nameLength}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setTyped(null)}
      />
      <Button kind="primary" type="submit" disabled={save.isPending}>
        {typed.trim() ? 'Save' : 'Remove your name'}
      </Button>
      <Button onClick={() => setTyped(null)}>Cancel</Button>
      <p id="our-name-trouble" role="alert" className="w-full text-small font-semibold text-iron">
        {trouble ?? save.error?.message}
      </p>
    </form>
  );
}

/** Why it cannot be called so, by the same rule as the server’s; null when it can, or when the name is to go. */
function troubleWith(movementId: string, name: string): string | null {
  if (name.trim() === '') return null;
  const [fault] = checkOwnName({ movementId, name }, studioLibrary());
  return fault ? `This name ${fault.message}.` : null;
}
