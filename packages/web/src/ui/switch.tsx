import { Field, Label, Switch as HeadlessSwitch } from '@headlessui/react';
import type { ReactNode } from 'react';

interface Props {
  label: ReactNode;
  on: boolean;
  turn: (on: boolean) => void;
  className?: string;
}

/** Something that holds at once when it is turned on, unlike a tick in a form that is sent. */
export function Switch({ label, on, turn, className = '' }: Props) {
  return (
    <Field className={`flex min-h-8 items-center gap-2 ${className}`}>
      <HeadlessSwitch
        checked={on}
        onChange={turn}
        className="group inline-flex h-5 w-9 shrink-0 items-center border border-ink bg-white px-0.5 data-checked:bg-ink"
      >
        <span className="size-3.5 bg-ink transition-transform group-data-checked:translate-x-4 group-data-checked:bg-white motion-reduce:transition-none" />
      </HeadlessSwitch>
      <Label className="cursor-pointer">{label}</Label>
    </Field>
  );
}
