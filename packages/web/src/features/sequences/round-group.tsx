import { type Round, type RoundChange, roundChangeWords, ROUND_LIMITS } from '@clay-pot/core';
import type { ReactNode } from 'react';
import { changeRound, ungroup } from '../../store/editor.js';
import { Button } from '../../ui/button.js';
import { Stepper } from './stepper.js';
import { Disclosure } from '../../ui/disclosure.js';

interface Props {
  round: Round;
  /** Of its movements, for whoever does not see the bracket. */
  names: readonly string[];
  children: ReactNode;
}

/** Blocks that are taken in turn, under one bracket: how often, what rest lies between, and what changes from round to round. */
export function RoundGroup({ round, names, children }: Props) {
  const { change = {}, times, restS } = round;
  const set = (part: Partial<Round>) => changeRound({ ...round, ...part });
  return (
    <li aria-label={`${times} rounds of ${names.join(', ')}`} className="mt-1 mb-2 flex">
      <div
        aria-hidden
        className="display grid w-7 shrink-0 place-items-center border-y-3 border-l-3 border-ink text-lead leading-none font-extrabold"
      >
        {times}×
      </div>
      <div className="min-w-0 flex-1">
        <div className="flex flex-wrap items-end gap-x-2.5 gap-y-1 border-b border-line bg-ground/60 px-2 py-1.5">
          <Stepper name="rounds" value={times} limit={ROUND_LIMITS.times} set={(value) => set({ times: value })} />
          <Stepper name="rest between, s" value={restS} limit={ROUND_LIMITS.restS} step={5} set={(value) => set({ restS: value })} />
          <Disclosure
            className="text-small data-open:order-last data-open:basis-full"
            title={roundChangeWords(change) || 'Same dose every round'}
            buttonClassName="py-1.5"
          >
            <div className="flex flex-wrap items-end gap-x-2.5 gap-y-1 pb-1">
              <Stepper
                name="faster, %"
                value={change.fasterPercent ?? 0}
                limit={ROUND_LIMITS.fasterPercent}
                set={(fasterPercent) => set({ change: { ...change, fasterPercent } })}
              />
              <Stepper
                name="shorter reps, s"
                value={change.fasterS ?? 0}
                limit={{ ...ROUND_LIMITS.fasterS, min: 0 }}
                set={(fasterS) => set({ change: withShorterReps(change, fasterS) })}
              />
              <Stepper
                name="more, %"
                value={change.morePercent ?? 0}
                limit={ROUND_LIMITS.morePercent}
                set={(morePercent) => set({ change: { ...change, morePercent } })}
              />
              <Stepper
                name="levels up"
                value={change.levels ?? 0}
                limit={ROUND_LIMITS.levels}
                set={(levels) => set({ change: { ...change, levels } })}
              />
              <span className="pb-1.5 text-ink-soft">each round</span>
            </div>
          </Disclosure>
          <Button kind="quiet" className="ml-auto text-small!" onClick={() => ungroup(round.blockIds[0] ?? '')}>
            Ungroup
          </Button>
        </div>
        <ol>{children}</ol>
      </div>
    </li>
  );
}

const withShorterReps = ({ fasterS: _old, ...change }: RoundChange, fasterS: number): RoundChange =>
  fasterS > 0 ? { ...change, fasterS } : change;
