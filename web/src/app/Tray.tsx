import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import { Strip } from './Drawings.tsx';
import { useVasculum } from './vasculum.tsx';
import styles from './tray.module.css';

/** The vasculum along the bottom edge: what is in it, and what can be done with it. */
export function Tray({ courseId, profiles }: { courseId: string; profiles: readonly ProfiledTaxon[] }) {
  const { taxa, toggle, empty } = useVasculum();
  const go = useNavigate();
  const held = taxa.flatMap((id) => profiles.find(({ taxon }) => taxon.id === id) ?? []);
  const ids = held.map(({ taxon }) => taxon.id).join(',');
  return (
    <footer className={styles['tray']} aria-label={t`Vasculum`}>
      <strong>
        <Trans>Vasculum</Trans>
      </strong>
      <ul>
        {held.map((profiled) => (
          <li key={profiled.taxon.id}>
            <Strip profiled={profiled} only="foliage" />
            {commonName(profiled.taxon)}
            <button
              aria-label={t`Take ${commonName(profiled.taxon)} out of the vasculum`}
              onClick={() => toggle(profiled.taxon.id)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <span className={`quiet ${styles['tray-hint']}`}>
        {held.length === 0
          ? t`Press c on a species to gather it here; two make a contrast.`
          : held.length === 1
            ? t`One more makes a contrast.`
            : ''}
      </span>
      <Button
        type="primary"
        disabled={held.length < 2}
        onClick={() => void go(`/c/${courseId}/lookalikes?taxa=${ids}`)}
      >
        <Trans>Contrast</Trans>
      </Button>
      <Button
        disabled={held.length < 2}
        onClick={() => void go(`/c/${courseId}/lookalikes/keys?only=${ids}`)}
      >
        <Trans>Key</Trans>
      </Button>
      <Button
        disabled={held.length === 0 || courseId === '-'}
        onClick={() => void go(`/c/${courseId}/course/list?add=${ids}`)}
      >
        <Trans>Set</Trans>
      </Button>
      <Button
        disabled={held.length === 0 || courseId === '-'}
        onClick={() => void go(`/c/${courseId}/quizzes/new?taxa=${ids}`)}
      >
        <Trans>Quiz</Trans>
      </Button>
      <Button type="text" disabled={held.length === 0} onClick={empty}>
        <Trans>Empty</Trans>
      </Button>
    </footer>
  );
}
