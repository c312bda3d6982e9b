import {
  type Action,
  type Capacity,
  capacityOf,
  CARRY_PACE_M_PER_S,
  carryDistanceM,
  carryTimeS,
  edgeFactor,
  effortPercent,
  effortWords,
  type Hand,
  intervalOf,
  kgFromN,
  leverForMomentM,
  type Limit,
  loadLimit,
  readNumber,
  newtonsFromKg,
  type Person,
  rollerWork,
  weightForMomentKg,
  weightMomentNm,
} from '@clay-pot/core';
import { type ReactNode, useId, useState } from 'react';
import { inUnit, metricText, numberText, outOfUnit, readingText, unitOf } from '../../domain/measuring/units.js';
import { INPUT } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';
import { Choice } from '../../domain/movement/subject-fields.js';

/** Within what the sums are worked; what a level may ask has its limits where loads are defined. */
const SUMS = {
  effortPercent: { min: 1, max: 200, unit: '%' },
  squeezedKg: { min: 0, max: 300, unit: 'kg' },
  leverKg: { min: 0.05, max: 20, unit: 'kg' },
  leverCm: { min: 2, max: 150, unit: 'cm' },
  rolledKg: { min: 0.1, max: 50, unit: 'kg' },
  distanceM: { min: 1, max: 1000, unit: 'm' },
  carriedS: { min: 1, max: 900, unit: 's' },
  paceMPerS: { min: 0.2, max: 3, unit: 'm/s' },
  turns: { min: 1, max: 60, unit: 'turns' },
  workJ: { min: 1, max: 2000, unit: 'J' },
} as const;

/** Small sums that a coach does at the side of the mat; each works both ways. */
export function Calculators({ person }: { person: Person }) {
  return (
    <div className="grid gap-x-8 gap-y-6 sm:grid-cols-2">
      <EffortAndKilograms person={person} />
      <LeverAndWeight person={person} />
      <CarryDistanceAndTime />
      <RollerTurnsAndWork person={person} />
    </div>
  );
}

function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="border-t-2 border-ink pt-2">
      <h3 className="mb-2 text-body">{title}</h3>
      <div className="grid gap-2">{children}</div>
    </section>
  );
}

/** Distances that are walked stay in metres. */
const inBody = (unit: string) => unit !== 'm';
const shownLimit = ({ min, max, unit }: Pick<Limit, 'min' | 'max' | 'unit'>) =>
  inBody(unit) ? { min: inUnit(unit, min), max: inUnit(unit, max), unit: unitOf(unit) } : { min, max, unit };

interface NumberProps {
  label: string;
  value: number;
  set: (value: number) => void;
  limit: Pick<Limit, 'min' | 'max' | 'unit'>;
  places?: number;
}

/** A number that may follow from another: typing it sets it, and a fault is shown beside it. */
function NumberIn({ label, value: metric, set: setMetric, limit, places = 1 }: NumberProps) {
  const id = useId();
  const { min, max, unit } = shownLimit(limit);
  const value = inBody(limit.unit) ? inUnit(limit.unit, metric) : metric;
  const set = (shown: number) => setMetric(inBody(limit.unit) ? outOfUnit(limit.unit, shown) : shown);
  const [typed, setTyped] = useState<string | null>(null);
  const number = typed === null ? value : readNumber(typed);
  const wrong = typed !== null && !(number >= min && number <= max);
  return (
    <div>
      <label htmlFor={id} className="block text-small">
        {label}
      </label>
      <span className="flex items-center gap-1.5">
        <input
          id={id}
          className={`${INPUT} w-24! px-2! py-1! font-semibold figures`}
          inputMode="decimal"
          value={typed ?? (Number.isFinite(value) ? value.toFixed(places) : '')}
          aria-invalid={wrong ? true : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            const next = readNumber(event.target.value);
            if (next >= min && next <= max) set(next);
          }}
          onBlur={() => !wrong && setTyped(null)}
        />
        <span className="text-small text-ink-soft">{unit}</span>
      </span>
      {wrong && (
        <p role="alert" className="text-small font-semibold text-iron">
          Enter a number from {min}–{max} {unit}.
        </p>
      )}
    </div>
  );
}

const Row = ({ children }: { children: ReactNode }) => <div className="flex flex-wrap items-start gap-4">{children}</div>;

function HandChoice({ hand, set }: { hand: Hand; set: (hand: Hand) => void }) {
  return <Choice label="Hand" value={hand} options={['left', 'right']} set={(name) => set(name as Hand)} />;
}

function Source({ person, action, hand }: { person: Person; action: Action; hand: Hand }) {
  const { value, unit, from, logSd } = capacityOf(person, action, hand);
  const [low, high] = intervalOf(value, logSd);
  return (
    <p className="text-fine text-ink-soft">
      <SideMark side={hand} /> maximum: {readingText(unit, value)}
      {unit === 'N' && ` (${value.toFixed(0)} N)`}, {numberText(unit, low)}–{numberText(unit, high)} for 4 in 5 people like this; {from}
    </p>
  );
}

