import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import type { SessionQuestion } from '../../effort/session-view.js';
import { shippedMovement } from '../../library/index.js';
import { METHODS } from '../../library/methods.js';
import { maximum } from '../../mechanics/belief.js';
import { applyEdits } from '../../model/edits.js';
import { findLevel } from '../../model/movement.js';
import type { Sequence } from '../../model/sequence.js';
import { checkMutes } from './check-mutes.js';
import { editsOf } from './finding.js';
import { CHECKS } from './index.js';
import {
  ask,
  athlete,
  found,
  GOOD,
  idsOf,
  instead,
  type Line,
  lopsided,
  type More,
  person,
  session,
  without,
  write,
} from './sessions.fixture.js';

/** What each check is shown: one question in which it must speak. The good sequence is where all of them must be silent. */
const FIRES: Record<string, SessionQuestion> = {
  'not-cleared': ask(write(GOOD), { athlete: athlete('numbness') }),
  'leave-out': ask(write(instead('grip.ball-squeeze', ['strength', 'grip.pinch-hold', 'light'])), {
    athlete: athlete('arthritis', ['mat', 'plate', 'soft ball']),
  }),
  'caution-limit': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'strong'])), {
    athlete: athlete('tendon-pain'),
  }),
  'nerve-glide': ask(write(instead('free.finger-touches', ['prepare', 'glide.nerve-median', 'elbow-bent', '1x5 5s tempo3-3 L,R']))),
  'impossible-posture': ask(farOff(), {
    lookup: (id) => (id === 'rock.palm-fore-aft' ? unreachable() : shippedMovement(id)),
  }),
  'range-over': ask(write(instead('bearing.palm-support', ['skill', 'bearing.forward-lean', 'deep']))),
  'demand-over': ask(write(instead('isometric.flexion', ['strength', 'weight.curl', 'heavy'])), {
    person: { ...person, evidence: [maximum('wrist flexion', 'left', 1, '2026-06-01')] },
  }),
  'hard-spacing': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'strong', '2x5 @80% 5s rest60 L,R'])), {
    method: METHODS['grip-and-iron'],
    past: [session('2026-06-09', { hard: ['left wrist flexors'] })],
  }),
  'range-unprepared': ask(write(without('free.wrist-circles', 'free.bending-waves', 'stretch.extensors', 'stretch.flexors'))),
  'body-weight-early': ask(write([['prepare', 'rock.palm-fore-aft', 'behind'], ...GOOD])),
  'no-release': ask(
    write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'strong'], ['strength', 'isometric.hook-pull', 'medium'])),
    {
      method: METHODS['grip-and-iron'],
    },
  ),
  'antagonist-unanswered': ask(write(instead('grip.ball-squeeze', ['strength', 'isometric.radial', 'medium']))),
  'grip-unanswered': ask(write(without('isometric.finger-spread'))),
  'extension-unanswered': ask(write(without('rock.back-of-hand', 'isometric.flexion', 'settle.long-extensors', 'stretch.extensors'))),
  'phase-order': ask(write([...GOOD, ['prepare', 'free.finger-waves', 'slow']])),
  'warm-up-over': ask(write(hardWarmUp())),
  'prepare-missing': ask(write(GOOD.filter(([phase]) => phase !== 'prepare'))),
  'settle-missing': ask(write(GOOD.filter(([phase]) => phase !== 'settle'))),
  'stretch-after-strength': ask(write(GOOD), { method: METHODS['grip-and-iron'] }),
  'dose-outside': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'medium', '9x30 @50% L,R']))),
  'stretch-before-strength': ask(write(instead('stretch.flexors', ['range', 'stretch.flexors', 'open', '3x30s L,R']))),
  'effort-ceiling': ask(write(GOOD), { method: METHODS['careful-return'] }),
  'failing-hold': ask(write(instead('bearing.palm-support', ['skill', 'bearing.palm-support', 'plank', '1x600s']))),
  'rest-short': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'strong', '3x5 @80% 4s rest5 L']))),
  'at-once-far': ask({
    ...write(GOOD),
    blocks: write(GOOD).blocks.map((block) => (block.movementId === 'bearing.palm-support' ? { ...block, atOnce: true } : block)),
  }),
  'sets-without-rest': ask(write(instead('isometric.flexion', ['strength', 'weight.curl', 'light', '3x10 tempo1-2 LR']))),
  'rest-between': ask(
    write([
      ['strength', 'grip.ball-squeeze', 'firm', '2x6 @50% 3s rest90 L'],
      ['strength', 'grip.ring-little-squeeze', 'putty', '1x8 @50% 3s L'],
    ]),
  ),
  'method-dosing': ask(write(GOOD), { method: METHODS['woven-into-practice'] }),
  'fast-motion': ask(write(instead('free.forearm-turns', ['prepare', 'free.open-close', 'fast']))),
  'contract-relax': ask(write(GOOD), { method: METHODS['careful-return'] }),
  'side-missing': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'medium', '1x6 @50% 4s L']))),
  'side-short': ask(
    write(
      instead(
        'isometric.flexion',
        ['strength', 'isometric.flexion', 'medium', '1x8 @50% 4s L'],
        ['strength', 'isometric.flexion', 'medium', '1x5 @50% 4s R'],
      ),
    ),
  ),
  'weaker-side-more': ask(write(GOOD), { method: METHODS['careful-return'], person: lopsided }),
  'side-order': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'medium', '1x6 @50% 4s R,L'])), {
    method: METHODS['careful-return'],
    person: lopsided,
  }),
  'side-plan': ask(write(GOOD), { method: METHODS['floor-loading'] }),
  'direction-missing': ask(write(instead('free.wrist-circles', ['prepare', 'free.wrist-circles', 'free-fist', '1x3 tempo4-4 L,R >']))),
  'balance-flexors-extensors': ask(
    write(instead('isometric.extension', ['strength', 'isometric.flexion', 'medium', '3x6 @60% 5s rest30 L,R'])),
  ),
  'balance-grip-opening': ask(write(instead('isometric.finger-spread', ['strength', 'grip.ball-squeeze', 'firm', '3x8 @55% 4s L,R']))),
  'balance-radial-ulnar': ask(write(instead('grip.ball-squeeze', ['strength', 'isometric.radial', 'medium', '3x8 @50% 5s L,R']))),
  'balance-pronators-supinators': ask(
    write(
      instead('free.forearm-turns', ['prepare', 'free.open-close', 'slow'], ['prepare', 'isometric.turns', 'gentle', '3x8 @40% 5s L,R >']),
    ),
  ),
  'balance-left-right': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'medium', '4x8 @55% 5s L']))),
  'corner-unvisited': ask(write(without('free.wrist-circles', 'stretch.extensors'))),
  'direction-unvisited': ask(write(without('free.wrist-circles'))),
  'thumb-forgotten': ask(write(without('free.finger-touches', 'isometric.finger-spread'))),
  'little-side-forgotten': ask(
    write([
      ['prepare', 'free.wrist-circles', 'free-fist'],
      ['prepare', 'free.forearm-turns', 'bent'],
      ['prepare', 'free.side-sweeps', 'free'],
      ['prepare', 'free.thumb-circles', 'full'],
      ['load', 'isometric.radial', 'medium'],
      ['load', 'isometric.ulnar', 'medium'],
      ['settle', 'settle.shakes', 'hanging'],
    ]),
  ),
  'equipment-missing': ask(write(GOOD), { athlete: athlete('pregnancy', ['mat']) }),
  'minutes-over': ask(write(GOOD, { budgetMin: 12 })),
  'position-changes': ask(write(standingAndFloor())),
  variety: ask(write(GOOD), {
    past: ['2026-06-01', '2026-06-05'].map((day) =>
      session(day, { movementIds: GOOD.slice(0, Math.ceil(GOOD.length / 3)).map(([, id]) => id) }),
    ),
  }),
  'too-often': ask(write(instead('isometric.flexion', ['strength', 'isometric.flexion', 'strong', '3x5 @80% 6s rest60 L,R'])), {
    method: METHODS['grip-and-iron'],
    past: ['2026-06-05', '2026-06-07', '2026-06-08'].map((day) => session(day, { doses: { 'left wrist flexors': 0.6 } })),
  }),
  'weekly-growth': ask(write(GOOD), {
    past: ['2026-05-16', '2026-05-23', '2026-05-30'].map((day) => session(day, { doses: { 'left wrist flexors': 0.3 } })),
  }),
  empty: ask(write([])),
};

