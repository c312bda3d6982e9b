import { type Athlete } from '@clay-pot/contracts';
import { comesWith, type Gauge, type Hand, HANDS, isOfEachHand, meanOf, must, protocolOf, type Reading } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { showReadings } from '../api/queries.js';
import { isoToday } from '../ui/today.js';
import { accountStorage, perAccount } from './device-storage.js';
import { useOutbox } from './outbox.js';

/** Trials of one hand, in the unit that readings of it are kept in, in their order. */
type Trials = Readonly<Record<Hand, readonly number[]>>;
const NONE: Trials = { left: [], right: [] };

/** A battery that is being led: a reload or a phone call in between loses none of it. */
export interface Measuring {
  /** What is measured, in order. */
  readonly ids: readonly string[];
  /** The one that is led now. */
  readonly at: number;
  readonly trials: Readonly<Record<string, Trials>>;
  /** How far from the wrist the gauge pushes, for what is kept as a moment, cm. */
  readonly leverCm: Readonly<Record<string, number>>;
  /** What else belongs to a reading: depth of the edge and grip. */
  readonly details: Readonly<Record<string, string>>;
  /** With what the last trial was measured, where it was not what the protocol names. */
  readonly gauges?: Readonly<Record<string, Gauge | null>>;
}

interface State {
  readonly open: Readonly<Record<string, Measuring>>;
}

/** What is being measured, by athlete. */
export const useMeasuring = perAccount(
  create<State>()(persist((): State => ({ open: {} }), { name: 'measuring', storage: createJSONStorage(() => accountStorage) })),
);

function change(athleteId: string, make: (measuring: Measuring) => Partial<Measuring>): void {
  useMeasuring.setState(({ open }) => {
    const before = open[athleteId];
    return before ? { open: { ...open, [athleteId]: { ...before, ...make(before) } } } : {};
  });
}

/** Begins a battery, or one thing by itself; what was begun before is left. */
export function beginMeasuring(athleteId: string, ids: readonly string[]): void {
  useMeasuring.setState(({ open }) => ({
    open: { ...open, [athleteId]: { ids, at: 0, trials: {}, leverCm: {}, details: {} } },
  }));
}

/** Goes to one of the things that are measured. */
export const goToProtocol = (athleteId: string, at: number): void => change(athleteId, () => ({ at }));

/** Trials of a protocol so far. */
export const trialsOf = ({ trials }: Measuring, id: string): Trials => trials[id] ?? NONE;

/** One value of a trial. */
export interface TrialValue {
  readonly protocolId: string;
  readonly hand: Hand;
  /** In the unit that is kept. */
  readonly value: number;
}

/** Adds what one trial gave: a hand’s, both hands’, or two things of one hand. What both hands do together is the left’s. */
export function addTrial(athleteId: string, values: readonly TrialValue[], gauge: Gauge | null = null): void {
  change(athleteId, (measuring) => ({
    gauges: { ...measuring.gauges, ...Object.fromEntries(values.map(({ protocolId }) => [protocolId, gauge])) },
    trials: values.reduce<Measuring['trials']>((all, { protocolId, hand, value }) => {
      const before = all[protocolId] ?? NONE;
      return { ...all, [protocolId]: { ...before, [hand]: [...before[hand], value] } };
    }, measuring.trials),
  }));
}

/** A protocol with those whose values come of the same trials. */
const withIts = (id: string): string[] => [id, ...comesWith(id).map((other) => other.id)];

/** Takes out a trial, with what came of it. */
export function removeTrial(athleteId: string, id: string, hand: Hand, index: number): void {
  change(athleteId, (measuring) => {
    const trials = { ...measuring.trials };
    for (const each of withIts(id)) {
      const before = trialsOf(measuring, each);
      trials[each] = { ...before, [hand]: before[hand].toSpliced(index, 1) };
    }
    return { trials };
  });
}

/** Measures one thing again. */
export const retest = (athleteId: string, id: string): void =>
  change(athleteId, ({ trials }) => ({
    trials: { ...trials, ...Object.fromEntries(withIts(id).map((each) => [each, NONE])) },
  }));

/** Says how far from the wrist the gauge pushes. */
export const setLever = (athleteId: string, id: string, cm: number): void =>
  change(athleteId, ({ leverCm }) => ({ leverCm: { ...leverCm, [id]: cm } }));

/** Says what else belongs to a reading. */
export const setDetail = (athleteId: string, id: string, detail: string): void =>
  change(athleteId, ({ details }) => ({ details: { ...details, [id]: detail } }));

/** Leaves it, with what was measured. @returns puts it back */
export function dropMeasuring(athleteId: string): () => void {
  const { [athleteId]: removed, ...open } = useMeasuring.getState().open;
  useMeasuring.setState({ open });
  return () => removed && useMeasuring.setState((state) => ({ open: { ...state.open, [athleteId]: removed } }));
}

/** The readings that the trials so far come to. */
export function readingsOf(measuring: Measuring, onDay: string): Reading[] {
  return measuring.ids.flatMap(withIts).flatMap((id) => {
    const protocol = must(protocolOf(id), `a protocol ${id}`);
    const { kind, of } = protocol;
    const gauge = measuring.gauges?.[id] ?? protocol.gauge;
    const trials = trialsOf(measuring, id);
    const detail = measuring.details[protocol.alongWith ?? id];
    return HANDS.flatMap((hand): Reading[] => {
      // What both hands do together is a reading of each.
      const mine = isOfEachHand(protocol) ? trials[hand] : trials.left;
      if (mine.length === 0) return [];
      // Whoever leads it was asked already where a number was unlikely.
      return [{ kind, of, hand, value: meanOf(mine), onDay, trials: [...mine], gauge, ...(detail && { detail }), isSure: true }];
    });
  });
}

/** Records what was measured: on its way at once, and shown from this moment on, with a network or without. @returns how many readings */
export function keepMeasured({ id }: Athlete): number {
  const measuring = useMeasuring.getState().open[id];
  if (!measuring) return 0;
  const readings = readingsOf(measuring, isoToday()).map((reading) => ({ id: uuid(), ...reading }));
  for (const { id: readingId, ...body } of readings) {
    useOutbox.getState().add({ path: `/athletes/${id}/readings/${readingId}`, body });
  }
  showReadings(id, readings);
  dropMeasuring(id);
  return readings.length;
}
