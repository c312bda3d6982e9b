import {
  type Dose,
  doseAs,
  DOSE_LIMITS,
  effortMeans,
  type Level,
  type Movement,
  hasHandsInTurn,
  type SidePlan,
  setCount,
  type WorkKind,
  UNIT_OF,
  USUAL_TEMPO,
} from '@clay-pot/core';
import { DoseMore } from './dose-more.js';
import { EffortStepper } from './effort-stepper.js';
import { OwnLoadSteppers } from './own-load-steppers.js';
import { SetSteppers } from './set-steppers.js';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** The parts of a dose as steppers and choices, for hands that would rather not type. */
export function DoseSteppers({ dose, movement, level, onChange }: Props) {
  const { kind } = dose.work;
  return (
    <div className="flex flex-wrap items-end gap-x-2.5 gap-y-2">
      {movement.work.length > 1 && (
        <Choice
          name="counted in"
          value={kind}
          options={movement.work.map((each): [WorkKind, string] => [each, UNIT_OF[each]])}
          set={(next) => onChange(doseAs(dose, movement, level, next))}
        />
      )}
      <SetSteppers dose={dose} onChange={onChange} />
      {effortMeans(level) !== null && <EffortStepper dose={dose} level={level} onChange={onChange} />}
      <OwnLoadSteppers dose={dose} movement={movement} level={level} onChange={onChange} />
      <Stepper name="rest, s" value={dose.restS} limit={DOSE_LIMITS.restS} step={5} set={(restS) => onChange({ ...dose, restS })} />
      {(kind === 'repetitions' || (kind === 'time' && movement.timed === 'bout')) && (
        <Tempo dose={dose} level={level} onChange={onChange} />
      )}
      {movement.sides.length > 1 && (
        <Choice
          name="hands"
          value={handChoice(dose.sides, dose.oneHandFirst)}
          options={handChoices(movement, dose).map(({ key, words }) => [key, words])}
          set={(chosen) => {
            const { oneHandFirst: _old, ...rest } = dose;
            const choice = handChoices(movement, dose).find(({ key }) => key === chosen);
            if (choice) onChange({ ...rest, ...choice.value });
          }}
        />
      )}
      {movement.directions && (
        <Choice
          name="directions"
          value={dose.directions}
          options={[
            ['each', 'both'],
            ['first', movement.directions[0]],
            ['second', movement.directions[1]],
          ]}
          set={(directions) => onChange({ ...dose, directions })}
        />
      )}
      <DoseMore {...{ dose, movement, level, onChange }} />
    </div>
  );
}

const handChoice = (plan: SidePlan, oneHandFirst = false): string => (oneHandFirst ? `${plan}, all sets` : plan);

/** The ways to spread the sets over the hands: of several sets all of one hand may come first. */
function handChoices({ sides }: Movement, dose: Dose) {
  const plans = sides.filter((plan) => plan !== 'alternating' || dose.work.kind === 'repetitions');
  const usual = plans.map((plan) => ({ key: handChoice(plan), words: plan.replaceAll('-', ' '), value: { sides: plan } }));
  if (setCount(dose) === 1 && !dose.oneHandFirst) return usual;
  const first = plans.filter(hasHandsInTurn).map((plan) => ({
    key: handChoice(plan, true),
    words: plan === 'left-then-right' ? 'all sets left, then right' : 'all sets right, then left',
    value: { sides: plan, oneHandFirst: true as const },
  }));
  return [...usual, ...first];
}

function withHold({ holdS: _old, ...dose }: Dose, holdS: number): Dose {
  return holdS > 0 ? { ...dose, holdS } : dose;
}

function withPause({ pauseS: _old, ...dose }: Dose, pauseS: number): Dose {
  return pauseS > 0 ? { ...dose, pauseS } : dose;
}

/** Seconds of the way out, of the hold at its end, and of the way back; what is not set goes at the level's own pace. */
function Tempo({ dose, level, onChange }: Pick<Props, 'dose' | 'level' | 'onChange'>) {
  const tempo = dose.tempo ?? level.dose.tempo ?? USUAL_TEMPO;
  const { tempoS } = DOSE_LIMITS;
  return (
    <>
      <Stepper name="out, s" value={tempo.outS} limit={tempoS} step={1} set={(outS) => onChange({ ...dose, tempo: { ...tempo, outS } })} />
      <Stepper
        name="hold, s"
        value={dose.holdS ?? 0}
        limit={{ ...DOSE_LIMITS.holdS, min: 0 }}
        step={1}
        set={(holdS) => onChange(withHold(dose, holdS))}
      />
      <Stepper
        name="back, s"
        value={tempo.backS}
        limit={tempoS}
        step={1}
        set={(backS) => onChange({ ...dose, tempo: { ...tempo, backS } })}
      />
      <Stepper
        name="pause, s"
        value={dose.pauseS ?? 0}
        limit={{ ...DOSE_LIMITS.pauseS, min: 0 }}
        step={1}
        set={(pauseS) => onChange(withPause(dose, pauseS))}
      />
    </>
  );
}

interface ChoiceProps<T extends string> {
  name: string;
  value: T;
  options: readonly (readonly [T, string])[];
  set: (value: T) => void;
}

function Choice<T extends string>({ name, value, options, set }: ChoiceProps<T>) {
  return (
    <label className="text-small">
      <span className="block text-ink-soft">{name}</span>
      <select
        className="h-8 max-w-36 border border-ink/45 bg-white px-1 text-body"
        value={value}
        onChange={(event) => {
          const chosen = options.find(([key]) => key === event.target.value);
          if (chosen) set(chosen[0]);
        }}
      >
        {options.map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
