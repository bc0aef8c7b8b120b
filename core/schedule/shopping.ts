import type { KitchenDoc, RunDoc, StoredDoc } from '../model/documents';
import { COLLECTIVE, ingredientsNamedIn, singular, type Ingredient } from '../quantity';
import type { RunPlan } from '../plan';
import { bowlsOf, madeLines } from '../plan/bowls';
import { materialWords } from './gather.words';

/** What a run takes of one thing. */
export interface Need {
  /** The ingredient's key, or its name in small letters. */
  readonly key: string;
  readonly name: string;
  readonly by: 'g' | 'pieces';
  readonly amount: number;
  /** The pack that the formula names, where it names one: 397 g to a tin. */
  readonly pack: { readonly one: string; readonly g: number } | null;
}

/** A row of the shopping list. */
export interface ShoppingRow extends Need {
  /** In the store cupboard of it. */
  readonly left: number;
  /** Missing before rounding to packets. */
  readonly missing: number;
  readonly packet: number | null;
  /** Packets to buy; null where it is bought loose. */
  readonly packets: number | null;
  /** What is bought, in whole packets where it comes in them. */
  readonly buy: number;
  /** What that costs; null where no price is known. */
  readonly cost: number | null;
  /** What the run uses up of it is worth; null where no price is known. */
  readonly used: number | null;
}

export interface Shopping {
  readonly rows: readonly ShoppingRow[];
  /** Of what has a price. */
  readonly cost: number | null;
  readonly usedCost: number | null;
  /** Rows without a price. */
  readonly unpriced: number;
  readonly pieces: number;
}

const FREE = new Set(['water']);

/** How a thing is treated before it goes in says nothing of what is bought. */
const TREATED =
  /\b(finely|roughly|coarsely|freshly|chopped|flaked|grated|crushed|toasted|ground|frozen|fresh|dried|whole|halved|halves|leaves|leaf|zest|juice|peel|of)\b/g;

const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

/** The key that things of the same kind share, whatever they are called. */
export function keyOf(name: string): string {
  const [known] = ingredientsNamedIn(name);
  return known ? keyIn(known.ingredient, name) : plain(name);
}

/** The same where it is known what it was taken for: a collective name is told apart by its own words. */
function keyIn({ key }: Ingredient, name: string): string {
  if (!COLLECTIVE.has(key)) return key;
  const bare = plain(
    name
      .toLowerCase()
      .replace(/[^a-zà-ÿ ]+/g, ' ')
      .replace(TREATED, ' '),
  );
  const words = bare
    .split(' ')
    .filter(Boolean)
    .map((word) => singular(word));
  return words.length === 0 ? key : `${key}: ${words.join(' ')}`;
}

/** What is grated or pressed from a fruit is bought as the fruit. */
const PART_OF_FRUIT = /^(.*\S)\s+(zest|juice|peel)$/i;

/** Adds up all that a run takes: every bowl once, and what no bowl holds. Tap water is left out. */
export function needsOf(run: RunDoc, whole: RunPlan): Need[] {
  return [...takenBy(run, whole).needs];
}

