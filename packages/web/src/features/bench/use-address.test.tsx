import { describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { show } from '../../screen.fixture.js';
import { type AddressChange, useAddress } from './use-address.js';

function Page({ changes }: { changes: readonly AddressChange[] }) {
  const [params, set] = useAddress();
  return (
    <button type="button" onClick={() => changes.forEach(set)}>
      {params.toString()}
    </button>
  );
}
async function address(...changes: AddressChange[]): Promise<string> {
  const { user } = show(<Page changes={changes} />, '/bench?movement=a');
  await user.click(screen.getByRole('button'));
  return screen.getByRole('button').textContent;
}

describe('changes of an address', () => {
  test('that follow each other before the page is drawn all stand', async () => {
    expect(await address({ pins: 'one' }, { at: 'plank', movement: null })).toBe('pins=one&at=plank');
  });

  test('of the same part: the later one stands', async () => {
    expect(await address({ pins: 'one' }, { pins: 'two' }, { pins: null })).toBe('movement=a');
  });
});
