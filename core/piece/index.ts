export { cupcakeCut } from './cupcakeCut';
export type { CupcakeCut, CutPoint } from './cupcakeCut';
export { wellVolumeMl } from './well';
export type { Well } from './well';
