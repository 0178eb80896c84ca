import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { characterStops, lessonAbout } from '@hurrow/core/lesson';
import { readLibrary } from '@hurrow/core/library';
import { messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { roundOf } from './calling.ts';
import { Presenter, Screen } from './Showing.tsx';

/** Its drawings show each part when it is on the tree. */
const ANY_DAY = 196;

/** A lesson about characters before a class, as the lesson of a set is shown. */
export default function ShowingCharacter({ presenter = false }: { presenter?: boolean }) {
  const { courseId = '', about = '' } = useParams();
  const round = roundOf(useSearchParams()[0]);
  const course = useQuery(courseQuery(courseId));
  const { library, vocabulary } = useLibrary();
  const stops = useMemo(() => {
    if (!course.data || !library) return undefined;
    const list = readLibrary(library).profilesOf(course.data.sets.flatMap(({ taxa }) => taxa));
    const { audience } = course.data;
    const topic = lessonAbout(list, vocabulary, audience, about);
    return topic ? characterStops({ list, vocabulary, audience }, topic.characters, round) : [];
  }, [course.data, library, vocabulary, about, round]);
  if (!course.data || !stops)
    return course.error ? (
      <Problem>{messageOf(course.error)}</Problem>
    ) : (
      <Opening>
        <Trans>Opening the lesson…</Trans>
      </Opening>
    );
  const all = `/c/${courseId}/course/characters`;
  if (stops.length === 0)
    return (
      <Problem>
        <Trans>
          The trees of this list do not differ in that. <Link to={all}>Choose another character.</Link>
        </Trans>
      </Problem>
    );
  const Window = presenter ? Presenter : Screen;
  return (
    <Window
      course={course.data}
      id={`${about} ${round}`}
      home={`${all}/${about}`}
      second={`/show/${courseId}/character/${about}/presenter?round=${round}`}
      stops={stops}
      photos={{ courseId, setId: '', all: [], units: course.data.units }}
      day={ANY_DAY}
    />
  );
}
