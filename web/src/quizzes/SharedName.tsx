import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import type { Asking } from './quizData.ts';
import { Notice } from '../app/parts.tsx';

/** Two trees would go by one name: asked, never done in silence. */
export function SharedName({ asking: { asked, rule, leave } }: { asking: Asking }) {
  if (!asked) return null;
  return (
    <Notice>
      {asked.question}{' '}
      <Button size="small" onClick={() => void rule({ ...asked.body, both: true })}>
        <Trans>Count it for both</Trans>
      </Button>{' '}
      <Button size="small" onClick={leave}>
        <Trans>Leave it</Trans>
      </Button>
    </Notice>
  );
}
