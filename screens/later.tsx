import { Suspense, lazy, type ComponentType } from 'react';
import { View } from 'react-native';
import type * as Later from './laterScreens';
import { loadLater } from './loadLater';
import { Body } from '../ui/text';
import { space } from '../ui/theme';
import { PlaceGuard } from './shell/PlaceGuard';

type Loaded = typeof Later;
type PropsOf<C> = C extends ComponentType<infer P> ? P : never;

/** What stands there until a place's script has come. */
const Opening = () => (
  <View role="status" style={{ padding: space(3) }}>
    <Body soft>Opening.</Body>
  </View>
);

/** A screen whose script loads when it is first drawn. */
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
        <Suspense fallback={<Opening />}>
          <Screen {...props} />
        </Suspense>
      </PlaceGuard>
    );
  };
}
