import {
  instrumentReadingsView,
  setupInstrument,
  setupInstrumentsView,
  type InstrumentReadings,
  type SetupInstrument,
} from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { call, callForNothing } from '../api/client';
import { faultOf } from '../stores/fault';
import { usePreferences } from '../stores/preferences';

const answered = z.object({ instrument: setupInstrument });

/** What of an instrument may be changed. */
export interface InstrumentChange {
  readonly name?: string;
  readonly serial?: string;
  readonly reach?: string;
  readonly resolution?: string;
  readonly driver?: string;
  readonly retired?: boolean;
}

export interface NewInstrument extends Required<Omit<InstrumentChange, 'retired'>> {
  readonly kind: InstrumentKind;
  readonly calibrationDue: string;
}

export interface Calibrated {
  readonly day: string;
  readonly due: string;
  readonly foundOffPercent: number;
  readonly leftOffPercent: number;
  readonly certificate: string;
}

/** The register of instruments, as a lead keeps it; what was refused, in words. */
export function useSetupInstruments() {
  const preferences = usePreferences();
  const { data, refetch } = useQuery({
    key: () => ['setup-instruments'],
    query: () => call('/setup/instruments', setupInstrumentsView),
  });
  const instruments = computed<readonly SetupInstrument[]>(() => data.value?.instruments ?? []);
  const drivers = computed(() => data.value?.drivers ?? []);
  const wrong = ref('');

  async function doing(path: string, body: object): Promise<boolean> {
    wrong.value = '';
    try {
      await call(`/setup/instruments${path}`, answered, { method: 'POST', body });
      await refetch();
      return true;
    } catch (error) {
      wrong.value = faultOf(error);
      return false;
    }
  }
  const add = (asked: NewInstrument) => doing('', asked);
  const change = (id: string, asked: InstrumentChange) => doing(`/${id}/change`, asked);
  const calibrate = (id: string, asked: Calibrated) => doing(`/${id}/calibrations`, asked);
  /** Attaches the certificate of a calibration. */
  async function attach(id: string, calibration: number, file: File): Promise<void> {
    wrong.value = '';
    const name = encodeURIComponent(file.name.slice(-120));
    try {
      await callForNothing(`/setup/instruments/${id}/calibrations/${calibration}/certificate?name=${name}`, {
        method: 'PUT',
        body: file,
      });
      await refetch();
    } catch (error) {
      wrong.value = faultOf(error);
    }
  }
  const readings = (id: string): Promise<InstrumentReadings> =>
    call(`/setup/instruments/${id}/readings?units=${preferences.units}`, instrumentReadingsView);
  return { instruments, drivers, wrong, refetch, add, change, calibrate, attach, readings };
}
