import { useSearchParams } from 'react-router';
import { useAthlete, useAthletes, useIntakes, useLevels, usePast } from '../../api/queries.js';
import { SelectField } from '../../ui/field.js';
import { Empty, Loading, Page } from '../../ui/page.js';
import { PlanForm } from './plan-form.js';

/** A programme from a goal, a start and the days that there are. */
export default function NewProgrammePage() {
  const [params, setParams] = useSearchParams();
  const athleteId = params.get('athlete') ?? undefined;
  const athletes = useAthletes();
  const whom = (
    <SelectField
      label="For"
      value={athleteId ?? ''}
      onChange={(event) => setParams(event.target.value ? { athlete: event.target.value } : {}, { replace: true })}
    >
      <option value="">Choose somebody</option>
      {athletes.data?.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </SelectField>
  );
  return (
    <Page
      title="New programme"
      lead="The weeks begin as the method’s usually do; on the calendar everything can be moved and changed."
    >
      {athleteId === undefined ? (
        <div className="grid max-w-md gap-4">
          {whom}
          <Empty>A programme belongs to one person.</Empty>
        </div>
      ) : (
        <ForSomebody key={athleteId} athleteId={athleteId} whom={whom} />
      )}
    </Page>
  );
}

function ForSomebody({ athleteId, whom }: { athleteId: string; whom: React.ReactNode }) {
  const athlete = useAthlete(athleteId);
  const intakes = useIntakes(athleteId);
  const past = usePast(athleteId);
  const levels = useLevels(athleteId);
  if (!athlete.data || intakes.isPending || past.isPending || levels.isPending) return <Loading what="the person" />;
  return <PlanForm athlete={athlete.data} intakes={intakes.data ?? []} whom={whom} />;
}
