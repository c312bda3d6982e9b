import {
  climbedBy,
  CLIMBS,
  type Contact,
  CONTACTS,
  demandOf,
  type DosingKind,
  type Facing,
  FACINGS,
  type Fault,
  isSome,
  itemAt,
  lastOf,
  type Level,
  LOAD_KINDS,
  type LoadKind,
  type Movement,
  MOVEMENT_LIMITS,
  type Person,
  type Posture,
  POSTURES,
  printDose,
  USUAL_RANGES,
  STRENGTH_NAMES,
  STRENGTH_WORDS,
  type StrengthName,
} from '@clay-pot/core';
import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { useState } from 'react';
import { LevelPicture, useLevelPicture } from '../../domain/movement/level-picture.js';
import { MovingPicture } from '../../domain/movement/moving-picture.js';
import { Button, IconButton } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { Choice, LoadWords, NumberField, SubjectFields } from '../../domain/movement/subject-fields.js';
import { fieldsOf, postureSubject, setField, type Subject, troubleWith } from '../../domain/movement/subject.js';
import { DoseField } from '../../domain/sequence/dose-field.js';
import { blankLoad } from './blank-movement.js';
import { PoseEditor } from './pose/pose-editor.js';

interface Props {
  movement: Movement;
  person: Person;
  faults: readonly Fault[];
  change: (part: Partial<Movement>) => void;
}

/** The levels, easiest first, each with its picture and what it asks, computed while it is edited. */
export function LadderEditor({ movement, person, faults, change }: Props) {
  const { ladder } = movement;
  const set = (levels: readonly Level[]) => isSome(levels) && change({ ladder: levels });
  const replace = (index: number, level: Level) => set(ladder.with(index, level));
  const move = (index: number, step: 1 | -1) =>
    set(ladder.with(index, itemAt(ladder, index + step)).with(index + step, itemAt(ladder, index)));
  return (
    <ol className="grid gap-4 py-3">
      {ladder.map((level, index) => (
        <li key={level.id} className="border-l-4 border-ink bg-white p-3">
          <div className="mb-2 flex items-center gap-2">
            <span className="display text-lead font-bold">{index + 1}</span>
            <Climbed movement={movement} level={level} person={person} />
            <span className="ml-auto flex">
              <IconButton name={`Move level ${index + 1} down`} disabled={index === 0} onClick={() => move(index, -1)}>
                <ArrowUp size={16} />
              </IconButton>
              <IconButton name={`Move level ${index + 1} up`} disabled={index === ladder.length - 1} onClick={() => move(index, 1)}>
                <ArrowDown size={16} />
              </IconButton>
              <IconButton name={`Delete level ${index + 1}`} disabled={ladder.length === 1} onClick={() => set(ladder.toSpliced(index, 1))}>
                <X size={17} />
              </IconButton>
            </span>
          </div>
          <LevelEditor movement={movement} level={level} person={person} set={(next) => replace(index, next)} />
          {faults
            .filter(({ pointer }) => pointer.startsWith(`/ladder/${index}/`))
            .map(({ pointer, message }) => (
              <p key={pointer} role="alert" className="mt-2 text-small font-semibold text-iron">
                {message}
              </p>
            ))}
        </li>
      ))}
      <li>
        <Button
          onClick={() => set([...ladder, { ...lastOf(ladder), id: uuid(), name: `Level ${ladder.length + 1}` }])}
          disabled={ladder.length >= MOVEMENT_LIMITS.levels}
        >
          <Plus size={16} aria-hidden /> Add a harder level
        </Button>
      </li>
    </ol>
  );
}

/** The level’s position on the measure that the ladder climbs by. */
function Climbed({ movement, level, person }: { movement: Movement; level: Level; person: Person }) {
  const trouble = troubleWith(person, level);
  if (trouble) return <span className="text-small font-semibold text-iron">{trouble}</span>;
  const value = climbedBy(movement, level, demandOf(person, level));
  return (
    <span className="text-small text-ink-soft figures">
      {movement.climbs}: <b className="text-ink">{value.toFixed(1)}</b> {CLIMBS[movement.climbs]}, average adult
    </span>
  );
}

const KIND_NAMES: Record<LoadKind, string> = {
  body: 'the body rests on the hands',
  hang: 'hanging',
  lift: 'lifting or carrying',
  weight: 'a weight or lever at a joint',
  roller: 'a wrist roller',
  press: 'pressing against what does not give',
  resist: 'closing or opening against a force',
  move: 'moving freely',
  stretch: 'a stretch with help',
  rest: 'letting go',
};

