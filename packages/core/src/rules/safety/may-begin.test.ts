import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { viewOf } from '../../effort/session-view.js';
import { shippedMovement } from '../../library/index.js';
import { CAUTION_IDS, CAUTIONS } from '../../vocabulary/cautions.js';
import { findingsOf } from '../checks/index.js';
import { ask, athlete, GOOD, instead, type Line, write } from '../checks/sessions.fixture.js';
import { stopsOf } from './may-begin.js';

const FREE: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist'],
  ['settle', 'settle.shakes', 'hanging'],
];
const view = (lines: readonly Line[], caution?: string) =>
  viewOf(ask(write(lines), caution === undefined ? {} : { athlete: athlete(caution) }));

describe('what may begin', () => {
  test.each(CAUTION_IDS.filter((id) => CAUTIONS[id].rule === 'refer'))(
    '%s stops whatever loads a hand, a stretch by the other one too, and leaves free motion alone',
    (caution) => {
      expect(stopsOf(view(FREE, caution))).toEqual([]);
      for (const [phase, movementId] of [
        ['range', 'stretch.flexors'],
        ['load', 'isometric.flexion'],
        ['skill', 'bearing.forearm-support'],
      ] as const) {
        const loading: Line = [phase, movementId, shippedMovement(movementId)!.ladder[0].id];
        const [stop] = stopsOf(view([FREE[0]!, loading, FREE[1]!], caution));
        expect(stop).toMatchObject({ check: { id: 'not-cleared' }, blockIds: ['b2'] });
      }
    },
  );

  test('arthritis stops a pinch hold, as the editor says, and everything says it alike', () => {
    const pinch = view(instead('grip.ball-squeeze', ['strength', 'grip.pinch-hold', 'light']), 'arthritis');
    expect(stopsOf(pinch)).not.toEqual([]);
    const ofEditor = findingsOf(pinch).filter(({ check }) => check.severity === 'stop');
    expect(stopsOf(pinch).map(({ text }) => sentenceText(text))).toEqual(ofEditor.map(({ text }) => sentenceText(text)));
  });

  test('whoever has no caution may begin, and a mute does not open the way', () => {
    expect(stopsOf(view(GOOD))).toEqual([]);
    const muted = { ...write(GOOD), mutes: [{ check: 'not-cleared', reason: 'In a hurry.' }] };
    expect(stopsOf(viewOf(ask(muted, { athlete: athlete('numbness') })))).not.toEqual([]);
  });
});