/** What a run takes, and what was said to be there of it for this run, by key and measure. */
function takenBy(
  run: RunDoc,
  whole: RunPlan,
): { readonly needs: readonly Need[]; readonly said: ReadonlyMap<string, number> } {
  const out = new Map<string, Need>();
  // Lines that name the same stock mean the same: the larger word holds.
  const said = new Map<string, number>();
  const add = (key: string, name: string, by: Need['by'], amount: number, pack: Need['pack'] = null) => {
    if (FREE.has(key) || amount <= 0) return;
    const at = `${key}/${by}`;
    const known = out.get(at);
    out.set(at, known ? { ...known, amount: known.amount + amount } : { key, name, by, amount, pack });
  };
  /** Eggs and pods by what they are: bowls of one day are filled from one box, and the last is shared. */
  const counts = new Map<string, { readonly name: string; readonly count: number }>();
  /** By fruit, how many each part of it takes: one lemon gives its zest and its juice. */
  const fruits = new Map<string, Map<string, number>>();
  const ofFruit = (fruit: string, part: string, count: number) => {
    const of = fruits.get(fruit) ?? new Map<string, number>();
    fruits.set(fruit, of.set(part, (of.get(part) ?? 0) + count));
  };
  /** Juice by weight, by its fruit: pressed from the fruits whose zest is taken, else bought as it is. */
  const juices = new Map<
    string,
    { readonly key: string; readonly name: string; readonly g: number; readonly pieceG: number }
  >();
  for (const { batch } of bowlsOf(run, whole)) {
    for (const { line, name: written, mass, whole: counted } of batch.ingredients) {
      const key = line.ingredient ? keyIn(line.ingredient, written.split(',')[0] ?? written) : plain(written);
      // In the writer's own words: "thyme leaves" tells a shop more than "chopped herb".
      const name = written.split(',')[0]?.trim() || written;
      const one = line.whole;
      if (one?.sort === 'pack') add(key, name, 'g', mass.value, { one: one.one, g: one.pieceG });
      else if (one) {
        const count = counted?.value ?? mass.value / one.pieceG;
        const part = PART_OF_FRUIT.exec(name);
        if (part?.[1] === undefined) counts.set(key, { name, count: (counts.get(key)?.count ?? 0) + count });
        else ofFruit(part[1], part[2]?.toLowerCase() ?? '', count);
      } else {
        const juice = PART_OF_FRUIT.exec(name);
        const pieceG = typeof line.ingredient?.pieceG === 'number' ? line.ingredient.pieceG : 0;
        if (juice?.[1] !== undefined && juice[2]?.toLowerCase() === 'juice' && pieceG > 0)
          juices.set(juice[1], { key, name, pieceG, g: (juices.get(juice[1])?.g ?? 0) + mass.value });
        else add(key, name, 'g', mass.value);
      }
    }
  }
  for (const [fruit, { key, name, g, pieceG }] of juices)
    if (fruits.has(fruit)) ofFruit(fruit, 'juice', g / pieceG);
    else add(key, name, 'g', g);
  // Whites and yolks come out of the same eggs, which are bought whole.
  const [whites, yolks] = [counts.get('egg white'), counts.get('egg yolk')];
  const parted = Math.max(whites?.count ?? 0, yolks?.count ?? 0);
  if (parted > 0) {
    const eggs = counts.get('egg');
    counts.delete('egg white');
    counts.delete('egg yolk');
    counts.set('egg', { name: eggs?.name ?? 'eggs', count: (eggs?.count ?? 0) + parted });
  }
  // Nobody buys part of an egg, of a pod or of a lemon.
  const bought = (count: number) => Math.ceil(count - HAIR);
  for (const [key, { name, count }] of counts) add(key, name, 'pieces', bought(count));
  for (const [fruit, parts] of fruits)
    add(keyOf(fruit), fruit, 'pieces', bought(Math.max(...parts.values())));
  for (const plan of madeLines(whole)) {
    for (const { what, amount, times, onHand } of plan.materials) {
      const { shop } = materialWords(what);
      if (shop === null) continue;
      const twice = what.is === 'cases' && what.liner === 'double paper' ? 2 : 1;
      const all = amount.value * (times?.value ?? 1) * twice;
      const by = amount.unit === 'pieces' ? 'pieces' : 'g';
      add(what.is === 'gel' ? plain(shop) : keyOf(shop), shop, by, all);
      const at = `${what.is === 'gel' ? plain(shop) : keyOf(shop)}/${by}`;
      if (typeof onHand === 'number') said.set(at, Math.max(said.get(at) ?? 0, onHand));
    }
  }
  // What the wish said holds before what a line says.
  for (const { name, by, amount } of run.onHand ?? []) said.set(`${keyOf(name)}/${by}`, amount);
  return { needs: [...out.values()].sort((a, b) => a.name.localeCompare(b.name)), said };
}

