import type { CoatChoice, FillingChoice, FrostingChoice, Lot } from '../../model/documents';
import type { LinePlan } from '../../plan';
import { evenLoads } from '../../process/loads';
import { byFigure, byUsual, type ChoreGap } from './chore';
import { HANDS, onBench, one, within, type Beside, type Work } from './lineWork';
import { COAT_WITHIN_S, DIP_WITHIN_S, FROSTING_TIMES, HANDS_S, TOP_S, TOP_SETS_S } from './chores.table';
import { CHORE, each } from './chores.words';

/** What goes into and on to a piece. */
export interface Finishing {
  readonly filling?: FillingChoice | null | undefined;
  readonly frosting?: FrostingChoice | null | undefined;
  readonly coat?: CoatChoice | null | undefined;
  readonly fondant?: boolean | undefined;
  readonly lots?: readonly Lot[] | undefined;
}

export interface ToFinish {
  readonly plan: LinePlan;
  readonly finishing: Finishing;
  /** Pieces by the load that they came out of, each ready after its chores. */
  readonly loads: readonly { readonly pieces: number; readonly after: readonly (string | ChoreGap)[] }[];
  readonly beside: Beside;
}

/** Filled, frosted, covered, coated, topped, each load as soon as it is cool; hands back what packing waits for. */
export function finishWork(work: Work, { plan, finishing, loads, beside }: ToFinish): (string | ChoreGap)[] {
  const { filling, frosting, coat, fondant } = finishing;
  const lots = finishing.lots ?? [];
  const many = loads.length > 1;
  const bags = frosting ? bagsWork(work, frosting, lots, beside) : [];
  const topped = lots.some(({ toppings }) => toppings.some(({ by }) => by !== 'soak'));
  const soaked = lots.some(({ toppings }) => toppings.some(({ by }) => by === 'soak'));
  const toppingsMade = lots.flatMap(({ toppings }) =>
    toppings.flatMap(({ formulaId }) => beside.made(formulaId) ?? []),
  );
  const done = loads.map(({ pieces, after }, i) => {
    const load = many ? i + 1 : null;
    const told = (last: readonly (string | ChoreGap)[]) => ({
      nth: load,
      pieces,
      load,
      after: last,
      fresh: 1,
    });
    let last: readonly (string | ChoreGap)[] = after;
    if (soaked)
      last = [
        work.hands('soak', CHORE.soak.label, HANDS_S.soak * pieces, each(HANDS_S.soak), {
          ...told([...last, ...(frosting || coat ? [] : toppingsMade)]),
          detail: CHORE.soak.detail,
        }),
      ];
    if (filling) {
      const eachS = {
        core: HANDS_S.coreAndFill,
        inject: HANDS_S.channel * filling.channels,
        between: HANDS_S.sandwich,
      };
      const made = beside.made(filling.formulaId);
      last = [
        work.hands(
          'fill-in',
          CHORE.fill[filling.how].label,
          eachS[filling.how] * pieces,
          each(eachS[filling.how]),
          {
            ...told([...last, ...(made ? [{ ...made, mostS: beside.softS(filling.formulaId) }] : [])]),
            detail: CHORE.fill[filling.how].detail,
            uses: ['fill', 'shared'],
          },
        ),
      ];
    }
    if (frosting) {
      const eachS = TOP_S[frosting.style] + (topped && !coat ? HANDS_S.garnish : 0);
      const label = topped && !coat ? CHORE.frostAndTop.label : CHORE.frost.label;
      last = [
        work.hands('frost', label, eachS * pieces, each(eachS), {
          ...told([...last, ...bags, ...(topped && !coat ? toppingsMade : [])]),
          detail: topped && !coat ? CHORE.frostAndTop.detail : CHORE.frost.detail,
          uses: ['shared', 'fill', 'finish'],
        }),
      ];
    }
    if (fondant)
      last = [
        work.hands('cover', CHORE.cover.label, HANDS_S.fondant * pieces, each(HANDS_S.fondant), {
          ...told(last),
          detail: CHORE.cover.detail,
        }),
      ];
    if (topped && !frosting && !coat)
      last = [
        work.hands('top', CHORE.top.label, HANDS_S.garnish * pieces, each(HANDS_S.garnish), {
          ...told([...last, ...toppingsMade]),
        }),
      ];
    return last;
  });
  const all = done.flat();
  if (coat) return [dipWork(work, plan, coat, lots, all, beside)];
  const setS = frosting && TOP_SETS_S[frosting.kind];
  return setS
    ? [
        work.add('top-sets', {
          kind: 'wait',
          label: CHORE.topSets.label,
          takes: byUsual(setS, 'room', CHORE.topSets.basis),
          holds: [onBench(loads.reduce((sum, { pieces }) => sum + pieces, 0))],
          after: all,
        }),
      ]
    : all;
}

/** Frostings that a mixer beats. */
const BEATEN: ReadonlySet<FrostingChoice['kind']> = new Set([
  'buttercream',
  'meringue buttercream',
  'whipped cream',
  'cream with yoghurt',
  'soft cheese',
  'cooked meringue',
]);

