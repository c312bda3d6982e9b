// Programmes as the form makes them, for five people by their methods: weeks, their loads, the taper, and what the rules find in a fresh one.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/programmes.mjs [weekday of the event]
import {
  addDays,
  compose,
  EASY_PLAN,
  evaluateProgramme,
  hardWeekdays,
  apart,
  LIGHTER_PLAN,
  LOADING_PLAN,
  loadSolver,
  mondayOf,
  newProgramme,
  sentenceText,
  sessionLoad,
  spacingOf,
  weekLoads,
  weeksUntil,
} from '@clay-pot/core';
import { EASY_GOAL, shippedGoal, startingPointOf, TRAINING_GOALS } from '@clay-pot/core/library';
import { PEOPLE, questionFor } from './people.mjs';
import { sized } from './small.mjs';

const WEEKS = 8;
const WEEKDAYS = process.argv[2] ? [Number(process.argv[2])] : sized([6, 4, 2, 1], [6]);
const solver = await loadSolver();
const shifted = { teacher: 0, boulderer: 3, fencer: 6, carpenter: 1, regular: 4 };

function composed(question) {
  const startedAt = performance.now();
  const answer = compose(question, solver, { goOn: () => performance.now() - startedAt < sized(2500, 300) });
  return 'sequence' in answer ? answer.sequence : null;
}

let findingsInAll = 0;
for (const [who, person] of Object.entries(PEOPLE).slice(0, sized(Infinity, 1))) {
  const goal = TRAINING_GOALS[shifted[who] % TRAINING_GOALS.length];
  const point = startingPointOf(person.method);
  const asked = questionFor(person, goal, point.loadingMin);
  const loading = composed(asked);
  const light = { ...asked, isLight: true };
  const easy = point.easyMin === null ? null : composed({ ...light, goal: shippedGoal(EASY_GOAL), minutes: point.easyMin });
  if (!loading) {
    console.log(`${who}: nothing can be composed for ${goal.name}`);
    continue;
  }
  const { person: whose, lookup, method } = asked;
  const today = asked.person.today;
  const fromDay = addDays(mondayOf(today), 7);
  // Somebody who has not trained, and somebody who has for four weeks with half of it.
  const partOf = (sequence, share) =>
    Object.fromEntries(Object.entries(sessionLoad(whose, sequence, lookup).doses).map(([key, dose]) => [key, dose * share]));
  const trained = [3, 6, 10, 13, 17, 20, 24, 27].flatMap((back) => [
    { day: addDays(fromDay, -back), doses: partOf(loading, 0.8), hard: [] },
    ...(easy ? [{ day: addDays(fromDay, -back + 1), doses: partOf(easy, 2), hard: [] }] : []),
  ]);
  for (const stage of ['new', 'training']) {
    const past = stage === 'new' ? [] : trained;
    for (const weekday of WEEKDAYS) {
      const event = { day: addDays(fromDay, 7 * (WEEKS - 1) + weekday - 1), name: 'Show' };
      const wish = { ...point, fromDay, weeks: weeksUntil(fromDay, event.day), weekdays: [1, 2, 3, 4, 5, 6, 7], event };
      const spacing = spacingOf(loading, { person: whose, lookup, method });
      const isLighter = hardWeekdays(wish, spacing).length < apart(wish.weekdays, wish.loadingDays).length;
      const lighter = isLighter ? composed(light) : null;
      const sequences = new Map([
        [LOADING_PLAN, loading],
        ...(lighter ? [[LIGHTER_PLAN, lighter]] : []),
        ...(easy ? [[EASY_PLAN, easy]] : []),
      ]);
      const plans = [...sequences.keys()].map((id, index) => ({ id, sequenceId: `00000000-0000-4000-8000-00000000000${index}` }));
      const context = { sequences, lookup, shelf: asked.shelf, person: whose, method, athlete: asked.athlete, past, done: [], today };
      const started = performance.now();
      const programme = newProgramme({ head: { title: goal.name, goalId: goal.id, methodId: method.id, plans }, wish, ...context });
      const ms = performance.now() - started;
      const view = evaluateProgramme({ ...context, programme });
      findingsInAll += view.findings.length;
      const loads = weekLoads(view);
      const rows = view.weeks.map(({ kind, amountPercent, sessions }, index) => {
        const count = (id) => sessions.filter(({ planId }) => planId === id).length;
        return `${kind[0]}${amountPercent}/${Math.round(loads[index].percentOfPeak)}% ${count(LOADING_PLAN)}${lighter ? `+${count(LIGHTER_PLAN)}` : ''}${easy ? `+${count(EASY_PLAN)}e` : ''}`;
      });
      console.log(`${who} (${stage}) · ${goal.id} · ${method.id} · event on weekday ${weekday} · ${ms.toFixed(0)} ms`);
      console.log(`  ${rows.join(' | ')}`);
      for (const { rule, day, text } of view.findings) console.log(`  ! ${rule} ${day}: ${sentenceText(text)}`);
    }
  }
}
console.log(`${findingsInAll} findings in fresh programmes`);
