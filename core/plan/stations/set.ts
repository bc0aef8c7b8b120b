import { measure, over, power, times, type Ref, type Words } from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import {
  ANCHOR_SETTING,
  COAT_SETTING,
  SETTING,
  type CoatSettingStage,
  type SettingStage,
} from '../../process/set.table';
import type { Start } from '../../process/batter.table';
import type { PlanFigures } from '../figures';
import { SET } from './set.words';

/** What is usual of a stage, as a figure that a kitchen may know better. */
function addUsual(
  f: PlanFigures,
  id: string,
  stage: string,
  said: Words,
  time: Start,
  sentence: string,
): Ref<'s'> {
  return f.believe(PARAMS.setting, {
    id: `${id}.usual`,
    label: `${said.label}, usual`,
    of: [scopeOf('stage', stage)],
    start: { value: time.value * 60, spread: time.spread * 60, basis: 'typical' },
    sentence,
  });
}

/** A waiting time that grows with mass^(2/3). */
export function addSetting(
  f: PlanFigures,
  id: string,
  stage: SettingStage,
  mass: Ref<'g'>,
  said: Words,
): Ref<'s'> {
  const { massG, time } = SETTING[stage];
  const usual = addUsual(f, id, stage, said, time, SET.usual(massG));
  return f.sum(id, said, 's', times(usual, power(over(mass, measure(massG, 'g')), over(2, 3))));
}

/** A coat or a shell sets by its own thickness. */
export function addCoatSetting(
  f: PlanFigures,
  id: string,
  stage: CoatSettingStage,
  thickness: Ref<'mm'>,
  said: Words,
  share = 1,
): Ref<'s'> {
  const { mm, time } = COAT_SETTING[stage];
  const usual = addUsual(f, id, stage, said, time, SET.usualCoat(mm));
  return f.sum(id, said, 's', times(usual, over(times(share, thickness), measure(mm, 'mm'))));
}

/** The dab at a stick is the same on every ball. */
export const addAnchorSetting = (f: PlanFigures, id: string, said: Words): Ref<'s'> => {
  const usual = addUsual(f, id, 'stick anchored, cold', said, ANCHOR_SETTING, SET.dab);
  return f.sum(id, said, 's', times(1, usual));
};
