import type { ReactElement, ReactNode } from 'react';
import { cloneElement } from 'react';
import { useVirtualRows } from './virtual-rows.js';

interface TableRowsProps<T> {
  readonly items: readonly T[];
  /** About how high a row is, pixels. */
  readonly rowPx: number;
  readonly columns: number;
  /** A `tr` with its key. */
  readonly row: (item: T) => ReactElement<RowProps>;
}

/** What the row of a long table is given: where it stands, and what measures it. */
export interface RowProps {
  readonly 'data-index'?: number;
  readonly 'aria-rowindex'?: number;
  readonly ref?: (element: HTMLTableRowElement | null) => void;
}

/** The body of a table, of which a long one draws what is seen. */
export function TableRows<T>({ items, rowPx, columns, row }: TableRowsProps<T>) {
  const { box, rows, before, after } = useVirtualRows(items.length, rowPx);
  return (
    <tbody ref={box}>
      <Gap px={before} columns={columns} />
      {rows.flatMap(({ index, measure }) => {
        const item = items[index];
        // Headings are the first row.
        return item === undefined ? [] : cloneElement(row(item), { 'data-index': index, 'aria-rowindex': index + 2, ref: measure });
      })}
      <Gap px={after} columns={columns} />
    </tbody>
  );
}

function Gap({ px, columns }: { px: number; columns: number }): ReactNode {
  if (px <= 0) return null;
  return (
    <tr aria-hidden>
      <td colSpan={columns} style={{ height: px }} className="p-0" />
    </tr>
  );
}
