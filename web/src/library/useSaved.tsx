import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { call, messageOf } from '../app/api.ts';

/** Says that a revision was saved, with a button that takes it back. */
export function useSaved() {
  const { notification, message } = App.useApp();
  const queries = useQueryClient();
  const refresh = () =>
    Promise.all(
      ['library', 'lookalikes', 'range', 'sheets', 'photos', 'search'].map((key) =>
        queries.invalidateQueries({ queryKey: [key] }),
      ),
    );
  return async (title: string, revision: number) => {
    await refresh();
    const key = `saved-${revision}`;
    const undo = () => {
      notification.destroy(key);
      call('POST /api/library/revisions/{revision}/undo', { params: { revision } })
        .then(refresh)
        .then(() => message.info(t`Undone: the values before are back.`))
        .catch((error: unknown) => message.error(messageOf(error)));
    };
    notification.open({
      key,
      title,
      actions: (
        <Button size="small" onClick={undo}>
          <Trans>Undo</Trans>
        </Button>
      ),
      placement: 'bottomRight',
      duration: 8,
    });
  };
}
