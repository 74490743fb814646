// Median and slowest answer of the lists of a running server, and how large they are: called by the script beside it.
//   node benchmarks/scale.mjs http://127.0.0.1:8080 [times as much as before, for the heading]
const [server, times = '?'] = process.argv.slice(2);
const EACH = 9;
const LONGEST_MS = 60_000;

const LEDGER = {
  radio: { powerW: 100 },
  bands: [{ name: '2 m', frequencyMHz: 145, load: { swr: 1.5 } }, { name: '70 cm', frequencyMHz: 435, load: { swr: 1.5 } }],
  run: [
    { kind: 'JOINT', connectorKey: 'n' },
    { kind: 'LINE', cableKey: 'rg-58', lengthM: 20, candidate: true },
    { kind: 'JOINT', connectorKey: 'n' },
  ],
  requirements: [{ kind: 'LEAST_PERCENT', percent: 50 }],
};

const END = { connectorKey: 'n', gender: 'SOCKET' };

/** Paths that are got, and what is posted. */
const ROUTES = {
  'plans, first part': ['/api/plans?limit=60'],
  'plans, searched': ['/api/plans?limit=60&find=gallery+7'],
  'plans, changed last': ['/api/plans?limit=60&order=CHANGED_LAST_FIRST'],
  'bench log, first part': ['/api/bench/tests?limit=60'],
  'bench log, searched': ['/api/bench/tests?limit=60&find=2021-03'],
  'bench log, one verdict': ['/api/bench/tests?limit=60&outcome=WORSE'],
  'locker, first part': ['/api/locker/pieces?limit=60&order=URGENCY'],
  'locker, searched': ['/api/locker/pieces?limit=60&order=URGENCY&find=quay+7'],
  'locker, as a whole': ['/api/locker/overview'],
  'days of testing': ['/api/locker/due.ics'],
  'kit search': ['/api/locker/kit-searches', { comparison: LEDGER, lengthM: 20, mostPieces: 3, radio: END, antenna: END }],
  'cable types': ['/api/cable-types'],
  'ledger of two bands': ['/api/comparisons', LEDGER],
  'effects of a changed cable': [
    '/api/plans/effects',
    { key: 'rg-213', cable: { impedanceOhm: 50, velocityFactor: 0.66, attenuation: { points: [{ frequencyMHz: 100, attenuationDbPer100m: 9 }] } } },
  ],
};

async function once([path, body]) {
  const from = performance.now();
  const posted = body && { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const answer = await fetch(server + path, { ...posted, signal: AbortSignal.timeout(LONGEST_MS) });
  const size = (await answer.arrayBuffer()).byteLength;
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
  return { ms: performance.now() - from, size };
}

console.log(`${times} times as much`);
for (const [name, route] of Object.entries(ROUTES)) {
  try {
    const first = await once(route);
    const all = [];
    for (let i = 0; i < (first.ms > 2000 ? 1 : EACH); i++) all.push(await once(route));
    all.sort((a, b) => a.ms - b.ms);
    const median = all[Math.floor((all.length - 1) / 2)];
    console.log(
      `  ${name}: first ${first.ms.toFixed(0)} ms, median ${median.ms.toFixed(0)} ms, ${(median.size / 1000).toFixed(0)} kB`,
    );
  } catch (e) {
    console.log(`  ${name}: ${e.message}`);
  }
}
