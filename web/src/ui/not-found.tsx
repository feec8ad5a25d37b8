import { Link } from 'react-router';
import { buttonClass } from './button';
import { Empty } from './states';
import { useSay } from './say';

/** An address that leads nowhere. */
export function Nowhere() {
  const say = useSay();
  return (
    <Empty level="h1" title={say('ui.noSuchPlace')}>
      <p>
        <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
          {say('shell.backToShelf')}
        </Link>
      </p>
    </Empty>
  );
}
