import { setupBackupsView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';

/** How the shop is backed up, and one more on demand; what went wrong, in words. */
export function useSetupBackups() {
  const { data, refetch } = useQuery({
    key: () => ['setup-backups'],
    query: () => call('/setup/backups', setupBackupsView),
  });
  const { wrong, busy: isTaking, trying } = useTrying();

  async function take(): Promise<void> {
    await trying(() => call('/setup/backups', setupBackupsView, { method: 'POST', body: {} }));
    await refetch();
  }
  return { view: data, wrong, isTaking, take };
}
