import { POT_MEASURES, type PotMeasure } from '@clay-pot/core';
import { useSearchParams } from 'react-router';

const MEASURES = Object.keys(POT_MEASURES) as PotMeasure[];

/** What a pot's width shows, from the address; effort where it names none. */
export function useMeasure(): PotMeasure {
  const [params] = useSearchParams();
  return MEASURES.find((measure) => measure === params.get('width')) ?? 'effort';
}

/** Chooses what the width of pots shows, and keeps it in the address. */
export function MeasureChoice({ className, label }: { className: string; label?: string }) {
  const measure = useMeasure();
  const [, setParams] = useSearchParams();
  return (
    <select
      className={className}
      {...(label && { 'aria-label': label })}
      value={measure}
      onChange={(event) =>
        setParams(
          (params) => {
            params.set('width', event.target.value);
            return params;
          },
          { replace: true },
        )
      }
    >
      {MEASURES.map((each) => (
        <option key={each} value={each}>
          {POT_MEASURES[each].label}, {POT_MEASURES[each].unit}
        </option>
      ))}
    </select>
  );
}
