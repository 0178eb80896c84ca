import { t } from '@lingui/core/macro';
import { choose, spoken } from './speak.ts';
import { isLanguage, LANGUAGES } from './languages.ts';

/** The language of the pages on this device, each called by its own name so that nobody has to read another to find it. */
export const LanguageChoice = ({ className }: { className?: string }) => (
  <select
    className={className}
    aria-label={t`Language of these pages`}
    value={spoken()}
    onChange={({ target }) => isLanguage(target.value) && choose(target.value)}
  >
    {Object.entries(LANGUAGES).map(([language, name]) => (
      <option key={language} value={language} lang={language}>
        {name}
      </option>
    ))}
  </select>
);
