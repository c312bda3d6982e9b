import { complaintIn } from '@clay-pot/core/library';
import { Link } from 'react-router';

interface Props {
  text: string;
  isClosest: boolean;
  /** Whose check-in is meant, where somebody is in view. */
  athleteId?: string | undefined;
}

/** What has to be said of a search: that a complaint needs a check-in first, or that no movement answers every word. */
export function SearchNote({ text, isClosest, athleteId }: Props) {
  const complaint = complaintIn(text);
  return (
    <div role="status" className="empty:hidden">
      {complaint && (
        <p className="border-l-4 border-iron bg-iron-wash px-2 py-1 text-small">
          <b>{complaint.name}: check in first.</b> Clay Pot doesn’t diagnose or treat.{' '}
          <Link className="underline" to={athleteId ? `/people/${athleteId}/check-in` : '/people'}>
            {athleteId ? 'Start check-in' : 'Choose an athlete'}
          </Link>
        </p>
      )}
      {isClosest && <p className="py-1 text-small text-ink-soft">No exact match. Closest movements:</p>}
    </div>
  );
}
