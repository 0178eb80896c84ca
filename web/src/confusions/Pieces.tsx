import { Link } from 'react-router';
import { inWords, type Piece } from '@hurrow/core/finding';
import type { Names } from './useNames.ts';

/** What is said of a finding, with names put in and its pairs as links. */
export const Pieces = ({ pieces, names, base }: { pieces: readonly Piece[]; names: Names; base: string }) =>
  pieces.map((piece, i) => {
    const words = inWords(piece, names);
    if (typeof piece === 'string') return words;
    if ('strong' in piece) return <strong key={i}>{words}</strong>;
    if (!('pair' in piece)) return <span key={i}>{words}</span>;
    return (
      <Link key={i} to={`${base}/${piece.pair.truth}/${piece.pair.answer}`}>
        {words}
      </Link>
    );
  });
