import type { KitchenDoc } from '../core/exchange/documents';

/** The kitchen that bakes for the allotment society. Tins are ordinary ones, measured with a ruler. */
export const DEMO_KITCHEN: KitchenDoc = {
  kind: 'kitchen',
  version: 1,
  id: 'kitchen',
  name: 'Hollow Lane kitchen',
  tins: [
    {
      id: 'tin-standard',
      name: 'Twelve-hole tin',
      wells: 12,
      owned: 2,
      topMm: 70,
      baseMm: 52,
      depthMm: 36,
      material: 'light metal',
    },
    {
      id: 'tin-mini',
      name: 'Mini tin',
      wells: 24,
      owned: 1,
      topMm: 46,
      baseMm: 32,
      depthMm: 23,
      material: 'dark metal',
    },
    {
      id: 'tin-large',
      name: 'Six large silicone cups',
      wells: 6,
      owned: 1,
      topMm: 89,
      baseMm: 70,
      depthMm: 42,
      material: 'silicone',
    },
  ],
  ovens: [
    { id: 'oven-main', name: 'Hall oven', fan: false, offsetC: -5, racks: 2, tinsPerRack: 1 },
    { id: 'oven-fan', name: 'Small fan oven', fan: true, offsetC: null, racks: 1, tinsPerRack: 1 },
  ],
  scaleStepG: 1,
  prefs: { mass: 'g', temperature: 'C', decimal: '.', theme: 'system' },
  stated: {},
};

/** What a person starts from who wants none of the demo: one tin, one oven, a scale. */
export const EMPTY_KITCHEN: KitchenDoc = {
  ...DEMO_KITCHEN,
  name: 'My kitchen',
  tins: [{ ...(DEMO_KITCHEN.tins[0] as KitchenDoc['tins'][number]), owned: 1 }],
  ovens: [{ id: 'oven-main', name: 'Oven', fan: false, offsetC: null, racks: 1, tinsPerRack: 1 }],
};