function hardWarmUp(): Line[] {
  const hard: Line = ['range', 'isometric.flexion', 'strong'];
  return [...without('isometric.extension', 'isometric.flexion'), hard].sort(byPhase);
}

function byPhase(a: Line, b: Line): number {
  const order = ['prepare', 'range', 'load', 'strength', 'skill', 'settle'];
  return order.indexOf(a[0]) - order.indexOf(b[0]);
}

function standingAndFloor(): Line[] {
  const pairs = Array.from({ length: 5 }, (): Line[] => [
    ['range', 'rock.palm-fore-aft', 'behind'],
    ['range', 'rock.wall-palms', 'near'],
  ]);
  return [...GOOD.slice(0, 6), ...pairs.flat(), ...GOOD.slice(7)];
}

function farOff(): Sequence {
  const sequence = write(instead('bearing.palm-support', ['skill', 'rock.palm-fore-aft', 'behind']));
  return {
    ...sequence,
    blocks: sequence.blocks.map((block) => (block.phase === 'skill' ? { ...block, levelId: 'far-off' } : block)),
  };
}

/** A movement whose harder level no body can take: hands two metres ahead of the knees. */
function unreachable() {
  const movement = shippedMovement('rock.palm-fore-aft')!;
  const level = findLevel(movement, 'behind')!;
  if (level.load.kind !== 'body') throw new Error('The fixture wants a posture on the hands.');
  const { hipAngleDeg: _hip, leanDeg: _lean, distanceM: _distance, ...stance } = level.load.stance;
  const load = { kind: 'body' as const, stance: { ...stance, distanceM: 2, leanDeg: 0 } };
  return { ...movement, ladder: [level, { ...level, id: 'far-off', load }] as const };
}

