import { must } from '@clay-pot/core';
import './app/theme.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { queryClient, showLastSeen } from './api/queries.js';
import { Door } from './app/door.js';
import { flush, startOutbox } from './store/outbox.js';
import { lastKnownMe, onOtherAccount, showFor } from './store/me.js';
import { startConnection } from './api/connection.js';

startOutbox();
// What could not be fetched or sent while nobody answered goes on by itself.
startConnection(() => {
  void flush();
  void queryClient.refetchQueries({ type: 'active' });
});
onOtherAccount(() => window.location.assign('/'));
const cached = lastKnownMe();
if (cached) {
  showFor(cached);
  void showLastSeen();
}

createRoot(must(document.getElementById('root'), 'a place for the app in its page')).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <Door />
    </QueryClientProvider>
  </StrictMode>,
);
