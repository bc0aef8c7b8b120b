import type { KitchenDoc } from '../core/exchange/documents';
import { DEMO_KITCHEN } from './kitchen';

/** The kitchen with all that the other families are made in and with. */
export const FAMILY_KITCHEN: KitchenDoc = {
  ...DEMO_KITCHEN,
  tins: [
    ...DEMO_KITCHEN.tins,
    {
      id: 'tin-half-ball',
      name: 'Half-ball tin',
      wells: 6,
      owned: 2,
      topMm: 70,
      baseMm: 20,
      depthMm: 35,
      material: 'light metal',
      shape: 'bowl',
    },
    {
      id: 'tin-finger',
      name: 'Finger tin',
      wells: 8,
      owned: 2,
      topMm: 40,
      baseMm: 32,
      depthMm: 30,
      lengthMm: 100,
      material: 'light metal',
      shape: 'bar',
    },
  ],
  sheets: [
    {
      id: 'sheet-tray',
      name: 'Tray',
      owned: 2,
      lengthMm: 330,
      widthMm: 230,
      depthMm: 50,
      material: 'light metal',
    },
  ],
  moulds: [
    {
      id: 'mould-bar',
      name: 'Stick mould',
      owned: 2,
      cavities: 4,
      shape: 'stadium',
      lengthMm: 70,
      widthMm: 39,
      depthMm: 20,
      stickMl: 1,
    },
    {
      id: 'mould-lantern',
      name: 'Lantern mould',
      owned: 1,
      cavities: 6,
      shape: 'half-ellipsoid',
      lengthMm: 60,
      widthMm: 44,
      depthMm: 26,
      stickMl: 0,
    },
  ],
  mugs: [{ id: 'mug-hall', name: 'Hall mug', owned: 12, volumeMl: 320 }],
  microwaves: [{ id: 'microwave-hall', name: 'Hall microwave', ratedW: 800, absorbedW: 560, mugsAtOnce: 3 }],
  vessels: [
    { id: 'vessel-jug', name: 'Wide jug', diameterMm: 95, depthMm: 120 },
    { id: 'vessel-glass', name: 'Tall glass', diameterMm: 68, depthMm: 130 },
  ],
  ownMeasures: { handful: 31 },
};
