import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Collecting } from '@hurrow/contract/outings';
import { Button, Checkbox, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { STATION_KINDS } from '@hurrow/core/assembly';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { newId } from '../app/newId.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { gatheredInWords, taxaOfNeeds, withNeed, type GatherLine } from './gathering.ts';
import { GatherRows } from './GatherRows.tsx';
import { collectingKey, walksKey } from './groundsData.ts';
import { useGathering, type Gathering } from './useGathering.ts';
import { newWalk } from './walking.ts';
import styles from './grounds.module.css';
import { inTongue } from '../language/inTongue.ts';

/** A collecting list at the desk: what is needed, whence it comes, labels and the walk. */
export default function CollectingPage({ course }: { course: WholeCourse }) {
  const { listId = '' } = useParams();
  const gathering = useGathering(course.id, listId);
  if (gathering.problem) return <Problem>{gathering.problem}</Problem>;
  const { list, lines, whole } = gathering;
  if (!list || !lines || !whole) return <Opening />;
  return (
    <div className={styles['collecting']}>
      <h2>
        {list.name}, {list.day}
      </h2>
      <Tools course={course} list={list} lines={lines} gathering={gathering} />
      <p role="status">{gatheredInWords(lines)}</p>
      <GatherRows gathering={gathering} />
      <AddNeed list={list} gathering={gathering} />
    </div>
  );
}

const GATHERED = STATION_KINDS.filter(({ cut }) => cut);

interface ToolsProps {
  course: WholeCourse;
  list: Collecting;
  lines: readonly GatherLine[];
  gathering: Gathering;
}

function Tools({ course, list, lines, gathering }: ToolsProps) {
  const { save, saving, problem } = useSaving();
  const go = useNavigate();
  const params = { courseId: course.id, listId: list.id };
  const walkThere = () => {
    const id = newId();
    const treeIds = [...new Set(lines.flatMap(({ source }) => source?.treeId ?? []))];
    const body = newWalk(
      gathering.whole!,
      t`Collecting ${list.name.replace(/^For /, 'for ')}`,
      list.day,
      treeIds,
    );
    void save(
      () =>
        call('PUT /api/courses/{courseId}/walks/{walkId}', {
          params: { courseId: course.id, walkId: id },
          body: { ...body, baseVersion: 0 },
        }),
      {
        stale: [walksKey(course.id)],
        done: () => void go(`/c/${course.id}/grounds/walks/${id}`),
      },
    );
  };
  const giveUp = () =>
    void save(() => call('DELETE /api/courses/{courseId}/collecting/{listId}', { params }), {
      stale: [collectingKey(course.id)],
      done: () => void go(`/c/${course.id}/grounds/collecting`),
    });
  const { changeList, saving: changing } = gathering;
  const at = encodeURIComponent(window.location.origin);
  return (
    <>
      <p className={styles['does']}>
        <Link className={styles['go']} to={`/gather/${course.id}/${list.id}`}>
          <Trans>Open it on a phone</Trans>
        </Link>
        <Button loading={saving} onClick={walkThere}>
          <Trans>Plan the walk</Trans>
        </Button>
        {list.quizId === null && (
          <Link to={`/c/${course.id}/quizzes/new?on=${list.day}&taxa=${taxaOfNeeds(list.needs)}`}>
            <Trans>Plan a quiz of these pieces</Trans>
          </Link>
        )}
        <a href={`/api/courses/${course.id}/collecting/${list.id}/labels.pdf?at=${at}`} download>
          <Trans>Print labels</Trans>
        </a>
        <Popconfirm
          title={t`Give “${list.name}” up, with what was ticked off?`}
          okText={t`Give it up`}
          onConfirm={giveUp}
        >
          <Button>
            <Trans>Give it up</Trans>
          </Button>
        </Popconfirm>
      </p>
      <p>
        <Checkbox
          checked={list.pestHosts}
          disabled={changing}
          onChange={(event) => changeList({ pestHosts: event.target.checked })}
        >
          <Trans>The land manager has said that branches of pest hosts may be cut and carried here</Trans>
        </Checkbox>
      </p>
      {problem && <Problem>{problem}</Problem>}
    </>
  );
}

function AddNeed({ list, gathering }: Pick<ToolsProps, 'list' | 'gathering'>) {
  const { profiles } = useLibrary();
  const { changeList, saving } = gathering;
  const [taxonId, setTaxonId] = useState<string>();
  const [kind, setKind] = useState('cutting');
  const add = () => {
    if (!taxonId) return;
    changeList({ needs: withNeed(list.needs, taxonId, kind) }, () => setTaxonId(undefined));
  };
  return (
    <section className={styles['addneed']} aria-label={t`Add to the list`}>
      <Select
        showSearch
        aria-label={t`Species`}
        placeholder={t`another species`}
        value={taxonId}
        optionFilterProp="label"
        options={profiles.map(({ taxon }) => ({
          value: taxon.id,
          label: `${commonName(taxon)}, ${scientificName(taxon)}`,
        }))}
        onChange={setTaxonId}
      />
      <Select
        aria-label={t`What of it`}
        value={kind}
        options={GATHERED.map(({ id, title }) => ({ value: id, label: inTongue(title) }))}
        onChange={setKind}
      />
      <Button disabled={!taxonId} loading={saving} onClick={add}>
        <Trans>Add to the list</Trans>
      </Button>
    </section>
  );
}
