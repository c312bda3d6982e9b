import { must } from '@clay-pot/core';
import './app/theme.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { queryClient, showLastSeen } from './api/queries.js';
import { Door } from './app/door.js';
import { flush, startOutbox } from './store/outbox.js';
import { lastKnownMe, onOtherAccount, showFor } from './store/me.js';
import { startConnection } from './api/connection.js';
import { Loading } from './ui/page.js';

const Join = lazy(() => import('./features/class-sessions/join.js'));

startOutbox();
// What could not be fetched or sent while nobody answered goes on by itself.
startConnection(() => {
  void flush();
  void queryClient.refetchQueries({ type: 'active' });
});
// A device that joins a class by a code has no account, and keeps nothing.
const isGuest = location.pathname === '/join';
const cached = isGuest ? null : lastKnownMe();
if (!isGuest) onOtherAccount(() => window.location.assign('/'));
if (cached) {
  showFor(cached);
  void showLastSeen();
}

createRoot(must(document.getElementById('root'), 'a place for the app in its page')).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      {isGuest ? (
        <Suspense fallback={<Loading what="the class" />}>
          <Join />
        </Suspense>
      ) : (
        <Door />
      )}
    </QueryClientProvider>
  </StrictMode>,
);
