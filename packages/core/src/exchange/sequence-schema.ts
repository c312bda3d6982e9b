import { DOSE_LIMITS } from '../model/dose.js';
import { SEQUENCE_LIMITS } from '../model/sequence.js';
import { SIDE_PLANS } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { PHASES } from '../vocabulary/phases.js';
import { DIRECTION_PLANS } from '../vocabulary/work.js';

/** Identifies the format and its version inside a file. */
export const SEQUENCE_FORMAT = 'clay-pot/sequence';
export const SEQUENCE_FORMAT_VERSION = 2;
/** Version 1 had no method and no mutes; its files are read as they are. */
export const READABLE_VERSIONS = [1, 2] as const;

const number = ({ min: minimum, max: maximum, step: multipleOf }: Limit) => ({
  type: Number.isInteger(multipleOf) ? 'integer' : 'number',
  minimum,
  maximum,
  ...(!Number.isInteger(multipleOf) && { multipleOf }),
});
const text = (maxLength: number, minLength = 0) => ({ type: 'string', minLength, maxLength });
const closed = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  properties,
});

const work = {
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: [
    closed({ kind: { const: 'repetitions' }, count: number(DOSE_LIMITS.repetitions) }),
    closed({ kind: { const: 'time' }, seconds: number(DOSE_LIMITS.seconds) }),
    closed({ kind: { const: 'breaths' }, count: number(DOSE_LIMITS.breaths) }),
  ],
};

const dose = closed(
  {
    sets: number(DOSE_LIMITS.sets),
    work,
    sides: { enum: SIDE_PLANS },
    directions: { enum: DIRECTION_PLANS },
    effortPercent: number(DOSE_LIMITS.effortPercent),
    holdS: number(DOSE_LIMITS.holdS),
    tempo: closed({ outS: number(DOSE_LIMITS.tempoS), backS: number(DOSE_LIMITS.tempoS) }),
    restS: number(DOSE_LIMITS.restS),
  },
  ['effortPercent', 'holdS', 'tempo'],
);

const block = closed(
  {
    id: text(64, 1),
    phase: { enum: PHASES },
    movementId: text(100, 1),
    levelId: text(100, 1),
    dose,
    note: text(SEQUENCE_LIMITS.noteLength),
  },
  ['note'],
);

const { pacingS, breathS } = SEQUENCE_LIMITS;

/** The published schema of a sequence file (JSON Schema draft-07). Files that it accepts can be imported. */
export const SEQUENCE_SCHEMA = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'urn:clay-pot:sequence:2',
  title: 'Clay Pot sequence, version 2',
  description:
    'A sequence of movements with levels and doses. Seconds and minutes are in the names; effort is in percent.',
  ...closed(
    {
      format: { const: SEQUENCE_FORMAT },
      version: { enum: READABLE_VERSIONS },
      title: text(SEQUENCE_LIMITS.titleLength, 1),
      purpose: text(SEQUENCE_LIMITS.purposeLength),
      budgetMin: number(SEQUENCE_LIMITS.budgetMin),
      pacing: closed({
        announceS: number(pacingS),
        changeSidesS: number(pacingS),
        breathInS: number(breathS),
        breathOutS: number(breathS),
      }),
      blocks: { type: 'array', maxItems: SEQUENCE_LIMITS.blocks, items: block },
      methodId: text(64, 1),
      mutes: {
        type: 'array',
        maxItems: SEQUENCE_LIMITS.mutes,
        items: closed({ check: text(64, 1), reason: text(SEQUENCE_LIMITS.muteReasonLength, 1) }),
      },
    },
    ['methodId', 'mutes'],
  ),
} as const;
