import { problemBody, sessionView, type AnyProblem } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { z } from 'zod';

/** A refusal from the server, already in words. */
export class ApiProblem extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly status: number,
    /** What the server said no with, still to be parsed. */
    readonly details?: unknown,
  ) {
    super(message);
  }

  /** No answer came at all. */
  get isLost(): boolean {
    return this.status === 0;
  }

  /** No answer, or none that the server decided on: worth going on from what this device kept. */
  get isAway(): boolean {
    return this.isLost || this.status >= 500;
  }

  /** Whoever asked is not, or no longer, signed in here as who they were. */
  get isAboutSignIn(): boolean {
    return this.status === 401 || this.code === 'csrf.missing' || this.code === 'person.other';
  }

  /** The server looked at what was asked and said no: asked again, it would say the same. */
  get isDecision(): boolean {
    return DECISIONS.includes(this.status) && this.code !== 'answer.unreadable' && !this.isAboutSignIn;
  }
}

const DECISIONS: readonly number[] = [400, 403, 404, 409, 415, 422];
const LOST: AnyProblem = { code: 'connection.lost' };

let csrf = '';
let personHere = '';
/** What goes with every write: the session's token, and who this page takes to be signed in. */
export function rememberSession(token: string, personId: string | undefined): void {
  csrf = token;
  personHere = personId ?? '';
}

interface Call {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  body?: unknown;
  /** Whose write it is, where it was made by whoever was here before. */
  person?: string;
}

/** The raw answer of a call; a lost connection is an `ApiProblem` like any other. */
async function answer(path: string, call: Call): Promise<Response> {
  const response = await send(path, call);
  // Signed out a moment ago, or in another window: the token is another one by now; whose write it is, the server looks at.
  if (response.status !== 403 || !(await isOldToken(response)) || !(await renewToken())) return response;
  return send(path, call);
}

const isOldToken = async (response: Response): Promise<boolean> =>
  problemBody.safeParse(
    await response
      .clone()
      .json()
      .catch(() => undefined),
  ).data?.problem.code === 'csrf.missing';

async function renewToken(): Promise<boolean> {
  const read = sessionView.safeParse(await (await send('/session', {})).json().catch(() => undefined));
  if (read.success) csrf = read.data.csrf;
  return read.success;
}

async function send(path: string, { method = 'GET', body, person = personHere }: Call): Promise<Response> {
  try {
    return await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      headers: {
        ...(body === undefined
          ? {}
          : { 'content-type': body instanceof Blob ? body.type : 'application/json' }),
        ...(method === 'GET' ? {} : { 'x-csrf-token': csrf, 'x-person': person }),
      },
      ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
    });
  } catch {
    throw new ApiProblem(LOST.code, wordProblem(LOST), 0);
  }
}

async function refusal(response: Response): Promise<ApiProblem> {
  const read = problemBody.safeParse(await response.json().catch(() => undefined));
  if (read.success)
    return new ApiProblem(read.data.problem.code, read.data.text, response.status, read.data.problem);
  // Something between here and the server gave it.
  const problem: AnyProblem = { code: 'answer.unreadable', status: response.status };
  return new ApiProblem(problem.code, wordProblem(problem), response.status);
}

/** Calls the server and reads its answer with the contract's schema. */
export async function call<S extends z.ZodType>(
  path: string,
  schema: S,
  options: Call = {},
): Promise<z.output<S>> {
  const response = await answer(path, options);
  if (!response.ok) throw await refusal(response);
  return schema.parse(await response.json());
}

/** A write whose 409 carries an answer of its own. */
export async function callOr409<A extends z.ZodType, B extends z.ZodType>(
  path: string,
  taken: A,
  stale: B,
  options: Call,
): Promise<{ taken: z.output<A> } | { stale: z.output<B> }> {
  const response = await answer(path, options);
  if (response.ok) return { taken: taken.parse(await response.json()) };
  if (response.status === 409) {
    const read = stale.safeParse(
      await response
        .clone()
        .json()
        .catch(() => undefined),
    );
    if (read.success) return { stale: read.data };
  }
  throw await refusal(response);
}

export async function callForNothing(path: string, options: Call): Promise<void> {
  const response = await answer(path, options);
  if (!response.ok) throw await refusal(response);
}

/** A file as it is kept. */
export async function callForBytes(path: string): Promise<Uint8Array> {
  const response = await answer(path, {});
  if (!response.ok) throw await refusal(response);
  return new Uint8Array(await response.arrayBuffer());
}
