import { Link } from 'react-router';
import { buttonClass } from './button';
import { Empty } from './states';

/** An address that leads nowhere. */
export function Nowhere() {
  return (
    <Empty level="h1" title="There is no such place here">
      <p>
        <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
          Back to the shelf
        </Link>
      </p>
    </Empty>
  );
}