/** Effort ↔ kilograms of a squeeze, or of what hangs from an edge. */
function EffortAndKilograms({ person }: { person: Person }) {
  const [hand, setHand] = useState<Hand>('left');
  const [on, setOn] = useState('squeeze');
  const [edgeMm, setEdgeMm] = useState(20);
  const [percent, setPercent] = useState(40);
  const own = capacityOf(person, 'grip', hand);
  const factor = on === 'squeeze' ? 1 : edgeFactor(edgeMm, on === 'edge, half crimp' ? 'half crimp' : 'open hand');
  const capacity = { ...own, value: own.value * factor };
  const kilograms = kgFromN((capacity.value * percent) / 100);
  return (
    <Card title="Effort and kilograms">
      <Row>
        <HandChoice hand={hand} set={setHand} />
        <Choice label="What" value={on} options={['squeeze', 'edge, open hand', 'edge, half crimp']} set={setOn} />
        {on !== 'squeeze' && <NumberIn label="Edge depth" value={edgeMm} set={setEdgeMm} limit={loadLimit('hang', 'edgeMm')} places={0} />}
      </Row>
      <Row>
        <NumberIn label="Effort" value={percent} set={setPercent} limit={SUMS.effortPercent} places={0} />
        <NumberIn
          label="is"
          value={kilograms}
          set={(next) => setPercent(effortPercent(newtonsFromKg(next), capacity))}
          limit={SUMS.squeezedKg}
        />
      </Row>
      <Source person={person} action="grip" hand={hand} />
    </Card>
  );
}

/** Weight and lever length that make an effort in a turn or a side lift. */
function LeverAndWeight({ person }: { person: Person }) {
  const [hand, setHand] = useState<Hand>('left');
  const [action, setAction] = useState<Action>('supination');
  const [massKg, setMassKg] = useState(0.8);
  const [leverM, setLeverM] = useState(0.4);
  const capacity = capacityOf(person, action, hand);
  const percent = effortPercent(weightMomentNm(massKg, leverM), capacity);
  const moment = (wanted: number) => (capacity.value * wanted) / 100;
  return (
    <Card title="Lever, weight and effort">
      <Row>
        <HandChoice hand={hand} set={setHand} />
        <Choice
          label="Turn or lift"
          value={action}
          options={['supination', 'pronation', 'radial deviation', 'ulnar deviation']}
          set={(name) => setAction(name as Action)}
        />
      </Row>
      <Row>
        <NumberIn label="Weight" value={massKg} set={setMassKg} limit={SUMS.leverKg} places={2} />
        <NumberIn label="at" value={leverM * 100} set={(cm) => setLeverM(cm / 100)} limit={SUMS.leverCm} places={0} />
        <NumberIn
          label="is"
          value={percent}
          set={(wanted) => setMassKg(weightForMomentKg(moment(wanted), leverM))}
          limit={SUMS.effortPercent}
          places={0}
        />
      </Row>
      <p className="text-fine text-ink-soft">
        With {metricText('kg', massKg, 2)}, 40 % effort would need a lever of{' '}
        {metricText('cm', leverForMomentM(moment(40), massKg) * 100, 0)}.
      </p>
      <Source person={person} action={action} hand={hand} />
    </Card>
  );
}

function CarryDistanceAndTime() {
  const [distanceM, setDistanceM] = useState(30);
  const [pace, setPace] = useState(CARRY_PACE_M_PER_S);
  return (
    <Card title="Carry: distance and time">
      <Row>
        <NumberIn label="Distance" value={distanceM} set={setDistanceM} limit={SUMS.distanceM} places={0} />
        <NumberIn
          label="takes"
          value={carryTimeS(distanceM, pace)}
          set={(seconds) => setDistanceM(carryDistanceM(seconds, pace))}
          limit={SUMS.carriedS}
          places={0}
        />
        <NumberIn label="at a pace of" value={pace} set={setPace} limit={SUMS.paceMPerS} />
      </Row>
    </Card>
  );
}

/** What a demand takes of a capacity, with where it lies for four fifths of people like this. */
const effortText = (demand: number, capacity: Capacity) => {
  const percent = effortPercent(demand, capacity);
  return effortWords(percent, intervalOf(percent, capacity.logSd));
};

function RollerTurnsAndWork({ person }: { person: Person }) {
  const [massKg, setMassKg] = useState(5);
  const [drumMm, setDrumMm] = useState(32);
  const [ropeM, setRopeM] = useState(1.1);
  const { momentNm, turns, workJ } = rollerWork({ massKg, drumRadiusM: drumMm / 2000, ropeM });
  const perTurnM = ropeM / turns;
  const effort = (['wrist flexion', 'wrist extension'] as const).map((action) => effortText(momentNm, capacityOf(person, action, 'right')));
  return (
    <Card title="Wrist roller: turns and work">
      <Row>
        <NumberIn label="Weight" value={massKg} set={setMassKg} limit={SUMS.rolledKg} />
        <NumberIn label="Drum" value={drumMm} set={setDrumMm} limit={loadLimit('roller', 'drumMm')} places={0} />
        <NumberIn label="Rope" value={ropeM} set={setRopeM} limit={loadLimit('roller', 'ropeM')} />
      </Row>
      <Row>
        <NumberIn label="Turns up" value={turns} set={(next) => setRopeM(next * perTurnM)} limit={SUMS.turns} />
        <NumberIn label="Work" value={workJ} set={(next) => setRopeM(next / newtonsFromKg(massKg))} limit={SUMS.workJ} places={0} />
      </Row>
      <p className="text-fine text-ink-soft">
        {momentNm.toFixed(2)} N·m: {effort[0]} bending, {effort[1]} drawing back, right hand.
      </p>
    </Card>
  );
}
