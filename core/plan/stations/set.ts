import { measure, over, power, times, type Ref, type Words } from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { SETTING, type SettingStage } from '../../process/set.table';
import type { PlanFigures } from '../figures';
import { SET } from './set.words';

/** A waiting time that grows with mass^(2/3). */
export function addSetting(
  f: PlanFigures,
  id: string,
  stage: SettingStage,
  mass: Ref<'g'>,
  said: Words,
): Ref<'s'> {
  const { massG, time } = SETTING[stage];
  const usual = f.believe(PARAMS.setting, {
    id: `${id}.usual`,
    label: `${said.label}, usual`,
    of: [scopeOf('stage', stage)],
    start: { value: time.value * 60, spread: time.spread * 60, basis: 'typical' },
    sentence: SET.usual(massG),
  });
  return f.sum(id, said, 's', times(usual, power(over(mass, measure(massG, 'g')), over(2, 3))));
}