test('there is a case for every check, and no other', () => {
  expect(Object.keys(FIRES).sort()).toEqual(CHECKS.map(({ id }) => id).sort());
  expect(CHECKS.length).toBeGreaterThanOrEqual(25);
});

test('a good sequence hears nothing', () => {
  expect(found(ask(write(GOOD))).map(({ text }) => sentenceText(text))).toEqual([]);
});

describe.each(CHECKS.map((check) => [check.id, check] as const))('%s', (id, check) => {
  const question = FIRES[id]!;
  const mine = () => found(question).filter((finding) => finding.check.id === id);

  test('speaks, in a sentence, of blocks that are there', () => {
    const findings = mine();
    expect(findings.length).toBeGreaterThan(0);
    for (const { text, blockIds } of findings) {
      expect(sentenceText(text)).toMatch(/^[A-Z0-9].*[.?]$/s);
      expect(sentenceText(text)).not.toMatch(/NaN|undefined|Infinity|null/);
      for (const blockId of blockIds) expect(question.sequence.blocks.map((block) => block.id)).toContain(blockId);
    }
    expect(sentenceText(check.why)).toMatch(/\.$/);
    expect(check.source).not.toBe('');
  });

  test('its fix silences it, and changes nothing else than it says', () => {
    const finding = mine()[0]!;
    if (!finding.fix) return expect(NO_FIX).toContain(id);
    const edits = editsOf(finding.fix);
    expect(edits.length).toBeGreaterThan(0);
    const mended = applyEdits(question.sequence, edits);
    const after = found({ ...question, sequence: mended }).filter((other) => other.check.id === id);
    expect(after.map(({ text }) => sentenceText(text))).not.toContain(finding.text);
    expect(after.length).toBeLessThan(mine().length);
  });
});

/** What only the coach can answer: another day, another routine, fewer sessions. */
const NO_FIX = ['at-once-far', 'variety', 'too-often', 'weekly-growth'];

