// Attacks a running server and counts how it answers: random and hostile requests made from its own description, hostile
// instruments, slow clients. benchmarks/hostile starts one and runs this. The same seed asks the same.
import { readFileSync } from 'node:fs';
import http from 'node:http';
import net from 'node:net';

const SERVER = new URL(process.env.ESKIZ ?? 'http://127.0.0.1:8080');
const PID = process.env.ESKIZ_PID;
const REQUESTS = Number(process.argv[2] ?? 40_000);
const AT_ONCE = 8;
const LONGEST_MS = 3000;
/** The dearest request that is allowed holds a core no longer; on a machine with nothing else to do. */
const DEAREST_MS = 2000;
const SETTLED_MS = 4000;

// ---------------------------------------------------------------- chance, the same every time
let state = 20261128;
function chance() {
  state = (Math.imul(state ^ (state >>> 15), state | 1) + 0x6d2b79f5) | 0;
  return ((state ^ (state >>> 14)) >>> 0) / 4294967296;
}
const pick = (list) => list[Math.floor(chance() * list.length)];
const uuid = () =>
  '00000000-0000-4000-8000-' +
  Math.floor(chance() * 40)
    .toString(16)
    .padStart(12, '0');

// ---------------------------------------------------------------- requests from the description
const NASTY = [
  'null',
  '-1',
  '0',
  '1e308',
  '1e-308',
  '1e999',
  '1e300000000',
  '-1e2147483647',
  'NaN',
  '99999999999999999999',
  '""',
  '"\\u0000"',
  '"\\ud800"',
  '"\'; drop table plan; --"',
  '[]',
  '{}',
  '[null]',
  '[[[[[[[[]]]]]]]]',
  'true',
  '{"a":{"a":1}}',
  `"${'x'.repeat(5000)}"`,
  `"${'a-'.repeat(30000)}a"`,
  '"+999999999-12-31"',
  '"-999999999-01-01T00:00:00Z"',
  '"=1+1"',
  '"<script>alert(1)</script>"',
  '"../../etc/passwd"',
  '"%00"',
  '"\\r\\nOUTP ON"',
  '1.0000000001',
  '"1"',
  '2147483648',
  `"${'"'.repeat(2000).replaceAll('"', '\\"')}"`,
  '"1970-01-01"',
];
const TEXTS = [
  'rg-58',
  'foam-10',
  'n',
  'uhf',
  'a',
  'EUR',
  'main',
  '10 1.2\n145 4.9',
  'MHz dB\n10 1\n100 4',
  '97-99',
  '',
];

function value(schema, schemas, depth) {
  if (!schema || depth > 9) return null;
  if (schema.$ref) return value(schemas[schema.$ref.split('/').at(-1)], schemas, depth + 1);
  const choices = schema.oneOf ?? schema.anyOf;
  if (choices) return value(pick(choices), schemas, depth + 1);
  if (schema.allOf)
    return Object.assign({}, ...schema.allOf.map((s) => value(s, schemas, depth + 1) ?? {}));
  if (schema.enum) return pick(schema.enum);
  const type = Array.isArray(schema.type) ? schema.type[0] : schema.type;
  switch (type) {
    case 'object': {
      const made = {};
      for (const [name, of] of Object.entries(schema.properties ?? {})) {
        if (schema.required?.includes(name) || chance() < 0.55)
          made[name] = value(of, schemas, depth + 1);
      }
      return made;
    }
    case 'array':
      return Array.from({ length: Math.floor(chance() * (depth > 4 ? 2 : 4)) }, () =>
        value(schema.items, schemas, depth + 1),
      );
    case 'boolean':
      return chance() < 0.5;
    case 'integer':
      return Math.round(
        (schema.minimum ?? 0) +
          chance() * Math.min(20, (schema.maximum ?? 20) - (schema.minimum ?? 0)),
      );
    case 'number':
      return (
        (schema.minimum ?? 0) +
        chance() ** 3 * Math.min(500, (schema.maximum ?? 500) - (schema.minimum ?? 0))
      );
    case 'string':
      if (schema.format === 'uuid') return uuid();
      if (schema.format === 'date')
        return `2025-0${1 + Math.floor(chance() * 9)}-1${Math.floor(chance() * 9)}`;
      if (schema.format === 'date-time') return '2025-05-05T10:00:00Z';
      return pick(TEXTS);
    default:
      return null;
  }
}

