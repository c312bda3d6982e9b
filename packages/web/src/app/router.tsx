import { type ComponentType } from 'react';
import { createBrowserRouter, replace, useRouteError } from 'react-router';
import { Loading, Trouble } from '../ui/page.js';
import { Shell } from './shell.js';

type Screen = () => Promise<{ default: ComponentType }>;

/** Each screen is its own file to fetch: the first page carries none of the others. */
const screen = (load: Screen) => ({ lazy: async () => ({ Component: (await load()).default }) });

function RouteTrouble() {
  const error = useRouteError();
  return <Trouble error={error} retry={() => window.location.reload()} />;
}

/** Where a screen had another address before: what was kept of it leads there. */
const moved = (to: string) => replace(to);

/** Which screen has which address; each is fetched at its first visit. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <RouteTrouble />,
    hydrateFallbackElement: <Loading what="the page" />,
    children: [
      {
        errorElement: <RouteTrouble />,
        children: [
          { index: true, ...screen(() => import('../features/today/today-page.js')) },
          { path: 'people', ...screen(() => import('../features/people/people-page.js')) },
          { path: 'people/class', ...screen(() => import('../features/people/class-page.js')) },
          { path: 'people/new', ...screen(() => import('../features/people/new-athlete-page.js')) },
          {
            path: 'people/:id',
            ...screen(() => import('../features/people/athlete-page.js')),
            children: [
              { index: true, ...screen(() => import('../features/people/overview-section.js')) },
              { path: 'screening', ...screen(() => import('../features/people/screening-section.js')) },
              { path: 'range', ...screen(() => import('../features/people/range-section.js')) },
              { path: 'levels', ...screen(() => import('../features/people/levels-section.js')) },
              { path: 'plan', ...screen(() => import('../features/people/plan-section.js')) },
              { path: 'history', ...screen(() => import('../features/people/history-section.js')) },
              { path: 'edit', ...screen(() => import('../features/people/edit-section.js')) },
            ],
          },
          { path: 'people/:id/check-in', ...screen(() => import('../features/check-in/check-in-page.js')) },
          { path: 'people/:id/measure', ...screen(() => import('../features/measure/measure-page.js')) },
          { path: 'people/:id/band', ...screen(() => import('../features/measure/band-page.js')) },
          { path: 'people/:id/import', ...screen(() => import('../features/measure/import-page.js')) },
          { path: 'people/:id/trends', ...screen(() => import('../features/measure/trends-page.js')) },
          { path: 'people/:id/letter', ...screen(() => import('../features/check-in/letter-page.js')) },
          { path: 'movements/:id?', ...screen(() => import('../features/movements/movements-page.js')) },
          { path: 'movements/:id/edit', ...screen(() => import('../features/movements/movement-editor-page.js')) },
          { path: 'bench', ...screen(() => import('../features/bench/bench-page.js')) },
          { path: 'sequences', ...screen(() => import('../features/sequences/sequences-page.js')) },
          { path: 'compose', ...screen(() => import('../features/compose/compose-page.js')) },
          { path: 'sequences/:id', ...screen(() => import('../features/sequences/editor-page.js')) },
          { path: 'sequences/:id/compare', ...screen(() => import('../features/sequences/compare-page.js')) },
          { path: 'methods/:id?', ...screen(() => import('../features/methods/methods-page.js')) },
          { path: 'methods/:id/edit', ...screen(() => import('../features/methods/method-editor-page.js')) },
          { path: 'programmes', ...screen(() => import('../features/programmes/programmes-page.js')) },
          { path: 'programmes/new', ...screen(() => import('../features/programmes/new-programme-page.js')) },
          { path: 'simulation', ...screen(() => import('../features/simulation/simulation-page.js')) },
          { path: 'people/:id/changes', ...screen(() => import('../features/changes/person-changes-page.js')) },
          { path: 'programmes/:id/changes', ...screen(() => import('../features/changes/group-changes-page.js')) },
          { path: 'programmes/:id/group', ...screen(() => import('../features/programmes/group-page.js')) },
          { path: 'programmes/:id', ...screen(() => import('../features/programmes/programme-page.js')) },
          { path: 'people/:id/week', ...screen(() => import('../features/people/week-page.js')) },
          { path: 'sequences/:id/sheet', ...screen(() => import('../features/sequences/sheet-page.js')) },
          { path: 'sequences/:id/lead', ...screen(() => import('../features/sessions/lead-page.js')) },
          { path: 'sequences/:id/class', ...screen(() => import('../features/class-sessions/prepare-page.js')) },
          { path: 'class/:id?/:view?', ...screen(() => import('../features/class-sessions/class-page.js')) },
          { path: 'session', ...screen(() => import('../features/sessions/player-page.js')) },
          { path: 'help/:id?', ...screen(() => import('../features/help/help-page.js')) },
          { path: 'account', ...screen(() => import('../features/account/account-page.js')) },
          { path: 'records', ...screen(() => import('../features/sessions/records-page.js')) },
          { path: 'predictions', ...screen(() => import('../features/predictions/predictions-page.js')) },
          { path: 'records/:id', ...screen(() => import('../features/sessions/record-page.js')) },
          { path: 'people/:id/ask', loader: ({ params }) => moved(`/people/${params['id']}/check-in`) },
          { path: 'programmes/rules', loader: () => moved('/simulation') },
          { path: 'records/foretold', loader: ({ request }) => moved(`/predictions${new URL(request.url).search}`) },
          { path: '*', ...screen(() => import('./lost-page.js')) },
        ],
      },
    ],
  },
]);
