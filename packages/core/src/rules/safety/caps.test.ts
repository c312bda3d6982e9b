import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { demandOf } from '../../mechanics/demand.js';
import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { againstLoad } from './against-load.js';
import { brokenCap, type Caps, capWords } from './caps.js';
import { CAUTION_CAPS } from './caution-limits.js';
import { severityOf, SORE_RULES } from './sore-places.js';

const person = referencePerson(REFERENCE_BODIES.male, '2026-06-10');
const broken = (caps: Caps, movementId: string, levelId?: string) => {
  const { ladder } = shippedMovement(movementId)!;
  const level = ladder.find(({ id }) => id === levelId) ?? ladder[0];
  return brokenCap(caps, level, demandOf(person, level).left);
};

describe('caps', () => {
  test('nothing is broken where nothing is capped', () => {
    for (const id of ['bearing.palm-support', 'edge.hang', 'hang.full', 'weight.lever-turn-up']) {
      expect(broken({}, id)).toBeNull();
    }
  });

  test.each<[Caps, string, string, RegExp]>([
    [{ noBodyWeight: true }, 'bearing.palm-support', 'all-fours', /^it puts weight on the hand$/],
    [{ extensionDeg: 60 }, 'bearing.palm-support', 'all-fours', /^\d+° of extension, limit 60°$/],
    [{ contactsOff: ['open palm'] }, 'bearing.palm-support', 'all-fours', /^it is done on the open palm$/],
    [{ noAddedWeight: true }, 'weight.lever-turn-up', '', /^it adds weight$/],
    [{ noCrimp: true }, 'edge.lift-half-crimp', '', /^it uses a crimp grip$/],
    [{ noBentWristHang: true }, 'hang.bent-wrist', '', /^it hangs on a bent wrist$/],
    [{ gripEffortPercent: 1 }, 'edge.hang', '', /^\d+ % effort, limit 1 %$/],
    [{ stillEffortPercent: 1 }, 'bearing.palm-support', 'plank', /^\d+ % effort, limit 1 %$/],
    [{ actionPercent: { 'wrist flexion': 1 } }, 'bearing.palm-support', 'plank', /effort, limit 1 % of wrist flexion$/],
  ])('%j holds against %s', (caps, movementId, levelId, words) => {
    expect(broken(caps, movementId, levelId)).toMatch(words);
  });

  test('effort of squeezing caps no planted palm, and a fist keeps below an angle', () => {
    expect(broken({ gripEffortPercent: 1 }, 'bearing.palm-support', 'plank')).toBeNull();
    expect(broken({ extensionDeg: 40 }, 'bearing.fist-support')).toBeNull();
  });

  test('everything that is capped anywhere can be said', () => {
    const all = [...Object.values(CAUTION_CAPS), ...Object.values(SORE_RULES).flatMap(({ some, much }) => [some, much])];
    for (const caps of all) expect(capWords(caps)).not.toBe('');
    expect(capWords({ actionPercent: { pinch: 40 }, contactsOff: ['fingertips', 'edge'], noAddedWeight: true })).toBe(
      'pinch up to 40 %, not on the fingertips, edges, no added weight',
    );
  });

  test('what is much sore is never freer than what is some', () => {
    for (const { some, much } of Object.values(SORE_RULES)) {
      for (const name of ['effortPercent', 'extensionDeg', 'flexionDeg', 'gripEffortPercent'] as const) {
        // A cap on all effort holds for every single one.
        const cap = much[name] ?? (name === 'gripEffortPercent' ? much.effortPercent : undefined);
        if (some[name] !== undefined && cap !== undefined) expect(cap).toBeLessThanOrEqual(some[name]);
      }
    }
    expect([0, 2, 3, 4, 5, 10].map((score) => severityOf({ symptom: 'ache', score }))).toEqual([
      'slight',
      'slight',
      'some',
      'some',
      'much',
      'much',
    ]);
    expect([severityOf({ symptom: 'sharp', score: 1 }), severityOf({ symptom: 'stiff' })]).toEqual(['much', 'some']);
  });
});

test('what speaks against a load is of the hand that it is of: referrals first, then limits', () => {
  const level = shippedMovement('bearing.palm-support')!.ladder[0];
  const demand = demandOf(person, level);
  const cautions = [
    { caution: 'sore-place', hand: 'right', place: 'wrist-back', symptom: 'ache', score: 6 },
    { caution: 'numbness', hand: 'left' },
  ] as const;
  expect(againstLoad(level, demand.left, cautions, 'left')).toEqual([expect.stringContaining('no loading until')]);
  expect(againstLoad(level, demand.right, cautions, 'right')).toEqual([expect.stringMatching(/of extension, limit 40°/)]);
  expect(againstLoad(level, demand.right, [], 'right')).toEqual([]);
});
