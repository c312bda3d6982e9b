import {
  type Dose,
  effortMeans,
  type Grade,
  gradeAt,
  gradesFor,
  isKilograms,
  type Level,
  lowered,
  type Movement,
  OWN_LOADS,
  type OwnLoadName,
  ownLoadsOf,
  ownValueOf,
  withOwnSet,
} from '@clay-pot/core';
import { X } from 'lucide-react';
import { inUnit, metricText, outOfUnit, unitOf } from '../../domain/measuring/units.js';
import { useGrades } from '../../store/grades.js';
import { IconButton } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** One press of a stepper, where the smallest step would take an evening. */
const STEPS: Partial<Record<OwnLoadName, number>> = {
  massKg: 0.5,
  bandKg: 0.5,
  handleMm: 5,
  pinchMm: 5,
  wedgeDeg: 5,
  handHeightM: 0.05,
  awayM: 0.05,
};
/** Where a level says nothing, a stepper begins here. */
const BEGINS: Partial<Record<OwnLoadName, number>> = { awayM: 0.9 };

/** What a dose sets over the level’s own load: in grey as the level has it, until somebody sets it. A weight found from the effort is shown beside the picture. */
export function OwnLoadSteppers({ dose, movement, level, onChange }: Props) {
  const isFound = dose.effortPercent !== undefined && effortMeans(level) === 'finds the load';
  const grades = useGrades((state) => state.stored);
  const graded = (name: OwnLoadName): Grade[] => (isKilograms(name) ? gradesFor(grades, movement) : []);
  const may = ownLoadsOf(level, movement).filter((name) => !isFound || !isKilograms(name));
  return may.map((name) => {
    const { label, limit } = OWN_LOADS[name];
    const own = dose.load?.[name];
    const usual = ownValueOf(level, name) ?? BEGINS[name] ?? limit.min;
    const { unit, shown, kept } = inOwnUnit(limit.unit);
    return (
      <div key={name} className="flex items-end">
        {graded(name).length > 0 && (
          <GradeChoice
            label={label}
            grades={graded(name)}
            now={own ?? usual}
            isOwn={own !== undefined}
            choose={(kg) => onChange(withOwnSet(dose, name, kg))}
          />
        )}
        <Stepper
          name={`${lowered(label)}, ${unit}`}
          value={shown(own ?? usual)}
          limit={{ ...limit, unit, min: shown(limit.min), max: shown(limit.max) }}
          step={unit === limit.unit ? (STEPS[name] ?? limit.step) : 1}
          unset={own === undefined}
          set={(value) => onChange(withOwnSet(dose, name, kept(value)))}
        />
        {own !== undefined && (
          <IconButton name={`${label}: as in the level`} className="h-8 w-6!" onClick={() => onChange(withOwnSet(dose, name, null))}>
            <X size={14} />
          </IconButton>
        )}
      </div>
    );
  });
}

/** One of the springs or bands that the studio owns; another force stays possible beside it. */
function GradeChoice({
  label,
  grades,
  now,
  isOwn,
  choose,
}: {
  label: string;
  grades: readonly Grade[];
  now: number;
  /** Whether the dose sets it, or it is as in the level. */
  isOwn: boolean;
  choose: (kg: number) => void;
}) {
  const chosen = grades.find(({ kind, kg }) => gradeAt(grades, kind, now)?.kg === kg);
  return (
    <label className="mr-2 grid text-small text-ink-soft">
      {lowered(label)}
      <select
        className={`${INPUT} h-8 py-0! ${isOwn ? 'text-ink' : 'text-ink-soft'}`}
        value={chosen?.name ?? ''}
        onChange={({ target }) => {
          const grade = grades.find(({ name }) => name === target.value);
          if (grade) choose(grade.kg);
        }}
      >
        {!chosen && <option value="">Choose…</option>}
        {grades.map(({ name, kg }) => (
          <option key={name} value={name}>
            {name}, {metricText('kg', kg, 1)}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Masses as the coach reads them; whole pounds are kept to the hundredth of a kilogram, so that they stay whole. */
function inOwnUnit(metric: string) {
  const isMass = metric === 'kg';
  const places = isMass && unitOf('kg') !== 'kg' ? 0 : 2;
  return {
    unit: isMass ? unitOf('kg') : metric,
    shown: (value: number) => Number((isMass ? inUnit('kg', value) : value).toFixed(places)),
    kept: (value: number) => Number((isMass ? outOfUnit('kg', value) : value).toFixed(2)),
  };
}
