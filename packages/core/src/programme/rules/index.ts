import type { ProgrammeRule } from '../finding.js';
import { equipmentThere, onFreeDay } from './away.js';
import { beforeEvent, taperMissing } from './event.js';
import { growth } from './growth.js';
import { spacing } from './spacing.js';
import { longGap, notCleared, planRemoved } from './standing.js';
import { easierMissing, noRestDay, tooMany } from './week-shape.js';

/** Every rule that programmes are held against. */
export const PROGRAMME_RULES: readonly ProgrammeRule[] = [
  notCleared,
  planRemoved,
  spacing,
  beforeEvent,
  onFreeDay,
  equipmentThere,
  growth,
  tooMany,
  noRestDay,
  easierMissing,
  taperMissing,
  longGap,
];
