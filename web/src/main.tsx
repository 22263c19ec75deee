import '@fontsource-variable/archivo/wdth.css';
import './ui/tokens.scss';
import './ui/bootstrap.scss';
import './ui/base.scss';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { ServerState } from './api/index.ts';
import { routes } from './routes.tsx';
import { followTheme, Notices } from './ui/index.ts';

followTheme();
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
