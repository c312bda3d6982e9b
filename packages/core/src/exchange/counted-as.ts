import type { Dose } from '../model/dose.js';
import { printDose } from '../model/dose-shorthand.js';
import type { Level, Movement } from '../model/movement.js';
import type { DosePhrases } from './phrases.js';

/** So many of what is held are sets; more are seconds. */
const FEW = 9;
/** A hold to failure ends here at the latest, seconds. */
const HELD_AT_MOST_S = 60;
/** Presses are short, seconds, and many. */
const [PRESS_S, PRESSES] = [15, 4];
/** A slow breath, seconds. */
const BREATH_S = 10;

type Can = (kind: Dose['work']['kind']) => boolean;
interface Counted {
  readonly count: number;
  readonly can: Can;
  readonly usual: Dose;
}

/** The amount of a level’s usual dose, as shorthand. */
export const usualAmount = (dose: Dose): string => /x(\S+)/.exec(printDose(dose))?.[1] ?? '1';

/** A dose in the way in which its movement is counted: breaths as seconds, a bare number of a hold as seconds or sets. @param dropped what has no place in it */
export function countedAs(phrases: DosePhrases, { work }: Movement, { dose: usual }: Level, dropped: string[]): DosePhrases {
  const can: Can = (kind) => work.includes(kind);
  const said = held(phrases);
  if (said.amount === 'max' && !can('repetitions') && can('time')) return { ...said, amount: `max${HELD_AT_MOST_S}s` };
  const found = /^(?<digits>\d+)(?:-(?<upTo>\d+))?(?<unit>s|br|m)?$/.exec(said.amount ?? '')?.groups;
  if (!found) return said;
  const { digits = '', upTo, unit = '' } = found;
  const each = (count: string) => AS[unit as keyof typeof AS](said, { count: Number(count), can, usual });
  const as = each(digits);
  if (as) return upTo === undefined ? as : { ...as, amount: rangeOf(as.amount, each(upTo)?.amount) };
  if (isKnown(unit, can)) return said;
  dropped.push(`${upTo === undefined ? digits : `${digits}–${upTo}`} ${unit}`);
  return { ...said, amount: null };
}

const isKnown = (unit: string, can: Can): boolean => (unit !== 's' || can('time')) && (unit !== 'm' || can('distance'));

/** A range of two amounts in one unit: “80s” and “120s” are “80-120s”. */
function rangeOf(from: string | null, to: string | null | undefined): string | null {
  const [, low = '', unit = ''] = /^(\d+)(\D*)$/.exec(from ?? '') ?? [];
  const [, high = ''] = /^(\d+)/.exec(to ?? '') ?? [];
  return low !== '' && Number(high) > Number(low) ? `${low}-${high}${unit}` : from;
}

/** A dose finger by finger: all of them where the movement goes through them anyway, so many times as many where one repetition has one. */
export function withFingers(said: DosePhrases, { positions, calls }: Movement, dropped: string[]): DosePhrases {
  const { fingers, amount } = said;
  if (fingers === null) return said;
  if (fingers !== 'each') {
    const known = fingers.filter((name) => positions?.some((position) => position.name === name));
    if (known.length === fingers.length)
      return { ...said, parts: [...said.parts, `only:${known.map((name) => name.replaceAll(' ', '-')).join('+')}`] };
    dropped.push(`${fingers.join(' and ')} only`);
    return said;
  }
  if (positions) return said;
  const perRound = calls?.each === 'one a repetition' ? calls.names.length : 1;
  const isCounted = amount !== null && /^\d+(?:-\d+)?$/.test(amount);
  if (perRound > 1 && isCounted) return { ...said, amount: amount.replaceAll(/\d+/g, (count) => String(perRound * Number(count))) };
  if (!calls) dropped.push('each finger');
  return said;
}

/** A hold without an amount is the amount. */
function held(phrases: DosePhrases): DosePhrases {
  const { amount, holdS } = phrases;
  return amount === null && holdS !== null ? { ...phrases, amount: `${Math.round(holdS)}s`, holdS: null } : phrases;
}

/** By unit, another way to count where the movement is not counted in it. */
const AS: Record<'' | 's' | 'br' | 'm', (said: DosePhrases, counted: Counted) => DosePhrases | null> = {
  '': (said, { count, can, usual }) => {
    const { holdS, sets } = said;
    if (can('repetitions')) return null;
    if (holdS !== null && can('time')) return { ...said, sets: (sets ?? 1) * count, amount: `${Math.round(holdS)}s`, holdS: null };
    if (can('distance')) return { ...said, amount: `${count}m` };
    if (sets === null && count <= FEW) return { ...said, sets: count, amount: usualAmount(usual) };
    return can('time') ? { ...said, amount: `${count}s` } : null;
  },
  s: (said, { count, can }) => {
    const { holdS, sets } = said;
    // “10 x 5 s” of what is pressed is ten presses, not ten sets.
    const isPressed = count <= PRESS_S && sets !== null && sets >= PRESSES && holdS === null;
    if (isPressed && can('repetitions')) return { ...said, sets: null, amount: String(sets), holdS: count };
    return !can('time') && can('breaths') ? { ...said, amount: `${Math.max(1, Math.round(count / BREATH_S))}br` } : null;
  },
  br: (said, { count, can }) => {
    if (can('breaths')) return null;
    return { ...said, amount: can('time') ? `${count * BREATH_S}s` : String(count) };
  },
  m: () => null,
};
