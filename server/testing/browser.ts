import { sessionView } from '@dusk-wren/contract';
import { PIN } from './shop';

/** A signed-in browser's stand-in that reaches a server over the network, as pages do. */
export class Browser {
  private constructor(
    readonly url: string,
    private readonly headers: Record<string, string>,
  ) {}

  static async open(url: string, personId: string): Promise<Browser> {
    const first = await fetch(`${url}/api/session`);
    const anonymous = headersFrom(first, sessionView.parse(await first.json()).csrf);
    const signed = await fetch(`${url}/api/session`, {
      method: 'POST',
      headers: anonymous,
      body: JSON.stringify({ personId, pin: PIN }),
    });
    const headers = headersFrom(signed, sessionView.parse(await signed.json()).csrf);
    return new Browser(url, { ...headers, 'x-person': personId });
  }

  /** The same person's session by another way. */
  by(url: string): Browser {
    return new Browser(url, this.headers);
  }

  get(path: string, signal?: AbortSignal): Promise<Response> {
    return fetch(`${this.url}${path}`, { headers: this.headers, signal: signal ?? null });
  }

  post(path: string, body: unknown): Promise<Response> {
    return fetch(`${this.url}${path}`, {
      method: 'POST',
      headers: this.headers,
      body: JSON.stringify(body),
    });
  }

  command(job: string, baseVersion: number, command: object, commandId: string): Promise<Response> {
    return this.post(`/api/jobs/${job}/commands`, { baseVersion, commandId, command });
  }
}

function headersFrom(response: Response, csrf: string): Record<string, string> {
  const cookie = response.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
  return { cookie, 'x-csrf-token': csrf, 'content-type': 'application/json' };
}
