import { lazy, type ComponentType } from 'react';
import type * as Later from './laterScreens';
import { loadLater } from './loadLater';
import { PlaceGuard } from './shell/PlaceGuard';

type Loaded = typeof Later;
type PropsOf<C> = C extends ComponentType<infer P> ? P : never;

/** A screen whose script loads when it is first drawn; the router shows its own waiting meanwhile. */
export function later<K extends keyof Loaded>(
  name: K,
): (props: PropsOf<Loaded[K]> & object) => React.JSX.Element {
  const Screen = lazy(async () => {
    const loaded = await loadLater();
    return { default: loaded[name] as ComponentType<object> };
  });
  // The router takes a component that is a function.
  return function Guarded(props) {
    return (
      <PlaceGuard>
        <Screen {...props} />
      </PlaceGuard>
    );
  };
}
