import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { QuietAction } from './actions';

/** So far below the screen what comes next is drawn, so that whoever scrolls does not see it come. */
const AHEAD = '900px';

/**
 * The end of a list that is longer than what is drawn of it. As it comes near the screen, a little more is asked for, so often
 * as it is still near; where nothing watches the screen, by a tap.
 */
export function More({
  title,
  few,
  onFew,
  onMore,
}: {
  readonly title: string;
  /** How many are drawn: each time that changes, the end is looked at again. */
  readonly few: number;
  readonly onFew: () => void;
  readonly onMore: () => void;
}) {
  const end = useRef<View>(null);
  useEffect(() => {
    const node = end.current as unknown as Element | null;
    if (!node || typeof IntersectionObserver === 'undefined') return;
    const watch = new IntersectionObserver(
      (seen) => {
        if (seen.some(({ isIntersecting }) => isIntersecting)) onFew();
      },
      { rootMargin: AHEAD },
    );
    watch.observe(node);
    return () => watch.disconnect();
  }, [few, onFew]);
  return (
    <View ref={end}>
      <QuietAction title={title} onPress={onMore} />
    </View>
  );
}
