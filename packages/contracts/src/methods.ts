import { type Method, METHOD_LIMITS, METHOD_TEXT, POLICIES, type Policies, type PolicyName } from '@clay-pot/core';
import { IsBoolean, IsIn } from 'class-validator';
import { Text, Within } from './bounded.js';

/** One of the schools of a policy. */
function School(policy: PolicyName): PropertyDecorator {
  const options = Object.keys(POLICIES[policy].options);
  return IsIn(options, { message: `must be one of ${options.join(', ')}` });
}

/** A studio's own method. Its id is the address it is stored under. */
export class MethodInput implements Omit<Method, 'id'> {
  @Text(METHOD_TEXT.nameLength, 1)
  name: string;

  /** One line: what this way of working is for. */
  @Text(METHOD_TEXT.reasonLength, 1)
  reason: string;

  @School('elbow')
  elbow: Policies['elbow'];

  @School('pressure')
  pressure: Policies['pressure'];

  @School('dosing')
  dosing: Policies['dosing'];

  @School('sides')
  sides: Policies['sides'];

  @School('speed')
  speed: Policies['speed'];

  @School('stretching')
  stretching: Policies['stretching'];

  @School('effort')
  effort: Policies['effort'];

  @School('discomfort')
  discomfort: Policies['discomfort'];

  @School('frequency')
  frequency: Policies['frequency'];

  @School('variety')
  variety: Policies['variety'];

  @School('afterCare')
  afterCare: Policies['afterCare'];

  /** No block above this share of the own maximum. */
  @Within(METHOD_LIMITS.effortCeilingPercent)
  effortCeilingPercent: number;

  /** Work of the weaker side over the other's. */
  @Within(METHOD_LIMITS.weakerSideRatio)
  weakerSideRatio: number;

  /** Changes of body position in ten minutes. */
  @Within(METHOD_LIMITS.positionChanges)
  positionChanges: number;

  /** Hours between hard sessions of fingers or wrists. */
  @Within(METHOD_LIMITS.hardSpacingH)
  hardSpacingH: number;

  @Within(METHOD_LIMITS.weeklyGrowthPercent)
  weeklyGrowthPercent: number;

  /** Doses of opposite muscles may differ by this : 1. */
  @Within(METHOD_LIMITS.balanceBand)
  balanceBand: number;

  /** Whether every session visits the four ends of the two-joint muscles. */
  @IsBoolean({ message: 'must be true or false' })
  asksCorners: boolean;
}

export interface StoredMethod {
  id: string;
  etag: string;
  updatedAt: string;
  /** Taken off the list: kept for the sequences that go by it. */
  removed: boolean;
  method: Method;
}
