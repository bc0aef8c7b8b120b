import type { CoatChoice, Line } from '../model/documents';
import { finishing } from '../model/references';
import { choose, measure, type LineAction } from '../line';
import type { LinePlan } from '../plan';
import { mendFrosting } from '../process/frost';
import { CREAM_SHARE, THIN } from './rescue.table';
import { RESCUE, SUMS } from './rescue.words';
import { byHand, notHere, type Out, type Trouble } from './trouble';

/** How a line is coated: the fat in its chocolate, and what changes it. */
interface Coating {
  readonly thinnedShare: number;
  readonly change: (over: Partial<Pick<CoatChoice, 'thinnedShare' | 'school' | 'onHandG'>>) => LineAction;
}

/** The chocolate of a line, dipped or laid in a mould; null for lines without. */
function coatingOf(line: Line): Coating | null {
  if (line.family === 'cakesicle') {
    const change: Coating['change'] = ({ thinnedShare, onHandG }) =>
      choose({
        ...(thinnedShare === undefined ? {} : { thinnedShare }),
        ...(onHandG === undefined ? {} : { coatOnHandG: onHandG }),
      });
    return { thinnedShare: line.thinnedShare, change };
  }
  const { coat } = finishing(line);
  if (!coat) return null;
  return { thinnedShare: coat.thinnedShare, change: (over) => choose({ coat: { ...coat, ...over } }) };
}

export function coatTrouble(
  line: Line,
  { pots }: LinePlan,
  kind: 'coat thick' | 'coat seized' | 'coat cracked' | 'coat dull',
): Out {
  const coating = coatingOf(line);
  if (!coating) return notHere('coat');
  const potG = pots[0]?.melt.value ?? 0;
  switch (kind) {
    case 'coat thick': {
      const { thinnedShare: before } = coating;
      const thinnedShare = Math.min(before + THIN.step, THIN.most);
      const fatG = potG * (thinnedShare - before);
      return {
        actions: [coating.change({ thinnedShare })],
        words: [fatG < 0.1 ? RESCUE.fatEnough : RESCUE.thin(fatG)],
        sums: [{ what: SUMS.fat, massG: fatG }],
      };
    }
    case 'coat seized':
      return byHand(
        RESCUE.seized(potG * CREAM_SHARE, potG),
        { what: SUMS.cream, massG: potG * CREAM_SHARE },
        { what: SUMS.meltAnew, massG: potG },
      );
    case 'coat cracked':
      return { actions: [coating.change({ school: 'fridge-firm' })], words: [RESCUE.cracked], sums: [] };
    case 'coat dull':
      return byHand(RESCUE.dull);
  }
}

export function coatShort(line: Line, { pots }: LinePlan, leftG: number): Out {
  const coating = coatingOf(line);
  const [pot] = pots;
  if (!coating || !pot) return notHere('coat');
  return {
    actions: [coating.change({ onHandG: leftG })],
    words: [RESCUE.coatShort],
    sums: [{ what: SUMS.missingForAll, massG: Math.max(pot.melt.value - leftG, 0) }],
  };
}

export function frostingTrouble({
  kind,
  bowlG,
  roomC,
}: Extract<Trouble, { kind: 'frosting runny' | 'frosting stiff' | 'frosting curdled' }>): Out {
  if (kind === 'frosting curdled') return byHand(RESCUE.curdled, { what: SUMS.warmBack, massG: bowlG / 3 });
  const mend = mendFrosting(kind === 'frosting runny' ? 'runny' : 'stiff', bowlG, roomC);
  if (mend.kind === 'chill') return byHand(RESCUE.chill(mend.minutes));
  const sugar = mend.kind === 'sugar';
  return byHand(RESCUE.beatIn(mend.stepG, sugar ? 'icing sugar' : 'milk'), {
    what: sugar ? SUMS.sugar : SUMS.milk,
    massG: mend.stepG,
  });
}

export function frostingShort(line: Line, { parts }: LinePlan, leftG: number): Out {
  const { frosting } = finishing(line);
  const needed = parts.frostingNeeded;
  if (!frosting || !needed) return notHere('frosting');
  return {
    actions: [choose({ frosting: { ...frosting, onHandG: leftG } })],
    words: [RESCUE.frostingShort],
    sums: [{ what: SUMS.missingForAll, massG: Math.max(needed.value - leftG, 0) }],
  };
}

export function patched({ parts }: LinePlan, pieces: number): Out {
  const { shell, count } = parts;
  if (!shell) return notHere('shell');
  const allG = pieces * shell.second.value;
  return {
    actions: [measure(shell.patchShare.id, Math.min(pieces / Math.max(count.made.value, 1), 1))],
    words: [RESCUE.patch(allG, pieces)],
    sums: [{ what: SUMS.patching, massG: allG }],
  };
}

/** Pieces that stay in the mould are made again: their dough is pressed back, their shell is melted with the rest. */
export function lost({ parts }: LinePlan, pieces: number): Out {
  const { shell, portion } = parts;
  if (!shell || !portion) return notHere('mould');
  const doughG = pieces * portion.value;
  const shellG = pieces * shell.taken.value;
  return byHand(
    RESCUE.lostInMould(doughG + shellG, pieces, shellG),
    { what: SUMS.backIntoDough, massG: doughG + shellG },
    { what: SUMS.coatAgain, massG: shellG },
  );
}
