import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Component, type ButtonHTMLAttributes, type ReactNode } from 'react';
import { NavLink } from 'react-router';
import ui from './parts.module.css';

/** What went wrong and what to do, where it happened. Said aloud at once. */
export const Problem = ({ children }: { children: ReactNode }) => (
  <div className={ui['problem']} role="alert">
    {children}
  </div>
);

/** What is good to know before going on. */
export const Notice = ({ children }: { children: ReactNode }) => (
  <div className={ui['notice']} role="status">
    {children}
  </div>
);

/** What stands in a page until it is there. */
export const Opening = ({ children = t`Opening…` }: { children?: ReactNode }) => (
  <p className={ui['opening']}>{children}</p>
);

/** The head of a page: its title, what is said of it, and what can be done, the last one at the far end. */
export const PageHead = ({ title, children }: { title: ReactNode; children?: ReactNode }) => (
  <div className={ui['page-head']}>
    <h1>{title}</h1>
    {children}
  </div>
);

/** The parts of a place, as links in a row; `end` for one whose address begins those of the others. */
export const Tabs = ({
  label,
  tabs,
}: {
  label: string;
  tabs: readonly { to: string; title: string; end?: boolean }[];
}) => (
  <nav className={ui['tabs']} aria-label={label}>
    {tabs.map(({ to, title, end = false }) => (
      <NavLink key={to} to={to} end={end}>
        {title}
      </NavLink>
    ))}
  </nav>
);

/** Words of which some are chosen, each by a press; `title` says what they are about, and `label` names them where it is a sentence. */
export const Chips = <T extends string>({
  title,
  label = title,
  all,
  chosen,
  name,
  flip,
}: {
  title: string;
  label?: string;
  all: readonly T[];
  chosen: readonly T[];
  name(item: T): string;
  flip(item: T): void;
}) => (
  <div className={ui['chips']} role="group" aria-label={label}>
    <span className="quiet">{title}</span>
    {all.map((item) => (
      <button
        key={item}
        aria-pressed={chosen.includes(item)}
        {...(chosen.includes(item) ? { 'data-frequency': 'always' } : {})}
        onClick={() => flip(item)}
      >
        {name(item)}
      </button>
    ))}
  </div>
);

/** Something that is done by pressing and reads like a link. */
export const LinkButton = (props: ButtonHTMLAttributes<HTMLButtonElement>) => (
  <button type="button" {...props} className={ui['link']} />
);

/** Keeps a fault of one part from taking the page away: says so, and offers to go on. What was typed is in the drafts. */
export class Fenced extends Component<
  { children: ReactNode; where: string },
  { fault?: Error; at?: string }
> {
  override state: { fault?: Error; at?: string } = {};

  static getDerivedStateFromError = (fault: Error) => ({ fault });

  // Another address is another page: what failed on the last one is over.
  static getDerivedStateFromProps = ({ where }: { where: string }, { at }: { at?: string }) =>
    at === where ? null : { at: where, fault: undefined };

  override render() {
    const { fault } = this.state;
    if (!fault) return this.props.children;
    return (
      <section className={ui['page']} role="alert">
        <h1>
          <Trans>This page has failed</Trans>
        </h1>
        <p>
          <Trans>
            Something in it could not be shown. What you typed is kept. Try again; if it fails again, tell the
            owner of this Hurrow what you did before, and this: <q>{fault.message}</q>
          </Trans>
        </p>
        <p>
          <button className={ui['press']} onClick={() => window.location.reload()}>
            <Trans>Try again</Trans>
          </button>{' '}
          <button className={ui['press']} onClick={() => window.location.assign('/')}>
            <Trans>Go to the first page</Trans>
          </button>
        </p>
      </section>
    );
  }
}
