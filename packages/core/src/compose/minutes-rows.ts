import { groupedBy } from '../vocabulary/lists.js';
import { CHANGE_OF_PLACE_S, CHANGE_WITHIN_PLACE_S, FETCH_EQUIPMENT_S } from '../timeline/timeline.js';
import { letsGoOf } from '../rules/checks/no-release.js';
import { mostChanges } from '../rules/checks/position-changes.js';
import { USUAL_PACING } from '../model/sequence.js';
import { PHASES } from '../vocabulary/phases.js';
import type { Candidate } from './candidate.js';
import type { ProgrammeWriter } from './programme-writer.js';

/** A shake of half a minute with its announcement, where nothing else lets go of hard work. */
export const SHAKE_S = 28;

/** Everything fits the minutes: the work itself, getting from place to place, fetching, and letting go of what was hard. */
export function minutesRows(programme: ProgrammeWriter): void {
  const { writer, composing } = programme;
  const { minutes } = composing;
  const seconds = programme.sum((candidate) => candidate.seconds);
  const changes = placeRows(programme, seconds);
  releaseRows(programme, seconds);
  const readyS = composing.frame.pacing.readyS ?? USUAL_PACING.readyS;
  const secondsMost = minutes * 60 - readyS;
  // Where one is at first counts as a place that is gone to.
  const changesMost = mostChanges(composing.method, minutes) + 1;
  writer.row('minutes', seconds, { max: secondsMost });
  writer.row('position-changes', changes, { max: changesMost });
  Object.assign(programme.recorded, { secondsMost, changesMost });
}

/** Every place of every phase is gone to once, and the next phase may begin where the last one ended. @returns the changes of place */
function placeRows(programme: ProgrammeWriter, seconds: [number, number][]): [number, number][] {
  const { writer } = programme;
  const costing = (s: number) => {
    const unknowns = new Map<string, number>();
    return {
      unknowns,
      of: (name: string): number => {
        let found = unknowns.get(name);
        if (found === undefined) {
          unknowns.set(name, (found = writer.unknown()));
          seconds.push([found, s]);
        }
        return found;
      },
    };
  };
  const stations = costing(CHANGE_OF_PLACE_S - CHANGE_WITHIN_PLACE_S);
  const postures = costing(CHANGE_WITHIN_PLACE_S);
  const things = costing(FETCH_EQUIPMENT_S);
  const at = ({ phase, station }: Candidate) => `${phase} at ${station}`;
  const so = (candidate: Candidate) => `${at(candidate)}, ${candidate.posture}`;
  const placed = (nameOf: (candidate: Candidate) => string, of: (name: string) => number) => {
    for (const [name, mine] of groupedBy(programme.all, ({ candidate }) => nameOf(candidate))) {
      programme.each('place', mine, of(name));
    }
  };
  placed(so, postures.of);
  placed(at, stations.of);
  for (const thing of new Set(programme.all.flatMap(({ candidate }) => candidate.things))) {
    programme.each(
      'place',
      programme.where((candidate) => candidate.things.includes(thing)),
      things.of(thing),
    );
  }
  const changes: [number, number][] = [...stations.unknowns.values()].map((visit) => [visit, 1]);
  PHASES.slice(1).forEach((phase, index) => {
    const before = PHASES[index];
    const shared: [number, number][] = [];
    for (const station of new Set(programme.all.map(({ candidate }) => candidate.station))) {
      const [here, there] = [`${phase} at ${station}`, `${before} at ${station}`];
      if (!stations.unknowns.has(here) || !stations.unknowns.has(there)) continue;
      const stays = writer.unknown();
      for (const name of [here, there]) {
        // What is not visited is not stayed at.
        writer.needs('place', stays, [stations.of(name)]);
        writer.needs(
          'place',
          stays,
          programme.where((candidate) => at(candidate) === name).map(({ y }) => y),
        );
      }
      shared.push([stays, 1]);
      seconds.push([stays, CHANGE_WITHIN_PLACE_S - CHANGE_OF_PLACE_S]);
      changes.push([stays, -1]);
    }
    if (shared.length > 0) writer.row('place', shared, { max: 1 });
  });
  return changes;
}

/** Hard work is let go of: by what follows in its phase, else by a shake. */
function releaseRows(programme: ProgrammeWriter, seconds: [number, number][]): void {
  programme.recorded.releases = programme.all.map(() => false);
  for (const phase of PHASES) {
    const hard = programme.where((candidate) => candidate.hard && candidate.phase === phase);
    if (hard.length === 0) continue;
    const letsGo = programme.where((candidate) => candidate.phase === phase && hard.some((each) => letsGoOf(each.candidate, candidate)));
    for (const { y } of letsGo) programme.recorded.releases[y] = true;
    const shakes = programme.writer.unknown({ most: hard.length });
    seconds.push([shakes, SHAKE_S]);
    programme.writer.row('no-release', [...programme.count(hard), ...letsGo.map(({ y }) => [y, -1] as const), [shakes, -1]], { max: 0 });
  }
}