/** One value in the place of another, a piece taken out, or a piece twice. */
function damaged(text) {
  if (text.length < 4) return text;
  const at = Math.floor(chance() * text.length);
  if (chance() < 0.6) {
    const from = text.indexOf(':', at);
    if (from < 0) return text;
    let to = from + 1;
    while (to < text.length && !',}]'.includes(text[to])) to++;
    return text.slice(0, from + 1) + pick(NASTY) + text.slice(to);
  }
  const piece = text.slice(at, at + Math.floor(chance() * 12));
  return chance() < 0.5
    ? text.slice(0, at) + text.slice(at + piece.length)
    : text.slice(0, at) + piece + text.slice(at);
}

function routes(description) {
  return Object.entries(description.paths).flatMap(([path, methods]) =>
    Object.entries(methods)
      .filter(([method]) => ['get', 'put', 'post', 'delete'].includes(method))
      .map(([method, operation]) => ({
        method: method.toUpperCase(),
        path,
        parameters: operation.parameters ?? [],
        body: operation.requestBody?.content?.['application/json']?.schema,
        isBinary: Boolean(operation.requestBody?.content?.['application/octet-stream']),
      })),
  );
}

function request(route, schemas) {
  let path = route.path.replace(/\{(\w+)\}/g, (_, name) =>
    chance() < 0.15
      ? pick(['%00', '%2e%2e', 'x', '-1', 'null', '%C0%AF', 'a'.repeat(3000), '[]', '%zz'])
      : name === 'key'
        ? pick(['rg-58', 'foam-10', 'n', 'own-1'])
        : name === 'number'
          ? '0'
          : uuid(),
  );
  const query = route.parameters.filter((p) => p.in === 'query' && chance() < 0.5);
  if (query.length) {
    path +=
      '?' +
      query
        .map((p) => `${p.name}=${pick(['%00', '', 'x', uuid(), '1e300000000', "'--"])}`)
        .join('&');
  }
  let body = '';
  if (route.isBinary) body = pick(['{', '', '\0\0\0', 'x'.repeat(1000)]);
  else if (route.body) {
    body = JSON.stringify(value(route.body, schemas, 0)) ?? '';
    for (let times = Math.floor(chance() * 4); times > 0; times--) body = damaged(body);
  }
  const type =
    chance() < 0.02
      ? pick([
          'application/x-www-form-urlencoded',
          'text/plain',
          'multipart/form-data; boundary=x',
          '',
        ])
      : route.isBinary
        ? 'application/octet-stream'
        : 'application/json';
  return { method: route.method, path, body, headers: body ? { 'Content-Type': type } : {} };
}

const agent = new http.Agent({ keepAlive: true, maxSockets: 64 });

/** How it was answered, after how long; 0 where the connection was closed. */
function ask({ method, path, body = '', headers = {} }, withText = false) {
  return new Promise((resolve) => {
    const began = performance.now();
    const done = (status, text = '', type = '') =>
      resolve({ status, ms: performance.now() - began, text, type });
    let asked;
    try {
      asked = http.request(
        {
          host: SERVER.hostname,
          port: SERVER.port,
          agent,
          method,
          path,
          headers: { ...headers, ...(body ? { 'Content-Length': Buffer.byteLength(body) } : {}) },
        },
        (answer) => {
          const parts = [];
          answer.on('data', (part) =>
            withText || answer.statusCode >= 400 ? parts.push(part) : 0,
          );
          answer.on('end', () =>
            done(
              answer.statusCode,
              Buffer.concat(parts).toString(),
              answer.headers['content-type'] ?? '',
            ),
          );
          answer.on('error', () => done(0));
        },
      );
    } catch {
      done(-1); // this client itself refuses to send it
      return;
    }
    asked.on('error', () => done(0));
    asked.end(body);
  });
}

