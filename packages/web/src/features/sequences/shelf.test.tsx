import { beforeEach, describe, expect, test } from '@jest/globals';
import { FAMILIES, type Movement, type PastSession } from '@clay-pot/core';
import { LIBRARY, shippedMovement, USUAL_METHOD } from '@clay-pot/core/library';
import { screen, within } from '@testing-library/react';
import { createRef } from 'react';
import { sequenceOf, someone } from '../../made-up.fixture.js';
import { answering, show } from '../../screen.fixture.js';
import { openSequence, useEditor } from '../../store/editor.js';
import { setOwnNames } from '../../store/own-names.js';
import { useShelfHabits } from '../../store/shelf-habits.js';
import { isoToday } from '../../ui/today.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { MethodChoice } from './method-choice.js';
import { Shelf } from './shelf.js';

type ShelfProps = Partial<Omit<Parameters<typeof Shelf>[0], 'athlete' | 'whom' | 'search'>>;
const shelf = (athlete?: ReturnType<typeof someone>, more: ShelfProps = {}) => show(<ShelfFor athlete={athlete} more={more} />);
function ShelfFor({ athlete, more }: { athlete: ReturnType<typeof someone> | undefined; more: ShelfProps }) {
  const subject = useSubject(undefined);
  return (
    <Shelf
      athlete={athlete}
      subject={subject}
      search={createRef()}
      weaker={null}
      method={USUAL_METHOD}
      gaps={[]}
      past={[]}
      now={new Date().toISOString()}
      {...more}
    />
  );
}
const names = () =>
  within(screen.getByRole('list', { name: 'Movements to add' }))
    .queryAllByRole('button', { name: /^Add / })
    .map((button) => button.querySelector('.font-semibold')!.textContent!.replace('Add ', ''));
const NO_HAND = { workS: 0, impulseNs: 0, repetitions: 0, distanceM: 0 };
const pastOf = (forms: PastSession['forms']): PastSession => ({
  ...{ id: 'p', title: 'Before', startedAt: new Date().toISOString(), endedAt: new Date().toISOString(), onDay: isoToday() },
  ...{ doses: {}, hard: [], end: {}, hands: { left: NO_HAND, right: NO_HAND } as never },
  movementIds: forms.map(({ movementId }) => movementId),
  forms,
});
const blocks = () => useEditor.getState().document!.blocks;

beforeEach(() => {
  answering({});
  openSequence(sequenceOf([]));
  useShelfHabits.setState({ favourites: [], recent: [] });
  setOwnNames([]);
});

