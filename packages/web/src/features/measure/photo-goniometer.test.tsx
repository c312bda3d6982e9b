import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { PhotoGoniometer } from './photo-goniometer.js';

const wren = someone();
const SIZE = { width: 4000, height: 3000 };

/** A browser with pictures: the document of the tests has none. */
beforeEach(() => {
  Object.assign(globalThis, {
    createImageBitmap: jest.fn(() => Promise.resolve({ ...SIZE, close: () => undefined })),
    ResizeObserver: class {
      observe = () => undefined;
      disconnect = () => undefined;
    },
  });
  Object.assign(URL, { createObjectURL: () => 'blob:a-hand', revokeObjectURL: jest.fn() });
  HTMLCanvasElement.prototype.getContext = (() => ({ drawImage: () => undefined })) as never;
  HTMLCanvasElement.prototype.toBlob = function toBlob(callback) {
    const jpeg = new Blob([new Uint8Array([0xff, 0xd8, 0xff])], { type: 'image/jpeg' });
    Object.assign(jpeg, { arrayBuffer: () => Promise.resolve(new Uint8Array([0xff, 0xd8, 0xff]).buffer) });
    callback(jpeg);
  };
});

function goniometer(motion: 'wrist extension' | 'pronation' = 'wrist extension') {
  const requests = answering({ [`PUT /api/athletes/${wren.id}/pictures/*`]: {} });
  const take = jest.fn<(deg: number) => void>();
  const shown = show(<PhotoGoniometer athlete={wren} motion={motion} hand="left" take={take} />);
  const load = (file: File) => shown.user.upload(screen.getByLabelText('Load a photo'), file);
  const photo = () => load(new File(['x'], 'hand.jpg', { type: 'image/jpeg' }));
  return { ...shown, asked: requests, take, load, photo };
}
const angle = () => screen.getByRole('status', { name: 'Angle' }).textContent;
const point = (number: number) => screen.getByRole('button', { name: new RegExp(`^Point ${number}`) });

describe('an angle off a picture', () => {
  test('is read with its error, moved by keys, and taken', async () => {
    const { user, photo, take } = goniometer();
    await photo();
    await waitFor(() => expect(angle()).toMatch(/^\d+° ± \d+°$/));
    const before = Number.parseInt(angle()!, 10);
    point(3).focus();
    await user.keyboard('{Shift>}{ArrowUp}{ArrowUp}{ArrowUp}{/Shift}');
    expect(Number.parseInt(angle()!, 10)).toBeGreaterThan(before);
    await user.click(screen.getByRole('button', { name: /^Use \d+°$/ }));
    expect(Math.round(take.mock.calls[0]![0])).toBe(Number.parseInt(angle()!, 10));
  });

  test('a larger step goes further; nothing leaves the picture', async () => {
    const { user, photo } = goniometer();
    await photo();
    await waitFor(() => expect(angle()).toMatch(/°/));
    const left = () => Number.parseFloat(point(1).style.left);
    const start = left();
    point(1).focus();
    await user.keyboard('{ArrowLeft}');
    const small = start - left();
    await user.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect((start - left()) / small).toBeGreaterThan(6);
    for (let press = 0; press < 40; press++) fireEvent.keyDown(point(1), { key: 'ArrowLeft', shiftKey: true });
    expect(left()).toBe(0);
  });

  test('of a turn the points are the pencil’s', async () => {
    const { photo } = goniometer('pronation');
    await photo();
    await waitFor(() => expect(point(3).getAttribute('aria-label')).toContain('the top of the pencil'));
  });

  test('a refused camera, one that is not there, and a page that may not ask are each said', async () => {
    const { user } = goniometer();
    const press = () => user.click(screen.getByRole('button', { name: 'Take a photo' }));
    await press();
    expect((await screen.findByRole('alert')).textContent).toContain('only works on a secure page');
    const cameraFails = (name: string) =>
      Object.defineProperty(navigator, 'mediaDevices', {
        configurable: true,
        value: { getUserMedia: () => Promise.reject(new DOMException('', name)) },
      });
    cameraFails('NotAllowedError');
    await press();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Camera access was refused'));
    cameraFails('NotFoundError');
    await press();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('This device has no camera'));
    Reflect.deleteProperty(navigator, 'mediaDevices');
  });

  test('what is no picture, too large, or cannot be opened is refused with the reason', async () => {
    const { load } = goniometer();
    const said = () => waitFor(() => screen.getByRole('alert').textContent);
    const huge = new File(['x'], 'huge.jpg', { type: 'image/jpeg' });
    Object.defineProperty(huge, 'size', { value: 90_000_000 });
    await load(huge);
    expect(await said()).toContain('huge.jpg is 90 MB');
    Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('decode')) });
    await load(new File(['x'], 'torn.jpg', { type: 'image/jpeg' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Couldn’t open torn.jpg'));
  });

  test('is kept with the studio only once somebody agreed, who is named', async () => {
    const { user, photo, asked: requests } = goniometer();
    await photo();
    await user.click(await screen.findByText('Save the photo'));
    const keep = screen.getByRole('button', { name: 'Save photo' });
    expect(keep).toHaveProperty('disabled', true);
    expect(requests).toEqual([]);
    await user.clear(screen.getByLabelText('Consent given by'));
    await user.click(screen.getByRole('checkbox', { name: /They agreed today/ }));
    await user.click(keep);
    expect(await screen.findByText('must not be empty')).toBeTruthy();
    expect(requests).toEqual([]);
    await user.type(screen.getByLabelText('Consent given by'), 'Wren, in person');
    await user.click(keep);
    await settle();
    expect(requests[0]!.body).toMatchObject({ of: 'wrist extension', hand: 'left', consentBy: 'Wren, in person' });
    expect((requests[0]!.body as { points: unknown[] }).points).toHaveLength(3);
    expect(screen.getByText(/^Saved in the studio/)).toBeTruthy();
  });

  test('another picture begins anew, and the first is let go', async () => {
    const { user, photo } = goniometer();
    await photo();
    await user.click(await screen.findByRole('button', { name: 'Another photo' }));
    expect(screen.getByText('Load a photo')).toBeTruthy();
    expect(URL.revokeObjectURL).toHaveBeenCalledWith('blob:a-hand');
  });
});
