import { counted } from '../../core/quantity';
import { View } from 'react-native';
import { useDocuments } from '../../state/store';
import { Notice } from '../../ui/notice';
import { space } from '../../ui/theme';

/** Says when the browser keeps nothing, or when a kept document could not be read. */
export function SaveFault() {
  const fault = useDocuments((state) => state.saveFault);
  const damaged = useDocuments((state) => state.damaged);
  if (fault === null && damaged.length === 0) return null;
  return (
    <View style={{ padding: space(1), gap: space(1) }}>
      {fault ? <Notice fault="Not saved." mend={fault} /> : null}
      {damaged.length > 0 ? (
        <Notice
          fault={`${counted(damaged.length, 'kept document')} could not be read.`}
          mend={`Left as found: ${damaged.join(', ')}. The rest opened as usual.`}
        />
      ) : null}
    </View>
  );
}
