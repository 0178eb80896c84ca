import { STATE_FRAME, statePicture } from '@hurrow/core/specimen';
import styles from './drawings.module.css';

/** The little drawing of one state of a character; nothing where an outline does not tell it. */
export function StatePicture({
  characterId,
  state,
  large = false,
}: {
  characterId: string;
  state: string;
  large?: boolean;
}) {
  const picture = statePicture(characterId, state);
  if (!picture) return null;
  const { paths, frame } = picture;
  return (
    <svg
      className={styles['state-picture']}
      viewBox={frame.join(' ')}
      width={large ? 80 : 40}
      height={large ? 60 : 30}
      aria-hidden="true"
    >
      {paths.map((path, i) => (
        <path
          key={i}
          d={path.d}
          fill={path.fill}
          stroke={path.stroke}
          strokeWidth={path.strokeWidth * 1.6 * (frame[2] / STATE_FRAME[2])}
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