const memoryMb = () =>
  PID
    ? Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${PID}/status`, 'utf8'))?.[1]) / 1024
    : NaN;

// ---------------------------------------------------------------- the attacks
const failures = [];
const fail = (what) => failures.length < 40 && failures.push(what);

async function fuzz() {
  const description = JSON.parse((await ask({ method: 'GET', path: '/v3/api-docs' }, true)).text);
  const all = routes(description);
  const counts = {};
  let slowest = { ms: 0 };
  let sent = 0;
  const memory = [memoryMb()];
  const one = async () => {
    while (sent < REQUESTS) {
      sent++;
      if (sent % Math.ceil(REQUESTS / 8) === 0) memory.push(memoryMb());
      const asked = request(pick(all), description.components.schemas);
      const answer = await ask(asked);
      const kind = answer.status > 0 ? `${Math.floor(answer.status / 100)}xx` : 'closed';
      counts[kind] = (counts[kind] ?? 0) + 1;
      if (answer.ms > slowest.ms)
        slowest = { ms: answer.ms, what: `${asked.method} ${asked.path.slice(0, 60)}` };
      const shown = `${asked.method} ${asked.path.slice(0, 90)} ${asked.body.slice(0, 300)}`;
      // 502 is what an instrument outside did wrong
      if (answer.status >= 500 && answer.status !== 502) fail(`${answer.status}: ${shown}`);
      if (answer.ms > LONGEST_MS && answer.status !== 502)
        fail(`${Math.round(answer.ms)} ms: ${shown}`);
      if (answer.status >= 400 && !answer.type.includes('problem+json'))
        fail(`no problem+json: ${answer.status} ${shown}`);
      if (/\tat |java\.lang|org\.(eskiz|hibernate|springframework)/.test(answer.text))
        fail(`tells its insides: ${shown}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  memory.push(memoryMb());
  return { counts, slowest, memory };
}

/** The most that a legal request may ask for, and how long it holds a core. */
async function expensive() {
  const line = { kind: 'LINE', cableKey: 'rg-58', lengthM: 1 };
  const ledger = (lines, bands, more) => ({
    radio: { powerW: 100, matching: 'NONE', foldback: true },
    run: [...Array.from({ length: lines - 1 }, () => line), { ...line, candidate: true }],
    bands: Array.from({ length: bands }, (_, i) => ({
      frequencyMHz: 30_000 - i,
      load: { swr: 5 },
    })),
    requirements: [
      { kind: 'LEAST_PERCENT', percent: 1 },
      { kind: 'LEAST_POWER_MARGIN', margin: 0.1 },
    ],
    ...more,
  });
  const shapes = [];
  for (const reach of [true, false]) {
    for (const lines of [1, 4, 16, 62]) {
      for (const bands of [64, 32, 16, 8, 4, 2, 1]) shapes.push({ lines, bands, reach });
    }
  }
  let slowest = { ms: 0 };
  const seen = new Set();
  for (const { lines, bands, reach } of shapes) {
    for (const [path, body] of [
      ['/api/comparisons', ledger(lines, bands, { reach })],
      [
        '/api/comparisons/changes',
        { comparison: ledger(lines, bands, { reach }), rowId: 'rg-58', band: 0 },
      ],
    ]) {
      const key = `${path} ${lines} ${reach}`;
      if (seen.has(key)) continue; // the largest that is allowed of this kind was tried
      const answer = await ask({
        method: 'POST',
        path,
        body: JSON.stringify(body),
        headers: { 'Content-Type': 'application/json' },
      });
      if (answer.status !== 422) seen.add(key);
      if (answer.status === 200 && answer.ms > slowest.ms) {
        slowest = {
          ms: answer.ms,
          what: `${path}: ${lines} lines, ${bands} bands, reach ${reach}`,
        };
      }
    }
  }
  if (slowest.ms > DEAREST_MS) fail(`${Math.round(slowest.ms)} ms: ${slowest.what}`);
  return slowest;
}

