import { useSearchParams } from 'react-router';
import { useAthletes } from '../api/queries.js';
import { INPUT } from '../ui/field.js';

/** Whose things are shown, as the address says; undefined for everybody’s. */
export const useOfWhom = (): string | undefined => useSearchParams()[0].get('athlete') ?? undefined;

/** Of whom a page shows things: everybody, or one; kept in the address. */
export function OfWhom() {
  const [, setParams] = useSearchParams();
  const athletes = useAthletes();
  return (
    <select
      aria-label="Of whom"
      className={`${INPUT} w-60!`}
      value={useOfWhom() ?? ''}
      onChange={(event) => setParams(event.target.value ? { athlete: event.target.value } : {})}
    >
      <option value="">Everybody</option>
      {athletes.data?.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
