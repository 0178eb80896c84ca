import Joi from 'joi';
import {
  CUTTINGS,
  FEATURE_KINDS,
  HAZARDS,
  OBSERVED_PARTS,
  REACHED_ORGANS,
  REACHES,
  SEXES,
  STAGES,
  type GroundFeatures,
  type GroundTree,
  type TreeFacts,
  type TreeObservation,
} from '@hurrow/core/grounds';
import { isoDate } from './day.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';
import type { Picture } from './photos.ts';
import { addressField, paperField, type Paper } from './prints.ts';

/** A place where trees stand that are taught, such as a campus or a trail. Degrees and metres. */
export interface GroundsFacts {
  name: string;
  latitude: number;
  longitude: number;
  elevation: number;
}

export interface Grounds extends GroundsFacts {
  id: string;
  /** How many trees stand there. */
  trees: number;
}

/** A tree as it is kept. */
export interface KeptTree extends GroundTree {
  /** Counts its changes, from 1. */
  version: number;
}

export interface KeptObservation extends TreeObservation {
  id: string;
  note: string;
  /** Who saw it. */
  by: string;
}

/** What is measured on a tree. */
export const MEASURED_KINDS = ['girth', 'height', 'spread', 'bark', 'furrow', 'age'] as const;
export type MeasuredKind = (typeof MEASURED_KINDS)[number];

export interface MeasurementBody {
  treeId: string;
  day: string;
  kind: MeasuredKind;
  /** Metres; years of an age. */
  value: number;
  /** Half the width of the 95 % interval, in the same unit. */
  error: number;
  /** What it is made of: the girth of each stem, metres; empty otherwise. */
  parts: number[];
  /** How it was measured and worked out, a line each. */
  working: string[];
  /** It is written into the profile of the species as an own measurement. */
  toProfile: boolean;
}

export interface KeptMeasurement extends Omit<MeasurementBody, 'toProfile'> {
  id: string;
  by: string;
}

/** A photograph of a tree. */
export interface TreePicture {
  id: string;
  treeId: string;
  day: string;
  by: string;
}

export interface WholeGrounds extends GroundsFacts {
  id: string;
  features: GroundFeatures;
  /** Counts the changes of the map. */
  version: number;
  trees: KeptTree[];
  observations: KeptObservation[];
  measurements: KeptMeasurement[];
  pictures: TreePicture[];
}

/** So many trees stand on one ground at most. */
export const MOST_TREES = 5000;

const latitude = Joi.number().min(-90).max(90).label('Latitude');
const longitude = Joi.number().min(-180).max(180).label('Longitude');
const elevation = Joi.number().min(-450).max(9000).label('Elevation');
const text = (most: number) => Joi.string().trim().allow('').max(most).required();
const uuid = Joi.string().uuid().required();

const groundsSchema = Joi.object<GroundsFacts>({
  name: Joi.string().trim().min(1).max(80).required().label('Name'),
  latitude: latitude.required(),
  longitude: longitude.required(),
  elevation: elevation.required(),
});

const treeFields = {
  tag: Joi.string().trim().min(1).max(40).required().label('Tag'),
  taxonId: Joi.string().max(120).allow(null).required(),
  confirmedBy: text(80).label('Confirmed by'),
  latitude: latitude.required(),
  longitude: longitude.required(),
  elevation: elevation.allow(null).required(),
  stage: Joi.string()
    .valid(...STAGES)
    .required(),
  sex: Joi.string()
    .valid(...SEXES)
    .required(),
  girths: Joi.array().items(Joi.number().min(0.005).max(40)).max(40).required().label('Girth'),
  height: Joi.number().min(0.05).max(130).allow(null).required().label('Height'),
  spread: Joi.number().min(0.05).max(80).allow(null).required().label('Crown spread'),
  reach: Joi.object(
    Object.fromEntries(REACHED_ORGANS.map((organ) => [organ, Joi.string().valid(...REACHES)])),
  ).required(),
  stepFree: Joi.boolean().required(),
  access: text(300).label('Access'),
  cutting: Joi.string()
    .valid(...CUTTINGS)
    .required(),
  permission: text(200).label('Permission'),
  until: isoDate().allow(null).required().label('Until'),
  hazards: Joi.array()
    .items(Joi.string().valid(...HAZARDS))
    .unique()
    .required(),
  note: text(1000).label('Note'),
};

const position = Joi.array().items(Joi.number()).min(2).max(4);
const line = Joi.array().items(position).min(2).max(5000);
const featureSchema = Joi.object({
  type: Joi.valid('Feature').required(),
  properties: Joi.object({
    kind: Joi.string()
      .valid(...FEATURE_KINDS)
      .required(),
    name: text(80),
    steps: Joi.boolean(),
    hazard: Joi.string().valid(...HAZARDS),
  }).required(),
  geometry: Joi.alternatives(
    Joi.object({ type: Joi.valid('Point').required(), coordinates: position.required() }),
    Joi.object({ type: Joi.valid('LineString').required(), coordinates: line.required() }),
    Joi.object({
      type: Joi.valid('Polygon').required(),
      coordinates: Joi.array().items(line).min(1).max(20).required(),
    }),
  ).required(),
});

export const all = endpoint<{ answer: { grounds: Grounds[] } }>()({
  method: 'get',
  path: '/api/grounds',
  summary: 'The grounds where trees stand that are taught.',
  allow: STAFF,
});

