import {
  instrumentReadingsView,
  type DriverSettings,
  setupInstrument,
  setupInstrumentsView,
  type InstrumentReadings,
  type SetupInstrument,
} from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { z } from 'zod';
import { call, callForNothing } from '../api/client';
import { useTrying } from '../stores/trying';
import { usePreferences } from '../stores/preferences';

const answered = z.object({ instrument: setupInstrument });

/** What of an instrument may be changed. */
export interface InstrumentChange {
  readonly name?: string;
  readonly serial?: string;
  readonly reach?: string;
  readonly resolution?: string;
  readonly driver?: string;
  readonly settings?: DriverSettings;
  readonly retired?: boolean;
}

export interface NewInstrument extends Required<Omit<InstrumentChange, 'retired' | 'settings'>> {
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
  const { wrong, done } = useTrying();

  const post = (path: string, body: object) =>
    done(async () => {
      await call(`/setup/instruments${path}`, answered, { method: 'POST', body });
      await refetch();
    });
  const add = (asked: NewInstrument) => post('', asked);
  const change = (id: string, asked: InstrumentChange) => post(`/${id}/change`, asked);
  const calibrate = (id: string, asked: Calibrated) => post(`/${id}/calibrations`, asked);
  /** Attaches the certificate of a calibration. */
  const attach = (id: string, calibration: number, file: File) =>
    done(async () => {
      const name = encodeURIComponent(file.name.slice(-120));
      await callForNothing(`/setup/instruments/${id}/calibrations/${calibration}/certificate?name=${name}`, {
        method: 'PUT',
        body: file,
      });
      await refetch();
    });
  const readings = (id: string): Promise<InstrumentReadings> =>
    call(`/setup/instruments/${id}/readings?units=${preferences.units}`, instrumentReadingsView);
  return { instruments, drivers, wrong, refetch, add, change, calibrate, attach, readings };
}
