import { lazy, Suspense } from 'react';
import { useQuery } from '@tanstack/react-query';
import { Outlet, useMatch } from 'react-router';
import { ProblemFailure } from '../api/client';
import { sessionQuery } from '../api/session';
import { PieceLight } from '../ui/piece-light';
import { Busy, Failure } from '../ui/states';
import { ConnectionNote } from './connection-note';
import { DueNotices } from './due-notices';
import { Keys } from './keys';
import { Lintel } from './lintel';
import { ScreenBoundary } from './screen-failure';
import { NotSetUp } from './not-set-up';
import { RoleNote } from './role-note';
import { StationAnswers } from './station-answers';
import { useTheme } from './theme';
import { useFirstPiece } from '../ui/first-piece';
import { useSay } from '../ui/say';

/** Newcomers alone are led. */
const FirstPiece = lazy(async () => ({ default: (await import('./first-piece')).FirstPiece }));
/** Whoever is signed in never sees it. */
const DoorPage = lazy(async () => ({ default: (await import('../sign-in')).DoorPage }));

const RemovedPage = lazy(async () => ({ default: (await import('../workshop')).RemovedPage }));

/** The room around every station; whoever is not signed in stands before the door. */
export function Frame() {
  const say = useSay();
  // Here and not in the lintel alone: the bench, which fills the screen, has none.
  useTheme();
  const guided = useFirstPiece();
  const bench = useMatch('/pours/:id/bench');
  // It was asked for before anything was drawn: who is refused then is not asked for once more.
  const session = useQuery({ ...sessionQuery, retryOnMount: false });
  if (session.isPending) return <Busy what={say('shell.yourWorkshop')} />;
  const shut = session.error instanceof ProblemFailure && session.error.problem.status === 401;
  if (shut || !session.data) {
    return shut ? (
      <Suspense fallback={<Busy what={say('shell.theDoor')} />}>
        <PieceLight />
        <DoorPage />
      </Suspense>
    ) : (
      <Failure error={session.error} />
    );
  }
  const { goneAt } = session.data.workshop;
  if (goneAt !== undefined)
    return (
      <Suspense fallback={<Busy what={say('shell.yourWorkshop')} />}>
        <RemovedPage goneAt={goneAt} />
      </Suspense>
    );
  return (
    <div className="min-h-screen pb-16 lg:pb-0">
      <PieceLight />
      {!bench && <Lintel />}
      <Keys />
      <DueNotices />
      <StationAnswers />
      {!bench && <ConnectionNote />}
      {!bench && <RoleNote />}
      {!bench && <NotSetUp />}
      {!bench && guided && (
        <Suspense>
          <FirstPiece />
        </Suspense>
      )}
      <main>
        <ScreenBoundary>
          <Suspense fallback={<Busy what={say('shell.thisStation')} />}>
            <Outlet />
          </Suspense>
        </ScreenBoundary>
      </main>
    </div>
  );
}
