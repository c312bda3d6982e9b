import { capital, type Gap, type Phase, PHASES, type Place, PLACES } from '@clay-pot/core';
import { INPUT } from '../../ui/field.js';

/** By what the shelf is narrowed besides its families: one of these at a time. */
export interface Where {
  readonly phase: Phase | '';
  readonly place: Place | '';
  readonly gapWords: string;
}
/** Not narrowed. */
export const NOWHERE: Where = { phase: '', place: '', gapWords: '' };

interface Props {
  where: Where;
  gaps: readonly Gap[];
  onChange: (where: Where) => void;
}

/** Chooses a phase, a place in the room, or something that the sequence never visits. */
export function WhereSelect({ where, gaps, onChange }: Props) {
  const value = where.phase ? `phase ${where.phase}` : where.place ? `place ${where.place}` : where.gapWords && `gap ${where.gapWords}`; // prettier-ignore
  function choose(chosen: string) {
    const [, kind, rest = ''] = /^(\w+) (.+)$/.exec(chosen) ?? [];
    onChange({
      phase: PHASES.find((phase) => kind === 'phase' && phase === rest) ?? '',
      place: PLACES.find((place) => kind === 'place' && place === rest) ?? '',
      gapWords: kind === 'gap' ? rest : '',
    });
  }
  return (
    <select
      aria-label="Phase, place or gap"
      className={INPUT}
      value={value}
      onChange={(event) => choose(event.target.value)}
    >
      <option value="">Any phase, any place</option>
      {gaps.length > 0 && (
        <optgroup label="Nothing here visits">
          {gaps.map(({ words }) => (
            <option key={words} value={`gap ${words}`}>
              {words}
            </option>
          ))}
        </optgroup>
      )}
      <optgroup label="Usually in the phase">
        {PHASES.map((phase) => (
          <option key={phase} value={`phase ${phase}`}>
            {capital(phase)}
          </option>
        ))}
      </optgroup>
      <optgroup label="Done">
        {PLACES.map((place) => (
          <option key={place} value={`place ${place}`}>
            {PLACE_WORDS[place]}
          </option>
        ))}
      </optgroup>
    </select>
  );
}

const PLACE_WORDS: Record<Place, string> = {
  standing: 'standing',
  seated: 'seated',
  floor: 'on the floor',
  wall: 'at the wall',
  bar: 'at the bar',
};
