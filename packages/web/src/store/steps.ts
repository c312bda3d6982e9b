import { type Block, same, type Sequence } from '@clay-pot/core';
import { useEditor } from './editor.js';

/**
 * The steps of one sequence, small enough to be kept: documents share most of their blocks, so each block is stored once and the documents name
 * them by number.
 */
interface PackedSteps {
  readonly blocks: readonly Block[];
  /** Past steps, the document as it is, and what was undone, as the editor holds them. */
  readonly past: readonly PackedDocument[];
  readonly now: PackedDocument;
  readonly future: readonly PackedDocument[];
}

type PackedDocument = Omit<Sequence, 'blocks'> & { readonly blocks: readonly number[] };

const key = (id: string) => `clay-pot-steps-${id}`;
/** What a browser keeps for a page is bounded: of more than this, characters, the older half of the steps goes. */
const MOST_KEPT = 1_500_000;

/** Keeps the steps of the sequence in the editor for this window, through a reload or a way to another page and back. */
export function keepSteps(id: string): void {
  const { document } = useEditor.getState();
  const { pastStates, futureStates } = useEditor.temporal.getState();
  if (!document) return;
  const documents = (states: readonly { document?: Sequence | null }[]) => states.flatMap((state) => state.document ?? []);
  let [past, future] = [documents(pastStates), documents(futureStates)];
  if (past.length + future.length === 0) {
    sessionStorage.removeItem(key(id));
    return;
  }
  let text = pack(past, document, future);
  while (text.length > MOST_KEPT && past.length + future.length > 1) {
    past = past.slice(Math.ceil(past.length / 2));
    future = future.slice(Math.ceil(future.length / 2));
    text = pack(past, document, future);
  }
  try {
    sessionStorage.setItem(key(id), text);
  } catch {
    // The window has no room left: the work itself is kept elsewhere, only its steps go.
    sessionStorage.removeItem(key(id));
  }
}

/** Brings kept steps back, when they lead to the very document that is open; steps of another version are of no use. */
export function restoreSteps(id: string): void {
  const text = sessionStorage.getItem(key(id));
  const { document } = useEditor.getState();
  if (text === null || !document) return;
  const { blocks, past, now, future } = JSON.parse(text) as PackedSteps;
  const unpack = (packed: PackedDocument): Sequence => ({
    ...packed,
    blocks: packed.blocks.flatMap((index) => blocks[index] ?? []),
  });
  if (!same(unpack(now), document)) return;
  const states = (list: readonly PackedDocument[]) => list.map((packed) => ({ document: unpack(packed) }));
  useEditor.temporal.setState({ pastStates: states(past), futureStates: states(future) });
}

function pack(past: readonly Sequence[], now: Sequence, future: readonly Sequence[]): string {
  const numbers = new Map<string, number>();
  const packed = (document: Sequence): PackedDocument => ({
    ...document,
    blocks: document.blocks.map((block) => {
      const text = JSON.stringify(block);
      const number = numbers.get(text) ?? numbers.size;
      numbers.set(text, number);
      return number;
    }),
  });
  const all = { past: past.map(packed), now: packed(now), future: future.map(packed) };
  return JSON.stringify({ blocks: [...numbers.keys()].map((text) => JSON.parse(text) as Block), ...all });
}
