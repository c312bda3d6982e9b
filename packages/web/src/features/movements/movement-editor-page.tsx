import {
  checkMovement,
  type Climb,
  CLIMBS,
  CORNERS,
  EQUIPMENT,
  FAMILIES,
  type Fault,
  isSome,
  MOTIONS,
  type Movement,
  MOVEMENT_LIMITS,
  MUSCLE_GROUPS,
  REFERENCE_BODIES,
  referencePerson,
  SIDE_PLANS,
  WORK_KINDS,
} from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { type UseFormRegister, useForm } from 'react-hook-form';
import { MovementInput } from '@clay-pot/contracts';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useSaveMovement } from '../../api/own-queries.js';
import { ProblemError } from '../../api/request.js';
import { movementById } from '../../store/library.js';
import { useOwnMovements } from '../../store/own-movements.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { SelectField, TextField } from '../../ui/field.js';
import { Page, Part } from '../../ui/page.js';
import { requestResolver } from '../../ui/request-resolver.js';
import { isoToday } from '../../ui/today.js';
import { CautionsEditor } from './cautions-editor.js';
import { LadderEditor } from './ladder-editor.js';
import { Checks, LinesField } from './movement-fields.js';
import { blankMovement } from './blank-movement.js';

/** Where a studio writes its own movement, from nothing, from a copy of a shipped one, or changing what it has. */
export default function MovementEditorPage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const own = useOwnMovements((state) => state.stored.find((stored) => stored.id === id));
  const from = params.get('from');
  const source = from ? movementById(from) : undefined;
  if (id !== 'new' && !own) {
    return (
      <Page title="Movement not found" lead="Only movements of this studio can be changed. Shipped ones are copied first.">
        <ButtonLink to="/movements">Back to the movements</ButtonLink>
      </Page>
    );
  }
  const start = own?.movement ?? (source ? { ...source, id: uuid(), name: `${source.name} (custom)` } : blankMovement(uuid()));
  return <MovementEditor key={own?.etag ?? from ?? 'new'} start={start} {...(own && { etag: own.etag })} />;
}

/** A movement as it is sent: its id is the address that it is stored under. */
function inputOf({ id: _id, ...input }: Movement): MovementInput {
  return input;
}

function MovementEditor({ start, etag }: { start: Movement; etag?: string }) {
  const { id } = start;
  const form = useForm<Movement, unknown, MovementInput>({
    resolver: requestResolver<Movement, MovementInput>(MovementInput, {
      tidy: inputOf,
      // Whether the ladder rises no class can say.
      check: (input) => checkMovement({ ...input, id }),
    }),
    defaultValues: start,
  });
  const movement = form.watch();
  const [refused, setRefused] = useState<readonly Fault[]>([]);
  const save = useSaveMovement();
  const navigate = useNavigate();
  const person = useMemo(() => referencePerson(REFERENCE_BODIES['not stated'], isoToday()), []);
  const change = (part: Partial<Movement>) => {
    setRefused([]);
    for (const [field, value] of Object.entries(part)) form.setValue(field as 'name', value as string, { shouldDirty: true });
  };
  const faults = checkMovement(movement);
  // What is only not written yet is no mistake before somebody wants to keep it.
  const [confirmed, setAsked] = useState(etag !== undefined);
  const unwritten = useMemo(() => new Set(checkMovement(start).map(({ pointer }) => pointer)), [start]);
  const seen = confirmed ? faults : faults.filter(({ pointer }) => !unwritten.has(pointer));
  const shown = refused.length ? refused : seen;

  async function keep(input: MovementInput) {
    try {
      await save.mutateAsync({ id, input, ...(etag && { etag }) });
      void navigate(`/movements/${id}`);
    } catch (error) {
      const problems = error instanceof ProblemError ? error.problem.errors : undefined;
      setRefused(problems?.length ? problems : [{ pointer: '', message: error instanceof Error ? error.message : String(error) }]);
    }
  }
  return (
    <Page
      title={etag ? `Change ${start.name}` : 'New movement'}
      lead="Judged by the same rules as the shipped library: every level is computed, and the ladder must rise."
      actions={
        <>
          <Button onClick={() => void navigate(-1)}>Cancel</Button>
          <Button
            kind="primary"
            disabled={seen.length > 0 || save.isPending}
            onClick={() => {
              setAsked(true);
              void form.handleSubmit(keep)();
            }}
          >
            Save
          </Button>
        </>
      }
    >
      <FaultList faults={shown} />
      <div className="grid gap-8">
        <Words register={form.register} movement={movement} change={change} />
        <Part title="Levels, easiest first">
          <LadderEditor movement={movement} person={person} faults={shown} change={change} />
        </Part>
        <Part title="Precautions">
          <CautionsEditor cautions={movement.cautions} set={(cautions) => change({ cautions })} />
        </Part>
        <Part title="What it trains and needs">
          <div className="grid gap-5 py-3">
            <Checks label="Muscle groups" options={MUSCLE_GROUPS} chosen={movement.trains} set={(trains) => change({ trains })} />
            <Checks label="Motions" options={MOTIONS} chosen={movement.motions} set={(motions) => change({ motions })} />
            <Checks label="Two-joint corners" options={CORNERS} chosen={movement.corners} set={(corners) => change({ corners })} />
            <Checks
              label="Equipment for every level"
              options={EQUIPMENT}
              chosen={movement.equipment}
              set={(equipment) => change({ equipment })}
            />
            <Checks label="Hands" options={SIDE_PLANS} chosen={movement.sides} set={(sides) => isSome(sides) && change({ sides })} />
            <Checks label="Counted in" options={WORK_KINDS} chosen={movement.work} set={(work) => isSome(work) && change({ work })} />
          </div>
        </Part>
      </div>
    </Page>
  );
}

