import type { MicrowaveDoc } from '../../model/documents';
import { ROOM, type MethodDef } from '../../process/batter.table';
import { MICROWAVE } from '../../process/microwave.table';
import { ratingFromTestW } from '../../process/microwave';
import { type Figures } from '../figures';

const { couplingG, bestShare, heatCapacity, latent, timeSpread, firstLookShare, evaporated } = MICROWAVE;

/**
 * Time in the microwave for a load of so many grams that turn at once: heat to done and steam driven off, over the power
 * that the load takes up. Figures: `p` + `micro.time`, `micro.firstLook`, and all that they rest on.
 * @param loadId figure of the grams in the oven at once
 */
export function addMicrowave(
  ledger: Figures,
  p: string,
  microwave: MicrowaveDoc,
  method: MethodDef,
  setting: number,
  loadId: string,
  shiftK: number,
): void {
  const tested = microwave.absorbedW !== null;
  ledger.root(
    `${p}micro.rated`,
    `"${microwave.name}", output`,
    'W',
    microwave.absorbedW === null ? microwave.ratedW : ratingFromTestW(microwave.absorbedW),
    0,
    tested ? 'measured here' : 'stated',
    tested
      ? 'From the water test: what {500 g} of water took up, over the share that such a load takes.'
      : 'As its label says. A water test tells better: {500 g} of water, 60 s at full power, and how much warmer it got.',
  );
  ledger.given(
    `${p}micro.setting`,
    'Power setting',
    'share',
    setting,
    'stated',
    'As chosen. Below full power most ovens switch on and off: the average counts.',
  );
  ledger.start(
    `${p}micro.start`,
    'Batter as it goes in',
    '°C',
    ROOM,
    'The warmth of a usual kitchen; cold eggs and milk make it cooler.',
    { min: 0, max: 60 },
  );
  ledger.start(
    `${p}micro.done`,
    'Done at',
    '°C',
    { ...method.doneC, value: MICROWAVE.doneC - shiftK },
    'Set all through, just below boiling.',
    { min: 60, max: 105 },
  );
  ledger.start(
    `${p}micro.steam`,
    'Steams away',
    'share',
    { ...evaporated, basis: 'typical' },
    'Water that leaves while it cooks. Weigh before and after to know yours.',
    { min: 0, max: 0.4 },
  );
  ledger.calc(
    `${p}micro.coupling`,
    'Power that this load takes up',
    'share',
    `${bestShare} × (1 − exp(0 − {${loadId}} ÷ {${couplingG} g}))`,
    (load = 0) => bestShare * (1 - Math.exp(-load / couplingG)),
    'Small loads take up less of the power: two mugs need more time than one, and less than twice as much.',
  );
  ledger.start(
    `${p}micro.factor`,
    'This oven against the sum',
    'times',
    { value: 1, spread: timeSpread, basis: 'typical' },
    'Ovens, mugs and places on the plate differ by a fifth. Time one and divide by what was expected.',
    { min: 0.3, max: 3 },
  );
  ledger.calc(
    `${p}micro.time`,
    'Time in the microwave',
    's',
    `{${loadId}} × ({${heatCapacity} J/g K} × ({${p}micro.done} − {${p}micro.start}) + {${p}micro.steam} × {${latent} J/g}) ÷ ({${p}micro.rated} × {${p}micro.setting} × {${p}micro.coupling}) × {${p}micro.factor}`,
    (load = 0, done = 0, startC = 0, steam = 0, rated = 1, set = 1, coupling = 1, factor = 1) =>
      ((load * (heatCapacity * (done - startC) + steam * latent)) / (rated * set * coupling)) * factor,
    'Heat to warm it through and to drive off steam, over the power that it takes up.',
  );
  ledger.calc(
    `${p}micro.firstLook`,
    'First look',
    's',
    `{${p}micro.time} × ${firstLookShare}, to five seconds below`,
    (time = 0) => time * firstLookShare,
    'At three quarters of the time, then every 10 seconds: a mug cake dries out fast.',
    { decide: { step: 5, how: 'down', least: 5 } },
  );
  ledger.given(
    `${p}micro.stand`,
    'To stand',
    's',
    MICROWAVE.standMin * 60,
    'typical',
    'It goes on cooking; judge it and eat it after that.',
  );
}
