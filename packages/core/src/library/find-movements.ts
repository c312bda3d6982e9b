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
  'free.finger-flicks': 'flick, finger springs',
  'free.finger-snaps': 'snap, snapping',
  'free.finger-spirals': 'shell, curling in',
  'free.fingertip-push-ups': 'finger push-ups, tent, pumping',
  'free.fingertip-wheel': 'finger wheel, rolling',
  'free.clenched-circles': 'fist circles, grip and circle',
  'free.lying-eights': 'figure eight, infinity',
  'free.straight-arm-wave': 'nerve wave, arm wave',
  'glide.nerve-median': 'nerve floss, nerve glide, median nerve',
  'glide.nerve-ulnar': 'nerve floss, nerve glide, ulnar nerve',
  'stretch.pouring': 'pouring, jug',
  'stretch.stand-on-palms': 'forward fold, hands under feet',
  'stretch.crossed-arms-turn': 'arm knot, crossed arms',
  'stretch.backs-on-ribs': 'ribs, breathing',
  'stretch.palms-knuckles-back': 'knuckle stretch, finger extension stretch',
  'bearing.pike-one-fingertips': 'down dog on fingertips, one-hand tent',
  'weight.bar-roll-behind': 'barbell behind the back, behind-the-back wrist curl',
  'grip.ball-strap': 'ball handle, globe',
  'grip.band-places': 'rubber band, hundred openings, band opening',
  'grip.thumb-band': 'thumb extension, thumb opener',
  'isometric.thumb-press': 'thumb strength, pinch press',
  'isometric.wedge-press': 'wedge, towel under the heel',
  'edge.finger-lifts': 'finger lifts, edge control',
  'settle.tool-scrape': 'scraping, tool massage',
  'settle.cold-water': 'ice, cold bath, cooling',
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
    tokenize: wordsOf,
    processTerm: (term) => stemmed(term),
  });
  index.addAll(shelf.map((movement) => fieldsOf(movement, ownName(movement.id))));
  const byId = new Map(shelf.map((movement, place) => [movement.id, { movement, place }]));
  return (text) => {
    if (text.trim() === '') return shelf.map((movement) => ({ movement, score: 0, isWhole: true, isNamed: false }));
    const all = index.search(text, { combineWith: 'AND' });
    const hits = all.length > 0 ? all : index.search(text, { combineWith: 'OR' });
    return hits
      .flatMap(({ id, score, match }) => {
        const known = byId.get(String(id));
        if (!known) return [];
        const near = nearness(text, known.movement, ownName(known.movement.id));
        const spelt = wordsOf(known.movement.name).every((word) => match[stemmed(word)]?.includes('name'));
        return [{ ...known, score: score * Math.max(near, spelt ? SPELT : 1), isNamed: near >= NAMED }];
      })
      .toSorted((a, b) => b.score - a.score || a.place - b.place)
      .map(({ movement, score, isNamed }) => ({ movement, score, isNamed, isWhole: all.length > 0 }));
  };
}

const NAMED = 4;
/** How much more it weighs that every word of a name was meant, with slips. */
const SPELT = 3;

/** A name that is the very words weighs more than one that has them among others; so do the words before a comma, after which a level is named. */
function nearness(text: string, movement: Movement, own = ''): number {
  const [head = ''] = text.split(',');
  return Math.max(nearnessOf(plainName(text), movement, own), nearnessOf(plainName(head), movement, own));
}
function nearnessOf(wanted: string, { id, name }: Movement, own: string): number {
  if (plainName(name) === wanted || plainName(own) === wanted) return 8;
  if (phrasesOf(id).includes(wanted)) return NAMED;
  return plainName(name).startsWith(wanted) ? 1.5 : 1;
}

/** A name without what people leave out or write otherwise. @example plainName('Palm rocks, fore and aft') → 'palm rocks fore and aft' */
export const plainName = (text: string): string => wordsOf(text).join(' ');
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** One word for one thing and for many. */
const stemmed = (term: string): string => (term.length > 3 && term.endsWith('s') && !term.endsWith('ss') ? term.slice(0, -1) : term);

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
