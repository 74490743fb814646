// Median and slowest answer of the lists of a running server, and how large they are: called by the script beside it.
//   node benchmarks/scale.mjs http://127.0.0.1:8080 [times as much as before, for the heading]
const [server, times = '?'] = process.argv.slice(2);
const EACH = 9;
const LONGEST_MS = 60_000;

const ROUTES = {
  'plans, first part': '/api/plans?limit=60',
  'plans, searched': '/api/plans?limit=60&find=gallery+7',
  'plans, changed last': '/api/plans?limit=60&order=CHANGED_LAST_FIRST',
  'bench log, first part': '/api/bench/tests?limit=60',
  'bench log, searched': '/api/bench/tests?limit=60&find=2021-03',
  'bench log, one verdict': '/api/bench/tests?limit=60&outcome=WORSE',
  'locker, all of it': '/api/locker/pieces',
  'cable types': '/api/cable-types',
};

async function once(path) {
  const from = performance.now();
  const answer = await fetch(server + path, { signal: AbortSignal.timeout(LONGEST_MS) });
  const size = (await answer.arrayBuffer()).byteLength;
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
  return { ms: performance.now() - from, size };
}

console.log(`${times} times as much`);
for (const [name, path] of Object.entries(ROUTES)) {
  try {
    const first = await once(path);
    const all = [];
    for (let i = 0; i < (first.ms > 2000 ? 1 : EACH); i++) all.push(await once(path));
    all.sort((a, b) => a.ms - b.ms);
    const median = all[Math.floor((all.length - 1) / 2)];
    console.log(
      `  ${name}: first ${first.ms.toFixed(0)} ms, median ${median.ms.toFixed(0)} ms, ${(median.size / 1000).toFixed(0)} kB`,
    );
  } catch (e) {
    console.log(`  ${name}: ${e.message}`);
  }
}
