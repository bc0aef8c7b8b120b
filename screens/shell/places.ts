import type { Href } from 'expo-router';
import type { IconName } from '../../ui/icons';

export interface Place {
  readonly name: string;
  readonly icon: IconName;
  readonly href: Href;
  readonly path: string;
}

/** The five places, in the order of the work. */
export const PLACES: readonly Place[] = [
  { name: 'Runs', icon: 'runs', href: '/', path: '/runs' },
  { name: 'Formulas', icon: 'formulas', href: '/formulas', path: '/formulas' },
  { name: 'Bench', icon: 'bench', href: '/bench', path: '/bench' },
  { name: 'Logbook', icon: 'logbook', href: '/logbook', path: '/logbook' },
  { name: 'Kitchen', icon: 'kitchen', href: '/kitchen', path: '/kitchen' },
];
