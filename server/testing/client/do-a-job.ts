import { EMPTY_JOB, fold, readEntry, type JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { isSigned, isCommandKind } from '@dusk-wren/core/command';
import { plainly } from '@dusk-wren/core/task';
import { plainHands } from '@dusk-wren/core/testing/plain-hands';
import { defaultValve, type Valve } from '@dusk-wren/core/valve';
import { ShopClient, type Command } from './shop-client';

/** A job end to end over HTTP, by the client that was made from the document: opened, worked, inspected, signed, fetched. */
const [base = '', pin = ''] = process.argv.slice(2);
const [technician, inspector] = [new ShopClient(base), new ShopClient(base)];
await technician.signIn('ada', pin);
await inspector.signIn('ivo', pin);

const valve: Valve = { ...defaultValve(), tag: 'CL-1' };
const job = await technician.openJob(JSON.parse(JSON.stringify(valve)), 'made by another program');
const stateNow = async (): Promise<JobState> =>
  must(fold((await technician.logOf(job)).map((entry) => must(readEntry(entry)))));

let state = EMPTY_JOB;
let sent = 0;
for (let round = 0; round < 400; round++) {
  state = await stateNow();
  const planned = must(plan(state));
  const inHand = planned?.inHand;
  if (!planned || !inHand) break;
  for (const { by, ...command } of plainly(inHand.task, plainHands(inHand.id, state, planned.valve))) {
    // Whoever did the work signs no certificate of it.
    const isInspected = by === 'inspector' || command.kind === 'sign-certificate';
    const whose = isInspected ? inspector : technician;
    const signs = isCommandKind(command.kind) && isSigned(command.kind);
    // Made by kind at run time: whether it is one of the document’s, the server says.
    const entries = await whose.enter(job, state.version, command as Command, signs ? pin : undefined);
    sent += 1;
    state = must(
      fold(
        entries.map((entry) => must(readEntry(entry))),
        state,
      ),
    );
  }
}
const pdf = Buffer.from(await technician.certificate(job));
process.stdout.write(
  JSON.stringify({
    job,
    sent,
    kinds: [...new Set((await technician.logOf(job)).map(({ kind }) => kind))],
    code: await technician.paperCode(job),
    paper: pdf.subarray(0, 5).toString(),
  }),
);
