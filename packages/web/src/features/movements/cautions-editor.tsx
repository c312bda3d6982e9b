import { CAUTION_IDS, CAUTIONS, MOVEMENT_LIMITS, type MovementCaution } from '@clay-pot/core';
import { Plus, X } from 'lucide-react';
import { Button, IconButton } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { Checks } from './movement-fields.js';

const NAMES = Object.fromEntries(CAUTION_IDS.map((id) => [id, CAUTIONS[id].label]));

interface Props {
  cautions: readonly MovementCaution[];
  set: (cautions: MovementCaution[]) => void;
}

/** Reasons to be careful with a movement: shown to everyone, flagged for whom they concern, and whether those leave it out. */
export function CautionsEditor({ cautions, set }: Props) {
  const replace = (index: number, change: Partial<MovementCaution>) =>
    set(cautions.map((caution, at) => (at === index ? { ...caution, ...change } : caution)));
  return (
    <div className="grid gap-3 py-3">
      {cautions.map((caution, index) => (
        <div key={index} className="grid gap-2 border-l-4 border-load-3 bg-amber-wash p-3">
          <div className="flex items-end gap-2">
            <div className="min-w-0 flex-1">
              <TextField
                label={`Caution ${index + 1}`}
                value={caution.text}
                maxLength={MOVEMENT_LIMITS.textLength}
                onChange={(event) => replace(index, { text: event.target.value })}
              />
            </div>
            <IconButton name={`Remove caution ${index + 1}`} onClick={() => set([...cautions].toSpliced(index, 1))}>
              <X size={17} />
            </IconButton>
          </div>
          <Checks
            label="Applies to"
            options={CAUTION_IDS}
            chosen={caution.concerns}
            names={NAMES}
            set={(concerns) => replace(index, { concerns })}
          />
          <label className="flex items-center gap-1.5 text-small font-semibold">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={caution.avoid}
              onChange={(event) => replace(index, { avoid: event.target.checked })}
            />
            They skip this movement
          </label>
        </div>
      ))}
      <div>
        <Button
          disabled={cautions.length >= MOVEMENT_LIMITS.lines}
          onClick={() => set([...cautions, { text: '', concerns: [], avoid: false }])}
        >
          <Plus size={16} aria-hidden /> Add a caution
        </Button>
      </div>
    </div>
  );
}
