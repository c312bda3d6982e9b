import { type Block, DOSE_LIMITS, handsInTurn, LOOK_STOPS, type LookStop } from '@clay-pot/core';
import { Stepper } from './stepper.js';

interface Props {
  block: Block;
  onChange: (change: Partial<Pick<Block, 'breakS' | 'lookAgain'>>) => void;
}

const WORDS: Record<LookStop, string> = {
  'between hands': 'compare before changing hands',
  after: 'repeat the first circles afterwards',
};

/** Where a block stops: a longer break before it, and where somebody looks again. */
export function BlockStops({ block, onChange }: Props) {
  const { breakS = 0, lookAgain = [], dose } = block;
  const mayCompare = handsInTurn(dose.sides).length > 1;
  const stops = LOOK_STOPS.filter((stop) => stop === 'after' || mayCompare);
  const toggled = (stop: LookStop) => LOOK_STOPS.filter((each) => (each === stop ? !lookAgain.includes(each) : lookAgain.includes(each)));
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 text-small">
      <Stepper name="break before, s" value={breakS} limit={DOSE_LIMITS.restS} step={5} set={(value) => onChange({ breakS: value })} />
      <fieldset className="flex flex-wrap items-center gap-x-3 pb-1">
        <legend className="float-left mr-2 text-ink-soft">recheck:</legend>
        {stops.map((stop) => (
          <label key={stop} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={lookAgain.includes(stop)}
              onChange={() => onChange({ lookAgain: toggled(stop) })}
            />
            {WORDS[stop]}
          </label>
        ))}
      </fieldset>
    </div>
  );
}
