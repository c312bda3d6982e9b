import { readable } from '../../domain/measuring/units.js';
import { memo } from 'react';
import {
  type Advice,
  clock,
  type Finding,
  type Pacing,
  PHASE_NAMES,
  PHASES,
  readNumber,
  type Sequence,
  SEQUENCE_LIMITS,
  summarise,
} from '@clay-pot/core';
import { Term } from '../../domain/terms/term.js';
import { changeSequence } from '../../store/editor.js';
import { SideMark } from '../../ui/marks.js';
import { Checks } from './checks-panel.js';
import { Drawn } from './drawn.js';
import { MethodChoice } from './method-choice.js';
import { TestsChoice } from './tests-choice.js';
import type { SequenceView } from '../../domain/sequence/session-view.js';
import { Disclosure } from '../../ui/disclosure.js';

interface Props {
  document: Sequence;
  seen: SequenceView;
  findings: readonly Finding[];
  advices: readonly Advice[];
}

/** Minutes against the budget, the method, what the athlete's cautions say, the sequence drawn and added up, and the checks. */
export const SummaryPanel = memo(function SummaryPanel({ document, seen, findings, advices }: Props) {
  const { totalMs, bonusMs, byPhase, workByHand, workMs } = summarise(seen.view.timeline);
  const budgetMs = document.budgetMin * 60_000;
  const over = totalMs - budgetMs;
  return (
    <div className="grid content-start gap-4">
      <section aria-label="Length">
        <p className="flex items-baseline gap-2">
          <span className={`display text-[2.75rem] leading-none font-extrabold ${over > 0 ? 'text-iron' : ''}`} data-testid="total">
            {clock(totalMs)}
          </span>
          <span className="whitespace-nowrap text-ink-soft">
            of{' '}
            <input
              type="number"
              aria-label="Time available, min"
              className="w-12 border-b border-ink/60 bg-transparent text-center font-semibold text-ink figures"
              min={SEQUENCE_LIMITS.budgetMin.min}
              max={SEQUENCE_LIMITS.budgetMin.max}
              key={document.budgetMin}
              defaultValue={document.budgetMin}
              onBlur={(event) => commitNumber(event.target, SEQUENCE_LIMITS.budgetMin, (budgetMin) => changeSequence({ budgetMin }))}
            />{' '}
            min
          </span>
        </p>
        <p className={`text-small ${over > 0 ? 'font-semibold text-iron' : 'text-ink-soft'}`}>
          <Term term="length">{over > 0 ? `${clock(over)} too long` : `${clock(-over)} left`}</Term>; {clock(workMs)} of it work
          {bonusMs > 0 && `; ${clock(bonusMs)} bonus`}
        </p>
      </section>
      {advices.length > 0 && (
        <section aria-label="Restrictions" className="grid gap-2">
          {advices.map(({ text, forbids }) => (
            <p
              key={readable(text)}
              className={`border-l-4 px-2 py-1 text-small ${forbids ? 'border-iron bg-iron-wash font-semibold' : 'border-load-3 bg-amber-wash'}`}
            >
              {readable(text)}
            </p>
          ))}
        </section>
      )}
      <MethodChoice methodId={document.methodId} />
      <TestsChoice tests={document.tests} />
      <Drawn document={document} seen={seen}>
        <PhaseBars byPhase={byPhase} />
        <Hands left={workByHand.left} right={workByHand.right} />
      </Drawn>
      <Checks view={seen.view} findings={findings} document={document} />
      <Disclosure title="Pace" buttonClassName="text-small font-semibold">
        <div className="mt-2 grid grid-cols-2 gap-2">
          <PaceField name="announceS" label="Announce, s" pacing={document.pacing} />
          <PaceField name="changeSidesS" label="Change sides, s" pacing={document.pacing} />
          <PaceField name="breathInS" label="Breath in, s" pacing={document.pacing} />
          <PaceField name="breathOutS" label="Breath out, s" pacing={document.pacing} />
        </div>
      </Disclosure>
    </div>
  );
});

function PhaseBars({ byPhase }: { byPhase: Record<string, number> }) {
  const longest = Math.max(1, ...Object.values(byPhase));
  return (
    <dl className="mt-3 grid grid-cols-[auto_1fr_auto] items-center gap-x-2 gap-y-1 text-small">
      {PHASES.map((phase) => {
        const ms = byPhase[phase] ?? 0;
        return (
          <div key={phase} className="contents">
            <dt className={ms ? '' : 'text-ash'}>{PHASE_NAMES[phase]}</dt>
            <dd className="h-2.5 bg-ground" aria-hidden>
              <div className="h-full bg-ink" style={{ width: `${(100 * ms) / longest}%` }} />
            </dd>
            <dd className={`text-right figures ${ms ? '' : 'text-ash'}`}>{clock(ms)}</dd>
          </div>
        );
      })}
    </dl>
  );
}

/** Work of each hand, growing away from the middle. */
function Hands({ left, right }: { left: number; right: number }) {
  const most = Math.max(left, right, 1);
  return (
    <section aria-label="Work of each hand">
      <div className="grid grid-cols-2 gap-px" aria-hidden>
        <div className="flex justify-end bg-ground">
          <div className="h-3 bg-cobalt" style={{ width: `${(100 * left) / most}%` }} />
        </div>
        <div className="bg-ground">
          <div className="hatch-right h-3 bg-ochre-fill" style={{ width: `${(100 * right) / most}%` }} />
        </div>
      </div>
      <p className="mt-1 flex justify-between text-small figures">
        <span>
          <SideMark side="left" /> {clock(left)}
        </span>
        <span className="text-ink-soft">work of each hand</span>
        <span>
          {clock(right)} <SideMark side="right" />
        </span>
      </p>
    </section>
  );
}

interface PaceProps {
  name: keyof Pacing;
  label: string;
  pacing: Pacing;
}

const PaceField = memo(function PaceField({ name, label, pacing }: PaceProps) {
  const limit = name.startsWith('breath') ? SEQUENCE_LIMITS.breathS : SEQUENCE_LIMITS.pacingS;
  return (
    <label className="text-small">
      <span className="block text-ink-soft">{label}</span>
      <input
        inputMode="decimal"
        className="w-full border border-ink/45 bg-white px-2 py-1 figures"
        key={pacing[name]}
        defaultValue={pacing[name]}
        onBlur={(event) => commitNumber(event.target, limit, (value) => changeSequence({ pacing: { ...pacing, [name]: value } }))}
      />
    </label>
  );
});

/** Takes a typed number when it is within its limit; otherwise the browser says what would be right, and the old value returns. */
function commitNumber(
  input: HTMLInputElement,
  limit: { readonly min: number; readonly max: number; readonly step: number },
  take: (value: number) => void,
) {
  const value = readNumber(input.value);
  if (value === Number(input.defaultValue)) return;
  const fits = value >= limit.min && value <= limit.max && Number.isInteger(value / limit.step);
  if (fits) {
    take(value);
    return;
  }
  input.setCustomValidity(`Enter a number from ${limit.min}–${limit.max}, in steps of ${limit.step}.`);
  input.reportValidity();
  input.setCustomValidity('');
  input.value = input.defaultValue;
}
