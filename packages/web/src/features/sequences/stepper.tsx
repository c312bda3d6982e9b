import type { Limit } from '@clay-pot/core';
import { Minus, Plus } from 'lucide-react';
import { IconButton } from '../../ui/button.js';

interface StepperProps {
  name: string;
  value: number;
  limit: Limit;
  step?: number;
  set: (value: number) => void;
  /** Said of a value that is not set: what goes without it. */
  unset?: boolean;
}

/** A number within its bounds, one step at a time. */
export function Stepper({ name, value, limit, step = limit.step, set, unset = false }: StepperProps) {
  // A value between two steps goes on to the next.
  const clamp = (next: number) => Number(Math.min(limit.max, Math.max(limit.min, next)).toFixed(3));
  return (
    <div role="group" aria-label={name} className="text-small">
      <span className="block text-ink-soft">{name}</span>
      <div className="flex w-fit items-center border border-ink/45 bg-white">
        <IconButton name={`Fewer ${name}`} className="h-[30px] w-7!" disabled={value <= limit.min} onClick={() => set(clamp(value - step))}>
          <Minus size={14} />
        </IconButton>
        <output className={`min-w-7 text-center text-body figures ${unset ? 'text-ink-soft' : 'font-semibold'}`}>{value}</output>
        <IconButton name={`More ${name}`} className="h-[30px] w-7!" disabled={value >= limit.max} onClick={() => set(clamp(value + step))}>
          <Plus size={14} />
        </IconButton>
      </div>
    </div>
  );
}
