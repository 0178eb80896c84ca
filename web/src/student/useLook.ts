import { useEffect, useState } from 'react';
import { keepLook, keptLook, lookOf, SIZES, type Look } from './look.ts';

/** The look of this phone's page, remembered; it is put on the root of the page while a student is signed in. */
export function useLook(): { look: Look; zoom: number; change(look: Look): void } {
  const [look, setLook] = useState(keptLook);
  useEffect(() => {
    const asks = (what: string) => window.matchMedia(what);
    const [dark, contrast] = [asks('(prefers-color-scheme: dark)'), asks('(prefers-contrast: more)')];
    const put = () => {
      const root = document.documentElement;
      const now = lookOf(look.theme, dark.matches, contrast.matches);
      if (now) root.dataset['look'] = now;
      else delete root.dataset['look'];
    };
    put();
    dark.addEventListener('change', put);
    contrast.addEventListener('change', put);
    return () => {
      dark.removeEventListener('change', put);
      contrast.removeEventListener('change', put);
      delete document.documentElement.dataset['look'];
    };
  }, [look.theme]);
  const change = (next: Look) => {
    setLook(next);
    keepLook(next);
  };
  return { look, zoom: SIZES[look.size]!, change };
}
