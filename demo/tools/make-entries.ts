// Writes the demo's entries.csv files. Run by hand when the demo is to change: npm run demo:entries
import { writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ceramicsEntries } from './ceramics-year';
import { ciderEntries } from './cider-months';
import { toCsv } from './journal';

const demo = join(dirname(fileURLToPath(import.meta.url)), '..');

writeFileSync(join(demo, 'kestrel-lane-cider-works/entries.csv'), toCsv(ciderEntries()));
writeFileSync(join(demo, 'tern-street-ceramics/entries.csv'), toCsv(ceramicsEntries()));
