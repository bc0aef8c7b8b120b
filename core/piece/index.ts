export { cakeAboveRimMm, cupcakeCut } from './cupcakeCut';
export type { CupcakeCut, CutPoint } from './cupcakeCut';
export { barVolumeMl, bowlVolumeMl, diameterAtMm, heightForVolumeMm, wellVolumeMl } from './well';
export type { Well } from './well';
