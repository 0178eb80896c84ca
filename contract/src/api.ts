import type * as accounts from './accounts.ts';
import type * as assembly from './assembly.ts';
import type * as backups from './backups.ts';
import type * as characters from './characters.ts';
import type * as confusions from './confusions.ts';
import type * as contests from './contests.ts';
import type * as courses from './courses.ts';
import type { AnswerOf, BodyOf, Endpoint, Method, ParametersOf, Parts, QueryOf } from './endpoint.ts';
import type * as exchange from './exchange.ts';
import type * as grounds from './grounds.ts';
import type * as instruments from './instruments.ts';
import type * as keeping from './keeping.ts';
import type * as learning from './learning.ts';
import type * as courseStaff from './courseStaff.ts';
import type * as lessons from './lessons.ts';
import type * as library from './library.ts';
import type * as lookalikes from './lookalikes.ts';
import type * as marking from './marking.ts';
import type * as measurements from './measurements.ts';
import type * as miniLessons from './miniLessons.ts';
import type * as notebook from './notebook.ts';
import type * as outings from './outings.ts';
import type * as photos from './photos.ts';
import type * as practice from './practice.ts';
import type * as prints from './prints.ts';
import type * as quizzes from './quizzes.ts';
import type * as ranges from './ranges.ts';
import type * as rounds from './rounds.ts';
import type * as rulings from './rulings.ts';
import type * as running from './running.ts';
import type * as session from './session.ts';
import type * as sitting from './sitting.ts';
import type * as sorts from './sorts.ts';
import type * as sources from './sources.ts';
import type * as terms from './terms.ts';
import type * as tries from './tries.ts';

type EndpointsOf<Module> = Extract<Module[keyof Module], Endpoint<Parts, Method, string>>;
type AnyEndpoint =
  | EndpointsOf<typeof accounts>
  | EndpointsOf<typeof assembly>
  | EndpointsOf<typeof backups>
  | EndpointsOf<typeof characters>
  | EndpointsOf<typeof confusions>
  | EndpointsOf<typeof contests>
  | EndpointsOf<typeof courses>
  | EndpointsOf<typeof exchange>
  | EndpointsOf<typeof grounds>
  | EndpointsOf<typeof instruments>
  | EndpointsOf<typeof keeping>
  | EndpointsOf<typeof learning>
  | EndpointsOf<typeof courseStaff>
  | EndpointsOf<typeof lessons>
  | EndpointsOf<typeof library>
  | EndpointsOf<typeof lookalikes>
  | EndpointsOf<typeof marking>
  | EndpointsOf<typeof measurements>
  | EndpointsOf<typeof miniLessons>
  | EndpointsOf<typeof notebook>
  | EndpointsOf<typeof outings>
  | EndpointsOf<typeof photos>
  | EndpointsOf<typeof practice>
  | EndpointsOf<typeof prints>
  | EndpointsOf<typeof quizzes>
  | EndpointsOf<typeof ranges>
  | EndpointsOf<typeof rounds>
  | EndpointsOf<typeof rulings>
  | EndpointsOf<typeof running>
  | EndpointsOf<typeof session>
  | EndpointsOf<typeof sitting>
  | EndpointsOf<typeof sorts>
  | EndpointsOf<typeof sources>
  | EndpointsOf<typeof terms>
  | EndpointsOf<typeof tries>;

type KeyOf<E extends Endpoint> = `${Uppercase<E['method']>} ${E['path']}`;

/** Every call of the API by its name, “GET /api/courses/{courseId}”, with the types of what it takes and is answered with. */
export type Api = {
  [E in AnyEndpoint as KeyOf<E>]: {
    params: ParametersOf<E>;
    query: QueryOf<E>;
    body: BodyOf<E>;
    answer: AnswerOf<E>;
  };
};

export type Call = keyof Api;
export type Answer<C extends Call> = Api[C]['answer'];

type Needed<Name extends string, T> = unknown extends T
  ? unknown
  : [keyof T] extends [never]
    ? unknown
    : Record<Name, T>;
/** What has a default may be left out of a query. */
type Query<T> = unknown extends T ? unknown : { query?: Partial<T> };

/** What is given with a call: the parameters of its path, its query, its body. */
export type Given<C extends Call> = Needed<'params', { [K in keyof Api[C]['params']]: string | number }> &
  Query<Api[C]['query']> &
  Needed<'body', Api[C]['body']>;
