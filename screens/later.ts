import { lazy, type ComponentType, type LazyExoticComponent } from 'react';

/** Several screens that come in one file of script: those of a run share most of their parts. */
type Screens = Readonly<Record<string, unknown>>;

/** A screen whose script loads when it is first drawn; the router shows its own waiting meanwhile. */
export function later<M extends Screens, K extends keyof M>(
  load: () => Promise<M>,
  name: K,
): LazyExoticComponent<ComponentType<PropsOf<M[K]>>> {
  return lazy(async () => {
    const screens = await load();
    return { default: screens[name] as ComponentType<PropsOf<M[K]>> };
  });
}

type PropsOf<C> = C extends ComponentType<infer P> ? P : never;
