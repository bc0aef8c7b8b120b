import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { runsIn } from '../../state/documents';
import { useDocuments, useScreen } from '../../state/store';
import { dateOf, dayText } from '../../state/time';
import { useNow } from '../../state/clock';
import { QuietAction } from '../../ui/actions';
import { Sheet } from '../../ui/sheet';
import { Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { stageHref } from '../runs/stages';
import { FAMILY_WORDS } from '../runs/words';

/** A batch that was baked without the app: which run it was, or what it was where none was planned. */
export function ToLog() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <QuietAction title="Log a batch that is baked already" icon="plus" onPress={() => setOpen(true)} />
      <Sheet title="Which batch was it?" visible={open} onClose={() => setOpen(false)}>
        {open ? <Which onGo={() => setOpen(false)} /> : null}
      </Sheet>
    </>
  );
}

function Which({ onGo }: { readonly onGo: () => void }) {
  const router = useRouter();
  const now = useNow(60_000);
  // At the bench of a run that was begun there, it is closed by what its taps know.
  const planned = runsIn(useDocuments((state) => state.docs)).filter(
    ({ closed, log = [] }) => closed === null && log.length === 0,
  );
  return (
    <View style={{ gap: space(2) }}>
      {planned.length > 0 ? (
        <View style={{ gap: space(1) }}>
          <Strong>Planned here</Strong>
          {planned.map(({ id, name, readyAt }) => (
            <QuietAction
              key={id}
              title={name}
              label={`${name}, ready ${dayText(dateOf(readyAt), now)}`}
              onPress={() => {
                onGo();
                useScreen.getState().askLog(id);
                router.navigate(stageHref(id, 'bake'));
              }}
            />
          ))}
        </View>
      ) : null}
      <View style={{ gap: space(1) }}>
        <Strong>Planned nowhere</Strong>
        {Object.entries(FAMILY_WORDS).map(([piece, { title }]) => (
          <QuietAction
            key={piece}
            title={title}
            onPress={() => {
              onGo();
              router.navigate({ pathname: '/runs/new', params: { piece, log: '1' } });
            }}
          />
        ))}
        <Small>Its formula, how many and when it was, and then what came: only what you remember.</Small>
      </View>
    </View>
  );
}