describe('what checks know', () => {
  const idsIn = (lines: readonly Line[], more: More = {}) => idsOf(ask(write(lines), more));

  test('a cool-down by itself needs no warm-up, and is not judged as a whole', () => {
    const cool = GOOD.map(([, id, level]): Line => ['settle', id, level]);
    for (const id of ['prepare-missing', 'direction-unvisited', 'thumb-forgotten', 'little-side-forgotten']) {
      expect(idsIn(cool)).not.toContain(id);
    }
  });

  test('a class by the clock keeps its seconds, whatever the method counts', () => {
    const timed = GOOD.map(([phase, id, level]): Line => [phase, id, level, '1x30s']).filter(([, id]) => id !== 'settle.long-extensors');
    expect(idsIn(timed, { method: METHODS['woven-into-practice'] })).not.toContain('method-dosing');
  });

  test('many short holds that come to a usual dose are usual', () => {
    const hold = (dose: string) => idsIn([...GOOD, ['skill', 'bearing.palm-support', 'all-fours', dose]]).includes('dose-outside');
    expect(hold('8x5s rest10')).toBe(false);
    expect(hold('12x30s rest10')).toBe(true);
  });

  test('an amount of its own for each hand is meant', () => {
    const uneven: Line[] = [...GOOD, ['settle', 'stretch.flexors', 'curled', '1x30s R60s']];
    expect(idsIn(uneven)).not.toContain('side-short');
    expect(
      idsIn([...GOOD, ['settle', 'stretch.flexors', 'curled', '1x20s L,R'], ['settle', 'stretch.flexors', 'curled', '1x40s R']]),
    ).toContain('side-short');
  });

  test('the upper end of a range of effort is what is asked at most', () => {
    const pressed = (dose: string, more: More) => {
      const lines = instead('isometric.flexion', ['strength', 'isometric.flexion', 'medium', dose]);
      const press = `b${lines.findIndex(([, id]) => id === 'isometric.flexion') + 1}`;
      return found(ask(write(lines), more)).filter(({ blockIds }) => blockIds.includes(press));
    };
    const forTendons = (dose: string) => pressed(dose, { athlete: athlete('tendon-pain') }).map(({ check }) => check.id);
    expect(forTendons('2x5 @30% 5s rest60 L,R')).not.toContain('caution-limit');
    expect(forTendons('2x5 @30-90% 5s rest60 L,R')).toContain('caution-limit');
    const over = pressed('2x5 @30-90% 5s rest60 L,R', { method: METHODS['careful-return'] }).find(
      ({ check }) => check.id === 'effort-ceiling',
    );
    expect(over?.fix).not.toBeNull();
  });

  test('another routine is no change of the last one, and light work may be daily', () => {
    const past = [session('2026-06-01'), session('2026-06-05', { movementIds: ['settle.shakes'] })];
    expect(idsIn(GOOD, { past })).not.toContain('variety');
    const week = ['2026-06-05', '2026-06-06', '2026-06-07', '2026-06-08'];
    const light = week.map((day) => session(day, { doses: { 'left wrist flexors': 0.1 } }));
    expect(idsIn(GOOD, { method: METHODS['grip-and-iron'], past: light })).not.toContain('too-often');
  });

  test('rounds add up: one set in five rounds is five sets', () => {
    const lines: Line[] = [...GOOD, ['strength', 'weight.curl', 'light', '1x10 tempo1-2 L,R']];
    const curl = `b${lines.length}`;
    const inRounds = (times: number) => {
      const sequence = write(lines, { rounds: [{ id: 'r', blockIds: [curl], times, restS: 60 }] });
      return found(ask(sequence)).filter(({ check, blockIds }) => check.id === 'dose-outside' && blockIds.includes(curl));
    };
    expect(inRounds(3)).toEqual([]);
    const [finding] = inRounds(8);
    expect(sentenceText(finding!.text)).toContain('8 sets in all rounds is above');
    const mended = applyEdits(write(lines, { rounds: [{ id: 'r', blockIds: [curl], times: 8, restS: 60 }] }), editsOf(finding!.fix!));
    expect(mended.rounds?.[0]?.times).toBeLessThan(8);
  });

  test('many light repetitions of the opposite answer what was strengthened', () => {
    const flexors: Line = ['strength', 'weight.curl', 'heavy', '3x10 tempo1-3 rest60 L,R'];
    const others = GOOD.filter(([, id]) => !/extens|flex|roller|curl/.test(id));
    const answers = (dose: string) =>
      idsIn([...others, flexors, ['strength', 'weight.reverse-curl', 'light', dose]]).includes('antagonist-unanswered');
    expect(answers('1x15 0.25kg L,R')).toBe(false);
  });
});

describe('muting', () => {
  const question = FIRES['fast-motion']!;

  test('a muted check keeps its finding, with the reason', () => {
    const sequence = { ...question.sequence, mutes: [{ check: 'fast-motion', reason: 'Wanted before racing.' }] };
    const finding = found({ ...question, sequence }).find(({ check }) => check.id === 'fast-motion');
    expect(finding?.muted).toBe('Wanted before racing.');
    expect(checkMutes(sequence)).toEqual([]);
  });

  test('a rule of safety is heard whatever the document says, and the document is refused', () => {
    for (const id of ['not-cleared', 'leave-out', 'caution-limit']) {
      const muted = { ...FIRES[id]!.sequence, mutes: [{ check: id, reason: 'I know better.' }] };
      expect(found({ ...FIRES[id]!, sequence: muted }).find(({ check }) => check.id === id)?.muted).toBeNull();
      expect(checkMutes(muted)).toEqual([expect.objectContaining({ pointer: '/mutes/0/check' })]);
    }
  });

  test('a check that is not there cannot be muted', () => {
    expect(checkMutes({ ...question.sequence, mutes: [{ check: 'nonsense', reason: 'x' }] })).toHaveLength(1);
  });
});
