import { type Grade, GRADED_LOAD, type GradedKind } from '../model/grades.js';
import { OWN_LOAD_WORDS } from '../model/dose-part-words.js';

/** What people call a thing that comes in grades, beside its own word. */
const CALLED: Record<GradedKind, readonly string[]> = { spring: ['spring', 'gripper'], band: ['band'] };

const escaped = (name: string): string =>
  name
    .trim()
    .replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)
    .replaceAll(/\s+/g, String.raw`\s+`);

/** A grade by name beside the thing: “red band”, “band: red”. */
function patternOf({ kind, name }: Grade): RegExp {
  const thing = `(${CALLED[kind].join('|')})`;
  return new RegExp(
    String.raw`(?<![\p{L}\p{N}])(?:${escaped(name)}[ -]${thing}|${thing}(?: |: ?)\(?${escaped(name)}\)?)(?![\p{L}\p{N}])`,
    'iu',
  );
}

const PATTERNS = new WeakMap<Grade, RegExp>();
const cached = (grade: Grade): RegExp => {
  let found = PATTERNS.get(grade);
  if (!found) PATTERNS.set(grade, (found = patternOf(grade)));
  return found;
};

/**
 * A line with the studio's springs and bands in kilograms: the thing stays, for the name of the movement, and the force follows as a dose writes it.
 * “Gripper squeeze, grey gripper 2x10” becomes “Gripper squeeze, gripper spring18kg 2x10”.
 */
export function withGrades(line: string, grades: readonly Grade[]): string {
  // Longer names first: “light green” is not “green”.
  const byLength = grades.toSorted((one, other) => other.name.length - one.name.length);
  return byLength.reduce((text, grade) => {
    const written = `${OWN_LOAD_WORDS[GRADED_LOAD[grade.kind]].word}${grade.kg}kg`;
    return text.replace(cached(grade), (_all, before?: string, behind?: string) => keptThing(before ?? behind ?? '', written));
  }, line);
}

/** The dose's word is the thing's own where that is no name of a movement. */
const keptThing = (thing: string, written: string): string => (thing.toLowerCase() === 'spring' ? written : `${thing} ${written}`);
