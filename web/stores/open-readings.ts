import { readingMessage, type ReadingMessage } from '@dusk-wren/contract';
import { gathered } from './gathered';

/** What listens to a stream of readings, which ends by itself or with the connection. */
export interface Listener {
  readonly onReading: (reading: ReadingMessage) => void;
  readonly onEnd: () => void;
}

/** Listens to the readings at an address until what it answers with is called. */
export function openReadings(address: string, { onReading, onEnd }: Listener): () => void {
  const stream = new EventSource(address);
  let isOpen = true;
  const heard = gathered<ReadingMessage>((readings) => {
    for (const reading of readings) if (isOpen) onReading(reading);
  });
  const close = () => {
    isOpen = false;
    stream.close();
  };
  const end = () => {
    heard.hand();
    close();
    onEnd();
  };
  stream.onmessage = (event) => {
    const data: unknown = JSON.parse(String(event.data));
    const message = readingMessage.safeParse(data);
    if (message.success) heard.add(message.data);
    else end();
  };
  stream.onerror = end;
  return close;
}
