import { useEffect, useState } from 'react';

export type Theme = 'system' | 'limewash' | 'lamplight';
const KEY = 'dew-pot-theme';

function stored(): Theme {
  const value = localStorage.getItem(KEY);
  return value === 'limewash' || value === 'lamplight' ? value : 'system';
}

/** The theme: the system's unless set. */
export function useTheme() {
  const [theme, setTheme] = useState<Theme>(stored);
  useEffect(() => {
    if (theme === 'system') {
      localStorage.removeItem(KEY);
      delete document.documentElement.dataset.theme;
    } else {
      localStorage.setItem(KEY, theme);
      document.documentElement.dataset.theme = theme;
    }
  }, [theme]);
  return [theme, setTheme] as const;
}
