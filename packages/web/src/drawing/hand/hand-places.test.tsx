import { describe, expect, jest, test } from '@jest/globals';
import { type HandPlace, handSizeOf, placeOn, placePicture, REFERENCE_BODIES, shownAt, skeletonOf } from '@clay-pot/core';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { frameOf } from './frames.js';
import { HandPlaces } from './hand-places.js';

const skeleton = skeletonOf(handSizeOf(REFERENCE_BODIES['not stated']));
const BOX = { left: 10, top: 20, width: 270, height: 300 };

function places(chosen: readonly HandPlace[] = []) {
  const onPick = jest.fn<(place: HandPlace) => void>();
  render(<HandPlaces skeleton={skeleton} side="left" on="palm" chosen={chosen} onPick={onPick} label="Where it hurts" />);
  const group = screen.getByRole('group');
  group.getBoundingClientRect = () => ({ ...BOX, x: 10, y: 20, right: 280, bottom: 320, toJSON: () => BOX });
  return { group, onPick, user: userEvent.setup() };
}
/** Where a place is drawn in the box. */
function drawnAt(place: HandPlace) {
  const picture = placePicture(skeleton, 'palm');
  const [hand] = picture.at(picture.still, 'left').hands;
  const [x, y] = shownAt(frameOf(picture, 'left'), placeOn(skeleton, hand!, place));
  return { clientX: BOX.left + ((1 + x) / 2) * BOX.width, clientY: BOX.top + ((1 - y) / 2) * BOX.height };
}

describe('places to point at', () => {
  test('a tap near a place means it, one beside the hand means none', () => {
    const { group, onPick } = places();
    const { clientX, clientY } = drawnAt('ring-pip');
    fireEvent.click(group, { clientX: clientX + 5, clientY: clientY - 4, detail: 1 });
    expect(onPick).toHaveBeenCalledWith('ring-pip');
    fireEvent.click(group, { clientX: BOX.left + 1, clientY: BOX.top + 299, detail: 1 });
    expect(onPick).toHaveBeenCalledTimes(1);
  });

  test('one place is in the order of the keys; arrows go along a finger, and Enter means it', async () => {
    const { onPick, user } = places(['middle-tip']);
    await user.tab();
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Middle finger, tip');
    await user.keyboard('{ArrowDown}{ArrowDown}');
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Middle finger, middle joint');
    await user.keyboard('{Enter}');
    expect(onPick).toHaveBeenCalledWith('middle-pip');
    await user.tab();
    expect(document.body.contains(document.activeElement) && document.activeElement?.tagName).toBe('BODY');
  });

  test('what is chosen is told, and nothing else is', () => {
    places(['palm']);
    const pressed = screen.getAllByRole('button').filter((button) => button.getAttribute('aria-pressed') === 'true');
    expect(pressed.map((button) => button.getAttribute('aria-label'))).toEqual(['Palm']);
  });
});
