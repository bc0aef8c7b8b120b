import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import ts from 'typescript';

/** Not by the linter: its rule for circles reads every file again for each one that imports it, which takes minutes. */
const ROOT = resolve(__dirname, '..');
const FOLDERS = ['app', 'screens', 'ui', 'state', 'workers', 'core', 'server', 'demo', 'tools'];

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));

function resolved(from: string, to: string): string | null {
  const path = resolve(dirname(from), to);
  return [`${path}.ts`, `${path}.tsx`, `${path}/index.ts`].find((one) => existsSync(one)) ?? null;
}

/** What each file imports of the house, types too. */
function graphOf(files: readonly string[]): Map<string, string[]> {
  return new Map(
    files.map((file) => [
      file,
      ts
        .preProcessFile(readFileSync(file, 'utf8'), true, true)
        .importedFiles.flatMap(({ fileName }) =>
          fileName.startsWith('.') ? [resolved(file, fileName) ?? ''] : [],
        ),
    ]),
  );
}

/** The first circle that is met, as the files along it; null where there is none. */
function circleIn(graph: ReadonlyMap<string, readonly string[]>): string[] | null {
  const done = new Set<string>();
  const visit = (file: string, path: readonly string[]): string[] | null => {
    const at = path.indexOf(file);
    if (at >= 0) return [...path.slice(at), file];
    if (done.has(file)) return null;
    for (const next of graph.get(file) ?? []) {
      const found = visit(next, [...path, file]);
      if (found) return found;
    }
    done.add(file);
    return null;
  };
  for (const file of graph.keys()) {
    const found = visit(file, []);
    if (found) return found;
  }
  return null;
}

describe('what imports what', () => {
  it('goes in no circle', () => {
    const graph = graphOf(FOLDERS.flatMap((folder) => filesIn(join(ROOT, folder))));
    expect(graph.size).toBeGreaterThan(300);
    expect(circleIn(graph)?.map((file) => relative(ROOT, file)) ?? null).toBeNull();
  });

  it('would be seen if it did', () => {
    expect(
      circleIn(
        new Map([
          ['a', ['b']],
          ['b', ['c']],
          ['c', ['a']],
        ]),
      ),
    ).toEqual(['a', 'b', 'c', 'a']);
  });
});
