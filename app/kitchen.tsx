export { KitchenScreen as default } from '../screens/kitchen/KitchenScreen';
