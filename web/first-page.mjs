// Fails a build whose first page has grown too large: script and style that index.html asks for, as they go over the wire.
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const MOST_KB = 170;

const page = readFileSync('dist/index.html', 'utf8');
const files = [...page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.(?:js|css))"/g)].map(
  ([, file]) => file,
);
const bytes = files.map((file) => gzipSync(readFileSync(`dist${file}`), { level: 9 }).length);
const kB = bytes.reduce((a, b) => a + b, 0) / 1000;
console.log(`first page: ${kB.toFixed(0)} kB of script and style in ${files.length} files`);
if (files.length === 0 || kB > MOST_KB) {
  console.error(`the first page must have at most ${MOST_KB} kB of script and style`);
  process.exit(1);
}
