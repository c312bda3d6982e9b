import { addDays, capacityOf, type Hand, HANDS, must, personOf, RANGE_MOTIONS, rangeWithHelpDeg, type Reading } from '@clay-pot/core';
import type { AthleteInput } from '@clay-pot/contracts';
import type { DemoPerson } from './people.js';
import type { Build } from './builds.js';
import type { SeededRandom } from './random.js';

/** Measured at the start, half way and in the last days of the invented weeks. */
const WHEN = [1, 0.5, 0.07] as const;

/** Strength grows a little from test to test, and not for years. */
const MOST_GAINS = 5;

/** Shares of the weeks that were still to come at each test. */
function visitsOf({ course, retestedEveryWeeks }: DemoPerson): readonly number[] {
  if (retestedEveryWeeks === undefined) return WHEN;
  const count = Math.floor(course.weeks / retestedEveryWeeks);
  return Array.from({ length: count }, (_, index) => 1 - index / count);
}

/** Grip, wrist maxima and ranges on three dates, growing a little, with the scatter of repeated measuring. */
export function demoReadings(person: DemoPerson, today: string, random: SeededRandom): Reading[] {
  const { athlete, course, build } = person;
  if (!build) return [];
  const visits = visitsOf(person).flatMap((share, visit) => {
    const onDay = addDays(today, -Math.max(1, Math.round(course.weeks * 7 * share)));
    const gain = 1 + Math.min(visit, MOST_GAINS) * 0.03;
    return HANDS.flatMap((hand) => [
      ...maxima(athlete, build, course.weakSide, hand, gain, onDay, random),
      ...ranges(athlete, build, hand, visit, onDay, random),
    ]);
  });
  return build.isFollowed ? [...visits, ...between(visits, course.weeks, today, random)] : visits;
}

/** Of whom the extension was followed: readings of the weeks between first and last visit, on a line between them with the scatter of measuring. */
function between(visits: readonly Reading[], weeks: number, today: string, random: SeededRandom): Reading[] {
  const extension = visits.filter(({ kind, of }) => kind === 'passive range' && of === 'wrist extension');
  return HANDS.flatMap((hand) => {
    const mine = extension.filter((reading) => reading.hand === hand);
    const [first, last] = [must(mine[0], 'a first visit'), must(mine.at(-1), 'a last visit')];
    return [0.85, 0.7, 0.35, 0.2].map((share): Reading => {
      const onDay = addDays(today, -Math.round(weeks * 7 * share));
      const value = Math.round(last.value + (first.value - last.value) * share + random.between(-2, 2));
      return { ...last, value, onDay };
    });
  });
}

/** The trials that a reading is the mean of: two of a range, three of a force. */
export function trialsOf({ kind, value }: Reading, random: SeededRandom): number[] {
  if (kind !== 'maximum') {
    const off = random.between(0, 2);
    return [value - off, value + off];
  }
  const off = Math.round(value * 0.04 * random.next() * 10) / 10;
  return [value - off, value, value + off].map((trial) => Math.round(trial * 10) / 10);
}

function maxima(
  athlete: AthleteInput,
  build: Build,
  weakSide: Hand | undefined,
  hand: Hand,
  gain: number,
  onDay: string,
  random: SeededRandom,
): Reading[] {
  const { person } = personOf(athlete, [], onDay);
  const side = hand === weakSide ? 0.88 : 1;
  return (['grip', 'wrist flexion', 'wrist extension'] as const).map((action) => {
    const { value, unit } = capacityOf(person, action, hand);
    // Training moves what the wrist carries further than what the hand grips.
    const strength = action === 'grip' ? Math.sqrt(build.strength) : build.strength;
    const measured = value * strength * side * gain * (0.97 + random.next() * 0.06);
    const rounded = unit === 'N' ? Math.round(measured) : Math.round(measured * 10) / 10;
    return { kind: 'maximum', of: action, hand, value: rounded, onDay };
  });
}

function ranges(athlete: AthleteInput, build: Build, hand: Hand, visit: number, onDay: string, random: SeededRandom): Reading[] {
  const { person } = personOf(athlete, [], onDay);
  return RANGE_MOTIONS.flatMap((motion): Reading[] => {
    const extension = motion === 'wrist extension';
    const stiff = extension && hand === build.stiffSide ? -12 : 0;
    const own = (extension ? (build.extensionDeg ?? 0) : 0) + stiff + Math.min(visit, MOST_GAINS);
    const withHelp = Math.round(rangeWithHelpDeg(person, motion, hand).deg + own + random.between(-3, 3));
    const active = withHelp - random.between(8, 17);
    return [
      { kind: 'active range', of: motion, hand, value: active, onDay },
      { kind: 'passive range', of: motion, hand, value: withHelp, onDay },
    ];
  });
}
