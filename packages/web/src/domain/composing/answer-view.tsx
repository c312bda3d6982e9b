import type { Sequence } from '@clay-pot/core';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.js';
import { AnswerHead } from './answer-head.js';
import { BeforeIt, BehindIt } from './behind-it.js';
import { ComposedRows, type LeaveOut } from './composed-rows.js';
import type { Composition } from './use-composition.js';
import { WantsBars } from './wants-bars.js';

interface Props {
  composition: Composition;
  takeLabel: string;
  take: (sequence: Sequence) => void;
  /** Content beside the rows, where there is room for it. */
  pot?: ReactNode;
  leaveOut?: LeaveOut | undefined;
}

/** What was composed, with its figures, its reasons and what is behind it; or why nothing was. */
export function AnswerView({ composition, takeLabel, take, pot, leaveOut }: Props) {
  const { state, answer } = composition;
  if (state === 'failed') return <p role="alert">Couldn’t generate: the solver didn’t load. Try again.</p>;
  if (!answer) return state === 'looking' ? <p role="status">Generating…</p> : null;
  const { sequence } = answer;
  return (
    <>
      <BeforeIt answer={answer} />
      {sequence && (
        <>
          <AnswerHead answer={answer} composition={composition} />
          <div className={`grid gap-x-6 gap-y-4 ${pot ? 'xl:grid-cols-[minmax(0,1fr)_15rem]' : ''}`}>
            <ComposedRows sequence={sequence} reasons={answer.reasons} composition={composition} leaveOut={leaveOut} />
            <div className="grid content-start gap-4 max-xl:order-first">
              <Button kind="primary" className="justify-self-start xl:justify-self-stretch" onClick={() => take(sequence)}>
                {takeLabel}
              </Button>
              {pot}
              <WantsBars wants={answer.wants} />
              <BehindIt answer={answer} />
            </div>
          </div>
        </>
      )}
    </>
  );
}