/** The list of what to buy: needs, less what is in the store cupboard, in whole packets. */
export function shoppingOf(run: RunDoc, whole: RunPlan, kitchen: KitchenDoc): Shopping {
  const { needs, said } = takenBy(run, whole);
  const [mostCases] = needs.filter(({ key }) => CASES.test(key)).sort((a, b) => b.amount - a.amount);
  const rows = needs.map((need) => {
    // Cases are counted without their size: the size that takes most has them.
    const other = CASES.test(need.key) && need !== mostCases;
    const there = said.get(`${need.key}/${need.by}`);
    return rowOf(need, other ? null : stored(need, kitchen), there);
  });
  const priced = rows.filter(({ used }) => used !== null);
  const pieces = whole.lines.reduce((sum, line) => sum + (line.planned ? line.parts.count.made.value : 0), 0);
  return {
    rows,
    cost: priced.length === 0 ? null : priced.reduce((sum, { cost }) => sum + (cost ?? 0), 0),
    usedCost: priced.length === 0 ? null : priced.reduce((sum, { used }) => sum + (used ?? 0), 0),
    unpriced: rows.length - priced.length,
    pieces,
  };
}

/** What the pieces of one line cost. */
export interface LineCost {
  readonly lineId: string;
  /** Of what is used up and has a price. */
  readonly used: number;
  readonly pieces: number;
  readonly each: number;
}

/**
 * What is used up in a run, shared out to its lines by what each would use up if it were made alone: a bowl that lines
 * share has one egg rounded and one bowl scraped, and nobody can say whose. Empty where no price is known or a line
 * cannot be planned alone.
 * @param alone plans a run of that line and no other
 */
export function lineCosts(
  run: RunDoc,
  whole: RunPlan,
  kitchen: KitchenDoc,
  alone: (run: RunDoc) => RunPlan | null,
): LineCost[] {
  const { usedCost } = shoppingOf(run, whole, kitchen);
  if (usedCost === null) return [];
  const parts = run.lines.map((line) => {
    const one = { ...run, lines: [line], measured: {} };
    const plan = alone(one);
    return plan?.lines[0]?.planned ? (shoppingOf(one, plan, kitchen).usedCost ?? 0) : null;
  });
  const total = parts.reduce<number>((sum, part) => sum + (part ?? 0), 0);
  if (total <= 0 || parts.includes(null)) return [];
  return whole.lines.flatMap((plan, i) => {
    if (!plan.planned) return [];
    const used = (usedCost * (parts[i] ?? 0)) / total;
    const pieces = plan.parts.count.made.value;
    return [{ lineId: plan.line.id, used, pieces, each: used / Math.max(pieces, 1) }];
  });
}

const CASES = /^paper cases/;

/** What the kitchen has of it: sticks and cases have a place of their own. */
function stored(need: Need, kitchen: KitchenDoc): StoredDoc | null {
  const found = (kitchen.store ?? []).find(
    (one) =>
      one.by === need.by &&
      (keyOf(one.name) === need.key || one.name.toLowerCase() === need.name.toLowerCase()),
  );
  if (found) return found;
  const count = need.key === 'sticks' ? kitchen.sticks : CASES.test(need.key) ? kitchen.liners : undefined;
  return count === undefined
    ? null
    : { id: need.key, name: need.name, left: count, by: 'pieces', packet: null, price: null };
}

/** Floating point leaves a hair over a whole packet. */
const HAIR = 1e-6;

function rowOf(need: Need, store: StoredDoc | null, there: number | undefined): ShoppingRow {
  // What was said for this run is what there is, whatever the cupboard's list says.
  const left = there ?? store?.left ?? 0;
  const packet = store?.packet ?? need.pack?.g ?? null;
  const price = store?.price ?? null;
  const missing = Math.max(need.amount - left, 0);
  const packets = packet === null ? null : Math.ceil(missing / packet - HAIR);
  const buy = packet === null || packets === null ? missing : packets * packet;
  return {
    ...need,
    left,
    missing,
    packet,
    packets,
    buy,
    cost: price === null || packets === null ? null : packets * price,
    used: price === null || packet === null ? null : (need.amount / packet) * price,
  };
}
