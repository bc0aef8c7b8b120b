export { RunsScreen as default } from '../screens/runs/RunsScreen';
