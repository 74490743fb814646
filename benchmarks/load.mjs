// Operators at work, thinking as people do: they look for a plan, open it, change its length a few times, look into the locker,
// store a plan of their own. On a running server with the demo:
//   node benchmarks/load.mjs [http://127.0.0.1:8080] [operators, 50] [minutes, 5]
const [server = 'http://127.0.0.1:8080', operators = '50', minutes = '5'] = process.argv.slice(2);
const until = performance.now() + Number(minutes) * 60_000;
const THINK_MS = [400, 2400];
const times = {};
const failures = [];

const pause = () =>
  new Promise((done) => setTimeout(done, THINK_MS[0] + Math.random() * (THINK_MS[1] - THINK_MS[0])));

async function ask(what, path, body, method = body ? 'POST' : 'GET') {
  const from = performance.now();
  try {
    const answer = await fetch(server + path, {
      method,
      headers: body ? { 'Content-Type': 'application/json' } : {},
      body: body && JSON.stringify(body),
    });
    const text = await answer.text();
    (times[what] ??= []).push(performance.now() - from);
    if (!answer.ok) failures.push(`${what}: ${answer.status} ${text.slice(0, 200)}`);
    return answer.ok && text ? JSON.parse(text) : null;
  } catch (e) {
    failures.push(`${what}: ${e.message}`);
    return null;
  }
}

function ofLength(document, lengthM) {
  const run = document.assessment.run.map((e) => (e.kind === 'LINE' && e.candidate ? { ...e, lengthM } : e));
  return { ...document, assessment: { ...document.assessment, run } };
}

async function operator(number) {
  let own = null;
  while (performance.now() < until) {
    const plans = await ask('plans', '/api/plans?limit=60&demo=true');
    await pause();
    const one = plans?.[number % plans.length];
    const plan = one && (await ask('open a plan', `/api/plans/${one.id}`));
    for (let key = 0; plan && key < 6 && performance.now() < until; key++) {
      const document = ofLength(plan.document, 10 + Math.round(Math.random() * 5000) / 100);
      const { assessment, requirements, purchase } = document;
      await ask('ledger', '/api/comparisons', { ...assessment, requirements, purchase, wholeCatalogue: true });
      await pause();
    }
    await ask('locker', '/api/locker/pieces?limit=60&order=URGENCY');
    await pause();
    if (!plan) continue;
    if (own === null) {
      own = { id: crypto.randomUUID(), version: 0 };
      const body = { id: own.id, site: 'Load', name: `of operator ${number}`, document: plan.document };
      await ask('store', '/api/plans', body);
    } else {
      const body = { version: own.version, site: 'Load', name: `of operator ${number}`, document: ofLength(plan.document, 10 + own.version) };
      const saved = await ask('store', `/api/plans/${own.id}`, body, 'PUT');
      own.version = saved?.version ?? own.version;
    }
    await pause();
  }
  if (own) await ask('put away', `/api/plans/${own.id}`, undefined, 'DELETE');
}

await Promise.all(Array.from({ length: Number(operators) }, (_, i) => operator(i)));

const all = Object.values(times).flat();
for (const [what, some] of [...Object.entries(times), ['everything', all]]) {
  some.sort((a, b) => a - b);
  const at = (share) => some[Math.floor(share * (some.length - 1))].toFixed(0);
  console.log(`${what}: ${some.length} times, median ${at(0.5)} ms, 95 % ${at(0.95)} ms, slowest ${at(1)} ms`);
}
console.log(`${failures.length} failed${failures.length ? `, the first: ${failures[0]}` : ''}`);
