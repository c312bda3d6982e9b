import { describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import ImportPage from './import-page.js';

const wren = someone();
const at = `/api/athletes/${wren.id}`;
async function page() {
  const requests = answering({
    [`GET ${at}`]: wren,
    [`GET ${at}/readings`]: [],
    [`POST ${at}/readings`]: { added: 2, known: 0 },
  });
  const shown = show(<ImportPage />, `/people/${wren.id}/import`, '/people/:id/import');
  await settle();
  const open = (text: string, name = 'log.csv') => {
    const file = new File([text], name, { type: 'text/csv' });
    // The document of the tests reads files otherwise than browsers do.
    Object.assign(file, { text: () => Promise.resolve(text) });
    return shown.user.upload(screen.getByLabelText(/CSV with column names/), file);
  };
  const posts = () =>
    requests.filter(({ what }) => what.startsWith('POST')).map(({ body }) => body as { readings: { id: string; reading: object }[] });
  return { ...shown, open, posts };
}
const LOG = 'date;side;test;result;unit\n12.03.2026;left;grip;41,5;kg\n12.03.2026;right;grip;44;kg\n';

describe('readings from a file', () => {
  test('columns are guessed, rows are shown as they will be recorded, ids come from what they say', async () => {
    const { user, open, posts } = await page();
    await open(LOG);
    expect(await screen.findByText('2 readings')).toBeTruthy();
    expect(screen.getAllByRole('row')[0]!.textContent).toContain('12 Mar 2026');
    expect(screen.getAllByRole('row')[0]!.textContent).toContain('41.5 kg');
    await user.click(screen.getByRole('button', { name: 'Import 2' }));
    await settle();
    const [first] = posts();
    expect(first!.readings).toMatchObject([{ reading: { hand: 'left', value: 406.98 } }, { reading: { hand: 'right' } }]);
    expect(new Set(first!.readings.map(({ id }) => id)).size).toBe(2);
  });

  test('the same file makes the same ids', async () => {
    const ids = [];
    for (let time = 0; time < 2; time++) {
      const { user, open, posts, unmount } = await page();
      await open(LOG);
      await user.click(await screen.findByRole('button', { name: 'Import 2' }));
      await settle();
      ids.push(posts()[0]!.readings.map(({ id }) => id));
      unmount();
    }
    expect(ids[0]).toEqual(ids[1]);
  });

  test('a row that cannot be read keeps all of them from being recorded', async () => {
    const { open, posts } = await page();
    await open(`${LOG}30.02.2026;left;grip;40;kg\n`);
    expect((await screen.findByRole('alert')).textContent).toContain('Line 4, day: must be a day, day first');
    expect(screen.getByRole('button', { name: /^Import/ })).toHaveProperty('disabled', true);
    expect(posts()).toEqual([]);
  });

  test('a word for all rows stands in for a column that is not there', async () => {
    const { user, open, posts } = await page();
    await open('date,value\n2026-03-12,41.5\n');
    await user.selectOptions(screen.getByLabelText('Hand'), '=both');
    await user.selectOptions(screen.getByLabelText('Unit'), '=kg');
    await user.selectOptions(screen.getByLabelText('Test'), '=maximum');
    expect((await screen.findByRole('alert')).textContent).toContain('of: must be something that is measured');
    expect(posts()).toEqual([]);
  });

  test('a doubtful value is asked about; said to be right, it goes along as such', async () => {
    const { user, open, posts } = await page();
    await open('date,hand,of,value,unit\n2026-03-12,left,grip,41,N\n');
    expect(await screen.findByText(/was it 41.0 kg/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Import 1' })).toHaveProperty('disabled', true);
    await user.click(screen.getByRole('checkbox', { name: /import as they are/ }));
    await user.click(screen.getByRole('button', { name: 'Import 1' }));
    await settle();
    expect(posts()[0]!.readings[0]!.reading).toMatchObject({ value: 41, isSure: true });
  });

  test.each([
    ['', 'log.csv is empty. Nothing was imported.'],
    ['only one line of words', 'Line 1 must name its columns'],
    ['a,b\n"1,2', 'has an unclosed quote'],
  ])('%j is refused in words', async (text, said) => {
    const { open } = await page();
    await open(text);
    expect((await screen.findByRole('alert')).textContent).toContain(said);
  });
});