describe('the movement shelf', () => {
  test('holds the whole library; search and family narrow it; nothing found is said', async () => {
    const { user } = shelf();
    expect(names()).toHaveLength(LIBRARY.length);
    await user.selectOptions(screen.getByRole('combobox', { name: 'Family' }), FAMILIES.grip);
    const grips = names();
    expect(grips.length).toBeGreaterThan(4);
    expect(LIBRARY.filter(({ family }) => family === 'grip').map(({ name }) => name)).toEqual(grips);
    await user.type(screen.getByRole('searchbox'), 'squeeze');
    expect(names().length).toBeLessThan(grips.length);
    await user.type(screen.getByRole('searchbox'), ' zzz');
    expect(screen.getByText('No exact match. Closest movements:')).toBeTruthy();
    expect(names().length).toBeGreaterThan(0);
    await user.clear(screen.getByRole('searchbox'));
    await user.type(screen.getByRole('searchbox'), 'zzxqwv');
    expect(names()).toEqual([]);
    expect(screen.getByText('No movement matches. Remove a filter.')).toBeTruthy();
  });

  test('Enter adds the first that is shown, at its easiest level that passes, with its usual amount', async () => {
    const { user } = shelf();
    await user.type(screen.getByRole('searchbox'), 'ball squeeze{Enter}');
    const squeeze = shippedMovement('grip.ball-squeeze')!;
    const { work, effortPercent } = squeeze.ladder[0].dose;
    expect(blocks()).toMatchObject([{ movementId: squeeze.id, levelId: squeeze.ladder[0].id, dose: { work, effortPercent } }]);
  });

  test('for an athlete it leaves out what they have not the things for and what they must not do', async () => {
    const bare = someone({ equipment: [], cautions: [{ caution: 'recent-injury' }] });
    const { user } = shelf(bare);
    const suited = names();
    expect(suited).not.toContain('Ball squeeze');
    expect(suited).not.toContain(shippedMovement('bearing.palm-support')!.name);
    await user.click(screen.getByRole('switch', { name: 'Only what suits Wren' }));
    expect(names()).toHaveLength(LIBRARY.length);
    expect(suited.length).toBeLessThan(LIBRARY.length / 2);
  });

  test('favourites stand first, then what was added lately; they are kept for the next time', async () => {
    const { user, unmount } = shelf();
    await user.click(screen.getByRole('button', { name: 'Hand shake-out among the favourites' }));
    await user.click(screen.getByRole('button', { name: 'Add Ball squeeze Grip' }));
    unmount();
    shelf();
    expect(names().slice(0, 3)).toEqual(['Hand shake-out', 'Ball squeeze', LIBRARY[0]!.name]);
    expect(names()).toHaveLength(LIBRARY.length);
  });

  test('a gap of the sequence, a phase or a place narrows it, one at a time', async () => {
    const gap = {
      words: 'fist, wrist extended',
      answers: ({ corners }: Movement) => corners.includes('fist, wrist extended'),
    };
    const { user } = shelf(undefined, { gaps: [gap] });
    const narrow = (to: string) => user.selectOptions(screen.getByRole('combobox', { name: 'Phase, place or gap' }), to);
    await narrow('fist, wrist extended');
    expect(screen.getByText('No movement covers “fist, wrist extended”; these do.')).toBeTruthy();
    const answering = LIBRARY.filter(({ corners }) => corners.includes('fist, wrist extended'));
    expect(names()).toEqual(answering.map(({ name }) => name));
    await narrow('Cool-down');
    expect(names()).toEqual(LIBRARY.filter(({ family }) => family === 'settle').map(({ name }) => name));
    await narrow('at the bar');
    expect(names()).toContain('Bar hang');
    expect(names()).not.toContain('Wrist circles');
  });

  test('what is looked at shows large, with its level and what it asks; Escape puts it away', async () => {
    const { user } = shelf();
    const add = screen.getByRole('button', { name: 'Add Palm lift Planted strength' });
    await user.hover(add);
    const card = document.getElementById(add.getAttribute('aria-describedby')!)!;
    expect(card.textContent).toMatch(/Hands on a table.*effort.*an average adult: 2 sets of 8, lift 1 s, lower 2 s/is);
    await user.keyboard('{Escape}');
    expect(add.getAttribute('aria-describedby')).toBeNull();
  });

  test('what somebody did last is taken up again, with its weight', async () => {
    const forms = [{ movementId: 'weight.curl', levelId: 'medium', load: { massKg: 6.5 } }];
    const { user } = shelf(undefined, { past: [pastOf(forms)] });
    await user.click(screen.getByRole('button', { name: /^Add Wrist curl, supported/ }));
    expect(blocks()).toMatchObject([{ levelId: 'medium', dose: { load: { massKg: 6.5 } } }]);
  });

  test('the studio’s own name finds its movement and stands beside the plain one', async () => {
    setOwnNames([{ movementId: 'free.open-close', name: 'Jellyfish' }]);
    const { user } = shelf();
    await user.type(screen.getByRole('searchbox'), 'jellyfi');
    expect(names()[0]).toBe('Hand open and close “Jellyfish”');
    expect(screen.getByText('“Jellyfish”')).toBeTruthy();
  });
});

describe('the method of a sequence', () => {
  test('is chosen from those that the studio knows, and shown with a way to read it', async () => {
    const { user } = show(<MethodChoice methodId={undefined} />);
    const choice = screen.getByRole('combobox', { name: 'Method' });
    const options = within(choice).getAllByRole('option');
    expect(options.length).toBeGreaterThanOrEqual(5);
    const other = options.find((option) => option.getAttribute('value') !== (choice as HTMLSelectElement).value)!;
    await user.selectOptions(choice, other);
    expect(useEditor.getState().document!.methodId).toBe(other.getAttribute('value'));
  });
});
