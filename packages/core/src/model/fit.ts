import type { Fault } from '../vocabulary/fault.js';
import type { Dose } from './dose.js';
import { effortMeans, type Level, type Movement } from './movement.js';
import { checkOwnLoad } from './own-load.js';

/** Whether a dose suits a movement: its kinds of work, its hands, its directions, and at a level what it is loaded with. */
export function checkFit(dose: Dose, movement: Movement, level?: Level): Fault[] {
  const faults: Fault[] = level ? [...checkOwnLoad(dose.load, level, movement), ...checkEffort(dose, level)] : [];
  if (!movement.work.includes(dose.work.kind)) {
    const message = `“${movement.name}” is dosed in ${movement.work.join(' or ')}, not ${dose.work.kind}.`;
    faults.push({ pointer: '/dose/work/kind', message });
  }
  if (!movement.sides.includes(dose.sides)) {
    const message = `“${movement.name}” is done ${movement.sides.join(' or ')}, not ${dose.sides}.`;
    faults.push({ pointer: '/dose/sides', message });
  }
  if (dose.work.kind === 'time' && movement.timed === 'hold') faults.push(...pacesOf(dose, movement));
  faults.push(...unknownPositions(dose, movement));
  if (!movement.directions && dose.directions !== 'none') {
    faults.push({ pointer: '/dose/directions', message: `“${movement.name}” has no directions: leave them out.` });
  }
  if (movement.directions && dose.directions === 'none') {
    const [first, second] = movement.directions;
    const message = `Say which directions: first (${first}), second (${second}) or each.`;
    faults.push({ pointer: '/dose/directions', message });
  }
  return faults;
}

/** A hold for a time is still: nothing in it has a pace. */
function pacesOf({ holdS, pauseS, tempo, faster }: Dose, { name }: Movement): Fault[] {
  const paces = [
    ['holdS', holdS, 'a hold in each repetition'],
    ['pauseS', pauseS, 'a pause between repetitions'],
    ['tempo', tempo, 'a tempo'],
    ['faster', faster, 'a faster set'],
  ] as const;
  return paces.flatMap(([field, value, what]) =>
    value === undefined
      ? []
      : [
          {
            pointer: `/dose/${field}`,
            message: `“${name}” is held still for its seconds: count repetitions for ${what}, or leave it out.`,
          },
        ],
  );
}

function unknownPositions({ positions = [] }: Dose, movement: Movement): Fault[] {
  const known = movement.positions?.map(({ name }) => name) ?? [];
  const unknown = positions.find((name) => !known.includes(name));
  if (unknown === undefined) return [];
  const message =
    known.length === 0
      ? `“${movement.name}” isn’t done finger by finger or position by position: leave “${unknown}” out.`
      : `“${movement.name}” has no “${unknown}”. Choose from ${known.join(', ')}.`;
  return [{ pointer: '/dose/positions', message }];
}

/** An effort that a level cannot have, and one beside the very load that it would find. */
function checkEffort({ effortPercent, sore, load }: Dose, level: Level): Fault[] {
  if (effortPercent === undefined) {
    return sore
      ? [{ pointer: '/dose/sore', message: 'An effort for sore days needs the usual effort beside it, for example @40% sore@20%.' }]
      : [];
  }
  const pointer = '/dose/effortPercent';
  const means = effortMeans(level);
  if (means === null) return [{ pointer, message: `“${level.name}” is for letting go and has no effort. Leave it out.` }];
  const found = load?.massKg ?? load?.springKg ?? load?.bandKg;
  if (means !== 'finds the load' || found === undefined) return [];
  return [{ pointer, message: `Give either the effort, which sets the load, or the ${found} kg.` }];
}
