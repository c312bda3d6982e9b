import { v7 as uuid } from 'uuid';

const LONG = 2000;
/** Texts that break what was not thought through. */
const TEXTS = [
  '',
  ' ',
  '\u0000',
  '\ud800',
  'é',
  '𝒳'.repeat(30),
  '%00',
  '../../etc',
  "' OR 1=1 --",
  '=cmd|1',
  '<b onload=x>',
  '\u202e',
  '\r\nX: y',
  'a,'.repeat(LONG),
  'palm '.repeat(LONG),
  '1x'.repeat(LONG),
  '('.repeat(LONG),
  '9'.repeat(LONG),
  '3 sets of '.repeat(400),
  'NaN',
  '1e999',
  '2026-02-30',
  '0000-00-00',
  '9999-12-31',
  '2026-06-10T25:00:00.000Z',
  '-271821-04-20T00:00:00.000Z',
];
const NUMBERS = [0, -0, -1, 0.1, 1e-9, 1e9, 1e308, -1e308, 2 ** 53, 255, 65_536, 2_147_483_648];
const OTHERS = [null, true, false, [], {}, [null], [[[[[]]]]], { constructor: 1 }, { length: 5 }];

/** Anything at all. */
export const anything = (random) => random.one([...TEXTS, ...NUMBERS, ...OTHERS]);

const KINDS = {
  object({ required = [], properties = {} }, random, depth) {
    const needed = new Set(required);
    const fields = Object.entries(properties).filter(([name]) => needed.has(name) || random.chance(0.4));
    return Object.fromEntries(fields.map(([name, field]) => [name, fitting(field, random, depth)]));
  },
  array({ minItems = 0, maxItems = 3, items }, random, depth) {
    const length = Math.min(maxItems, minItems + random.whole(4));
    return Array.from({ length }, () => fitting(Array.isArray(items) ? items[0] : items, random, depth));
  },
  number: ({ minimum = 0, maximum = 1000 }, random) =>
    random.chance(0.3) ? random.one([minimum, maximum]) : Number((minimum + random.next() * (maximum - minimum)).toFixed(2)),
  integer: (schema, random) => Math.round(KINDS.number(schema, random)),
  boolean: (_schema, random) => random.chance(0.5),
};

/** A value that a schema allows, more or less. */
export function fitting(schema, random, depth = 0) {
  if (!schema || depth > 12) return null;
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return random.one(schema.enum);
  const choices = schema.anyOf ?? schema.oneOf;
  if (choices) return fitting(random.one(choices), random, depth + 1);
  return (KINDS[schema.type] ?? textFor)(schema, random, depth + 1);
}

function textFor({ format, minLength = 1, maxLength = 40 }, random) {
  if (format === 'uuid') return uuid();
  if (format === 'date') return random.one(['2026-06-01', '2026-11-30', '2025-01-31']);
  if (format === 'date-time') return '2026-06-01T10:00:00.000Z';
  if (format === 'time-of-day') return '18:30';
  if (format === 'email') return 'nobody@elsewhere.example';
  return random.chance(0.1) ? 'x'.repeat(maxLength) : 'word'.padEnd(minLength, 'd').slice(0, Math.max(minLength, maxLength));
}

/** The same with a few things changed, at any depth. */
export function mutated(value, random, times = 1 + random.whole(3)) {
  const body = structuredClone(value);
  for (let time = 0; time < times; time++) {
    const spots = [];
    collect(body, [], spots);
    if (spots.length === 0) return anything(random);
    change(random.one(spots), random);
  }
  return body;
}

function change({ parent, key }, random) {
  const kind = random.whole(5);
  if (kind === 0 && Array.isArray(parent)) parent.splice(key, 1);
  else if (kind === 0) Reflect.deleteProperty(parent, key);
  else if (kind === 1 && Array.isArray(parent)) parent.push(...Array.from({ length: random.one([1, 30, 300]) }, () => parent[key]));
  else if (kind === 2 && !Array.isArray(parent)) parent[random.one(['extra', 'id', 'kind', 'studioId', ''])] = anything(random);
  else if (kind === 3) parent[key] = random.chance(0.5) ? [parent[key]] : { value: parent[key] };
  else parent[key] = anything(random);
}

function collect(value, path, spots) {
  if (spots.length > 400 || value === null || typeof value !== 'object') return;
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value)) {
    spots.push({ parent: value, key });
    collect(value[key], [...path, key], spots);
  }
}
