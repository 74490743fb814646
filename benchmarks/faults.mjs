// Saves plans over and over while the server and the database are killed with SIGKILL in turn, and counts what was
// acknowledged and what is there afterwards. On a data folder of its own:
//   node benchmarks/faults.mjs            (a thousand saves; SAVES=n for another number)
import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const saves = Number(process.env.SAVES ?? 1000);
const plans = 25;
const data = mkdtempSync(join(tmpdir(), 'eskiz-faults-'));
const port = 8096;
const address = `http://127.0.0.1:${port}/api/plans`;
const eskiz = fileURLToPath(new URL('../eskiz', import.meta.url));
const env = { ...process.env, ESKIZ_DATA: data, ESKIZ_PORT: `${port}` };
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

const run = (...args) =>
  new Promise((done, failed) =>
    execFile(eskiz, args, { env }, (error, out, err) =>
      error ? failed(new Error(err)) : done(out),
    ),
  );

async function send(method, url, body) {
  const answer = await fetch(url, {
    method,
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(20_000),
  });
  return { status: answer.status, json: await answer.json() };
}

const kills = { server: 0, database: 0 };
let finished = false;

function kill(what) {
  const file = what === 'server' ? 'server.pid' : 'cluster/postmaster.pid';
  const pid = Number(readFileSync(join(data, file), 'utf8').split('\n')[0]);
  process.kill(pid, 'SIGKILL');
  kills[what]++;
}

async function killAndRestart() {
  for (let i = 0; !finished; i++) {
    await sleep(4000 + 2000 * Math.random());
    if (finished) return;
    kill(i % 2 ? 'database' : 'server');
    await run('start', '--background');
  }
}

const state = Array.from({ length: plans }, () => ({
  id: crypto.randomUUID(),
  version: null,
  acknowledged: -1,
  attempted: -1,
}));
let acknowledged = 0;
let unanswered = 0;

/** One save; it is sent again until it is answered, as the front end does. */
async function save(plan, number) {
  const body = { site: 'faults', name: `save ${number}`, document: { schemaVersion: 1 } };
  plan.attempted = number;
  for (;;) {
    try {
      const answer =
        plan.version === null
          ? await send('POST', address, { id: plan.id, ...body })
          : await send('PUT', `${address}/${plan.id}`, { version: plan.version, ...body });
      if (answer.status === 200 || answer.status === 201) {
        plan.version = answer.json.version;
        plan.acknowledged = number;
        acknowledged++;
        return;
      }
      if (answer.status === 409 && answer.json.current.name === body.name) {
        plan.version = answer.json.current.version; // our own, its answer was lost
        continue;
      }
      if (answer.status !== 503)
        throw new Error(`answered ${answer.status}: ${answer.json.detail}`);
    } catch (error) {
      if (/answered/.test(error.message)) throw error;
    }
    unanswered++;
    await sleep(100);
  }
}

console.log(await run('start', '--background', '--no-demo'));
const killing = killAndRestart();
for (let n = 0; n < saves; n++) {
  await save(state[n % plans], n);
  await sleep(30);
}
finished = true;
await killing;
await run('start', '--background');

let lost = 0;
for (const plan of state.filter((p) => p.attempted >= 0)) {
  const there = await (await fetch(`${address}/${plan.id}`)).json();
  if (there.name !== `save ${plan.acknowledged}`) lost++;
}
await run('stop');
rmSync(data, { recursive: true, force: true });
console.log(
  `${saves} saves, ${acknowledged} acknowledged, ${kills.server} kills of the server, ${kills.database} of the database, ` +
    `${unanswered} tries without an answer; ${lost} lost`,
);
process.exit(lost === 0 && acknowledged >= saves ? 0 : 1);
