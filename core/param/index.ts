export { Beliefs, believe, withBelief } from './believe';
export type { Believed } from './believe';
export { KITCHEN, scopeOf, scopeParts } from './param';
export type { Param, Scope, ScopeKind } from './param';
export { measuringWords } from './measuring.words';
export { PARAMS, paramOf } from './registry';
