import MiniSearch from 'minisearch';
import { FAMILIES, type Movement } from '../model/movement.js';

/** Words of the field that stand in no name, and what of the library answers them: a movement by its id, or a whole family. */
const SYNONYMS: Partial<Record<string, string>> = {
  'tendon-glides': 'tendon, tendons, nerve, gliding',
  isometrics: 'isometric, static, push, resist, hand against hand',
  hangs: 'dead hang, pull-up bar',
  'edge-work': 'climbing, fingerboard, crimp, ledge, no-hang',
  settle: 'cool down, recovery, massage, relax',
  'free-motion': 'warm up, mobility, loosen',
  'planted-rocks': 'rocking, weight shift',
  'bearing.palm-support': 'plank, high plank, push-up position',
  'bearing.forearm-support': 'elbow plank, forearm plank',
  'bearing.side-support': 'side plank',
  'bearing.reverse-support': 'reverse plank, table top',
  'bearing.forward-lean': 'leaning plank',
  'bearing.pike-support': 'down dog, downward dog, pike',
  'bearing.handstand': 'handstand, inversion, upside down',
  'strength.low-press': 'push-up, push-ups, press-up',
  'strength.palm-lift': 'heel raise, palm raise',
  'strength.hand-walk': 'seal crawl, bear crawl',
  'weight.curl': 'dumbbell curl, wrist flexion curl',
  'weight.reverse-curl': 'dumbbell curl, wrist extension curl',
  'weight.lever-turn-up': 'hammer, supination',
  'weight.lever-turn-down': 'hammer, pronation',
  'weight.thumb-side-lever': 'hammer, radial deviation',
  'weight.little-side-lever': 'hammer, ulnar deviation',
  'weight.roller-up': 'rope winding',
  'weight.roller-down': 'rope winding',
  'grip.ball-squeeze': 'crush, squeeze, stress ball',
  'grip.gripper-close': 'crush, gripper, spring',
  'grip.bar-carry': 'farmer walk, loaded carry, suitcase carry',
  'grip.pinch-carry': 'loaded carry, pinch walk',
  'grip.band-opening': 'rubber band, finger extension, band opening',
  'stretch.palm-press': 'prayer stretch',
  'stretch.back-to-back': 'reverse prayer',
  'free.finger-touches': 'opposition, thumb tap',
  'free.forearm-turns': 'rotation, pronation and supination',
  'settle.forearm-massage': 'self-massage, roll out',
};

/** What a movement is also called, and what its family answers to. */
const phrasesOf = (key: string): string[] => (SYNONYMS[key] ?? '').split(', ').filter(Boolean).map(plainName);

/** A movement that answers what was looked for, the better the more. */
export interface Found {
  readonly movement: Movement;
  readonly score: number;
  /** Whether it answers every word, not only some of them. */
  readonly isWhole: boolean;
  /** Whether the words are a name of it: its own, the studio’s, or one that the field has for it. */
  readonly isNamed: boolean;
}

/** Finds movements by words of their names, families, muscles, motions and things, forgiving slips of the finger. */
export type MovementFinder = (text: string) => readonly Found[];

/** What counts how much: what a studio calls it, its name and the words of the field before what it trains. */
const BOOST = {
  own: 8,
  name: 7,
  synonyms: 5,
  levels: 2.5,
  family: 2,
  trains: 2,
  motions: 2,
  things: 1.5,
  purpose: 0.6,
};
/** Words shorter than this are taken as they are: of three letters one is too much to be wrong. */
const FORGIVEN_FROM = 4;
const SLIP = 0.25;

/**
 * An index over a shelf. Best first; of equals the one that stands first on the shelf. All words have to be answered; where nothing answers all of them, any.
 * @param ownName what a studio calls a movement, where it has a name of its own
 */
export function movementFinder(
  shelf: readonly Movement[],
  ownName: (movementId: string) => string | undefined = () => undefined,
): MovementFinder {
  const index = new MiniSearch<Record<string, string>>({
    fields: Object.keys(BOOST),
    searchOptions: { boost: BOOST, prefix: true, fuzzy: (term) => (term.length >= FORGIVEN_FROM ? SLIP : false) },
    tokenize: (text) =>
      text
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u)
        .filter(Boolean),
    processTerm: (term) => stemmed(term),
  });
  index.addAll(shelf.map((movement) => fieldsOf(movement, ownName(movement.id))));
  const byId = new Map(shelf.map((movement, place) => [movement.id, { movement, place }]));
  return (text) => {
    if (text.trim() === '') return shelf.map((movement) => ({ movement, score: 0, isWhole: true, isNamed: false }));
    const all = index.search(text, { combineWith: 'AND' });
    const hits = all.length > 0 ? all : index.search(text, { combineWith: 'OR' });
    return hits
      .flatMap(({ id, score }) => {
        const known = byId.get(String(id));
        const near = known ? nearness(text, known.movement, ownName(known.movement.id)) : 0;
        return known ? [{ ...known, score: score * near, isNamed: near >= NAMED }] : [];
      })
      .toSorted((a, b) => b.score - a.score || a.place - b.place)
      .map(({ movement, score, isNamed }) => ({ movement, score, isNamed, isWhole: all.length > 0 }));
  };
}

const NAMED = 4;

/** A name that is the very words weighs more than one that has them among others. */
function nearness(text: string, { id, name }: Movement, own = ''): number {
  const wanted = plainName(text);
  if (plainName(name) === wanted || plainName(own) === wanted) return 8;
  if (phrasesOf(id).includes(wanted)) return NAMED;
  return plainName(name).startsWith(wanted) ? 1.5 : 1;
}

/** A name without what people leave out or write otherwise. @example plainName('Palm rocks, fore and aft') → 'palm rocks fore and aft' */
export const plainName = (text: string): string =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .join(' ');

/** One word for one thing and for many. */
const stemmed = (term: string): string =>
  term.length > 3 && term.endsWith('s') && !term.endsWith('ss') ? term.slice(0, -1) : term;

function fieldsOf(movement: Movement, own = ''): Record<string, string> {
  const { id, name, family, ladder, trains, motions, equipment, purpose } = movement;
  const things = [...equipment, ...ladder.flatMap((level) => level.equipment)];
  return {
    id,
    own,
    name,
    synonyms: [...phrasesOf(id), ...phrasesOf(family)].join(' '),
    levels: ladder.map((level) => `${level.name} ${level.posture}`).join(' '),
    family: FAMILIES[family],
    trains: trains.join(' '),
    motions: motions.join(' '),
    things: [...new Set(things)].join(' '),
    purpose,
  };
}
