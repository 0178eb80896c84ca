import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { choose, spoken } from './speak.ts';
import { isLanguage, LANGUAGES } from './languages.ts';

/**
 * The language of the pages on this device, each called by its own name so that nobody has to read another to find it. Not to be chosen
 * (`isBound`) while something would be lost with the page, which is opened anew.
 */
export function LanguageChoice({ className, isBound = false }: { className?: string; isBound?: boolean }) {
  const [isRefused, setRefused] = useState(false);
  return (
    <>
      <select
        className={className}
        aria-label={t`Language of these pages`}
        value={spoken()}
        disabled={isBound}
        onChange={({ target }) => isLanguage(target.value) && setRefused(!choose(target.value))}
      >
        {Object.entries(LANGUAGES).map(([language, name]) => (
          <option key={language} value={language} lang={language}>
            {name}
          </option>
        ))}
      </select>
      {isRefused && (
        <small role="alert">
          <Trans>This browser keeps no choice. Put the language first in its own settings.</Trans>
        </small>
      )}
    </>
  );
}
