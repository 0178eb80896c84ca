import type { Caution } from '@hurrow/core/taxon';
import ui from './parts.module.css';
import { inTongue } from '../language/inTongue.ts';

/** What can hurt on a tree, and the usual care. */
export const Cautions = ({ cautions }: { cautions: readonly Caution[] }) =>
  cautions.map((caution) => (
    <p className={ui['notice']} key={caution.kind + caution.part}>
      <strong>
        {inTongue(caution.kind)}: {caution.part}.
      </strong>{' '}
      {caution.effect} {caution.care}
    </p>
  ));
