import { describe, expect, test } from '@jest/globals';
import { type Dose, DOSE_LIMITS, type Movement, parseDose, printDose } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { show } from '../../screen.fixture.js';
import { DoseSteppers } from './dose-steppers.js';
import { useUnits } from '../../store/units.js';

const squeeze = shippedMovement('grip.ball-squeeze')!;
let now: Dose;

/** A dose that follows its steppers, kept in `now`. */
function Stepped({ from, movement = squeeze }: { from: string; movement?: Movement }) {
  const [dose, setDose] = useState(() => parseDose(from));
  const change = (next: Dose) => {
    now = next;
    setDose(next);
  };
  return <DoseSteppers dose={dose} movement={movement} level={movement.ladder[0]} onChange={change} />;
}
const button = (name: string) => screen.getByRole('button', { name });
const shown = (name: string) => within(screen.getByRole('group', { name })).getByRole('status').textContent;

describe('a dose by steppers', () => {
  test('each part steps by what is usual for it, and the dose follows', async () => {
    const { user } = show(<Stepped from="2x8 @40% rest20 L,R" />);
    await user.click(button('More sets'));
    await user.click(button('Fewer repetitions'));
    await user.click(button('More effort, %'));
    await user.click(button('More rest, s'));
    expect(printDose(now)).toBe('3x7 @45% rest25 L,R');
    expect(shown('repetitions')).toBe('7');
  });

  test('seconds go by fives, and of what is held still have no hold in each repetition', async () => {
    const { user } = show(<Stepped from="1x30s L,R" movement={shippedMovement('isometric.flexion')!} />);
    await user.click(button('More seconds'));
    expect(printDose(now)).toBe('1x35s L,R');
    expect(screen.queryByRole('group', { name: 'hold, s' })).toBeNull();
  });

  test('a goal, a range, an amount for the right hand and single fingers are under one heading', async () => {
    const { user } = show(<Stepped from="2x8 L,R" movement={shippedMovement('grip.single-finger-opening')!} />);
    await user.selectOptions(screen.getByRole('combobox', { name: 'ends' }), 'within a range');
    expect(printDose(now)).toBe('2x8-12 L,R');
    await user.click(screen.getByRole('button', { name: 'Goal, ranges and each hand' }));
    await user.click(button('More goal, repetitions'));
    await user.click(button('More right hand, repetitions'));
    await user.click(button('More each set faster, %'));
    await user.click(screen.getByRole('checkbox', { name: 'little' }));
    expect(printDose(now)).toBe('2x8-12 R9 goal9 faster5% L,R only:index+middle+ring');
    await user.click(button('Fewer goal, repetitions'));
    await user.click(screen.getByRole('checkbox', { name: 'little' }));
    expect(printDose(now)).toBe('2x8-12 R9 faster5% L,R');
    await user.selectOptions(screen.getByRole('combobox', { name: 'hands' }), 'right-then-left, all sets');
    expect(printDose(now)).toBe('2x8-12 R9 faster5% RR,LL');
  });

  test('a hold that is stepped down to nothing is gone, not zero', async () => {
    const { user } = show(<Stepped from="2x8 1s L,R" />);
    await user.click(button('Fewer hold, s'));
    expect('holdS' in now).toBe(false);
    expect(button('Fewer hold, s')).toHaveProperty('disabled', true);
    await user.click(button('More hold, s'));
    expect(now.holdS).toBe(1);
  });

  test('sets that differ follow the first ones, and end by count or when the form fails', async () => {
    const { user } = show(<Stepped from="2x8 rest20 L,R" />);
    await user.click(button('More sets that differ'));
    await user.click(button('More repetitions, part 2'));
    expect(printDose(now)).toBe('2x8,1x9 rest20 L,R');
    await user.selectOptions(screen.getByRole('combobox', { name: 'ends, part 2' }), 'when form fails');
    expect(printDose(now)).toBe('2x8,1xmax9 rest20 L,R');
    await user.click(button('Remove sets, part 2'));
    expect(printDose(now)).toBe('2x8 rest20 L,R');
  });

  test('a weight begins at the level’s own; an effort takes its place, and the weight of the effort', async () => {
    const { user } = show(<Stepped from="2x8 L,R" movement={shippedMovement('weight.curl')!} />);
    expect(shown('weight, kg')).toBe('3');
    await user.click(button('More weight, kg'));
    expect(printDose(now)).toBe('2x8 3.5kg L,R');
    await user.click(button('More effort that sets the load, %'));
    expect(printDose(now)).toBe('2x8 @5% L,R');
    expect(screen.queryByRole('group', { name: 'weight, kg' })).toBeNull();
  });

  test('a coach who reads pounds steps whole pounds, kept in kilograms', async () => {
    useUnits.setState({ mass: 'lb' });
    const { user } = show(<Stepped from="2x8 L,R" movement={shippedMovement('weight.curl')!} />);
    expect(shown('weight, lb')).toBe('7');
    await user.click(button('More weight, lb'));
    expect([shown('weight, lb'), now.load]).toEqual(['8', { massKg: 3.63 }]);
    useUnits.setState({ mass: 'kg' });
  });

  test('a pause that is stepped down to nothing is gone', async () => {
    const { user } = show(<Stepped from="2x8 pause1 L,R" />);
    await user.click(button('Fewer pause, s'));
    expect('pauseS' in now).toBe(false);
  });

  test('nothing can be stepped over its limits', async () => {
    const { user } = show(<Stepped from={`${DOSE_LIMITS.sets.max}x8 @98% L,R`} />);
    expect(button('More sets')).toHaveProperty('disabled', true);
    await user.click(button('More effort, %'));
    expect(now.effortPercent).toBe(DOSE_LIMITS.effortPercent.max);
    expect(button('More effort, %')).toHaveProperty('disabled', true);
  });

  test('an effort that nothing obeys cannot be stepped: the level has its own load', () => {
    show(<Stepped from="2x8 @40% L,R" movement={shippedMovement('weight.curl')!} />);
    expect(screen.queryByRole('group', { name: 'effort, %' })).toBeNull();
  });

  test('only ways of the hands that the movement knows are offered', async () => {
    const { user } = show(<Stepped from="2x8 L,R" />);
    const hands = screen.getByRole('combobox', { name: 'hands' });
    const offered = within(hands)
      .getAllByRole('option')
      .map((option) => option.getAttribute('value'));
    expect(offered).toEqual([...squeeze.sides, 'left-then-right, all sets', 'right-then-left, all sets']);
    await user.selectOptions(hands, 'right-then-left');
    expect(now.sides).toBe('right-then-left');
  });

  test('what it is counted in can be chosen: the amount is one that is usual, pace and hold go, and come back', async () => {
    const stretch = shippedMovement('stretch.flexors')!;
    const { user } = show(<Stepped from="2x30s rest10 L,R" movement={stretch} />);
    const counted = screen.getByRole('combobox', { name: 'counted in' });
    expect(within(counted).getAllByRole('option')).toHaveLength(stretch.work.length);
    await user.selectOptions(counted, 'breaths');
    expect(printDose(now)).toMatch(/^2x\d+br rest10 L,R$/);
    await user.selectOptions(counted, 'time');
    expect(now.work).toEqual(stretch.ladder[0].dose.work);
  });

  test('of a press: to seconds and back leaves pace and hold as its level has them', async () => {
    const { user } = show(<Stepped from="2x8 @40% 2s tempo1-1 L,R" />);
    const counted = screen.queryByRole('combobox', { name: 'counted in' });
    if (!counted) throw new Error('The squeeze is counted in one way only: take another movement.');
    await user.selectOptions(counted, 'time');
    expect(now).not.toHaveProperty('tempo');
    await user.selectOptions(counted, 'repetitions');
    expect(now.work).toEqual(squeeze.ladder[0].dose.work);
    expect(now.tempo).toEqual(squeeze.ladder[0].dose.tempo);
  });

  test('pace and direction have steppers and choices, too', async () => {
    const circles = shippedMovement('free.wrist-circles')!;
    const { user } = show(<Stepped from="1x4 tempo4-4 <>" movement={circles} />);
    await user.click(button('Fewer out, s'));
    await user.click(button('More back, s'));
    expect(printDose(now)).toBe('1x4 tempo3-5 <>');
    await user.selectOptions(screen.getByRole('combobox', { name: 'directions' }), circles.directions![1]);
    expect(now.directions).toBe('second');
  });
});
