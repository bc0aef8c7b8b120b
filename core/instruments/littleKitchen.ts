import { chanceOf } from '../schedule/solver';
import type { InstrumentKind, Reading } from './reading';

/** What somebody does in the simulated kitchen. */
export type Deed =
  | { readonly do: 'put on'; readonly massG: number }
  | { readonly do: 'portion'; readonly aimG: number }
  | { readonly do: 'take off' }
  | { readonly do: 'tare' }
  | { readonly do: 'oven to'; readonly settingC: number }
  | { readonly do: 'put in'; readonly massG: number }
  | { readonly do: 'take out' }
  /** A mug of so much batter at so many W of the dial, for so long, s. */
  | { readonly do: 'burst'; readonly massG: number; readonly watts: number; readonly seconds: number }
  | { readonly do: 'spoil'; readonly id: string; readonly how: 'lost' | 'frozen' | 'lying' | 'none' };

export interface LittleKitchen {
  /** Lets time pass, s. */
  readonly step: (dtS: number) => void;
  readonly deed: (deed: Deed) => void;
  /** What each instrument says now; those that are lost say nothing. */
  readonly readings: () => Reading[];
}

/** How a scale answers: to within so much of a weight in so long, with so much noise and drift, in steps. */
const SCALE = { settleS: 0.25, noiseG: 0.12, driftGPerMin: 0.15, stepG: 0.1 } as const;
/** How an oven warms and swings about its setting. Basis: a household oven: some 12 K a minute, ±6 K in six minutes. */
const OVEN = { warmsS: 420, swingK: 6, swingS: 360, roomC: 21, noiseK: 0.25 } as const;
/** A piece follows the air by its size: g^(2/3), 16 min for 48 g at rest, faster in the moving heat of an oven. */
const CORE = { constantS: 520, referenceG: 50, boilsC: 100, noiseK: 0.1 } as const;
const COAT = { fromC: 40, constantS: 1500, noiseK: 0.1 } as const;
/** A syrup on its way to its boil and past it: what is boiled off lifts it a degree in so many s. */
const SYRUP = { constantS: 150, boilC: 105, perDegreeS: 14, noiseK: 0.2 } as const;
/** A microwave puts so much of its W into a mug, and batter takes so much to warm. Basis: typical; J a gram and a kelvin. */
const MICRO = { caught: 0.6, heat: 2.9 } as const;
/** How evenly a hand portions, as a share. */
const HAND = 0.05;

/**
 * One kitchen with values of its own that nobody is told: its oven is off, its hand heavy or light. All instruments look at
 * the same state, and the same seed gives the same kitchen.
 */
