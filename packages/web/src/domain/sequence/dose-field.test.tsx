import { describe, expect, jest, test } from '@jest/globals';
import { type Dose, parseDose, printDose } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { screen } from '@testing-library/react';
import { show } from '../../screen.fixture.js';
import { DoseField } from './dose-field.js';

const squeeze = shippedMovement('grip.ball-squeeze')!;

function field(text = '2x8 @40% L,R', movement = squeeze) {
  const onChange = jest.fn<(dose: Dose) => void>();
  const shown = show(<DoseField dose={parseDose(text)} movement={movement} level={movement.ladder[0]} onChange={onChange} />);
  return { ...shown, onChange, input: screen.getByRole('combobox', { name: `Dose of ${movement.name}` }) };
}

describe('a dose, typed', () => {
  test('is taken with Enter, read as a coach means it, and shown as it is printed', async () => {
    const { user, input, onChange } = field();
    expect(input).toHaveProperty('value', '2x8 @40% L,R');
    await user.clear(input);
    await user.type(input, '3 x 10 @ 50% rest 30 L, R{Enter}');
    expect(onChange.mock.calls.map(([dose]) => printDose(dose))).toEqual(['3x10 @50% rest30 L,R']);
  });

  test('that cannot be read stays in the field with the reason; Escape brings the old one back', async () => {
    const { user, input, onChange } = field();
    await user.clear(input);
    await user.type(input, '3x10 hard');
    await user.tab();
    const alert = screen.getByRole('alert');
    expect(alert.textContent).toContain('Can’t read “hard” in a dose');
    expect(input).toHaveProperty('value', '3x10 hard');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(input.getAttribute('aria-describedby')).toBe(alert.id);
    await user.type(input, '{Escape}');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(input).toHaveProperty('value', '2x8 @40% L,R');
    expect(onChange).not.toHaveBeenCalled();
  });

  test('that doesn’t fit the movement is refused in its words', async () => {
    const { user, input, onChange } = field();
    await user.clear(input);
    await user.type(input, '3x5br{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/breath/i);
    expect(onChange).not.toHaveBeenCalled();
  });

  test('keeps what is not typed: pace and hands stay', async () => {
    const { user, input, onChange } = field('2x12 tempo1-2 rest30 L,R');
    await user.clear(input);
    await user.type(input, '3x12 rest60{Enter}');
    expect(onChange.mock.calls.map(([dose]) => printDose(dose))).toEqual(['3x12 tempo1-2 rest60 L,R']);
  });

  test('with a weight takes it; with the effort that finds one beside it, it is refused', async () => {
    const { user, input, onChange } = field('2x8 L,R', shippedMovement('weight.curl')!);
    await user.clear(input);
    await user.type(input, '2x8 @50% 4kg L,R{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('Give either the effort, which sets the load, or the 4 kg.');
    await user.clear(input);
    await user.type(input, '2x8,1xmax 4kg L,R{Enter}');
    expect(onChange.mock.calls.map(([dose]) => printDose(dose))).toEqual(['2x8,1xmax 4kg L,R']);
  });

  test('with a load that the level has no place for names what it has', async () => {
    const { user, input, onChange } = field('2x8 L,R', shippedMovement('weight.curl')!);
    await user.clear(input);
    await user.type(input, '2x8 edge20 L,R{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('has no edge depth to set: it has weight');
    expect(onChange).not.toHaveBeenCalled();
  });

  test('that cannot be read has its wrong part marked, ready to be typed over', async () => {
    const { user, input } = field();
    await user.clear(input);
    await user.type(input, '3x10 hard rest20{Enter}');
    const { value, selectionStart, selectionEnd } = input as HTMLInputElement;
    expect(value.slice(selectionStart!, selectionEnd!)).toBe('hard');
  });

  test('of the same meaning changes nothing', async () => {
    const { user, input, onChange } = field();
    await user.clear(input);
    await user.type(input, '2 x 8 @40% L,R{Enter}');
    expect(onChange).not.toHaveBeenCalled();
    expect(input).toHaveProperty('value', '2x8 @40% L,R');
  });

  test('Enter and Escape lead back to the row that it stands in; what was typed and escaped is not taken on the way', async () => {
    const onChange = jest.fn<(dose: Dose) => void>();
    const { user } = show(
      <ul>
        <li tabIndex={0} aria-label="The row">
          <DoseField dose={parseDose('2x8 L,R')} movement={squeeze} level={squeeze.ladder[0]} onChange={onChange} />
        </li>
      </ul>,
    );
    const input = screen.getByRole('combobox');
    const row = screen.getByRole('listitem');
    await user.clear(input);
    await user.type(input, '3x9{Escape}');
    expect(document.activeElement).toBe(row);
    expect(onChange).not.toHaveBeenCalled();
    await user.clear(input);
    await user.type(input, '3x9 wildly{Enter}');
    expect(document.activeElement).toBe(input);
    await user.type(input, '{Backspace>7/}{Enter}');
    expect(document.activeElement).toBe(row);
    expect(onChange.mock.calls.map(([dose]) => printDose(dose))).toEqual(['3x9 L,R']);
  });

  test('says how it may go on: by the arrows and Enter, or by a tap; Enter alone takes what is typed', async () => {
    const { user, input, onChange } = field('2x8 L,R', shippedMovement('weight.curl')!);
    await user.clear(input);
    await user.type(input, '3x8 re');
    const said = () => screen.queryAllByRole('option').map((option) => option.textContent);
    expect(said()[1]).toBe('rest30 seconds between sets');
    expect(input.getAttribute('aria-expanded')).toBe('true');
    await user.keyboard('{ArrowDown}{ArrowDown}');
    expect(document.getElementById(input.getAttribute('aria-activedescendant')!)?.textContent).toContain('rest30');
    await user.keyboard('{Enter}');
    expect(input).toHaveProperty('value', '3x8 rest30 ');
    expect(onChange).not.toHaveBeenCalled();
    await user.type(input, '6');
    await user.pointer({ keys: '[MouseLeft]', target: screen.getByRole('option', { name: /^6kg/ }) });
    expect(document.activeElement).toBe(input);
    await user.keyboard('{Enter}');
    expect(onChange.mock.calls.map(([dose]) => printDose(dose))).toEqual(['3x8 6kg rest30 L,R']);
    expect(said()).toEqual([]);
  });
});
