/** None of our documents is nested deeper than a dozen; a parser that follows ten thousand brackets runs out of stack. */
export const MOST_NESTING = 32;

/**
 * Whether a JSON text is nested deeper than a bound, without parsing it: one pass, no recursion.
 * @example isNestedBeyond('[[1]]', 1) → true
 */
export function isNestedBeyond(text: string, bound: number): boolean {
  let depth = 0;
  for (let at = 0; at < text.length; at++) {
    switch (text[at]) {
      case '"':
        at = endOfString(text, at);
        break;
      case '[':
      case '{':
        if (++depth > bound) return true;
        break;
      case ']':
      case '}':
        depth--;
        break;
      default:
    }
  }
  return false;
}

function endOfString(text: string, from: number): number {
  for (let at = from + 1; at < text.length; at++) {
    if (text[at] === '\\') at++;
    else if (text[at] === '"') return at;
  }
  return text.length;
}
