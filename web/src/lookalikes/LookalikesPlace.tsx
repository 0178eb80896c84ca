import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { MEDIA, MEDIUM_TITLES, MEDIUM_VIEWS, viewInWords, type Medium, type View } from '@hurrow/core/view';
import { courseQuery, useLibrary } from '../app/data.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { useVasculum } from '../app/vasculum.tsx';
import { ContrastView } from './ContrastView.tsx';

/** What settles two trees, in the view one chooses, on the field date. */
export default function LookalikesPlace({ courseId }: { courseId: string }) {
  const { library, profiles } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const { day } = useFieldDate();
  const { taxa: held } = useVasculum();
  const [search, setSearch] = useSearchParams();
  const [medium, setMedium] = useState<Medium>('cutting');
  const view = useMemo<View>(
    () => ({ ...MEDIUM_VIEWS[medium], day, qualifiers: { plantAge: 'mature' } }),
    [medium, day],
  );
  const asked = (search.get('taxa') ?? held.join(','))
    .split(',')
    .filter((id) => profiles.some(({ taxon }) => taxon.id === id));
  const taught = course?.sets.flatMap((set) => set.taxa) ?? [];
  const find = (id: string | undefined) => profiles.find(({ taxon }) => taxon.id === id);
  const [a, b] = [find(asked[0]), find(asked[1])];
  const wanted = [...taught, ...asked].join();
  const list = useMemo(() => {
    const ids = new Set(wanted.split(','));
    return profiles.filter(({ taxon }) => ids.has(taxon.id));
  }, [profiles, wanted]);
  const choose = (place: 0 | 1, id: string) => {
    const next = [asked[0] ?? '', asked[1] ?? ''];
    next[place] = id;
    setSearch({ taxa: next.join(',') });
  };
  if (!library) return <p className="opening">Opening the library…</p>;
  return (
    <section className="page">
      <div className="page-head">
        <h1>{a && b ? `${commonName(a.taxon)} or ${commonName(b.taxon)}?` : 'Two trees side by side'}</h1>
        {a && b && <span className="quiet">{viewInWords(view)}</span>}
      </div>
      <div className="pair-choice">
        {([0, 1] as const).map((place) => (
          <label key={place}>
            <span className="visually-hidden">{place === 0 ? 'First tree' : 'Second tree'}</span>
            <select value={asked[place] ?? ''} onChange={(event) => choose(place, event.target.value)}>
              <option value="">choose a tree</option>
              {profiles
                .filter(({ taxon }) => taxon.id !== asked[1 - place])
                .map(({ taxon }) => (
                  <option key={taxon.id} value={taxon.id}>
                    {commonName(taxon)}
                  </option>
                ))}
            </select>
          </label>
        ))}
        <label>
          seen as{' '}
          <select value={medium} onChange={(event) => setMedium(event.target.value as Medium)}>
            {MEDIA.map((each) => (
              <option key={each} value={each}>
                {MEDIUM_TITLES[each]}
              </option>
            ))}
          </select>
        </label>
        {asked.length > 2 && (
          <span className="quiet">
            Also gathered:{' '}
            {asked.slice(2).map((id) => (
              <Link
                key={id}
                to={`?taxa=${[asked[0], id, ...asked.slice(1).filter((other) => other !== id)].join(',')}`}
                style={{ marginRight: 8 }}
              >
                {commonName(find(id)!.taxon)}
              </Link>
            ))}
          </span>
        )}
      </div>
      {a && b ? (
        <ContrastView
          list={list}
          a={a}
          b={b}
          view={view}
          library={library}
          site={course}
          audience={course?.audience ?? 'technical'}
          units={course?.units ?? 'metric'}
        />
      ) : (
        <p className="quiet">
          Choose two trees, or gather them with c on their profiles. Move the field date above to see what
          settles them at another time of year.
        </p>
      )}
    </section>
  );
}
