import Joi from 'joi';
import type { Need } from '@hurrow/core/grounds';
import { isoDate } from './day.ts';
import { endpoint, STAFF, type Done, type Sent } from './endpoint.ts';
import { addressField, paperField, type Paper } from './prints.ts';

/** A walk of a course, as it was planned. */
export interface WalkBody {
  groundsId: string;
  name: string;
  day: string;
  /** Time of the day at which it begins, by the clock where it is planned: “14:30”. */
  begins: string;
  /** Milliseconds since 1970 at which that is: the sun knows no zones. */
  beginsAt: number;
  /** In the order in which they are visited. */
  treeIds: string[];
  minutes: number;
  stepFree: boolean;
  unlike: boolean;
  /** Degrees north and east. */
  start: { latitude: number; longitude: number };
  end: { latitude: number; longitude: number };
  checklists: { title: string; points: { words: string; done: boolean }[] }[];
}

export interface Walk extends WalkBody {
  id: string;
  /** Counts its changes, from 1. */
  version: number;
}

/** What is gathered for a day, as it was planned. */
export interface CollectingBody {
  groundsId: string;
  name: string;
  day: string;
  /** The quiz for which it is; null where it is for something else. */
  quizId: string | null;
  needs: Need[];
  /** By need, the tree that was chosen in place of the first. */
  chosen: Record<string, string>;
  /** The land manager has said that branches of pest hosts may be taken here. */
  pestHosts: boolean;
}

/** What became of a piece. */
export const ITEM_STATES = ['kept', 'used', 'wilted', 'lost'] as const;
export type ItemState = (typeof ITEM_STATES)[number];

/** A piece that was cut. */
export interface ItemBody {
  needId: string;
  treeId: string;
  /** When it was cut. */
  cutAt: string;
  cutter: string;
  /** Where it is kept. */
  stored: string;
  /** Last day on which it can be shown. */
  goodUntil: string;
  spares: number;
  /** The second person who looked at its name; empty where nobody has. */
  confirmedBy: string;
  state: ItemState;
  note: string;
}

export interface Item extends ItemBody {
  id: string;
  /** What it was before, the oldest first. */
  trace: { at: string; by: string; what: string }[];
}

export interface Collecting extends CollectingBody {
  id: string;
  /** Counts its changes, from 1; what is cut for it is no change of it. */
  version: number;
  items: Item[];
}

/** The version that a change stands on; 0 of what is new. */
interface Based {
  baseVersion: number;
}
const baseVersion = Joi.number().integer().min(0).required();

const uuid = Joi.string().uuid().required();
const place = Joi.object({
  latitude: Joi.number().min(-90).max(90).required(),
  longitude: Joi.number().min(-180).max(180).required(),
}).required();
const name = Joi.string().trim().min(1).max(120).required().label('Name');
const text = (most: number) => Joi.string().trim().allow('').max(most).required();

export const walks = endpoint<{ answer: { walks: Walk[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/walks',
  summary: 'The walks that were planned for a course, the latest first.',
  allow: STAFF,
});

export const keepWalk = endpoint<{ body: WalkBody & Based; answer: { version: number } }>()({
  method: 'put',
  path: '/api/courses/{courseId}/walks/{walkId}',
  summary:
    'Keeps a walk under an id made by the caller: a new one on version 0, a changed one on the version it was changed from.',
  allow: STAFF,
  body: Joi.object<WalkBody & Based>({
    baseVersion,
    groundsId: uuid,
    name,
    day: isoDate().required().label('Day'),
    begins: Joi.string()
      .pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
      .required()
      .label('Begins'),
    // From 1970 to 2200, as days are.
    beginsAt: Joi.number().integer().min(0).max(Date.UTC(2201, 0)).required(),
    treeIds: Joi.array().items(Joi.string().uuid()).max(200).unique().required(),
    minutes: Joi.number().min(0).max(120).required().label('Minutes at a stop'),
    stepFree: Joi.boolean().required(),
    unlike: Joi.boolean().required(),
    start: place,
    end: place,
    checklists: Joi.array()
      .items(
        Joi.object({
          title: Joi.string().trim().min(1).max(80).required(),
          points: Joi.array()
            .items(
              Joi.object({
                words: Joi.string().trim().min(1).max(300).required(),
                done: Joi.boolean().required(),
              }),
            )
            .max(40)
            .required(),
        }),
      )
      .max(12)
      .required(),
  }),
});

export const dropWalk = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/courses/{courseId}/walks/{walkId}',
  summary: 'Gives a planned walk up.',
  allow: STAFF,
});

export const walkSheet = endpoint<{ query: { paper: Paper }; answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/walks/{walkId}/walk.pdf',
  summary: 'A walk to be printed: its map, its stops with their times and care, its checklists.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: paperField,
  }),
});

export const collecting = endpoint<{ answer: { lists: Collecting[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/collecting',
  summary: 'The collecting lists of a course with the pieces that were cut, the latest first.',
  allow: STAFF,
});

export const keepCollecting = endpoint<{ body: CollectingBody & Based; answer: { version: number } }>()({
  method: 'put',
  path: '/api/courses/{courseId}/collecting/{listId}',
  summary:
    'Keeps a collecting list under an id made by the caller: a new one on version 0, a changed one on the version it was changed from.',
  allow: STAFF,
  body: Joi.object<CollectingBody & Based>({
    baseVersion,
    groundsId: uuid,
    name,
    day: isoDate().required().label('Day'),
    quizId: Joi.string().uuid().allow(null).required(),
    needs: Joi.array()
      .items(
        Joi.object({
          id: Joi.string().max(80).required(),
          taxonId: Joi.string().max(120).required(),
          kind: Joi.string().max(40).required(),
          serves: text(80),
        }),
      )
      .unique('id')
      .max(200)
      .required(),
    chosen: Joi.object().pattern(Joi.string().max(80), Joi.string().uuid()).required(),
    pestHosts: Joi.boolean().required(),
  }),
});

export const dropCollecting = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/courses/{courseId}/collecting/{listId}',
  summary: 'Gives a collecting list up, with its pieces.',
  allow: STAFF,
});

export const keepItem = endpoint<{ body: ItemBody; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/collecting/{listId}/items/{itemId}',
  summary:
    'Keeps a piece that was cut, under an id made by the caller: sending it again does no harm, and each change leaves a trace.',
  allow: STAFF,
  body: Joi.object<ItemBody>({
    needId: Joi.string().max(80).required(),
    treeId: uuid,
    cutAt: Joi.string().isoDate().required(),
    cutter: text(80),
    stored: text(120),
    goodUntil: isoDate().required(),
    spares: Joi.number().integer().min(0).max(50).required(),
    confirmedBy: text(80),
    state: Joi.string()
      .valid(...ITEM_STATES)
      .required(),
    note: text(300),
  }),
});

export const dropItem = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/courses/{courseId}/collecting/{listId}/items/{itemId}',
  summary: 'Takes back a piece that was ticked off by mistake.',
  allow: STAFF,
});

export const labels = endpoint<{ query: { paper: Paper; at: string }; answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/collecting/{listId}/labels.pdf',
  summary: 'Labels for the pieces that were cut: number, day and a code to scan; never the answer.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: paperField,
    at: addressField,
  }),
});
