import { View } from 'react-native';
import type { KitchenDoc } from '../../core/model/documents';
import { SKILLS, type Skill } from '../../core/model/kinds';
import { Chip, Chips } from '../../ui/actions';
import { Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { SKILL_WORDS } from '../day/day.words';

const NTH = ['First', 'Second', 'Third', 'Fourth'] as const;

/** What each pair of hands can do: the day gives it nothing else. */
export function Helpers({
  kitchen,
  hands,
  put,
}: {
  readonly kitchen: KitchenDoc;
  readonly hands: number;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}) {
  const all = NTH.slice(0, hands).map((name, i) => ({ name, can: kitchen.handsCan?.[i] ?? SKILLS }));
  const turned = (place: number, skill: Skill) =>
    all.map(({ can }, i) =>
      SKILLS.filter((one) => (i === place && one === skill ? !can.includes(one) : can.includes(one))),
    );
  return (
    <View style={{ gap: space(1.5) }}>
      {all.map(({ name, can }, i) => (
        <View key={name} style={{ gap: space(0.5) }}>
          <Strong>{`${name} pair of hands`}</Strong>
          <Chips label={`What the ${name.toLowerCase()} pair of hands can do`} among="any">
            {SKILLS.map((skill) => (
              <Chip
                key={skill}
                among="any"
                title={SKILL_WORDS[skill]}
                selected={can.includes(skill)}
                onPress={() => put('What hands can do', { handsCan: turned(i, skill) })}
              />
            ))}
          </Chips>
        </View>
      ))}
      <Small>The day gives nobody what is not marked here.</Small>
    </View>
  );
}
