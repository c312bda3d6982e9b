import { describe, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { OfflineError, ProblemError } from '../api/request.js';
import { show } from '../screen.fixture.js';
import { SelectField, TextField } from './field.js';
import { DiscomfortMark, EffortMark, SidePlanMark } from './marks.js';
import { Page, Trouble } from './page.js';
import { SessionStrip } from './session-strip.js';
import { WeekdayPicker } from './weekday-picker.js';

describe('a field', () => {
  test('its hint is heard with it; an error takes the hint’s place and marks it', () => {
    const described = () => document.getElementById(screen.getByLabelText('Mass').getAttribute('aria-describedby')!)!;
    const { unmount } = show(<TextField label="Mass" hint="In kilograms" />);
    expect(described().textContent).toBe('In kilograms');
    expect(screen.getByLabelText('Mass').hasAttribute('aria-invalid')).toBe(false);
    unmount();
    show(<TextField label="Mass" hint="In kilograms" error="must be a number" />);
    expect(described().textContent).toBe('must be a number');
    expect(screen.getByLabelText('Mass').getAttribute('aria-invalid')).toBe('true');
  });

  test('without either it points at nothing', () => {
    show(
      <SelectField label="Hand">
        <option>left</option>
      </SelectField>,
    );
    expect(screen.getByLabelText('Hand').hasAttribute('aria-describedby')).toBe(false);
  });
});

describe('days of the week', () => {
  test('are kept in order, and the last one cannot be taken away', async () => {
    const change = jest.fn();
    const { user, unmount } = show(<WeekdayPicker label="Days" value={[3, 5]} onChange={change} />);
    await user.click(screen.getByRole('button', { name: 'Mon' }));
    expect(change).toHaveBeenLastCalledWith([1, 3, 5]);
    await user.click(screen.getByRole('button', { name: 'Fri' }));
    expect(change).toHaveBeenLastCalledWith([3]);
    unmount();
    show(<WeekdayPicker label="Days" value={[3]} onChange={change} />);
    expect(screen.getByRole('button', { name: 'Wed', pressed: true })).toHaveProperty('disabled', true);
  });
});

describe('marks', () => {
  test('a discomfort carries the word of its method: the same score weighs more where none is allowed', () => {
    const { unmount } = show(<DiscomfortMark score={3} policy="mild" />);
    expect(document.body.textContent).toContain('3 moderate keep level');
    unmount();
    show(<DiscomfortMark score={3} policy="none" />);
    expect(document.body.textContent).toContain('3 moderate ease off: this method allows none');
  });

  test('hands are told in words and in their order', () => {
    show(<SidePlanMark plan="right-then-left" />);
    expect(screen.getByTitle('right then left').textContent).toBe('RrightLleft');
  });

  test('effort is a bar and a number on the scale of five', () => {
    const { container } = show(<EffortMark percent={45} />);
    expect(container.querySelector('.bg-load-3')!.getAttribute('style')).toContain('width: 45%');
    expect(container.textContent).toContain('45 %');
  });

  test('eight weeks stand as 56 days, those with sessions taller', () => {
    const { container } = show(
      <SessionStrip
        today="2026-05-31"
        recentDays={[
          { day: '2026-05-31', sessions: 1 },
          { day: '2026-05-30', sessions: 2 },
        ]}
      />,
    );
    expect(screen.getByRole('img', { name: '3 sessions in eight weeks' })).toBeTruthy();
    const heights = [...container.querySelectorAll('rect')].map((bar) => Number(bar.getAttribute('height')));
    expect(heights).toHaveLength(56);
    expect(heights.slice(-3)).toEqual([2, 18, 13]);
  });
});

describe('a page', () => {
  test('is named in the window’s title', () => {
    show(<Page title="Records">…</Page>);
    expect(document.title).toBe('Records · Clay Pot');
  });

  test('trouble is told in the words of whoever said it; a fault of our own is not read out', async () => {
    const problem = {
      type: 'urn:clay-pot:problem:not-found',
      title: '',
      status: 404,
      detail: 'There is no such athlete.',
    };
    const retry = jest.fn();
    const { user, unmount } = show(<Trouble error={new ProblemError(problem, null)} retry={retry} />);
    expect(screen.getByRole('alert').textContent).toContain('There is no such athlete.');
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(retry).toHaveBeenCalledTimes(1);
    unmount();
    show(<Trouble error={new OfflineError('The server isn’t responding.')} />);
    expect(screen.getByRole('alert').textContent).toBe('The server isn’t responding.');
    show(<Trouble error={new TypeError('undefined is not a function')} />);
    expect(screen.getAllByRole('alert')[1]!.textContent).toBe('Something went wrong on this page.');
  });
});
