import { answer } from './answer';

const { code, out, said } = await answer(process.argv.slice(2), process.stdin);
process.stdout.write(out);
process.stderr.write(said);
process.exitCode = code;
