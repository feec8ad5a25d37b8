import { defined } from '@dewpot/core/math';
import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { useIsRestoring } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { registerSW } from 'virtual:pwa-register';
import { nameCastWrites } from './api/casts';
import { persistOptions, queryClient, resumeWaiting } from './api/query-client';
import { nameRunWrites } from './api/run-writes';
import { Reads } from './ui/say';
import { Busy } from './ui/states';
import { fetchToaster } from './ui/toast';
import { Frame } from './shell/frame';
import { ScreenFailure } from './shell/screen-failure';

nameCastWrites(queryClient);
nameRunWrites(queryClient);

const router = createBrowserRouter([
  {
    path: '/',
    Component: Frame,
    HydrateFallback: () => <Busy what="this station" />,
    ErrorBoundary: ScreenFailure,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./shelf/shelf-page')).ShelfPage }) },
      { path: 'moulds', lazy: async () => ({ Component: (await import('./moulds/moulds-page')).MouldsPage }) },
      {
        path: 'moulds/measure',
        lazy: async () => ({ Component: (await import('./moulds/measure-page')).MeasurePage }),
      },
      { path: 'moulds/file', lazy: async () => ({ Component: (await import('./moulds/file-page')).FilePage }) },
      { path: 'moulds/pairs', lazy: async () => ({ Component: (await import('./moulds/pairs-page')).PairsPage }) },
      { path: 'moulds/:id', lazy: async () => ({ Component: (await import('./moulds/mould-page')).MouldPage }) },
      { path: 'mixes', lazy: async () => ({ Component: (await import('./mixes/mixes-page')).MixesPage }) },
      { path: 'mixes/compare', lazy: async () => ({ Component: (await import('./mixes/compare-page')).ComparePage }) },
      { path: 'mixes/:id/card', lazy: async () => ({ Component: (await import('./mixes/card-page')).CardPage }) },
      { path: 'mixes/:id', lazy: async () => ({ Component: (await import('./mixes/mix-page')).MixPage }) },
      { path: 'tints', lazy: async () => ({ Component: (await import('./tints/tints-page')).TintsPage }) },
      { path: 'tints/wanted', lazy: async () => ({ Component: (await import('./tints/wanted-page')).WantedPage }) },
      { path: 'tints/chips', lazy: async () => ({ Component: (await import('./tints/chips-page')).ChipsPage }) },
      {
        path: 'tints/ladder',
        lazy: async () => ({ Component: (await import('./tints/dose-series-page')).LadderPage }),
      },
      { path: 'tints/book', lazy: async () => ({ Component: (await import('./tints/book-page')).BookPage }) },
      { path: 'tints/ways', lazy: async () => ({ Component: (await import('./tints/after-curing-page')).WaysPage }) },
      { path: 'tints/:id', lazy: async () => ({ Component: (await import('./tints/tint-page')).TintPage }) },
      { path: 'pours', lazy: async () => ({ Component: (await import('./pours/pours-page')).PoursPage }) },
      { path: 'pours/:id', lazy: async () => ({ Component: (await import('./pours/pour-page')).PourPage }) },
      { path: 'pours/:id/bench', lazy: async () => ({ Component: (await import('./bench/bench-page')).BenchPage }) },
      { path: 'casts', lazy: async () => ({ Component: (await import('./casts/casts-page')).CastsPage }) },
      {
        path: 'casts/weigh',
        lazy: async () => ({ Component: (await import('./weighing/weighing-page')).WeighingPage }),
      },
      { path: 'casts/join', lazy: async () => ({ Component: (await import('./assembly/assembly-page')).JoinPage }) },
      {
        path: 'casts/try',
        lazy: async () => ({ Component: (await import('./simulation/simulation-page')).SimulationPage }),
      },
      { path: 'casts/:id', lazy: async () => ({ Component: (await import('./casts/cast-page')).CastPage }) },
      {
        path: 'materials',
        lazy: async () => ({ Component: (await import('./materials/materials-page')).MaterialsPage }),
      },
      { path: 'set-up', lazy: async () => ({ Component: (await import('./workshop/set-up-page')).SetUpPage }) },
      {
        path: 'workshop/places',
        lazy: async () => ({ Component: (await import('./ambient/places-page')).PlacesPage }),
      },
      { path: 'workshop', lazy: async () => ({ Component: (await import('./workshop/workshop-page')).WorkshopPage }) },
      { path: 'glossary', lazy: async () => ({ Component: (await import('./glossary/glossary-page')).GlossaryPage }) },
      { path: '*', lazy: async () => ({ Component: (await import('./ui/not-found')).Nowhere }) },
    ],
  },
]);

/** By then the first screen stands: it waits for none of this. */
const SETTLED = 3000;
setTimeout(() => {
  registerSW({ immediate: true });
  void fetchToaster();
}, SETTLED);

/** Waits for what the browser kept: a screen that asks before it is restored would wait for a connection. */
function Application() {
  return useIsRestoring() ? null : (
    <Reads>
      <RouterProvider router={router} />
    </Reads>
  );
}

createRoot(defined(document.getElementById('root'))).render(
  <StrictMode>
    <PersistQueryClientProvider
      client={queryClient}
      persistOptions={persistOptions}
      onSuccess={() => void resumeWaiting(queryClient)}
    >
      <Application />
    </PersistQueryClientProvider>
  </StrictMode>,
);
