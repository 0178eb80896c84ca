import Joi from 'joi';
import { endpoint, STAFF, type Done, type Role, type Sent } from './endpoint.ts';

/** What the pages need to know before anything else. */
export interface Session {
  setupNeeded: boolean;
  demo: boolean;
  /** The server's date, which the demo holds still. */
  today: string;
  who: { id: string; name: string; role: Role; course?: string } | null;
  /** Name of the institution that vouches for those who teach; null where none does. */
  institution: string | null;
}

/** What an instructor signs in with. */
export interface Credentials {
  email: string;
  password: string;
  /** Of the telephone, or a recovery code, where a second factor is asked for. */
  code?: string;
}

/** A second factor as it stands. */
export interface Second {
  on: boolean;
  /** Recovery codes that are left. */
  recovery: number;
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
  password: Joi.string().min(12).max(200).required().label('Password'),
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
    code: Joi.string().trim().max(40).label('Code'),
  }),
});

export const institution = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/session/institution',
  summary: 'Leads to the institution that vouches for those who teach (OpenID Connect), where one is set.',
  allow: 'anyone',
  answers: 'text/html',
});

export const institutionBack = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/session/institution/back',
  summary: 'Where the institution leads back to: signs in whom it vouches for, if the owner has added them.',
  allow: 'anyone',
  query: Joi.object().unknown(),
  answers: 'text/html',
});

export const invited = endpoint<{ body: { token: string }; answer: { name: string; email: string } }>()({
  method: 'post',
  path: '/api/session/invited',
  summary: 'Whom a link invites. It is sent, not asked for by its address, so that no log has it.',
  allow: 'anyone',
  guessable: { field: '', most: 20 },
  body: Joi.object({ token: Joi.string().max(80).required() }),
});

export const accept = endpoint<{ body: { token: string; password: string }; answer: Session }>()({
  method: 'post',
  path: '/api/session/invitation',
  summary: 'Uses a link: the invited chooses a password and is signed in.',
  allow: 'anyone',
  guessable: { field: '', most: 20 },
  body: Joi.object({
    token: Joi.string().max(80).required(),
    password: Joi.string().min(12).max(200).required().label('Password'),
  }),
});

export const second = endpoint<{ answer: Second }>()({
  method: 'get',
  path: '/api/session/second',
  summary: 'Whether the own account asks for a second factor.',
  allow: STAFF,
});

export const beginSecond = endpoint<{
  body: { password: string };
  answer: { secret: string; address: string; picture: string };
}>()({
  method: 'post',
  path: '/api/session/second',
  summary:
    'Begins a second factor: a new secret for the telephone (RFC 6238), its address, and that as a QR code in SVG. It is asked for once a code was confirmed.',
  allow: STAFF,
  guessable: { field: '', most: 20 },
  body: Joi.object({ password: Joi.string().required().label('Password') }),
});

export const confirmSecond = endpoint<{ body: { code: string }; answer: { recovery: string[] } }>()({
  method: 'put',
  path: '/api/session/second',
  summary: 'Turns the second factor on with a first code; the answer holds recovery codes, shown once.',
  allow: STAFF,
  guessable: { field: '', most: 20 },
  body: Joi.object({ code: Joi.string().trim().max(40).required().label('Code') }),
});

export const endSecond = endpoint<{ body: { password: string }; answer: Done }>()({
  method: 'post',
  path: '/api/session/second/off',
  summary: 'Turns the own second factor off.',
  allow: STAFF,
  guessable: { field: '', most: 20 },
  body: Joi.object({ password: Joi.string().required().label('Password') }),
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