/** While so many hold a connection as slowly as they can, others are answered. */
async function slowClients(kind, count, begin) {
  const sockets = [];
  for (let i = 0; i < count; i++) {
    const socket = net.connect({ host: SERVER.hostname, port: Number(SERVER.port) });
    socket.on('error', () => undefined);
    socket.pause();
    begin(socket);
    sockets.push(socket);
  }
  // until the buffers of their connections are full, and each of them is waited for
  await new Promise((resolve) => setTimeout(resolve, SETTLED_MS));
  let worst = 0;
  for (let i = 0; i < 40; i++) {
    const answer = await ask({ method: 'GET', path: i % 2 ? '/api/settings' : '/api/plans' });
    worst = Math.max(worst, answer.ms);
    if (answer.status !== 200) fail(`${kind}: another request was answered ${answer.status}`);
  }
  sockets.forEach((s) => s.destroy());
  if (worst > 1000) fail(`${kind}: another request took ${Math.round(worst)} ms`);
  return worst;
}

/** Instruments that answer what no instrument should. */
async function hostileInstruments() {
  const wrong = {
    silent: () => undefined,
    garbage: (s) => s.write(Buffer.from(Array.from({ length: 200 }, (_, i) => (i * 7) % 256))),
    endless: (s) => s.write('7'.repeat(1 << 20)),
    numbers: (s) => s.write('-1e308\n'),
    words: (s) => s.write('x,y,z,1\n'),
    closes: (s) => s.destroy(),
    huge: (s) => s.write('#9999999999'),
    lines: (s) => s.write('0\n'.repeat(5000)),
  };
  const counts = {};
  let slowest = 0;
  const holder = uuid();
  for (const [name, answer] of Object.entries(wrong)) {
    const server = net.createServer((s) => {
      s.on('error', () => undefined);
      s.on('data', () => answer(s));
    });
    await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
    const instrument = { host: '127.0.0.1', port: server.address().port, holder };
    for (const [path, body] of [
      ['identity', instrument],
      ['calibration', { instrument, standard: 'OPEN' }],
      ['sweeps', { instrument, startMHz: 1, stopMHz: 100, points: 11, connection: 'OPEN' }],
      ['sweeps/progress', instrument],
      ['sweeps/result', { instrument, connection: 'OPEN', name: 'x' }],
      ['readings', { instrument, frequencyMHz: 14, powerW: 5, path: 'DIRECT' }],
    ]) {
      const told = await ask({
        method: 'POST',
        path: '/api/instruments/' + path,
        body: JSON.stringify(body),
        headers: { 'Content-Type': 'application/json' },
      });
      counts[told.status] = (counts[told.status] ?? 0) + 1;
      slowest = Math.max(slowest, told.ms);
      if (told.status >= 500 && told.status !== 502)
        fail(`${name}: ${path} answered ${told.status}`);
    }
    server.close();
  }
  return { counts, slowest };
}

const part = (name, text) => console.log(`${name.padEnd(34)} ${text}`);
const shown = (counts) =>
  Object.entries(counts)
    .sort()
    .map(([k, n]) => `${k}: ${n}`)
    .join(', ');

const head = (method, path, length) =>
  `${method} ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: ${length}\r\n\r\n`;
const body = '{"run": [], "bands": [';

const dearest = await expensive();
part('most expensive legal request', `${Math.round(dearest.ms)} ms (${dearest.what})`);
const bodies = await slowClients('200 slow bodies', 200, (s) =>
  s.write(head('POST', '/api/assessments', 5000) + body),
);
part('200 slow bodies, worst other answer', `${Math.round(bodies)} ms`);
// more than the buffers of any connection hold
const script = /\/assets\/[^"]+\.js/.exec((await ask({ method: 'GET', path: '/' }, true)).text)[0];
const readers = await slowClients('200 slow readers', 200, (s) =>
  s.write(`GET ${script} HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n`.repeat(20)),
);
part('200 slow readers, worst other answer', `${Math.round(readers)} ms`);
const instruments = await hostileInstruments();
part(
  'hostile instruments',
  `${shown(instruments.counts)}; longest ${Math.round(instruments.slowest)} ms`,
);
const { counts, slowest, memory } = await fuzz();
part(`${REQUESTS} requests`, shown(counts));
part('longest answer', `${Math.round(slowest.ms)} ms (${slowest.what})`);
part('memory of the server, MB', memory.map((m) => Math.round(m)).join(' '));
agent.destroy();
if (failures.length) {
  console.log(`\n${failures.length} that must not be:`);
  failures.forEach((f) => console.log('  ' + f));
  process.exit(1);
}
