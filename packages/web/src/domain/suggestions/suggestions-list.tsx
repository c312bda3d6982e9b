import type { AthleteSuggestion } from '@clay-pot/contracts';
import { counted, suggestionGroups } from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/button.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { SuggestionRow } from './suggestion-row.js';

/** So many are shown before somebody asks for all of them: the gravest. */
const FIRST = 8;
const LIST = '[data-suggestions]';
const GROUP = 'Next steps';

const rows = () => [...document.querySelectorAll<HTMLElement>('[data-suggestion]')];
/** The row with the focus; the first where none has it. */
const rowInFocus = () => document.activeElement?.closest<HTMLElement>('[data-suggestion]') ?? rows()[0];

/** Puts the focus on the row before or after. */
function goBy(step: 1 | -1): void {
  const all = rows();
  const now = document.activeElement?.closest<HTMLElement>('[data-suggestion]');
  const to = now ? all[all.indexOf(now) + step] : all[0];
  to?.focus();
  to?.scrollIntoView({ block: 'nearest' });
}

/** Presses one of the answers of the row in focus, and moves the focus to the row that takes its place. */
function press(answer: string): void {
  const row = rowInFocus();
  const at = row ? rows().indexOf(row) : -1;
  row?.querySelector<HTMLElement>(`[data-answer="${answer}"]`)?.click();
  requestAnimationFrame(() => {
    if (row?.isConnected) (row.querySelector<HTMLElement>('input') ?? row).focus();
    else (rows()[at] ?? rows().at(-1))?.focus();
  });
}

const COMMANDS: readonly Command[] = [
  { keys: 'j', label: 'Next suggestion', group: GROUP, run: () => goBy(1) },
  { keys: 'k', label: 'Previous suggestion', group: GROUP, run: () => goBy(-1) },
  { keys: 'ArrowDown', label: 'Next suggestion', group: GROUP, within: LIST, run: () => goBy(1) },
  { keys: 'ArrowUp', label: 'Previous suggestion', group: GROUP, within: LIST, run: () => goBy(-1) },
  { keys: 'a', label: 'Accept the suggestion', group: GROUP, within: LIST, run: () => press('accept') },
  { keys: 'c', label: 'Edit the suggestion', group: GROUP, within: LIST, run: () => press('change') },
  { keys: 'd', label: 'Dismiss the suggestion', group: GROUP, within: LIST, run: () => press('decline') },
  { keys: 'w', label: 'Show why', group: GROUP, within: LIST, run: () => press('why') },
];

/** Suggestions that wait (`useWaiting`), the gravest first, answered with the mouse or by keys. @param named whether each says whom it is for */
export function SuggestionsList({
  suggestions,
  named,
  label,
}: {
  suggestions: readonly AthleteSuggestion[];
  named: boolean;
  label: string;
}) {
  const groups = useMemo(() => suggestionGroups(suggestions), [suggestions]);
  useCommands(COMMANDS);
  const [all, setAll] = useState(false);
  return (
    <>
      <ul aria-label={label} data-suggestions>
        {groups.slice(0, all ? undefined : FIRST).map((group) => (
          <SuggestionRow key={group.id} group={group} named={named} />
        ))}
      </ul>
      {!all && groups.length > FIRST && (
        <Button className="mt-2" kind="quiet" onClick={() => setAll(true)}>
          {counted(groups.length - FIRST, 'more suggestion')}
        </Button>
      )}
    </>
  );
}
