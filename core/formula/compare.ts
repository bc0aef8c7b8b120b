import type { FormulaDoc } from '../model/documents';
import { METHODS, USUAL_WELL_ML, bakeLossStart } from '../process/batter.table';
import { massOf, type ReadFormula } from './read';
import type { Role } from '../quantity';

/** The parts that a batter is judged by. */
export const SHARE_GROUPS: readonly { readonly name: string; readonly roles: readonly Role[] }[] = [
  { name: 'flour', roles: ['flour', 'starch', 'cocoa'] },
  { name: 'sugar', roles: ['sugar'] },
  { name: 'fat', roles: ['fat', 'chocolate'] },
  { name: 'egg', roles: ['egg'] },
  { name: 'liquid', roles: ['liquid', 'dairy', 'acid'] },
  { name: 'fruit and nuts', roles: ['fruit', 'nut'] },
];

export interface ShareRow {
  readonly name: string;
  /** Of the whole, 0 to 1, of the one and of the other. */
  readonly one: number;
  readonly other: number;
}

export interface Side {
  readonly doc: FormulaDoc;
  readonly read: ReadFormula;
}

const shareOf = ({ read }: Side, roles: readonly Role[]): number =>
  read.massG > 0 ? massOf(read.lines, ...roles) / read.massG : 0;

/** Two formulas side by side: shares of what they are made of; groups that neither has are left out. */
export function compareShares(one: Side, other: Side): ShareRow[] {
  return SHARE_GROUPS.map(({ name, roles }) => ({
    name,
    one: shareOf(one, roles),
    other: shareOf(other, roles),
  })).filter((row) => row.one > 0.001 || row.other > 0.001);
}

/** g/ml of the batter, and of the cake, by how a formula is mixed. Basis: the table of methods. */
export function densitiesOf({ method }: FormulaDoc): { readonly batter: number; readonly cake: number } {
  const { batterDensity, cakeDensity } = METHODS[method];
  return { batter: batterDensity.value, cake: cakeDensity.value };
}

/** What a mass of a batter fills, by how it is mixed. */
export interface Fills {
  readonly batterMl: number;
  readonly cakeMl: number;
}

/**
 * What a mass of this formula would fill if it were mixed so: in the bowl, and baked, ml. An estimate for comparing
 * methods: densities and the loss of a cupcake in the oven, as the tables have them.
 * @param massG g of mixed batter, at least 0
 */
export function fillsBy(method: FormulaDoc['method'], massG: number): Fills {
  const { batterDensity, cakeDensity } = METHODS[method];
  const loss = bakeLossStart(USUAL_WELL_ML).value;
  return { batterMl: massG / batterDensity.value, cakeMl: (massG * (1 - loss)) / cakeDensity.value };
}