function FaultList({ faults }: { faults: readonly Fault[] }) {
  if (!faults.length) return null;
  return (
    <ul role="status" className="mb-5 border-l-4 border-iron bg-iron-wash px-4 py-2">
      {faults.map(({ pointer, message }) => (
        <li key={pointer + message}>
          <b>{place(pointer)}</b> {message}
        </li>
      ))}
    </ul>
  );
}

/** A pointer in words: /ladder/1/load → Level 2, load. */
function place(pointer: string): string {
  const [first, index, ...rest] = pointer.split('/').slice(1);
  if (first !== 'ladder' || index === undefined) return first ?? '';
  return `Level ${Number(index) + 1}${rest.length ? `, ${rest.at(-1)}` : ''}:`;
}

interface WordsProps {
  register: UseFormRegister<Movement>;
  movement: Movement;
  change: (part: Partial<Movement>) => void;
}

function Words({ register, movement, change }: WordsProps) {
  const [first, second] = movement.directions ?? ['', ''];
  const directions = (a: string, b: string) => change({ directions: a || b ? [a, b] : null });
  return (
    <Part title="Description">
      <div className="grid gap-4 py-3 sm:grid-cols-2">
        <TextField label="Name" maxLength={MOVEMENT_LIMITS.nameLength} {...register('name')} />
        <SelectField label="Family" {...register('family')}>
          {Object.entries(FAMILIES).map(([key, name]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </SelectField>
        <div className="sm:col-span-2">
          <TextField label="Purpose, in one sentence" maxLength={MOVEMENT_LIMITS.textLength} {...register('purpose')} />
        </div>
        <LinesField label="How to do it, one step a line" lines={movement.howTo} set={(howTo) => change({ howTo })} />
        <LinesField label="Cues, one a line" lines={movement.cues} set={(cues) => change({ cues })} />
        <LinesField label="Common faults, one a line" lines={movement.faults} set={(faults) => change({ faults })} />
        <div className="grid content-start gap-4">
          <SelectField label="Levels differ by" {...register('climbs')}>
            {(Object.keys(CLIMBS) as Climb[]).map((climb) => (
              <option key={climb} value={climb}>
                {climb}, {CLIMBS[climb]}
              </option>
            ))}
          </SelectField>
          <div className="grid grid-cols-2 gap-3">
            <TextField label="Name of the way out" maxLength={MOVEMENT_LIMITS.wordLength} {...register('strokes.0')} />
            <TextField label="Name of the way back" maxLength={MOVEMENT_LIMITS.wordLength} {...register('strokes.1')} />
            <TextField
              label="First direction (optional)"
              value={first}
              maxLength={MOVEMENT_LIMITS.wordLength}
              onChange={(event) => directions(event.target.value, second)}
            />
            <TextField
              label="Second direction"
              value={second}
              maxLength={MOVEMENT_LIMITS.wordLength}
              onChange={(event) => directions(first, event.target.value)}
            />
          </div>
          <SelectField label="Timed work is" {...register('timed')}>
            <option value="hold">held still</option>
            <option value="bout">kept moving</option>
          </SelectField>
          <SelectField
            label="The hand that isn’t working"
            {...register('otherHand', { setValueAs: (value: string) => value || undefined })}
          >
            <option value="">is free</option>
            <option value="helps">helps lightly</option>
            <option value="resists">pushes back</option>
          </SelectField>
        </div>
      </div>
    </Part>
  );
}
