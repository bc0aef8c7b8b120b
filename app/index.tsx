import { RunsScreen } from '../screens/runs/RunsScreen';
import { PlaceGuard } from '../screens/shell/PlaceGuard';

export default function Runs() {
  return (
    <PlaceGuard>
      <RunsScreen />
    </PlaceGuard>
  );
}
