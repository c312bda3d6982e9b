import { lazy, Suspense } from 'react';
import { Loading } from '../../ui/page.js';

// The address of the house is where people sign in: what a coach sees is fetched once somebody has.
const TodayContent = lazy(() => import('./today-content.js'));

/** What a coach sees first. */
export default function TodayPage() {
  return (
    <Suspense fallback={<Loading what="today" />}>
      <TodayContent />
    </Suspense>
  );
}
