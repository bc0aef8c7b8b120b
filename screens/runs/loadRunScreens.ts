import type * as RunScreens from './runScreens';

export const loadRunScreens = (): Promise<typeof RunScreens> => import('./runScreens');
