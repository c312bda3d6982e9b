import { dequal } from 'dequal/lite';

/** Whether two documents say the same, whatever the order of their fields. @example same({ a: 1, b: [2] }, { b: [2], a: 1 }) → true */
export const same = <T>(a: T, b: T): boolean => dequal(a, b);
