import { working } from '../../vocabulary/constant.js';
import type { Chance } from './chance.js';

/** Somebody who does not exist: what no coach sees of them. */
export interface SimulatedAthlete {
  /** Maximum, times the norm. */
  readonly strength: number;
  /** What a week of good training adds to it at first, as a share. */
  readonly gainPerWeek: number;
  /** Days in which what a session did to the tissue goes back to about a third. */
  readonly recoveryDays: number;
  /** Tissue load of which a session may have one unit. */
  readonly tolerance: number;
  /** From this irritation on it flares up now and then: the hidden threshold. */
  readonly threshold: number;
  /** Chance that a planned session takes place. */
  readonly adherence: number;
  /** Points by which the own ratings lean, and by which they scatter. */
  readonly lean: number;
  readonly scatter: number;
}

const STRENGTH_SD = working(
  'Simulated: spread of strength',
  0.25,
  'log-sd',
  'what norms of grip and wrist moments spread by',
  [0.15, 0.35],
);
const GAIN = working(
  'Simulated: gain of strength',
  0.015,
  'of the maximum a week',
  'beginners gain 10–20 % in twelve weeks of isometric or heavy training',
  [0.008, 0.025],
);
const RECOVERY_DAYS = working(
  'Simulated: recovery of tissue',
  1.6,
  'days',
  'tendon and joint surface are calm again two or three days after hard loading',
  [1, 3],
);
const THRESHOLD_SD = working(
  'Simulated: spread of the threshold',
  0.3,
  'log-sd',
  'one in ten tolerates two thirds of what an average person does',
  [0.2, 0.4],
);
const ADHERENCE = working(
  'Simulated: sessions that take place',
  0.85,
  'of those planned',
  'supervised programmes of some weeks',
  [0.7, 0.95],
);

/** Somebody drawn by chance. */
export function drawnAthlete(chance: Chance): SimulatedAthlete {
  return {
    strength: chance.about(1, STRENGTH_SD.value),
    gainPerWeek: chance.about(GAIN.value, 0.5),
    recoveryDays: chance.about(RECOVERY_DAYS.value, 0.3),
    tolerance: chance.about(1, 0.25),
    threshold: chance.about(1, THRESHOLD_SD.value),
    adherence: Math.min(1, Math.max(0.4, ADHERENCE.value + 0.1 * chance.normal())),
    lean: 0.7 * chance.normal(),
    scatter: 0.8,
  };
}
