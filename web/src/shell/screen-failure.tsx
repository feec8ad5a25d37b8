import { useRouteError } from 'react-router';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';

/** Where a screen itself failed. */
export function ScreenFailure() {
  const error = useRouteError();
  return (
    <div className="mx-auto max-w-xl p-6">
      <h1 className="text-2xl">This screen failed</h1>
      <Failure error={error} />
      <p className="quiet mb-4">What was saved is safe.</p>
      <Button look="main" size="own" onClick={() => window.location.assign('/')}>
        Back to the shelf
      </Button>
    </div>
  );
}
