import { defined } from '@dewpot/core/math';
import './styles.css';
import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { useIsRestoring } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { registerSW } from 'virtual:pwa-register';
import { nameCastWrites } from './api/casts';
import { persistOptions, queryClient, resumeWaiting } from './api/query-client';
import { nameRunWrites } from './api/run-writes';
import { chosenLanguage } from './api/language';
import { loadFirst, loadLanguage } from './ui/catalogues';
import { Reads, useSay } from './ui/say';
import { Busy } from './ui/states';
import { fetchToaster } from './ui/toast';
import { Frame } from './shell/frame';
import { ScreenFailure } from './shell/screen-failure';

nameCastWrites(queryClient);
nameRunWrites(queryClient);

/** A screen with all that it says: a draft that begins with names, or a shape that depends on them, never meets an empty one. */
const screen =
  <Name extends string>(load: () => Promise<Record<Name, ComponentType>>, name: Name) =>
  async () => {
    const [screens] = await Promise.all([load(), loadLanguage(chosenLanguage())]);
    return { Component: screens[name] };
  };

/** While the first screen comes. */
function Station() {
  const say = useSay();
  return <Busy what={say('shell.thisStation')} />;
}

const router = createBrowserRouter([
  {
    path: '/',
    Component: Frame,
    HydrateFallback: () => <Station />,
    ErrorBoundary: ScreenFailure,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./shelf/shelf-page')).ShelfPage }) },
      { path: 'moulds', lazy: screen(() => import('./moulds/moulds-page'), 'MouldsPage') },
      {
        path: 'moulds/measure',
        lazy: screen(() => import('./moulds/measure-page'), 'MeasurePage'),
      },
      { path: 'moulds/file', lazy: screen(() => import('./moulds/file-page'), 'FilePage') },
      { path: 'moulds/pairs', lazy: screen(() => import('./moulds/pairs-page'), 'PairsPage') },
      { path: 'moulds/:id', lazy: screen(() => import('./moulds/mould-page'), 'MouldPage') },
      { path: 'mixes', lazy: screen(() => import('./mixes/mixes-page'), 'MixesPage') },
      { path: 'mixes/compare', lazy: screen(() => import('./mixes/compare-page'), 'ComparePage') },
      { path: 'mixes/:id/card', lazy: screen(() => import('./mixes/card-page'), 'CardPage') },
      { path: 'mixes/:id', lazy: screen(() => import('./mixes/mix-page'), 'MixPage') },
      { path: 'tints', lazy: screen(() => import('./tints/tints-page'), 'TintsPage') },
      { path: 'tints/wanted', lazy: screen(() => import('./tints/wanted-page'), 'WantedPage') },
      { path: 'tints/chips', lazy: screen(() => import('./tints/chips-page'), 'ChipsPage') },
      {
        path: 'tints/ladder',
        lazy: screen(() => import('./tints/dose-series-page'), 'LadderPage'),
      },
      { path: 'tints/book', lazy: screen(() => import('./tints/book-page'), 'BookPage') },
      { path: 'tints/ways', lazy: screen(() => import('./tints/after-curing-page'), 'WaysPage') },
      { path: 'tints/:id', lazy: screen(() => import('./tints/tint-page'), 'TintPage') },
      { path: 'pours', lazy: screen(() => import('./pours/pours-page'), 'PoursPage') },
      { path: 'pours/:id', lazy: screen(() => import('./pours/pour-page'), 'PourPage') },
      { path: 'pours/:id/bench', lazy: screen(() => import('./bench/bench-page'), 'BenchPage') },
      { path: 'casts', lazy: screen(() => import('./casts/casts-page'), 'CastsPage') },
      {
        path: 'casts/weigh',
        lazy: screen(() => import('./weighing/weighing-page'), 'WeighingPage'),
      },
      { path: 'casts/join', lazy: screen(() => import('./assembly/assembly-page'), 'JoinPage') },
      {
        path: 'casts/try',
        lazy: screen(() => import('./simulation/simulation-page'), 'SimulationPage'),
      },
      { path: 'casts/:id', lazy: screen(() => import('./casts/cast-page'), 'CastPage') },
      {
        path: 'materials',
        lazy: screen(() => import('./materials/materials-page'), 'MaterialsPage'),
      },
      { path: 'set-up', lazy: screen(() => import('./workshop/set-up-page'), 'SetUpPage') },
      {
        path: 'workshop/places',
        lazy: screen(() => import('./ambient/places-page'), 'PlacesPage'),
      },
      { path: 'workshop', lazy: screen(() => import('./workshop/workshop-page'), 'WorkshopPage') },
      { path: 'glossary', lazy: screen(() => import('./glossary/glossary-page'), 'GlossaryPage') },
      { path: '*', lazy: screen(() => import('./ui/not-found'), 'Nowhere') },
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

const root = createRoot(defined(document.getElementById('root')));
void loadFirst(chosenLanguage()).then(() =>
  root.render(
    <StrictMode>
      <PersistQueryClientProvider
        client={queryClient}
        persistOptions={persistOptions}
        onSuccess={() => void resumeWaiting(queryClient)}
      >
        <Application />
      </PersistQueryClientProvider>
    </StrictMode>,
  ),
);
