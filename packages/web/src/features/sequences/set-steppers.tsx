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
  type WorkKind,
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
  const { kind, open } = work;
  return (
    <div className={`flex items-end gap-1 ${which ? 'border-l-2 border-ink/45 pl-2' : ''}`}>
      <Stepper name={`sets${which}`} value={sets} limit={DOSE_LIMITS.sets} set={(next) => set({ sets: next, work })} />
      <Stepper
        name={`${open ? 'at most, ' : ''}${UNIT_OF[kind]}${which}`}
        value={amountOf(work)}
        limit={amountLimit(kind)}
        step={STEPS[kind]}
        set={(amount) => set({ sets, work: workOf(kind, amount, open) })}
      />
      <label className="text-small">
        <span className="block text-ink-soft">ends{which}</span>
        <select
          className="h-8 max-w-32 border border-ink/45 bg-white px-1 text-body"
          value={open ?? ''}
          onChange={({ target: { value } }) =>
            set({
              sets,
              work: workOf(
                kind,
                amountOf(work),
                OPEN_ENDS.find((end) => end === value),
              ),
            })
          }
        >
          <option value="">by count</option>
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

const STEPS: Record<WorkKind, number> = { repetitions: 1, time: 5, breaths: 1, distance: 5 };
const ENDS: Record<OpenEnd, string> = { form: 'when form fails', ease: 'when it eases' };
const isTimed = (kind: WorkKind) => kind === 'time' || kind === 'breaths';
