import {
  type Block,
  type ClassMember,
  faultsToWatch,
  type Hand,
  HANDS,
  handsWorking,
  type MovementLookup,
  resolveBlock,
  SESSION_LIMITS,
} from '@clay-pot/core';
import { useState } from 'react';
import { press } from '../../store/class-run.js';
import { Button } from '../../ui/button.js';
import { Dialog } from '../../ui/dialog.js';
import { INPUT } from '../../ui/field.js';
import { tell } from './roster.js';

/** A fault of form that the coach sees on somebody: one press records it. */
export function FormDialog({
  member,
  block,
  lookup,
  onClose,
}: {
  member: ClassMember;
  block: Block;
  lookup: MovementLookup;
  onClose: () => void;
}) {
  const { movement, level } = resolveBlock(block, lookup);
  const hands: readonly Hand[] = handsWorking(block.dose.sides);
  return (
    <Dialog title={`${member.name}: what do you see?`} onClose={onClose}>
      <ul className="mt-2">
        {faultsToWatch(movement, level).map((fault) => (
          <li key={fault} className="flex items-center gap-1 border-b border-line py-1">
            <span className="min-w-0 flex-1 leading-tight">{fault}</span>
            {(hands.length > 0 ? hands : HANDS).map((hand) => (
              <button
                key={hand}
                type="button"
                aria-label={`${fault}: ${hand} hand`}
                className={`display grid size-14 shrink-0 place-items-center border-2 bg-white text-lead font-bold hover:bg-ground ${hand === 'left' ? 'border-cobalt text-cobalt' : 'border-ochre text-ochre'}`}
                onClick={() => {
                  tell(
                    press({ kind: 'fault', memberId: member.id, blockId: block.id, hand, fault, seen: true }),
                    `${member.name}: ${fault}`,
                  );
                  onClose();
                }}
              >
                {hand === 'left' ? 'L' : 'R'}
              </button>
            ))}
          </li>
        ))}
      </ul>
      <Button className="mt-3 min-h-14 w-full" onClick={onClose}>
        Close
      </Button>
    </Dialog>
  );
}

/** A few words about somebody, kept with their session. */
export function NoteDialog({ member, onClose }: { member: ClassMember; onClose: () => void }) {
  const [text, setText] = useState('');
  const note = text.trim();
  return (
    <Dialog title={`Note about ${member.name}`} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (!note) return;
          tell(press({ kind: 'note', memberId: member.id, note }), `Note about ${member.name} saved`);
          onClose();
        }}
      >
        <textarea
          aria-label="Note"
          className={`${INPUT} mt-2 min-h-28 w-full`}
          maxLength={SESSION_LIMITS.blockNoteLength}
          value={text}
          onChange={({ target }) => setText(target.value)}
        />
        <div className="mt-3 grid grid-cols-2 gap-2">
          <Button className="min-h-14" onClick={onClose}>
            Cancel
          </Button>
          <Button kind="primary" type="submit" className="min-h-14" disabled={!note}>
            Save note
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
