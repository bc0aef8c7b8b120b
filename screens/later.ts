import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import type * as Later from './laterScreens';
import { loadLater } from './loadLater';

type Loaded = typeof Later;
type PropsOf<C> = C extends ComponentType<infer P> ? P : never;

/** A screen whose script loads when it is first drawn; the router shows its own waiting meanwhile. */
export function later<K extends keyof Loaded>(
  name: K,
): LazyExoticComponent<ComponentType<PropsOf<Loaded[K]>>> {
  return lazy(async () => {
    const loaded = await loadLater();
    return { default: loaded[name] as ComponentType<PropsOf<Loaded[K]>> };
  });
}
