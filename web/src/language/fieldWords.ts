import { queryOptions } from '@tanstack/react-query';
import type { Locale } from 'antd/es/locale';
import type { Language } from './languages.ts';
import { spoken } from './speak.ts';

/** What the fields of the workbench say by themselves, as “no data”; in English they say it unasked. */
const READ: Record<Exclude<Language, 'en'>, () => Promise<{ default: Locale }>> = {
  de: () => import('antd/locale/de_DE'),
};

export const fieldWordsQuery = () => {
  const language = spoken();
  return queryOptions({
    queryKey: ['field words', language],
    queryFn: async () => (language === 'en' ? null : (await READ[language]()).default),
    staleTime: Infinity,
  });
};
