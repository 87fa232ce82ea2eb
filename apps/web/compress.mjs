// Packs what the build made of the interface beforehand, so that the server packs nothing while people wait.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const folder = join(import.meta.dirname, 'dist');
const packable = /\.(?:js|css|html|svg|webmanifest|json|aff|dic)$/;

for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
  if (!entry.isFile() || !packable.test(entry.name)) continue;
  const path = join(entry.parentPath, entry.name);
  const content = readFileSync(path);
  const best = { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } };
  writeFileSync(`${path}.br`, brotliCompressSync(content, best));
  writeFileSync(`${path}.gz`, gzipSync(content, { level: 9 }));
}
