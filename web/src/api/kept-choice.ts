/** A choice that holds in this browser, and tells whoever hears it when it changes. */
export interface KeptChoice {
  read(): string | null;
  /** Undefined: it is no longer chosen. */
  keep(value: string | undefined): void;
  hear(listener: () => void): () => void;
}

/** A choice that is kept in the browser's own store under `key`. */
export function keptChoice(key: string): KeptChoice {
  const listeners = new Set<() => void>();
  return {
    read: () => localStorage.getItem(key),
    keep(value) {
      if (value === undefined) localStorage.removeItem(key);
      else localStorage.setItem(key, value);
      listeners.forEach((listener) => listener());
    },
    hear(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
