import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { bestBy, byDay, daysBetween, mayGo, movedTo, takenOut } from '../../core/logbook';
import { KEPT_PLACES, type Kept, type KitchenDoc } from '../../core/model/documents';
import { useNow } from '../../state/clock';
import { KITCHEN_KEY } from '../../state/documents';
import { saveFile } from '../../state/saveFile';
import { keptCalendarText } from '../../state/keptCalendar';
import { change, useKitchen } from '../../state/store';
import { dateOf, dayText, localNow } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Columns } from '../../ui/screen';
import { NumberSheet } from '../../ui/numberSheet';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { LogbookFrame } from './LogbookFrame';
import { PutAway, PLACE_NAMES } from './PutAway';

/** What stands in the room, the fridge and the freezer: best by when, how many are left, taken out by a tap. */
export function KeepingScreen() {
  const kitchen = useKitchen();
  const [putting, setPutting] = useState(false);
  const all = byDay(kitchen.kept ?? []);
  return (
    <LogbookFrame
      view="keeping"
      foot={
        <>
          <MainAction title="Put a batch away" onPress={() => setPutting(true)} />
          {all.length > 0 ? (
            <QuietAction
              title="Days for a calendar"
              icon="down"
              onPress={() => saveFile('best-by.ics', keptCalendarText(all), 'text/calendar')}
            />
          ) : null}
        </>
      }
    >
      {all.length === 0 ? (
        <Card title="Nothing is put away">
          <Body>
            Put a batch away as it goes into the fridge or the freezer. It stands here with its last day, and
            a calendar file reminds you the evening before.
          </Body>
        </Card>
      ) : null}
      <Columns>
        {all.map((kept) => (
          <OneKept key={kept.id} kept={kept} kitchen={kitchen} />
        ))}
      </Columns>
      <Small>How long things keep is usual guidance. What you sell or serve keeps to local food rules.</Small>
      <PutAway visible={putting} onClose={() => setPutting(false)} />
    </LogbookFrame>
  );
}

function put(label: string, kitchen: KitchenDoc, next: Kept): void {
  const kept = (kitchen.kept ?? []).flatMap((one) =>
    one.id === next.id ? (next.left > 0 ? [next] : []) : [one],
  );
  change(label, { [KITCHEN_KEY]: { ...kitchen, kept } });
}

function OneKept({ kept, kitchen }: { readonly kept: Kept; readonly kitchen: KitchenDoc }) {
  const router = useRouter();
  const now = useNow(600_000);
  const today = localNow(now).slice(0, 10);
  const { warn, warnSoft, good } = useTokens();
  const [taking, setTaking] = useState(false);
  const by = bestBy(kept);
  const left = by === null ? -1 : daysBetween(today, by);
  const day = (local: string) => dayText(dateOf(`${local}T12:00`), now);
  const words =
    by === null
      ? 'It should not stand here'
      : left < 0
        ? `Its last day was ${day(by)}`
        : left === 0
          ? 'Its last day is today'
          : `Best by ${day(by)}`;
  const take = (n: number) => put(`${n} ${kept.name} taken out`, kitchen, takenOut(kept, n));
  return (
    <Card title={kept.name}>
      <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: space(1) }}>
        <Strong style={{ fontSize: 34, lineHeight: 40 }}>{String(kept.left)}</Strong>
        <Body style={{ flex: 1 }}>{`of ${kept.made} left, ${PLACE_NAMES[kept.place].in}`}</Body>
      </View>
      <View
        style={{
          borderRadius: 10,
          paddingHorizontal: space(1.5),
          paddingVertical: space(1),
          backgroundColor: left <= 0 ? warnSoft : 'transparent',
          marginHorizontal: left <= 0 ? 0 : -space(1.5),
        }}
      >
        <Strong style={{ color: left <= 0 ? warn : good }}>{words}</Strong>
        <Small soft={false}>
          {left < 0
            ? 'Let it go, unless you know better than this guidance.'
            : `Made ${day(kept.madeOn)}${kept.since === kept.madeOn ? '' : `, here since ${day(kept.since)}`}.`}
        </Small>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title="One out" label={`${kept.name}: one out`} onPress={() => take(1)} />
        <QuietAction title="Some out" label={`${kept.name}: some out`} onPress={() => setTaking(true)} />
        {KEPT_PLACES.filter((place) => mayGo(kept, place, today)).map((place) => (
          <QuietAction
            key={place}
            title={PLACE_NAMES[place].to}
            label={`${kept.name}: ${PLACE_NAMES[place].to}`}
            onPress={() =>
              put(`${kept.name}: ${PLACE_NAMES[place].to}`, kitchen, movedTo(kept, place, today))
            }
          />
        ))}
        <QuietAction
          title="Let the rest go"
          label={`${kept.name}: let the rest go`}
          onPress={() => put(`${kept.left} ${kept.name} let go`, kitchen, takenOut(kept, kept.left))}
        />
        {kept.runId !== null ? (
          <QuietAction
            title="Labels"
            label={`${kept.name}: labels`}
            onPress={() =>
              router.navigate({ pathname: '/runs/[id]/labels', params: { id: kept.runId ?? '' } })
            }
          />
        ) : null}
      </View>
      <NumberSheet
        ask={
          taking
            ? { title: 'How many come out', value: kept.left, unit: '', min: 1, max: kept.left, whole: true }
            : null
        }
        onClose={() => setTaking(false)}
        onSave={(n) => {
          setTaking(false);
          take(n);
        }}
      />
    </Card>
  );
}
