import { describe, expect, test } from '@jest/globals';
import { CAUTIONS } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { cleanup, screen } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { PrecautionsPanel } from './precautions-panel.js';

const plank = shippedMovement('bearing.palm-support')!;

async function mindingOf(cautions: Parameters<typeof someone>[0], movement = false) {
  cleanup();
  const athlete = someone(cautions);
  answering({
    [`GET /api/athletes/${athlete.id}`]: athlete,
    [`GET /api/athletes/${athlete.id}/readings`]: [],
    [`GET /api/athletes/${athlete.id}/evidence`]: [],
  });
  const concerned = movement ? { movement: plank, level: plank.ladder[2]! } : {};
  show(<PrecautionsPanel athleteId={athlete.id} {...concerned} />);
  await settle();
  return screen.queryByRole('note', { name: `Cautions for ${athlete.name}` })?.textContent ?? null;
}

describe('precautions for an athlete', () => {
  test('is silent where there is nothing to mind', async () => {
    expect(await mindingOf({})).toBeNull();
  });

  test('says what forbids loading before anything that asks for care', async () => {
    const text = await mindingOf({ cautions: [{ caution: 'arthritis' }, { caution: 'recent-injury' }] });
    expect(text).toContain(`Not before clearance. ${CAUTIONS['recent-injury'].advice}`);
    expect(text!.indexOf(CAUTIONS['recent-injury'].advice)).toBeLessThan(text!.indexOf(CAUTIONS.arthritis.advice));
  });

  test('is lifted by a clearance', async () => {
    const cleared = { caution: 'recent-injury', clearedOn: '2020-01-01', clearedBy: 'Dr Amari Voss' } as const;
    expect(await mindingOf({ cautions: [cleared] })).toBeNull();
  });

  test('of one movement tells what concerns that movement', async () => {
    expect(await mindingOf({ cautions: [{ caution: 'recent-injury' }] }, true)).toContain('Not before clearance');
    expect(await mindingOf({ cautions: [] }, true)).toBeNull();
  });

  test('of one movement tells what a sore place caps, and is silent where the level stays below', async () => {
    const sore = { caution: 'sore-place', hand: 'left', place: 'wrist-back', symptom: 'ache', score: 6 } as const;
    const text = await mindingOf({ cautions: [sore] }, true);
    expect(text).toMatch(/Over the limit: \d+° of extension, limit 40°\. Left hand: Wrist, back/);
    expect(await mindingOf({ cautions: [{ ...sore, score: 2 }] }, true)).toBeNull();
  });
});
