import { addDays } from 'date-fns/addDays';
import { useState } from 'react';
import { View } from 'react-native';
import { exists, dateOf, dateText, dayKey, dayText, longDateText } from '../state/time';
import { Chip, Chips, MainAction } from './actions';
import { FieldFault } from './fieldFault';
import { Sheet } from './sheet';
import { Small } from './text';
import { space } from './theme';

const HOURS = Array.from({ length: 24 }, (_, hour) => hour);
const MINUTES = ['00', '15', '30', '45'];
const DAYS_AHEAD = 21;

/** Asks for a day and an hour: today and three weeks on, or back, in quarters of an hour. */
export function WhenSheet({
  visible,
  value,
  now,
  past = false,
  onClose,
  onSave,
}: {
  readonly visible: boolean;
  /** Local time. */
  readonly value: string;
  readonly now: number;
  /** It has been: days that lie behind. */
  readonly past?: boolean;
  readonly onClose: () => void;
  readonly onSave: (local: string) => void;
}) {
  return (
    <Sheet title={past ? 'When it was ready' : 'Ready when'} visible={visible} onClose={onClose}>
      {visible ? <WhenForm value={value} now={now} past={past} onSave={onSave} /> : null}
    </Sheet>
  );
}

function WhenForm({
  value,
  now,
  past,
  onSave,
}: {
  readonly value: string;
  readonly now: number;
  readonly past: boolean;
  readonly onSave: (local: string) => void;
}) {
  const first = dateOf(value);
  const [day, setDay] = useState(dayKey(first));
  const [hour, setHour] = useState(first.getHours());
  const given = String(first.getMinutes()).padStart(2, '0');
  const [minute, setMinute] = useState(given);
  // Quarters of an hour, and the minutes that it has now.
  const minutes = MINUTES.includes(given) ? MINUTES : [...MINUTES, given].sort();
  const [fault, setFault] = useState<string | null>(null);
  const days = Array.from({ length: DAYS_AHEAD }, (_, i) => addDays(now, past ? -i : i));
  const save = () => {
    const local = `${day}T${String(hour).padStart(2, '0')}:${minute}`;
    if (!exists(local)) setFault('The clocks are put forward over that hour. Choose another.');
    else if (past && dateOf(local).getTime() > now)
      setFault('That hour is still to come. Choose an earlier one.');
    else if (!past && dateOf(local).getTime() < now) setFault('That hour has passed. Choose a later one.');
    else onSave(local);
  };
  return (
    <>
      <Small>Day</Small>
      <Chips label="Day">
        {days.map((date) => {
          const key = dayKey(date);
          const text = dayText(date, now);
          return (
            <Chip
              key={key}
              title={text.length > 8 && !text.includes(' ') ? text.slice(0, 3) : text}
              detail={text.includes(' ') ? undefined : dateText(date)}
              label={longDateText(date)}
              selected={key === day}
              onPress={() => setDay(key)}
            />
          );
        })}
      </Chips>
      <Small>Hour</Small>
      <Chips label="Hour">
        {HOURS.filter((h) => exists(`${day}T${String(h).padStart(2, '0')}:00`)).map((h) => (
          <Chip
            key={h}
            title={String(h).padStart(2, '0')}
            label={`${h} hours`}
            selected={h === hour}
            onPress={() => setHour(h)}
          />
        ))}
      </Chips>
      <Small>Minutes</Small>
      <Chips label="Minutes">
        {minutes.map((m) => (
          <Chip
            key={m}
            title={m}
            label={`${m} minutes`}
            selected={m === minute}
            onPress={() => setMinute(m)}
          />
        ))}
      </Chips>
      <FieldFault words={fault} />
      <View style={{ marginTop: space(1) }}>
        <MainAction title="Save" onPress={save} />
      </View>
    </>
  );
}
