import {
  type Dose,
  doseAs,
  DOSE_LIMITS,
  effortMeans,
  type Level,
  type Movement,
  type SidePlan,
  type WorkKind,
  UNIT_OF,
  USUAL_TEMPO,
} from '@clay-pot/core';
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
      {kind === 'repetitions' && <Tempo dose={dose} level={level} onChange={onChange} />}
      {movement.sides.length > 1 && (
        <Choice
          name="hands"
          value={dose.sides}
          options={movement.sides
            .filter((plan) => plan !== 'alternating' || kind === 'repetitions')
            .map((plan): [SidePlan, string] => [plan, plan.replaceAll('-', ' ')])}
          set={(sides) => onChange({ ...dose, sides })}
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
    </div>
  );
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
