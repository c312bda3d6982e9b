import { readable } from '../../domain/measuring/units.js';
import type { Athlete } from '@clay-pot/contracts';
import {
  type Action,
  againstLoad,
  joinSentences,
  bandOfPress,
  type BandScore,
  capacityOf,
  capital,
  demandOf,
  DOSE_LIMITS,
  type Hand,
  HANDS,
  type Level,
  must,
  readNumber,
  type WayOfLoading,
} from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAthlete } from '../../api/queries.js';
import { BandView } from '../../domain/band/band-view.js';
import { useBand } from '../../domain/band/use-band.js';
import { DeviceChoice } from '../../domain/devices/device-choice.js';
import { deviceForHold, type Source } from '../../domain/devices/sources.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { readingText } from '../../domain/measuring/units.js';
import { Button } from '../../ui/button.js';
import { SelectField, TextField } from '../../ui/field.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';

/** What a gauge in a hand or at a hand can be pressed with. */
const PRESSED: readonly Action[] = [
  'grip',
  'pinch',
  'finger extension',
  'wrist flexion',
  'wrist extension',
  'radial deviation',
  'ulnar deviation',
  'pronation',
  'supination',
];
const AT_FIRST: Source = { kind: 'simulated', fault: 'none', speed: 1 };

/** To press at a share of one’s most and keep it there: “40 percent” with a gauge. */
export default function BandPage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  if (athlete.isError && !athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!athlete.data) return <Loading what="the gauge" />;
  return <BandBench athlete={athlete.data} />;
}

/** A number within limits; NaN keeps the last word of it on the screen with the reason. */
const clampTo = (typed: string, { min, max }: { min: number; max: number }) => {
  const value = readNumber(typed);
  return value >= min && value <= max ? value : null;
};

function BandBench({ athlete }: { athlete: Athlete }) {
  const [action, setAction] = useState<Action>('grip');
  const [hand, setHand] = useState<Hand>(athlete.dominantHand);
  const [effort, setEffort] = useState('40');
  const [seconds, setSeconds] = useState('5');
  const [source, setSource] = useState<Source>(AT_FIRST);
  const effortPercent = clampTo(effort, DOSE_LIMITS.effortPercent);
  const holdS = clampTo(seconds, DOSE_LIMITS.holdS);
  return (
    <Page
      title="Target practice"
      lead={
        <>
          <Link to={`/people/${athlete.id}`} className="underline underline-offset-2">
            {athlete.name}
          </Link>
          , at a share of their most, kept for some seconds
        </>
      }
    >
      <div className="grid max-w-4xl gap-4 sm:grid-cols-4">
        <SelectField label="Action" value={action} onChange={(event) => setAction(event.target.value as Action)}>
          {PRESSED.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </SelectField>
        <SelectField label="Hand" value={hand} onChange={(event) => setHand(event.target.value as Hand)}>
          {HANDS.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </SelectField>
        <TextField
          label="Effort, % of maximum"
          inputMode="decimal"
          value={effort}
          error={effortPercent === null ? 'within 1–100 %' : undefined}
          onChange={(event) => setEffort(event.target.value)}
        />
        <TextField
          label="Hold, s"
          inputMode="decimal"
          value={seconds}
          error={holdS === null ? 'from 0.5 to 120 s' : undefined}
          onChange={(event) => setSeconds(event.target.value)}
        />
      </div>
      <div className="mt-4 max-w-4xl">
        <DeviceChoice sort="force" isTypable={false} source={source} choose={setSource} />
        {effortPercent !== null && holdS !== null && (
          <Press key={`${action} ${hand} ${effortPercent} ${holdS}`} {...{ athlete, action, hand, effortPercent, holdS, source }} />
        )}
      </div>
    </Page>
  );
}

interface PressProps {
  athlete: Athlete;
  action: Action;
  hand: Hand;
  effortPercent: number;
  holdS: number;
  source: Source;
}

/** One press after the other, each with its score; what is off for this hand is said instead. */
function Press({ athlete, action, hand, effortPercent, holdS, source }: PressProps) {
  const { person } = useSubject(athlete.id);
  const cautions = useStandingCautions(athlete);
  const [isOn, setOn] = useState(false);
  const [scores, setScores] = useState<readonly BandScore[]>([]);
  const load: Level['load'] = useMemo(() => ({ kind: 'press', action, effortPercent }), [action, effortPercent]);
  const way: WayOfLoading = { loading: 'assisted', contact: 'none', load };
  const band = must(bandOfPress(person, { load }, { holdS }, hand), 'a target practice');
  const against = againstLoad(way, demandOf(person, { ...way, facing: 'free' })[hand], cautions, hand);
  const device = useMemo(
    () => deviceForHold(source, { athleteId: athlete.id, hand, of: action, effortPercent, holdS: holdS + 2 }),
    [source, athlete.id, hand, action, effortPercent, holdS],
  );
  const { line, now, trouble } = useBand({
    device,
    band,
    isOn,
    onEnded: () => setOn(false),
    onOver: (score) => setScores((before) => [...before, score]),
  });
  const most = capacityOf(person, action, hand);
  if (against.length > 0) {
    return (
      <div role="note" className="mt-4 border-l-4 border-iron bg-iron-wash px-3 py-2">
        <b>{capital(hand)} hand: don’t load it.</b> {readable(joinSentences(against))}
      </div>
    );
  }
  return (
    <div className="mt-4 grid gap-3">
      <BandView band={band} line={line} now={now} isOn={isOn} trouble={trouble} className="h-56" />
      <div className="flex flex-wrap items-center gap-3">
        <Button kind="primary" className="min-h-11" onClick={() => setOn(!isOn)}>
          {isOn ? 'Stop' : scores.length > 0 ? 'Again' : 'Start'}
        </Button>
        {now.score.isDone && (
          <b role="status" className="text-celadon">
            Held for {holdS} s.
          </b>
        )}
        <span className="text-small text-ink-soft">
          {effortPercent} % of {readingText(most.unit, most.value)}, {most.from}. Breathe; no sudden force.
        </span>
      </div>
      {scores.length > 0 && (
        <Part title="Attempts">
          <ol aria-label="Attempts">
            {scores.map((score, index) => (
              <li key={index} className="flex flex-wrap gap-x-4 border-b border-line py-1 figures">
                <b className="w-6">{index + 1}</b>
                <span className="w-32">{score.scorePercent.toFixed(0)} % on target</span>
                <span className="w-40">longest {score.longestS.toFixed(1)} s</span>
                <span className="text-ink-soft">{lostWords(score)}</span>
              </li>
            ))}
          </ol>
        </Part>
      )}
    </div>
  );
}

function lostWords({ lost }: BandScore): string {
  if (lost.length === 0) return 'never off target';
  const below = lost.filter(({ to }) => to === 'below').length;
  const parts = [below > 0 && `${below} below`, lost.length > below && `${lost.length - below} above`].filter(Boolean);
  return `lost ${parts.join(', ')}`;
}
