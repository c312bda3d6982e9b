import { type Block, DOSE_LIMITS, handsInTurn, LOOK_STOPS, type LookStop } from '@clay-pot/core';
import { Stepper } from './stepper.js';

interface Props {
  block: Block;
  /** Whether a block stands before it. */
  follows: boolean;
  onChange: (change: Partial<Pick<Block, 'breakS' | 'lookAgain'> & { atOnce: boolean; bonus: boolean }>) => void;
}

const WORDS: Record<LookStop, string> = {
  'between hands': 'compare before changing hands',
  after: 'repeat the first circles afterwards',
};

/** How a block follows the one before, whether it is led only if there is time, and where hands are looked at again. */
export function BlockStops({ block, follows, onChange }: Props) {
  const { breakS = 0, lookAgain = [], dose, atOnce = false, bonus = false } = block;
  const mayCompare = handsInTurn(dose.sides).length > 1;
  const stops = LOOK_STOPS.filter((stop) => stop === 'after' || mayCompare);
  const toggled = (stop: LookStop) => LOOK_STOPS.filter((each) => (each === stop ? !lookAgain.includes(each) : lookAgain.includes(each)));
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 text-small">
      <Stepper name="break before, s" value={breakS} limit={DOSE_LIMITS.restS} step={5} set={(value) => onChange({ breakS: value })} />
      <div className="flex flex-wrap items-center gap-x-3 pb-1">
        {follows && <Mark words="at once, no change" isOn={atOnce} set={(on) => onChange({ atOnce: on })} />}
        <Mark words="bonus: only if there’s time" isOn={bonus} set={(on) => onChange({ bonus: on })} />
      </div>
      <fieldset className="flex flex-wrap items-center gap-x-3 pb-1">
        <legend className="float-left mr-2 text-ink-soft">recheck:</legend>
        {stops.map((stop) => (
          <Mark key={stop} words={WORDS[stop]} isOn={lookAgain.includes(stop)} set={() => onChange({ lookAgain: toggled(stop) })} />
        ))}
      </fieldset>
    </div>
  );
}

function Mark({ words, isOn, set }: { words: string; isOn: boolean; set: (on: boolean) => void }) {
  return (
    <label className="flex items-center gap-1.5">
      <input type="checkbox" className="size-4 accent-ink" checked={isOn} onChange={({ target }) => set(target.checked)} />
      {words}
    </label>
  );
}
