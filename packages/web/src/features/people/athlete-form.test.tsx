import { describe, expect, jest, test } from '@jest/globals';
import type { AthleteInput } from '@clay-pot/contracts';
import { CAUTIONS, stopCaution } from '@clay-pot/core';
import { screen } from '@testing-library/react';
import { ProblemError } from '../../api/request.js';
import { someone } from '../../made-up.fixture.js';
import { show } from '../../screen.fixture.js';
import { AthleteForm } from './athlete-form.js';

type Save = (input: AthleteInput) => Promise<unknown>;

function form(athlete?: ReturnType<typeof someone>, save = jest.fn<Save>().mockResolvedValue(null)) {
  const cancel = jest.fn();
  return { ...show(<AthleteForm {...(athlete && { athlete })} save={save} cancel={cancel} />), save, cancel };
}
const field = (name: string | RegExp) => screen.getByLabelText(name);
const keep = () => screen.getByRole('button', { name: /^(Save|Add athlete)$/ });

describe('what is known of a person', () => {
  test('a new one needs a name, and what is left empty is nothing, not zero', async () => {
    const { user, save } = form();
    await user.click(keep());
    expect(field('Name').getAttribute('aria-invalid')).toBe('true');
    expect(save).not.toHaveBeenCalled();
    await user.type(field('Name'), 'Ines Okafor');
    await user.click(keep());
    expect(save.mock.calls[0]![0]).toMatchObject({
      name: 'Ines Okafor',
      statureCm: null,
      massKg: null,
      birthDate: null,
    });
  });

  test('a number that nobody has is refused where it was typed, in the words of the rule; nothing is lost', async () => {
    const { user, save } = form(someone());
    await user.clear(field('Height, cm'));
    await user.type(field('Height, cm'), '1.68');
    await user.click(keep());
    const typed = field('Height, cm');
    expect(typed).toHaveProperty('value', '1.68');
    expect(document.getElementById(typed.getAttribute('aria-describedby')!)!.textContent).toMatch(/from \d+ to \d+ cm/);
    expect(save).not.toHaveBeenCalled();
  });

  test('what is no number at all is told so', async () => {
    const { user, save } = form(someone());
    await user.clear(field('Weight, kg'));
    await user.type(field('Weight, kg'), 'heavy');
    await user.click(keep());
    expect(screen.getByText(/from \d+ to \d+/)).toBeTruthy();
    expect(save).not.toHaveBeenCalled();
  });

  test('a caution comes with its advice; one that refers asks who cleared it, and half a clearance is none', async () => {
    const { user, save } = form(someone());
    await user.click(screen.getByRole('button', { name: 'Add restriction' }));
    await user.selectOptions(field('Restriction'), 'recent-injury');
    expect(screen.getByText(CAUTIONS['recent-injury'].advice)).toBeTruthy();
    await user.type(field('Cleared by (doctor or therapist)'), 'Dr Amari Voss');
    await user.click(keep());
    expect(screen.getByText('needs both the date of the clearance and who gave it')).toBeTruthy();
    await user.type(field('Cleared on'), '2026-03-01');
    await user.click(keep());
    expect(save.mock.calls[0]![0].cautions).toEqual([{ caution: 'recent-injury', clearedOn: '2026-03-01', clearedBy: 'Dr Amari Voss' }]);
  });

  test('a clearance may have limits: of effort, of extension, of body weight, up to a day', async () => {
    const cleared = {
      caution: 'recent-injury',
      hand: 'left',
      clearedOn: '2026-03-01',
      clearedBy: 'Dr Amari Voss',
    } as const;
    const { user, save } = form(someone({ cautions: [cleared] }));
    await user.type(field('Maximum effort, %'), '40');
    await user.type(field('Maximum extension, °'), '60');
    await user.click(field('No body weight on it'));
    await user.type(field('Limits apply until'), '2026-05-01');
    await user.click(keep());
    const within = { effortPercent: 40, extensionDeg: 60, noBodyWeight: true, until: '2026-05-01' };
    expect(save.mock.calls[0]![0].cautions).toEqual([{ ...cleared, within }]);
  });

  test('what stopped a session is named with its hand and day, is cleared here, and cannot be taken out', async () => {
    const stop = stopCaution('01890000-0000-7000-8000-0000000000bb', {
      sign: 'numbness',
      hand: 'left',
      onDay: '2026-03-01',
    });
    const { user, save } = form(someone({ cautions: [stop] }));
    expect(screen.getByText('Numbness or tingling, left hand, stopped on 1 Mar 2026')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Remove this restriction' })).toBeNull();
    await user.type(field('Cleared on'), '2026-03-10');
    await user.type(field('Cleared by (doctor or therapist)'), 'Dr Amari Voss');
    await user.click(keep());
    const clearance = { clearedOn: '2026-03-10', clearedBy: 'Dr Amari Voss' };
    expect(save.mock.calls[0]![0].cautions).toEqual([{ ...stop, ...clearance }]);
  });

  test('a new restriction starts empty and must be chosen; one is taken out again', async () => {
    const { user, save } = form(someone({ cautions: [{ caution: 'arthritis' }] }));
    await user.click(screen.getByRole('button', { name: 'Add restriction' }));
    const [, second] = screen.getAllByLabelText('Restriction') as HTMLSelectElement[];
    expect(second!.value).toBe('');
    await user.click(keep());
    expect(await screen.findByText('Choose a restriction, or remove this row.')).toBeTruthy();
    expect(save).not.toHaveBeenCalled();
    await user.selectOptions(second!, 'diabetes');
    await user.click(screen.getAllByRole('button', { name: 'Remove this restriction' })[0]!);
    await user.click(keep());
    expect(save.mock.calls[0]![0].cautions.map(({ caution }) => caution)).toEqual(['diabetes']);
  });

  test('what the server says stands beside its field; what it says of none stands at the end', async () => {
    const refusal = (errors: { pointer: string; message: string }[]) =>
      new ProblemError({ type: 'urn:clay-pot:problem:invalid', title: '', status: 422, detail: 'No.', errors }, null);
    const save = jest.fn<Save>().mockRejectedValueOnce(refusal([{ pointer: '/notes', message: 'must be shorter' }]));
    save.mockRejectedValueOnce(new Error('The server isn’t responding.'));
    const { user } = form(someone(), save);
    await user.click(keep());
    expect(await screen.findByText('must be shorter')).toBeTruthy();
    expect(field('Notes').getAttribute('aria-invalid')).toBe('true');
    await user.type(field('Notes'), 'shorter');
    await user.click(keep());
    expect((await screen.findByRole('alert')).textContent).toBe('The server isn’t responding.');
    expect(field('Name')).toHaveProperty('value', 'Wren Halloran');
  });
});
