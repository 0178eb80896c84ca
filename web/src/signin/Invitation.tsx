import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { call, messageOf } from '../app/api.ts';
import { Problem } from '../app/parts.tsx';
import { NewPassword, SentForm } from './SentForm.tsx';

/** Where a link leads that the owner has sent: the invited chooses a password and is in. */
export function Invitation({ token }: { token: string }) {
  const held = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => call('POST /api/session/invited', { body: { token } }),
    retry: false,
    refetchOnWindowFocus: false,
  });
  const accept = async ({ password }: { password: string }) => {
    await call('POST /api/session/invitation', { body: { token, password } });
    // The link is used: a reload must not show it again.
    window.history.replaceState(null, '', '/');
  };
  return (
    <section aria-labelledby="invitation">
      <h2 id="invitation">{held.data ? t`Welcome, ${held.data.name}` : t`You are invited`}</h2>
      {held.error && (
        <>
          <Problem>{messageOf(held.error)}</Problem>
          <a href="/">
            <Trans>Sign in with a password that you have</Trans>
          </a>
        </>
      )}
      {held.data && (
        <>
          <p className="quiet">
            <Trans>
              You teach here from now on. Choose a password; you sign in with it and {held.data.email}.
            </Trans>
          </p>
          <SentForm<'password'> send={accept} button={t`Choose it and come in`} chief>
            <input type="hidden" name="email" autoComplete="username" value={held.data.email} readOnly />
            <NewPassword />
          </SentForm>
        </>
      )}
    </section>
  );
}
