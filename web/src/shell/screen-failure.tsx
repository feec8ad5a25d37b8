import { Component, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** Where a screen itself failed. */
function ScreenFailure({ error }: { error: unknown }) {
  const say = useSay();
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

interface Bounded {
  /** Where one is: elsewhere, what failed here is no longer said. */
  readonly at: string;
  readonly children: ReactNode;
}
interface State {
  readonly failed?: { readonly error: unknown } | undefined;
}

/** React tells of what failed beneath it to a class alone. */
class Boundary extends Component<Bounded, State> {
  override state: State = {};

  static getDerivedStateFromError(error: unknown) {
    return { failed: { error } };
  }

  override componentDidUpdate({ at }: Bounded) {
    if (this.state.failed && at !== this.props.at) this.setState({ failed: undefined });
  }

  override render() {
    const { failed } = this.state;
    return failed ? <ScreenFailure error={failed.error} /> : this.props.children;
  }
}

/** Keeps a screen that fails from taking the others with it: whoever goes elsewhere gets there. */
export function ScreenBoundary({ children }: { readonly children: ReactNode }) {
  const { pathname } = useLocation();
  return <Boundary at={pathname}>{children}</Boundary>;
}
