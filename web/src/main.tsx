import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { ServerState, startOutbox } from './api/index.ts';
import { sessionRanOut, watchAccount } from './features/accounts/index.ts';
// Every kind of write is known from the start, so that what a reload interrupted goes out.
import './features/bases/writes.ts';
import './features/bunts/writes.ts';
import './features/drills/writes.ts';
import './features/games/writes.ts';
import './features/leads/writes.ts';
import './features/people/writes.ts';
import './features/signs/writes.ts';
import './features/thumb/writes.ts';
import './features/timing/writes.ts';
import { routes } from './routes.tsx';
import { followTheme, Notices } from './ui/index.ts';

followTheme();
watchAccount();
startOutbox(sessionRanOut);
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
createRoot(root).render(
  <StrictMode>
    <ServerState>
      <RouterProvider router={routes} />
      <Notices />
    </ServerState>
  </StrictMode>,
);
