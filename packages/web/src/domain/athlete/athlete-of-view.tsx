import { useSearchParams } from 'react-router';
import { AthleteChoice } from './athlete-choice.js';

/** Whose id an address names; an empty one names nobody. */
export const athleteIn = (params: URLSearchParams): string | undefined => params.get('athlete') || undefined;

/** Whose things are shown, as the address says; undefined for everybody’s. */
export const useChosenAthlete = (): string | undefined => athleteIn(useSearchParams()[0]);

/** Of whom a page shows things: everybody, or one; kept in the address. */
export function AthleteOfView() {
  const [, setParams] = useSearchParams();
  return (
    <AthleteChoice
      label="Athlete"
      className="w-60"
      nobody="All athletes"
      value={useChosenAthlete()}
      choose={(athlete) =>
        setParams((before) => {
          if (athlete) before.set('athlete', athlete);
          else before.delete('athlete');
          return before;
        })
      }
    />
  );
}
