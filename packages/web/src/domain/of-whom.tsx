import { useSearchParams } from 'react-router';
import { WhomChoice } from './whom-choice.js';

/** Whose things are shown, as the address says; undefined for everybody’s. */
export const useOfWhom = (): string | undefined => useSearchParams()[0].get('athlete') ?? undefined;

/** Of whom a page shows things: everybody, or one; kept in the address. */
export function OfWhom() {
  const [, setParams] = useSearchParams();
  return (
    <WhomChoice
      label="Of whom"
      className="w-60"
      nobody="Everybody"
      value={useOfWhom()}
      choose={(athlete) => setParams(athlete ? { athlete } : {})}
    />
  );
}
