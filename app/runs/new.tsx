export { NewRunScreen as default } from '../../screens/runs/NewRunScreen';