export const begin = endpoint<{ body: GroundsFacts; answer: { id: string } }>()({
  method: 'post',
  path: '/api/grounds',
  summary: 'Begins the list of trees of another ground.',
  allow: INSTRUCTORS,
  body: groundsSchema,
});

export const change = endpoint<{ body: GroundsFacts; answer: Done }>()({
  method: 'put',
  path: '/api/grounds/{groundsId}',
  summary: 'Changes name and place of grounds.',
  allow: INSTRUCTORS,
  body: groundsSchema,
});

export const whole = endpoint<{ answer: WholeGrounds }>()({
  method: 'get',
  path: '/api/grounds/{groundsId}',
  summary: 'Grounds with their map, their trees, and what was seen and measured of them.',
  allow: STAFF,
});

export const drawMap = endpoint<{
  body: { features: GroundFeatures; baseVersion: number };
  answer: { version: number };
}>()({
  method: 'put',
  path: '/api/grounds/{groundsId}/map',
  summary: 'Keeps the map of grounds: paths, roads, water, buildings, plots and hazards as GeoJSON.',
  allow: INSTRUCTORS,
  limit: '8mb',
  body: Joi.object({
    features: Joi.object({
      type: Joi.valid('FeatureCollection').required(),
      features: Joi.array().items(featureSchema).max(2000).required(),
    }).required(),
    baseVersion: Joi.number().integer().min(0).required(),
  }),
});

export const keepTree = endpoint<{
  body: TreeFacts & { baseVersion: number };
  answer: { version: number };
}>()({
  method: 'put',
  path: '/api/grounds/{groundsId}/trees/{treeId}',
  summary:
    'Keeps a tree under an id made by the caller: a new one on version 0, a changed one on the version it was changed from.',
  allow: STAFF,
  body: Joi.object({ ...treeFields, baseVersion: Joi.number().integer().min(0).required() }),
});

export const takeTree = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/grounds/{groundsId}/trees/{treeId}',
  summary: 'Takes a tree off the list; what was seen and measured of it stays.',
  allow: INSTRUCTORS,
});

export const importTrees = endpoint<{
  body: { trees: TreeFacts[] };
  answer: { added: number; changed: number };
}>()({
  method: 'post',
  path: '/api/grounds/{groundsId}/trees',
  summary:
    'Takes in trees of a file: those with a tag that is there are changed, the others added; all or none.',
  allow: INSTRUCTORS,
  limit: '8mb',
  body: Joi.object({ trees: Joi.array().items(Joi.object(treeFields)).min(1).max(MOST_TREES).required() }),
});

export const observe = endpoint<{ body: TreeObservation & { note: string }; answer: Done }>()({
  method: 'put',
  path: '/api/grounds/{groundsId}/observations/{observationId}',
  summary:
    'Notes what was seen on a tree on a day, under an id made by the caller: sending it again does no harm.',
  allow: STAFF,
  body: Joi.object({
    treeId: uuid,
    day: isoDate().required().label('Day'),
    part: Joi.string()
      .valid(...OBSERVED_PARTS)
      .required(),
    there: Joi.boolean().required(),
    note: text(300).label('Note'),
  }),
});

export const unobserve = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/grounds/{groundsId}/observations/{observationId}',
  summary: 'Takes back what was noted of a tree by mistake.',
  allow: STAFF,
});

export const measure = endpoint<{ body: MeasurementBody; answer: Done }>()({
  method: 'put',
  path: '/api/grounds/{groundsId}/measurements/{measurementId}',
  summary:
    'Keeps a measurement of a tree with its working, under an id made by the caller; the tree takes the newest of each kind, and the profile of its species takes it as an own measurement where that is asked for by an instructor.',
  allow: STAFF,
  body: Joi.object({
    treeId: uuid,
    day: isoDate().required().label('Day'),
    kind: Joi.string()
      .valid(...MEASURED_KINDS)
      .required(),
    value: Joi.number().positive().max(6000).required().label('Measured value'),
    error: Joi.number().min(0).max(6000).required(),
    parts: Joi.array().items(Joi.number().min(0.005).max(40)).max(40).required(),
    working: Joi.array().items(Joi.string().max(400)).max(20).required(),
    toProfile: Joi.boolean().required(),
  }),
});

export const addPicture = endpoint<{ body: Picture; answer: Done }>()({
  method: 'post',
  path: '/api/grounds/{groundsId}/trees/{treeId}/pictures/{pictureId}',
  summary:
    'Adds a photograph of a tree, under an id made by the caller: decoded, turned upright, encoded again, its position removed.',
  allow: STAFF,
  takesImage: true,
  limit: '20mb',
});

export const picture = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/grounds/{groundsId}/pictures/{pictureId}',
  summary: 'A photograph of a tree.',
  allow: STAFF,
  answers: 'image/webp',
});

export const dropPicture = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/grounds/{groundsId}/pictures/{pictureId}',
  summary: 'Takes a photograph of a tree out.',
  allow: STAFF,
});

export const tags = endpoint<{ query: { paper: Paper; at: string; trees: string }; answer: Sent }>()({
  method: 'get',
  path: '/api/grounds/{groundsId}/tags.pdf',
  summary: 'Tags to hang on trees: number and a code to scan, no name.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: paperField,
    trees: Joi.string().allow('').max(200_000).default(''),
    at: addressField,
  }),
});
