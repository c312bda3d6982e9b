import { AWAY_KINDS, type Programme, WEEK_KINDS } from '../model/programme.js';
import { dayWords } from '../vocabulary/days.js';
import { same } from '../vocabulary/same.js';

/** What one programme has otherwise than another, in words. */
export interface ProgrammeChange {
  readonly text: string;
}

/** The differences between two programmes: sessions moved, added and left out, weeks, days away, and the fields above them. */
export function compareProgrammes(before: Programme, after: Programme): ProgrammeChange[] {
  return [...head(before, after), ...sessions(before, after), ...weeks(before, after), ...rest(before, after)].map((text) => ({ text }));
}

function head(before: Programme, after: Programme): string[] {
  const texts: string[] = [];
  if (before.title !== after.title) texts.push(`Title: “${before.title}” becomes “${after.title}”`);
  if (before.fromDay !== after.fromDay) texts.push(`First day: ${dayWords(before.fromDay)} becomes ${dayWords(after.fromDay)}`);
  if (before.methodId !== after.methodId) texts.push('Different method');
  if (!same(before.event, after.event))
    texts.push(after.event ? `Event: ${after.event.name}, ${dayWords(after.event.day)}` : 'No event any more');
  return texts;
}

function sessions(before: Programme, after: Programme): string[] {
  const now = new Map(after.sessions.map((session) => [session.id, session]));
  const was = new Map(before.sessions.map((session) => [session.id, session]));
  return [
    ...before.sessions.flatMap((session) => {
      const to = now.get(session.id);
      if (!to) return [`Session of ${dayWords(session.day)} removed`];
      if (to.day !== session.day) return [`Session of ${dayWords(session.day)} moves to ${dayWords(to.day)}`];
      return to.planId === session.planId ? [] : [`Session of ${dayWords(session.day)} uses a different plan`];
    }),
    ...after.sessions.flatMap(({ id, day }) => (was.has(id) ? [] : [`New session on ${dayWords(day)}`])),
  ];
}

function weeks(before: Programme, after: Programme): string[] {
  const texts = after.weeks.flatMap((week, index) => {
    const was = before.weeks[index];
    return was && !same(was, week)
      ? [
          `Week ${index + 1}: ${WEEK_KINDS[was.kind].label} ${was.amountPercent} % becomes ${WEEK_KINDS[week.kind].label} ${week.amountPercent} %`,
        ]
      : [];
  });
  return before.weeks.length === after.weeks.length ? texts : [...texts, `${before.weeks.length} weeks become ${after.weeks.length}`];
}

function rest(before: Programme, after: Programme): string[] {
  const texts: string[] = [];
  for (const away of after.away ?? []) {
    if (!before.away?.some((each) => same(each, away)))
      texts.push(`${AWAY_KINDS[away.kind].label}, ${dayWords(away.fromDay)} to ${dayWords(away.toDay)}`);
  }
  for (const away of before.away ?? []) {
    if (!after.away?.some((each) => same(each, away)))
      texts.push(`No longer: ${AWAY_KINDS[away.kind].label}, ${dayWords(away.fromDay)} to ${dayWords(away.toDay)}`);
  }
  if (!same(before.plans, after.plans)) texts.push('Plans changed');
  const idsBefore = new Set(before.changes?.map(({ id }) => id));
  for (const { id, reason, fromDay } of after.changes ?? []) if (!idsBefore.has(id)) texts.push(`From ${dayWords(fromDay)}: ${reason}`);
  return texts;
}
