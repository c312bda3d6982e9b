import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { working } from '../../vocabulary/constant.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { heightOf } from './gate-height.js';
import { DELOAD_WEEKS, type Habits, habitsOf, type HabitsQuestion, HURTS_FROM, LOOKED_AT, MORE, ROUNDING } from './gate-habits.js';
import { moreThan, type Step, stepAfter } from './level-standing.js';
import { nextSession } from './next-session.js';
import type { WorkDone } from './work-done.js';

/** What of somebody’s habits may be otherwise. */
export interface OtherHabits {
  /** Days between sessions, each times this, and no more than so many. */
  readonly gapTimes?: number;
  readonly longestGap?: number;
  /** Nothing flares up. */
  readonly withoutSetbacks?: boolean;
}

/** What courses are drawn from. */
export interface CourseQuestion extends HabitsQuestion {
  /** ISO day. */
  readonly today: string;
  /** The height at which a gate is passed. */
  readonly goal: number;
  readonly furthestDays: number;
}

const DRAWS = 200;
/** The same history always gives the same days. */
const SEED = 20261128;

const EFFORT_RISE = working(
  'Prediction: effort (RPE) by load',
  0.12,
  'points for each % of the maximum',
  'ratings of ten follow the share of the maximum, and time adds to it',
  [0.08, 0.15],
).value;
const EFFORT_SPREAD = 0.3;
const LEVEL_SCATTER = working(
  'Prediction: levels differ',
  0.8,
  'points',
  'one level can be harder for an athlete than the next',
  [0.4, 1.5],
).value;
const WEEKLY_EASE = working(
  'Prediction: effort (RPE) falls',
  0.08,
  'points a week',
  'one and a half percent of strength a week',
  [0, 0.15],
).value;
const DISCOMFORT_RISE = working(
  'Prediction: discomfort with each level',
  0.4,
  'points',
  'what loads more is felt a little more',
  [0, 1],
).value;
const SETBACKS = working(
  'Prediction: flare-ups',
  0.006,
  'of sessions',
  'one in five has one in twelve weeks of three sessions',
  [0.002, 0.015],
).value;
/** As much as so many sessions of somebody’s own say of it. */
const SETBACK_SESSIONS = 60;
const SETBACK_DAYS = 12;
const PERSON_SPREAD = 0.6;
const EASE_SPREAD = 0.08;

/** Days until a gate is passed in many courses of what comes; twice the days that are looked at where it is not within them. */
export function gateCourses(question: CourseQuestion, habits: OtherHabits = {}, mostLate = 1): number[] {
  const own = habitsOf(question);
  const random = xoroshiro128plus(SEED);
  const chance = chanceFrom(random);
  const onDay = daysFrom(question.today);
  const courses: number[] = [];
  let late = 0;
  // Where too many never come there in time, nothing is told of any.
  while (courses.length < DRAWS && late <= mostLate * DRAWS) {
    const days = new Course({ ...question, onDay }, own, habits, chance).days();
    if (days > question.furthestDays) late++;
    courses.push(days);
  }
  return courses;
}

/** Days after another, each written once. */
function daysFrom(today: string): (days: number) => string {
  const known: string[] = [];
  return (days) => (known[days] ??= addDays(today, days));
}

/** Where chance comes from. */
interface Chance {
  readonly even: () => number;
  readonly normal: () => number;
  readonly one: <T>(of: readonly T[]) => T;
  /** As many again, each drawn from all: what is not sure about few of them (Efron 1979). */
  readonly again: <T>(of: readonly T[]) => T[];
}

function chanceFrom(random: ReturnType<typeof xoroshiro128plus>): Chance {
  const even = () => uniformFloat64(random);
  const one = <T>(of: readonly T[]): T => itemAt(of, uniformInt(random, 0, of.length - 1));
  return {
    even,
    normal: () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even()),
    one,
    again: (of) => of.map(() => one(of)),
  };
}

/** What of a person is drawn once for a course: nobody knows it better than the sessions tell. */
interface DrawnHabits {
  readonly gaps: readonly number[];
  readonly outcomes: readonly WorkDone[];
  readonly shortDays: readonly boolean[];
  /** How often a step is taken that the rules have, and one that they have not. */
  readonly follows: number;
  readonly hurries: number;
  readonly flareRate: number;
  readonly rise: number;
  readonly effortRise: number;
  readonly discomfortRise: number;
  readonly easeWeekly: number;
  readonly deloads: boolean;
  /** Where in the cycle of deloads they are, days. */
  readonly phase: number;
}

function drawnHabits(question: CourseQuestion, own: Habits, { withoutSetbacks }: OtherHabits, chance: Chance): DrawnHabits {
  const { even, normal, again, one } = chance;
  const shareOf = (events: readonly boolean[]) => {
    const drawn = again(events);
    return drawn.filter(Boolean).length / drawn.length;
  };
  const flares = (own.flares + SETBACKS * SETBACK_SESSIONS) / (own.sessions + SETBACK_SESSIONS);
  return {
    gaps: again(own.gaps),
    shortDays: again(own.shortDays),
    outcomes: again(own.outcomes.length > 0 ? own.outcomes : question.history.slice(-1)),
    follows: shareOf([...own.advised, true, true]),
    hurries: shareOf([...own.unadvised, false, false]),
    flareRate: withoutSetbacks ? 0 : flares * Math.exp(PERSON_SPREAD * normal()),
    rise: Math.max(0, own.rise.mean + own.rise.sd * normal()),
    effortRise: Math.max(0, EFFORT_RISE * (1 + EFFORT_SPREAD * normal())),
    discomfortRise: Math.max(0, DISCOMFORT_RISE + DISCOMFORT_SPREAD * normal()),
    easeWeekly: Math.max(0, WEEKLY_EASE + EASE_SPREAD * normal()),
    deloads: even() < own.deloadShare,
    phase: WEEK * one(DELOAD_PHASES),
  };
}
const DISCOMFORT_SPREAD = 0.4;
const WEEK = 7;
const DELOAD_PHASES: readonly number[] = Array.from({ length: DELOAD_WEEKS }, (_, week) => week);

