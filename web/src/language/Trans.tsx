import { TransNoContext, type TransProps } from '@lingui/react/server';
import { i18n } from './i18n.ts';

type Values = Record<string, unknown>;

/** What is not there says nothing, as everywhere in a page. */
export const shown = (values: Values | undefined): Values | undefined =>
  values &&
  Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      value === null || value === undefined || typeof value === 'boolean' ? '' : value,
    ]),
  );

/** A text of the page with elements in it, in the language that is spoken. */
export const Trans = ({ values, ...props }: TransProps) => (
  <TransNoContext {...props} values={shown(values)} lingui={{ i18n }} />
);
