import { createInterface } from 'node:readline';
import { answerer, findOp, help } from './answer.ts';

/** The headless door: `npm run --silent calc -- OP < requests.jsonl > replies.jsonl`. */
const STATUS = { good: 0, refused: 1, usage: 2, output: 3 } as const;

/** Set when nobody reads the replies any more, or the device that takes them is full. */
let outputGone = false;
process.stdout.on('error', (e: NodeJS.ErrnoException) => {
  outputGone = true;
  // a reader that stopped reading (`| head`) is no fault; a full device loses replies
  process.exitCode = e.code === 'EPIPE' ? STATUS.good : STATUS.output;
  if (e.code !== 'EPIPE') process.stderr.write(`the replies could not be written: ${e.code ?? e.message}\n`);
  process.stdin.destroy();
});

const put = (text: string): Promise<void> =>
  new Promise((done) => {
    if (outputGone) done();
    else process.stdout.write(text, () => done());
  });

async function main(args: readonly string[]): Promise<number> {
  const [name, flag] = args;
  if (name === undefined || name === '--help' || name === '-h') {
    await put(help());
    return name === undefined ? STATUS.usage : STATUS.good;
  }
  const op = findOp(name);
  if (!op) {
    process.stderr.write(`There is no operation "${name}".\n\n${help()}`);
    return STATUS.usage;
  }
  if (flag === '--schema') {
    await put(`${JSON.stringify({ request: op.request, reply: op.reply }, null, 2)}\n`);
    return STATUS.good;
  }
  const answer = answerer(op);
  let allGood = true;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (outputGone) break;
    if (line.trim() === '') continue;
    const { ok, reply } = answer(line);
    allGood &&= ok;
    await put(`${JSON.stringify(reply)}\n`);
  }
  return allGood ? STATUS.good : STATUS.refused;
}

const status = await main(process.argv.slice(2));
if (!outputGone) process.exitCode = status;
