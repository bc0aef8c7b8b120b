import { capHeightMm, domeOn, rectangle, type Patch } from './outline';

/** What is put into and on a cake in its well: layer below, core, frosting; from the base of the well upwards. */
export function onCake(
  cakeTopMm: number,
  halfTopMm: number,
  parts: {
    readonly layerMm: number;
    readonly layerHalfMm: number;
    readonly core: { readonly diameterMm: number; readonly depthMm: number } | null;
    readonly frostingMl: number;
  },
): Patch[] {
  const dome = capHeightMm(parts.frostingMl, halfTopMm * 0.92);
  return [
    ...(parts.layerMm > 0
      ? [
          {
            material: 'layer' as const,
            points: rectangle(-parts.layerHalfMm, parts.layerHalfMm, 0, parts.layerMm),
          },
        ]
      : []),
    ...(parts.core
      ? [
          {
            material: 'filling' as const,
            points: rectangle(
              -parts.core.diameterMm / 2,
              parts.core.diameterMm / 2,
              cakeTopMm - parts.core.depthMm,
              cakeTopMm,
            ),
          },
        ]
      : []),
    ...(dome > 0
      ? [{ material: 'frosting' as const, points: domeOn(halfTopMm * 0.92, cakeTopMm - 2, dome + 2) }]
      : []),
  ];
}
