import { readable } from '../../domain/measuring/units.js';
import {
  capital,
  type Hand,
  HANDS,
  type Moment,
  must,
  protocolName,
  protocolOf,
  readingUnit,
  type SessionTest,
  whyNotMeasured,
} from '@clay-pot/core';
import { readingText, shownUnit, storedValue } from '../../domain/measuring/units.js';
import type { Run } from '../../store/run.js';
import { keepTest, skipTests, testsOf, useSessionTests } from '../../store/session-tests.js';
import { useValueLook, ValueEntry } from '../../domain/measuring/value-entry.js';
import { Button } from '../../ui/button.js';
import { SideMark } from '../../ui/marks.js';
import { useTitle } from '../../ui/page.js';

/** Measured before the first block, or again after the last: one number a hand, and why where it may not be measured. */
export function TestScreen({ run, moment }: { run: Run; moment: Moment }) {
  const tests = testsAt(moment, run);
  const title = moment === 'before' ? 'Test first' : 'Test again';
  useTitle(title);
  // Each number that is taken renders the page again.
  useSessionTests((state) => state.tested);
  const results = testsOf(run.id)[moment];
  const left = tests.flatMap((id) => handsAt(moment, id, run).filter((hand) => results?.[`${id} ${hand}`] === undefined));
  return (
    <main className="mx-auto grid w-full max-w-2xl content-start gap-5 px-4 py-8">
      <div>
        <h1 className="text-title">{title}</h1>
        <p className="text-ink-soft">
          {run.athleteName}, {run.sequence.title}.{' '}
          {moment === 'before' ? 'The same test is repeated after the work.' : 'As before the work: same place, same hand first.'}
        </p>
      </div>
      {tests.map((id) => (
        <Test key={id} run={run} id={id} moment={moment} />
      ))}
      <div className="flex flex-wrap gap-2">
        <Button kind="primary" className="px-6 py-3 text-lead" disabled={left.length > 0} onClick={() => skipTests(run.id, moment)}>
          {moment === 'before' ? 'Start session' : 'Continue'}
        </Button>
        {left.length > 0 && (
          <Button className="px-4 py-3" onClick={() => skipTests(run.id, moment)}>
            Skip the rest
          </Button>
        )}
      </div>
    </main>
  );
}

const whyNot = (id: SessionTest, { cautions }: Run, hand: Hand) => whyNotMeasured(must(protocolOf(id), `a protocol ${id}`), cautions, hand);
/** Hands to test: afterwards those that were tested before. */
const handsAt = (moment: Moment, id: SessionTest, run: Run) =>
  HANDS.filter(
    (hand) => whyNot(id, run, hand) === null && (moment === 'before' || testsOf(run.id).before?.[`${id} ${hand}`] !== undefined),
  );
const testsAt = (moment: Moment, run: Run) =>
  (run.sequence.tests ?? []).filter((id) => moment === 'before' || handsAt('after', id, run).length > 0);

function Test({ run, id, moment }: { run: Run; id: SessionTest; moment: Moment }) {
  const protocol = must(protocolOf(id), `a protocol ${id}`);
  return (
    <section aria-label={protocolName(protocol)} className="border-t-2 border-ink pt-2">
      <h2 className="text-lead">{protocolName(protocol)}</h2>
      <ol className="list-decimal pl-5 text-small text-ink-soft">
        {protocol.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <ul className="mt-2">
        {HANDS.map((hand) => (
          <li key={hand} className="flex min-h-14 flex-wrap items-center gap-3 border-b border-line">
            <SideMark side={hand} />
            <HandTest run={run} id={id} moment={moment} hand={hand} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function HandTest({ run, id, moment, hand }: { run: Run; id: SessionTest; moment: Moment; hand: Hand }) {
  const protocol = must(protocolOf(id), `a protocol ${id}`);
  const unit = must(readingUnit(protocol.kind, protocol.of), `a unit of ${id}`);
  const tests = testsOf(run.id);
  const barred = whyNot(id, run, hand);
  const value = tests[moment]?.[`${id} ${hand}`];
  const before = moment === 'after' ? tests.before?.[`${id} ${hand}`] : undefined;
  const look = useValueLook(protocol, unit, run.athleteId, (kept) => keepTest(run, { id, moment, hand, value: kept }));
  if (barred) return <span className="flex-1 text-small text-iron">{readable(barred)}</span>;
  if (moment === 'after' && before === undefined)
    return <span className="flex-1 text-small text-ink-soft">not tested before the work</span>;
  if (value !== undefined) return <b className="text-lead figures">{readingText(unit, value)}</b>;
  return (
    <ValueEntry
      look={look}
      label={`${capital(protocol.of)}, ${hand}, ${shownUnit(unit)}`}
      typedUnit={shownUnit(unit)}
      take={(typed) => look.look(storedValue(unit, typed))}
    >
      {before !== undefined && <span className="text-small text-ink-soft">before {readingText(unit, before)}</span>}
    </ValueEntry>
  );
}
