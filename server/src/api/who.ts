import type { Role } from '@hurrow/contract/endpoint';

/** Who is calling, from the session cookie. */
export interface Who {
  role: Role;
  name: string;
  accountId?: string;
  studentId?: string;
  courseId?: string;
}
