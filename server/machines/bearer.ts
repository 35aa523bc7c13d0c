import { OPERATIONS } from '@dusk-wren/contract/open-api';
import type { MachineScope } from '@dusk-wren/contract';
import type { Request, RequestHandler } from 'express';
import { machineWith, type Machine } from '../database/machine-tokens';
import { Refusal } from '../refusal';

declare module 'express-serve-static-core' {
  interface Request {
    /** The machine whose token this request carries. */
    machine?: Machine;
  }
}

/** What a machine may ask, by method and the shape of the path: whatever is not here, none may. */
const MAY: readonly { readonly method: string; readonly shape: RegExp; readonly scope: MachineScope }[] =
  OPERATIONS.flatMap(({ method, path, scope }) =>
    scope === undefined
      ? []
      : [
          {
            method: method.toUpperCase(),
            shape: new RegExp(`^${path.replaceAll('.', '\\.').replaceAll(/\{\w+\}/g, '[^/]+')}/?$`),
            scope,
          },
        ],
  );

const scopeFor = ({ method, path }: Request): MachineScope | undefined =>
  MAY.find((may) => may.method === (method === 'HEAD' ? 'GET' : method) && may.shape.test(path))?.scope;

/**
 * A request that comes with a token is a machine’s: it is let to what its scopes say and to nothing else, whoever may be
 * signed in besides.
 */
export function machines(now: () => Date): RequestHandler {
  return async (request, _response, next) => {
    const sent = request.get('authorization');
    if (sent === undefined) return next();
    const [, token] = /^Bearer ([\w-]{10,100})$/.exec(sent) ?? [];
    const machine = token === undefined ? undefined : await machineWith(token, now());
    if (!machine) throw new Refusal({ code: 'token.wrong' });
    const scope = scopeFor(request);
    if (scope === undefined || !machine.scopes.includes(scope))
      throw new Refusal({ code: 'token.scope', wants: scope ?? '' });
    request.machine = machine;
    next();
  };
}

/** What asks for a session, a token of it, or a person, asks that of people alone. */
export const forPeople =
  (handler: RequestHandler): RequestHandler =>
  (request, response, next) =>
    request.machine ? next() : handler(request, response, next);

/** The machine that asks; a person is not one. */
export function machineOf({ machine }: Request): Machine {
  if (!machine) throw new Refusal({ code: 'token.scope', wants: 'of a machine' });
  return machine;
}
