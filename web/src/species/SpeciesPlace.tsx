import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, NavLink, Route, Routes, useLocation, useNavigate } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import { messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Strip } from '../app/Drawings.tsx';
import { useKeys } from '../app/keys.ts';
import { Latin } from '../app/Names.tsx';
import { Editor } from './Editor.tsx';
import { ImportTaxa } from './ImportTaxa.tsx';
import { Profile } from './Profile.tsx';
import './species.css';

/** The library: the list at the left, a profile, the editor or the import beside it. */
export default function SpeciesPlace({ courseId }: { courseId: string }) {
  const { query, library, profiles } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const go = useNavigate();
  const path = useLocation().pathname;
  const open = decodeURIComponent(/\/species\/([^/]+)/.exec(path)?.[1] ?? '');
  const base = `/c/${courseId}/species`;
  const [order, setOrder] = useState<'set' | 'name' | 'latin'>('set');
  const listed = inOrder(profiles, order, course?.sets.flatMap((set) => set.taxa) ?? []);
  const at = listed.findIndex(({ taxon }) => taxon.id === open);
  const step = (by: number) => {
    const next = listed[Math.min(listed.length - 1, Math.max(0, at + by))];
    if (next) void go(`${base}/${next.taxon.id}`);
  };
  useKeys({ j: () => step(1), k: () => step(-1), e: () => at >= 0 && void go(`${base}/${open}/edit`) });

  const count = profiles.length === 1 ? '1 taxon' : `${profiles.length} taxa`;
  if (query.isPending) return <p className="opening">Opening the library…</p>;
  if (query.isError && !library) return <p className="problem">{messageOf(query.error)}</p>;
  const editing = path.endsWith('/edit') || open === 'new';
  return (
    <div className={editing ? 'species editing' : 'species'}>
      <nav className="species-list" aria-label="Species of the library">
        <div className="species-list-head">
          <label>
            <span className="visually-hidden">Order</span>
            <select value={order} onChange={(event) => setOrder(event.target.value as typeof order)}>
              <option value="set">{count}, set order</option>
              <option value="name">{count}, by common name</option>
              <option value="latin">{count}, by scientific name</option>
            </select>
          </label>
          <Button size="small" onClick={() => void go(`${base}/new`)}>
            New
          </Button>
          <Button size="small" onClick={() => void go(`${base}/import`)}>
            Import
          </Button>
        </div>
        <ol>
          {listed.map((profiled) => (
            <ListRow
              key={profiled.taxon.id}
              profiled={profiled}
              to={`${base}/${profiled.taxon.id}`}
              open={profiled.taxon.id === open}
            />
          ))}
        </ol>
      </nav>
      <Routes>
        <Route path="new" element={<Editor key="new" courseId={courseId} taxonId={undefined} />} />
        <Route path="import" element={<ImportTaxa courseId={courseId} />} />
        <Route path=":taxonId" element={<Profile courseId={courseId} taxonId={open} />} />
        <Route path=":taxonId/edit" element={<Editor key={open} courseId={courseId} taxonId={open} />} />
        <Route
          path=""
          element={
            profiles[0] ? (
              <Profile courseId={courseId} taxonId={listed[0]!.taxon.id} />
            ) : (
              <EmptyLibrary base={base} />
            )
          }
        />
      </Routes>
    </div>
  );
}

function inOrder(
  profiles: readonly ProfiledTaxon[],
  order: string,
  taught: readonly string[],
): ProfiledTaxon[] {
  const place = (id: string) => (taught.includes(id) ? taught.indexOf(id) : taught.length);
  const byLatin = (a: ProfiledTaxon, b: ProfiledTaxon) =>
    `${a.taxon.genus} ${a.taxon.epithet}`.localeCompare(`${b.taxon.genus} ${b.taxon.epithet}`);
  return [...profiles].sort((a, b) => {
    if (order === 'name') return commonName(a.taxon).localeCompare(commonName(b.taxon));
    if (order === 'latin') return byLatin(a, b);
    return place(a.taxon.id) - place(b.taxon.id) || byLatin(a, b);
  });
}

function ListRow({ profiled, to, open }: { profiled: ProfiledTaxon; to: string; open: boolean }) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (open) row.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  return (
    <li ref={row}>
      <NavLink to={to} aria-current={open ? 'page' : undefined} className={open ? 'open' : ''}>
        <span>
          {commonName(profiled.taxon)}
          <br />
          <Latin names={profiled.taxon} />
        </span>
        <Strip profiled={profiled} />
      </NavLink>
    </li>
  );
}

function EmptyLibrary({ base }: { base: string }) {
  return (
    <section className="page">
      <h1>The library is empty</h1>
      <p>
        Begin with three species that your students mix up.{' '}
        <Link to={`${base}/new`}>Enter a species by hand</Link>, organ by organ, or{' '}
        <Link to={`${base}/import`}>import a table</Link> with one row a species.
      </p>
      <p className="quiet">
        A dozen characters each are enough to draw them and to see what settles them. Then make a course under
        Course, plan a quiz under Quizzes, and read under Confusions who was taken for whom.
      </p>
    </section>
  );
}