function LevelEditor({ movement, level, person, set }: { movement: Movement; level: Level; person: Person; set: (level: Level) => void }) {
  const subject: Subject = level;
  const body = level.load.kind === 'body';
  const take = ({ contact, facing, load }: Subject) =>
    set({ ...level, contact, facing, load, loading: loadingOf(load.kind, contact, level) });
  const trouble = troubleWith(person, level);
  const [posing, setPosing] = useState(false);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_15rem]">
      <div className="grid content-start gap-3">
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label="Name"
            value={level.name}
            maxLength={MOVEMENT_LIMITS.nameLength}
            onChange={(event) => set({ ...level, name: event.target.value })}
          />
          <TextField
            label="How it differs"
            value={level.description}
            maxLength={MOVEMENT_LIMITS.textLength}
            onChange={(event) => set({ ...level, description: event.target.value })}
          />
        </div>
        <div className="grid gap-3 sm:grid-cols-3">
          <Choice
            label="Default dose assumes"
            value={level.meantFor ?? 'ordinary'}
            options={STRENGTH_NAMES}
            names={STRENGTH_WORDS}
            set={(name) => {
              const { meantFor: _before, ...rest } = level;
              set(name === 'ordinary' ? rest : { ...rest, meantFor: name as StrengthName });
            }}
          />
          <Choice
            label="Kind of work"
            value={level.load.kind}
            options={LOAD_KINDS}
            names={KIND_NAMES}
            set={(kind) => {
              const load = blankLoad(kind as LoadKind);
              const planted = kind === 'body';
              set({
                ...level,
                load,
                contact: planted ? 'open palm' : 'none',
                facing: planted ? 'forward' : 'free',
                loading: loadingOf(kind as LoadKind, planted ? 'open palm' : 'none', level),
                dose: kind === 'press' ? { ...level.dose, effortPercent: 30 } : level.dose,
              });
            }}
          />
          <Choice label="Body" value={level.posture} options={POSTURES} set={(posture) => set({ ...level, posture: posture as Posture })} />
          <Choice
            label="Usual dose range"
            value={level.dosing}
            options={Object.keys(USUAL_RANGES)}
            names={Object.fromEntries(Object.entries(USUAL_RANGES).map(([key, { label }]) => [key, label]))}
            set={(dosing) => set({ ...level, dosing: dosing as DosingKind })}
          />
          {!body && (
            <Choice
              label="Contact"
              value={level.contact}
              options={CONTACTS}
              set={(contact) => set({ ...level, contact: contact as Contact })}
            />
          )}
          {!body && (
            <Choice
              label="Fingers point"
              value={level.facing}
              options={FACINGS}
              set={(facing) => set({ ...level, facing: facing as Facing })}
            />
          )}
          {!body && <LoadWords subject={subject} setSubject={take} />}
        </div>
        {trouble ? null : body ? (
          <SubjectFields
            subject={subject}
            fields={fieldsOf(person.body, subject)}
            setNumber={(name, value) => take(setField(person, subject, name, value).subject)}
            setSubject={take}
            start={(name) => take(postureSubject(name))}
          />
        ) : (
          <div className="grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-3">
            {fieldsOf(person.body, subject)
              .filter(({ name }) => !(level.load.kind === 'press' && name === 'effortPercent'))
              .map((field) => (
                <NumberField key={field.name} field={field} set={(value) => take(setField(person, subject, field.name, value).subject)} />
              ))}
          </div>
        )}
        <div className="max-w-72">
          <p className="mb-1 text-small font-semibold">Usual dose</p>
          <DoseField
            level={level}
            dose={level.dose}
            movement={movement}
            onChange={(dose) => {
              const { load } = level;
              // Pressing is dosed by its effort: both are one number.
              const effortPercent = dose.effortPercent ?? 30;
              if (load.kind === 'press') set({ ...level, dose: { ...dose, effortPercent }, load: { ...load, effortPercent } });
              else set({ ...level, dose });
            }}
          />
          <p className="mt-1 text-fine text-ink-soft">Shorthand, e.g. {printDose(level.dose)}</p>
        </div>
      </div>
      {!trouble && <LevelHand movement={movement} level={level} person={person} posing={posing} setPosing={setPosing} />}
      {!trouble && posing && (
        <div className="lg:col-span-2">
          <PoseEditor movement={movement} level={level} person={person} set={set} />
        </div>
      )}
    </div>
  );
}

/** The level's picture, moving while its hand is posed. */
function LevelHand({
  movement,
  level,
  person: { body },
  posing,
  setPosing,
}: {
  movement: Movement;
  level: Level;
  person: Person;
  posing: boolean;
  setPosing: (posing: boolean) => void;
}) {
  const { value: drawn } = useLevelPicture(movement, level, body);
  return (
    <div>
      {posing ? (
        <MovingPicture movement={movement} level={level} body={body} moving withBody={false} className="h-44 w-full border border-line" />
      ) : (
        <LevelPicture movement={movement} level={level} body={body} className="h-44 w-full border border-line" />
      )}
      {drawn?.hand.unposed && <p className="mt-1 text-small font-semibold">No picture yet: nothing says what the hand does.</p>}
      <Button className="mt-1 w-full" aria-expanded={posing} onClick={() => setPosing(!posing)}>
        {posing ? 'Done posing' : 'Pose the hand'}
      </Button>
    </div>
  );
}

/** How the wrist is worked follows from what is asked; free motion of a held thing stays what it was. */
function loadingOf(kind: LoadKind, contact: Contact, level: Level): Level['loading'] {
  switch (kind) {
    case 'body':
      return contact === 'none' ? 'resisted' : 'planted';
    case 'move':
    case 'rest':
      return level.loading === 'resisted' ? 'resisted' : 'unloaded';
    case 'stretch':
      return 'assisted';
    default:
      return 'resisted';
  }
}
