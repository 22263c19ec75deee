import { lazy, type ComponentType } from 'react';
import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import { RequireAccount } from './features/accounts/index.ts';
import { LastTeam, TeamShell } from './features/teams/index.ts';
import { SaveState } from './features/tray/index.ts';
import { Fault, Loading } from './ui/index.ts';

/**
 * A screen, fetched when it is first opened; only the frame around it comes at once. One that cannot be
 * fetched fails where it would be shown: the router itself would take the whole frame away with it.
 */
function screen(path: string, fetchIt: () => Promise<ComponentType>): RouteObject {
  return {
    path,
    errorElement: <Fault />,
    lazy: async () => ({
      Component: await fetchIt().catch((error: unknown) => () => {
        throw error;
      }),
    }),
  };
}

/** Comes with the first pitch that is timed: Time itself is there sooner without it. */
const RunnerVerdict = lazy(async () => ({
  default: (await import('./features/steals/RunnerVerdict.tsx')).RunnerVerdict,
}));

/** Comes when one of theirs runs. */
const LeadSeen = lazy(async () => ({
  default: (await import('./features/leads/LeadSeen.tsx')).LeadSeen,
}));

/** Pages that come together. */
const settings = () => import('./features/teams/settings.ts');
const reviews = () => import('./features/review/index.ts');

const work: RouteObject[] = [
  { index: true, element: <Navigate to="timing" replace /> },
  screen('games', async () => (await import('./features/games/GamesPage.tsx')).GamesPage),
  screen('games/new', async () => (await import('./features/games/NewGamePage.tsx')).NewGamePage),
  screen(
    'games/reminders',
    async () => (await import('./features/games/RemindersPage.tsx')).RemindersPage,
  ),
  screen('games/book', async () => (await reviews()).BookPage),
  screen('games/growth', async () => (await reviews()).GrowthPage),
  screen('games/season', async () => (await import('./features/review/SeasonPage.tsx')).SeasonPage),
  screen('games/:gameId/review', async () => (await reviews()).GameReviewPage),
  screen('games/:gameId/replay', async () => (await reviews()).ReplayPage),
  screen('games/:gameId', async () => (await import('./features/games/GamePage.tsx')).GamePage),
  screen('games/:gameId/box', async () => (await import('./features/games/BoxPage.tsx')).BoxPage),
  screen('games/:gameId/log', async () => (await import('./features/games/LogPage.tsx')).LogPage),
  screen(
    'games/:gameId/sheet',
    async () => (await import('./features/games/SheetPage.tsx')).SheetPage,
  ),
  screen('timing', async () => {
    const { TimePage } = await import('./features/timing/TimePage.tsx');
    return () => <TimePage Verdict={RunnerVerdict} Lead={LeadSeen} />;
  }),
  screen('timing/*', async () => (await import('./TimeRooms.tsx')).TimeRooms),
  screen('steals/*', async () => (await import('./features/steals/StealRooms.tsx')).StealRooms),
  screen('leads/*', async () => (await import('./features/leads/LeadRooms.tsx')).LeadRooms),
  screen('hold/*', async () => (await import('./features/holds/HoldRooms.tsx')).HoldRooms),
  screen('bunts/*', async () => (await import('./features/bunts/BuntRooms.tsx')).BuntRooms),
  screen('bases/*', async () => (await import('./features/bases/BasesRooms.tsx')).BasesRooms),
  screen('drills/*', async () => (await import('./features/drills/DrillRooms.tsx')).DrillRooms),
  screen('signs/*', async () => (await import('./features/signs/SignRooms.tsx')).SignRooms),
  screen('innings', async () => {
    const [{ OddsPage }, { KnownOf }] = await Promise.all([
      import('./features/innings/OddsPage.tsx'),
      import('./features/bases/KnownOf.tsx'),
    ]);
    return () => <OddsPage Known={KnownOf} />;
  }),
  screen('innings/best', async () => {
    const [{ BestPage }, { KnownBuntsOf }] = await Promise.all([
      import('./features/innings/BestPage.tsx'),
      import('./features/bunts/KnownBuntsOf.tsx'),
    ]);
    return () => <BestPage Known={KnownBuntsOf} />;
  }),
  screen('innings/rates', async () => (await import('./features/innings/RatesPage.tsx')).RatesPage),
  screen(
    'innings/lineup',
    async () => (await import('./features/innings/LineupPage.tsx')).LineupPage,
  ),
  screen('people', async () => {
    const [{ RosterPage }, { KeyTime }, { FirstSteps }] = await Promise.all([
      import('./features/people/RosterPage.tsx'),
      import('./features/timing/KeyTime.tsx'),
      import('./features/timing/FirstSteps.tsx'),
    ]);
    return () => <RosterPage KeyTime={KeyTime} FirstSteps={FirstSteps} />;
  }),
  screen('rules', async () => (await settings()).RulesPage),
  screen('field', async () => (await settings()).FieldPage),
  screen('level', async () => (await settings()).LevelPage),
  screen('files', async () => (await import('./features/files/FilesPage.tsx')).FilesPage),
  screen('staff', async () => (await settings()).StaffPage),
];

export const routes = createBrowserRouter([
  {
    HydrateFallback: () => <Loading what="Bradyon" />,
    errorElement: <Fault />,
    children: [
      screen(
        '/sign-in',
        async () => (await import('./features/accounts/SignInPage.tsx')).SignInPage,
      ),
      screen(
        '/sign-up',
        async () => (await import('./features/accounts/SignUpPage.tsx')).SignUpPage,
      ),
      screen('/join', async () => (await import('./features/games/JoinPage.tsx')).JoinPage),
      screen('/drill', async () => (await import('./features/signs/DrillPage.tsx')).DrillPage),
      screen('/reset', async () => (await import('./features/accounts/ResetPage.tsx')).ResetPage),
      {
        Component: RequireAccount,
        children: [
          screen(
            '/account',
            async () => (await import('./features/accounts/AccountPage.tsx')).AccountPage,
          ),
          { path: '/', Component: LastTeam },
          screen(
            '/teams',
            async () => (await import('./features/teams/FirstTeamPage.tsx')).FirstTeamPage,
          ),
          {
            path: '/teams/:teamId',
            element: <TeamShell saving={<SaveState />} />,
            children: work,
          },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);