export function littleKitchen(seed: number): LittleKitchen {
  const chance = chanceOf(seed);
  const hidden = {
    ovenOffK: 8 * chance.normal(),
    hand: 1 + 0.03 * chance.normal(),
    /** What its microwave gives of what its plate says. */
    watts: 0.92 * Math.exp(0.08 * chance.normal()),
    roomC: OVEN.roomC + 2 * chance.normal(),
  };
  const state = {
    t: 0,
    onG: 0,
    shownG: 0,
    tareG: 0,
    tareAtS: 0,
    settingC: 0,
    airC: hidden.roomC,
    inG: 0,
    burst: { leftS: 0, watts: 0, massG: 0 },
    coreC: hidden.roomC,
    coatC: COAT.fromC as number,
    syrupC: hidden.roomC,
  };
  const seqs = new Map<string, number>();
  const spoiled = new Map<string, string>();
  const frozenAt = new Map<string, number>();
  const toward = (from: number, to: number, dtS: number, constantS: number) =>
    to + (from - to) * Math.exp(-dtS / constantS);
  return {
    step: (dtS) => {
      state.t += dtS;
      state.shownG = toward(state.shownG, state.onG, dtS, SCALE.settleS);
      const swing = state.settingC > 0 ? OVEN.swingK * Math.sin((2 * Math.PI * state.t) / OVEN.swingS) : 0;
      const aim = state.settingC > 0 ? state.settingC + hidden.ovenOffK + swing : hidden.roomC;
      state.airC = toward(state.airC, aim, dtS, OVEN.warmsS);
      const around = state.inG > 0 ? state.airC : hidden.roomC;
      const constantS =
        CORE.constantS * (Math.max(5, state.inG || CORE.referenceG) / CORE.referenceG) ** (2 / 3);
      const { burst } = state;
      const onS = Math.min(dtS, burst.leftS);
      burst.leftS -= onS;
      // Warmed from within for as long as the burst lasts; at rest it cools like any piece.
      if (onS > 0)
        state.coreC += (hidden.watts * burst.watts * MICRO.caught * onS) / (burst.massG * MICRO.heat);
      // What is wet does not pass the boil.
      state.coreC = Math.min(CORE.boilsC - 1, toward(state.coreC, around, dtS, constantS));
      state.coatC = toward(state.coatC, hidden.roomC, dtS, COAT.constantS);
      state.syrupC =
        state.syrupC < SYRUP.boilC - 1
          ? toward(state.syrupC, SYRUP.boilC + 3, dtS, SYRUP.constantS)
          : state.syrupC + dtS / SYRUP.perDegreeS;
      if (state.syrupC > 160) state.syrupC = hidden.roomC;
    },
    deed: (deed) => {
      switch (deed.do) {
        case 'put on':
          state.onG += deed.massG;
          break;
        case 'portion':
          state.onG = state.tareG + deed.aimG * hidden.hand * Math.exp(HAND * chance.normal());
          break;
        case 'take off':
          state.onG = 0;
          break;
        case 'tare':
          [state.tareG, state.tareAtS] = [state.onG, state.t];
          break;
        case 'oven to':
          state.settingC = deed.settingC;
          break;
        case 'put in':
          [state.inG, state.coreC] = [deed.massG, hidden.roomC];
          break;
        case 'take out':
          state.inG = 0;
          break;
        case 'burst':
          if (state.burst.massG !== deed.massG) state.coreC = hidden.roomC;
          state.burst = { leftS: deed.seconds, watts: deed.watts, massG: deed.massG };
          break;
        case 'spoil':
          if (deed.how === 'none') spoiled.delete(deed.id);
          else spoiled.set(deed.id, deed.how);
          frozenAt.delete(deed.id);
          break;
      }
    },
    readings: () => {
      const rounded = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(3));
      const drift = (SCALE.driftGPerMin * (state.t - state.tareAtS)) / 60;
      const all: readonly (readonly [string, InstrumentKind, number])[] = [
        [
          'scale',
          'scale',
          rounded(state.shownG - state.tareG + drift + SCALE.noiseG * chance.normal(), SCALE.stepG),
        ],
        ['oven', 'oven air', rounded(state.airC + OVEN.noiseK * chance.normal(), 0.1)],
        ['core', 'core', rounded(state.coreC + CORE.noiseK * chance.normal(), 0.1)],
        ['coat', 'coat', rounded(state.coatC + COAT.noiseK * chance.normal(), 0.1)],
        ['microwave', 'microwave', rounded(state.burst.leftS, 0.1)],
        ['syrup', 'syrup', rounded(state.syrupC + SYRUP.noiseK * chance.normal(), 0.1)],
      ];
      return all.flatMap(([id, kind, value]): Reading[] => {
        const how = spoiled.get(id);
        if (how === 'lost') return [];
        const seq = (seqs.get(id) ?? 0) + 1;
        seqs.set(id, seq);
        if (how === 'frozen') {
          if (!frozenAt.has(id)) frozenAt.set(id, value);
          return [{ id, kind, seq, value: frozenAt.get(id) ?? value }];
        }
        return [{ id, kind, seq, value: how === 'lying' ? -value - 4000 : value }];
      });
    },
  };
}
