import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { isNowhere } from './kept-focus.js';

/** Something a key does. Keys are written as tinykeys reads them: `g t`, `Alt+ArrowUp`, `$mod+z`. */
export interface Command {
  readonly keys: string;
  readonly label: string;
  readonly group: string;
  readonly run: (event: KeyboardEvent) => void;
  /** Works while typing in a field, too. Only for keys with Ctrl, ⌘ or Alt. */
  readonly whileTyping?: boolean;
  /** Only while the focus is on nothing in particular or inside this selector: elsewhere the key has its usual meaning. */
  readonly within?: string;
}

interface CommandState {
  readonly active: ReadonlyMap<symbol, readonly Command[]>;
  /** Keys without Ctrl, ⌘ or Alt can be switched off (WCAG 2.1.4). */
  readonly singleKeys: boolean;
  readonly setSingleKeys: (on: boolean) => void;
  readonly register: (owner: symbol, commands: readonly Command[]) => void;
  readonly release: (owner: symbol) => void;
}

/** Which keys do what now, and whether single keys are on. */
export const useCommandState = create<CommandState>()(
  persist(
    (set) => ({
      active: new Map(),
      singleKeys: true,
      setSingleKeys: (singleKeys) => set({ singleKeys }),
      register: (owner, commands) => set(({ active }) => ({ active: new Map(active).set(owner, commands) })),
      release: (owner) => set(({ active }) => ({ active: new Map([...active].filter(([key]) => key !== owner)) })),
    }),
    { name: 'clay-pot-keys', partialize: ({ singleKeys }) => ({ singleKeys }) },
  ),
);

const TYPING = 'input:not([type=checkbox]):not([type=radio]):not([type=range]), textarea, select, [contenteditable=true]';
const PRESSED = 'button, a, summary, [role=button]';
/** Dialogs stand in a place of their own at the end of the page; looking there alone spares a walk through every drawing. */
const DIALOGS = 'headlessui-portal-root';

/** Space and Enter belong to the button that the keys are on. One that was only clicked doesn't hold them. */
const belongsToButton = ({ keys }: Command, target: Element | null): boolean =>
  ['Space', 'Enter'].includes(keys) && (target?.closest(PRESSED)?.matches(':focus-visible') ?? false);

function mayRun(command: Command, event: KeyboardEvent): boolean {
  const target = event.target instanceof Element ? event.target : null;
  if (document.getElementById(DIALOGS)?.querySelector('[role=dialog]')) return false;
  if (target?.closest(TYPING)) return command.whileTyping ?? false;
  if (command.within && !isNowhere(target) && !target?.closest(command.within)) return false;
  if (belongsToButton(command, target)) return false;
  const isSingle = !/(\$mod|Alt|Control|Meta)\+/.test(command.keys);
  return !isSingle || useCommandState.getState().singleKeys;
}

/** Makes commands available while the component is shown, and lists them under `?`. Memoise the list. */
export function useCommands(commands: readonly Command[]): void {
  useEffect(() => {
    const owner = Symbol('commands');
    useCommandState.getState().register(owner, commands);
    const bindings = Object.fromEntries(
      commands.map((command) => [
        command.keys,
        (event: KeyboardEvent) => {
          if (!mayRun(command, event)) return;
          event.preventDefault();
          // What was clicked before would be pressed when the key comes up.
          if (command.keys === 'Space' && event.target instanceof HTMLElement) event.target.closest<HTMLElement>(PRESSED)?.blur();
          command.run(event);
        },
      ]),
    );
    const unbind = tinykeys(window, bindings);
    return () => {
      unbind();
      useCommandState.getState().release(owner);
    };
  }, [commands]);
}

/** A key as it is printed on a keyboard. */
export function printKeys(keys: string): string {
  const isMac = /Mac|iPhone|iPad/.test(navigator.userAgent);
  return keys
    .replaceAll('$mod', isMac ? '⌘' : 'Ctrl')
    .replaceAll('Shift+?', '?')
    .replaceAll('Arrow', '')
    .replaceAll('Up', '↑')
    .replaceAll('Down', '↓')
    .replaceAll('Left', '←')
    .replaceAll('Right', '→')
    .replaceAll('+', ' ');
}
