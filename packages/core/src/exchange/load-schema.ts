import { LOAD_FIELDS, LOAD_KINDS, type LoadField, type LoadKind } from '../model/load.js';
import { FACES, POSTURE_LIMITS, SUPPORTS, SURFACES } from '../model/posture.js';

const closed = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  properties,
});

function fieldSchema(field: LoadField): object {
  if ('limit' in field) {
    const { min: minimum, max: maximum, unit } = field.limit;
    return { type: 'number', minimum, maximum, description: `${field.label}, ${unit}` };
  }
  const word = { type: 'string', enum: field.words };
  return field.many ? { type: 'array', minItems: 1, items: word } : { ...word, description: field.label };
}

const CHAIN = ['leanDeg', 'hipAngleDeg', 'distanceM'];

/** A stance: every number of a posture, two of the three that tie the chain. */
function stanceSchema(): object {
  const numbers = Object.fromEntries(
    Object.entries(POSTURE_LIMITS).map(([name, { min, max, unit }]) => {
      const number = { type: 'number', minimum: min, maximum: max, description: unit };
      return [name, name === 'leanDeg' ? { oneOf: [number, { const: 'square' }] } : number];
    }),
  );
  const words = {
    support: { enum: SUPPORTS },
    shanks: { enum: ['resting', 'lifted'] },
    surface: { enum: SURFACES },
    face: { enum: FACES },
  };
  return closed({ ...words, ...numbers }, CHAIN);
}

function kindSchema(kind: LoadKind): object {
  if (kind === 'body') return closed({ kind: { const: kind }, stance: stanceSchema() });
  const fields = Object.entries(LOAD_FIELDS[kind]);
  const optional = fields.filter(([, field]) => field.optional).map(([name]) => name);
  const properties = Object.fromEntries(fields.map(([name, field]) => [name, fieldSchema(field)]));
  return closed({ kind: { const: kind }, ...properties }, optional);
}

/** JSON Schema of a level's load, from the very fields that it is checked by. */
export const LEVEL_LOAD_SCHEMA: { readonly [keyword: string]: unknown } = {
  description:
    'What a level asks for, as numbers that its demand is computed from. Units are in the names; the kind says which fields there are.',
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: LOAD_KINDS.map(kindSchema),
};
