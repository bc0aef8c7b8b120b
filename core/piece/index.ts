export { cakeAboveRimMm, cupcakeCut } from './cupcakeCut';
export type { CupcakeCut, CutPoint } from './cupcakeCut';
export { barVolumeMl, bowlVolumeMl, diameterAtMm, heightForVolumeMm, wellVolumeMl } from './well';
export type { Well } from './well';
export {
  ballSection,
  boundsOf,
  boxSection,
  caseSection,
  cubeSection,
  fingerSection,
  mouldedSection,
  mugSection,
  mugWidthMm,
  scoopSection,
  onCake,
  pairSection,
  stickSection,
} from './section';
export type { CavityCut, Mark, Material, Patch, Section } from './section';
export {
  mugOuterMm,
  mugsOnPlate,
  plateFromAbove,
  rackFromAbove,
  tinLayout,
  tinsOnRack,
  trayFromAbove,
} from './fromAbove';
