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

/** The collecting tin: survives navigation and reload. */
export function VasculumProvider({ children }: { children: ReactNode }) {
  const [taxa, setTaxa] = useState<readonly string[]>(
    () => JSON.parse(sessionStorage.getItem(KEPT) ?? '[]') as string[],
  );
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
