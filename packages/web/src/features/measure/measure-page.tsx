import { firstName } from '../../ui/format.js';
import type { Athlete } from '@clay-pot/contracts';
import { must, protocolOf } from '@clay-pot/core';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useAthlete, useReadings } from '../../api/queries.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { dropMeasuring, goToProtocol, keepMeasured, type Measuring, readingsOf, useMeasuring } from '../../store/measuring.js';
import { Button } from '../../ui/button.js';
import { Loading, Trouble, useTitle } from '../../ui/page.js';
import { STEP_PAGE, StepBar } from '../../ui/step-bar.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';
import { ChooseBattery } from './choose-battery.js';
import type { Source } from '../../domain/devices/sources.js';
import { ProtocolRail } from './protocol-rail.js';
import { ProtocolView } from './protocol-view.js';

/** The measuring bench: a battery is chosen and led, thing by thing. */
export default function MeasurePage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const readings = useReadings(id);
  const measuring = useMeasuring(({ open }) => (id ? open[id] : undefined));
  useTitle(athlete.data ? `Measuring ${athlete.data.name}` : 'Tests');
  if (athlete.isError && !athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!athlete.data || (!readings.data && !readings.isError)) return <Loading what="the bench" />;
  const before = readings.data ?? [];
  return measuring ? (
    <Bench athlete={athlete.data} measuring={measuring} before={before} />
  ) : (
    <ChooseBattery athlete={athlete.data} readings={before} />
  );
}

interface BenchProps {
  athlete: Athlete;
  measuring: Measuring;
  before: NonNullable<ReturnType<typeof useReadings>['data']>;
}

function Bench({ athlete, measuring, before }: BenchProps) {
  const navigate = useNavigate();
  const cautions = useStandingCautions(athlete);
  const { ids, at } = measuring;
  const protocol = must(protocolOf(ids[at] ?? ''), 'a test to run');
  const isLast = at === ids.length - 1;
  const count = readingsOf(measuring, isoToday()).length;
  const [source, setSource] = useState<Source>({ kind: 'typed' });
  const home = () => navigate(`/people/${athlete.id}`);
  function keep() {
    const kept = keepMeasured(athlete);
    useToast.getState().show({ text: `${kept} ${kept === 1 ? 'reading' : 'readings'} of ${firstName(athlete.name)} saved.` });
    void home();
  }
  function leave() {
    const run = dropMeasuring(athlete.id);
    if (count > 0) useToast.getState().show({ text: 'Left without saving.', action: { label: 'Undo', run } });
  }
  const go = (to: number) => {
    goToProtocol(athlete.id, to);
    window.scrollTo({ top: 0 });
  };
  return (
    <div className={`${STEP_PAGE} max-w-6xl`}>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-4 lg:grid-cols-[13rem_minmax(0,1fr)]">
        <ProtocolRail athlete={athlete} measuring={measuring} go={go} />
        <ProtocolView key={protocol.id} {...{ athlete, measuring, protocol, cautions, before, source, setSource }} />
      </div>
      <StepBar at={at} go={go} away={{ name: 'Leave', run: leave }}>
        <span className="flex-1 text-center text-small text-ink-soft figures">
          {at + 1} of {ids.length}
        </span>
        {count > 0 && !isLast && (
          <Button className="min-h-11 max-sm:hidden" onClick={keep}>
            Save {count} and finish
          </Button>
        )}
        {isLast ? (
          <Button kind="primary" className="min-h-11 min-w-28" disabled={count === 0} onClick={keep}>
            Save {count || ''}
          </Button>
        ) : (
          <Button kind="primary" className="min-h-11 min-w-28" onClick={() => go(at + 1)}>
            Next
          </Button>
        )}
      </StepBar>
    </div>
  );
}
