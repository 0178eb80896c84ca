import { Trans } from '@lingui/react/macro';
import { type ReactNode } from 'react';
import { Link } from 'react-router';
import studentStyles from '../student.module.css';
import ui from '../../app/parts.module.css';

/** A page of the trees on a phone, with the way back. */
export function PhonePage({
  title,
  back = '/trees',
  children,
}: {
  title: ReactNode;
  back?: string;
  children: ReactNode;
}) {
  return (
    <>
      <header className={studentStyles['phone-bar']}>
        <h1>{title}</h1>
        <Link className={ui['press']} to={back}>
          <Trans>Back</Trans>
        </Link>
      </header>
      <main className={studentStyles['pad']}>{children}</main>
    </>
  );
}
