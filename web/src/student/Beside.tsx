import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { upperFirst } from '@hurrow/core/words';
import { call, messageOf } from '../app/api.ts';
import styles from './student.module.css';
import { i18n } from '../language/i18n.ts';
import { inTongue } from '../language/inTongue.ts';

/** The tree that was there beside the one it was taken for: both drawn alike but for what must differ, and what to look at. */
export function Beside({ stationId, latin }: { stationId: string; latin: boolean }) {
  const query = useQuery({
    queryKey: ['beside', stationId, i18n.locale],
    queryFn: () =>
      call('GET /api/sit/stations/{stationId}/beside', {
        params: { stationId },
        query: { language: i18n.locale },
      }),
    staleTime: Infinity,
  });
  if (query.isError) return <p role="alert">{messageOf(query.error)}</p>;
  if (!query.data)
    return (
      <p>
        <Trans>Drawing both…</Trans>
      </p>
    );
  const { names, pictures, lines, settles, isOwn } = query.data;
  return (
    <section className={styles['beside']} aria-label={t`${names[0]} beside ${names[1]}`}>
      {pictures.map((picture, i) => (
        <figure key={names[i]}>
          {picture ? (
            <img
              src={`data:image/svg+xml;utf8,${encodeURIComponent(picture)}`}
              alt={i === 0 ? t`The tree that was there` : t`The tree you took it for`}
            />
          ) : (
            <p className={styles['look-there']}>
              <Trans>Nothing of it can be drawn.</Trans>
            </p>
          )}
          <figcaption>
            {i === 0 ? (isOwn ? t`It was` : t`It was, a typical one:`) : t`You took it for`}{' '}
            <b className={latin ? 'latin' : ''}>{names[i]}</b>
          </figcaption>
        </figure>
      ))}
      <dl>
        {lines.map(({ lead, character, shows }) => (
          <div key={character}>
            <dt>
              {inTongue(lead)} {character}
            </dt>
            <dd>
              {upperFirst(shows[0]) || t`not told`};{' '}
              <span className="quiet">
                {names[1]}: {shows[1] || t`not told`}
              </span>
            </dd>
          </div>
        ))}
      </dl>
      <p className="quiet">
        {lines.length === 0
          ? t`What was shown does not tell these two apart: ask your instructor.`
          : settles
            ? `${settles}.`
            : ''}
      </p>
    </section>
  );
}
