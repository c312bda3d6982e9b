import { LevelsWall } from './levels-wall.js';
import { usePerson } from './person.js';

/** At which level each movement is, and what the next one takes. */
export default function LevelsSection() {
  return <LevelsWall athleteId={usePerson().id} />;
}
