import Joi from 'joi';
import { endpoint, type Done, type Role } from './endpoint.ts';

/** What the pages need to know before anything else. */
export interface Session {
  setupNeeded: boolean;
  demo: boolean;
  /** The server's date, which the demo holds still. */
  today: string;
  who: { id: string; name: string; role: Role; course?: string } | null;
}

/** What an instructor signs in with. */
export interface Credentials {
  email: string;
  password: string;
}

/** What a student signs in with. */
export interface StudentCodes {
  courseCode: string;
  personalCode: string;
}

export interface SetupBody {
  name: string;
  email: string;
  password: string;
  libraryName: string;
  latitude: number;
  longitude: number;
  elevation: number;
}

const setupBody = Joi.object<SetupBody>({
  name: Joi.string().trim().max(120).required().label('Your name'),
  email: Joi.string().trim().email({ tlds: false }).max(200).required().label('E-mail'),
  password: Joi.string().min(10).max(200).required().label('Password'),
  libraryName: Joi.string().trim().max(120).default('Our library').label('Name of the library'),
  latitude: Joi.number().min(-90).max(90).required().label('Latitude'),
  longitude: Joi.number().min(-180).max(180).required().label('Longitude'),
  elevation: Joi.number().min(-450).max(6000).required().label('Elevation'),
});

export const now = endpoint<{ answer: Session }>()({
  method: 'get',
  path: '/api/session',
  summary: 'Who is signed in, and what the first page should offer.',
  allow: 'anyone',
});

export const setUp = endpoint<{ body: SetupBody; answer: Session }>()({
  method: 'post',
  path: '/api/setup',
  summary: 'Creates the owner and the library of a new installation.',
  allow: 'anyone',
  body: setupBody,
});

export const signIn = endpoint<{ body: Credentials; answer: Session }>()({
  method: 'post',
  path: '/api/session/account',
  summary: 'Signs in with e-mail and password.',
  allow: 'anyone',
  guessable: { field: 'email', most: 20 },
  body: Joi.object({
    email: Joi.string().trim().required().label('E-mail'),
    password: Joi.string().required().label('Password'),
  }),
});

export const signInStudent = endpoint<{
  body: { courseCode: string; personalCode: string };
  answer: Session;
}>()({
  method: 'post',
  path: '/api/session/student',
  summary: 'Signs a student in with course code and personal code.',
  allow: 'anyone',
  guessable: { field: 'courseCode', most: 150 },
  body: Joi.object({
    courseCode: Joi.string().trim().required().label('Course code'),
    personalCode: Joi.string().trim().required().label('Personal code'),
  }),
});

export const signInDemo = endpoint<{ body: { as: 'instructor' | 'student' }; answer: Done }>()({
  method: 'post',
  path: '/api/session/demo',
  summary: 'Signs in as one of the made-up people of the demo. Only while HURROW_DEMO is set.',
  allow: 'anyone',
  body: Joi.object({ as: Joi.string().valid('instructor', 'student').required() }),
});

export const signOut = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/session',
  summary: 'Signs out.',
  allow: 'anyone',
});
