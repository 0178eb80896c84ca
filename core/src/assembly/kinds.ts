import { MEDIUM_VIEWS, type LeafCondition, type Medium, type View } from '../view/index.ts';
import type { ShownOrgan } from '../vocabulary/index.ts';

/** What a station can show, and by what medium. */
export interface StationKind {
  id: string;
  title: string;
  medium: Medium;
  organs: readonly ShownOrgan[];
  /** The condition that it needs. */
  leaves?: LeafCondition;
  /** Somebody has to cut, pick or lift it off the tree. */
  cut: boolean;
}

const ALL: readonly ShownOrgan[] = ['habit', 'bark', 'twig', 'bud', 'leaf', 'flower', 'fruit', 'site'];

/** The kinds of station that a quiz is put together from, the usual ones first. */
export const STATION_KINDS: readonly StationKind[] = [
  {
    id: 'cutting',
    title: 'cutting with leaves',
    medium: 'cutting',
    organs: ['twig', 'bud', 'leaf'],
    leaves: 'on',
    cut: true,
  },
  {
    id: 'bareTwig',
    title: 'bare twig',
    medium: 'cutting',
    organs: ['twig', 'bud'],
    leaves: 'off',
    cut: true,
  },
  {
    id: 'leafFruit',
    title: 'cutting with fruit',
    medium: 'cutting',
    organs: ['twig', 'bud', 'leaf', 'fruit'],
    leaves: 'on',
    cut: true,
  },
  { id: 'leaf', title: 'leaf alone', medium: 'cutting', organs: ['leaf'], leaves: 'on', cut: true },
  { id: 'fruit', title: 'fruit or cone', medium: 'fruit', organs: ['fruit'], cut: true },
  { id: 'bark', title: 'bark piece', medium: 'barkPiece', organs: ['bark'], cut: true },
  { id: 'tree', title: 'living tree', medium: 'livingTree', organs: ALL, cut: false },
  { id: 'trunk', title: 'bark of a living tree', medium: 'livingTree', organs: ['bark'], cut: false },
  {
    id: 'pressed',
    title: 'pressed specimen',
    medium: 'pressed',
    organs: ['twig', 'bud', 'leaf'],
    leaves: 'on',
    cut: true,
  },
  {
    id: 'drawing',
    title: 'drawn twig in leaf',
    medium: 'drawing',
    organs: ['twig', 'bud', 'leaf'],
    leaves: 'on',
    cut: false,
  },
  {
    id: 'drawnTwig',
    title: 'drawn bare twig',
    medium: 'drawing',
    organs: ['twig', 'bud'],
    leaves: 'off',
    cut: false,
  },
  { id: 'drawnFruit', title: 'drawn fruit or cone', medium: 'drawing', organs: ['fruit'], cut: false },
];

export const kindOf = (id: string): StationKind | undefined => STATION_KINDS.find((kind) => kind.id === id);

/** What a kind of station lets one perceive on a day of the year. */
export const viewOfKind = ({ medium, organs, leaves }: StationKind, day: number): View => ({
  ...MEDIUM_VIEWS[medium],
  organs: [...organs],
  day,
  qualifiers: { plantAge: 'mature' },
  ...(leaves ? { leaves } : {}),
});
