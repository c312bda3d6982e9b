import { readable } from '../../domain/measuring/units.js';
import { doseSentence, momentMs, resolveBlock, type Stint, type Timeline, type TimelineEvent, roundOf } from '@clay-pot/core';
import { movementById, studioLibrary } from '../../store/library.js';
import { useEffect, useRef } from 'react';
import { usePlayhead } from '../../store/playhead.js';
import type { Run } from '../../store/run.js';
import { SideMark } from '../../ui/marks.js';
import { WatchFor } from './watch-for.js';
import { PlayerPot } from './player-pot.js';

/** What comes next: the next piece of work everywhere, the whole list where there is room. */
export function PlayerPlan({ run, timeline, event }: { run: Run; timeline: Timeline; event: TimelineEvent }) {
  // Between stints the coming one is shown large; the one after it follows.
  const coming = timeline.stints.find((stint) => stint.lastEvent >= run.head.event);
  const next = coming && timeline.stints[coming.index + 1];
  const nextBlock = next && run.sequence.blocks[next.blockIndex];
  const nextMovement = nextBlock && movementById(nextBlock.movementId);
  const now = useRef<HTMLLIElement>(null);
  // In braces: newer browsers return a promise from scrolling, which is no way to clean up.
  useEffect(() => {
    now.current?.scrollIntoView({ block: 'nearest' });
  }, [event.blockIndex]);
  const seconds = usePlayhead(({ head }) => Math.floor(momentMs(timeline, head) / 1000));
  return (
    <aside
      aria-label="Coming up"
      className="border-line px-4 pb-3 sm:px-8 short:pt-1! max-lg:order-first max-lg:pt-2 max-lg:pb-0 lg:h-0 lg:min-h-full lg:overflow-y-auto lg:border-l lg:px-6 lg:py-5"
    >
      <p className="text-small text-ink-soft">
        Next:{' '}
        {next && nextMovement ? (
          <span className="font-semibold text-ink" data-testid="next">
            {nameOfNext(coming, next, nextMovement.name)} <SideMark side={next.side} />
          </span>
        ) : (
          <span className="font-semibold text-ink" data-testid="next">
            the end
          </span>
        )}
      </p>
      <div className="max-lg:hidden">
        <PlayerPot sequence={run.sequence} athleteId={run.athleteId} cautions={run.cautions} equipment={run.equipment} seconds={seconds} />
        <WatchFor run={run} event={event} className="mt-4" />
        <h3 className="mt-4 border-b border-ink/40 pb-1 text-body">Blocks</h3>
        <ol className="mt-1 max-h-[30vh] overflow-y-auto text-small" tabIndex={0} aria-label="Blocks of the session">
          {run.sequence.blocks.map((block, index) => {
            const { movement: of, level } = resolveBlock(block, movementById);
            const isNow = index === event.blockIndex;
            return (
              <li
                key={block.id}
                ref={isNow ? now : null}
                aria-current={isNow ? 'step' : undefined}
                className={`border-l-4 py-1 pl-2 ${isNow ? 'border-ink font-semibold' : 'border-transparent'} ${index < event.blockIndex ? 'text-ink-soft' : ''}`}
              >
                {of.name}
                {roundMark(run, block.id)}
                <span className="block font-normal text-ink-soft">
                  {level.name}:{' '}
                  <span className="figures">{readable(doseSentence(block.dose, of, level, null, studioLibrary().grades))}</span>
                </span>
              </li>
            );
          })}
        </ol>
      </div>
    </aside>
  );
}

/** How often a block that is taken in rounds comes. */
function roundMark(run: Run, blockId: string): string {
  const times = roundOf(run.sequence, blockId)?.times;
  return times ? ` (${times} rounds)` : '';
}

/** What sets the next stint apart from the one now or coming. */
function nameOfNext(coming: Stint, next: Stint, movementName: string): string {
  if (next.blockId !== coming.blockId) return movementName;
  if (next.round !== coming.round) return `round ${next.round}`;
  if (next.set !== coming.set) return `set ${next.set}`;
  return next.side === coming.side ? (next.direction ?? '') : 'other hand';
}
