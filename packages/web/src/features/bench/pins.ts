import type { Pin } from './compare.js';
import { readSubject, writeSubject } from '../../domain/movement/subject.js';

/** So many others fit beside the subject of the bench. */
export const MOST_PINS = 3;

/** Reads the pinned positions out of an address; what cannot be read is left out. */
export function readPins(text: string | null): Pin[] {
  if (!text) return [];
  try {
    const list = JSON.parse(text) as { name: unknown; at: string }[];
    return list.slice(0, MOST_PINS).flatMap(({ name, at }) => {
      const subject = readSubject(at);
      return subject ? [{ name: String(name).slice(0, 60), subject }] : [];
    });
  } catch {
    return [];
  }
}

/** Pins as they stand in an address. */
export const writePins = (pins: readonly Pin[]) =>
  pins.length ? JSON.stringify(pins.map(({ name, subject }) => ({ name, at: writeSubject(subject) }))) : null;

/** Different names for what is pinned twice. */
export function pinName({ name }: Pin, pins: readonly Pin[]): string {
  return pins.some((pin) => pin.name === name) ? `${name} ${pins.length + 1}` : name;
}
