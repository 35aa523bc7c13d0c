import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { z } from 'zod';
import { useGaugeLines } from './gauge-lines';

/** As much of the browser’s serial ports (Web Serial, WICG) as is used here. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}
interface Serial {
  requestPort(): Promise<SerialPort>;
}
const serial = (): Serial | undefined => (navigator as Navigator & { readonly serial?: Serial }).serial;

/** Whether this browser has serial ports at all; Chromium has them, over https or on its own machine. */
export const canListen = (): boolean => serial() !== undefined;

const SPEEDS = [1200, 2400, 4800, 9600, 19_200, 38_400, 57_600, 115_200];
/** More than a gauge sends without ending its line. */
const MOST_UNENDED = 500;

/** The lines in pieces of text that come as they come; what is not ended yet is kept for the next piece. */
export function linesIn(
  kept: string,
  piece: string,
): { readonly lines: readonly string[]; readonly kept: string } {
  const parts = (kept + piece).split(/\r\n|\r|\n/);
  const rest = parts.pop() ?? '';
  return { lines: parts.filter((line) => line.trim() !== ''), kept: rest.slice(-MOST_UNENDED) };
}

/** A gauge that sends its readings over a serial line of this computer. */
export const useGaugePort = defineStore('gauge port', () => {
  const gauges = useGaugeLines();
  const speed = useLocalStorage('dusk-wren.gauge-speed', 9600, {
    serializer: { read: (text) => z.coerce.number().catch(9600).parse(text), write: String },
  });
  const isOpen = ref(false);
  const wrong = ref('');
  let leave: (() => Promise<void>) | undefined;

  async function open(): Promise<void> {
    wrong.value = '';
    try {
      const port = await serial()?.requestPort();
      if (!port) return;
      await port.open({ baudRate: speed.value });
      isOpen.value = true;
      await listen(port);
    } catch (error) {
      // Whoever closes the list of ports without choosing one has not asked for any.
      if (!(error instanceof DOMException && error.name === 'NotFoundError'))
        wrong.value =
          'The line of the gauge cannot be read: is it plugged in, and nothing else listening to it?';
    } finally {
      isOpen.value = false;
    }
  }
  async function listen(port: SerialPort): Promise<void> {
    const reader = port.readable?.getReader();
    if (!reader) return;
    leave = () => reader.cancel();
    const text = new TextDecoder();
    let kept = '';
    try {
      for (;;) {
        const { value, done } = await reader.read();
        if (done) return;
        const found = linesIn(kept, text.decode(value, { stream: true }));
        kept = found.kept;
        for (const line of found.lines) gauges.sent(line);
      }
    } finally {
      leave = undefined;
      reader.releaseLock();
      await port.close().catch(() => undefined);
    }
  }
  const shut = () => leave?.();
  return { speed, speeds: SPEEDS, isOpen, wrong, open, shut };
});
