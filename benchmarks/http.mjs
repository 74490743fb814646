// The ledger of 24 types on 12 bands with 5 elements over HTTP, a new one each time and the same again, at 1, 8 and 32 clients,
// beside an empty answer of the same server. On a running server:
//   node benchmarks/http.mjs [http://127.0.0.1:8080]
const server = process.argv[2] ?? 'http://127.0.0.1:8080';
const bands = Array.from({ length: 12 }, (_, i) => ({
  frequencyMHz: 1.8 * 1.6 ** i,
  load: { swr: 2.5 },
}));
const run = [
  { kind: 'JOINT', connectorKey: 'n' },
  { kind: 'LINE', cableKey: 'rg-213', lengthM: 31, candidate: true },
  { kind: 'JOINT', connectorKey: 'n' },
  { kind: 'LINE', cableKey: 'rg-58', lengthM: 2 },
  { kind: 'JOINT', connectorKey: 'n' },
];
const question = (lengthM) =>
  JSON.stringify({
    radio: { powerW: 100 },
    run: run.map((element) => (element.candidate ? { ...element, lengthM } : element)),
    bands,
    requirements: [{ kind: 'LEAST_PERCENT', percent: 50 }],
  });

const asked = (body) =>
  fetch(`${server}/api/comparisons`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  });
let length = 20 + (Date.now() % 1000) / 1e6;
/** As while somebody types: never the same twice. */
const ledger = () => asked(question((length += 1e-3)));
/** As when a plan is opened that somebody had open. */
const again = () => asked(question(31));
const empty = () => fetch(`${server}/actuator/health/liveness`);

let refused = 0;

async function once(ask) {
  const from = performance.now();
  const answer = await ask();
  await answer.arrayBuffer();
  if (answer.status === 429) { refused++; return once(ask); }
  if (!answer.ok) throw new Error(`answered ${answer.status}`);
  return performance.now() - from;
}

async function measure(name, ask, clients, each) {
  const times = [];
  const from = performance.now();
  await Promise.all(
    Array.from({ length: clients }, async () => {
      for (let i = 0; i < each; i++) times.push(await once(ask));
    }),
  );
  const seconds = (performance.now() - from) / 1000;
  times.sort((a, b) => a - b);
  const at = (share) => times[Math.floor(share * (times.length - 1))].toFixed(1);
  console.log(
    `${name}, ${clients} clients: median ${at(0.5)} ms, 95 % ${at(0.95)} ms, ${(times.length / seconds).toFixed(0)} a second`,
  );
  return Number(at(0.5));
}

// the compiler of the server goes on for some thousand ledgers
await measure('warming up', ledger, 2, 1500);
for (const clients of [1, 8, 32]) {
  const least = await measure('empty answer', empty, clients, Math.ceil(400 / clients));
  for (const [name, ask] of [['new', ledger], ['asked before', again]]) {
    const whole = await measure(`ledger 24 x 12 x 5, ${name}`, ask, clients, Math.ceil(400 / clients));
    console.log(`  ${(whole / least).toFixed(1)} times an empty answer`);
  }
}
if (refused > 0) console.log(`${refused} were refused for being too many at once, and asked again`);
