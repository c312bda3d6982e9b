import { describe, expect, test } from '@jest/globals';
import { type Evidence, type Prediction, HANDS } from '@clay-pot/core';
import { screen } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import PredictionsPage from './predictions-page.js';

const wren = someone();
/** A block that was expected around six, and rated so. */
const block = (index: number, change: Partial<Prediction> = {}): Prediction => ({
  ...{ sessionId: `s${index}`, onDay: '2026-05-01', blockId: 'b', movementId: 'strength.palm-lift' },
  ...{ exertion: { low: 4, middle: 6, high: 8 }, reported: 6, place: [0.4, 0.6] as const, chance: 0.9, isWhole: index % 10 !== 0 },
  ...change,
});
async function predicted(blocks: Prediction[], evidence: Evidence[] = []) {
  answering({
    'GET /api/athletes': [wren],
    'GET /api/athletes/*': wren,
    'GET /api/athletes/*/predictions': { blocks },
    'GET /api/athletes/*/evidence': evidence,
    'GET /api/athletes/*/*': [],
  });
  show(<PredictionsPage />, `/predictions?athlete=${wren.id}`, '/predictions');
  await settle();
}

describe('predictions', () => {
  test('is held against what came: how many ratings lay within, and blocks by the chance that was said', async () => {
    await predicted(Array.from({ length: 40 }, (_, index) => block(index)));
    expect(screen.getByRole('heading', { name: 'Effort (RPE), 40 ratings' })).toBeTruthy();
    expect(screen.getByText('100 %', { selector: 'b' }).closest('p')!.textContent).toContain(
      'fell in the range that should hold eight of ten',
    );
    const carried = screen.getByRole('table', { name: 'Blocks by the chance that was said' });
    expect(carried.textContent).toContain('90 %');
    expect(carried.textContent).toContain('40');
  });

  test('tells nothing from a few ratings, and says how many do', async () => {
    await predicted([block(1), block(2)]);
    expect(screen.getByText(/2 ratings are too few to judge the predictions: it takes 20/)).toBeTruthy();
  });

  test('stands beside what the sets have told of each maximum', async () => {
    const heard = HANDS.map((hand): Evidence => ({
      kind: 'rated',
      action: 'wrist flexion',
      hand,
      value: 14,
      onDay: '2026-05-01',
      what: 'rated',
    }));
    await predicted([block(1)], heard);
    expect(screen.getAllByRole('row', { name: /wrist flexion/ })).toHaveLength(2);
  });

  test('of nobody who trained says so', async () => {
    await predicted([]);
    expect(screen.getByText('No session in the last twelve weeks.')).toBeTruthy();
    expect(screen.getByText(/^No data yet\. A set tells something about the maximum/)).toBeTruthy();
  });
});
