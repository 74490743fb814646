// Operators at work, thinking as people do: they look for a plan, open it, change its length a few times, look into the locker,
// store a plan of their own. On a running server with the demo:
//   node benchmarks/load.mjs [http://127.0.0.1:8080] [operators, 50] [minutes, 5]
// With a keeper's link (./eskiz open) each of them comes in first, as a member of the workshop:
//   LINK=https://localhost:8443/come-in#… NODE_TLS_REJECT_UNAUTHORIZED=0 node benchmarks/load.mjs https://localhost:8443
const [server = 'http://127.0.0.1:8080', operators = '50', minutes = '5'] = process.argv.slice(2);
const THINK_MS = [400, 2400];
const times = {};
const failures = [];

const pause = () =>
  new Promise((done) => setTimeout(done, THINK_MS[0] + Math.random() * (THINK_MS[1] - THINK_MS[0])));

/** Somebody with a session of their own; without a link nobody signs in. */
async function comeIn(link, name) {
  const body = { secret: link.slice(link.indexOf('#') + 1), name, password: 'three cables in a duct' };
  const headers = { 'Content-Type': 'application/json' };
  const came = await fetch(`${server}/api/invitations/use`, { method: 'POST', headers, body: JSON.stringify(body) });
  if (!came.ok) throw new Error(await came.text());
  const cookie = came.headers.get('set-cookie').split(';')[0];
  const session = await (await fetch(`${server}/api/session`, { headers: { cookie } })).json();
  return { cookie, 'X-CSRF-TOKEN': session.csrf };
}

async function whoever(count) {
  if (!process.env.LINK) return Array(count).fill({});
  const run = Date.now().toString(36);
  const keeper = await comeIn(process.env.LINK, `keeper ${run}`);
  const all = [];
  for (let i = 0; i < count; i++) {
    const headers = { 'Content-Type': 'application/json', ...keeper };
    const made = await fetch(`${server}/api/links`, { method: 'POST', headers, body: '{"role": "MEMBER"}' });
    all.push(await comeIn((await made.json()).url, `operator ${run} ${i}`));
  }
  return all;
}

async function ask(who, what, path, body, method = body ? 'POST' : 'GET') {
  const from = performance.now();
  try {
    const answer = await fetch(server + path, {
      method,
      headers: { ...who, ...(body && { 'Content-Type': 'application/json' }) },
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

async function operator(who, number) {
  let own = null;
  while (performance.now() < until) {
    const plans = await ask(who, 'plans', '/api/plans?limit=60&demo=true');
    await pause();
    const one = plans?.[number % plans.length];
    const plan = one && (await ask(who, 'open a plan', `/api/plans/${one.id}`));
    for (let key = 0; plan && key < 6 && performance.now() < until; key++) {
      const document = ofLength(plan.document, 10 + Math.round(Math.random() * 5000) / 100);
      const { assessment, requirements, purchase } = document;
      await ask(who, 'ledger', '/api/comparisons', { ...assessment, requirements, purchase, wholeCatalogue: true });
      await pause();
    }
    await ask(who, 'locker', '/api/locker/pieces?limit=60&order=URGENCY');
    await pause();
    if (!plan) continue;
    if (own === null) {
      own = { id: crypto.randomUUID(), version: 0 };
      const body = { id: own.id, site: 'Load', name: `of operator ${number}`, document: plan.document };
      await ask(who, 'store', '/api/plans', body);
    } else {
      const body = { version: own.version, site: 'Load', name: `of operator ${number}`, document: ofLength(plan.document, 10 + own.version) };
      const saved = await ask(who, 'store', `/api/plans/${own.id}`, body, 'PUT');
      own.version = saved?.version ?? own.version;
    }
    await pause();
  }
  if (own) await ask(who, 'put away', `/api/plans/${own.id}`, undefined, 'DELETE');
}

const people = await whoever(Number(operators));
const until = performance.now() + Number(minutes) * 60_000;
await Promise.all(people.map(operator));

const all = Object.values(times).flat();
for (const [what, some] of [...Object.entries(times), ['everything', all]]) {
  some.sort((a, b) => a - b);
  const at = (share) => some[Math.floor(share * (some.length - 1))].toFixed(0);
  console.log(`${what}: ${some.length} times, median ${at(0.5)} ms, 95 % ${at(0.95)} ms, slowest ${at(1)} ms`);
}
console.log(`${failures.length} failed${failures.length ? `, the first: ${failures[0]}` : ''}`);
