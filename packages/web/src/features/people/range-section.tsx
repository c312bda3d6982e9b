import { useReadings } from '../../api/queries.js';
import { LeftRight } from './left-right.js';
import { usePerson } from './person.js';
import { RangeAndStrength } from './range-and-strength.js';
import { RangeWheel } from './range-wheel.js';

/** What was measured: range against what a sequence uses, strength, left against right. */
export default function RangeSection() {
  const person = usePerson();
  const readings = useReadings(person.id).data ?? [];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      <RangeWheel athlete={person} />
      <RangeAndStrength athleteId={person.id} />
      <LeftRight athlete={person} readings={readings} />
    </div>
  );
}
