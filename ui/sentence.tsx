import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Sheet } from './sheet';
import { Tap } from './tap';
import { Body, Small, Strong } from './text';
import { Icon } from './icons';
import { COLOR, FONT, space, useTokens } from './theme';

/** Words and values in one line of reading, wrapping as a sentence does. */
export function Sentence({ children }: { readonly children: ReactNode }) {
  return <View style={STYLES.sentence}>{children}</View>;
}

/** The plain words between values. */
export function Words({ children }: { readonly children: string }) {
  return <Body style={STYLES.words}>{children}</Body>;
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
  const value = (
    <Tap onPress={onPress} label={`${label}: ${text}. Change`} testID={testID} style={STYLES.value}>
      <Body style={STYLES.text}>{text}</Body>
    </Tap>
  );
  if (after === '') return value;
  return (
    <View style={STYLES.kept}>
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

/** What may be chosen, or how to find out: a sentence has a dozen of these, and one at most stands open. */
export type Choices<T extends string> = readonly Choice<T>[] | (() => readonly Choice<T>[]);

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
  readonly choices: Choices<T>;
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

interface ChoiceSheetProps<T extends string> {
  readonly title: string;
  readonly visible: boolean;
  readonly value: T | null;
  readonly choices: Choices<T>;
  readonly onClose: () => void;
  readonly onChoose: (value: T) => void;
}

export function ChoiceSheet<T extends string>(props: ChoiceSheetProps<T>) {
  return props.visible ? <OpenChoices {...props} /> : null;
}

function OpenChoices<T extends string>({
  title,
  visible,
  value,
  choices,
  onClose,
  onChoose,
}: ChoiceSheetProps<T>) {
  const { carnelian, carnelianSoft, line } = useTokens();
  return (
    <Sheet title={title} visible={visible} onClose={onClose}>
      <View role="radiogroup" aria-label={title} style={{ gap: space(1) }}>
        {(typeof choices === 'function' ? choices() : choices).map((choice) => {
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

const STYLES = StyleSheet.create({
  sentence: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: space(0.75) },
  words: { fontSize: 19, lineHeight: 48 },
  kept: { flexDirection: 'row', alignItems: 'flex-end', flexShrink: 1, maxWidth: '100%' },
  value: { minWidth: 0, maxWidth: '100%', paddingHorizontal: 2 },
  // Beside a comma that stays with it.
  shrinking: { minWidth: 0, flexShrink: 1, paddingHorizontal: 2 },
  text: {
    fontFamily: FONT.sansStrong,
    fontSize: 22,
    lineHeight: 32,
    borderBottomWidth: 3,
    borderBottomColor: COLOR.carnelian,
  },
});
