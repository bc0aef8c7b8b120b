import type { KitchenDoc } from '../../core/model/documents';
import { dialWords } from '../../core/process/dial';
import type { RunDay } from '../../core/schedule/chores';

/** "Hall oven on: 170 °C" with measures in braces. */
export function turnWords({ ovenId, settingC, first }: RunDay['turns'][number], kitchen: KitchenDoc): string {
  const oven = kitchen.ovens.find(({ id }) => id === ovenId);
  const to = dialWords(settingC, oven?.dial ?? kitchen.prefs.temperature);
  return first ? `${oven?.name ?? 'Oven'} on: ${to}` : `${oven?.name ?? 'Oven'} to ${to}`;
}
