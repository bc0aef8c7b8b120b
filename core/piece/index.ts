export { cakeAboveRimMm, cupcakeCut } from './cupcakeCut';
export type { CupcakeCut, CutPoint } from './cupcakeCut';
export { barVolumeMl, bowlVolumeMl, diameterAtMm, heightForVolumeMm, wellVolumeMl } from './well';
export type { Well } from './well';
export {
  ballSection,
  boundsOf,
  boxSection,
  cubeSection,
  fingerSection,
  mouldedSection,
  mugSection,
  scoopSection,
  onCake,
  pairSection,
} from './section';
export type { CavityCut, Mark, Material, Patch, Section } from './section';
