import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';

interface Vasculum {
  /** Ids of the taxa one works with, in the order in which they were gathered. */
  taxa: readonly string[];
  toggle(taxonId: string): void;
  empty(): void;
  /** The taxon that the current screen is about: what `c` gathers. */
  looking: string | undefined;
  lookAt(taxonId: string | undefined): void;
}

const Context = createContext<Vasculum | undefined>(undefined);
const KEPT = 'hurrow.vasculum';

/** What was gathered, as it was kept; nothing where that cannot be read. */
function gatheredIn(text: string | null): string[] {
  try {
    const held = JSON.parse(text ?? '[]') as unknown;
    return Array.isArray(held) ? held.filter((id) => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

/** The collecting tin: survives navigation and reload. */
export function VasculumProvider({ children }: { children: ReactNode }) {
  const [taxa, setTaxa] = useState<readonly string[]>(() => gatheredIn(sessionStorage.getItem(KEPT)));
  const [looking, lookAt] = useState<string>();
  const value = useMemo<Vasculum>(() => {
    const keep = (next: readonly string[]) => {
      sessionStorage.setItem(KEPT, JSON.stringify(next));
      setTaxa(next);
    };
    return {
      taxa,
      toggle: (id) => keep(taxa.includes(id) ? taxa.filter((held) => held !== id) : [...taxa, id]),
      empty: () => keep([]),
      looking,
      lookAt,
    };
  }, [taxa, looking]);
  return <Context value={value}>{children}</Context>;
}

export function useVasculum(): Vasculum {
  const value = useContext(Context);
  if (!value) throw new Error('useVasculum needs a VasculumProvider around it');
  return value;
}
