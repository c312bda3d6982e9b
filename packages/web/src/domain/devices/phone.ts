import type { Device } from './device.js';

/** Nothing felt within so long: there is no sensor, or the page may not read it. */
const WAITS_MS = 2500;

/** Some browsers ask whoever holds the phone first. */
interface Asks {
  readonly requestPermission: () => Promise<'granted' | 'denied'>;
}
const asks = (sensor: object): sensor is Asks => 'requestPermission' in sensor;

/** Whether this device can tell how it lies at all. */
export const hasOrientation = (): boolean => 'DeviceOrientationEvent' in window;

/** The phone itself: how it lies, front to back and side to side, by its own orientation sensor. */
export const phoneDevice = (): Device => ({
  name: 'This phone’s sensor',
  connect: ({ samples, ended }) => {
    const now = { isOver: false };
    let heard = false;
    const end = (trouble: string | null) => {
      if (now.isOver) return;
      now.isOver = true;
      window.removeEventListener('deviceorientation', feel);
      clearTimeout(timer);
      ended(trouble);
    };
    const feel = ({ beta, gamma, timeStamp }: DeviceOrientationEvent) => {
      if (beta === null || gamma === null) return;
      heard = true;
      const tS = timeStamp / 1000;
      samples([
        { tS, channel: 'beta', value: beta, unit: '°' },
        { tS, channel: 'gamma', value: gamma, unit: '°' },
      ]);
    };
    const timer = setTimeout(() => {
      if (!heard) end('This device has no motion sensor. Use a phone, or the recorded one.');
    }, WAITS_MS);
    void (async () => {
      // Asked for by the press that began the trial.
      const sensor = window.DeviceOrientationEvent;
      const answer = asks(sensor) ? await sensor.requestPermission() : 'granted';
      if (answer === 'denied') end('The browser blocks the motion sensor for this page. Allow it in the page’s settings.');
      else if (!now.isOver) window.addEventListener('deviceorientation', feel);
    })().catch(() => end('Couldn’t ask for the motion sensor.'));
    return () => {
      now.isOver = true;
      clearTimeout(timer);
      window.removeEventListener('deviceorientation', feel);
    };
  },
});
