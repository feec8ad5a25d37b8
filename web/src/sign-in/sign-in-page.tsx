import { type Speaker } from '@dewpot/locales';
import { lazy, Suspense, useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import type { Registration, SignIn } from '@dewpot/contract';
import { ProblemFailure } from '../api/client';
import { useDoor, useEnterDemo, useRegister, useSignIn } from '../api/session';
import { useEnterByPasskey } from '../api/passkeys';
import { Button } from '../ui/button';
import { passkeyFailure, passkeyPlace } from '../ui/passkey-place';
import { Piece } from '../ui/piece';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { LanguageChoice } from '../ui/language-choice';
import { useSay } from '../ui/say';

/** Few lose their passphrase: the first load does without. */
const Recover = lazy(async () => ({ default: (await import('./recover')).Recover }));

const frustum = (bottomDiameter: number, topDiameter: number, height: number) =>
  ({ kind: 'round-frustum', bottomDiameter, topDiameter, height }) as const;

/** A pot of wall and base thickness `wall`, mm, as the door shows some. */
const pot = (bottom: number, top: number, height: number, wall: number) => ({
  outer: frustum(bottom, top, height),
  cores: [{ name: 'core', bottom: wall, solid: frustum(bottom - 2 * wall, top - 2 * wall, height - wall) }],
  inserts: [],
});

const sketch = [
  { shape: pot(130, 170, 190, 16), colour: '#bd8a6d', x: 70 },
  { shape: pot(62, 84, 78, 11), colour: '#e0d9ca', x: 165 },
  { shape: pot(240, 300, 96, 19), colour: '#858c8d', x: 285 },
];

/** Before the door: sign in, begin a workshop, or look round the demo. */
export function DoorPage() {
  const say = useSay();
  const door = useDoor();
  return (
    <main className="shelf-room grid min-h-screen place-items-center p-4">
      <div className="w-full max-w-md">
        <svg viewBox="0 0 380 150" className="mx-auto w-80" aria-hidden="true">
          <path d="M8 126H372L380 144H0Z" fill="var(--wood-top)" />
          <rect y={144} width={380} height={6} fill="var(--wood-front)" />
          {sketch.map(({ shape, colour, x }) => (
            <g key={x} transform={`translate(${x} 136)`}>
              <Piece shape={shape} colour={colour} scale={0.58} />
            </g>
          ))}
        </svg>
        <div className="card-slab p-6">
          <h1 className="text-4xl">{say('shell.appName')}</h1>
          <p className="quiet mb-5">{say('shell.motto')}</p>
          {!door.isLoading && <Ways demo={door.data?.demo ?? false} code={door.data?.code ?? false} />}
          <div className="mt-4">
            <LanguageChoice />
          </div>
        </div>
      </div>
    </main>
  );
}

/** What the door offers; drawn when all of it is known, so that no control moves from under a hand. */
function Ways({ demo, code }: { readonly demo: boolean; readonly code: boolean }) {
  const say = useSay();
  const enterDemo = useEnterDemo();
  const [way, setWay] = useState<'enter' | 'begin' | 'recover'>('enter');
  return (
    <>
      {demo && way !== 'recover' && (
        <div className="border-base-300 mb-5 border-b pb-5">
          <Button
            look="main"
            size="tall"
            className="w-full text-lg"
            disabled={enterDemo.isPending}
            onClick={() => enterDemo.mutate()}
          >
            {say('shell.lookRound')}
          </Button>
          <Failure error={enterDemo.error} />
        </div>
      )}
      {way === 'begin' && <Begin code={code} />}
      {way === 'enter' && <Enter />}
      {way === 'recover' && (
        <Suspense>
          <Recover />
        </Suspense>
      )}
      <p className="mt-4 flex flex-wrap gap-x-6 gap-y-2 text-sm">
        <button type="button" className="link" onClick={() => setWay(way === 'enter' ? 'begin' : 'enter')}>
          {way === 'enter' ? say('shell.beginOwn') : say('shell.haveWorkshop')}
        </button>
        {way === 'enter' && (
          <button type="button" className="link" onClick={() => setWay('recover')}>
            {say('shell.lostPassphrase')}
          </button>
        )}
      </p>
    </>
  );
}

function Enter() {
  const say = useSay();
  const signIn = useSignIn();
  const byPasskey = useEnterByPasskey();
  const { register, handleSubmit } = useForm<SignIn>();
  return (
    <form className="space-y-3" onSubmit={(event) => void handleSubmit((given) => signIn.mutate(given))(event)}>
      <TextField label={say('shell.email')} type="email" autoComplete="username" required {...register('email')} />
      <TextField
        label={say('shell.passphrase')}
        type="password"
        autoComplete="current-password"
        required
        {...register('passphrase')}
      />
      <Failure error={signIn.error ?? passkeyFailure(byPasskey.error, say('shell.passkeyNone'))} />
      <Button type="submit" look="strong" className="w-full" disabled={signIn.isPending}>
        {say('shell.signIn')}
      </Button>
      {passkeyPlace() === 'here' && (
        <Button className="w-full" disabled={byPasskey.isPending} onClick={() => byPasskey.mutate()}>
          {say('shell.passkeyIn')}
        </Button>
      )}
    </form>
  );
}

function Begin({ code }: { readonly code: boolean }) {
  const say = useSay();
  const begin = useRegister();
  const navigate = useNavigate();
  // The door is gone by the time it is done: what waits for the mutation itself still comes.
  const found = (given: Registration) =>
    begin.mutateAsync(given).then(
      () => navigate('/set-up'),
      () => undefined,
    );
  const { register, handleSubmit } = useForm<Registration>();
  return (
    <form className="space-y-3" onSubmit={(event) => void handleSubmit(found)(event)}>
      <TextField label={say('shell.workshopName')} required maxLength={80} {...register('workshop')} />
      <TextField label={say('shell.yourName')} autoComplete="name" required maxLength={80} {...register('name')} />
      <TextField label={say('shell.email')} type="email" autoComplete="username" required {...register('email')} />
      <TextField
        label={say('shell.passphraseNew')}
        type="password"
        autoComplete="new-password"
        minLength={10}
        required
        {...register('passphrase')}
      />
      {code && (
        <TextField label={say('shell.startCode')} autoComplete="off" required maxLength={40} {...register('code')} />
      )}
      <Failure error={began(begin.error, say)} />
      <Button type="submit" look="strong" className="w-full" disabled={begin.isPending}>
        {say('shell.begin')}
      </Button>
    </form>
  );
}

/** Signing in after it was refused: whoever has an account with that e-mail has another passphrase. */
const began = (error: Error | null, say: Speaker) =>
  error instanceof ProblemFailure && error.problem.status === 401 ? new Error(say('shell.mayHaveAccount')) : error;
