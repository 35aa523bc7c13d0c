import createClient from 'openapi-fetch';
import type { components, paths } from '../../../.data/client/api';

type Schemas = components['schemas'];
export type Command = Schemas['Command'];
export type Entry = Schemas['Entry'];

/** Another program: it knows the document and nothing else of this server. */
export class ShopClient {
  private readonly api;
  private cookie = '';
  private csrf = '';
  private person = '';

  constructor(base: string) {
    this.api = createClient<paths>({ baseUrl: `${base}/api` });
    this.api.use({
      onRequest: ({ request }) => {
        if (this.cookie) request.headers.set('cookie', this.cookie);
        return request;
      },
      onResponse: ({ response }) => {
        const kept = new Map(this.cookie.split('; ').map((each) => [each.split('=')[0], each]));
        for (const set of response.headers.getSetCookie())
          kept.set(set.split('=')[0], set.split(';')[0] ?? '');
        this.cookie = [...kept.values()].filter(Boolean).join('; ');
      },
    });
  }

  private get writes() {
    return { 'x-csrf-token': this.csrf, 'x-person': this.person };
  }

  async signIn(name: string, pin: string): Promise<void> {
    const { data: begun } = await this.api.GET('/session');
    this.csrf = begun?.csrf ?? '';
    const { data: here } = await this.api.GET('/people');
    const who = here?.people.find((each) => each.name === name);
    if (!who) throw new Error(`${name} is not here`);
    const { data, error } = await this.api.POST('/session', {
      params: { header: { 'x-csrf-token': this.csrf } },
      body: { personId: who.id, pin },
    });
    if (!data) throw new Error(error.text);
    [this.csrf, this.person] = [data.csrf, who.id];
  }

  async openJob(valve: Schemas['Valve'], reported: string): Promise<string> {
    const { data, error } = await this.api.POST('/jobs', {
      params: { header: this.writes },
      body: { commandId: crypto.randomUUID(), valve: { new: valve }, place: 'bare', reported },
    });
    if (!data) throw new Error(error.text);
    return data.id;
  }

  async logOf(id: string): Promise<readonly Entry[]> {
    const { data, error } = await this.api.GET('/jobs/{id}', { params: { path: { id } } });
    if (!data) throw new Error(error.text);
    return data.entries;
  }

  /** Enters a command, with the PIN where it is a signature; answers with what it caused. */
  async enter(id: string, baseVersion: number, command: Command, pin?: string): Promise<readonly Entry[]> {
    const commandId = crypto.randomUUID();
    const confirmation = pin === undefined ? undefined : await this.confirmed(commandId, pin);
    const { data, error } = await this.api.POST('/jobs/{id}/commands', {
      params: { path: { id }, header: this.writes },
      body: { baseVersion, commandId, command, ...(confirmation === undefined ? {} : { confirmation }) },
    });
    if (!data) throw new Error('missed' in error ? 'the job has grown' : error.text);
    return data.entries;
  }
  private async confirmed(commandId: string, pin: string): Promise<string> {
    const { data, error } = await this.api.POST('/confirmations', {
      params: { header: this.writes },
      body: { commandId, pin },
    });
    if (!data) throw new Error(error.text);
    return data.confirmation;
  }

  async certificate(id: string): Promise<ArrayBuffer> {
    const { data, error } = await this.api.GET('/jobs/{id}/certificate.pdf', {
      params: { path: { id } },
      parseAs: 'arrayBuffer',
    });
    if (!data) throw new Error(error.text);
    return data;
  }

  async paperCode(id: string): Promise<string | null> {
    const { data, error } = await this.api.GET('/jobs/{id}/paper-code', { params: { path: { id } } });
    if (!data) throw new Error(error.text);
    return data.code;
  }
}
