import {
  type Climb,
  CLIMBS,
  type Contact,
  CONTACTS,
  type Corner,
  CORNERS,
  type Digit,
  DIGITS,
  CAUTION_IDS,
  type CautionId,
  type DosingKind,
  EQUIPMENT,
  type Equipment,
  type Facing,
  FACINGS,
  FAMILIES,
  type FamilyId,
  HAND_SHAPES,
  type HandShapeName,
  type Loading,
  LOADINGS,
  type Motion,
  MOTIONS,
  type Movement,
  MOVEMENT_LIMITS,
  MUSCLE_GROUPS,
  type MuscleGroup,
  type Posture,
  POSTURES,
  SIDE_PLANS,
  type SidePlan,
  USUAL_RANGES,
  WORK_KINDS,
  type WorkKind,
} from '@clay-pot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsObject,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent, MayBeNull, Text } from './bounded.js';
import { applyDecorators } from './decorate.js';
import { DoseInput, toDose } from './sequences.js';

const { levels, lines, lineLength, nameLength, textLength } = MOVEMENT_LIMITS;

/** One word of a list. */
const Word = (words: readonly string[]) => IsIn(words, { message: `must be one of ${words.join(', ')}` });

/** A list of different words of a list. */
function Words(words: readonly string[], min = 0): PropertyDecorator {
  return applyDecorators(
    IsArray({ message: 'must be a list' }),
    ArrayMinSize(min, { message: `must name at least ${min}` }),
    ArrayMaxSize(words.length),
    ArrayUnique({ message: 'must not name anything twice' }),
    IsIn(words, { each: true, message: `must be among ${words.join(', ')}` }),
  );
}

/** A few lines of text. */
function Lines(min: number): PropertyDecorator {
  return applyDecorators(
    IsArray({ message: 'must be a list of lines' }),
    ArrayMinSize(min, { message: `must have at least ${min === 1 ? 'one line' : `${min} lines`}` }),
    ArrayMaxSize(lines, { message: `must have at most ${lines} lines` }),
    IsString({ each: true, message: 'must be lines of text' }),
    MaxLength(lineLength, { each: true, message: `must have at most ${lineLength} characters a line` }),
  );
}

/** Two shapes that a hand goes between. */
function Shapes(): PropertyDecorator {
  return applyDecorators(
    MayBeAbsent(),
    IsArray({ message: 'must be two shapes' }),
    ArrayMinSize(2),
    ArrayMaxSize(2),
    IsIn(Object.keys(HAND_SHAPES), { each: true, message: `must be among ${Object.keys(HAND_SHAPES).join(', ')}` }),
  );
}

export class MovementCautionInput {
  @Text(textLength, 1)
  text: string;

  @Words(CAUTION_IDS)
  concerns: CautionId[];

  @IsBoolean({ message: 'must be true or false' })
  avoid: boolean;
}

export class LevelInput {
  @Text(60, 1)
  id: string;

  @Text(nameLength, 1)
  name: string;

  @Text(textLength)
  description: string;

  @Word(POSTURES)
  posture: Posture;

  @Word(CONTACTS)
  contact: Contact;

  @Word(FACINGS)
  facing: Facing;

  @Word(LOADINGS)
  loading: Loading;

  /** What the demand is computed from; see the schema LevelLoad. */
  @IsObject({ message: 'must be an object with a kind' })
  load: Record<string, unknown>;

  @Words(EQUIPMENT)
  equipment: Equipment[];

  @IsObject({ message: 'must be a dose' })
  @ValidateNested()
  @Type(() => DoseInput)
  dose: DoseInput;

  @Word(Object.keys(USUAL_RANGES))
  dosing: DosingKind;

  @Shapes()
  shapes?: [HandShapeName, HandShapeName];
}

/** A studio's own movement with its ladder. Its id is the address it is stored under. */
export class MovementInput {
  @Text(nameLength, 1)
  name: string;

  @Word(Object.keys(FAMILIES))
  family: FamilyId;

  @Text(textLength, 1)
  purpose: string;

  @Lines(1)
  howTo: string[];

  @Lines(0)
  cues: string[];

  @Lines(0)
  faults: string[];

  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(lines)
  @ValidateNested({ each: true })
  @Type(() => MovementCautionInput)
  cautions: MovementCautionInput[];

  @Words(MUSCLE_GROUPS)
  trains: MuscleGroup[];

  @Words(MOTIONS)
  motions: Motion[];

  @Words(CORNERS)
  corners: Corner[];

  /** Digits that do the work, where it is not all of them. */
  @MayBeAbsent()
  @Words(DIGITS, 1)
  digits?: Digit[];

  @Words(EQUIPMENT)
  equipment: Equipment[];

  /** What rises along the ladder; the server refuses one that does not rise. */
  @Word(Object.keys(CLIMBS))
  climbs: Climb;

  @Words(SIDE_PLANS, 1)
  sides: SidePlan[];

  @MayBeNull()
  @IsArray({ message: 'must be two names or null' })
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @MaxLength(40, { each: true })
  directions: [string, string] | null;

  @IsArray({ message: 'must be two names' })
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @MaxLength(40, { each: true })
  strokes: [string, string];

  @Words(WORK_KINDS, 1)
  work: WorkKind[];

  @Word(['hold', 'bout'])
  timed: 'hold' | 'bout';

  @Shapes()
  shapes?: [HandShapeName, HandShapeName];

  @IsArray({ message: 'must be a list of levels' })
  @ArrayMinSize(1, { message: 'must have at least one level' })
  @ArrayMaxSize(levels, { message: `must have at most ${levels} levels` })
  @ValidateNested({ each: true })
  @Type(() => LevelInput)
  ladder: LevelInput[];
}

/** The validated document as the core's type; `checkMovement` of the core says whether it can be used. */
export function toMovement(id: string, { directions, ...input }: MovementInput): Movement {
  const ladder = input.ladder.map((level) => ({ ...level, dose: toDose(level.dose) }));
  return { ...input, id, directions: directions ?? null, ladder } as unknown as Movement;
}

export interface StoredMovement {
  id: string;
  etag: string;
  updatedAt: string;
  /** Taken off the shelf: kept for the sequences and records that name it. */
  removed: boolean;
  movement: Movement;
}
