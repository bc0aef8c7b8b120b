export { all, choose, copyOf, edit, freeId, measure, moreOf, remake } from './edit';
export type { Choice, LineAction } from './edit';
export { shareLots } from './lots';
export { without } from './without';
export { takeOffer } from './offer';
export type { OfferChange } from './offer';
export { crumbStart, newLine, tinFor, USUAL_BINDER, usualCoat, usualFilling } from './newLine';
export type { CrumbStart, LineAsk, MiniStyle, NewLine } from './newLine';
export { runAgain } from './runAgain';
