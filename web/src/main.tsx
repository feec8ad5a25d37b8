import { defined } from '@dewpot/core/math';
import './styles.css';
import { StrictMode, Suspense, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { useIsRestoring } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { registerSW } from 'virtual:pwa-register';
import { shelfQuery } from './api/casts';
import { nameCastWrites } from './api/cast-writes';
import { persistOptions, queryClient, resumeWaiting } from './api/query-client';
import { nameRunWrites } from './api/run-writes';
import { chosenLanguage } from './api/language';
import { sessionQuery } from './api/session';
import { loadFirst, loadLanguage } from './ui/catalogues';
import { retried } from './ui/retried';
import { Reads } from './ui/say';
import { fetchToaster } from './ui/toast';
import { Frame } from './shell/frame';
import { Renewal, useRenewal } from './shell/renewal';
import { ScreenBoundary } from './shell/screen-failure';

nameCastWrites(queryClient);
nameRunWrites(queryClient);

const ShelfPage = retried(async () => ({ default: (await import('./shelf/shelf-page')).ShelfPage }));
// What most come for first is asked for before anything is drawn, all at once.
void queryClient.prefetchQuery(sessionQuery);
if (window.location.pathname === '/') {
  void ShelfPage.ahead();
  void queryClient.prefetchQuery(shelfQuery);
}

/** A screen with all that it says: a draft that begins with names, or a shape that depends on them, never meets an empty one. */
const screen = <Name extends string>(load: () => Promise<Record<Name, ComponentType>>, name: Name) =>
  retried(async () => {
    const [screens] = await Promise.all([load(), loadLanguage(chosenLanguage())]);
    return { default: screens[name] };
  });

const screens: readonly (readonly [path: string, Screen: ComponentType])[] = [
  ['moulds', screen(() => import('./moulds/moulds-page'), 'MouldsPage')],
  ['moulds/measure', screen(() => import('./moulds/measure-page'), 'MeasurePage')],
  ['moulds/file', screen(() => import('./moulds/file-page'), 'FilePage')],
  ['moulds/pairs', screen(() => import('./moulds/pairs-page'), 'PairsPage')],
  ['moulds/:id', screen(() => import('./moulds/mould-page'), 'MouldPage')],
  ['patterns', screen(() => import('./patterns/patterns-page'), 'PatternsPage')],
  ['patterns/:id', screen(() => import('./patterns/pattern-page'), 'PatternPage')],
  ['mixes', screen(() => import('./mixes/mixes-page'), 'MixesPage')],
  ['mixes/compare', screen(() => import('./mixes/compare-page'), 'ComparePage')],
  ['mixes/:id/card', screen(() => import('./mixes/card-page'), 'CardPage')],
  ['mixes/:id', screen(() => import('./mixes/mix-page'), 'MixPage')],
  ['tints', screen(() => import('./tints/tints-page'), 'TintsPage')],
  ['tints/wanted', screen(() => import('./tints/wanted-page'), 'WantedPage')],
  ['tints/chips', screen(() => import('./tints/chips-page'), 'ChipsPage')],
  ['tints/ladder', screen(() => import('./tints/dose-series-page'), 'LadderPage')],
  ['tints/book', screen(() => import('./tints/book-page'), 'BookPage')],
  ['tints/ways', screen(() => import('./tints/after-curing-page'), 'WaysPage')],
  ['tints/:id', screen(() => import('./tints/tint-page'), 'TintPage')],
  ['pours', screen(() => import('./pours/pours-page'), 'PoursPage')],
  ['pours/:id', screen(() => import('./pours/pour-page'), 'PourPage')],
  ['pours/:id/bench', screen(() => import('./bench/bench-page'), 'BenchPage')],
  ['bench', screen(() => import('./bench/now-page'), 'BenchNowPage')],
  ['calendar', screen(() => import('./calendar/calendar-page'), 'CalendarPage')],
  ['casts', screen(() => import('./casts/casts-page'), 'CastsPage')],
  ['casts/weigh', screen(() => import('./weighing/weighing-page'), 'WeighingPage')],
  ['casts/join', screen(() => import('./assembly/assembly-page'), 'JoinPage')],
  ['casts/try', screen(() => import('./simulation/simulation-page'), 'SimulationPage')],
  ['casts/label', screen(() => import('./casts/label-page'), 'LabelPage')],
  ['waiting', screen(() => import('./casts/waiting-page'), 'WaitingPage')],
  ['casts/:id', screen(() => import('./casts/cast-page'), 'CastPage')],
  ['findings/voids', screen(() => import('./findings/voids-page'), 'VoidsPage')],
  ['findings/money', screen(() => import('./money/piece-page'), 'PiecePage')],
  ['findings/season', screen(() => import('./money/season-page'), 'SeasonPage')],
  ['findings/faces', screen(() => import('./findings/faces-page'), 'FacesPage')],
  ['findings/colour', screen(() => import('./findings/colour-page'), 'ColourPage')],
  ['findings/learned', screen(() => import('./findings/learned-page'), 'LearnedPage')],
  ['findings/trials/:id', screen(() => import('./findings/trial-page'), 'TrialPage')],
  ['findings', screen(() => import('./findings/findings-page'), 'FindingsPage')],
  ['materials', screen(() => import('./materials/materials-page'), 'MaterialsPage')],
  ['set-up', screen(() => import('./workshop/set-up-page'), 'SetUpPage')],
  ['workshop/places', screen(() => import('./ambient/places-page'), 'PlacesPage')],
  ['workshop/data', screen(() => import('./workshop/data-page'), 'DataPage')],
  ['workshop/audit', screen(() => import('./workshop/audit-page'), 'AuditPage')],
  ['workshop', screen(() => import('./workshop/workshop-page'), 'WorkshopPage')],
  ['guide', screen(() => import('./guide/guide-page'), 'GuidePage')],
  ['guide/:chapter', screen(() => import('./guide/guide-page'), 'GuidePage')],
  ['glossary', screen(() => import('./glossary/glossary-page'), 'GlossaryPage')],
  ['*', screen(() => import('./ui/not-found'), 'Nowhere')],
];

const InvitedPage = screen(() => import('./sign-in/invited-page'), 'InvitedPage');

/** By then the first screen stands: it waits for none of this. */
const SETTLED = 3000;
let takeCharge = () => Promise.resolve();
const renewal = new Renewal(
  () => void takeCharge(),
  () => window.location.reload(),
);
setTimeout(() => {
  takeCharge = registerSW({
    immediate: true,
    onNeedRefresh: () => renewal.waits(),
    onNeedReload: () => renewal.tookCharge(),
  });
  void fetchToaster();
  // Whatever is tapped next then has its words at hand.
  void loadLanguage(chosenLanguage());
}, SETTLED);

function Renews() {
  useRenewal(renewal);
  return null;
}

/** Waits for what the browser kept: a screen that asks before it is restored would wait for a connection. */
function Application() {
  return useIsRestoring() ? null : (
    <Reads>
      <BrowserRouter>
        <Renews />
        <ScreenBoundary>
          <Routes>
            <Route
              path="/invited"
              element={
                <Suspense>
                  <InvitedPage />
                </Suspense>
              }
            />
            <Route path="/" element={<Frame />}>
              <Route index element={<ShelfPage />} />
              {screens.map(([path, Screen]) => (
                <Route key={path} path={path} element={<Screen />} />
              ))}
            </Route>
          </Routes>
        </ScreenBoundary>
      </BrowserRouter>
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
