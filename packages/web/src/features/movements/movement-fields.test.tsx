import { describe, expect, jest, test } from '@jest/globals';
import { type MovementCaution, MOVEMENT_LIMITS } from '@clay-pot/core';
import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { show } from '../../screen.fixture.js';
import { CautionsEditor } from './cautions-editor.js';
import { Checks, LinesField } from './movement-fields.js';

describe('lines of text', () => {
  test('are one thing each; blank lines count for nothing and stay where they are typed', async () => {
    const set = jest.fn();
    const { user } = show(<LinesField label="How to" lines={['Sit.']} set={set} />);
    await user.type(screen.getByLabelText('How to'), '{Enter}{Enter}  Lift the heel. ');
    expect(set).toHaveBeenLastCalledWith(['Sit.', 'Lift the heel.']);
    expect(screen.getByLabelText('How to')).toHaveProperty('value', 'Sit.\n\n  Lift the heel. ');
  });
});

describe('some of a list', () => {
  test('come in the list’s order, whatever the order they were ticked in', async () => {
    const set = jest.fn();
    const { user } = show(<Checks label="Hands" options={['left', 'right', 'left-then-right']} chosen={['right']} set={set} />);
    await user.click(screen.getByRole('checkbox', { name: 'left then right' }));
    expect(set).toHaveBeenLastCalledWith(['right', 'left-then-right']);
    await user.click(screen.getByRole('checkbox', { name: 'left' }));
    expect(set).toHaveBeenLastCalledWith(['left', 'right']);
    await user.click(screen.getByRole('checkbox', { name: 'right' }));
    expect(set).toHaveBeenLastCalledWith([]);
  });
});

describe('cautions of a movement', () => {
  function Edited({ from, tell }: { from: MovementCaution[]; tell: (cautions: MovementCaution[]) => void }) {
    const [cautions, setCautions] = useState(from);
    const set = (next: MovementCaution[]) => {
      tell(next);
      setCautions(next);
    };
    return <CautionsEditor cautions={cautions} set={set} />;
  }
  const care: MovementCaution = { text: 'Slowly.', concerns: ['arthritis'], avoid: false };

  test('are written, aimed and hardened one by one', async () => {
    const tell = jest.fn<(cautions: MovementCaution[]) => void>();
    const { user } = show(<Edited from={[care]} tell={tell} />);
    await user.click(screen.getByRole('button', { name: 'Add a caution' }));
    await user.type(screen.getByLabelText('Caution 2'), 'Not today.');
    const boxes = screen.getAllByRole('checkbox', { name: 'They skip this movement' });
    await user.click(boxes[1]!);
    const concerns = screen.getAllByRole('group', { name: 'Applies to' });
    await user.click(within(concerns[1]!).getByRole('checkbox', { name: 'Hypermobility' }));
    expect(tell.mock.lastCall![0]).toEqual([care, { text: 'Not today.', concerns: ['hypermobility'], avoid: true }]);
    await user.click(screen.getByRole('button', { name: 'Remove caution 1' }));
    expect(tell.mock.lastCall![0]).toHaveLength(1);
    expect(screen.getByLabelText('Caution 1')).toHaveProperty('value', 'Not today.');
  });

  test('end where the movement’s limits do', () => {
    const many = Array.from({ length: MOVEMENT_LIMITS.lines }, () => care);
    show(<Edited from={many} tell={jest.fn()} />);
    expect(screen.getByRole('button', { name: 'Add a caution' })).toHaveProperty('disabled', true);
  });
});
