import { createInterface } from 'node:readline';
import { answerer, findOp, help } from './answer.ts';

/** The headless door: `npm run --silent calc -- OP < requests.jsonl > replies.jsonl`. */
async function main(args: readonly string[]): Promise<number> {
  const [name, flag] = args;
  if (name === undefined || name === '--help' || name === '-h') {
    process.stdout.write(help());
    return name === undefined ? 2 : 0;
  }
  const op = findOp(name);
  if (!op) {
    process.stderr.write(`There is no operation "${name}".\n\n${help()}`);
    return 2;
  }
  if (flag === '--schema') {
    process.stdout.write(`${JSON.stringify({ request: op.request, reply: op.reply }, null, 2)}\n`);
    return 0;
  }
  const answer = answerer(op);
  let allGood = true;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const { ok, reply } = answer(line);
    allGood &&= ok;
    if (!process.stdout.write(`${JSON.stringify(reply)}\n`))
      await new Promise((done) => process.stdout.once('drain', done));
  }
  return allGood ? 0 : 1;
}

process.exitCode = await main(process.argv.slice(2));
