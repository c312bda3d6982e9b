import { addDays, type Health, type Intake, newIntake, screen, screenedOn, type Verdict } from '@clay-pot/core';
import type { DemoPerson } from './people.js';

type IntakeAnswers = Health & Pick<Intake, 'goals' | 'handHours' | 'trainingYears' | 'minutes' | 'daysPerWeek'>;

const intakeOf = (goals: Intake['goals'], handHours: number, trainingYears: number, minutes: number, daysPerWeek: number) => ({
  goals,
  handHours,
  trainingYears,
  minutes,
  daysPerWeek,
  // All of it was asked: nothing more applied.
  signs: [],
  symptoms: [],
  history: [],
});

/** Stands for a day of the invented past, some weeks before the check-in. */
const SPRAINED = 'SPRAINED';
const SPRAINED_DAYS_BEFORE = 70;

/** The check-in at the start of the invented weeks. Whoever is missing had none, which the screens say. */
const TOLD: Record<string, IntakeAnswers> = {
  'Ines Okafor-Lund': { ...intakeOf(['floor-weight'], 3, 12, 25, 3), symptoms: [{ place: 'heel', hand: 'left', kind: 'ache', score: 2 }] },
  'Tobi Marchetti': intakeOf(['floor-weight'], 3, 9, 25, 3),
  'Saskia Brandvold': { ...intakeOf(['grip'], 4, 8, 20, 2), history: [{ condition: 'skin-splits', hand: 'right' }] },
  'Ruan Pellew': intakeOf(['grip', 'swing'], 2, 10, 20, 3),
  'Mirela Danko': { ...intakeOf(['return', 'grip'], 2, 15, 20, 4), history: [{ condition: 'sprain', hand: 'right', since: SPRAINED }] },
  'Anneke Vos': { ...intakeOf(['floor-weight'], 3, 11, 20, 4), history: [{ condition: 'hypermobility' }] },
  'Callum Reyes-Whitlock': intakeOf(['floor-weight', 'grip'], 8, 6, 25, 3),
  'Béatrice Lemoine': intakeOf(['swing', 'grip'], 3, 13, 20, 2),
  'Hana Kobler': {
    ...intakeOf(['ease'], 7, 0, 10, 5),
    signs: [{ sign: 'night-tingling', hand: 'both' }],
    symptoms: [
      { place: 'thumb-tip', hand: 'right', kind: 'tingling', score: 4 },
      { place: 'index-tip', hand: 'right', kind: 'tingling', score: 4 },
      { place: 'middle-tip', hand: 'right', kind: 'tingling', score: 3 },
    ],
    discomfort: [{ hand: 'right', atNight: 5 }],
  },
  'Wilf Tarrant': {
    ...intakeOf(['ease'], 6, 3, 15, 3),
    history: [{ condition: 'arthritis', hand: 'both' }, { condition: 'blood-pressure' }],
    symptoms: [
      { place: 'thumb-base', hand: 'left', kind: 'ache', score: 2 },
      { place: 'thumb-base', hand: 'right', kind: 'ache', score: 2 },
    ],
  },
};

/** The answers with which somebody's weeks began; null for who was never asked. */
export function demoIntake(
  { athlete, course, askedDaysAgo }: DemoPerson,
  today: string,
  id: string,
): { id: string; onDay: string; answers: Intake; verdict: Verdict } | null {
  const told = TOLD[athlete.name] ?? (askedDaysAgo === undefined ? null : intakeOf(['ease'], 4, 5, 15, 3));
  if (!told) return null;
  const onDay = addDays(today, -(askedDaysAgo ?? course.weeks * 7));
  const lastSession: IntakeAnswers = {
    ...told,
    ...(told.history && {
      history: told.history.map((entry) => (entry.since === SPRAINED ? { ...entry, since: addDays(onDay, -SPRAINED_DAYS_BEFORE) } : entry)),
    }),
  };
  const answers: Intake = { ...newIntake(athlete, null, onDay), ...lastSession };
  return { id, onDay, answers, verdict: screen(lastSession, screenedOn(athlete, onDay, id)).verdict };
}
