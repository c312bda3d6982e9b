import type { Sentence } from '@clay-pot/core';
import { readable } from '../measuring/units.js';

/** Each change that an option makes, where its words only count them. */
export function OptionChanges({ changes }: { changes: readonly Sentence[] }) {
  return (
    <ul aria-label="Changes" className="my-1 list-disc pl-5 text-small">
      {changes.map((change) => (
        <li key={readable(change)}>{readable(change)}</li>
      ))}
    </ul>
  );
}
