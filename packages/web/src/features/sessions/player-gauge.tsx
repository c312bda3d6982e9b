import {
  bandOfPress,
  capital,
  currentPart,
  type Dose,
  type EventPart,
  type Hand,
  HAND_WORDS,
  itemAt,
  type Level,
  percentWords,
  resolveBlock,
  type Timeline,
  type TimelineEvent,
} from '@clay-pot/core';
import { Gauge } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import { create } from 'zustand';
import { BandView } from '../../domain/band/band-view.js';
import { useBand } from '../../domain/band/use-band.js';
import { DeviceChoice } from '../../domain/devices/device-choice.js';
import { deviceForHold, type Source } from '../../domain/devices/sources.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { addKept, keptIn, useBands } from '../../store/bands.js';
import { movementById } from '../../store/library.js';
import { usePlayhead } from '../../store/playhead.js';
import { finishNow, type Run } from '../../store/run.js';
import { Disclosure } from '../../ui/disclosure.js';

interface State {
  /** Null where no gauge is wanted. */
  readonly source: Source | null;
}

/** Which gauge the player listens to, for as long as the page is open. */
export const useGauge = create<State>()(() => ({ source: null }));

const SIMULATED: Source = { kind: 'simulated', fault: 'none', speed: 1 };
/** Takes a gauge into the session, or puts it away. */
export const toggleGauge = (): void => useGauge.setState(({ source }) => ({ source: source ? null : SIMULATED }));

/** The button for it, where there is anything to press at an effort of one’s own. */
export function GaugeButton({ className }: { className: string }) {
  const isOn = useGauge(({ source }) => source !== null);
  return (
    <button type="button" className={className} aria-label="Force gauge" aria-pressed={isOn} onClick={toggleGauge}>
      <Gauge size={20} />
    </button>
  );
}

interface Props {
  run: Run;
  timeline: Timeline;
  event: TimelineEvent;
}

/** Beside a block that asks an effort of its own: the band, the gauge, and where it was lost. Nothing where no gauge is connected or nothing is pressed. */
export function PlayerGauge({ run, timeline, event }: Props) {
  const source = useGauge((state) => state.source);
  const block = itemAt(run.sequence.blocks, event.blockIndex);
  const { level } = resolveBlock(block, movementById);
  if (!source || level.load.kind !== 'press') return null;
  // Of both hands at once one holds the gauge.
  const hand: Hand = event.side === 'left' ? 'left' : 'right';
  return <Held key={`${block.id} ${hand}`} {...{ run, timeline, event, level, hand, source }} />;
}

function Held({ run, timeline, event, level, hand, source }: Props & { level: Level; hand: Hand; source: Source }) {
  const { person } = useSubject(run.athleteId);
  const block = itemAt(run.sequence.blocks, event.blockIndex);
  const { dose } = block;
  const { load } = level;
  const percent = dose.effortPercent ?? (load.kind === 'press' ? load.effortPercent : 0);
  const action = load.kind === 'press' ? load.action : 'grip';
  const stint = event.stint === null ? undefined : timeline.stints[event.stint];
  const seconds = stint ? (stint.endMs - stint.startMs) / 1000 : 1;
  const band = useMemo(() => bandOfPress(person, level, dose, hand), [person, level, dose, hand]);
  const device = useMemo(
    () => deviceForHold(source, { athleteId: run.athleteId, hand, of: action, effortPercent: percent, holdS: seconds }),
    [source, run.athleteId, hand, action, percent, seconds],
  );
  const lost = useRef<string[]>([]);
  const now = useRef(event);
  useEffect(() => {
    now.current = event;
  });
  const part = usePlayhead(({ head }) => currentPart(event, head).part);
  const isOn = event.stint !== null && !run.paused;
  const readout = useBand({
    device,
    band: band ?? NO_BAND,
    isOn: isOn && band !== null,
    counts: countsIn(event, part),
    onLost: (to) => lost.current.push(`${whereWords(now.current)}, ${to}`),
    // Until the form fails: the hand tells itself when that is.
    onLetGo: () => stint?.open && finishNow(),
    onOver: ({ insideS, triedS }) => addKept(run.id, block.id, { insideS, triedS, lost: lost.current.splice(0) }),
  });
  const kept = useBands(keptIn(run.id, block.id));
  if (!band) return null;
  return (
    <section aria-label="Force gauge" className="mx-4 mb-2 sm:mx-8">
      <BandView band={band} line={readout.line} now={readout.now} isOn={isOn} trouble={readout.trouble} className="h-24" />
      <div className="flex flex-wrap items-baseline gap-x-4 text-small text-ink-soft">
        <span>
          {effortText(dose, percent)} of maximum, {hand} hand
        </span>
        {kept && kept.lost.length > 0 && <span>last off target: {kept.lost.at(-1)}</span>}
      </div>
      {event.stint === null && (
        <Disclosure className="text-small" title="Another device">
          <DeviceChoice sort="force" isTypable={false} source={source} choose={(next) => useGauge.setState({ source: next })} />
        </Disclosure>
      )}
    </section>
  );
}

/** The effort that is shown beside the gauge: the dose’s, as a range where it is one, else the level’s. */
const effortText = (dose: Dose, percent: number): string => (dose.effortPercent === undefined ? `${percent} %` : percentWords(dose));

/** On the way out and back the force rises and falls, as it should; where nothing is held it is kept all through. */
function countsIn({ beat, parts }: TimelineEvent, { name }: EventPart): boolean {
  return name === 'hold' || !(beat ?? parts).some((part) => part.name === 'hold');
}

const NO_BAND = { lowN: 0, highN: 0, forS: 1 };

/** At which point of the work it is, in words. */
function whereWords(event: TimelineEvent): string {
  const { part } = currentPart(event, usePlayhead.getState().head);
  const which = event.kind === 'repetition' ? `repetition ${event.repetition}, ${part.label}` : `set ${event.set}`;
  return `${capital(HAND_WORDS[event.side])}, ${which}`;
}
