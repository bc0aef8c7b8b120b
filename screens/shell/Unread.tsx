import { View } from 'react-native';
import type { Refusal } from '../../state/documents';
import { saveFile } from '../../state/saveFile';
import { rawText } from '../../state/snapshots';
import { QuietAction } from '../../ui/actions';
import { StoneBands } from '../../ui/card';
import { Notice } from '../../ui/notice';
import { Body, Heading } from '../../ui/text';
import { space } from '../../ui/theme';
import { UNREAD_WORDS } from './keeping.words';

/** Nothing could be read yet. Nothing is shown in its place, and nothing is written, until it could. */
export function Unread({ cause }: { readonly cause: Refusal }) {
  return (
    <View
      role="main"
      style={{ flex: 1, padding: space(3), gap: space(2), maxWidth: 560, alignSelf: 'center' }}
    >
      <StoneBands height={12} />
      <Heading level={1}>Your kitchen is not open yet</Heading>
      <Notice fault="What is kept here cannot be read." mend={UNREAD_WORDS[cause]} />
      <Body>
        It is tried again every few seconds, and nothing is changed meanwhile: what is there stays as it is.
      </Body>
      <QuietAction title="Load the page again" onPress={() => window.location.reload()} />
      <QuietAction
        title="Save what can be reached as a file"
        onPress={() => void rawText().then((text) => saveFile('carnelian-raw.json', text))}
      />
    </View>
  );
}
