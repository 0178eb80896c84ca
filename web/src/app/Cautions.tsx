import type { Caution } from '@hurrow/core/taxon';
import ui from './parts.module.css';

/** What can hurt on a tree, and the usual care. */
export const Cautions = ({ cautions }: { cautions: readonly Caution[] }) =>
  cautions.map((caution) => (
    <p className={ui['notice']} key={caution.kind + caution.part}>
      <strong>
        {caution.kind}: {caution.part}.
      </strong>{' '}
      {caution.effect} {caution.care}
    </p>
  ));
