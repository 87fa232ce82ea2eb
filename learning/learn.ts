// Learns kinds from the labelled lists and writes the weights that ship: npm run learn
import { writeFile } from 'node:fs/promises';
import { readList } from './examples';
import { labelledLists } from './labelled-lists';
import { learnFrom } from './learn-lists';

const FILE = 'packages/core/src/matching/learned/weights.ts';

const file = learnFrom((await labelledLists('learning/lists')).map(readList));
await writeFile(
  FILE,
  `// Written by \`npm run learn\` from learning/lists; not to be edited.
import type { LearnedFile } from './model';

/** What was learned from the labelled lists. */
export const LEARNED: LearnedFile = ${JSON.stringify(file)};
`,
);
