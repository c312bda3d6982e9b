const FORGIVEN_FROM = 4;
const LONG = 7;

/** A word of a vocabulary for one that is misspelt; the word itself where none is near. */
export function spelt(word: string, vocabulary: ReadonlySet<string>): string {
  if (vocabulary.has(word) || word.length < FORGIVEN_FROM) return word;
  const most = word.length >= LONG ? 2 : 1;
  let best = word;
  let least = most + 1;
  for (const known of vocabulary) {
    if (Math.abs(known.length - word.length) > most || known[0] !== word[0]) continue;
    const slips = distance(word, known, most);
    if (slips < least) [best, least] = [known, slips];
  }
  return best;
}

/** How many letters differ (Damerau–Levenshtein, neighbours exchanged count once); more than `most` is more than `most`. */
function distance(a: string, b: string, most: number): number {
  let [before, row] = [[] as number[], Array.from({ length: b.length + 1 }, (_, index) => index)];
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1;
      let value = Math.min((row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1, (row[j - 1] ?? 0) + cost);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) value = Math.min(value, (before[j - 2] ?? 0) + 1);
      next.push(value);
    }
    [before, row] = [row, next];
  }
  return Math.min(row[b.length] ?? most + 1, most + 1);
}
