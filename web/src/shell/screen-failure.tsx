import { useRouteError } from 'react-router';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** Where a screen itself failed. */
export function ScreenFailure() {
  const say = useSay();
  const error = useRouteError();
  return (
    <div className="mx-auto max-w-xl p-6">
      <h1 className="text-2xl">{say('shell.screenFailed')}</h1>
      <Failure error={error} />
      <p className="quiet mb-4">{say('shell.savedIsSafe')}</p>
      <Button look="main" size="own" onClick={() => window.location.assign('/')}>
        {say('shell.backToShelf')}
      </Button>
    </div>
  );
}
