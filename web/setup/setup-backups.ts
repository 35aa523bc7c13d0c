import { setupBackupsView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { ref } from 'vue';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';

/** How the shop is backed up, and one more on demand; what went wrong, in words. */
export function useSetupBackups() {
  const { data, refetch } = useQuery({
    key: () => ['setup-backups'],
    query: () => call('/setup/backups', setupBackupsView),
  });
  const wrong = ref('');
  const isTaking = ref(false);

  async function take(): Promise<void> {
    [wrong.value, isTaking.value] = ['', true];
    try {
      await call('/setup/backups', setupBackupsView, { method: 'POST', body: {} });
    } catch (error) {
      wrong.value = faultOf(error);
    } finally {
      isTaking.value = false;
    }
    await refetch();
  }
  return { view: data, wrong, isTaking, take };
}
