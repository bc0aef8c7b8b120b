export { onCake } from './cake';
export { cakeAboveRimMm, cupcakeCut } from './cupcakeCut';
export type { CupcakeCut } from './cupcakeCut';
export {
  mugOuterMm,
  mugsOnPlate,
  plateFromAbove,
  rackFromAbove,
  tinLayout,
  tinsOnRack,
  trayFromAbove,
} from './fromAbove';
export { boundsOf, boxSection } from './outline';
export type { CutPoint, Mark, Material, Patch, Section } from './outline';
export type { PanShape, Profile } from './pan';
export { ballDiameter, ballSection, ballSolid, ballVolume, pairSection } from './shape/ball';
export { barAs, fingerSection } from './shape/bar';
export { CAVITY_SHAPES, mouldedSection } from './shape/cavities';
export type { CavityCut } from './shape/cavities';
export type { CavityShape, CavitySides } from './shape/cavityShape';
export { mugSection, mugWidthMm } from './shape/mug';
export { cubeSection, roundAs, sheetVolume } from './shape/sheet';
export { boxSolid } from './shape/solid';
export type { Solid } from './shape/solid';
export { SIDE_FIELDS } from './shape/wellShape';
export type { Side, SideMm, Sides, Surface, WellField, WellShape } from './shape/wellShape';
export { WELL_SHAPES, shapeVolumeMl, sidesOf, wellMlOf, wellShapeOf } from './shape/wells';
export { caseSection, scoopSection, stickSection } from './things';
export { diameterAtMm, heightForVolumeMm, wellVolumeMl } from './well';
export type { Well } from './well';
