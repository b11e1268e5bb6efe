import { createBrowserRouter, Navigate } from 'react-router';
import type { Params } from 'react-router';
import { keenApi, VISIT_FRESH_S } from '../api/keenApi.ts';
import { seemsSignedIn } from '../api/signOutMark.ts';
import { CrashPage } from './CrashPage.tsx';
import { NotFoundPage } from './NotFoundPage.tsx';
import { SignedIn } from './SignedIn.tsx';
import type { createStore } from './store.ts';

/**
 * Every screen is its own chunk: the first page loads only itself. What a page asks for first is asked beside
 * the loading of its code.
 */
export function createRouter({ dispatch }: ReturnType<typeof createStore>) {
  /** Asks without waiting for the answer: the page shows how its own loading goes. */
  const ahead = (ask: (params: Params) => void) => (at: { params: Params }) => {
    if (seemsSignedIn()) ask(at.params);
    return null;
  };
  return createBrowserRouter([
    {
      errorElement: <CrashPage />,
      // While the first page is fetched there is the frame that came with the document.
      hydrateFallbackElement: <></>,
      children: [
        {
          path: '/sign-in',
          lazy: async () => ({
            Component: (await import('../features/signIn/SignInPage.tsx')).SignInPage,
          }),
        },
        {
          path: '/password/:token',
          lazy: async () => ({
            Component: (await import('../features/signIn/ChoosePasswordPage.tsx'))
              .ChoosePasswordPage,
          }),
        },
        {
          path: '/s/:token',
          lazy: async () => ({
            Component: (await import('../features/sharedSheet/SharedSheetPage.tsx'))
              .SharedSheetPage,
          }),
        },
        {
          element: <SignedIn />,
          children: [
            {
              path: '/',
              loader: ahead(() => dispatch(keenApi.util.prefetch('openVisits', undefined, {}))),
              lazy: async () => ({
                Component: (await import('../features/today/TodayPage.tsx')).TodayPage,
              }),
            },
            {
              path: '/bench/shim-template',
              lazy: async () => ({
                Component: (await import('../features/bench/ShimTemplatePage.tsx'))
                  .ShimTemplatePage,
              }),
            },
            {
              path: '/bench/:tool?',
              lazy: async () => ({
                Component: (await import('../features/bench/BenchPage.tsx')).BenchPage,
              }),
            },
            {
              path: '/wear-lab',
              lazy: async () => ({
                Component: (await import('../features/wearLab/WearLabPage.tsx')).WearLabPage,
              }),
            },
            {
              path: '/practice',
              lazy: async () => ({
                Component: (await import('../features/practice/PracticePage.tsx')).PracticePage,
              }),
            },
            {
              path: '/practice/drill/:drillId',
              lazy: async () => ({
                Component: (await import('../features/practice/DrillPage.tsx')).DrillPage,
              }),
            },
            {
              path: '/practice/:carId',
              lazy: async () => ({
                Component: (await import('../features/practice/PracticeCarPage.tsx'))
                  .PracticeCarPage,
              }),
              children: [
                { index: true, element: <Navigate to="read" replace /> },
                // The tread is read, and the answer explained, as in a visit.
                {
                  path: 'read',
                  lazy: async () => ({
                    Component: (await import('../features/read/ReadStep.tsx')).ReadStep,
                  }),
                },
                {
                  path: 'checks',
                  lazy: async () => ({
                    Component: (await import('../features/practice/ChecksStep.tsx')).ChecksStep,
                  }),
                },
                {
                  path: 'answer',
                  lazy: async () => ({
                    Component: (await import('../features/practice/AnswerStep.tsx')).AnswerStep,
                  }),
                },
                {
                  path: 'result',
                  lazy: async () => ({
                    Component: (await import('../features/practice/ResultStep.tsx')).ResultStep,
                  }),
                },
                {
                  path: 'explain',
                  lazy: async () => ({
                    Component: (await import('../features/explain/ExplainStep.tsx')).ExplainStep,
                  }),
                },
                { path: '*', element: <Navigate to="../read" replace /> },
              ],
            },
            {
              path: '/sheets/:sheetId?',
              lazy: async () => ({
                Component: (await import('../features/sheets/SheetsPage.tsx')).SheetsPage,
              }),
            },
            {
              path: '/shop',
              lazy: async () => ({
                Component: (await import('../features/shop/ShopPage.tsx')).ShopPage,
              }),
            },
            {
              path: '/chain',
              lazy: async () => ({
                Component: (await import('../features/shop/ChainPage.tsx')).ChainPage,
              }),
            },
            {
              path: '/system',
              lazy: async () => ({
                Component: (await import('../features/system/SystemPage.tsx')).SystemPage,
              }),
            },
            {
              path: '/gauges',
              lazy: async () => ({
                Component: (await import('../features/gauges/GaugesPage.tsx')).GaugesPage,
              }),
            },
            {
              path: '/gauges/:studyId',
              lazy: async () => ({
                Component: (await import('../features/gauges/StudyPage.tsx')).StudyPage,
              }),
            },
            {
              path: '/insights',
              lazy: async () => ({
                Component: (await import('../features/insights/InsightsPage.tsx')).InsightsPage,
              }),
            },
            {
              path: '/account',
              lazy: async () => ({
                Component: (await import('../features/account/AccountPage.tsx')).AccountPage,
              }),
            },
            {
              path: '/garage',
              lazy: async () => ({
                Component: (await import('../features/garage/GaragePage.tsx')).GaragePage,
              }),
            },
            {
              path: '/garage/:vehicleId/fleet',
              lazy: async () => ({
                Component: (await import('../features/garage/FleetPage.tsx')).FleetPage,
              }),
            },
            {
              path: '/garage/:vehicleId',
              lazy: async () => ({
                Component: (await import('../features/garage/CarPage.tsx')).CarPage,
              }),
            },
            {
              path: '/due',
              lazy: async () => ({
                Component: (await import('../features/due/DuePage.tsx')).DuePage,
              }),
            },
            {
              path: '/devices',
              lazy: async () => ({
                Component: (await import('../features/devices/DevicesPage.tsx')).DevicesPage,
              }),
            },
            {
              path: '/how-it-works',
              lazy: async () => ({
                Component: (await import('../features/howItWorks/HowItWorksPage.tsx'))
                  .HowItWorksPage,
              }),
            },
            {
              path: '/visits/:visitId',
              loader: ahead(({ visitId = '' }) =>
                dispatch(keenApi.util.prefetch('visit', visitId, { ifOlderThan: VISIT_FRESH_S })),
              ),
              lazy: async () => ({
                Component: (await import('../features/visit/VisitPage.tsx')).VisitPage,
              }),
              children: [
                { index: true, element: <Navigate to="arrive" replace /> },
                {
                  path: 'arrive',
                  lazy: async () => ({
                    Component: (await import('../features/arrive/ArriveStep.tsx')).ArriveStep,
                  }),
                },
                {
                  path: 'read',
                  lazy: async () => ({
                    Component: (await import('../features/read/ReadStep.tsx')).ReadStep,
                  }),
                },
                {
                  path: 'inspect',
                  lazy: async () => ({
                    Component: (await import('../features/inspect/InspectStep.tsx')).InspectStep,
                  }),
                },
                {
                  path: 'explain',
                  lazy: async () => ({
                    Component: (await import('../features/explain/ExplainStep.tsx')).ExplainStep,
                  }),
                },
                {
                  path: 'decide',
                  lazy: async () => ({
                    Component: (await import('../features/decide/DecideStep.tsx')).DecideStep,
                  }),
                },
                {
                  path: 'measure',
                  lazy: async () => ({
                    Component: (await import('../features/measure/MeasureStep.tsx')).MeasureStep,
                  }),
                },
                {
                  path: 'set',
                  lazy: async () => ({
                    Component: (await import('../features/setRight/SetRightStep.tsx')).SetRightStep,
                  }),
                },
                {
                  path: 'hand-over',
                  lazy: async () => ({
                    Component: (await import('../features/handOver/HandOverStep.tsx')).HandOverStep,
                  }),
                },
                { path: '*', element: <Navigate to="../arrive" replace /> },
              ],
            },
          ],
        },
        { path: '*', element: <NotFoundPage /> },
      ],
    },
  ]);
}
