import type { Role } from '@hurrow/contract/endpoint';
import { useQuery } from '@tanstack/react-query';
import { useLocation } from 'react-router';
import { courseQuery } from './data.ts';
import { sessionQuery } from './session.ts';

/** The course that a page works on, from its address; none where it works on what all courses share. */
export const courseAt = (pathname: string): string | undefined =>
  /^\/c\/([^/]+)\/(course|quizzes|confusions)(\/|$)/.exec(pathname)?.[1]?.replace(/^-$/, '') || undefined;

/** May someone change courses, or what courses share? Assistants look, enter papers and renew codes. */
const may = (role: Role | undefined): boolean => role !== 'assistant';

/** May the person who is signed in change what this page works on: a course as they stand in it, else the library? */
export function useMayChange(): boolean {
  const courseId = courseAt(useLocation().pathname);
  const everywhere = useQuery(sessionQuery).data?.who?.role;
  const here = useQuery({ ...courseQuery(courseId ?? ''), enabled: courseId !== undefined }).data?.role;
  return may(courseId === undefined ? everywhere : (here ?? everywhere));
}
