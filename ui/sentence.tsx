import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Sheet } from './sheet';
import { Tap } from './tap';
import { Body, Small, Strong } from './text';
import { Icon } from './icons';
import { FONT, space, useTokens } from './theme';

/** Words and values in one line of reading, wrapping as a sentence does. */
export function Sentence({ children }: { readonly children: ReactNode }) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: space(0.75) }}>
      {children}
    </View>
  );
}

/** The plain words between values. */
export function Words({ children }: { readonly children: string }) {
  return <Body style={{ fontSize: 19, lineHeight: 48 }}>{children}</Body>;
}

/** A value inside a sentence. A tap edits it in place. */
export function Value({
  text,
  label,
  after = '',
  onPress,
  testID,
}: {
  readonly text: string;
  /** A comma or a full stop that must not part from the value. */
  readonly after?: string;
  /** What the value is, for those who hear the page: "How many". */
  readonly label: string;
  readonly onPress: () => void;
  readonly testID?: string;
}) {
  const { carnelian, ink } = useTokens();
  const value = (
    <Tap
      onPress={onPress}
      label={`${label}: ${text}. Change`}
      testID={testID}
      style={{ minWidth: 0, paddingHorizontal: 2 }}
    >
      <Body
        style={{
          fontFamily: FONT.sansStrong,
          fontSize: 22,
          lineHeight: 32,
          color: ink,
          borderBottomWidth: 3,
          borderBottomColor: carnelian,
        }}
      >
        {text}
      </Body>
    </Tap>
  );
  if (after === '') return value;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', flexShrink: 1 }}>
      {value}
      <Words>{after}</Words>
    </View>
  );
}

export interface Choice<T extends string> {
  readonly value: T;
  readonly title: string;
  /** A school is explained where it is chosen. */
  readonly detail?: string;
}

/** A value in a sentence that is one of a few: a tap opens them, each with its meaning. */
export function ChoiceValue<T extends string>({
  label,
  title,
  value,
  text,
  after,
  choices,
  onChoose,
  testID,
}: {
  readonly label: string;
  readonly title: string;
  readonly value: T | null;
  readonly text: string;
  readonly after?: string;
  readonly choices: readonly Choice<T>[];
  readonly onChoose: (value: T) => void;
  readonly testID?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Value text={text} label={label} after={after} onPress={() => setOpen(true)} testID={testID} />
      <ChoiceSheet
        title={title}
        visible={open}
        value={value}
        choices={choices}
        onClose={() => setOpen(false)}
        onChoose={(next) => {
          setOpen(false);
          onChoose(next);
        }}
      />
    </>
  );
}

export function ChoiceSheet<T extends string>({
  title,
  visible,
  value,
  choices,
  onClose,
  onChoose,
}: {
  readonly title: string;
  readonly visible: boolean;
  readonly value: T | null;
  readonly choices: readonly Choice<T>[];
  readonly onClose: () => void;
  readonly onChoose: (value: T) => void;
}) {
  const { carnelian, carnelianSoft, line } = useTokens();
  return (
    <Sheet title={title} visible={visible} onClose={onClose}>
      <View role="radiogroup" aria-label={title} style={{ gap: space(1) }}>
        {choices.map((choice) => {
          const chosen = choice.value === value;
          return (
            <Tap
              key={choice.value}
              role="radio"
              checked={chosen}
              label={choice.detail ? `${choice.title}. ${choice.detail}` : choice.title}
              onPress={() => onChoose(choice.value)}
              style={{
                flexDirection: 'row',
                alignItems: 'center',
                justifyContent: 'space-between',
                gap: space(1),
                borderRadius: 14,
                borderWidth: 1.5,
                borderColor: chosen ? carnelian : line,
                backgroundColor: chosen ? carnelianSoft : undefined,
                padding: space(1.5),
                minHeight: 56,
              }}
            >
              <View style={{ flex: 1 }}>
                <Strong>{choice.title}</Strong>
                {choice.detail ? <Small>{choice.detail}</Small> : null}
              </View>
              {chosen ? <Icon name="check" color={carnelian} /> : null}
            </Tap>
          );
        })}
      </View>
    </Sheet>
  );
}
