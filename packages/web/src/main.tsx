import { must } from '@clay-pot/core';
import './app/theme.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { lastKnownMe, queryClient, showLastSeen } from './api/queries.js';
import { Door } from './app/door.js';
import { flush, startOutbox } from './store/outbox.js';
import { showIn } from './store/units.js';
import { startConnection } from './api/connection.js';

startOutbox();
// What could not be fetched or sent while nobody answered goes on by itself.
startConnection(() => {
  void flush();
  void queryClient.refetchQueries({ type: 'active' });
});
const known = lastKnownMe();
if (known) {
  showIn(known.units);
  void showLastSeen();
}

createRoot(must(document.getElementById('root'), 'a place for the app in its page')).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <Door />
    </QueryClientProvider>
  </StrictMode>,
);
