/** A sentence’s first letter large. @example capital('wrist flexors') → 'Wrist flexors' */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** A text’s first letter small: what follows keeps its capitals. @example lowered('Asked by Dr Varga') → 'asked by Dr Varga' */
export const lowered = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** How many of something. @param many where an s would not do @example counted(1, 'block') → '1 block' */
export const counted = (count: number, noun: string, many = `${noun}s`) => `${count} ${count === 1 ? noun : many}`;

const AND = new Intl.ListFormat('en', { type: 'conjunction' });
/** Names in a row. @example listed(['a', 'b', 'c']) → 'a, b, and c' */
export const listed = (names: readonly string[]): string => AND.format(names);

const [FNV_START, FNV_PRIME] = [0x811c9dc5, 0x01000193];
/** Eight characters that stand for a long text: the same for the same text (FNV-1a, 32 bits). */
export function shortHash(text: string): string {
  let hash = FNV_START;
  for (const character of text) hash = Math.imul(hash ^ (character.codePointAt(0) ?? 0), FNV_PRIME);
  return (hash >>> 0).toString(16).padStart(8, '0');
}
