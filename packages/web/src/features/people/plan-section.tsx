import { Link } from 'react-router';
import { AssignedSequences } from './assigned-sequences.js';
import { usePerson } from './person.js';
import { ProgrammesOf } from './programmes-of.js';

/** What is planned: sequences on their days, programmes over weeks. */
export default function PlanSection() {
  const { id } = usePerson();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      <AssignedSequences athleteId={id} />
      <ProgrammesOf athleteId={id} />
      <p>
        <Link className="underline underline-offset-2" to={`/people/${id}/week`}>
          Load of this week, planned and done
        </Link>
      </p>
    </div>
  );
}
