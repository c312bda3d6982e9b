import type { Fault } from '../vocabulary/fault.js';
import { KILOGRAMS, OWN_LOADS, OWN_LOAD_NAMES, type OwnLoadName } from '../vocabulary/own-load.js';
import type { Contact } from '../vocabulary/contacts.js';
import { kgFromN, newtonsFromKg } from '../vocabulary/gravity.js';
import type { Dose, OwnLoad } from './dose.js';
import type { LevelLoad } from './load.js';
import { roughHeightM } from './posture.js';
import type { Level, Movement } from './movement.js';

/** Of what a wedge goes under. */
const ON_A_WEDGE: readonly Contact[] = ['open palm', 'back of hand'];

/** What of a level's own a dose may set, in the order in which it is printed. */
export function ownLoadsOf({ load, contact }: Pick<Level, 'load' | 'contact'>, movement: Pick<Movement, 'equipment'>): OwnLoadName[] {
  const has = (field: string) => (load as Readonly<Record<string, unknown>>)[field] !== undefined;
  const may: Record<OwnLoadName, boolean> = {
    massKg: has('massKg') || has('addedKg'),
    springKg: load.kind === 'resist' && !isBanded(movement),
    bandKg: load.kind === 'resist' && isBanded(movement),
    edgeMm: has('edgeMm'),
    handleMm: has('handleMm') || has('drumMm'),
    pinchMm: has('pinchMm'),
    wedgeDeg: load.kind === 'body' && ON_A_WEDGE.includes(contact),
    handHeightM: load.kind === 'body' && load.stance.support !== 'none' && load.stance.support !== 'feet on wall',
    awayM: load.kind === 'body' && load.stance.support !== 'none',
  };
  return OWN_LOAD_NAMES.filter((name) => may[name]);
}

/** By which name a level's own kilograms are set; undefined where it has none. */
export function kilogramsNameOf(level: Pick<Level, 'load' | 'contact'>, movement: Pick<Movement, 'equipment'>) {
  const may = ownLoadsOf(level, movement);
  return KILOGRAMS.find((name) => may.includes(name));
}

const isBanded = ({ equipment }: Pick<Movement, 'equipment'>) => equipment.includes('finger band');

/** Why a dose's own load cannot be set on a level; empty when it can. Pointers are relative to the block. */
export function checkOwnLoad(own: OwnLoad | undefined, level: Level, movement: Movement): Fault[] {
  if (!own) return [];
  const may = ownLoadsOf(level, movement);
  return OWN_LOAD_NAMES.filter((name) => own[name] !== undefined && !may.includes(name)).map((name) => {
    const can = may.map((each) => OWN_LOADS[each].label.toLowerCase()).join(', ');
    const message = `“${movement.name}, ${level.name}” has no ${OWN_LOADS[name].label.toLowerCase()} to set${can ? `: it has ${can}.` : '.'}`;
    return { pointer: `/dose/load/${name}`, message };
  });
}

/** A dose as another level can have it: without what that one has no place for. */
export function fittedTo(dose: Dose, level: Level, movement: Movement): Dose {
  const { load, effortPercent, ...rest } = dose;
  const may = ownLoadsOf(level, movement);
  const kept = Object.fromEntries(Object.entries(load ?? {}).filter(([name]) => may.includes(name as OwnLoadName)));
  const hasEffort = effortPercent !== undefined && level.load.kind !== 'rest';
  return { ...rest, ...(hasEffort && { effortPercent }), ...(Object.keys(kept).length > 0 && { load: kept }) };
}

/** A level with what a dose sets over its own; the same level where nothing is set. */
export function withOwnLoad<L extends { readonly load: LevelLoad }>(level: L, own: OwnLoad | undefined): L {
  if (!own) return level;
  let ofLevel = loaded.get(own);
  if (!ofLevel) loaded.set(own, (ofLevel = new WeakMap()));
  let set = ofLevel.get(level) as L | undefined;
  if (!set) ofLevel.set(level, (set = { ...level, load: setOver(level.load, own) }));
  return set;
}
/** Kept, so that what is computed of a level is found again by what it was computed of. */
const loaded = new WeakMap<OwnLoad, WeakMap<object, object>>();

function setOver(load: LevelLoad, own: OwnLoad): LevelLoad {
  const size = (fields: object) =>
    Object.fromEntries(Object.entries(fields).filter(([name, value]) => value !== undefined && name in load));
  const { massKg, edgeMm, handleMm, pinchMm } = own;
  switch (load.kind) {
    case 'body':
      return { ...load, stance: stanceOver(load.stance, own) };
    case 'resist': {
      const kg = own.springKg ?? own.bandKg;
      return kg === undefined ? load : { ...load, forceN: newtonsFromKg(kg) };
    }
    case 'hang':
      return { ...load, ...size({ addedKg: massKg, edgeMm, handleMm, pinchMm }) };
    case 'roller':
      return { ...load, ...size({ massKg, drumMm: handleMm }) };
    case 'lift':
    case 'weight':
      return { ...load, ...size({ massKg, edgeMm, handleMm, pinchMm }) };
    default:
      return load;
  }
}

type StanceOf = Extract<LevelLoad, { kind: 'body' }>['stance'];

function stanceOver(stance: StanceOf, { wedgeDeg, handHeightM, awayM }: OwnLoad): StanceOf {
  const set: StanceOf = {
    ...stance,
    ...(wedgeDeg !== undefined && { wedgeDeg }),
    ...(handHeightM !== undefined && { handHeightM }),
  };
  if (awayM === undefined) return set;
  // Up a wall the feet slide to the height that lean, hip angle and distance leave them: only the distance is another.
  if (set.support === 'feet on wall' && set.leanDeg !== undefined && set.hipAngleDeg !== undefined) return { ...set, distanceM: awayM };
  // Of lean, hip angle and distance two tie the chain: hands that are set away keep the lean, and the hips follow.
  const { leanDeg, hipAngleDeg, ...rest } = set;
  if (leanDeg !== undefined) return { ...rest, leanDeg, distanceM: awayM };
  return { ...rest, ...(hipAngleDeg !== undefined && { hipAngleDeg }), distanceM: awayM };
}

/** What a level has of its own, where a dose sets nothing over it; null where it follows from something else. */
export function ownValueOf({ load }: Pick<Level, 'load'>, name: OwnLoadName): number | null {
  const fields = load as Readonly<Partial<Record<string, unknown>>>;
  const number = (field: string) => (typeof fields[field] === 'number' ? fields[field] : null);
  switch (name) {
    case 'massKg':
      return number('massKg') ?? number('addedKg');
    case 'springKg':
    case 'bandKg':
      return load.kind === 'resist' ? kgFromN(load.forceN) : null;
    case 'handleMm':
      return number('handleMm') ?? number('drumMm');
    default:
      return load.kind === 'body' ? standing(load.stance, name) : number(name);
  }
}

/** How the hands stand. */
function standing(stance: StanceOf, name: OwnLoadName): number | null {
  if (name === 'wedgeDeg') return stance.wedgeDeg ?? 0;
  if (name === 'handHeightM') return roughHeightM(stance);
  return name === 'awayM' ? (stance.distanceM ?? null) : null;
}
