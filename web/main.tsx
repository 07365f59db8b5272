import '@fontsource-variable/bricolage-grotesque';
import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { askAhead, createQueryClient } from './data/queries';
import { Broken, NotHere, PlaceDied } from './pages/not-here';
import { Shell } from './shell';
import { GlobalStyle } from './theme/global-style';
import './theme/use-theme';

const client = createQueryClient();
askAhead(client);

/** Each place is fetched when it is first gone to. */
const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      {
        errorElement: <PlaceDied />,
        children: [
          { index: true, lazy: async () => ({ Component: (await import('./pages/today')).Today }) },
          { path: 'plan', lazy: async () => ({ Component: (await import('./pages/plan')).PlanPlace }) },
          { path: 'recipes', lazy: async () => ({ Component: (await import('./pages/recipes')).Recipes }) },
          {
            path: 'recipes/new',
            lazy: async () => ({ Component: (await import('./pages/recipe-editor')).RecipeEditor }),
          },
          {
            path: 'recipes/:id/edit',
            lazy: async () => ({ Component: (await import('./pages/recipe-editor')).RecipeEditor }),
          },
          { path: 'sheet', lazy: async () => ({ Component: (await import('./pages/sheet')).SheetPlace }) },
          {
            path: 'recipes/:id',
            lazy: async () => ({ Component: (await import('./pages/recipe')).RecipePlace }),
          },
          {
            path: 'rehearse/:id',
            lazy: async () => ({ Component: (await import('./pages/rehearse')).Rehearse }),
          },
          { path: 'larder', lazy: async () => ({ Component: (await import('./pages/larder')).Larder }) },
          {
            path: 'larder/foods',
            lazy: async () => ({ Component: (await import('./pages/larder-foods')).LarderFoods }),
          },
          {
            path: 'larder/bases',
            lazy: async () => ({ Component: (await import('./pages/larder-bases')).LarderBases }),
          },
          {
            path: 'larder/bases/:id',
            lazy: async () => ({ Component: (await import('./pages/larder-base')).LarderBase }),
          },
          {
            path: 'larder/blend',
            lazy: async () => ({ Component: (await import('./pages/larder-blend')).LarderBlend }),
          },
          {
            path: 'larder/roux',
            lazy: async () => ({ Component: (await import('./pages/larder-roux')).LarderRoux }),
          },
          {
            path: 'larder/count',
            lazy: async () => ({ Component: (await import('./pages/larder-count')).LarderCount }),
          },
          {
            path: 'larder/cooling',
            lazy: async () => ({ Component: (await import('./pages/larder-cooling')).LarderCooling }),
          },
          {
            path: 'larder/finished',
            lazy: async () => ({ Component: (await import('./pages/larder-finished')).LarderFinished }),
          },
          {
            path: 'larder/lots/:id',
            lazy: async () => ({ Component: (await import('./pages/lot')).LotPlace }),
          },
          {
            path: 'larder/lots/:id/label',
            lazy: async () => ({ Component: (await import('./pages/lot-label')).LotLabel }),
          },
          {
            path: 'log/record',
            lazy: async () => ({ Component: (await import('./pages/record')).RecordPlace }),
          },
          { path: 'log', lazy: async () => ({ Component: (await import('./pages/log')).Log }) },
          {
            path: 'log/:id',
            lazy: async () => ({ Component: (await import('./pages/log-batch')).LogBatch }),
          },
          {
            path: 'kitchen/:section?',
            lazy: async () => ({ Component: (await import('./pages/kitchen')).Kitchen }),
          },
          {
            path: 'batches/:id',
            lazy: async () => ({ Component: (await import('./pages/batch-frame')).BatchFrame }),
            children: [
              { index: true, lazy: async () => ({ Component: (await import('./pages/pot')).PotPlace }) },
              {
                path: 'adjust',
                lazy: async () => ({ Component: (await import('./pages/adjust')).AdjustPage }),
              },
              // what this page was called; a tablet may have it on its home screen
              { path: 'bench', element: <Navigate to="../adjust" replace /> },
              { path: 'pass', lazy: async () => ({ Component: (await import('./pages/pass')).Pass }) },
            ],
          },
          { path: '*', element: <NotHere /> },
        ],
      },
    ],
  },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <GlobalStyle />
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