/** One course of what comes: sessions as somebody’s own were, at steps as the rules have them and somebody takes them. */
class Course {
  private readonly person: DrawnHabits;
  /** How much harder each level is for them than the one that they are at, points. */
  private readonly offsets = new Map<string, number>();
  private history: readonly WorkDone[];
  private day = 0;
  private flareUntil = -1;

  constructor(
    private readonly question: CourseQuestion & { readonly onDay: (days: number) => string },
    private readonly own: Habits,
    private readonly habits: OtherHabits,
    private readonly chance: Chance,
  ) {
    this.person = drawnHabits(question, own, habits, chance);
    this.history = question.history.slice(-LOOKED_AT);
    this.offsets.set(lastOf(this.history).levelId, 0);
  }

  /** Days until the goal is reached; twice the furthest where it is not within them. */
  days(): number {
    const { today, goal, furthestDays, movement, method } = this.question;
    const sinceLast = Math.max(0, daysBetween(lastOf(this.history).onDay, today));
    for (let number = 0; ; number++) {
      const { gapTimes = 1, longestGap = Infinity } = this.habits;
      const gap = Math.min(longestGap, this.chance.one(this.person.gaps) * gapTimes);
      this.day += number === 0 ? Math.max(0, gap - sinceLast) : Math.max(1, gap);
      if (this.day > furthestDays) return 2 * furthestDays;
      const done = this.session(number, this.isLess());
      if (done.isWhole && heightOf(movement, done, method) >= goal - ROUNDING) return this.day;
      this.history = [...this.history.slice(1 - LOOKED_AT), done];
    }
  }

  /** In an easier week, and on a day on which less goes, nothing is more than it was. */
  private isLess(): boolean {
    const { shortDays, deloads, phase } = this.person;
    return this.chance.one(shortDays) || (deloads && Math.floor((this.day + phase) / WEEK) % DELOAD_WEEKS === 0);
  }

  /** A session as it goes: its dose by the rules, its ratings like one of somebody’s own, harder as what it asks is more. */
  private session(number: number, isLess: boolean): WorkDone {
    const { movement, method, onDay: dayAfter } = this.question;
    const { person, chance } = this;
    const onDay = dayAfter(Math.round(this.day));
    const due = stepAfter(this.history, { movement, method, today: onDay, isBarred: false });
    const step = isLess && MORE.includes(due.kind) ? HOLD : this.taken(due);
    const next = nextSession(lastOf(this.history), step, movement);
    const like = chance.one(person.outcomes);
    const height = heightOf(movement, next, method);
    const more = height - (this.own.heights.get(like) ?? height);
    const effort = next.effortPercent ?? 0;
    const harder = person.rise * more + person.effortRise * (effort - (like.effortPercent ?? effort)) + this.offsetOf(next.levelId);
    const exertion = (like.exertion ?? USUAL_EXERTION) + harder - (person.easeWeekly * this.day) / WEEK;
    if (this.day > this.flareUntil && chance.even() < person.flareRate) this.flareUntil = this.day + SETBACK_DAYS;
    const isSore = this.day <= this.flareUntil;
    const felt = like.discomfort === null ? null : Math.round(like.discomfort + person.discomfortRise * Math.max(0, more));
    // Written out: some ten thousand of them are made, and copying copies takes as long as all the rest.
    return {
      sessionId: `${number}`,
      endedAt: `${onDay}T12:00:00.000Z`,
      onDay,
      movementId: next.movementId,
      levelId: next.levelId,
      hand: next.hand,
      unit: next.unit,
      sets: next.sets,
      amount: next.amount,
      effortPercent: next.effortPercent,
      isWhole: like.isWhole && exertion < TOO_HARD,
      exertion: Math.min(TOO_HARD, Math.max(0, Math.round(exertion))),
      discomfort: isSore ? HURTS_FROM : felt,
      morning: isSore ? 'step-back' : like.morning,
      formFaults: like.formFaults,
    };
  }

  private offsetOf(levelId: string): number {
    const known = this.offsets.get(levelId);
    if (known !== undefined) return known;
    const offset = LEVEL_SCATTER * this.chance.normal();
    this.offsets.set(levelId, offset);
    return offset;
  }

  /** What somebody makes of a step: not every one is taken, and some are taken unasked. */
  private taken(step: Step): Step {
    const { even } = this.chance;
    if (MORE.includes(step.kind)) return even() < this.person.follows ? this.sized(step) : HOLD;
    if (step.kind !== 'hold' || even() >= this.person.hurries) return step;
    return this.sized(moreThan(lastOf(this.history), this.question) ?? step);
  }

  /** Amounts grow by what they grew by before, as well as by what the rules have them grow by; what was reached before a setback comes back by the rules. */
  private sized(step: Step): Step {
    const { movement, method } = this.question;
    if (heightOf(movement, lastOf(this.history), method) < this.own.reached - ROUNDING) return step;
    const by = step.kind === 'amount' ? this.chance.one([...this.own.growth, null]) : null;
    return by === null ? step : { kind: 'amount', to: lastOf(this.history).amount + by };
  }
}
const HOLD: Step = { kind: 'hold' };
const TOO_HARD = 10;
const USUAL_EXERTION = 5;
