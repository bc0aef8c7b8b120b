export { FromScreen as default } from '../../screens/runs/FromScreen';
