import { type Level, type LevelLoad, LOAD_FIELDS, type LoadKind, type Movement, parseDose, USUAL_POSTURES } from '@clay-pot/core';

const { contact: _contact, facing: _facing, ...STANCE } = USUAL_POSTURES.allFours;

/** What a load of a kind starts from: the middle of what is usual, so that it can be computed at once. */
export function blankLoad(kind: LoadKind): LevelLoad {
  if (kind === 'body') return { kind, stance: STANCE };
  const start: Record<string, unknown> = { kind };
  const usual: Record<string, unknown> = {
    feetPercentBW: 50,
    hands: 2,
    addedKg: 0,
    wristBendDeg: 0,
    massKg: 3,
    angleDeg: 0,
    drumMm: 32,
    ropeM: 1.1,
    arms: 'resting',
    effortPercent: 30,
    forceN: 30,
    reachPercent: 70,
    perMinute: 15,
    heldKg: 0,
    fingers: 'relaxed',
    pushPercent: 0,
    pressN: 0,
    on: 'bar',
    handleMm: 30,
    motion: 'wrist extension',
    actions: ['wrist flexion', 'wrist extension'],
    action: 'wrist flexion',
  };
  for (const [name, field] of Object.entries(LOAD_FIELDS[kind])) {
    if (!field.optional || (name === 'handleMm' && 'on' in LOAD_FIELDS[kind])) start[name] = usual[name];
  }
  return start as LevelLoad;
}

/** A level to begin from. */
export function blankLevel(id: string): Level {
  return {
    id,
    name: 'First level',
    description: '',
    posture: 'all fours',
    contact: 'open palm',
    facing: 'forward',
    loading: 'planted',
    load: blankLoad('body'),
    equipment: [],
    dose: parseDose('2x15s rest30'),
    dosing: 'bearing-holds',
  };
}

/** A movement to begin from. */
export function blankMovement(id: string): Movement {
  return {
    id,
    name: '',
    family: 'bearing-holds',
    purpose: '',
    howTo: [],
    cues: [],
    faults: [],
    cautions: [{ text: 'Stop if it hurts. Ask again the next morning.', concerns: [], avoid: false }],
    trains: [],
    motions: [],
    corners: [],
    equipment: [],
    climbs: 'hand load',
    sides: ['together'],
    directions: null,
    strokes: ['in', 'out'],
    work: ['time', 'repetitions'],
    timed: 'hold',
    ladder: [blankLevel('first')],
  };
}
