import { HandHeads } from './marks.js';

/** The head of a table that has a column for each hand. */
export const HandTableHead = () => (
  <thead>
    <tr className="border-b border-ink">
      <td />
      <HandHeads />
    </tr>
  </thead>
);
