import { expect, type Page } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { showText } from '../core/quantity';
import type { Unit } from '../core/figure';
import { spoken } from './fixtures';

interface HeadlessLine {
  readonly line: string;
  readonly figures: Readonly<Record<string, { readonly value: number; readonly unit: Unit }>>;
}

/** Saves the open run as a file and has the headless command reckon it. */
export async function headless(page: Page, runId: string): Promise<HeadlessLine[]> {
  await page.goto(`/runs/${runId}/print`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.run\.json$/);
  const path = await download.path();
  const done = spawnSync('node_modules/.bin/tsx', ['tools/sums.ts', path], {
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  if (done.status !== 0) throw new Error(done.stderr);
  return (JSON.parse(done.stdout) as { readonly lines: HeadlessLine[] }).lines;
}

/** Every figure that stands on the screen says what the headless command says of it. Returns how many there were. */
export async function sameAsHeadless(page: Page, line: HeadlessLine): Promise<number> {
  const ids = await page
    .getByTestId(/^figure-/)
    .evaluateAll((nodes) =>
      nodes.map((node) => node.getAttribute('data-testid')?.replace('figure-', '') ?? ''),
    );
  const unlike: string[] = [];
  for (const id of new Set(ids)) {
    const figure = line.figures[id];
    const said = await spoken(page, id);
    const plain = (text: string) => text.replace(/[\s\u202f\u2009\u00a0]+/g, ' ');
    const value = figure ? plain(showText(figure.value, figure.unit)) : 'nothing';
    if (!plain(said).includes(value)) unlike.push(`${id}: screen "${said}", headless "${value}"`);
  }
  expect(unlike).toEqual([]);
  return new Set(ids).size;
}

/** The id of the run that is open. */
export const runIdOf = (page: Page): string => /\/runs\/([^/]+)\//.exec(page.url())?.[1] ?? '';