/** Frosting is there, coloured and in bags: what frosting waits for. */
function bagsWork(work: Work, frosting: FrostingChoice, lots: readonly Lot[], beside: Beside): ChoreGap[] {
  const { makeMin, restS, withinS } = FROSTING_TIMES[frosting.kind];
  const made = beside.made(frosting.formulaId);
  const colours = lots.reduce(
    (sum, { colour, stripes }) => sum + (colour ? 1 : 0) + (stripes ?? []).filter(Boolean).length,
    0,
  );
  const there = typeof frosting.onHandG === 'number';
  const told = there ? CHORE.frostingThere : CHORE.frostingMade(frosting.kind);
  const ready = made
    ? { ...made, leastS: Math.max(made.leastS, restS), mostS: withinS }
    : within(
        work.hands('frosting', told.label, there ? HANDS_S.beatBought : makeMin * 60, CHORE.usual, {
          detail: told.detail,
          holds: BEATEN.has(frosting.kind) || there ? [HANDS, one({ kind: 'mixer' })] : [HANDS],
          uses: ['fill', 'shared'],
          fresh: 0.5,
        }),
        withinS,
        there ? 0 : restS,
      );
  if (colours === 0) return [ready];
  const coloured = work.hands(
    'colour',
    CHORE.colour(colours).label,
    HANDS_S.colour * colours,
    CHORE.colourBasis,
    {
      detail: CHORE.colour(colours).detail,
      after: [ready],
    },
  );
  return [within(coloured, withinS)];
}

/** Melted, dipped and garnished, set. */
export function dipWork(
  work: Work,
  plan: LinePlan,
  coat: CoatChoice,
  lots: readonly Lot[],
  after: readonly (string | ChoreGap)[],
  beside: Beside,
): string {
  const pieces = plan.parts.count.made.value;
  const garnished = lots.some(({ toppings }) => toppings.length > 0);
  const tempers = coat.kind !== 'compound';
  const eachS = HANDS_S.dip + (garnished ? HANDS_S.garnish : 0);
  // A coat stays workable for so long: what takes longer is dipped in lots, each in a coat melted anew.
  const atOnce = Math.max(1, Math.floor((tempers ? COAT_WITHIN_S.tempered : COAT_WITHIN_S.melted) / eachS));
  const sizes = evenLoads(pieces, atOnce);
  let dip = '';
  sizes.forEach((own, i) => {
    const nth = sizes.length > 1 ? i + 1 : null;
    const melted = meltWork(work, plan, tempers, beside.made(coat.formulaId), nth);
    // Pieces of later lots stay in the cold until their turn.
    const ready =
      i === 0 ? after : after.map((gap) => (typeof gap === 'string' ? gap : { ...gap, mostS: null }));
    dip = work.hands(
      'dip',
      CHORE.round(CHORE.dip(garnished).label, i + 1, sizes.length),
      eachS * own,
      each(eachS),
      {
        nth,
        detail: CHORE.dip(garnished).detail,
        uses: ['finish', 'shared'],
        holds: [HANDS, one({ kind: 'vessel', id: coat.vesselId })],
        pieces: own,
        fresh: 1,
        after: [melted, ...ready, ...(i > 0 ? [dip] : [])],
      },
    );
  });
  const sets = plan.tasks.find(({ what }) => what.does === 'coat sets');
  return work.add('coat-sets', {
    kind: 'wait',
    label: CHORE.coatSets.label,
    detail: CHORE.coatSets.detail,
    takes: sets ? byFigure(sets.takes, 'room') : byUsual(1200, 'room', CHORE.usual),
    holds: [onBench(pieces)],
    after: [dip],
  });
}

/** Pots are melted, and tempered where the chocolate asks for it; used while they are warm. */
export function meltWork(
  work: Work,
  plan: LinePlan,
  tempers: boolean,
  made: ChoreGap | null,
  nth: number | null = null,
): ChoreGap {
  const pots = Math.max(1, plan.pots.length);
  const potS = tempers ? HANDS_S.temper : HANDS_S.melt;
  const told = tempers ? CHORE.temper : CHORE.melt;
  const id = work.hands('melt', told.label, potS * pots, told.basis(pots), {
    nth,
    detail: told.detail,
    uses: ['melt'],
    after: made ? [made] : [],
  });
  return within(id, tempers ? COAT_WITHIN_S.tempered : COAT_WITHIN_S.melted);
}

/** A coat that stood since the round before is brought back to what it was. */
export function warmWork(
  work: Work,
  plan: LinePlan,
  tempers: boolean,
  melted: ChoreGap,
  round: number,
): ChoreGap {
  const pots = Math.max(1, plan.pots.length);
  const told = tempers ? CHORE.retemper : CHORE.rewarm;
  const id = work.hands(
    'warm',
    told.label,
    (tempers ? HANDS_S.retemper : HANDS_S.rewarm) * pots,
    told.basis,
    {
      nth: round,
      detail: told.detail,
      load: round,
      after: [{ ...melted, mostS: null }],
    },
  );
  return within(id, tempers ? COAT_WITHIN_S.tempered : COAT_WITHIN_S.melted);
}

/** Pieces come from the cold and are dipped before they warm. */
export const fromTheCold = (id: string): ChoreGap => within(id, DIP_WITHIN_S);
