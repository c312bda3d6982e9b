import {
  amountLimit,
  amountOf,
  type Dose,
  DOSE_LIMITS,
  effortMeans,
  hasHandsInTurn,
  type Level,
  type Movement,
  setCount,
  UNIT_OF,
  withGoal,
  withPositions,
  withRightAmount,
  withSoreEffort,
  withFaster,
  withEffortUpTo,
} from '@clay-pot/core';
import { Disclosure } from '../../ui/disclosure.js';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** What fewer doses have: a goal, a range of effort, sore days, an amount for each hand, faster sets, some of the positions. */
export function DoseMore({ dose, movement, level, onChange }: Props) {
  const { work, goal, rightAmount, effortPercent, faster } = dose;
  const amount = amountOf(work);
  const limit = amountLimit(work.kind);
  const unit = UNIT_OF[work.kind];
  const hasEffort = effortMeans(level) !== null && effortPercent !== undefined;
  const isPaced = work.kind === 'repetitions' || (work.kind === 'time' && movement.timed === 'bout');
  return (
    <Disclosure className="text-small" title="Goal, ranges and each hand" buttonClassName="py-1.5">
      <div className="flex flex-wrap items-end gap-x-2.5 gap-y-2 pb-1">
        <Stepper
          name={`goal, ${unit}`}
          value={goal ?? amount}
          unset={goal === undefined}
          limit={{ ...limit, min: amount }}
          set={(value) => onChange(withGoal(dose, value))}
        />
        {hasHandsInTurn(dose.sides) && !dose.then && (
          <Stepper
            name={`right hand, ${unit}`}
            value={rightAmount ?? amount}
            unset={rightAmount === undefined}
            limit={limit}
            set={(value) => onChange(withRightAmount(dose, value))}
          />
        )}
        {hasEffort && <EffortMore dose={dose} effortPercent={effortPercent} onChange={onChange} />}
        {isPaced && setCount(dose) > 1 && (
          <Stepper
            name="each set faster, %"
            value={percentIn(faster)}
            unset={percentIn(faster) === 0}
            limit={{ ...DOSE_LIMITS.fasterPercent, min: 0 }}
            set={(value) => onChange(withFaster(dose, value))}
          />
        )}
        {movement.positions && <Positions dose={dose} positions={movement.positions} onChange={onChange} />}
      </div>
    </Disclosure>
  );
}

const percentIn = (faster: Dose['faster']): number => (faster?.kind === 'percent' ? faster.percent : 0);

/** A range of effort, and the effort of a sore day. */
function EffortMore({ dose, effortPercent, onChange }: Pick<Props, 'dose' | 'onChange'> & { effortPercent: number }) {
  const { effortToPercent, sore } = dose;
  return (
    <>
      <Stepper
        name="effort up to, %"
        value={effortToPercent ?? effortPercent}
        unset={effortToPercent === undefined}
        limit={{ ...DOSE_LIMITS.effortPercent, min: effortPercent }}
        step={5}
        set={(value) => onChange(withEffortUpTo(dose, value))}
      />
      <Stepper
        name="effort on sore days, %"
        value={sore?.effortPercent ?? 0}
        unset={!sore}
        limit={{ ...DOSE_LIMITS.effortPercent, min: 0 }}
        step={5}
        set={(value) => onChange(withSoreEffort(dose, value))}
      />
    </>
  );
}

/** Which of the fingers or positions are done; at least one is. */
function Positions({ dose, positions, onChange }: Pick<Props, 'dose' | 'onChange'> & { positions: NonNullable<Movement['positions']> }) {
  const all = positions.map(({ name }) => name);
  const chosen = dose.positions ?? all;
  const toggled = (name: string) => all.filter((each) => (each === name ? !chosen.includes(each) : chosen.includes(each)));
  return (
    <fieldset className="flex flex-wrap items-center gap-x-3 pb-1">
      <legend className="float-left mr-2 text-ink-soft">positions:</legend>
      {all.map((name) => (
        <label key={name} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={chosen.includes(name)}
            disabled={chosen.length === 1 && chosen.includes(name)}
            onChange={() => onChange(withPositions(dose, toggled(name), all))}
          />
          {name}
        </label>
      ))}
    </fieldset>
  );
}
