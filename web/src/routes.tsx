import { createBrowserRouter, Navigate } from 'react-router';
import { RequireAccount } from './features/accounts/index.ts';
import { LastTeam, TeamShell } from './features/teams/index.ts';
import { SaveState } from './features/tray/index.ts';
import { Fault, Loading } from './ui/index.ts';

/** Each screen is fetched when it is first opened; only the frame around it comes at once. */
export const routes = createBrowserRouter([
  {
    HydrateFallback: () => <Loading what="Bradyon" />,
    errorElement: <Fault />,
    children: [
      {
        path: '/sign-in',
        errorElement: <Fault />,
        lazy: async () => ({
          Component: (await import('./features/accounts/SignInPage.tsx')).SignInPage,
        }),
      },
      {
        path: '/sign-up',
        errorElement: <Fault />,
        lazy: async () => ({
          Component: (await import('./features/accounts/SignUpPage.tsx')).SignUpPage,
        }),
      },
      {
        path: '/reset',
        errorElement: <Fault />,
        lazy: async () => ({
          Component: (await import('./features/accounts/ResetPage.tsx')).ResetPage,
        }),
      },
      {
        Component: RequireAccount,
        children: [
          {
            path: '/account',
            errorElement: <Fault />,
            lazy: async () => ({
              Component: (await import('./features/accounts/AccountPage.tsx')).AccountPage,
            }),
          },
          { path: '/', Component: LastTeam },
          {
            path: '/teams',
            errorElement: <Fault />,
            lazy: async () => ({
              Component: (await import('./features/teams/FirstTeamPage.tsx')).FirstTeamPage,
            }),
          },
          {
            path: '/teams/:teamId',
            element: <TeamShell saving={<SaveState />} />,
            children: [
              { index: true, element: <Navigate to="timing" replace /> },
              {
                path: 'timing',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/timing/TimePage.tsx')).TimePage,
                }),
              },
              {
                path: 'timing/thumb',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/thumb/ThumbPage.tsx')).ThumbPage,
                }),
              },
              {
                path: 'timing/clip',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/clip/ClipPage.tsx')).ClipPage,
                }),
              },
              {
                path: 'timing/gates',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/gates/GatesPage.tsx')).GatesPage,
                }),
              },
              {
                path: 'timing/:personId',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/timing/PersonTimesPage.tsx'))
                    .PersonTimesPage,
                }),
              },
              {
                path: 'steals',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/steals/StealPage.tsx')).StealPage,
                }),
              },
              {
                path: 'steals/board',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/steals/BoardPage.tsx')).BoardPage,
                }),
              },
              {
                path: 'steals/card',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/steals/CardPage.tsx')).CardPage,
                }),
              },
              {
                path: 'leads',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/leads/FirstPage.tsx')).FirstPage,
                }),
              },
              {
                path: 'leads/second',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/leads/SecondPage.tsx')).SecondPage,
                }),
              },
              {
                path: 'leads/third',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/leads/ThirdPage.tsx')).ThirdPage,
                }),
              },
              {
                path: 'leads/sheet',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/leads/SheetPage.tsx')).SheetPage,
                }),
              },
              {
                path: 'innings',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/innings/OddsPage.tsx')).OddsPage,
                }),
              },
              {
                path: 'innings/best',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/innings/BestPage.tsx')).BestPage,
                }),
              },
              {
                path: 'innings/rates',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/innings/RatesPage.tsx')).RatesPage,
                }),
              },
              {
                path: 'innings/lineup',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/innings/LineupPage.tsx')).LineupPage,
                }),
              },
              {
                path: 'people',
                errorElement: <Fault />,
                lazy: async () => {
                  const [{ RosterPage }, { KeyTime }] = await Promise.all([
                    import('./features/people/RosterPage.tsx'),
                    import('./features/timing/KeyTime.tsx'),
                  ]);
                  return { element: <RosterPage KeyTime={KeyTime} /> };
                },
              },
              {
                path: 'rules',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/teams/RulesPage.tsx')).RulesPage,
                }),
              },
              {
                path: 'level',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/teams/LevelPage.tsx')).LevelPage,
                }),
              },
              {
                path: 'files',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/files/FilesPage.tsx')).FilesPage,
                }),
              },
              {
                path: 'staff',
                errorElement: <Fault />,
                lazy: async () => ({
                  Component: (await import('./features/teams/StaffPage.tsx')).StaffPage,
                }),
              },
            ],
          },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);
