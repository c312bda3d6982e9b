import {
  capital,
  classFormWords,
  type ClassMember,
  type ClassState,
  hardestAllowed,
  type KnownClassEvent,
  type MemberState,
  type MovementLookup,
  must,
  type Sequence,
  standingEvents,
  STOP_SIGNS,
} from '@clay-pot/core';
import { ChevronDown, ChevronUp, DoorOpen, HeartCrack, NotebookPen, ScanEye } from 'lucide-react';
import { type ReactNode, useMemo } from 'react';
import { readable } from '../../domain/measuring/units.js';
import { press, undo } from '../../store/class-run.js';
import { useToast } from '../../ui/toast.js';

/** What is asked of somebody, in a dialog. */
export type Asking = { readonly what: 'hurts' | 'form' | 'note'; readonly memberId: string };

interface Props {
  sequence: Sequence;
  members: readonly ClassMember[];
  events: readonly KnownClassEvent[];
  state: ClassState;
  blockId: string;
  lookup: MovementLookup;
  ask: (asking: Asking) => void;
}

/** Everybody of the class, with one press each for what a coach does while they work. */
export function Roster({ members, state, events, ...rest }: Props) {
  const notes = useMemo(() => {
    const all = standingEvents(events).flatMap(({ event }) => (event.kind === 'note' ? [event] : []));
    return (memberId: string) => all.filter((event) => event.memberId === memberId).map(({ note }) => note);
  }, [events]);
  return (
    <ul aria-label="People" className="grid content-start gap-x-8 lg:grid-cols-2">
      {members.map((member) => {
        const now = state.members.get(member.id);
        return now && <Row key={member.id} {...{ member, now, ...rest }} notes={notes(member.id)} />;
      })}
    </ul>
  );
}

interface RowProps extends Omit<Props, 'members' | 'events' | 'state'> {
  member: ClassMember;
  now: MemberState;
  notes: readonly string[];
}

function Row({ sequence, member, now, blockId, lookup, ask, notes }: RowProps) {
  const { forms } = must(
    member.blocks.find((each) => each.blockId === blockId),
    'a plan of each block',
  );
  const block = must(
    sequence.blocks.find(({ id }) => id === blockId),
    'the block on screen',
  );
  const at = now.forms[blockId] ?? -1;
  const words = (form: number): string => {
    const chosen = forms[form];
    return chosen === undefined ? 'sits out' : readable(classFormWords(block, chosen, lookup));
  };
  const isOut = !now.here || now.stopped !== null;
  const most = Math.min(hardestAllowed(member, now, blockId), forms.length - 1);
  const give = (form: number) => tell(press({ kind: 'form', memberId: member.id, blockId, form }), `${member.name}: ${words(form)}`);
  const { name } = member;
  return (
    <li aria-label={name} className={`border-b border-line py-2 ${now.stopped ? 'bg-iron-wash px-2' : ''}`}>
      <div className="flex items-baseline justify-between gap-3">
        <p dir="auto" className="min-w-0 truncate font-semibold">
          {name}
        </p>
        <p className="shrink-0 truncate text-small text-ink-soft">{standing(now)}</p>
      </div>
      {!isOut && (
        <p className={`truncate text-small ${at >= 0 && forms[at] === null ? 'text-ink-soft' : 'font-semibold'}`}>{capital(words(at))}</p>
      )}
      {notes.map((note) => (
        <p key={note} className="text-small">
          “{note}”
        </p>
      ))}
      {now.stopped === null && (
        <div className="mt-1 grid grid-cols-6 gap-0.5">
          <Press name={name} label="Easier" disabled={isOut || at < 0} press={() => give(at - 1)} hint={at < 0 ? undefined : words(at - 1)}>
            <ChevronDown size={20} />
          </Press>
          <Press
            name={name}
            label="Harder"
            disabled={isOut || at + 1 > most}
            press={() => give(at + 1)}
            hint={at + 1 > most ? undefined : words(at + 1)}
          >
            <ChevronUp size={20} />
          </Press>
          <Press name={name} label="Hurts" disabled={isOut} press={() => ask({ what: 'hurts', memberId: member.id })} isStop>
            <HeartCrack size={20} />
          </Press>
          <Press name={name} label="Form" disabled={isOut} press={() => ask({ what: 'form', memberId: member.id })}>
            <ScanEye size={20} />
          </Press>
          <Press name={name} label="Note" disabled={false} press={() => ask({ what: 'note', memberId: member.id })}>
            <NotebookPen size={20} />
          </Press>
          <Press
            name={name}
            label={now.here ? 'Leaves' : 'Arrives'}
            disabled={false}
            press={() =>
              now.here
                ? tell(press({ kind: 'leave', memberId: member.id }), `${name} has left`)
                : tell(press({ kind: 'arrive', memberId: member.id }), `${name} is here`)
            }
          >
            <DoorOpen size={20} />
          </Press>
        </div>
      )}
    </li>
  );
}

/** Says what a press did, with a way to take it back while that is possible. */
export function tell(id: string | null, text: string): void {
  useToast.getState().show({ text, ...(id !== null && { action: { label: 'Undo', run: () => undo(id) } }) });
}

function standing({ here, stopped, complaints, arrivedMs }: MemberState): string {
  if (stopped) return `Stopped: ${STOP_SIGNS[stopped.sign].toLowerCase()}`;
  if (!here) return arrivedMs === null ? 'Not here yet' : 'Has left';
  const last = complaints.at(-1);
  return last ? `Hurts, ${last.discomfort} of 10` : '';
}

interface PressProps {
  name: string;
  label: string;
  /** What comes of it. */
  hint?: string | undefined;
  disabled: boolean;
  press: () => void;
  isStop?: boolean;
  children: ReactNode;
}

function Press({ name, label, hint, disabled, press: run, isStop = false, children }: PressProps) {
  return (
    <button
      type="button"
      aria-label={`${label}: ${name}`}
      title={hint && capital(hint)}
      disabled={disabled}
      className={`grid h-14 min-w-14 place-content-center place-items-center border bg-white text-fine leading-none font-semibold hover:bg-ground disabled:opacity-35 ${isStop ? 'border-iron text-iron' : 'border-ink/50'}`}
      onClick={run}
    >
      {children}
      <span className="mt-1">{label}</span>
    </button>
  );
}
