import { describe, expect, test } from '@jest/globals';
import { type Level, type Movement, REFERENCE_BODIES, referencePerson } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { render, screen, within } from '@testing-library/react';
import { choose } from '../../../screen.fixture.js';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { PoseEditor } from './pose-editor.js';

const person = referencePerson(REFERENCE_BODIES['not stated'], '2026-06-01');

/** The editor over a level of its own; there is no canvas here, so that joints are posed by numbers. */
function posing(movement: Movement, start: Level) {
  const seen: { level: Level } = { level: start };
  function Held() {
    const [level, setLevel] = useState(start);
    seen.level = level;
    return <PoseEditor movement={movement} level={level} person={person} set={setLevel} />;
  }
  render(<Held />);
  return { user: userEvent.setup(), seen };
}
const rest = shippedMovement('settle.resting-breaths')!;
const circles = shippedMovement('free.wrist-circles')!;
const rocks = shippedMovement('rock.palm-backward')!;

describe('the pose editor without a drawing', () => {
  test('takes joints by numbers, refuses what a hand cannot do, and keeps what it was', async () => {
    const { user, seen } = posing(rest, rest.ladder[0]);
    await user.click(screen.getByRole('button', { name: 'Ring finger' }));
    const knuckle = screen.getByRole('textbox', { name: 'Ring finger, knuckle, °' });
    await user.clear(knuckle);
    await user.type(knuckle, '140{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('-80–100');
    expect(seen.level.hand?.course).toBeUndefined();
    await user.clear(knuckle);
    await user.type(knuckle, '70{Enter}');
    expect(seen.level.hand?.course?.[0]?.joints?.ringMcpDeg).toBe(70);
  });

  test('adds moments, goes between them, takes one out, and bends one the other way', async () => {
    const { user, seen } = posing(rest, rest.ladder[0]);
    const moments = within(screen.getByRole('group', { name: 'Moments of the movement' }));
    await user.click(moments.getByRole('button', { name: 'Add a moment' }));
    await user.click(moments.getByRole('button', { name: 'Add a moment' }));
    expect(moments.getByRole('button', { name: 'Middle' })).toBeTruthy();
    const bend = screen.getByRole('textbox', { name: /^Wrist, bent back/ });
    await user.clear(bend);
    await user.type(bend, '40{Enter}');
    await user.click(moments.getByRole('button', { name: 'Flip' }));
    expect(seen.level.hand?.course?.[2]?.joints?.wristExtensionDeg).toBe(-40);
    await user.click(moments.getByRole('button', { name: 'Start' }));
    await user.click(moments.getByRole('button', { name: 'Delete start' }));
    expect(seen.level.hand?.course).toHaveLength(2);
    await user.click(moments.getByRole('button', { name: 'Reset' }));
    expect(seen.level.hand?.course).toBeUndefined();
  });

  test('copies the hand of a level of another movement', async () => {
    const { user, seen } = posing(rest, rest.ladder[0]);
    const copy = within(screen.getByRole('group', { name: 'Copy the hand of another level' }));
    await choose(user, 'Copy the hand from', /^Wrist circles/);
    await user.click(copy.getByRole('button', { name: 'Copy' }));
    expect(seen.level.hand?.round).toBe(true);
    expect(seen.level.hand?.course?.length).toBe(circles.hand?.course?.length);
  });

  test('says out and back against a movement that goes round', async () => {
    const { user, seen } = posing(circles, circles.ladder[0]);
    await user.selectOptions(screen.getByLabelText('Movement'), 'out and back the same way');
    expect(seen.level.hand?.round).toBe(false);
    expect((screen.getByLabelText('Movement') as HTMLSelectElement).value).toBe('back');
  });

  test('offers only places that the load can be drawn in', () => {
    posing(rest, rest.ladder[0]);
    const places = () => [...(screen.getByLabelText('Where the hand is') as HTMLSelectElement).options].map(({ value }) => value);
    expect(places()).toContain('in water');
    expect(places()).not.toContain('planted');
    expect(screen.queryByLabelText('Other hand')).toBeNull();
  });

  test('leaves a planted hand’s fingers to the floor; what it presses into and what the other hand does is said', async () => {
    const { user, seen } = posing(rocks, rocks.ladder[0]);
    expect(screen.queryByRole('button', { name: 'Index finger' })).toBeNull();
    await user.selectOptions(screen.getByLabelText('Other hand'), 'away');
    await user.selectOptions(screen.getByLabelText('Contact'), 'it presses, without moving');
    expect(seen.level.hand).toMatchObject({ other: 'away', presses: true });
  });
});
