import type { ProgrammeRule } from '../finding.js';
import { equipmentThere, onFreeDay } from './away.js';
import { beforeEvent, taper } from './event.js';
import { growth } from './growth.js';
import { spacing } from './spacing.js';
import { blocked } from './blocked.js';
import { missedWeek } from './missed-week.js';
import { longGap, planRemoved } from './standing.js';
import { easierMissing, noRestDay, tooMany } from './week-shape.js';

/** Every rule that programmes are held against. */
export const PROGRAMME_RULES: readonly ProgrammeRule[] = [
  blocked,
  planRemoved,
  spacing,
  beforeEvent,
  onFreeDay,
  equipmentThere,
  missedWeek,
  growth,
  tooMany,
  noRestDay,
  easierMissing,
  taper,
  longGap,
];
