import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useImportProgramme } from '../../api/programme-queries.js';
import { useAthlete, useIntakes, useLevels, usePast } from '../../api/queries.js';
import { AthleteField } from '../../domain/athlete/athlete-choice.js';
import { FileButton, ImportTrouble } from '../../domain/sequence/from-file.js';
import { Empty, Loading, Page, Part } from '../../ui/page.js';
import { PlanForm } from './plan-form.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** A programme from a goal, a start and the days that there are. */
export default function NewProgrammePage() {
  const [params, setParams] = useSearchParams();
  const athleteId = athleteIn(params);
  const choose = (id: string | undefined) => setParams(id === undefined ? {} : { athlete: id }, { replace: true });
  const athleteChoice = <AthleteField label="Athlete" value={athleteId} nobody="Choose an athlete" choose={choose} />;
  return (
    <Page title="New programme" lead="The weeks begin as the method’s usually do; on the calendar everything can be moved and changed.">
      {athleteId === undefined ? (
        <div className="grid max-w-md gap-4">
          {athleteChoice}
          <Empty>A programme belongs to one athlete.</Empty>
        </div>
      ) : (
        <ForSomebody key={athleteId} athleteId={athleteId} athleteChoice={athleteChoice} />
      )}
    </Page>
  );
}

function ForSomebody({ athleteId, athleteChoice }: { athleteId: string; athleteChoice: React.ReactNode }) {
  const athlete = useAthlete(athleteId);
  const intakes = useIntakes(athleteId);
  const past = usePast(athleteId);
  const levels = useLevels(athleteId);
  if (!athlete.data || intakes.isPending || past.isPending || levels.isPending) return <Loading what="the person" />;
  return (
    <>
      <PlanForm athlete={athlete.data} intakes={intakes.data ?? []} athleteChoice={athleteChoice} />
      <FromFile athleteId={athleteId} />
    </>
  );
}

/** A programme that came as a file, with its sequences. */
function FromFile({ athleteId }: { athleteId: string }) {
  const navigate = useNavigate();
  const load = useImportProgramme();
  const [fileName, setFileName] = useState('');
  async function importFile(chosen: File) {
    setFileName(chosen.name);
    const text = await chosen.text();
    const stored = await load.mutateAsync({ id: uuid(), athleteId, text }).catch(() => null);
    if (stored) await navigate(`/programmes/${stored.id}`);
  }
  return (
    <Part title="Or import a file" className="mt-8 max-w-3xl">
      <div className="py-3">
        {load.error && <ImportTrouble error={load.error} fileName={fileName} dismiss={() => load.reset()} />}
        <FileButton name="Programme file" disabled={load.isPending} choose={(chosen) => void importFile(chosen)} />
      </div>
    </Part>
  );
}
