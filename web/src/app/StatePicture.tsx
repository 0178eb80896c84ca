import { STATE_FRAME, statePicture } from '@hurrow/core/specimen';
import styles from './drawings.module.css';

/** The little drawing of one state of a character; nothing where an outline does not tell it. */
export function StatePicture({ characterId, state }: { characterId: string; state: string }) {
  const paths = statePicture(characterId, state);
  if (!paths) return null;
  return (
    <svg
      className={styles['state-picture']}
      viewBox={STATE_FRAME.join(' ')}
      width={40}
      height={30}
      aria-hidden="true"
    >
      {paths.map((path, i) => (
        <path
          key={i}
          d={path.d}
          fill={path.fill}
          stroke={path.stroke}
          strokeWidth={path.strokeWidth * 1.6}
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
