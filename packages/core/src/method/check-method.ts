import type { Fault } from '../dose/check-dose.js';
import {
  type Method,
  METHOD_LIMITS,
  METHOD_NUMBERS,
  METHOD_TEXT,
  type MethodNumber,
  POLICIES,
  POLICY_NAMES,
} from './method.js';

/** Everything wrong with a method, by JSON pointer; empty when it can be worked by. */
export function checkMethod(method: Method): Fault[] {
  const faults: Fault[] = [];
  const { nameLength, reasonLength } = METHOD_TEXT;
  const text = (field: 'name' | 'reason', most: number) => {
    const { length } = method[field].trim();
    if (length < 1 || length > most) faults.push({ pointer: `/${field}`, message: `must have 1–${most} characters` });
  };
  text('name', nameLength);
  text('reason', reasonLength);
  for (const policy of POLICY_NAMES) {
    const options = Object.keys(POLICIES[policy].options);
    if (!options.includes(method[policy])) {
      faults.push({ pointer: `/${policy}`, message: `${POLICIES[policy].label} must be one of ${options.join(', ')}` });
    }
  }
  for (const field of Object.keys(METHOD_LIMITS) as MethodNumber[]) {
    const { min, max, unit } = METHOD_LIMITS[field];
    if (!(method[field] >= min && method[field] <= max)) {
      faults.push({ pointer: `/${field}`, message: `${METHOD_NUMBERS[field]}: within ${min}–${max} ${unit}` });
    }
  }
  return faults;
}
