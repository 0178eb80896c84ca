import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { taxonByTag } from '@hurrow/core/notebook';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { download } from '../app/download.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { Besides } from './Besides.tsx';
import { notebookTable, readAll, tally, type Reading, type ReadWithEntry } from './courseNotebook.ts';
import { EntrySheet } from './EntrySheet.tsx';
import { OnPaper } from './OnPaper.tsx';
import { notebookKey } from './notebookKey.ts';
import { byTag } from './noted.ts';
import { Taught } from './Taught.tsx';
import styles from './reading.module.css';
import { inTongue } from '../language/inTongue.ts';

/** The notebooks of a class, tree by tree: what each wrote, read against the library; two of them side by side. */
export default function NotebookPage({ course }: { course: WholeCourse }) {
  const { library, profiles, vocabulary } = useLibrary();
  const query = useQuery({
    queryKey: notebookKey(course.id),
    queryFn: () => call('GET /api/courses/{courseId}/notebook', { params: { courseId: course.id } }),
  });
  const [search, setSearch] = useSearchParams();
  const reading = useMemo<Reading | undefined>(
    () => library && { course, profiles, vocabulary, reference: library.reference },
    [course, library, profiles, vocabulary],
  );
  const all = useMemo(
    () => (query.data && reading ? readAll(query.data, reading) : undefined),
    [query.data, reading],
  );
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  if (!query.data || !all || !reading) return <Opening />;
  if (search.has('paper')) return <OnPaper course={course} onDone={() => setSearch({})} />;
  const taxonOf = taxonByTag(query.data.tags);
  const found = (name: string) => all.find(({ entry }) => entry.id === search.get(name));
  const shown = found('entry') ?? all[0];
  const beside = found('beside');
  const open = (id: string) => setSearch({ entry: id });
  return (
    <div className={styles['notebooks']}>
      <nav aria-label={t`Entries`}>
        <p className={styles['does']}>
          <Button onClick={() => setSearch({ paper: '' })}>
            <Trans>Type in from paper</Trans>
          </Button>
          {all.length > 0 && (
            <Button onClick={() => download('notebooks.csv', notebookTable(all, vocabulary, course))}>
              <Trans>Take out as CSV</Trans>
            </Button>
          )}
        </p>
        {all.length === 0 && <None course={course} />}
        {byTag(all).map(({ tag, entries }) => (
          <Tree key={tag} {...{ course, tag, reading }} taxonId={taxonOf(tag)}>
            {entries.map((one) => {
              const { id, organ } = one.entry;
              return (
                <Line
                  key={id}
                  one={one}
                  current={shown?.entry.id === id}
                  onOpen={() => open(id)}
                  {...(shown && shown.entry.id !== id && shown.entry.organ === organ
                    ? { onBeside: () => setSearch({ entry: shown.entry.id, beside: id }) }
                    : {})}
                />
              );
            })}
          </Tree>
        ))}
      </nav>
      <div>
        {shown && beside ? (
          <Besides
            first={shown}
            second={beside}
            words={course}
            vocabulary={vocabulary}
            onApart={() => open(shown.entry.id)}
          />
        ) : (
          shown && (
            <EntrySheet course={course} shown={shown} vocabulary={vocabulary} phrases={query.data.phrases} />
          )
        )}
        <Taught course={course} all={all} phrases={query.data.phrases} vocabulary={vocabulary} />
      </div>
    </div>
  );
}

const None = ({ course }: { course: WholeCourse }) => (
  <p>
    <Trans>
      Nothing is noted yet.{' '}
      {course.opens.includes('notebook')
        ? t`Students find “Notebook” on their phones: they go to a tree, write down what they see in their own words, and then choose what it is most like.`
        : t`Open the notebook to students in Settings, or type in what they wrote on paper.`}
    </Trans>
  </p>
);

interface TreeProps {
  course: WholeCourse;
  tag: string;
  taxonId: string | undefined;
  reading: Reading;
  children: ReactNode;
}

/** A tree by its tag, with the species that it is: whoever knows says so once for all entries. */
function Tree({ course, tag, taxonId, reading, children }: TreeProps) {
  const { save, saving, problem } = useSaving();
  const say = (id: string | undefined) =>
    void save(
      () =>
        call('PUT /api/courses/{courseId}/tags', {
          params: { courseId: course.id },
          body: { tag, taxonId: id ?? null },
        }),
      { stale: [notebookKey(course.id)] },
    );
  return (
    <section className={styles['tree']}>
      <h2>{tag || t`Without a tag`}</h2>
      {tag !== '' && (
        <Select
          className={styles['which']}
          size="small"
          showSearch
          allowClear
          loading={saving}
          placeholder={t`Which tree is it?`}
          aria-label={t`Which tree is ${tag}?`}
          value={taxonId}
          optionFilterProp="label"
          onChange={say}
          options={reading.profiles.map(({ taxon }) => ({
            value: taxon.id,
            label: `${commonName(taxon)}, ${scientificName(taxon)}`,
          }))}
        />
      )}
      {problem && <p role="alert">{problem}</p>}
      <ul>{children}</ul>
    </section>
  );
}

interface LineProps {
  one: ReadWithEntry;
  current: boolean;
  onOpen(): void;
  onBeside?(): void;
}

function Line({ one, current, onOpen, onBeside }: LineProps) {
  const { agree, misread } = tally(one.read);
  return (
    <li>
      <button type="button" aria-current={current} onClick={onOpen}>
        {one.entry.student}, {inTongue(SHOWN_TITLES[one.entry.organ])}
      </button>
      <small>
        {one.entry.day}
        {one.tree && t` · ${agree} agree`}
        {misread > 0 && (
          <span className="rust">
            {' '}
            <Trans>· {misread} misread</Trans>
          </span>
        )}
      </small>
      {onBeside && (
        <button type="button" className={styles['beside']} onClick={onBeside}>
          <Trans>lay beside</Trans>
        </button>
      )}
    </li>
  );
}
