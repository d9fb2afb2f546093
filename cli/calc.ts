import { createInterface } from 'node:readline';
import { loadOp } from '../ops/one.ts';
import { answerer, help, laterAnswerer } from './answer.ts';

/** The headless door: `npm run --silent calc -- OP < requests.jsonl > replies.jsonl`. */
const STATUS = { good: 0, refused: 1, usage: 2, output: 3 } as const;

/** Replies are handed over at the latest when so many characters wait. */
const TOGETHER = 60_000;

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

const allOps = async () => (await import('../ops/index.ts')).OPS;

async function main(args: readonly string[]): Promise<number> {
  const [name, flag] = args;
  if (name === undefined || name === '--help' || name === '-h') {
    await put(help(await allOps()));
    return name === undefined ? STATUS.usage : STATUS.good;
  }
  const op = await loadOp(name);
  if (!op) {
    process.stderr.write(`There is no operation "${name}".\n\n${help(await allOps())}`);
    return STATUS.usage;
  }
  if (flag === '--schema') {
    await put(`${JSON.stringify({ request: op.request, reply: op.reply }, null, 2)}\n`);
    return STATUS.good;
  }
  const answer = op.later ? laterAnswerer(op) : answerer(op);
  let allGood = true;
  // lines that arrive together are answered together: a write each would cost more than the answer
  let waiting = '';
  let soon: NodeJS.Immediate | null = null;
  const flush = (): Promise<void> => {
    if (soon) clearImmediate(soon);
    soon = null;
    const text = waiting;
    waiting = '';
    return text === '' ? Promise.resolve() : put(text);
  };
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (outputGone) break;
    if (line.trim() === '') continue;
    const given = answer(line);
    // most are answered at once: a line waits for a file alone
    const { ok, reply } = given instanceof Promise ? await given : given;
    allGood &&= ok;
    waiting += `${JSON.stringify(reply)}\n`;
    if (waiting.length > TOGETHER) await flush();
    else soon ??= setImmediate(() => void flush());
  }
  await flush();
  return allGood ? STATUS.good : STATUS.refused;
}

const status = await main(process.argv.slice(2));
if (!outputGone) process.exitCode = status;
