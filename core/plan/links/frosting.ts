import type { FillingChoice, FrostingChoice } from '../../model/documents';
import {
  BAG_LOSS_G,
  BETWEEN_MM,
  COLOUR_DEPTH,
  CORE,
  FROSTING_DENSITY,
  GEL_DROP_G,
  INJECTED,
  PIPED,
  STANDARD_TOP_MM,
  STYLE_FROSTING,
  STYLE_SPREAD,
  TOP_STYLES,
} from '../../process/frost.table';
import type { CountedLot } from './lots';
import { type Figures } from '../figures';

/** What goes into a piece: the grams of one, and the crumb that a core leaves. Returns the figure of one piece's filling. */
export function addFillingEach(
  ledger: Figures,
  filling: FillingChoice,
  topId: string,
  cakeId: string,
): { eachId: string; cakeId: string } {
  const eachId = 'filling.each';
  const chosen = (label: string) =>
    ledger.given(eachId, label, 'g', filling.eachG ?? 0, 'stated', 'As chosen for this run.', {
      min: 0,
      max: 300,
    });
  switch (filling.how) {
    case 'core': {
      ledger.given('core.diameter', 'Corer, across', 'mm', filling.coreDiameterMm, 'stated', 'As chosen.');
      ledger.given('core.depth', 'Core, deep', 'mm', filling.coreDepthMm, 'stated', 'As chosen.');
      ledger.start(
        'core.plug',
        'Plug that goes back',
        'share',
        { value: CORE.plugShare, spread: 0.08, basis: 'typical' },
        'The top of the core, put back as a lid.',
        { min: 0, max: 0.9 },
      );
      ledger.calc(
        'core.removed',
        'Crumb cut out',
        'g',
        'π × {core.diameter}² × {core.depth} ÷ 4000 × {cake.density}',
        (d = 0, h = 0, density = 0) => ((Math.PI * d * d * h) / 4000) * density,
        'A cylinder of cake, at the density of the crumb.',
      );
      ledger.calc(
        'core.kept',
        'Crumb kept aside',
        'g',
        '{core.removed} × (1 − {core.plug})',
        (out = 0, plug = 0) => out * (1 - plug),
        'What does not go back as a lid: good crumb for pops.',
      );
      ledger.start(
        'filling.density',
        `${filling.what}, density`,
        'g/ml',
        { value: CORE.jamDensity, spread: 0.1, basis: 'typical' },
        'Usual for jam and curd; lighter for cream. Weigh a level spoon to know yours.',
        { min: 0.2, max: 1.6 },
      );
      ledger.calc(
        eachId,
        `${filling.what} in a piece`,
        'g',
        'π × {core.diameter}² × {core.depth} ÷ 4000 × (1 − {core.plug}) × {filling.density}',
        (d = 0, h = 0, plug = 0, density = 0) => ((Math.PI * d * d * h) / 4000) * (1 - plug) * density,
        'What the core holds below its lid.',
        { pin: { min: 0, max: 300 } },
      );
      ledger.calc(
        'cake.cored',
        'Cake with its lid',
        'g',
        `{${cakeId}} − {core.kept}, at least 0`,
        (cake = 0, kept = 0) => Math.max(cake - kept, 0),
        'The cake once the core is out and its lid back on.',
      );
      return { eachId, cakeId: 'cake.cored' };
    }
    case 'inject':
      ledger.given(
        'filling.channels',
        'Channels',
        'pieces',
        filling.channels,
        'stated',
        'Places where the nozzle goes in, as chosen.',
      );
      if (filling.eachG === null) {
        ledger.start(
          'filling.channel',
          'In one channel',
          'g',
          {
            ...INJECTED,
            value: INJECTED.value / filling.channels,
            spread: INJECTED.spread / filling.channels,
          },
          'A piece takes some {8 g} to {15 g} before it bursts; stop when its top lifts.',
          { min: 0.5, max: 100 },
        );
      } else
        ledger.given('filling.channel', 'In one channel', 'g', filling.eachG, 'stated', 'As chosen.', {
          min: 0.5,
          max: 200,
        });
      ledger.calc(
        eachId,
        `${filling.what} in a piece`,
        'g',
        '{filling.channels} × {filling.channel}',
        (n = 0, each = 0) => n * each,
        'All channels of one piece. Weigh one before and after to know yours.',
        { pin: { min: 0, max: 300 } },
      );
      return { eachId, cakeId };
    case 'between':
      if (filling.eachG !== null) chosen(`${filling.what} between two halves`);
      else {
        ledger.start(
          'filling.mm',
          'Filling, thick',
          'mm',
          { value: BETWEEN_MM, spread: 0.8, basis: 'typical' },
          'Enough to hold two halves and not squeeze out.',
          { min: 0.5, max: 20 },
        );
        ledger.start(
          'filling.density',
          `${filling.what}, density`,
          'g/ml',
          { value: FROSTING_DENSITY.buttercream, spread: 0.08, basis: 'typical' },
          'Usual for buttercream; jam is heavier.',
          { min: 0.2, max: 1.6 },
        );
        ledger.calc(
          eachId,
          `${filling.what} between two halves`,
          'g',
          `π ÷ 4 × {${topId}}² × {filling.mm} ÷ 1000 × {filling.density}`,
          (top = 0, mm = 0, density = 0) => ((Math.PI / 4) * top * top * mm * density) / 1000,
          'A layer as wide as the halves are at their top.',
          { pin: { min: 0, max: 300 } },
        );
      }
      return { eachId, cakeId };
  }
}

