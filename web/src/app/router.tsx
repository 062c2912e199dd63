import { createBrowserRouter, redirect } from 'react-router';
import { WorkView } from '../features/worksheet/workViews.ts';
import { RouteError } from '../ui/RouteError.tsx';
import { Shell } from './Shell.tsx';

/** The addresses of the views. Each view is fetched when it is first opened. */
export function makeRouter() {
  return createBrowserRouter([
    // For those who are not in yet: nothing of the application stands around it.
    {
      path: '/sign-in',
      errorElement: <RouteError />,
      hydrateFallbackElement: <></>,
      lazy: async () => ({ Component: (await import('../features/people/SignInPage.tsx')).SignInPage }),
    },
    {
      path: '/join',
      errorElement: <RouteError />,
      hydrateFallbackElement: <></>,
      lazy: async () => ({ Component: (await import('../features/people/JoinPage.tsx')).JoinPage }),
    },
    {
      path: '/',
      element: <Shell />,
      errorElement: <RouteError />,
      hydrateFallbackElement: <></>,
      children: [
        {
          index: true,
          lazy: async () => ({ Component: (await import('../features/today/TodayPage.tsx')).TodayPage }),
        },
        {
          path: 'yard',
          lazy: async () => ({ Component: (await import('../features/board/BoardPage.tsx')).BoardPage }),
        },
        {
          path: 'yards',
          lazy: async () => ({ Component: (await import('../features/yards/YardsPage.tsx')).YardsPage }),
        },
        {
          path: 'compare',
          lazy: async () => ({
            Component: (await import('../features/compare/ComparePage.tsx')).ComparePage,
          }),
        },
        {
          path: 'yards/:yardId',
          lazy: async () => ({ Component: (await import('../features/board/BoardPage.tsx')).BoardPage }),
        },
        {
          path: 'colonies/:colonyId',
          lazy: async () => ({ Component: (await import('../features/colony/ColonyPage.tsx')).ColonyPage }),
        },
        {
          path: 'colonies/:colonyId/count',
          lazy: async () => ({ Component: (await import('../features/count/CountPage.tsx')).CountPage }),
        },
        {
          path: 'colonies/:colonyId/hive',
          lazy: async () => ({ Component: (await import('../features/colony/HivePage.tsx')).HivePage }),
        },
        {
          path: 'forecasts',
          lazy: async () => ({
            Component: (await import('../features/forecasts/ForecastsPage.tsx')).ForecastsPage,
          }),
        },
        {
          path: 'colonies/:colonyId/choices',
          lazy: async () => ({
            Component: (await import('../features/choices/ChoicesPage.tsx')).ChoicesPage,
          }),
        },
        {
          path: 'colonies/:colonyId/happened',
          lazy: async () => ({
            Component: (await import('../features/happened/HappenedPage.tsx')).HappenedPage,
          }),
        },
        {
          path: 'queens',
          lazy: async () => ({ Component: (await import('../features/queens/QueensPage.tsx')).QueensPage }),
        },
        {
          path: 'queens/tags',
          lazy: async () => ({
            Component: (await import('../features/queens/QueenTagsPage.tsx')).QueenTagsPage,
          }),
        },
        {
          path: 'queens/:queenId',
          lazy: async () => ({ Component: (await import('../features/queens/QueenPage.tsx')).QueenPage }),
        },
        {
          path: 'yards/:yardId/stands',
          lazy: async () => ({ Component: (await import('../features/yards/StandsPage.tsx')).StandsPage }),
        },
        {
          path: 'yards/:yardId/sheets',
          lazy: async () => ({ Component: (await import('../features/yards/SheetsPage.tsx')).SheetsPage }),
        },
        {
          path: 'yards/:yardId/season',
          lazy: async () => ({ Component: (await import('../features/yards/SeasonPage.tsx')).SeasonPage }),
        },
        {
          path: 'colonies/:colonyId/ways',
          lazy: async () => ({ Component: (await import('../features/ways/WaysPage.tsx')).WaysPage }),
        },
        {
          path: 'colonies/:colonyId/plan',
          lazy: async () => ({ Component: (await import('../features/plan/PlanPage.tsx')).PlanPage }),
        },
        {
          path: 'weak',
          lazy: async () => ({ Component: (await import('../features/weak/WeakPage.tsx')).WeakPage }),
        },
        {
          path: 'colonies/:colonyId/act',
          lazy: async () => ({ Component: (await import('../features/weak/ActPage.tsx')).ActPage }),
        },
        {
          path: 'colonies/:colonyId/act/:actionId',
          lazy: async () => ({ Component: (await import('../features/weak/ActionPage.tsx')).ActionPage }),
        },
        {
          path: 'worksheet',
          lazy: async () => ({
            Component: (await import('../features/worksheet/WorkListPage.tsx')).WorkListPage,
          }),
        },
        {
          path: 'plan',
          lazy: async () => ({
            Component: (await import('../features/yardplan/YardPlanPage.tsx')).YardPlanPage,
          }),
        },
        // The address of work on yards before there was one kind of work: in bookmarks and on printed pages.
        {
          path: 'worksheet/yard/:workId',
          loader: ({ params }) => redirect(`/worksheet/${params['workId']}`),
        },
        {
          path: 'worksheet/:workId/tags',
          lazy: async () => ({ Component: (await import('../features/worksheet/TagsPage.tsx')).TagsPage }),
        },
        {
          path: 'worksheet/:workId',
          Component: WorkView.View,
        },
        {
          path: 'inspections',
          lazy: async () => ({
            Component: (await import('../features/followups/FollowUpsPage.tsx')).FollowUpsPage,
          }),
        },
        // What is due had another address before: in bookmarks and calendars.
        { path: 'follow-ups', loader: () => redirect('/inspections') },
        {
          path: 'look/:followUpId',
          lazy: async () => ({ Component: (await import('../features/look/LookPage.tsx')).LookPage }),
        },
        {
          path: 'setup',
          lazy: async () => ({ Component: (await import('../features/setup/SetUpPage.tsx')).SetUpPage }),
        },
        {
          path: 'people',
          lazy: async () => ({
            Component: (await import('../features/people/PeoplePage.tsx')).PeoplePage,
          }),
        },
        {
          path: 'records',
          lazy: async () => ({
            Component: (await import('../features/records/RecordsPage.tsx')).RecordsPage,
          }),
        },
        {
          path: 'records/year/:year?',
          lazy: async () => ({ Component: (await import('../features/records/YearPage.tsx')).YearPage }),
        },
        {
          path: 'records/counts',
          lazy: async () => ({
            Component: (await import('../features/records/CountImportPage.tsx')).CountImportPage,
          }),
        },
        {
          path: 'store',
          lazy: async () => ({ Component: (await import('../features/worksheet/StorePage.tsx')).StorePage }),
        },
        {
          path: 'callout',
          lazy: async () => ({
            Component: (await import('../features/callout/CallOutStartPage.tsx')).CallOutStartPage,
          }),
        },
        {
          path: 'callout/:callOutId',
          lazy: async () => ({ Component: (await import('../features/callout/PadPage.tsx')).PadPage }),
        },
        {
          path: 'weather',
          lazy: async () => ({
            Component: (await import('../features/weather/WeatherPage.tsx')).WeatherPage,
          }),
        },
        {
          path: 'cells',
          lazy: async () => ({ Component: (await import('../features/cells/CellsPage.tsx')).CellsPage }),
        },
        {
          path: 'feed',
          lazy: async () => ({ Component: (await import('../features/feed/FeedPage.tsx')).FeedPage }),
        },
        {
          path: 'scan',
          lazy: async () => ({ Component: (await import('../features/scan/ScanPage.tsx')).ScanPage }),
        },
        {
          path: 'season',
          lazy: async () => ({ Component: (await import('../features/season/SeasonPage.tsx')).SeasonPage }),
        },
        {
          path: 'season/odds',
          lazy: async () => ({
            Component: (await import('../features/season/SeasonOddsPage.tsx')).SeasonOddsPage,
          }),
        },
        {
          path: 'spares',
          lazy: async () => ({ Component: (await import('../features/spares/SparesPage.tsx')).SparesPage }),
        },
        {
          path: 'several',
          lazy: async () => ({
            Component: (await import('../features/several/SeveralPage.tsx')).SeveralPage,
          }),
        },
        {
          path: 'outbox',
          lazy: async () => ({ Component: (await import('../features/outbox/OutboxPage.tsx')).OutboxPage }),
        },
        {
          path: 'settings',
          lazy: async () => ({
            Component: (await import('../features/settings/SettingsPage.tsx')).SettingsPage,
          }),
        },
        {
          path: 'words',
          lazy: async () => ({
            Component: (await import('../features/glossary/GlossaryPage.tsx')).GlossaryPage,
          }),
        },
        {
          path: 'rules',
          lazy: async () => ({
            Component: (await import('../features/rules/HouseRulesPage.tsx')).HouseRulesPage,
          }),
        },
        {
          path: 'rules/chances',
          lazy: async () => ({ Component: (await import('../features/rules/ChancesPage.tsx')).ChancesPage }),
        },
        { path: '*', element: <RouteError missing /> },
      ],
    },
  ]);
}
