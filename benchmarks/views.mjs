// How long what stands beside the ledger takes, for the ledger of 24 types on 12 bands with 5 elements, never the same question
// twice. On a running server:
//   node benchmarks/views.mjs [http://127.0.0.1:8080]
const server = process.argv[2] ?? 'http://127.0.0.1:8080';
const EACH = 15;

let lengthM = 30 + (Date.now() % 1000) / 1e6;

function comparison(more = {}) {
  return {
    radio: { powerW: 100 },
    run: [
      { kind: 'JOINT', connectorKey: 'n' },
      { kind: 'LINE', cableKey: 'rg-213', lengthM: (lengthM += 1e-3), candidate: true },
      { kind: 'JOINT', connectorKey: 'n' },
      { kind: 'LINE', cableKey: 'rg-58', lengthM: 2, candidate: more.sections === 2 || undefined },
      { kind: 'JOINT', connectorKey: 'n' },
    ],
    bands: Array.from({ length: 12 }, (_, i) => ({ frequencyMHz: 1.8 * 1.6 ** i, load: { swr: 2.5 } })),
    requirements: [{ kind: 'LEAST_PERCENT', percent: 50 }],
    ...more.asked,
  };
}

const VIEWS = {
  ledger: () => ['/api/comparisons', comparison()],
  reach: () => ['/api/comparisons', comparison({ asked: { reach: true } })],
  value: () => ['/api/comparisons', comparison({ asked: { value: { band: 8 } } })],
  confidence: () => ['/api/comparisons', comparison({ asked: { confidence: true } })],
  'how sure what stands is': () => ['/api/confidence', comparison()],
  changes: () => ['/api/comparisons/changes', { comparison: comparison(), rowId: 'rg-213', band: 8 }],
  mixes: () => ['/api/mixes', { comparison: comparison({ sections: 2 }) }],
};

async function once([path, body]) {
  const from = performance.now();
  const answer = await fetch(server + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${text}`);
  return performance.now() - from;
}

for (const round of ['warming up', 'measured']) {
  for (const [name, question] of Object.entries(VIEWS)) {
    const times = [];
    for (let i = 0; i < EACH; i++) times.push(await once(question()));
    times.sort((a, b) => a - b);
    if (round === 'measured')
      console.log(`${name}: median ${times[EACH >> 1].toFixed(0)} ms, slowest ${times.at(-1).toFixed(0)} ms`);
  }
}