/** Filling for all pieces. */
export function addFillingTotal(ledger: Figures, filling: FillingChoice): void {
  ledger.calc(
    'filling.needed',
    `${filling.what} in all`,
    'g',
    '{count.made} × {filling.each}',
    (count = 0, each = 0) => count * each,
    'For every piece made.',
  );
}

/** Frosting on one top, from the style, the top's width and the frosting's density. Returns its figure. */
export function addFrostingEach(ledger: Figures, { kind, style }: FrostingChoice, topId: string): string {
  const usual = TOP_STYLES[style];
  ledger.start(
    'frosting.style',
    `A ${usual.name} on a standard top`,
    'g',
    { value: usual.massG, spread: usual.massG * STYLE_SPREAD, basis: 'typical' },
    `${usual.meaning} For a top of {${STANDARD_TOP_MM} mm} and buttercream; hands differ.`,
    { min: 1, max: 300 },
  );
  ledger.start(
    'frosting.density',
    `Density of ${kind}`,
    'g/ml',
    { value: FROSTING_DENSITY[kind], spread: FROSTING_DENSITY[kind] * 0.06, basis: 'typical' },
    'Weigh a level cup of it, less the cup, over the cup’s millilitres.',
    { min: 0.1, max: 1.6 },
  );
  const reference = FROSTING_DENSITY[STYLE_FROSTING];
  ledger.calc(
    'frosting.each',
    'Frosting on a piece',
    'g',
    `{frosting.style} × ({${topId}} ÷ ${STANDARD_TOP_MM})² × {frosting.density} ÷ ${reference}`,
    (grams = 0, top = 0, density = 0) => (grams * (top / STANDARD_TOP_MM) ** 2 * density) / reference,
    'By the area of the top, and by volume where another frosting than buttercream is piped. Weigh a piece before and after.',
    { pin: { min: 0.5, max: 500 } },
  );
  return 'frosting.each';
}

/** Bags that piping takes, one a colour, and what they keep. Returns the figure of the loss, or null where nothing is piped. */
export function addBags(ledger: Figures, { style }: FrostingChoice, colours: number): string | null {
  if (!PIPED.has(style)) return null;
  ledger.given(
    'frosting.bags',
    'Piping bags',
    'pieces',
    colours,
    'counted',
    'One for each lot, since each may have its own colour.',
  );
  ledger.start(
    'bag.loss',
    'Left in a bag',
    'g',
    { value: BAG_LOSS_G, spread: 5, basis: 'typical' },
    'What no hand squeezes out.',
    { min: 0, max: 100 },
  );
  ledger.calc(
    'frosting.bagLoss',
    'Left in the bags',
    'g',
    '{frosting.bags} × {bag.loss}',
    (bags = 0, each = 0) => bags * each,
    'All bags together.',
  );
  return 'frosting.bagLoss';
}

/** Frosting for all pieces: what each colour needs with its gel, and the whole. */
export function addFrostingTotal(ledger: Figures, lots: readonly CountedLot[], bags: string | null): void {
  const withColour = lots.filter(({ count }) => count > 0);
  const ids = withColour.map(({ lot, p, name, countId }) => {
    const id = `${p}frosting`;
    ledger.calc(
      id,
      `Frosting for ${name.toLowerCase()}`,
      'g',
      bags ? `{${countId}} × {frosting.each} + {bag.loss}` : `{${countId}} × {frosting.each}`,
      bags ? (count = 0, each = 0, bag = 0) => count * each + bag : (count = 0, each = 0) => count * each,
      bags ? 'Its pieces, and what the bag keeps.' : 'Its pieces.',
    );
    if (lot?.colour) {
      const { name: colour, depth } = lot.colour;
      const share = COLOUR_DEPTH[depth];
      ledger.calc(
        `${p}gel`,
        `Gel, ${colour}`,
        'g',
        `{${id}} × ${share}`,
        (frosting = 0) => frosting * share,
        `A ${depth} colour takes about that share of the frosting; brands differ, so start with half of it.`,
      );
      ledger.calc(
        `${p}drops`,
        `Gel, ${colour}, in drops`,
        'pieces',
        `{${p}gel} ÷ {${GEL_DROP_G} g}, rounded up`,
        (gel = 0) => gel / GEL_DROP_G,
        'Some twenty drops weigh {1 g}.',
        { whole: 'ceil' },
      );
    }
    return id;
  });
  if (ids.length > 0) {
    ledger.total('frosting.needed', 'Frosting in all', 'g', ids, 'All colours together, bags and all.');
  }
}
