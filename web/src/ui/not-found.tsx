import { Link } from 'react-router';
import { Empty } from './states';

/** An address that leads nowhere. */
export function Nowhere() {
  return (
    <Empty level="h1" title="There is no such place here">
      <p>
        <Link to="/" className="btn btn-primary">
          Back to the shelf
        </Link>
      </p>
    </Empty>
  );
}
