import { beforeAll, expect, test } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import { type RowProps, TableRows } from './table-rows.js';

const Row = ({ name, ...place }: { name: string } & RowProps) => (
  <tr {...place}>
    <td>{name}</td>
  </tr>
);
function table(count: number) {
  const items = Array.from({ length: count }, (_, index) => `Athlete ${index}`);
  render(
    <table aria-rowcount={count + 1}>
      <TableRows items={items} rowPx={50} columns={1} row={(name) => <Row key={name} name={name} />} />
    </table>,
  );
  return document.querySelectorAll('tbody tr:not([aria-hidden])');
}

/** Nothing has a height where nothing is laid out. */
beforeAll(() => void Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, get: () => 50 }));

test('a short table has all of its rows', () => {
  expect(table(40)).toHaveLength(40);
});

test('a long table draws what is seen, says where each row stands, and keeps the room of the others', async () => {
  const rows = table(500);
  expect(await screen.findByText('Athlete 0')).toBeTruthy();
  expect(rows.length).toBeLessThan(100);
  expect(screen.getByText('Athlete 0').closest('tr')?.getAttribute('aria-rowindex')).toBe('2');
  act(() => void window.dispatchEvent(new Event('beforeprint')));
  expect(document.querySelectorAll('tbody tr:not([aria-hidden])')).toHaveLength(500);
  act(() => void window.dispatchEvent(new Event('afterprint')));
  const gap = document.querySelector<HTMLElement>('tbody tr[aria-hidden] td');
  expect(Number.parseInt(gap?.style.height ?? '0', 10)).toBeGreaterThan(15_000);
});
