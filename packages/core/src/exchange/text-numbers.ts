/** Numbers as words, as far as people write them so. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  sixty: 60,
};

const MINUTE_S = 60;

/** Seconds of “1:30”, or of a number with its unit; without one seconds are meant */
export function secondsOf(digits: string, unit = ''): number {
  const [minutes = '', seconds] = digits.split(':');
  if (seconds !== undefined) return MINUTE_S * Number(minutes) + Number(seconds);
  return Number(digits.replace(',', '.')) * (/^m/i.test(unit) ? MINUTE_S : 1);
}
