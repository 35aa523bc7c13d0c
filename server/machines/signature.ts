import { createHmac } from 'node:crypto';

/** What goes with a call so that whoever gets it knows whose it is, and that it is the same one again. */
export interface CallHeaders {
  readonly 'webhook-id': string;
  readonly 'webhook-timestamp': string;
  readonly 'webhook-signature': string;
}

/**
 * Signs a call with the secret of its address (base64): HMAC-SHA256 over id, time in seconds and body, as the open
 * specification *Standard Webhooks* 1.0 has it.
 */
export function signed(secret: string, id: string, at: Date, body: string): CallHeaders {
  const seconds = String(Math.floor(at.getTime() / 1000));
  const key = Buffer.from(secret, 'base64');
  const signature = createHmac('sha256', key).update(`${id}.${seconds}.${body}`).digest('base64');
  return { 'webhook-id': id, 'webhook-timestamp': seconds, 'webhook-signature': `v1,${signature}` };
}
