/** Writes the example run documents of the families to `demo/`. A test keeps them in step. */
import { writeFileSync } from 'node:fs';
import { FAMILY_FILES } from '../demo/families';

/** The text of each example, by its path. */
export function demoFiles(): Record<string, string> {
  return Object.fromEntries(
    Object.entries(FAMILY_FILES).map(([name, file]) => [
      `demo/${name}.run.json`,
      `${JSON.stringify(file, null, 2)}\n`,
    ]),
  );
}

if (process.argv[1]?.endsWith('demo-files.ts')) {
  for (const [path, text] of Object.entries(demoFiles())) writeFileSync(path, text);
}
