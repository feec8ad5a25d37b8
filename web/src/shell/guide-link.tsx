import { BookOpen } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { useSay } from '../ui/say';
import { buttonClass } from '../ui/button';
import { chapterAt } from '../ui/guide-places';

/** The way to the chapter of the guide about what is done here. */
export function GuideLink() {
  const say = useSay();
  const { pathname } = useLocation();
  return (
    <Link
      to={`/guide/${chapterAt(pathname)}`}
      aria-label={say('shell.guide')}
      title={say('shell.guide')}
      className={buttonClass({ look: 'plain', size: 'own', className: 'h-11 w-11 p-0' })}
    >
      <BookOpen size={20} aria-hidden="true" />
    </Link>
  );
}
