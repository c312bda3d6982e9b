import { type Block, faultsToWatch, formFaultsOf, type Hand, HANDS, handsWorking, resolveBlock, type TimelineEvent } from '@clay-pot/core';
import { movementById } from '../../store/library.js';
import { type Run, tickForm } from '../../store/run.js';
import { Disclosure } from '../../ui/disclosure.js';

/** The faults to look for while it is done, to be ticked where one is seen. */
export function WatchFor({ run, event, className }: { run: Run; event: TimelineEvent; className: string }) {
  const block = run.sequence.blocks[event.blockIndex];
  if (!block) return null;
  return (
    <section aria-label="Common faults" className={className}>
      <h3 className="flex items-baseline justify-between border-b border-ink/40 pb-1 text-body">
        Common faults <span className="text-small font-normal text-ink-soft">tap what you see</span>
      </h3>
      <FormTicks run={run} block={block} />
    </section>
  );
}

/** The faults of a block, with a tick for each hand that it works: the movement’s own first, then what is looked for everywhere. */
export function FormTicks({ run, block }: { run: Run; block: Block }) {
  const { movement, level } = resolveBlock(block, movementById);
  const watched = faultsToWatch(movement, level);
  const rest = watched.filter((fault) => !movement.faults.includes(fault));
  // A single one more is no list of its own.
  const [own, others] = rest.length > 1 && movement.faults.length > 0 ? [movement.faults, rest] : [watched, []];
  const anySeen = HANDS.some((hand) => formFaultsOf(run.form, block.id, hand).some((fault) => others.includes(fault)));
  return (
    <>
      <FaultRows run={run} block={block} faults={own} />
      {others.length > 0 && (
        <Disclosure
          className="text-small"
          key={block.id}
          open={anySeen}
          title={level.loading === 'planted' ? 'Set-up, breath and pace' : 'Breath and pace'}
          buttonClassName="min-h-11 py-2.5 text-ink-soft"
        >
          <FaultRows run={run} block={block} faults={others} />
        </Disclosure>
      )}
    </>
  );
}

function FaultRows({ run, block, faults }: { run: Run; block: Block; faults: readonly string[] }) {
  const seen = { left: formFaultsOf(run.form, block.id, 'left'), right: formFaultsOf(run.form, block.id, 'right') };
  return (
    <ul className="text-small">
      {faults.map((fault) => (
        <li key={fault} className="flex items-center border-b border-line">
          <span className={`min-w-0 flex-1 leading-tight ${HANDS.some((hand) => seen[hand].includes(fault)) ? 'font-semibold' : ''}`}>
            {fault}
          </span>
          {handsWorking(block.dose.sides).map((hand) => (
            <Tick
              key={hand}
              hand={hand}
              fault={fault}
              isSeen={seen[hand].includes(fault)}
              onTick={(is) => tickForm(block.id, hand, fault, is)}
            />
          ))}
        </li>
      ))}
    </ul>
  );
}

interface TickProps {
  hand: Hand;
  fault: string;
  isSeen: boolean;
  onTick: (isSeen: boolean) => void;
}

/** Outlined in the hand’s colour until it is seen, filled from then on. */
const LOOK: Record<Hand, Record<'open' | 'seen', string>> = {
  left: { open: 'border-cobalt bg-white text-cobalt', seen: 'border-cobalt bg-cobalt text-white' },
  right: { open: 'border-ochre bg-white text-ochre', seen: 'border-ochre bg-ochre text-white hatch-right' },
};

function Tick({ hand, fault, isSeen, onTick }: TickProps) {
  return (
    <button
      type="button"
      aria-pressed={isSeen}
      aria-label={`${fault}: ${hand}`}
      className="group grid size-11 shrink-0 place-items-center"
      onClick={() => onTick(!isSeen)}
    >
      <span
        className={`display grid size-8 place-items-center border-2 font-bold group-hover:border-ink ${LOOK[hand][isSeen ? 'seen' : 'open']}`}
      >
        {hand === 'left' ? 'L' : 'R'}
      </span>
    </button>
  );
}
