import { type Gap, PHASE_NAMES, PHASES, type Place, PLACES } from '@clay-pot/core';
import type { MovementFilter } from '../../domain/movement/movement-filter.js';
import { INPUT } from '../../ui/field.js';

/** By what the shelf is narrowed besides its families: one at a time. */
interface Where {
  readonly key: string;
  readonly label: string;
  readonly narrows: Partial<Pick<MovementFilter, 'phase' | 'place' | 'gap'>>;
}

const PLACE_WORDS: Record<Place, string> = {
  standing: 'standing',
  seated: 'seated',
  floor: 'on the floor',
  wall: 'at the wall',
  bar: 'at the bar',
};
const IN_PHASE = PHASES.map((phase): Where => ({ key: phase, label: PHASE_NAMES[phase], narrows: { phase } }));
const AT_PLACE = PLACES.map((place): Where => ({ key: place, label: PLACE_WORDS[place], narrows: { place } }));
const forGaps = (gaps: readonly Gap[]) => gaps.map((gap): Where => ({ key: gap.words, label: gap.words, narrows: { gap } }));

/** What a choice narrows the shelf by; nothing where it is none, or a gap that is closed by now. */
export const narrowedBy = (key: string, gaps: readonly Gap[]): Where['narrows'] =>
  [...forGaps(gaps), ...IN_PHASE, ...AT_PLACE].find((where) => where.key === key)?.narrows ?? {};

interface Props {
  chosen: string;
  gaps: readonly Gap[];
  onChange: (key: string) => void;
}

/** Chooses a phase, a place in the room, or something that the sequence never visits. */
export function WhereSelect({ chosen, gaps, onChange }: Props) {
  const isThere = Object.keys(narrowedBy(chosen, gaps)).length > 0;
  return (
    <select
      aria-label="Phase, place or gap"
      className={INPUT}
      value={isThere ? chosen : ''}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">Any phase, any place</option>
      {gaps.length > 0 && <Choices label="Not covered yet" of={forGaps(gaps)} />}
      <Choices label="Usual phase" of={IN_PHASE} />
      <Choices label="Place" of={AT_PLACE} />
    </select>
  );
}

function Choices({ label, of }: { label: string; of: readonly Where[] }) {
  return (
    <optgroup label={label}>
      {of.map((where) => (
        <option key={where.key} value={where.key}>
          {where.label}
        </option>
      ))}
    </optgroup>
  );
}
