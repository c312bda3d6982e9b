import {
  type Contact,
  CONTACTS,
  type Facing,
  FACINGS,
  LOAD_FIELDS,
  POSTURE_NAMES,
  readNumber,
  shown,
  type UsualPosture,
} from '@clay-pot/core';
import { useState } from 'react';
import { INPUT } from '../../ui/field.js';
import { inUnit, outOfUnit, unitOf } from '../measuring/units.js';
import type { MovableField, Subject } from './subject.js';

interface Props {
  subject: Subject;
  fields: readonly MovableField[];
  /** Sets one number; what is impossible is refused by the caller. */
  setNumber: (name: string, value: number) => void;
  setSubject: (subject: Subject) => void;
  /** Starts from a named posture. */
  start: (name: UsualPosture) => void;
}

/** The words and numbers of the subject of the load bench. */
export function SubjectFields({ subject, fields, setNumber, setSubject, start }: Props) {
  const body = subject.load.kind === 'body';
  return (
    <div className="grid content-start gap-3">
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {body && (
          <Choice
            label="Start from"
            value=""
            options={['', ...Object.keys(POSTURE_NAMES)]}
            names={{ '': 'Choose a posture', ...POSTURE_NAMES }}
            set={(name) => name && start(name as UsualPosture)}
          />
        )}
        {body && (
          <Choice
            label="Contact"
            value={subject.contact}
            options={CONTACTS.filter((contact) => contact !== 'edge')}
            names={{ none: 'forearms' }}
            set={(contact) => setSubject({ ...subject, contact: contact as Contact })}
          />
        )}
        {body && (
          <Choice
            label="Fingers point"
            value={subject.facing}
            options={FACINGS.filter((facing) => facing !== 'free')}
            set={(facing) => setSubject({ ...subject, facing: facing as Facing })}
          />
        )}
        {!body && <LoadWords subject={subject} setSubject={setSubject} />}
      </div>
      <div className="grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-3">
        {fields.map((field) => (
          <NumberField key={field.name} field={field} set={(value) => setNumber(field.name, value)} />
        ))}
      </div>
    </div>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  options: readonly string[];
  names?: Readonly<Record<string, string>>;
  set: (value: string) => void;
}

/** One of a few words, as a labelled list. */
export function Choice({ label, value, options, names = {}, set }: ChoiceProps) {
  return (
    <label className="block text-small font-semibold">
      {label}
      <select className={`${INPUT} mt-1 py-1! font-normal`} value={value} onChange={(event) => set(event.target.value)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {names[option] ?? option}
          </option>
        ))}
      </select>
    </label>
  );
}

/** A number typed or stepped; nonsense stays in the field with the reason until it is mended. */
export function NumberField({ field, set }: { field: MovableField; set: (value: number) => void }) {
  const { label, step } = field;
  const unit = unitOf(field.unit);
  const [value, min, max] = [field.value, field.min, field.max].map((each) => inUnit(field.unit, each)) as [number, number, number];
  const shownStep = inUnit(field.unit, step);
  const text = shown(value, shownStep);
  // What is typed over a value goes when the value changes under it.
  const [draft, setDraft] = useState<{ over: string; typed: string } | null>(null);
  const typed = draft?.over === text ? draft.typed : null;
  const setTyped = (next: string | null) => setDraft(next === null ? null : { over: text, typed: next });
  const [trouble, setTrouble] = useState<string | null>(null);
  function commit() {
    if (typed === null) return;
    const number = readNumber(typed);
    if (!(number >= min && number <= max)) {
      // Without zeros that say nothing.
      const plain = (bound: number) => String(Number(shown(bound, shownStep)));
      setTrouble(`Enter a number from ${plain(min)}–${plain(max)} ${unit}.`);
      return;
    }
    setTrouble(null);
    setTyped(null);
    if (shown(number, shownStep) !== text) set(outOfUnit(field.unit, number));
  }
  const by = (sign: 1 | -1, coarse: boolean) => {
    const jump = coarse ? 5 * step : step;
    setTrouble(null);
    set(Math.min(field.max, Math.max(field.min, Number((field.value + sign * jump).toFixed(4)))));
  };
  return (
    <label className="block text-small">
      <span className="font-semibold">{label}</span>
      <span className="mt-0.5 flex items-center gap-1.5">
        <input
          className={`${INPUT} w-20! px-2! py-1! figures`}
          inputMode="decimal"
          aria-label={`${label}, ${unit}`}
          value={typed ?? text}
          aria-invalid={trouble ? true : undefined}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') {
              setTyped(null);
              setTrouble(null);
            }
            if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
              event.preventDefault();
              by(event.key === 'ArrowUp' ? 1 : -1, event.shiftKey);
            }
          }}
        />
        <span className="text-ink-soft">{unit}</span>
      </span>
      {trouble && (
        <span role="alert" className="font-semibold text-iron">
          {trouble}
        </span>
      )}
    </label>
  );
}

/** The words of a load that is not a posture: the hold, the action. */
export function LoadWords({ subject, setSubject }: { subject: Subject; setSubject: (subject: Subject) => void }) {
  const load: Readonly<Record<string, unknown>> = subject.load;
  return Object.entries(LOAD_FIELDS[subject.load.kind]).map(([name, field]) =>
    'words' in field && !field.many && typeof load[name] === 'string' && name !== 'on' ? (
      <Choice
        key={name}
        label={field.label}
        value={load[name]}
        options={field.words}
        set={(word) => setSubject({ ...subject, load: { ...subject.load, [name]: word } })}
      />
    ) : null,
  );
}
