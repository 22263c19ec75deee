import { createBrowserRouter, Navigate } from 'react-router';
import { RequireAccount } from './features/accounts/index.ts';
import { LastTeam, TeamShell } from './features/teams/index.ts';
import { Loading } from './ui/index.ts';

/** Each screen is fetched when it is first opened; only the frame around it comes at once. */
export const routes = createBrowserRouter([
  {
    HydrateFallback: () => <Loading what="Bradyon" />,
    children: [
      {
        path: '/sign-in',
        lazy: async () => ({
          Component: (await import('./features/accounts/SignInPage.tsx')).SignInPage,
        }),
      },
      {
        path: '/sign-up',
        lazy: async () => ({
          Component: (await import('./features/accounts/SignUpPage.tsx')).SignUpPage,
        }),
      },
      {
        Component: RequireAccount,
        children: [
          { path: '/', Component: LastTeam },
          {
            path: '/teams',
            lazy: async () => ({
              Component: (await import('./features/teams/FirstTeamPage.tsx')).FirstTeamPage,
            }),
          },
          {
            path: '/teams/:teamId',
            Component: TeamShell,
            children: [
              { index: true, element: <Navigate to="timing" replace /> },
              {
                path: 'timing',
                lazy: async () => ({
                  Component: (await import('./features/timing/TimePage.tsx')).TimePage,
                }),
              },
              {
                path: 'timing/thumb',
                lazy: async () => ({
                  Component: (await import('./features/thumb/ThumbPage.tsx')).ThumbPage,
                }),
              },
              {
                path: 'timing/clip',
                lazy: async () => ({
                  Component: (await import('./features/clip/ClipPage.tsx')).ClipPage,
                }),
              },
              {
                path: 'timing/gates',
                lazy: async () => ({
                  Component: (await import('./features/gates/GatesPage.tsx')).GatesPage,
                }),
              },
              {
                path: 'timing/:personId',
                lazy: async () => ({
                  Component: (await import('./features/timing/PersonTimesPage.tsx'))
                    .PersonTimesPage,
                }),
              },
              {
                path: 'steals',
                lazy: async () => ({
                  Component: (await import('./features/steals/StealPage.tsx')).StealPage,
                }),
              },
              {
                path: 'steals/board',
                lazy: async () => ({
                  Component: (await import('./features/steals/BoardPage.tsx')).BoardPage,
                }),
              },
              {
                path: 'steals/card',
                lazy: async () => ({
                  Component: (await import('./features/steals/CardPage.tsx')).CardPage,
                }),
              },
              {
                path: 'leads',
                lazy: async () => ({
                  Component: (await import('./features/leads/FirstPage.tsx')).FirstPage,
                }),
              },
              {
                path: 'leads/second',
                lazy: async () => ({
                  Component: (await import('./features/leads/SecondPage.tsx')).SecondPage,
                }),
              },
              {
                path: 'leads/third',
                lazy: async () => ({
                  Component: (await import('./features/leads/ThirdPage.tsx')).ThirdPage,
                }),
              },
              {
                path: 'leads/sheet',
                lazy: async () => ({
                  Component: (await import('./features/leads/SheetPage.tsx')).SheetPage,
                }),
              },
              {
                path: 'innings',
                lazy: async () => ({
                  Component: (await import('./features/innings/OddsPage.tsx')).OddsPage,
                }),
              },
              {
                path: 'innings/best',
                lazy: async () => ({
                  Component: (await import('./features/innings/BestPage.tsx')).BestPage,
                }),
              },
              {
                path: 'innings/rates',
                lazy: async () => ({
                  Component: (await import('./features/innings/RatesPage.tsx')).RatesPage,
                }),
              },
              {
                path: 'innings/lineup',
                lazy: async () => ({
                  Component: (await import('./features/innings/LineupPage.tsx')).LineupPage,
                }),
              },
              {
                path: 'people',
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
                lazy: async () => ({
                  Component: (await import('./features/teams/RulesPage.tsx')).RulesPage,
                }),
              },
              {
                path: 'level',
                lazy: async () => ({
                  Component: (await import('./features/teams/LevelPage.tsx')).LevelPage,
                }),
              },
              {
                path: 'files',
                lazy: async () => ({
                  Component: (await import('./features/files/FilesPage.tsx')).FilesPage,
                }),
              },
              {
                path: 'staff',
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
