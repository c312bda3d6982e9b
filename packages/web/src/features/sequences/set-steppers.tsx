import {
  amountLimit,
  amountOf,
  type Dose,
  DOSE_LIMITS,
  itemAt,
  MOST_SET_GROUPS,
  OPEN_ENDS,
  type OpenEnd,
  type SetGroup,
  setGroupsOf,
  UNIT_OF,
  type Work,
  type WorkEnd,
  type WorkKind,
  withAmount,
  withSetGroups,
  workOf,
} from '@clay-pot/core';
import { Plus, X } from 'lucide-react';
import { IconButton } from '../../ui/button.js';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  onChange: (dose: Dose) => void;
}

type Groups = readonly [SetGroup, ...SetGroup[]];

/** Sets and their amount, group by group where they differ, each with an end or open up to a ceiling. */
export function SetSteppers({ dose, onChange }: Props) {
  const groups = setGroupsOf(dose);
  const change = (next: readonly SetGroup[]) => onChange(withSetGroups(dose, next as Groups));
  return (
    <>
      {groups.map((group, index) => (
        <OneGroup
          key={index}
          group={group}
          which={index === 0 ? '' : `, part ${index + 1}`}
          set={(next) => change(groups.with(index, next))}
          remove={index === 0 ? undefined : () => change(groups.toSpliced(index, 1))}
        />
      ))}
      {groups.length < MOST_SET_GROUPS && (
        <IconButton
          name="More sets that differ"
          className="h-8 border border-ink/45 bg-white"
          onClick={() => change([...groups, { sets: 1, work: itemAt(groups, groups.length - 1).work }])}
        >
          <Plus size={14} />
        </IconButton>
      )}
    </>
  );
}

interface GroupProps {
  group: SetGroup;
  /** Set apart from the others, for people who do not see its position. */
  which: string;
  set: (group: SetGroup) => void;
  remove: (() => void) | undefined;
}

function OneGroup({ group, which, set, remove }: GroupProps) {
  const { sets, work } = group;
  const { kind, open, upTo } = work;
  return (
    <div className={`flex items-end gap-1 ${which ? 'border-l-2 border-ink/45 pl-2' : ''}`}>
      <Stepper name={`sets${which}`} value={sets} limit={DOSE_LIMITS.sets} set={(next) => set({ ...group, sets: next })} />
      <Stepper
        name={`${open ? 'at most, ' : ''}${UNIT_OF[kind]}${which}`}
        value={amountOf(work)}
        limit={amountLimit(kind)}
        step={STEPS[kind]}
        set={(amount) => set({ ...group, work: withAmount(work, amount) })}
      />
      {upTo !== undefined && (
        <Stepper
          name={`up to${which}`}
          value={upTo}
          limit={{ ...amountLimit(kind), min: amountOf(work) + 1 }}
          step={STEPS[kind]}
          set={(most) => set({ ...group, work: workOf(kind, amountOf(work), { upTo: most }) })}
        />
      )}
      <label className="text-small">
        <span className="block text-ink-soft">ends{which}</span>
        <select
          className="h-8 max-w-32 border border-ink/45 bg-white px-1 text-body"
          value={upTo === undefined ? (open ?? '') : RANGE}
          onChange={({ target: { value } }) => set({ ...group, work: workOf(kind, amountOf(work), endOf(value, work)) })}
        >
          <option value="">by count</option>
          <option value={RANGE}>within a range</option>
          {OPEN_ENDS.filter((end) => end === 'form' || isTimed(kind)).map((end) => (
            <option key={end} value={end}>
              {ENDS[end]}
            </option>
          ))}
        </select>
      </label>
      {remove && (
        <IconButton name={`Remove sets${which}`} className="h-8" onClick={remove}>
          <X size={14} />
        </IconButton>
      )}
    </div>
  );
}

const RANGE = 'range';

/** Where a set ends, by the choice of its kind: a range begins a half above its lower end. */
function endOf(choice: string, work: Work): WorkEnd {
  const open = OPEN_ENDS.find((end) => end === choice);
  if (open) return { open };
  const { max } = amountLimit(work.kind);
  return choice === RANGE && amountOf(work) < max ? { upTo: Math.min(max, Math.ceil(amountOf(work) * 1.5)) } : {};
}

const STEPS: Record<WorkKind, number> = { repetitions: 1, time: 5, breaths: 1, distance: 5 };
const ENDS: Record<OpenEnd, string> = { form: 'when form fails', ease: 'when it eases' };
const isTimed = (kind: WorkKind) => kind === 'time' || kind === 'breaths';
